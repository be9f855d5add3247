"""Stamps to seconds: what is read, mended, named or refused."""

from datetime import datetime, timedelta

import numpy as np
import polars as pl
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.formats.errors import FormatError
from vividowl.formats.log.timestamps import time_columns, to_seconds

START = datetime(2026, 3, 28, 23, 59, 40)  # noqa: DTZ001 - loggers write local time without a zone


def seconds(texts, *, unit="", header="Time"):
    return to_seconds([pl.Series(texts)], header, unit, 2)


@pytest.mark.parametrize(
    "pattern",
    [
        "%Y-%m-%d %H:%M:%S",
        "%d.%m.%Y %H:%M:%S",
        "%d/%m/%Y %H:%M:%S",
        "%Y/%m/%d %H:%M:%S",
        "%Y-%m-%dT%H:%M:%S",
        "%Y-%m-%dT%H:%M:%SZ",
        "%Y-%m-%d %I:%M:%S %p",
        "%H:%M:%S",
        "%I:%M:%S %p",
    ],
)
def test_ways_to_write_a_moment(pattern):
    texts = [(START + timedelta(seconds=2 * i)).strftime(pattern) for i in range(30)]
    stamps = seconds(texts)
    assert np.allclose(stamps.time_s, np.arange(30) * 2.0)
    assert stamps.notices == ()


def test_fractions_with_point_or_comma():
    for sign in ".,":
        texts = [f"14:05:{i // 4:02d}{sign}{(i % 4) * 25:02d}0" for i in range(40)]
        assert np.allclose(seconds(texts).time_s, np.arange(40) * 0.25)


def test_date_and_time_in_two_columns():
    moments = [START + timedelta(seconds=i) for i in range(40)]
    columns = [pl.Series([f"{m:%d.%m.%Y}" for m in moments]), pl.Series([f"{m:%H:%M:%S}" for m in moments])]
    assert np.allclose(to_seconds(columns, "Time", "", 2).time_s, np.arange(40))


@pytest.mark.parametrize(("values", "unit"), [((0, 500, 1000), "ms"), ((0.0, 0.5, 1.0), "s"), ((0.0, 0.5, 1.0), "")])
def test_elapsed_time_in_its_unit(values, unit):
    assert seconds(list(values), unit=unit).time_s[-1] == pytest.approx(1.0)


def test_epoch_milliseconds_are_known_by_their_size():
    assert seconds([1772373900000 + 1000 * i for i in range(20)]).time_s[-1] == pytest.approx(19)


def test_a_few_broken_stamps_are_filled_from_their_neighbours_and_named():
    texts = [f"14:05:{i:02d}" for i in range(40)]
    texts[7] = "??"
    stamps = seconds(texts)
    assert stamps.time_s[7] == pytest.approx(7)
    assert stamps.notices == (
        "1 time stamps could not be read, first in line 9; they were filled from their neighbours.",
    )


def test_words_are_no_time_and_the_line_is_named():
    with refuses(FormatError, match="Line 2, column “When”: “noon” is not a time") as caught:
        seconds(["noon"] * 30, header="When")
    assert caught.value.line == 2


def test_a_clock_that_stands_still_is_refused():
    with refuses(FormatError, match="all 30 stamps are alike"):
        seconds([12.0] * 30)


@settings(max_examples=40, deadline=None)
@given(st.lists(st.floats(0.05, 30), min_size=20, max_size=60))
def test_property_rising_stamps_survive(steps):
    truth = np.concatenate(([0.0], np.cumsum(np.round(steps, 2))))
    assert np.allclose(seconds(truth.tolist()).time_s, truth)


@settings(max_examples=40, deadline=None)
@given(st.lists(st.sampled_from([-40.0, 0.0, 1.0, 1.0, 1.0, 2.0]), min_size=20, max_size=60))
def test_property_whatever_the_clock_does_time_rises(steps):
    stamps = np.cumsum([0.0, 1.0, *steps])
    found = seconds(stamps.tolist())
    assert (np.diff(found.time_s) > 0).all()
    assert len(found.time_s) == len(stamps)
    assert any("goes back" in n for n in found.notices) == bool((np.diff(stamps) < 0).any())


@pytest.mark.parametrize(
    ("headers", "found"),
    [
        (["Date", "Time", "CPU [°C]"], (0, 1)),
        (["CPU [°C]", "Elapsed [s]"], (1,)),
        (["Timestamp", "Frame time [ms]"], (0,)),
        (["CPU [°C]", "GPU [°C]"], ()),
    ],
)
def test_where_the_time_stands(headers, found):
    assert time_columns(headers) == found
