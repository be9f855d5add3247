"""A kind of event that is left out anywhere is noticed at import."""

import pytest

from vividowl.core.bench.log.events import KINDS, EventKind, for_every_kind


def test_a_kind_without_all_that_holds_of_it_is_none():
    with pytest.raises(TypeError, match="effect"):
        EventKind(fields={}, also=(), by=KINDS["note"].by)


def test_a_function_for_every_kind_and_no_other():
    whole = dict.fromkeys(KINDS, len)
    assert for_every_kind(whole) == whole
    with pytest.raises(TypeError, match=r"missing or too many: note$"):
        for_every_kind({k: f for k, f in whole.items() if k != "note"})
    with pytest.raises(TypeError, match="bell"):
        for_every_kind({**whole, "bell": len})
