"""Shim, chain and cover: textbook conduction, the `ht` library, the handbook's worked example."""

import math

import pytest
from ht import fin_efficiency_Kern_Kraus, k_to_thermal_resistivity
from ht.conv_free_immersed import Nu_horizontal_plate_McAdams
from tests.said import refuses

from vividowl.core.heat.conduction import in_parallel, in_series, layer_resistance
from vividowl.core.heat.skin import (
    COVERS,
    PLACEMENTS,
    cover_bulge_mm,
    cover_resistance,
    heat_into_cover,
    skin_temperature,
    touch_limit,
)
from vividowl.core.materials.shim import shim_fit, shim_gain
from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.words import sentence


def test_a_layer_is_what_the_reference_library_computes():
    # The library has the resistivity of a material; a plane wall of it is resistivity times L/A.
    assert layer_resistance(30, 8.5, 195) == pytest.approx(k_to_thermal_resistivity(8.5) * 30e-6 / 195e-6)


def test_chains_of_a_textbook_wall():
    # Plane walls in series and parallel: 0.1/(0.5*2) + 0.2/(1.0*2) = 0.2 K/W; two such side by side give half.
    walls = [0.1 / (0.5 * 2), 0.2 / (1.0 * 2)]
    assert in_series(walls) == pytest.approx(0.2)
    assert in_parallel([0.2, 0.2]) == pytest.approx(0.1)
    assert in_parallel([0.2]) == pytest.approx(0.2)
    with refuses(OutOfRange, match="Paths is 0") as caught:
        in_parallel([])
    assert sentence(caught.value.remedy) == "Name one path at least."


def test_the_shim_of_the_handbook():
    # handbook/materials.md, common practice: 2.96 K/W of pad, 0.011 of copper plus 0.05 of films, 8 W drop by 23 K.
    gain = shim_gain(15, 15, power=8.0, pad_um=2000, pad_conductivity=3.0, shim_um=1000)
    assert gain.pad_resistance == pytest.approx(2.96, abs=0.005)
    assert layer_resistance(1000, 390, 225) == pytest.approx(0.011, abs=0.0005)
    assert gain.shim_resistance == pytest.approx(0.011 + 0.05, abs=0.002)
    assert gain.drop_k == pytest.approx(23, abs=0.5)


def test_a_shim_wider_than_its_package_is_refused_and_the_next_size_is_not():
    wide = shim_fit(20, 20, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9)
    assert not wide.fits
    assert "2 mm wider than the package" in sentence(wide.reason)
    assert shim_fit(15, 15, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9).fits


def test_an_off_centre_die_must_stay_covered():
    assert shim_fit(
        12, 12, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9, offset_x_mm=1.5
    ).fits
    assert shim_fit(
        12, 12, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9, offset_x_mm=4.5
    ).fits  # the shim follows the die to the package's edge
    bare = shim_fit(6, 12, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9)
    assert not bare.fits
    assert bare.uncovered_mm == pytest.approx(1.5)
    with refuses(OutOfRange, match="reaches beyond its package of 18 mm"):
        shim_fit(12, 12, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9, offset_y_mm=5.0)


def test_a_shim_that_has_to_be_shifted_says_by_how_much_and_which_way():
    # By hand: package 20, shim 15, die 8 mm, 5 mm off. It covers from 5 - 3.5 = 1.5 mm on, the package lets it go to
    # 2.5 mm; two edges at once.
    found = shim_fit(
        15,
        15,
        package_width_mm=20,
        package_length_mm=20,
        die_width_mm=8,
        die_length_mm=8,
        offset_x_mm=5.0,
        offset_y_mm=-5.0,
    )
    assert found.fits
    assert (found.place_x_mm, found.place_y_mm) == pytest.approx((2.5, -2.5))
    assert "only when it is shifted 2.5 mm to the right (1.5 to 2.5 mm)" in sentence(found.reason)
    assert "2.5 mm away from you (1.5 to 2.5 mm)" in sentence(found.shift)
    assert "left" in sentence(
        shim_fit(
            15, 15, package_width_mm=20, package_length_mm=20, die_width_mm=8, die_length_mm=8, offset_x_mm=-5.0
        ).shift
    )
    assert "towards you" in sentence(
        shim_fit(
            15, 15, package_width_mm=20, package_length_mm=20, die_width_mm=8, die_length_mm=8, offset_y_mm=5.0
        ).shift
    )
    assert (
        shim_fit(
            15, 15, package_width_mm=20, package_length_mm=20, die_width_mm=8, die_length_mm=8, offset_x_mm=3.0
        ).shift
        == ""
    )  # in the middle it covers to 3.5 mm


def test_bare_neighbours_are_named():
    near = shim_fit(
        18, 18, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9, neighbours_mm=0.5
    )
    assert near.fits
    assert "insulate them" in sentence(near.reason)
    # 12 mm in the middle of 18 leaves 3 + 0.5 mm; moved by 3 mm over its die it leaves 0.5 mm on that side.
    assert "insulate" not in sentence(
        shim_fit(
            12, 12, package_width_mm=18, package_length_mm=18, die_width_mm=9, die_length_mm=9, neighbours_mm=0.5
        ).reason
    )
    assert "0.5 mm from where the shim lies" in sentence(
        shim_fit(
            12,
            12,
            package_width_mm=18,
            package_length_mm=18,
            die_width_mm=9,
            die_length_mm=9,
            offset_x_mm=3.0,
            neighbours_mm=0.5,
        ).reason
    )


def test_a_clamped_plate_bends_as_the_textbook_says():
    # By hand: D = 70e9 * 1e-9 / (12 * 0.91) = 6.41 N m; c = 0.0072 * 0.04 / 6.41 = 0.0449 mm/N. A pad 0.25 mm proud
    # that
    # would press with 10 N has 0.025 mm/N, so the cover takes 0.25 * 0.0449 / 0.0699 mm of it.
    assert cover_bulge_mm(10.0, 0.25, material="aluminium", thickness_mm=1.0, short_mm=200.0) == pytest.approx(
        0.1606, abs=0.0005
    )
    assert cover_bulge_mm(10.0, 0.25, material="aluminium", thickness_mm=4.0, short_mm=200.0) < 0.01
    assert cover_bulge_mm(1e3, 0.25, material="plastic", thickness_mm=1.0, short_mm=200.0) == pytest.approx(
        0.25, abs=0.001
    )


def test_an_annular_fin_is_what_the_reference_library_computes():
    # ht.fin_efficiency_Kern_Kraus: annular fin with both faces in the stream; one face at h is that fin at h/2.
    k, h, t, inner, outer = 160.0, PLACEMENTS["stand"], 1.0e-3, 0.02, 0.12
    efficiency = fin_efficiency_Kern_Kraus(2 * inner, 2 * outer, t, k, h / 2)
    fin = efficiency * h * math.pi * (outer**2 - inner**2)
    wanted = 1.0 / (h * math.pi * inner**2 + fin)
    got = cover_resistance(
        "aluminium", 1.0, cover_mm2=math.pi * outer**2 * 1e6, patch_mm2=math.pi * inner**2 * 1e6, placement="stand"
    )
    assert got == pytest.approx(wanted, rel=2e-3)


def test_a_perfect_conductor_spreads_over_the_whole_cover():
    area = 40_000.0
    plate = cover_resistance("aluminium", 10.0, cover_mm2=area, patch_mm2=area / 2, placement="desk")
    assert plate == pytest.approx(1.0 / (PLACEMENTS["desk"] * area * 1e-6), rel=0.02)


@pytest.mark.parametrize("placement", PLACEMENTS)
def test_plastic_keeps_a_hot_spot_where_metal_does_not(placement):
    metal, plastic = (
        skin_temperature(
            4.0, 25, material=m, thickness_mm=1.5, cover_mm2=60_000, patch_mm2=1500, placement=placement
        ).skin_c
        for m in ("aluminium", "plastic")
    )
    assert plastic > metal + 10


def test_limits_of_touch():
    # ISO 13732-1 burn thresholds and IEC 62368-1 touch temperatures, from memory (handbook/materials.md).
    assert [touch_limit("aluminium", s) for s in (10, 60, 600, 8 * 3600)] == [51, 51, 48, 43]
    assert touch_limit("plastic", 30) == 60
    assert touch_limit("plastic", 60) == 51
    assert all(touch_limit(m, 3600) == 43 for m in COVERS)


def test_a_lap_is_judged_by_hours_and_a_dock_by_a_touch():
    lap = skin_temperature(
        3.0, 25, material="aluminium", thickness_mm=1.0, cover_mm2=60_000, patch_mm2=1500, placement="lap"
    )
    dock = skin_temperature(
        3.0, 25, material="aluminium", thickness_mm=1.0, cover_mm2=60_000, patch_mm2=1500, placement="dock"
    )
    assert (lap.limit_c, dock.limit_c) == (43, 51)
    assert not lap.allowed
    assert dock.allowed
    assert dock.high_c > dock.skin_c  # what counts is the upper end


def test_a_cover_takes_its_share_and_no_more():
    assert heat_into_cover(12, 3.0, 0.5, 2.5) == pytest.approx(6.0)
    assert heat_into_cover(12, 3.0, 1e5, 2.5) < 0.001


def test_coupling_lets_a_fanless_machine_hold_what_the_trade_sees():
    # handbook/materials.md, common practice: 12 W rather than 7 to 8 W after ten minutes. Rest of the chain from
    # memory.
    # On the desk, with two fifths of the heat having gone through that cover before, the chain gives 14 W.
    interface, behind, rise = 0.8, 8.4, 95.0 - 25.0
    pad = layer_resistance(1000, 6.0, 40 * 40)
    cover = cover_resistance("aluminium", 0.8, cover_mm2=290 * 195, patch_mm2=40 * 40, placement="desk")
    before = rise / (interface + behind)
    after = rise / (interface + in_parallel([behind / (1 - 0.4), pad + cover]))
    assert before == pytest.approx(7.6, abs=0.2)
    assert 12 <= after < 17


def test_a_free_cover_gives_off_what_a_warm_plate_of_the_reference_library_does():
    # Below a horizontal warm plate Nu = 0.27 Ra^(1/4) (McAdams), from the reference library; and radiation of 0.85.
    length = 0.3 * 0.2 / (2 * (0.3 + 0.2))
    beta, nu, k, pr, warm, room = 1 / 308, 1.65e-5, 0.0267, 0.71, 318.0, 298.0
    grashof = 9.81 * beta * (warm - room) * length**3 / nu**2
    convection = Nu_horizontal_plate_McAdams(pr, grashof, buoyancy=False) * k / length
    radiation = 0.85 * 5.670374e-8 * (warm**4 - room**4) / (warm - room)
    assert convection + radiation == pytest.approx(PLACEMENTS["stand"], rel=0.1)


@pytest.mark.parametrize(
    ("call", "text"),
    [
        (lambda: touch_limit("mithril", 10), "“mithril” isn’t a choice for .*Allowed: aluminium"),
        (
            lambda: skin_temperature(
                3, 25, material="steel", thickness_mm=1, cover_mm2=60_000, patch_mm2=1500, placement="moon"
            ),
            "“moon” isn’t a choice",
        ),
        (
            lambda: skin_temperature(
                3, 25, material="steel", thickness_mm=1, cover_mm2=1000, patch_mm2=1500, placement="lap"
            ),
            "allowed are 10 to 1000 mm²",
        ),
        (lambda: shim_gain(0, 15, power=8, pad_um=2000, pad_conductivity=3, shim_um=1000), "allowed are 1 to 200 mm"),
    ],
)
def test_what_cannot_be_is_refused_with_its_limit(call, text):
    with refuses(CoreError, match=text):
        call()


def test_a_pad_that_is_no_thicker_than_its_gap_presses_nothing_out():
    assert cover_bulge_mm(10.0, 0.0, material="aluminium", thickness_mm=1.0, short_mm=200.0) == 0.0
    assert cover_bulge_mm(0.0, 0.25, material="aluminium", thickness_mm=1.0, short_mm=200.0) == 0.0


def test_a_pad_over_all_of_the_cover_has_no_fin_around_it():
    area = 20_000.0
    whole = cover_resistance("plastic", 1.5, cover_mm2=area, patch_mm2=area, placement="desk")
    assert whole == pytest.approx(1.0 / (PLACEMENTS["desk"] * area * 1e-6))


def test_a_battery_at_the_pad_gets_the_pads_rise_and_one_far_away_on_plastic_next_to_none():
    near, far = (
        skin_temperature(
            4.0,
            25,
            material="plastic",
            thickness_mm=0.3,
            cover_mm2=400_000,
            patch_mm2=1500,
            placement="desk",
            battery_mm=mm,
        )
        for mm in (0.0, 300.0)
    )
    assert near.battery_c == pytest.approx(near.high_c, abs=0.1)
    assert far.battery_c == pytest.approx(25.0, abs=0.5)
    assert cover_resistance("plastic", 0.3, cover_mm2=400_000, patch_mm2=1500, placement="desk") > 0
