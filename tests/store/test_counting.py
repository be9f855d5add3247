"""Counters that all processes share."""

import uuid
from datetime import UTC, datetime, timedelta

from sqlalchemy import text

from vividowl.store.base import rows_as_of
from vividowl.store.counting import (
    attempts_so_far,
    count_attempt,
    end_progress,
    forget_attempts,
    progress_of,
    tell_progress,
)


def kept(database):
    with database.session() as session:
        return session.execute(text("SELECT key, count FROM attempts_counted ORDER BY key")).all()


def test_attempts_count_within_their_span_and_leave_nothing_after_it(workshop):
    long_ago = datetime.now(UTC) - timedelta(hours=2)
    with rows_as_of(long_ago):
        assert [count_attempt(workshop.database, "ada@10.0.0.7", 60) for _ in range(3)] == [1, 2, 3]
        assert attempts_so_far(workshop.database, "ada@10.0.0.7") == (3, long_ago + timedelta(seconds=60))
    assert attempts_so_far(workshop.database, "ada@10.0.0.7")[0] == 0
    assert count_attempt(workshop.database, "otto@10.0.0.8", 60) == 1
    assert kept(workshop.database) == [("otto@10.0.0.8", 1)]
    assert count_attempt(workshop.database, "ada@10.0.0.7", 60) == 1
    assert forget_attempts(workshop.database, "ada@10.0.0.7") == 1
    assert kept(workshop.database) == [("otto@10.0.0.8", 1)]


def test_progress_is_told_and_ends(workshop):
    work = uuid.uuid4()
    assert progress_of(workshop.database, work) == (0, 0)
    tell_progress(workshop.database, work, 0, 40)
    tell_progress(workshop.database, work, 20, 40)
    assert progress_of(workshop.database, work) == (20, 40)
    end_progress(workshop.database, work)
    assert progress_of(workshop.database, work) == (0, 0)
