"""When to look again: dust by where it lives, the interface by its kind, the drift by its own visits; the earliest."""

from __future__ import annotations

import calendar
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date
from enum import StrEnum

from vividowl.core.materials.kinds import CATALOGUE, Material
from vividowl.core.quantities.errors import require_one_of
from vividowl.core.quantities.words import Words, say

# Months until the next look. Common practice, no source.
DUST_MONTHS = {"dusty": 6, "pets": 6, "smoke": 6, "normal": 12, "unknown": 12}


class LifeSchool(StrEnum):
    """How soon a shop looks again."""

    CAREFUL = "careful"
    USUAL = "usual"
    LONG = "long"


@dataclass(frozen=True)
class NextService:
    """on: proposed date; months: from today; reason: in words; by_drift: when it would be held back again by its own
    drift, None when that is not known or far off."""

    on: date
    months: int
    reason: Words
    by_drift: date | None = None


@dataclass(frozen=True)
class OwnServices:
    """What a shop's own services of one kind tell. words: of the kind; cases; months until half of the gain is gone."""

    words: Words
    cases: int
    months: float


def add_months(day: date, months: int) -> date:
    """The same day some months later, the last of the month when it has no such day.

    day: start [date]
    months: months to add [1]
    source: Gregorian calendar
    """
    index = day.month - 1 + months
    year, month = day.year + index // 12, index % 12 + 1
    return date(year, month, min(day.day, calendar.monthrange(year, month)[1]))


def interface_months(interface: Material, school: LifeSchool = LifeSchool.USUAL, cold_plate: str = "unknown") -> int:
    """Months until an interface is due for a look.

    interface: the material, with the shop's own life where it has one
    school: how soon the shop looks again
    cold_plate: copper, nickel, aluminium or unknown; alloy lasts longer on nickel [text]
    returns: months [1], at least 1
    range: kinds of the catalogue; dust and drift may come sooner
    formula: usual life times what the school makes of it; a life of one's own counts on nickel, too
    source: catalogue.toml: common practice, no source; or as the shop says
    """
    careful, long = interface.life_careful, interface.life_long
    usual = interface.life_months
    if interface.on_nickel is not None and cold_plate == "nickel" and usual == CATALOGUE[interface.kind].life_months:
        usual, careful, long = interface.on_nickel[0], *(m / interface.on_nickel[0] for m in interface.on_nickel[1:])
    factor = {LifeSchool.CAREFUL: careful, LifeSchool.USUAL: 1.0, LifeSchool.LONG: long}[school]
    return max(1, round(usual * factor))


def next_service(
    today: date,
    surroundings: str,
    *,
    interfaces: Sequence[Material],
    school: LifeSchool = LifeSchool.USUAL,
    cold_plate: str = "unknown",
    months_left: float | None = None,
    own: Sequence[OwnServices] = (),
) -> NextService:
    """Propose the next service date.

    today: day of hand-over [date]
    surroundings: dusty, pets, smoke, normal or unknown [text]
    interfaces: what was fitted, with the shop's own values (n,)
    school: how soon the shop looks again
    cold_plate: copper, nickel, aluminium or unknown [text]
    months_left: until heat holds it back again by its own drift [months], None when that is not known or far off
    own: how long the shop's own services with the same kinds lasted (n,)
    raises: CoreError for unknown surroundings
    formula: the earliest of dust, each interface, what the own services lasted, and drift
    source: common practice, no source
    """
    require_one_of("surroundings", surroundings, DUST_MONTHS)
    choices = [(DUST_MONTHS[surroundings], say("life-dust", surroundings=surroundings))]
    choices += [(interface_months(m, school, cold_plate), say("life-due-for-look", words=m.words)) for m in interfaces]
    choices += [
        (max(1, round(o.months)), say("life-own-services", words=o.words, cases=o.cases, months=o.months)) for o in own
    ]
    if months_left is not None:
        choices.append((max(1, int(months_left + 1e-6)), say("life-by-its-drift-so-far")))
    months, reason = min(choices, key=lambda choice: choice[0])
    by_drift = add_months(today, int(months_left + 1e-6)) if months_left is not None else None
    return NextService(add_months(today, months), months, reason, by_drift)
