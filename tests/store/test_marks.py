"""What follows from a column stands beside it; one without is noticed at import."""

import pytest
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

from vividowl.store.devices import Device
from vividowl.store.marks import ASKED, OWN, PERSONAL, asked, blank, forget, marked
from vividowl.store.models import Job


class Apart(DeclarativeBase):
    """Tables of these tests alone."""


def test_a_column_without_marks_does_not_start():
    with pytest.raises(TypeError, match=r"columns of Bare without marks: colour$"):

        @marked
        class Bare(Apart):
            __tablename__ = "bare"
            id: Mapped[int] = mapped_column(primary_key=True, info=OWN)
            colour: Mapped[str]


def test_what_is_personal_is_cleared_and_nothing_else():
    @marked
    class Whole(Apart):
        __tablename__ = "whole"
        id: Mapped[int] = mapped_column(primary_key=True, info=OWN)
        words: Mapped[str] = mapped_column(default="", info=PERSONAL)
        colour: Mapped[str | None] = mapped_column(info=ASKED)

    row = Whole(id=1, words="my cat sleeps on it", colour="grey")
    forget(row)
    assert (row.words, row.colour) == ("", "grey")
    assert asked(Whole) == ("colour",)


def test_intake_begins_with_nothing_said():
    begun = blank(Job, asked(Job)) | blank(Device, asked(Device))
    assert begun["symptom"] == begun["serial"] == ""
    assert (begun["age_months"], begun["battery_swollen"], begun["sensor_limits"]) == (None, False, {})
    assert begun["backup_done"] == begun["fan"] == "unknown"
