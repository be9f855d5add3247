"""What goes over the line is packed where that helps."""

import gzip

import brotli
import pytest

from vividowl.web.app import SITE

SCRIPT = max(SITE.glob("assets/*.js"), key=lambda path: path.stat().st_size)
UNPACK = {"br": brotli.decompress, "gzip": gzip.decompress}


@pytest.mark.parametrize("way", UNPACK)
def test_scripts_and_answers_are_packed_as_the_browser_understands(ada, way):
    asked = {"Accept-Encoding": way}
    with ada.client.get(f"/assets/{SCRIPT.name}", headers=asked) as found:
        sent = found.data
    assert found.headers["Content-Encoding"] == way
    assert "Accept-Encoding" in found.headers["Vary"]
    assert UNPACK[way](sent) == SCRIPT.read_bytes()
    assert found.mimetype == "text/javascript"
    # The build has packed it for good; a browser of yesterday gets it packed on the way.
    assert (sent == (SCRIPT.parent / f"{SCRIPT.name}.br").read_bytes()) is (way == "br")
    assert len(sent) < 0.45 * SCRIPT.stat().st_size
    known = {**asked, "If-None-Match": found.headers["ETag"]}
    with ada.client.get(f"/assets/{SCRIPT.name}", headers=known) as again:
        assert (again.status_code, again.data) == (304, b"")
    words = ada.client.get("/api/bench/words", headers=asked)
    assert words.headers["Content-Encoding"] == way
    assert UNPACK[way](words.data).startswith(b"{")


def test_what_is_packed_already_or_small_and_whoever_does_not_ask_gets_it_plain(ada):
    asked = {"Accept-Encoding": "br, gzip"}
    font = next(SITE.glob("assets/*.woff2"))
    with ada.client.get(f"/assets/{font.name}", headers=asked) as found:
        assert "Content-Encoding" not in found.headers
    assert "Content-Encoding" not in ada.client.get("/api/health", headers=asked).headers
    plain = ada.client.get(f"/assets/{SCRIPT.name}")
    assert "Content-Encoding" not in plain.headers
    assert plain.data == SCRIPT.read_bytes()
