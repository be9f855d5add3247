"""A refusal names a field as the page calls it."""

import re
from collections import defaultdict
from datetime import date
from pathlib import Path

from vividowl.core.quantities.words import Message, say
from vividowl.words import sentence
from vividowl.words.sentence import bundle_of, sentence_from, sources

PAGES = Path(__file__).parents[2] / "ui/src"
# One name in several forms, each of which says more closely what is meant there; the plain name serves them all.
SHARED = {"value", "thickness_mm", "length_mm", "width_mm", "gap_mm", "tolerance_mm", "amount", "number", "count"} | {
    "power_w",
    "temperature_c",
    "noise_db",
}
# A line of a list of fields. Prices are stored in cents, and refused by what a price is called.
FIELD = re.compile(r"""key: '(\w+)',\s+kind: '(?:number|whole|share|duration)',\s+label: say\(\s*'([a-z0-9-]+)'\s*\)""")


def typed_numbers():
    """Labels of the fields that take a number, by the name that is sent."""
    bundle = bundle_of(list(sources().values()))
    found = defaultdict(set)
    for file in [*PAGES.rglob("*.svelte"), *PAGES.rglob("*.ts")]:
        text = file.read_text(encoding="utf-8")
        for name, label in FIELD.findall(text):
            found[name].add(str(sentence_from(bundle, Message(label))))
        for tag in re.findall(r"<TextField\b(.*?)/>", text, re.S):
            name = re.search(r'\bname="([a-z_0-9]+)"', tag)
            label = re.search(r"\blabel=\{say\('([a-z0-9-]+)'\)\}", tag)
            if name and label and re.search(r"\bnumeric\b", tag):
                found[name[1]].add(str(sentence_from(bundle, Message(label[1]))))
    return found


def test_a_number_out_of_range_is_named_by_the_label_of_its_field():
    fields = typed_numbers()
    assert len(fields) > 30
    for name, labels in fields.items():
        if name in SHARED:
            continue
        (label,) = labels
        said = sentence(say("errors-below", name=name, value=1.0, unit="", low=2.0))
        assert said.startswith(f"{label} is 1"), (name, said)


def test_days_are_written_one_way():
    said = sentence_from(bundle_of(["day = Next service on { $day }"]), say("day", day=date(2027, 5, 28)))
    assert said == "Next service on 28 May 2027"
