"""The data file of a record: open formats in one zip, every file with its SHA-256 in a manifest, signed by the shop.

Nothing is packed in it, so that every byte of a file stands in the zip as it was signed.

manifest.json   what the file is, and name, length and SHA-256 of every other file
manifest.sig    64 bytes: the Ed25519 signature (RFC 8032) of manifest.json, byte for byte
shop.pem        the public key that it is checked with
record.json, record.pdf, logs/, columns/, sounds/, photos/
"""

from __future__ import annotations

import hashlib
import io
import json
import re
import struct
import zipfile
import zlib
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import UTC, datetime
from enum import StrEnum
from pathlib import Path
from typing import Any

from cryptography.exceptions import InvalidSignature, UnsupportedAlgorithm
from cryptography.hazmat.primitives.asymmetric.ed25519 import Ed25519PrivateKey, Ed25519PublicKey
from cryptography.hazmat.primitives.serialization import Encoding, PublicFormat, load_pem_public_key

from vividowl.core.quantities.words import say
from vividowl.formats.errors import FormatError

MANIFEST, SIGNATURE, KEY = "manifest.json", "manifest.sig", "shop.pem"
FORMAT = "vivid-owl-record"
VERSION = 1
FILES_MOST = 500
BYTES_MOST = 1024 * 1024 * 1024
MANIFEST_MOST = 1024 * 1024
SIGNATURE_BYTES = 64


class Finding(StrEnum):
    """What was found of one file."""

    CHANGED = "changed"
    MISSING = "missing"
    ADDED = "added"


@dataclass(frozen=True, kw_only=True)
class Checked:
    """signed: whether the signature fits the manifest; wrong: files by what was found of them; repacked: whether the
    zip around them is another one than was written; fingerprint: SHA-256 of the public key, hexadecimal; manifest: as
    it was signed."""

    signed: bool
    wrong: Mapping[str, Finding]
    repacked: bool
    fingerprint: str
    manifest: Mapping[str, Any]

    @property
    def untouched(self) -> bool:
        """Whether every file is as it was signed."""
        return self.signed and not self.wrong


def fingerprint(key: Ed25519PublicKey) -> str:
    """SHA-256 of the raw public key, hexadecimal."""
    return hashlib.sha256(key.public_bytes(Encoding.Raw, PublicFormat.Raw)).hexdigest()


def pem(key: Ed25519PublicKey) -> bytes:
    """The public key as it lies in a data file."""
    return key.public_bytes(Encoding.PEM, PublicFormat.SubjectPublicKeyInfo)


@dataclass(frozen=True)
class Seal:
    """What holds a data file together: the manifest, byte for byte, its signature, and the public key as PEM."""

    manifest: bytes
    signature: bytes
    key: bytes


def seal(
    contents: Mapping[str, bytes | Path], about: Mapping[str, Any], made_at: datetime, key: Ed25519PrivateKey
) -> Seal:
    """Sign what a data file holds. contents: by name, as bytes or where they lie; about: what the manifest says."""
    files = {name: _bytes(content) for name, content in sorted(contents.items())}
    manifest = {
        "format": FORMAT,
        "version": VERSION,
        **about,
        "signed_at": made_at.astimezone(UTC).isoformat(timespec="seconds"),
        "key": fingerprint(key.public_key()),
        "files": {name: {"sha256": hashlib.sha256(d).hexdigest(), "bytes": len(d)} for name, d in files.items()},
    }
    text = json.dumps(manifest, ensure_ascii=False, indent=1).encode()
    return Seal(text, key.sign(text), pem(key.public_key()))


def write_data_file(contents: Mapping[str, bytes | Path], sealed: Seal) -> bytes:
    """The zip of a record: the same files under the same seal are the same bytes, whenever it is written."""
    stamp = datetime.fromisoformat(json.loads(sealed.manifest)["signed_at"])
    files = {name: _bytes(content) for name, content in sorted(contents.items())}
    return _zip({**files, MANIFEST: sealed.manifest, SIGNATURE: sealed.signature, KEY: sealed.key}, stamp)


def _bytes(content: bytes | Path) -> bytes:
    return content if isinstance(content, bytes) else content.read_bytes()


def _zip(files: Mapping[str, bytes], stamp: datetime) -> bytes:
    """The same files at the same time are the same bytes."""
    out = io.BytesIO()
    when = stamp.astimezone(UTC).timetuple()[:6]
    with zipfile.ZipFile(out, "w", zipfile.ZIP_STORED) as zipped:
        for name, data in files.items():
            zipped.writestr(zipfile.ZipInfo(name, when), data)
    return out.getvalue()


# A data file is one zip as `_zip` writes it, and nothing beside it (.ZIP File Format Specification, 4.3.7, 4.3.12 and
# 4.3.16): files one after another from the first byte on, then the table of them, then one end record that ends the
# file. No flags, no packing, no extra fields, no comments, no second form of sizes. What one reader sees in it, every
# reader sees. `ui/src/customer/data-file.ts` has the same grammar; contract/data_file.json holds both to it.
_LOCAL = struct.Struct("<IHHHHHIIIHH")
_ENTRY = struct.Struct("<IHHHHHHIIIHHHHHII")
_END = struct.Struct("<IHHHHIIH")
_LOCAL_MARK, _ENTRY_MARK, _END_MARK = 0x04034B50, 0x02014B50, 0x06054B50
_NEEDED = 20  # version of the specification that a reader needs


class _OddError(ValueError):
    """The bytes are no data file."""


def _members(whole: memoryview) -> dict[str, memoryview | None]:
    """Bytes of each file by name, None where they are not those that their check sum was made of."""
    end_at = len(whole) - _END.size
    if end_at < 0:
        raise _OddError
    mark, disk, first_disk, here, count, size, start, comment = _END.unpack_from(whole, end_at)
    if mark != _END_MARK or disk or first_disk or here != count or comment or start + size != end_at:
        raise _OddError
    if count > FILES_MOST:
        raise FormatError(
            say("data-file-too-large", files_most=FILES_MOST, most=BYTES_MOST // 2**20), reason="too_large"
        )
    files: dict[str, memoryview | None] = {}
    at, data_at = start, 0
    for _ in range(count):
        if at + _ENTRY.size > end_at:
            raise _OddError
        entry = _ENTRY.unpack_from(whole, at)
        mark, needed, shared, (extra, comment, disk), place = entry[0], entry[2], entry[2:11], entry[11:14], entry[16]
        flags, method, packed, length, name_length = shared[1], shared[2], shared[6], shared[7], shared[8]
        if mark != _ENTRY_MARK or needed != _NEEDED or flags or method or packed != length or extra or comment or disk:
            raise _OddError
        raw = bytes(whole[at + _ENTRY.size : at + _ENTRY.size + name_length])
        at += _ENTRY.size + name_length
        name_at = data_at + _LOCAL.size
        bytes_at = name_at + name_length
        if place != data_at or bytes_at + length > start:
            raise _OddError
        local = _LOCAL.unpack_from(whole, data_at)
        if local[0] != _LOCAL_MARK or local[1:10] != shared or local[10] or bytes(whole[name_at:bytes_at]) != raw:
            raise _OddError
        name = raw.decode()
        # A name that stands twice would let one be checked and the other be read.
        if name in files or not name:
            raise _OddError
        data = whole[bytes_at : bytes_at + length]
        files[name] = data if zlib.crc32(data) == shared[5] else None
        data_at = bytes_at + length
    if data_at != start or at != end_at:
        raise _OddError
    return files


def check_data_file(path: Path) -> Checked:
    """Check a data file: refused where it is none; what is wrong with one is told file by file."""
    if not path.is_file():
        raise FormatError(say("files-there-no-such-file", path=str(path)))
    if path.stat().st_size > BYTES_MOST:
        raise FormatError(
            say("data-file-too-large", files_most=FILES_MOST, most=BYTES_MOST // 2**20), reason="too_large"
        )
    whole = path.read_bytes()
    try:
        return _check(whole)
    except (ValueError, struct.error, RecursionError, UnsupportedAlgorithm) as error:
        raise FormatError(say("data-file-none", name=path.name), reason="no_data_file") from error


def _check(whole: bytes) -> Checked:
    files = _members(memoryview(whole))
    text, signature, key = (files.get(name) for name in (MANIFEST, SIGNATURE, KEY))
    if (
        text is None
        or signature is None
        or key is None
        or len(text) > MANIFEST_MOST
        or len(signature) != SIGNATURE_BYTES
    ):
        raise _OddError
    manifest = _manifest(bytes(text))
    public = load_pem_public_key(bytes(key))
    if not isinstance(public, Ed25519PublicKey) or pem(public) != bytes(key) or manifest["key"] != fingerprint(public):
        raise _OddError
    try:
        public.verify(bytes(signature), bytes(text))
        signed = True
    except InvalidSignature:
        signed = False
    said = {name: entry["sha256"] for name, entry in manifest["files"].items()}
    wrong = {name: Finding.ADDED for name in files if name not in said and name not in (MANIFEST, SIGNATURE, KEY)}
    wrong |= {name: Finding.MISSING for name in said if name not in files}
    wrong |= {name: Finding.CHANGED for name in said if name in files and _sha256(files[name]) != said[name]}
    order = [*sorted(said), MANIFEST, SIGNATURE, KEY]
    repacked = not wrong and _zip({n: bytes(files[n] or b"") for n in order}, _stamp(manifest)) != whole
    return Checked(signed=signed, wrong=wrong, repacked=repacked, fingerprint=fingerprint(public), manifest=manifest)


def _sha256(data: memoryview | None) -> str | None:
    return None if data is None else hashlib.sha256(data).hexdigest()


def _stamp(manifest: Mapping[str, Any]) -> datetime:
    return datetime.fromisoformat(manifest["signed_at"])


_SIGNED_AT = re.compile(r"(19[89]\d|20\d\d)-\d\d-\d\dT\d\d:\d\d:\d\d\+00:00")
# Some readers of JSON put such names first.
_FIGURES = re.compile(r"[0-9]+")
_HEX = re.compile(r"[0-9a-f]{64}")
_SAFE = 2**53 - 1  # the largest whole number that every reader of JSON has exactly
_NEEDS = {"format", "version", "signed_at", "key", "files"}
_MAY = {"shop", "number", "device", "record_version"}


def _whole(value: object, least: int) -> bool:
    return isinstance(value, int) and not isinstance(value, bool) and least <= value <= _SAFE


def _manifest(text: bytes) -> dict[str, Any]:
    """The manifest, as it is written and no other way: what two readers could take for different things is none."""
    found = json.loads(text.decode())
    # One text for one value: no name twice, no blanks, no escapes that are not needed, no half of a sign.
    if json.dumps(found, ensure_ascii=False, indent=1).encode() != text or not isinstance(found, dict):
        raise _OddError
    names = set(found)
    fits = (
        _NEEDS <= names <= _NEEDS | _MAY
        and found["format"] == FORMAT
        and _whole(found["version"], VERSION)
        and found["version"] == VERSION
        and isinstance(found["signed_at"], str)
        and _SIGNED_AT.fullmatch(found["signed_at"])
        and all(isinstance(found.get(name, ""), str) for name in ("shop", "device", "key"))
        and _whole(found.get("number", 0), 0)
        and (found.get("record_version") is None or _whole(found["record_version"], 1))
        and isinstance(found["files"], dict)
    )
    if not fits:
        raise _OddError
    _stamp(found)
    for name, entry in found["files"].items():
        if not name or _FIGURES.fullmatch(name) or not isinstance(entry, dict) or set(entry) != {"sha256", "bytes"}:
            raise _OddError
        sha256, size = entry["sha256"], entry["bytes"]
        if not isinstance(sha256, str) or not _HEX.fullmatch(sha256) or not _whole(size, 0):
            raise _OddError
    return found
