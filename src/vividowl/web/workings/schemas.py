"""Workings: the calculators, what went in and what came out."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from vividowl.web.fields import In, Out
from vividowl.web.plan.schemas import ProcedureOut
from vividowl.web.shelf.schemas import DrawingOut


class WorkIn(In):
    given: Annotated[dict[str, Annotated[str, Field(max_length=2000)]], Field(max_length=20)]


class InputOut(Out):
    key: str
    words: str
    unit: str
    example: str
    needed: bool
    choices: list[str]


class WorkingOut(Out):
    name: str
    title: str
    words: str
    group: str
    inputs: list[InputOut]
    formula: str
    limits: str
    source: str


class WorkingsOut(Out):
    workings: list[WorkingOut]
    procedures: list[ProcedureOut]


class ResultOut(Out):
    """One result as it is shown: text is empty for none."""

    key: str
    words: str
    text: str
    unit: str


class WorkedResultOut(Out):
    results: list[ResultOut]
    drawings: list[DrawingOut]
