"""The command verify: whether the data file of a record is as the shop signed it. No database is needed."""

from __future__ import annotations

import json
import sys
from pathlib import Path
from typing import Any

import click

from vividowl.cli_said import write_line
from vividowl.formats.data_file import Checked, check_data_file

# What a key of this installation's shop is while what it signed stands.
BELIEVED = ("signs", "retired")


# Signed by a key that nobody here knows: as it was signed, but by whom?
UNKNOWN_KEY = 3


def verify_values(found: Checked, expected: str | None, known: str | None) -> dict[str, Any]:
    """A check under fixed keys. expected: fingerprint that the key should have, None where none was given; known: what
    the key is to the shop of this installation (signs, retired or withdrawn), None where it has no such key."""
    about = found.manifest
    asked = None if expected is None else found.fingerprint == expected
    believed = asked if asked is not None else known in BELIEVED
    return {
        "untouched": found.untouched and believed,
        "signed": found.signed,
        "repacked": found.repacked,
        "key": found.fingerprint,
        "key_expected": asked,
        "key_known": known,
        "shop": about.get("shop"),
        "number": about.get("number"),
        "signed_at": about.get("signed_at"),
        "record_version": about.get("record_version"),
        "draft": "record_version" in about and about["record_version"] is None,
        "wrong": {name: finding.value for name, finding in sorted(found.wrong.items())},
    }


def known_key(fingerprint: str) -> str | None:
    """What a key is to the shops of this installation; None where there is no installation, or no such key."""
    from vividowl.appliance.cluster import Cluster
    from vividowl.appliance.paths import places

    cluster = Cluster(places().cluster)
    if not (cluster.data / "PG_VERSION").exists():
        return None
    from sqlalchemy.exc import SQLAlchemyError

    from vividowl.appliance.postgres import ClusterError
    from vividowl.service.record.keys import key_told
    from vividowl.service.workshop import Workshop
    from vividowl.store.database import Database
    from vividowl.store.files import FileStore

    try:
        cluster.start()
    except (ClusterError, OSError):
        return None
    database = Database(cluster.url)
    try:
        found = key_told(Workshop(database=database, files=FileStore(places().files)), fingerprint)
    except SQLAlchemyError:
        return None
    finally:
        database.close()
        cluster.leave()
    return found.state.value if found is not None else None


@click.command("verify")
@click.argument("file", type=click.Path(path_type=Path))
@click.option("--key", metavar="FINGERPRINT", help="The shop's key, as the shop tells it: another one is not believed.")
@click.option("--json", "as_json", is_flag=True, help="JSON instead of words.")
def verify(file: Path, key: str | None, as_json: bool) -> None:
    """Check the data file of a record. Exit code 1 where it was changed, or signed by another key than asked for or one
    that was withdrawn; 3 where nobody here knows the key that signed it and none was asked for."""
    found = check_data_file(file)
    expected = key.strip().lower() if key else None
    known = known_key(found.fingerprint) if found.signed else None
    values = verify_values(found, expected, known)
    code = 0 if values["untouched"] else 1
    if found.untouched and values["key_expected"] is None and known is None:
        code = UNKNOWN_KEY
    if as_json:
        click.echo(json.dumps(values, ensure_ascii=False, indent=2))
        sys.exit(code)
    if found.untouched:
        heading = "untouched" if values["untouched"] else "unknown-key" if code == UNKNOWN_KEY else "other-key"
        write_line(f"cli-verify-{heading}", number=values["number"], shop=values["shop"], at=values["signed_at"])
        if values["draft"]:
            write_line("cli-verify-draft")
        elif (values["record_version"] or 1) > 1:
            write_line("cli-verify-version", version=values["record_version"])
    elif not found.signed:
        write_line("cli-verify-not-signed")
    if found.repacked:
        write_line("cli-verify-repacked")
    for name, finding in values["wrong"].items():
        write_line("cli-verify-file", name=name, finding=finding)
    if found.signed:
        write_line("cli-verify-key", key=found.fingerprint, expected=values["key_expected"], known=known)
    sys.exit(code)
