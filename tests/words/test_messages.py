"""The message files: what is used is there, what is there is used, and the variables fit."""

from __future__ import annotations

import ast
import re
from concurrent.futures import ThreadPoolExecutor
from functools import cache
from importlib import import_module
from pathlib import Path
from unittest.mock import Mock

import pytest
from fluent.syntax import FluentParser
from fluent.syntax import ast as ftl
from fluent.syntax.visitor import Visitor

from vividowl.core.quantities.words import listed, say
from vividowl.words import sentence
from vividowl.words.sentence import NoSuchMessage, sources

ROOT = Path(__file__).parents[2]
# Labels of fields are looked up by the name of the field.
LOOKED_UP = re.compile(r"field-.*")


class _Found(Visitor):
    """The variables of a pattern, and the messages that it is put together of."""

    def __init__(self):
        self.names, self.parts = set(), set()

    def visit_VariableReference(self, node):  # noqa: N802 - the library's name
        self.names.add(node.id.name)

    def visit_MessageReference(self, node):  # noqa: N802 - the library's name
        self.parts.add(node.id.name)


def _found(node):
    found = _Found()
    found.visit(node)
    return found


@cache
def values_of_parts():
    """Variables of the messages that others are put together of."""
    entries = {e.id.name: e for text in sources().values() for e in FluentParser().parse(text).body if hasattr(e, "id")}
    named = {name for entry in entries.values() for name in _found(entry).parts}
    return {name: _found(entries[name]).names for name in named}


def variables(pattern):
    found = _found(pattern)
    return found.names.union(*(values_of_parts()[name] for name in found.parts))


@cache
def messages():
    """Variables by code; a message of attributes only has none of its own. A refusal is said with its remedy."""
    out = {}
    for subject, text in sources().items():
        for entry in FluentParser().parse(text).body:
            assert not isinstance(entry, ftl.Junk), f"{subject}.ftl: {entry.content}"
            if isinstance(entry, ftl.Message):
                assert entry.id.name not in out, f"{subject}.ftl: {entry.id.name} stands twice"
                if entry.value is not None:
                    out[entry.id.name] = variables(entry.value)
                out |= {f"{entry.id.name}.{a.id.name}": variables(a.value) for a in entry.attributes}
                if entry.value is not None:
                    out[entry.id.name] = out[entry.id.name] | out.get(f"{entry.id.name}.remedy", set())
    return out


def refused():
    """Where the program refuses by a message and says no remedy beside it: the place, and the message."""
    for path in sorted((ROOT / "src/vividowl").rglob("*.py")):
        for node in ast.walk(ast.parse(path.read_text())):
            if not isinstance(node, ast.Raise) or not isinstance(node.exc, ast.Call):
                continue
            made = getattr(node.exc.func, "id", "")
            if not made[:1].isupper() or any(k.arg == "remedy" for k in node.exc.keywords):
                continue
            for given in node.exc.args:
                if isinstance(given, ast.Call) and getattr(given.func, "id", "") == "say":
                    yield f"{path.relative_to(ROOT)}:{node.lineno}", given.args[0]


def _code(node):
    """A code as a pattern, None where it is no text at all."""
    if isinstance(node, ast.Constant) and isinstance(node.value, str):
        return re.escape(node.value)
    if isinstance(node, ast.JoinedStr):
        return "".join(re.escape(v.value) if isinstance(v, ast.Constant) else r"[\w-]+" for v in node.values)
    return None


@cache
def said():
    """Every place in the program that says something: where, the code as a pattern, its variables or None."""
    out = []
    for path in sorted((ROOT / "src/vividowl").rglob("*.py")):
        for node in ast.walk(ast.parse(path.read_text())):
            name = getattr(node.func, "id", "") if isinstance(node, ast.Call) else ""
            if name not in ("say", "write_line") or not node.args:
                continue
            code = _code(node.args[0])
            where = f"{path.relative_to(ROOT)}:{node.lineno}"
            if code is None:
                assert path.name in ("words.py", "cli_said.py"), f"{where}: a code is written out where it is said"
                continue
            whole = all(k.arg for k in node.keywords)
            out.append((where, code, frozenset(k.arg for k in node.keywords) if whole else None))
    return out


@cache
def said_by_the_page():
    """Codes in the page's sources."""
    text = "\n".join(p.read_text() for p in sorted((ROOT / "ui/src").rglob("*")) if p.suffix in (".ts", ".svelte"))
    return [re.escape(c[0]) if "${" not in c[0] else re.sub(r"\\\$\\\{.*?\\\}", r"[\\w-]+", re.escape(c[0]))
            for c in re.findall(r"""\bsay(?:Html)?\(\s*["'`]([\w.${}\- ()]+)["'`]()""", text)]  # fmt: skip


def _may_be(code, there):
    """Messages that a code may be: a plain one is looked up, only one with a part left open is tried on all."""
    plain = re.sub(r"\\(.)", r"\1", code)
    return there if "[" in code else [plain] if plain in there else []


def test_there_are_messages_and_they_are_said():
    assert len(messages()) > 1000
    assert len(said()) > 1000


def test_every_code_that_is_said_has_its_message():
    there = messages()
    missing = [f"{w}: {c}" for w, c, _ in said() if not any(re.fullmatch(c, m) for m in _may_be(c, there))]
    assert missing == []


def test_every_message_is_said_somewhere():
    codes = {c for _, c, _ in said()} | set(said_by_the_page())
    plain = {re.sub(r"\\(.)", r"\1", code) for code in codes if "[" not in code}
    patterns = [re.compile(code) for code in codes if "[" in code] + [LOOKED_UP]
    owned = {m for m in messages() if m.endswith(".remedy") and m.removesuffix(".remedy") in messages()}
    told = plain | set(values_of_parts()) | owned
    assert [m for m in messages() if m not in told and not any(p.fullmatch(m) for p in patterns)] == []


def test_every_refusal_says_what_to_do():
    there = messages()
    codes = [(where, code.value) for where, code in refused() if isinstance(code, ast.Constant)]
    assert len(codes) > 300
    assert [f"{w}: {code}" for w, code in codes if f"{code}.remedy" not in there] == []


def test_the_variables_of_a_message_are_those_it_is_said_with():
    odd = []
    for where, code, given in said():
        if given is None or "[" in code:
            continue
        wanted = messages().get(code.replace("\\", ""), given)
        if wanted != given:
            odd.append(f"{where}: {code}: wants {sorted(wanted)}, is given {sorted(given)}")
    assert odd == []


def test_a_code_without_a_message_is_a_fault():
    with pytest.raises(NoSuchMessage, match="nothing-of-the-kind"):
        sentence(say("nothing-of-the-kind"))


def test_the_core_makes_no_sentence_by_itself():
    """As a text a message is its code: an English sentence made too early would show at once."""
    assert str(say("kinds-has-to", words="Film", value=3.0)) == "kinds-has-to(words=Film, value=3.0)"


@pytest.mark.parametrize(
    ("words", "text"),
    [
        (listed(["a", "b", "c"], "and"), "a, b and c"),
        (listed(["a", "b"], "or"), "a or b"),
        (listed([], "and"), ""),
        (listed([say("kind-pad"), "Grey Heron"]), "pad, Grey Heron"),
        ("as typed: 5 % { $not }", "as typed: 5 % { $not }"),
    ],
)
def test_words_one_after_another(words, text):
    assert sentence(words) == text


def test_numbers_keep_a_real_minus_and_the_digits_asked_for():
    assert sentence(say("conditions-degrees", value=-0.04)) == "−0.0 °C"
    assert sentence(say("effects-percent", percent=12.346)) == "+12.35 %"
    assert sentence(say("options-cap-at-w", cap_w=1250.0)) == "cap at 1250 W"


def test_the_messages_are_read_once_however_many_ask_for_the_first_sentence_at_once(monkeypatch):
    made = import_module("vividowl.words.sentence")
    monkeypatch.setattr(made, "_BUNDLES", {})
    read = Mock(wraps=made.sources)
    monkeypatch.setattr(made, "sources", read)
    with ThreadPoolExecutor(12) as many:
        said = set(many.map(lambda _: made.sentence(say("accounts-many-sign-in")), range(12)))
    assert (len(said), read.call_count) == (1, 1)
