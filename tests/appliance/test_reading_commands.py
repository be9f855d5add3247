"""read, compare and noise as a script meets them: fixed keys, null for not known, exit code 2 and no traceback."""

import json

import numpy as np
import pytest
import soundfile
from tests.logs import COOL, HOT, log_bytes

READ_KEYS = {
    "channels",
    "samples",
    "duration_s",
    "interval_s",
    "load",
    "steady",
    "stats",
    "throttling",
    "resistance_K_per_W",
    "sag",
    "network",
    "findings",
}


@pytest.fixture(scope="module")
def files(tmp_path_factory):
    """Two logs of one device and recordings."""
    folder = tmp_path_factory.mktemp("files")
    (folder / "before.csv").write_bytes(log_bytes(HOT, load_s=900))
    (folder / "after.csv").write_bytes(log_bytes(COOL, seed=2, load_s=900))
    rate, t = 44100, np.arange(44100 * 5) / 44100
    hiss = np.random.default_rng(1).normal(0, 0.02, len(t))
    # Blades of 31 at 3260 rpm, with the line of the shaft that tells them from a whine.
    fan = hiss + 0.02 * np.sin(2 * np.pi * 31 * 3260 / 60 * t) + 0.02 * np.sin(2 * np.pi * 3260 / 60 * t)
    for kind in ("PCM_16", "PCM_24", "PCM_32", "FLOAT"):
        soundfile.write(folder / f"fan-{kind}.wav", fan, rate, subtype=kind)
    soundfile.write(folder / "reference.wav", 0.1 * np.sin(2 * np.pi * 1000 * t), rate)
    soundfile.write(folder / "silent.wav", np.zeros(len(t)), rate)
    soundfile.write(folder / "half-dead.wav", np.column_stack([fan, np.zeros(len(t))]), rate)
    return folder


def test_read_has_the_fixed_keys(run, files):
    code, out, err = run("read", files / "before.csv", "--room", "24", "--json")
    found = json.loads(out)
    assert (code, err) == (0, "")
    assert set(found) >= READ_KEYS
    assert found["channels"][1] == {"header": "CPU Package [°C]", "role": "cpu_temperature", "unit": "°C"}
    assert found["load"]["onset_s"] == pytest.approx(30, abs=2)
    assert set(found["load"]) == {"onset_s", "boost_end_s", "end_s"}
    assert set(found["steady"]) >= {"from_s", "to_s", "settled", "remaining_rise_K", "final_C_estimate"}
    assert set(found["stats"]["cpu_power"]) >= {"mean", "max", "p95"}
    assert found["throttling"]["share"] > 0.9
    assert set(found["throttling"]) >= {"share", "episodes", "first_s"}
    assert found["resistance_K_per_W"]["cpu"] == pytest.approx(1.59, abs=0.05)
    assert "gpu" not in found["resistance_K_per_W"]
    assert all(set(term) >= {"R_K_per_W", "tau_s"} for term in found["network"])
    assert all(isinstance(text, str) for text in found["findings"])


def test_without_a_room_no_resistance_is_made_up(run, files):
    found = json.loads(run("read", files / "before.csv", "--json")[1])
    assert found["resistance_K_per_W"] == {}
    assert found["stats"]["cpu_temperature"]["mean"] > 90


def test_read_in_words(run, files):
    _, out, _ = run("read", files / "before.csv", "--room", "24", "--limit", "95")
    assert "Load starts at 0:30" in out
    assert "Throttled at 95 °C" in out
    assert "By calculation it can hold 4" in out


def test_what_is_not_known_is_null_and_never_zero(run, tmp_path):
    short = tmp_path / "short.csv"
    short.write_text("Time [s],CPU Package [°C]\n" + "".join(f"{i},5{i % 3}\n" for i in range(30)))
    found = json.loads(run("read", short, "--room", "24", "--json")[1])
    assert found["load"] == {"onset_s": None, "boost_end_s": None, "end_s": None}
    assert (found["steady"]["remaining_rise_K"], found["steady"]["final_C_estimate"]) == (None, None)
    assert (found["throttling"]["share"], found["throttling"]["episodes"]) == (None, None)
    assert (found["network"], found["resistance_K_per_W"]) == ([], {})


def test_a_run_compared_with_itself_says_what_could_hide(run, files):
    found = json.loads(
        run("compare", files / "after.csv", files / "after.csv", "--before-room", 24, "--after-room", 24, "--json")[1]
    )
    assert found["verdict"] == "no_difference_shown"
    assert 0.5 < found["hidden_gain_K"] < 5.0


def test_the_duration_comes_from_the_log(run, files, tmp_path):
    lines = (files / "before.csv").read_text().splitlines()
    short = tmp_path / "short.csv"
    short.write_text("\n".join(lines[:80]) + "\n")
    found = json.loads(run("compare", short, files / "after.csv", "--before-room", 24, "--after-room", 24, "--json")[1])
    duration = next(c for c in found["conditions"] if c["condition"] == "duration_min")
    assert (found["verdict"], duration["bearing"]) == ("cannot_be_compared", "forbids")
    assert "Repeat for the longer time" in duration["text"]


def test_a_sparse_log_is_read_and_one_without_a_valid_die_is_refused(run, tmp_path):
    minutes = range(0, 1500, 60)
    head = "seconds,processor °C,processor W,fan rpm"
    sparse, empty = tmp_path / "sparse.csv", tmp_path / "empty.csv"
    rows = [(t, 78 if t >= 300 else 60 if t >= 120 else 30, 45 if 120 <= t < 1320 else 5, 2500) for t in minutes]
    sparse.write_text("\n".join([head, *(",".join(map(str, r)) for r in rows)]) + "\n")
    empty.write_text("\n".join([head, *(f"{r[0]},n/a,{r[2]},{r[3]}" for r in rows)]) + "\n")
    code, out, _ = run("read", sparse, "--room", 24, "--json")
    assert (code, json.loads(out)["samples"]) == (0, 25)
    assert json.loads(out)["steady"]["uncertainty_K"] > 0
    code, _, said = run("read", empty)
    assert code == 2
    assert len(said.strip().splitlines()) <= 2
    assert "no die temperature" in said


def test_compare_has_the_fixed_keys_and_the_verdict(run, files):
    code, out, _ = run(
        "compare",
        files / "before.csv",
        files / "after.csv",
        "--before-room",
        24,
        "--after-room",
        24,
        "--before",
        "fan=automatic",
        "--after",
        "fan=automatic",
        "--before",
        "placement=stand",
        "--after",
        "placement=stand",
        "--json",
    )
    found = json.loads(out)
    assert code == 0
    assert (found["verdict"], found["hidden_gain_K"]) == ("improved", None)
    assert {a["assumption"]: a["state"] for a in found["assumes"]} == {
        "load": "checked",
        "fan": "checked",
        "room": "noted",
        "thermometer": "checked",
        "sensor": "checked",
        "power": "checked",
        "placement": "noted",
    }
    assert all(a["why"].endswith(".") for a in found["assumes"])
    assert set(found) >= {"verdict", "effects", "reasons"}
    effect = next(e for e in found["effects"] if e["quantity"] == "resistance")
    assert set(effect) >= {"quantity", "unit", "before", "after", "difference", "U95"}
    assert effect["difference"] == pytest.approx(effect["after"] - effect["before"], abs=1e-5)


def test_a_condition_that_differs_forbids_and_one_not_given_does_not(run, files):
    logs = ("compare", files / "before.csv", files / "after.csv", "--before-room", 24, "--after-room", 24, "--json")
    bare = json.loads(run(*logs, "--before", "load=even")[1])
    # Where it stood is not noted, and the place alone could do it.
    assert bare["verdict"] == "improved_if_same"
    assert [a["assumption"] for a in bare["assumes"] if a["state"] in ("doubtful", "unknown")] == ["placement"]
    assert bare["headline"].startswith("Improved, if place was the same: 38 K less at 45 W")
    forbidden = json.loads(run(*logs, "--before", "load=even", "--after", "load=loop")[1])
    assert forbidden["verdict"] == "cannot_be_compared"
    assert "same load" in forbidden["reasons"][0]


@pytest.mark.parametrize("kind", ["PCM_16", "PCM_24", "PCM_32", "FLOAT"])
def test_noise_has_the_fixed_keys_at_any_depth(run, files, kind):
    found = json.loads(run("noise", files / f"fan-{kind}.wav", "--blades", 31, "--json")[1])
    assert set(found) >= {"LAeq_dB", "LAFmax_dB", "calibrated", "tones", "fan_rpm"}
    assert found["calibrated"] is False
    assert found["fan_rpm"] == pytest.approx(3260, rel=0.003)
    assert set(found["tones"][0]) >= {"frequency_Hz", "prominence_dB"}


def test_noise_is_calibrated_by_a_reference(run, files):
    found = json.loads(
        run("noise", files / "reference.wav", "--reference", files / "reference.wav", "--reference-db", 94, "--json")[1]
    )
    assert found["calibrated"] is True
    assert found["LAeq_dB"] == pytest.approx(94.0, abs=0.01)


def test_noise_in_words_names_what_is_wrong(run, files):
    assert "silent" in run("noise", files / "silent.wav")[1]
    out = run("noise", files / "half-dead.wav", "--blades", 31)[1]
    assert "right side is dead" in out
    assert "only differences are firm" in out
    assert "fan 3260 rpm" in out
    assert json.loads(run("noise", files / "silent.wav", "--json")[1])["LAeq_dB"] is None


WRONG = [
    (("read", "{}/none.csv"), "there is no such file"),
    (("read", "{}/reference.wav"), "is not a text file"),
    (("read", "{}/before.csv", "--room", "240"), "Was it 24.0?"),
    (
        (
            "compare",
            "{}/before.csv",
            "{}/after.csv",
            "--before-room",
            "24",
            "--after-room",
            "24",
            "--after",
            "mood=good",
        ),
        "is no condition",
    ),
    (
        ("compare", "{}/before.csv", "{}/after.csv", "--before-room", "24", "--after-room", "24", "--after", "fan"),
        "is not key=value",
    ),
    (("compare", "{}/before.csv", "{}/after.csv"), "--before-room"),
    (("noise", "{}/before.csv"), "cannot be read as a recording"),
    (("noise", "{}/silent.wav", "--reference", "{}/silent.wav", "--reference-db", "94"), "reference recording is"),
    (("noise", "{}/reference.wav", "--reference-db", "94"), "needs both"),
    (("noise", "{}/reference.wav", "--blades", "1"), "allowed are 3 to 120"),
]


@pytest.mark.parametrize(("arguments", "words"), WRONG)
def test_errors_are_a_line_or_two_with_exit_code_2(run, files, arguments, words):
    code, out, err = run(*(a.format(files) for a in arguments))
    assert (code, out) == (2, "")
    assert words in err
    assert len(err.strip().splitlines()) <= 2
    assert "Traceback" not in err
