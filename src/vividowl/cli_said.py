"""How a command says a message."""

from __future__ import annotations

import unicodedata

import click

from vividowl.core.quantities.words import Value, say
from vividowl.words import sentence


def write_line(code: str, /, **values: Value) -> None:
    """Write the sentence of a code."""
    click.echo(sentence(say(code, **{name: visible(v) if isinstance(v, str) else v for name, v in values.items()})))


def visible(text: str) -> str:
    """Signs that a terminal obeys, or that turn its line around, as what they are: a file may bear any name, and must
    not write a line of ours."""
    obeyed = ("Cc", "Cf", "Cs", "Zl", "Zp")
    return "".join(ascii(c)[1:-1] if unicodedata.category(c) in obeyed else c for c in text)
