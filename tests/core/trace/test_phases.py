"""Load phases by chip, and the coupled cooler told apart or not."""

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import read_trace
from vividowl.core.response.resistance import State, couple
from vividowl.core.trace.phases import Chip, find_phases
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace, scan
from vividowl.words import sentence, sentences

# K/W of a made-up shared cooler: own and by the other chip.
CC, CG, GC, GG = 0.70, 0.27, 0.26, 0.44


def answer(power, parts):
    """Exact first-order answers at one sample a second."""
    taus = np.array([tau for _, tau in parts])
    keep = np.repeat(np.exp(-1.0 / taus)[None, :], len(power), axis=0)
    gain = (1 - keep) * power[:, None]
    gain[0] += keep[0] * power[0]
    return scan(keep, gain) @ np.array([r for r, _ in parts])


def coupled_log(states, *, room_c=23.0, idle_s=60, phase_s=900, seed=3):
    """A log of idle, then the states one after the other; each a pair of powers."""
    cpu = np.concatenate([np.full(idle_s, 4.0), *(np.full(phase_s, float(c)) for c, _ in states)])
    gpu = np.concatenate([np.full(idle_s, 6.0), *(np.full(phase_s, float(g)) for _, g in states)])
    rng = np.random.default_rng(seed)
    noise = rng.normal(0, 0.25, (2, len(cpu)))
    die_c = (
        room_c + answer(cpu, ((0.3, 1), (0.25, 40), (0.15, 180))) + answer(gpu, ((0.15, 45), (0.12, 180))) + noise[0]
    )
    die_g = (
        room_c + answer(gpu, ((0.12, 1), (0.2, 40), (0.12, 180))) + answer(cpu, ((0.14, 45), (0.12, 180))) + noise[1]
    )
    return Trace(
        np.arange(len(cpu), dtype=float),
        {Role.CPU_TEMPERATURE: die_c, Role.GPU_TEMPERATURE: die_g, Role.CPU_POWER: cpu, Role.GPU_POWER: gpu},
    )


THREE = ((45, 7), (12, 80), (40, 75))


def test_phases_are_told_apart_in_order():
    phases = find_phases(coupled_log(THREE))
    assert [p.chip for p in phases] == [Chip.PROCESSOR, Chip.GRAPHICS, Chip.BOTH]
    assert [p.from_s for p in phases] == pytest.approx([60, 960, 1860], abs=3)


def test_a_shared_cooler_is_told_apart_by_three_states():
    reading = read_trace(coupled_log(THREE), 23.0)
    c = reading.chips.coupled
    assert (c.cpu, c.cpu_from_gpu, c.gpu_from_cpu, c.gpu) == pytest.approx((CC, CG, GC, GG), abs=0.02)
    assert reading.load.onset_s == pytest.approx(60, abs=2)
    assert any("Load phases: processor only 1:00" in text for text in sentences(findings(reading, 23.0)))


def test_one_state_cannot_be_told_apart_and_says_what_to_log():
    reading = read_trace(coupled_log(((40, 75),)), 23.0)
    assert (reading.chips.cpu, reading.chips.gpu) == (None, None)
    assert "cannot be told apart with one load state" in sentence(reading.chips.reason)
    assert any("Log processor alone, graphics alone and both" in text for text in sentences(findings(reading, 23.0)))


def test_states_that_are_nearly_alike_are_refused_by_their_condition():
    states = [
        State(cpu_power=45, gpu_power=80, cpu_rise_k=53, gpu_rise_k=47),
        State(cpu_power=47, gpu_power=83, cpu_rise_k=55, gpu_rise_k=49),
    ]
    with refuses(NotEnoughData, match=r"condition number .* allowed is up to 10"):
        couple(states)
    with refuses(NotEnoughData, match="with 1 load state"):
        couple(states[:1])


def test_published_superposition_is_solved_exactly():
    # Two states, four numbers: plain algebra.
    states = [
        State(cpu_power=50, gpu_power=0, cpu_rise_k=50 * CC, gpu_rise_k=50 * GC),
        State(cpu_power=0, gpu_power=80, cpu_rise_k=80 * CG, gpu_rise_k=80 * GG),
    ]
    found = couple(states)
    assert (found.cpu, found.cpu_from_gpu, found.gpu_from_cpu, found.gpu) == pytest.approx((CC, CG, GC, GG))
    assert found.condition == pytest.approx(80 / 50)
    # Each state is known to 0.5 K.
    assert found.cpu_u == pytest.approx(0.5 / 50)


def test_a_processor_alone_is_its_own_resistance():
    reading = read_trace(coupled_log(((45, 0),), idle_s=60), 23.0)
    assert reading.chips.gpu is None
    assert reading.chips.cpu == pytest.approx(CC, rel=0.03)


def test_twenty_watts_less_on_graphics_cool_the_processor():
    # handbook/temperature.md: a shared cooler couples both; here by 20 W times 0.27 K/W.
    hot, cool = (read_trace(coupled_log(((40, g),)), 23.0).die.mean for g in (80, 60))
    assert hot - cool == pytest.approx(20 * CG, abs=0.3)


def test_a_chip_that_cools_while_it_works_has_no_resistance():
    # A rise that falls with the own power cannot be a resistance, whatever the least squares say.
    states = [
        State(cpu_power=40, gpu_power=5, cpu_rise_k=5.0, gpu_rise_k=20.0),
        State(cpu_power=5, gpu_power=75, cpu_rise_k=50.0, gpu_rise_k=5.0),
        State(cpu_power=40, gpu_power=75, cpu_rise_k=20.0, gpu_rise_k=20.0),
    ]
    with refuses(NotEnoughData, "cannot be told apart"):
        couple(states)
