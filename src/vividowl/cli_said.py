"""How a command says a message."""

from __future__ import annotations

import click

from vividowl.core.quantities.words import Value, say
from vividowl.words import sentence


def write_line(code: str, /, **values: Value) -> None:
    """Write the sentence of a code."""
    click.echo(sentence(say(code, **values)))
