"""Where the heat stops, from the log alone: a Foster response fitted against the measured power."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from vividowl.core.errors import NotEnoughData
from vividowl.core.load import LoadPhase
from vividowl.core.trace import Series, Trace
from vividowl.core.units import require_room_c

FAST_BELOW_S = 3.0
SLOW_ABOVE_S = 120.0
TIME_CONSTANTS_S = (1.0, 2.0, 6.0, 15.0, 40.0, 90.0, 200.0, 500.0)
POINTS_MOST = 4000


@dataclass(frozen=True)
class Response:
    """interface, heatsink, chassis: resistance of the part faster than 3 s, up to 120 s and slower [K/W];
    residual_k: root mean square of what the response leaves unexplained [K]."""

    interface: float
    heatsink: float
    chassis: float
    residual_k: float

    @property
    def total(self) -> float:
        """Sum of the three [K/W]."""
        return self.interface + self.heatsink + self.chassis


def fit_response(trace: Trace, load: LoadPhase, room_c: float) -> Response:
    """Split the resistance of die to room by how fast each part answers to the power.

    trace: a log with power, sampled every 2 s or faster
    load: its loaded part
    room_c: room temperature [degC]
    returns: Response
    raises: NotEnoughData without power, without a load step or when sampled too slowly
    range: fan speed roughly constant; the split at 3 s is blurred by sampling at 1 Hz
    formula: dT(t) = sum R_i (P * exp(-t/tau_i)/tau_i), R_i >= 0, tau_i on a fixed grid, linear least squares
    source: Foster network, JESD51-14 for the idea; the bands in seconds are common practice, no source
    """
    from scipy.optimize import nnls  # here, since these imports alone take two seconds of the start
    from scipy.signal import lfilter

    require_room_c(room_c)
    power = trace.power
    if power is None:
        raise NotEnoughData("No power was logged, so the rise cannot be split.", field="channels")
    if not load.seen:
        raise NotEnoughData(
            "The log shows no load step, so the rise cannot be split.",
            field="log",
            remedy="Start the log before the load.",
        )
    step = trace.interval_s
    if step > 2.5:
        raise NotEnoughData(
            f"One sample every {step:.1f} s is too slow to see the interface.",
            field="log",
            remedy="Log every second or faster.",
        )
    die = trace.channels[trace.die_role]
    lead = min(load.onset_s - float(trace.time_s[0]), 60.0)
    begin, end = load.onset_s - lead, load.end_s
    step = max(step, (end - begin) / POINTS_MOST)
    grid = np.arange(begin, end, step)
    known = np.isfinite(die) & np.isfinite(power)
    heat = np.interp(grid, trace.time_s[known], power[known])
    rise = np.interp(grid, trace.time_s[known], die[known]) - room_c
    idle = grid < load.onset_s - 2.0
    heat_0 = float(heat[idle].mean()) if idle.any() else 0.0
    rise_0 = float(rise[idle].mean()) if idle.any() else float(rise[0])
    heat, rise = heat - heat_0, rise - rise_0
    columns: list[Series] = []
    for tau in TIME_CONSTANTS_S:
        keep = float(np.exp(-step / tau))
        # Between two samples the power is taken as their mean: loggers report it for the time just past or just begun.
        half = 0.5 * (1.0 - keep)
        columns.append(np.asarray(lfilter([half, half], [1.0, -keep], heat), dtype=np.float64))
    basis = np.column_stack(columns)
    weights, norm = nnls(basis, rise)
    taus = np.array(TIME_CONSTANTS_S)
    return Response(
        float(weights[taus <= FAST_BELOW_S].sum()),
        float(weights[(taus > FAST_BELOW_S) & (taus <= SLOW_ABOVE_S)].sum()),
        float(weights[taus > SLOW_ABOVE_S].sum()),
        float(norm / np.sqrt(len(grid))),
    )
