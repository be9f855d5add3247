"""Print the OpenAPI document: python -m vividowl.web.describe > docs/openapi.json"""

from __future__ import annotations

import json
import tempfile
from pathlib import Path
from typing import Any

from vividowl.service.workshop import Workshop
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.web.app import Settings, create_app
from vividowl.web.description import document


def described() -> dict[str, Any]:
    """The OpenAPI document; no database is needed for it."""
    with tempfile.TemporaryDirectory() as folder:
        workshop = Workshop(Database("postgresql+psycopg://nobody@127.0.0.1/none"), FileStore(Path(folder)))
        app = create_app(workshop, Settings("not used for signing"))
        return document(app)


if __name__ == "__main__":
    print(json.dumps(described(), indent=1, ensure_ascii=False, sort_keys=True))
