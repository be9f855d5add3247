"""Prediction: limits, monotony, the handbook's kelvins, and what must follow from the heat balance."""

import math
from dataclasses import replace

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.materials.kinds import BANDS, CATALOGUE, DIE_KINDS, KIND_BANDS, material
from vividowl.core.plan.options import LEAVE, Candidate, Goal, Situation, make_options, rank
from vividowl.core.plan.prediction import (
    Action,
    Interval,
    Option,
    Prediction,
    learn_factor,
    measurable_k,
    predict,
    share_inside,
)
from vividowl.core.plan.price import tasks_of
from vividowl.core.plan.unknowns import Known, new_film, sample_unknowns, triangular
from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.words import sentence

DEAD = Known(
    resistance=1.26,
    resistance_u=0.03,
    power=48.0,
    room_c=24.2,
    interface=0.62,
    interface_u=0.05,
    limit_c=95.0,
    held=True,
    months=41,
    surroundings="dusty",
    die_mm2=195.0,
)
HEALTHY = Known(
    resistance=0.62,
    resistance_u=0.02,
    power=38.0,
    room_c=23.0,
    interface=0.13,
    interface_u=0.02,
    limit_c=95.0,
    months=7,
    surroundings="normal",
    die_mm2=195.0,
)
BOTH = (Action.CLEAN, Action.REPASTE)
LEAVE_IT, CLEAN = (
    Option(key=LEAVE, words="leave it alone"),
    Option(key="clean", words="clean only", actions=(Action.CLEAN,)),
)


def repaste(kind):
    return Option(key=kind, words=kind, actions=BOTH, material=material(kind))


def test_leaving_it_alone_changes_nothing_and_keeps_what_was_measured():
    (p,) = predict(DEAD, [LEAVE_IT], 1)
    assert p.gain_k == Interval(0.0, 0.0, 0.0)
    assert p.resistance.median == pytest.approx(1.26, abs=0.01)
    # 80 % of a normal distribution lie within 1.2816 standard deviations, any table of it.
    assert (p.resistance.high - p.resistance.low) / 2 == pytest.approx(1.2816 * 0.03, rel=0.08)
    assert p.watts.median == pytest.approx((95 - 25) / 1.26, rel=0.01)


def test_the_draws_add_up_to_what_was_measured():
    drawn = sample_unknowns(DEAD, 3, 4000)
    assert float(np.median(drawn.total)) == pytest.approx(1.26, abs=0.01)
    assert float(np.median(drawn.core + drawn.film)) == pytest.approx(0.62, abs=0.03)
    assert (drawn.film > 0).all()
    assert (drawn.core > 0).all()


def test_replacing_dead_paste_is_worth_tens_of_kelvins_and_healthy_paste_little():
    # handbook/materials.md, common practice: dead paste tens of kelvins, better paste a few.
    dead, healthy = (predict(k, [repaste("paste_stiff")], 1)[0].gain_k for k in (DEAD, HEALTHY))
    assert dead.median > 20
    assert healthy.median < 3
    assert healthy.low < 1


def test_alloy_gains_little_over_a_good_paste():
    # handbook/materials.md, common practice: often only 4 to 7 %.
    paste, alloy = (p.resistance.median for p in predict(DEAD, [repaste("paste_soft"), repaste("gallium_alloy")], 1))
    assert 0.02 < 1 - alloy / paste < 0.12


def test_an_unknown_interface_widens_the_answer():
    told, untold = (predict(k, [repaste("paste_soft")], 1)[0].gain_k for k in (DEAD, replace(DEAD, interface=None)))
    assert untold.high - untold.low > 1.3 * (told.high - told.low)


def test_what_is_seen_narrows_it_and_moves_it_the_right_way():
    sound, dry = (
        predict(replace(DEAD, interface=0.35, old_interface=state), [repaste("paste_soft")], 1)[0].gain_k.median
        for state in ("sound", "dry")
    )
    assert dry > sound + 2
    none, felt = (predict(replace(DEAD, dust=d), [CLEAN], 1)[0].gain_k.median for d in ("none", "felt"))
    assert none < 1.5
    assert felt > 6


def test_an_earlier_visit_tells_dust_from_a_small_cooler():
    then = replace(DEAD, interface=0.2, resistance=0.9, healthy_interface=0.2, healthy_total=0.9)
    now = replace(then, resistance=1.2)
    kept, grown = (predict(k, [CLEAN], 1)[0].gain_k.median for k in (then, now))
    assert grown > kept + 5


def test_new_film_is_fouriers_law_with_the_print_taken_with_salt():
    drawn = sample_unknowns(DEAD, 1, 5000)
    paste = material("paste_soft")
    low = (paste.film_low_um / paste.conductivity + 0.5 * paste.contact_mm2_k_w) / 195.0
    high = (paste.film_high_um / (0.55 * paste.conductivity) + 2.0 * paste.contact_mm2_k_w) / 195.0
    films = new_film(drawn, paste)
    # What the hand adds is a factor of its own: without it the films lie between Fourier's ends.
    assert (films / drawn.hand).min() > 0.9 * low
    assert (films / drawn.hand).max() < 1.1 * high
    # One in eight is laid badly (common practice, no source) and costs half as much again or more.
    assert 0.05 < np.mean(drawn.hand > 1.6) < 0.2


def test_a_triangle_has_its_textbook_mean_and_median():
    where = (np.arange(20_000) + 0.5) / 20_000
    values = triangular(where, 2.0, 3.0, 7.0)
    assert values.mean() == pytest.approx((2 + 3 + 7) / 3, abs=1e-3)
    assert np.median(values) == pytest.approx(7 - math.sqrt((7 - 2) * (7 - 3) / 2), abs=1e-3)


def test_an_undervolt_saves_by_the_square_of_the_voltage():
    # P ~ f V^2 (handbook/tuning.md). 100 mV of about 1.05 V save 18 % of what is dynamic.
    (p,) = predict(DEAD, [Option(key="tune", words="", actions=(Action.TUNE,), undervolt_mv=100)], 1)
    saved = p.gain_k.median / (48.0 * 1.26)
    assert saved == pytest.approx(0.85 * (1 - (0.95 / 1.05) ** 2), abs=0.03)
    assert p.resistance.median == pytest.approx(1.26, abs=0.01)


def test_a_cap_bounds_the_watts():
    (p,) = predict(DEAD, [Option(key="cap", words="", actions=(Action.TUNE,), cap_w=30.0)], 1)
    assert p.watts.high <= 30.0
    assert p.die_c.median == pytest.approx(24.2 + 30 * 1.26, abs=0.5)


def test_no_more_watts_than_it_asks_for():
    (free,) = predict(DEAD, [repaste("paste_soft")], 1)
    (asked,) = predict(replace(DEAD, power_limit=60.0), [repaste("paste_soft")], 1)
    assert free.watts.median > 90
    assert asked.watts.high == 60.0
    assert asked.gain_w.median == pytest.approx(60.0 - 70 / 1.26, abs=1.0)


def test_a_coupled_cover_helps_less_than_a_whole_new_way():
    # Heat went through the same cover before: less than the parallel of both ways, more than nothing.
    fanless = Known(
        resistance=5.2,
        resistance_u=0.1,
        power=13.0,
        room_c=24.0,
        interface=0.4,
        interface_u=0.03,
        limit_c=95.0,
        held=True,
        fanless=True,
    )
    (p,) = predict(fanless, [Option(key="cover", words="", actions=(Action.COVER,), cover_path=3.0)], 1)
    ideal = 0.4 + 1 / (1 / 4.8 + 1 / 3.0)
    assert ideal < p.resistance.median < 5.2


def test_less_resistance_is_quieter_at_the_same_temperature_and_a_fanless_one_has_no_noise():
    clean, leave = predict(replace(DEAD, dust="felt"), [CLEAN, LEAVE_IT], 1)
    assert leave.noise_db == Interval(0.0, 0.0, 0.0)
    assert clean.noise_db.median < -5
    assert predict(replace(DEAD, fanless=True), [CLEAN], 1)[0].noise_db is None


def test_the_same_seed_gives_the_same_numbers_and_another_one_nearly():
    first, again, other = (predict(DEAD, [repaste("paste_soft")], s)[0] for s in (5, 5, 6))
    assert first == again
    assert other.gain_k.median == pytest.approx(first.gain_k.median, abs=0.5)


def test_a_reading_that_contradicts_what_was_seen_widens_and_does_not_break():
    odd = replace(HEALTHY, interface=0.03, old_interface="dry")
    (p,) = predict(odd, [repaste("paste_soft")], 1)
    assert math.isfinite(p.gain_k.median)


@pytest.mark.parametrize(
    ("change", "text"),
    [
        ({"power": 0.0}, "Power is 0 W"),
        ({"resistance": -1.0}, "Resistance is −1 K/W"),
        ({"die_mm2": 1.0}, "4 to 4000 mm²"),
        ({"dust": "sand"}, "“sand” isn’t a choice for .*Allowed: none"),
        ({"old_interface": "jam"}, "“jam” isn’t a choice"),
    ],
)
def test_what_cannot_be_is_refused(change, text):
    with refuses(CoreError, match=text):
        predict(replace(DEAD, **change), [CLEAN], 1)


# ---- materials ----


@pytest.mark.parametrize("kind", CATALOGUE)
def test_each_row_of_the_catalogue_lies_in_its_own_band(kind):
    row = CATALOGUE[kind]
    assert material(kind, {n: getattr(row, n) for n in BANDS}) == row


def test_a_density_that_nobody_has_is_refused():
    with refuses(OutOfRange, match=r"Density is 64 g/mL, a gallium alloy has 5.9 to 7 g/mL") as caught:
        material("gallium_alloy", {"density_g_ml": 64.0})
    assert "unit and digits" in sentence(caught.value.remedy)
    with refuses(CoreError, match="“mayonnaise” is no kind of material; allowed: paste_soft"):
        material("mayonnaise")
    with refuses(CoreError, match="“taste” isn’t a choice for Value"):
        material("pad", {"taste": 1.0})
    with refuses(OutOfRange, match="The film is 30 µm, but thinnest and thickest are 40 and 50 µm"):
        material("paste_soft", {"film_low_um": 40.0})
    assert set(KIND_BANDS) == set(CATALOGUE)


# ---- options and their order ----


def candidates(known, materials=("paste_stiff", "gallium_alloy"), *, cents=None, acks=None, blocked=(), life=None):
    options = make_options(Situation(die_materials={k: material(k) for k in materials}, undervolt_mv=60))
    found = predict(known, options, 1)
    return [
        Candidate(
            option=o,
            prediction=p,
            blocked=o.key in blocked,
            to_acknowledge=(acks or {}).get(o.key, 0),
            total_cents=(cents or {}).get(o.key, 5000),
            life_months=(life or {}).get(o.key, 12),
        )
        for o, p in zip(options, found, strict=True)
    ]


def order(found, goal, held=True):
    ranked = rank(found, goal, measurable_k=2.5, measurable_w=4.0, measurable_db=2.0, held=held)
    assert sorted(r.index for r in ranked) == list(range(len(found)))
    assert all(sentence(r.reason).endswith(".") for r in ranked)
    return [found[r.index].option.key for r in ranked], ranked


def test_leaving_it_alone_wins_when_nothing_can_be_shown():
    found = [c for c in candidates(HEALTHY) if "tune" not in c.option.key]
    keys, ranked = order(found, Goal.COOLER, held=False)
    assert keys[0] == LEAVE
    assert "more than a Before and an After can show" in sentence(ranked[0].reason)
    keys, ranked = order(candidates(HEALTHY), Goal.FASTER, held=False)
    assert keys[0] == LEAVE
    assert "does not hold it back" in sentence(ranked[0].reason)


def test_a_dead_interface_is_repasted_and_the_reason_names_the_gain():
    found = [c for c in candidates(DEAD) if "tune" not in c.option.key]
    keys, ranked = order(found, Goal.COOLER)
    assert keys[0].startswith("repaste:")
    assert " W more at the limit" in sentence(ranked[0].reason)


def test_among_equals_the_one_with_less_risk_comes_first():
    paste, alloy = "repaste:paste_stiff", "repaste:gallium_alloy"
    found = [c for c in candidates(DEAD, acks={alloy: 2}, cents={alloy: 4000}) if "tune" not in c.option.key]
    close = rank(found, Goal.COOLER, measurable_k=2.5, measurable_w=30.0, measurable_db=2.0, held=True)
    assert found[close[0].index].option.key == paste
    assert "less risk or a lower price" in sentence(close[0].reason)


def test_a_stop_is_never_first():
    keys, ranked = order(candidates(DEAD, blocked=("repaste:gallium_alloy",)), Goal.COOLER)
    assert keys[-1] == "repaste:gallium_alloy"
    assert "stop" in sentence(ranked[-1].reason)


def test_cheaper_and_longest_rest_choose_among_what_helps():
    cents = {
        "clean": 3000,
        "repaste:paste_stiff": 6000,
        "repaste:gallium_alloy": 9000,
        "tune": 100,
        "tune_on_top": 9900,
    }
    life = {"repaste:gallium_alloy": 48}
    found = candidates(DEAD, cents=cents, life=life)
    keys, ranked = order(found, Goal.LONGEST_REST)
    assert keys[0] == "repaste:gallium_alloy"
    assert "48 months" in sentence(ranked[0].reason)
    keys, _ = order(found, Goal.CHEAPER)
    helps = keys[: keys.index(LEAVE)]
    assert [cents[k] for k in helps] == sorted(cents[k] for k in helps)


def test_options_follow_what_was_found():
    plain = {o.key for o in make_options(Situation(die_materials={}))}
    assert plain == {LEAVE, "clean"}
    full = {
        o.key
        for o in make_options(
            Situation(
                die_materials={"Grey": material("paste_soft")},
                pads=True,
                pads_due=False,
                putty=True,
                shim=True,
                cover_path=3.0,
                undervolt_mv=50,
                cap_w=None,
                fan_drags=True,
            )
        )
    }
    assert {"putty:Grey", "shim:Grey", "fan", "fan:Grey", "cover", "cover:Grey", "tune", "tune_on_top"} <= full
    due = make_options(Situation(die_materials={"Grey": material("paste_soft")}, pads_due=True))
    assert [sentence(o.words) for o in due] == ["leave it alone", "clean only", "clean, Grey, new pads"]
    assert Action.PADS in due[-1].actions
    with refuses(CoreError, match="does not go on a die"):
        make_options(Situation(die_materials={"Soft": material("pad")}))
    assert all(CATALOGUE[k].film_um < 100 for k in DIE_KINDS)


# ---- how often the shop was right, and what it learns ----


def test_share_inside_is_wilsons_interval():
    # Wilson (1927); 8 of 10 gives 0.490 to 0.943, as any textbook of statistics lists it.
    p, low, high = share_inside([True] * 8 + [False] * 2)
    assert (p, low, high) == (0.8, pytest.approx(0.490, abs=0.001), pytest.approx(0.943, abs=0.001))
    assert share_inside([]) is None


def test_learning_needs_three_jobs_and_is_drawn_towards_one():
    assert learn_factor([1.5, 1.5]) is None
    few, many = learn_factor([1.5] * 3), learn_factor([1.5] * 60)
    assert 1.2 < few < many < 1.5
    assert learn_factor([0.5, 1.0, 2.0]) == pytest.approx(1.0)
    with pytest.raises(OutOfRange):
        learn_factor([1.0, 1.0, 0.0])


def test_a_learnt_factor_moves_the_interface_and_nothing_else():
    usual, own = (
        predict(
            DEAD, [Option(key="x", words="", actions=BOTH, material=replace(material("paste_soft"), own_factor=f))], 1
        )[0]
        for f in (1.0, 1.3)
    )
    assert own.interface.median == pytest.approx(1.3 * usual.interface.median, rel=0.001)
    behind = usual.resistance.median - usual.interface.median
    assert own.resistance.median - own.interface.median == pytest.approx(behind, rel=0.03)


def test_an_interval_knows_what_it_holds():
    found = Interval(1.0, 2.0, 3.0)
    assert [found.holds(v) for v in (0.9, 1.0, 3.0, 3.1)] == [False, True, True, False]
    assert isinstance(predict(DEAD, [CLEAN], 1)[0], Prediction)


def test_without_a_material_for_the_die_the_other_work_can_still_be_chosen():
    s = Situation(die_materials={}, pads=True, fan_drags=True, shim=True, undervolt_mv=50.0)
    keys = [o.key for o in make_options(s)]
    assert keys[:2] == [LEAVE, "clean"]
    assert not any(":" in key for key in keys)
    assert {"fan", "tune"} <= set(keys)


def test_nothing_can_be_ranked_without_leaving_it_alone():
    (p,) = predict(DEAD, [CLEAN], 1)
    with refuses(CoreError, "Leaving it alone is missing"):
        rank(
            [Candidate(option=CLEAN, prediction=p, blocked=False, to_acknowledge=0, total_cents=None, life_months=12)],
            Goal.COOLER,
            held=True,
            measurable_k=1.0,
            measurable_w=1.0,
            measurable_db=1.0,
        )


@pytest.mark.parametrize("limit", [None, 25.5])
def test_watts_are_not_known_without_a_limit_above_the_room(limit):
    (p,) = predict(replace(DEAD, limit_c=limit), [CLEAN], 1)
    assert p.watts is None


def test_a_triangle_without_width_is_its_value():
    assert list(triangular(np.array([0.0, 0.5, 1.0]), 2.0, 2.0, 2.0)) == [2.0, 2.0, 2.0]


def test_what_can_be_measured_is_the_uncertainty_of_a_difference_in_kelvins():
    assert measurable_k(0.05, 40.0) == pytest.approx(2.0)
    with refuses(OutOfRange, "Power"):
        measurable_k(0.05, 0.0)


def test_an_unknown_task_has_no_minutes():
    with refuses(CoreError, "polish"):
        tasks_of(["clean"], {"polish": 5.0})
    with refuses(CoreError, "polish"):
        tasks_of(["polish"])
