"""What both languages must agree on: the files in contract/ are what the core says today."""

import json
from pathlib import Path

from tools.contract import written

from vividowl.core.bench.log.events import KINDS

FOLDER = Path(__file__).parents[1] / "contract"


def test_the_files_are_what_the_core_says_today():
    for name, text in written().items():
        assert (FOLDER / name).read_text(encoding="utf-8") == text, f"{name}: run python tools/contract.py"


def test_the_vectors_hold_every_kind_of_event_with_undo_and_redo():
    found = json.loads((FOLDER / "bench.json").read_text(encoding="utf-8"))
    kinds = {e["kind"] for case in found["cases"] for e in (*case["active"], *case["then"])}
    assert kinds == set(KINDS)
