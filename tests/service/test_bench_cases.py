"""The bench as use cases: lists from plans, events once and in order, effects and their undo, waits, models, times."""

import io
import json
import threading
import uuid
from datetime import UTC, datetime, timedelta

import pytest
from PIL import Image
from sqlalchemy import text
from sqlalchemy.exc import DBAPIError
from tests.bench_jobs import COVER, FINE, PLACES
from tests.logs import HOT, log_bytes
from tests.said import refuses
from tests.service.test_planning import SAFE
from tests.service.test_stock import PASTE, lot
from tests.service.test_use_cases import FIELDS, RUN, draft, owner, upload  # noqa: F401 - a fixture

from vividowl.core.plan.price import TASKS
from vividowl.service.bench import photos, taking
from vividowl.service.bench import view as bench_view
from vividowl.service.bench import work as bench_work
from vividowl.service.bench.store import load_log
from vividowl.service.bench.taking import Sent, take_events
from vividowl.service.bench.times import learnt_minutes
from vividowl.service.errors import Refused
from vividowl.service.jobs import fit, intake
from vividowl.service.jobs import today as bench
from vividowl.service.measure import runs as measure
from vividowl.service.models import models as device_models
from vividowl.service.plan import planning
from vividowl.service.shelf import shelf
from vividowl.service.shop import settings as shop_settings
from vividowl.store.bench import BenchEventRow
from vividowl.words import sentences, told

NOON = datetime(2026, 5, 4, 12, 0, tzinfo=UTC)


class Tablet:
    """Sends events of one job with its own clock and turns."""

    def __init__(self, workshop, actor, job, *, name="tablet-a", wrong_by=timedelta()):
        self.workshop, self.actor, self.job, self.name, self.wrong_by = workshop, actor, job, name, wrong_by
        self.turn, self.now = 0, NOON

    def event(self, event_kind, **data):
        self.turn += 1
        return Sent(id=uuid.uuid4(), kind=event_kind, data=data, turn=self.turn, made_at=self.now + self.wrong_by)

    def send(self, *events, after_min=1.0):
        self.now += timedelta(minutes=after_min)
        return take_events(
            self.workshop,
            self.actor,
            self.job,
            device=self.name,
            sent=events,
            sent_at=self.now + self.wrong_by,
            received_at=self.now,
        )

    def do(self, event_kind, *, after_min=1.0, **data):
        (taken,) = self.send(self.event(event_kind, **data), after_min=after_min).taken
        return taken

    def until(self, name):
        for step in self.state.steps:
            if step.id == name:
                return self
            if step.id not in self.state.outcomes:
                taken = (
                    self.do("power_on", after_min=20, results=FINE)
                    if step.shows == "power"
                    else self.do("step_done", after_min=20, step=step.id)
                )
                assert taken.refusal is None, taken.refusal
        assert name == "end"
        return self

    @property
    def state(self):
        return bench_view.get_bench(self.workshop, self.actor, self.job).state


@pytest.fixture
def planned(workshop, owner):  # noqa: F811
    """A job with a Before log, and a plan to repaste from the shelf."""

    def make(key="repaste:Grey Heron 11", seed=1, **found):
        if not shelf.get_shelf(workshop, owner).products:
            product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE).products[0].product
            shelf.add_lot(workshop, owner, product.id, lot())
        job = intake.create_job(workshop, owner, {**FIELDS, "age_months": 40}).job.id
        measure.save_run(workshop, owner, job, side="before", version=0, fields=RUN)
        upload(workshop, owner, job=job, side="before", data=log_bytes(HOT, seed=seed))
        view = planning.save_inspection(workshop, owner, job, version=0, goal="cooler", found={**SAFE, **found})
        planning.choose(workshop, owner, job, version=view.plan.version, key=key)
        return job

    return make


@pytest.fixture
def tablet(workshop, owner, planned):  # noqa: F811
    job = planned()
    bench_work.begin(workshop, owner, job, with_model=True, at=NOON)
    return Tablet(workshop, owner, job)


def test_the_list_comes_from_the_plan(tablet):
    (apply,) = [s for s in tablet.state.steps if s.part is not None]
    assert apply.material.startswith("Grey Heron 11, lot A, 0.0")
    assert tablet.state.plan == "repaste:Grey Heron 11"


def test_a_list_waits_for_a_decision_and_for_the_gates(workshop, owner, planned):  # noqa: F811
    job = intake.create_job(workshop, owner, {**FIELDS, "backup_done": "no"}).job.id
    with refuses(Refused, match="Not settled in Intake: No backup is confirmed"):
        bench_work.begin(workshop, owner, job, with_model=True)
    job = planned()
    version = planning.get_plan(workshop, owner, job).plan.version
    planning.choose(workshop, owner, job, version=version, key=None)
    with refuses(Refused, match="Nothing is decided yet"):
        bench_work.begin(workshop, owner, job, with_model=True)
    planning.choose(workshop, owner, job, version=version + 1, key="leave")
    with refuses(Refused, match="leave the device alone"):
        bench_work.begin(workshop, owner, job, with_model=True)


def test_a_list_begins_once(workshop, owner, tablet):  # noqa: F811
    with refuses(Refused, match="has begun already"):
        bench_work.begin(workshop, owner, tablet.job, with_model=True)


def test_the_same_event_twice_is_one(tablet):
    event = tablet.event("step_done", step="power_off")
    (first,) = tablet.send(event).taken
    (second,) = tablet.send(event).taken
    assert (first.again, second.again) == (False, True)
    assert first.number == second.number
    assert len(tablet.state.outcomes) == 1


def test_an_event_that_comes_again_with_another_number_is_still_the_same(tablet):
    event = tablet.event("step_done", step="power_off")
    tablet.send(event)
    (again,) = tablet.send(Sent(id=event.id, kind=event.kind, data=event.data, turn=2, made_at=event.made_at)).taken
    assert again.again
    assert tablet.do("note", words="goes on with two").refusal is None


def test_a_gap_in_the_turns_is_sent_back_and_nothing_of_it_is_kept(tablet):
    one, two, three = (tablet.event("note", words=f"note {i}") for i in range(3))
    taken = tablet.send(two, three).taken
    assert [t.refusal["reason"] for t in taken] == ["out_of_order", "out_of_order"]
    assert taken[0].refusal["remedy"] == "Send from 1 on."
    assert tablet.state.notes == ()
    assert [t.refusal for t in tablet.send(one, two, three).taken] == [None, None, None]
    assert [n.words for n in tablet.state.notes] == ["note 0", "note 1", "note 2"]


def test_a_refused_event_is_kept_with_its_reason_and_changes_nothing(workshop, owner, tablet):  # noqa: F811
    event = tablet.event("step_done", step="cooler_off")
    (taken,) = tablet.send(event).taken
    assert (taken.refusal["reason"], taken.refusal["rule"]) == ("interlock", "power_first")
    (again,) = tablet.send(event).taken
    assert again.refusal == taken.refusal
    view = bench_view.get_bench(workshop, owner, tablet.job)
    assert view.state.outcomes == {}
    assert [r.refusal["rule"] for r in view.refused] == ["power_first"]
    assert tablet.do("step_done", step="power_off").refusal is None


def test_what_a_refused_event_did_beside_the_log_is_gone(workshop, owner, tablet, monkeypatch):  # noqa: F811
    def half(workshop, scope, actor, *, job, event, state):
        job.symptom = "half done"
        scope.session.flush()
        raise Refused("conflict", "The shelf says no.")

    with monkeypatch.context() as patched:
        patched.setattr(taking, "make_effect", half)
        first, second = tablet.send(
            tablet.event("step_done", step="power_off"), tablet.event("note", words="goes on all the same")
        ).taken
    assert first.refusal["detail"] == "The shelf says no."
    assert second.refusal is None
    assert intake.get_job(workshop, owner, tablet.job).job.symptom == ""
    assert "power_off" not in tablet.state.outcomes


@pytest.mark.parametrize("wrong_by", [timedelta(hours=3), timedelta(days=-400)])
def test_a_tablet_with_a_wrong_clock_is_told_and_the_server_counts(workshop, owner, planned, wrong_by):  # noqa: F811
    job = planned()
    bench_work.begin(workshop, owner, job, with_model=True, at=NOON)
    tablet = Tablet(workshop, owner, job, wrong_by=wrong_by)
    event = tablet.event("step_done", step="power_off")
    batch = tablet.send(event, after_min=4)
    assert batch.clock_off_s == pytest.approx(wrong_by.total_seconds())
    # It happened four minutes before it was sent, whatever the tablet's clock says.
    assert tablet.state.outcomes["power_off"].at == NOON


def test_nothing_happens_in_the_future(tablet):
    event = tablet.event("step_done", step="power_off")
    late = Sent(id=event.id, kind=event.kind, data=event.data, turn=event.turn, made_at=tablet.now + timedelta(days=9))
    tablet.send(late)
    assert tablet.state.outcomes["power_off"].at == tablet.now


def test_a_job_handed_over_yesterday_takes_nothing(workshop, owner, tablet):  # noqa: F811
    with workshop.scope(owner) as scope:
        scope.get(bench.Job, tablet.job).handed_over_at = NOON - timedelta(days=1)
    with refuses(Refused, match="was handed over and is closed; nothing of it was taken") as caught:
        tablet.do("step_done", step="power_off")
    assert caught.value.reason == "handed_over"
    assert tablet.state.outcomes == {}


def test_two_tablets_on_one_job_lose_and_double_nothing(workshop, owner, tablet):  # noqa: F811
    others = [Tablet(workshop, owner, tablet.job, name=f"tablet-{i}") for i in range(4)]

    def work(one):
        for i in range(12):
            one.do("note", words=f"{one.name} says {i}")

    threads = [threading.Thread(target=work, args=(one,)) for one in others]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    said = [n.words for n in tablet.state.notes]
    assert sorted(said) == sorted(f"{one.name} says {i}" for one in others for i in range(12))
    for one in others:
        assert [s for s in said if s.startswith(one.name)] == [f"{one.name} says {i}" for i in range(12)]


def test_what_a_cache_says_is_what_the_events_say(workshop, owner, tablet):  # noqa: F811
    tablet.until("cleaned")
    tablet.do("undo")
    kept = tablet.state
    workshop.bench_logs.clear()
    assert tablet.state == kept


def test_events_stand_in_the_database_whatever_the_code_does(workshop, owner, tablet):  # noqa: F811
    tablet.do("step_done", step="power_off")
    for attempt in ("UPDATE bench_event SET kind = 'note'", "DELETE FROM bench_event"):
        with pytest.raises(DBAPIError, match="never changed or deleted"), workshop.database.session() as session:
            session.execute(text(attempt))
    with workshop.scope(owner) as scope:
        assert len(scope.session.scalars(scope.select(BenchEventRow)).unique().all()) == 2


def test_putting_paste_on_books_it_and_undo_gives_it_back(workshop, owner, tablet):  # noqa: F811
    def left():
        return shelf.get_shelf(workshop, owner).products[0].lots[0].lot.remaining

    before = left()
    tablet.until("covered")
    (item,) = fit.get_items(workshop, owner, tablet.job)
    assert (item.target, item.product, item.lot) == ("cpu_die", "Grey Heron 11", "A")
    assert left() == pytest.approx(before - item.amount)
    tablet.do("undo")
    assert fit.get_items(workshop, owner, tablet.job) == []
    assert left() == pytest.approx(before)
    tablet.do("redo")
    tablet.do("undo")
    assert left() == pytest.approx(before)


def test_an_empty_tube_does_not_stop_the_step_but_is_told(workshop, owner, tablet):  # noqa: F811
    row = shelf.get_shelf(workshop, owner).products[0].lots[0].lot
    with workshop.scope(owner) as scope:
        scope.get(type(row), row.id).remaining = 0.0
    tablet.until("apply_cpu_die_paste_stiff_0")
    taken = tablet.do("step_done", step="apply_cpu_die_paste_stiff_0", after_min=20)
    assert taken.refusal is None
    (item,) = fit.get_items(workshop, owner, tablet.job)
    assert item.lot_id is None


def test_what_a_step_could_not_book_is_told_in_words(workshop, owner, tablet):  # noqa: F811
    tablet.until("apply_cpu_die_paste_stiff_0")
    version = planning.get_plan(workshop, owner, tablet.job).plan.version
    planning.choose(workshop, owner, tablet.job, version=version, key=None)
    taken = tablet.do("step_done", step="apply_cpu_die_paste_stiff_0", after_min=20)
    assert taken.told.startswith("The plan has changed since")
    assert "(" not in taken.told


def test_a_finding_changes_the_plan_and_undo_changes_it_back(workshop, owner, tablet):  # noqa: F811
    before = planning.get_plan(workshop, owner, tablet.job)
    tablet.do("found", part="plate", seen="aluminium")
    after = planning.get_plan(workshop, owner, tablet.job)
    assert after.inspection.cold_plate == "aluminium"
    alloy = next(o for o in after.options if o.key == "repaste:gallium alloy")
    assert alloy.blocked
    tablet.do("undo")
    assert planning.get_plan(workshop, owner, tablet.job).inspection == before.inspection


def test_a_finding_that_was_changed_by_hand_since_stays(workshop, owner, tablet):  # noqa: F811
    tablet.do("found", part="fins", seen="felt")
    view = planning.get_plan(workshop, owner, tablet.job)
    found = {**told(view.inspection), "dust": "none"}
    planning.save_inspection(workshop, owner, tablet.job, version=view.plan.version, goal="cooler", found=found)
    tablet.do("undo")
    assert planning.get_plan(workshop, owner, tablet.job).inspection.dust == "none"


def test_the_prediction_follows_what_is_seen(workshop, owner, planned):  # noqa: F811
    job = planned(dust="unknown")
    bench_work.begin(workshop, owner, job, with_model=True, at=NOON)
    tablet = Tablet(workshop, owner, job)

    def cleaning():
        view = planning.get_plan(workshop, owner, job)
        return next(o for o in view.options if o.key == "clean").prediction.resistance.median

    before = cleaning()
    tablet.do("found", part="fins", seen="clear")
    assert cleaning() > before  # nothing to be gained by cleaning what is clean


def test_a_swollen_battery_stops_the_job_and_can_be_taken_back(workshop, owner, tablet):  # noqa: F811
    tablet.do("found", part="battery", seen="swollen")
    assert intake.get_job(workshop, owner, tablet.job).stage == "stopped"
    assert tablet.do("step_done", step="power_off").refusal["reason"] == "stopped"
    assert tablet.do("undo").refusal is None
    assert intake.get_job(workshop, owner, tablet.job).stage == "open"


def test_closing_lets_the_after_reading_begin(workshop, owner, tablet):  # noqa: F811
    assert intake.get_job(workshop, owner, tablet.job).stage == "open"
    tablet.until("cooler_on")
    assert intake.get_job(workshop, owner, tablet.job).stage == "close"
    version = intake.get_job(workshop, owner, tablet.job).job.version
    with refuses(Refused, match=r"The bench list has \d+ open items"):
        fit.save_fit(workshop, owner, tablet.job, version, cleaned=["fins"], fit_note="", done=True)
    tablet.until("end")
    assert tablet.do("closed").refusal is None
    view = intake.get_job(workshop, owner, tablet.job)
    assert (view.stage, view.job.fit_done) == ("after", True)
    assert set(view.job.cleaned) == {"fins", "fan", "vents", "contact", "old_interface"}
    with refuses(Refused, match="The bench list is closed"):
        fit.save_fit(workshop, owner, tablet.job, view.job.version, cleaned=["fins"], fit_note="", done=False)
    tablet.do("undo")
    assert not intake.get_job(workshop, owner, tablet.job).job.fit_done


def test_a_new_plan_asks_for_a_new_list_that_keeps_what_was_done(workshop, owner, tablet):  # noqa: F811
    tablet.until("cooler_off")
    version = planning.get_plan(workshop, owner, tablet.job).plan.version
    planning.choose(workshop, owner, tablet.job, version=version, key="clean")
    assert bench_view.get_bench(workshop, owner, tablet.job).plan_changed
    bench_work.renew(workshop, owner, tablet.job)
    view = bench_view.get_bench(workshop, owner, tablet.job)
    assert not view.plan_changed
    assert not [s for s in view.state.steps if s.part is not None]
    assert view.state.outcomes["power_off"].how == "done"


def test_the_clocks_of_all_jobs_stand_on_the_bench(workshop, owner, tablet):  # noqa: F811
    tablet.until("cleaned")
    tablet.do("step_done", step="cleaned")
    (wait,), _ = bench.waits(workshop, owner)
    assert (wait.words, wait.due - wait.began) == ("Alcohol dries", timedelta(minutes=5))
    tablet.do("wait_ended", wait=wait.id, reason="looked, it is dry")
    assert bench.waits(workshop, owner)[0] == []


def jpeg():
    out = io.BytesIO()
    Image.new("RGB", (64, 48), "grey").save(out, "JPEG")
    return out.getvalue()


def test_photos_come_once_and_an_event_needs_its_photo(workshop, owner, tablet):  # noqa: F811
    photo = uuid.uuid4()
    assert tablet.do("photo", photo=str(photo), what="before").refusal["reason"] == "missing"
    first = photos.receive_photo(workshop, owner, tablet.job, photo_id=photo, stream=io.BytesIO(jpeg()))
    again = photos.receive_photo(workshop, owner, tablet.job, photo_id=photo, stream=io.BytesIO(b"whatever"))
    assert first.sha256 == again.sha256
    assert tablet.do("photo", photo=str(photo), what="before").refusal is None
    assert photos.photo_bytes(workshop, owner, photo, "small").startswith(b"\xff\xd8")
    with refuses(Refused, match="no photo that can be read"):
        photos.receive_photo(workshop, owner, tablet.job, photo_id=uuid.uuid4(), stream=io.BytesIO(b"a film"))


def test_photos_of_the_record_pair_up_in_the_order_in_which_they_were_taken(workshop, owner, tablet):  # noqa: F811
    def taken(what):
        photo = str(uuid.uuid4())
        photos.receive_photo(workshop, owner, tablet.job, photo_id=uuid.UUID(photo), stream=io.BytesIO(jpeg()))
        assert tablet.do("photo", photo=photo, what=what).refusal is None
        return photo

    def told():
        story = draft(workshop, owner, tablet.job).bench
        return (story.before_photo, story.after_photo), (story.earlier_before_photo, story.earlier_after_photo)

    before = [taken("before") for _ in range(3)]
    after = [taken("after")]
    assert told() == ((before[2], after[0]), (None, None))
    after += [taken("after")]
    assert told() == ((before[2], after[1]), (before[1], after[0]))


def test_the_record_tells_a_breach_as_what_it_is(workshop, owner, tablet):  # noqa: F811
    tablet.until("battery_off")
    told = "the plug was hidden under the cooler"
    assert tablet.do("step_done", step="cooler_off", breach=told).refusal is None
    (key,) = tablet.state.breaches
    tablet.do("checked", of=key, words="nothing bridged, looked with the loupe")
    lines = draft(workshop, owner, tablet.job).bench.lines
    assert any(told in line and "Checked: nothing bridged" in line for line in sentences(lines))


def drawn(tablet):
    for place in PLACES:
        assert tablet.do("place_added", place=told(place)).refusal is None


def test_a_model_is_kept_from_a_job_and_offered_on_the_next(workshop, owner, tablet, planned):  # noqa: F811
    drawn(tablet)
    step = {"id": "own1", "stage": "open", "text": "Heat the strip"}
    tablet.do("step_added", step=step, after="power_off")
    kept = device_models.save_from_job(workshop, owner, tablet.job)
    assert (len(kept.sheet.places), kept.sheet.cpu_die_mm) == (len(PLACES), (15.0, 13.0))
    job = planned(seed=2)
    bench_work.begin(workshop, owner, job, with_model=True)
    steps = bench_view.get_bench(workshop, owner, job).state.steps
    assert [s.text for s in steps[:2]] == [
        "Shut down, unplug, strap on",
        "Heat the strip",
    ]
    assert f"the {len(COVER)} screws" in steps[2].text


def test_a_model_goes_to_another_shop_as_json_without_any_customer(workshop, owner, tablet):  # noqa: F811
    drawn(tablet)
    photo = uuid.uuid4()
    photos.receive_photo(workshop, owner, tablet.job, photo_id=photo, stream=io.BytesIO(jpeg()))
    tablet.do("photo", photo=str(photo), what="map")
    kept = device_models.save_from_job(workshop, owner, tablet.job)
    told, name = device_models.export_model(workshop, owner, kept.id)
    assert name == "model-ondervale-marrow-15.json"
    assert FIELDS["customer_name"] not in told
    with refuses(Refused, match="is kept already"):
        device_models.import_model(workshop, owner, told, replace_kept=False)
    device_models.remove_model(workshop, owner, kept.id)
    got = device_models.import_model(workshop, owner, told, replace_kept=False)
    assert got.sheet == kept.sheet
    assert got.outline is not None
    for broken, words in (
        ("[]", "no model sheet"),
        ("{", "no JSON"),
        (json.dumps({**json.loads(told), "x": 1}), "“x”"),
        (json.dumps({**json.loads(told), "outline_jpeg_base64": "?"}), "outline in the file"),
    ):
        with refuses(Refused, match=words):
            device_models.import_model(workshop, owner, broken, replace_kept=True)


def test_notes_of_a_model_do_not_write_over_a_colleagues(workshop, owner, tablet):  # noqa: F811
    kept = device_models.save_from_job(workshop, owner, tablet.job)
    device_models.save_notes(
        workshop, owner, model_id=kept.id, version=kept.version, torque_notes="snug", notes="weak clip"
    )
    with refuses(Refused, match="changed meanwhile"):
        device_models.save_notes(
            workshop, owner, model_id=kept.id, version=kept.version, torque_notes="tight", notes=""
        )


def test_minutes_of_three_benches_are_proposed_and_move_no_price_by_themselves(workshop, owner, planned):  # noqa: F811
    for seed in (1, 2, 3):
        job = planned(seed=seed)
        bench_work.begin(workshop, owner, job, with_model=False, at=NOON)
        tablet = Tablet(workshop, owner, job)
        tablet.until("end")
        assert tablet.do("closed").refusal is None
        with workshop.scope(owner) as scope:
            learnt = learnt_minutes(scope)
        assert bool(learnt) == (seed == 3)
    # Steps came twenty minutes apart; five of them went to the alcohol. Three steps of cleaning.
    assert learnt["clean"].hands_min == pytest.approx(60.0)
    assert learnt["repaste"].hands_min == pytest.approx(15.0)
    settings = shop_settings.get_settings(workshop, owner)
    assert settings.learnt["clean"].jobs == 3
    job = planned(seed=4)

    def minutes():
        return next(o for o in planning.get_plan(workshop, owner, job).options if o.key == "clean").hands_min

    usual = minutes()
    assert usual == sum(TASKS[name].hands_min for name in ("open_close", "clean", "measure"))
    with workshop.scope(owner) as scope:
        shop = scope.shop()
        shop.habits = {**shop.habits, "hands_min": {"clean": 60.0}}
    assert minutes() == usual + 60 - TASKS["clean"].hands_min


def test_the_log_is_read_from_where_it_was_left(workshop, owner, tablet):  # noqa: F811
    tablet.until("battery_off")
    with workshop.scope(owner) as scope:
        kept = load_log(workshop, scope, tablet.job)
    assert (kept.number, len(kept.log.active), kept.turns) == (4, 4, {"server": 1, "tablet-a": 3})


@pytest.mark.parametrize(
    ("key", "found"),
    [
        ("clean", {}),
        ("fan", {"fan_state": "drags"}),
        ("tune", {"undervolt_mv": 60.0}),
        (
            "cover",
            {
                "place": "dock",
                "cover": {
                    "material": "aluminium",
                    "thickness_mm": 1.0,
                    "width_mm": 400.0,
                    "length_mm": 400.0,
                    "pad_width_mm": 60.0,
                    "pad_length_mm": 60.0,
                    "pad_conductivity": 0.17,
                    "gap_mm": 1.2,
                    "gap_tolerance_mm": 0.05,
                    "battery_mm": 150.0,
                },
            },
        ),
    ],
)
def test_the_list_of_a_plan_that_needs_no_die_leaves_the_cooler_on(workshop, owner, planned, key, found):  # noqa: F811
    job = planned(key, **found)
    bench_work.begin(workshop, owner, job, with_model=True, at=NOON)
    tablet = Tablet(workshop, owner, job)
    acts = {a for s in tablet.state.steps for a in s.acts}
    assert not {"cooler_off", "cleaned", "applied", "cooler_on"} & acts
    tablet.until("end")
    assert tablet.do("closed", after_min=60).refusal is None


def test_a_new_plan_over_an_open_device_closes_it_over_a_covered_die(workshop, owner, tablet):  # noqa: F811
    tablet.until("look")
    version = planning.get_plan(workshop, owner, tablet.job).plan.version
    planning.choose(workshop, owner, tablet.job, version=version, key="clean")
    bench_work.renew(workshop, owner, tablet.job)
    names = [s.id for s in tablet.state.steps if s.id not in tablet.state.outcomes]
    assert "cleaned" in names
    assert any(n.startswith("apply_cpu_die") for n in names)
    assert names.index("cooler_on") < names.index("battery_on")
    tablet.until("end")
    assert tablet.do("closed", after_min=60).refusal is None


def test_a_dose_is_planned_until_it_is_weighed(workshop, owner, tablet):  # noqa: F811
    name = "apply_cpu_die_paste_stiff_0"
    tablet.until(name)
    tablet.do("step_done", step=name, after_min=20)
    (item,) = fit.get_items(workshop, owner, tablet.job)
    assert item.amount_is == "planned"
    assert any("Planned, not weighed" in line for line in sentences(draft(workshop, owner, tablet.job).bench.lines))
    tablet.do("undo")
    assert tablet.do("step_done", step=name, value=0.051, after_min=20).refusal is None
    (item,) = fit.get_items(workshop, owner, tablet.job)
    assert (item.amount, item.amount_is) == (0.051, "weighed")
    assert any("Weighed: 0.051 g" in line for line in sentences(draft(workshop, owner, tablet.job).bench.lines))


def test_the_record_says_what_nobody_checked_or_counted(workshop, owner, tablet):  # noqa: F811
    tablet.until("power_on")
    few = {"boot": "fine", "fans": "fine", "temperatures": "fine"}
    assert tablet.do("power_on", results=few, after_min=20).refusal is None
    said = " ".join(sentences(draft(workshop, owner, tablet.job).bench.lines))
    assert (
        "3 checks fine; not checked: keyboard types, touchpad moves, wireless finds networks, display is whole" in said
    )
    assert "Screws not mapped: nobody counted them." in said
    assert "Not looked at, or not noted: fins, fan, contact print" in said
    refused = tablet.do("undo") and tablet.do("power_on", results={"boot": "fine"}, after_min=20)
    assert "Not looked at: fans turn, temperatures are sane" in refused.refusal["detail"]


def test_alloy_is_not_laid_while_a_gate_stands_against_it(workshop, owner, planned):  # noqa: F811
    alloy = {**PASTE, "kind": "gallium_alloy", "name": "Quicksheen"}
    product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=alloy).products[0].product
    shelf.add_lot(workshop, owner, product.id, lot())
    safe = {"cold_plate": "nickel", "aluminium_near": "no", "parts_exposed": "yes", "insulation": "coat"}
    job = planned("repaste:Quicksheen", **safe)
    bench_work.begin(workshop, owner, job, with_model=True, at=NOON)
    tablet = Tablet(workshop, owner, job).until("apply_cpu_die_gallium_alloy_0")
    version = planning.get_plan(workshop, owner, job).plan.version
    # Somebody looks closer, and writes it into Plan rather than at the bench.
    planning.save_inspection(
        workshop, owner, job, version=version, goal="cooler", found={**SAFE, **safe, "aluminium_near": "yes"}
    )
    refused = tablet.do("step_done", step="apply_cpu_die_gallium_alloy_0", after_min=20, breach="it was on already")
    assert refused.refusal["reason"] == "gate_open"
    assert "Aluminium stands beside the contact" in refused.refusal["detail"]
