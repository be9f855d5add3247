"""Lists of past jobs: brought, told what their columns are, taken in as a whole, taken back as a whole."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any, BinaryIO

from vividowl.core.job.device import DeviceKind
from vividowl.core.job.past_columns import PastRole
from vividowl.core.job.past_rows import DayOrder
from vividowl.core.quantities.words import say
from vividowl.formats.sheets.past_table import BYTES_MOST, COLUMNS_MOST
from vividowl.service.errors import Refused
from vividowl.service.kept_files import kept_files
from vividowl.service.measure.refusing import size_refusals
from vividowl.service.names import plain_name
from vividowl.service.past.reading import ListView, list_view, read_list
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store import counting
from vividowl.store.models import Job
from vividowl.store.past import ImportState, PastImport
from vividowl.store.scope import Scope

# What a list may have, for those who hand one over.
LIST_BYTES_MOST, LIST_COLUMNS_MOST = BYTES_MOST, COLUMNS_MOST


def bring(workshop: Workshop, actor: Actor, stream: BinaryIO, *, expected: int | None, file_name: str) -> ListView:
    """Keep a list and look at it; nothing is taken in yet."""
    name = plain_name(file_name)
    workshop.require_space()
    with (
        size_refusals(name, "file", say("past-table-split")),
        workshop.files.receive(stream, expected, BYTES_MOST) as received,
    ):
        read_list(received.path, name)
        with workshop.scope(actor) as scope, workshop.files.keeping(actor.shop_id, received):
            row = scope.add(
                PastImport(
                    file_name=name,
                    sha256=received.sha256,
                    size_bytes=received.size_bytes,
                    said={},
                    made_by=actor.member_id,
                )
            )
            return list_view(workshop, scope, row)


def lists(workshop: Workshop, actor: Actor) -> Sequence[PastImport]:
    """Lists of the shop, the latest first."""
    with workshop.scope(actor) as scope:
        return scope.session.scalars(scope.select(PastImport).order_by(PastImport.made_at.desc())).all()


def look(workshop: Workshop, actor: Actor, import_id: uuid.UUID) -> ListView:
    """A list as it would come in."""
    with workshop.scope(actor) as scope:
        return list_view(workshop, scope, draft_of(scope, import_id))


def draft_of(scope: Scope, import_id: uuid.UUID, *, lock: bool = False) -> PastImport:
    row = scope.get(PastImport, import_id, lock=lock)
    if row.state is not ImportState.DRAFT:
        raise Refused("conflict", say("past-taken-already", name=row.file_name), reason=row.state.value)
    return row


def tell(
    workshop: Workshop,
    actor: Actor,
    import_id: uuid.UUID,
    version: int,
    *,
    roles: Sequence[str | None] | None,
    sheet: str,
    order: str,
    kind: str,
) -> ListView:
    """Say what the columns of a list are. roles: for each column, None to let it be guessed again."""
    with workshop.scope(actor) as scope:
        row = draft_of(scope, import_id, lock=True)
        check_version(row.version, version, say("past-list"))
        said: dict[str, Any] = {"sheet": sheet, "day_order": DayOrder(order).value, "kind": DeviceKind(kind).value}
        if roles is not None:
            named = [role for role in roles if role]
            twice = next((role for role in named if named.count(role) > 1), None)
            if twice is not None:
                raise Refused(
                    "invalid",
                    say("past-role-twice", role=say(f"past-role-{PastRole(twice).value}")),
                    field="roles",
                    remedy=say("past-role-once"),
                )
            table = read_list(workshop.files.original(scope.shop_id, row.sha256), row.file_name, sheet)
            if len(roles) != len(table.headings):
                raise Refused(
                    "invalid", say("past-columns-differ", given=len(roles), columns=len(table.headings)), field="roles"
                )
            said["roles"] = list(roles)
        row.said = said
        scope.session.flush()
        return list_view(workshop, scope, row)


def discard(workshop: Workshop, actor: Actor, import_id: uuid.UUID) -> None:
    """Put a list that was not taken in aside for good."""
    with workshop.scope(actor) as scope:
        row = draft_of(scope, import_id, lock=True)
        scope.session.delete(row)
    drop_file(workshop, actor, row.sha256)


@dataclass(frozen=True)
class Told:
    """What the row of a list said that a job was brought in from; no cells once its customer was erased."""

    file_name: str
    line: int
    cells: tuple[tuple[str, str], ...]


def progress_of(workshop: Workshop, actor: Actor, import_id: uuid.UUID) -> tuple[int, int]:
    """How many rows of a list have been taken in, of how many; of none when it is not at work."""
    with workshop.scope(actor) as scope:
        scope.get(PastImport, import_id)
    return counting.progress_of(workshop.database, import_id)


def told_of(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> Told:
    """What the list said of a job."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        if job.import_id is None or job.past is None:
            raise Refused("missing", say("past-of-no-list", number=job.number))
        row = scope.get(PastImport, job.import_id)
        return Told(row.file_name, job.past["line"], tuple((name, text) for name, text in job.past.get("cells", ())))


def drop_file(workshop: Workshop, actor: Actor, sha256: str) -> None:
    """Let go of the file of a list, unless another speaks of it: it names everyone who stands in it."""
    if sha256 not in kept_files(workshop).get(actor.shop_id, ()):
        workshop.files.original(actor.shop_id, sha256).unlink(missing_ok=True)
