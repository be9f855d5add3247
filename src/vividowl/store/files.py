"""Uploaded bytes under their SHA-256, a folder a shop. Nothing half-written is ever visible."""

from __future__ import annotations

import hashlib
import os
import re
import tempfile
import uuid
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import BinaryIO

CHUNK = 1 << 20


class TooLarge(ValueError):  # noqa: N818 - reads as what it says
    """More bytes arrived than are allowed."""


class BrokenOff(ValueError):  # noqa: N818
    """Fewer bytes arrived than were announced."""


@dataclass(frozen=True)
class Received:
    """A file that has wholly arrived but is not kept yet."""

    path: Path
    sha256: str
    size_bytes: int


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
            digest, size = hashlib.sha256(), 0
            with os.fdopen(handle, "wb") as out:
                while chunk := stream.read(CHUNK):
                    size += len(chunk)
                    if size > most:
                        raise TooLarge(f"The file is larger than {most // 2**20} MB.")
                    digest.update(chunk)
                    out.write(chunk)
            if expected is not None and size < expected:
                raise BrokenOff(f"The upload broke off after {size} of {expected} bytes.")
            yield Received(path, digest.hexdigest(), size)
        finally:
            path.unlink(missing_ok=True)

    def original(self, shop_id: uuid.UUID, sha256: str) -> Path:
        """Where the bytes of a file lie."""
        return self._place(shop_id, sha256, "log")

    def columns(self, shop_id: uuid.UUID, sha256: str) -> Path:
        """Where the parsed columns of a file lie."""
        return self._place(shop_id, sha256, "parquet")

    def keep(self, shop_id: uuid.UUID, received: Received, write_columns: Callable[[Path], None]) -> None:
        """Keep a received file and its columns; both appear at once or not at all."""
        original = self.original(shop_id, received.sha256)
        columns = self.columns(shop_id, received.sha256)
        if original.exists() and columns.exists():
            return
        original.parent.mkdir(parents=True, exist_ok=True)
        half = self.root / "incoming" / f"{uuid.uuid4().hex}.parquet"
        try:
            write_columns(half)
            os.replace(half, columns)
            os.link(received.path, original) if not original.exists() else None
        finally:
            half.unlink(missing_ok=True)

    def _place(self, shop_id: uuid.UUID, sha256: str, ending: str) -> Path:
        if not re.fullmatch(r"[0-9a-f]{64}", sha256):
            raise ValueError("A file is named by its SHA-256.")
        return self.root / str(shop_id) / sha256[:2] / f"{sha256}.{ending}"
