"""Settings of the shop."""

from __future__ import annotations

from flask_openapi.blueprint import APIBlueprint

from vividowl.service import shop_settings
from vividowl.web.access import access, actor, workshop
from vividowl.web.problems import Problem
from vividowl.web.schemas import ShopIn, ShopOut

api = APIBlueprint("shop", __name__, url_prefix="/api/shop",
                   abp_responses={401: Problem, 403: Problem, 422: Problem})  # fmt: skip


@api.get("", responses={200: ShopOut}, operation_id="getShop")
@access("member")
def get_shop() -> ShopOut:
    """Reference room and tolerances."""
    return ShopOut.model_validate(shop_settings.get_settings(workshop(), actor()))


@api.put("", responses={200: ShopOut}, operation_id="saveShop")
@access("owner")
def save_shop(body: ShopIn) -> ShopOut:
    """Set them."""
    found = shop_settings.save_settings(workshop(), actor(), body.reference_room_c, body.tolerances.model_dump())
    return ShopOut.model_validate(found)
