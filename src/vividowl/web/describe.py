"""Write the description of the interface anew: python -m vividowl.web.describe > src/vividowl/web/openapi.json"""

from __future__ import annotations

import json
import os
import tempfile
from pathlib import Path

from vividowl.service.workshop import Workshop
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.web.blueprint import DESCRIBE
from vividowl.web.description import document


def described() -> str:
    """The description as it is kept. The interface is read only now, since it is described as it is read."""
    os.environ[DESCRIBE] = "yes"
    from vividowl.settings import Settings
    from vividowl.web.app import create_app

    with tempfile.TemporaryDirectory() as folder:
        # No database is needed for it.
        workshop = Workshop(
            database=Database("postgresql+psycopg://nobody@127.0.0.1/none"), files=FileStore(Path(folder))
        )
        app = create_app(workshop, Settings(secret_key="not used for signing"))  # noqa: S106
        return json.dumps(document(app), indent=1, ensure_ascii=False, sort_keys=True)


if __name__ == "__main__":
    print(described())
