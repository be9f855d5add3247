"""Jobs of a shop with all that belongs to them, as a file that other programs read."""

from __future__ import annotations

import time
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import replace
from pathlib import Path
from typing import BinaryIO

from vividowl.core.quantities.words import say
from vividowl.formats.sheets.tables_out import Table, schema_of, write_folder, write_workbook
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.out.tables import TABLES, tables_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.finding import Wanted
from vividowl.store.scope import Scope

ABOUT = {
    "shop": "Name of the shop",
    "currency": "Currency of all prices, ISO 4217",
    "made_at": "When it was made, UTC",
}
# All jobs, open and closed.
EVERYTHING = Wanted()
WAIT_MOST_S = 60.0  # [s] for an export that is at work


@contextmanager
def _as_of_one_moment(workshop: Workshop, actor: Actor, wanted: Wanted) -> Iterator[tuple[Scope, Iterator[Table]]]:
    """The tables as they stand together: what is written meanwhile shows in none of them."""
    workshop.require_space()
    with workshop.scope(actor) as scope:
        scope.session.connection(execution_options={"isolation_level": "REPEATABLE READ"})
        # A large one keeps a processor busy for a minute: one at a time in all processes.
        until = time.monotonic() + WAIT_MOST_S
        while not scope.alone_at("everything"):
            if time.monotonic() > until:
                raise Refused("busy", say("out-one-at-a-time"), reason="exporting")
            time.sleep(0.2)
        yield scope, tables_of(scope, wanted, narrowed=replace(wanted, order=EVERYTHING.order) != EVERYTHING)


def workbook(workshop: Workshop, actor: Actor, wanted: Wanted) -> BinaryIO:
    """As a workbook, a sheet a table."""
    with workshop.files.aside("xlsx") as half:
        with _as_of_one_moment(workshop, actor, wanted) as (_, tables):
            write_workbook(half, tables)
        return _opened(half)


def folder(workshop: Workshop, actor: Actor, wanted: Wanted) -> BinaryIO:
    """As a zip of CSV files with one JSON and its schema."""
    with workshop.files.aside("zip") as half:
        with _as_of_one_moment(workshop, actor, wanted) as (scope, tables):
            shop, made_at = scope.shop(), server_now().isoformat(timespec="seconds")
            told = {"shop": shop.name, "currency": shop.currency, "made_at": made_at}
            write_folder(half, tables, told, schema())
        return _opened(half)


def _opened(half: Path) -> BinaryIO:
    """The file, which is gone when it is closed: its name goes with the block it was written in."""
    return half.open("rb")


def schema() -> str:
    """The schema of the JSON, as it is published."""
    return schema_of(TABLES, ABOUT)
