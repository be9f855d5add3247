"""The data of the demo: read, with what is like something else made whole."""

from __future__ import annotations

import tomllib
from collections.abc import Mapping
from importlib.resources import files
from typing import Any


def read(name: str) -> dict[str, Any]:
    """A file of the demo's data by its name. ``like`` takes what stands under that name, and changes it."""
    data = tomllib.loads(files("vividowl_demo").joinpath(f"{name}.toml").read_text("utf-8"))
    kept = data.pop("like", {})
    return {key: _whole(value, kept) for key, value in data.items()}


def _whole(value: Any, kept: Mapping[str, Any]) -> Any:  # noqa: ANN401 - whatever stands in the file
    if isinstance(value, dict):
        own = {key: _whole(v, kept) for key, v in value.items() if key != "like"}
        return {**_whole(kept[value["like"]], kept), **own} if "like" in value else own
    return tuple(_whole(v, kept) for v in value) if isinstance(value, list) else value
