"""The pages name files, modules and tests that are there, and show the house as it stands."""

import re
import runpy
from datetime import date
from pathlib import Path

import pytest
from tools.constants import PAGE, written
from tools.house import LAYERS, PICTURE, imports, rooms

ROOT = Path(__file__).parents[1]
PAGES = [
    "README.md",
    *(str(p.relative_to(ROOT)) for p in sorted((ROOT / "docs").glob("*.md"))),
    *(str(p.relative_to(ROOT)) for p in sorted((ROOT / "docs/how-to").glob("*.md"))),
]
# Where a path on a page may start from.
BASES = [ROOT, ROOT / "src/vividowl", ROOT / "ui/src", ROOT / "ui/src/lib/bench", ROOT / "src/vividowl/core/bench/log"]


@pytest.mark.parametrize("page", PAGES)
def test_a_page_names_files_that_are_there(page):
    text = (ROOT / page).read_text(encoding="utf-8")
    named = set(re.findall(r"`([\w./-]+\.(?:py|ts|svelte|toml|json|sh))`", text))
    assert [n for n in sorted(named) if not any((base / n).exists() for base in BASES)] == []
    modules = set(re.findall(r"`((?:core|service|store|web|formats|app|appliance)(?:\.\w+)+)`", text))
    gone = []
    for name in sorted(modules):
        parts = name.split(".")
        tries = [parts[:n] for n in (len(parts), len(parts) - 1)]
        if not any(
            (ROOT / "src/vividowl").joinpath(*t).with_suffix(".py").exists()
            or (ROOT / "src/vividowl").joinpath(*t).is_dir()
            for t in tries
            if len(t) > 1
        ):
            gone.append(name)
    assert gone == []


def test_the_page_of_constants_is_what_the_code_says():
    assert PAGE.read_text(encoding="utf-8") == written(), "run python tools/constants.py"


def test_what_each_constant_is_and_where_it_comes_from_stands_beside_it():
    rows = [line.split("|") for line in (ROOT / "docs/constants.md").read_text().splitlines() if line.startswith("| `")]
    assert len(rows) > 200
    assert [row[1] for row in rows if not row[3].strip()] == []


def test_the_picture_of_the_house_shows_every_room_and_no_arrow_goes_up():
    there = rooms()
    assert {name for layer in LAYERS for name in layer} == set(there)
    shown = re.findall(r'<text x="\d+" y="\d+">([^<]+)</text>', PICTURE.read_text(encoding="utf-8"))
    assert sorted(shown) == sorted(room for found in there.values() for room in found), "run python tools/house.py"
    height = {name: at for at, layer in enumerate(LAYERS) for name in layer}
    assert [pair for pair in imports() if height[pair[1]] < height[pair[0]]] == []


def test_links_of_the_pages_lead_somewhere():
    for page in PAGES:
        path = ROOT / page
        for link in re.findall(r"\]\(([^)#]+)", path.read_text(encoding="utf-8")):
            assert link.startswith("http") or (path.parent / link).exists(), f"{page}: {link}"


def test_each_rule_that_is_cited_stands_in_the_handbook_and_each_page_is_cited():
    cited = set()
    for folder in ("src", "tests", "docs"):
        for path in (ROOT / folder).rglob("*"):
            if path.suffix in (".py", ".md", ".toml"):
                cited |= set(re.findall(r"handbook/([\w-]+\.md)", path.read_text(encoding="utf-8")))
    assert cited == {p.name for p in (ROOT / "docs/handbook").glob("*.md")}


def test_figures_of_earlier_days_stay_when_it_is_measured_anew():
    with_run = runpy.run_path(str(ROOT / "bench" / "__main__.py"), run_name="measured")["with_run"]
    page = with_run("# Performance\n\nWhat is said.\n", date(2026, 1, 1), {"reading": "a 1\nb 2", "fuzz": "none lost"})
    again = with_run(page, date(2026, 1, 2), {"reading": "a 3"})
    assert again.startswith("# Performance\n\nWhat is said.\n")
    assert again.index("### 2026-01-02") < again.index("a 3") < again.index("### 2026-01-01") < again.index("a 1\nb 2")
    assert "a 3" not in with_run(again, date(2026, 1, 2), {"reading": "a 4"})
    assert "none lost" in with_run(again, date(2026, 1, 1), {"reading": "a 5"})
