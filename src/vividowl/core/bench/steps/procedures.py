"""Step lists for what goes wrong when a step is left out: phase change, alloy, plating, delidding."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.bench.steps.baths import hours_words, plating_steps
from vividowl.core.materials.kinds import Kind
from vividowl.core.materials.plating import Bath
from vividowl.core.quantities.errors import require_one_of
from vividowl.core.quantities.words import Words, say


@dataclass(frozen=True)
class Step:
    """text: what to do; why in a line; wait_min: minutes to wait after it; gear: materials, tools and protection."""

    text: Words
    why: Words = ""
    wait_min: float = 0.0
    gear: Words = ""


@dataclass(frozen=True)
class Procedure:
    """name and words; caution: what to read first; steps in order."""

    name: str
    words: Words
    caution: Words
    steps: tuple[Step, ...]

    @property
    def wait_min(self) -> float:
        """Minutes of waiting in all [min]."""
        return sum(step.wait_min for step in self.steps)


# All common practice, no source; the maker's instructions of material and device come first.
_SHEET = Procedure(
    Kind.SHEET,
    say("procedures-phase-change-sheet"),
    say("procedures-fingers-off-film-judged-after"),
    (
        Step(
            say("opening-put-sheet-into-fridge"),
            say("opening-cold-film-cuts-clean-and"),
            30,
            say("opening-fridge-to-c"),
        ),
        Step(
            say("procedures-clean-die-and-plate-to"),
            say("procedures-residue-stops-from-wetting"),
            5,
            say("cleaning-lint-free-cloth-alcohol"),
        ),
        Step(
            say("procedures-cut-piece-and-spare-with"),
            say("procedures-dull-blade-drags-film"),
            0,
            say("opening-new-blade-steel-ruler"),
        ),
        Step(
            say("procedures-peel-first-liner-with-tape"), say("procedures-nails-tear"), 0, say("fitting-tape-or-needle")
        ),
        Step(
            say("procedures-lay-on-die-and-press"),
            say("fitting-air-does-not-conduct"),
            0,
            say("procedures-plastic-card"),
        ),
        Step(
            say("procedures-peel-second-liner-and-lay"),
            say("fitting-forgetting-ruins-result"),
            0,
            say("fitting-tape-or-needle"),
        ),
        Step(say("procedures-close-and-tighten-in-order"), say("procedures-thins-out-under-pressure")),
        Step(
            say("closing-burn-in-under-load-above"),
            say("procedures-melts-at-about-c-and"),
            40,
            say("closing-before-recipe"),
        ),
        Step(say("procedures-take-after-reading"), say("procedures-only-now-shows-what-can")),
    ),
)
_TUBE = Procedure(
    Kind.TUBE,
    say("procedures-phase-change-paste-from-tube"),
    say("procedures-solvent-has-to-leave-before"),
    (
        Step(
            say("procedures-clean-die-and-plate-to"),
            say("procedures-residue-stops-from-wetting"),
            5,
            say("procedures-lint-free-cloth-alcohol-gloves"),
        ),
        Step(
            say("procedures-spread-thin-even-film-on"),
            say("fitting-cannot-flow-before-melts"),
            0,
            say("fitting-card-tape-as-mask"),
        ),
        Step(
            say("procedures-let-solvent-leave"),
            say("fitting-found-still-liquid-later-never"),
            1440,
            say("procedures-ventilation-no-flame"),
        ),
        Step(say("procedures-close-and-tighten-in-order"), say("procedures-thins-out-under-pressure")),
        Step(
            say("closing-burn-in-under-load-above"),
            say("procedures-settles-mostly-in-first-to"),
            40,
            say("closing-before-recipe"),
        ),
        Step(say("procedures-take-after-reading"), say("procedures-only-now-shows-what-can")),
    ),
)
_ALLOY = Procedure(
    Kind.ALLOY,
    say("procedures-gallium-alloy"),
    say("procedures-conducts-electricity-and-destroys-aluminium"),
    (
        Step(
            say("procedures-make-sure-that-no-aluminium"),
            say("procedures-smear-enough-to-destroy"),
            0,
            say("faces-bright-light"),
        ),
        Step(
            say("procedures-clean-die-and-plate-let"),
            say("procedures-alloy-wets-clean-metal-only"),
            5,
            say("cleaning-lint-free-cloth-alcohol"),
        ),
        Step(say("procedures-check-that-cleaning-did-not"), say("procedures-they-barrier"), 0, "loupe"),
        Step(
            say("procedures-coat-parts-around-die-first"),
            say("fitting-alloy-shorts-them"),
            15,
            say("procedures-conformal-coat-rated-to-c"),
        ),
        Step(say("fitting-second-layer"), say("fitting-one-layer-has-pinholes"), 15, say("procedures-conformal-coat")),
        Step(
            say("procedures-dispense-tiny-drop-into-tray"),
            say("fitting-pressed-out-on-board-cannot"),
            0,
            say("fitting-syringe-tray-gloves"),
        ),
        Step(say("procedures-rub-thin-film-onto-die"), say("procedures-does-not-wet-by-itself"), 0, "swab"),
        Step(say("procedures-suck-excess-back-no-pool"), say("procedures-what-too-much-pressed-out"), 0, "syringe"),
        Step(
            say("procedures-inspect-under-magnification-then-close"),
            say("procedures-one-bead-beside-die-short"),
            0,
            "loupe",
        ),
    ),
)
# How long a lid is clamped, by what holds it: fast contact glue 5 to 10 min, common practice, no source; silicone lid
# glue hours, from memory. The sheet of the glue comes first.
LID_GLUES: Mapping[str, tuple[Words, float]] = {
    "contact": (say("procedures-fast-contact-glue"), 10.0),
    "silicone": (say("procedures-silicone-lid-glue"), 240.0),
}


def delid_procedure(glue: str) -> Procedure:
    """Steps to delid a socketed processor, clamped as long as its glue asks.

    glue: a name of LID_GLUES [text]
    raises: CoreError naming what is allowed
    source: common practice, no source; silicone from memory
    """
    require_one_of("glue", glue, LID_GLUES)
    words, minutes = LID_GLUES[glue]
    held = hours_words(minutes / 60)
    return Procedure(
        "delidding" if glue == "contact" else f"delidding_{glue}",
        say("procedures-delidding-socketed-processor", words=words),
        say("procedures-rare-and-ends-warranty-only"),
        (
            Step(say("procedures-mark-corner-lid-and-package"), say("procedures-lid-goes-back-same-way"), 0, "marker"),
            Step(
                say("procedures-slide-lid-in-its-tool"),
                say("procedures-blade-cuts-traces"),
                0,
                say("procedures-delidding-tool-goggles"),
            ),
            Step(
                say("procedures-scrape-glue-off-with-plastic"),
                say("procedures-metal-scratches-package"),
                0,
                say("procedures-plastic-scraper-alcohol"),
            ),
            Step(say("procedures-clean-die-and-lid-let"), "", 5, say("cleaning-lint-free-cloth-alcohol")),
            Step(
                say("procedures-insulate-parts-beside-die-when"),
                say("fitting-alloy-shorts-them"),
                30,
                say("procedures-conformal-coat-two-layers"),
            ),
            Step(say("procedures-put-new-interface-on"), say("procedures-see-its-own-list"), 0, ""),
            Step(
                say("procedures-four-dots-at-corners-lid", words=words),
                say("procedures-closed-ring-traps-pressure"),
                0,
                words,
            ),
            Step(
                say("procedures-clamp-for-or-as-long", held=held),
                say("procedures-gap-set-while-glue-sets"),
                minutes,
                say("procedures-socket-or-clamp"),
            ),
        ),
    )


PROCEDURES: Mapping[str, Procedure] = {
    p.name: p for p in (_SHEET, _TUBE, _ALLOY, *(delid_procedure(glue) for glue in LID_GLUES))
}


def plating_procedure(bath: Bath) -> Procedure:
    """Steps to plate a cold plate with nickel. The default advice is a plated part or a plating shop.

    bath: as planned
    source: common practice, no source; the bath maker's sheet and licensed practice come first
    """
    return Procedure(
        "plating",
        say("procedures-nickel-on-cold-plate", words=bath.words, hours=hours_words(bath.hours)),
        say("procedures-advice-buy-plated-cooler-or"),
        tuple(Step(s.text, s.why, s.wait_min, s.tool) for s in plating_steps(bath)),
    )


def procedures_for(kinds: Sequence[str]) -> tuple[Procedure, ...]:
    """The step lists that some interfaces need.

    kinds: kinds of interface (n,) [text]
    returns: procedures (m,), in order, each once
    source: common practice, no source
    """
    return tuple(PROCEDURES[k] for k in dict.fromkeys(kinds) if k in PROCEDURES)
