"""Customers."""

from __future__ import annotations

import uuid
from datetime import date, datetime

from vividowl.web.fields import In, Name, Out


class CustomerFoundOut(Out):
    id: uuid.UUID
    name: str
    contact: str
    jobs: int
    last_on: date | None
    erased_at: datetime | None


class CustomersOut(Out):
    customers: list[CustomerFoundOut]


class CustomerJobOut(Out):
    """A visit of a device of theirs."""

    id: uuid.UUID
    number: int
    device: str
    day: date
    open: bool


class CustomerOut(Out):
    """A customer with what is kept of them."""

    id: uuid.UUID
    name: str
    contact: str
    erased_at: datetime | None
    devices: int
    jobs: list[CustomerJobOut]


class EraseIn(In):
    """name: theirs, typed once more."""

    name: Name
