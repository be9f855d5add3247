"""Bench: today's devices in the order they need a hand."""

from __future__ import annotations

from vividowl.service.intake import JobView, list_jobs
from vividowl.service.workshop import Actor, Workshop

# What is nearly done goes first, since a finished device leaves the bench; a stopped one needs a decision.
_ORDER = ("stopped", "verdict", "handover", "after", "fit", "plan", "before", "intake")


def bench(workshop: Workshop, actor: Actor, *, limit: int, offset: int) -> tuple[list[JobView], int]:
    """A page of the open jobs, in the order they need a hand."""
    views, total = list_jobs(workshop, actor, limit=limit, offset=offset, open_only=True)
    return sorted(views, key=lambda view: (_ORDER.index(view.stage), view.job.number)), total
