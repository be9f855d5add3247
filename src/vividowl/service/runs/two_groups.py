"""Two groups of runs against each other, by one figure."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.words import say
from vividowl.core.runs.groups import Group, GroupDifference, difference_of_means
from vividowl.service.errors import Refused
from vividowl.service.runs.all_runs import all_runs
from vividowl.service.runs.observed import observed, stated
from vividowl.service.runs.ranked import By, unlike_in
from vividowl.service.workshop import Actor, Workshop


@dataclass(frozen=True)
class TwoGroups:
    """first, second: means with U of two groups of runs; difference: second less first; unlike: conditions that differ
    between or within them, so that the difference may be theirs."""

    first: Group
    second: Group
    difference: GroupDifference
    unlike: tuple[By, ...]


def compare_groups(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, first: Sequence[str], second: Sequence[str], value: str
) -> TwoGroups:
    """Two groups of runs by one figure."""
    found = all_runs(workshop, actor, job_id)
    if set(first) & set(second):
        raise Refused("invalid", say("all-runs-same-twice"), field="second")
    own = {o.row.run.key: o for o in observed(found, value)}
    chosen = [[own[key] for key in keys if key in own] for keys in (first, second)]
    if not all(chosen):
        raise Refused("missing", say("ranked-group-without"), field="value")
    known = all(stated(group) for group in chosen)
    one, other = (
        Group(name, tuple(o.value for o in group), tuple(stated(group)) if known else ())
        for name, group in zip(("first", "second"), chosen, strict=True)
    )
    rows = {str(i): [o.row] for i, o in enumerate([*chosen[0], *chosen[1]])}
    return TwoGroups(one, other, difference_of_means(one, other), unlike_in(None, rows))
