"""Database and files in one archive, and back.

An archive ends with its manifest: what it holds, each with size and SHA-256, and how many rows each table had. What is
cut off, bent or incomplete is refused before anything is replaced. It comes back into a database of its own, is brought
to today's schema there and looked through; only then does it take the place of the present one.
"""

from __future__ import annotations

import hashlib
import io
import json
import os
import shutil
import subprocess
import tarfile
import tempfile
from collections.abc import Iterator, Mapping
from contextlib import contextmanager
from dataclasses import dataclass
from datetime import UTC, datetime
from pathlib import Path
from typing import IO, Any

from sqlalchemy import inspect, text
from sqlalchemy.exc import SQLAlchemyError

from vividowl.appliance.cluster import DATABASE, Cluster
from vividowl.appliance.postgres import ClusterError, bin_dir
from vividowl.service.kept_files import missing_files
from vividowl.service.workshop import Workshop
from vividowl.store.database import Database, UnknownRevision
from vividowl.store.files import FileStore

FORMAT = "vividowl-backup-2"
# Written by earlier versions: they have no manifest. What they hold is held against the rows that speak of it.
WITHOUT_MANIFEST = "vividowl-backup-1"
ABOUT, DUMP, FILES, MANIFEST = "about.json", "database.dump", "files", "manifest.json"
COMING, GOING = f"{DATABASE}_coming", f"{DATABASE}_going"
_CHUNK = 1 << 20


class BackupError(RuntimeError):
    """A backup cannot be written or read. One line, says what to do."""


@dataclass(frozen=True)
class Restored:
    """made_at: when the backup was made; how many tables, rows and files came back."""

    made_at: str
    tables: int
    rows: int
    files: int


def _tool(cluster: Cluster, name: str, database: str, *arguments: str) -> None:
    command = [str(bin_dir() / name), *arguments, f"--dbname={database}"]
    done = subprocess.run(command, env=cluster.environment(), capture_output=True, text=True, cwd="/", check=False)
    if done.returncode:
        said = (done.stderr.strip().splitlines() or ["said nothing"])[-1]
        raise ClusterError(f"{name} failed: {said}")


class _Hashed(io.RawIOBase):
    """A stream that counts and hashes what is read from it."""

    def __init__(self, inner: IO[bytes]) -> None:
        self._inner, self.digest, self.size = inner, hashlib.sha256(), 0

    def read(self, size: int = -1) -> bytes:
        data = self._inner.read(size)
        self.digest.update(data)
        self.size += len(data)
        return data


def _add(archive: tarfile.TarFile, source: Path, name: str) -> dict[str, Any]:
    """Add a file; its line of the manifest, of the bytes that went in."""
    info = archive.gettarinfo(source, name)
    with source.open("rb") as held:
        hashed = _Hashed(held)
        archive.addfile(info, hashed)
    return {"name": name, "size": hashed.size, "sha256": hashed.digest.hexdigest()}


def _add_json(archive: tarfile.TarFile, name: str, value: object) -> dict[str, Any]:
    data = json.dumps(value, indent=1).encode()
    info = tarfile.TarInfo(name)
    info.size = len(data)
    archive.addfile(info, io.BytesIO(data))
    return {"name": name, "size": len(data), "sha256": hashlib.sha256(data).hexdigest()}


@contextmanager
def _snapshot(database: Database) -> Iterator[tuple[str, dict[str, int]]]:
    """A moment of the database that stands still while it is dumped, and how many rows each table has then."""
    with database.engine.connect().execution_options(isolation_level="REPEATABLE READ") as connection:
        name = str(connection.scalar(text("SELECT pg_export_snapshot()")))
        tables = sorted(inspect(connection).get_table_names())
        quoted = connection.dialect.identifier_preparer.quote
        counts = {t: int(connection.scalar(text(f"SELECT count(*) FROM {quoted(t)}")) or 0) for t in tables}  # noqa: S608
        yield name, counts


def write_backup(cluster: Cluster, database: Database, files: Path, target: Path, *, with_files: bool = True) -> int:
    """Write the archive; a file of that name is never overwritten. Returns its size [B]. with_files: without, it is
    only for this machine, whose files stay where they are."""
    if target.exists():
        raise BackupError(f"{target} exists already. Choose another name.")
    if not target.parent.is_dir():
        raise BackupError(f"The folder {target.parent} does not exist. Make it first.")
    half = target.with_name(target.name + ".part")
    try:
        with tempfile.TemporaryDirectory() as folder, _snapshot(database) as (snapshot, counts):
            dump = Path(folder) / DUMP
            _tool(
                cluster,
                "pg_dump",
                DATABASE,
                "--format=custom",
                "--no-owner",
                f"--snapshot={snapshot}",
                f"--file={dump}",
            )
            about = {
                "format": FORMAT,
                "made_at": datetime.now(UTC).isoformat(),
                "revision": database.revision(),
                "with_files": with_files,
            }
            half.unlink(missing_ok=True)
            half.touch(mode=0o600)  # it holds customers' names
            with tarfile.open(half, "w") as archive:
                held = [_add_json(archive, ABOUT, about), _add(archive, dump, DUMP)]
                if with_files:
                    held += [_add(archive, path, f"{FILES}/{path.relative_to(files)}") for path in _kept(files)]
                _add_json(archive, MANIFEST, {"files": held, "rows": counts, "end": True})
            with half.open("rb") as written:
                os.fsync(written.fileno())
        half.replace(target)
    finally:
        half.unlink(missing_ok=True)
    return target.stat().st_size


def _kept(files: Path) -> list[Path]:
    """Files of the store, without what is only on its way in."""
    if not files.exists():
        return []
    return sorted(p for p in files.rglob("*") if p.is_file() and p.relative_to(files).parts[0] != "incoming")


def _extract(archive: tarfile.TarFile, root: Path) -> dict[str, tuple[int, str]]:
    """Write what the archive holds below a folder: plain files and folders, by names that stay inside, each once, and
    no other. Size and SHA-256 of each by name.

    By hand, as the Python of Debian 12 has no filters for it yet.
    """
    found: dict[str, tuple[int, str]] = {}
    for member in archive:
        target = (root / member.name).resolve()
        held = archive.extractfile(member) if member.isfile() else None
        if not target.is_relative_to(root.resolve()) or not (held or member.isdir()) or member.name in found:
            raise tarfile.TarError(f"{member.name} is no plain file inside, or is there twice")
        if held is None:
            target.mkdir(parents=True, exist_ok=True)
            continue
        target.parent.mkdir(parents=True, exist_ok=True)
        hashed = _Hashed(held)
        with held, open(target, "xb", opener=lambda name, how: os.open(name, how, 0o600)) as out:
            while chunk := hashed.read(_CHUNK):
                out.write(chunk)
        if hashed.size != member.size:
            raise tarfile.TarError(f"{member.name} is cut off")
        found[member.name] = (hashed.size, hashed.digest.hexdigest())
    return found


def _checked(source: Path, root: Path) -> tuple[Mapping[str, Any], Mapping[str, int] | None]:
    """The archive below a folder, as it says of itself; its row counts, None for one of an earlier version."""
    try:
        with tarfile.open(source, errorlevel=2) as archive:
            found = _extract(archive, root)
        about = json.loads((root / ABOUT).read_text())
        if not isinstance(about, dict):
            raise ValueError(f"{ABOUT} is no table")
    except (tarfile.TarError, OSError, ValueError) as error:
        raise BackupError(f"{source} is no backup of Vivid Owl ({error}).") from error
    if about.get("format") not in (FORMAT, WITHOUT_MANIFEST) or not (root / DUMP).exists():
        raise BackupError(f"{source} is no backup of Vivid Owl.")
    if about["format"] == WITHOUT_MANIFEST:
        return about, None
    try:
        manifest = json.loads((root / MANIFEST).read_text())
        said = {str(f["name"]): (int(f["size"]), str(f["sha256"])) for f in manifest["files"]}
        rows = {str(name): int(count) for name, count in manifest["rows"].items()}
        whole = manifest["end"] is True
    except (OSError, ValueError, KeyError, TypeError, AttributeError) as error:
        raise BackupError(f"{source} is cut off: its end is missing. Take another backup.") from error
    del found[MANIFEST]
    bent = [*(n for n in said if found.get(n) != said[n]), *(n for n in found if n not in said)]
    if bent or not whole:
        raise BackupError(
            f"{source} is damaged: {len(bent)} of {len(said)} files differ from its manifest, {bent[0]} first. "
            "Nothing was replaced. Take another backup."
        )
    return about, rows


def read_backup(cluster: Cluster, files: Path, source: Path) -> Restored:
    """Put the archive in place of database and files. Until it is known to be whole, nothing is touched."""
    if not source.is_file():
        raise BackupError(f"There is no file {source}.")
    files.parent.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory(dir=files.parent) as folder:
        root = Path(folder)
        about, rows = _checked(source, root)
        with cluster.another_database(COMING) as url:
            try:
                _tool(
                    cluster,
                    "pg_restore",
                    COMING,
                    "--no-owner",
                    "--exit-on-error",
                    "--single-transaction",
                    str(root / DUMP),
                )
            except ClusterError as error:
                raise BackupError(
                    f"The database in {source} cannot be read ({error}). Nothing was replaced."
                ) from error
            coming = root / FILES if about.get("with_files", True) else files
            restored = _looked_through(source, url, about=about, rows=rows, files=coming)
            if coming != files:
                _lay_over(coming, files)
            cluster.swap_databases(COMING, GOING)
    return restored


def _looked_through(
    source: Path, url: str, *, about: Mapping[str, Any], rows: Mapping[str, int] | None, files: Path
) -> Restored:
    """Count, bring to today's schema, and see that every kept file is there."""
    database = Database(url)
    try:
        with database.engine.connect() as connection:
            names = sorted(inspect(connection).get_table_names())
            quoted = connection.dialect.identifier_preparer.quote
            counts = {t: int(connection.scalar(text(f"SELECT count(*) FROM {quoted(t)}")) or 0) for t in names}  # noqa: S608
        odd = [t for t in (rows or {}) if counts.get(t) != (rows or {})[t]]
        if odd:
            raise BackupError(f"{source} is damaged: table {odd[0]} has lost rows. Nothing was replaced.")
        try:
            database.migrate()
        except UnknownRevision as error:
            raise BackupError(
                f"{source} was made by a newer version than this one ({error}). Update Vivid Owl, then restore it."
            ) from error
        except SQLAlchemyError as error:
            line = str(error).splitlines()[0]
            raise BackupError(f"{source} cannot be brought to today's tables: {line} Nothing was replaced.") from error
        lacks = missing_files(Workshop(database=database, files=FileStore(files)))
        if lacks:
            raise BackupError(
                f"{source} is incomplete: {len(lacks)} kept files are missing or differ, {lacks[0]} first. "
                "Nothing was replaced. Take another backup."
            )
        return Restored(str(about.get("made_at", "")), len(counts), sum(counts.values()), len(_kept(files)))
    finally:
        database.close()


def _lay_over(coming: Path, files: Path) -> None:
    """Put files beside and over those that are there. Each is named by what it holds, so that none replaces another
    one; what nothing speaks of any more is swept by the next start."""
    for path in _kept(coming):
        place = files / path.relative_to(coming)
        place.parent.mkdir(parents=True, exist_ok=True, mode=0o700)
        shutil.move(path, place)
