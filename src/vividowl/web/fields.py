"""What all schemas share: kinds of text and number, and how strict they are."""

from __future__ import annotations

from dataclasses import is_dataclass
from datetime import date
from typing import Annotated, Any, TypeAlias

from pydantic import (
    AwareDatetime,
    BaseModel,
    BeforeValidator,
    ConfigDict,
    Field,
    GetCoreSchemaHandler,
    StringConstraints,
    field_validator,
)

from vividowl.core.job.device import DeviceKind
from vividowl.core.materials.kinds import Kind as MaterialKind
from vividowl.core.quantities.words import Message, Several, say
from vividowl.words import sentence, told

NO_NUL = r"^[^\x00]*$"
RUN_KEY = r"^(before|after|[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12})$"


Name = Annotated[str, StringConstraints(max_length=120, min_length=1, pattern=NO_NUL, strip_whitespace=True)]
Short = Annotated[str, StringConstraints(max_length=80, pattern=NO_NUL, strip_whitespace=True)]
Medium = Annotated[str, StringConstraints(max_length=200, pattern=NO_NUL, strip_whitespace=True)]
Long = Annotated[str, StringConstraints(max_length=2000, pattern=NO_NUL, strip_whitespace=True)]
# What is sent is what it says: 0 is no flag and no day, "1.5" no number, true no count.
Number = Annotated[float, Field(allow_inf_nan=False, strict=True)]
Whole = Annotated[int, Field(strict=True, ge=-(2**31), lt=2**31)]
Flag = Annotated[bool, Field(strict=True)]
Kind: TypeAlias = DeviceKind
# A run of a job: the reference of a side, or another by its id.
RunKey = Annotated[str, StringConstraints(pattern=RUN_KEY)]
# All that the catalogue has; it says which they are.
InterfaceKind = MaterialKind


def _written(value: object) -> object:
    """A day or a moment is written out; a number counts from some year that nobody means."""
    if value is not None and not isinstance(value, (str, date)):
        raise ValueError(sentence(say("fields-date-written-as")))
    return value


Day = Annotated[date, BeforeValidator(_written)]
Moment = Annotated[AwareDatetime, BeforeValidator(_written)]


def _as_sentence(_kind: type[Any], _source: object, handler: GetCoreSchemaHandler) -> Any:  # noqa: ANN401 - a schema
    """What the core says is a sentence when it goes out: a text, in whatever value of the core or the service."""
    return handler.generate_schema(str)


for _kind in (Message, Several):
    _kind.__get_pydantic_core_schema__ = classmethod(_as_sentence)  # type: ignore[union-attr]


class In(BaseModel):
    """Comes in: strict about names."""

    model_config = ConfigDict(extra="forbid", use_enum_values=True)


class Out(BaseModel):
    """Goes out: read off rows and values, sentences made of what the core says."""

    model_config = ConfigDict(from_attributes=True, json_schema_serialization_defaults_required=True)

    @field_validator("*", mode="before")
    @classmethod
    def _sentences(cls, value: Any) -> Any:  # noqa: ANN401 - of any field
        # Made here and not when it is written out, since the language is that of the moment.
        several = value if isinstance(value, list | tuple) else (value,)
        return told(value) if any(isinstance(v, Message | Several) or is_dataclass(v) for v in several) else value
