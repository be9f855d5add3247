"""Fill an empty installation with the made-up shop. Deterministic but for the day it is made on."""

from __future__ import annotations

import shutil
import uuid
from collections.abc import Callable, Mapping
from dataclasses import replace
from datetime import UTC, datetime, timedelta

from sqlalchemy import select, text

from vividowl.service.attempts import attempts, beginning
from vividowl.service.devices.known import with_serial
from vividowl.service.jobs import fit, handover, intake
from vividowl.service.plan import planning
from vividowl.service.record.record import record_of
from vividowl.service.record.versions import Edge
from vividowl.service.runs import all_runs
from vividowl.service.shop import accounts
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.base import Base, rows_as_of
from vividowl.store.deciding import CutSheet, Plan
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Job, Shop
from vividowl.store.scope import Scope
from vividowl_demo.bench import keep_model, play_bench
from vividowl_demo.measuring import measure_run
from vividowl_demo.shelf import cut_for, stock_the_shelf
from vividowl_demo.story import Again, Story, stories

SHOP_NAME = "Lantern Street Repairs"
OWNER = ("imke", "Imke Brandvold")
TECHNICIAN = ("toru", "Toru Adeyemi")
FIRST_NUMBER = 2417


_ITEM = {"amount": None, "amount_unit": ""}


def load_demo(
    workshop: Workshop, edge: Edge, today: datetime | None = None, tell: Callable[[str], None] = lambda _: None
) -> None:
    """Make the demo shop. Its clock runs back from ``today``. edge: how a record leaves the house."""
    day = (today or datetime.now(UTC)).replace(hour=9, minute=12, second=0, microsecond=0)
    owner = accounts.found_shop(
        workshop, shop_name=SHOP_NAME, name=OWNER[1], login=OWNER[0], password=None, demo=True
    ).actor
    with workshop.database.session() as session:
        scope = Scope(session, owner.shop_id)
        scope.shop().last_job_number = FIRST_NUMBER - 1
        scope.shop().habits = {"usual_load": "even load", "usual_fan": "automatic", "work_warranty_months": 6}
        accounts.add_demo_member(scope, TECHNICIAN[0], TECHNICIAN[1])
    lots = stock_the_shelf(workshop, owner, day.date())
    played = stories()
    for index, story in enumerate(played):
        tell(f"demo job {index + 1} of {len(played)}")
        _play(
            workshop,
            owner,
            story=story,
            when=day - timedelta(days=story.days_ago),
            seed=100 * index,
            lots=lots,
            edge=edge,
        )


def _play(
    workshop: Workshop,
    actor: Actor,
    *,
    story: Story,
    when: datetime,
    seed: int,
    lots: Mapping[tuple[str, str], uuid.UUID],
    edge: Edge,
) -> None:
    job = intake.create_job(workshop, actor, {**story.intake, "device_id": _seen(workshop, actor, story)}).job
    for rule, words in story.agreed.items():
        intake.acknowledge(workshop, actor, job.id, rule=rule, words=words)
    for offset, (side, trial) in enumerate((("before", story.before), ("after", story.after))):
        if side == "after" and story.found:
            _decide(workshop, actor, job.id, story)
        if side == "after" and (story.cleaned or story.items):
            with rows_as_of(when + timedelta(hours=2)):
                for item in story.items:
                    lot_id = lots.get((item["product"], item["lot"]))
                    fit.add_item(workshop, actor, job.id, {**_ITEM, **item, "lot_id": lot_id})
                if story.cut is not None:
                    product, rows = story.cut
                    cut_for(workshop, actor, job.id, product=product, rows=rows)
                if story.bench is not None:
                    play_bench(
                        workshop, actor, job.id, model=job.model, tale=story.bench, began=when + timedelta(hours=1)
                    )
            version = intake.get_job(workshop, actor, job.id).job.version
            with rows_as_of(when + timedelta(hours=2)):
                fit.save_fit(
                    workshop,
                    actor,
                    job.id,
                    version,
                    cleaned=list(story.cleaned),
                    fit_note=story.fit_note,
                    done=story.fit_done,
                )
        if trial is not None:
            measure_run(
                workshop,
                actor,
                job.id,
                side=side,
                story=story,
                trial=trial,
                when=when + timedelta(hours=3 * offset),
                seed=seed + offset,
            )
    moments = _further(workshop, actor, job.id, story=story, when=when + timedelta(hours=6), seed=seed)
    if story.again is not None:
        _once_more(
            workshop,
            actor,
            job.id,
            story=story,
            again=story.again,
            when=when + timedelta(hours=6),
            seed=seed + 20,
            lots=lots,
        )
    if story.bench is not None and story.bench.began_min is not None:
        began = datetime.now(UTC) - timedelta(minutes=story.bench.began_min)
        play_bench(workshop, actor, job.id, model=job.model, tale=story.bench, began=began)
    if story.bench is not None and not story.bench.until:
        keep_model(workshop, actor, job.id, job.model)
    _date_back(workshop, actor, job, when=when, moments=moments)
    if story.price_cents is not None or story.handed_over:
        with rows_as_of(when + timedelta(hours=5) if story.handed_over else datetime.now(UTC)):
            _hand_over(workshop, actor, job.id, story=story, edge=edge)


def _hand_over(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, story: Story, edge: Edge) -> None:
    with workshop.scope(actor) as scope:
        record = record_of(workshop, scope, scope.get(Job, job_id))
        version, proposed_on = record.view.job.version, record.proposal.on
    handover.hand_over(
        workshop,
        actor,
        job_id,
        version=version,
        given={"price_cents": story.price_cents, "next_service_on": proposed_on, "handover_note": story.note},
        handed_over=story.handed_over,
        why="",
        edge=edge,
    )


def _seen(workshop: Workshop, actor: Actor, story: Story) -> uuid.UUID | None:
    """The device that came in earlier, by its serial number."""
    with workshop.scope(actor) as scope:
        known = with_serial(scope, story.intake.get("serial", ""))
        return known[0].id if known else None


def _further(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, story: Story, when: datetime, seed: int
) -> dict[str, datetime]:
    """Runs beside Before and After, some of which begin a state of the device; when each of them was."""
    moments: dict[str, datetime] = {}
    like = "after" if story.after is not None else "before"
    for turn, run in enumerate(story.runs):
        at = when + timedelta(days=run.days, minutes=30 * turn)
        if run.cause is not None:
            with rows_as_of(at):
                all_runs.add_state(workshop, actor, job_id, cause=run.cause, changed=run.changed)
        found = all_runs.add_run(
            workshop, actor, job_id, name=run.name, state_id=None, conditions=run.recipe, like=like
        )
        recipe = replace(story, recipe={**story.recipe, **run.recipe})
        key = next(row.run.key for row in found.runs if row.run.name == run.name)
        moments[key] = at
        measure_run(workshop, actor, job_id, side=key, story=recipe, trial=run.trial, when=at, seed=seed + 10 + turn)
    return moments


def _once_more(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    story: Story,
    again: Again,
    when: datetime,
    seed: int,
    lots: Mapping[tuple[str, str], uuid.UUID],
) -> None:
    """A second attempt, after what the first one showed."""
    told = {"checks": again.checks, "print_score": again.print_score, "words": again.words}
    attempts.save_attempt(workshop, actor, job_id, number=1, version=0, fields=told)
    beginning.begin_attempt(workshop, actor, job_id)
    for item in again.items:
        fit.add_item(workshop, actor, job_id, {**_ITEM, **item, "lot_id": lots.get((item["product"], item["lot"]))})
    version = intake.get_job(workshop, actor, job_id).job.version
    fit.save_fit(workshop, actor, job_id, version, cleaned=list(story.cleaned), fit_note=story.fit_note, done=True)
    measure_run(workshop, actor, job_id, side="after", story=story, trial=again.after, when=when, seed=seed)


def _decide(workshop: Workshop, actor: Actor, job_id: uuid.UUID, story: Story) -> None:
    view = planning.save_inspection(workshop, actor, job_id, version=0, goal=story.goal, found=story.found)
    if story.choice:
        planning.choose(workshop, actor, job_id, version=view.plan.version, key=story.choice)


def _date_back(workshop: Workshop, actor: Actor, job: Job, *, when: datetime, moments: Mapping[str, datetime]) -> None:
    """Jobs of the demo happened in the past; the use cases themselves know only the present."""
    with workshop.scope(actor) as scope:
        row = scope.get(Job, job.id)
        row.created_at, row.updated_at = when, when + timedelta(hours=4)
        for plan in scope.session.scalars(scope.select(Plan).where(Plan.job_id == row.id, Plan.chosen_at.is_not(None))):
            plan.chosen_at = when + timedelta(hours=1)
        for cut in scope.session.scalars(scope.select(CutSheet).where(CutSheet.job_id == row.id)).unique():
            cut.at = when + timedelta(hours=2)
        for run in scope.session.scalars(scope.select(Run).where(Run.job_id == job.id)):
            logs_of_run = scope.select(TraceFile).where(TraceFile.run_id == run.id).order_by(TraceFile.uploaded_at)
            for turn, trace in enumerate(scope.session.scalars(logs_of_run)):
                # The first log of a run is the one that its repeats repeat, so their order is kept.
                usual = when if run.side == "before" else when + timedelta(hours=3)
                trace.uploaded_at = moments.get(run.key, usual) + timedelta(hours=turn)


def clear_demo(workshop: Workshop) -> bool:
    """Throw the demo away. Returns False and touches nothing when the shop is a real one."""
    with workshop.database.session() as session:
        shops = session.scalars(select(Shop)).all()
        if any(not shop.demo for shop in shops):
            return False
        ids = [shop.id for shop in shops]
        tables = ", ".join(table.name for table in Base.metadata.sorted_tables)
        session.execute(text(f"TRUNCATE {tables} CASCADE"))
    for shop_id in ids:
        shutil.rmtree(workshop.files.root / str(shop_id), ignore_errors=True)
    return True
