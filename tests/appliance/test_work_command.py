"""The command work: fixed names and keys, worked examples, and refusals in a line or two."""

import json

import pytest

KEYS = {
    ("dose", "width_mm=15", "length_mm=13", "film_um=30", "waste=0.3", "density_g_ml=2.5"): {
        "volume_ul",
        "mass_g",
        "bead_diameter_mm",
    },
    ("syringe", "volume_ml=0.2", "mass_g=2.1", "density_g_ml=6.4"): {"consistent", "implied_density_g_ml"},
    ("gap", "gap_mm=0.8", "tolerance_mm=0,05"): {
        "thickness_mm",
        "stack_mm",
        "compression_min",
        "compression_max",
        "fits",
    },
    ("resistance", "thickness_um=30", "conductivity=8.5", "area_mm2=195", "power_w=60"): {
        "resistance_K_per_W",
        "drop_K",
    },
    ("airflow", "power_w=100", "rise_k=20", "air_c=25"): {"flow_L_s", "flow_cfm"},
    ("levels", "levels_db=60,50"): {"mean_db", "sum_db"},
    ("background", "level_db=46", "background_db=40"): {"corrected_db", "correction_db", "upper_bound"},
    ("fan", "level_change_db=-5.6"): {"speed_ratio", "flow_ratio", "exhaust_rise_ratio"},
    ("change", "before=10748", "after=11116"): {"change", "change_percent"},
    ("duration", "before=19:21", "after=17:22"): {"saved_s", "less_time_percent", "more_throughput_percent"},
    ("plating", "method=electroless", "target_um=10"): {"hours", "rate_um_h"},
    ("cut", "sheet=80x80", "pieces=15.5x15.5,20.5x10.5", "kerf_mm=0.2"): {
        "fits",
        "sheets",
        "waste_share",
        "placements",
        "offcut_share",
    },
    ("skin", "power_w=4"): {"skin_c", "limit_c", "allowed", "cover_K_per_W"},
    ("shim", "width_mm=15", "length_mm=15", "power_w=8", "pad_um=2000", "pad_conductivity=3", "shim_um=1000"): {
        "pad_K_per_W",
        "shim_K_per_W",
        "drop_K",
    },
    ("life", "kind=paste_soft"): {"months"},
    ("drop", "school=line", "volume_ul=10", "width_mm=12", "length_mm=20"): {"strokes", "stroke_mm", "diameter_mm"},
    ("imprint", "how=old_pad", "reading_mm=1"): {"gap_mm", "tolerance_mm"},
    ("bath", "bath=A", "method=electroless", "minutes=240"): {"bath", "expected_um", "of_expected_percent"},
    ("repeats", "sd=0.5", "want=1"): {"runs_each", "u95", "power"},
    ("price", "parts=4.5", "hands_min=65", "hourly_rate=60"): {"parts", "work", "tax", "total"},
    ("fahrenheit", "difference_f=26"): {"k"},
    ("capacity", "reading_c=95", "room_c=25", "power_w=50", "limit_c=95"): {"resistance_K_per_W", "capacity_w"},
}


@pytest.mark.parametrize(("given", "keys"), KEYS.items(), ids=[k[0] for k in KEYS])
def test_each_working_has_its_fixed_keys(run, given, keys):
    code, out, err = run("work", *given, "--json")
    assert (code, err, set(json.loads(out))) == (0, "", keys)


def test_worked_examples_of_the_handbook(run):
    # handbook/temperature.md, handbook/curve.md, handbook/noise.md, common practice.
    def value(*given):
        return json.loads(run("work", *given, "--json")[1])

    assert value("change", "before=10748", "after=11116")["change_percent"] == pytest.approx(3.42, abs=0.005)
    found = value("duration", "before=19:21", "after=17:22")
    assert (found["saved_s"], round(found["less_time_percent"], 1)) == (119, 10.2)
    assert round(found["more_throughput_percent"], 1) == 11.4
    for both in ("60,50", "60, 50", "60;50", "60,0 50,0", "60.0,50.0"):
        assert value("levels", f"levels_db={both}")["mean_db"] == pytest.approx(57.4, abs=0.05)
    assert value("airflow", "power_w=100", "rise_k=20")["flow_cfm"] == pytest.approx(8.9, abs=0.05)
    assert value("background", "level_db=46", "background_db=40")["correction_db"] == pytest.approx(1.26, abs=0.005)


def test_a_cut_lists_its_placements(run):
    found = json.loads(run("work", "cut", "sheet=80x80", "pieces=15.5x15.5,20.5x10.5", "kerf_mm=0.2", "--json")[1])
    assert (found["fits"], found["sheets"]) == (True, 1)
    assert found["waste_share"] == pytest.approx(1 - (15.5**2 + 20.5 * 10.5) / 6400)
    assert all({"piece", "x_mm", "y_mm", "rotated", "sheet"} <= set(p) for p in found["placements"])
    said = run("work", "cut", "sheet=20x20", "pieces=3*15x15")[1]
    assert "piece 3: sheet 3, x 0 mm, y 0 mm" in said
    assert "sheets: 3" in said


def test_a_bath_log_knows_what_the_bath_should_have_done(run):
    # handbook/materials.md, common practice: 10 µm in 4 h; by Faraday's law 0.205 µm/min at 1 A/dm².
    slow = json.loads(run("work", "bath", "bath=A", "method=electroless", "minutes=240", "measured_um=8", "--json")[1])
    assert (slow["expected_um"], slow["of_expected_percent"]) == (pytest.approx(10), pytest.approx(80))
    fast = run("work", "bath", "bath=B", "method=electrolytic", "minutes=1", "current_density_a_dm2=1", "--json")[1]
    assert json.loads(fast)["expected_um"] == pytest.approx(0.205, abs=0.001)
    assert json.loads(fast)["of_expected_percent"] is None


def test_the_skin_of_a_lap_is_refused_and_of_a_dock_is_not(run):
    lap, dock = (json.loads(run("work", "skin", "power_w=4", f"placement={p}", "--json")[1]) for p in ("lap", "dock"))
    assert (lap["limit_c"], lap["allowed"]) == (43, False)
    assert (dock["limit_c"], dock["allowed"]) == (51, True)


def test_in_words_and_the_list(run):
    assert run("work", "gap", "gap_mm=0.8", "tolerance_mm=0.05")[1].splitlines()[:2] == [
        "thickness_mm: 1",
        "stack_mm: 1",
    ]
    listed = run("work")[1]
    assert all(name in listed for name in {k[0] for k in KEYS})


@pytest.mark.parametrize(
    ("given", "says"),
    [
        (("change", "before=95", "after=70", "unit=C"), "rise over room"),
        (("dose", "width_mm=0", "length_mm=13", "film_um=30", "waste=0", "density_g_ml=2"), "allowed are 1 to 200 mm"),
        (("gap", "gap_mm=9", "tolerance_mm=0.1"), "wider than any stack"),
        (("gap", "gap_mm=0.8"), "gap needs tolerance_mm"),
        (("gap", "gap_mm=wide", "tolerance_mm=0"), "is not a number"),
        (("gap", "depth=1"), "Its keys are"),
        (("magic", "a=1"), "There are: dose"),
        (("cut", "sheet=40x40", "pieces=50x10"), "larger than any sheet; the largest is 40 × 40 mm"),
        (("cut", "sheet=40x40", "pieces=0x10"), "allowed are 0.5 to 2000 mm"),
        (("cut", "sheet=40", "pieces=1x1"), "is not sizes such as 15.5x15.5"),
        (("skin", "power_w=4", "material=cheese"), "Allowed: aluminium"),
        (("life", "kind=toothpaste"), "Allowed: paste_soft"),
        (("plating", "method=paint", "target_um=10"), "Allowed: electroless, electrolytic"),
        (
            ("resistance", "thickness_um=30", "conductivity=8.5", "area_mm2=195", "power_w=-1"),
            "allowed are 0 to 2000 W",
        ),
        (("dose", "width_mm"), "is not key=value"),
        (("levels", "levels_db=45,2,50"), "Its commas can be read both ways"),
        (("levels", "levels_db=45,2"), "Its commas can be read both ways"),
    ],
)
def test_refusals_are_a_line_or_two_with_exit_code_2(run, given, says):
    code, out, err = run("work", *given)
    assert (code, out) == (2, "")
    assert says in err
    assert len(err.strip().splitlines()) <= 2


def test_a_key_of_broken_letters_is_refused_in_words_that_any_terminal_can_write(run):
    code, _, err = run("work", "levels", "lev\udcff=3")
    assert code == 2
    assert "lev\\udcff" in err
    err.encode()
