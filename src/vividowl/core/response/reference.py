"""What a response is judged against: this device's own last visit, else others of its model, else its class."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, say
from vividowl.core.response.terms import Response

# Healthy devices of a class: share of the rise faster than 3 s and slower than 120 s. From memory.
CLASS_TYPICAL = {"laptop": (0.20, 0.25), "console": (0.22, 0.20), "handheld": (0.25, 0.30), "other": (0.22, 0.25)}
POOR_OVER_TYPICAL = 1.5  # ratio from which an interface is poor; from memory
SLOW_OVER_TYPICAL = 1.6  # ratio from which the slow part is large; from memory
CHANGED_SHARE = 0.15  # of a device against its last visit; from memory
INTERFACE_SHARE_POOR = 1.0 / 3.0  # of the whole rise; common practice, no source
NOT_TOLD = say("reference-where-heat-stops-not-told")


class Source(StrEnum):
    """Where the reference comes from, best first."""

    OWN_LAST_VISIT = "own last visit"
    SAME_MODEL = "same model"
    CLASS_TYPICAL = "class-typical, from memory"

    @property
    def words(self) -> Words:
        """How it is called."""
        return say(f"source-{self.name.lower()}")


@dataclass(frozen=True, kw_only=True)
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
    text: Words


def class_reference(kind: str) -> Reference:
    """The typical values of a class of devices.

    kind: laptop, console, handheld; anything else counts as other [text]
    source: from memory
    """
    fast, slow = CLASS_TYPICAL.get(kind, CLASS_TYPICAL["other"])
    return Reference(source=Source.CLASS_TYPICAL, interface_share=fast, slow_share=slow)


def reference_from(responses: list[Response], source: Source) -> Reference | None:
    """A reference from readings of healthy devices: the medians. None when there are none.

    responses: readings after earlier services (n,)
    source: own last visit or same model
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
        source=source,
        interface_share=middle([r.interface / r.total for r in usable]),
        slow_share=middle([r.chassis / r.total for r in usable]),
        interface=middle([r.interface for r in usable]),
        total=middle([r.total for r in usable]),
        devices=len(usable),
    )


_FRACTIONS: tuple[tuple[float, Words], ...] = (
    (0.1, say("reference-tenth")),
    (0.2, say("reference-one-fifth")),
    (0.25, say("reference-quarter")),
    (1 / 3, say("reference-one-third")),
    (0.4, say("reference-two-fifths")),
    (0.5, say("reference-half")),
    (0.6, say("reference-three-fifths")),
    (2 / 3, say("reference-two-thirds")),
    (0.75, say("reference-three-quarters")),
)


def share_words(share: float) -> Words:
    """A share as people say it, with "about" where it is not quite that.

    share: share [1], 0 to 1
    raises: OutOfRange
    source: common practice, no source
    """
    require_range("share", share, "", (0.0, 1.0))
    near, words = min(_FRACTIONS, key=lambda pair: abs(pair[0] - share))
    if share < 0.07:
        return say("reference-hardly-any")
    if abs(near - share) > 0.035:
        return say("reference-share", percent=100 * share)
    return words if abs(near - share) < 0.015 else say("reference-about", words=words)


def judge_response(response: Response, reference: Reference, total: float | None = None) -> Judgement:
    """Say where the heat stops, against a reference that is named.

    response: the fitted response
    reference: what it is compared with
    total: steady resistance to the room [K/W], None for the sum of the response
    formula: interface poor above 1.5 times the reference (share, or K/W where known); slow part large above 1.6 times
    source: common practice, no source
    """
    if not response.tells_interface:
        return Judgement(False, False, NOT_TOLD)
    whole = total if total is not None and total > response.interface else response.total
    share, slow = min(1.0, response.interface / whole), response.chassis / whole
    start = say("reference-rise-appears-within-seconds-load", share=share_words(share))
    if reference.interface is not None and reference.total is not None:
        ratio = response.interface / reference.interface if reference.interface > 0 else float("inf")
        poor = ratio > POOR_OVER_TYPICAL and response.interface - reference.interface > 2 * response.interface_whole_u
        behind, behind_then = whole - response.interface, reference.total - reference.interface
        large = behind > (1 + 2 * CHANGED_SHARE) * behind_then
        basis = say(
            "reference-k-w-against-k-w",
            interface=response.interface,
            reference_interface=reference.interface,
            source=reference.source.words,
        )
    else:
        poor = share - 2 * response.interface_whole_u / whole > POOR_OVER_TYPICAL * reference.interface_share
        large = response.tells_slow_part and slow > SLOW_OVER_TYPICAL * reference.slow_share and not poor
        basis = say("reference-usual", interface_share=100 * reference.interface_share, source=reference.source.words)
    if poor:
        said = say("reference-interface-poor", slow=large)
    elif large:
        said = say("reference-interface-fine-heat-stops-behind")
    else:
        said = say("reference-neither-interface-nor-what-behind")
    return Judgement(poor, large, say("reference-judged", start=start, basis=basis, said=said))
