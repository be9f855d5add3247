"""Calendar files, read back by another parser of the format and held to RFC 5545."""

from datetime import UTC, date, datetime, timedelta

import icalendar

from vividowl.formats.calendar_file import Dated, calendar_file

WRITTEN = datetime(2026, 11, 30, 9, 0, tzinfo=UTC)
LONG = "Nächster Service; fällig, mit Komma\nund zweiter Zeile: " + "sehr lang " * 20
EVENTS = [
    Dated(uid="service-1@vivid-owl", on=date(2027, 5, 30), words=LONG, more="dust", ahead=7),
    Dated(uid="cycles-1@vivid-owl", on=date(2026, 12, 1), words="Warm and cool", again=10),
    Dated(uid="pickup-1@vivid-owl", on=datetime(2026, 12, 2, 15, 30, tzinfo=UTC), words="Pick it up", hours=0.5),
]


def test_what_is_written_is_read_back():
    calendar = icalendar.Calendar.from_ical(calendar_file(EVENTS, WRITTEN, 2))
    service, cycles, pick_up = calendar.walk("VEVENT")
    assert str(service["SUMMARY"]) == LONG.strip() or str(service["SUMMARY"]) == LONG
    assert (service.decoded("DTSTART"), service.decoded("DTEND")) == (date(2027, 5, 30), date(2027, 5, 31))
    assert service.walk("VALARM")[0].decoded("TRIGGER") == timedelta(days=-7)
    assert cycles["RRULE"] == {"FREQ": ["DAILY"], "COUNT": [10]}
    assert pick_up.decoded("DTEND") == datetime(2026, 12, 2, 16, 0, tzinfo=UTC)
    assert {int(e["SEQUENCE"]) for e in calendar.walk("VEVENT")} == {2}
    assert calendar["VERSION"] == "2.0"


def test_lines_are_folded_and_times_are_utc():
    """RFC 5545: lines of at most 75 octets, ended by CRLF, folded by a space (3.1); UTC by Z (3.3.5); commas,
    semicolons and line feeds of a text escaped (3.3.11)."""
    written = calendar_file(EVENTS, WRITTEN, 0)
    lines = written.split(b"\r\n")
    assert lines[-1] == b""
    assert b"\n" not in written.replace(b"\r\n", b"")
    assert max(len(line) for line in lines) <= 75
    assert any(line.startswith(b" ") for line in lines)
    assert b"DTSTART:20261202T153000Z" in lines
    assert b"DTSTART;VALUE=DATE:20270530" in lines
    assert b"DTSTAMP:20261130T090000Z" in lines
    unfolded = written.replace(b"\r\n ", b"").decode()
    assert "Service\\; fällig\\, mit Komma\\nund" in unfolded
