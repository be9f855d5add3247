"""Which column of a log is what: recognised by its name and unit, always open to correction."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.words import Words, say


class Role(StrEnum):
    """What a channel measures."""

    CPU_TEMPERATURE = "cpu_temperature"
    GPU_TEMPERATURE = "gpu_temperature"
    GPU_HOTSPOT = "gpu_hotspot"
    CORE_TEMPERATURE = "core_temperature"
    MEMORY_TEMPERATURE = "memory_temperature"
    REGULATOR_TEMPERATURE = "regulator_temperature"
    DRIVE_TEMPERATURE = "drive_temperature"
    SKIN_TEMPERATURE = "skin_temperature"
    CPU_POWER = "cpu_power"
    GPU_POWER = "gpu_power"
    TOTAL_POWER = "total_power"
    CPU_CLOCK = "cpu_clock"
    GPU_CLOCK = "gpu_clock"
    CPU_UTILISATION = "cpu_utilisation"
    GPU_UTILISATION = "gpu_utilisation"
    FAN_SPEED = "fan_speed"
    HEATSINK_TEMPERATURE = "heatsink_temperature"
    EXHAUST_TEMPERATURE = "exhaust_temperature"
    ROOM_TEMPERATURE = "room_temperature"
    THROTTLE_FLAG = "throttle_flag"
    FRAME_TIME = "frame_time"
    FRAME_RATE = "frame_rate"


@dataclass(frozen=True)
class RoleKind:
    """words: how the role is called on screen; unit: the unit it is kept in; units: what a header may say."""

    words: Words
    unit: str
    units: tuple[str, ...]


_TEMPERATURE_UNITS = ("°C", "°F", "")
ROLE_KINDS: dict[Role, RoleKind] = {
    Role.CPU_TEMPERATURE: RoleKind(say("role-cpu_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.GPU_TEMPERATURE: RoleKind(say("role-gpu_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.GPU_HOTSPOT: RoleKind(say("role-gpu_hotspot"), "°C", _TEMPERATURE_UNITS),
    Role.CORE_TEMPERATURE: RoleKind(say("role-core_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.MEMORY_TEMPERATURE: RoleKind(say("role-memory_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.REGULATOR_TEMPERATURE: RoleKind(say("role-regulator_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.DRIVE_TEMPERATURE: RoleKind(say("role-drive_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.SKIN_TEMPERATURE: RoleKind(say("role-skin_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.CPU_POWER: RoleKind(say("role-cpu_power"), "W", ("W", "mW", "kW", "")),
    Role.GPU_POWER: RoleKind(say("role-gpu_power"), "W", ("W", "mW", "kW", "")),
    Role.TOTAL_POWER: RoleKind(say("role-total_power"), "W", ("W", "mW", "kW", "")),
    Role.CPU_CLOCK: RoleKind(say("role-cpu_clock"), "MHz", ("MHz", "GHz", "")),
    Role.GPU_CLOCK: RoleKind(say("role-gpu_clock"), "MHz", ("MHz", "GHz", "")),
    Role.CPU_UTILISATION: RoleKind(say("role-cpu_utilisation"), "%", ("%", "")),
    Role.GPU_UTILISATION: RoleKind(say("role-gpu_utilisation"), "%", ("%", "")),
    Role.FAN_SPEED: RoleKind(say("role-fan_speed"), "rpm", ("rpm", "")),
    Role.HEATSINK_TEMPERATURE: RoleKind(say("role-heatsink_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.EXHAUST_TEMPERATURE: RoleKind(say("role-exhaust_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.ROOM_TEMPERATURE: RoleKind(say("role-room_temperature"), "°C", _TEMPERATURE_UNITS),
    Role.THROTTLE_FLAG: RoleKind(say("role-throttle_flag"), "", ("", "Yes/No")),
    Role.FRAME_TIME: RoleKind(say("role-frame_time"), "ms", ("ms", "us", "s", "")),
    Role.FRAME_RATE: RoleKind(say("role-frame_rate"), "/s", ("/s", "")),
}
DIE_ROLES = (Role.CPU_TEMPERATURE, Role.GPU_TEMPERATURE, Role.GPU_HOTSPOT)
# Each of these is judged by itself, in the order in which they are told.
JUDGED_ROLES = (
    Role.CPU_TEMPERATURE,
    Role.GPU_TEMPERATURE,
    Role.GPU_HOTSPOT,
    Role.CORE_TEMPERATURE,
    Role.MEMORY_TEMPERATURE,
    Role.REGULATOR_TEMPERATURE,
    Role.DRIVE_TEMPERATURE,
    Role.SKIN_TEMPERATURE,
    Role.HEATSINK_TEMPERATURE,
    Role.EXHAUST_TEMPERATURE,
)
# Several columns may be one of these: the hottest of them counts, and their spread is kept beside it.
MANY_ROLES = frozenset({Role.CORE_TEMPERATURE})

_CPU = r"\b(cpu|processor|package|pkg|core|cores|apu|soc|die)\b"
_GPU = r"\b(gpu|graphics|gfx|igpu|dgpu|video)\b"
_TEMP = r"\b(temp|temps|temperature|thermal|tdie|tctl|diode)\b"
# Words that make a column something else although the rest of its name fits.
_NOT_DIE = (
    r"\b(limit|max|min|target|distance|margin|throttling|throttle|ssd|disk|drive|nvme|vrm|memory|mem|vram|pch|"
    r"battery|skin|ambient|room|exhaust|outlet|heatsink|sink|fin|fins|inlet|intake|average)\b"
)
_NOT_SENSOR = r"\b(limit|max|min|target|distance|margin|throttling|throttle|power|clock|usage|load|average)\b"
# What a logger has worked out of many frames is no frame: a low, a percentile, a display's own time.
_NOT_FRAME = r"\b(low|lows|min|max|target|limit|display|displayed|render|gpu|cpu|percentile|p\d+|9\d)\b|[%]"
_PATTERNS: tuple[tuple[Role, tuple[str, ...], str], ...] = (
    (Role.FRAME_TIME, (r"\bframe ?times?\b",), _NOT_FRAME),
    (Role.FRAME_RATE, (r"\b(frame ?rate|fps|frames per second)\b",), _NOT_FRAME),
    (Role.THROTTLE_FLAG, (r"\b(throttl\w*|prochot)\b",), r"\b(temp|temperature|limit|distance)\b"),
    (Role.MEMORY_TEMPERATURE, (r"\b(memory|mem|vram|dram|dimm)\b", rf"{_TEMP}|\bjunction\b|°"), _NOT_SENSOR),
    (
        Role.REGULATOR_TEMPERATURE,
        (r"\b(vrm|vrms|regulator|regulators|mosfet|mosfets|mos)\b", rf"{_TEMP}|°"),
        _NOT_SENSOR,
    ),
    (Role.DRIVE_TEMPERATURE, (r"\b(ssd|nvme|drive|disk|hdd)\b", rf"{_TEMP}|°"), _NOT_SENSOR),
    (Role.SKIN_TEMPERATURE, (r"\b(skin|palm ?rest|bottom cover|chassis|keyboard)\b", rf"{_TEMP}|°"), _NOT_SENSOR),
    (Role.GPU_HOTSPOT, (r"\b(hotspot|hot spot|junction)\b",), r"\b(limit|max|min|memory|mem|vram)\b"),
    (
        Role.HEATSINK_TEMPERATURE,
        (r"\b(heatsink|heat sink|cold plate|coldplate|sink|probe)\b",),
        r"\b(room|exhaust)\b",
    ),
    (Role.EXHAUST_TEMPERATURE, (r"\b(exhaust|outlet|vent|air out)\b",), r"\b(limit)\b"),
    (Role.ROOM_TEMPERATURE, (r"\b(room|ambient|intake|inlet)\b",), r"\b(limit)\b"),
    (Role.FAN_SPEED, (r"\b(fan|fans|blower|rpm|tach)\b",), r"\b(pwm|duty|percent|target|limit)\b"),
    (
        Role.GPU_POWER,
        (_GPU, r"\b(power|watt|watts|w|draw|tgp|tdp)\b"),
        r"\b(limit|max|min|target|memory|mem)\b",
    ),
    (
        Role.CPU_POWER,
        (_CPU, r"\b(power|watt|watts|w|draw|tdp)\b"),
        r"\b(limit|max|min|target|gt|dram|memory|gpu)\b",
    ),
    (
        Role.TOTAL_POWER,
        (r"\b(total|system|board|wall|platform)\b", r"\b(power|watt|watts)\b"),
        r"\b(limit|max|min)\b",
    ),
    (
        Role.GPU_CLOCK,
        (_GPU, r"\b(clock|clk|freq|frequency|mhz|ghz)\b"),
        r"\b(limit|max|min|mem|memory|vram)\b",
    ),
    (
        Role.CPU_CLOCK,
        (_CPU, r"\b(clock|clk|freq|frequency|mhz|ghz|clocks)\b"),
        r"\b(limit|max|min|bus|gpu|uncore|ring|memory)\b",
    ),
    (
        Role.GPU_UTILISATION,
        (_GPU, r"\b(util|utilisation|utilization|usage|load|busy)\b"),
        r"\b(limit|max|min|mem|memory|vram|video)\b",
    ),
    (
        Role.CPU_UTILISATION,
        (_CPU, r"\b(util|utilisation|utilization|usage|load|busy)\b"),
        r"\b(limit|max|min|memory|gpu)\b",
    ),
    (Role.GPU_TEMPERATURE, (_GPU, rf"{_TEMP}|°"), _NOT_DIE),
    (Role.CPU_TEMPERATURE, (_CPU, rf"{_TEMP}|°"), _NOT_DIE),
    (Role.GPU_TEMPERATURE, (_GPU,), _NOT_DIE),
    (Role.CPU_TEMPERATURE, (_CPU,), _NOT_DIE),
)
_COMPILED = tuple(
    (role, tuple(re.compile(p) for p in needed), re.compile(barred)) for role, needed, barred in _PATTERNS
)
_PREFERRED = r"\b(package|pkg|total|overall|tdie|average|avg|effective)\b"
_SINGLE = r"(#\s*\d|\b(core|fan|p|e)[ _]?\d+\b|\b[pe] core\b)"
_ONE_CORE = r"\bcores? ?#? ?\d+\b"
_UNIT_WORDS = {
    "min": "min",
    "minutes": "min",
    "h": "h",
    "us": "us",
    "µs": "us",
    "ns": "ns",
    "kw": "kW",
    "kilowatt": "kW",
    "c": "°C",
    "°c": "°C",
    "degc": "°C",
    "celsius": "°C",
    "deg c": "°C",
    "f": "°F",
    "°f": "°F",
    "degf": "°F",
    "fahrenheit": "°F",
    "deg f": "°F",
    "w": "W",
    "watt": "W",
    "watts": "W",
    "mw": "mW",
    "milliwatts": "mW",
    "mhz": "MHz",
    "ghz": "GHz",
    "%": "%",
    "percent": "%",
    "pct": "%",
    "rpm": "rpm",
    "1/min": "rpm",
    "u/min": "rpm",
    "v": "V",
    "mv": "mV",
    "a": "A",
    "ma": "mA",
    "s": "s",
    "ms": "ms",
    "yes/no": "Yes/No",
    "db": "dB",
    "k": "K",
    "mb": "MB",
    "mt/s": "MT/s",
    "j": "J",
    "wh": "Wh",
    "x": "x",
    "fps": "/s",
    "1/s": "/s",
    "/s": "/s",
}


CONFIDENCE_BY_UNIT = 0.5  # of a role told by its unit alone; from memory
# The only column of a unit is what a logger of that unit is there for.
_BY_UNIT_ALONE: tuple[tuple[Role, str, str], ...] = (
    (Role.FAN_SPEED, "rpm", r"\b(limit|max|min|target|disk|drive)\b"),
    (Role.CPU_POWER, "W", r"\b(limit|max|min|target|memory|mem|battery|charge|gpu|graphics)\b"),
    (Role.CPU_CLOCK, "MHz", r"\b(limit|max|min|bus|mem|memory|ring|gpu|graphics)\b"),
    (Role.CPU_TEMPERATURE, "°C", _NOT_DIE + r"|\b(gpu|graphics)\b"),
)


@dataclass(frozen=True)
class ChannelGuess:
    """header: as written in the file; role: or None when not understood; unit: as the header says, "" if silent;
    confidence: 0 to 1, by how much of the name was understood."""

    header: str
    role: Role | None
    unit: str
    confidence: float


def unit_of(header: str, unit_row: str = "") -> str:
    """Unit written in a header or in the row of units beneath it.

    header: column header [text]
    unit_row: cell of the unit row [text], "" when there is none
    returns: canonical unit [text], "" when the header is silent
    source: common practice, no source
    """
    brackets = [*re.findall(r"[\[(]([^\])]*)[\])]", header)[::-1], unit_row.strip(" []()")]
    trail = re.search(r"[_\s,](degc|degf|c|f|w|mw|mhz|ghz|rpm|pct|percent|%|°c|°f|s|ms)$", header.strip().lower())
    for candidate in [*brackets, trail.group(1) if trail else ""]:
        unit = _UNIT_WORDS.get(candidate.strip().lower().replace("º", "°").replace("\u00b0", "°"))
        if unit:
            return unit
    return ""


def is_one_core(header: str) -> bool:
    """Whether a heading names one core of several.

    header: as written [text]
    returns: True when it does [flag]
    source: common practice, no source
    """
    return bool(re.search(_ONE_CORE, _words(header)))


def _other_cores(
    headers: Sequence[str], units: Sequence[str], chosen: Mapping[int, tuple[Role, float]]
) -> list[tuple[int, float]]:
    """Columns of single cores beside the one that counts as the processor, where there are several."""
    _, wanted, unwanted = next(p for p in _COMPILED if p[0] is Role.CPU_TEMPERATURE)
    cores = []
    for index, header in enumerate(headers):
        words = _words(header)
        fits = all(p.search(words) or p.search(header) for p in wanted) and not unwanted.search(words)
        if fits and is_one_core(header) and units[index] in _TEMPERATURE_UNITS:
            cores.append(index)
    return [(index, 0.6) for index in cores if index not in chosen] if len(cores) > 1 else []


def _words(header: str) -> str:
    bare = re.sub(r"[\[(][^\])]*[\])]", " ", header)
    bare = re.sub(r"(?<=[a-z])(?=[A-Z])", " ", bare)
    return re.sub(r"[^a-z0-9#°]+", " ", bare.lower()).strip()


def recognise(headers: Sequence[str], unit_rows: Sequence[str] = ()) -> tuple[ChannelGuess, ...]:
    """Guess the role of each column; a role is given to one column only, the most telling one.

    headers: column headers (n,) [text]
    unit_rows: cells of the unit row (n,) [text] or empty
    returns: one ChannelGuess a header (n,); single cores beside the processor share one role
    source: common practice, no source
    """
    units = [unit_of(h, unit_rows[i] if i < len(unit_rows) else "") for i, h in enumerate(headers)]
    best: dict[Role, tuple[float, int]] = {}
    for index, (header, unit) in enumerate(zip(headers, units, strict=True)):
        words = _words(header)
        for role, wanted, unwanted in _COMPILED:
            if unit not in ROLE_KINDS[role].units:
                continue
            if not all(p.search(words) or p.search(header) for p in wanted) or unwanted.search(words):
                continue
            score = 0.6 + 0.2 * bool(unit) + 0.15 * bool(re.search(_PREFERRED, words)) - 0.01 * len(words.split())
            score -= 0.25 * bool(re.search(_SINGLE, words))
            score -= 0.2 * (len(wanted) == 1 and role in DIE_ROLES and not unit)
            if role not in best or score > best[role][0]:
                best[role] = (score, index)
            break
    for role, unit, barred in _BY_UNIT_ALONE:
        same = [i for i, u in enumerate(units) if u == unit and not re.search(barred, _words(headers[i]))]
        rivals = {role} | ({Role.GPU_POWER, Role.TOTAL_POWER} if unit == "W" else set())
        if len(same) == 1 and not rivals & set(best) and same[0] not in {i for _, i in best.values()}:
            best[role] = (CONFIDENCE_BY_UNIT, same[0])
    chosen = {index: (role, score) for role, (score, index) in best.items()}
    for index, score in _other_cores(headers, units, chosen):
        chosen[index] = (Role.CORE_TEMPERATURE, score)
    return tuple(
        ChannelGuess(
            header,
            chosen[i][0] if i in chosen else None,
            units[i],
            round(min(0.99, max(0.1, chosen[i][1])), 2) if i in chosen else 0.0,
        )
        for i, header in enumerate(headers)
    )
