"""What all schemas share: kinds of text and number, and how strict they are."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints

NO_NUL = r"^[^\x00]*$"


Name = Annotated[str, StringConstraints(max_length=120, min_length=1, pattern=NO_NUL, strip_whitespace=True)]
Short = Annotated[str, StringConstraints(max_length=80, pattern=NO_NUL, strip_whitespace=True)]
Medium = Annotated[str, StringConstraints(max_length=200, pattern=NO_NUL, strip_whitespace=True)]
Long = Annotated[str, StringConstraints(max_length=2000, pattern=NO_NUL, strip_whitespace=True)]
Number = Annotated[float, Field(allow_inf_nan=False)]
Kind = Literal["laptop", "console", "handheld", "other"]
Side = Literal["before", "after"]
Target = Literal["cpu_die", "gpu_die", "memory", "regulators", "inductors", "cover", "other"]
InterfaceKind = Literal["paste_soft", "paste_stiff", "phase_change_sheet", "phase_change_paste", "gallium_alloy",
                        "pad", "putty", "heat_glue", "copper_shim"]  # fmt: skip
Cleaned = Literal["fins", "fan", "contact", "vents", "old_interface", "pads_checked"]


class In(BaseModel):
    """Comes in: strict about names."""

    model_config = ConfigDict(extra="forbid")


class Out(BaseModel):
    """Goes out: read off rows and values."""

    model_config = ConfigDict(from_attributes=True, json_schema_serialization_defaults_required=True)
