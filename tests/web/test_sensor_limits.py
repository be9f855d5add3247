"""Limits of the sensors beside the die: noted at intake, told in the verdict, kept with what was handed over."""

import pytest
from tests.logs import COOL, HOT, log_bytes

NOTED = {"memory_temperature": 90.0}


def with_memory(data, warm_c):
    """A log with a memory sensor that stays at one value but for a kelvin."""
    head, *lines = data.decode().splitlines()
    cells = [f",{warm_c + 0.5 * (i % 3):.1f}" for i in range(len(lines))]
    return "\n".join([head + ",Memory [°C]", *(a + b for a, b in zip(lines, cells, strict=True))]).encode()


def test_a_noted_limit_is_what_a_sensor_is_held_against(ada):
    job = ada.new_job(sensor_limits=NOTED)["id"]
    assert ada.call("GET", f"/api/jobs/{job}")["sensor_limits"] == NOTED
    for side, device, warm_c in (("before", HOT, 97.0), ("after", COOL, 96.0)):
        ada.save_run(job, side, placement="stand")
        run = ada.upload(job, side, with_memory(log_bytes(device, seed=len(side), load_s=900), warm_c))
        assert any("90 °C is the limit noted for it" in text for text in run["findings"])
    verdict = ada.call("GET", f"/api/jobs/{job}/verdict")
    memory = next(s for s in verdict["sensors"] if s["role"] == "memory_temperature")
    assert (memory["limit_c"], memory["limit_noted"]) == (90.0, True)
    assert memory["over_limit_k"] == pytest.approx(6.5, abs=0.3)
    assert verdict["headline"].endswith("memory still 6 K over its limit") or "7 K over" in verdict["headline"]
    # The plan renews what is between it and the cooler, and the device's history says it of both sides.
    answer = ada.call("GET", f"/api/jobs/{job}/plan")["options"][0]
    assert "pads" in answer["actions"]
    assert "memory reached 98 °C, 8 K over its limit of 90 °C" in answer["reason"]
    kept = ada.call("GET", f"/api/jobs/{job}")
    (visit,) = ada.call("GET", f"/api/devices/{kept['device_id']}")["visits"]
    assert all("memory" in words for side in ("before", "after") for words in visit[side]["hot"])
    # Without a limit of its own the usual one counts.
    kept = ada.call("GET", f"/api/jobs/{job}")
    ada.call("PUT", f"/api/jobs/{job}", {"version": kept["version"], "sensor_limits": {}})
    memory = next(
        s for s in ada.call("GET", f"/api/jobs/{job}/verdict")["sensors"] if s["role"] == "memory_temperature"
    )
    assert (memory["limit_c"], memory["limit_noted"], memory["over_limit_k"]) == (105.0, False, None)


@pytest.mark.parametrize(
    ("limits", "says"), [({"fan_speed": 90.0}, "no limit of “fan_speed”"), ({"memory_temperature": 900.0}, "900")]
)
def test_what_is_no_limit_is_refused(ada, limits, says):
    kept = ada.new_job()
    body = {"version": kept["version"], "sensor_limits": limits}
    problem = ada.problem("PUT", f"/api/jobs/{kept['id']}", body, status=422)
    assert says in problem["detail"]
