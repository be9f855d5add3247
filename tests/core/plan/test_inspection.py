"""What inspection found, and what follows from it for each option. Geometry and common practice, no source."""

from dataclasses import replace

import pytest
from tests.said import refuses

from vividowl.core.materials.kinds import material
from vividowl.core.plan.cover import cover_pad, cover_paths, cover_skin
from vividowl.core.plan.facts import facts_of
from vividowl.core.plan.gates import plan_gates
from vividowl.core.plan.inspection import check_inspection, gap_advice, gap_of, gap_rows, heights_of, shim_of
from vividowl.core.plan.prediction import Action
from vividowl.core.plan.spots import CHOICES, BathSpot, CoverSpot, GapSpot, Inspection, ShimSpot
from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.words import sentence

MEMORY = GapSpot(
    target="memory",
    how="imprint",
    reading_mm=0.8,
    tolerance_mm=0.05,
    width_mm=12.0,
    length_mm=14.0,
    count=4,
    together=True,
)
SHIM = ShimSpot(
    package_width_mm=18,
    package_length_mm=18,
    die_width_mm=9,
    die_length_mm=9,
    shim_width_mm=15,
    shim_length_mm=15,
    shim_mm=1.0,
    pad_mm=2.0,
    pad_conductivity=3.0,
    power_w=8.0,
)
COVER = CoverSpot(
    material="aluminium",
    thickness_mm=1.0,
    width_mm=300,
    length_mm=200,
    pad_width_mm=60,
    pad_length_mm=40,
    pad_conductivity=6.0,
    gap_mm=0.8,
    gap_tolerance_mm=0.05,
    battery_mm=30.0,
)
CALM = {"swollen": False, "sealed": False, "skin": None, "battery": True}


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
    with refuses(CoreError, match=f"“purple” isn’t a choice for .*Allowed: {CHOICES[name][0]}") as caught:
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
        ({"shim": replace(SHIM, bond="tape")}, "bond"),
        ({"cover": replace(COVER, gap_mm=9.0)}, "cover.gap_mm"),
        ({"plating": True, "bath": BathSpot(method="spray", area_cm2=20.0)}, "bath.method"),
        ({"plating": True, "bath": BathSpot(method="electrolytic", area_cm2=20.0)}, "current_density_a_dm2"),
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
    assert sentence(advice.reason) == "Pressed by 15 to 25 % over the gap's tolerance."
    wide = gap_advice(replace(MEMORY, how="measured", reading_mm=0.4, tolerance_mm=0.2))
    assert wide.putty
    assert "No pad stays between 10 and 30 %" in sentence(wide.reason)


def test_so_many_pads_that_the_die_goes_short_are_putty():
    few, many = gap_advice(MEMORY), gap_advice(replace(MEMORY, width_mm=30.0, length_mm=60.0, count=2))
    assert not few.force.lifts
    assert many.putty
    assert "of the clamping force" in sentence(many.reason)


def test_heights_are_compared_within_one_target_only():
    low, high = replace(MEMORY, reading_mm=0.5), replace(MEMORY, reading_mm=1.6)
    assert heights_of(Inspection(gaps=(low, high))).putty
    assert heights_of(Inspection(gaps=(low, replace(high, target="regulators")))) is None
    assert not heights_of(Inspection(gaps=(MEMORY, replace(MEMORY, reading_mm=0.82)))).putty


def test_the_shim_of_the_handbook_and_one_that_is_too_wide():
    # handbook/materials.md, common practice: 23 K for 8 W with thin films; 15 x 15 mm rather than 20 x 20. Here the
    # films
    # fill what the copper leaves of the gap, and glue is no paste: by hand 1.5 mm in 1.9 mm leaves 0.3 mm of paste
    # (0.157 K/W), 0.1 mm of glue (0.444 K/W) and 0.017 K/W of copper.
    gain, fit, height = shim_of(Inspection(shim=replace(SHIM, shim_mm=1.5)))
    assert gain.shim_resistance == pytest.approx(0.157 + 0.444 + 0.017, abs=0.003)
    assert fit.fits
    assert height.fits
    pasted, _, _ = shim_of(Inspection(shim=replace(SHIM, shim_mm=1.5, bond="paste")))
    assert pasted.drop_k > gain.drop_k + 2
    wide = Inspection(shim=replace(SHIM, shim_width_mm=20, shim_length_mm=20))
    assert rules(Inspection(shim=SHIM), [Action.SHIM]) == set()
    assert rules(wide, [Action.SHIM]) == {"shim_too_wide"}
    assert rules(wide, [Action.CLEAN]) == set()  # a shim that is not planned stops nothing


@pytest.mark.parametrize(
    ("thick", "fits", "said"),
    [
        (3.0, False, "holds the cooler off the die"),
        (2.0, False, "Take 1.5 mm, the next size down"),
        (1.5, True, "goes into the gap"),
        (1.0, True, "take 1.5 mm"),
    ],
)
def test_a_shim_is_held_against_the_gap_that_the_pad_kept_open(thick, fits, said):
    # A pad crushed to 2.0 mm kept 1.85 to 1.95 mm open: less two films that is 1.65 mm, next stock size down 1.5 mm.
    found = Inspection(shim=replace(SHIM, shim_mm=thick))
    height = shim_of(found)[2]
    assert (height.fits, height.stock_mm) == (fits, 1.5)
    assert said in sentence(height.reason)
    assert ("shim_too_thick" in rules(found, [Action.SHIM])) is not fits


def test_a_row_that_nothing_bridges_is_named_and_bars_no_other():
    far = replace(MEMORY, how="measured", reading_mm=9.0, target="inductors")
    found = check_inspection(Inspection(gaps=(MEMORY, far)))
    near, open_ = gap_rows(found)
    assert (near.pad.thickness_mm, near.open) == (1.0, False)
    assert (open_.pad, open_.open) == (None, True)
    assert sentence(open_.reason) == "Row 2, inductors: Nothing bridges 9 mm: pads reach 5.4 mm, putty 8 mm."
    (gate,) = plan_gates(facts_of(found, [Action.PADS], None, **CALM))
    assert (gate.rule, gate.severity.value) == ("gap_not_bridged", "note")
    assert gap_rows(Inspection(gaps=(replace(far, reading_mm=6.0),)))[0].putty
    assert heights_of(Inspection(gaps=(MEMORY, replace(MEMORY, how="measured", reading_mm=20.0)))) is None


def test_a_cover_is_a_chain_of_pad_and_plate():
    pad, plate = cover_paths(Inspection(cover=COVER, place="stand"))
    # Fourier: the gap of 0.8 mm over 6 W/(m K) and 60 x 40 mm.
    assert pad == pytest.approx(0.8e-3 / (6.0 * 60e-3 * 40e-3))
    assert cover_paths(Inspection(cover=COVER, place="desk"))[1] > plate
    with pytest.raises(OutOfRange):
        cover_paths(Inspection(cover=replace(COVER, pad_width_mm=0.0)))


def test_more_watts_or_a_better_way_warm_the_cover():
    found = Inspection(cover=COVER, place="dock")
    cool, warm = (cover_skin(found, p, behind=5.0, room_c=24.0) for p in (8.0, 16.0))
    assert warm.skin_c - 24.0 == pytest.approx(2 * (cool.skin_c - 24.0))
    assert cover_skin(found, 8.0, behind=2.0, room_c=24.0).skin_c < cool.skin_c
    assert cover_skin(Inspection(), 8.0, behind=5.0, room_c=24.0) is None


def test_a_cover_without_its_temperature_is_not_known_and_stops():
    assert rules(Inspection(cover=COVER), [Action.COVER]) == {"skin_not_known"}
    unseen = replace(COVER, gap_mm=None, battery_mm=None)
    assert rules(Inspection(cover=unseen), [Action.COVER]) == {
        "skin_not_known",
        "cover_gap_unknown",
        "cover_battery_unknown",
    }


def test_the_pad_of_a_cover_comes_from_its_gap_and_must_not_push_it_out():
    pad, pressed = cover_pad(Inspection(cover=replace(COVER, gap_mm=0.8, gap_tolerance_mm=0.05)))
    assert (pad.stack_mm, pressed) == ((1.0,), "")
    thin = replace(COVER, gap_mm=4.4, gap_tolerance_mm=0.1, material="plastic", thickness_mm=0.8)
    assert "pushes the cover out" in sentence(cover_pad(Inspection(cover=thin))[1])
    assert "cover_bulges" in rules(Inspection(cover=thin), [Action.COVER])
    assert "No pad stays" in sentence(cover_pad(Inspection(cover=replace(COVER, gap_mm=0.3, gap_tolerance_mm=0.2)))[1])
    assert cover_pad(Inspection(cover=replace(COVER, gap_mm=None))) is None


def test_the_upper_end_of_the_skin_counts_and_the_battery_is_cooler_than_the_pad():
    found = Inspection(cover=COVER, place="dock")
    skin = cover_skin(found, 12.0, behind=5.0, room_c=24.0, power_u=1.0)
    sure = cover_skin(found, 12.0, behind=5.0, room_c=24.0)
    assert skin.low_c < skin.skin_c < skin.high_c
    assert sure.high_c < skin.high_c
    # JCGM 100: 2 (T - room) sqrt((1/12)^2 + 0.2^2), worked by hand.
    assert skin.high_c - skin.skin_c == pytest.approx(2 * (skin.skin_c - 24.0) * 0.21667, rel=1e-3)
    assert 24.0 < skin.battery_c < skin.high_c
    under = cover_skin(
        Inspection(cover=replace(COVER, battery_mm=-5.0), place="dock"), 12.0, behind=5.0, room_c=24.0, power_u=1.0
    )
    assert under.battery_c == pytest.approx(under.high_c)


def test_alloy_is_asked_about_metal_and_parts_and_paste_is_not():
    found = Inspection()
    assert rules(found, [Action.REPASTE], "gallium_alloy") == {"alloy_metal_unknown", "parts_not_insulated"}
    safe = replace(found, cold_plate="nickel", aluminium_near="no", parts_exposed="no")
    assert rules(safe, [Action.REPASTE], "gallium_alloy") == {"alloy_on_nickel"}
    assert rules(replace(safe, place="lap"), [Action.REPASTE], "gallium_alloy") == {"alloy_on_nickel", "alloy_carried"}
    assert rules(replace(safe, aluminium_near="yes"), [Action.REPASTE], "paste_soft") == set()


def test_tuning_alone_does_not_open_the_device():
    found = Inspection(opens_mains=True, plating=True)
    body = {"swollen": True, "sealed": True}
    assert rules(found, [Action.TUNE], **body) == set()
    assert rules(found, [Action.CLEAN], **body) == {
        "mains_opened",
        "plating_chemicals",
        "swollen_battery",
        "warranty_and_seal",
    }


def test_a_pad_that_lifts_stops_where_pads_are_planned_and_putty_does_not():
    heavy = replace(MEMORY, width_mm=30.0, length_mm=60.0, count=2)
    assert rules(Inspection(gaps=(heavy,)), [Action.PADS]) == {"pad_too_thick"}
    assert rules(Inspection(gaps=(heavy,), gap_filler="putty"), [Action.PADS]) == set()
    assert rules(Inspection(gaps=(heavy,)), [Action.CLEAN]) == set()


def test_a_cover_of_which_only_the_pad_is_known_is_taken_as_it_is():
    found = check_inspection(replace(Inspection(), cover=replace(COVER, gap_mm=None, battery_mm=None)))
    assert found.cover is not None
    assert cover_pad(found) is None
    # The gap is then the usual one, so the path is nearly that of one that was measured.
    assert cover_paths(found) == pytest.approx(cover_paths(replace(Inspection(), cover=COVER)), rel=0.3)


def test_an_interface_that_is_rated_below_the_die_is_stopped_and_one_that_is_not_goes():
    on_it = [Action.CLEAN, Action.REPASTE]
    weak = replace(material("paste_soft"), service_c=90.0)
    assert "service_temperature" in rules(Inspection(), on_it, "paste_soft", material=weak, hottest_c=97.0)
    assert "service_temperature" not in rules(Inspection(), on_it, "paste_soft", material=weak, hottest_c=80.0)
    assert "service_temperature" not in rules(Inspection(), on_it, "paste_soft", material=weak)


def test_paste_where_only_a_pad_bridges_the_gap_is_stopped():
    assert rules(Inspection(), [Action.CLEAN, Action.PADS], "paste_soft", paste_over_gap=True) - rules(
        Inspection(), [Action.CLEAN, Action.PADS], "paste_soft"
    )
