"""What a device has, as its job says."""

from __future__ import annotations

from vividowl.store.models import Job


def has_battery(job: Job) -> bool:
    """Whether the device has one."""
    return job.kind in ("laptop", "handheld")


def is_fanless(job: Job) -> bool:
    """Whether it is known to have no fan."""
    return job.fan == "no"
