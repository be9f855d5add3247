"""What the shop knows from its own services: by model and by material, with how many cases; silent below three."""

from __future__ import annotations

import uuid
from collections.abc import Iterable, Mapping, Sequence, Set
from dataclasses import dataclass
from typing import Any

from sqlalchemy import select

from vividowl.core.job.device import REFERENCES
from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.materials.life import OwnServices
from vividowl.core.quantities.units import DAYS_A_MONTH
from vividowl.core.quantities.words import Words
from vividowl.core.reading.measured import Measured, at_speed_of
from vividowl.core.runs.lasting import Held, Lasting, Spread, held_of, lasting, spread_of
from vividowl.core.runs.since_service import same_terms
from vividowl.core.trace.roles import Role
from vividowl.service.clock import done_day
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.deciding import Plan
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import FitItem, Job, Shop
from vividowl.store.scope import Scope

JOBS_MOST = 2000  # latest jobs that are looked at; a limit of the product
_DIES = ("cpu_die", "gpu_die")


@dataclass(frozen=True, kw_only=True)
class Known:
    """What many services tell of one model or material. jobs: that were measured on both sides; gain: of the thermal
    resistance [K/W]; minutes: of hands; promised, kept: plans whose promise was measured, and kept; lasts: time to lose
    half of the gain; kind: of the material, empty for a model. Each is None below three cases."""

    words: Words
    kind: str
    jobs: int
    gain: Spread | None
    minutes: Spread | None
    promised: int
    kept: int
    lasts: Lasting | None
    looked_again: int


@dataclass(frozen=True)
class WhatIsKnown:
    """By model and by material, the most frequent first."""

    models: tuple[Known, ...]
    materials: tuple[Known, ...]


@dataclass(frozen=True)
class _Side:
    """Resistance and its standard uncertainty [K/W], the terms that it was run on, and the fan [rpm]."""

    value: Measured
    terms: tuple[str, ...]
    fan_rpm: float | None


@dataclass(frozen=True, kw_only=True)
class _Service:
    job: Job
    sides: Mapping[str, _Side]
    kinds: frozenset[str]
    kept: bool | None
    held: Held | None

    @property
    def gain(self) -> float | None:
        """Of the thermal resistance at the fan speed of before [K/W], None where one side is not known."""
        if len(self.sides) < len(REFERENCES):
            return None
        before, after = self.sides["before"], self.sides["after"]
        now = at_speed_of(after.value, after.fan_rpm, before.value.value, before.fan_rpm)
        return before.value.value - now.value if now is not None else None


def what_is_known(workshop: Workshop, actor: Actor) -> WhatIsKnown:
    """What the shop's own services tell."""
    with workshop.scope(actor) as scope:
        services = _services(scope)
    models: dict[str, list[_Service]] = {}
    materials: dict[str, list[_Service]] = {}
    for one in services:
        models.setdefault(f"{one.job.maker} {one.job.model}".strip(), []).append(one)
        for kind in one.kinds:
            materials.setdefault(kind, []).append(one)
    return WhatIsKnown(
        _told((name, "", found) for name, found in models.items()),
        _told((CATALOGUE[kind].words, kind, found) for kind, found in materials.items()),
    )


def own_services(scope: Scope, kinds: Set[str]) -> list[OwnServices]:
    """How long the shop's own services with some kinds lasted, where enough of them were looked at again."""
    if not kinds:
        return []
    services, out = _services(scope), []
    for kind in sorted(kinds):
        held = [s.held for s in services if s.held is not None and kind in s.kinds]
        found = lasting(held)
        if found is not None and found.median_months is not None:
            out.append(OwnServices(CATALOGUE[Kind(kind)].words, len(held), found.median_months))
    return out


def _told(groups: Iterable[tuple[Words, str, Sequence[_Service]]]) -> tuple[Known, ...]:
    rows = [_known(words, kind, found) for words, kind, found in groups]
    return tuple(sorted((r for r in rows if r.jobs), key=lambda r: -r.jobs))


def _known(words: Words, kind: str, services: Sequence[_Service]) -> Known:
    gains = [s.gain for s in services if s.gain is not None]
    minutes = [sum(s.job.bench["minutes"].values()) for s in services if s.job.bench.get("minutes")]
    promised = [s.kept for s in services if s.kept is not None]
    held = [s.held for s in services if s.held is not None]
    return Known(
        words=words,
        kind=kind,
        jobs=len(gains),
        gain=spread_of(gains),
        minutes=spread_of(minutes),
        promised=len(promised),
        kept=sum(promised),
        lasts=lasting(held),
        looked_again=len(held),
    )


def _services(scope: Scope) -> list[_Service]:
    jobs = (
        scope.session.scalars(scope.select(Job).order_by(Job.created_at.desc(), Job.number.desc()).limit(JOBS_MOST))
        .unique()
        .all()
    )
    ids = [j.id for j in jobs]
    sides = _sides(scope, ids)
    kinds = _kinds(scope, jobs)
    kept = {
        p.job_id: bool((p.outcome or {})["inside"])
        for p in scope.session.scalars(scope.select(Plan).where(Plan.job_id.in_(ids), Plan.outcome.is_not(None)))
    }
    shop = scope.shop()
    visits: dict[uuid.UUID, list[Job]] = {}
    for job in sorted(jobs, key=lambda j: (done_day(shop, j), j.number)):
        visits.setdefault(job.device_id, []).append(job)
    out = []
    for of_device in visits.values():
        for at, job in enumerate(of_device):
            later = next((j for j in of_device[at + 1 :] if "before" in sides.get(j.id, {})), None)
            own = sides.get(job.id, {})
            held = (
                _held(shop, job, own=own, later=later, found=sides[later.id]["before"]) if later is not None else None
            )
            out.append(
                _Service(job=job, sides=own, kinds=kinds.get(job.id, frozenset()), kept=kept.get(job.id), held=held)
            )
    return out


def _held(shop: Shop, job: Job, *, own: Mapping[str, _Side], later: Job, found: _Side) -> Held | None:
    """What the next visit says of this service's gain, None where the two were not run alike."""
    months = (done_day(shop, later) - done_day(shop, job)).days / DAYS_A_MONTH
    if len(own) < len(REFERENCES) or months <= 0:
        return None
    after = own["after"]
    now, before = (
        at_speed_of(side.value, side.fan_rpm, after.value.value, after.fan_rpm) for side in (found, own["before"])
    )
    if now is None or before is None or not same_terms(after.terms, found.terms):
        return None
    was, left, found_now = ((m.value, m.moving) for m in (before, after.value, now))
    return held_of(was, left, found_now, months)


def _sides(scope: Scope, ids: Sequence[uuid.UUID]) -> dict[uuid.UUID, dict[str, _Side]]:
    query = (
        select(Run, TraceFile.figures)
        .join(TraceFile, TraceFile.run_id == Run.id)
        .where(
            Run.shop_id == scope.shop_id,
            Run.job_id.in_(ids),
            Run.side.in_(REFERENCES),
            TraceFile.removed_at.is_(None),
            ~TraceFile.is_repeat,
        )
    )
    out: dict[uuid.UUID, dict[str, _Side]] = {}
    for run, figures in scope.session.execute(query):
        side = _side(run, figures or {})
        if side is not None:
            out.setdefault(run.job_id, {})[run.side.value] = side
    return out


def _side(run: Run, figures: Mapping[str, Any]) -> _Side | None:
    value, u = figures.get("resistance_K_per_W"), figures.get("resistance_u_K_per_W")
    if value is None or u is None:
        return None
    terms = (run.load_recipe, run.fan_setting, run.power_profile, run.placement)
    return _Side(Measured(value=value, scatter=u), terms, figures.get("means", {}).get(Role.FAN_SPEED.value))


def _kinds(scope: Scope, jobs: Sequence[Job]) -> dict[uuid.UUID, frozenset[str]]:
    """What was laid on the dies by the last attempt of each job."""
    attempt = {j.id: j.attempt for j in jobs}
    query = scope.select(FitItem).where(
        FitItem.job_id.in_(attempt), FitItem.target.in_(_DIES), FitItem.removed_at.is_(None)
    )
    out: dict[uuid.UUID, set[str]] = {}
    for item in scope.session.scalars(query):
        if item.attempt == attempt[item.job_id]:
            out.setdefault(item.job_id, set()).add(item.kind.value)
    return {job_id: frozenset(kinds) for job_id, kinds in out.items()}
