"""Migrations, scope and files."""

import io
import uuid

import pytest
from sqlalchemy import inspect, text
from sqlalchemy.exc import IntegrityError

from vividowl.service import accounts
from vividowl.store.database import Database
from vividowl.store.files import BrokenOff, FileStore, TooLarge
from vividowl.store.models import Base, Customer, Job, Member, Run, Shop, TraceFile
from vividowl.store.scope import NotFound, Scope


@pytest.fixture
def two_shops(workshop):
    """Two shops, each with an owner, a customer and a job."""
    first = accounts.found_shop(workshop, shop_name="One", name="Ada", login="ada", password=None)
    with workshop.database.session() as session:
        shop = Shop(name="Two")
        session.add(shop)
        session.flush()
        session.add(Member(shop_id=shop.id, login="bo", name="Bo", role="owner"))
        ids = []
        for shop_id in (first.shop_id, shop.id):
            scope = Scope(session, shop_id)
            member = scope.one(Member)
            customer = scope.customer("Same Name", "")
            job = Job(number=scope.next_job_number(), customer_id=customer.id, kind="laptop", maker="", model="M",
                      created_by=member.id)  # fmt: skip
            ids.append(scope.add(job).id)
    return first.shop_id, shop.id, ids


def test_the_models_and_the_migrations_agree(database):
    from alembic.autogenerate import compare_metadata
    from alembic.migration import MigrationContext

    with database.engine.connect() as connection:
        assert compare_metadata(MigrationContext.configure(connection), Base.metadata) == []


def test_migrations_go_down_and_up_on_filled_tables(cluster, workshop, two_shops):
    with workshop.database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as admin:
        admin.execute(text("DROP DATABASE IF EXISTS updown"))
        admin.execute(text("CREATE DATABASE updown"))
    other = Database(cluster.url.replace("/vividowl", "/updown"))
    try:
        other.migrate()
        with other.session() as session:
            session.add(Shop(name="Filled"))
        other.migrate("base")
        assert inspect(other.engine).get_table_names() == ["alembic_version"]
        other.migrate()
        assert "trace_file" in inspect(other.engine).get_table_names()
    finally:
        other.close()


def test_repeats_go_when_a_shop_goes_back_to_one_log_a_run_and_rows_stay(cluster, workshop):
    with workshop.database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as admin:
        admin.execute(text("DROP DATABASE IF EXISTS repeats"))
        admin.execute(text("CREATE DATABASE repeats"))
    other = Database(cluster.url.replace("/vividowl", "/repeats"))
    try:
        other.migrate()
        with other.session() as session:
            shop = Shop(name="Filled")
            session.add(shop)
            session.flush()
            scope = Scope(session, shop.id)
            member = scope.add(Member(login="ada", name="Ada", role="owner"))
            job = scope.add(Job(number=1, customer_id=scope.customer("W", "").id, kind="laptop", maker="", model="M",
                                created_by=member.id))  # fmt: skip
            run = scope.add(Run(job_id=job.id, side="before", result_score=10.0, window_from_s=1.0, window_to_s=9.0))
            for name in ("first.csv", "repeat.csv"):
                figures = {"size_bytes": 1, "samples": 2, "interval_s": 1.0, "duration_s": 1.0}
                scope.add(TraceFile(run_id=run.id, sha256="0" * 64, file_name=name, channels=[], notices=[],
                                    uploaded_by=member.id, **figures))  # fmt: skip
        other.migrate("0001")
        with other.engine.connect() as connection:
            kept = connection.execute(text("SELECT file_name FROM trace_file WHERE removed_at IS NULL")).scalars().all()
            assert kept == ["first.csv"]
        other.migrate()
        with other.session() as session:
            assert {t.file_name for t in session.query(TraceFile)} == {"first.csv", "repeat.csv"}
            assert session.query(Run).one().result_score is None
    finally:
        other.close()


def test_rows_of_another_shop_do_not_exist(workshop, two_shops):
    one, two, (job_one, job_two) = two_shops
    with workshop.database.session() as session:
        assert Scope(session, one).get(Job, job_one).id == job_one
        with pytest.raises(NotFound, match="no such job in this shop"):
            Scope(session, one).get(Job, job_two)
        assert Scope(session, two).jobs(limit=10, offset=0, open_only=False)[1] == 1


def test_a_row_cannot_point_into_another_shop(workshop, two_shops):
    one, two, _ = two_shops
    with workshop.database.session() as session:
        foreign = Scope(session, two).one(Customer).id
        member = Scope(session, one).one(Member).id
    job = Job(number=99, customer_id=foreign, kind="laptop", maker="", model="M", created_by=member)
    with pytest.raises(IntegrityError, match="fk_job_shop_id_customer_id"), workshop.database.session() as session:
        Scope(session, one).add(job)


def test_numbers_count_up_in_each_shop_apart(workshop, two_shops):
    one, _, _ = two_shops
    with workshop.database.session() as session:
        assert [Scope(session, one).next_job_number() for _ in range(2)] == [2, 3]


def test_invariants_stand_in_the_database(workshop, two_shops):
    one, _, (job, _) = two_shops
    with pytest.raises(IntegrityError, match="ck_job_price_cents"), workshop.database.session() as session:
        Scope(session, one).get(Job, job).price_cents = -5


def test_a_search_takes_signs_literally(workshop, two_shops):
    one, _, _ = two_shops
    with workshop.database.session() as session:
        scope = Scope(session, one)
        assert scope.jobs(limit=10, offset=0, open_only=False, find="same")[1] == 1
        assert scope.jobs(limit=10, offset=0, open_only=False, find="%")[1] == 0


def test_a_received_file_is_kept_whole_or_not_at_all(tmp_path):
    store, shop = FileStore(tmp_path), uuid.uuid4()
    with (
        store.receive(io.BytesIO(b"hello"), 5, 100) as received,
        store.prepare_columns(lambda path: path.write_bytes(b"PAR1")) as prepared,
    ):
        store.keep(shop, received, prepared)
    assert store.original(shop, received.sha256).read_bytes() == b"hello"
    assert store.columns(shop, received.sha256).read_bytes() == b"PAR1"
    assert list((tmp_path / "incoming").iterdir()) == []


def test_a_broken_or_oversized_upload_leaves_nothing(tmp_path):
    store = FileStore(tmp_path)
    with pytest.raises(BrokenOff, match="after 5 of 9 bytes"), store.receive(io.BytesIO(b"hello"), 9, 100):
        pass
    with pytest.raises(TooLarge), store.receive(io.BytesIO(b"x" * 200), None, 100):
        pass
    assert [p for p in tmp_path.rglob("*") if p.is_file()] == []


def test_columns_that_cannot_be_written_leave_no_original(tmp_path):
    store, shop = FileStore(tmp_path), uuid.uuid4()

    def fail(path):
        path.write_bytes(b"half")
        raise OSError("disk full")

    with (
        store.receive(io.BytesIO(b"hello"), 5, 100) as received,
        store.prepare_columns(fail) as prepared,
        pytest.raises(OSError, match="disk full"),
    ):
        store.keep(shop, received, prepared)
    assert [p for p in tmp_path.rglob("*") if p.is_file()] == []


def test_a_file_name_cannot_lead_out_of_the_store(tmp_path):
    with pytest.raises(ValueError, match="named by its SHA-256"):
        FileStore(tmp_path).original(uuid.uuid4(), "../../etc/passwd")
