"""Attempts of a visit side by side, with the causes of each that failed; checks, scores, and the way to the next."""

from __future__ import annotations

import uuid
from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from vividowl.core.attempts.causes import Cause, CheckResult, Ranked, find_causes
from vividowl.core.attempts.evidence import Attempted
from vividowl.core.attempts.promise import Failure, Kept, failure_of, promise_kept
from vividowl.core.bench.log.log import attempts_of
from vividowl.core.bench.log.state import BenchState
from vividowl.core.materials.kinds import CATALOGUE, Kind, Trait
from vividowl.core.plan.inspection import gap_rows
from vividowl.core.plan.prediction import Interval
from vividowl.core.quantities.words import say
from vividowl.core.reading.measured import Measured, resistance
from vividowl.service.attempts.failing import note_failure
from vividowl.service.attempts.turning import attempt_row
from vividowl.service.bench.store import load_log
from vividowl.service.errors import Refused
from vividowl.service.jobs.device import is_fanless
from vividowl.service.jobs.fit import items_of
from vividowl.service.measure.comparing import Compared, compare_runs, judged_by, kept
from vividowl.service.measure.readings import reading_of
from vividowl.service.plan.found import inspection_of, plan_row
from vividowl.service.workshop import Actor, Workshop, check_version, open_job
from vividowl.store.deciding import Plan
from vividowl.store.devices import Attempt, DeviceState
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import FitItem, Job
from vividowl.store.scope import Scope

SHOP_ATTEMPTS_MOST = 400  # latest attempts of the shop whose found causes are counted; a limit of the product


@dataclass(frozen=True, kw_only=True)
class AttemptView:
    """One attempt. promised, measured: the promise [K/W], and what came with its U95; interface: its part faster than
    3 s [K/W]; causes: ranked, empty where nothing failed and nothing was checked."""

    row: Attempt
    current: bool
    items: Sequence[FitItem]
    cleaned: Sequence[str]
    compared: Compared | None
    failure: Failure
    promised: Interval | None
    measured: float | None
    measured_u95: float | None
    interface: float | None
    causes: tuple[Ranked, ...]
    noise_db: float | None


@dataclass(frozen=True)
class AttemptsView:
    """All attempts of a job, the first one first; counted: failed attempts of the shop whose cause was found."""

    job: Job
    attempts: tuple[AttemptView, ...]
    counted: int
    closed: bool


def get_attempts(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> AttemptsView:
    """All attempts of a job."""
    with workshop.scope(actor) as scope:
        return attempts_view(workshop, scope, scope.get(Job, job_id))


def attempts_view(workshop: Workshop, scope: Scope, job: Job) -> AttemptsView:
    """All attempts of a job, within a transaction."""
    rows = {
        r.number: r
        for r in scope.session.scalars(scope.select(Attempt).where(Attempt.job_id == job.id).order_by(Attempt.number))
    }
    log = load_log(workshop, scope, job.id).log
    # A list that was begun late counts its attempts from there.
    late = job.attempt - log.state.attempt
    states = {s.attempt + late: s for s in attempts_of(log)} if log.state.begun is not None else {}
    before, plan, counts = scope.run(job.id, "before"), plan_row(scope, job.id), _found_before(scope, job)
    out = []
    for number in range(1, job.attempt + 1):
        current = number == job.attempt
        row = rows.get(number) or _untold(job, number)
        after = scope.run(job.id, "after") if current else None
        if row.after_run_id is not None:
            after = scope.get(Run, row.after_run_id)
        found = _Found(
            workshop=workshop,
            scope=scope,
            job=job,
            row=row,
            before=before,
            after=after,
            plan=plan,
            bench=states.get(number),
            opened_again=states.get(number + 1),
        )
        out.append(found.view(current, counts))
    return AttemptsView(job, tuple(out), sum(counts.values()), job.fit_done)


def _untold(job: Job, number: int) -> Attempt:
    """An attempt of which nobody has said anything yet; it is not stored."""
    return Attempt(job_id=job.id, number=number, checks={}, words="", left_words="", cleaned=[], fit_note="", version=0)


def _found_before(scope: Scope, job: Job) -> Mapping[Cause, int]:
    """How often the shop found each cause on other jobs."""
    query = scope.select(Attempt).where(Attempt.job_id != job.id, Attempt.checks != {})
    counts: Counter[Cause] = Counter()
    for row in scope.session.scalars(query.order_by(Attempt.ended_at.desc().nulls_last()).limit(SHOP_ATTEMPTS_MOST)):
        counts.update(Cause(c) for c, result in row.checks.items() if result == CheckResult.FOUND)
    return counts


@dataclass(frozen=True, kw_only=True)
class _Found:
    """Everything that is known of one attempt."""

    workshop: Workshop
    scope: Scope
    job: Job
    row: Attempt
    before: Run | None
    after: Run | None
    plan: Plan | None
    bench: BenchState | None
    opened_again: BenchState | None

    def view(self, current: bool, counts: Mapping[Cause, int]) -> AttemptView:
        items = items_of(self.scope, self.job.id, self.row.number)
        compared = compare_runs(self.workshop, self.scope, self.job, before=self.before, after=self.after)
        chosen, outcome = self.row.promised, self.row.outcome
        if current and self.plan is not None:
            chosen, outcome = self.plan.chosen, self.plan.outcome
        promised = Interval(**chosen["resistance"]) if chosen else None
        come = Kept.UNKNOWN
        if promised is not None and outcome:
            come = promise_kept(promised, outcome["resistance"], outcome["resistance_u95"])
        verdict = compared.comparison.verdict if compared else None
        failure = failure_of(verdict, come)
        measured = self._measured(compared)
        response = compared.after_reading.response if compared else None
        told = {Cause(c): CheckResult(r) for c, r in self.row.checks.items()}
        cleaned = self.job.cleaned if current else self.row.cleaned
        causes: tuple[Ranked, ...] = ()
        if failure is not Failure.NONE or told:
            interface = Interval(**chosen["interface"]) if chosen else None
            causes = find_causes(
                self._attempted(compared, measured, items=items, cleaned=cleaned, promised=interface), told, counts
            )
        after = measured[1] if len(measured) > 1 else None
        return AttemptView(
            row=self.row,
            current=current,
            items=items,
            cleaned=cleaned,
            compared=compared,
            failure=failure,
            promised=promised,
            measured=after.value if after else None,
            measured_u95=after.u95 if after else None,
            interface=response.interface if response is not None and response.tells_interface else None,
            causes=causes,
            noise_db=(self.after.glance or {}).get("noise_db") if self.after is not None else None,
        )

    def _measured(self, compared: Compared | None) -> list[Measured | None]:
        """Resistance of Before, then of the After logs in the order in which they were made."""
        if compared is None or self.after is None:
            return []
        tolerances, _ = judged_by(self.scope, self.job)
        readings = [(compared.before_reading, compared.before.room_c)]
        for at, trace in enumerate(kept(self.scope, TraceFile, self.after)):
            limit_c = self.job.limit_c
            again = at > 0
            read = reading_of(
                self.workshop, self.scope.shop_id, trace=trace, run=self.after, limit_c=limit_c, repeat=again
            )
            readings.append((read, self.after.room_c))
        return [resistance(read, room_c, tol=tolerances) for read, room_c in readings]

    def _attempted(
        self,
        compared: Compared | None,
        measured: Sequence[Measured | None],
        *,
        items: Sequence[FitItem],
        cleaned: Sequence[str],
        promised: Interval | None,
    ) -> Attempted:
        inspected = inspection_of(self.plan.inspection if self.plan is not None else {}, self.job)
        filled = any(CATALOGUE[i.kind].has(Trait.GAP) or i.kind == Kind.SHIM for i in items)
        pads = [g for g in gap_rows(inspected) if g.pad is not None and not g.putty]
        tight = any(not g.pad.fits or (g.force is not None and g.force.lifts) for g in pads if g.pad is not None)
        seen = self.opened_again.found.get("contact") if self.opened_again is not None else None
        return Attempted(
            before=compared.before_reading if compared else None,
            after=compared.after_reading if compared else None,
            resistance_before=measured[0] if measured else None,
            resistances=[m for m in measured[1:] if m is not None],
            kinds=frozenset(Kind(i.kind) for i in items if CATALOGUE[i.kind].has(Trait.DIE) and i.target in _DIES),
            gaps_filled=filled,
            pad_tight=filled and tight,
            has_fan=not is_fanless(self.job),
            cleaned=cleaned,
            bench=self.bench,
            heat_cycles=self._cycles(),
            promised=promised,
            print=seen.seen if seen is not None else "",
        )

    def _cycles(self) -> float | None:
        """Heat cycles of the state in which After was run."""
        if self.after is None or self.after.state_id is None:
            return None
        return self.scope.get(DeviceState, self.after.state_id).heat_cycles


_DIES = ("cpu_die", "gpu_die")


def save_attempt(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, number: int, version: int, fields: Mapping[str, Any]
) -> AttemptsView:
    """Keep what checks showed, scores, and words of an attempt; why it stays as it is, where somebody says so."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        if not 1 <= number <= job.attempt:
            raise Refused("missing", say("attempts-no-such", number=number))
        there = scope.one(Attempt, Attempt.job_id == job.id, Attempt.number == number)
        check_version(there.version if there else 0, version, say("attempts-attempt", number=number))
        row = there or attempt_row(scope, job, number)
        for name, value in fields.items():
            setattr(row, name, value)
        scope.session.flush()
        if number == job.attempt:
            note_failure(scope, job)
        return attempts_view(workshop, scope, job)
