"""The account that owns a cluster's folder: the server refuses to run as root. Standard library only."""

from __future__ import annotations

import os
import pwd
import secrets
import subprocess
from pathlib import Path

from vividowl.appliance.postgres import ClusterError


def write_secret(path: Path) -> None:
    """A new secret in a file that only its owner reads."""
    handle = os.open(path, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600)
    with os.fdopen(handle, "w") as out:
        out.write(secrets.token_urlsafe(24) + "\n")
    if not os.geteuid():
        account = pwd.getpwnam("postgres")
        os.chown(path, account.pw_uid, account.pw_gid)


def prepare_folder(base: Path) -> list[str]:
    """Make the folder of a cluster. What comes before a command so that it runs as the owner of the folder."""
    try:
        base.mkdir(parents=True, exist_ok=True)
        if os.geteuid():
            base.chmod(0o700)
            return []
        account = pwd.getpwnam("postgres")
        os.chown(base, account.pw_uid, account.pw_gid)
        base.chmod(0o700)
    except KeyError:
        raise ClusterError("There is no account postgres. Run: apt-get install postgresql") from None
    except OSError as error:
        raise ClusterError(
            f"The folder {base} cannot be used ({error.strerror}). Start as the account that made it."
        ) from error
    drop = ["setpriv", "--reuid=postgres", "--regid=postgres", "--init-groups"]
    # The second form is for a project below a folder that only root may enter.
    for extra in ([], ["--inh-caps=+dac_override", "--ambient-caps=+dac_override"]):
        probe = subprocess.run([*drop, *extra, "touch", str(base / "probe")], cwd="/", capture_output=True, check=False)
        if probe.returncode == 0:
            (base / "probe").unlink(missing_ok=True)
            return [*drop, *extra]
    raise ClusterError(f"The account postgres cannot write to {base}. Move the project out of a closed folder.")
