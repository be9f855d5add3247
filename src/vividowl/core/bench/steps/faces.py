"""Steps at the faces of die and plate when they are looked at, inspected and covered for now."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.bench.steps.vocabulary import BenchStep, PlannedPart
from vividowl.core.materials.kinds import Kind


def last_look(on_die: Sequence[PlannedPart]) -> list[BenchStep]:
    """The last looks at the faces before the cooler comes back.

    on_die: what lies on the dies (n,)
    returns: steps, inspection first where alloy lies there
    source: the definition
    """
    out = []
    if any(p.kind == Kind.ALLOY for p in on_die):
        out.append(inspect_step())
    out.append(covered_step())
    return out


def inspect_step(step: str = "alloy_inspect") -> BenchStep:
    """The inspection that alloy asks for before anything closes over it.

    step: its id [text]
    returns: BenchStep
    source: handbook/materials.md: common practice, no source
    """
    return BenchStep(step, "fit", "Inspect under magnification: all round the die, plugs and legs of parts",
                     "one bead under a part is found by the first power", "loupe or microscope, syringe, swab", "",
                     "A bead: lift it with the syringe, wipe with alcohol, look again.", ("alloy_inspected",),
                     photo=True, task="alloy")  # fmt: skip


def covered_step(step: str = "covered") -> BenchStep:
    """The last look at every face before the cooler goes back.

    step: its id [text]
    returns: BenchStep
    source: handbook/bench.md: common practice, no source
    """
    return BenchStep(
        step,
        "fit",
        "Look at every face: each die covered, each pad whole and in its place, no film left on",
        "what is bare now is bare under power",
        "bright light",
        "",
        "A pad that oils, crumbles or tore with the cooler is replaced, never doubled.",
        ("covered",),
        photo=True,
        task="open_close",
    )


def stopgap_step(step: str, fact: str, words: str) -> BenchStep:
    """A new interface where the plan names none and the die would stay bare.

    step: its id [text]
    fact: that it makes true [text]
    words: of the die [text]
    returns: BenchStep
    source: handbook/bench.md: common practice, no source
    """
    return BenchStep(step, "fit", f"Put new paste on {words}", "the cooler was lifted: nothing goes back on a bare die",
                     "tube, card, glove", "paste of the shop", "", (fact,), after_waits=("alcohol",), task="repaste",
                     asks="dose_g")  # fmt: skip
