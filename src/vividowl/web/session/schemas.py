"""Who is signed in."""

from __future__ import annotations

import uuid
from typing import Annotated, Literal

from pydantic import StringConstraints

from vividowl.service.shop.accounts import OpenSession
from vividowl.web.fields import In, Name, Out, Short


class SignInIn(In):
    login: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class SetUpIn(In):
    """zone: where the shop is, as the browser knows it."""

    code: Short
    zone: Short = "UTC"
    shop_name: Name
    name: Name
    login: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class PersonOut(Out):
    id: uuid.UUID
    name: str
    role: str
    shop_name: str
    demo: bool
    currency: str
    language: str
    zone: str


class SessionOut(Out):
    """languages: what customers can be written to in; that of a person is what their shop usually writes in."""

    person: PersonOut | None
    demo_available: bool
    set_up_needed: bool
    csrf_token: str
    space: Literal["ok", "low", "full"]
    languages: list[str]


class SessionsOut(Out):
    sessions: list[OpenSession]
