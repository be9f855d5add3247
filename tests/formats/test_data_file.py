"""The data file of a record: what was changed is found, and what was not is not."""

import json
import random
import zipfile
from contextlib import suppress
from datetime import UTC, datetime
from pathlib import Path

import pytest
from click.testing import CliRunner
from cryptography.hazmat.primitives.asymmetric.ed25519 import Ed25519PrivateKey
from cryptography.hazmat.primitives.serialization import Encoding, PublicFormat

from vividowl.cli import cli
from vividowl.formats.data_file import Finding, check_data_file, fingerprint, seal, write_data_file
from vividowl.formats.errors import FormatError
from vividowl.words import sentence

ROOT = Path(__file__).parents[2]
WHEN = datetime(2026, 11, 30, 12, tzinfo=UTC)
CONTENTS = {
    "record.json": b'{"number": 7}',
    "logs/before.csv": b"time,temp\n0,41\n" * 40,
    "photos/1.jpg": bytes(range(256)),
}
# RFC 8032, section 7.1, tests 1 to 3: secret key, public key, message, signature.
RFC_8032 = (
    (
        "9d61b19deffd5a60ba844af492ec2cc44449c5697b326919703bac031cae7f60",
        "d75a980182b10ab7d54bfed3c964073a0ee172f3daa62325af021a68f707511a",
        "",
        "e5564300c360ac729086e2cc806e828a84877f1eb8e5d974d873e065224901555fb8821590a33bacc61e39701cf9b46bd25bf5f0595bbe24"
        "655141438e7a100b",
    ),
    (
        "4ccd089b28ff96da9db6c346ec114e0f5b8a319f35aba624da8cf6ed4fb8a6fb",
        "3d4017c3e843895a92b70aa74d1b7ebc9c982ccf2ec4968cc0cd55f12af4660c",
        "72",
        "92a009a9f0d4cab8720e820b5f642540a2b27b5416503f8fb3762223ebdb69da085ac1e43e15996e458f3613d0f11d8c387b2eaeb4302aee"
        "b00d291612bb0c00",
    ),
    (
        "c5aa8df43f9f837bedb7442f31dcb7b166d38535076f094b85ce3a2e0b4458f7",
        "fc51cd8e6218a1a38da47ed00230f0580816ed13ba3303ac5deb911548908025",
        "af82",
        "6291d657deec24024827e69c3abe01a30ce548a284743a445e3680d7db5ac3ac18ff9b538d16f290ae67f760984dc6594a7c15e9716ed28d"
        "c027beceea1ec40a",
    ),
)
KEY = Ed25519PrivateKey.from_private_bytes(bytes.fromhex(RFC_8032[0][0]))


@pytest.fixture
def packed(tmp_path):
    path = tmp_path / "record-7.zip"
    path.write_bytes(write_data_file(CONTENTS, seal(CONTENTS, {"shop": "Lantern Street", "number": 7}, WHEN, KEY)))
    return path


def rewrite(path, change):
    """The same zip with its files changed by name: None leaves one out."""
    with zipfile.ZipFile(path) as old:
        files = {name: old.read(name) for name in old.namelist()}
    change(files)
    with zipfile.ZipFile(path, "w") as new:
        for name, data in files.items():
            new.writestr(name, data)


@pytest.mark.parametrize(("secret", "public", "message", "signature"), RFC_8032)
def test_published_signatures_are_those_of_rfc_8032(secret, public, message, signature):
    """RFC 8032, section 7.1: the signature that the data file carries is made and read as the standard has it."""
    key = Ed25519PrivateKey.from_private_bytes(bytes.fromhex(secret))
    assert key.public_key().public_bytes(Encoding.Raw, PublicFormat.Raw).hex() == public
    assert key.sign(bytes.fromhex(message)).hex() == signature


def test_what_was_not_touched_says_by_whose_key_and_when(packed):
    found = check_data_file(packed)
    assert found.untouched
    assert not found.repacked
    assert found.fingerprint == fingerprint(KEY.public_key()) == found.manifest["key"]
    assert found.manifest["signed_at"] == "2026-11-30T12:00:00+00:00"
    assert {n: e["bytes"] for n, e in found.manifest["files"].items()} == {n: len(d) for n, d in CONTENTS.items()}


def test_the_file_that_was_changed_is_named(packed):
    rewrite(packed, lambda files: files.update({"logs/before.csv": CONTENTS["logs/before.csv"].replace(b"41", b"31")}))
    found = check_data_file(packed)
    assert found.signed
    assert found.wrong == {"logs/before.csv": Finding.CHANGED}


def test_packed_anew_the_files_are_as_signed_and_it_says_so(packed):
    rewrite(packed, lambda files: None)
    found = check_data_file(packed)
    assert found.untouched
    assert found.repacked
    assert "packed anew" in verify(packed).output


def test_a_file_left_out_or_laid_in_is_named(packed):
    def change(files):
        del files["photos/1.jpg"]
        files["logs/more.csv"] = b""

    rewrite(packed, change)
    assert check_data_file(packed).wrong == {"photos/1.jpg": Finding.MISSING, "logs/more.csv": Finding.ADDED}


def test_a_manifest_that_was_made_to_fit_is_not_signed(packed):
    def change(files):
        files["record.json"] = b'{"number": 8}'
        manifest = json.loads(files["manifest.json"])
        manifest["number"] = 8
        files["manifest.json"] = json.dumps(manifest, ensure_ascii=False, indent=1).encode()

    rewrite(packed, change)
    found = check_data_file(packed)
    assert not found.signed
    assert not found.untouched
    told = verify(packed).output
    assert "Not as it was signed" in told
    assert "Signed with the key" not in told


def test_another_key_signs_for_nobody_else(packed):
    other = Ed25519PrivateKey.generate()
    packed.write_bytes(write_data_file(CONTENTS, seal(CONTENTS, {}, WHEN, other)))
    assert check_data_file(packed).fingerprint != fingerprint(KEY.public_key())


def test_property_one_byte_changed_anywhere_is_found(packed):
    """Fifty places, seeded: anywhere in the zip, its own tables included."""
    whole = packed.read_bytes()
    draw = random.Random(8032)
    for place in draw.sample(range(len(whole)), 50):
        packed.write_bytes(whole[:place] + bytes([whole[place] ^ (1 << draw.randrange(8))]) + whole[place + 1 :])
        with suppress(FormatError):
            found = check_data_file(packed)
            assert not found.untouched or found.repacked, place


@pytest.mark.parametrize("data", [b"", b"PK\x05\x06" + bytes(18), b"not a zip", b"PK\x03\x04" + bytes(40)])
def test_what_is_no_data_file_is_told_as_that(tmp_path, data):
    path = tmp_path / "x.zip"
    path.write_bytes(data)
    with pytest.raises(FormatError) as told:
        check_data_file(path)
    assert "is no data file" in sentence(told.value.message)


def test_a_name_that_stands_twice_is_refused(packed):
    with pytest.warns(UserWarning, match="Duplicate"), zipfile.ZipFile(packed, "a") as zipped:
        zipped.writestr("record.json", b"another")
    with pytest.raises(FormatError, match="none"):
        check_data_file(packed)


def test_nothing_that_two_readers_could_take_for_different_things_is_taken():
    """contract/data_file.json: one table of cases for the command and for the page."""
    cases = {c["name"]: c["found"] for c in json.loads((ROOT / "contract/data_file.json").read_text())}
    whole = {"untouched", "packed anew", "a draft", "a version of it", "a shop with signs of its own"}
    own = "changed and signed anew by one's own key"
    taken = {n for n, found in cases.items() if found and found["signed"] and not found["wrong"]}
    assert {n for n in taken if not n.startswith("byte")} == {*whole, own}
    # Its own key signs it, so that the files are as signed; it is another key, and that is said instead of Untouched.
    assert cases[own]["fingerprint"] != cases["untouched"]["fingerprint"]


@pytest.fixture(autouse=True)
def _no_installation(tmp_path, monkeypatch):
    """The command looks for keys where this machine's own shop keeps them: here there is none."""
    monkeypatch.setenv("VIVIDOWL_ROOT", str(tmp_path / "nowhere"))


@pytest.mark.parametrize(
    ("state", "code", "heading"),
    [("signs", 0, "Untouched"), ("retired", 0, "Untouched"), ("withdrawn", 1, "Not believed")],
)
def test_a_key_of_this_installation_counts_as_known(packed, monkeypatch, state, code, heading):
    monkeypatch.setattr("vividowl.cli_verify.known_key", lambda _: state)
    told = verify(packed)
    assert told.exit_code == code
    assert told.output.startswith(heading)
    assert json.loads(verify(packed, "--json").output)["untouched"] is (code == 0)


def verify(*arguments):
    return CliRunner().invoke(cli, ["verify", *map(str, arguments)])


def test_the_command_says_whose_it_is_and_which_file_was_changed(packed):
    told = verify(packed)
    assert told.exit_code == 3  # nobody here knows that key
    assert "Untouched" not in told.output
    assert "Signed by a key that is not known here. Record 7, which names Lantern Street" in told.output
    mine = verify(packed, "--key", fingerprint(KEY.public_key()).upper())
    assert mine.exit_code == 0
    assert "Untouched: record 7 of Lantern Street is as it was signed" in mine.output
    other = verify(packed, "--key", "00" * 32)
    assert other.exit_code == 1
    assert "not the one you asked for" in other.output
    assert "Untouched" not in other.output
    rewrite(packed, lambda files: files.update({"record.json": b"{}"}))
    changed = verify(packed)
    assert changed.exit_code == 1
    assert "record.json: was changed" in changed.output
    assert "Untouched" not in changed.output
    assert json.loads(verify(packed, "--json").output) == {
        "untouched": False,
        "signed": True,
        "repacked": False,
        "key": fingerprint(KEY.public_key()),
        "key_expected": None,
        "key_known": None,
        "shop": "Lantern Street",
        "number": 7,
        "signed_at": "2026-11-30T12:00:00+00:00",
        "record_version": None,
        "draft": False,
        "wrong": {"record.json": "changed"},
    }


def test_a_name_cannot_write_a_line_of_the_answer(packed):
    rewrite(packed, lambda files: files.update({"a\x1b[2J\nUntouched: all is well.txt": b""}))
    told = verify(packed)
    assert told.exit_code == 1
    assert r"a\x1b[2J\nUntouched: all is well.txt: was added and is not signed." in told.output
    assert not any(line.startswith("Untouched") for line in told.output.splitlines())
