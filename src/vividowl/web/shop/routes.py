"""Settings of the shop."""

from __future__ import annotations

import uuid

from pydantic import BaseModel

from vividowl.service.shop import people
from vividowl.service.shop import settings as shop_settings
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.idempotency import idempotent
from vividowl.web.shop.schemas import (
    ActiveIn,
    PeopleOut,
    PersonIn,
    PredictedOut,
    ShopIn,
    ShopOut,
    TaskOut,
)
from vividowl.words import sentence

api = blueprint("shop", __name__, url_prefix="/api/shop")


@api.get("", responses={200: ShopOut}, operation_id="getShop")
@access("member")
def get_shop() -> ShopOut:
    """Reference room and tolerances."""
    return _shop(shop_settings.get_settings(workshop(), actor()))


@api.put("", responses={200: ShopOut}, operation_id="saveShop")
@access("owner")
def save_shop(body: ShopIn) -> ShopOut:
    """Set them."""
    return _shop(
        shop_settings.save_settings(
            workshop(),
            actor(),
            version=body.version,
            reference_room_c=body.reference_room_c,
            tolerances=body.tolerances.model_dump(),
            habits=body.habits.model_dump(),
        )
    )


def _shop(found: shop_settings.ShopSettings) -> ShopOut:
    return ShopOut(
        version=found.version,
        name=found.name,
        currency=found.currency,
        reference_room_c=found.reference_room_c,
        tolerances=found.tolerances,
        usual=found.usual,
        habits=found.habits,
        predicted=PredictedOut.model_validate(found.record),
        own_scatter=found.own or None,
        tasks=[
            TaskOut(
                name=n,
                words=sentence(w),
                hands_min=h,
                wait_min=wait,
                learnt_min=found.learnt[n].hands_min if n in found.learnt else None,
                learnt_jobs=found.learnt[n].jobs if n in found.learnt else 0,
            )
            for n, w, h, wait in found.tasks
        ],
    )


class PersonPath(BaseModel):
    member_id: uuid.UUID


def _people() -> PeopleOut:
    return PeopleOut(people=list(people.people(workshop(), actor())))


@api.get("/people", responses={200: PeopleOut}, operation_id="getPeople")
@access("owner")
def get_people() -> PeopleOut:
    """Who signs in to this shop."""
    return _people()


@api.post("/people", responses={201: PeopleOut}, operation_id="addPerson")
@access("owner")
@idempotent
def add_person(body: PersonIn) -> tuple[PeopleOut, int]:
    """Add someone."""
    people.add_person(workshop(), actor(), **body.model_dump())
    return _people(), 201


@api.put("/people/<uuid:member_id>", responses={200: PeopleOut}, operation_id="setPersonActive")
@access("owner")
def set_active(path: PersonPath, body: ActiveIn) -> PeopleOut:
    """Let someone in, or no longer."""
    people.set_active(workshop(), actor(), path.member_id, body.active)
    return _people()
