"""The record of a served job as a PDF: what photos cost, in seconds and as a ratio.

    python bench/record_pdf.py [TIMES]    12 when left out

Photos are as a tablet takes them, 12 million pixels each, and come as the product keeps them. The goal is a second or
less with four.
"""

from __future__ import annotations

import io
import statistics
import sys
import time
import uuid
from datetime import UTC, datetime

import numpy as np
from own_shop import Caller, own_shop
from PIL import Image

MOST_S = 1.0


def taken(seed: int) -> bytes:
    """A photo with as much in it as one of a dusty heatsink has."""
    rng = np.random.default_rng(seed)
    coarse = rng.integers(0, 255, (375, 500, 3), dtype=np.uint8)
    picture = Image.fromarray(coarse).resize((4000, 3000))
    out = io.BytesIO()
    picture.save(out, "JPEG", quality=88)
    return out.getvalue()


def seconds(ada: Caller, job: str, times: int) -> list[float]:
    """How long each PDF takes, from the question to its last byte. The first one, which starts all up, is left out."""
    out = []
    for _ in range(times + 1):
        began = time.perf_counter()
        assert ada.call("GET", f"/api/jobs/{job}/record.pdf").data.startswith(b"%PDF-")
        out.append(time.perf_counter() - began)
    return out[1:]


def photograph(ada: Caller, job: str, what: str, turn: int) -> None:
    """A photo of a step, as bench mode sends it."""
    photo, now = str(uuid.uuid4()), datetime.now(UTC).isoformat()
    ada.call("POST", f"/api/jobs/{job}/photos/{photo}", data=taken(turn), status=201)
    told = {"id": str(uuid.uuid4()), "turn": turn, "made_at": now, "kind": "photo"}
    told["data"] = {"photo": photo, "what": what, "step": "cover_off"}
    batch = {"device": "tablet-a", "sent_at": now, "events": [told]}
    (answer,) = ada.call("POST", f"/api/jobs/{job}/bench/events", batch)["taken"]
    assert answer["refusal"] is None, answer


def main(times: int) -> int:
    """Measure, print, and give 1 where the goal is missed."""
    with own_shop() as shop:
        ada = shop.signed_in()
        job = ada.served_job()
        ada.call("POST", f"/api/jobs/{job}/plan/choice", {"version": 0, "key": "clean"})
        ada.call("POST", f"/api/jobs/{job}/bench/list", {"with_model": True})
        found = {}
        for photos in (0, 2, 4):
            found[photos] = seconds(ada, job, times)
            if photos < 4:
                for side, what in enumerate(("before", "after")):
                    photograph(ada, job, what, photos + side + 1)
        bare = statistics.median(found[0])
        for photos, each in found.items():
            median = statistics.median(each)
            print(f"{photos} photos: median {median:.2f} s, worst {max(each):.2f} s, {median / bare:.2f} of none")
        return 0 if max(found[4]) <= MOST_S else 1


if __name__ == "__main__":
    sys.exit(main(int(sys.argv[1]) if len(sys.argv) > 1 else 12))
