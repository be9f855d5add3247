"""Steps at the faces of die and plate when they are looked at, inspected and covered for now."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.bench.steps.vocabulary import BenchStep, PlannedPart
from vividowl.core.materials.kinds import Kind
from vividowl.core.quantities.words import Words, say


def last_look(on_die: Sequence[PlannedPart]) -> list[BenchStep]:
    """The last looks at the faces before the cooler comes back.

    on_die: what lies on the dies (n,)
    returns: steps, inspection first where alloy lies there
    """
    out = []
    if any(p.kind == Kind.ALLOY for p in on_die):
        out.append(inspect_step())
    out.append(covered_step())
    return out


def inspect_step(step: str = "alloy_inspect") -> BenchStep:
    """The inspection that alloy asks for before anything closes over it.

    step: its id [text]
    source: handbook/materials.md: common practice, no source
    """
    return BenchStep(
        id=step,
        stage="fit",
        text=say("faces-inspect-under-magnification-all-round"),
        why=say("faces-one-bead-under-part-found"),
        tool=say("faces-loupe-or-microscope-syringe-swab"),
        material="",
        caution=say("faces-bead-lift-with-syringe-wipe"),
        acts=("alloy_inspected",),
        photo=True,
        task="alloy",
    )


def covered_step(step: str = "covered") -> BenchStep:
    """The last look at every face before the cooler goes back.

    step: its id [text]
    source: handbook/bench.md: common practice, no source
    """
    return BenchStep(
        id=step,
        stage="fit",
        text=say("faces-look-at-every-face-each"),
        why=say("faces-what-bare-now-bare-under"),
        tool=say("faces-bright-light"),
        material="",
        caution=say("faces-pad-that-oils-crumbles-or"),
        acts=("covered",),
        photo=True,
        task="open_close",
    )


def stopgap_step(step: str, fact: str, words: Words) -> BenchStep:
    """A new interface where the plan names none and the die would stay bare.

    step: its id [text]
    fact: that it makes true [text]
    words: of the die [text]
    source: handbook/bench.md: common practice, no source
    """
    return BenchStep(
        id=step,
        stage="fit",
        text=say("faces-put-new-paste-on", words=words),
        why=say("faces-cooler-was-lifted-nothing-goes"),
        tool=say("faces-tube-card-glove"),
        material=say("faces-paste-shop"),
        caution="",
        acts=(fact,),
        after_waits=("alcohol",),
        task="repaste",
        asks="dose_g",
    )
