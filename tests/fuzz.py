"""Files that something has gone wrong with: each is read, or refused in words, and nothing else."""

import io
import json
import random
import time
from collections import Counter

import numpy as np
from PIL import Image
from tests.logs import COOL, HOT, log_bytes

from vividowl.core.bench.fasteners import Place
from vividowl.core.bench.model_sheet import ModelSheet, sheet_data, sheet_from
from vividowl.core.quantities.errors import CoreError
from vividowl.core.sound.recording import read_sound
from vividowl.formats.apart import read_apart
from vividowl.formats.errors import FormatError
from vividowl.formats.photo import read_photo
from vividowl.formats.sheets.shelf_csv import date_of, number_of, read_shelf
from vividowl.formats.sound_file import read_sound_file, write_wav
from vividowl.service.errors import Refused
from vividowl.service.measure.log_reading import LogTerms, read_whole_log

ALLOWED = (FormatError, CoreError, Refused)
KINDS = ("log", "model", "shelf", "sound", "photo")
SLOW_S = 20.0
ODD = [
    b"\0",
    b"\r",
    b"\n\n\n",
    b"\xff\xfe",
    b"\xed\xa0\x80",
    b"1e301",
    b"-1e-301",
    b"inf",
    b"nan",
    b"9" * 400,
    b";;;;",
    b"\t",
    b'"',
    b"'",
    b"{",
    b"[" * 500,
    b"\xe2\x80\xa8",
    b"2099-12-31 23:59:59",
    b"0x1F",
    b"=1+1",
    b"-",
    b"\x1b[31m",
]


def seeds():
    """One sound file of each kind, or a few."""
    picture = io.BytesIO()
    Image.effect_noise((160, 120), 40).convert("RGB").save(picture, "JPEG")
    transparent = io.BytesIO()
    Image.new("RGBA", (80, 60), (10, 200, 30, 90)).save(transparent, "PNG")
    tone = (0.1 * np.sin(np.arange(24000) * 0.3)).astype(np.float32)
    sheet = ModelSheet(
        maker="Ondervale",
        model="Marrow 15",
        kind="laptop",
        places=(Place(id="a", kind="screw", x=0.1, y=0.2, holds="cover", length_mm=5.0, drive="cross", head="flat"),),
    )
    shelf = (
        "kind,product,unit,price_cents,low_at,lot,received_on,held,remaining\n"
        "paste_stiff,Grey Heron 11,g,900,1,GH-1,2026-01-05,3.5,2.1\nputty,Ridgeback,g,,2,R-2,2026-02-01,30,30\n"
    )
    lines = log_bytes(HOT, seed=1).split(b"\n")
    records = b"\n".join(
        json.dumps({"time": i, "cpu temp": 60 + i % 5, "power": {"cpu": 40.5}}).encode() for i in range(80)
    )
    return {
        "log": [log_bytes(HOT, seed=1), log_bytes(COOL, seed=2), b"\n".join(lines[:90]), records],
        "model": [json.dumps(sheet_data(sheet)).encode()],
        "shelf": [shelf.encode()],
        "sound": [write_wav(tone, 24000)],
        "photo": [picture.getvalue(), transparent.getvalue()],
    }


def mutate(data, dice):
    """Something goes wrong, once or a few times."""
    out = bytearray(data)
    for _ in range(dice.choice([1, 1, 2, 3, 8])):
        at = dice.randrange(len(out) + 1)
        match dice.randrange(8):
            case 0:
                if out:
                    out[at % len(out)] ^= 1 << dice.randrange(8)
            case 1:
                del out[at : at + dice.choice([1, 2, 40, 4000])]
            case 2:
                out[at:at] = dice.choice(ODD)
            case 3:
                out[at:at] = out[at : at + dice.choice([3, 60, 3000])]
            case 4:
                del out[at:]
            case 5:
                out[at:at] = dice.randbytes(dice.choice([1, 16, 300]))
            case 6:
                lines = bytes(out).split(b"\n")
                dice.shuffle(lines)
                out = bytearray(b"\n".join(lines))
            case 7:
                out = bytearray(
                    bytes(out).replace(dice.choice([b",", b".", b":", b"5", b'"', b"\n"]), dice.choice(ODD))
                )
    return bytes(out)


def _shelf(data):
    for number, line in enumerate(read_shelf(data), 2):
        for name in ("price_cents", "low_at", "held", "remaining"):
            number_of(number, name, getattr(line, name))
        date_of(number, "received_on", line.received_on)


def _model(data):
    try:
        found = json.loads(data)
    except (ValueError, RecursionError):
        raise FormatError("no JSON", remedy="-") from None
    sheet_from(found if isinstance(found, dict) else {})


def _sound(path):
    found = read_sound_file(path, "a.wav")
    read_sound(found.channels, found.rate_hz)


def read(kind, data, folder):
    """Read one as the product does."""
    if kind == "shelf":
        return _shelf(data)
    if kind == "model":
        return _model(data)
    if kind == "photo":
        return read_apart(read_photo, data, name="photo")
    path = folder / "given"
    path.write_bytes(data)
    if kind == "sound":
        return _sound(path)
    terms = LogTerms(known={}, mapping={}, room_c=24.0, limit_c=95.0)
    return read_apart(read_whole_log, path, "log.csv", terms, folder / "columns", name="log.csv")


def fuzz(folder, count, seed):
    """So many mutations, a fifth of each kind. What came of them, and what should not have come."""
    dice, kept = random.Random(seed), seeds()
    outcomes, faults = Counter(), []
    for i in range(count):
        kind = KINDS[i % len(KINDS)]
        data = mutate(dice.choice(kept[kind]), dice)
        began = time.monotonic()
        try:
            read(kind, data, folder)
            outcomes[kind, "read"] += 1
        except ALLOWED as error:
            outcomes[kind, "refused"] += 1
            if not str(error) or (isinstance(error, FormatError) and error.reason == "too_heavy"):
                faults.append((kind, i, f"heavy or silent: {error}"))
        except Exception as error:
            faults.append((kind, i, repr(error)[:300]))
        if time.monotonic() - began > SLOW_S:
            faults.append((kind, i, "slow"))
    return outcomes, faults
