"""Reading logs: every disorder a file can have, and clear words where it cannot be used."""

import tracemalloc

import numpy as np
import pytest
from tests.logs import HEADERS, rows, text
from tests.said import refuses, said_by

from vividowl.core.trace.roles import Role
from vividowl.formats.errors import FormatError
from vividowl.formats.log.sensor_log import apply_mapping, read_log, to_trace
from vividowl.words import sentence, sentences

SAMPLES = rows(load_s=200)
TRUTH = np.array([r["temp"] for r in SAMPLES])


def trace_of(data, name="log.csv"):
    parsed = read_log(data, name)
    trace, dropouts = to_trace(parsed.frame, parsed.guesses)
    return trace, (*parsed.notices, *dropouts), parsed


@pytest.mark.parametrize(("sep", "dec"), [(",", "."), (";", ","), (";", "."), ("\t", "."), ("\t", ","), ("|", ".")])
def test_delimiters_and_decimal_signs(sep, dec):
    trace, notices, parsed = trace_of("\n".join(text(SAMPLES, sep=sep, dec=dec)).encode())
    assert (parsed.layout.delimiter, parsed.layout.decimal) == (sep, dec)
    assert np.allclose(trace.channels[Role.CPU_TEMPERATURE], TRUTH, atol=0.051)
    assert notices == ()


@pytest.mark.parametrize("encoding", ["utf-8", "utf-8-sig", "utf-16", "utf-16-le", "cp1252"])
def test_encodings(encoding):
    trace, notices, _ = trace_of("\r\n".join(text(SAMPLES)).encode(encoding))
    assert np.allclose(trace.channels[Role.CPU_TEMPERATURE], TRUTH, atol=0.051)
    assert any("Windows-1252" in n for n in sentences(notices)) == (encoding == "cp1252")


@pytest.mark.parametrize("stamp", ["iso", "clock", "ampm", "elapsed", "epoch_ms"])
def test_stamps(stamp):
    trace, _, _ = trace_of("\n".join(text(SAMPLES, stamp=stamp)).encode())
    assert trace.interval_s == pytest.approx(1.0)
    assert trace.duration_s == pytest.approx(SAMPLES[-1]["s"], abs=1.0)


def test_a_clock_goes_on_past_midnight():
    from datetime import UTC, datetime

    late = datetime(2026, 3, 1, 23, 58, 30, tzinfo=UTC)
    trace, notices, _ = trace_of("\n".join(text(SAMPLES, stamp="clock", began=late)).encode())
    assert trace.duration_s == pytest.approx(SAMPLES[-1]["s"], abs=1.0)
    assert notices == ()


def test_fahrenheit_is_converted_as_a_reading():
    headers = [h.replace("°C", "°F") for h in HEADERS]
    trace, _, _ = trace_of("\n".join(text(SAMPLES, headers=headers, fahrenheit=True)).encode())
    assert np.allclose(trace.channels[Role.CPU_TEMPERATURE], TRUTH, atol=0.06)


def test_milliwatts_and_gigahertz_are_brought_to_watts_and_megahertz():
    headers = ["Elapsed [s]", "CPU Package [°C]", "CPU Package Power [mW]", "CPU Clock [GHz]"]
    lines = [",".join(headers)]
    lines += [f"{r['s']},{r['temp']:.1f},{r['power'] * 1000:.0f},{r['clock'] / 1000:.3f}" for r in SAMPLES]
    trace, _, _ = trace_of("\n".join(lines).encode())
    assert trace.channels[Role.CPU_POWER].max() == pytest.approx(max(r["power"] for r in SAMPLES), rel=0.01)
    assert trace.channels[Role.CPU_CLOCK].max() == pytest.approx(max(r["clock"] for r in SAMPLES), rel=0.01)


def test_preamble_unit_row_and_footer_are_set_aside():
    bare = [h.split(" [")[0] for h in HEADERS]
    units = ["", "°C", "W", "MHz", "%", "RPM", "Yes/No"]
    lines = [
        "Logger 3000, session of Tuesday",
        "",
        ",".join(bare),
        ",".join(units),
        *text(SAMPLES)[1:],
        "",
        "end of log",
    ]
    trace, notices, parsed = trace_of("\n".join(lines).encode())
    assert parsed.layout.header_line == 2
    assert np.allclose(trace.channels[Role.CPU_TEMPERATURE], TRUTH, atol=0.051)
    assert any("unfinished" in n for n in notices)


def test_repeated_headers_are_left_out_and_counted():
    lines = text(SAMPLES)
    lines.insert(100, lines[0])
    lines.append(lines[0])
    trace, notices, _ = trace_of("\n".join(lines).encode())
    assert len(trace.time_s) == len(SAMPLES)
    assert any("repeated 2 times" in n for n in notices)


def test_a_cut_last_line_is_left_out_and_named():
    data = "\n".join(text(SAMPLES)).encode()[:-25]
    trace, notices, _ = trace_of(data)
    assert len(trace.time_s) == len(SAMPLES) - 1
    assert any(f"line {len(SAMPLES) + 1}" in n for n in notices)


def test_duplicate_stamps_are_spread_and_named():
    half = [{**r, "s": float(int(r["s"] / 2))} for r in SAMPLES]
    trace, notices, _ = trace_of("\n".join(text(half, stamp="clock")).encode())
    assert any("repeat the one before, first in line 3" in n for n in notices)
    assert (np.diff(trace.time_s) > 0).all()
    assert trace.interval_s == pytest.approx(0.5, abs=0.01)


def test_a_clock_that_goes_back_is_continued_and_named():
    jumped = [{**r, "s": r["s"] - (50 if i >= 120 else 0)} for i, r in enumerate(SAMPLES)]
    trace, notices, _ = trace_of("\n".join(text(jumped)).encode())
    assert any("goes back 1 time, first in line 122" in n for n in notices)
    assert (np.diff(trace.time_s) > 0).all()
    assert trace.duration_s == pytest.approx(SAMPLES[-1]["s"], abs=1)


def test_gaps_and_dashes_are_not_known_and_never_zero():
    lines = text(SAMPLES)
    for i in (50, 51, 52):
        cells = lines[i].split(",")
        cells[1] = ("N/A", "-", "")[i - 50]
        lines[i] = ",".join(cells)
    trace, notices, _ = trace_of("\n".join(lines).encode())
    assert np.isnan(trace.channels[Role.CPU_TEMPERATURE][49:52]).all()
    assert any("3 of" in n and "hold no number" in n for n in sentences(notices))


def test_drop_outs_of_a_sensor_are_left_out_and_named():
    broken = [dict(r) for r in SAMPLES]
    broken[60]["temp"] = 0.0
    broken[61]["temp"] = 255.0
    trace, notices, _ = trace_of("\n".join(text(broken)).encode())
    assert np.isnan(trace.channels[Role.CPU_TEMPERATURE][60:62]).all()
    assert any("2 drop-outs" in n for n in sentences(notices))


def test_three_hundred_columns_are_read():
    extra = [f"Rail {i} [V]" for i in range(293)]
    lines = text(SAMPLES)
    wide = [",".join([lines[0], *extra]), *(f"{line},{','.join(['1.05'] * 293)}" for line in lines[1:])]
    _, _, parsed = trace_of("\n".join(wide).encode())
    assert len(parsed.layout.headers) == 300
    assert sum(g.role is not None for g in parsed.guesses) == 6


def test_duplicate_headers_are_kept_apart():
    headers = [*HEADERS[:5], "Fan [RPM]", "Fan [RPM]"]
    lines = [line.rsplit(",", 1)[0] + ",900" for line in text(SAMPLES)[1:]]
    _, _, parsed = trace_of("\n".join([",".join(headers), *lines]).encode())
    assert [g.role for g in parsed.guesses].count(Role.FAN_SPEED) == 1


@pytest.mark.parametrize(
    ("data", "says", "remedy"),
    [
        (b"", "is empty", "saved"),
        (b"  \n \r\n", "is empty", "saved"),
        (b"\x89PNG\r\n\x1a\n" + bytes(range(256)) * 8, "is not a text file", "CSV"),
        (b"Time,CPU temp [C],Power [W]\n", "has a header and no data", "after the run"),
        (b"0,41.0,5\n1,42.0,5\n2,43.0,5\n", "there is no header", "header line"),
        (b"just some words\nand more words\n", "no columns separated", "CSV"),
        (b"CPU temp [C],CPU power [W]\n" + b"50,20\n" * 30, "no time column among “CPU temp [C]”", "time"),
        (b"Time [s],CPU temp [C]\n" + b"0,50\n1,51\n2,52\n", "has 3 lines of data", "whole load"),
        (b"Time,CPU temp [C]\n" + b"soon,50\n" * 30, "“soon” is not a time", "14:05:09"),
        (b"Time [s],CPU temp [C]\n" + b"7,50\n" * 30, "stands still", "fractions"),
    ],
    ids=["empty", "blank", "binary", "header only", "no header", "prose", "no time", "too short", "bad time", "still"],
)
def test_what_cannot_be_used_is_named_with_the_remedy(data, says, remedy):
    with pytest.raises(FormatError) as caught:
        read_log(data, "bench.csv")
    assert says in said_by(caught.value)
    assert remedy in sentence(caught.value.remedy)
    if "“soon”" not in says and "still" not in says:
        assert "bench.csv" in said_by(caught.value)


def test_too_many_columns_are_refused_with_the_number():
    header = ",".join(["Time", *[f"S{i} [V]" for i in range(450)]])
    row = ",".join(["1"] * 451)
    with refuses(FormatError, match="451 columns, at most 400"):
        read_log("\n".join([header, *[row] * 20]).encode(), "wide.csv")


def test_a_column_called_temperature_that_cannot_be_one_loses_its_role():
    lines = ["Time [s],CPU temperature [°C],CPU power [W]"] + [f"{i},{2000 + i},30" for i in range(40)]
    _, notices, parsed = trace_of("\n".join(lines).encode())
    assert parsed.guesses[1].role is None
    assert any("was not taken as a temperature" in n for n in sentences(notices))


def test_a_mapping_by_hand_wins_and_takes_the_role_from_the_other():
    parsed = read_log("\n".join(text(SAMPLES)).encode())
    mapped = apply_mapping(parsed.guesses, {"Fan [RPM]": None, "Core Clocks (avg) [MHz]": "gpu_clock"})
    by_header = {g.header: g for g in mapped}
    assert by_header["Fan [RPM]"].role is None
    assert (by_header["Core Clocks (avg) [MHz]"].role, by_header["Core Clocks (avg) [MHz]"].confidence) == (
        Role.GPU_CLOCK,
        1.0,
    )


@pytest.mark.parametrize(
    ("mapping", "says"),
    [({"No such": "cpu_power"}, "no column “No such”"), ({"Fan [RPM]": "windmill"}, "“windmill” is no role")],
)
def test_a_mapping_that_names_what_is_not_there_is_refused(mapping, says):
    parsed = read_log("\n".join(text(SAMPLES)).encode())
    with refuses(FormatError, match=says):
        apply_mapping(parsed.guesses, mapping)


@pytest.mark.parametrize("cell", ["nan", "NaN", "inf", "9" * 400])
def test_cells_that_are_no_number_are_counted_and_told(cell):
    lines = text(SAMPLES)
    for at in range(60, 74):
        stamp, _, *rest = lines[at].split(",")
        lines[at] = ",".join([stamp, cell, *rest])
    trace, notices, _ = trace_of("\n".join(lines).encode())
    assert any("14 of" in n and "hold no number" in n for n in sentences(notices))
    assert not np.isinf(trace.channels[Role.CPU_TEMPERATURE]).any()


@pytest.mark.parametrize("end", [b"\n", b"\r\n"])
def test_a_log_followed_by_line_ends_alone_costs_no_more_than_the_log(tmp_path, end):
    path = tmp_path / "log.csv"
    path.write_bytes(end.join(line.encode() for line in text(SAMPLES)) + end * 2_000_000)
    tracemalloc.start()
    found = read_log(path, path.name)
    peak = tracemalloc.get_traced_memory()[1]
    tracemalloc.stop()
    assert len(found.frame) == len(SAMPLES)
    # The file once, and a little: each line end is no row.
    assert peak < 5 * path.stat().st_size
