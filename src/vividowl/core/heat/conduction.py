"""Heat through layers, one after the other or side by side."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say


def layer_resistance(thickness_um: float, conductivity: float, area_mm2: float) -> float:
    """Resistance of a flat layer, contacts left out.

    thickness_um: thickness [um], 0.1 to 100000
    conductivity: of the material [W/(m K)], 0.01 to 2500
    area_mm2: area that the heat crosses [mm2], 0.1 to 1e6
    returns: resistance [K/W]
    raises: OutOfRange
    formula: R = t / (k A)
    source: Fourier's law for a plane wall, any textbook of heat transfer
    """
    require_range("thickness_um", thickness_um, "µm", (0.1, 100_000.0), hint=say("conduction-paste-film-has-to-m"))
    require_range(
        "conductivity", conductivity, "W/(m·K)", (0.01, 2500.0), hint=say("conduction-pastes-have-to-copper-about")
    )
    require_range("area_mm2", area_mm2, "mm²", (0.1, 1e6), hint=say("conduction-width-times-length-die"))
    return thickness_um * 1e-6 / (conductivity * area_mm2 * 1e-6)


def in_series(resistances: Sequence[float]) -> float:
    """Resistance of parts that the same heat crosses one after the other.

    resistances: resistances (n,) [K/W], each >= 0
    returns: resistance [K/W]
    raises: OutOfRange
    formula: sum
    source: thermal circuit, any textbook of heat transfer
    """
    return sum(require_range("resistance", r, "K/W", (0.0, 1e6)) for r in resistances)


def in_parallel(resistances: Sequence[float]) -> float:
    """Resistance of paths side by side between the same two places.

    resistances: resistances (n,) [K/W], each above 0, at least one
    returns: resistance [K/W]
    raises: OutOfRange
    formula: 1 / sum(1/R)
    source: thermal circuit, any textbook of heat transfer
    """
    require_range("paths", len(resistances), "", (1, 100), hint=say("conduction-name-one-path-at-least"))
    return 1.0 / sum(1.0 / require_range("resistance", r, "K/W", (1e-9, 1e9)) for r in resistances)
