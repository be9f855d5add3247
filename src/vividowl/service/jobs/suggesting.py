"""Texts used before, offered while somebody types."""

from __future__ import annotations

from vividowl.core.quantities.words import listed, say
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.devices import Device
from vividowl.store.measuring import Run
from vividowl.store.models import Customer, FitItem

SUGGEST = {
    "maker": Device.maker,
    "model": Device.model,
    "customer_name": Customer.name,
    "factory_interface": Device.factory_interface,
    "load_recipe": Run.load_recipe,
    "fan_setting": Run.fan_setting,
    "power_profile": Run.power_profile,
    "placement": Run.placement,
    "product": FitItem.product,
    "lot": FitItem.lot,
}


def suggestions(workshop: Workshop, actor: Actor, field: str, within: str) -> list[str]:
    """Texts used before in a field; models are narrowed to the maker typed."""
    if field not in SUGGEST:
        raise Refused(
            "invalid", say("intake-there-no-suggestions-for", field=field, names=listed(SUGGEST)), field="field"
        )
    where = [Device.maker == within] if field == "model" and within else []
    with workshop.scope(actor) as scope:
        return scope.suggestions(SUGGEST[field], where)
