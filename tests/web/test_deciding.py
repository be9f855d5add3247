"""Plan, shelf, cuts and workings over the API."""

import json

import pytest
from tests.logs import HOT, log_bytes
from tests.web.conftest import Caller

from vividowl.formats.sheets.shelf_csv import HEADERS

PASTE = {
    "kind": "paste_stiff",
    "name": "Grey Heron 11",
    "unit": "g",
    "price_cents": 900,
    "low_at": 1.0,
    "own": {"conductivity": {"value": 11.2, "source": "data sheet"}},
}
PADS = {
    "kind": "pad",
    "name": "Moss 1.0",
    "unit": "sheet",
    "price_cents": 1100,
    "sheet_width_mm": 80,
    "sheet_length_mm": 80,
    "thickness_mm": 1.0,
}
ROWS = [{"label": "Memory", "target": "memory", "width_mm": 12, "length_mm": 14, "count": 4, "together": True}]


def stocked(ada, product, held=2.0):
    shelf = ada.call("POST", "/api/shelf/products", product, status=201)
    made = next(p for p in shelf["products"] if p["name"] == product["name"])
    lot = {"code": "A-1", "held": held, "received_on": "2026-01-10"}
    shelf = ada.call("POST", f"/api/shelf/products/{made['id']}/lots", lot, status=201)
    return next(p for p in shelf["products"] if p["name"] == product["name"])


@pytest.fixture
def job(ada):
    """A job with a Before reading."""
    made = ada.new_job(age_months=40, surroundings="dusty")["id"]
    ada.save_run(made, "before")
    ada.upload(made, "before", log_bytes(HOT, seed=1))
    return made


def plan(ada, job, **found):
    version = ada.call("GET", f"/api/jobs/{job}/plan")["version"]
    body = {"version": version, "goal": found.pop("goal", "cooler"), "found": found}
    return ada.call("PUT", f"/api/jobs/{job}/plan", body)


def test_from_a_reading_to_a_priced_gated_stocked_plan_with_cut_and_dose(ada, job):
    stocked(ada, PASTE)
    pads = stocked(ada, PADS)
    gap = {
        "target": "memory",
        "how": "imprint",
        "reading_mm": 0.8,
        "width_mm": 12,
        "length_mm": 14,
        "count": 4,
        "together": True,
    }
    found = plan(ada, job, cpu_die_width_mm=15, cpu_die_length_mm=13, pads_state="bad", gaps=[gap])
    option = next(o for o in found["options"] if o["key"] == "repaste:Grey Heron 11")
    assert option["words"] == "clean, Grey Heron 11, new pads"
    assert option["stock"] == "held"
    assert option["total_cents"] == option["parts_cents"] + option["work_cents"] + option["tax_cents"]
    die, memory = option["parts"]
    assert (die["lot"], die["drop"]["school"]) == ("A-1", "film")
    assert (memory["product"], memory["count"]) == ("Moss 1.0", 4)
    alloy = next(o for o in found["options"] if o["kind"] == "gallium_alloy")
    assert (alloy["blocked"], alloy["gates"][0]["severity"]) == (True, "stop")
    refused = ada.problem(
        "POST", f"/api/jobs/{job}/plan/choice", {"version": found["version"], "key": alloy["key"]}, status=409
    )
    assert refused["reason"] == "stopped"
    taken = ada.call("POST", f"/api/jobs/{job}/plan/choice", {"version": found["version"], "key": option["key"]})
    assert (taken["chosen"]["words"], taken["chosen"]["by"]) == ("clean, Grey Heron 11, new pads", "Ada")
    body = {"product_id": pads["id"], "kerf_mm": 0.2, "rows": ROWS}
    seen = ada.call("POST", f"/api/jobs/{job}/cuts/preview", body)
    assert (seen["fits"], seen["id"]) == (True, None)
    cut = ada.call("POST", f"/api/jobs/{job}/cuts", body, status=201)
    for form, start in (("svg", b"<svg"), ("dxf", b"  0"), ("pdf", b"%PDF")):
        file = ada.call("GET", f"/api/jobs/{job}/cuts/{cut['id']}/sheet.{form}")
        assert file.get_data().startswith(start)
    item = {
        "target": "cpu_die",
        "kind": "paste_stiff",
        "amount": die["amount"],
        "amount_unit": "g",
        "lot_id": die["lot_id"],
    }
    ada.call("POST", f"/api/jobs/{job}/fit/items", item, status=201)
    shelf = {p["name"]: p for p in ada.call("GET", "/api/shelf")["products"]}
    assert shelf["Grey Heron 11"]["remaining"] == pytest.approx(2.0 - die["amount"])
    assert (shelf["Moss 1.0"]["remaining"], len(shelf["Moss 1.0"]["offcuts"])) == (1.0, 1)
    assert ada.call("DELETE", f"/api/jobs/{job}/cuts/{cut['id']}")["cuts"] == []
    assert ada.call("GET", f"/api/jobs/{job}/record")["planned_cents"] == option["total_cents"]


@pytest.mark.parametrize(
    ("found", "field", "says"),
    [
        ({"cpu_die_width_mm": 150, "cpu_die_length_mm": 13}, "cpu_die_width_mm", "allowed are 1 to 60 mm"),
        ({"cpu_die_width_mm": 15}, "cpu_die_length_mm", "Only one side"),
        ({"dust": "sand"}, "dust", "Allowed: unknown, none, light, felt"),
        ({"undervolt_mv": 900}, "undervolt_mv", "allowed are 0 to 200 mV"),
        (
            {
                "gaps": [
                    {
                        "target": "memory",
                        "how": "imprint",
                        "reading_mm": 30,
                        "tolerance_mm": 0.1,
                        "width_mm": 10,
                        "length_mm": 10,
                    }
                ]
            },
            "imprint_mm",
            "allowed are 0.1 to 12 mm",
        ),
        (
            {"gaps": [{"target": "memory", "how": "measured", "reading_mm": 1, "width_mm": 0, "length_mm": 10}]},
            "gaps.0.width_mm",
            "allowed are 1 to 200 mm",
        ),
    ],
)
def test_findings_that_cannot_be_are_refused_by_field_and_nothing_is_kept(ada, job, found, field, says):
    before = ada.call("GET", f"/api/jobs/{job}/plan")
    body = {"version": before["version"], "goal": "cooler", "found": found}
    refused = ada.problem("PUT", f"/api/jobs/{job}/plan", body, status=422)
    assert refused["errors"][0]["field"] == field
    assert says in refused["detail"] + refused["errors"][0]["message"]
    assert ada.call("GET", f"/api/jobs/{job}/plan")["version"] == before["version"]


def test_an_unknown_finding_is_refused_by_name(ada, job):
    body = {"version": 0, "goal": "cooler", "found": {"mood": "good"}}
    assert ada.problem("PUT", f"/api/jobs/{job}/plan", body, status=422)["errors"][0]["field"].endswith("mood")


def test_the_shelf_goes_out_as_csv_and_into_another_shop(ada, stranger):
    stocked(ada, PASTE)
    stocked(ada, PADS)
    data = ada.call("GET", "/api/shelf/shelf.csv").get_data()
    again = ada.call("POST", "/api/shelf/import", data=data)
    assert (again["products"], again["lots"]) == (0, 0)
    bo = stranger
    assert bo.call("GET", "/api/shelf")["products"] == []
    found = bo.call("POST", "/api/shelf/import", data=data)
    assert (found["products"], found["lots"]) == (2, 2)
    assert bo.call("GET", "/api/shelf/shelf.csv").get_data() == data


@pytest.mark.parametrize(
    ("line", "says"),
    [
        ("pad,Moss,bucket,,,,,,,,,,,", "Line 2: “bucket” is no unit"),
        ("jam,Moss,g,,,,,,,,,,,", "Line 2: “jam” is no kind"),
        ("paste_soft,Loam,g,,,,,,L1,,,,1,5", "1, and 5 are said to be left"),
        ("paste_soft,Loam,g,x,,,,,,,,,,", "price_cents: “x” is no number"),
    ],
)
def test_a_bad_line_adds_nothing(ada, line, says):
    head = ",".join(HEADERS)
    good = "paste_stiff,Fine,g,,,,,,F1,,,,2,2"
    refused = ada.problem("POST", "/api/shelf/import", data=f"{head}\n{line}\n{good}\n".encode(), status=422)
    assert says in refused["detail"]
    assert "Nothing was added" in refused["remedy"]
    assert ada.call("GET", "/api/shelf")["products"] == []


def test_values_keep_their_provenance_and_only_an_owner_changes_a_kind(ada, app):
    product = stocked(ada, PASTE)
    value = next(v for v in product["values"] if v["name"] == "conductivity")
    assert (value["value"], value["source"], value["typical"]) == (11.2, "data sheet", 11.0)
    assert next(v for v in product["values"] if v["name"] == "film_um")["source"] == "from memory"
    own = {"own": {"film_um": {"value": 45, "source": "measured", "note": "imprints"}}}
    tom = Caller(app).sign_in("tom")
    assert "Only an owner" in tom.problem("PUT", "/api/shelf/kinds/paste_stiff", own, status=403)["detail"]
    shelf = ada.call("PUT", "/api/shelf/kinds/paste_stiff", own)
    kind = next(k for k in shelf["kinds"] if k["kind"] == "paste_stiff")
    assert next(v for v in kind["values"] if v["name"] == "film_um")["source"] == "measured"
    odd = {"own": {"density_g_ml": {"value": 26, "source": "data sheet"}}}
    refused = ada.problem("PUT", "/api/shelf/kinds/paste_stiff", odd, status=422)
    assert "a paste, stiff (diamond) has 1.5 to 5 g/mL" in json.dumps(refused, ensure_ascii=False)


def test_a_product_of_another_shop_is_none(ada, stranger):
    product = stocked(ada, PASTE)
    bo = stranger
    bo.problem("DELETE", f"/api/shelf/products/{product['id']}", status=404)
    bo.problem("GET", f"/api/shelf/lots/{product['lots'][0]['id']}/moves", status=404)


def test_workings_tell_what_stands_behind_them_and_work(ada):
    listed = {w["name"]: w for w in ada.call("GET", "/api/workings")["workings"]}
    for name, working in listed.items():
        assert working["formula"], name
        assert working["limits"], name
        assert working["source"], name
        example = {i["key"]: i["example"] for i in working["inputs"] if i["example"]}
        done = ada.call("POST", f"/api/workings/{name}", {"given": example})
        assert done["results"], name
    found = ada.call("POST", "/api/workings/cut", {"given": {"sheet": "80x80", "pieces": "15.5x15.5,20.5x10.5"}})
    assert [p["label"] for p in found["drawings"][0]["pieces"]] == ["15.5 × 15.5", "20.5 × 10.5"]
    assert found["drawings"][0]["kept"]["width_mm"] == 80
    refused = ada.problem(
        "POST", "/api/workings/change", {"given": {"before": "95", "after": "70", "unit": "C"}}, status=422
    )
    assert "rise over room" in json.dumps(refused)


def test_a_cut_that_was_worked_out_comes_as_a_file(ada):
    given = json.dumps({"sheet": "40x40", "pieces": "2*10x10"})
    assert ada.call("GET", f"/api/workings/cut/sheet.svg?given={given}").get_data().startswith(b"<svg")
    assert "cannot be read" in ada.problem("GET", "/api/workings/cut/sheet.pdf?given=[]", status=422)["detail"]
    ada.problem("GET", f"/api/workings/cut/sheet.exe?given={given}", status=422)


def test_what_was_worked_out_goes_into_the_job_in_words(ada, job):
    given = {"volume_ml": "0.2", "mass_g": "2.1", "density_g_ml": "6.4"}
    found = ada.call("POST", f"/api/jobs/{job}/plan/notes", {"name": "syringe", "given": given}, status=201)
    (note,) = found["notes"]
    assert note["lines"] == ["The label can be right: no", "Density it implies: 10.50 g/mL"]
    assert ada.call("DELETE", f"/api/jobs/{job}/plan/notes/{note['id']}")["notes"] == []


def test_the_ways_of_the_shop_reach_the_plan(ada, job):
    shop = ada.call("GET", "/api/shop")
    before = plan(ada, job, cpu_die_width_mm=15, cpu_die_length_mm=13)
    habits = {
        **shop["habits"],
        "hourly_rate_cents": 12000,
        "tax_percent": 19,
        "application_school": "bead",
        "life_school": "long",
        "hands_min": {"clean": 45},
    }
    body = {"version": shop["version"], "reference_room_c": 25, "tolerances": shop["tolerances"], "habits": habits}
    kept = ada.call("PUT", "/api/shop", body)
    assert kept["habits"]["hands_min"] == {"clean": 45}
    after = ada.call("GET", f"/api/jobs/{job}/plan")

    def clean(of, key="clean"):
        return next(o for o in of["options"] if o["key"] == key)

    assert clean(after)["hands_min"] == clean(before)["hands_min"] + 30
    assert clean(after)["work_cents"] == round(clean(after)["hands_min"] * 200)
    assert clean(after)["tax_cents"] == round(0.19 * clean(after)["work_cents"])
    paste = clean(after, "repaste:paste, soft")
    assert (paste["life_months"], paste["parts"][0]["school"]) == (24, "bead")
    for change, field in (
        ({"tax_percent": 90}, "tax_percent"),
        ({"life_school": "never"}, "life_school"),
        ({"hands_min": {"polish": 5}}, "tasks"),
    ):
        refused = ada.problem(
            "PUT", "/api/shop", {**body, "version": kept["version"], "habits": {**habits, **change}}, status=422
        )
        assert refused["errors"][0]["field"] == field
