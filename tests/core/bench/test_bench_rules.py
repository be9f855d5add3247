"""What the bench asks: what is left in a tube, gaps, pads of several heights, schools, life, price, step lists."""

import math
from datetime import date

import pytest
from tests.said import refuses

from vividowl.core.bench.steps.procedures import PROCEDURES, delid_procedure, plating_procedure, procedures_for
from vividowl.core.materials.application import CARD_HEIGHT_MM, CARD_WIDTH_MM, School, choose_school, drop_of
from vividowl.core.materials.dose import dose, left_in_tube
from vividowl.core.materials.kinds import material
from vividowl.core.materials.life import LifeSchool, OwnServices, interface_months, next_service
from vividowl.core.materials.pads import (
    Gap,
    choose_for_heights,
    choose_pad,
    gap_from_crushed_pad,
    gap_from_imprint,
    pad_force,
)
from vividowl.core.plan.inspection import bath_of
from vividowl.core.plan.price import TASKS, Price, price_of, share_cents, tasks_of
from vividowl.core.plan.spots import BathSpot, Inspection
from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.words import sentence


def test_a_bank_card_has_the_size_of_its_standard():
    # ISO/IEC 7810, ID-1: 85.60 x 53.98 mm, from memory (handbook/materials.md).
    assert (CARD_WIDTH_MM, CARD_HEIGHT_MM) == (85.60, 53.98)


def test_what_a_tube_still_holds():
    found = left_in_tube(1.0, 0.12)
    assert (found.left_g, found.doses) == (pytest.approx(0.88), 8)
    assert left_in_tube(0.3, 0.1).doses == 3
    with refuses(OutOfRange, match=r"The dose is 0.2 g, the tube holds 0.1 g") as caught:
        left_in_tube(0.1, 0.2)
    assert "Open another lot" in sentence(caught.value.remedy)


@pytest.mark.parametrize(
    ("width", "length", "stiff", "bare", "school"),
    [
        (8, 20, False, True, School.LINE),
        (15, 13, False, True, School.FILM),
        (15, 13, True, True, School.FILM),
        (30, 30, True, False, School.CROSS),
        (30, 30, False, False, School.BEAD),
        (8, 9, False, True, School.FILM),
        (20, 32, False, False, School.LINE),
    ],
)
def test_the_school_follows_die_and_paste(width, length, stiff, bare, school):
    # handbook/materials.md, common practice: line from an aspect of 1.6, cross for stiff pastes, film surest on bare
    # dies.
    advice = choose_school(width, length, stiff=stiff, bare_die=bare)
    assert advice.school is school
    assert len(sentence(advice.reason)) > 20


def test_the_shops_own_way_wins():
    advice = choose_school(15, 13, stiff=True, default=School.BEAD)
    assert advice.school is School.BEAD
    assert "own way" in sentence(advice.reason)


@pytest.mark.parametrize("school", School)
def test_a_drop_holds_its_volume(school):
    drop = drop_of(school, 10.0, 12, 20)
    if drop.strokes:
        held = drop.strokes * drop.stroke_mm * math.pi / 4 * drop.diameter_mm**2
    else:
        held = math.pi / 6 * drop.diameter_mm**3
    assert held == pytest.approx(10.0)


def test_ten_microlitres_as_a_line_are_one_long_stroke():
    line, cross = drop_of(School.LINE, 10.0, 12, 20), drop_of(School.CROSS, 10.0, 12, 20)
    assert (line.strokes, line.stroke_mm) == (1, pytest.approx(16))
    assert cross.strokes == 2
    assert cross.stroke_mm == pytest.approx(0.8 * math.hypot(12, 20))


def test_gaps_from_imprint_and_old_pad():
    assert gap_from_imprint(1.2).gap_mm == 1.2
    old = gap_from_crushed_pad(1.0)
    assert old.gap_mm == pytest.approx(0.95)
    assert old.tolerance_mm > gap_from_imprint(1.2).tolerance_mm
    with refuses(OutOfRange, match=r"allowed are 0\.1 to 12 mm"):
        gap_from_imprint(0.0)


def test_heights_that_spread_too_far_ask_for_putty():
    near = choose_for_heights([Gap(0.8, 0.03, ""), Gap(0.85, 0.03, "")])
    assert not near.putty
    assert near.choice.thickness_mm == 1.0
    far = choose_for_heights([Gap(0.6, 0.05, ""), Gap(1.4, 0.05, "")])
    assert far.putty
    assert far.choice is None
    assert "0.55 to 1.45 mm" in sentence(far.reason)


def test_a_pad_too_thick_lifts_the_cooler_and_the_next_thinner_does_not():
    thick = choose_pad(0.4, 0.02, 0.1, 0.9)
    gap = 0.4
    assert pad_force(1 - gap / 1.0, 600).bulges
    assert "holds the cooler off the die" in sentence(pad_force(1 - gap / 1.0, 600).reason)
    assert not pad_force(1 - gap / 0.5, 100).lifts
    assert thick.thickness_mm >= 0.5


def test_many_pads_together_can_lift_it_without_bulging():
    few, many = pad_force(0.2, 400), pad_force(0.2, 1600)
    assert (few.lifts, many.lifts, many.bulges) == (False, True, False)
    assert many.force_n == pytest.approx(4 * few.force_n)
    # A linear spring: 100 kPa at 30 % on 100 mm2 is 10 N, F = p A.
    assert pad_force(0.3, 100).force_n == pytest.approx(10.0)


# ---- life ----


def test_life_by_kind_school_and_plate():
    # handbook/life.md, common practice: paste 12 to 36 months, phase change 3 to 5 years, alloy yearly on copper,
    # 2 to 3 years on nickel, pads 3 years.
    assert [interface_months(material("paste_soft"), s) for s in LifeSchool] == [12, 18, 24]
    assert interface_months(material("paste_stiff"), LifeSchool.LONG) == 36
    assert [interface_months(material("phase_change_sheet"), s) for s in (LifeSchool.CAREFUL, LifeSchool.LONG)] == [
        36,
        60,
    ]
    assert interface_months(material("gallium_alloy"), LifeSchool.LONG, "copper") == 12
    assert interface_months(material("gallium_alloy"), LifeSchool.LONG, "nickel") == 36
    # What the shop knows better has its effect, and the schools keep their distance from it.
    own = material("paste_soft", {"life_months": 9.0})
    assert [interface_months(own, s) for s in LifeSchool] == [6, 9, 12]
    assert interface_months(material("gallium_alloy", {"life_months": 6.0}), cold_plate="nickel") == 6
    day = date(2026, 3, 31)
    assert next_service(day, "normal", interfaces=(material("paste_soft"),), school=LifeSchool.CAREFUL).months == 12


def test_drift_that_comes_sooner_than_dust_counts():
    found = next_service(date(2026, 1, 1), "normal", interfaces=(), months_left=10.0)
    assert (found.months, "drift" in sentence(found.reason)) == (10, True)
    assert found.by_drift == date(2026, 11, 1)
    later = next_service(date(2026, 1, 1), "normal", interfaces=(), months_left=40.0)
    assert (later.months, later.by_drift) == (12, date(2029, 5, 1))


def test_what_the_own_services_lasted_counts_where_it_comes_first():
    paste = material("paste_stiff")
    own = OwnServices(paste.words, 7, 8.4)
    found = next_service(date(2026, 1, 1), "normal", interfaces=(paste,), own=[own])
    assert found.months == 8
    assert "of 7 own services" in sentence(found.reason)
    # They say when half of the gain was gone; what comes sooner still comes first.
    assert next_service(date(2026, 1, 1), "pets", interfaces=(paste,), own=[own]).months == 6


# ---- price ----


def test_a_price_is_parts_hands_and_tax():
    # By hand: 65 min of 60 an hour are 65.00; 19 % of 69.50 are 13.205, so 13.21.
    assert price_of(450, 65, 6000, 19) == Price(450, 6500, 1321, 8271)
    # Half a cent goes up, where binary fractions and bankers would go down.
    assert price_of(50, 0, 0, 1) == Price(50, 0, 1, 51)
    assert price_of(0, 0.5, 300, 0).work_cents == 3
    assert (share_cents(125, 0.5), share_cents(5, 0.1), share_cents(105, 0.1)) == (63, 1, 11)
    # What is not known makes nothing free.
    assert price_of(None, 65, 6000, 19) == Price(None, 6500, None, None)
    with refuses(OutOfRange, match="allowed are 0 to 40 %"):
        price_of(0, 0, 0, 190)


def test_tasks_add_up_and_a_shop_has_its_own():
    hands, wait = tasks_of(["open_close", "clean"])
    assert (hands, wait) == (TASKS["open_close"].hands_min + TASKS["clean"].hands_min, TASKS["clean"].wait_min)
    assert tasks_of(["clean"], {"clean": 40})[0] == 40
    with refuses(CoreError, match="“polish” isn’t a choice"):
        tasks_of(["polish"])
    with refuses(OutOfRange, match="600 min"):
        tasks_of(["clean"], {"clean": 9000})


# ---- step lists ----


@pytest.mark.parametrize(
    ("name", "words"),
    # handbook/materials.md, common practice: what each list must not leave out.
    [
        ("phase_change_sheet", ["fridge", "second liner", "middle", "spare", "Burn in"]),
        ("phase_change_paste", ["often 24", "removed cooler", "never a board", "100 °C", "Burn in"]),
        ("gallium_alloy", ["aluminium", "cleaning", "Second layer", "tray", "magnification"]),
        ("delidding", ["Mark the corner", "plastic", "Four dots", "Clamp"]),
    ],
)
def test_a_step_list_names_what_is_forgotten(name, words):
    text = " ".join(f"{sentence(s.text)} {sentence(s.why)} {sentence(s.gear)}" for s in PROCEDURES[name].steps)
    for word in words:
        assert word in text
    assert PROCEDURES[name].caution


def test_waits_are_those_of_the_handbook():
    # handbook/waits.md, common practice: coat 2 x 15 min, fridge 30 min, burn-in 40 min.
    waits = {name: [s.wait_min for s in p.steps if s.wait_min] for name, p in PROCEDURES.items()}
    assert waits["gallium_alloy"].count(15) == 2
    assert 30 in waits["phase_change_sheet"]
    assert 40 in waits["phase_change_sheet"]


def test_plating_takes_the_hours_of_the_trade_and_advises_a_shop_first():
    # handbook/materials.md, common practice: 10 um electroless 4 h, 20 um 8 h.
    def of(bath):
        return plating_procedure(bath_of(Inspection(plating=True, bath=bath)))

    assert max(
        s.wait_min for s in of(BathSpot(method="electroless", area_cm2=20.0, target_um=10.0)).steps
    ) == pytest.approx(240)
    assert max(s.wait_min for s in of(None).steps) == pytest.approx(480)
    # Its own rate beats the usual one: 20 um at 15 um/h, as common baths have at 88 degC, are 80 min.
    own = of(BathSpot(method="electroless", area_cm2=20.0, target_um=20.0, temperature_c=88.0, rate_um_h=15.0))
    assert max(s.wait_min for s in own.steps) == pytest.approx(80)
    with refuses(OutOfRange, match="rate of the bath at 88 °C is not known"):
        of(BathSpot(method="electroless", area_cm2=20.0, target_um=20.0, temperature_c=88.0))
    # 1.2 um/min by Faraday's law needs 5.9 A/dm2; over 20 cm2 that is 1.18 A.
    bath = bath_of(
        Inspection(
            plating=True,
            bath=BathSpot(
                method="electrolytic",
                area_cm2=20.0,
                target_um=24.0,
                temperature_c=60.0,
                rate_um_h=None,
                current_density_a_dm2=5.9,
            ),
        )
    )
    assert bath.amps == pytest.approx(1.18)
    assert 60 * bath.hours == pytest.approx(20, abs=0.5)
    fast = plating_procedure(bath)
    assert "1.18 A over 20 cm²" in " ".join(sentence(s.text) for s in fast.steps)
    assert "plating shop" in sentence(fast.caution)
    assert "edges" in " ".join(sentence(s.why) for s in fast.steps)


def test_lists_are_found_by_name_only():
    assert [p.name for p in procedures_for(["pad", "gallium_alloy", "gallium_alloy"])] == ["gallium_alloy"]
    assert PROCEDURES["delidding"].wait_min == 45


def test_delidding_asks_which_glue():
    # handbook/materials.md: contact glue 5 to 10 min, common practice; silicone hours, from memory.
    assert delid_procedure("contact").steps[-1].wait_min == 10
    assert delid_procedure("silicone").steps[-1].wait_min == 240
    assert "silicone lid glue" in sentence(delid_procedure("silicone").words)
    with refuses(CoreError, match="“chewing gum” isn’t a choice for .*Allowed: contact, silicone"):
        delid_procedure("chewing gum")


def test_a_dose_for_both_faces_fits_the_tube_it_comes_from():
    one = dose(15.5, 15.5, film_um=30, waste=0.5, density_g_ml=6.4, faces=2)
    assert left_in_tube(1.0, one.mass_g).doses == math.floor(1.0 / one.mass_g)
