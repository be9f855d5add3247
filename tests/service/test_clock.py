"""The use cases know one clock."""

import ast
from pathlib import Path

import vividowl.service


def test_no_use_case_looks_at_another_clock():
    folder = Path(vividowl.service.__file__).parent
    odd = []
    for path in folder.rglob("*.py"):
        if path.name == "clock.py":
            continue
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if isinstance(node, ast.Attribute) and ast.unparse(node) in (
                "datetime.now",
                "datetime.utcnow",
                "date.today",
            ):
                odd.append(f"{path.relative_to(folder)}:{node.lineno}")
    assert odd == []
