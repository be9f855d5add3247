"""States of a device during a visit: which there are, and what makes the next one."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from vividowl.core.job.device import Answer, RunSide, StateCause
from vividowl.store.devices import DeviceState
from vividowl.store.measuring import Run
from vividowl.store.models import FitItem, Job
from vividowl.store.scope import Scope


def states_there(scope: Scope, job: Job) -> Sequence[DeviceState]:
    """States of a visit in their order: none until something was run or done."""
    query = scope.select(DeviceState).where(DeviceState.job_id == job.id).order_by(DeviceState.position)
    return scope.session.scalars(query).all()


def states_of(scope: Scope, job: Job) -> Sequence[DeviceState]:
    """The same for who writes: the first is made when there is none yet."""
    return states_there(scope, job) or [_first(scope, job)]


def _first(scope: Scope, job: Job) -> DeviceState:
    """As it came in: with what its last visit left in it, else with what its maker put there."""
    query = (
        scope.select(DeviceState)
        .join(Job, Job.id == DeviceState.job_id)
        .where(Job.device_id == job.device_id, Job.id != job.id, Job.created_at < job.created_at)
        .order_by(Job.created_at.desc(), DeviceState.position.desc())
    )
    last = scope.session.scalars(query.limit(1)).first()
    return scope.add(
        DeviceState(
            job_id=job.id,
            position=1,
            cause=StateCause.FOUND,
            words=job.factory_interface if last is None else "",
            fitted=list(last.fitted) if last is not None else [],
            firmware=last.firmware if last is not None else "",
            tuning=last.tuning if last is not None else "",
            began_at=job.created_at,
        )
    )


def next_state(scope: Scope, job: Job, cause: StateCause, changed: Mapping[str, Any]) -> DeviceState:
    """The state that follows the latest one: like it, but for what has changed."""
    last = states_of(scope, job)[-1]
    kept = ("attempt", "clean", "cover", "firmware", "tuning", "heat_cycles", "hours", "fitted")
    fields = {name: getattr(last, name) for name in kept} | dict(changed)
    return scope.add(DeviceState(job_id=job.id, position=last.position + 1, cause=cause, **fields))


def fitted_of(items: Sequence[FitItem]) -> list[dict[str, str]]:
    """What lies where, as a state keeps it."""
    return [{"target": i.target.value, "kind": i.kind.value, "product": i.product, "lot": i.lot} for i in items]


def fitted(scope: Scope, job: Job, items: Sequence[FitItem]) -> DeviceState:
    """The state after Fit. Closed again without another interface it is the same state."""
    last = states_of(scope, job)[-1]
    lies = fitted_of(items) or list(last.fitted)
    clean = Answer.YES if job.cleaned else last.clean
    again = last.cause in (StateCause.FITTED, StateCause.ATTEMPT) and last.attempt >= job.attempt
    if again and (last.fitted, last.clean) == (lies, clean):
        return last
    fresh: dict[str, Any] = {"fitted": lies, "clean": clean, "attempt": max(job.attempt, last.attempt)}
    if fitted_of(items):
        fresh |= {"heat_cycles": None, "hours": None}
    return next_state(scope, job, StateCause.ATTEMPT if job.attempt > 1 else StateCause.FITTED, fresh)


def put_in_state(scope: Scope, job: Job, run: Run) -> None:
    """Give a run the state that the device is in: the first for Before, the latest for all others."""
    if run.state_id is None:
        states = states_of(scope, job)
        run.state_id = states[0 if run.side is RunSide.BEFORE else -1].id
