"""Devices: the list, one with its history, two put together, one taken apart."""

from __future__ import annotations

import uuid
from typing import Annotated

from pydantic import BaseModel, Field

from vividowl.service.devices import devices
from vividowl.service.devices.history import get_device as device_with_history
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.devices.present import device_out, row_out
from vividowl.web.devices.schemas import DeviceOut, DevicePage, MayBeOneOut, MergeIn, SplitIn
from vividowl.web.idempotency import idempotent

api = blueprint("devices", __name__, url_prefix="/api/devices")


class DevicePath(BaseModel):
    device_id: uuid.UUID


class ChangePath(BaseModel):
    change_id: uuid.UUID


class DeviceQuery(BaseModel):
    limit: Annotated[int, Field(ge=1, le=100)] = 50
    offset: Annotated[int, Field(ge=0, le=1_000_000)] = 0
    find: Annotated[str, Field(max_length=80, pattern=r"^[^\x00]*$")] = ""


@api.get("", responses={200: DevicePage}, operation_id="listDevices")
@access("member")
def list_devices(query: DeviceQuery) -> DevicePage:
    """Devices, the one seen last on top, and those that may be one."""
    rows, total, groups = devices.list_devices(
        workshop(), actor(), limit=query.limit, offset=query.offset, find=query.find.strip()
    )
    return DevicePage(
        devices=[row_out(r) for r in rows],
        total=total,
        may_be_one=[MayBeOneOut(devices=[row_out(r) for r in g.devices]) for g in groups],
    )


@api.get("/<uuid:device_id>", responses={200: DeviceOut}, operation_id="getDevice")
@access("member")
def get_device(path: DevicePath) -> DeviceOut:
    """One device with all its visits."""
    return device_out(device_with_history(workshop(), actor(), path.device_id))


@api.post("/<uuid:device_id>/merge", responses={201: DeviceOut}, operation_id="mergeDevices")
@access("owner")
@idempotent
def merge(path: DevicePath, body: MergeIn) -> tuple[DeviceOut, int]:
    """Put another device together with this one."""
    return device_out(devices.merge(workshop(), actor(), path.device_id, body.other)), 201


@api.post("/<uuid:device_id>/split", responses={201: DeviceOut}, operation_id="splitDevice")
@access("owner")
@idempotent
def split(path: DevicePath, body: SplitIn) -> tuple[DeviceOut, int]:
    """Take a visit out: it was another device. Answers with that other device."""
    return device_out(devices.split(workshop(), actor(), path.device_id, body.job)), 201


@api.post("/changes/<uuid:change_id>/undo", responses={201: DeviceOut}, operation_id="undoDeviceChange")
@access("owner")
@idempotent
def undo(path: ChangePath) -> tuple[DeviceOut, int]:
    """Take back what was put together or taken apart."""
    return device_out(devices.take_back(workshop(), actor(), path.change_id)), 201
