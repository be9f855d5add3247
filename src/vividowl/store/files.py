"""Uploaded bytes under their SHA-256, a folder a shop. Nothing half-written is ever visible."""

from __future__ import annotations

import hashlib
import os
import re
import shutil
import tempfile
import uuid
from collections.abc import Collection, Iterator, Mapping
from concurrent.futures import Future, ThreadPoolExecutor, wait
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import BinaryIO

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say

CHUNK = 96 * 1024  # small enough to stay in the cache and off fresh pages


class TooLarge(CoreError):  # noqa: N818 - reads as what it says
    """More bytes arrived than are allowed."""


class BrokenOff(CoreError):  # noqa: N818
    """Fewer bytes arrived than were announced."""


@dataclass(frozen=True)
class Received:
    """A file that has wholly arrived but is not kept yet."""

    path: Path
    size_bytes: int
    sha256: str
    on_disk: Future[None]


def _folder(path: Path) -> None:
    """A folder that only its owner enters."""
    path.mkdir(parents=True, exist_ok=True, mode=0o700)


def _take_in(stream: BinaryIO, handle: int, most: int) -> tuple[int, str]:
    """Copy a stream to an open file. Gives the number of bytes and their SHA-256, worked out while they are at hand."""
    size, digest = 0, hashlib.sha256()
    with os.fdopen(handle, "wb", buffering=0) as out:
        while chunk := stream.read(CHUNK):
            size += len(chunk)
            if size > most:
                raise TooLarge(say("file-larger", most_mb=most // 2**20))
            digest.update(chunk)
            out.write(chunk)
    return size, digest.hexdigest()


_helpers = ThreadPoolExecutor(max_workers=4, thread_name_prefix="files")


def _sync(path: Path) -> None:
    """Bring a file, or the names in a folder, to the disk."""
    handle = os.open(path, os.O_RDONLY)
    try:
        os.fsync(handle)
    finally:
        os.close(handle)


class FileStore:
    """Files below a root folder."""

    def __init__(self, root: Path) -> None:
        self.root = root
        _folder(root)
        _folder(root / "incoming")

    def clean_incoming(self) -> int:
        """Take away what an earlier run left half-written. Only while nothing else serves this folder."""
        left = [path for path in (self.root / "incoming").iterdir() if path.is_file()]
        for path in left:
            path.unlink(missing_ok=True)
        return len(left)

    def sweep(self, wanted: Mapping[uuid.UUID, Collection[str]]) -> int:
        """Take away kept files that nothing speaks of: an upload whose end nobody learnt leaves one now and then.

        wanted: SHA-256 of all files by shop. Only while nothing else serves this folder.
        """
        gone = 0
        for folder in self.root.iterdir():
            try:
                names = set(wanted.get(uuid.UUID(folder.name), ()))
            except ValueError:
                continue
            for path in folder.glob("??/*"):
                if path.name.split(".")[0] not in names:
                    path.unlink(missing_ok=True)
                    gone += 1
        return gone

    def free_share(self) -> float:
        """Share of the disk that is free [1]."""
        usage = shutil.disk_usage(self.root)
        return usage.free / usage.total

    @contextmanager
    def receive(self, stream: BinaryIO, expected: int | None, most: int) -> Iterator[Received]:
        """Take a stream in; what is not kept inside the block is gone after it."""
        handle, name = tempfile.mkstemp(dir=self.root / "incoming")
        path = Path(name)
        try:
            size, sha256 = _take_in(stream, handle, most)
            if expected is not None and size < expected:
                raise BrokenOff(say("file-broken-off", size=size, expected=expected))
            # What is acknowledged survives a power cut; it goes to the disk while it is read.
            on_disk = _helpers.submit(_sync, path)
            try:
                yield Received(path, size, sha256, on_disk)
            finally:
                wait([on_disk])
        finally:
            path.unlink(missing_ok=True)

    def original(self, shop_id: uuid.UUID, sha256: str) -> Path:
        """Where the bytes of a file lie."""
        return self._place(shop_id, sha256, "log")

    def columns(self, shop_id: uuid.UUID, sha256: str) -> Path:
        """Where the parsed columns of a file lie."""
        return self._place(shop_id, sha256, "parquet")

    def photo(self, shop_id: uuid.UUID, sha256: str, size: str) -> Path:
        """Where a photo lies. size: large or small."""
        return self._place(shop_id, sha256, f"{size}.jpg")

    def keep_photo(self, shop_id: uuid.UUID, sha256: str, large: bytes, small: bytes) -> None:
        """Keep both sizes of a photo, each whole or not at all."""
        for size, data in (("large", large), ("small", small)):
            place = self.photo(shop_id, sha256, size)
            with self.aside("jpg") as half:
                half.write_bytes(data)
                half.chmod(0o600)
                _sync(half)
                _folder(place.parent)
                os.replace(half, place)
            _sync(place.parent)

    @contextmanager
    def aside(self, ending: str) -> Iterator[Path]:
        """A name for something half-written; what is not kept inside the block is gone after it."""
        half = self.root / "incoming" / f"{uuid.uuid4().hex}.{ending}"
        try:
            yield half
        finally:
            half.unlink(missing_ok=True)

    @contextmanager
    def keeping(self, shop_id: uuid.UUID, received: Received, columns: Path | None = None) -> Iterator[None]:
        """Keep a received file, and its columns, which are on the disk already, if it has any; a file of the same bytes
        that is kept already stays.

        What fails inside the block takes it away again. Whether a commit behind the block came through may never be
        known: then the file stays, and the next start sweeps what nothing speaks of.
        """
        original = self.original(shop_id, received.sha256)
        _folder(original.parent.parent)
        _folder(original.parent)
        fresh = not original.exists()
        try:
            received.on_disk.result()
            if columns is not None:
                os.replace(columns, self.columns(shop_id, received.sha256))
            if fresh:
                os.link(received.path, original)
            _sync(original.parent)
            yield
        except BaseException:
            if fresh:
                original.unlink(missing_ok=True)
                self.columns(shop_id, received.sha256).unlink(missing_ok=True)
            raise

    def _place(self, shop_id: uuid.UUID, sha256: str, ending: str) -> Path:
        if not re.fullmatch(r"[0-9a-f]{64}", sha256):
            raise ValueError("A file is named by its SHA-256.")
        return self.root / str(shop_id) / sha256[:2] / f"{sha256}.{ending}"
