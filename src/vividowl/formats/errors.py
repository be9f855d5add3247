"""What a reader says when a file cannot be used."""

from __future__ import annotations

from collections.abc import Sequence
from functools import partial
from typing import Any

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Words


class FormatError(CoreError):
    """A file cannot be read. ``line`` counts from 1; ``headers`` are the columns found, when there were any."""

    def __init__(
        self,
        message: Words,
        *,
        remedy: Words | None = None,
        line: int | None = None,
        headers: Sequence[str] = (),
        reason: str = "format",
    ) -> None:
        super().__init__(message, remedy=remedy)
        self.line = line
        self.headers = tuple(headers)
        self.reason = reason

    def __reduce__(self) -> tuple[object, ...]:
        """Exceptions with named arguments do not travel between processes by themselves."""
        named: dict[str, Any] = {n: getattr(self, n) for n in ("remedy", "line", "headers", "reason")}
        return partial(FormatError, self.message, **named), ()
