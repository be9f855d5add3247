"""Every script of bench/ is imported, and what takes seconds runs in a small form on the shop of the tests."""

import importlib
import sys
from contextlib import contextmanager
from pathlib import Path

import pytest

from vividowl.service.shop import accounts

BENCH = Path(__file__).parents[1] / "bench"
SCRIPTS = sorted(p.stem for p in BENCH.glob("*.py") if p.stem != "__main__")


@pytest.fixture(autouse=True)
def _beside(monkeypatch):
    """Scripts find each other as they do when they are run."""
    monkeypatch.syspath_prepend(str(BENCH))
    monkeypatch.syspath_prepend(str(BENCH.parent))


@pytest.fixture
def shop(workshop, cluster, tmp_path, monkeypatch):
    """What own_shop gives: the shop of the tests in place of a server of its own."""
    own_shop = importlib.import_module("own_shop")
    found = accounts.found_shop(workshop, shop_name="One", name="Ada", login="ada", password=own_shop.PASSWORD)
    made = own_shop.OwnShop(workshop=workshop, owner=found.actor, url=cluster.url, folder=tmp_path)

    @contextmanager
    def given():
        yield made

    def script(name):
        module = importlib.import_module(name)
        monkeypatch.setattr(module, "own_shop", given)
        return module

    return script


@pytest.mark.parametrize("name", SCRIPTS)
def test_a_script_is_whole(name):
    assert importlib.import_module(name).__doc__


@pytest.mark.parametrize(
    ("name", "size", "told"),
    [
        ("all_runs", 4, "4 runs: the page answers in"),
        ("finding", 300, "300 jobs, made in"),
        ("record_pdf", 1, "4 photos: median"),
    ],
)
def test_a_measurement_on_a_shop_tells_its_figures(shop, capsys, name, size, told):
    shop(name).main(size)
    assert told in capsys.readouterr().out


def test_uploads_are_measured_over_a_real_connection(shop, capsys, monkeypatch):
    monkeypatch.setattr(sys, "argv", ["upload.py", "600", "10"])
    shop("upload").main()
    assert "600 rows x 10 columns" in capsys.readouterr().out


def test_nesting_is_measured_against_the_librarys_own_rules(capsys):
    importlib.import_module("nesting").main(1)
    assert "sheets opened 1.000 of the library's two rules" in capsys.readouterr().out


def test_rates_are_counted_on_a_few_simulated_pairs(monkeypatch):
    rough = importlib.import_module("bench.rough")
    second = importlib.import_module("bench.second")
    noise = importlib.import_module("bench.noise")

    (pair,) = rough.pairs(rough.KINDS["steady"], 1, seed=rough.SEED, extra_k=(rough.GAIN_K, 0.0))
    found = rough.see(pair)
    assert (found.claims, len(found.sides)) == (True, 2)
    case, most = second.ODD[0]
    assert [j.found.claims for j in second.judged(case, 1)] != []
    assert 0.0 <= most <= 1.0
    monkeypatch.setattr(noise, "SPEEDS", ())
    (worn,) = noise.two_speed_rows(1)
    assert worn.of == 1
