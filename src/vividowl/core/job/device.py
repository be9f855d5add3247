"""What is chosen from a list where a device is taken in: the store checks it, the page offers it, the rules read it."""

from __future__ import annotations

from enum import StrEnum


class DeviceKind(StrEnum):
    """What comes to the bench."""

    LAPTOP = "laptop"
    CONSOLE = "console"
    HANDHELD = "handheld"
    OTHER = "other"


class WhereUsed(StrEnum):
    """Where it is used, as the owner says it."""

    UNKNOWN = "unknown"
    DESK = "desk"
    STAND = "stand"
    DOCK = "dock"
    LAP = "lap"
    HAND = "hand"


class Answer(StrEnum):
    """What somebody knows of a thing."""

    UNKNOWN = "unknown"
    YES = "yes"
    NO = "no"


class Surroundings(StrEnum):
    """What the air is like where it lives."""

    NORMAL = "normal"
    DUSTY = "dusty"
    PETS = "pets"
    SMOKE = "smoke"
    UNKNOWN = "unknown"


class Warranty(StrEnum):
    """Whether the maker still stands for it."""

    RUNNING = "running"
    OVER = "over"
    UNKNOWN = "unknown"


class Seal(StrEnum):
    """The maker's seal over a screw."""

    INTACT = "intact"
    BROKEN = "broken"
    NONE = "none"
    UNKNOWN = "unknown"


class RunSide(StrEnum):
    """Which side of a service a run stands for: the reference of the first state, of the latest, or neither."""

    BEFORE = "before"
    AFTER = "after"
    OTHER = "other"


REFERENCES = (RunSide.BEFORE, RunSide.AFTER)


class StateCause(StrEnum):
    """What made a state of a device: as it came in, its interface was fitted, another attempt, a tuning step, another
    firmware, heat cycles since, opened again, or told in words after the fact."""

    FOUND = "found"
    FITTED = "fitted"
    ATTEMPT = "attempt"
    TUNED = "tuned"
    FIRMWARE = "firmware"
    CYCLED = "cycled"
    REOPENED = "reopened"
    TOLD = "told"


class Start(StrEnum):
    """How warm a run began; empty where nobody noted it."""

    NOT_NOTED = ""
    COLD = "cold"
    WARM = "warm"


class Spot(StrEnum):
    """Where a thermometer is held."""

    EXHAUST = "exhaust"
    SKIN = "skin"
    HEATSINK = "heatsink"


class Target(StrEnum):
    """Where a part goes."""

    CPU_DIE = "cpu_die"
    GPU_DIE = "gpu_die"
    MEMORY = "memory"
    REGULATORS = "regulators"
    INDUCTORS = "inductors"
    COVER = "cover"
    OTHER = "other"


class Cleaned(StrEnum):
    """What is cleaned or looked after."""

    FINS = "fins"
    FAN = "fan"
    CONTACT = "contact"
    VENTS = "vents"
    OLD_INTERFACE = "old_interface"
    PADS_CHECKED = "pads_checked"


class AmountIs(StrEnum):
    """How an amount is known."""

    PLANNED = "planned"
    WEIGHED = "weighed"
    TYPED = "typed"


class StockUnit(StrEnum):
    """What a product is counted in."""

    GRAM = "g"
    MILLILITRE = "mL"
    SHEET = "sheet"
    PIECE = "piece"


class Role(StrEnum):
    """What a member may do."""

    OWNER = "owner"
    TECHNICIAN = "technician"
