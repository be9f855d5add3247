"""What a product and its lots must be to be kept."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from vividowl.core.job.device import StockUnit
from vividowl.core.materials.kinds import CATALOGUE
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import listed, say
from vividowl.service.errors import Refused

AMOUNT_MOST = 100_000.0


def check_product(fields: Mapping[str, Any]) -> None:
    """Refuse a product that cannot be."""
    if fields["kind"] not in CATALOGUE:
        raise Refused(
            "invalid", say("shelf-no-kind-material", fields=fields["kind"], names=listed(CATALOGUE)), field="kind"
        )
    if fields["unit"] not in tuple(StockUnit):
        raise Refused(
            "invalid", say("shelf-no-unit-shelf", fields=fields["unit"], names=listed(StockUnit)), field="unit"
        )
    for name in ("sheet_width_mm", "sheet_length_mm"):
        if fields[name] is not None:
            require_range(name, fields[name], "mm", (5.0, 2000.0), hint=say("shelf-measure-whole-sheet"))
    if fields["unit"] == "sheet" and (fields["sheet_width_mm"] is None or fields["sheet_length_mm"] is None):
        raise Refused("invalid", say("shelf-sheet-has-no-size"), field="sheet_width_mm")
    if fields["thickness_mm"] is not None:
        require_range("thickness_mm", fields["thickness_mm"], "mm", (0.05, 20.0))
    if fields["price_cents"] is not None:
        require_range(
            "price_cents", fields["price_cents"] / 100, "", (0, 100000), hint=say("shelf-price-one-unit-without-tax")
        )
    if fields["low_at"] is not None:
        require_range("low_at", fields["low_at"], "", (0, AMOUNT_MOST))


def check_dates(fields: Mapping[str, Any]) -> None:
    """Refuse dates of a lot that contradict each other."""
    opened, received, expires = fields["opened_on"], fields["received_on"], fields["expires_on"]
    if opened is not None and opened < received:
        raise Refused(
            "invalid", say("shelf-opened-on-but-received-on", opened=opened, received=received), field="opened_on"
        )
    if expires is not None and expires < received:
        raise Refused(
            "invalid", say("shelf-expires-on-but-received-on", expires=expires, received=received), field="expires_on"
        )
