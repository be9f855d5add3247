"""The command verify: whether the data file of a record is as the shop signed it. No database is needed."""

from __future__ import annotations

import json
import sys
from pathlib import Path
from typing import Any

import click

from vividowl.cli_said import write_line
from vividowl.formats.data_file import Checked, check_data_file


def verify_values(found: Checked, expected: str | None) -> dict[str, Any]:
    """A check under fixed keys. expected: fingerprint that the key should have, None where none was given."""
    about = found.manifest
    return {
        "untouched": found.untouched,
        "signed": found.signed,
        "repacked": found.repacked,
        "key": found.fingerprint,
        "key_expected": None if expected is None else found.fingerprint == expected,
        "shop": about.get("shop"),
        "number": about.get("number"),
        "signed_at": about.get("signed_at"),
        "record_version": about.get("record_version"),
        "draft": "record_version" in about and about["record_version"] is None,
        "wrong": {name: finding.value for name, finding in sorted(found.wrong.items())},
    }


@click.command("verify")
@click.argument("file", type=click.Path(path_type=Path))
@click.option("--key", metavar="FINGERPRINT", help="The shop's key, as the shop tells it: another one is not believed.")
@click.option("--json", "as_json", is_flag=True, help="JSON instead of words.")
def verify(file: Path, key: str | None, as_json: bool) -> None:
    """Check the data file of a record. Exit code 1 where it was changed, or signed by another key than asked for."""
    found = check_data_file(file)
    expected = key.strip().lower() if key else None
    values = verify_values(found, expected)
    good = found.untouched and values["key_expected"] is not False
    if as_json:
        click.echo(json.dumps(values, ensure_ascii=False, indent=2))
        sys.exit(0 if good else 1)
    if found.untouched:
        write_line("cli-verify-untouched", number=values["number"], shop=values["shop"], at=values["signed_at"])
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
        write_line("cli-verify-key", key=found.fingerprint, expected=values["key_expected"])
    sys.exit(0 if good else 1)
