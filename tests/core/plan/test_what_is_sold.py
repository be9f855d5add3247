"""What a plan sells: not what nobody has seen, and never leaving alone what this shop itself has to renew."""

import pytest

from vividowl.core.materials.kinds import material
from vividowl.core.plan.options import LEAVE, Candidate, Goal, Situation, make_options, rank
from vividowl.core.plan.prediction import Action, predict
from vividowl.core.plan.unknowns import Known
from vividowl.core.quantities.words import say
from vividowl.words import sentence

DUSTY = Known(
    resistance=1.2,
    resistance_u=0.03,
    power=45.0,
    room_c=24.0,
    interface=0.2,
    interface_u=0.02,
    months=40.0,
    surroundings="dusty",
)
CLEAN = Known(
    resistance=0.8,
    resistance_u=0.02,
    power=45.0,
    room_c=24.0,
    interface=0.15,
    interface_u=0.02,
    months=2.0,
    dust="none",
    old_interface="sound",
)


def placed(known, *, unseen=False, renew="", renews=Action.REPASTE, measurable_k=2.0):
    pads_due = renews is Action.PADS
    options = make_options(Situation(die_materials={"paste": material("paste_soft")}, pads_due=pads_due))
    found = predict(known, options, 7)
    candidates = [
        Candidate(
            option=o, prediction=p, blocked=False, to_acknowledge=0, total_cents=cents, life_months=12, unseen=unseen
        )
        for o, p, cents in zip(options, found, (0, 4000, 9000), strict=True)
    ]
    ranked = rank(
        candidates,
        Goal.COOLER,
        measurable_k=measurable_k,
        measurable_w=1.0,
        measurable_db=2.0,
        held=False,
        renew=renew,
        renews=renews,
    )
    return [(options[r.index].key, sentence(r.reason)) for r in ranked]


def test_cleaning_is_not_sold_while_nobody_looked_into_the_fins():
    seen, blind = placed(DUSTY), placed(DUSTY, unseen=True)
    assert "clean" in [key for key, _ in seen[: [k for k, _ in seen].index(LEAVE)]]
    above = [key for key, _ in blind[: [k for k, _ in blind].index(LEAVE)]]
    assert "clean" not in above
    assert "Look into the fins first" in dict(blind)["clean"]


def test_nothing_wrong_is_left_alone_and_says_so():
    assert placed(CLEAN)[0][0] == LEAVE


@pytest.mark.parametrize(
    ("answered", "words"), [(True, "Renew it, in warranty: it lost 45 %"), (False, "Renew it: it")]
)
def test_what_this_shop_serviced_and_lost_much_is_renewed(answered, words):
    renew = say("options-renew", answered=answered, percent=45.0, months=3.0)
    first = placed(CLEAN, renew=renew)[0]
    assert first[0] == "repaste:paste"
    assert words in first[1]


def test_memory_above_its_limit_is_not_left_alone_and_not_only_cleaned():
    hot = say("options-hot", sensor=say("sensor-memory_temperature"), end=113.0, over=8.0, limit=105.0)
    for known in (CLEAN, DUSTY):
        first = placed(known, renew=hot, renews=Action.PADS)[0]
        assert first[0] == "repaste:paste"
        assert "memory reached 113 °C, 8 K over its limit of 105 °C" in first[1]


def test_memory_above_its_limit_is_told_even_where_nothing_on_the_shelf_renews_it():
    hot = say("options-hot", sensor=say("sensor-memory_temperature"), end=113.0, over=8.0, limit=105.0)
    # No option lays pads here, since no die material is on the shelf.
    first = placed(CLEAN, renew=hot, renews=Action.SHIM)[0]
    assert "memory reached 113 °C" in first[1]
