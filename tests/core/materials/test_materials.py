"""Dose, syringe, pads, layers and plating against geometry, textbooks and the trade's worked examples."""

import ast
import math
from pathlib import Path

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses

import vividowl
from vividowl.core.heat.conduction import layer_resistance
from vividowl.core.materials.dose import check_syringe, dose
from vividowl.core.materials.kinds import CATALOGUE, NUMBERS, Kind, source_of
from vividowl.core.materials.pads import PAD_THICKNESSES_MM, choose_pad
from vividowl.core.materials.plating import FARADAY, PlatingMethod, faraday_rate_um_h, plating_time
from vividowl.core.quantities.errors import OutOfRange


def test_ten_microlitres_are_a_bead_of_2_7_mm():
    # handbook/materials.md, common practice: 10 µL is a 2.7 mm bead; geometry of a ball says the same.
    found = dose(20.0, 10.0, film_um=50.0, waste=0.0, density_g_ml=2.5)
    assert found.volume_ul == pytest.approx(10.0)
    assert found.bead_diameter_mm == pytest.approx(2.7, abs=0.05)
    assert found.mass_g == pytest.approx(0.025)


def test_both_faces_take_twice_and_waste_is_on_top():
    one = dose(15, 13, film_um=30, waste=0.0, density_g_ml=6.4)
    assert dose(15, 13, film_um=30, waste=0.5, density_g_ml=6.4, faces=2).volume_ul == pytest.approx(3 * one.volume_ul)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"width_mm": 0}, "width_mm"),
        ({"film_um": -30}, "film_um"),
        ({"density_g_ml": 60}, "density_g_ml"),
        ({"faces": 3}, "faces"),
        ({"waste": -0.1}, "waste"),
        ({"length_mm": math.nan}, "length_mm"),
    ],
)
def test_an_impossible_contact_is_refused_with_its_field(change, field):
    usual = {"width_mm": 15, "length_mm": 13, "film_um": 30, "waste": 0.3, "density_g_ml": 2.5, "faces": 1}
    with refuses(OutOfRange, match="allowed") as caught:
        dose(**{**usual, **change})
    assert caught.value.field == field


def test_a_syringe_of_alloy_cannot_hold_two_grams_in_a_fifth_of_a_millilitre():
    # handbook/materials.md, common practice: 0.2 mL, 2.1 g of a 6.4 g/mL alloy cannot both be right; 1.3 g can.
    odd = check_syringe(0.2, 2.1, 6.4)
    assert (odd.consistent, odd.implied_density_g_ml) == (False, pytest.approx(10.5))
    assert check_syringe(0.2, 1.3, 6.4).consistent


def test_published_films_of_the_handbook():
    # handbook/materials.md, common practice: 15 x 13 mm at 60 W, films of 30 µm paste, 80 µm residue, 30 µm alloy.
    for film, k, drop in ((30, 8.5, 1.1), (80, 1.0, 24.6), (30, 73.0, 0.13)):
        assert 60 * layer_resistance(film, k, 15 * 13) == pytest.approx(drop, abs=0.05 if drop > 0.2 else 0.005)
    # The same section: 2 mm of 3 W/(m K) pad on 15 x 15 mm is 2.96 K/W, 1 mm of copper 0.011 K/W.
    assert layer_resistance(2000, 3.0, 225) == pytest.approx(2.96, abs=0.005)
    assert layer_resistance(1000, 390.0, 225) == pytest.approx(0.011, abs=0.0005)


def test_two_layers_in_a_row_add_and_half_the_area_doubles():
    # Plane walls in series, any textbook of heat transfer.
    assert layer_resistance(60, 5, 100) == pytest.approx(2 * layer_resistance(30, 5, 100))
    assert layer_resistance(30, 5, 50) == pytest.approx(2 * layer_resistance(30, 5, 100))


def test_a_pad_for_a_gap_and_for_a_gap_that_spreads_too_far():
    found = choose_pad(0.8, 0.05)
    assert (found.thickness_mm, found.stack_mm, found.fits) == (1.0, (1.0,), True)
    assert found.compression_min == pytest.approx(0.15)
    assert found.compression_max == pytest.approx(0.25)
    wide = choose_pad(0.8, 0.3)
    assert not wide.fits
    assert wide.compression_max > 0.3 or wide.compression_min < 0.1


def test_a_single_pad_goes_before_a_stack_and_a_stack_where_no_single_one_fits():
    assert choose_pad(2.4, 0.05).stack_mm == (3.0,)
    assert choose_pad(3.2, 0.05).stack_mm in ((1.0, 3.0), (1.5, 2.5), (2.0, 2.0))


@given(st.floats(0.4, 5.0), st.floats(0.0, 0.3))
def test_property_a_pad_that_fits_stays_in_its_window_over_the_whole_tolerance(gap, tolerance):
    if tolerance >= gap:
        return
    found = choose_pad(gap, tolerance)
    assert found.thickness_mm == pytest.approx(sum(found.stack_mm))
    assert set(found.stack_mm) <= set(PAD_THICKNESSES_MM)
    for actual in (gap - tolerance, gap, gap + tolerance):
        compression = 1 - actual / found.thickness_mm
        assert found.compression_min - 1e-9 <= compression <= found.compression_max + 1e-9
        if found.fits:
            assert 0.1 - 1e-6 <= compression <= 0.3 + 1e-6


@pytest.mark.parametrize(
    ("gap", "tolerance", "says"),
    [(9.0, 0.1, "wider than any stack fills; up to 5.4 mm"), (0.0, 0.0, "allowed"), (0.5, 0.6, "as large as the gap")],
)
def test_a_gap_that_no_pad_can_fill_is_refused_with_a_remedy(gap, tolerance, says):
    with refuses(OutOfRange, match=says) as caught:
        choose_pad(gap, tolerance)
    assert caught.value.remedy


def test_nickel_grows_by_faradays_law():
    # handbook/materials.md: 1 A/dm² gives 0.205 µm/min, and 1.2 µm/min needs 5.9 A/dm²; CODATA 2018 for the constant.
    assert FARADAY == 96485.33212
    assert faraday_rate_um_h(1.0) / 60 == pytest.approx(0.205, abs=0.0005)
    assert 1.2 / (faraday_rate_um_h(1.0) / 60) == pytest.approx(5.9, abs=0.05)
    found = plating_time(PlatingMethod.ELECTROLYTIC, 12.0, current_density_a_dm2=1.0)
    assert found.hours == pytest.approx(12.0 / found.rate_um_h)


def test_ten_micrometres_without_current_take_four_hours():
    # handbook/materials.md, common practice: 2.5 µm/h at 70 °C, 10 µm in 4 h.
    assert plating_time(PlatingMethod.ELECTROLESS, 10.0).hours == pytest.approx(4.0)


def test_what_is_not_known_of_a_bath_is_said():
    with refuses(OutOfRange, match="is not known"):
        plating_time(PlatingMethod.ELECTROLESS, 10.0, temperature_c=40.0)
    with refuses(OutOfRange, match="needs the current density"):
        plating_time(PlatingMethod.ELECTROLYTIC, 10.0)


def test_each_kind_stands_in_the_catalogue_with_a_source_a_value():
    assert set(CATALOGUE) == set(Kind)
    for kind in Kind:
        for name in NUMBERS:
            source = source_of(kind, name)
            assert source == "from memory" or source.startswith(("common practice, no source", "textbook value")), (
                source
            )


SOURCE = Path(vividowl.__file__).parent
# Tasks of the price have names of their own that happen to be those of two kinds; migrations are of their day.
APART = ("store/migrations", "core/materials/kinds.py", "core/plan/price.py")


def test_no_kind_stands_anywhere_as_a_bare_string():
    odd = []
    for path in SOURCE.rglob("*.py"):
        name = str(path.relative_to(SOURCE))
        if name.startswith(APART):
            continue
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if isinstance(node, ast.Constant) and node.value in set(Kind) - {"pad", "putty"}:
                odd.append(f"{name}:{node.lineno} {node.value}")
            if isinstance(node, ast.Compare) and isinstance(node.left, ast.Attribute) and node.left.attr == "kind":
                odd += [
                    f"{name}:{node.lineno} {c.value}"
                    for c in node.comparators
                    if isinstance(c, ast.Constant) and c.value in ("pad", "putty")
                ]
    assert odd == []


def test_a_pad_may_not_be_pressed_less_at_most_than_at_least():
    with refuses(OutOfRange, "compression"):
        choose_pad(1.0, 0.1, 0.3, 0.2)
