"""Writes contract/: what both languages must agree on. `python tools/contract.py`; a test holds the files to it."""

from __future__ import annotations

import base64
import io
import json
import random
import struct
import sys
import tempfile
import zipfile
from collections.abc import Callable
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Any

ROOT = Path(__file__).parents[1]
sys.path.insert(0, str(ROOT))

import cattrs  # noqa: E402
from cryptography.hazmat.primitives.asymmetric.ed25519 import Ed25519PrivateKey  # noqa: E402
from tests.bench_jobs import PASTE  # noqa: E402
from tests.bench_jobs import PLACES as MAP  # noqa: E402
from tests.golden import LOGS, events_of, plain  # noqa: E402

from vividowl.core.bench.fasteners import PLUG, SCREW, SHAPES  # noqa: E402
from vividowl.core.bench.interlocks import CANCELS, MAKES  # noqa: E402
from vividowl.core.bench.log.events import KINDS, BenchCommand, BenchEvent  # noqa: E402
from vividowl.core.bench.log.log import BenchLog, append, before, grown, replay  # noqa: E402
from vividowl.core.bench.log.made import acts_of_place  # noqa: E402
from vividowl.core.bench.log.state import BenchState  # noqa: E402
from vividowl.core.bench.steps.make_list import device_of, make_steps  # noqa: E402
from vividowl.core.job.device import DeviceKind  # noqa: E402
from vividowl.core.job.stages import BENCH, PLACES  # noqa: E402
from vividowl.core.materials.kinds import CATALOGUE  # noqa: E402
from vividowl.core.quantities.words import say  # noqa: E402
from vividowl.core.response.ladder import Ladder, Rung  # noqa: E402
from vividowl.core.trace.roles import Role  # noqa: E402
from vividowl.formats.data_file import check_data_file, seal, write_data_file  # noqa: E402
from vividowl.formats.drawing import (  # noqa: E402
    BEAKS,
    RISE_FULL_K,
    highest_rise,
    is_held,
    joints,
    pupil_share,
    ring_end,
)
from vividowl.formats.errors import FormatError  # noqa: E402
from vividowl.formats.words import CLEANED, TARGETS, VERDICTS  # noqa: E402
from vividowl.words import told  # noqa: E402
from vividowl.words.sentence import bundle_of, sentence_from  # noqa: E402

RECENT, THEN_MOST = 20, 90
# From the beginning: a whole service, and a change of plan. From the middle: anything, in any order.
WHOLE = ("a whole service with alloy", "paste on the die, then planned for alloy")


def event(e: BenchEvent) -> dict[str, Any]:
    """An event as a page gets it."""
    return {
        "id": e.id,
        "kind": e.kind,
        "data": plain(told(e.data)),
        "made": plain(told(e.made)),
        "at": e.at.isoformat(),
        "by": e.by,
    }


def case(name: str, events: list[BenchEvent], start: int) -> dict[str, Any]:
    """A page that loads after some events and goes on with the rest."""
    log = BenchLog()
    for one in events[:start]:
        log = grown(log, one)
    base, active, undone = before(log, RECENT), log.active[-RECENT:], log.undone[-RECENT:]
    then = events[start : start + THEN_MOST]
    for one in then:
        log = grown(log, one)
    return {
        "name": name,
        "base": plain(told(base)),
        "active": [event(e) for e in active],
        "undone": [event(e) for e in undone],
        "then": [event(e) for e in then],
        "state": plain(told(log.state)),
    }


def another_attempt(events: list[BenchEvent]) -> list[BenchEvent]:
    """A closed log, begun once more, taken back and begun again. The golden logs are older than this kind."""
    log = replay(events)
    at, out = events[-1].at, list(events)

    def do(kind: str, **data: Any) -> None:  # noqa: ANN401 - what the kind carries
        nonlocal at, log
        at += timedelta(minutes=20)
        log, done = append(log, BenchCommand(id=f"another-{len(out)}", kind=kind, data=data, at=at, by="Toru"))
        out.append(done)

    steps = [told(s) for s in make_steps("laptop", PASTE, places=tuple(log.state.places.values()), school_percent=50)]
    begun = {"number": 2, "steps": steps, "device": told(device_of("laptop", PASTE)), "plan": "repaste"}
    do("attempt", **begun)
    do("undo")
    do("attempt", **begun)
    for step in steps[:5]:
        do("step_done", step=step["id"])
    return out


def places() -> list[dict[str, Any]]:
    """What taking a place out or putting it in means, for each kind of place."""
    state = BenchState(places={p.id: p for p in MAP}, out=frozenset({"c0"}))
    cases = [(p.id, out) for p in MAP for out in (True, False)]
    return [{"place": i, "out": out, "acts": list(acts_of_place(state.places[i], state, out=out))} for i, out in cases]


def bench() -> dict[str, Any]:
    """contract/bench.json."""
    cases = []
    for version, row in LOGS.values():
        if version != 2:
            continue
        events = events_of(version, row)
        if row["name"] in WHOLE:
            cases.append(case(row["name"], events, 0))
            if row["state"]["closed"] is not None:
                cases.append(case(f"{row['name']}, then another attempt", another_attempt(events), len(events) - 6))
        elif row["name"].startswith("anything"):
            cases.append(case(row["name"], events, len(events) // 3))
    return {
        "kinds": list(KINDS),
        "plug": PLUG,
        "screw": SCREW,
        "acts": {act: {"cancels": list(CANCELS[act]), "makes": list(MAKES.get(act, ()))} for act in CANCELS},
        "map": [told(p) for p in MAP],
        "out": ["c0"],
        "places": places(),
        "cases": cases,
    }


def names() -> dict[str, Any]:
    """contract/names.json: stored names that both languages say by the same message, in their order."""
    return {
        "stages": list(PLACES),
        "bench_stages": list(BENCH),
        "verdicts": list(VERDICTS),
        "interfaces": list(CATALOGUE),
        "targets": list(TARGETS),
        "cleaned": list(CLEANED),
        "roles": [str(r) for r in Role],
    }


def geometry() -> dict[str, Any]:
    """contract/geometry.json: owl, heat ladder and map, which both languages draw."""
    ladders = [
        Ladder(
            25.0,
            95.0,
            45.0,
            (
                Rung(name="air", drop_k=10.0, resistance=0.22, source="log"),
                Rung(name="behind", drop_k=60.0, resistance=1.33, source="log"),
            ),
        ),
        Ladder(
            22.4,
            71.3,
            58.0,
            (
                Rung(name="air", drop_k=15.9, resistance=None, source="probe"),
                Rung(name="heatsink", drop_k=-0.4, resistance=None, source="probe"),
                Rung(name="interface", drop_k=33.4, resistance=0.58, source="log"),
            ),
        ),
        Ladder(24.0, 24.3, None, ()),
    ]
    return {
        "owl": {
            "rise_full_k": RISE_FULL_K,
            "verdicts": sorted(BEAKS),
            "rings": [
                {"share": share, "x": round(x, 4), "y": round(y, 4), "long_way": long_way}
                for share in (0.0, 0.1, 0.25, 0.5, 0.51, 0.75, 0.999, 1.0, 1.4)
                for x, y, long_way in [ring_end(share)]
            ],
            "pupils": [{"noise_db": db, "share": pupil_share(db)} for db in (None, 10, 25, 30.4, 45, 65, 90)],
            "held": [
                {"held_share": share, "held": is_held({"held_share": share})} for share in (None, 0, 0.02, 0.021, 1)
            ],
        },
        "ladder": {
            "highest_rise_k": highest_rise(ladders),
            "highest_rise_of_none_k": highest_rise([]),
            "cases": [
                {
                    "ladder": cattrs.unstructure(ladder),
                    "floor": 300,
                    "scale": 2.5,
                    "joints": [[round(high, 6), round(low, 6)] for high, low in joints(ladder, 300, 2.5)],
                }
                for ladder in ladders
            ],
        },
        "map": {"kinds": [str(kind) for kind in DeviceKind], "shapes": list(SHAPES)},
    }


SAMPLE = """
plain = Yes, as typed: 5 %
held = Held back{ $limit_c ->
        [none] { "" }
       *[other] { " " }at { FIX($limit_c, 0) } °C
    } { FIX($share, 1) } %
count = { $n ->
        [one] one screw
       *[other] { $n } screws
    }
flag = { $sound ->
        [yes] sound
       *[no] odd
    }
signed = { FIX($x, 2, sign: 1) }
size = { SIG($x) }
rough = { SIG($x, 2) }
capital = { CAP($words) } and { LOW($words) }
unit = { SIG($x) }{ UNIT($unit) }
    .remedy = Give it in { $unit }.
"""


def sentences() -> dict[str, Any]:
    """contract/sentences.json: messages with values, and what both languages make of them."""
    # No halves: one language rounds them to even, the other away from nought.
    numbers = (0, 1, 2, -1, 0.04, -0.04, 0.126, 12.346, 48.0, 999.96, 1260, 1234567, 0.00001234, 2.6e-7, -273.15)
    cases: list[tuple[str, dict[str, Any]]] = [
        ("plain", {}),
        ("held", {"limit_c": 95.4, "share": 12.34}),
        ("held", {"limit_c": None, "share": 0}),
        *[("count", {"n": n}) for n in (0, 1, 2, 1000)],
        ("flag", {"sound": True}),
        ("flag", {"sound": False}),
        *[(code, {"x": x}) for code in ("signed", "size", "rough") for x in numbers],
        ("capital", {"words": "gallium alloy"}),
        ("capital", {"words": "Äußeres Teil"}),
        ("capital", {"words": ""}),
        ("unit", {"x": 0.3, "unit": "mm"}),
        ("unit", {"x": 0.3, "unit": ""}),
        ("unit.remedy", {"x": 1, "unit": "µm"}),
    ]
    bundle = bundle_of([SAMPLE])
    return {
        "messages": SAMPLE,
        "cases": [
            {"code": code, "values": values, "text": sentence_from(bundle, say(code, **values))}
            for code, values in cases
        ],
    }


def data_files() -> list[dict[str, Any]]:
    """Data files of a record with what is found of each; null where it is none. RFC 8032, section 7.1, test 1 signs."""
    secret = bytes.fromhex("9d61b19deffd5a60ba844af492ec2cc44449c5697b326919703bac031cae7f60")
    key = Ed25519PrivateKey.from_private_bytes(secret)
    contents = {"record.json": b'{"number": 7}', "logs/before-1-l.csv": b"t,T\n0,41\n1,42\n", "photos/1.jpg": bytes(64)}
    good = write_data_file(
        contents, seal(contents, {"shop": "Lantern Street", "number": 7}, datetime(2026, 11, 30, tzinfo=UTC), key)
    )

    def rewritten(change: Callable[[dict[str, bytes]], None], *, later: bool = False) -> bytes:
        with zipfile.ZipFile(io.BytesIO(good)) as old:
            files = {name: old.read(name) for name in old.namelist()}
        change(files)
        out = io.BytesIO()
        with zipfile.ZipFile(out, "w") as new:
            for name, data in files.items():
                new.writestr(zipfile.ZipInfo(name, (2026, 12 if later else 11, 30, 0, 0, 0)), data)
        return out.getvalue()

    cases = {
        "untouched": good,
        "packed anew": rewritten(lambda files: None, later=True),
        "a file changed": rewritten(lambda files: files.update({"record.json": b'{"number": 8}'})),
        "a file left out": rewritten(lambda files: files.pop("photos/1.jpg") and None),
        "a file laid in": rewritten(lambda files: files.update({"more.txt": b"x"})),
        "files laid in that are called as what every object has": rewritten(
            lambda files: files.update({"constructor": b"x", "__proto__": b"x"})
        ),
        "a manifest without files": rewritten(
            lambda files: files.update({"manifest.json": b'{"format": "vivid-owl-record", "files": null}'})
        ),
        "a manifest made to fit": rewritten(
            lambda files: files.update(
                {"manifest.json": files["manifest.json"].replace(b'"number": 7', b'"number": 9')}
            )
        ),
        "a signature changed": rewritten(lambda files: files.update({"manifest.sig": bytes(64)})),
        "no signature": rewritten(lambda files: files.pop("manifest.sig") and None),
        "a key written another way": rewritten(
            lambda files: files.update({"shop.pem": files["shop.pem"].replace(b"-----END", b"\n-----END")})
        ),
        "no zip": b"PK, but no more",
        "broken off": good[: len(good) // 2],
    }
    cases |= _odd_zips(good) | _odd_manifests(contents, key)
    draw = random.Random(8032)  # noqa: S311 - places to change, no secret
    for place in sorted(draw.sample(range(len(good)), 40)):
        cases[f"byte {place}"] = good[:place] + bytes([good[place] ^ (1 << draw.randrange(8))]) + good[place + 1 :]
    return [
        {"name": name, "zip": base64.b64encode(data).decode(), "found": _found(data)} for name, data in cases.items()
    ]


def _odd_zips(good: bytes) -> dict[str, bytes]:
    """The same files under another wrapping: what one reader passes over and another one reads."""
    end = len(good) - 22
    (start,) = struct.unpack_from("<I", good, end + 16)
    (first_name,) = struct.unpack_from("<H", good, 26)

    def patched(*changes: tuple[int, bytes]) -> bytes:
        out = bytearray(good)
        for at, data in changes:
            out[at : at + len(data)] = data
        return bytes(out)

    def short(value: int) -> bytes:
        return struct.pack("<H", value)

    forged = good.replace(b"0,41", b"0,31")
    zip64 = struct.pack("<IQHHIIQQQQ", 0x06064B50, 44, 45, 45, 0, 0, 6, 6, end - start, start)
    locator = struct.pack("<IIQI", 0x07064B50, 0, end, 1)
    packed = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(good)) as old, zipfile.ZipFile(packed, "w", zipfile.ZIP_DEFLATED) as new:
        for name in old.namelist():
            new.writestr(zipfile.ZipInfo(name, (2026, 11, 30, 0, 0, 0)), old.read(name), zipfile.ZIP_DEFLATED)
    (second,) = struct.unpack_from("<I", good, start + 46 + first_name + 42)
    crc = struct.unpack_from("<I", good, 14)[0] ^ 1
    return {
        "junk in front": b"MZ" + good,
        "junk behind": good + b"\n",
        "a comment": patched((end + 20, short(2))) + b"hi",
        "two zips joined": forged + good,
        "two zips joined the other way": good + forged,
        "zip64 beside it": good[:end] + zip64 + locator + good[end:],
        "a gap before the table": good[:start] + b"\0\0" + patched((end + 16, struct.pack("<I", start + 2)))[start:],
        "one file more in the end record": patched((end + 8, short(7)), (end + 10, short(7))),
        "one file less in the end record": patched((end + 8, short(5)), (end + 10, short(5))),
        "on another disk": patched((end + 4, short(1))),
        "encrypted, says the table": patched((start + 8, short(1))),
        "encrypted, says the file": patched((6, short(1))),
        "with a reader of version 99": patched((start + 6, short(99)), (4, short(99))),
        "another name in front of the file": patched((30, b"L")),
        "another length in front of the file": patched((22, short(1))),
        "an extra field, says the table": patched((start + 30, short(4))),
        "an extra field in front of the file": patched((28, short(4))),
        "a wrong check sum in both places": patched((14, struct.pack("<I", crc)), (start + 16, struct.pack("<I", crc))),
        "two entries for one place": patched((start + 46 + first_name + 42, struct.pack("<I", 0))),
        "a name that is no UTF-8": patched((30, b"\xff"), (start + 46, b"\xff")),
        "packed": packed.getvalue(),
        "a place beyond the end": patched((start + 42, struct.pack("<I", second + 10**6))),
    }


def _odd_manifests(contents: dict[str, bytes], key: Ed25519PrivateKey) -> dict[str, bytes]:
    """Manifests signed in order that say what no reader should take, by the true key or by one's own."""
    when = datetime(2026, 11, 30, tzinfo=UTC)
    about = {"shop": "Lantern Street", "number": 7}
    sealed = seal(contents, about, when, key)
    plain = json.loads(sealed.manifest)

    def signed(text: bytes) -> bytes:
        # Under the usual moment, whatever the manifest says of it.
        files = {**contents, "manifest.json": text, "manifest.sig": key.sign(text), "shop.pem": sealed.key}
        out = io.BytesIO()
        with zipfile.ZipFile(out, "w") as made:
            for name, data in files.items():
                made.writestr(zipfile.ZipInfo(name, (2026, 11, 30, 0, 0, 0)), data)
        return out.getvalue()

    def saying(**more: object) -> bytes:
        return signed(json.dumps({**plain, **more}, ensure_ascii=False, indent=1).encode())

    text = sealed.manifest
    own = Ed25519PrivateKey.from_private_bytes(bytes(range(32)))
    forged = {**contents, "record.json": b'{"number": 8}'}
    deep = b"[" * 5000 + b"]" * 5000
    first = next(iter(plain["files"]))
    return {
        "changed and signed anew by one's own key": write_data_file(forged, seal(forged, about, when, own)),
        "another fingerprint than its key's": saying(key="0" * 64),
        "not a number": signed(text.replace(b'"number": 7', b'"number": NaN')),
        "a number of 400 digits": signed(text.replace(b'"number": 7', b'"number": ' + b"9" * 400)),
        "a number of 5000 digits": signed(text.replace(b'"number": 7', b'"number": ' + b"9" * 5000)),
        "half a number": saying(number=7.5),
        "a number as words": saying(number="7"),
        "a shop that is a table": saying(shop={"name": "Lantern Street"}),
        "a shop that is null": saying(shop=None),
        "signed in 1970": saying(signed_at="1970-01-01T00:00:00+00:00"),
        "signed in 9999": saying(signed_at="9999-12-31T23:59:59+00:00"),
        "signed on the 31st of February": saying(signed_at="2026-02-31T00:00:00+00:00"),
        "signed elsewhere": saying(signed_at="2026-11-30T01:00:00+01:00"),
        "signed with a Z": saying(signed_at="2026-11-30T00:00:00Z"),
        "half of a sign": signed(text.replace(b"Lantern Street", b"Lantern \\ud800Street")),
        "a name twice": signed(text.replace(b'"number": 7', b'"number": 9,\n "number": 7')),
        "blanks": signed(text.replace(b'"number": 7', b'"number":  7')),
        "escapes": signed(text.replace(b"Lantern", b"\\u004cantern")),
        "UTF-16": signed(text.decode().encode("utf-16")),
        "a mark of byte order": signed(b"\xef\xbb\xbf" + text),
        "deep": signed(text.replace(b'"number": 7', b'"number": ' + deep)),
        "what nobody knows": saying(mood="calm"),
        "files as a list": saying(files=list(plain["files"])),
        "a file that is a word": saying(files={**plain["files"], first: "x"}),
        "a sum in capitals": saying(files={**plain["files"], first: {"sha256": "A" * 64, "bytes": 1}}),
        "a file that is a figure": saying(files={**plain["files"], "1": {"sha256": "a" * 64, "bytes": 1}}),
        "another version": saying(version=2),
        "version true": saying(version=True),
        "a draft": write_data_file(contents, seal(contents, {**about, "record_version": None}, when, key)),
        "a version of it": write_data_file(contents, seal(contents, {**about, "record_version": 2}, when, key)),
        "version nought of it": saying(record_version=0),
        "a shop with signs of its own": write_data_file(
            contents, seal(contents, {"shop": "Größe \u2028\x7f\t", "number": 7, "device": "数"}, when, key)
        ),
    }


def _found(data: bytes) -> dict[str, Any] | None:
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "x.zip"
        path.write_bytes(data)
        try:
            checked = check_data_file(path)
        except FormatError:
            return None
    return {
        "signed": checked.signed,
        "wrong": dict(sorted(checked.wrong.items())),
        "repacked": checked.repacked,
        "fingerprint": checked.fingerprint,
    }


def written() -> dict[str, str]:
    """Files by name, as they have to be."""
    return {
        "bench.json": json.dumps(bench(), ensure_ascii=False, sort_keys=True, separators=(",", ":")) + "\n",
        "sentences.json": json.dumps(sentences(), ensure_ascii=False, indent=1) + "\n",
        "geometry.json": json.dumps(geometry(), ensure_ascii=False, indent=1) + "\n",
        "data_file.json": json.dumps(data_files(), ensure_ascii=False, indent=1) + "\n",
        "names.json": json.dumps(names(), ensure_ascii=False, indent=1) + "\n",
    }


if __name__ == "__main__":
    for file, text in written().items():
        (ROOT / "contract" / file).write_text(text, encoding="utf-8")
        print(f"contract/{file}: {len(text) // 1024} kB")
