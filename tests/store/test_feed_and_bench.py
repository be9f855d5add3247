"""News between processes, and what the tables of the bench hold to."""

import queue
import uuid

import pytest
from sqlalchemy import text
from sqlalchemy.exc import IntegrityError
from tests.store.test_store import two_shops  # noqa: F401 - a fixture

from vividowl.store.base import now
from vividowl.store.bench import BenchEventRow, DeviceModel, Photo
from vividowl.store.database import Database
from vividowl.store.feed import Feed, tell
from vividowl.store.models import Member
from vividowl.store.scope import Scope


@pytest.fixture
def feed(database):
    """A feed of its own, as another process would have."""
    made = Feed(database.engine.url.set(drivername="postgresql").render_as_string(hide_password=False))
    yield made
    made.close()


def test_news_come_when_the_transaction_is_committed_and_only_to_their_shop(workshop, feed):
    mine, other, job = uuid.uuid4(), uuid.uuid4(), uuid.uuid4()
    with feed.listen(mine) as ear, feed.listen(other) as deaf:
        with workshop.database.session() as session:
            tell(session, mine, job, 7)
            with pytest.raises(queue.Empty):
                ear.get(timeout=0.3)
        assert (ear.get(timeout=2).job_id, ear.qsize()) == (job, 0)
        assert deaf.empty()


def test_what_is_rolled_back_is_not_told(workshop, feed):
    shop = uuid.uuid4()
    with feed.listen(shop) as ear:
        with workshop.database.session() as session:
            tell(session, shop, uuid.uuid4(), 1)
            session.rollback()
        with pytest.raises(queue.Empty):
            ear.get(timeout=0.5)


def test_a_broken_line_is_taken_up_again_and_everybody_looks_anew(workshop, feed, database):
    shop = uuid.uuid4()
    with feed.listen(shop) as ear:
        with database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as admin:
            admin.execute(text("SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query LIKE 'LISTEN%'"))
        assert ear.get(timeout=10).job_id is None
        with workshop.database.session() as session:
            tell(session, shop, uuid.uuid4(), 2)
        assert ear.get(timeout=2).number == 2


def test_an_ear_that_is_gone_costs_nothing_and_a_closed_feed_stays_closed(cluster):
    other = Database(cluster.url)
    with other.feed.listen(uuid.uuid4()):
        assert len(other.feed._ears) == 1
    assert other.feed._ears == {}
    other.close()
    with other.feed.listen(uuid.uuid4()) as ear:
        assert ear.empty()


def event(scope, job, member, number, **more):
    fields = {
        "id": uuid.uuid4(),
        "job_id": job,
        "number": number,
        "kind": "note",
        "data": {},
        "at": now(),
        "version": 2,
        "device": "a",
        "turn": number,
        "member_id": member,
        "effect": {},
    }
    return scope.add(BenchEventRow(**{**fields, **more}))


@pytest.mark.parametrize("clash", [{"number": 1}, {"turn": 1}, {"turn": 0}])
def test_a_log_has_no_two_events_in_one_place(two_shops, workshop, clash):  # noqa: F811
    shop, _, (job, _) = two_shops
    with workshop.database.session() as session:
        scope = Scope(session, shop)
        member = scope.one(Member).id
        event(scope, job, member, 1)
        with pytest.raises(IntegrityError):
            event(scope, job, member, clash.get("number", 2), turn=clash.get("turn", 2))
        session.rollback()


def test_events_photos_and_models_stay_in_their_shop(two_shops, workshop):  # noqa: F811
    shop, other, (job, foreign) = two_shops
    with workshop.database.session() as session:
        member = Scope(session, shop).one(Member).id
    for row in (
        BenchEventRow(
            id=uuid.uuid4(),
            job_id=foreign,
            number=1,
            kind="note",
            data={},
            version=2,
            at=now(),
            device="a",
            turn=1,
            member_id=member,
            effect={},
        ),
        Photo(
            id=uuid.uuid4(), job_id=foreign, sha256="a" * 64, width_px=1, height_px=1, size_bytes=1, uploaded_by=member
        ),
    ):
        with pytest.raises(IntegrityError), workshop.database.session() as session:
            Scope(session, shop).add(row)
    assert other != shop
    assert job != foreign


def test_a_model_is_kept_once_a_shop(two_shops, workshop):  # noqa: F811
    shop, _, _ = two_shops
    with workshop.database.session() as session:
        scope = Scope(session, shop)
        kept = {"maker": "Ondervale", "model": "Marrow 15", "kind": "laptop", "data": {}}
        member = scope.one(Member).id
        scope.add(DeviceModel(**kept, updated_by=member))
        with pytest.raises(IntegrityError):
            scope.add(DeviceModel(**kept, updated_by=member))
        session.rollback()
