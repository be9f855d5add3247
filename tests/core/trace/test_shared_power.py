"""A power limit that two chips share, as a log shows it or does not."""

import numpy as np
from tests.core.trace.test_phases import coupled_log

from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import read_trace
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.words import sentences


def moving(*, given_to_graphics):
    """A log in which the processor goes up and down between 30 and 54 W and graphics gets a share of what it gives."""
    trace = coupled_log([(42, 58)])
    cpu, gpu = trace.channels[Role.CPU_POWER].copy(), trace.channels[Role.GPU_POWER].copy()
    loaded = cpu > 20
    swing = 12.0 * np.sin(trace.time_s / 25.0) * loaded
    return Trace(
        trace.time_s,
        {**trace.channels, Role.CPU_POWER: cpu + swing, Role.GPU_POWER: gpu - given_to_graphics * swing},
    )


def test_a_sum_that_stays_while_power_moves_is_a_shared_limit():
    reading = read_trace(moving(given_to_graphics=1.0), 23.0)
    assert abs(reading.shared_limit_w - 100.0) < 1.0
    assert "Processor and graphics share 100 W: what one takes, the other gives up." in sentences(
        findings(reading, 23.0)
    )


def test_no_shared_limit_where_graphics_keeps_its_own_or_nothing_moves():
    assert read_trace(moving(given_to_graphics=0.0), 23.0).shared_limit_w is None
    assert read_trace(moving(given_to_graphics=0.5), 23.0).shared_limit_w is None
    assert read_trace(coupled_log([(42, 58)]), 23.0).shared_limit_w is None


def test_a_log_of_one_chip_shows_no_shared_limit():
    trace = moving(given_to_graphics=1.0)
    one = Trace(trace.time_s, {r: v for r, v in trace.channels.items() if r is not Role.GPU_POWER})
    assert read_trace(one, 23.0).shared_limit_w is None
