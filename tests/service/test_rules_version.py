"""Kept figures carry the version of the rules that made them, and are made anew in the background, never by a GET."""

import json
from collections import OrderedDict
from dataclasses import asdict, replace
from pathlib import Path

import pytest
from sqlalchemy import text
from tests.service.test_use_cases import both_runs, owner  # noqa: F401 - a fixture

from vividowl.core.verdict.version import RULES_VERSION
from vividowl.service.measure import anew, readings
from vividowl.service.runs.all_runs import all_runs
from vividowl.service.shop.settings import get_settings, save_settings

KEPT = Path(__file__).parents[1] / "golden/kept_figures.json"


@pytest.fixture
def measured(workshop, owner):  # noqa: F811
    return both_runs(workshop, owner)


def rows(workshop):
    with workshop.database.session() as session:
        query = (
            "SELECT side, rules_version, glance, (SELECT figures FROM trace_file t WHERE t.run_id = run.id) FROM run"
        )
        return {side: (version, glance, figures) for side, version, glance, figures in session.execute(text(query))}


def as_older_rules_left_it(workshop):
    with workshop.database.session() as session:
        session.execute(
            text("""UPDATE run SET rules_version = 0, glance = glance || '{"rise_k": 1, "verdict": "worse"}'""")
        )
        session.execute(text("UPDATE trace_file SET figures = NULL"))


def test_kept_figures_are_those_of_the_version(workshop, measured):
    found = {side: {"glance": glance, "figures": figures} for side, (_, glance, figures) in rows(workshop).items()}
    assert {version for version, _, _ in rows(workshop).values()} == {RULES_VERSION}
    kept = json.loads(KEPT.read_text())
    if kept["rules_version"] < RULES_VERSION:
        KEPT.write_text(json.dumps({"rules_version": RULES_VERSION, "runs": found}, indent=1, sort_keys=True) + "\n")
        pytest.fail(
            f"The figures of version {RULES_VERSION} were written to {KEPT.name}: look at them, and keep the file."
        )
    why = "A rule changed what is kept: raise RULES_VERSION in core/verdict/version.py, and run this test once more."
    assert _near(found, kept["runs"]), why


def _near(found, kept):
    if isinstance(kept, dict):
        return found.keys() == kept.keys() and all(_near(found[k], kept[k]) for k in kept)
    if isinstance(kept, list):
        return len(found) == len(kept) and all(map(_near, found, kept))
    if isinstance(kept, float):
        return found == pytest.approx(kept, rel=1e-6, abs=1e-9)
    return found == kept


def test_what_older_rules_left_is_made_anew_in_the_background(workshop, measured):
    before = rows(workshop)
    as_older_rules_left_it(workshop)
    assert anew.make_anew(workshop) == 1
    assert rows(workshop) == before
    assert anew.make_anew(workshop) == 0


def test_reading_a_list_makes_nothing(workshop, owner, measured):  # noqa: F811
    as_older_rules_left_it(workshop)
    left = rows(workshop)
    found = all_runs(workshop, owner, measured)
    assert [row.logs[0].trace.figures for row in found.runs] == [None, None]
    assert rows(workshop) == left


def test_settings_mark_open_jobs_so_that_a_process_that_ends_loses_nothing(workshop, owner, measured):  # noqa: F811
    at = get_settings(workshop, owner)
    waiting = []
    save_settings(
        replace(workshop, later=waiting.append),
        owner,
        version=at.version,
        reference_room_c=at.reference_room_c,
        tolerances={"run_to_run_k": 9.0},
        habits={**asdict(at.habits), "zone": at.habits.zone.key},
    )
    assert len(waiting) == 1  # and is never done, as when the process ends
    assert {version for version, _, _ in rows(workshop).values()} == {0}
    anew.make_anew(workshop)
    assert {version for version, _, _ in rows(workshop).values()} == {RULES_VERSION}


def test_one_log_that_is_gone_holds_up_no_other_job(workshop, measured, owner, monkeypatch):  # noqa: F811
    as_older_rules_left_it(workshop)
    monkeypatch.setattr(readings, "_kept", OrderedDict())  # as in a process that has just begun
    for file in (workshop.files.root / str(owner.shop_id)).rglob("*"):
        if file.is_file():
            file.unlink()
    assert anew.make_anew(workshop) == 0
