"""Files that are made for one answer."""

from __future__ import annotations

import os
from typing import BinaryIO

from flask import Response, send_file


def download(file: BinaryIO, kind: str, name: str) -> Response:
    """A file as a download, closed when it is sent."""
    size = file.seek(0, os.SEEK_END)
    file.seek(0)
    response = send_file(file, mimetype=kind, as_attachment=True, download_name=name)
    response.content_length = size
    return response
