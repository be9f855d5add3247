"""A plan and its options as they are handed out."""

from __future__ import annotations

import uuid
from dataclasses import dataclass

from vividowl.core.bench.steps.procedures import Procedure
from vividowl.core.heat.skin import Skin
from vividowl.core.job.gates import Gate
from vividowl.core.materials.pads import Heights, PadChoice
from vividowl.core.materials.shim import ShimFit, ShimGain, ShimHeight
from vividowl.core.plan.opening import Advice as OpeningAdvice
from vividowl.core.plan.prediction import Prediction
from vividowl.core.plan.price import Price
from vividowl.core.plan.spots import GapAdvice, Inspection
from vividowl.core.plan.stock import Stock
from vividowl.core.quantities.words import Words
from vividowl.service.plan.parts import Part
from vividowl.store.deciding import Plan


@dataclass(frozen=True, kw_only=True)
class OptionView:
    """An option at its place, with all that is shown of it."""

    key: str
    words: Words
    actions: tuple[str, ...]
    kind: str | None
    product_id: uuid.UUID | None
    prediction: Prediction
    reason: Words
    as_good: bool
    gates: tuple[Gate, ...]
    blocked: bool
    parts: tuple[Part, ...]
    stock: Stock
    price: Price
    hands_min: float
    wait_min: float
    life_months: int
    life_reason: Words
    procedures: tuple[Procedure, ...]
    chip_drop_k: float | None
    skin: Skin | None
    cover_watts: float | None
    cover_watts_u: float
    cover_behind: float | None
    cover_pad: PadChoice | None


@dataclass(frozen=True, kw_only=True)
class OutcomeView:
    """After over the prediction that was taken, at the fan speed of Before: resistance with its uncertainty [K/W]; as
    the die temperature that the work of Before would reach [degC], and as watts at the limit [W]; inside: whether it
    lies in the interval."""

    resistance: float
    resistance_u95: float
    die_c: float | None
    watts: float | None
    inside: bool


@dataclass(frozen=True, kw_only=True)
class PlanView:
    """The plan of a job. missing: why nothing can be predicted, empty when it can; remembered: what the last visit of
    the device told, while nobody has looked."""

    plan: Plan
    inspection: Inspection
    missing: Words
    options: tuple[OptionView, ...]
    held: bool
    fanless: bool
    before_die_c: float | None
    before_watts: float | None
    measurable_k: float | None
    measurable_w: float | None
    measurable_db: float
    limit_c: float | None
    reference_words: Words
    gaps: tuple[GapAdvice, ...]
    heights: Heights | None
    shim: tuple[ShimGain, ShimFit, ShimHeight] | None
    outcome: OutcomeView | None
    room_c: float | None = None
    opening: OpeningAdvice | None = None
    remembered: Words = ""
