"""When to look again: dust by where it lives, the interface by its kind; the earlier date counts."""

from __future__ import annotations

import calendar
from dataclasses import dataclass
from datetime import date

from vividowl.core.errors import CoreError

# Months until the next look. Common practice, no source; where schools differ the careful end is taken.
DUST_MONTHS = {"dusty": 6, "pets": 6, "smoke": 6, "normal": 12, "unknown": 12}
INTERFACE_MONTHS = {
    "paste_soft": 18, "paste_stiff": 24, "phase_change_sheet": 36, "phase_change_paste": 36, "gallium_alloy": 12,
    "pad": 36, "putty": 36, "heat_glue": 36, "copper_shim": 36, "none": 999,
}  # fmt: skip


@dataclass(frozen=True)
class NextService:
    """on: proposed date; months: from today; reason: in words."""

    on: date
    months: int
    reason: str


def add_months(day: date, months: int) -> date:
    """The same day some months later, the last of the month when it has no such day.

    day: start [date]
    months: months to add [1]
    returns: date
    source: Gregorian calendar
    """
    index = day.month - 1 + months
    year, month = day.year + index // 12, index % 12 + 1
    return date(year, month, min(day.day, calendar.monthrange(year, month)[1]))


def next_service(today: date, surroundings: str, interfaces: tuple[str, ...]) -> NextService:
    """Propose the next service date.

    today: day of hand-over [date]
    surroundings: dusty, pets, smoke, normal or unknown [text]
    interfaces: kinds of interface that were fitted (n,) [text]
    returns: NextService
    raises: CoreError for an unknown kind
    formula: the earliest of dust and each interface
    source: common practice, no source
    """
    for word, table in ((surroundings, DUST_MONTHS), *((kind, INTERFACE_MONTHS) for kind in interfaces)):
        if word not in table:
            raise CoreError(f"“{word}” is not known here; allowed: {', '.join(table)}.", field="surroundings")
    choices = [
        (
            DUST_MONTHS[surroundings],
            f"dust, lives in a {surroundings.replace('normal', 'clean')} place"
            if surroundings != "unknown"
            else "dust, surroundings not known",
        )
    ]
    choices += [(INTERFACE_MONTHS[k], f"the {k.replace('_', ' ')} is due for a look") for k in interfaces]
    months, reason = min(choices)
    return NextService(add_months(today, months), months, reason)
