"""Which files of the store anything speaks of."""

from __future__ import annotations

import uuid

from sqlalchemy import select

from vividowl.service.workshop import Workshop
from vividowl.store.bench import Photo
from vividowl.store.measuring import FrameFile, SoundFile, TraceFile
from vividowl.store.past import ImportState, PastImport


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
