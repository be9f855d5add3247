"""Repeats, recordings, a window set by hand, remembered columns, results, and what a response is judged against."""

import re
from dataclasses import replace

import numpy as np
import pytest
from tests.logs import COOL, HOT, log_bytes, rows
from tests.sounds import RATE, hiss, wav

from vividowl.core.simulate.device import Device

LONG = log_bytes(HOT, seed=1, load_s=900)
MARKED = "&marked_place=true"


@pytest.fixture
def job(ada):
    """A job whose Before has conditions and a log."""
    made = ada.new_job()["id"]
    ada.save_run(made, "before")
    ada.upload(made, "before", LONG)
    return made


def record(ada, job, samples, *, side="before", query="", status=201, name="fan.wav"):
    data = samples if isinstance(samples, bytes) else wav(samples)
    return ada.call("POST", f"/api/jobs/{job}/runs/{side}/sound?name={name}{query}", data=data, status=status)


# --- repeats ---------------------------------------------------------------------------------------------------


def test_repeats_stand_beside_the_log_and_carry_the_scatter_of_the_verdict(ada):
    job = ada.served_job()
    alone = ada.call("GET", f"/api/jobs/{job}/verdict")
    for side, device, room in (("before", HOT, 24.0), ("after", COOL, 25.5)):
        for seed in (11, 12):
            run = ada.upload(
                job, side, log_bytes(device, seed=seed, room_c=room), query="&repeat=true", name=f"again-{seed}.csv"
            )
        assert [r["file_name"] for r in run["repeats"]] == ["again-11.csv", "again-12.csv"]
        assert run["trace"]["file_name"] == "log.csv"
    pooled = ada.call("GET", f"/api/jobs/{job}/verdict")
    assert pooled["verdict"] == "improved"

    def rise(verdict):
        return next(e for e in verdict["effects"] if e["quantity"] == "resistance")

    # The simulated repeats scatter far less than the kelvin that is assumed without repeats.
    assert rise(pooled)["u95"] < rise(alone)["u95"]


def test_a_repeat_needs_a_log_and_becomes_the_log_when_that_is_taken_off(ada, job):
    empty = ada.new_job()["id"]
    refused = ada.upload(empty, "before", LONG, query="&repeat=true&again=true", status=409)
    assert "no log yet" in refused["detail"]
    run = ada.upload(job, "before", log_bytes(HOT, seed=5), query="&repeat=true", name="second.csv")
    run = ada.call("DELETE", f"/api/jobs/{job}/runs/before/log/{run['trace']['id']}")
    assert (run["trace"]["file_name"], run["repeats"]) == ("second.csv", [])


def test_a_run_at_another_fan_speed_is_no_repeat_and_says_what_it_is(ada, job):
    ada.upload(job, "before", log_bytes(COOL, seed=21), query="&again=true")
    full = replace(COOL, fan_low_c=1.0, fan_high_c=2.0)
    refused = ada.upload(job, "before", log_bytes(full, seed=22), query="&repeat=true", name="full.csv", status=409)
    assert refused["reason"] == "no_repeat"
    assert re.search(r"full.csv is no repeat of this run. The fan turned at \d+ rpm against \d+ rpm", refused["detail"])
    assert "All runs" in refused["remedy"]
    assert ada.call("GET", f"/api/jobs/{job}/runs/before")["repeats"] == []


def test_repeats_have_a_limit(ada, job, monkeypatch):
    monkeypatch.setattr("vividowl.service.measure.logs.REPEATS_MOST", 1)
    ada.upload(job, "before", log_bytes(HOT, seed=5), query="&repeat=true")
    refused = ada.upload(job, "before", log_bytes(HOT, seed=6), query="&repeat=true", status=409)
    assert "has 1 repeats, at most 1" in refused["detail"]


# --- recordings ------------------------------------------------------------------------------------------------


def test_a_recording_gives_levels_tones_and_with_blades_the_fan_speed(ada, job):
    # The tone of 31 blades at the speed that the log of the same run tells.
    rpm = ada.call("GET", f"/api/jobs/{job}/runs/before")["reading"]["stats"]["fan_speed"]["mean"]
    run = record(ada, job, hiss(tone_hz=31 * rpm / 60))
    sound = run["sounds"][0]
    assert (sound["file_name"], sound["calibrated"], sound["fan_rpm"]) == ("fan.wav", False, None)
    assert sound["duration_s"] == pytest.approx(5.0)
    assert sound["laeq_db"] < 0  # over full scale, because nothing calibrates it
    assert sound["tones"][0]["frequency_hz"] == pytest.approx(31 * rpm / 60, abs=2)
    assert {b["centre_hz"] for b in sound["bands"]} >= {100.0, 1000.0, 10000.0}
    ada.save_run(job, "before", fan_blades=31)
    run = ada.call("GET", f"/api/jobs/{job}/runs/before")
    assert run["sounds"][0]["fan_rpm"] == pytest.approx(rpm, abs=15)


def test_two_recordings_tell_a_worn_fan_by_what_moves_with_its_speed(ada, job):
    # By the fan laws, 55 lg of the speeds: 1.5 times as fast is 9.7 dB louder.
    ada.save_run(job, "before", fan_blades=23)
    for turns, level in ((32.0, 0.004), (48.0, 0.004 * 10 ** (9.7 / 20))):
        worn = hiss(0.0, tone_hz=9.4 * turns, tone=level)
        run = record(ada, job, hiss(level, tone_hz=23 * turns, tone=level) + worn, name=f"{turns:.0f}.wav")
    slow, fast = sorted(run["sounds"], key=lambda s: s["laeq_db"])
    assert slow["beside_hz"] == []
    assert pytest.approx(min(fast["beside_hz"]), abs=2) == 9.4 * 48.0
    keys = {o["key"] for o in ada.call("GET", f"/api/jobs/{job}/plan")["options"]}
    assert "fan" in keys


def test_a_reference_calibrates_every_recording_of_the_job(ada, job):
    t = np.arange(RATE * 5) / RATE
    tone = 0.1 * np.sin(2 * np.pi * 1000 * t)
    record(ada, job, hiss(0.02))
    raw = ada.call("GET", f"/api/jobs/{job}/runs/before")["sounds"][0]["laeq_db"]
    run = record(ada, job, tone, query="&reference_db=94", name="reference.wav")
    by_name = {s["file_name"]: s for s in run["sounds"]}
    assert by_name["reference.wav"]["laeq_db"] == pytest.approx(94.0, abs=0.01)
    # A sine of 0.1 has −23.01 dB over full scale, so 117.01 dB lie between full scale and the level.
    assert by_name["fan.wav"]["laeq_db"] == pytest.approx(raw + 117.01, abs=0.05)
    assert by_name["fan.wav"]["calibrated"]
    reference = by_name["reference.wav"]["id"]
    run = ada.call("DELETE", f"/api/jobs/{job}/runs/before/sound/{reference}")
    assert not run["sounds"][0]["calibrated"]
    assert ada.call("POST", f"/api/jobs/{job}/runs/before/sound/{reference}/restore")["sounds"][0]["calibrated"]


def test_phone_recordings_of_both_sides_give_a_firm_difference(ada):
    job = ada.served_job()
    record(ada, job, hiss(0.02, seed=1), query=MARKED)
    record(ada, job, hiss(0.01, seed=2), side="after", query=MARKED)

    def told():
        found = ada.call("GET", f"/api/jobs/{job}/verdict")["effects"]
        return next(e for e in found if e["quantity"] == "recorded_level")

    # The whole of it is 6 dB lower, hiss of the microphone and all: it may be the gain.
    assert told()["difference"] is None
    assert "the gain of the phone may differ" in told()["working"]
    for side, seed in (("before", 3), ("after", 4)):
        record(ada, job, hiss(0.0005, seed=seed), side=side, query="&background=true" + MARKED, name="room.wav")
    effect = told()
    assert effect["difference"] == pytest.approx(-6.02, abs=0.1)
    # A phone does not know its own level, so neither side is a figure.
    assert (effect["unit"], effect["before"], effect["after"]) == ("dB", None, None)


def test_the_room_alone_is_taken_out(ada):
    job = ada.served_job()
    quiet, loud = np.hypot(0.01, 0.005), np.hypot(0.02, 0.005)

    def effect():
        found = ada.call("GET", f"/api/jobs/{job}/verdict")["effects"]
        return next(e for e in found if e["quantity"] == "recorded_level")

    record(ada, job, hiss(loud, seed=1), query=MARKED)
    record(ada, job, hiss(quiet, seed=2), side="after", query=MARKED)
    for side, seed in (("before", 3), ("after", 4)):
        run = record(ada, job, hiss(0.005, seed=seed), side=side, query="&background=true" + MARKED, name="room.wav")
        room = next(s for s in run["sounds"] if s["file_name"] == "room.wav")
        assert (room["is_background"], room["fan_rpm"]) == (True, None)
    clean = effect()
    # 0.02 and 0.01 alone are 6.02 dB apart; with a room 6 dB below the quieter one they read 5.3 dB.
    assert clean["difference"] == pytest.approx(-6.02, abs=0.15)
    # Whoever did not lay it at its mark has no difference.
    record(ada, job, hiss(quiet, seed=5), side="after", name="again.wav")
    assert (effect()["difference"], effect()["shown"]) == (None, "not_known")


def test_a_recording_of_a_known_level_is_not_the_room(ada, job):
    refused = ada.call(
        "POST",
        f"/api/jobs/{job}/runs/before/sound?name=a.wav&background=true&reference_db=94",
        data=wav(hiss()),
        status=422,
    )
    assert "either of a known level or of the room alone" in refused["detail"]


def test_faults_of_a_recording_are_named_and_the_rest_still_read(ada, job):
    found = record(ada, job, np.column_stack([hiss(), np.zeros(RATE * 5)]), name="half.wav")["sounds"][-1]
    assert any("side" in f or "channel" in f for f in found["faults"])
    assert found["laeq_db"] is not None
    found = record(ada, job, np.clip(hiss(1.0), -0.99997, 0.99997), name="loud.wav")["sounds"][-1]
    assert any("clipped" in f for f in found["faults"])
    found = record(ada, job, np.zeros(RATE * 5), name="mute.wav")["sounds"][-1]
    assert any("silent" in f for f in found["faults"])
    assert (found["laeq_db"], found["fan_rpm"]) == (None, None)


@pytest.mark.parametrize(
    ("data", "query", "says"),
    [
        (b"", "", "empty"),
        (b"Time,Temp\n1,2\n", "", "cannot be read as a recording"),
        (wav(hiss())[:30], "", "odd.wav"),
        (wav(np.zeros(RATE)), "&reference_db=94", "reference recording is silent"),
        (wav(hiss()), "&reference_db=500", "allowed are 0 to 140 dB"),
    ],
    ids=["empty", "text", "cut off", "silent reference", "loud reference"],
)
def test_what_is_no_recording_is_refused_and_nothing_kept(ada, job, workshop, data, query, says):
    before = sum(1 for p in workshop.files.root.rglob("*") if p.is_file())
    found = record(ada, job, data, query=query, status=422, name="odd.wav")
    assert says in found["detail"]
    assert found["remedy"]
    assert ada.call("GET", f"/api/jobs/{job}/runs/before")["sounds"] == []
    assert sum(1 for p in workshop.files.root.rglob("*") if p.is_file()) == before


# --- remembered columns ----------------------------------------------------------------------------------------


def strange(seed, load_s=300):
    """A log of a logger that names nothing."""
    lines = ["Time [s],S1,S2"] + [f"{r['s']},{r['temp']:.1f},{r['fan']:.0f}" for r in rows(seed=seed, load_s=load_s)]
    return "\n".join(lines).encode()


def test_the_same_logger_is_never_mapped_twice(ada):
    first, second = ada.new_job()["id"], ada.new_job()["id"]
    assert ada.upload(first, "before", strange(1), status=422)["reason"] == "no_temperature"
    ada.upload(first, "before", strange(1), query='&roles={"S1":"cpu_temperature","S2":"fan_speed"}')
    run = ada.upload(second, "before", strange(2))
    roles = {c["header"]: c["role"] for c in run["trace"]["channels"]}
    assert roles == {"Time [s]": None, "S1": "cpu_temperature", "S2": "fan_speed"}
    assert any("set for this logger before" in n for n in run["trace"]["notices"])


def test_a_corrected_column_is_remembered_too(ada, job):
    path = f"/api/jobs/{job}/runs/before/log/mapping"
    ada.call("PUT", path, {"roles": {"Fan [RPM]": None}})
    other = ada.new_job()["id"]
    run = ada.upload(other, "before", log_bytes(HOT, seed=3))
    assert next(c for c in run["trace"]["channels"] if c["header"] == "Fan [RPM]")["role"] is None


# --- window ----------------------------------------------------------------------------------------------------


def test_the_figures_follow_a_window_set_by_hand_and_go_back(ada, job):
    base = f"/api/jobs/{job}/runs/before"
    found = ada.call("GET", base)["reading"]
    assert not found["chosen"]
    moved = ada.call("PUT", f"{base}/window", {"from_s": 60, "to_s": 120})["reading"]
    assert (moved["from_s"], moved["to_s"], moved["chosen"]) == (60, 120, True)
    assert moved["stats"] != found["stats"]
    back = ada.call("PUT", f"{base}/window", {"from_s": None, "to_s": None})["reading"]
    assert (back["from_s"], back["chosen"]) == (found["from_s"], False)


@pytest.mark.parametrize(
    ("window", "says"),
    [
        ({"from_s": 60, "to_s": None}, "both its ends"),
        ({"from_s": 120, "to_s": 60}, ""),
        ({"from_s": -5000, "to_s": -4000}, ""),
    ],
)
def test_a_window_that_cannot_be_is_refused_and_the_old_one_stays(ada, job, window, says):
    base = f"/api/jobs/{job}/runs/before"
    found = ada.problem("PUT", f"{base}/window", window, status=422)
    assert says in found["detail"]
    assert found["remedy"]
    assert not ada.call("GET", base)["reading"]["chosen"]


# --- air, results, reference -----------------------------------------------------------------------------------


def test_the_exhaust_gives_the_air_flow(ada, job):
    run = ada.call("POST", f"/api/jobs/{job}/runs/before/spot", {"spot": "exhaust", "reading_c": 44}, status=201)
    assert run["air"]["exhaust_rise_k"] == pytest.approx(20)
    # handbook/curve.md: 100 W at a 20 K rise needs 4.2 L/s; flow goes with the power.
    assert run["air"]["flow"] * 1000 == pytest.approx(4.2 * run["air"]["power"] / 100, rel=0.02)


def test_results_of_a_benchmark_are_compared_with_the_right_sign(ada):
    job = ada.served_job()
    # handbook/temperature.md, worked examples, common practice: 19:21 to 17:22 and 10,748 to 11,116 points.
    ada.save_run(job, "before", result_score=10748, result_duration_s=1161)
    ada.save_run(job, "after", room_c=25.5, result_score=11116, result_duration_s=1042)
    effects = {e["quantity"]: e for e in ada.call("GET", f"/api/jobs/{job}/verdict")["effects"]}
    assert effects["score"]["difference"] == 368
    assert effects["duration"]["difference"] == -119


def test_blades_and_results_have_limits(ada, job):
    version = ada.call("GET", f"/api/jobs/{job}/runs/before")["version"]
    for field, value in (("fan_blades", 1), ("result_score", 0), ("result_frame_rate", -3)):
        body = {"version": version, field: value}
        found = ada.problem("PUT", f"/api/jobs/{job}/runs/before", body, status=422)
        assert found["errors"][0]["field"] == field


def test_a_response_is_judged_by_the_own_last_visit_then_the_model_then_the_class(ada):
    def told(customer, seed, **known):
        job = ada.new_job(customer_name=customer, **known)["id"]
        ada.save_run(job, "before")
        run = ada.upload(job, "before", log_bytes(Device(interface=0.9), seed=seed, load_s=900))
        return " ".join(run["findings"])

    assert "class" in told("First", 31)
    taken = ada.new_job(customer_name="Regular")
    served = taken["id"]
    for side, device in (("before", HOT), ("after", COOL)):
        ada.save_run(served, side)
        ada.upload(served, side, log_bytes(device, seed=21, load_s=900))
    assert "own last visit" in told("Regular", 32, device_id=taken["device_id"])
    # Another laptop of the same model is another device, whoever brings it.
    assert "same model" in told("Regular", 34)
    assert "same model" in told("Stranger", 33)
