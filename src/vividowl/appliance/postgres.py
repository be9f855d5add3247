"""PostgreSQL's own programs: where they are, a free port, what they say when they fail."""

from __future__ import annotations

import contextlib
import os
import socket
import subprocess
from pathlib import Path


class ClusterError(RuntimeError):
    """The database server cannot be used. The text is one line and says what to do."""


def bin_dir() -> Path:
    """Where Debian keeps the server's programs: they are not on the path."""
    try:
        return Path(subprocess.check_output(["pg_config", "--bindir"], text=True).strip())
    except (OSError, subprocess.CalledProcessError):
        found = sorted(Path("/usr/lib/postgresql").glob("*/bin"), key=lambda p: int(p.parent.name))
        if found and (found[-1] / "initdb").exists():
            return found[-1]
        raise ClusterError("PostgreSQL is not installed. Run: sudo apt-get install postgresql") from None


def free_port(wanted: int | None = None) -> int:
    """A free port on loopback, the wanted one when it is free."""
    for port in (wanted or 0, 0):
        with socket.socket() as probe:
            probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            try:
                probe.bind(("127.0.0.1", port))
            except OSError:
                continue
            return int(probe.getsockname()[1])
    raise ClusterError("No free port on 127.0.0.1. Close another program and try again.")


def clean_environment() -> dict[str, str]:
    return {k: v for k, v in os.environ.items() if not k.startswith("PG")}


def last_line(path: Path) -> str:
    with contextlib.suppress(OSError):
        lines = [line for line in path.read_text(errors="replace").splitlines() if line.strip()]
        fatal = [line for line in lines[-20:] if "FATAL" in line or "PANIC" in line]
        return (fatal or lines or [""])[-1]
    return ""
