"""The use cases know one clock."""

import ast
from datetime import UTC, date, datetime, timedelta
from pathlib import Path

from sqlalchemy import text

import vividowl.service
from vividowl.service.clock import day_of
from vividowl.service.shop.accounts import found_shop


def test_no_use_case_looks_at_another_clock():
    folder = Path(vividowl.service.__file__).parent
    odd = []
    for path in folder.rglob("*.py"):
        if path.name == "clock.py":
            continue
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if isinstance(node, ast.Attribute) and ast.unparse(node) in (
                "datetime.now",
                "datetime.utcnow",
                "date.today",
            ):
                odd.append(f"{path.relative_to(folder)}:{node.lineno}")
    assert odd == []


def test_a_day_is_that_of_the_shop_and_a_moment_comes_back_in_utc(workshop):
    owner = found_shop(workshop, shop_name="One", name="Ada", login="ada", password="x" * 12, zone="Pacific/Auckland")
    with workshop.scope(owner.actor) as scope:
        shop = scope.shop()
        # Half past eleven in the evening of the second in London is half past twelve of the third in Auckland.
        assert day_of(shop, datetime(2026, 12, 2, 23, 30, tzinfo=UTC)) == date(2026, 12, 3)
        assert scope.session.execute(text("SHOW timezone")).scalar_one() == "UTC"
        assert shop.created_at.utcoffset() == timedelta(0)


def test_a_zone_that_is_none_is_left_for_the_owner(workshop):
    assert found_shop(workshop, shop_name="One", name="Ada", login="ada", password="x" * 12, zone="Mars").zone == "UTC"
