"""Step lists, sights, mishaps, waits, first power-on and times."""

from dataclasses import fields, replace

import pytest
from tests.bench_jobs import ALLOY, PASTE, PLACES, SHEET
from tests.said import refuses

from vividowl.core.bench.first_power import CHECKS, check_power, checks_of, likely_causes
from vividowl.core.bench.interlocks import ACTS, ALUMINIUM_SEEN, INTERLOCKS, MAKES, PLUGS_OPEN, Device, after, breached
from vividowl.core.bench.mishaps import MISHAPS, mishap, recovery
from vividowl.core.bench.seen import PART_WORDS, SIGHTS, sight
from vividowl.core.bench.steps.make_list import device_of, in_order, make_steps
from vividowl.core.bench.steps.vocabulary import BenchStep, PlannedPart, Work, check_step, dose_words
from vividowl.core.bench.times import Span, step_times
from vividowl.core.bench.waits import WAITS, wait_minutes
from vividowl.core.plan.price import TASKS
from vividowl.core.plan.spots import CHOICES, Inspection
from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.words import sentence

FINE = dict.fromkeys(CHECKS, "fine")


def ids(work, kind="laptop", **more):
    return [s.id for s in make_steps(kind, work, places=PLACES, school_percent=50, **more)]


def test_the_list_follows_the_order_of_work():
    # handbook/order-of-work.md: common practice, no source.
    names = ids(PASTE)
    order = [
        "power_off",
        "cover_screws_out",
        "cover_off",
        "battery_off",
        "plugs_off",
        "cooler_screws_out",
        "cooler_off",
        "look",
        "dust_out",
        "cleaned",
        "apply_cpu_die_paste_stiff_0",
        "covered",
        "cooler_on",
        "plugs_on",
        "battery_on",
        "power_on",
        "cover_screws_in",
    ]
    assert names == order


def test_alloy_is_insulated_in_two_layers_fifteen_minutes_apart_then_checked():
    # handbook/materials.md: conformal coat two layers 15 min apart; common practice, no source.
    steps = {s.id: s for s in make_steps("laptop", ALLOY, places=PLACES, school_percent=50)}
    names = list(steps)
    assert names.index("cleaned") < names.index("coat_1") < names.index("coat_2") < names.index("insulated")
    assert names.index("insulated") < names.index("apply_cpu_die_gallium_alloy_0")
    assert [steps[n].wait_min for n in ("coat_1", "coat_2")] == [15.0, 15.0]
    assert sentence(steps["apply_cpu_die_gallium_alloy_0"].material) == "Quicksheen, 0.06 g"


def test_an_old_coat_is_only_looked_at():
    kept = Work(parts=ALLOY.parts, insulation="coat")
    assert "coat_1" not in ids(kept)
    assert "insulated" in ids(kept)
    assert "guard" in ids(Work(parts=ALLOY.parts, insulation="tape", insulated_now=True))


def test_a_sheet_is_chilled_peeled_twice_and_burnt_in():
    # handbook/materials.md: fridge 30 min; judged only after burn-in; common practice, no source.
    steps = {s.id: s for s in make_steps("laptop", SHEET, places=PLACES, school_percent=50)}
    assert steps["chill"].wait_min == 30
    assert list(steps).index("film_off_0") < list(steps).index("cooler_on")
    assert steps["burn_in"].wait_min == 40


def test_every_kind_of_part_has_its_step_and_the_dose_of_the_plan():
    kinds = ("phase_change_paste", "putty", "pad", "copper_shim", "heat_glue", "paste_soft")
    for kind in kinds:
        target = "cpu_die" if kind in ("phase_change_paste", "paste_soft") else "memory"
        work = Work(parts=(PlannedPart(target=target, kind=kind, words="Something", dose="4 g", school="", index=3),))
        (step,) = [s for s in make_steps("laptop", work, places=PLACES, school_percent=70) if s.part == 3]
        assert sentence(step.material) == "Something, 4 g"
        assert step.task in TASKS


def test_a_fanless_device_has_no_fan_to_turn():
    (step,) = [
        s for s in make_steps("laptop", PASTE, places=PLACES, school_percent=50, fanless=True) if s.id == "dust_out"
    ]
    assert step.acts == ("dust_out",)
    assert "fan" not in sentence(step.text)


@pytest.mark.parametrize(("kind", "battery"), [("laptop", True), ("handheld", True), ("console", False)])
def test_the_power_button_is_held_only_with_the_battery_off(kind, battery):
    # handbook/order-of-work.md, common practice: with a battery in, the button starts many laptops.
    steps = make_steps(kind, PASTE, places=PLACES, school_percent=50)
    (held,) = [s for s in steps if "hold the power button" in sentence(s.text)]
    assert (held.id == "battery_off") == battery
    assert any("battery_off" in s.acts for s in steps) == battery


def test_solvent_leaves_in_the_open_and_nothing_but_a_removed_cooler_is_warmed():
    tube = PlannedPart(
        target="cpu_die", kind="phase_change_paste", words="from a tube", dose="0.1 g", school="", index=0
    )
    steps = make_steps("laptop", Work(parts=(tube,)), places=PLACES, school_percent=50)
    spread = next(s for s in steps if s.wait == "solvent")
    assert spread.wait_min == WAITS["solvent"].minutes
    assert "never a board, a battery or a kitchen oven" in sentence(spread.caution)
    assert [s.after_waits for s in steps if s.id.startswith("solvent")] == [("solvent",)]


def test_cleaning_alone_puts_nothing_on():
    names = ids(Work())
    assert not [n for n in names if n.startswith("apply") or "cooler" in n or n == "cleaned"]
    assert names.index("battery_off") < names.index("dust_out") < names.index("battery_on") < names.index("power_on")


def test_accepted_hazards_are_read_once_more_first():
    assert (
        sentence(make_steps("laptop", Work(gates=("The skin gets warm.",)), places=PLACES, school_percent=50)[0].why)
        == "The skin gets warm."
    )


def test_the_school_of_tightening_is_told_at_the_cooler():
    for school, words in ((50, "half the turns each"), (70, "70 % of the turns each")):
        (step,) = [s for s in make_steps("laptop", PASTE, places=PLACES, school_percent=school) if s.id == "cooler_on"]
        assert words in sentence(step.why)
        assert "do not force" in sentence(step.caution)


def test_steps_of_the_model_stand_behind_their_anchor_or_at_the_end_of_their_stage():
    own = (
        BenchStep(id="own1", stage="open", text="Heat the rubber strip"),
        BenchStep(id="own2", stage="clean", text="Brush the speaker mesh"),
    )
    names = ids(PASTE, own=own, anchors=("power_off", "gone"))
    assert names[1] == "own1"
    assert names[names.index("cleaned") + 1] == "own2"


def test_a_shops_own_order_is_kept_unless_a_rule_would_break():
    steps, device = make_steps("laptop", PASTE, places=PLACES, school_percent=50), Device()
    names = [s.id for s in steps]
    later = [n for n in names if n != "dust_out"]
    later.insert(later.index("cleaned") + 1, "dust_out")
    assert [s.id for s in in_order(steps, later, device)] == later
    wrong = ["cooler_off", *[n for n in names if n != "cooler_off"]]
    assert in_order(steps, wrong, device) == steps
    # What an earlier job did not have stays behind what it stands behind.
    without = [n for n in later if n != "apply_cpu_die_paste_stiff_0"]
    assert [s.id for s in in_order(steps, without, device)].index("apply_cpu_die_paste_stiff_0") > without.index(
        "cleaned"
    )


def test_no_list_breaks_a_rule_by_itself():
    for work in (PASTE, ALLOY, SHEET, Work()):
        steps = make_steps("laptop", work, places=PLACES, school_percent=50)
        facts, device = frozenset(), device_of("laptop", work)
        for step in steps:
            assert breached(step.acts, facts, device) is None, step.id
            facts = after(step.acts, facts)


@pytest.mark.parametrize(
    ("step", "text"),
    [
        (BenchStep(id="a", stage="lunch", text="Eat"), "“lunch” isn’t a choice"),
        (BenchStep(id="a", stage="open", text=" "), "says nothing"),
        (BenchStep(id="a", stage="open", text="Look", shows="film"), "“film” isn’t a choice"),
        (BenchStep(id="a", stage="open", text="Wait", wait="coffee"), "“coffee” isn’t a choice"),
        (BenchStep(id="a", stage="open", text="Wait", wait="coat", wait_min=1.0), "allowed are 10 to 2880 min"),
    ],
)
def test_a_step_that_cannot_be_is_refused(step, text):
    with refuses(CoreError, match=text):
        check_step(step)


def test_rules_speak_of_acts_that_exist():
    made = {fact for facts in MAKES.values() for fact in facts}
    for rule in INTERLOCKS:
        assert set(rule.acts) <= set(ACTS)
        assert (set(rule.needs) | set(rule.bars)) - {PLUGS_OPEN, ALUMINIUM_SEEN} <= set(ACTS) | made
        assert all((rule.reason, rule.remedy, rule.check))
    with refuses(CoreError, match="“dance” isn’t a choice"):
        after(("dance",), frozenset())


def test_what_is_seen_changes_only_what_the_plan_knows():
    names = {f.name for f in fields(Inspection)}
    for part, states in SIGHTS.items():
        assert part in PART_WORDS
        for seen in states.values():
            assert set(seen.changes) <= names
            for name, value in seen.changes.items():
                assert value in CHOICES[name], (part, name, value)


def test_consequences_that_the_bench_must_not_miss():
    # handbook/materials.md: common practice, no source.
    assert sentence(sight("contact", "still_liquid").follows).startswith("It never cured; plan a sheet")
    assert sentence(sight("plate", "aluminium").follows) == "Aluminium seen: alloy barred."
    assert sight("surroundings", "aluminium").changes == {"aluminium_near": "yes"}
    with refuses(CoreError, match="“shiny” isn’t a choice for .*Allowed: copper, nickel, aluminium"):
        sight("plate", "shiny")
    with refuses(CoreError, match="“tail” isn’t a choice"):
        sight("tail", "long")


# handbook/waits.md: common practice, no source.
@pytest.mark.parametrize(
    ("kind", "minutes"),
    [("coat", 15), ("fridge", 30), ("alcohol", 5), ("burn_in", 40), ("solvent", 1440), ("solvent_hot", 10)],
)
def test_waits_have_the_lengths_of_the_trade(kind, minutes):
    assert wait_minutes(kind) == minutes


def test_waits_have_limits():
    assert wait_minutes("plating", 480) == 480  # 4 to 8 h
    assert WAITS["cool_down"].least_min == 1.5  # 90 s at the least
    with refuses(OutOfRange, match="allowed are 30 to 1440 min"):
        wait_minutes("burn_in", 10)


def test_every_mishap_has_a_short_list():
    for found in MISHAPS.values():
        assert 1 <= len(found.steps) <= 5
    assert mishap("spill_alloy").no_power
    assert mishap("spill_alloy").wait == "alloy_spill"  # half an hour of patience
    with refuses(CoreError, match="“fire” isn’t a choice"):
        mishap("fire")


def test_a_boot_of_more_than_forty_seconds_fails():
    # handbook/bench.md: boot within 40 s; common practice, no source.
    assert check_power(FINE, 40.0, Device())["boot"] == "fine"
    assert check_power(FINE, 40.5, Device())["boot"] == "fails"


def test_what_nobody_looked_at_is_not_fine():
    found = check_power({k: v for k, v in FINE.items() if k != "wireless"}, None, Device())
    assert found["wireless"] == "unchecked"
    with refuses(CoreError, match="Not looked at: temperatures are sane"):
        check_power({**FINE, "temperatures": "unchecked"}, None, Device())
    with refuses(CoreError, match="“perhaps” isn’t a choice"):
        check_power({**FINE, "fans": "perhaps"}, None, Device())
    with refuses(CoreError, match="“horn” isn’t a choice"):
        check_power({**FINE, "horn": "fine"}, None, Device())


@pytest.mark.parametrize(
    ("device", "has", "lacks"),
    [
        (Device(kind="laptop"), {"keyboard", "pad", "display", "charging", "fans"}, {"picture", "drive", "controls"}),
        (Device(kind="laptop", has_fan=False), {"keyboard", "temperatures"}, {"fans"}),
        (Device(kind="console", has_battery=False), {"picture", "drive", "fans"}, {"keyboard", "pad", "charging"}),
        (Device(kind="handheld"), {"controls", "display", "charging"}, {"keyboard", "pad", "picture"}),
    ],
)
def test_only_what_a_device_has_is_looked_at(device, has, lacks):
    found = check_power(
        {"boot": "fine", "temperatures": "fine", **({"fans": "fine"} if device.has_fan else {})}, None, device
    )
    assert has <= set(found)
    assert not lacks & set(found)
    assert not {"keyboard", "picture"} <= set(checks_of(device))


def test_a_wheel_is_offered_at_an_outer_screw_without_power_only():
    cover, inner, off = PLACES[0], PLACES[6], frozenset({"battery_off"})
    laptop, console = Device(), Device(has_battery=False)

    def offered(place, acts, facts, device):
        return "wheel. " in " ".join(
            sentence(s) for s in recovery("stripped_screw", place, acts=acts, facts=facts, device=device)
        )

    assert offered(cover, (), off, laptop)
    assert offered(None, ("cover_screws_out",), off, laptop)
    assert offered(cover, (), frozenset({"unplugged"}), console)
    assert not offered(cover, (), frozenset({"unplugged"}), laptop)
    assert not offered(inner, (), off, laptop)
    assert not offered(None, ("inner_screws_out",), off, laptop)
    assert not offered(None, (), off, laptop)


def test_a_wait_is_ended_early_for_a_reason_of_its_own():
    for name, kind in WAITS.items():
        assert kind.early, name
    assert "fridge" in sentence(WAITS["fridge"].early[0])
    assert not any("dry" in sentence(reason) for reason in WAITS["fridge"].early)


def test_causes_come_from_the_map_first():
    results = {**FINE, "wireless": "fails"}
    causes = likely_causes(results, PLACES, open_places=[], unplugged_in={"ant": 9, "fan": 9})
    assert sentence(causes[0].text) == "The white antenna was unplugged in step 9: look whether it sits."
    assert causes[0].from_map
    assert not causes[-1].from_map
    still_off = likely_causes(results, PLACES, open_places=["ant"], unplugged_in={"ant": 9})
    assert sentence(still_off[0].text) == "The white antenna is still unplugged."
    assert likely_causes(FINE, PLACES, open_places=["ant"], unplugged_in={"ant": 9}) == ()


def test_hot_dies_after_a_film_that_was_told_name_it():
    causes = likely_causes(
        {**FINE, "temperatures": "fails"}, PLACES, open_places=[], unplugged_in={}, breaches=["second_film"]
    )
    assert "second film was left on" in sentence(causes[0].text)


def test_hands_are_what_waits_do_not_cover():
    # Worked by hand: 10 min to the first step; 20 min to the second, 15 of which a coat dried.
    times = step_times(0.0, [10.0, 30.0], [Span(12.0, 27.0)])
    assert [(t.hands_min, t.wait_min) for t in times] == [(10.0, 0.0), (5.0, 15.0)]


def test_overlapping_waits_count_once():
    (time,) = step_times(0.0, [60.0], [Span(10.0, 30.0), Span(20.0, 50.0)])
    assert (time.hands_min, time.wait_min) == (20.0, 40.0)


def test_somebody_who_was_away_or_at_another_job_is_not_guessed():
    assert step_times(0.0, [45.0], [])[0].hands_min is None
    assert step_times(0.0, [20.0], [], elsewhere=[10.0])[0].hands_min is None
    # The first of three told in a row holds the minutes of all of them, and nobody knows how they share them.
    told = step_times(0.0, [8.0, 8.05, 8.1, 12.0], [])
    assert [t.hands_min for t in told[:3]] == [None, None, None]
    assert told[3].hands_min == pytest.approx(3.9)
    # Another job during a wait is what waits are for.
    assert step_times(0.0, [20.0], [Span(2.0, 17.0)], elsewhere=[10.0])[0].hands_min == 5.0
    with pytest.raises(OutOfRange):
        step_times(0.0, [10.0, 5.0], [])


def test_a_dose_reads_well():
    assert sentence(dose_words(0.0812, 31.4)) == "0.081 g (31 µL)"
    assert sentence(dose_words(None, 31.4)) == "31 µL"
    assert dose_words(None, None) == ""


@pytest.mark.parametrize("clean", [True, False])
def test_a_device_without_a_fan_has_none_to_turn_or_to_clean(clean):
    work = replace(PASTE, clean=clean)
    fanless = make_steps("laptop", work, places=[], school_percent=50, fanless=True)
    assert not any("fan_free" in s.acts or "fan" in s.id for s in fanless)
    assert any("fan_free" in s.acts for s in make_steps("laptop", work, places=[], school_percent=50))


def test_a_shim_is_laid_on_paste_or_glued_as_the_plan_says():
    def said(bond):
        shim = PlannedPart(
            target="memory", kind="copper_shim", words="copper shim", dose="1 piece", school="", index=0, bond=bond
        )
        return [
            sentence(s.text)
            for s in make_steps("laptop", Work(parts=(shim,)), places=PLACES, school_percent=50)
            if s.part == 0
        ]

    assert "paste that does not conduct on both its faces" in " ".join(said("paste"))
    assert " ".join(said("glue")).startswith("Glue the shim")


@pytest.mark.parametrize(("field", "value"), [("shows", "film"), ("asks", "mood"), ("acts", ("polished",))])
def test_a_step_that_asks_or_shows_what_there_is_not_is_refused(field, value):
    with refuses(CoreError) as found:
        check_step(replace(BenchStep(id="own_1", stage="clean", text="Look again"), **{field: value}))
    assert found.value.field == field
