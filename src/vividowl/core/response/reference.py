"""What a response is judged against: this device's own last visit, else others of its model, else its class."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.errors import require_range
from vividowl.core.response.terms import Response

# Healthy devices of a class: share of the rise faster than 3 s and slower than 120 s. From memory.
CLASS_TYPICAL = {"laptop": (0.20, 0.25), "console": (0.22, 0.20), "handheld": (0.25, 0.30), "other": (0.22, 0.25)}
POOR_OVER_TYPICAL = 1.5
SLOW_OVER_TYPICAL = 1.6
CHANGED_SHARE = 0.15
INTERFACE_SHARE_POOR = 1.0 / 3.0
NOT_TOLD = (
    "Where the heat stops is not told by this log: die, paste and base answer as one, as under a thick lid, with a "
    "sensor that smooths, or with seconds between the lines. A probe on the heatsink would tell."
)


class Source(StrEnum):
    """Where the reference comes from, best first."""

    OWN_LAST_VISIT = "own last visit"
    SAME_MODEL = "same model"
    CLASS_TYPICAL = "class-typical, from memory"


@dataclass(frozen=True)
class Reference:
    """source; interface_share, slow_share: of the rise [1]; interface, total: resistances [K/W] or None for a class;
    devices: how many it was taken from."""

    source: Source
    interface_share: float
    slow_share: float
    interface: float | None = None
    total: float | None = None
    devices: int = 0


@dataclass(frozen=True)
class Judgement:
    """interface_poor, slow_part_large: against the reference; text: the finding in words."""

    interface_poor: bool
    slow_part_large: bool
    text: str


def class_reference(kind: str) -> Reference:
    """The typical values of a class of devices.

    kind: laptop, console, handheld; anything else counts as other [text]
    returns: Reference
    source: from memory
    """
    fast, slow = CLASS_TYPICAL.get(kind, CLASS_TYPICAL["other"])
    return Reference(Source.CLASS_TYPICAL, fast, slow)


def reference_from(responses: list[Response], source: Source) -> Reference | None:
    """A reference from readings of healthy devices: the medians. None when there are none.

    responses: readings after earlier services (n,)
    source: own last visit or same model
    returns: Reference or None
    source: common practice, no source
    """
    usable = sorted((r for r in responses if r.total > 0), key=lambda r: r.total)
    if not usable:
        return None

    def middle(values: list[float]) -> float:
        ordered = sorted(values)
        half = len(ordered) // 2
        return ordered[half] if len(ordered) % 2 else 0.5 * (ordered[half - 1] + ordered[half])

    return Reference(
        source, middle([r.interface / r.total for r in usable]), middle([r.chassis / r.total for r in usable]),
        middle([r.interface for r in usable]), middle([r.total for r in usable]), len(usable),
    )  # fmt: skip


_FRACTIONS = ((0.1, "A tenth"), (0.2, "One fifth"), (0.25, "A quarter"), (1 / 3, "One third"), (0.4, "Two fifths"),
              (0.5, "Half"), (0.6, "Three fifths"), (2 / 3, "Two thirds"), (0.75, "Three quarters"))  # fmt: skip


def share_words(share: float) -> str:
    """A share as people say it, with "about" where it is not quite that.

    share: share [1], 0 to 1
    returns: words [text]
    raises: OutOfRange
    source: common practice, no source
    """
    require_range("share", share, "", 0.0, 1.0)
    near, words = min(_FRACTIONS, key=lambda pair: abs(pair[0] - share))
    if share < 0.07:
        return "Hardly any"
    if abs(near - share) > 0.035:
        return f"{100 * share:.0f} %"
    return words if abs(near - share) < 0.015 else f"About {words[0].lower()}{words[1:]}"


def judge_response(response: Response, reference: Reference, total: float | None = None) -> Judgement:
    """Say where the heat stops, against a reference that is named.

    response: the fitted response
    reference: what it is compared with
    total: steady resistance to the room [K/W], None for the sum of the response
    returns: Judgement
    formula: interface poor above 1.5 times the reference (share, or K/W where known); slow part large above 1.6 times
    source: common practice, no source
    """
    if not response.tells_interface:
        return Judgement(False, False, NOT_TOLD)
    whole = total if total is not None and total > response.interface else response.total
    share, slow = min(1.0, response.interface / whole), response.chassis / whole
    start = f"{share_words(share)} of the rise appears within seconds of the load"
    if reference.interface is not None and reference.total is not None:
        ratio = response.interface / reference.interface if reference.interface > 0 else float("inf")
        poor = ratio > POOR_OVER_TYPICAL and response.interface - reference.interface > 2 * response.interface_whole_u
        behind, behind_then = whole - response.interface, reference.total - reference.interface
        large = behind > (1 + 2 * CHANGED_SHARE) * behind_then
        basis = f"{response.interface:.2f} K/W against {reference.interface:.2f} K/W, {reference.source}"
    else:
        poor = share - 2 * response.interface_whole_u / whole > POOR_OVER_TYPICAL * reference.interface_share
        large = response.tells_slow_part and slow > SLOW_OVER_TYPICAL * reference.slow_share and not poor
        basis = f"{100 * reference.interface_share:.0f} % is usual, {reference.source}"
    if poor:
        said = "the interface is poor; heatsink and fins are " + ("slow too" if large else "fine")
    elif large:
        said = (
            "the interface is fine; the heat stops behind it: dust, blocked vents, a fan that does not turn up, or a "
            "case that sheds no more"
        )
    else:
        said = "neither the interface nor what is behind it stands out"
    return Judgement(poor, large, f"{start} ({basis}): {said}.")
