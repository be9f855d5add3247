"""What has many fields is made by their names: two neighbours that were swapped would be seen by nobody."""

import importlib
import inspect
import pkgutil
from dataclasses import is_dataclass

import vividowl

BY_POSITION_MOST = 4


def made_here():
    """Every dataclass of the product."""
    for info in pkgutil.walk_packages(vividowl.__path__, "vividowl."):
        if info.name.endswith("__main__") or ".migrations" in info.name:
            continue
        module = importlib.import_module(info.name)
        yield from (
            c for c in vars(module).values() if isinstance(c, type) and is_dataclass(c) and c.__module__ == info.name
        )


def by_position(cls):
    """How many of its fields may be given by position."""
    kinds = (inspect.Parameter.POSITIONAL_OR_KEYWORD, inspect.Parameter.POSITIONAL_ONLY)
    return sum(p.kind in kinds for p in inspect.signature(cls).parameters.values())


def test_values_with_more_than_four_fields_are_made_by_name():
    found = list(made_here())
    assert len(found) > 300  # all of them were looked at
    assert [f"{c.__module__}.{c.__name__}" for c in found if by_position(c) > BY_POSITION_MOST] == []
