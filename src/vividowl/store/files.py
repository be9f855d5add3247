"""Uploaded bytes under their SHA-256, a folder a shop. Nothing half-written is ever visible."""

from __future__ import annotations

import hashlib
import os
import re
import tempfile
import uuid
from collections.abc import Callable, Iterator
from concurrent.futures import Future, ThreadPoolExecutor, wait
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import BinaryIO

CHUNK = 96 * 1024  # small enough to stay in the cache and off fresh pages


class TooLarge(ValueError):  # noqa: N818 - reads as what it says
    """More bytes arrived than are allowed."""


class BrokenOff(ValueError):  # noqa: N818
    """Fewer bytes arrived than were announced."""


@dataclass(frozen=True)
class Received:
    """A file that has wholly arrived but is not kept yet."""

    path: Path
    size_bytes: int
    sha256: str


@dataclass(frozen=True)
class Prepared:
    """Columns on their way to a file aside."""

    path: Path
    written: Future[None]


_helpers = ThreadPoolExecutor(max_workers=4, thread_name_prefix="files")


def _take_in(stream: BinaryIO, handle: int, most: int) -> tuple[int, str]:
    """Copy a stream to an open file. Gives the number of bytes and their SHA-256, worked out while they are at hand."""
    size, digest = 0, hashlib.sha256()
    with os.fdopen(handle, "wb", buffering=0) as out:
        while chunk := stream.read(CHUNK):
            size += len(chunk)
            if size > most:
                raise TooLarge(f"The file is larger than {most // 2**20} MB.")
            digest.update(chunk)
            out.write(chunk)
    return size, digest.hexdigest()


class FileStore:
    """Files below a root folder."""

    def __init__(self, root: Path) -> None:
        self.root = root
        (root / "incoming").mkdir(parents=True, exist_ok=True)

    @contextmanager
    def receive(self, stream: BinaryIO, expected: int | None, most: int) -> Iterator[Received]:
        """Take a stream in; what is not kept inside the block is gone after it."""
        handle, name = tempfile.mkstemp(dir=self.root / "incoming")
        path = Path(name)
        try:
            size, sha256 = _take_in(stream, handle, most)
            if expected is not None and size < expected:
                raise BrokenOff(f"The upload broke off after {size} of {expected} bytes.")
            yield Received(path, size, sha256)
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
            place.parent.mkdir(parents=True, exist_ok=True)
            half = self.root / "incoming" / f"{uuid.uuid4().hex}.jpg"
            half.write_bytes(data)
            os.replace(half, place)

    @contextmanager
    def prepare_columns(self, write_columns: Callable[[Path], None]) -> Iterator[Prepared]:
        """Write columns aside, on another core; what is not kept inside the block is gone after it."""
        half = self.root / "incoming" / f"{uuid.uuid4().hex}.parquet"
        prepared = Prepared(half, _helpers.submit(write_columns, half))
        try:
            yield prepared
        finally:
            wait([prepared.written])
            half.unlink(missing_ok=True)

    def keep(self, shop_id: uuid.UUID, received: Received, prepared: Prepared | None = None) -> None:
        """Keep a received file, and its columns if it has any; a file of the same bytes that is kept already stays."""
        original = self.original(shop_id, received.sha256)
        original.parent.mkdir(parents=True, exist_ok=True)
        if prepared is not None:
            prepared.written.result()
            os.replace(prepared.path, self.columns(shop_id, received.sha256))
        if not original.exists():
            os.link(received.path, original)

    def _place(self, shop_id: uuid.UUID, sha256: str, ending: str) -> Path:
        if not re.fullmatch(r"[0-9a-f]{64}", sha256):
            raise ValueError("A file is named by its SHA-256.")
        return self.root / str(shop_id) / sha256[:2] / f"{sha256}.{ending}"
