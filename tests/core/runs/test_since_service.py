"""What a device has lost since its last service."""

import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.runs.since_service import Advice, same_terms, since_service
from vividowl.words import sentence


@pytest.mark.parametrize(
    ("last", "advice", "says"),
    [
        # 40 % more is not fine (handbook/runs.md: common practice, no source).
        (0.71, Advice.REDO, "It has lost 42 % since the last service; from 40 % on a device is not fine."),
        (0.62, Advice.WATCH, "It has lost 24 % since the last service."),
        (0.54, Advice.LEAVE, "which is little"),
        (0.515, Advice.LEAVE, "No loss is shown"),
        (0.45, Advice.LEAVE, "It does better by 10 %"),
    ],
)
def test_the_share_lost_decides(last, advice, says):
    found = since_service([0, 12], [0.50, last], [0.008, 0.008])
    assert found.advice is advice
    assert found.lost_share == pytest.approx(last / 0.50 - 1)
    assert says in sentence(found.reasons[0])


def test_a_limit_that_is_near_calls_for_a_service():
    near = since_service([0, 6, 12], [0.50, 0.53, 0.56], [0.005] * 3, limit=0.57)
    assert near.advice is Advice.REDO
    assert "heat holds it back again in 2 months" in sentence(near.reasons[1])
    far = since_service([0, 6, 12], [0.50, 0.53, 0.56], [0.005] * 3, limit=0.90)
    assert far.advice is Advice.WATCH


def test_a_service_alone_tells_nothing():
    with refuses(NotEnoughData, "No visit since the last service has a Before reading"):
        since_service([0], [0.5], [0.01])


def test_a_loss_is_judged_on_the_same_terms_only():
    terms = ("even load", "automatic", "performance", "stand")
    assert same_terms(terms, terms)
    assert same_terms(terms, ("Even load", "", "", ""))
    assert not same_terms(terms, ("even load", "quiet", "performance", "stand"))
    # A fan that turns slower makes a larger resistance by itself; a faster one only hides a loss.
