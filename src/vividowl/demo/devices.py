"""The devices of the demo: sick ones, and what a service makes of them."""

from __future__ import annotations

from dataclasses import replace

from vividowl.core.simulate.device import Device

CHALK = Device(interface=0.75, sink=0.72, chassis=0.12, fan_full_rpm=4200, boost_power=70, sustained_power=58)
CURED = replace(CHALK, interface=0.13, sink=0.46)
CONSOLE = Device(
    interface=0.3,
    sink=0.38,
    chassis=0.06,
    boost_power=112,
    sustained_power=105,
    boost_s=10,
    sink_capacity=220,
    fan_idle_rpm=1100,
    fan_full_rpm=3000,
    fan_low_c=50,
    fan_high_c=99,
    limit_c=96,
    clock_full_mhz=2200,
    hot_spot=0.09,
    memory_pad=4.6,
    memory_power=7.6,
    skin_share=0.45,
)
# New paste on the die; the pads were left.
CONSOLE_CURED = replace(CONSOLE, interface=0.12)
SLIM = Device(
    interface=0.5,
    sink=3.4,
    chassis=1.9,
    fanless=True,
    boost_power=20,
    sustained_power=15,
    boost_s=25,
    sink_capacity=55,
    chassis_capacity=420,
    idle_power=2,
    limit_c=95,
    clock_full_mhz=3200,
)
PINNED = Device(
    interface=0.62, sink=0.55, chassis=0.1, fan_full_rpm=4600, boost_power=95, sustained_power=85, boost_s=20
)
SLOW = Device(
    interface=0.4,
    sink=1.3,
    chassis=1.5,
    fanless=True,
    boost_power=16,
    sustained_power=15.5,
    boost_s=12,
    sink_capacity=45,
    chassis_capacity=190,
    idle_power=2,
    clock_full_mhz=3000,
)
FRESH = Device(interface=0.2, sink=0.5, chassis=0.12, sustained_power=38, boost_power=48)
HANDHELD = Device(interface=0.9, sink=1.4, chassis=0.4, sustained_power=18, boost_power=22, sink_capacity=40)
