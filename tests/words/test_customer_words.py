"""The customer's sentences as they are read."""

import pytest

from vividowl.core.quantities.words import say
from vividowl.words import sentence

LEAD = say("plain-now-lead", comparable=True)


@pytest.mark.parametrize(
    ("words", "read"),
    [
        (
            say("plain-side", lead=say("plain-before-lead"), die=94.9, how="held", held=97.4, noise=53.0),
            "Under load it came in at 95 °C, slowed down by its own heat 97 % of the time, at 53 dB.",
        ),
        (
            say("plain-side", lead=LEAD, die=70.5, how="never", held=0.0, noise=None),
            "Now, under the same load, it runs at 70 °C, without having to slow itself down.",
        ),
        (
            say("plain-side", lead=LEAD, die=None, how="unknown", held=None, noise=None),
            "Now, under the same load, it runs at a temperature that was not measured.",
        ),
        (
            say("plain-warmth", cooler=True, degrees=25.7, single=False, work="more"),
            "It is 26 degrees cooler, although it does more work.",
        ),
        (
            say("plain-warmth", cooler=False, degrees=1.2, single=True, work="same"),
            "It is 1 degree hotter at the same work.",
        ),
        (say("plain-noise", quieter=True, size=5.6, how="clearly"), "It is 5.6 dB quieter: clearly quieter."),
        (
            say("plain-work", more=True, before=56.0, after=74.0),
            "It does more work at the same temperature: 56 W before, 74 W now.",
        ),
        (
            say("plain-no-difference", hidden=1.9),
            "No difference can be shown between before and after, and none is claimed. "
            "A gain of up to 1.9 degrees could hide in what measuring cannot tell.",
        ),
        (
            say("plain-no-difference", hidden=None),
            "No difference can be shown between before and after, and none is claimed.",
        ),
        (
            say("plain-if-same", same=say("plain-fan"), assumes=1),
            "This holds if the fan setting was as before; that is not certain.",
        ),
    ],
)
def test_the_customer_reads(words, read):
    assert sentence(words) == read
