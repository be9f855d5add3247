"""What tablets tell of a job: taken in turn, once each, or refused in words."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any

from sqlalchemy.exc import IntegrityError

from vividowl.core.bench.log.events import KINDS, VERSION, BenchCommand, BenchEvent, BenchRefused, By, When
from vividowl.core.bench.log.log import BenchLog, append
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say
from vividowl.service.bench.effects import make_effect, refuse_alloy, take_back
from vividowl.service.bench.photos import require_photo
from vividowl.service.bench.store import keep_log, load_log, note_glance
from vividowl.service.bench.times import task_minutes
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor, KeptLog, Workshop
from vividowl.store.bench import BenchEventRow
from vividowl.store.feed import tell
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import sentence, told

SERVER = "server"


CLOCK_OFF_S = 60.0
_SAME_MOMENT = timedelta(seconds=2)  # what two clocks may differ by while they agree


@dataclass(frozen=True, kw_only=True)
class Sent:
    """An event as a tablet sends it. turn: its how manieth of this job; made_at: by the tablet's own clock."""

    id: uuid.UUID
    kind: str
    data: Mapping[str, Any]
    turn: int
    made_at: datetime


@dataclass(frozen=True, kw_only=True)
class Taken:
    """What became of an event. number: its place in the log, None when it was not kept; again: it was there already;
    refusal: reason, detail, remedy, rule; told: what else there is to know."""

    id: uuid.UUID
    number: int | None
    again: bool
    refusal: Mapping[str, Any] | None
    told: str


@dataclass(frozen=True)
class Batch:
    """taken: in the order sent; number: of the latest event of the job; clock_off_s: the tablet's clock before the
    server's, None when it is right."""

    taken: tuple[Taken, ...]
    number: int
    clock_off_s: float | None


def _finish(workshop: Workshop, scope: Scope, job: Job, *, log: BenchLog, number: int, at: datetime) -> None:
    note_glance(job, log.state, at)
    if log.state.closed is not None:
        job.bench = {**job.bench, "minutes": task_minutes(scope, job.id, log.state)}
    job.updated_at = at
    tell(scope.session, scope.shop_id, job.id, number)


def take_events(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    device: str,
    sent: Sequence[Sent],
    sent_at: datetime,
    received_at: datetime | None = None,
) -> Batch:
    """Take events in, in the order in which the tablet made them. A refused one is kept too, with its reason, and
    changes nothing; one that was sent before gets the same answer; one with a gap before it is sent back."""
    now = received_at or server_now()
    ahead = (sent_at - now).total_seconds()
    try:
        with workshop.scope(actor) as scope:
            job = scope.get(Job, job_id, lock=True, alone=True)
            if job.handed_over_at is not None:
                raise Refused("conflict", say("work-job-was-handed-over-and", number=job.number), reason="handed_over")
            taking = _Taking(workshop, scope, actor, job=job, device=device, now=now, ahead=timedelta(seconds=ahead))
            taking.look_up([event.id for event in sent])
            taken = tuple(taking.take(event) for event in sent)
            if taking.changed:
                _finish(workshop, scope, job, log=taking.log, number=taking.number, at=now)
    except IntegrityError as error:
        raise _elsewhere() from error
    keep_log(workshop, job_id, KeptLog(taking.number, taking.log, {**taking.turns, device: taking.turn}))
    return Batch(taken, taking.number, ahead if abs(ahead) > CLOCK_OFF_S else None)


class _Taking:
    """One batch on its way into the log of a job."""

    def __init__(
        self, workshop: Workshop, scope: Scope, actor: Actor, *, job: Job, device: str, now: datetime, ahead: timedelta
    ) -> None:
        self.workshop, self.scope, self.actor, self.job, self.device = workshop, scope, actor, job, device
        self.now, self.ahead = now, ahead
        kept = load_log(workshop, scope, job.id)
        self.log, self.number, self.turns = kept.log, kept.number, kept.turns
        self.turn = kept.turns.get(device, 0)
        self.changed = False
        self.known: dict[uuid.UUID, BenchEventRow] = {}

    def look_up(self, ids: Sequence[uuid.UUID]) -> None:
        """Which of these events are there already, whatever turn they come with now."""
        query = self.scope.select(BenchEventRow).where(BenchEventRow.id.in_(ids))
        self.known = {row.id: row for row in self.scope.session.scalars(query).unique()}

    def take(self, sent: Sent) -> Taken:
        """Take one event."""
        kept = self.known.get(sent.id)
        if kept is not None and kept.job_id != self.job.id:
            raise _elsewhere()
        if kept is not None:
            return Taken(
                id=sent.id, number=kept.number, again=True, refusal=kept.refusal, told=str(kept.effect.get("told", ""))
            )
        if sent.turn != self.turn + 1:
            return Taken(
                id=sent.id,
                number=None,
                again=False,
                refusal={
                    "reason": "out_of_order",
                    "rule": "",
                    "field": "turn",
                    "detail": sentence(say("work-event-this-tablet-came-next", turn=sent.turn, next=self.turn + 1)),
                    "remedy": sentence(say("work-send-from-on", turn=self.turn + 1)),
                    "next_turn": self.turn + 1,
                },
                told="",
            )
        command = BenchCommand(
            id=str(sent.id), kind=sent.kind, data=sent.data, at=self._moment(sent), by=self.actor.name
        )
        refusal, event, effect = self._try(command, sent.made_at)
        self.number += 1
        self.turn = sent.turn
        self.changed = True
        kind = sent.kind if sent.kind in KINDS else "unknown"
        # All of a batch are written together at its end.
        self.scope.session.add(
            BenchEventRow(
                id=sent.id,
                shop_id=self.scope.shop_id,
                job_id=self.job.id,
                number=self.number,
                kind=kind,
                data=dict(sent.data),
                made=told(event.made) if event is not None else {},
                version=VERSION,
                at=command.at,
                device=self.device,
                turn=sent.turn,
                member_id=self.actor.member_id,
                refusal=refusal,
                effect=told(effect),
            )
        )
        return Taken(
            id=sent.id, number=self.number, again=False, refusal=refusal, told=sentence(effect.get("told", ""))
        )

    def _moment(self, sent: Sent) -> datetime:
        """When it happened by the server's clock: the tablet tells how long ago, not how late it thinks it is."""
        moment = min(self.now, sent.made_at - self.ahead)
        begun = self.log.state.begun
        return max(moment, begun) if begun is not None else self.now

    def _of_earlier(self, made_at: datetime) -> bool:
        """Whether a tablet that was away tells of an attempt that is over."""
        state = self.log.state
        return state.attempt > 1 and state.begun is not None and made_at - self.ahead < state.begun - _SAME_MOMENT

    def _try(
        self, command: BenchCommand, made_at: datetime
    ) -> tuple[dict[str, str] | None, BenchEvent | None, dict[str, Any]]:
        """Refusal, or the event and its effect. What is refused leaves nothing behind beside the log either."""
        try:
            kind = KINDS.get(command.kind)
            if kind is not None and kind.by is By.SERVER:
                raise BenchRefused(say("work-list-begun-and-made-anew"), reason="unknown", field="kind")
            if self._of_earlier(made_at):
                raise BenchRefused(say("attempts-of-earlier", number=self.log.state.attempt), reason="earlier_attempt")
            if self.job.battery_swollen and (kind is None or When.WHILE_STOPPED not in kind.also):
                raise BenchRefused(say("work-job-stopped-battery-swollen"), reason="stopped")
            if command.kind in ("photo", "outline", "found") and command.data.get("photo"):
                require_photo(self.scope, str(command.data["photo"]))
            before = self.log
            log, event = append(before, command)
            refuse_alloy(self.scope, self.job, event, log.state)
            effect: dict[str, Any] = {}
            if KINDS[event.kind].effect:
                with self.scope.session.begin_nested():
                    effect = self._effect(event, before, log)
        except (CoreError, Refused) as error:
            return _refusal(error), None, {}
        self.log = log
        return None, event, effect

    def _effect(self, event: BenchEvent, before: BenchLog, log: BenchLog) -> dict[str, Any]:
        if event.kind == "undo":
            target = before.active[-1]
            return {"of": target.id, **take_back(self.scope, self.actor, self.job, self._effect_of(target.id))}
        if event.kind == "redo":
            target = before.undone[-1]
            return {
                "of": target.id,
                **make_effect(self.workshop, self.scope, self.actor, job=self.job, event=target, state=log.state),
            }
        return make_effect(self.workshop, self.scope, self.actor, job=self.job, event=event, state=log.state)

    def _effect_of(self, event_id: str) -> Mapping[str, Any]:
        """The latest effect of an event: its own, or that of the redo which brought it again."""
        query = self.scope.select(BenchEventRow).where(
            BenchEventRow.job_id == self.job.id,
            BenchEventRow.refusal.is_(None),
            (BenchEventRow.id == uuid.UUID(event_id))
            | ((BenchEventRow.kind == "redo") & (BenchEventRow.effect["of"].astext == event_id)),
        )
        row = self.scope.session.scalars(query.order_by(BenchEventRow.number.desc()).limit(1)).first()
        return row.effect if row is not None else {}


def _elsewhere() -> Refused:
    return Refused("conflict", say("work-event-with-this-id-there"), remedy=say("work-make-new-ids"), reason="taken")


def _refusal(error: CoreError | Refused) -> dict[str, str]:
    if isinstance(error, Refused):
        return {
            "reason": error.reason or error.kind,
            "detail": sentence(error.detail),
            "remedy": sentence(error.remedy),
            "rule": "",
            "field": error.field,
        }
    reason, rule = (error.reason, error.rule) if isinstance(error, BenchRefused) else ("invalid", "")
    return {
        "reason": reason,
        "detail": sentence(error.message),
        "remedy": sentence(error.remedy),
        "rule": rule,
        "field": error.field,
    }
