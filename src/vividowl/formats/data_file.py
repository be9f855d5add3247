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
import zipfile
import zlib
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import UTC, datetime
from enum import StrEnum
from pathlib import Path
from typing import Any

from cryptography.exceptions import InvalidSignature
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
_CHUNK = 1024 * 1024
_BROKEN = (zipfile.BadZipFile, zipfile.LargeZipFile, zlib.error, EOFError, OSError)


class Finding(StrEnum):
    """What was found of one file."""

    CHANGED = "changed"
    MISSING = "missing"
    ADDED = "added"


@dataclass(frozen=True)
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


def check_data_file(path: Path) -> Checked:
    """Check a data file: refused where it is none; what is wrong with one is told file by file."""
    if not path.is_file():
        raise FormatError(say("files-there-no-such-file", path=str(path)), remedy=say("files-check-path"))
    try:
        with zipfile.ZipFile(path) as zipped:
            return _check(zipped, path)
    except (*_BROKEN, NotImplementedError, RuntimeError) as error:
        raise _no_record(path.name) from error


def _no_record(name: str) -> FormatError:
    return FormatError(say("data-file-none", name=name), remedy=say("data-file-none-remedy"), reason="no_data_file")


def _check(zipped: zipfile.ZipFile, path: Path) -> Checked:
    infos = zipped.infolist()
    names = [info.filename for info in infos]
    if len(infos) > FILES_MOST or sum(info.file_size for info in infos) > BYTES_MOST:
        raise FormatError(
            say("data-file-too-large", files_most=FILES_MOST, most=BYTES_MOST // 2**20),
            remedy=say("data-file-none-remedy"),
            reason="too_large",
        )
    # A name that stands twice would let one be checked and the other be read.
    if len(set(names)) != len(names) or not {MANIFEST, SIGNATURE, KEY} <= set(names):
        raise _no_record(zipped.filename or "")
    if zipped.getinfo(MANIFEST).file_size > MANIFEST_MOST:
        raise _no_record(zipped.filename or "")
    text = zipped.read(MANIFEST)
    try:
        manifest = json.loads(text)
        files = {str(name): str(entry["sha256"]) for name, entry in manifest["files"].items()}
        public = load_pem_public_key(zipped.read(KEY))
    except (ValueError, KeyError, TypeError, AttributeError) as error:
        raise _no_record(zipped.filename or "") from error
    if not isinstance(public, Ed25519PublicKey) or pem(public) != zipped.read(KEY) or manifest.get("format") != FORMAT:
        raise _no_record(zipped.filename or "")
    try:
        public.verify(zipped.read(SIGNATURE), text)
        signed = True
    except InvalidSignature:
        signed = False
    wrong = {name: Finding.ADDED for name in names if name not in files and name not in (MANIFEST, SIGNATURE, KEY)}
    wrong |= {name: Finding.MISSING for name in files if name not in names}
    wrong |= {name: Finding.CHANGED for name in files if name in names and _sha256(zipped, name) != files[name]}
    repacked = not wrong and not _as_written(zipped, manifest, path)
    return Checked(signed, wrong, repacked, fingerprint(public), manifest)


def _as_written(zipped: zipfile.ZipFile, manifest: Mapping[str, Any], path: Path) -> bool:
    """Whether the zip itself is, to the last byte, what is made of its files."""
    try:
        stamp = datetime.fromisoformat(manifest["signed_at"])
    except (KeyError, TypeError, ValueError):
        return False
    names = [*sorted(manifest["files"]), MANIFEST, SIGNATURE, KEY]
    return _zip({name: zipped.read(name) for name in names}, stamp) == path.read_bytes()


def _sha256(zipped: zipfile.ZipFile, name: str) -> str | None:
    """Of the bytes that are in it; None where they cannot be unpacked as they were packed."""
    told = hashlib.sha256()
    try:
        with zipped.open(name) as stream:
            while chunk := stream.read(_CHUNK):
                told.update(chunk)
    except (*_BROKEN, ValueError):
        return None
    return told.hexdigest()
