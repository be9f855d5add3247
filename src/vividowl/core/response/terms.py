"""The response of a device to power as Foster terms, and which part of it is what."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from vividowl.core.trace.trace import Series

FAST_BELOW_S = 3.0  # [s] die, interface and base; from memory (docs/handbook/curve.md)
SLOW_ABOVE_S = 120.0  # [s] case and room; from memory (docs/handbook/curve.md)
# A part this fast may be die and paste under a thick lid, a sensor that smooths, or the base: no log tells which.
DOUBT_FROM_S, DOUBT_TO_S, DOUBT_SHARE = 3.0, 20.0, 0.08
SLOW_DOUBT_FROM_S, SLOW_DOUBT_TO_S = 70.0, 200.0  # [s] heatsink or case: no log tells which; from memory
INTERFACE_MODEL_SHARE = 0.10  # of the interface that the model itself may be off; from memory
# [s] where air may begin, tried in this order, and how far around it is doubted; from memory
BOUNDARIES_S, BOUNDARY_FACTOR = (25.0, 18.0, 12.0, 35.0), 1.9


@dataclass(frozen=True)
class Term:
    """One Foster term: resistance [K/W] and time constant tau_s [s] with their standard uncertainties."""

    resistance: float
    tau_s: float
    resistance_u: float
    tau_u_s: float


@dataclass(frozen=True, kw_only=True)
class Response:
    """terms from fast to slow; base_power: power before the load [W]; now: power over it that each term has risen to
    at the end of the load [W]; residual_k: root mean square left over [K]; interface_u, total_u: standard
    uncertainties of the interface part and of the sum [K/W]. cooling_interface: the interface part by a clean
    cool-down [K/W], which then counts, since a fan changes its speed when a load begins and hardly in the first seconds
    after it; None without one. cooling_doubt: the part of that cool-down between 3 and 20 s [K/W]."""

    terms: tuple[Term, ...]
    base_power: float
    now: tuple[float, ...]
    residual_k: float
    interface_u: float
    total_u: float
    cooling_interface: float | None = None
    cooling_doubt: float = 0.0

    def _between(self, low_s: float, high_s: float) -> float:
        return sum(t.resistance for t in self.terms if low_s < t.tau_s <= high_s)

    @property
    def interface(self) -> float:
        """Resistance of the part faster than 3 s: die, interface, base [K/W]; by the cool-down where it is clean."""
        return self.heating_interface if self.cooling_interface is None else self.cooling_interface

    @property
    def heating_interface(self) -> float:
        """Resistance of the part faster than 3 s by the terms fitted to the load [K/W]."""
        return self._between(0.0, FAST_BELOW_S)

    @property
    def heatsink(self) -> float:
        """Resistance of the part between 3 and 120 s: heatsink and pipes [K/W]."""
        return self._between(FAST_BELOW_S, SLOW_ABOVE_S)

    @property
    def chassis(self) -> float:
        """Resistance of the part slower than 120 s: chassis and room air [K/W]."""
        return self._between(SLOW_ABOVE_S, math.inf)

    @property
    def doubt(self) -> float:
        """Resistance of the part between 3 and 20 s, which may lie on either side of the interface [K/W]."""
        return max(self._between(DOUBT_FROM_S, DOUBT_TO_S), self.cooling_doubt)

    @property
    def tells_interface(self) -> bool:
        """Whether the interface stands apart from what is behind it, or a lid, a smoothing sensor or a slow logger has
        blurred the two."""
        return self.interface > 0.0 and self.doubt <= DOUBT_SHARE * self.total

    @property
    def tells_slow_part(self) -> bool:
        """Whether the part of minutes stands apart from that of the heatsink."""
        return self._between(SLOW_DOUBT_FROM_S, SLOW_DOUBT_TO_S) <= DOUBT_SHARE * self.total

    @property
    def interface_whole_u(self) -> float:
        """Standard uncertainty of the interface part with what the model itself leaves open [K/W]."""
        return math.hypot(self.interface_u, INTERFACE_MODEL_SHARE * self.interface, self.doubt / math.sqrt(3.0))

    def soon(self, boundary_s: float) -> tuple[float, float]:
        """Resistance of the part faster than a boundary, and its standard uncertainty [K/W]."""
        near = self._between(boundary_s / BOUNDARY_FACTOR, boundary_s * BOUNDARY_FACTOR)
        part = self._between(0.0, boundary_s)
        own = math.hypot(*(t.resistance_u for t in self.terms if t.tau_s <= boundary_s)) if part else 0.0
        return part, math.hypot(min(own, part), INTERFACE_MODEL_SHARE * part, near / math.sqrt(3.0))

    @property
    def total(self) -> float:
        """Sum of the terms [K/W]."""
        return sum(t.resistance for t in self.terms)

    def remaining_k(self, power: float, after_s: float | Series = 0.0, slower_than_s: float = 0.0) -> Series:
        """Change still to come after so many more seconds of the load at a power [K], of the slower terms only."""
        after = np.asarray(after_s, dtype=np.float64)
        left = np.zeros_like(after)
        for term, reached in zip(self.terms, self.now, strict=True):
            if term.tau_s >= slower_than_s:
                left = left + term.resistance * (power - self.base_power - reached) * np.exp(-after / term.tau_s)
        return left


def common_boundary(before: Response, after: Response) -> float | None:
    """A time that parts what answers soon from what answers late in two responses of one device: a better interface
    changes the one, less dust the other, and the base, which a service does not change, may lie on either side.

    returns: boundary [s], None when some part lies across every one in either response
    formula: at most 8 % of the total within a factor of 1.6 of the boundary
    source: common practice, no source
    """
    for boundary in BOUNDARIES_S:
        near = [r._between(boundary / BOUNDARY_FACTOR, boundary * BOUNDARY_FACTOR) / r.total for r in (before, after)]
        if max(near) <= DOUBT_SHARE:
            return boundary
    return None
