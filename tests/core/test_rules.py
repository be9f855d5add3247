"""Gates, life, and the promise that every public function documents itself."""

import importlib
import inspect
import pkgutil
import re
from datetime import date

import pytest
from tests.said import refuses

import vividowl.core
from vividowl.core.job.gates import Severity, intake_gates
from vividowl.core.materials.kinds import material
from vividowl.core.materials.life import add_months, next_service
from vividowl.core.quantities.errors import CoreError
from vividowl.words import sentence

CLEAR = {
    "kind": "laptop",
    "battery_swollen": False,
    "liquid_damage": False,
    "backup_done": "yes",
    "warranty": "over",
    "seal": "none",
}


def test_nothing_tripped():
    assert intake_gates(**CLEAR) == ()


@pytest.mark.parametrize(
    ("change", "rule", "severity"),
    [
        ({"battery_swollen": True}, "swollen_battery", Severity.STOP),
        ({"liquid_damage": True}, "liquid_damage", Severity.ACKNOWLEDGE),
        ({"warranty": "running"}, "warranty_and_seal", Severity.ACKNOWLEDGE),
        ({"seal": "intact"}, "warranty_and_seal", Severity.ACKNOWLEDGE),
        ({"backup_done": "no"}, "backup", Severity.ACKNOWLEDGE),
        ({"backup_done": "unknown"}, "backup", Severity.ACKNOWLEDGE),
        ({"kind": "console"}, "mains_supply", Severity.NOTE),
    ],
)
def test_each_gate_trips_alone(change, rule, severity):
    (gate,) = intake_gates(**{**CLEAR, **change})
    assert (gate.rule, gate.severity) == (rule, severity)
    assert gate.reason
    assert gate.remedy


def test_a_stop_comes_first():
    gates = intake_gates(**{**CLEAR, "kind": "console", "backup_done": "no", "battery_swollen": True})
    assert [g.severity for g in gates] == [Severity.STOP, Severity.ACKNOWLEDGE, Severity.NOTE]


def test_the_earlier_of_dust_and_interface_counts():
    # handbook/life.md: dust 6 months with pets, 12 otherwise; alloy yearly; phase change 3 years and more.
    today = date(2026, 3, 31)
    assert next_service(today, "pets", interfaces=(material("phase_change_sheet"),)).on == date(2026, 9, 30)
    assert next_service(today, "normal", interfaces=(material("phase_change_sheet"),)).months == 12
    assert "dust" in sentence(next_service(today, "normal", interfaces=(material("paste_soft"),)).reason)


def test_the_last_of_a_month_is_kept():
    assert add_months(date(2024, 1, 31), 1) == date(2024, 2, 29)
    assert add_months(date(2025, 11, 30), 15) == date(2027, 2, 28)


def test_unknown_surroundings_are_refused_and_the_allowed_are_named():
    with refuses(CoreError, match="“moon” isn’t a choice for .*Allowed: dusty"):
        next_service(date(2026, 1, 1), "moon", interfaces=())


def public_functions():
    for info in pkgutil.walk_packages(vividowl.core.__path__, "vividowl.core."):
        if info.name.endswith(".errors"):
            continue
        module = importlib.import_module(info.name)
        for name, function in inspect.getmembers(module, inspect.isfunction):
            if function.__module__ == info.name and not name.startswith("_"):
                yield pytest.param(function, id=f"{info.name.rsplit('.', 1)[1]}.{name}")


@pytest.mark.parametrize("function", public_functions())
def test_every_public_function_documents_parameters_units_and_source(function):
    text = inspect.getdoc(function) or ""
    signature = inspect.signature(function)
    for name, parameter in signature.parameters.items():
        if re.search(r"float|int\b|Series|NDArray", str(parameter.annotation)):
            line = re.search(rf"^{name}: (.+(?:\n    .+)*)", text, re.M)
            assert line, f"{name} is not documented"
            assert re.search(r"\[[^\]]+\]", line.group(1)), f"{name} has no [unit]"
    for line in re.findall(r"^(\w+): .*\[", text, re.M):
        assert line in {*signature.parameters, "returns", "range", "formula"}, f"{line} is no parameter"
    if re.search(r"float|int\b|Series|NDArray", str(signature.return_annotation)):
        assert re.search(r"^returns: ", text, re.M), "a number is returned, and not said of what"
    if re.search(r"^formula: ", text, re.M):
        assert re.search(r"^source: ", text, re.M), "a formula has a source"
