"""Steps, places and devices as they are stored: strict when they come in, tolerant when an old log is read."""

from __future__ import annotations

from collections.abc import Callable, Collection, Mapping
from dataclasses import MISSING, fields
from typing import Any, TypeVar

import cattrs
from cattrs.errors import ClassValidationError, ForbiddenExtraKeysError

from vividowl.core.bench.fasteners import Place, check_place
from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.log.events import NAME_MOST, TEXT_MOST
from vividowl.core.bench.steps.vocabulary import BenchStep, check_step
from vividowl.core.plan.spots import GapSpot
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Message, Several, Words, listed, say

Row = TypeVar("Row", BenchStep, Place, Device, GapSpot)


_KINDS = {str: "text", float: "number", int: "whole", bool: "flag"}


class _Odd(TypeError):  # noqa: N818 - reads as what it says
    """What is wrong with a value, as the rest of a sentence that names its field."""

    def __init__(self, what: Words) -> None:
        super().__init__(what)
        self.what = what


def _exactly(*allowed: type) -> Callable[[Any, Any], Any]:
    def take(value: Any, _: Any) -> Any:  # noqa: ANN401
        if not isinstance(value, allowed) or (isinstance(value, bool) and bool not in allowed):
            raise _Odd(say("stored-no", allowed=_KINDS[allowed[0]]))
        if isinstance(value, str) and (len(value) > TEXT_MOST or "\0" in value):
            raise _Odd(say("stored-longer-than-characters", text_most=TEXT_MOST))
        return value

    return take


def _words(value: Any, kind: Any) -> Words:  # noqa: ANN401
    said: Words = value if isinstance(value, Message | Several) else _exactly(str)(value, kind)
    return said


def _names(value: Any, _: Any) -> tuple[str, ...]:  # noqa: ANN401
    if not isinstance(value, (list, tuple)) or not all(isinstance(v, str) and len(v) <= NAME_MOST for v in value):
        raise _Odd(say("stored-no-list-names"))
    return tuple(value)


def _converter(*, strict: bool) -> cattrs.Converter:
    made = cattrs.Converter(forbid_extra_keys=strict)
    made.register_structure_hook(str, _exactly(str))
    made.register_structure_hook_func(lambda kind: kind == Words, _words)
    made.register_structure_hook(float, _exactly(float, int))
    made.register_structure_hook(int, _exactly(int))
    made.register_structure_hook(bool, _exactly(bool))
    made.register_structure_hook_func(lambda kind: kind == tuple[str, ...], _names)
    return made


_STRICT, _TOLERANT = _converter(strict=True), _converter(strict=False)
# Traits that stand in lists of other programs and that no rule asks for any more.
_RETIRED_TRAITS = ("alloy", "interface")


def taken(table: type[Row], data: Mapping[str, Any], needed: Collection[str], what: str) -> Row:
    """A row of a table from fields that came in: all that it needs, nothing that it does not know, each of its type.

    table: a dataclass
    data: fields by name
    needed: fields that have to be there (n,) [text]
    what: what such a row is called [text]
    raises: CoreError naming the field
    """
    known = say("stored-known", names=listed(f.name for f in fields(table)))
    lacks = next((k for k in needed if k not in data), None)
    if lacks is not None:
        raise CoreError(say("stored-lacks", what=what, lacks=lacks), field=lacks, remedy=known)
    try:
        return _STRICT.structure(data, table)
    except ClassValidationError as group:
        error = group.exceptions[0]
        if isinstance(error, ForbiddenExtraKeysError):
            odd = str(sorted(map(str, error.extra_fields))[0])[:40]
            raise CoreError(say("stored-knows-no", what=what, odd=odd), field=odd, remedy=known) from None
        name = next((n.name for n in getattr(error, "__notes__", ()) if hasattr(n, "name")), "")
        raise CoreError(
            say("stored-odd", name=name, what=what, odd=error.what if isinstance(error, _Odd) else str(error)),
            field=name,
        ) from None


def step_from(data: Mapping[str, Any]) -> BenchStep:
    """A step from fields that came in.

    data: fields by name
    raises: CoreError for unknown fields, wrong types, or what check_step refuses
    """
    return check_step(taken(BenchStep, data, ("id", "stage", "text"), "step"))


def place_from(data: Mapping[str, Any]) -> Place:
    """A place from fields that came in.

    data: fields by name
    raises: CoreError, OutOfRange
    """
    return check_place(taken(Place, data, ("id", "kind", "x", "y", "holds"), "place"))


def device_from(data: Mapping[str, Any]) -> Device:
    """A device's traits from fields that came in.

    data: fields by name
    raises: CoreError
    """
    return taken(Device, {k: v for k, v in data.items() if k not in _RETIRED_TRAITS}, (), "device")


def read(table: type[Row], data: Mapping[str, Any]) -> Row:
    """A row of a stored event. Fields that this program does not know are passed over.

    table: BenchStep, Place or Device
    data: fields by name
    returns: a row of the table
    """
    return _TOLERANT.structure(data, table)


def written(row: Row) -> dict[str, Any]:
    """A row for the store, without what is as usual.

    row: step, place or device
    returns: fields by name
    """
    usual = {f.name: f.default for f in fields(row) if f.default is not MISSING}
    return {k: v for k, v in ((f.name, getattr(row, f.name)) for f in fields(row)) if k not in usual or v != usual[k]}
