"""Verdicts on logs as people have them, on a small fixed sample; bench/accuracy.py measures the rates on many."""

from dataclasses import replace

import numpy as np
import pytest
from tests.rough_device import fleet, plan, run
from tests.rough_logs import KINDS, Logger, log, pairs, sides_of

from vividowl.core.reading.reading import read_trace
from vividowl.core.trace.load import find_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.throttling import find_throttling
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.verdicts import Verdict
from vividowl.words import sentence, sentences

pytestmark = pytest.mark.long

SEED, N = 60_606, 10
SAMPLE = ("steady", "empty cells", "game")


@pytest.fixture(scope="module", params=SAMPLE)
def judged(request):
    """Verdicts of pairs in which nothing changed, and of those 5 K better."""
    kind = KINDS[request.param]
    kind = replace(kind, minutes=6.0)
    return [
        [(p, compare(*sides_of(p))) for p in pairs(kind, N, seed=SEED, extra_k=extra)]
        for extra in ((0.0, 0.0), (5.0, 0.0))
    ]


def test_nothing_is_claimed_where_nothing_changed(judged):
    # At most 5 in 100: more than 2 of 10 would come up once in 85 draws (binomial, textbook).
    claims = [found.headline for _, found in judged[0] if found.claims]
    assert len(claims) <= 2, claims


def test_five_kelvins_are_shown_and_never_with_the_wrong_sign(judged):
    verdicts = [found.verdict for _, found in judged[1]]
    assert Verdict.WORSE not in verdicts
    # 80 % or more: fewer than 5 of 10 would come up once in 150 draws.
    assert verdicts.count(Verdict.IMPROVED) >= 5


def test_where_nothing_is_shown_it_says_what_could_hide(judged):
    for _, found in judged[0]:
        if found.verdict is Verdict.NO_DIFFERENCE_SHOWN:
            assert found.hidden_gain_k >= 0.0
            assert any("could hide here" in reason for reason in sentences(found.reasons))


def test_intervals_hold_the_true_difference(judged):
    inside = []
    for pair, found in (row for rows in judged for row in rows):
        over = found.effect("rise")
        inside.append(abs(over.difference - (pair.truth[1].rise_k - pair.truth[0].rise_k)) <= over.u95)
    # 95 % nominal: fewer than 16 of 20 would come up once in 380 draws.
    assert sum(inside) >= 16


@pytest.fixture(scope="module")
def game():
    f, p = fleet(N, SEED), plan(N, SEED + 1, "game", 360.0)
    session = run(f, p, SEED + 2)
    return [log(session, i, SEED + 3 + i, Logger()) for i in range(N)]


def test_a_game_has_no_boost_and_is_not_held_back_by_its_own_scenes(game):
    loads = [find_load(trace) for trace in game]
    assert sum(load.boost_end_s > load.onset_s for load in loads) <= 1
    shares = [find_throttling(trace, load).share for trace, load in zip(game, loads, strict=True)]
    assert sum(share > 0.02 for share in shares) <= 1


@pytest.fixture(scope="module")
def held():
    return pairs(replace(KINDS["held back"], minutes=6.0), N, seed=SEED + 9, extra_k=(12.0, 0.0))


def test_a_device_at_its_limit_is_told_as_held_and_a_repaired_one_is_not_refused(held):
    verdicts = []
    for pair in held:
        before, after = sides_of(pair)
        if pair.truth[0].held > 0.1:
            assert before.reading.throttling.share > 0.02
        verdicts.append(compare(before, after).verdict)
    assert Verdict.CANNOT_BE_COMPARED not in verdicts
    assert verdicts.count(Verdict.IMPROVED) >= N - 2


def steady_log(n=700, on=60, *, off=600, burst=None, empty=False):
    """One sample a second in whole kelvins; burst: from and to of background work in the cool-down."""
    t = np.arange(n, dtype=float)
    power = np.where((t >= on) & (t < off), 58.0, 5.0)
    if burst:
        power[(t >= burst[0]) & (t < burst[1])] = 40.0
    die = np.empty(n)
    level = 30.0
    for i in range(n):
        level += (28.0 + 0.8 * power[i] - level) / 25.0
        die[i] = level
    logged = np.where(np.arange(n) % 2 == 0, power, np.nan) if empty else power
    return Trace(t, {Role.CPU_TEMPERATURE: np.round(die), Role.CPU_POWER: logged})


@pytest.mark.parametrize("burst", [None, (605, 625), (618, 640), (640, 655)])
def test_a_burst_in_the_cool_down_does_not_move_the_end_of_the_load(burst):
    reading = read_trace(steady_log(burst=burst), 24.0)
    assert reading.load.end_s == pytest.approx(599, abs=1)
    assert reading.die.mean == pytest.approx(28.0 + 0.8 * 58.0, abs=0.6)


def test_the_sample_in_which_the_load_ends_belongs_to_nobody():
    reading = read_trace(steady_log(), 24.0)
    assert reading.window.to_s < reading.load.end_s


def test_an_empty_cell_is_not_nought():
    whole, half = read_trace(steady_log(), 24.0), read_trace(steady_log(empty=True), 24.0)
    assert half.power.mean == pytest.approx(whole.power.mean, abs=0.1)
    assert half.pauses == ()
    assert half.felt.watts == pytest.approx(58.0, abs=0.2)


def test_the_sum_of_two_chips_is_unknown_where_one_is():
    trace = steady_log()
    gpu = np.full(len(trace.time_s), 30.0)
    gpu[200:300] = np.nan
    both = Trace(trace.time_s, {**trace.channels, Role.GPU_POWER: gpu})
    assert np.isnan(both.power[250])
    assert both.power[150] == pytest.approx(88.0)


def test_an_unsettled_run_counts_as_measured_and_its_rest_is_uncertainty():
    t = np.arange(260, dtype=float)
    power = np.where((t >= 30) & (t < 210), 40.0, 4.0)
    die = np.where(t < 30, 30.0, 30.0 + 40.0 * (1 - np.exp(-(t - 30) / 200.0)))
    reading = read_trace(Trace(t, {Role.CPU_TEMPERATURE: np.round(die), Role.CPU_POWER: power}), 24.0)
    assert not reading.window.settled
    inside = (t >= reading.window.from_s) & (t <= reading.window.to_s)
    assert reading.die.mean == pytest.approx(np.round(die[inside]).mean(), abs=0.01)
    assert reading.window.final_c > reading.die.mean + 2.0
    assert reading.window.uncertainty_k > 1.0


def test_two_unsettled_runs_of_unlike_length_are_set_against_each_other_at_equal_times():
    def ran(seconds):
        t = np.arange(seconds + 30, dtype=float)
        power = np.where(t >= 30, 40.0, 4.0)
        die = np.where(t < 30, 30.0, 30.0 + 40.0 * (1 - np.exp(-(t - 30) / 300.0)))
        return read_trace(Trace(t, {Role.CPU_TEMPERATURE: np.round(die), Role.CPU_POWER: power}), 24.0)

    from vividowl.core.verdict.conditions import Conditions
    from vividowl.core.verdict.parts import Side

    same = Conditions(load="even", fan="automatic", placement="stand", room_c=24.0)
    found = compare(Side(conditions=same, reading=ran(240)), Side(conditions=same, reading=ran(420)))
    assert found.verdict is Verdict.NO_DIFFERENCE_SHOWN
    assert abs(found.effect("rise").difference) < 1.0
    assert "at 4.0 min of load on both sides" in sentence(found.effect("rise").working)
