"""Letters and words that a model is shown with."""

from __future__ import annotations

from vividowl.core.bench.fasteners import ScrewClass, classes_of, letter_of
from vividowl.core.bench.model_sheet import ModelSheet
from vividowl.core.plan.price import TASKS
from vividowl.core.quantities.words import Words


def model_classes(sheet: ModelSheet) -> tuple[dict[str, tuple[str, str]], tuple[ScrewClass, ...]]:
    """Letter and shape by place, and the classes."""
    classes = classes_of(sheet.places)
    shapes = {c.letter: c.shape for c in classes}
    letters = {p.id: letter_of(p, classes) for p in sheet.places}
    return {k: (v, shapes.get(v, "")) for k, v in letters.items()}, classes


def task_words(task: str) -> Words:
    """A task in words."""
    return TASKS[task].words if task in TASKS else task
