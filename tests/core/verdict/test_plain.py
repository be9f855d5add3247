"""The verdict in the customer's words: what is said, by code and value. Invented figures."""

import pytest

from vividowl.core.materials.after_care import after_care
from vividowl.core.plan.spots import is_on_lap
from vividowl.core.quantities.words import Message, Several
from vividowl.core.verdict.assumptions import Assumption, Standing
from vividowl.core.verdict.comparison import Comparison
from vividowl.core.verdict.headline import Phrase
from vividowl.core.verdict.parts import Effect, Shown
from vividowl.core.verdict.plain import plain_words
from vividowl.core.verdict.verdicts import Verdict
from vividowl.words import sentence
from vividowl.words.sentence import spoken


def effect(quantity, before=None, after=None, shown=Shown.NOT_KNOWN, difference=None):
    if difference is None and before is not None and after is not None:
        difference = after - before
    return Effect(
        quantity=quantity,
        words=quantity,
        unit="",
        before=before,
        after=after,
        before_u95=None,
        after_u95=None,
        difference=difference,
        u95=1.0,
        shown=shown,
        working="",
    )


HEADLINE = (Phrase("the headline"),)
DOUBTS = tuple(
    Assumption(name=name, standing=Standing.UNKNOWN, why="", remedy="", carries=True) for name in ("fan", "placement")
)


def told(verdict=Verdict.IMPROVED, assumes=(), hidden=None, phrases=HEADLINE, **effects):
    named = {name: effect(name) for name in ("die_temperature", "rise", "power", "throttle_share", "noise")}
    named |= {name: effect(name, *values) for name, values in effects.items()}
    return plain_words(
        Comparison(
            verdict=verdict,
            phrases=phrases,
            reasons=(),
            effects=tuple(named.values()),
            conditions=(),
            assumes=assumes,
            hidden_gain_k=hidden,
        )
    )


def codes(words):
    return [w.code for w in words]


def test_before_and_now_are_what_was_measured_and_unknown_stays_unknown():
    plain = told(die_temperature=(95.0, 71.0), throttle_share=(97.0, 0.2), noise=(53.0, None))
    assert [plain.before.value(n) for n in ("die", "how", "held", "noise")] == [95.0, "held", 97.0, 53.0]
    assert [plain.now.value(n) for n in ("die", "how", "noise")] == [71.0, "never", None]
    assert told().before.value("how") == "unknown"


def test_what_is_gone_for_good_leads_and_degrees_come_with_the_work():
    plain = told(
        throttle_share=(97.0, 0.0, Shown.BETTER),
        rise=(70.0, 45.0, Shown.BETTER),
        power=(45.0, 58.0, Shown.CHANGED),
        die_temperature=(95.0, 71.0, Shown.BETTER),
        noise=(53.0, 47.4, Shown.BETTER),
    )
    assert codes(plain.means) == ["plain-free", "plain-warmth", "plain-noise"]
    warmth = plain.means[1]
    assert [warmth.value(n) for n in ("cooler", "degrees", "work")] == [True, 25.0, "more"]


def test_at_its_limit_before_and_after_the_work_is_told_and_no_degree():
    """Before and after at 95 °C: a degree of the room between them is no gain that a customer can see."""
    plain = told(
        throttle_share=(99.0, 91.0, Shown.BETTER),
        rise=(70.0, 69.0, Shown.BETTER),
        power=(56.0, 74.0, Shown.CHANGED),
        die_temperature=(95.0, 95.1, Shown.NOT_SHOWN),
    )
    assert codes(plain.means) == ["plain-held", "plain-work"]


def test_a_share_that_is_not_shown_to_differ_claims_nothing():
    plain = told(rise=(40.0, 30.0, Shown.BETTER), throttle_share=(50.0, 46.0, Shown.NOT_SHOWN))
    assert codes(plain.means) == ["plain-warmth"]


def test_a_loss_is_told_as_plainly_as_a_gain():
    plain = told(
        Verdict.WORSE,
        throttle_share=(0.0, 40.0, Shown.WORSE),
        rise=(40.0, 53.0, Shown.WORSE),
        power=(38.0, 38.0, Shown.NOT_SHOWN),
        noise=(41.0, 47.7, Shown.WORSE),
    )
    assert codes(plain.means) == ["plain-held", "plain-warmth", "plain-noise"]
    assert plain.means[0].value("less") is False
    assert plain.means[1].value("cooler") is False
    assert plain.means[2].value("quieter") is False


@pytest.mark.parametrize(("size", "how"), [(1.5, "just"), (3.0, "clearly"), (9.9, "clearly"), (10.0, "half")])
def test_published_ten_decibels_sound_about_half_as_loud(size, how):
    """ISO 532-1: a doubling of sone is ten phon. Three decibels: common practice, no source."""
    [noise] = told(noise=(60.0, 60.0 - size, Shown.BETTER)).means
    assert noise.value("how") == how


def test_a_recording_tells_the_noise_where_no_meter_did():
    [noise] = told(recorded_level=(None, None, Shown.BETTER, -5.0)).means
    assert noise.value("size") == 5.0


def test_nothing_gained_says_so_and_how_much_could_hide():
    plain = told(Verdict.NO_DIFFERENCE_SHOWN, hidden=1.9, rise=(37.0, 36.4, Shown.NOT_SHOWN))
    assert codes(plain.means) == ["plain-no-difference"]
    assert plain.means[0].value("hidden") == 1.9


def test_a_trade_says_both_sides():
    plain = told(
        Verdict.NO_DIFFERENCE_SHOWN,
        phrases=(Phrase("none"), Phrase(": "), Phrase("a trade")),
        rise=(37.0, 41.0, Shown.WORSE),
        noise=(45.0, 40.0, Shown.BETTER),
    )
    assert codes(plain.means) == ["plain-warmth", "plain-noise"]


def test_what_cannot_be_compared_claims_nothing_whatever_was_measured():
    plain = told(Verdict.CANNOT_BE_COMPARED, rise=(70.0, 45.0, Shown.BETTER), throttle_share=(97.0, 0.0, Shown.BETTER))
    assert codes(plain.means) == ["plain-not-comparable"]
    assert plain.now.value("lead").value("comparable") is False


def test_what_was_not_seen_by_itself_is_called_calculated():
    [only] = told(resistance=(1.0, 0.8, Shown.BETTER)).means
    assert only.code == "plain-calculated"
    assert isinstance(only.value("words"), Several | Message)


def test_what_nobody_noted_is_told_with_the_claim():
    plain = told(Verdict.IMPROVED_IF_SAME, assumes=DOUBTS, rise=(40.0, 30.0, Shown.BETTER))
    assert codes(plain.means) == ["plain-warmth", "plain-if-same"]
    assert plain.means[1].value("assumes") == 2


@pytest.mark.parametrize(
    ("fan", "surroundings", "runs_in", "said"),
    [
        ("yes", "normal", False, ["after-care-vents", "after-care-come-back"]),
        (
            "unknown",
            "pets",
            True,
            ["after-care-vents", "after-care-dust", "after-care-runs-in", "after-care-come-back"],
        ),
        ("no", "dusty", False, ["after-care-case", "after-care-come-back"]),
    ],
)
def test_what_the_customer_should_do(fan, surroundings, runs_in, said):
    assert codes(after_care(fan, surroundings, runs_in=runs_in)) == said


def test_what_was_accepted_is_what_the_owner_is_told_first():
    told = after_care("no", "normal", runs_in=False, accepted=["warranty_and_seal", "skin_limit"], skin_high_c=55.4)
    assert "dock or a stand only" in sentence(told[0])
    assert "55 °C" in sentence(told[0])
    assert len(told) == 3
    # Measured where it may not be used: the same warning, once.
    again = after_care("no", "normal", runs_in=False, accepted=["skin_limit", "after_on_lap"], skin_high_c=55.4)
    assert again == told
    with spoken("de"):
        assert "nie auf dem Schoß" in sentence(told[0])


@pytest.mark.parametrize(
    ("place", "lap"),
    [("on the lap", True), ("Lap", True), ("in bed", True), ("laptop stand", False), ("dock", False), ("", False)],
)
def test_a_place_on_skin_or_in_bedding_is_known_by_its_words(place, lap):
    assert is_on_lap(place) is lap
