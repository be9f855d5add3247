"""Calculators without a job: what they say of themselves is what they do."""

from __future__ import annotations

import pytest

from vividowl.core.quantities.errors import OutOfRange
from vividowl.core.sound.levels import energy_mean, energy_sum
from vividowl.service.errors import Refused
from vividowl.service.workings.calculator import number
from vividowl.service.workings.calculators import WORKINGS, work
from vividowl.words import sentence


def spans():
    """Every input whose limits are a span, with its ends."""
    for working in WORKINGS.values():
        for one in working.inputs:
            if one.high is not None and one.read is number:
                yield pytest.param(working, one.key, one.low, one.high, one.above, id=f"{working.name}.{one.key}")


def refusal(name, values):
    """What is said against it, empty when it is worked out."""
    try:
        work(name, values)
    except Refused as refused:
        return sentence(refused.detail)
    return ""


def given(working, key, value):
    known = {i.key: i.example or str(i.default or "") for i in working.inputs}
    return {**{k: v for k, v in known.items() if v}, key: f"{value:.10g}"}


@pytest.mark.parametrize(("working", "key", "low", "high", "open_"), spans())
def test_the_limits_that_the_page_shows_are_those_that_are_kept(working, key, low, high, open_):
    step = (high - low) * 1e-6
    for beyond in (low - step if not open_ else low, high + step):
        with pytest.raises(Refused):
            work(working.name, given(working, key, beyond))
    for inside in (low + (step if open_ else 0.0), high):
        # Another rule may still refuse it, but not for being outside of these limits.
        assert "allowed are" not in refusal(working.name, given(working, key, inside))


@pytest.mark.parametrize("rule", [energy_mean, energy_sum])
def test_levels_above_140_db_are_refused_where_the_page_says_so(rule):
    assert "0 to 140 dB" in sentence(WORKINGS["levels"].limits)
    with pytest.raises(OutOfRange):
        rule([140.1])


@pytest.mark.parametrize("working", WORKINGS.values(), ids=list(WORKINGS))
def test_each_says_what_it_is_its_formula_and_its_source(working):
    assert sentence(working.title)
    assert sentence(working.words)
    assert sentence(working.formula)
    assert sentence(working.source)
    for one in working.inputs:
        assert sentence(working.label(one))
