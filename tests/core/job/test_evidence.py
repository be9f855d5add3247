"""A signature is something drawn, and what is signed is told in whole sentences."""

import pytest

from vividowl.core.job.evidence import INK_LEAST, Passcode, check_signature, consent_words, ink_length, pick_up_words
from vividowl.core.quantities.errors import CoreError
from vividowl.words import sentence, sentences

BACK = {"device": "Marrow 15", "serial": "", "accessories": "", "paid": None}
CONSENT = {
    "device": "Ondervale Marrow 15",
    "serial": "M15-7",
    "shop": "Lantern Street Repairs",
    "accessories": "charger",
    "limit": "€120.00",
    "limits": "",
    "passcode": Passcode.NOT_ASKED,
    "backup": "no",
    "warranty": "over",
    "marks": 2,
}
LINE = [[[0.1, 0.1], [0.5, 0.1], [0.5, 0.2]]]


def test_ink_is_the_length_of_all_strokes():
    """Property: 0.4 along and 0.1 down are 0.5, however they are cut into strokes."""
    assert ink_length(LINE) == pytest.approx(0.5)
    assert ink_length([[[0.1, 0.1], [0.5, 0.1]], [[0.5, 0.1], [0.5, 0.2]]]) == pytest.approx(0.5)
    assert ink_length([]) == ink_length([[[0.2, 0.2]]]) == 0


@pytest.mark.parametrize(
    ("name", "strokes", "says"),
    [
        ("Wen", [], "Nothing is drawn"),
        ("Wen", [[[0.2, 0.2]]], "Nothing is drawn"),
        ("Wen", [[[0.2, 0.2], [0.2 + INK_LEAST / 2, 0.2]]], "Nothing is drawn"),
        ("  ", LINE, "Whose signature it is"),
        ("Wen", [[[0.1, 0.1], [9.0, 0.1]]], "off the pad"),
        ("Wen", [[[0.1, float("nan")], [0.5, 0.1]]], "off the pad"),
        ("Wen", LINE * 201, "more than a hand draws"),
    ],
)
def test_what_is_no_signature_is_refused(name, strokes, says):
    with pytest.raises(CoreError) as refused:
        check_signature(name, strokes)
    assert says in sentence(refused.value.message)
    assert sentence(refused.value.remedy)
    check_signature("Wen", LINE)


def test_consent_says_what_is_left_and_what_is_risked():
    said = sentences(consent_words(**CONSENT))
    assert said == [
        "I leave Ondervale Marrow 15, serial number M15-7, with Lantern Street Repairs to be measured, opened, "
        "cleaned and serviced.",
        "Along with it came: charger.",
        "Its condition was photographed at 2 places; I have seen the photos.",
        "Up to €120.00 the shop works without asking again.",
        "The passcode was not asked for.",
        "My data is not backed up; it can be lost, and I accept that.",
    ]
    back = sentences(pick_up_words(**BACK, record=2))
    assert back == [
        "I have Marrow 15 back.",
        "Nothing had come along with it.",
        "I have been given the record of the service, version 2.",
        "No price is set.",
    ]


def test_what_was_agreed_beyond_the_usual_stands_in_the_consent():
    said = sentences(consent_words(**CONSENT | {"limits": "no soldering", "warranty": "running", "marks": 0}))
    assert any("no soldering" in s for s in said)
    assert "warranty" in said[-1]
    assert not any("photographed" in s for s in said)
    assert not any("version" in s for s in sentences(pick_up_words(**BACK, record=None)))
