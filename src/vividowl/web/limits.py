"""How often one may try: counted in the database, so that all processes count as one."""

from __future__ import annotations

from typing import Any

from limits.storage import Storage

from vividowl.store.counting import attempts_so_far, count_attempt, forget_attempts
from vividowl.store.database import Database


class SharedCounters(Storage):
    """The counters of the limiter. database: in which they are kept."""

    STORAGE_SCHEME = ["vividowl"]  # noqa: RUF012 - as the library has it

    def __init__(self, uri: str | None = None, wrap_exceptions: bool = False, **options: Any) -> None:  # noqa: ANN401
        super().__init__(uri, wrap_exceptions)
        self._database: Database = options["database"]

    @property
    def base_exceptions(self) -> tuple[type[Exception], ...]:
        """None is wrapped: a database that is away is answered as everywhere."""
        return ()

    def incr(self, key: str, expiry: int, amount: int = 1) -> int:
        """Count some more."""
        return count_attempt(self._database, key, expiry, amount)

    def get(self, key: str) -> int:
        """How many were counted."""
        return attempts_so_far(self._database, key)[0]

    def get_expiry(self, key: str) -> float:
        """When they are forgotten."""
        return attempts_so_far(self._database, key)[1].timestamp()

    def check(self) -> bool:
        """Whether they can be counted."""
        return self._database.answers()

    def reset(self) -> int:
        """Forget what is over."""
        return forget_attempts(self._database)

    def clear(self, key: str) -> None:
        """Forget those of a key."""
        forget_attempts(self._database, key)
