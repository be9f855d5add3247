"""A new machine: its frames, its clock, and whether it should be opened at all."""

import numpy as np
import pytest
from tests.logs import COOL, HOT, log_bytes

RNG = np.random.default_rng(11)


def frame_log(times_ms, header="Frame,Time [s],Frame Time [ms],1% Low [FPS]"):
    """A log with a line a frame."""
    at = np.cumsum(times_ms) / 1000.0
    lines = [f"{i},{t:.4f},{ms:.3f},48.2" for i, (t, ms) in enumerate(zip(at, times_ms, strict=True))]
    return ("\n".join([header, *lines]) + "\n").encode()


EVEN = np.r_[RNG.uniform(15.0, 18.0, 2970), np.full(30, 40.0)]


@pytest.fixture
def fresh(ada):
    """A machine of two months with its seal whole, with a log."""
    job = ada.new_job(age_months=2, seal="intact", warranty="running")["id"]
    ada.save_run(job, "before")
    ada.upload(job, "before", log_bytes(COOL, seed=41))
    return job


def test_frame_times_lie_beside_the_log_and_are_told(ada, fresh):
    run = ada.upload(fresh, "before", frame_log(EVEN), name="scene.csv")
    (frames,) = run["frames"]
    assert (frames["file_name"], frames["frames"]) == ("scene.csv", 3000)
    assert frames["rate_per_s"] == pytest.approx(3000 / (EVEN.sum() / 1000), rel=1e-3)
    assert frames["slow_rate_per_s"] == pytest.approx(25.0, rel=1e-3)
    assert run["trace"]["file_name"] == "log.csv"
    # Another one takes its place; taken off, it comes back.
    run = ada.upload(fresh, "before", frame_log(EVEN[:2000]), name="again.csv")
    assert [f["file_name"] for f in run["frames"]] == ["again.csv"]
    where = f"/api/jobs/{fresh}/runs/before/frames/{run['frames'][0]['id']}"
    assert ada.call("DELETE", where)["frames"] == []
    assert len(ada.call("POST", f"{where}/restore")["frames"]) == 1
    (shown,) = ada.call("GET", f"/api/jobs/{fresh}/all-runs/figure?name=frame_rate_per_s")["values"]
    assert shown["value"] == pytest.approx(run["frames"][0]["rate_per_s"])


def test_two_runs_are_compared_by_their_frames(ada):
    job = ada.served_job()
    ada.upload(job, "before", frame_log(EVEN), name="before.csv")
    ada.upload(job, "after", frame_log(EVEN * 0.9), name="after.csv")
    (effect,) = [e for e in ada.call("GET", f"/api/jobs/{job}/verdict")["effects"] if e["quantity"] == "frame_rate"]
    assert effect["after"] / effect["before"] == pytest.approx(1 / 0.9, rel=1e-3)


def test_a_frame_log_without_frames_is_refused_in_words(ada, fresh):
    found = ada.problem(
        "POST", f"/api/jobs/{fresh}/runs/before/log?name=x.csv", data=frame_log(np.full(50, 12_000.0)), status=422
    )
    assert "hold the time of a frame" in found["detail"]
    assert ada.call("GET", f"/api/jobs/{fresh}/runs/before")["frames"] == []


def test_a_log_of_seconds_with_a_mean_frame_time_is_one_of_sensors_whose_temperature_a_person_names(ada, fresh):
    lines = [f"{t},{16.7 + 0.1 * (t % 3)},{40 + min(t, 60) * 0.5}" for t in range(600)]
    data = ("\n".join(["Time [s],Frame Time [ms],Zone 3", *lines]) + "\n").encode()
    path = f"/api/jobs/{fresh}/runs/before/log?name=zones.csv"
    refused = ada.problem("POST", path, data=data, status=422)
    assert refused["reason"] == "no_temperature"
    assert "Zone 3" in refused["headers"]
    assert ada.call("GET", f"/api/jobs/{fresh}/runs/before")["frames"] == []


def test_a_sound_new_machine_is_left_closed_and_one_that_is_held_back_goes_to_the_maker(ada, fresh):
    ada.upload(fresh, "before", frame_log(EVEN), name="scene.csv")
    opening = ada.call("GET", f"/api/jobs/{fresh}/plan")["opening"]
    assert opening["answer"] == "leave"
    said = " ".join(opening["reasons"])
    assert "no dust in it" in said
    assert "slow one per cent 25.0" in said
    assert "MHz" in said
    hot = ada.new_job(age_months=2, seal="intact", warranty="running", model="Marrow 17")["id"]
    assert "does not say whether" in " ".join(ada.call("GET", f"/api/jobs/{hot}/plan")["opening"]["reasons"])
    ada.save_run(hot, "before")
    ada.upload(hot, "before", log_bytes(HOT, seed=42))
    assert ada.call("GET", f"/api/jobs/{hot}/plan")["opening"]["answer"] == "maker"
    old = ada.new_job(age_months=30)["id"]
    assert ada.call("GET", f"/api/jobs/{old}/plan")["opening"] is None
