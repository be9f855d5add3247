"""Database and files in one archive, and back."""

from __future__ import annotations

import io
import json
import os
import shutil
import subprocess
import tarfile
import tempfile
from datetime import UTC, datetime
from pathlib import Path

from vividowl.host.cluster import Cluster
from vividowl.host.postgres import ClusterError, bin_dir
from vividowl.store.database import Database

FORMAT = "vividowl-backup-1"


class BackupError(RuntimeError):
    """A backup cannot be written or read. One line, says what to do."""


def _tool(cluster: Cluster, name: str, *arguments: str) -> None:
    command = [str(bin_dir() / name), *arguments, "--dbname=vividowl"]
    done = subprocess.run(command, env=cluster.environment(), capture_output=True, text=True, cwd="/", check=False)
    if done.returncode:
        said = (done.stderr.strip().splitlines() or ["said nothing"])[-1]
        raise ClusterError(f"{name} failed: {said}")


def write_backup(cluster: Cluster, files: Path, target: Path) -> int:
    """Write the archive; a file of that name is never overwritten. Returns its size [B]."""
    if target.exists():
        raise BackupError(f"{target} exists already. Choose another name.")
    if not target.parent.is_dir():
        raise BackupError(f"The folder {target.parent} does not exist. Make it first.")
    half = target.with_name(target.name + ".part")
    try:
        with tempfile.TemporaryDirectory() as folder:
            dump = Path(folder) / "database.dump"
            _tool(cluster, "pg_dump", "--format=custom", "--no-owner", f"--file={dump}")
            about = json.dumps({"format": FORMAT, "made_at": datetime.now(UTC).isoformat()}).encode()
            half.unlink(missing_ok=True)
            half.touch(mode=0o600)  # it holds customers' names
            with tarfile.open(half, "w") as archive:
                info = tarfile.TarInfo("about.json")
                info.size = len(about)
                archive.addfile(info, io.BytesIO(about))
                archive.add(dump, "database.dump")
                if files.exists():
                    archive.add(files, "files", filter=lambda m: None if "/incoming" in m.name else m)
        half.replace(target)
    finally:
        half.unlink(missing_ok=True)
    return target.stat().st_size


def _extract(archive: tarfile.TarFile, root: Path) -> None:
    """Write what the archive holds below a folder: plain files and folders, by names that stay inside, and no other.

    By hand, as the Python of Debian 12 has no filters for it yet.
    """
    for member in archive:
        target = (root / member.name).resolve()
        held = archive.extractfile(member) if member.isfile() else None
        if not target.is_relative_to(root.resolve()) or not (held or member.isdir()):
            raise tarfile.TarError(f"{member.name} is no plain file inside")
        if held is None:
            target.mkdir(parents=True, exist_ok=True)
            continue
        target.parent.mkdir(parents=True, exist_ok=True)
        with held, open(target, "xb", opener=lambda name, how: os.open(name, how, 0o600)) as out:
            shutil.copyfileobj(held, out)


def read_backup(cluster: Cluster, database: Database, files: Path, source: Path) -> None:
    """Put the archive in place of database and files. What was there is kept until the new state stands."""
    if not source.is_file():
        raise BackupError(f"There is no file {source}.")
    with tempfile.TemporaryDirectory(dir=files.parent) as folder:
        root = Path(folder)
        try:
            with tarfile.open(source) as archive:
                _extract(archive, root)
            about = json.loads((root / "about.json").read_text())
        except (tarfile.TarError, OSError, ValueError) as error:
            raise BackupError(f"{source} is no backup of Vivid Owl ({error}).") from error
        if about.get("format") != FORMAT or not (root / "database.dump").exists():
            raise BackupError(f"{source} is no backup of Vivid Owl.")
        # The connections go, the feed stays: it comes back by itself.
        database.engine.dispose()
        _tool(
            cluster,
            "pg_restore",
            "--clean",
            "--if-exists",
            "--no-owner",
            "--exit-on-error",
            "--single-transaction",
            str(root / "database.dump"),
        )
        old = root / "old"
        if files.exists():
            files.replace(old)
        (root / "files").mkdir(exist_ok=True)
        shutil.move(root / "files", files)
    database.migrate()
