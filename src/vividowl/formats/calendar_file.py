"""Dates as a calendar file (iCalendar, RFC 5545)."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, timedelta

from icalendar import Alarm, Calendar, Event

PRODUCT = "-//Vivid Owl//record//EN"
MEDIA_TYPE = "text/calendar"


@dataclass(frozen=True, kw_only=True)
class Dated:
    """Something on a day, or at a moment. uid: the same for the same thing whenever it is written; again: how many days
    in a row; ahead: how many days before it is told, 0 for not; hours: how long it takes where it has a moment."""

    uid: str
    on: date | datetime
    words: str
    more: str = ""
    again: int = 1
    ahead: int = 0
    hours: float = 1.0


def calendar_file(events: Sequence[Dated], written_at: datetime, sequence: int) -> bytes:
    """A calendar file. sequence: how often these dates were written before, so that a calendar takes the latest."""
    calendar = Calendar()
    calendar.add("prodid", PRODUCT)
    calendar.add("version", "2.0")
    calendar.add("method", "PUBLISH")
    for told in events:
        calendar.add_component(_event(told, written_at, sequence))
    return bytes(calendar.to_ical())


def _event(told: Dated, written_at: datetime, sequence: int) -> Event:
    event = Event()
    event.add("uid", told.uid)
    event.add("dtstamp", written_at)
    event.add("sequence", sequence)
    event.add("summary", told.words)
    if told.more:
        event.add("description", told.more)
    event.add("dtstart", told.on)
    # A day ends where the next begins (RFC 5545, 3.6.1).
    long = timedelta(hours=told.hours) if isinstance(told.on, datetime) else timedelta(days=1)
    event.add("dtend", told.on + long)
    if not isinstance(told.on, datetime):
        event.add("transp", "TRANSPARENT")
    if told.again > 1:
        event.add("rrule", {"freq": "daily", "count": told.again})
    if told.ahead:
        alarm = Alarm()
        alarm.add("action", "DISPLAY")
        alarm.add("description", told.words)
        alarm.add("trigger", timedelta(days=-told.ahead))
        event.add_component(alarm)
    return event
