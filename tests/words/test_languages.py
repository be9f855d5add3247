"""What a customer reads comes whole in each language: nothing is missing, and nothing is left in English."""

import re
from datetime import date
from pathlib import Path

import pytest

from vividowl.core.quantities.words import listed, say
from vividowl.words import languages, sentence, sentences, spoken
from vividowl.words.sentence import sources

UI = Path(__file__).parents[2] / "ui/src"
OTHERS = [language for language in languages() if language != "en"]
# Files whose every message a customer can meet.
WHOLE = ("plain", "names", "record", "verdict", "calendar", "counter", "page-shared", "page-customer", "page-check")
# Of other files, what the record says of a bench, of attempts, of agreements and of the next service.
PARTS = {
    "bench": r"(story|sight|part|mishap|interlock|power)-|low$",
    "attempts": r"attempts-(row-|figure|not-measured)|cause-",
    "heat": r"air-(exhaust|that)-",
    "materials": r"life-(?!not-known)",
    "measure": r"comparing-phase",
    "job": r"gates-(swollen|traces|opening|no-backup|power-supply)",
    "plan": r"gates-(on-bare-copper|carried)",
    "steps": r"vocabulary-(weighed|measured-layer)",
}
_START = re.compile(r"^([a-z][A-Za-z0-9_-]*) =", re.M)
_VALUE = re.compile(r"\$[a-z_0-9]+")


def messages(text):
    """Messages of a file by code, each without the attributes that only the bench reads."""
    starts = list(_START.finditer(text))
    ends = [*(m.start() for m in starts[1:]), len(text)][: len(starts)]
    whole = {m[1]: text[m.start() : end] for m, end in zip(starts, ends, strict=True)}
    return {code: re.split(r"\n    \.[a-z]", told)[0] for code, told in whole.items()}


def wanted(subject, text):
    told = messages(text)
    if subject in WHOLE:
        return told
    if subject == "page-record":
        used = set(re.findall(r"say\('([a-z0-9-]+)'", "".join(p.read_text() for p in SHOWN_TO_CUSTOMERS)))
        return {code: t for code, t in told.items() if code in used}
    return {c: t for c, t in told.items() if subject in PARTS and re.match(PARTS[subject], c)}


SHOWN_TO_CUSTOMERS = [UI / f"rooms/record/{name}.svelte" for name in ("PageOne", "PhotoPair", "RecordChart")]
ENGLISH = sources()


def test_there_are_three_languages():
    assert languages() == ("en", "de", "es")


@pytest.mark.parametrize("language", OTHERS)
def test_nothing_is_missing_and_no_value_is_lost_or_made_up(language):
    own = sources(language)
    for subject, text in ENGLISH.items():
        have = messages(own.get(subject, ""))
        for code, told in wanted(subject, text).items():
            assert code in have, f"{language}/{subject}.ftl has no {code}"
            # What a language leaves out it says in another way: a name that its sentence does not take.
            lost = set(_VALUE.findall(told)) - set(_VALUE.findall(have[code]))
            assert lost <= {"$words", "$single"}, f"{language}/{subject}.ftl: {code} loses {lost}"
            assert set(_VALUE.findall(have[code])) <= set(_VALUE.findall(told)), f"{code} makes values up"
        for code in have:
            assert code in messages(text), f"{language}/{subject}.ftl: {code} is used by nothing"


@pytest.mark.parametrize("language", OTHERS)
def test_nothing_is_left_in_english(language):
    """A sentence of several words that stands as in English was forgotten; a formula or a unit was not."""
    for subject, text in sources(language).items():
        english = messages(ENGLISH[subject])
        for code, told in messages(text).items():
            prose = re.sub(r"\{[^{}]*\}|\[[a-z]+\]", " ", told.split("=", 1)[1])
            words = re.findall(r"[A-Za-z]{4,}", prose)
            assert len(words) < 2 or told != english[code], f"{language}/{subject}.ftl: {code} is in English"


@pytest.mark.parametrize(
    ("language", "read"),
    [
        ("de", "Jetzt läuft es unter derselben Last mit 71 °C, ohne sich selbst bremsen zu müssen, bei 47 dB."),
        ("es", "Ahora, con la misma carga, trabaja a 71 °C, sin tener que frenarse, con 47 dB."),
    ],
)
def test_the_customer_reads_it_in_their_language(language, read):
    with spoken(language):
        lead = say("plain-now-lead", comparable=True)
        assert sentence(say("plain-side", lead=lead, die=70.6, how="never", held=0.0, noise=47.2)) == read
    assert sentence(say("plain-free")) == "It no longer has to slow itself down to stay cool."


@pytest.mark.parametrize(
    ("language", "noise", "day", "list_"),
    [
        ("de", "Es ist 5,6 dB leiser: deutlich leiser.", "30. November 2026", "Lamellen, Lüfter und Pads"),
        (
            "es",
            "Hace 5,6 dB menos de ruido: claramente más silencioso.",
            "30 de noviembre de 2026",
            "aletas, ventilador y almohadillas",
        ),
    ],
)
def test_numbers_days_and_lists_follow_the_language(language, noise, day, list_):
    """Decimal sign, long date and conjunction after the Unicode CLDR, as Babel carries it."""
    parts = [say("cleaned-fins"), say("part-fan"), say("part-pads")]
    with spoken(language):
        assert sentence(say("plain-noise", quieter=True, size=5.6, how="clearly")) == noise
        assert day in sentence(say("record-pdf-until", day=date(2026, 11, 30)))
        said = sentence(say("record-pdf-cleaned", cleaned=listed(parts, "and")))
        assert said.lower().rstrip(".").endswith(list_.lower())
    assert sentences([say("record-pdf-now")]) == ["Now"]
