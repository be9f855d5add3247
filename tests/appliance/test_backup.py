"""Database and files in one archive, and back: whole or not at all, also from earlier versions."""

import io
import lzma
import shutil
import tarfile
from pathlib import Path

import pytest
from sqlalchemy import text
from tests.logs import HOT, log_bytes

from vividowl.appliance import launch
from vividowl.appliance.backup import BackupError, read_backup, write_backup
from vividowl.appliance.paths import Places
from vividowl.service.jobs import intake
from vividowl.service.measure import logs
from vividowl.service.measure.comparing import compare_job
from vividowl.service.shop import accounts
from vividowl.service.workshop import Actor
from vividowl.store.models import Job, Member, Shop

DUMPS = Path(__file__).parents[1] / "dumps"


def served(workshop):
    """A shop with one job whose log is stored."""
    owner = accounts.found_shop(
        workshop, shop_name="Kept", name="Ada", login="ada", password="four words to remember"
    ).actor
    fields = {
        "customer_name": "Wen",
        "kind": "laptop",
        "model": "Marrow",
        "warranty": "over",
        "seal": "none",
        "backup_done": "yes",
    }
    job = intake.create_job(workshop, owner, fields).job.id
    data = log_bytes(HOT, seed=4)
    logs.receive_log(
        workshop,
        owner,
        job,
        side="before",
        stream=io.BytesIO(data),
        expected=len(data),
        file_name="a.csv",
        mapping={},
        again=False,
    )
    return owner, job, data


def test_a_backup_brings_rows_and_files_back(cluster, workshop, tmp_path):
    owner, job, data = served(workshop)
    target = tmp_path / "shop.owl"
    assert write_backup(cluster, workshop.database, workshop.files.root, target) > len(data)
    accounts.set_password(workshop, "ada", "changed after the backup")
    shutil.rmtree(workshop.files.root)
    read_backup(cluster, workshop.files.root, target)
    assert accounts.sign_in(workshop, "ada", "four words to remember").shop_name == "Kept"
    path, name = logs.original_file(workshop, owner, job, "before")
    assert (path.read_bytes(), name) == (data, "a.csv")


def test_a_backup_never_overwrites_and_names_a_missing_folder(cluster, workshop, tmp_path):
    (tmp_path / "there").write_text("mine")
    with pytest.raises(BackupError, match="exists already"):
        write_backup(cluster, workshop.database, workshop.files.root, tmp_path / "there")
    with pytest.raises(BackupError, match=r"does not exist\. Make it first"):
        write_backup(cluster, workshop.database, workshop.files.root, tmp_path / "no" / "where")
    assert (tmp_path / "there").read_text() == "mine"


def test_what_is_no_backup_changes_nothing(cluster, workshop, tmp_path):
    served(workshop)
    (tmp_path / "notes.txt").write_text("not an archive")
    with tarfile.open(tmp_path / "other.tar", "w") as archive:
        archive.add(tmp_path / "notes.txt", "notes.txt")
    for name, way_out in (("up.tar", {"name": "../out.txt"}), ("link.tar", {"name": "files", "linkname": "/etc"})):
        member = tarfile.TarInfo(way_out["name"])
        if "linkname" in way_out:
            member.type, member.linkname = tarfile.SYMTYPE, way_out["linkname"]
        with tarfile.open(tmp_path / name, "w") as archive:
            archive.addfile(member, io.BytesIO(b""))
    for name in ("notes.txt", "other.tar", "up.tar", "link.tar"):
        with pytest.raises(BackupError, match="is no backup of Vivid Owl"):
            read_backup(cluster, workshop.files.root, tmp_path / name)
    with pytest.raises(BackupError, match="no file"):
        read_backup(cluster, workshop.files.root, tmp_path / "none")
    assert accounts.sign_in(workshop, "ada", "four words to remember").shop_name == "Kept"


def bent(archive, how, folder):
    """A copy of an archive that something happened to."""
    data = bytearray(archive.read_bytes())
    with tarfile.open(archive) as held:
        members = held.getmembers()
    kept = next(m for m in members if m.name.endswith(".log"))
    middle = members[len(members) // 2]
    if how == "cut at a member":
        data = data[: middle.offset]
    elif how == "cut inside a header":
        data = data[: middle.offset + 200]
    elif how == "cut before the end":
        data = data[: members[-1].offset]
    elif how == "cut within the manifest":
        data = data[: members[-1].offset_data + 40]
    elif how == "one bit in a header":
        data[middle.offset + 150] ^= 1
    elif how == "one bit in a kept file":
        data[kept.offset_data + kept.size // 2] ^= 1
    elif how == "one bit in the database":
        dump = next(m for m in members if m.name == "database.dump")
        data[dump.offset_data + dump.size // 2] ^= 1
    elif how == "one bit in the manifest":
        place = data.index(b'"sha256": "', members[-1].offset_data)
        data[place + 12] ^= 1
    elif how == "a file twice":
        data = data[: members[-1].offset] + data[kept.offset : kept.offset + 512 + -(-kept.size // 512) * 512]
        data += archive.read_bytes()[members[-1].offset :]
    elif how == "about is no table":
        place = members[0].offset_data
        data[place : place + members[0].size] = b"[1]".ljust(members[0].size)
    target = folder / "bent.owl"
    target.write_bytes(bytes(data))
    return target


@pytest.mark.parametrize(
    "how",
    [
        "cut at a member",
        "cut inside a header",
        "cut before the end",
        "cut within the manifest",
        "one bit in a header",
        "one bit in a kept file",
        "one bit in the database",
        "one bit in the manifest",
        "a file twice",
        "about is no table",
    ],
)
def test_a_damaged_backup_replaces_nothing(cluster, workshop, tmp_path, how):
    owner, job, data = served(workshop)
    target = tmp_path / "shop.owl"
    write_backup(cluster, workshop.database, workshop.files.root, target)
    accounts.set_password(workshop, "ada", "changed after the backup")
    with pytest.raises(BackupError, match=r"no backup|cut off|damaged|cannot be read") as caught:
        read_backup(cluster, workshop.files.root, bent(target, how, tmp_path))
    assert "\n" not in str(caught.value)
    assert accounts.sign_in(workshop, "ada", "changed after the backup").shop_name == "Kept"
    assert logs.original_file(workshop, owner, job, "before")[0].read_bytes() == data
    assert not cluster_databases(workshop) - {"postgres", "template0", "template1", "vividowl"}


def cluster_databases(workshop):
    with workshop.database.engine.connect() as connection:
        return set(connection.scalars(text("SELECT datname FROM pg_database")))


def test_a_backup_without_a_file_that_a_row_names_is_refused(cluster, workshop, tmp_path):
    served(workshop)
    next(workshop.files.root.rglob("*.log")).unlink()
    target = tmp_path / "shop.owl"
    write_backup(cluster, workshop.database, workshop.files.root, target)
    with pytest.raises(BackupError, match="1 kept files are missing or differ"):
        read_backup(cluster, workshop.files.root, target)


def test_a_backup_of_a_newer_version_is_refused_in_words(cluster, workshop, tmp_path):
    served(workshop)
    with workshop.database.engine.begin() as connection:
        now = connection.scalar(text("SELECT version_num FROM alembic_version"))
        connection.execute(text("UPDATE alembic_version SET version_num = '9999'"))
    try:
        write_backup(cluster, workshop.database, workshop.files.root, tmp_path / "newer.owl")
    finally:
        with workshop.database.engine.begin() as connection:
            connection.execute(text("UPDATE alembic_version SET version_num = :now"), {"now": now})
    with pytest.raises(BackupError, match="made by a newer version"):
        read_backup(cluster, workshop.files.root, tmp_path / "newer.owl")
    assert accounts.sign_in(workshop, "ada", "four words to remember").shop_name == "Kept"


@pytest.mark.parametrize("dump", sorted(DUMPS.glob("*.owl.xz")), ids=lambda p: p.name.split(".")[0])
def test_a_backup_of_each_released_schema_comes_back_and_is_used(cluster, workshop, tmp_path, dump):
    archive = tmp_path / "kept.owl"
    archive.write_bytes(lzma.decompress(dump.read_bytes()))
    found = read_backup(cluster, workshop.files.root, archive)
    assert found.rows > 50
    assert found.files > 5
    with workshop.database.session() as session:
        shop = session.query(Shop).one()
        owner = session.query(Member).filter_by(role="owner").one()
        actor = Actor(shop.id, owner.id, owner.name, "owner")
    with workshop.scope(actor) as scope:
        jobs = scope.session.scalars(scope.select(Job)).unique().all()
        compared = [compare_job(workshop, scope, job) for job in jobs]
    assert sum(c is not None for c in compared) >= 3  # read, compared and judged by today's program
    for job in jobs:
        intake.get_job(workshop, actor, job.id)
    # And it is saved and restored again as one of today's.
    write_backup(cluster, workshop.database, workshop.files.root, tmp_path / "again.owl")
    assert read_backup(cluster, workshop.files.root, tmp_path / "again.owl").files == found.files


def test_every_schema_that_was_released_has_its_dump(database):
    """From 0026 on each one: `python tools/dump.py` writes that of today."""
    kept = {p.name.split(".")[0] for p in DUMPS.glob("*.owl.xz")}
    released = database.revisions()
    wanted = {"0001", *(r for r in released if r >= "0026")}
    assert kept == wanted


def test_the_database_is_saved_before_it_is_migrated(cluster, workshop, tmp_path, monkeypatch):
    served(workshop)
    where = Places(tmp_path)
    where.var.mkdir()
    monkeypatch.setattr(type(workshop.database), "revision", lambda _: "0025")
    launch._save_before_migrating(where, cluster, workshop.database)
    monkeypatch.undo()
    (saved,) = where.backups.glob("before-*.owl")
    assert where.backups.stat().st_mode & 0o077 == 0
    accounts.set_password(workshop, "ada", "changed after the backup")
    # Its files stayed where they are.
    read_backup(cluster, workshop.files.root, saved)
    assert accounts.sign_in(workshop, "ada", "four words to remember").shop_name == "Kept"
    launch._save_before_migrating(where, cluster, workshop.database)
    assert len(list(where.backups.iterdir())) == 1  # nothing to migrate, nothing to save
