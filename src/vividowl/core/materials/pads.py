"""Pads for a gap: thickness, stack, and the compression it gets over the gap's whole tolerance."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations_with_replacement

from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.words import Words, say

PAD_THICKNESSES_MM = (0.5, 1.0, 1.5, 2.0, 2.5, 3.0)  # [mm] that are sold; common practice, no source
STACK_MOST = 2  # pads over each other; more slide; from memory
MIN_COMPRESSION, MAX_COMPRESSION = 0.10, 0.30  # share of its thickness; common practice, no source


@dataclass(frozen=True, kw_only=True)
class PadChoice:
    """thickness_mm: of the whole stack; stack_mm: its pads; compression_min and compression_max: share by which it is
    pressed at the widest and at the narrowest gap; fits: whether both lie within the pad's window."""

    thickness_mm: float
    stack_mm: tuple[float, ...]
    compression_min: float
    compression_max: float
    fits: bool


def choose_pad(
    gap_mm: float,
    tolerance_mm: float,
    min_compression: float = MIN_COMPRESSION,
    max_compression: float = MAX_COMPRESSION,
) -> PadChoice:
    """The pad, or stack of two, for a gap.

    gap_mm: gap between part and cooler [mm], 0.1 or more
    tolerance_mm: how far it may be off either way [mm], 0 to below the gap
    min_compression: least compression of the pad [1], 0 to 0.9
    max_compression: largest compression of the pad [1], above the least, up to 0.9
    returns: PadChoice; the nearest one with fits False when none stays in the window over the whole tolerance
    raises: OutOfRange, also for a gap that no stack can fill
    formula: c = 1 - gap / t at gap +- tolerance; a single pad before a stack, then nearest to the middle of the window
    source: common practice, no source
    """
    require_range("gap_mm", gap_mm, "mm", (0.1, 100.0), hint=say("pads-measure-with-ball-putty-and"))
    require_range("tolerance_mm", tolerance_mm, "mm", (0.0, 10.0))
    if tolerance_mm >= gap_mm:
        raise OutOfRange(
            say("pads-tolerance-mm-as-large-as", tolerance_mm=tolerance_mm, gap_mm=gap_mm), field="tolerance_mm"
        )
    require_range("min_compression", min_compression, "", (0.0, 0.9), hint=say("pads-give-share-for"))
    if not min_compression < max_compression <= 0.9:
        raise OutOfRange(
            say(
                "pads-largest-compression-must-lie-above",
                max_compression=max_compression,
                min_compression=min_compression,
            ),
            field="max_compression",
        )
    widest = STACK_MOST * PAD_THICKNESSES_MM[-1] * (1.0 - min_compression)
    if gap_mm - tolerance_mm > widest:
        raise OutOfRange(say("pads-gap-mm-wider-than-any", gap_mm=gap_mm, widest=widest), field="gap_mm")

    def choice(stack: tuple[float, ...]) -> PadChoice:
        t = sum(stack)
        low, high = 1.0 - (gap_mm + tolerance_mm) / t, 1.0 - (gap_mm - tolerance_mm) / t
        # Thicknesses are steps of half a millimetre: a window met to the last bit counts as met.
        return PadChoice(
            thickness_mm=t,
            stack_mm=stack,
            compression_min=low,
            compression_max=high,
            fits=low >= min_compression - 1e-9 and high <= max_compression + 1e-9,
        )

    stacks = [s for n in range(1, STACK_MOST + 1) for s in combinations_with_replacement(PAD_THICKNESSES_MM, n)]
    middle = 0.5 * (min_compression + max_compression)
    return min(
        map(choice, stacks),
        key=lambda c: (
            not c.fits,
            len(c.stack_mm) if c.fits else 0,
            abs(0.5 * (c.compression_min + c.compression_max) - middle),
            len(c.stack_mm),
        ),
    )


# Caliper and hand on a pressed ball, from memory. A pad comes back by up to a tenth after years under a cooler.
IMPRINT_TOLERANCE_MM = 0.05
REBOUND_LOW, REBOUND_HIGH = 0.0, 0.10  # share by which a crushed pad springs back, low and high; from memory
# Pressure of a soft pad at 30 % compression [kPa] and what the screws or springs of a cooler press with [N]; from
# memory. Pads may take half of the clamping force before the die goes short.
PAD_KPA_AT_30, CLAMP_N, CLAMP_SHARE = 100.0, 150.0, 0.5


@dataclass(frozen=True)
class Gap:
    """gap_mm with its tolerance_mm either way; how it was found, in words."""

    gap_mm: float
    tolerance_mm: float
    how: Words


@dataclass(frozen=True, kw_only=True)
class PadForce:
    """force_n: by which the pads push the cooler off [N]; share: of the clamping force [1]; lifts: whether that is too
    much; bulges: whether it is pressed beyond its window; reason in words."""

    force_n: float
    share: float
    lifts: bool
    bulges: bool
    reason: Words


@dataclass(frozen=True)
class Heights:
    """putty: whether one pad cannot serve all; choice: the pad that does, None with putty; reason in words."""

    putty: bool
    choice: PadChoice | None
    reason: Words


def gap_from_imprint(imprint_mm: float) -> Gap:
    """Gap from a ball of putty that was pressed by the closed cooler.

    imprint_mm: thickness of the flattened ball [mm], 0.1 to 12
    raises: OutOfRange
    formula: the imprint is the gap
    source: common practice, no source; tolerance from memory
    """
    require_range("imprint_mm", imprint_mm, "mm", (0.1, 12.0), hint=say("pads-measure-flattened-ball-at-its"))
    return Gap(imprint_mm, IMPRINT_TOLERANCE_MM, say("pads-imprint-putty-ball"))


def gap_from_crushed_pad(crushed_mm: float) -> Gap:
    """Gap from the old pad, which has kept most of its squeeze.

    crushed_mm: thickness of the old pad where the part stood [mm], 0.1 to 12
    raises: OutOfRange
    formula: crushed thickness less a rebound of 0 to 10 %
    source: common practice, no source; rebound from memory
    """
    require_range("crushed_mm", crushed_mm, "mm", (0.1, 12.0), hint=say("pads-measure-in-dent-not-at"))
    low, high = crushed_mm * (1.0 - REBOUND_HIGH), crushed_mm * (1.0 - REBOUND_LOW)
    return Gap((low + high) / 2.0, (high - low) / 2.0 + IMPRINT_TOLERANCE_MM, say("pads-crushed-old-pad"))


def pad_force(
    compression: float, area_mm2: float, max_compression: float = MAX_COMPRESSION, clamp_n: float = CLAMP_N
) -> PadForce:
    """What pads do to the contact of the die.

    compression: largest compression over the gap's tolerance [1], -1 to 0.95
    area_mm2: area of all pads pressed so [mm2], 1 to 100000
    max_compression: end of the pad's window [1], 0.05 to 0.9
    clamp_n: clamping force of the cooler [N], 1 to 2000
    raises: OutOfRange
    formula: F = A p30 c / 0.3, steeper by (c / c_max)^2 beyond the window
    source: linear spring, textbook; stiffness and clamping force from memory
    """
    require_range("compression", compression, "", (-1.0, 0.95))
    require_range("area_mm2", area_mm2, "mm²", (1.0, 100_000.0))
    require_range("max_compression", max_compression, "", (0.05, 0.9))
    require_range("clamp_n", clamp_n, "N", (1.0, 2000.0))
    pressed = max(0.0, compression)
    force = PAD_KPA_AT_30 * 1e3 * (pressed / 0.3) * area_mm2 * 1e-6
    bulges = compression > max_compression + 1e-9
    if bulges:
        force *= (compression / max_compression) ** 2
    share = force / clamp_n
    lifts = bulges or share > CLAMP_SHARE
    if bulges:
        reason = say(
            "pads-too-thick-pressed-by-its", compression=100 * compression, max_compression=100 * max_compression
        )
    elif lifts:
        reason = say("pads-pads-push-back-with-n", force=force, share=100 * share)
    else:
        reason = say("pads-pads-push-back-with-n-2", force=force, share=100 * share)
    return PadForce(force_n=force, share=share, lifts=lifts, bulges=bulges, reason=reason)


def choose_for_heights(
    gaps: Sequence[Gap], min_compression: float = MIN_COMPRESSION, max_compression: float = MAX_COMPRESSION
) -> Heights:
    """One pad for parts of several heights under one cooler, or putty.

    gaps: gap of each part (n,), n >= 1
    min_compression: least compression [1]
    max_compression: largest compression [1]
    raises: OutOfRange
    formula: the pad must stay in its window from the widest to the narrowest gap
    source: common practice, no source
    """
    require_range("gaps", len(gaps), "", (1, 200), hint=say("pads-measure-one-gap-at-least"))
    low = min(g.gap_mm - g.tolerance_mm for g in gaps)
    high = max(g.gap_mm + g.tolerance_mm for g in gaps)
    require_range("narrowest_gap", low, "mm", (0.05, 100.0), hint=say("pads-gap-below-its-own-tolerance"))
    choice = choose_pad((low + high) / 2.0, (high - low) / 2.0, min_compression, max_compression)
    if choice.fits:
        return Heights(
            False, choice, say("pads-one-pad-mm-serves-gaps", thickness_mm=choice.thickness_mm, low=low, high=high)
        )
    return Heights(
        True,
        None,
        say(
            "pads-gaps-run-from-to-mm",
            low=low,
            high=high,
            min_compression=100 * min_compression,
            max_compression=100 * max_compression,
        ),
    )
