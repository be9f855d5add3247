"""Pads for a gap: thickness, stack, and the compression it gets over the gap's whole tolerance."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import combinations_with_replacement

from vividowl.core.errors import OutOfRange, require_range

PAD_THICKNESSES_MM = (0.5, 1.0, 1.5, 2.0, 2.5, 3.0)
STACK_MOST = 2
MIN_COMPRESSION, MAX_COMPRESSION = 0.10, 0.30


@dataclass(frozen=True)
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
    require_range("gap_mm", gap_mm, "mm", 0.1, 100.0, "Measure it with a ball of putty and calipers.")
    require_range("tolerance_mm", tolerance_mm, "mm", 0.0, 10.0)
    if tolerance_mm >= gap_mm:
        raise OutOfRange(
            f"The tolerance of {tolerance_mm:g} mm is as large as the gap of {gap_mm:g} mm.", field="tolerance_mm",
            remedy="Measure the gap again; below its own tolerance use putty.",
        )  # fmt: skip
    require_range("min_compression", min_compression, "", 0.0, 0.9, "Give a share: 0.1 for 10 %.")
    if not min_compression < max_compression <= 0.9:
        raise OutOfRange(
            f"The largest compression, {max_compression:g}, must lie above the least, {min_compression:g}, up to 0.9.",
            field="max_compression", remedy="The data sheet of the pad names both; 0.1 to 0.3 is usual.",
        )  # fmt: skip
    widest = STACK_MOST * PAD_THICKNESSES_MM[-1] * (1.0 - min_compression)
    if gap_mm - tolerance_mm > widest:
        raise OutOfRange(
            f"The gap of {gap_mm:g} mm is wider than any stack fills; up to {widest:g} mm can be bridged.",
            field="gap_mm", remedy="Use a copper shim or putty, or check the measurement.",
        )  # fmt: skip

    def choice(stack: tuple[float, ...]) -> PadChoice:
        t = sum(stack)
        low, high = 1.0 - (gap_mm + tolerance_mm) / t, 1.0 - (gap_mm - tolerance_mm) / t
        # Thicknesses are steps of half a millimetre: a window met to the last bit counts as met.
        return PadChoice(t, stack, low, high, low >= min_compression - 1e-9 and high <= max_compression + 1e-9)

    stacks = [s for n in range(1, STACK_MOST + 1) for s in combinations_with_replacement(PAD_THICKNESSES_MM, n)]
    middle = 0.5 * (min_compression + max_compression)
    return min(
        map(choice, stacks),
        key=lambda c: (not c.fits, len(c.stack_mm) if c.fits else 0,
                       abs(0.5 * (c.compression_min + c.compression_max) - middle), len(c.stack_mm)),
    )  # fmt: skip
