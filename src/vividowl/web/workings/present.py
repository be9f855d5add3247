"""The calculators. Values as they are shown. No decisions here."""

from __future__ import annotations

from typing import Any

from vividowl.service.workings.calculator import REQUIRED, Working, written
from vividowl.web.workings.schemas import InputOut, ResultOut, WorkingOut


def working_out(working: Working) -> WorkingOut:
    """A calculator."""
    own = {n: getattr(working, n) for n in ("name", "title", "words", "group", "formula", "limits", "source")}
    return WorkingOut(
        **own,
        inputs=[
            InputOut(key=i.key, words=i.words or i.key, unit=i.unit, needed=i.default is REQUIRED,
                       example=i.example or ("" if i.default in (REQUIRED, None) else str(i.default)),
                       choices=list(i.choices))
            for i in working.inputs
        ],
    )  # fmt: skip


def results_out(result: dict[str, Any]) -> list[ResultOut]:
    """Results as they are shown."""
    return [ResultOut(key=k, words=w, text=t, unit=u) for k, w, t, u in written(result)]
