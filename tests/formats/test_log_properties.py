"""Whatever a logger writes, the numbers that come out are the numbers that went in, or are said to be missing."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from vividowl.core.trace.roles import Role
from vividowl.formats.errors import FormatError
from vividowl.formats.log.sensor_log import read_log, to_trace
from vividowl.words import sentences

temperatures = st.lists(st.floats(20, 110), min_size=30, max_size=80)


def lines(values, sep, dec, *, header="CPU Package [°C]"):
    body = [f"{i}{sep}{v:.2f}{sep}{30 + i % 3}".replace(".", dec) for i, v in enumerate(values)]
    return [f"Elapsed [s]{sep}{header}{sep}CPU Package Power [W]", *body]


@settings(max_examples=60, deadline=None)
@given(
    temperatures,
    st.sampled_from([(",", "."), (";", ","), (";", "."), ("\t", "."), ("\t", ",")]),
    st.sampled_from(["\n", "\r\n"]),
)
def test_property_numbers_survive(values, style, ending):
    sep, dec = style
    parsed = read_log(ending.join(lines(values, sep, dec)).encode())
    assert np.allclose(parsed.frame["c1"].to_numpy(), np.round(values, 2), atol=0.006)
    assert parsed.notices == ()


@settings(max_examples=40, deadline=None)
@given(
    temperatures, st.sets(st.integers(0, 29), min_size=1, max_size=8), st.sampled_from(["N/A", "-", "", "--", "n/a"])
)
def test_property_what_is_missing_is_missing_and_counted(values, holes, word):
    text = lines(values, ",", ".")
    for i in holes:
        cells = text[i + 1].split(",")
        text[i + 1] = ",".join([cells[0], word, cells[2]])
    parsed = read_log("\n".join(text).encode())
    assert set(np.flatnonzero(parsed.frame["c1"].is_null().to_numpy())) == holes
    assert any(f"{len(holes)} of {len(values)}" in n for n in sentences(parsed.notices))


@settings(max_examples=40, deadline=None)
@given(temperatures, st.integers(5, 60))
def test_property_a_file_cut_anywhere_loses_only_its_last_line(values, cut):
    data = "\n".join(lines(values, ",", ".")).encode()[:-cut]
    parsed = read_log(data)
    kept = parsed.frame["c1"].to_numpy()
    # Lines that are whole stay as they were; the line that broke off is either whole enough or left out.
    assert len(kept) >= data.count(b"\n") - 1
    assert np.allclose(kept[:-1], np.round(values, 2)[: len(kept) - 1], atol=0.006)


def refusal(data):
    """What the reader says against some bytes; anything but a FormatError fails the test by itself."""
    try:
        read_log(data, "noise.bin")
    except FormatError as error:
        return error
    return None


@settings(max_examples=80, deadline=None)
@given(st.binary(max_size=3000))
def test_property_no_bytes_cause_anything_but_a_plain_refusal(data):
    refused = refusal(data)
    assert refused is None or (str(refused) and refused.remedy)


@settings(max_examples=60, deadline=None)
@given(st.text(alphabet="0123456789.,;:\t\n -ABC°[]%\"'", max_size=600))
def test_property_no_text_causes_anything_but_a_plain_refusal(text):
    refused = refusal(text.encode())
    assert refused is None or (str(refused) and refused.remedy)


def test_quoted_cells_with_the_separator_inside_are_whole():
    text = ['"Time, elapsed [s]","CPU Package [°C]","Note"'] + [f'{i},{50 + i % 3},"a, b"' for i in range(40)]
    parsed = read_log("\n".join(text).encode())
    assert parsed.layout.headers == ("Time, elapsed [s]", "CPU Package [°C]", "Note")
    assert parsed.frame["c2"][0] == "a, b"


@pytest.mark.parametrize("word", ["Yes", "TRUE", "on"])
def test_flags_in_words_are_ones_and_zeros(word):
    other = {"Yes": "No", "TRUE": "FALSE", "on": "off"}[word]
    text = ["Elapsed [s],CPU Package [°C],Thermal throttling"] + [
        f"{i},90,{word if i > 20 else other}" for i in range(40)
    ]
    parsed = read_log("\n".join(text).encode())
    trace, _ = to_trace(parsed.frame, parsed.guesses)
    assert trace.channels[Role.THROTTLE_FLAG].sum() == 19
