"""What a job costs: parts, hands and tax; and how long each task takes."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from decimal import ROUND_HALF_UP, Decimal

from vividowl.core.quantities.errors import require_one_of, require_range
from vividowl.core.quantities.words import Words, say


@dataclass(frozen=True)
class Task:
    """hands_min: minutes of hands; wait_min: minutes that pass by themselves; words for both."""

    hands_min: float
    wait_min: float
    words: Words


# Minutes of a practised hand, from memory; a shop sets its own.
TASKS: Mapping[str, Task] = {
    "open_close": Task(30, 0, say("price-open-and-close")),
    "clean": Task(15, 5, say("price-clean-fins-and-fan-alcohol")),
    "repaste": Task(12, 0, say("price-renew-interface")),
    "phase_change_sheet": Task(15, 70, say("price-chill-lay-burn-in")),
    "phase_change_paste": Task(15, 1480, say("price-open-time-then-burn-in")),
    "alloy": Task(30, 30, say("price-coat-twice-apply-alloy")),
    "pads": Task(20, 0, say("price-measure-cut-and-place-pads")),
    "putty": Task(15, 0, say("price-lay-putty")),
    "shim": Task(25, 10, say("price-fit-and-glue-shim")),
    "cover": Task(20, 0, say("options-couple-cover")),
    "fan": Task(15, 0, say("price-replace-fan")),
    "tune": Task(20, 15, say("price-undervolt-or-cap-with-its")),
    "measure": Task(10, 20, say("price-measure-before-and-after")),
}


@dataclass(frozen=True)
class Price:
    """parts_cents, work_cents, tax_cents, total_cents; None where it is not known."""

    parts_cents: int | None
    work_cents: int
    tax_cents: int | None
    total_cents: int | None


def tasks_of(names: Sequence[str], own_hands_min: Mapping[str, float] | None = None) -> tuple[float, float]:
    """Minutes of hands and of waiting for some tasks.

    names: tasks (n,) [text]
    own_hands_min: the shop's own minutes of hands by task [min]
    returns: hands and waiting [min]
    raises: CoreError for an unknown task, OutOfRange
    source: from memory, or as the shop says
    """
    own = own_hands_min or {}
    for name, value in own.items():
        require_one_of("tasks", name, TASKS)
        require_range(name, value, "min", (0.0, 600.0), hint=say("price-minutes-hands-without-waiting"))
    for name in names:
        require_one_of("tasks", name, TASKS)
    return sum(own.get(n, TASKS[n].hands_min) for n in names), sum(TASKS[n].wait_min for n in names)


def whole_cents(value: Decimal) -> int:
    """Whole cents.

    value: [cents]
    returns: the nearest whole one, a half upwards [cents]
    source: commercial rounding; common practice, no source
    """
    return int(value.quantize(Decimal(1), ROUND_HALF_UP))


def share_cents(price_cents: int, share: float) -> int:
    """Price of some of what one unit costs.

    price_cents: of one unit [cents], 0 to 1e8
    share: how many of it [units], 0 to 1e4
    returns: whole cents
    raises: OutOfRange
    formula: price share
    source: arithmetic
    """
    require_range("parts", price_cents, "cents", (0.0, 1e8))
    require_range("share", share, "", (0.0, 1e4))
    return whole_cents(price_cents * Decimal(repr(float(share))))


def price_of(parts_cents: int | None, hands_min: float, hourly_rate_cents: int, tax_percent: float) -> Price:
    """Price of a job.

    parts_cents: parts without tax [cents], 0 to 1e8; None where the price of one is not known
    hands_min: minutes of hands [min], 0 to 6000
    hourly_rate_cents: rate without tax [cents/h], 0 to 1e6
    tax_percent: tax on all of it [%], 0 to 40
    returns: Price; each part rounded to whole cents, a half upwards, the total is their sum; with parts that are not
        known neither tax nor total is
    raises: OutOfRange
    formula: parts + hands rate / 60, then tax on the sum
    source: arithmetic; the tax is the shop's setting
    """
    require_range("hands", hands_min, "min", (0.0, 6000.0))
    require_range("hourly_rate", hourly_rate_cents, "cents", (0.0, 1e6))
    require_range("tax", tax_percent, "%", (0.0, 40.0), hint=say("price-give-tax-in-per-cent"))
    work = whole_cents(Decimal(repr(float(hands_min))) * hourly_rate_cents / 60)
    if parts_cents is None:
        return Price(None, work, None, None)
    require_range("parts", parts_cents, "cents", (0.0, 1e8))
    tax = whole_cents((parts_cents + work) * Decimal(repr(float(tax_percent))) / 100)
    return Price(parts_cents, work, tax, parts_cents + work + tax)
