"""What a use case says when it refuses."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from functools import partial
from typing import Any

from vividowl.core.quantities.words import Words, remedy_of
from vividowl.formats.errors import FormatError

_NAMED = ("field", "remedy", "reason", "stage", "extra")


class Refused(Exception):  # noqa: N818 - reads as what it says
    """A use case refused. kind is one of invalid, conflict, forbidden, missing, gone, full, busy; the text says
    what and why; stage: where it is settled, empty where it is not settled in one."""

    def __init__(
        self,
        kind: str,
        detail: Words,
        *,
        field: str = "",
        remedy: Words | None = None,
        reason: str = "",
        stage: str = "",
        extra: Mapping[str, Sequence[Any]] | None = None,
    ) -> None:
        super().__init__(detail)
        self.kind = kind
        self.detail = detail
        self.field = field
        self.remedy = remedy_of(detail) if remedy is None else remedy
        self.reason = reason
        self.stage = stage
        self.extra = dict(extra or {})

    def __reduce__(self) -> tuple[object, ...]:
        """Exceptions with named arguments do not travel between processes by themselves."""
        return partial(Refused, self.kind, self.detail, **{n: getattr(self, n) for n in _NAMED}), ()


def refused_file(error: FormatError, field: str, reason: str = "") -> Refused:
    """What a reader of files said, as a use case says it. reason: where the reader gave none of its own."""
    return Refused(
        "busy" if error.reason == "busy" else "invalid",
        error.message,
        field=field,
        remedy=error.remedy,
        reason=error.reason or reason,
        extra={"headers": list(error.headers)} if error.headers else None,
    )
