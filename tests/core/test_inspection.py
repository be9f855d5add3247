"""What inspection found, and what follows from it for each option. Geometry and common practice, no source."""

from dataclasses import replace

import pytest

from vividowl.core.errors import CoreError, OutOfRange
from vividowl.core.inspection import (
    CHOICES,
    CoverSpot,
    GapSpot,
    Inspection,
    ShimSpot,
    check_inspection,
    cover_paths,
    cover_skin,
    facts_of,
    gap_advice,
    gap_of,
    heights_of,
    shim_of,
)
from vividowl.core.plan_gates import plan_gates
from vividowl.core.prediction import Action

MEMORY = GapSpot("memory", "imprint", 0.8, 0.05, 12.0, 14.0, 4, True)
SHIM = ShimSpot(18, 18, 9, 9, 15, 15, 1.0, 2.0, 3.0, 8.0)
COVER = CoverSpot("aluminium", 1.0, 300, 200, 60, 40, 1.0, 6.0)
CALM = {"swollen": False, "sealed": False, "skin": None}


def rules(found, actions, kind=None, **more):
    return {g.rule for g in plan_gates(facts_of(found, actions, kind, **{**CALM, **more}))}


def test_nothing_known_is_an_inspection_too():
    found = check_inspection(Inspection())
    assert found.die_mm2 is None
    assert (shim_of(found), cover_paths(found), heights_of(found)) == (None, None, None)
    assert rules(found, [Action.CLEAN, Action.REPASTE], "paste_soft") == set()


def test_the_area_is_that_of_all_measured_dies():
    assert Inspection(cpu_die_mm=(15.0, 13.0)).die_mm2 == 195.0
    assert Inspection(cpu_die_mm=(15.0, 13.0), gpu_die_mm=(20.0, 10.0)).die_mm2 == 395.0


@pytest.mark.parametrize("name", CHOICES)
def test_each_word_is_taken_and_another_is_refused_with_the_list(name):
    for word in CHOICES[name]:
        check_inspection(replace(Inspection(), **{name: word}))
    with pytest.raises(CoreError, match=f"“purple” is not known here; allowed: {CHOICES[name][0]}") as caught:
        check_inspection(replace(Inspection(), **{name: "purple"}))
    assert caught.value.field == name


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"cpu_die_mm": (0.0, 13.0)}, "cpu_die_width_mm"),
        ({"gpu_die_mm": (15.0, 80.0)}, "gpu_die_length_mm"),
        ({"undervolt_mv": -20.0}, "undervolt_mv"),
        ({"gaps": (replace(MEMORY, target="lid"),)}, "gaps.0.target"),
        ({"gaps": (replace(MEMORY, how="guess"),)}, "gaps.0.target"),
        ({"gaps": (MEMORY, replace(MEMORY, width_mm=-1.0))}, "gaps.1.width_mm"),
        ({"gaps": (replace(MEMORY, count=0),)}, "gaps.0.count"),
        ({"gaps": (replace(MEMORY, reading_mm=0.0),)}, "imprint_mm"),
        ({"gaps": (replace(MEMORY, how="measured", reading_mm=9.0),)}, "gap_mm"),
    ],
)
def test_what_cannot_be_is_refused_by_its_field(change, field):
    with pytest.raises(CoreError) as caught:
        check_inspection(replace(Inspection(), **change))
    assert caught.value.field == field


def test_a_gap_is_read_in_three_ways():
    assert gap_of(MEMORY).gap_mm == 0.8
    assert gap_of(replace(MEMORY, how="measured", tolerance_mm=0.1)).tolerance_mm == 0.1
    assert gap_of(replace(MEMORY, how="old_pad", reading_mm=1.0)).gap_mm == pytest.approx(0.95)


def test_a_gap_gets_a_pad_that_stays_in_its_window_or_putty():
    advice = gap_advice(MEMORY)
    assert (advice.putty, advice.pad.thickness_mm) == (False, 1.0)
    assert advice.reason == "Pressed by 15 to 25 % over the gap's tolerance."
    wide = gap_advice(replace(MEMORY, how="measured", reading_mm=0.4, tolerance_mm=0.2))
    assert wide.putty
    assert "No pad stays between 10 and 30 %" in wide.reason


def test_so_many_pads_that_the_die_goes_short_are_putty():
    few, many = gap_advice(MEMORY), gap_advice(replace(MEMORY, width_mm=30.0, length_mm=60.0, count=2))
    assert not few.force.lifts
    assert many.putty
    assert "of the clamping force" in many.reason


def test_heights_are_compared_within_one_target_only():
    low, high = replace(MEMORY, reading_mm=0.5), replace(MEMORY, reading_mm=1.6)
    assert heights_of(Inspection(gaps=(low, high))).putty
    assert heights_of(Inspection(gaps=(low, replace(high, target="regulators")))) is None
    assert not heights_of(Inspection(gaps=(MEMORY, replace(MEMORY, reading_mm=0.82)))).putty


def test_the_shim_of_the_handbook_and_one_that_is_too_wide():
    # Handbook section 6, common practice: 23 K for 8 W; 15 x 15 mm rather than 20 x 20.
    gain, fit = shim_of(Inspection(shim=SHIM))
    assert gain.drop_k == pytest.approx(23, abs=0.5)
    assert fit.fits
    wide = Inspection(shim=replace(SHIM, shim_width_mm=20, shim_length_mm=20))
    assert rules(Inspection(shim=SHIM), [Action.SHIM]) == set()
    assert rules(wide, [Action.SHIM]) == {"shim_too_wide"}
    assert rules(wide, [Action.CLEAN]) == set()  # a shim that is not planned stops nothing


def test_a_cover_is_a_chain_of_pad_and_plate():
    pad, plate = cover_paths(Inspection(cover=COVER, place="stand"))
    # Fourier: 1 mm over 6 W/(m K) and 60 x 40 mm.
    assert pad == pytest.approx(1e-3 / (6.0 * 60e-3 * 40e-3))
    assert cover_paths(Inspection(cover=COVER, place="desk"))[1] > plate
    with pytest.raises(OutOfRange):
        cover_paths(Inspection(cover=replace(COVER, pad_width_mm=0.0)))


def test_more_watts_or_a_better_way_warm_the_cover():
    found = Inspection(cover=COVER, place="dock")
    cool, warm = (cover_skin(found, p, 5.0, 24.0) for p in (8.0, 16.0))
    assert warm.skin_c - 24.0 == pytest.approx(2 * (cool.skin_c - 24.0))
    assert cover_skin(found, 8.0, 2.0, 24.0).skin_c < cool.skin_c
    assert cover_skin(Inspection(), 8.0, 5.0, 24.0) is None


def test_a_cover_without_its_temperature_is_not_known_and_stops():
    assert rules(Inspection(cover=COVER), [Action.COVER]) == {"skin_not_known"}


def test_alloy_is_asked_about_metal_and_parts_and_paste_is_not():
    found = Inspection()
    assert rules(found, [Action.REPASTE], "gallium_alloy") == {"alloy_metal_unknown", "parts_not_insulated"}
    safe = replace(found, cold_plate="nickel", aluminium_near="no", parts_exposed="no")
    assert rules(safe, [Action.REPASTE], "gallium_alloy") == set()
    assert rules(replace(safe, place="lap"), [Action.REPASTE], "gallium_alloy") == {"alloy_carried"}
    assert rules(replace(safe, aluminium_near="yes"), [Action.REPASTE], "paste_soft") == set()


def test_tuning_alone_does_not_open_the_device():
    found = Inspection(opens_mains=True, plating=True)
    body = {"swollen": True, "sealed": True}
    assert rules(found, [Action.TUNE], **body) == set()
    assert rules(found, [Action.CLEAN], **body) == {
        "mains_opened", "plating_chemicals", "swollen_battery", "warranty_and_seal",
    }  # fmt: skip


def test_a_pad_that_lifts_stops_where_pads_are_planned_and_putty_does_not():
    heavy = replace(MEMORY, width_mm=30.0, length_mm=60.0, count=2)
    assert rules(Inspection(gaps=(heavy,)), [Action.PADS]) == {"pad_too_thick"}
    assert rules(Inspection(gaps=(heavy,), gap_filler="putty"), [Action.PADS]) == set()
    assert rules(Inspection(gaps=(heavy,)), [Action.CLEAN]) == set()
