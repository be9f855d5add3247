"""Whether an interval of 80 % holds the truth about that often, on devices that the product did not invent."""

import numpy as np
import pytest
from tests.sick_devices import sick_devices, told_of, truths

from vividowl.core.materials.kinds import material
from vividowl.core.plan.prediction import Action, Option, predict
from vividowl.core.reading.reading import read_trace
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace

pytestmark = pytest.mark.long

DEVICES = 40
OPTIONS = (
    Option(key="clean", words="", actions=(Action.CLEAN,)),
    Option(key="repaste", words="", actions=(Action.CLEAN, Action.REPASTE), material=material("paste_soft")),
)


@pytest.fixture(scope="module")
def outcomes():
    sick = sick_devices(DEVICES, seed=23)
    rows = []
    for i in range(DEVICES):
        runs, rng = sick.runs, np.random.default_rng(i)
        n = len(runs.time_s)
        trace = Trace(
            runs.time_s,
            {
                Role.CPU_TEMPERATURE: np.round(runs.die_c[:, i] + rng.normal(0, 0.25, n), 1),
                Role.CPU_POWER: np.round(runs.power[:, i] * (1 + rng.normal(0, 0.01, n)), 1),
                Role.CPU_UTILISATION: np.clip(runs.utilisation[:, i] + rng.normal(0, 1, n), 0, 100),
                Role.FAN_SPEED: np.round(runs.fan_rpm[:, i] + rng.normal(0, 12, n)),
            },
        )
        room = float(np.round(sick.before.room_c[i] + sick.before.drift_k[i], 1))
        reading = read_trace(trace, room, 95.0)
        known = told_of(sick, i, reading, room)
        if known is not None:
            rows.append(tuple(zip(predict(known, OPTIONS, seed=i), truths(sick, i, reading), strict=True)))
    return rows


@pytest.mark.parametrize("option", [0, 1])
def test_intervals_hold_the_truth_about_four_times_in_five(outcomes, option):
    # Of 40 devices a share of 0.8 lies within 0.8 +- 2.6 sqrt(0.8 0.2 / 40) in 99 of 100 draws (binomial, textbook);
    # the goal of 75 to 85 % is measured on 300 devices by bench/accuracy.py.
    inside = [row[option][0].resistance.holds(row[option][1]) for row in outcomes]
    assert len(inside) >= 0.95 * DEVICES
    assert 0.63 <= np.mean(inside) <= 0.97


@pytest.mark.parametrize("option", [0, 1])
def test_medians_lean_to_neither_side(outcomes, option):
    ratios = [p.resistance.median / true for p, true in (row[option] for row in outcomes)]
    assert 0.93 < np.median(ratios) < 1.07
