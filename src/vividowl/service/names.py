"""Names from outside as they can be kept."""

from __future__ import annotations

import re


def plain_name(name: str) -> str:
    """A file's name as it can be stored, shown and downloaded again: in one line, without controls."""
    return re.sub(r"[\x00-\x1f\x7f-\x9f\u2028\u2029\ud800-\udfff/\\]+", " ", name).strip()[:200] or "file"
