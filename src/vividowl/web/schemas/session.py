"""Who is signed in."""

from __future__ import annotations

from typing import Annotated

from pydantic import StringConstraints

from vividowl.web.schemas.base import In, Name, Out, Short


class SignInIn(In):
    login: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class SetUpIn(In):
    code: Short
    shop_name: Name
    name: Name
    login: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class PersonOut(Out):
    name: str
    role: str
    shop_name: str
    demo: bool
    currency: str


class SessionOut(Out):
    person: PersonOut | None
    demo_available: bool
    set_up_needed: bool
    csrf_token: str
