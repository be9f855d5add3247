"""Commands as a script runs them."""

import pytest

from vividowl import cli


@pytest.fixture
def run(monkeypatch, capsys):
    """Runs a command; gives exit code, standard output, standard error."""

    def call(*arguments):
        monkeypatch.setattr("sys.argv", ["vividowl", *map(str, arguments)])
        try:
            cli.main()
            code = 0
        except SystemExit as stop:
            code = stop.code
        said = capsys.readouterr()
        return code, said.out, said.err

    return call
