"""What a reading leaves open, as samples: how dry the old film is, how much is dust, what the die itself costs."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from vividowl.core.materials.kinds import Material
from vividowl.core.quantities.errors import require_one_of, require_range
from vividowl.core.quantities.words import say
from vividowl.core.response.reference import class_reference
from vividowl.core.response.terms import Response
from vividowl.core.trace.trace import Series

SAMPLES = 10_000  # drawn a plan, so that a plan while typing keeps its 100 ms
# Area of the contact by class of device: median [mm2] and spread of its logarithm. From memory.
DIE_AREA: Mapping[str, tuple[float, float]] = {
    "laptop": (170.0, 0.35),
    "console": (300.0, 0.25),
    "handheld": (150.0, 0.3),
    "other": (180.0, 0.45),
}
# Spread of the share of the rise before the heatsink in a healthy device, around the class values of the reading. From
# memory.
HEALTHY_SHARE_SPREAD = 0.06
# The old film by what is seen of it: median [mm2 K/W] and spread of its logarithm. Dry: 80 um of 1 W/(m K) residue is
# 80 mm2 K/W (handbook, common practice); the rest from memory.
OLD_FILM: Mapping[str, tuple[float, float]] = {
    "sound": (7.0, 0.4),
    "pumped_out": (25.0, 0.5),
    "dry": (60.0, 0.5),
    "still_liquid": (12.0, 0.4),
    "alloy": (3.0, 0.5),
    "not_touching": (120.0, 0.6),
}
# Share of the resistance behind the interface that cleaning takes away: low, usual, high. From memory.
DUST: Mapping[str, tuple[float, float, float]] = {
    "none": (0.0, 0.0, 0.03),
    "light": (0.01, 0.05, 0.12),
    "felt": (0.10, 0.25, 0.45),
}
INTERFACE_MONTHS_SCALE = 40.0  # an interface of unknown state is bad with 1 - exp(-months/40); from memory
DUST_MONTHS_SCALE: Mapping[str, float] = {"dusty": 20.0, "pets": 20.0, "smoke": 26.0, "normal": 60.0, "unknown": 40.0}
CLEAN_ANYWAY_SHARE = 0.12  # of devices whose fins are clean however long they ran; from memory
UNKNOWN_MONTHS = 30.0  # [months] since a service that nobody remembers; from memory
REFERENCE_SPREAD = 0.10  # of a model's healthy values, of the logarithm; from memory
# The fast part of a reading is within 15 % in 95 of 100 devices of one simulator and in 64 of another, so that its
# least u lies between.
INTERFACE_U_SHARE = 0.10
FILM_SHARE_LEAST = 0.1  # of an interface that is film and not the die; from memory
# One new interface in so many comes out badly: a bald corner, an edge that is not seated. It then costs so many times
# more. From memory.
BADLY_LAID_SHARE, BADLY_LAID_FACTOR = 0.12, (1.3, 3.0)
HAND_SPREAD = 0.25  # of a film laid by another hand, of the logarithm; from memory
# A heat pipe that has lost its filling is taken for dust by any log: so often, and then so little of what dust would
# give is left for cleaning. From memory.
DRY_PIPE_SHARE, DRY_PIPE_KEEPS = 0.10, (0.1, 0.7)
SEALED_SOUND_SHARE = 0.9  # a poor factory application is one of the usual causes; from memory
ANYTHING = 1e-5  # weight of states that no row describes, so that a contradiction widens the answer, not breaks it


@dataclass(frozen=True, kw_only=True)
class Known:
    """What is known before a service.

    resistance, resistance_u: die to room at the fan speed of Before [K/W]; interface, interface_u: its fast part
    [K/W] or None; power: heat [W]; room_c; limit_c or None; held: heat holds it back; fanless; kind of device;
    months: since the last service, None when not known; surroundings; die_mm2: area of the contact or None;
    old_interface, dust: as OLD_FILM and DUST, or unknown; healthy_interface, healthy_total: of this device or its
    model after an earlier service [K/W], or None; power_limit: what the device asks for at most [W], or None;
    sealed_new: the maker's seal is whole and it is young, so that no dust came in and nobody laid its paste anew;
    fan_floor: lowest speed of its fan over that of Before [1], noise_floor_db: room over level of Before [dB], or None.
    """

    resistance: float
    resistance_u: float
    power: float
    room_c: float
    interface: float | None = None
    interface_u: float = 0.0
    limit_c: float | None = None
    held: bool = False
    fanless: bool = False
    kind: str = "laptop"
    months: float | None = None
    surroundings: str = "unknown"
    die_mm2: float | None = None
    old_interface: str = "unknown"
    dust: str = "unknown"
    healthy_interface: float | None = None
    healthy_total: float | None = None
    power_limit: float | None = None
    sealed_new: bool = False
    fan_floor: float | None = None
    noise_floor_db: float | None = None


def interface_of(response: Response | None) -> tuple[float, float] | None:
    """The interface as a response tells it for a plan: what may be lid or base counts by half, and stays open.

    response: response from the log or None
    returns: resistance and its standard uncertainty [K/W], None when the log does not tell
    source: rectangle over what may or may not belong to it, JCGM 100:2008, 4.3.7
    """
    if response is None or not response.interface + response.doubt > 0:
        return None
    value = response.interface + 0.5 * response.doubt
    own = math.hypot(response.interface_u, 0.5 * response.doubt / math.sqrt(3.0))
    return value, max(own, INTERFACE_U_SHARE * value)


@dataclass(frozen=True, kw_only=True)
class Unknowns:
    """Samples (n,) of one device: core: what stays of the interface whatever paste is used [K/W]; film: the old one
    [K/W]; behind: heatsink to room [K/W]; dust: share of it that cleaning takes away [1]; area [mm2]; quality: how
    well a new film comes out, conduction and contact: where in their ranges they lie, each from 0 to 1; hand: what
    laying it adds, as a factor; seating: of the cooler, as a standard normal."""

    core: Series
    film: Series
    behind: Series
    dust: Series
    area: Series
    quality: Series
    conduction: Series
    contact: Series
    hand: Series
    seating: Series

    @property
    def total(self) -> Series:
        """Resistance as it is now [K/W] (n,)."""
        return self.core + self.film + self.behind


def triangular(where: Series, low: float, usual: float, high: float) -> Series:
    """Values of a triangular distribution.

    where: quantiles (n,) [1], 0 to 1
    low: least value [any]
    usual: most likely value [any], low to high
    high: largest value [any]
    returns: values (n,) [any]
    raises: OutOfRange
    formula: inverse of the cumulative triangular distribution
    source: any textbook of probability
    """
    require_range("usual", usual, "", (low, high))
    if high <= low:
        return np.full(len(where), low)
    turn = (usual - low) / (high - low)
    left = low + np.sqrt(where * (high - low) * (usual - low))
    right = high - np.sqrt((1.0 - where) * (high - low) * (high - usual))
    return np.where(where < turn, left, right)


def sample_unknowns(known: Known, seed: int, samples: int = SAMPLES) -> Unknowns:
    """Draw what is not known, in agreement with what was measured.

    seed: seed [1]
    samples: how many [1], 100 to 1000000
    raises: OutOfRange, CoreError
    formula: draws of die, healthy interface and dust are weighted by how well the film that is left for the old
        interface, and what cleaning leaves behind it, agree with what is seen and with earlier visits; then resampled
    source: importance resampling, Rubin (1988); distributions from memory
    """
    _check(known)
    require_range("samples", samples, "", (100, 1_000_000))
    rng = np.random.default_rng(seed)
    total = np.maximum(0.05 * known.resistance, rng.normal(known.resistance, known.resistance_u, samples))
    if known.interface is not None:
        interface = rng.normal(known.interface, max(known.interface_u, 0.02 * known.interface), samples)
    else:
        interface = total * rng.beta(2.2, 4.2, samples)
    interface = np.clip(interface, 0.02 * total, 0.9 * total)
    behind = total - interface
    median, spread = DIE_AREA.get(known.kind, DIE_AREA["other"])
    area = (
        known.die_mm2 * rng.normal(1.0, 0.02, samples)
        if known.die_mm2
        else median * np.exp(rng.normal(0.0, spread, samples))
    )
    dust, weight = _dust(known, behind, rng)
    if known.healthy_interface is not None:
        healthy = known.healthy_interface * np.exp(rng.normal(0.0, REFERENCE_SPREAD, samples))
    else:
        share = class_reference(known.kind).interface_share
        share_drawn = np.clip(rng.normal(share, HEALTHY_SHARE_SPREAD, samples), 0.05, 0.45)
        healthy = share_drawn / (1.0 - share_drawn) * behind * (1.0 - dust)
    fresh = np.exp(rng.normal(math.log(OLD_FILM["sound"][0]), OLD_FILM["sound"][1], samples)) / area
    core = np.maximum(healthy - fresh, 0.3 * healthy)
    core = np.minimum(core, (1.0 - FILM_SHARE_LEAST * rng.uniform(0.5, 1.5, samples)) * interface)
    film = interface - core
    weight = weight * (_film_density(known, film * area) + ANYTHING)
    chosen = rng.choice(samples, samples, p=weight / weight.sum())
    quality, conduction, contact = rng.uniform(0.0, 1.0, (3, samples))
    seating = rng.normal(0.0, 1.0, samples)
    hand = np.exp(rng.normal(0.0, HAND_SPREAD, samples))
    badly = rng.uniform(0.0, 1.0, samples) < BADLY_LAID_SHARE
    hand = np.where(badly, hand * rng.uniform(*BADLY_LAID_FACTOR, samples), hand)
    return Unknowns(
        core=core[chosen],
        film=film[chosen],
        behind=behind[chosen],
        dust=dust[chosen],
        area=area[chosen],
        quality=quality,
        conduction=conduction,
        contact=contact,
        hand=hand,
        seating=seating,
    )


def new_film(unknowns: Unknowns, material: Material) -> Series:
    """Resistance of a new interface, film and contacts.

    unknowns: samples (n,)
    material: what goes in
    returns: resistances (n,) [K/W]
    raises: OutOfRange
    formula: (film / (k share) + contact) / A times what the hand adds; printed conductivity counts by 0.55 to 1,
        contacts by half to twice
    source: Fourier's law; the shares are from memory
    """
    film = triangular(unknowns.quality, material.film_low_um, material.film_um, material.film_high_um)
    conductivity = material.conductivity * triangular(unknowns.conduction, 0.55, 0.8, 1.0)
    contact = material.contact_mm2_k_w * triangular(unknowns.contact, 0.5, 1.0, 2.0)
    return (film / conductivity + contact) / unknowns.area * unknowns.hand


def _check(known: Known) -> None:
    require_range("resistance", known.resistance, "K/W", (1e-3, 100.0))
    require_range("resistance_u", known.resistance_u, "K/W", (0.0, 50.0))
    require_range("power", known.power, "W", (0.1, 2000.0))
    if known.die_mm2 is not None:
        require_range("die_mm2", known.die_mm2, "mm²", (4.0, 4000.0), hint=say("unknowns-width-times-length-die"))
    for name, value, table in (("old_interface", known.old_interface, OLD_FILM), ("dust", known.dust, DUST)):
        require_one_of(name, value, (*table, "unknown"))


def _dust(known: Known, behind: Series, rng: np.random.Generator) -> tuple[Series, Series]:
    """Share that is dust, and how well what it leaves agrees with a healthy device."""
    n = len(behind)
    where = rng.uniform(0.0, 1.0, n)
    dry_pipe = rng.uniform(0.0, 1.0, n) < DRY_PIPE_SHARE
    keeps = np.where(dry_pipe, rng.uniform(*DRY_PIPE_KEEPS, n), 1.0)
    if known.sealed_new:
        dust = np.zeros(n)
    elif known.dust == "unknown":
        months = known.months if known.months is not None else UNKNOWN_MONTHS
        felt = 1.0 - math.exp(-months / DUST_MONTHS_SCALE.get(known.surroundings, DUST_MONTHS_SCALE["unknown"]))
        dusty = (1.0 - CLEAN_ANYWAY_SHARE) * felt
        clean = CLEAN_ANYWAY_SHARE + (0.4 - CLEAN_ANYWAY_SHARE) * (1.0 - felt)
        state = rng.choice(3, n, p=[clean, max(0.0, 1.0 - clean - dusty), dusty])
        dust = np.choose(state, [triangular(where, *DUST[name]) for name in ("none", "light", "felt")])
    else:
        dust = triangular(where, *DUST[known.dust])
    dust = dust * keeps
    if known.healthy_total is None or known.healthy_interface is None:
        return dust, np.ones(n)
    healthy = known.healthy_total - known.healthy_interface
    off = np.log(behind * (1.0 - dust) / healthy) / REFERENCE_SPREAD
    return dust, np.exp(-0.5 * off**2) + ANYTHING


def _film_density(known: Known, film: Series) -> Series:
    """How likely an old film is, up to a constant, by what is seen of it or by its age: log-normal states."""
    if known.old_interface == "unknown" and known.sealed_new:
        states = {"sound": SEALED_SOUND_SHARE, "not_touching": 1.0 - SEALED_SOUND_SHARE}
    elif known.old_interface != "unknown":
        states = {known.old_interface: 1.0}
    else:
        months = known.months if known.months is not None else UNKNOWN_MONTHS
        bad = 1.0 - math.exp(-months / INTERFACE_MONTHS_SCALE)
        states = {"sound": 1.0 - bad, "pumped_out": 0.5 * bad, "dry": 0.5 * bad}
    density = np.zeros(len(film))
    logs = np.log(np.maximum(film, 1e-6))
    for name, share in states.items():
        median, spread = OLD_FILM[name]
        density += share / spread * np.exp(-0.5 * ((logs - math.log(median)) / spread) ** 2)
    return density / np.maximum(film, 1e-6)
