"""Which files of the store anything speaks of."""

from __future__ import annotations

import hashlib
import uuid
from pathlib import Path

from sqlalchemy import select

from vividowl.service.workshop import Workshop
from vividowl.store.bench import Photo
from vividowl.store.measuring import FrameFile, SoundFile, TraceFile
from vividowl.store.past import ImportState, PastImport


def missing_files(workshop: Workshop) -> list[str]:
    """Files that a row names and that are not there, or hold something else, by shop and SHA-256."""
    out = []
    with workshop.database.session() as session:
        rows = [
            (shop_id, sha256, table)
            for table in (TraceFile, SoundFile, FrameFile, Photo)
            for shop_id, sha256 in session.execute(select(table.shop_id, table.sha256))
        ]
    for shop_id, sha256, table in rows:
        store = workshop.files
        if table is Photo:
            # Both sizes are drawn from what came in: only that they are there can be seen.
            whole = all(store.photo(shop_id, sha256, size).is_file() for size in ("large", "small"))
        else:
            whole = _holds(store.original(shop_id, sha256), sha256)
            whole = whole and (table is not TraceFile or store.columns(shop_id, sha256).is_file())
        if not whole:
            out.append(f"{shop_id}/{sha256}")
    return out


def _holds(path: Path, sha256: str) -> bool:
    """Whether a file is there and holds what its name says."""
    if not path.is_file():
        return False
    with path.open("rb") as held:
        return hashlib.file_digest(held, "sha256").hexdigest() == sha256


def kept_files(workshop: Workshop) -> dict[uuid.UUID, set[str]]:
    """SHA-256 of all files that a row names, by shop: those that were taken off too, since they can be brought back;
    of lists of past jobs those that are still looked at."""
    out: dict[uuid.UUID, set[str]] = {}
    with workshop.database.session() as session:
        for table in (TraceFile, SoundFile, FrameFile, Photo):
            for shop_id, sha256 in session.execute(select(table.shop_id, table.sha256)):
                out.setdefault(shop_id, set()).add(sha256)
        drafts = select(PastImport.shop_id, PastImport.sha256).where(PastImport.state == ImportState.DRAFT)
        for shop_id, sha256 in session.execute(drafts):
            out.setdefault(shop_id, set()).add(sha256)
    return out
