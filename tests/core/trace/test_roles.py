"""Column roles by name and unit. The header styles are invented; which words the trade uses is common practice."""

import pytest

from vividowl.core.trace.roles import Role, recognise, unit_of


@pytest.mark.parametrize(
    ("header", "unit"),
    [
        ("CPU Package [°C]", "°C"),
        ("cpu_temp_c", "°C"),
        ("Die temp (F)", "°F"),
        ("Package Power (mW)", "mW"),
        ("GPU clock MHz", "MHz"),
        ("Fan [RPM]", "rpm"),
        ("Total usage %", "%"),
        ("Mystery", ""),
    ],
)
def test_units_in_headers(header, unit):
    assert unit_of(header) == unit


def test_a_row_of_units_counts_when_the_header_is_silent():
    assert unit_of("Die", "degC") == "°C"


def roles(*headers):
    return {g.header: g.role for g in recognise(headers)}


def test_a_usual_log_is_understood():
    found = roles(
        "Date",
        "CPU Package [°C]",
        "GPU Temperature [°C]",
        "GPU Hot Spot [°C]",
        "CPU Package Power [W]",
        "GPU Power [W]",
        "Core Clocks (avg) [MHz]",
        "GPU Clock [MHz]",
        "Total CPU Usage [%]",
        "GPU Load [%]",
        "Fan [RPM]",
        "Heatsink probe [°C]",
        "Exhaust [°C]",
        "Room [°C]",
        "Thermal throttling [Yes/No]",
    )
    assert found["Date"] is None
    assert [found[h] for h in list(found)[1:]] == [
        Role.CPU_TEMPERATURE,
        Role.GPU_TEMPERATURE,
        Role.GPU_HOTSPOT,
        Role.CPU_POWER,
        Role.GPU_POWER,
        Role.CPU_CLOCK,
        Role.GPU_CLOCK,
        Role.CPU_UTILISATION,
        Role.GPU_UTILISATION,
        Role.FAN_SPEED,
        Role.HEATSINK_TEMPERATURE,
        Role.EXHAUST_TEMPERATURE,
        Role.ROOM_TEMPERATURE,
        Role.THROTTLE_FLAG,
    ]


def test_the_package_wins_over_single_cores_and_a_role_is_given_once():
    found = roles("Core 0 [°C]", "Core 1 [°C]", "CPU Package [°C]")
    core = Role.CORE_TEMPERATURE
    assert found == {"Core 0 [°C]": core, "Core 1 [°C]": core, "CPU Package [°C]": Role.CPU_TEMPERATURE}
    assert roles("Core 0 [°C]", "Fan [RPM]") == {"Core 0 [°C]": Role.CPU_TEMPERATURE, "Fan [RPM]": Role.FAN_SPEED}


@pytest.mark.parametrize(
    ("header", "role"),
    [
        ("GPU Memory Junction Temperature [°C]", Role.MEMORY_TEMPERATURE),
        ("VRAM temp (C)", Role.MEMORY_TEMPERATURE),
        ("VRM MOS [°C]", Role.REGULATOR_TEMPERATURE),
        ("SSD temperature [°C]", Role.DRIVE_TEMPERATURE),
        ("Skin temperature [°C]", Role.SKIN_TEMPERATURE),
        ("GPU Junction [°C]", Role.GPU_HOTSPOT),
        ("GPU Memory Usage [MB]", None),
        ("Memory clock [MHz]", None),
        ("Drive temperature limit [°C]", None),
    ],
)
def test_what_sits_beside_the_dies_has_its_own_role(header, role):
    assert roles(header)[header] is role


@pytest.mark.parametrize(
    "header",
    ["CPU temp limit [°C]", "CPU power limit [W]", "Battery [°C]"],
)
def test_what_only_sounds_like_it_gets_no_role(header):
    assert roles(header)[header] is None


def test_a_unit_that_does_not_fit_bars_the_role():
    assert roles("CPU Package [W]")["CPU Package [W]"] is Role.CPU_POWER
    assert roles("CPU temperature [V]")["CPU temperature [V]"] is None


def test_confidence_is_higher_for_a_full_name_with_unit():
    sure, vague = recognise(["CPU Package Temperature [°C]"])[0], recognise(["processor"])[0]
    assert sure.confidence > 0.75 > vague.confidence > 0


def test_snake_case_and_camel_case_are_read():
    assert roles("cpu_package_power_w")["cpu_package_power_w"] is Role.CPU_POWER
    assert roles("gpuTemp (C)")["gpuTemp (C)"] is Role.GPU_TEMPERATURE
