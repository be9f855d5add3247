"""What is refused before a file becomes the log of a run, each with what to do instead."""

from __future__ import annotations

import contextlib
from typing import Any

from vividowl.core.job.device import RunSide
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.reading import Reading
from vividowl.core.reading.repeat import why_no_repeat
from vividowl.service.errors import Refused
from vividowl.service.measure.comparing import kept
from vividowl.service.measure.readings import reading_of
from vividowl.service.workshop import Workshop
from vividowl.store.files import BrokenOff, TooLarge
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope


def refuse_no_repeat(workshop: Workshop, scope: Scope, job: Job, *, run: Run, reading: Reading, file_name: str) -> None:
    """A repeat shares load, fan and sensor with its run; anything else is a run of its own."""
    there = kept(scope, TraceFile, run)
    if not there:
        return
    why = why_no_repeat(reading_of(workshop, scope.shop_id, trace=there[0], run=run, limit_c=job.limit_c), reading)
    if why is not None:
        raise Refused("conflict", say("logs-no-repeat", name=file_name, why=why), field="log", reason="no_repeat")


def size_refusals(file_name: str, field: str, remedy: Words) -> contextlib.AbstractContextManager[None]:
    """Words for a file that is too large or broken off."""

    @contextlib.contextmanager
    def guard() -> Any:  # noqa: ANN401
        try:
            yield
        except TooLarge as error:
            raise Refused(
                "invalid",
                say("logs-file-error", name=file_name, error=error.message),
                field=field,
                remedy=remedy,
                reason="too_large",
            ) from error
        except BrokenOff as error:
            raise Refused(
                "invalid",
                say("logs-nothing-was-stored", file_name=file_name, error=error.message),
                field=field,
                reason="broken_off",
            ) from error

    return guard()


def refuse_after_without_before(scope: Scope, job: Job, side: str) -> None:
    """After is measured against a Before."""
    if side == "after":
        before = scope.run(job.id, "before")
        if not kept(scope, TraceFile, before):
            raise Refused("conflict", say("logs-this-job-has-no-before"), field="log", reason="no_before")


def refuse_known_file(scope: Scope, sha256: str, *, name: str, job: Job, side: str, again: bool) -> None:
    """The very same file serves one run, or another job on purpose."""
    for _, run, other in scope.traces_with(sha256):
        if other.id == job.id and run.key == side:
            raise Refused(
                "conflict", say("logs-log-that-already-here", name=name), field="log", reason="same_file_here"
            )
        if other.id == job.id and run.side is RunSide.OTHER:
            raise Refused(
                "conflict",
                say("logs-very-file-of-run", name=name, run=run.name or None, side=side),
                field="log",
                reason="same_file_other_run",
            )
        if other.id == job.id:
            raise Refused(
                "conflict",
                say("logs-very-file-that-serves-as", name=name, capitalize=run.side.capitalize()),
                field="log",
                reason="same_file_other_side",
            )
        if not again:
            raise Refused(
                "conflict",
                say("logs-already-log-job", name=name, capitalize=run.side.capitalize(), number=other.number),
                field="log",
                reason="same_file_elsewhere",
            )
