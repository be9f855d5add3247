"""What an error says to a reader: tests of texts read sentences, as people do."""

from __future__ import annotations

import re
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

import pytest

from vividowl.core.quantities.words import Words
from vividowl.words import sentence


def said_by(error: Any) -> str:
    """The sentence of a refusal."""
    words: Words = error.detail if hasattr(error, "detail") else error.message
    return sentence(words)


@contextmanager
def refuses(
    kind: type[Exception] | tuple[type[Exception], ...], match: str = ""
) -> Iterator[pytest.ExceptionInfo[Any]]:
    """A refusal of this kind whose sentence holds a pattern."""
    with pytest.raises(kind) as found:
        yield found
    text = said_by(found.value)
    assert re.search(match, text), f"{match!r} is not in {text!r}"
