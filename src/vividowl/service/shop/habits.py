"""Ways of the shop: rates and tax, how paste goes on, how soon it looks again, minutes of hands by task."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any
from zoneinfo import ZoneInfo, available_timezones

from vividowl.core.bench.fasteners import TIGHTENING_SCHOOLS, tightening_passes
from vividowl.core.materials.application import School
from vividowl.core.materials.life import LifeSchool
from vividowl.core.plan.price import TASKS, tasks_of
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import listed, say
from vividowl.service.errors import Refused
from vividowl.service.languages import require_language
from vividowl.store.models import Shop
from vividowl.store.scope import Scope
from vividowl.words import ENGLISH

WARRANTY_MONTHS_MOST = 120
LINK_MONTHS, LINK_MONTHS_MOST = 24, 120
_ADDRESS = re.compile(r"https?://[A-Za-z0-9.-]+(:[0-9]{1,5})?(/[A-Za-z0-9._~/-]*)?")


@dataclass(frozen=True, kw_only=True)
class Habits:
    """application_school: None lets die and paste decide; hands_min: the shop's own minutes by task;
    tighten_percent: share of the turns in the first round of tightening; usual_load and usual_fan: how the shop
    measures, filled in on every new Before; work_warranty_months: how long the shop answers for its work, None where
    it has not said; language: what its customers read unless another is asked for; customer_address: where they reach
    the application from outside, empty where they do not; link_months: how long a link to a record is good; zone: where
    the shop is, in which its days begin."""

    hourly_rate_cents: int
    tax_percent: float
    application_school: School | None
    life_school: LifeSchool
    hands_min: Mapping[str, float]
    zone: ZoneInfo
    tighten_percent: int = TIGHTENING_SCHOOLS[0]
    usual_load: str = ""
    usual_fan: str = ""
    work_warranty_months: int | None = None
    language: str = ENGLISH
    customer_address: str = ""
    link_months: int = LINK_MONTHS


def habits_of(shop: Shop) -> Habits:
    """The ways of a shop."""
    kept = shop.habits
    school = kept.get("application_school")
    return Habits(
        hourly_rate_cents=shop.hourly_rate_cents,
        tax_percent=shop.tax_percent,
        application_school=School(school) if school else None,
        life_school=LifeSchool(kept.get("life_school", LifeSchool.USUAL)),
        hands_min=dict(kept.get("hands_min", {})),
        zone=shop.zone,
        tighten_percent=int(kept.get("tighten_percent", TIGHTENING_SCHOOLS[0])),
        usual_load=kept.get("usual_load", ""),
        usual_fan=kept.get("usual_fan", ""),
        work_warranty_months=kept.get("work_warranty_months"),
        language=kept.get("language", ENGLISH),
        customer_address=kept.get("customer_address", ""),
        link_months=int(kept.get("link_months", LINK_MONTHS)),
    )


def keep_habits(scope: Scope, fields: Mapping[str, Any]) -> None:
    """Keep them. Minutes that are the usual ones are not kept."""
    require_range(
        "hourly_rate", fields["hourly_rate_cents"] / 100, "", (0, 1000), hint=say("habits-rate-hour-without-tax")
    )
    require_range("tax_percent", fields["tax_percent"], "%", (0, 40), hint=say("habits-when-there-none"))
    if fields["work_warranty_months"] is not None:
        require_range("work_warranty_months", fields["work_warranty_months"], "", (1, WARRANTY_MONTHS_MOST))
    require_range("link_months", fields["link_months"], "", (1, LINK_MONTHS_MOST))
    require_language(fields["language"])
    address = fields["customer_address"].strip().rstrip("/")
    if address and not _ADDRESS.fullmatch(address):
        raise Refused("invalid", say("habits-no-address", address=address), field="customer_address")
    school, life = fields["application_school"], fields["life_school"]
    if school is not None and school not in set(School):
        raise Refused(
            "invalid",
            say("habits-no-way-putting-paste-on", school=school),
            field="application_school",
            remedy=say("habits-allowed-or-none-to-let", school=listed(School)),
        )
    if life not in set(LifeSchool):
        raise Refused(
            "invalid", say("habits-no-way-looking-again", life=life, names=listed(LifeSchool)), field="life_school"
        )
    if fields["zone"] not in available_timezones():
        raise Refused("invalid", say("habits-no-zone", zone=fields["zone"]), field="zone")
    tightening_passes(fields["tighten_percent"])
    tasks_of((), fields["hands_min"])
    shop = scope.shop()
    shop.hourly_rate_cents, shop.tax_percent = fields["hourly_rate_cents"], fields["tax_percent"]
    own = {name: value for name, value in fields["hands_min"].items() if value != TASKS[name].hands_min}
    shop.habits = {
        "application_school": school,
        "life_school": life,
        "hands_min": own,
        "tighten_percent": fields["tighten_percent"],
        "usual_load": fields["usual_load"].strip(),
        "usual_fan": fields["usual_fan"].strip(),
        "work_warranty_months": fields["work_warranty_months"],
        "language": fields["language"],
        "customer_address": address,
        "link_months": fields["link_months"],
        "zone": fields["zone"],
    }
