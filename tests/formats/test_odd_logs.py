"""Files that no one wrote the reader for: workbooks, JSON lines, Parquet, odd numbers, odd clocks, footers."""

import json
import zipfile
from datetime import UTC, datetime, timedelta

import numpy as np
import polars as pl
import pytest
import xlsxwriter
from tests.logs import rows
from tests.said import refuses

from vividowl.core.trace.roles import Role
from vividowl.formats.errors import FormatError
from vividowl.formats.log.sensor_log import TIME, read_log, to_trace
from vividowl.words import sentence, sentences

SAMPLES = rows(load_s=200)
TRUTH = np.array([r["temp"] for r in SAMPLES])
POWER = np.array([r["power"] for r in SAMPLES])
BEGAN = datetime(2026, 3, 1, 23, 58, 0, tzinfo=UTC)


def moment(r):
    return BEGAN + timedelta(seconds=r["s"])


def read(data, name="log"):
    parsed = read_log(data, name)
    trace, more = to_trace(parsed.frame, parsed.guesses)
    return trace, parsed, (*parsed.notices, *more)


def check(trace, atol=0.051):
    assert trace.duration_s == pytest.approx(SAMPLES[-1]["s"], abs=0.01)
    assert trace.interval_s == pytest.approx(1.0, abs=1e-4)
    assert np.allclose(trace.channels[Role.CPU_TEMPERATURE], TRUTH, atol=atol)
    assert np.allclose(trace.channels[Role.CPU_POWER], POWER, atol=0.051)


def csv(header, line):
    return "\n".join([header, *(line(r) for r in SAMPLES)]).encode()


def test_a_workbook_with_a_cover_sheet_and_midnight(tmp_path):
    book = xlsxwriter.Workbook(str(tmp_path / "log.xlsx"))
    book.add_worksheet("About").write(0, 0, "written by an invented logger")
    sheet, stamp = book.add_worksheet("Run"), book.add_format({"num_format": "yyyy-mm-dd hh:mm:ss"})
    for column, header in enumerate(("Timestamp", "CPU Package [°C]", "CPU Package Power [W]", "Throttling")):
        sheet.write(0, column, header)
    for i, r in enumerate(SAMPLES, 1):
        sheet.write_datetime(i, 0, moment(r).replace(tzinfo=None), stamp)
        sheet.write(i, 1, r["temp"])
        sheet.write(i, 2, r["power"])
        sheet.write(i, 3, r["held"])
    book.close()
    trace, _, notices = read((tmp_path / "log.xlsx").read_bytes())
    check(trace)
    assert "The sheet “Run” was read." in sentences(notices)
    assert trace.channels[Role.THROTTLE_FLAG].sum() == sum(r["held"] for r in SAMPLES)


def test_json_lines_with_nested_sensors_and_a_broken_line():
    lines = [
        json.dumps({"ts": moment(r).isoformat(), "cpu": {"package temp_c": r["temp"], "power_w": r["power"]}})
        for r in SAMPLES
    ]
    trace, parsed, notices = read("\n".join([*lines, '{"ts": "20']).encode())
    check(trace)
    assert parsed.layout.headers == ("ts", "cpu package temp_c", "cpu power_w")
    assert sentences(notices) == ["1 line(s) are no JSON objects and were left out."]


def test_a_json_array_is_read_too():
    records = [{"time_s": r["s"], "CPU Temp °C": r["temp"], "CPU Power W": r["power"]} for r in SAMPLES]
    check(read(json.dumps(records).encode())[0])


def test_parquet_with_moments_and_milliwatts(tmp_path):
    pl.DataFrame(
        {
            "time": [moment(r).replace(tzinfo=None) for r in SAMPLES],
            "CPU Package Temp": TRUTH,
            "CPU Package Power [mW]": POWER * 1000,
            "list": [[1, 2]] * len(SAMPLES),
        }
    ).write_parquet(tmp_path / "log.parquet")
    trace, _, notices = read((tmp_path / "log.parquet").read_bytes())
    check(trace)
    assert sentences(notices) == ["Columns that hold lists were left out: list."]


def test_thousands_signs_in_either_custom():
    english = csv(
        "Time [s],CPU Package [°C],CPU Power [W],CPU Clock [MHz]",
        lambda r: f'{r["s"]},{r["temp"]:.1f},{r["power"]:.2f},"{r["clock"]:,.0f}"',
    )
    german = csv(
        "Time [s];CPU Package [°C];CPU Power [W];CPU Clock [MHz]",
        lambda r: (
            f"{r['s']:.0f};{r['temp']:.1f};{r['power']:.2f}".replace(".", ",")
            + ";"
            + f"{r['clock']:,.0f}".replace(",", ".")
        ),
    )
    for data in (english, german):
        trace = read(data)[0]
        check(trace)
        assert np.allclose(trace.channels[Role.CPU_CLOCK], [r["clock"] for r in SAMPLES])


def test_units_in_the_cells():
    data = csv("t\tDie\tHeat\tSpin", lambda r: f"{r['s']}\t{r['temp']:.1f} °C\t{r['power']:.2f} W\t{r['fan']:.0f} rpm")
    trace, parsed, _ = read(data)
    check(trace)
    assert [g.unit for g in parsed.guesses[1:]] == ["°C", "W", "rpm"]
    assert trace.has(Role.FAN_SPEED)


def test_a_decimal_comma_in_quotes_between_commas():
    data = csv(
        "Time [s],CPU Package [°C],CPU Power [W]",
        lambda r: f'{r["s"]:.0f},"{r["temp"]:.1f}","{r["power"]:.2f}"'.replace(".", ","),
    )
    check(read(data)[0])


CLOCKS = {
    "split date and time": ("Date,Time", lambda m: f"{m:%d.%m.%Y},{m:%H:%M:%S}"),
    "twelve hours": ("Time", lambda m: f"{m:%m/%d/%Y %I:%M:%S %p}"),
    "twelve hours without a date": ("Time", lambda m: f"{m:%I:%M:%S %p}".lower()),
    "milliseconds after a colon": ("Time", lambda m: f"{m:%H:%M:%S}:{m.microsecond // 1000:03d}"),
    "words for the month": ("Time", lambda m: f"{m:%d %b %Y %H:%M:%S}"),
    "epoch": ("unix time", lambda m: f"{m.timestamp():.3f}"),
    "epoch in microseconds": ("epoch", lambda m: f"{m.timestamp() * 1e6:.0f}"),
    "zone": ("Timestamp", lambda m: m.isoformat()),
    "elapsed": ("Elapsed", lambda m: str(m - BEGAN)),
    "elapsed in minutes": ("Elapsed [min]", lambda m: f"{(m - BEGAN).total_seconds() / 60:.6f}"),
    "foreign name": ("Uhrzeit", lambda m: f"{m:%H:%M:%S}"),
}


@pytest.mark.parametrize("style", CLOCKS)
def test_clocks_of_all_kinds_across_midnight(style):
    header, stamp = CLOCKS[style]
    trace, _, notices = read(
        csv(
            f"{header},CPU Package [°C],CPU Power [W]", lambda r: f"{stamp(moment(r))},{r['temp']:.1f},{r['power']:.2f}"
        )
    )
    check(trace)
    assert notices == ()


def test_footers_as_wide_as_the_table_are_left_out():
    body = csv(
        "Date,Time,CPU Package [°C],CPU Power [W]",
        lambda r: f"{moment(r):%Y-%m-%d,%H:%M:%S},{r['temp']:.1f},{r['power']:.2f}",
    )
    trace, _, notices = read(body + b"\nMin,,24.1,6.0\nMax,,95.0,70.0\nMean,,80.2,44.4\n")
    check(trace)
    assert sentences(notices) == [
        f"The last 3 line(s), from line {len(SAMPLES) + 2} on, carry no time and were left out."
    ]


def test_columns_of_one_name_are_numbered():
    data = csv(
        "Time [s],Core [°C],Core [°C],CPU Power [W]",
        lambda r: f"{r['s']},{r['temp']:.1f},{r['temp'] - 2:.1f},{r['power']:.2f}",
    )
    assert read(data)[1].layout.headers == ("Time [s]", "Core [°C]", "Core [°C] (2)", "CPU Power [W]")


def test_a_column_without_a_name_that_rises_evenly_is_the_time():
    data = csv("A,B,C", lambda r: f"{r['s']},{r['temp']:.1f},{r['power']:.2f}")
    check(read(data)[0])


def test_jumps_of_the_sensor_are_left_out_and_named():
    values = TRUTH.copy()
    values[[60, 90]] = 255
    values[120] = 0
    data = csv("Time [s],CPU Package [°C]", lambda r: f"{r['s']},{values[int(r['s'])]:.1f}")
    trace, _, notices = read(data)
    assert np.isnan(trace.channels[Role.CPU_TEMPERATURE][[60, 90, 120]]).all()
    assert any("3 drop-outs of the sensor" in n for n in sentences(notices))


def archive(tmp_path, name):
    with zipfile.ZipFile(tmp_path / "a.zip", "w", zipfile.ZIP_DEFLATED) as out:
        out.writestr(name, "x" * 100)
    return (tmp_path / "a.zip").read_bytes()


def test_an_archive_is_no_workbook(tmp_path):
    with refuses(FormatError, match="an archive and no workbook") as caught:
        read_log(archive(tmp_path, "log.csv"), "logs.zip")
    assert "Unpack it" in sentence(caught.value.remedy)


def test_a_workbook_that_unpacks_to_a_flood_is_refused(tmp_path):
    with zipfile.ZipFile(tmp_path / "a.xlsx", "w", zipfile.ZIP_DEFLATED) as out:
        out.writestr("xl/worksheets/sheet1.xml", b"0" * (401 * 1024 * 1024))
    with refuses(FormatError, match="unpacks to more than 400 MB"):
        read_log((tmp_path / "a.xlsx").read_bytes(), "bomb.xlsx")


@pytest.mark.parametrize(
    ("data", "words"),
    [
        (b"PK\x03\x04 but then nothing", "cannot be opened as a workbook"),
        (b"PAR1 but then nothing", "cannot be opened as Parquet"),
        (b'[{"a": 1}', "no complete JSON"),
        (b'{"a": 1}\n' + b"words\n" * 9, "line 2 is no JSON object"),
    ],
)
def test_broken_containers_are_refused_in_a_line(data, words):
    with refuses(FormatError, match=words) as caught:
        read_log(data, "broken")
    assert caught.value.remedy


def test_a_last_column_that_stays_empty_costs_no_line(tmp_path):
    lines = ["Time [s]\tCPU [°C]\tCPU Power [W]\tNote"] + [f"{i}\t{40 + i % 7}.5\t{20 + i % 3}\t" for i in range(60)]
    found = read_log("\n".join(lines).encode(), "tab.txt")
    assert len(found.frame) == 60
    assert not any("breaks off" in n for n in found.notices)
    records = "\n".join(f'{{"ts": {i}, "cpu_temp_c": {40 + i % 7}.5, "cpu_w": 20, "note": null}}' for i in range(60))
    path = tmp_path / "run.jsonl"
    path.write_text(records)
    assert len(read_log(path, "run.jsonl").frame) == 60


def test_a_preamble_nearly_as_wide_as_the_table_is_not_its_header():
    lines = ["sep=;", "some tool;v2", "", "Uhrzeit;CPU-Temperatur (°C);CPU-Leistung (W)"]
    lines += [f"10:00:{i:02d};{40 + i % 7},5;{20 + i % 3},0" for i in range(60)]
    found = read_log("\n".join(lines).encode(), "pre.csv")
    assert found.layout.headers == ("Uhrzeit", "CPU-Temperatur (°C)", "CPU-Leistung (W)")
    assert {g.role for g in found.guesses} >= {Role.CPU_TEMPERATURE, Role.CPU_POWER}


def test_a_column_called_t_and_something_is_no_clock():
    lines = ["Datum\tUhrzeit\tT die 1\tP1 (W)\tVentilator (U/min)"]
    lines += [f"03.11.2026\t11:59:{i:02d} PM\t{40 + i % 7},5\t{20 + i % 3},0\t{2500 + i}" for i in range(60)]
    lines += [f"04.11.2026\t12:00:{i:02d} AM\t{40 + i % 7},5\t{20 + i % 3},0\t{2500 + i}" for i in range(60)]
    found = read_log("\n".join(lines).encode("utf-16"), "night.txt")
    assert found.frame[TIME].to_list() == [float(i) for i in range(120)]
    assert found.notices == ()
    assert found.guesses[4].role is Role.FAN_SPEED


def test_short_names_of_both_chips_are_understood():
    lines = ["ts,cpu_temp_c,cpu_w,gpu_temp_c,gpu_w"] + [
        f"{i},{40 + i % 7},{20 + i % 3},50,{60 + i % 2}" for i in range(60)
    ]
    roles = [g.role for g in read_log("\n".join(lines).encode(), "short.csv").guesses]
    assert roles == [None, Role.CPU_TEMPERATURE, Role.CPU_POWER, Role.GPU_TEMPERATURE, Role.GPU_POWER]


def test_a_carriage_return_inside_of_a_cell_is_read_as_a_blank():
    # Once a traceback of the csv module: found by bench/fuzz.py.
    rows = "\n".join(f"2026-03-01 14\r:{i:02d}:00,{60 + i % 3},40" for i in range(40))
    parsed = read_log(f"Time,CPU Package [C],CPU Package Power [W]\n{rows}\n".encode(), "odd.csv")
    assert len(to_trace(parsed.frame, parsed.guesses)[0].time_s) == 40
