"""Words of the bench that do not change, as they go out."""

from __future__ import annotations

from vividowl.web.fields import Out


class NamedOut(Out):
    name: str
    words: str


class SightOut(Out):
    name: str
    words: str
    tells: str
    follows: str
    sound: bool


class SightsOut(Out):
    part: str
    words: str
    states: list[SightOut]


class MishapKindOut(Out):
    name: str
    words: str
    recovery: list[str]
    check: str


class WaitKindOut(Out):
    name: str
    words: str
    minutes: float
    least_min: float
    most_min: float
    early: list[str]


class ActOut(Out):
    """What an act makes true besides itself, and untrue."""

    name: str
    cancels: list[str]
    makes: list[str]


class RuleOut(Out):
    """A rule that was broken: why it stands, and what its breach asks for."""

    name: str
    reason: str
    check: str


class BenchWordsOut(Out):
    sights: list[SightsOut]
    mishaps: list[MishapKindOut]
    checks: list[NamedOut]
    waits: list[WaitKindOut]
    drives: list[NamedOut]
    heads: list[NamedOut]
    screw_groups: list[NamedOut]
    plug_parts: list[NamedOut]
    pad_parts: list[NamedOut]
    plugs_open: str
    aluminium: list[list[str]]
    aluminium_seen: str
    acts: list[ActOut]
    rules: list[RuleOut]
    looked_at: list[str]
