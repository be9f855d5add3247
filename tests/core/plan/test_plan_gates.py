"""Gates of a plan: each trips for its fact and for nothing less. Common practice, no source, unless named."""

from dataclasses import replace

import pytest

from vividowl.core.heat.skin import Skin
from vividowl.core.job.gates import Severity
from vividowl.core.plan.gates import PlanFacts, plan_gates
from vividowl.words import sentence

SAFE_ALLOY = PlanFacts(alloy=True, cold_plate="nickel", aluminium_near=False, parts_exposed=True, insulation="coat")


def skin(middle, high, limit, battery=None):
    return Skin(
        skin_c=middle,
        low_c=2 * middle - high,
        high_c=high,
        limit_c=limit,
        allowed=high <= limit,
        resistance=5.0,
        battery_c=battery,
    )


COVER = PlanFacts(cover=True, skin=skin(38.0, 40.0, 51.0), battery=True, battery_mm=20.0)
STOP, ACK, NOTE = Severity.STOP, Severity.ACKNOWLEDGE, Severity.NOTE

# rule, severity, facts that trip it, facts that just do not
CASES = [
    ("alloy_on_aluminium", STOP, replace(SAFE_ALLOY, cold_plate="aluminium"), SAFE_ALLOY),
    ("alloy_on_aluminium", STOP, replace(SAFE_ALLOY, aluminium_near=True), PlanFacts(aluminium_near=True)),
    ("alloy_metal_unknown", STOP, replace(SAFE_ALLOY, cold_plate="unknown"), SAFE_ALLOY),
    ("alloy_metal_unknown", STOP, replace(SAFE_ALLOY, aluminium_near=None), PlanFacts(aluminium_near=None)),
    ("alloy_on_copper", ACK, replace(SAFE_ALLOY, cold_plate="copper"), SAFE_ALLOY),
    ("alloy_on_nickel", NOTE, SAFE_ALLOY, replace(SAFE_ALLOY, cold_plate="copper")),
    ("parts_not_insulated", STOP, replace(SAFE_ALLOY, insulation="none"), replace(SAFE_ALLOY, insulation="tape")),
    (
        "parts_not_insulated",
        STOP,
        replace(SAFE_ALLOY, parts_exposed=None, insulation="none"),
        replace(SAFE_ALLOY, parts_exposed=False, insulation="none"),
    ),
    ("alloy_carried", ACK, replace(SAFE_ALLOY, carried=True), PlanFacts(carried=True)),
    ("lacquer_insulation", NOTE, replace(SAFE_ALLOY, insulation="lacquer"), SAFE_ALLOY),
    ("pad_too_thick", STOP, PlanFacts(pad_lifts="Too thick: pressed by 45 %."), PlanFacts()),
    ("paste_over_gap", STOP, PlanFacts(paste_over_gap=True), PlanFacts()),
    ("shim_too_wide", STOP, PlanFacts(shim_misfit="The shim is 5 mm wider than the package."), PlanFacts()),
    ("shim_too_thick", STOP, PlanFacts(shim_height="3 mm of copper holds the cooler off the die."), PlanFacts()),
    ("gap_not_bridged", NOTE, PlanFacts(gap_open="Row 2, memory: nothing bridges 20 mm."), PlanFacts()),
    # handbook/materials.md with ISO 13732-1 and IEC 62368-1: the upper end of the interval counts.
    (
        "skin_limit",
        STOP,
        replace(COVER, skin=skin(41.0, 43.1, 43.0), lap_use=True),
        replace(COVER, skin=skin(41.0, 42.9, 43.0), lap_use=True),
    ),
    ("after_on_lap", ACK, replace(COVER, skin=skin(43.0, 44.0, 51.0), after_on_lap=True), COVER),
    (
        "after_on_lap",
        ACK,
        replace(COVER, skin=skin(43.0, 44.0, 51.0), after_on_lap=True),
        replace(COVER, after_on_lap=True),
    ),
    ("skin_limit", ACK, replace(COVER, skin=skin(49.0, 51.1, 51.0)), replace(COVER, skin=skin(49.0, 50.9, 51.0))),
    ("skin_limit", STOP, replace(COVER, skin=skin(55.0, 60.1, 51.0)), PlanFacts(skin=skin(55.0, 60.1, 51.0))),
    ("skin_not_known", STOP, replace(COVER, skin=None), COVER),
    ("cover_gap_unknown", STOP, replace(COVER, cover_gap=False), COVER),
    ("cover_bulges", STOP, replace(COVER, cover_force="The pad presses with 60 N."), COVER),
    ("cover_battery_unknown", STOP, replace(COVER, battery_mm=None), replace(COVER, battery=False, battery_mm=None)),
    ("cover_over_battery", STOP, replace(COVER, battery_mm=0.0), replace(COVER, battery_mm=0.5)),
    (
        "cover_battery_warm",
        ACK,
        replace(COVER, skin=skin(40.0, 48.0, 51.0, 45.1)),
        replace(COVER, skin=skin(40.0, 48.0, 51.0, 45.0)),
    ),
    ("mains_opened", STOP, PlanFacts(opens_mains=True), PlanFacts()),
    ("swollen_battery", STOP, PlanFacts(swollen=True), PlanFacts()),
    ("plating_chemicals", ACK, PlanFacts(plating=True), PlanFacts()),
    ("warranty_and_seal", ACK, PlanFacts(sealed=True), PlanFacts()),
]


@pytest.mark.parametrize(
    ("rule", "severity", "trips", "passes"), CASES, ids=[f"{c[0]}-{i}" for i, c in enumerate(CASES)]
)
def test_a_gate_trips_and_does_not_trip(rule, severity, trips, passes):
    found = {g.rule: g for g in plan_gates(trips)}
    assert found[rule].severity is severity
    assert sentence(found[rule].reason).endswith(".")
    assert found[rule].remedy
    assert rule not in {g.rule for g in plan_gates(passes)}


def test_an_empty_plan_trips_nothing():
    assert plan_gates(PlanFacts()) == ()


def test_stops_are_read_first_and_each_rule_once():
    gates = plan_gates(replace(SAFE_ALLOY, cold_plate="aluminium", carried=True, insulation="lacquer"))
    assert [g.severity for g in gates] == [STOP, ACK, NOTE]
    assert len({g.rule for g in gates}) == len(gates)


def test_plating_names_the_protection():
    (gate,) = plan_gates(PlanFacts(plating=True))
    for word in ("gloves", "goggles", "ventilation", "disposal"):
        assert word in sentence(gate.remedy)
