"""What a reader says when a file cannot be used."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Words


class FormatError(CoreError):
    """A file cannot be read. ``line`` counts from 1; ``headers`` are the columns found, when there were any."""

    def __init__(
        self,
        message: Words,
        *,
        remedy: Words,
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
        return _again, (self.message, self.remedy, self.line, self.headers, self.reason)


def _again(message: Words, remedy: Words, line: int | None, headers: tuple[str, ...], reason: str) -> FormatError:
    return FormatError(message, remedy=remedy, line=line, headers=headers, reason=reason)
