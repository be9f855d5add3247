"""Interface materials by kind: typical values with their provenance, and what a shop may enter instead."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, fields, replace

from vividowl.core.quantities.errors import CoreError, OutOfRange, figure

FROM_MEMORY = "from memory"


@dataclass(frozen=True)
class Material:
    """Typical values of a kind, or of a product of that kind.

    conductivity: as printed [W/(m K)]; film_low_um, film_um, film_high_um: bond line that is seen in practice [um];
    contact_mm2_k_w: both contact faces together [mm2 K/W]; density_g_ml [g/mL]; service_c: highest service temperature
    [degC]; life_months: typical time until the next look [months]; waste: share lost or pressed out [1];
    own_factor: interface measured by the shop over interface predicted [1], 1 until learnt;
    stiff, conducts, pumps_out: whether it hardly flows, conducts electricity, creeps out under cycling.
    """

    kind: str
    words: str
    conductivity: float
    film_low_um: float
    film_um: float
    film_high_um: float
    contact_mm2_k_w: float
    density_g_ml: float
    service_c: float
    life_months: float
    waste: float
    own_factor: float = 1.0
    stiff: bool = False
    conducts: bool = False
    pumps_out: bool = False


# Typical values, all from memory; densities and conductivities of metals are textbook values near 25 degC.
CATALOGUE: Mapping[str, Material] = {
    m.kind: m
    for m in (
        Material("paste_soft", "paste, soft", 8.5, 20, 30, 50, 3.0, 2.5, 150, 18, 0.3, pumps_out=True),
        Material("paste_stiff", "paste, stiff (diamond)", 11.0, 25, 40, 70, 3.0, 2.6, 150, 24, 0.3, stiff=True),
        Material("phase_change_sheet", "phase-change sheet", 8.5, 15, 25, 40, 2.0, 2.7, 125, 48, 0.15),
        Material("phase_change_paste", "phase-change paste (solvent)", 7.0, 20, 30, 50, 2.5, 2.4, 125, 42, 0.3),
        Material("gallium_alloy", "gallium alloy", 73.0, 20, 30, 60, 1.5, 6.4, 140, 12, 0.5, conducts=True),
        Material("pad", "pad", 6.0, 350, 800, 1800, 20.0, 3.2, 150, 36, 0.1),
        Material("putty", "putty", 6.0, 200, 700, 2000, 12.0, 3.2, 150, 36, 0.3),
        Material("heat_glue", "heat glue", 1.0, 50, 100, 200, 5.0, 2.0, 150, 36, 0.2, stiff=True),
        Material("copper_shim", "copper shim", 390.0, 500, 1000, 2000, 0.0, 8.96, 300, 36, 0.0, conducts=True),
    )
}  # fmt: skip

# What a value of a kind can be at all: words, unit, low, high. A data sheet outside of it is a slip of unit or digit.
BANDS: Mapping[str, tuple[str, str, float, float]] = {
    "conductivity": ("Conductivity", "W/(m·K)", 0.3, 500.0),
    "film_low_um": ("Thinnest film", "µm", 5.0, 3000.0), "film_um": ("Usual film", "µm", 5.0, 3000.0),
    "film_high_um": ("Thickest film", "µm", 5.0, 5000.0),
    "contact_mm2_k_w": ("Contact faces", "mm²·K/W", 0.0, 100.0),
    "density_g_ml": ("Density", "g/mL", 0.7, 20.0), "service_c": ("Service temperature", "°C", 60.0, 500.0),
    "life_months": ("Life", "months", 1.0, 120.0), "waste": ("Waste", "of the amount", 0.0, 3.0),
    "own_factor": ("Own experience", "times", 0.3, 3.0),
}  # fmt: skip
KIND_BANDS: Mapping[str, Mapping[str, tuple[float, float]]] = {
    "paste_soft": {"conductivity": (0.5, 20.0), "density_g_ml": (1.5, 5.0)},
    "paste_stiff": {"conductivity": (0.5, 20.0), "density_g_ml": (1.5, 5.0)},
    "phase_change_sheet": {"conductivity": (0.5, 20.0), "density_g_ml": (1.5, 5.0)},
    "phase_change_paste": {"conductivity": (0.5, 20.0), "density_g_ml": (1.5, 5.0)},
    "gallium_alloy": {"conductivity": (15.0, 90.0), "density_g_ml": (5.9, 7.0)},
    "pad": {"conductivity": (0.5, 25.0), "density_g_ml": (1.2, 5.0)},
    "putty": {"conductivity": (0.5, 20.0), "density_g_ml": (1.2, 5.0)},
    "heat_glue": {"conductivity": (0.3, 5.0), "density_g_ml": (1.0, 4.0)},
    "copper_shim": {"conductivity": (300.0, 405.0), "density_g_ml": (8.7, 9.1)},
}
DIE_KINDS = ("paste_soft", "paste_stiff", "phase_change_sheet", "phase_change_paste", "gallium_alloy")
NUMBERS = tuple(f.name for f in fields(Material) if f.name in BANDS)


def material(kind: str, own: Mapping[str, float] | None = None) -> Material:
    """A kind with a shop's own values over the typical ones.

    kind: name of the kind [text]
    own: values by field name [as in Material]
    returns: Material
    raises: CoreError for an unknown kind or field, OutOfRange for a value that no such material has
    range: the bands of BANDS, narrower ones of KIND_BANDS
    source: from memory, or as the shop says
    """
    found = CATALOGUE.get(kind)
    if found is None:
        raise CoreError(f"“{kind}” is no kind of material; allowed: {', '.join(CATALOGUE)}.", field="kind",
                        remedy="Choose the nearest kind and enter the product's own values.")  # fmt: skip
    for name, value in (own or {}).items():
        if name not in BANDS:
            raise CoreError(f"“{name}” is no value of a material; allowed: {', '.join(BANDS)}.", field=name)
        words, unit, low, high = BANDS[name]
        low, high = KIND_BANDS[kind].get(name, (low, high))
        if not low <= value <= high:
            raise OutOfRange(
                f"{words} is {figure(value)} {unit}, a {found.words} has {figure(low)} to {figure(high)} {unit}.",
                field=name, remedy="Check unit and digits against the data sheet.",
            )  # fmt: skip
    changed = replace(found, **(own or {}))  # type: ignore[arg-type]  # names were checked above
    if not changed.film_low_um <= changed.film_um <= changed.film_high_um:
        raise OutOfRange(
            f"The film is {figure(changed.film_um)} µm, but thinnest and thickest are "
            f"{figure(changed.film_low_um)} and {figure(changed.film_high_um)} µm.",
            field="film_um", remedy="Order them: thinnest, usual, thickest.",
        )  # fmt: skip
    return changed
