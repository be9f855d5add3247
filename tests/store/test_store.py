"""Migrations, scope and files."""

import hashlib
import io
import re
import uuid
from datetime import UTC, date, datetime

import pytest
from sqlalchemy import Enum, inspect, text
from sqlalchemy.exc import IntegrityError
from sqlalchemy.orm.exc import StaleDataError
from tests.said import refuses

from vividowl.service.shop import accounts
from vividowl.store.base import Base
from vividowl.store.database import Database
from vividowl.store.deciding import Lot, Plan, Product
from vividowl.store.devices import Device
from vividowl.store.files import BrokenOff, FileStore, TooLarge
from vividowl.store.finding import Wanted, find_jobs
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Customer, Job, Member, Shop
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
            device = scope.add(Device(customer_id=customer.id, kind="laptop", maker="", model="M"))
            job = Job(
                number=scope.next_job_number(), customer_id=customer.id, device_id=device.id, created_by=member.id
            )
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
            owner = scope.customer("W", "").id
            device = scope.add(Device(customer_id=owner, kind="laptop", maker="", model="M"))
            job = scope.add(Job(number=1, customer_id=owner, device_id=device.id, created_by=member.id))
            run = scope.add(Run(job_id=job.id, side="before", result_score=10.0, window_from_s=1.0, window_to_s=9.0))
            for name in ("first.csv", "repeat.csv"):
                figures = {"size_bytes": 1, "samples": 2, "interval_s": 1.0, "duration_s": 1.0}
                scope.add(
                    TraceFile(
                        run_id=run.id,
                        sha256="0" * 64,
                        file_name=name,
                        channels=[],
                        notices=[],
                        uploaded_by=member.id,
                        **figures,
                    )
                )
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
        with pytest.raises(NotFound, match="job"):
            Scope(session, one).get(Job, job_two)
        assert find_jobs(Scope(session, two), Wanted(), limit=10, offset=0)[1] == 1


def test_a_row_cannot_point_into_another_shop(workshop, two_shops):
    one, two, _ = two_shops
    with workshop.database.session() as session:
        foreign, device = Scope(session, two).one(Customer).id, Scope(session, two).one(Device).id
        member = Scope(session, one).one(Member).id
        own, mine = Scope(session, one).one(Customer).id, Scope(session, one).one(Device).id
    for which, customer_id, device_id in (("customer_id", foreign, mine), ("device_id", own, device)):
        job = Job(number=99, customer_id=customer_id, device_id=device_id, created_by=member)
        with pytest.raises(IntegrityError, match=f"fk_job_shop_id_{which}"), workshop.database.session() as session:
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
        assert find_jobs(scope, Wanted(find="same"), limit=10, offset=0)[1] == 1
        assert find_jobs(scope, Wanted(find="%"), limit=10, offset=0)[1] == 0


def test_a_received_file_is_kept_whole_or_not_at_all(tmp_path):
    store, shop = FileStore(tmp_path), uuid.uuid4()
    with store.receive(io.BytesIO(b"hello"), 5, 100) as received, store.aside("parquet") as columns:
        columns.write_bytes(b"PAR1")
        with store.keeping(shop, received, columns):
            pass
    assert store.original(shop, received.sha256).read_bytes() == b"hello"
    assert store.columns(shop, received.sha256).read_bytes() == b"PAR1"
    assert list((tmp_path / "incoming").iterdir()) == []


def test_a_broken_or_oversized_upload_leaves_nothing(tmp_path):
    store = FileStore(tmp_path)
    with refuses(BrokenOff, match="after 5 of 9 bytes"), store.receive(io.BytesIO(b"hello"), 9, 100):
        pass
    with pytest.raises(TooLarge), store.receive(io.BytesIO(b"x" * 200), None, 100):
        pass
    assert [p for p in tmp_path.rglob("*") if p.is_file()] == []


def test_what_fails_before_its_commit_leaves_no_file_and_what_was_there_stays(tmp_path):
    store, shop = FileStore(tmp_path), uuid.uuid4()

    def attempt():
        with store.receive(io.BytesIO(b"hello"), 5, 100) as received, store.keeping(shop, received):
            raise OSError("no row for it")

    with pytest.raises(OSError, match="no row for it"):
        attempt()
    assert [p for p in tmp_path.rglob("*") if p.is_file()] == []
    with store.receive(io.BytesIO(b"hello"), 5, 100) as received, store.keeping(shop, received):
        pass
    with pytest.raises(OSError, match="no row for it"):
        attempt()
    assert store.original(shop, received.sha256).read_bytes() == b"hello"


def test_files_and_folders_are_for_their_owner_alone(tmp_path):
    store, shop = FileStore(tmp_path / "files"), uuid.uuid4()
    with store.receive(io.BytesIO(b"hello"), 5, 100) as received, store.aside("parquet") as columns:
        columns.write_bytes(b"PAR1")
        columns.chmod(0o600)  # as the reader writes them
        with store.keeping(shop, received, columns):
            pass
    store.keep_photo(shop, "ab" * 32, b"large", b"small")
    for path in (tmp_path / "files").rglob("*"):
        assert path.stat().st_mode & 0o777 == (0o700 if path.is_dir() else 0o600), path


def test_a_start_takes_away_what_is_half_written_or_belongs_to_nothing(tmp_path):
    store, shop = FileStore(tmp_path), uuid.uuid4()
    for data in (b"wanted", b"orphan"):
        with store.receive(io.BytesIO(data), None, 100) as received, store.keeping(shop, received):
            pass
    wanted = hashlib.sha256(b"wanted").hexdigest()
    (tmp_path / "incoming/half.jpg").write_bytes(b"half")
    assert (store.clean_incoming(), store.sweep({shop: [wanted]})) == (1, 1)
    assert [p.name for p in tmp_path.rglob("*") if p.is_file()] == [f"{wanted}.log"]


def test_a_file_name_cannot_lead_out_of_the_store(tmp_path):
    with pytest.raises(ValueError, match="named by its SHA-256"):
        FileStore(tmp_path).original(uuid.uuid4(), "../../etc/passwd")


def test_stock_cannot_fall_below_nought_whatever_the_code_does(two_shops, database):
    first, _, _ = two_shops
    with database.session() as session:
        scope = Scope(session, first)
        product = scope.add(Product(kind="pad", name="P", unit="g"))
        lot = scope.add(Lot(product_id=product.id, code="A", received_on=date(2026, 1, 1), held=1.0, remaining=1.0))
        lot_id = lot.id
    for change in ("remaining = -0.001", "held = 0"):
        with pytest.raises(IntegrityError), database.session() as session:
            session.execute(text(f"UPDATE lot SET {change} WHERE id = '{lot_id}'"))


def test_a_lot_cannot_belong_to_a_product_of_another_shop(two_shops, database):
    first, second, _ = two_shops
    with database.session() as session:
        product_id = Scope(session, first).add(Product(kind="pad", name="P", unit="g")).id
    lot = {"product_id": product_id, "code": "A", "received_on": date(2026, 1, 1), "held": 1.0, "remaining": 1.0}
    with pytest.raises(IntegrityError), database.session() as session:
        Scope(session, second).add(Lot(**lot))


@pytest.mark.parametrize(
    "product", [{"unit": "bucket"}, {"unit": "sheet"}, {"unit": "g", "price_cents": -1}, {"unit": "g", "low_at": -1.0}]
)
def test_products_that_cannot_be_are_refused_by_the_database(two_shops, database, product):
    first, _, _ = two_shops
    with pytest.raises(IntegrityError), database.session() as session:
        Scope(session, first).add(Product(kind="pad", name="P", **product))


def test_a_job_has_one_plan_and_a_decision_has_its_time(two_shops, database):
    first, _, (job, _) = two_shops
    with database.session() as session:
        Scope(session, first).add(Plan(job_id=job, inspection={}, notes=[]))
    with pytest.raises(IntegrityError), database.session() as session:
        Scope(session, first).add(Plan(job_id=job, inspection={}, notes=[]))
    with pytest.raises(IntegrityError), database.session() as session:
        session.execute(text("UPDATE plan SET chosen = '{}'"))


def test_a_shop_from_before_the_shelf_gets_its_usual_ways(cluster, workshop):
    with workshop.database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as admin:
        admin.execute(text("DROP DATABASE IF EXISTS ways"))
        admin.execute(text("CREATE DATABASE ways"))
    other = Database(cluster.url.replace("/vividowl", "/ways"))
    try:
        other.migrate("0003")
        with other.session() as session:
            session.execute(
                text(
                    "INSERT INTO shop (id, name, currency, demo, reference_room_c, hourly_rate_cents, tolerances, "
                    "last_job_number, created_at) "
                    "VALUES (gen_random_uuid(), 'Old', 'EUR', false, 25, 6000, '{}', 0, now())"
                )
            )
        other.migrate()
        with other.session() as session:
            shop = session.query(Shop).one()
            assert (shop.tax_percent, shop.habits, shop.catalogue) == (0.0, {}, {})
        other.migrate("0003")
        assert "lot" not in inspect(other.engine).get_table_names()
    finally:
        other.close()


def test_place_and_fan_are_taken_over_from_the_words_of_before(cluster, workshop):
    with workshop.database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as admin:
        admin.execute(text("DROP DATABASE IF EXISTS places"))
        admin.execute(text("CREATE DATABASE places"))
    other = Database(cluster.url.replace("/vividowl", "/places"))
    lives = {1: "on a laptop stand", 2: "Lap, sofa", 3: "dock, lid closed", 4: "shelf"}
    shop, customer, member = uuid.uuid4(), uuid.uuid4(), uuid.uuid4()
    unknown = dict.fromkeys(("surroundings", "warranty", "seal", "backup_done"), "unknown")
    try:
        other.migrate("0012")
        with other.session() as session:
            put(session, "shop", id=shop, name="Old", currency="EUR", reference_room_c=25.0, hourly_rate_cents=6000)
            put(session, "member", id=member, shop_id=shop, login="ada", name="Ada", role="owner")
            put(session, "customer", id=customer, shop_id=shop, name="Wen")
            for number, words in lives.items():
                put(
                    session,
                    "job",
                    id=uuid.uuid4(),
                    shop_id=shop,
                    customer_id=customer,
                    created_by=member,
                    kind="laptop",
                    number=number,
                    lives=words,
                    **unknown,
                )
        other.migrate()
        with other.session() as session:
            found = dict(session.execute(text("SELECT number, place FROM job")).all())
        assert found == {1: "stand", 2: "lap", 3: "dock", 4: "unknown"}
    finally:
        other.close()


def put(session, table, **values):
    """A row in a table as it was once; columns that want a value and get none say nothing."""
    nothing = {"BOOLEAN": False, "INTEGER": 0, "JSONB": "{}", "TIMESTAMP": datetime.now(UTC), "DOUBLE PRECISION": 0.0}
    for column in inspect(session.connection()).get_columns(table):
        if not column["nullable"] and column["default"] is None:
            values.setdefault(column["name"], nothing.get(str(column["type"]).split("(")[0], ""))
    names, marks = ", ".join(values), ", ".join(f":{name}" for name in values)
    session.execute(text(f"INSERT INTO {table} ({names}) VALUES ({marks})"), values)


def test_every_choice_that_is_stored_is_held_to_the_values_of_the_core(cluster, workshop):
    """What the tables check and what the core knows is one list."""
    with workshop.database.engine.connect() as connection:
        stored = dict(
            connection.execute(
                text(
                    "SELECT conname, pg_get_constraintdef(oid) FROM pg_constraint WHERE contype = 'c' AND convalidated"
                )
            ).all()
        )
    seen = 0
    for table in Base.metadata.tables.values():
        for column in table.columns:
            if isinstance(column.type, Enum):
                name = f"ck_{table.name}_{column.name}"
                held = next(rule for known, rule in stored.items() if known.endswith(name))
                assert sorted(re.findall(r"'([^']*)'::", held)) == sorted(column.type.enums), (
                    f"{table.name}.{column.name}"
                )
                seen += 1
    assert seen >= 16


def test_a_version_counts_what_somebody_edits_and_an_older_one_is_refused(workshop, two_shops):
    shop_id, _, (job_id, _) = two_shops
    with workshop.database.session() as session:
        job = Scope(session, shop_id).get(Job, job_id)
        job.bench = {"step": 2}
        session.flush()
        assert job.version == 1  # follows from elsewhere
        job.symptom = "loud"
        session.flush()
        job.symptom = "very loud"
    assert job.version == 2  # once a transaction, however often it is written
    with workshop.database.session() as first, workshop.database.session() as second:
        mine, theirs = (Scope(s, shop_id).get(Job, job_id) for s in (first, second))
        mine.symptom = "quiet"
        first.commit()
        theirs.symptom = "hot"
        with pytest.raises(StaleDataError):
            second.flush()
        second.rollback()
    with workshop.database.session() as session:
        assert Scope(session, shop_id).get(Job, job_id).symptom == "quiet"
