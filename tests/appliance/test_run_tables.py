"""rank, factors, burnin and drift as a script meets them: fixed keys, null for not known, refusals in a line or two."""

import json
import math

import pytest


@pytest.fixture
def table(tmp_path):
    """Writes a table; gives its path."""

    def write(text):
        path = tmp_path / "runs.csv"
        path.write_text(text, encoding="utf-8")
        return path

    return write


def answer(said):
    code, out, err = said
    assert (code, err) == (0, "")
    return json.loads(out)


RANKED = """material,fan,hottest
soft paste,full,71.0
soft paste,full,71.4
sheet,full,65.2
sheet,full,65.6
alloy,full,65.0
alloy,full,64.9
alloy,full,
"""


def test_rank_keys_places_and_lines_left_out(run, table):
    found = answer(run("rank", table(RANKED), "--by", "material", "--value", "hottest", "--json"))
    assert [set(g) for g in found["groups"]] == [{"group", "n", "mean", "u95", "place", "ties_with"}] * 3
    assert [(g["group"], g["n"], g["place"], g["ties_with"]) for g in found["groups"]] == [
        ("alloy", 2, 1, ["sheet"]),
        ("sheet", 2, 1, ["alloy"]),
        ("soft paste", 2, 3, []),
    ]
    assert found["left_out"] == [8]
    assert found["method"] == "welch"
    _, out, _ = run("rank", table(RANKED), "--by", "material", "--value", "hottest")
    assert "1. alloy: 64.95 ± 0.64, runs 2, not told from sheet" in out
    assert "Line 8 holds no value and was left out." in out


def test_rank_by_the_highest_and_with_stated_uncertainties(run, table):
    scores = table("state;score;u\nbefore;1330;5\nafter;1600;5\n")
    asked = ("rank", scores, "--by", "state", "--value", "score", "--u", "u", "--higher-is-better", "--json")
    found = answer(run(*asked))
    assert [(g["group"], g["u95"]) for g in found["groups"]] == [("after", 10), ("before", 10)]
    assert found["method"] == "stated"


def test_single_runs_without_uncertainty_have_no_place(run, table):
    found = answer(run("rank", table("m,v\na,1\nb,2\n"), "--by", "m", "--value", "v", "--json"))
    assert [(g["place"], g["u95"]) for g in found["groups"]] == [(None, None)] * 2
    assert "is not known" in found["reason"]


FACTORS = """firmware,undervolt,die
old,0,90.0
old,0,90.4
old,-80,84.1
old,-80,84.3
new,0,88.0
new,0,88.2
"""


def test_the_order_of_the_lines_turns_no_effect(run, table):
    asked = ("--factors", "firmware,undervolt", "--value", "die", "--json")
    head, *lines = FACTORS.splitlines()
    turned = "\n".join([head, *reversed(lines)]) + "\n"
    effects = [
        {e["term"]: (e["from"], e["effect"]) for e in answer(run("factors", table(t), *asked))["effects"]}
        for t in (FACTORS, turned)
    ]
    assert effects[0]["undervolt"] == ({"undervolt": "0"}, pytest.approx(-6.0))
    assert effects[0].keys() == effects[1].keys()
    for term, (level, effect) in effects[0].items():
        assert effects[1][term] == (level, effect if effect is None else pytest.approx(effect))
    # Whoever tells the order turns it.
    told = answer(run("factors", table(FACTORS), *asked, "--levels", "undervolt=-80,0"))
    assert {e["term"]: e["effect"] for e in told["effects"]}["undervolt"] == pytest.approx(6.0)
    code, out, _ = run("factors", table(FACTORS), *asked[:-1], "--levels", "undervolt=0,-90")
    assert code != 0 or "-80" in out


def test_a_blank_cell_is_no_level(run, table):
    found = answer(run("factors", table(FACTORS + ",0,99.0\n"), "--factors", "firmware", "--value", "die", "--json"))
    assert found["left_out"] == [8]
    assert [e["to"] for e in found["effects"]] == [{"firmware": "new"}]


def test_runs_of_one_sitting_count_once(run, table):
    rows = ["m,day,v", *(f"a,1,{v}" for v in (60.0, 60.1, 59.9)), *(f"b,2,{v}" for v in (61.0, 61.1, 60.9))]
    text = "\n".join(rows) + "\n"
    asked = ("rank", table(text), "--by", "m", "--value", "v")
    apart = answer(run(*asked, "--json"))
    assert [g["place"] for g in apart["groups"]] == [1, 2]
    # One sitting each: nothing tells what changes from day to day.
    once = answer(run(*asked, "--sitting", "day", "--json"))
    assert [(g["n"], g["place"]) for g in once["groups"]] == [(1, None), (1, None)]
    assert "--sitting" in run(*asked)[1]


def test_factors_keys_the_missing_run_and_bars(run, table):
    asked = ("--factors", "firmware,undervolt", "--value", "die", "--json")
    found = answer(run("factors", table(FACTORS), *asked))
    assert {"effects", "missing_runs", "rest", "waterfall"} <= set(found)
    by = {e["term"]: e for e in found["effects"]}
    assert by["undervolt"]["effect"] == pytest.approx(-6.0)
    assert by["undervolt"]["shown"] is True
    assert (by["firmware:undervolt"]["effect"], by["firmware:undervolt"]["u95"]) == (None, None)
    assert "This run would tell: firmware = new, undervolt = -80." in by["firmware:undervolt"]["reason"]
    assert found["missing_runs"] == [{"firmware": "new", "undervolt": "-80"}]
    assert [b["term"] for b in found["waterfall"]] == ["firmware", "undervolt", "rest"]
    assert found["rest"] is None
    whole = answer(run("factors", table(FACTORS + "new,-80,82.0\nnew,-80,82.4\n"), *asked))
    assert whole["missing_runs"] == []
    assert whole["waterfall"][-1]["to"] == pytest.approx(82.2)
    assert whole["rest"] == pytest.approx(0.0, abs=1e-9)
    assert [(p["plan"], p["runs"], len(p["to_do"])) for p in found["plans"]] == [
        ("one_at_a_time", 3, 0),
        ("full", 4, 1),
    ]
    _, out, _ = run("factors", table(FACTORS), *asked[:-1])
    assert "not run: firmware = new, undervolt = -80 (tells effects apart)" in out


def test_burnin_and_drift_keys(run, table):
    cycles = table(
        "cycle,r\n"
        + "".join(
            f"{c},{0.45 + 0.2 * math.exp(-c / 2) + d}\n"
            for c, d in zip(range(12), [0.002, -0.003, 0.001, 0, -0.002, 0.003] * 2, strict=True)
        )
    )
    found = answer(run("burnin", cycles, "--x", "cycle", "--value", "r", "--json"))
    assert {"settled", "final", "final_u95", "rest", "more_needed"} <= set(found)
    assert (found["settled"], found["more_needed"]) == (True, 0)
    assert abs(found["final"] - 0.45) <= found["final_u95"]
    assert "It has run in." in run("burnin", cycles, "--x", "cycle", "--value", "r")[1]
    visits = table("month,r,u\n0,0.40,0.01\n6,0.46,0.01\n12,0.52,0.01\n")
    asked = ("drift", visits, "--months", "month", "--value", "r", "--u", "u", "--limit", "0.7")
    found = answer(run(*asked, "--json"))
    assert set(found) >= {
        "slope_per_month",
        "u95",
        "now",
        "months_to_limit",
        "months_to_limit_low",
        "months_to_limit_high",
    }
    assert found["months_to_limit"] == pytest.approx(18.0)
    assert found["months_to_limit_low"] < 18 < found["months_to_limit_high"]
    assert "The limit is 18 months away" in run(*asked)[1]


def test_work_repeats(run):
    found = answer(run("work", "repeats", "sd=0.5", "want=1", "power=0.5", "--json"))
    assert found == {"runs_each": 2, "u95": 1.0, "power": 0.5}
    # 2 ((2 + 1.2816) 0.5 / 1)^2 = 5.4 (textbook, z of 0.9)
    assert answer(run("work", "repeats", "sd=0.5", "want=1", "k=2", "--json"))["runs_each"] == 6


@pytest.mark.parametrize(
    ("text", "command", "says"),
    [
        ("m,v\na,1\n", ("rank", "--by", "m", "--value", "v"), "There is one group only."),
        ("m,v\na,1\nb,2\n", ("rank", "--by", "n", "--value", "v"), "There is no column “n”.\nColumns: m, v."),
        ("m,v\na,1\nb,warm\n", ("rank", "--by", "m", "--value", "v"), "Line 3, v: “warm” is no number."),
        ("m,v\n,1\nb,2\n", ("rank", "--by", "m", "--value", "v"), "Line 2 has nothing under m."),
        ("m,v,u\na,1,0.1\nb,2,\n", ("rank", "--by", "m", "--value", "v", "--u", "u"), "Line 3 has no uncertainty"),
        ("m,v\na,1,2\n", ("rank", "--by", "m", "--value", "v"), "Line 2 has 3 cells, the header has 2."),
        ("m,v\n", ("rank", "--by", "m", "--value", "v"), "The file holds no run."),
        ("m,m\na,1\n", ("rank", "--by", "m", "--value", "m"), "Two columns are called “m”."),
        ("a,b,v\n0,0,1\n0,1,2\n", ("factors", "--factors", "a,b", "--value", "v"), "“a” was “0” in every run."),
        ("a,v\n0,1\n1,2\n", ("factors", "--factors", "a,v", "--value", "v"), "“v” is both a factor and the value."),
        ("x,v\n0,1\n1,2\n0,3\n", ("burnin", "--x", "x", "--value", "v"), "At run 3 the count falls, from 1 to 0."),
        ("t,v\n6,1\n0,2\n", ("drift", "--months", "t", "--value", "v"), "At visit 2 the months go back, from 6 to 0."),
    ],
)
def test_what_cannot_be_is_refused_in_a_line_or_two(run, table, text, command, says):
    code, out, err = run(command[0], table(text), *command[1:])
    assert (code, out) == (2, "")
    assert says in err
    assert len(err.strip().splitlines()) <= 2


def test_a_table_as_a_spreadsheet_writes_it(run, tmp_path):
    path = tmp_path / "runs.csv"
    path.write_bytes(
        '﻿Material;K/W\r\n"paste; soft";0,52\r\n"paste; soft";0,54\r\nalloy;−0,10\r\nalloy;0,44\r\n\r\n'.encode()
    )
    found = answer(run("rank", path, "--by", "material", "--value", "k/w", "--json"))
    assert {g["group"]: g["mean"] for g in found["groups"]} == {
        "paste; soft": pytest.approx(0.53),
        "alloy": pytest.approx(0.17),
    }
    path.write_bytes(b"\xff\xfe\x00m")
    code, _, err = run("rank", path, "--by", "m", "--value", "v")
    assert code == 2
    assert "not UTF-8 text" in err
    code, _, err = run("rank", tmp_path / "none.csv", "--by", "m", "--value", "v")
    assert code == 2
    assert "Traceback" not in err
