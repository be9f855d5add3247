"""Should a new machine be opened: rules of the trade, common practice, no source."""

import pytest

from vividowl.core.plan.opening import NewMachine, Opening, is_new, should_open
from vividowl.core.trace.pace import Frames, Pace
from vividowl.words import sentences

FINE = NewMachine(
    held_share=0.0,
    pace=Pace(4000.0, 90.0, Frames(36_000, 600.0, 60.0, 52.0)),
    level_db=41.0,
    sealed=True,
    warranty="running",
    interface_bad=False,
)


def changed(**fields):
    return NewMachine(**{**{f: getattr(FINE, f) for f in FINE.__dataclass_fields__}, **fields})


def test_a_sound_new_machine_is_left_alone_and_the_reasons_are_told():
    found = should_open(FINE)
    assert found.answer is Opening.LEAVE
    said = " ".join(sentences(found.reasons))
    assert "no dust" in said
    assert "4000 MHz" in said
    assert "52.0" in said
    assert "41.0 dB" in said
    assert "warranty" in said


@pytest.mark.parametrize(
    ("fields", "answer"),
    [
        ({"held_share": 0.05}, Opening.LEAVE),
        ({"held_share": 0.4}, Opening.MAKER),
        ({"held_share": 0.4, "warranty": "unknown"}, Opening.MAKER),
        ({"held_share": 0.4, "warranty": "over", "sealed": False}, Opening.OPEN),
        ({"interface_bad": True}, Opening.MAKER),
        ({"held_share": None, "pace": None, "level_db": None}, Opening.LEAVE),
        # Loud alone is no reason to open: new paste quietens nothing that is not hot.
        ({"level_db": 66.0}, Opening.LEAVE),
    ],
)
def test_what_a_new_machine_needs(fields, answer):
    assert should_open(changed(**fields)).answer is answer


def test_what_is_not_known_is_said_and_not_guessed():
    said = " ".join(sentences(should_open(changed(held_share=None, pace=None, level_db=None)).reasons))
    assert "does not say whether heat holds it back" in said
    assert "dB" not in said


@pytest.mark.parametrize(
    ("age", "service", "new"), [(0, None, True), (6, None, True), (7, None, False), (3, 1, False), (None, None, False)]
)
def test_new_is_young_and_never_serviced(age, service, new):
    assert is_new(age, service) is new


def test_an_uneven_clock_a_stutter_and_a_bad_interface_are_reasons():
    uneven = Pace(4000.0, 900.0, Frames(36_000, 600.0, 60.0, 12.0))
    plain = " ".join(sentences(should_open(FINE).reasons))
    said = sentences(should_open(changed(pace=uneven, interface_bad=True)).reasons)
    assert any("12.0" in s and s not in plain for s in said)
    assert any("900" in s for s in said)
    # A log without a line a frame has no slow hundredth, and one without a clock has no spread.
    bare = sentences(should_open(changed(pace=Pace(None, None, Frames(600, 600.0, 60.0, None)))).reasons)
    assert not any("MHz" in s or "per cent" in s for s in bare)
