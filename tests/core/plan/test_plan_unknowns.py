"""What a plan does not know: the hand, a dry pipe, a lid, a power limit; and what it must not promise."""

from dataclasses import replace

import numpy as np
import pytest
from tests.core.plan.test_prediction import DEAD, candidates

from vividowl.core.materials.kinds import material
from vividowl.core.plan.options import LEAVE, Goal, rank
from vividowl.core.plan.prediction import Action, Option, predict
from vividowl.core.plan.unknowns import interface_of, sample_unknowns
from vividowl.core.response.terms import Response, Term

CLEAN = Option(key="clean", words="", actions=(Action.CLEAN,))
REPASTE = Option(key="repaste", words="", actions=(Action.CLEAN, Action.REPASTE), material=material("paste_soft"))
TUNE = Option(key="tune", words="", actions=(Action.TUNE,), undervolt_mv=80)


def noise(known):
    return predict(known, (REPASTE,), 1)[0].noise_db


def test_noise_is_promised_no_lower_than_the_slowest_fan_and_the_room():
    free = noise(DEAD)
    # Down to 0.8 of its speed a fan is at most 60 lg(0.8) = 5.8 dB quieter.
    assert noise(replace(DEAD, fan_floor=0.8)).low >= 60 * np.log10(0.8) - 1e-9 > free.low
    # A room 6 dB below the level of before: no less than that, whatever the fan does.
    assert noise(replace(DEAD, noise_floor_db=-6.0)).low > -6.0 > free.low


def test_without_a_fan_nothing_is_quieter_and_kelvins_are_no_decibels():
    found = candidates(replace(DEAD, fanless=True))
    order = rank(found, Goal.QUIETER, measurable_k=1.5, measurable_w=2.0, measurable_db=1.0, held=False)
    assert found[order[0].index].option.key == LEAVE


def test_after_an_interface_that_crept_out_one_that_does_not_comes_first():
    found = candidates(DEAD, ("paste_soft", "paste_stiff"), cents={"repaste:paste_soft": 4000})

    def best(pumped_out):
        order = rank(
            found, Goal.COOLER, measurable_k=1.5, measurable_w=2.0, measurable_db=1.0, held=True, pumped_out=pumped_out
        )
        return found[order[0].index].option.key

    assert (best(False), best(True)) == ("repaste:paste_soft", "repaste:paste_stiff")


def test_a_sealed_new_machine_has_no_dust_to_take_away():
    drawn = sample_unknowns(replace(DEAD, months=2, sealed_new=True), 1, 2000)
    assert drawn.dust.max() == 0.0
    (cleaned,) = predict(replace(DEAD, months=2, sealed_new=True), (CLEAN,), 1)
    assert abs(cleaned.gain_k.median) < 0.5


def test_at_its_power_limit_an_undervolt_is_spent_on_clock():
    below, at, unknown = (
        predict(replace(DEAD, power_limit=limit), (TUNE,), 1)[0].gain_k for limit in (90.0, 48.0, None)
    )
    # The same hands once more: a kelvin either way.
    assert at.median == pytest.approx(0.0, abs=0.5)
    assert below.low > 1.0
    assert unknown.low < 1.0 < unknown.high


def test_a_paste_can_be_laid_badly_and_the_interval_knows():
    drawn = sample_unknowns(DEAD, 1, 10_000)
    assert np.percentile(drawn.hand, 90) > 1.3
    (found,) = predict(DEAD, (REPASTE,), 1)
    spread = found.interface.high / found.interface.median
    assert spread > 1.15


def test_a_dry_pipe_leaves_less_for_cleaning():
    drawn = sample_unknowns(replace(DEAD, dust="felt"), 1, 10_000)
    # Felt gives a tenth and more (handbook); one pipe in ten is dry and gives less.
    assert 0.03 < np.mean(drawn.dust < 0.10) < 0.2


def test_what_may_be_lid_or_base_counts_by_half_and_stays_open():
    terms = (Term(0.2, 1.0, 0.01, 0.1), Term(0.4, 8.0, 0.01, 1.0), Term(0.5, 90.0, 0.01, 9.0))
    lidded = Response(terms=terms, base_power=5.0, now=(0.0, 0.0, 0.0), residual_k=0.2, interface_u=0.01, total_u=0.02)
    value, u = interface_of(lidded)
    assert value == pytest.approx(0.2 + 0.5 * 0.4)
    assert u >= 0.5 * 0.4 / 3**0.5
    assert interface_of(None) is None
