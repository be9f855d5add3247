"""What the shop knows from its own services: counted, silent below three, and of one shop only."""

from dataclasses import replace
from datetime import date, timedelta

import pytest
from tests.logs import HOT, log_bytes

DRY = replace(HOT, interface=0.6, sink=0.5, sustained_power=40.0)
FRESH = replace(DRY, interface=0.15)


def service(ada, serial, *, day, before, after, seed, model="Marrow 15"):
    """A visit with both runs, done on a day."""
    more = {"serial": serial, "done_on": day.isoformat(), "model": model}
    known = ada.call("GET", f"/api/devices?find={serial}")["devices"]
    if known:
        more["device_id"] = known[0]["id"]
    job = ada.new_job(**more)["id"]
    ada.save_run(job, "before")
    ada.upload(job, "before", log_bytes(before, seed=seed, load_s=420))
    item = {
        "target": "cpu_die",
        "kind": "paste_soft",
        "product": "",
        "lot": "",
        "amount": None,
        "amount_unit": "",
    }
    ada.call("POST", f"/api/jobs/{job}/fit/items", item, status=201)
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    ada.call(
        "PUT",
        f"/api/jobs/{job}/fit",
        {"version": version, "cleaned": ["fins"], "fit_note": "", "done": True},
    )
    ada.save_run(job, "after")
    ada.upload(job, "after", log_bytes(after, seed=seed + 1, load_s=420))


def test_nothing_is_told_of_an_empty_shop(ada):
    assert ada.call("GET", "/api/known") == {"models": [], "materials": [], "least": 3}


def test_gain_and_lasting_are_told_from_three_services_on(ada, stranger):
    first = date(2025, 5, 4)
    for i, serial in enumerate(("A-1", "B-2", "C-3")):
        service(ada, serial, day=first, before=DRY, after=FRESH, seed=100 * i)
        if i == 1:
            # Two so far: counted, and nothing is told of them.
            (row,) = ada.call("GET", "/api/known")["models"]
            assert (row["words"], row["jobs"], row["gain_k_per_w"]) == ("Ondervale Marrow 15", 2, None)
    found = ada.call("GET", "/api/known")
    (material,) = found["materials"]
    assert material["words"] == "paste, soft"
    assert material["gain_k_per_w"]["n"] == 3
    # 0.45 K/W of interface, at one fan speed: an automatic fan that turns slower afterwards takes nothing away.
    assert material["gain_k_per_w"]["median"] == pytest.approx(0.45, abs=0.06)
    assert (material["lasts"], material["looked_again"]) == (None, 0)
    # A year on: one has lost most of it, two hold.
    later = first + timedelta(days=365)
    for i, (serial, now) in enumerate((("A-1", 0.55), ("B-2", 0.2), ("C-3", 0.18))):
        service(ada, serial, day=later, before=replace(DRY, interface=now), after=FRESH, seed=1000 + 100 * i)
    lasts = ada.call("GET", "/api/known")["materials"][0]["lasts"]
    assert (lasts["n"], lasts["gone"], lasts["median_months"]) == (3, 1, None)
    assert stranger.call("GET", "/api/known")["models"] == []
