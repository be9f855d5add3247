"""A copper shim instead of a thick pad on a small chip: what it buys and whether it fits."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.conduction import in_series, layer_resistance
from vividowl.core.errors import OutOfRange, require_range

COPPER_CONDUCTIVITY = 390.0  # [W/(m K)] near 25 degC, textbook
EDGE_MM = 1.0  # caliper's and hand's tolerance on a shim's place; from memory


@dataclass(frozen=True)
class ShimGain:
    """pad_resistance, shim_resistance: before and after [K/W]; drop_k: by how much the chip cools at its power [K]."""

    pad_resistance: float
    shim_resistance: float
    drop_k: float


@dataclass(frozen=True)
class ShimFit:
    """fits; touching: it reaches beyond the package on this many sides; uncovered_mm: die left bare [mm];
    reason in words."""

    fits: bool
    reason: str
    uncovered_mm: float


def shim_gain(
    width_mm: float, length_mm: float, power: float, pad_um: float, pad_conductivity: float, shim_um: float,
    film_um: float = 48.0, film_conductivity: float = 8.5,
) -> ShimGain:  # fmt: skip
    """A pad against a copper shim with a film of paste on both its faces.

    width_mm: width of the contact [mm], 1 to 200
    length_mm: length of the contact [mm], 1 to 200
    power: heat of the chip [W], 0 to 2000
    pad_um: thickness of the pad as pressed [um]
    pad_conductivity: of the pad [W/(m K)]
    shim_um: thickness of the shim [um]
    film_um: paste film on each face [um]
    film_conductivity: of the paste [W/(m K)]
    returns: ShimGain
    raises: OutOfRange
    formula: R_pad = t/(kA); R_shim = t/(kA) + 2 film/(kA); drop = P (R_pad - R_shim)
    source: Fourier's law, series chain; contacts and spreading left out
    """
    for name, value in (("width_mm", width_mm), ("length_mm", length_mm)):
        require_range(name, value, "mm", 1.0, 200.0, "Measure the package with calipers.")
    require_range("power", power, "W", 0.0, 2000.0)
    area = width_mm * length_mm
    pad = layer_resistance(pad_um, pad_conductivity, area)
    film = layer_resistance(film_um, film_conductivity, area)
    shim = in_series([film, layer_resistance(shim_um, COPPER_CONDUCTIVITY, area), film])
    return ShimGain(pad, shim, power * (pad - shim))


def shim_fit(
    shim_width_mm: float, shim_length_mm: float, package_width_mm: float, package_length_mm: float,
    die_width_mm: float, die_length_mm: float, offset_x_mm: float = 0.0, offset_y_mm: float = 0.0,
    neighbours_mm: float | None = None,
) -> ShimFit:  # fmt: skip
    """Whether a shim stays on its package and covers the die, which may sit off-centre.

    shim_width_mm: width of the shim [mm], 1 to 200
    shim_length_mm: length of the shim [mm], 1 to 200
    package_width_mm: width of the package [mm], 1 to 200
    package_length_mm: length of the package [mm], 1 to 200
    die_width_mm: width of the die [mm], 1 to the package
    die_length_mm: length of the die [mm], 1 to the package
    offset_x_mm: die's centre from the package's along the width [mm]
    offset_y_mm: the same along the length [mm]
    neighbours_mm: bare parts beside the package start so far from its edge [mm], None when not known
    returns: ShimFit
    raises: OutOfRange
    formula: the shim sits over the die and must stay within the package; what of the die it leaves bare is named
    source: geometry; smaller than the package is common practice, no source
    """
    for name, value in (
        ("shim_width_mm", shim_width_mm), ("shim_length_mm", shim_length_mm), ("package_width_mm", package_width_mm),
        ("package_length_mm", package_length_mm), ("die_width_mm", die_width_mm), ("die_length_mm", die_length_mm),
    ):  # fmt: skip
        require_range(name, value, "mm", 1.0, 200.0, "Measure with plastic calipers.")
    uncovered, over = 0.0, 0.0
    for shim, package, die, offset, name in (
        (shim_width_mm, package_width_mm, die_width_mm, offset_x_mm, "offset_x_mm"),
        (shim_length_mm, package_length_mm, die_length_mm, offset_y_mm, "offset_y_mm"),
    ):
        if abs(offset) + die / 2.0 > package / 2.0 + 1e-9:
            raise OutOfRange(
                f"A die of {die:g} mm, {offset:g} mm off the middle, reaches beyond its package of {package:g} mm.",
                field=name, remedy="Measure from the package's edges to the die's edges.",
            )  # fmt: skip
        over = max(over, shim - package)
        # Centred on the package when that covers the die, else moved towards it as far as the package allows.
        room = max(0.0, (package - shim) / 2.0)
        place = max(-room, min(room, offset))
        bare = max(offset + die / 2.0 - (place + shim / 2.0), (place - shim / 2.0) - (offset - die / 2.0), 0.0)
        uncovered = max(uncovered, bare)
    if over > 0:
        return ShimFit(
            False,
            f"The shim is {over:g} mm wider than the package, so it can touch the parts around it; allowed is up to "
            f"{package_width_mm:g} × {package_length_mm:g} mm.",
            uncovered,
        )
    if uncovered > 1e-9:
        return ShimFit(False, f"It leaves {uncovered:.1f} mm of the die bare.", uncovered)
    if neighbours_mm is not None and neighbours_mm + (package_width_mm - shim_width_mm) / 2.0 < EDGE_MM:
        return ShimFit(
            True,
            f"It fits, but bare parts stand {neighbours_mm:g} mm from the package: insulate them, and glue the shim to "
            "the heatsink so that it cannot wander.",
            0.0,
        )
    return ShimFit(True, "It stays on the package and covers the die.", 0.0)
