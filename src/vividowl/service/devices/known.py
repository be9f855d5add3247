"""Which device comes in: one that has been here, or another."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from typing import Any

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import listed, say
from vividowl.core.reading.limits import USUAL_LIMITS_C
from vividowl.service.errors import Refused
from vividowl.store.devices import Device
from vividowl.store.marks import asked
from vividowl.store.models import Job
from vividowl.store.scope import Scope

DEVICE_FIELDS = asked(Device)


def with_serial(scope: Scope, serial: str) -> Sequence[Device]:
    """Devices that carry a serial number, whatever its case."""
    if not serial:
        return []
    return scope.session.scalars(
        scope.select(Device).where(Device.serial.ilike(_literal(serial))).order_by(Device.created_at)
    ).all()


def _literal(text: str) -> str:
    return text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_")


def device_for(scope: Scope, job: Job, fields: Mapping[str, Any]) -> Device:
    """The device of a job, as the intake says it: the one chosen, the job's own, or a new one.

    A serial number that another device carries is no reason to guess: it is asked which of both it is.
    """
    for name in ("power_limit_cpu_w", "power_limit_gpu_w", "power_limit_both_w"):
        if fields[name] is not None:
            require_range(name, fields[name], "W", (1, 2000))
    if fields["limit_c"] is not None:
        require_range("limit_c", fields["limit_c"], "°C", (40, 150))
    for role, limit_c in fields["sensor_limits"].items():
        if role not in USUAL_LIMITS_C:
            raise Refused(
                "invalid", say("devices-no-limit-of", role=role, names=listed(USUAL_LIMITS_C)), field="sensor_limits"
            )
        require_range(role, limit_c, "°C", (30, 150))
    chosen: uuid.UUID | None = fields["device_id"]
    own: Device | None = job.device if job.device_id is not None else None
    device = scope.get(Device, chosen) if chosen is not None else own
    serial = fields["serial"].strip()
    twin = next((d for d in with_serial(scope, serial) if device is None or d.id != device.id), None)
    if twin is not None and not fields["another_device"]:
        raise Refused(
            "conflict",
            say("devices-serial-known", serial=serial, maker=twin.maker, model=twin.model),
            field="serial",
            reason="serial_known",
        )
    device = device or Device(shop_id=scope.shop_id)
    for name in DEVICE_FIELDS:
        setattr(device, name, fields[name])
    device.serial = serial
    device.customer_id = job.customer_id
    return scope.add(device)
