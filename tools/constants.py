"""Writes docs/constants.md from the core: `python tools/constants.py`. A test holds the page to it."""

from __future__ import annotations

import ast
import re
from pathlib import Path

ROOT = Path(__file__).parents[1]
SOURCE, PAGE = ROOT / "src/vividowl", ROOT / "docs/constants.md"
_NAME = re.compile(r"^[A-Z][A-Z0-9_]*$")
HEAD = """# Constants

Every number of the core that has a name, with what stands beside it in the code, and the modules that read it. Written
by `tools/constants.py`; change the number where it stands, not here. Materials: `core/materials/catalogue.toml`.
"""


def _numbers(node: ast.Assign) -> list[tuple[str, str]]:
    """Names and values of an assignment of plain numbers."""
    target = node.targets[0]
    names = [target] if isinstance(target, ast.Name) else list(getattr(target, "elts", []))
    many = isinstance(target, ast.Tuple) and isinstance(node.value, ast.Tuple)
    values = node.value.elts if many and isinstance(node.value, ast.Tuple) else [node.value]
    found = []
    for name, value in zip(names, values, strict=False):
        if not isinstance(name, ast.Name) or not _NAME.match(name.id):
            continue
        kinds = (ast.Constant, ast.Tuple, ast.BinOp, ast.UnaryOp, ast.Load, ast.Div, ast.Mult, ast.Pow, ast.USub)
        plain = all(isinstance(part, (*kinds, ast.Add, ast.Sub)) for part in ast.walk(value))
        if plain and any(isinstance(p, ast.Constant) and isinstance(p.value, (int, float)) for p in ast.walk(value)):
            found.append((name.id, ast.unparse(value)))
    return found


def _beside(lines: list[str], node: ast.Assign) -> str:
    """The comment at the end of the line, else the block above it."""
    after = lines[(node.end_lineno or node.lineno) - 1][(node.end_col_offset or 0) :].strip()
    if after.startswith("#") and "fmt" not in after:
        return after.lstrip("# ")
    above, at = [], node.lineno - 2
    while at >= 0 and lines[at].startswith("#"):
        above.insert(0, lines[at].lstrip("# ").strip())
        at -= 1
    return " ".join(above)


def _names(tree: ast.AST) -> set[str]:
    """Names that a module reads or imports."""
    read = {n.id for n in ast.walk(tree) if isinstance(n, ast.Name)} | {
        n.attr for n in ast.walk(tree) if isinstance(n, ast.Attribute)
    }
    return read | {a.name for n in ast.walk(tree) if isinstance(n, ast.ImportFrom) for a in n.names}


def written() -> str:
    """The page as it has to be."""
    texts = {p: p.read_text(encoding="utf-8") for p in sorted(SOURCE.rglob("*.py")) if "migrations" not in p.parts}
    words = {p: _names(ast.parse(t)) for p, t in texts.items()}
    out = [HEAD]
    for path, text in texts.items():
        if "core" not in path.parts:
            continue
        rows = []
        for node in ast.parse(text).body:
            if not isinstance(node, ast.Assign):
                continue
            for name, value in _numbers(node):
                used = [p for p, found in words.items() if p != path and name in found]
                beside = _beside(text.split("\n"), node).replace("|", "\\|")
                where = ", ".join(f"`{p.relative_to(SOURCE)}`" for p in used)
                rows.append(f"| `{name}` | {value} | {beside} | {where} |")
        if rows:
            out += [
                f"\n## `{path.relative_to(SOURCE)}`\n",
                "| name | value | beside it | read elsewhere by |",
                "|---|---|---|---|",
                *rows,
            ]
    return "\n".join(out) + "\n"


if __name__ == "__main__":
    PAGE.write_text(written(), encoding="utf-8")
    print(PAGE.relative_to(ROOT))
