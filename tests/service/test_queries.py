"""Lists ask the database a constant number of questions, however long they are; their order holds across pages."""

import uuid
from contextlib import contextmanager

import pytest
from sqlalchemy import event
from tests.service.test_use_cases import FIELDS, owner  # noqa: F401 - a fixture

from vividowl.core.bench.model_sheet import ModelSheet, sheet_data
from vividowl.service.devices import devices, history
from vividowl.service.jobs import intake, today
from vividowl.service.models import models
from vividowl.service.runs import all_runs
from vividowl.store.bench import DeviceModel
from vividowl.store.finding import Wanted


@contextmanager
def counted(workshop):
    """Statements that the database gets."""
    said = []

    def note(_connection, _cursor, statement, *_):
        said.append(statement)

    event.listen(workshop.database.engine, "before_cursor_execute", note)
    try:
        yield said
    finally:
        event.remove(workshop.database.engine, "before_cursor_execute", note)


def keep_models(workshop, actor, count):
    with workshop.scope(actor) as scope:
        for _ in range(count):
            name = f"Marrow {uuid.uuid4()}"
            data = sheet_data(ModelSheet(maker="Ondervale", model=name, kind="laptop"))
            scope.add(DeviceModel(maker="Ondervale", model=name, kind="laptop", data=data, updated_by=actor.member_id))


def take_in(workshop, actor, count, **more):
    return [intake.create_job(workshop, actor, {**FIELDS, **more, "model": f"Marrow {i}"}).job for i in range(count)]


LISTS = {
    "bench": lambda workshop, actor: today.bench(workshop, actor, limit=100, offset=0),
    "devices": lambda workshop, actor: devices.list_devices(workshop, actor, limit=100, offset=0)[:2],
    "jobs": lambda workshop, actor: intake.list_jobs(workshop, actor, Wanted(), limit=100, offset=0),
}


def test_a_longer_list_of_models_asks_no_more_questions(workshop, owner):  # noqa: F811
    take_in(workshop, owner, 3)
    keep_models(workshop, owner, 2)
    with counted(workshop) as few:
        assert len(models.list_models(workshop, owner)) == 2
    keep_models(workshop, owner, 9)
    with counted(workshop) as many:
        assert len(models.list_models(workshop, owner)) == 11
    assert len(many) == len(few)


@pytest.mark.parametrize("name", LISTS)
def test_a_longer_list_asks_no_more_questions(workshop, owner, name):  # noqa: F811
    take_in(workshop, owner, 2)
    with counted(workshop) as few:
        short, _ = LISTS[name](workshop, owner)
    take_in(workshop, owner, 13)
    with counted(workshop) as many:
        long, _ = LISTS[name](workshop, owner)
    assert (len(short), len(long)) == (2, 15)
    assert len(many) == len(few)


def test_the_order_of_the_bench_holds_across_pages(workshop, owner):  # noqa: F811
    take_in(workshop, owner, 4)
    (stopped,) = take_in(workshop, owner, 1, battery_swollen=True)
    take_in(workshop, owner, 4)
    whole, total = today.bench(workshop, owner, limit=100, offset=0)
    pages = [
        view.job.number for at in range(0, total, 3) for view in today.bench(workshop, owner, limit=3, offset=at)[0]
    ]
    assert pages == [view.job.number for view in whole]
    # A stopped one needs a decision: it is first, on the first page, however old it is.
    assert pages[0] == stopped.number


def test_devices_that_may_be_one_are_asked_for_at_once(workshop, owner):  # noqa: F811
    def groups(count, name):
        for k in range(count):
            for _ in range(2):
                take_in(workshop, owner, 1, customer_name=f"{name} {k}")
        with counted(workshop) as said:
            return len(devices.list_devices(workshop, owner, limit=100, offset=0)[2]), said

    few, asked = groups(1, "First")
    many, more = groups(6, "Second")
    assert (few, many) == (1, 7)
    assert len(more) == len(asked)


def test_a_device_with_forty_visits_and_a_job_with_many_runs_ask_no_more_questions(workshop, owner):  # noqa: F811
    (job,) = take_in(workshop, owner, 1)
    device = intake.get_job(workshop, owner, job.id).job.device_id

    def asked(call):
        with counted(workshop) as said:
            return call(), len(said)

    few, short = asked(lambda: history.get_device(workshop, owner, device))
    take_in(workshop, owner, 39, device_id=device)
    many, long = asked(lambda: history.get_device(workshop, owner, device))
    assert (len(few.visits), len(many.visits)) == (1, 40)
    assert long == short

    def add(count):
        for k in range(count):
            all_runs.add_run(workshop, owner, job.id, name=f"Run {k}", state_id=None, conditions={}, like=None)
        return asked(lambda: all_runs.all_runs(workshop, owner, job.id))

    few, short = add(2)
    many, long = add(30)
    assert (len(few.runs), len(many.runs)) == (2, 32)
    assert long == short
