"""Settings of the shop."""

from __future__ import annotations

from vividowl.service.shop import settings as shop_settings
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.shop.schemas import HabitsOut, PredictedOut, ShopIn, ShopOut, TaskOut, TolerancesOut
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
            body.version,
            body.reference_room_c,
            body.tolerances.model_dump(),
            body.habits.model_dump(),
        )
    )


def _shop(found: shop_settings.ShopSettings) -> ShopOut:
    return ShopOut(
        version=found.version,
        name=found.name,
        currency=found.currency,
        reference_room_c=found.reference_room_c,
        tolerances=TolerancesOut.model_validate(found.tolerances),
        usual=TolerancesOut.model_validate(found.usual),
        habits=HabitsOut.model_validate(found.habits),
        predicted=PredictedOut.model_validate(found.record),
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
