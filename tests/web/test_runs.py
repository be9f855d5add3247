"""Logs, conditions, readings: all that a run takes, and all that it refuses."""

import hashlib

import pytest
from tests.logs import COOL, HOT, log_bytes, rows, text

from vividowl.store.measuring import TraceFile

LOG = log_bytes(HOT, seed=1)


@pytest.fixture
def job(ada):
    """A fresh job."""
    return ada.new_job()["id"]


def stored_files(workshop):
    return [p for p in workshop.files.root.rglob("*") if p.is_file()]


def test_a_log_is_kept_byte_for_byte_and_read(ada, job, workshop):
    ada.save_run(job, "before")
    run = ada.upload(job, "before", LOG, name="bench.csv")
    trace, reading = run["trace"], run["reading"]
    assert trace["sha256"] == hashlib.sha256(LOG).hexdigest()
    assert (trace["file_name"], trace["size_bytes"]) == ("bench.csv", len(LOG))
    assert reading["onset_s"] == pytest.approx(30, abs=2)
    assert reading["throttle_share"] > 0.8
    assert any(f.startswith("Load starts at 0:30") for f in run["findings"])
    assert sum(r["drop_k"] for r in run["ladder"]["rungs"]) == pytest.approx(run["ladder"]["die_c"] - 24, abs=0.01)
    with ada.call("GET", f"/api/jobs/{job}/runs/before/log/file") as answer:
        assert answer.data == LOG
    assert sorted(p.suffix for p in stored_files(workshop)) == [".log", ".parquet"]
    row = ada.call("GET", f"/api/jobs/{job}")
    assert row["glance_before"]["measured"]
    assert row["stage"] == "plan"


def test_a_log_of_several_megabytes_is_taken_and_one_over_the_limit_is_not(ada, job, monkeypatch):
    extra = "," + ",".join(["1.0501"] * 700)
    lines = LOG.decode().splitlines()
    wide = [lines[0] + "," + ",".join(f"Rail {i} [V]" for i in range(300))] + [
        line + extra[: 7 * 300] for line in lines[1:]
    ]
    data = "\n".join(wide * 1 + [""]).encode()
    assert len(data) > 1024 * 1024
    assert ada.upload(job, "before", data, name="wide.csv")["trace"]["size_bytes"] == len(data)
    monkeypatch.setattr("vividowl.service.measure.logs.BYTES_MOST", 1024 * 1024)
    second = ada.new_job()["id"]
    refused = ada.upload(second, "before", data + b"\n", name="wide.csv", status=422)
    assert refused["reason"] == "too_large"
    assert "wide.csv" in refused["detail"]


def test_a_log_of_seconds_is_kept_and_named_and_what_it_cannot_tell_is_not_known(ada):
    job = ada.new_job()["id"]
    data = b"Time [s],CPU Package [C]\n" + b"".join(b"%d,4%d\n" % (i, i % 2) for i in range(20))
    run = ada.upload(job, "before", data, name="short.csv")
    assert "The log is only 19 s long" in run["findings"][1]
    assert (run["reading"]["final_c"], run["reading"]["throttle_share"], run["ladder"]) == (None, None, None)


BAD = [
    (b"", "is empty"),
    (b"\x89PNG\r\n\x1a\n" + bytes(range(256)) * 8, "not a text file"),
    (b"Time [s],CPU Package [C]\n", "header and no data"),
    (b"Time [s],Fan [RPM]\n" + b"".join(b"%d,900\n" % i for i in range(200)), "no die temperature"),
    (b"CPU Package [C],CPU Power [W]\n" + b"40,20\n" * 50, "no time column"),
]


@pytest.mark.parametrize(("data", "says"), BAD, ids=[b[1] for b in BAD])
def test_a_log_that_cannot_be_used_is_named_and_nothing_is_stored(ada, job, workshop, data, says):
    found = ada.upload(job, "before", data, name="odd.csv", status=422)
    assert says in found["detail"]
    assert "odd.csv" in found["detail"]
    assert found["remedy"]
    assert found["errors"][0]["field"] == "log"
    assert stored_files(workshop) == []
    run = ada.call("GET", f"/api/jobs/{job}/runs/before")
    assert run["trace"] is None


def test_a_log_without_a_known_temperature_lists_its_columns_and_can_be_read_by_hand(ada, job):
    lines = ["Time [s],Sensor A,Blower"] + [f"{r['s']},{r['temp']:.1f},{r['fan']:.0f}" for r in rows(load_s=200)]
    data = "\n".join(lines).encode()
    found = ada.upload(job, "before", data, status=422)
    assert found["reason"] == "no_temperature"
    assert "Sensor A" in found["headers"]
    run = ada.upload(job, "before", data, query='&roles={"Sensor A":"cpu_temperature"}')
    assert run["reading"]["die_role"] == "cpu_temperature"


def test_a_broken_upload_leaves_nothing(ada, job, workshop):
    answer = ada.client.post(
        f"/api/jobs/{job}/runs/before/log",
        data=LOG[:5000],
        headers={"X-CSRFToken": ada.token},
        environ_overrides={"CONTENT_LENGTH": str(len(LOG))},
    )
    assert answer.status_code in (400, 422)
    assert stored_files(workshop) == []


def test_the_same_file_twice_is_noticed(ada, job):
    ada.upload(job, "before", LOG)
    assert ada.upload(job, "before", LOG, status=409)["reason"] == "same_file_here"
    assert ada.upload(job, "after", LOG, status=409)["reason"] == "same_file_other_side"
    second = ada.new_job()["id"]
    elsewhere = ada.upload(second, "before", LOG, status=409)
    assert "already the Before log of job 1" in elsewhere["detail"]
    ada.upload(second, "before", LOG, query="&again=true")


def test_an_after_without_a_before_is_refused(ada, job, workshop):
    ada.save_run(job, "after", room_c=25)
    found = ada.upload(job, "after", LOG, status=409)
    assert found["reason"] == "no_before"
    assert "kept" in found["remedy"]
    assert stored_files(workshop) == []
    assert ada.call("GET", f"/api/jobs/{job}/runs/after")["room_c"] == 25


def test_after_comes_prefilled_with_the_before_recipe_but_not_its_room(ada, job):
    ada.save_run(job, "before", load_recipe="Canyon loop", room_c=22)
    after = ada.call("GET", f"/api/jobs/{job}/runs/after")
    assert (after["prefilled"], after["load_recipe"], after["room_c"], after["version"]) == (
        True,
        "Canyon loop",
        None,
        0,
    )


@pytest.mark.parametrize(
    ("fields", "field", "says"),
    [
        ({"room_c": 240}, "room_c", "Room temperature is 240 °C, allowed are −10 to 60 °C"),
        ({"duration_min": -5}, "duration_min", "allowed are 0.5 to 1440 min"),
        ({"room_c": "warm"}, "room_c", "no number"),
    ],
)
def test_conditions_that_cannot_be(ada, job, fields, field, says):
    found = ada.problem("PUT", f"/api/jobs/{job}/runs/before", {"version": 0, **fields}, status=422)
    assert found["errors"][0]["field"] == field
    assert says in found["errors"][0]["message"]


def test_a_slipped_decimal_point_is_guessed(ada, job):
    found = ada.problem("PUT", f"/api/jobs/{job}/runs/before", {"version": 0, "room_c": 240}, status=422)
    assert "Was it 24.0?" in found["remedy"]


def test_noise_is_combined_by_energy_and_can_be_undone(ada, job):
    base = f"/api/jobs/{job}/runs/before"
    ada.call("POST", f"{base}/noise", {"level_db": 60, "place": "vent", "distance_m": 0.3}, status=201)
    run = ada.call("POST", f"{base}/noise", {"level_db": 50, "place": "vent", "distance_m": 0.3}, status=201)
    assert run["noise_figure"]["level_db"] == pytest.approx(57.4, abs=0.05)
    first = run["noise"][0]["id"]
    assert ada.call("DELETE", f"{base}/noise/{first}")["noise_figure"]["readings"] == 1
    assert ada.call("POST", f"{base}/noise/{first}/restore")["noise_figure"]["readings"] == 2


@pytest.mark.parametrize(
    ("body", "says"),
    [
        ({"level_db": -4}, "allowed are 0 to 140 dB"),
        ({"level_db": 45, "background_db": 52}, "louder than the reading"),
        ({"level_db": 45, "distance_m": 0}, "allowed are 0.01 to 20 m"),
    ],
)
def test_impossible_noise_is_refused(ada, job, body, says):
    found = ada.problem("POST", f"/api/jobs/{job}/runs/before/noise", body, status=422)
    assert says in found["detail"]
    assert ada.call("GET", f"/api/jobs/{job}/runs/before")["noise"] == []


def test_a_heatsink_probe_replaces_the_guess_from_the_log(ada, job):
    ada.save_run(job, "before")
    ada.upload(job, "before", LOG)
    base = f"/api/jobs/{job}/runs/before"
    run = ada.call("POST", f"{base}/spot", {"spot": "heatsink", "reading_c": 62}, status=201)
    assert {r["source"] for r in run["ladder"]["rungs"]} == {"probe"}
    spot = run["spots"][0]["id"]
    ada.call("DELETE", f"{base}/spot/{spot}")
    odd = ada.call("POST", f"{base}/spot", {"spot": "heatsink", "reading_c": 140}, status=201)
    assert odd["ladder"] is None
    assert "must lie between the room" in odd["trouble"]


def test_a_column_can_be_renamed_and_a_log_cannot_lose_its_last_temperature(ada, job):
    ada.save_run(job, "before")
    ada.upload(job, "before", LOG)
    path = f"/api/jobs/{job}/runs/before/log/mapping"
    run = ada.call("PUT", path, {"roles": {"Fan [RPM]": None}})
    assert "fan_speed" not in run["reading"]["stats"]
    refused = ada.problem("PUT", path, {"roles": {"CPU Package [°C]": None}}, status=422)
    assert "was not changed" in refused["detail"]
    assert ada.call("GET", f"/api/jobs/{job}/runs/before")["reading"]["die_role"] == "cpu_temperature"


def test_a_log_taken_off_can_be_brought_back(ada, job):
    run = ada.upload(job, "before", LOG)
    path = f"/api/jobs/{job}/runs/before/log/{run['trace']['id']}"
    assert ada.call("DELETE", path)["trace"] is None
    assert ada.call("POST", f"{path}/restore")["trace"]["id"] == run["trace"]["id"]


def test_an_old_log_brought_back_takes_its_place_and_is_no_repeat(ada, job):
    first = ada.upload(job, "before", LOG)["trace"]["id"]
    second = ada.upload(job, "before", log_bytes(HOT, seed=9), name="second.csv")["trace"]["id"]
    run = ada.call("POST", f"/api/jobs/{job}/runs/before/log/{first}/restore")
    assert (run["trace"]["id"], run["repeats"]) == (first, [])
    # A repeat that is brought back stays what it was given as.
    again = ada.upload(job, "before", log_bytes(HOT, seed=11), query="&repeat=true", name="again.csv")["repeats"][0][
        "id"
    ]
    path = f"/api/jobs/{job}/runs/before/log/{again}"
    ada.call("DELETE", path)
    run = ada.call("POST", f"{path}/restore")
    assert (run["trace"]["id"], [r["id"] for r in run["repeats"]]) == (first, [again])
    assert ada.call("POST", f"/api/jobs/{job}/runs/before/log/{second}/restore")["trace"]["id"] == second


def test_another_log_takes_the_place_of_the_first(ada, job, workshop):
    ada.upload(job, "before", LOG)
    run = ada.upload(job, "before", log_bytes(HOT, seed=9), name="second.csv")
    assert run["trace"]["file_name"] == "second.csv"
    with workshop.database.session() as session:
        assert session.query(TraceFile).count() == 2


def test_charts_are_down_sampled_and_cut_to_a_stretch(ada, job):
    ada.upload(job, "before", LOG)
    base = f"/api/jobs/{job}/runs/before/chart?channel="
    view = ada.call("GET", f"{base}cpu_temperature&points=100")
    assert len(view["time_s"]) <= 100
    assert (view["words"], view["unit"]) == ("processor temperature", "°C")
    part = ada.call("GET", f"{base}cpu_power&from_s=100&to_s=200")
    assert min(part["time_s"]) >= 100
    assert max(part["time_s"]) <= 200
    assert ada.call("GET", f"{base}c5")["words"] == "Fan [RPM]"
    ada.problem("GET", f"{base}c99", status=404)
    ada.problem("GET", f"{base}../../x", status=404)


def test_a_log_of_another_role_is_not_taken_for_the_same_sensor(ada, job):
    ada.save_run(job, "before")
    ada.upload(job, "before", LOG)
    ada.save_run(job, "after")
    headers = ["Time", "GPU Temperature [°C]", "GPU Power [W]", "GPU Clock [MHz]", "GPU Load [%]", "Fan [RPM]", "Flag"]
    ada.upload(job, "after", "\n".join(text(rows(COOL, seed=3), headers=headers)).encode())
    verdict = ada.call("GET", f"/api/jobs/{job}/verdict")
    assert verdict["verdict"] == "cannot_be_compared"
    assert any("sensor" in r for r in verdict["reasons"])
