"""Resistance of each chip to the room: alone, or coupled through one cooler."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from vividowl.core.heat.temperature import thermal_resistance
from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.units import require_room_c
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.response.approach import fit_approach
from vividowl.core.trace.phases import Phase
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Mask, Series, Trace

CONDITION_MOST = 10.0  # of the matrix of two load states; above it they are too alike (numerics)
OTHER_CHIP_SHARE = 0.10  # of the power below which one chip works alone; from memory
LEVEL_U_K = 0.5  # [K] of a level read over some minutes; standard uncertainty; from memory
RELATIVE_U_MOST = 0.25  # of a resistance that is still told; from memory


@dataclass(frozen=True, kw_only=True)
class State:
    """A load state held until it was steady: powers [W], rises over room [K], rise_u_k: how well it was settled [K]."""

    cpu_power: float
    gpu_power: float
    cpu_rise_k: float
    gpu_rise_k: float
    rise_u_k: float = LEVEL_U_K


@dataclass(frozen=True, kw_only=True)
class Coupled:
    """Rise of each chip by each power [K/W]: cpu and gpu by their own, cpu_from_gpu and gpu_from_cpu by the other's;
    the same with _u: standard uncertainties; condition: condition number of the states [1]."""

    cpu: float
    cpu_from_gpu: float
    gpu_from_cpu: float
    gpu: float
    cpu_u: float
    cpu_from_gpu_u: float
    gpu_from_cpu_u: float
    gpu_u: float
    condition: float


@dataclass(frozen=True)
class ChipResistances:
    """cpu, gpu: resistance to the room [K/W] or None when not known; coupled: the full matrix where several load
    states tell it; reason: why something is not known, in words."""

    cpu: float | None = None
    gpu: float | None = None
    coupled: Coupled | None = None
    reason: Words = ""


def couple(states: Sequence[State]) -> Coupled:
    """Separate processor and graphics on a shared cooler by several load states.

    states: load states (n,), n >= 2
    raises: NotEnoughData when the states do not tell the two apart
    formula: dT_c = R_cc P_c + R_cg P_g and dT_g = R_gc P_c + R_gg P_g, weighted least squares over the states
    range: condition number of the power matrix up to 10 and each own resistance known to 25 %
    source: superposition in a linear network, textbook; the limits are common practice, no source
    """
    remedy = say("resistance-log-processor-alone-graphics-alone")
    if len(states) < 2:
        raise NotEnoughData(
            say("resistance-processor-and-graphics-cannot-be", states=len(states)), field="log", remedy=remedy
        )
    power = np.array([[s.cpu_power, s.gpu_power] for s in states])
    condition = float(np.linalg.cond(power))
    if not condition <= CONDITION_MOST:
        raise NotEnoughData(
            say(
                "resistance-processor-and-graphics-cannot-be-2",
                condition=min(condition, 1e4),
                condition_most=CONDITION_MOST,
            ),
            field="log",
            remedy=remedy,
        )
    weight = 1.0 / np.array([s.rise_u_k for s in states])
    a = power * weight[:, None]
    rises = np.array([[s.cpu_rise_k, s.gpu_rise_k] for s in states]) * weight[:, None]
    r, *_ = np.linalg.lstsq(a, rises, rcond=None)
    u = np.sqrt(np.diag(np.linalg.inv(a.T @ a)))
    (cc, gc), (cg, gg) = r
    if not (cc > 0 and gg > 0 and u[0] < RELATIVE_U_MOST * cc and u[1] < RELATIVE_U_MOST * gg):
        raise NotEnoughData(
            say("resistance-processor-and-graphics-cannot-be-3"),
            field="log",
            remedy=remedy,
        )
    u_c, u_g = float(u[0]), float(u[1])
    return Coupled(
        cpu=float(cc),
        cpu_from_gpu=float(cg),
        gpu_from_cpu=float(gc),
        gpu=float(gg),
        cpu_u=u_c,
        cpu_from_gpu_u=u_g,
        gpu_from_cpu_u=u_c,
        gpu_u=u_g,
        condition=condition,
    )


def _level(time: Series, values: Series) -> tuple[float, float] | None:
    """Level at the end of a phase and how far it may still be from steady [K]."""
    known = np.isfinite(values)
    time, values = time[known], values[known]
    if len(time) < 10:
        return None
    late = time >= time[-1] - max(30.0, 0.2 * (time[-1] - time[0]))
    level = float(values[late].mean())
    half = time >= time[0] + 0.3 * (time[-1] - time[0])
    fit = fit_approach(time[half] - time[half][0], values[half])
    length = float(time[-1] - time[half][0])
    if fit.tau_s < 3.0 * length and fit.end_se < 3.0:
        return fit.end, min(5.0, 0.5 * abs(fit.end - level) + fit.end_se)
    drift = abs(float(np.polyfit(time[late], values[late], 1)[0])) * length
    return level, min(10.0, drift)


def chip_resistances(trace: Trace, phases: Sequence[Phase], room_c: float, inside: Mask) -> ChipResistances:
    """Resistance of processor and graphics to the room, as far as the log tells.

    trace: the log
    phases: its load phases
    room_c: room [degC], -10 to 60
    inside: samples of the window that the steady figures come from (n,) [flag]
    raises: OutOfRange
    range: with one load state a chip counts as alone when the other takes less than 10 % of the power
    formula: alone dT / P with P the heat into the cooler; coupled as in couple()
    source: superposition in a linear network, textbook
    """
    require_room_c(room_c)
    roles = {
        "cpu": (Role.CPU_TEMPERATURE, Role.CPU_POWER),
        "gpu": (Role.GPU_TEMPERATURE if trace.has(Role.GPU_TEMPERATURE) else Role.GPU_HOTSPOT, Role.GPU_POWER),
    }
    whole = all(trace.has(r) for pair in roles.values() for r in pair)
    reason: Words = ""
    if whole and len({p.chip for p in phases}) > 1:
        try:
            coupled = couple(_states(trace, phases, room_c))
            return ChipResistances(coupled.cpu, coupled.gpu, coupled)
        except NotEnoughData as error:
            reason = listed((error.message, error.remedy), "space")

    def mean(role: Role) -> float | None:
        values = trace.get(role)
        found = values[inside][np.isfinite(values[inside])] if values is not None else np.array([])
        return float(found.mean()) if len(found) else None

    watts = {chip: mean(power) for chip, (_, power) in roles.items()}
    total = sum(w for w in watts.values() if w is not None) or mean(Role.TOTAL_POWER) or 0.0
    alone: dict[str, float] = {}
    for chip, (die_role, _) in roles.items():
        die, own = mean(die_role), watts[chip]
        if own is None and not trace.has(Role.CPU_POWER) and not trace.has(Role.GPU_POWER):
            own = total if trace.die_role is die_role else None
        if (
            die is not None
            and own is not None
            and total > 0
            and own >= (1.0 - OTHER_CHIP_SHARE) * total
            and die >= room_c
        ):
            alone[chip] = thermal_resistance(die - room_c, total)
    if not alone and total > 0 and not reason and all(w is not None for w in watts.values()):
        reason = say("resistance-processor-and-graphics-heat-cooler")
    return ChipResistances(alone.get("cpu"), alone.get("gpu"), None, reason)


def _states(trace: Trace, phases: Sequence[Phase], room_c: float) -> list[State]:
    die_g = Role.GPU_TEMPERATURE if trace.has(Role.GPU_TEMPERATURE) else Role.GPU_HOTSPOT
    out = []
    for phase in phases:
        inside = (trace.time_s >= phase.from_s + 15.0) & (trace.time_s <= phase.to_s)
        time = trace.time_s[inside]
        late = inside & (trace.time_s >= phase.from_s + 0.5 * (phase.to_s - phase.from_s))
        levels = [_level(time, trace.channels[r][inside]) for r in (Role.CPU_TEMPERATURE, die_g)]
        powers = [float(np.nanmean(trace.channels[r][late])) for r in (Role.CPU_POWER, Role.GPU_POWER)]
        if levels[0] is None or levels[1] is None or not np.isfinite(powers).all():
            continue
        u = float(np.hypot(LEVEL_U_K, max(levels[0][1], levels[1][1])))
        out.append(
            State(
                cpu_power=powers[0],
                gpu_power=powers[1],
                cpu_rise_k=levels[0][0] - room_c,
                gpu_rise_k=levels[1][0] - room_c,
                rise_u_k=u,
            )
        )
    return out
