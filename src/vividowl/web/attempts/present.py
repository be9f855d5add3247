"""Attempts as they go over the wire."""

from __future__ import annotations

from vividowl.core.attempts.causes import Ranked
from vividowl.service.attempts.attempts import AttemptsView, AttemptView
from vividowl.service.attempts.side_by_side import side_by_side
from vividowl.web.attempts.schemas import AttemptCauseOut, AttemptOut, AttemptsOut
from vividowl.web.jobs.schemas import FitItemOut
from vividowl.words import sentence


def attempts_out(view: AttemptsView) -> AttemptsOut:
    """All attempts of a job."""
    return AttemptsOut(
        attempts=[attempt_out(a) for a in view.attempts],
        rows=list(side_by_side(view.attempts)),
        counted=view.counted,
        closed=view.closed,
    )


def attempt_out(view: AttemptView) -> AttemptOut:
    """One attempt."""
    row, comparison = view.row, view.compared.comparison if view.compared else None
    return AttemptOut(
        number=row.number,
        version=row.version,
        current=view.current,
        ended_at=row.ended_at,
        items=[FitItemOut.model_validate(i) for i in view.items],
        cleaned=list(view.cleaned),
        verdict=comparison.verdict.value if comparison else None,
        headline=sentence(comparison.headline) if comparison else None,
        failure=view.failure.value,
        promised_low_k_per_w=view.promised.low if view.promised else None,
        promised_high_k_per_w=view.promised.high if view.promised else None,
        resistance_k_per_w=view.measured,
        resistance_u95_k_per_w=view.measured_u95,
        interface_k_per_w=view.interface,
        noise_db=view.noise_db,
        causes=[_cause(c) for c in view.causes],
        surface_score=row.surface_score,
        print_score=row.print_score,
        words=row.words,
        left_words=row.left_words,
    )


def _cause(ranked: Ranked) -> AttemptCauseOut:
    return AttemptCauseOut(
        cause=ranked.cause.value,
        words=sentence(ranked.words),
        share=ranked.share,
        speaks=[sentence(e.words) for e in ranked.speaks],
        against=[sentence(e.words) for e in ranked.against],
        check=sentence(ranked.check),
        remedy=sentence(ranked.remedy),
        answer=ranked.answer.value,
        opens=ranked.opens,
    )
