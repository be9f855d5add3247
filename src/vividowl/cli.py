"""The command vividowl: use cases without a browser."""

from __future__ import annotations

import sys
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import TYPE_CHECKING, NoReturn

import click

from vividowl.cli_reading import compare, noise, read, work
from vividowl.cli_runs import burnin, drift, factors, rank
from vividowl.cli_said import visible
from vividowl.cli_verify import verify
from vividowl.core.quantities.errors import CoreError
from vividowl.formats.errors import FormatError
from vividowl.service.errors import Refused
from vividowl.words import sentence

if TYPE_CHECKING:
    from vividowl.appliance.cluster import Cluster
    from vividowl.appliance.paths import Places
    from vividowl.service.workshop import Workshop

# What needs the database is imported where it is used, so that reading a log starts without waiting for it.
ROLES = ("owner", "technician")


@contextmanager
def _installation() -> Iterator[tuple[Places, Cluster, Workshop]]:
    """The installation's database and files; the database is stopped again when nobody else uses it."""
    from vividowl.appliance.launch import open_workshop
    from vividowl.appliance.paths import places

    where = places()
    cluster, workshop = open_workshop(where)
    try:
        yield where, cluster, workshop
    finally:
        workshop.database.close()
        cluster.leave()


@click.group()
def cli() -> None:
    """Vivid Owl without a browser."""


for command in (read, compare, noise, work, rank, factors, burnin, drift, verify):
    cli.add_command(command)


@cli.command()
@click.option("--fresh", is_flag=True, help="Throw the demo data away and make it anew.")
def demo(fresh: bool) -> None:
    """Make the demo shop in an empty database."""
    from vividowl.web.record.routes import EDGE
    from vividowl_demo.shop import clear_demo, load_demo

    with _installation() as (_, _, workshop):
        if fresh and not clear_demo(workshop):
            raise Refused("conflict", "This database holds a real shop.", remedy="Leave --fresh out.")
        load_demo(workshop, EDGE, tell=click.echo)
    click.echo("The demo shop is ready.")


@cli.group()
def user() -> None:
    """Who may sign in."""


@user.command("list")
def user_list() -> None:
    """List the members of the shop."""
    from vividowl.service.shop import accounts

    with _installation() as (_, _, workshop):
        for login, name, role, active in accounts.members(workshop, accounts.only_shop(workshop)):
            click.echo(f"{login:20} {role:12} {name}{'' if active else ' (inactive)'}")


@user.command("add")
@click.argument("login")
@click.option("--name", required=True, help="As it stands in the record.")
@click.option("--role", type=click.Choice(ROLES), default="technician", show_default=True)
@click.password_option(help="At least 10 characters; asked for when left out.")
def user_add(login: str, name: str, role: str, password: str) -> None:
    """Add a member."""
    from vividowl.service.shop import accounts

    with _installation() as (_, _, workshop):
        shop = accounts.only_shop(workshop)
        accounts.add_member(workshop, shop, login=login, name=name, role=role, password=password)
    click.echo(f"{login} can sign in.")


@user.command("password")
@click.argument("login")
@click.password_option(help="At least 10 characters; asked for when left out.")
def user_password(login: str, password: str) -> None:
    """Set a new password; open sessions of that member end."""
    from vividowl.service.shop import accounts

    with _installation() as (_, _, workshop):
        accounts.set_password(workshop, login, password)
    click.echo(f"{login} has a new password.")


@cli.command()
@click.argument("file", type=click.Path(path_type=Path))
def backup(file: Path) -> None:
    """Write database and files to one archive."""
    from vividowl.appliance.backup import write_backup

    with _installation() as (where, cluster, workshop):
        size = write_backup(cluster, workshop.database, where.files, file)
    click.echo(f"{file} holds {size / 1e6:.1f} MB.")


@cli.command()
@click.argument("file", type=click.Path(path_type=Path))
@click.option("--yes", is_flag=True, help="Do not ask.")
def restore(file: Path, yes: bool) -> None:
    """Put an archive in place of the present database and files. What is no whole backup replaces nothing."""
    from vividowl.appliance.backup import read_backup
    from vividowl.appliance.cluster import Cluster
    from vividowl.appliance.paths import places

    if not yes:
        click.confirm("The present data will be replaced. Go on?", abort=True)
    where = places()
    # The present tables are not asked: they may be what is broken.
    cluster = Cluster(where.cluster)
    cluster.start()
    try:
        found = read_backup(cluster, where.files, file)
    finally:
        cluster.leave()
    click.echo(f"Restored from {file}: {found.rows} rows in {found.tables} tables, {found.files} files.")


def main() -> None:
    """Run a command; what goes wrong is told in a line or two, with exit code 2."""
    try:
        cli.main(standalone_mode=False)
    except click.Abort:
        sys.exit(1)
    except click.ClickException as error:
        print(f"vividowl: {error.format_message()}", file=sys.stderr)
        sys.exit(2)
    except (FormatError, CoreError) as error:
        print(
            f"vividowl: {visible(sentence(error.message))}\n{visible(sentence(error.remedy))}".rstrip(), file=sys.stderr
        )
        sys.exit(2)
    except Refused as error:
        print(
            f"vividowl: {visible(sentence(error.detail))} {visible(sentence(error.remedy))}".rstrip(), file=sys.stderr
        )
        sys.exit(2)
    except OSError as error:
        _stop(error)
    except Exception as error:
        # Only a command that used the database has loaded the modules that these come from.
        known = [getattr(sys.modules[module], name) for module, name in _FAILURES if module in sys.modules]
        if not isinstance(error, tuple(known)):
            raise
        _stop(error)


_FAILURES = (
    ("vividowl.appliance.backup", "BackupError"),
    ("vividowl.appliance.cluster", "ClusterError"),
    ("sqlalchemy.exc", "SQLAlchemyError"),
)


def _stop(error: Exception) -> NoReturn:
    print(f"vividowl: {str(error).splitlines()[0]}", file=sys.stderr)
    sys.exit(2)


if __name__ == "__main__":
    main()
