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

CHUNK = 1 << 20


class TooLarge(ValueError):  # noqa: N818 - reads as what it says
    """More bytes arrived than are allowed."""


class BrokenOff(ValueError):  # noqa: N818
    """Fewer bytes arrived than were announced."""


@dataclass
class Received:
    """A file that has wholly arrived but is not kept yet."""

    path: Path
    size_bytes: int
    digest: Future[str] | None = None

    def start_digest(self) -> Future[str]:
        """Let the digest be worked out on another core; it competes with whatever else wants both."""
        self.digest = self.digest or _helpers.submit(_digest, self.path)
        return self.digest

    @property
    def sha256(self) -> str:
        """SHA-256 of the bytes, awaited when not ready yet."""
        return self.start_digest().result()


@dataclass(frozen=True)
class Prepared:
    """Columns on their way to a file aside."""

    path: Path
    written: Future[None]


_helpers = ThreadPoolExecutor(max_workers=4, thread_name_prefix="files")


def _digest(path: Path) -> str:
    with path.open("rb") as file:
        return hashlib.file_digest(file, "sha256").hexdigest()


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
            size = 0
            with os.fdopen(handle, "wb") as out:
                while chunk := stream.read(CHUNK):
                    size += len(chunk)
                    if size > most:
                        raise TooLarge(f"The file is larger than {most // 2**20} MB.")
                    out.write(chunk)
            if expected is not None and size < expected:
                raise BrokenOff(f"The upload broke off after {size} of {expected} bytes.")
            received = Received(path, size)
            try:
                yield received
            finally:
                if received.digest is not None:
                    wait([received.digest])
        finally:
            path.unlink(missing_ok=True)

    def original(self, shop_id: uuid.UUID, sha256: str) -> Path:
        """Where the bytes of a file lie."""
        return self._place(shop_id, sha256, "log")

    def columns(self, shop_id: uuid.UUID, sha256: str) -> Path:
        """Where the parsed columns of a file lie."""
        return self._place(shop_id, sha256, "parquet")

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
