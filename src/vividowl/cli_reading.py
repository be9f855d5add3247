"""The commands read, compare and noise: files in, words or JSON out. No database is needed."""

from __future__ import annotations

import json
from collections.abc import Sequence
from pathlib import Path
from typing import Any

import click

from vividowl.cli_said import write_line
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.findings import held_back_unknown
from vividowl.core.reading.limits import sensors_in
from vividowl.core.trace.roles import ROLE_KINDS
from vividowl.core.trace.sag import Minute
from vividowl.core.verdict.comparison import Comparison
from vividowl.service.measure.files import (
    CONDITION_KEYS,
    FileReading,
    RecordingReading,
    compare_files,
    read_file,
    read_recording,
)
from vividowl.service.workings.calculator import REQUIRED
from vividowl.service.workings.calculators import WORKINGS
from vividowl.service.workings.calculators import work as work_out
from vividowl.words import sentence, told

FILE = click.Path(path_type=Path)
# Effects that are those of one sensor.
OF_THE_DIE = frozenset(
    {"die_temperature", "rise", "resistance", "resistance_same_fan", "sustained_capacity", "throttle_share"}
)
AS_JSON = click.option("--json", "as_json", is_flag=True, help="JSON instead of words.")


def _rounded(value: Any) -> Any:  # noqa: ANN401
    """Six significant digits are more than any sensor gives."""
    if isinstance(value, float):
        return float(f"{value:.6g}")
    if isinstance(value, dict):
        return {k: _rounded(v) for k, v in value.items()}
    if isinstance(value, (list, tuple)):
        return [_rounded(v) for v in value]
    return value


def _print(values: dict[str, Any]) -> None:
    click.echo(json.dumps(_rounded(told(values)), ensure_ascii=False, indent=2))


def _minute(m: Minute) -> dict[str, float | None]:
    return {"power_W": m.power, "clock_MHz": m.clock_mhz, "die_C": m.die_c}


def reading_values(found: FileReading, limit_c: float | None = None) -> dict[str, Any]:
    """A reading under the fixed keys; null is "not known"."""
    r = found.reading
    chips = {"cpu": r.chips.cpu, "gpu": r.chips.gpu}
    coupled = r.chips.coupled
    return {
        "channels": [
            {"header": c.header, "role": c.role.value if c.role else None, "unit": c.unit} for c in found.channels
        ],
        "samples": r.samples,
        "duration_s": r.duration_s,
        "interval_s": r.interval_s,
        "load": {
            "onset_s": r.load.onset_s if r.load.seen else None,
            "boost_end_s": r.load.boost_end_s if r.load.boost_end_s > r.load.onset_s else None,
            "end_s": r.load.end_s if r.load.seen else None,
        },
        "phases": [{"chip": p.chip.value, "from_s": p.from_s, "to_s": p.to_s} for p in r.phases],
        "steady": {
            "from_s": r.window.from_s,
            "to_s": r.window.to_s,
            "settled": r.window.settled,
            "remaining_rise_K": r.window.remaining_rise_k,
            "final_C_estimate": r.window.final_c,
            "uncertainty_K": r.window.uncertainty_k,
            "minutes_needed": r.window.minutes_needed,
        },
        "stats": {
            role.value: {"mean": s.mean, "max": s.maximum, "p95": s.p95, "unit": ROLE_KINDS[role].unit}
            for role, s in r.stats.items()
        },
        "throttling": {
            "share": r.throttling.share,
            "reason": None if r.throttling.unknown is None else held_back_unknown(r.throttling.unknown),
            "episodes": r.throttling.episodes if r.throttling.share is not None else None,
            "first_s": r.throttling.first_s,
            "given_up_W": r.throttling.given_up_w,
            "given_up_MHz": r.throttling.given_up_mhz,
        },
        "sensors": [
            {
                "sensor": s.role.value,
                "limit_C": s.limit_c,
                "limit_noted": s.limit_noted,
                "end_C": s.end_c,
                "over_limit_K": s.over_limit_k,
            }
            for s in sensors_in(r, {} if limit_c is None else {r.die_role: limit_c})
        ],
        "core_spread_K": None if r.core_spread is None else r.core_spread.mean,
        "sag": {
            "minute_1": _minute(r.sag.minute_1),
            "minute_10": _minute(r.sag.minute_10),
            "difference": _minute(r.sag.difference),
        },
        "resistance_K_per_W": {chip: value for chip, value in chips.items() if value is not None},
        "coupled_K_per_W": None
        if coupled is None
        else {
            "cpu_from_cpu": coupled.cpu,
            "cpu_from_gpu": coupled.cpu_from_gpu,
            "gpu_from_cpu": coupled.gpu_from_cpu,
            "gpu_from_gpu": coupled.gpu,
            "condition": coupled.condition,
        },
        "network": [
            {"R_K_per_W": t.resistance, "tau_s": t.tau_s, "R_u_K_per_W": t.resistance_u, "tau_u_s": t.tau_u_s}
            for t in (r.response.terms if r.response else ())
        ],
        "findings": list(found.findings),
        "notices": list(found.notices),
    }


@click.command("read")
@click.argument("log", type=FILE)
@click.option("--room", type=float, help="Room temperature in °C; without it no resistance is known.")
@click.option("--limit", type=float, help="Temperature limit of the device in °C.")
@AS_JSON
def read(log: Path, room: float | None, limit: float | None, as_json: bool) -> None:
    """Read a sensor LOG: load, settled values, throttling, resistances, and what they say."""
    found = read_file(log, room, limit)
    if as_json:
        return _print(reading_values(found, limit))
    r = found.reading
    write_line("cli-read", name=log.name, samples=r.samples, duration_s=r.duration_s, interval_s=r.interval_s)
    for notice in found.notices:
        write_line("cli-mended", notice=notice)
    for text in found.findings:
        write_line("cli-item", text=text)
    return None


def _given(pairs: Sequence[str]) -> dict[str, str]:
    return _pairs(pairs, say("cli-keys", keys=listed(CONDITION_KEYS)))


def _pairs(pairs: Sequence[str], remedy: Words) -> dict[str, str]:
    out = {}
    for pair in pairs:
        key, equals, value = pair.partition("=")
        if not equals or not key.strip():
            raise click.UsageError(sentence(say("cli-not-key-value", pair=pair, remedy=remedy)))
        out[key.strip()] = value.strip()
    return out


def comparison_values(found: Comparison) -> dict[str, Any]:
    """A comparison under the fixed keys; null is "not known"."""
    die = found.sensors[0] if found.sensors else None
    return {
        "verdict": found.verdict.value,
        "headline": found.headline,
        "hidden_gain_K": found.hidden_gain_k,
        "assumes": [{"assumption": a.name, "state": a.standing.value, "why": a.why} for a in found.assumes],
        "effects": [
            {
                "quantity": e.quantity,
                "sensor": die.role.value if die is not None and e.quantity in OF_THE_DIE else None,
                "limit_C": die.limit_c if die is not None and e.quantity in OF_THE_DIE else None,
                "unit": e.unit,
                "before": e.before,
                "after": e.after,
                "difference": e.difference,
                "U95": e.u95,
                "shown": e.shown.value,
            }
            for e in found.effects
        ],
        "sensors": [
            {
                "sensor": s.role.value,
                "limit_C": s.limit_c,
                "limit_noted": s.limit_noted,
                "before_C": s.before_c,
                "after_C": s.after_c,
                "difference_K": s.difference_k,
                "U95_K": s.u95_k,
                "over_limit_K": s.over_limit_k,
                "shown": s.shown.value,
            }
            for s in found.sensors
        ],
        "reasons": list(found.reasons),
        "conditions": [
            {"condition": c.condition, "before": c.before, "after": c.after, "bearing": c.bearing.value, "text": c.text}
            for c in found.conditions
        ],
    }


@click.command("compare")
@click.argument("before", type=FILE)
@click.argument("after", type=FILE)
@click.option("--before-room", type=float, required=True, help="Room before in °C.")
@click.option("--after-room", type=float, required=True, help="Room after in °C.")
@click.option("--before", "before_given", multiple=True, metavar="KEY=VALUE", help="A condition of the run before.")
@click.option("--after", "after_given", multiple=True, metavar="KEY=VALUE", help="A condition of the run after.")
@click.option("--limit", type=float, help="Temperature limit of the device in °C.")
@AS_JSON
def compare(
    *,
    before: Path,
    after: Path,
    before_room: float,
    after_room: float,
    before_given: Sequence[str],
    after_given: Sequence[str],
    limit: float | None,
    as_json: bool,
) -> None:
    """Compare the logs BEFORE and AFTER a service.

    Conditions: load, fan, power_profile, placement, start, firmware, tuning.
    """
    found = compare_files(
        before,
        after,
        before_room_c=before_room,
        after_room_c=after_room,
        before_given=_given(before_given),
        after_given=_given(after_given),
        limit_c=limit,
    )
    if as_json:
        return _print(comparison_values(found))
    click.echo(sentence(found.headline))
    for reason in found.reasons:
        write_line("cli-item", text=reason)
    for e in found.effects:
        change = None if e.u95 is None else e.difference
        write_line("cli-effect", words=e.words, unit=e.unit, before=e.before, after=e.after, change=change, u95=e.u95)
    return None


def sound_values(found: RecordingReading) -> dict[str, Any]:
    """A recording under the fixed keys; null is "not known"."""
    s = found.sound
    return {
        "LAeq_dB": s.laeq_db,
        "LAFmax_dB": s.lafmax_db,
        "L10_dB": s.l10_db,
        "L90_dB": s.l90_db,
        "calibrated": s.calibrated,
        "tones": [
            {"frequency_Hz": t.frequency_hz, "prominence_dB": t.prominence_db, "prominent": t.prominent}
            for t in s.tones
        ],
        "fan_rpm": found.fan.rpm if found.fan else None,
        "whines_Hz": [t.frequency_hz for t in found.whines],
        "third_octaves": [{"centre_Hz": b.centre_hz, "level_dB": b.level_db} for b in s.bands],
        "duration_s": s.duration_s,
        "faults": list(s.faults),
    }


@click.command("noise")
@click.argument("wav", type=FILE)
@click.option("--reference", type=FILE, help="Recording of a known level, same microphone and gain.")
@click.option("--reference-db", type=float, help="Level that the meter showed during the reference, dB(A).")
@click.option("--blades", type=int, help="Blades of the fan, to tell its speed.")
@AS_JSON
def noise(*, wav: Path, reference: Path | None, reference_db: float | None, blades: int | None, as_json: bool) -> None:
    """Read a recording WAV: levels, tones, fan speed."""
    found = read_recording(wav, reference, reference_db, blades)
    if as_json:
        return _print(sound_values(found))
    s = found.sound
    for fault in s.faults:
        write_line("cli-item", text=fault)
    if s.laeq_db is None:
        return None
    levels = {"laeq": s.laeq_db, "lafmax": s.lafmax_db, "l10": s.l10_db, "l90": s.l90_db}
    write_line("cli-levels", **levels, calibrated=s.calibrated)
    for tone in s.tones[:5]:
        write_line("cli-tone", hz=tone.frequency_hz, over_db=tone.prominence_db, prominent=tone.prominent)
    if found.fan:
        write_line("cli-fan", rpm=found.fan.rpm, hz=found.fan.blade_pass_hz)
    elif blades is not None:
        write_line("cli-fan-not-known")
    for tone in found.whines:
        write_line("cli-whine", hz=tone.frequency_hz)
    return None


@click.command("work")
@click.argument("name", required=False)
@click.argument("given", nargs=-1, metavar="KEY=VALUE …")
@AS_JSON
def work(name: str | None, given: Sequence[str], as_json: bool) -> None:
    """Work out NAME from its inputs; without a name the list of them."""
    if name is None:
        for each in WORKINGS.values():
            keys = " ".join(i.key if i.default is REQUIRED else f"[{i.key}]" for i in each.inputs)
            click.echo(f"{each.name:11} {keys}\n{'':11} {sentence(each.words)}")
        return None
    found = work_out(name, _pairs(given, say("cli-work-keys")))
    if as_json:
        return _print(found)
    for place in found.pop("placements", ()):
        write_line(
            "cli-piece",
            piece=place["piece"] + 1,
            sheet=place["sheet"] + 1,
            x_mm=place["x_mm"],
            y_mm=place["y_mm"],
            turned=place["rotated"],
        )
    for key, value in found.items():
        text = "yes" if value is True else "no" if value is False else value
        if isinstance(value, (list, tuple)):
            text = (" + " if isinstance(value, list) else " x ").join(f"{v:g}" for v in value)
        click.echo(f"{key}: {text:.4g}" if isinstance(text, float) else f"{key}: {text}")
    return None
