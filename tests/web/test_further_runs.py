"""One step further than two runs: groups, matched noise, planned runs, burn-in over visits."""

from dataclasses import replace
from datetime import UTC, datetime, timedelta

import pytest
from sqlalchemy import text
from tests.logs import COOL, log_bytes
from tests.web.test_all_runs import further

SHEET = {"target": "cpu_die", "kind": "phase_change_sheet", "product": "Slow Tide 45"}


def at_speed(device, share):
    """The same with its fan held at a share of full speed."""
    return replace(device, fan_low_c=200.0, fan_high_c=201.0, fan_idle_rpm=share * device.fan_full_rpm)


def test_two_groups_of_runs_are_compared_by_one_figure(ada):
    job = ada.served_job()
    keys = [further(ada, job, name=f"run {i}", log=COOL, seed=60 + i) for i in range(2)]
    path = f"/api/jobs/{job}/compare-groups?value=resistance_K_per_W&first=before"
    found = ada.call("GET", path + "".join(f"&second={k}" for k in ("after", *keys)))
    assert (found["first"]["n"], found["second"]["n"]) == (1, 3)
    assert found["difference"] == pytest.approx(found["second"]["mean"] - found["first"]["mean"])
    # As simulated: 1.59 against 0.71 K/W.
    assert found["difference"] == pytest.approx(-0.88, abs=0.08)
    assert found["shown"]
    assert abs(found["difference"]) > found["u95"] > 0
    alike = ada.call("GET", f"/api/jobs/{job}/compare-groups?value=resistance_K_per_W&first={keys[0]}&second={keys[1]}")
    assert not alike["shown"]
    twice = ada.problem("GET", path + "&second=before", status=422)
    assert "not compared with itself" in twice["detail"]
    quiet = ada.problem("GET", path.replace("resistance_K_per_W", "noise_db") + "&second=after", status=404)
    assert "has this figure" in quiet["detail"]


def test_noise_is_ranked_at_the_same_temperature_and_the_other_way_round(ada):
    job = ada.served_job()
    for product, device, seed in (("Thaw 40", COOL, 70), ("Quicksheen", replace(COOL, interface=0.05), 80)):
        body = {"cause": "attempt", "material": "paste_stiff", "product": product}
        ada.call("POST", f"/api/jobs/{job}/states", body, status=201)
        for turn, (share, level) in enumerate(((0.5, 37.0), (1.0, 52.0))):
            key = further(
                ada,
                job,
                name=f"{product} {share}",
                log=at_speed(device, share),
                seed=seed + turn,
                fan_setting=f"{share}",
            )
            ada.call("POST", f"/api/jobs/{job}/runs/{key}/noise", {"level_db": level, "place": "vent"}, status=201)
    rank = f"/api/jobs/{job}/rank?by=material&value="
    found = ada.call("GET", rank + "noise_at_matched_rise_db")
    assert [g["group"] for g in found["groups"]] == ["Quicksheen", "Thaw 40"]
    quiet, loud = (g["mean"] for g in found["groups"])
    assert 37.0 < quiet < loud < 52.0
    assert 20 < found["held"] < 60
    assert found["groups"][0]["u95"] > 0.5
    cooler = ada.call("GET", rank + "rise_at_matched_noise_K")
    assert cooler["groups"][0]["group"] == "Quicksheen"
    # As simulated the two differ by 0.08 K/W at 58 W, whatever the fan does.
    assert cooler["groups"][1]["mean"] - cooler["groups"][0]["mean"] == pytest.approx(0.08 * 58, abs=1.5)
    assert 37.0 < cooler["held"] < 52.0
    said = ada.problem("GET", f"/api/jobs/{job}/rank?by=placement&value=noise_at_matched_rise_db", status=422)
    assert "two fan settings" in said["detail"]


def with_columns(data, columns):
    """A log with further columns at its end, each with the same value in every line."""
    head, *lines = data.decode().splitlines()
    cells = [f",{v}" for v in columns.values()]
    return "\n".join(
        [head + "".join(f",{name}" for name in columns), *(line + "".join(cells) for line in lines)]
    ).encode()


def test_a_column_without_a_role_is_a_figure_by_its_name(ada):
    job = ada.served_job()
    places = (("lap", 24.0), ("stand", 21.0))
    keys = [
        further(ada, job, name=p, log=COOL, seed=130 + i, placement=p, room_c=room)
        for i, (p, room) in enumerate(places)
    ]
    for turn, (key, bay) in enumerate(zip(keys, (47.5, 41.5), strict=True)):
        more = {"Left bay [°C]": bay, "Fan steps": 3 + turn, "Words": "none"}
        ada.upload(job, key, with_columns(log_bytes(COOL, seed=140 + turn), more))
    path = f"/api/jobs/{job}/all-runs"
    found = ada.call("GET", path)
    assert {f for f in found["figures"] if f.startswith("column:")} == {"column:Left bay [°C]", "column:Fan steps"}
    logs = {log["id"]: r["key"] for r in found["runs"] for log in r["logs"]}
    told = ada.call("GET", path + "/figure?name=column:Left bay [°C]")["values"]
    assert {logs[v["log"]]: v["value"] for v in told} == dict(zip(keys, (47.5, 41.5), strict=True))
    # A temperature is brought to the reference room before it is ranked, a count is not.
    ranked = ada.call("GET", f"/api/jobs/{job}/rank?by=placement&value=column:Left bay [°C]")["groups"]
    assert [g["group"] for g in ranked] == ["stand", "lap"]
    assert ranked[1]["mean"] - ranked[0]["mean"] == pytest.approx((47.5 - 24.0) - (41.5 - 21.0))
    counts = ada.call("GET", f"/api/jobs/{job}/rank?by=placement&value=column:Fan steps")["groups"]
    assert [g["mean"] for g in counts] == [3.0, 4.0]
    # What is no figure is none, whatever else of that name is kept of a log or a run.
    for name in ("column:nothing", "die", "settled", "means", "columns", "u", "result_nothing", "result_note"):
        assert ada.call("GET", f"{path}/figure?name={name}") == {"values": []}
        refused = ada.problem("GET", f"/api/jobs/{job}/rank?by=placement&value={name}", status=422)
        assert refused["detail"] == "No run says what it is to be ranked by."


def test_runs_are_ranked_once_for_each_level_of_a_second_factor(ada):
    job = ada.served_job()
    for product, better, seed in (("Thaw 40", 0.0, 150), ("Quicksheen", 0.06, 160)):
        body = {"cause": "attempt", "material": "paste_stiff", "product": product}
        ada.call("POST", f"/api/jobs/{job}/states", body, status=201)
        for turn, share in enumerate((0.5, 1.0)):
            device = at_speed(replace(COOL, interface=0.13 - better), share)
            further(ada, job, name=f"{product} {share}", log=device, seed=seed + turn, fan_setting=f"{share}")
    further(ada, job, name="Quicksheen, silent", log=COOL, seed=170, fan_setting="silent")
    path = f"/api/jobs/{job}/rank-across?by=material&value=resistance_K_per_W&across="
    levels = {level["setting"]: level["ranking"] for level in ada.call("GET", path + "fan")["columns"]}
    for share in ("0.5", "1.0"):
        assert [g["group"] for g in levels[share]["groups"]] == ["Quicksheen", "Thaw 40"]
    slow, fast = (levels[share]["groups"][0]["mean"] for share in ("0.5", "1.0"))
    # The fan laws, handbook/curve.md: half the speed leaves the air more than a fifth more to carry.
    assert slow > 1.2 * fast
    # At that setting one material alone was run.
    assert levels["silent"] is None
    assert "already" in ada.problem("GET", path + "material", status=422)["detail"]
    matched = path.replace("resistance_K_per_W", "noise_at_matched_rise_db") + "fan"
    assert "already" in ada.problem("GET", matched, status=422)["detail"]
    one = ada.problem("GET", path.replace("by=material", "by=tuning") + "fan", status=422)
    assert one["detail"] == "No run says what it is to be ranked by."


def test_runs_are_planned_before_any_of_them_is_run(ada):
    job = ada.served_job()
    factors = [
        {"factor": "firmware", "settings": ["1.08", "1.12"]},
        {"factor": "tuning", "settings": ["none", "-80 mV"]},
        {"factor": "placement", "settings": ["stand", "lap"]},
    ]
    path = f"/api/jobs/{job}/run-plans"
    found = ada.call("POST", path, {"factors": factors, "value": "resistance_K_per_W", "want": 0.05})
    assert {p["plan"]: len(p["runs"]) for p in found["plans"]} == {"half": 4, "one_at_a_time": 4, "full": 8}
    full = next(p for p in found["plans"] if p["plan"] == "full")
    assert full["tells_pairs"]
    assert full["mixed"] == []
    half = next(p for p in found["plans"] if p["plan"] == "half")
    assert not half["tells_pairs"]
    assert "firmware comes mixed with tuning × placement" in " ".join(half["mixed"]).lower()
    # JCGM 100: (2 + z) s sqrt(2/n) with z of nine in ten must not exceed what is wanted; one run less would not do.
    n, s = found["repeats"]["runs_each"], found["one_run_sd"]
    assert 3.2816 * s * (2 / n) ** 0.5 <= 0.05
    assert n == 1 or 3.2815 * s * (2 / (n - 1)) ** 0.5 > 0.05
    for bad, says in (
        ([factors[0], factors[0]], "named twice"),
        ([factors[0], {"factor": "tuning", "settings": ["none"]}], "one level only"),
        ([{"factor": f, "settings": [str(i) for i in range(6)]} for f in ("firmware", "tuning", "fan")], "216 runs"),
    ):
        assert says in ada.problem("POST", path, {"factors": bad, "value": "rise_K"}, status=422)["detail"]


def test_a_sheet_that_has_not_run_in_is_an_open_item_with_its_wait(ada, workshop):
    job = ada.new_job(serial="RUN-IN-1")["id"]
    ada.save_run(job, "before")
    ada.upload(job, "before", log_bytes(replace(COOL, interface=0.6), seed=90))
    ada.call("POST", f"/api/jobs/{job}/fit/items", SHEET, status=201)
    fit = {"version": ada.call("GET", f"/api/jobs/{job}")["version"], "cleaned": ["contact"], "done": True}
    ada.call("PUT", f"/api/jobs/{job}/fit", fit)
    ada.save_run(job, "after")
    ada.upload(job, "after", log_bytes(replace(COOL, interface=0.43), seed=91))
    base = f"/api/jobs/{job}/burn-in"
    assert ada.call("GET", f"{base}/open")["open"] == {"more": None, "wait_min": None, "due": None}
    for turn, (cycles, interface) in enumerate(((1, 0.312), (2, 0.240), (3, 0.197), (4, 0.171))):
        ada.call("POST", f"/api/jobs/{job}/states", {"cause": "cycled", "heat_cycles": cycles}, status=201)
        further(ada, job, name=f"after {cycles}", log=replace(COOL, interface=interface), seed=92 + turn)
    told = ada.call("GET", base)
    assert told["settled"] is False
    still = ada.call("GET", f"{base}/open")["open"]
    assert still["more"] >= 1
    # handbook/materials.md, common practice: it settles mostly in the first 30 to 40 minutes above its melting range.
    assert still["wait_min"] == 40 * still["more"]
    due = datetime.fromisoformat(still["due"])
    assert due - datetime.now(UTC) == pytest.approx(timedelta(minutes=still["wait_min"]), abs=timedelta(minutes=1))
    # Weeks later it comes back with the same sheet: by days its runs go on, by cycles nobody has counted.
    with workshop.database.engine.begin() as connection:
        connection.execute(text("ALTER TABLE device_state DISABLE TRIGGER USER"))
        connection.execute(text("UPDATE device_state SET began_at = began_at - interval '20 days'"))
        connection.execute(text("ALTER TABLE device_state ENABLE TRIGGER USER"))
        rows = connection.execute(text("SELECT id FROM trace_file ORDER BY uploaded_at")).scalars().all()
        for i, row in enumerate(rows):
            connection.execute(
                text("UPDATE trace_file SET uploaded_at = uploaded_at - make_interval(days => :d) WHERE id = :i"),
                {"d": 20 - 2 * i, "i": row},
            )
    later = ada.new_job(serial="RUN-IN-1", device_id=ada.call("GET", f"/api/jobs/{job}")["device_id"])["id"]
    ada.save_run(later, "before")
    ada.upload(later, "before", log_bytes(replace(COOL, interface=0.16), seed=99))
    days = ada.call("GET", f"/api/jobs/{later}/burn-in?since=days")
    assert [round(p["x"]) for p in days["points"]] == [2, 4, 6, 8, 10, 20]
    assert days["without"] == 0
    # Cycles were noted and hours were not: only the run right after the fitting is known to be at no hours.
    assert "There are 1 runs" in ada.problem("GET", f"/api/jobs/{later}/burn-in?since=hours", status=422)["detail"]
    cycles = ada.call("GET", f"/api/jobs/{later}/burn-in")
    assert (len(cycles["points"]), cycles["without"]) == (5, 1)
