"""What every use case works with: database, files, and who acts."""

from __future__ import annotations

import threading
import uuid
from collections.abc import Callable, Iterator, Mapping
from contextlib import contextmanager
from dataclasses import dataclass, field

from vividowl.core.bench.log.log import BenchLog
from vividowl.core.quantities.words import Words, say
from vividowl.service.errors import Refused
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.store.models import Job
from vividowl.store.scope import Scope

# Shares of the disk that are free: below the first it is told, below the second nothing large is taken in any more.
SPACE_WARN, SPACE_REFUSE = 0.10, 0.02


@dataclass(frozen=True)
class Actor:
    """Who acts, for which shop, in which role."""

    shop_id: uuid.UUID
    member_id: uuid.UUID
    role: str
    name: str


@dataclass(frozen=True)
class KeptLog:
    """A log of the bench with the number of its latest event, and by tablet its latest turn."""

    number: int = 0
    log: BenchLog = field(default_factory=BenchLog)
    turns: Mapping[str, int] = field(default_factory=dict)


def in_background(task: Callable[[], object]) -> None:
    """Do what nobody waits for beside the answer."""
    threading.Thread(target=task, name="background", daemon=True).start()


@dataclass(frozen=True, kw_only=True)
class Workshop:
    """Database and files of this installation. bench_logs: logs of the bench by job; a copy that any
    process can make anew from the events; later: does what nobody waits for."""

    database: Database
    files: FileStore
    bench_logs: dict[uuid.UUID, KeptLog] = field(default_factory=dict, repr=False, compare=False)
    later: Callable[[Callable[[], object]], None] = in_background

    @property
    def space(self) -> str:
        """How the disk stands: ok, low or full."""
        free = self.files.free_share()
        return "full" if free < SPACE_REFUSE else "low" if free < SPACE_WARN else "ok"

    def require_space(self) -> None:
        """Refuse what comes in while hardly anything is free: a full disk stops the database too."""
        if self.space == "full":
            raise Refused(
                "full", say("workshop-less-than-disk-free-nothing", space_refuse=100 * SPACE_REFUSE), reason="disk_full"
            )

    @contextmanager
    def together(self, actor: Actor) -> Iterator[Scope]:
        """One transaction over several use cases of one request: what they do counts as a whole or not at all."""
        with self.database.together() as session:
            yield Scope(session, actor.shop_id)

    @contextmanager
    def scope(self, actor: Actor) -> Iterator[Scope]:
        """One transaction on the rows of the actor's shop."""
        with self.database.session() as session:
            yield Scope(session, actor.shop_id)


def check_version(row_version: int, version: int, what: Words) -> None:
    """Refuse to write over what somebody else has changed meanwhile."""
    if row_version != version:
        raise Refused(
            "conflict", say("workshop-was-changed-meanwhile-on-another", what=what), field="version", reason="stale"
        )


def open_job(scope: Scope, job_id: uuid.UUID) -> Job:
    """The job, locked for writing; refused when it is handed over or stopped for safety."""
    job = scope.get(Job, job_id, lock=True)
    if job.handed_over_at is not None:
        raise Refused("conflict", say("workshop-job-was-handed-over-and", number=job.number), reason="handed_over")
    if job.battery_swollen:
        raise Refused("conflict", say("workshop-job-stopped-battery-swollen", number=job.number), reason="stopped")
    return job
