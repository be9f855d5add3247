"""What the options of a job are made of: the shelf, the intake, what was found, and earlier visits."""

import pytest
from tests.logs import HOT, log_bytes
from tests.said import refuses
from tests.service.test_planning import SAFE, before_only, option  # noqa: F401 - a fixture
from tests.service.test_stock import DAY, PADS, PASTE, lot
from tests.service.test_use_cases import FIELDS, RUN, both_runs, owner, upload  # noqa: F401 - a fixture

from vividowl.core.plan.spots import Inspection
from vividowl.service.errors import Refused
from vividowl.service.jobs import intake
from vividowl.service.measure import runs as measure
from vividowl.service.plan import planning
from vividowl.service.plan.found import inspection_of
from vividowl.service.shelf import materials, shelf
from vividowl.store.devices import Device
from vividowl.store.models import Job
from vividowl.words import sentence


def words(view):
    return [sentence(o.words) for o in view.options]


def test_each_kind_is_there_by_its_product_or_by_its_typical_values(workshop, owner, before_only):  # noqa: F811
    shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE)
    said = words(planning.get_plan(workshop, owner, before_only))
    assert "clean, Grey Heron 11" in said
    assert "clean, paste, stiff (diamond)" not in said  # the shop's own product stands for its kind
    assert {"clean, paste, soft", "clean, phase-change sheet", "clean, gallium alloy"} <= set(said)


def test_what_is_taken_keeps_its_promise_when_shelf_and_values_change(workshop, owner, before_only):  # noqa: F811
    product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE).products[0].product
    view = planning.save_inspection(workshop, owner, before_only, version=0, goal="cooler", found=SAFE)
    taken = planning.choose(
        workshop, owner, before_only, version=view.plan.version, key="repaste:Grey Heron 11"
    ).plan.chosen
    worse = {"conductivity": {"value": 1.0, "source": "measured", "note": ""}}
    shelf.save_product(
        workshop, owner, product_id=product.id, version=1, fields={**PASTE, "own": worse, "price_cents": 9000}
    )
    after = planning.get_plan(workshop, owner, before_only)
    assert after.plan.chosen == taken
    now = option(after, "repaste:Grey Heron 11")
    assert now.prediction.resistance.median > taken["resistance"]["median"]
    assert now.price.total_cents > taken["total_cents"]


def test_a_kinds_own_value_holds_for_its_products_unless_they_have_their_own(workshop, owner, before_only):  # noqa: F811
    shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE)
    before = option(
        planning.get_plan(workshop, owner, before_only), "repaste:Grey Heron 11"
    ).prediction.interface.median
    materials.save_kind(workshop, owner, "paste_stiff", {"own_factor": {"value": 1.5, "source": "measured"}})
    after = option(planning.get_plan(workshop, owner, before_only), "repaste:Grey Heron 11").prediction.interface.median
    assert after == pytest.approx(1.5 * before, rel=1e-6)
    with refuses(Refused, match="“hearsay” is no source"):
        materials.save_kind(workshop, owner, "paste_stiff", {"own_factor": {"value": 1.5, "source": "hearsay"}})


def test_a_life_and_a_service_temperature_of_ones_own_have_their_effect(workshop, owner, before_only):  # noqa: F811
    shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE)
    view = planning.save_inspection(workshop, owner, before_only, version=0, goal="cooler", found=SAFE)
    usual = option(view, "repaste:Grey Heron 11")
    assert usual.life_months == 24
    assert "service_temperature" not in {g.rule for g in usual.gates}
    values = {"life_months": {"value": 9.0, "source": "measured"}, "service_c": {"value": 70.0, "source": "data sheet"}}
    materials.save_kind(workshop, owner, "paste_stiff", values)
    own = option(planning.get_plan(workshop, owner, before_only), "repaste:Grey Heron 11")
    assert own.life_months == 9
    (gate,) = [g for g in own.gates if g.rule == "service_temperature"]
    assert sentence(gate.reason).startswith("Paste, stiff (diamond) is rated to 70 °C, the die reaches ")
    assert own.blocked
    with refuses(Refused, match="rated to 70 °C"):
        planning.choose(workshop, owner, before_only, version=view.plan.version, key=own.key)


def test_expired_and_empty_lots_do_not_count_as_stock(workshop, owner, before_only):  # noqa: F811
    product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE).products[0].product
    shelf.add_lot(workshop, owner, product.id, lot("OLD", expires_on=DAY))
    view = planning.save_inspection(workshop, owner, before_only, version=0, goal="cooler", found=SAFE)
    assert option(view, "repaste:Grey Heron 11").stock == "short"
    shelf.add_lot(workshop, owner, product.id, lot("NEW"))
    part = option(planning.get_plan(workshop, owner, before_only), "repaste:Grey Heron 11").parts[0]
    assert (part.stock, part.lot) == ("held", "NEW")


def test_an_opened_lot_is_used_before_a_sealed_one(workshop, owner, before_only):  # noqa: F811
    product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE).products[0].product
    shelf.add_lot(workshop, owner, product.id, lot("A-SEALED"))
    shelf.add_lot(workshop, owner, product.id, {**lot("Z-OPEN"), "opened_on": DAY})
    view = planning.save_inspection(workshop, owner, before_only, version=0, goal="cooler", found=SAFE)
    assert option(view, "repaste:Grey Heron 11").parts[0].lot == "Z-OPEN"


def test_bad_pads_go_with_every_repaste(workshop, owner, before_only):  # noqa: F811
    shelf.save_product(workshop, owner, product_id=None, version=0, fields=PADS)
    view = planning.save_inspection(
        workshop, owner, before_only, version=0, goal="cooler", found={**SAFE, "pads_state": "bad"}
    )
    assert all("new pads" in w for w in words(view) if w.startswith("clean, "))
    (die, pads) = option(view, "repaste:paste, soft").parts
    assert (pads.amount, sentence(pads.lacks)) == (None, "Measure the gaps first.")
    assert die.amount is not None


def test_the_place_follows_what_the_intake_says(workshop, owner):  # noqa: F811
    def place(**fields):
        job = intake.create_job(workshop, owner, {**FIELDS, **fields}).job
        return inspection_of({}, job).place

    assert place(place="dock", lives="lid closed") == "dock"
    assert place(place="lap", lives="sofa") == "lap"
    assert place(kind="handheld") == "hand"
    assert place(lives="shelf") == "desk"
    # Words are words: a stand for laptops is no lap.
    assert place(lives="on a laptop stand, never on the lap") == "desk"
    assert inspection_of({}, Job(lives="", place="unknown", device=Device(kind="handheld"))) == Inspection(
        place="hand", carried=True
    )


def test_an_earlier_visit_of_the_model_is_what_it_is_judged_against(workshop, owner):  # noqa: F811
    both_runs(workshop, owner)
    job = intake.create_job(workshop, owner, {**FIELDS, "customer_name": "Noor"}).job.id
    measure.save_run(workshop, owner, job, side="before", version=0, fields=RUN)
    upload(workshop, owner, job=job, side="before", data=log_bytes(HOT, seed=1))
    view = planning.get_plan(workshop, owner, job)
    assert sentence(view.reference_words) == "same model"
    width = option(view, "clean").prediction.resistance
    own = intake.create_job(workshop, owner, {**FIELDS, "model": "Never seen"}).job.id
    measure.save_run(workshop, owner, own, side="before", version=0, fields=RUN)
    upload(workshop, owner, job=own, side="before", data=log_bytes(HOT, seed=1))
    alone = planning.get_plan(workshop, owner, own)
    assert sentence(alone.reference_words) == "class-typical, from memory"
    untold = option(alone, "clean").prediction.resistance
    assert width.high - width.low < untold.high - untold.low


@pytest.mark.parametrize(
    ("cpu_w", "gpu_w", "both_w", "most_w"),
    [(30.0, 20.0, None, 50.0), (30.0, 20.0, 45.0, 45.0), (None, None, 45.0, 45.0)],
)
def test_power_limits_bound_what_is_promised(workshop, owner, cpu_w, gpu_w, both_w, most_w):  # noqa: F811
    limits = {"power_limit_cpu_w": cpu_w, "power_limit_gpu_w": gpu_w, "power_limit_both_w": both_w}
    job = intake.create_job(workshop, owner, {**FIELDS, **limits}).job.id
    measure.save_run(workshop, owner, job, side="before", version=0, fields=RUN)
    upload(workshop, owner, job=job, side="before", data=log_bytes(HOT, seed=1))
    view = planning.get_plan(workshop, owner, job)
    assert max(o.prediction.watts.high for o in view.options if "tune" not in o.key) <= most_w
