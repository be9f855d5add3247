"""The calculators. Values as they are shown. No decisions here."""

from __future__ import annotations

from typing import Any

from vividowl.core.quantities.words import say
from vividowl.service.workings.calculator import REQUIRED, Working
from vividowl.service.workings.results import written
from vividowl.web.workings.schemas import InputOut, ResultOut, WorkingOut
from vividowl.words import sentence


def working_out(working: Working, group: str) -> WorkingOut:
    """A calculator."""
    own = {n: getattr(working, n) for n in ("name", "title", "words", "formula", "limits", "source")}
    return WorkingOut(
        **own,
        group=sentence(say(f"group-{group}")),
        inputs=[
            InputOut(
                key=i.key,
                words=sentence(working.label(i)),
                unit=working.unit(i),
                needed=i.default is REQUIRED,
                example=i.example or ("" if i.default in (REQUIRED, None) else str(i.default)),
                choices=list(i.choices),
            )
            for i in working.inputs
        ],
    )


def results_out(result: dict[str, Any]) -> list[ResultOut]:
    """Results as they are shown."""
    return [ResultOut(key=k, words=sentence(w), text=sentence(t), unit=u) for k, w, t, u in written(result)]
