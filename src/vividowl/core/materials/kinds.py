"""Interface materials by kind: typical values with their provenance, and what a shop may enter instead."""

from __future__ import annotations

import tomllib
from collections.abc import Mapping
from dataclasses import dataclass, fields, replace
from enum import StrEnum
from importlib.resources import files

from vividowl.core.quantities.errors import CoreError, OutOfRange, require_one_of
from vividowl.core.quantities.words import Words, listed, say

FROM_MEMORY = "from memory"


class Kind(StrEnum):
    """Kinds of interface. What each is like stands in catalogue.toml and nowhere else."""

    PASTE_SOFT = "paste_soft"
    PASTE_STIFF = "paste_stiff"
    SHEET = "phase_change_sheet"
    TUBE = "phase_change_paste"
    ALLOY = "gallium_alloy"
    PAD = "pad"
    PUTTY = "putty"
    GLUE = "heat_glue"
    SHIM = "copper_shim"


class Trait(StrEnum):
    """What a kind is like. Their meaning stands at the head of catalogue.toml."""

    DIE = "die"
    GAP = "gap"
    LIQUID = "liquid"
    CUT = "cut"
    PASTE = "paste"
    STIFF = "stiff"
    CONDUCTS = "conducts"
    PUMPS_OUT = "pumps_out"
    BURN_IN = "burn_in"
    BOTH_FACES = "both_faces"


@dataclass(frozen=True, kw_only=True)
class Material:
    """Typical values of a kind, or of a product of that kind.

    conductivity: as printed [W/(m K)]; film_low_um, film_um, film_high_um: bond line that is seen in practice [um];
    contact_mm2_k_w: both contact faces together [mm2 K/W]; density_g_ml [g/mL]; service_c: highest service temperature
    [degC]; life_months: usual time until the next look [months]; waste: share lost or pressed out [1];
    own_factor: interface measured by the shop over interface predicted [1], 1 until learnt; traits; task: what its
    minutes are booked on; life_careful, life_long: that time in a careful and in a patient shop over the usual [1];
    on_nickel: usual, careful and patient on a nickel-plated face [months], None where the face makes no difference.
    """

    kind: Kind
    words: Words
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
    traits: frozenset[Trait] = frozenset()
    task: str = "repaste"
    life_careful: float = 1.0
    life_long: float = 1.0
    on_nickel: tuple[float, float, float] | None = None

    def has(self, trait: Trait) -> bool:
        """Whether it is like that."""
        return trait in self.traits


def _read() -> tuple[dict[Kind, Material], dict[Kind, dict[str, str]], dict[Kind, dict[str, tuple[float, float]]]]:
    """The catalogue, the source of each value, and the bands that are narrower than those of all kinds."""
    rows = tomllib.loads(files(__package__).joinpath("catalogue.toml").read_text(encoding="utf-8"))
    made, sources, bands = {}, {}, {}
    for name, row in rows.items():
        kind, film, life = Kind(name), row["film_um"], row["life_months"]
        nickel = row.get("life_on_nickel_months")
        made[kind] = Material(
            kind=kind,
            words=say(f"kind-{kind}"),
            conductivity=row["conductivity"]["value"],
            film_low_um=film["low"],
            film_um=film["value"],
            film_high_um=film["high"],
            contact_mm2_k_w=row["contact_mm2_k_w"]["value"],
            density_g_ml=row["density_g_ml"]["value"],
            service_c=row["service_c"]["value"],
            life_months=life["value"],
            waste=row["waste"]["value"],
            own_factor=1.0,
            traits=frozenset(map(Trait, row["traits"])),
            task=row["task"],
            life_careful=life["careful"] / life["value"],
            life_long=life["long"] / life["value"],
            on_nickel=(nickel["value"], nickel["careful"], nickel["long"]) if nickel is not None else None,
        )
        values = {n: v for n, v in row.items() if isinstance(v, dict)}
        sources[kind] = {n: v["source"] for n, v in values.items()}
        bands[kind] = {n: (v["range"][0], v["range"][1]) for n, v in values.items() if "range" in v}
    return made, sources, bands


_MADE, _SOURCES, _BANDS = _read()
CATALOGUE: Mapping[str, Material] = {str(k): m for k, m in _MADE.items()}
KIND_BANDS: Mapping[str, Mapping[str, tuple[float, float]]] = {str(k): b for k, b in _BANDS.items()}
DIE_KINDS = tuple(k for k, m in _MADE.items() if m.has(Trait.DIE))
GAP_KINDS = tuple(k for k, m in _MADE.items() if m.has(Trait.GAP))


def source_of(kind: str, name: str) -> str:
    """Where a typical value comes from.

    kind: name of the kind [text]
    source: catalogue.toml
    """
    return _SOURCES[Kind(kind)].get({"film_low_um": "film_um", "film_high_um": "film_um"}.get(name, name), FROM_MEMORY)


# What a value of a kind can be at all: words, unit, low, high. A data sheet outside of it is a slip of unit or digit.
BANDS: Mapping[str, tuple[Words, Words, float, float]] = {
    "conductivity": (say("kinds-conductivity"), "W/(m·K)", 0.3, 500.0),
    "film_low_um": (say("kinds-thinnest-film"), "µm", 5.0, 3000.0),
    "film_um": (say("kinds-usual-film"), "µm", 5.0, 3000.0),
    "film_high_um": (say("kinds-thickest-film"), "µm", 5.0, 5000.0),
    "contact_mm2_k_w": (say("kinds-contact-faces"), "mm²·K/W", 0.0, 100.0),
    "density_g_ml": (say("kinds-density"), "g/mL", 0.7, 20.0),
    "service_c": (say("kinds-service-temperature"), "°C", 60.0, 500.0),
    "life_months": (say("kinds-life"), say("kinds-months"), 1.0, 120.0),
    "waste": (say("kinds-waste"), say("kinds-amount"), 0.0, 3.0),
    "own_factor": (say("kinds-own-experience"), say("kinds-times"), 0.3, 3.0),
}
# The values that a shop may enter.
NUMBERS = tuple(f.name for f in fields(Material) if f.name in BANDS)


def material(kind: str, own: Mapping[str, float] | None = None) -> Material:
    """A kind with a shop's own values over the typical ones.

    kind: name of the kind [text]
    own: values by field name [as in Material]
    raises: CoreError for an unknown kind or field, OutOfRange for a value that no such material has
    range: the bands of BANDS, narrower ones of KIND_BANDS
    source: from memory, or as the shop says
    """
    found = CATALOGUE.get(kind)
    if found is None:
        raise CoreError(say("kinds-no-kind-material-allowed", kind=kind, catalogue=listed(CATALOGUE)), field="kind")
    for name, value in (own or {}).items():
        require_one_of("value", name, BANDS)
        words, unit, low, high = BANDS[name]
        low, high = KIND_BANDS[kind].get(name, (low, high))
        if not low <= value <= high:
            raise OutOfRange(
                say("kinds-has-to", words=words, value=value, unit=unit, found_words=found.words, low=low, high=high),
                field=name,
            )
    changed = replace(found, **(own or {}))  # type: ignore[arg-type]  # names were checked above
    if not changed.film_low_um <= changed.film_um <= changed.film_high_um:
        raise OutOfRange(
            say(
                "kinds-film-m-but-thinnest-and",
                film_um=changed.film_um,
                film_low_um=changed.film_low_um,
                film_high_um=changed.film_high_um,
            ),
            field="film_um",
        )
    return changed
