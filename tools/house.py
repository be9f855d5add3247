"""Draws docs/house.svg from the code: the layers, the rooms of each with their lines, and who imports whom.

`python tools/house.py`. A test holds the rooms on the picture to those that are there.
"""

from __future__ import annotations

import ast
from collections import Counter
from html import escape
from pathlib import Path

ROOT = Path(__file__).parents[1]
PICTURE = ROOT / "docs/house.svg"
# From top to bottom, as the import contracts have them.
LAYERS = (
    ("cli", "appliance"),
    ("app",),
    ("web",),
    ("demo",),
    ("service",),
    ("store", "formats"),
    ("words", "settings"),
    ("core",),
)
WIDTH, LEFT, BOX, HIGH, GAP = 1200, 178, 116, 40, 10


def layer_of(path: Path) -> str:
    """The layer that a module belongs to."""
    inside = path.relative_to(ROOT)
    if inside.parts[0] == "demo":
        return "demo"
    name = inside.parts[2].removesuffix(".py")
    return "cli" if name.startswith(("cli", "__")) else name


def modules() -> dict[Path, str]:
    """All modules of the product and the demo, with their layer; migrations aside."""
    found = [*(ROOT / "src/vividowl").rglob("*.py"), *(ROOT / "demo").rglob("*.py")]
    return {
        path: layer_of(path) for path in sorted(found) if "migrations" not in path.parts and "site" not in path.parts
    }


def rooms() -> dict[str, Counter[str]]:
    """By layer its rooms and their lines; what stands in no folder of its own is the layer itself."""
    out: dict[str, Counter[str]] = {}
    for path, layer in modules().items():
        parts = path.relative_to(ROOT).parts
        room = parts[3] if len(parts) > 4 and layer not in ("demo", "cli") else layer
        out.setdefault(layer, Counter())[room] += len(path.read_text("utf-8").splitlines())
    return out


def imports() -> Counter[tuple[str, str]]:
    """How often a module of one layer imports from another."""
    out: Counter[tuple[str, str]] = Counter()
    for path, layer in modules().items():
        for node in ast.walk(ast.parse(path.read_text("utf-8"))):
            if isinstance(node, ast.ImportFrom) and node.module and node.module.startswith("vividowl"):
                parts = node.module.split(".")
                other = "demo" if parts[0] == "vividowl_demo" else parts[1] if len(parts) > 1 else ""
                if other and other != layer:
                    out[layer, "cli" if other.startswith("cli") else other] += 1
    return out


def drawn() -> str:
    """The picture."""
    parts, y = [], 20
    told, used = rooms(), imports()
    for layer in LAYERS:
        row = sorted(((room, n, name) for name in layer for room, n in told[name].items()), key=lambda r: (r[2], -r[1]))
        columns = (WIDTH - LEFT) // (BOX + GAP)
        lines = -(-len(row) // columns)
        height = lines * (HIGH + GAP) + GAP
        parts.append(f'<rect class="layer" x="8" y="{y}" width="{WIDTH - 16}" height="{height}" rx="3"/>')
        parts.append(f'<text class="name" x="22" y="{y + 26}">{" · ".join(layer)}</text>')
        below = Counter({b: n for (a, b), n in used.items() if a in layer and b not in layer})
        for at, (other, n) in enumerate(below.most_common(3)):
            if height > HIGH + 2 * GAP or at == 0:
                parts.append(f'<text class="small" x="22" y="{y + 44 + 15 * at}">uses {other} {n} ×</text>')
        for at, (room, n, _) in enumerate(row):
            x, top = LEFT + (at % columns) * (BOX + GAP), y + GAP + (at // columns) * (HIGH + GAP)
            parts.append(f'<rect class="room" x="{x}" y="{top}" width="{BOX}" height="{HIGH}" rx="3"/>')
            parts.append(f'<text x="{x + 10}" y="{top + 18}">{escape(room)}</text>')
            parts.append(f'<text class="small" x="{x + 10}" y="{top + 33}">{round(n, -2) or n} lines</text>')
        y += height + GAP
    style = (
        "text{font:14px system-ui,sans-serif;fill:#26221b}.name{font-weight:700;font-size:16px}"
        ".small{font-size:12px;fill:#6a6253}"
        ".layer{fill:#f3efe6;stroke:#26221b}.room{fill:#fffdf8;stroke:#8d836f}"
    )
    label = "Layers of Vivid Owl from top to bottom; each imports only from those below it"
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH} {y + 10}" role="img" aria-label="{label}">'
        f"<style>{style}</style>\n" + "\n".join(parts) + "\n</svg>\n"
    )


if __name__ == "__main__":
    PICTURE.write_text(drawn(), encoding="utf-8")
    print(PICTURE.relative_to(ROOT))
