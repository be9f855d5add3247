"""Where this installation keeps things."""

from __future__ import annotations

import os
from dataclasses import dataclass
from pathlib import Path


@dataclass(frozen=True)
class Places:
    """Folders below the project: var is not under version control."""

    root: Path

    @property
    def var(self) -> Path:
        """All that the installation makes."""
        return self.root / "var"

    @property
    def cluster(self) -> Path:
        """The private database cluster."""
        return self.var / "pg"

    @property
    def files(self) -> Path:
        """Uploaded logs."""
        return self.var / "files"

    @property
    def backups(self) -> Path:
        """The database as it was before it was brought to a newer version."""
        return self.var / "backups"

    @property
    def journal(self) -> Path:
        """What the application writes down of itself."""
        return self.var / "vividowl.log"

    @property
    def secret(self) -> Path:
        """The key that signs cookies."""
        return self.var / "secret"

    @property
    def tls(self) -> Path:
        """The shop's certificate authority, and the certificate of the server."""
        return self.var / "tls"


def places(root: Path | None = None) -> Places:
    """The installation's places: given, from VIVIDOWL_ROOT, or the project that this package lies in."""
    found = root or Path(os.environ.get("VIVIDOWL_ROOT") or Path(__file__).resolve().parents[3])
    return Places(found.resolve())
