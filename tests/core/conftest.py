"""Devices that the core is tried on. Invented; their closed-form steady state is the outside check."""

from dataclasses import replace
from pathlib import Path

import pytest

from vividowl.core.simulate.device import Device


def pytest_collection_modifyitems(items):
    """All tests of this folder are of the core: the lines that they reach are counted."""
    for item in items:
        if item.path.is_relative_to(Path(__file__).parent):
            item.add_marker(pytest.mark.core)


CHALK = Device(interface=0.75, sink=0.72, chassis=0.12, fan_full_rpm=4200, boost_power=70, sustained_power=58)


@pytest.fixture
def chalk():
    """A gaming laptop with dried-out paste and dust: held back by heat."""
    return CHALK


@pytest.fixture
def cured():
    """The same after a good service."""
    return replace(CHALK, interface=0.13, sink=0.46)


@pytest.fixture
def mild():
    """A device that copes."""
    return Device(interface=0.35, sink=0.55, chassis=0.12, sustained_power=40, boost_power=50)
