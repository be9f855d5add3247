"""Blueprints of the interface: what an operation takes and gives is checked at every call, and described when asked.

To describe all operations takes longer than the rest of a start, so a server leaves it out and hands out the kept file.
"""

from __future__ import annotations

import os

from flask_openapi.blueprint import APIBlueprint

DESCRIBE = "VIVIDOWL_DESCRIBE"  # set while the description is written: vividowl.web.describe


def blueprint(name: str, import_name: str, url_prefix: str) -> APIBlueprint:
    """A blueprint whose operations are described only in a process that writes the description."""
    return APIBlueprint(name, import_name, url_prefix=url_prefix, doc_ui=DESCRIBE in os.environ)
