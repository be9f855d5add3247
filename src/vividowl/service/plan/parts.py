"""Parts of an option: where what goes, how much of it, how it is put on, from which lot, and what it costs."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Any

from vividowl.core.materials.application import SCHOOL_WORDS, Drop, School, choose_school, drop_of
from vividowl.core.materials.dose import dose
from vividowl.core.materials.kinds import CATALOGUE, Kind, Material, Trait
from vividowl.core.materials.nesting import with_margin
from vividowl.core.materials.pieces import spare_pieces
from vividowl.core.plan.cover import cover_pad
from vividowl.core.plan.prediction import Action, Option
from vividowl.core.plan.price import share_cents
from vividowl.core.plan.spots import GapAdvice, Inspection
from vividowl.core.plan.stock import Stock, UsableLot, lot_for, sheet_cents
from vividowl.core.quantities.words import Words, listed, say
from vividowl.service.shelf.shelf import ProductView

PUTTY_WASTE = 0.3
MARGIN_MM = 0.2


@dataclass(frozen=True, kw_only=True)
class Part:
    """One place that gets something. amount in `unit`, None when something was not measured, which `lacks` names;
    pieces to cut when it comes from a sheet; stock: held, short or not known; lot it would come from; left: what that
    lot holds afterwards."""

    target: str
    kind: str
    words: Words
    product_id: uuid.UUID | None
    product: str
    amount: float | None
    unit: str
    volume_ul: float | None = None
    width_mm: float | None = None
    length_mm: float | None = None
    count: int = 1
    together: bool = False
    school: School | None = None
    school_reason: Words = ""
    drop: Drop | None = None
    lacks: Words = ""
    stock: Stock
    lot_id: uuid.UUID | None = None
    lot: str = ""
    left: float | None = None
    price_cents: int | None = None

    @property
    def spare(self) -> int:
        """Pieces of it that are cut and kept."""
        return spare_pieces(self.kind, self.target, self.amount, self.unit)


def parts_of(
    option: Option,
    found: Inspection,
    *,
    product: ProductView | None,
    material: Material | None,
    gap_products: Sequence[ProductView],
    gaps: Sequence[GapAdvice],
    school: School | None,
) -> tuple[Part, ...]:
    """All parts of an option."""
    out: list[Part] = []
    if material is not None:
        dies = [("cpu_die", found.cpu_die_mm), ("gpu_die", found.gpu_die_mm)]
        known = [d for d in dies if d[1] is not None] or dies[:1]
        out += [_die_part(target, size, product=product, material=material, school=school) for target, size in known]
        if material.kind == Kind.SHEET:
            # A touched or torn piece cannot be laid any more: one spare of the largest is cut with it.
            areas = [(p.width_mm or 0.0) * (p.length_mm or 0.0) for p in out]
            spare = areas.index(max(areas))
            one = out[spare]
            cents = None if one.price_cents is None else 2 * one.price_cents
            out[spare] = replace(one, count=2, amount=None if one.amount is None else 2.0, price_cents=cents)
    if Action.PADS in option.actions:
        out += [_gap_part(advice, found.gap_filler == "putty" or advice.putty, gap_products) for advice in gaps]
        if not gaps:
            kind = Kind.PUTTY if found.gap_filler == "putty" else Kind.PAD
            out.append(
                part_of("memory", kind, product=None, amount=None, unit=kind, lacks=say("parts-measure-gaps-first"))
            )
    if Action.SHIM in option.actions and found.shim is not None:
        s = found.shim
        kept = next((p for p in gap_products if p.product.kind == Kind.SHIM and p.remaining >= 1), None)
        out.append(
            part_of(
                "other",
                Kind.SHIM,
                product=kept,
                amount=1.0,
                unit="piece",
                width_mm=s.shim_width_mm,
                length_mm=s.shim_length_mm,
            )
        )
    if Action.COVER in option.actions and found.cover is not None:
        c, pressed = found.cover, cover_pad(found)
        if pressed is None:
            out.append(
                part_of(
                    "cover",
                    Kind.PAD,
                    product=None,
                    amount=None,
                    unit="piece",
                    width_mm=c.pad_width_mm,
                    length_mm=c.pad_length_mm,
                    lacks=say("parts-measure-gap-between-heatsink-and"),
                )
            )
        else:
            stack = pressed[0].stack_mm
            pads = [p for p in gap_products if p.product.kind == Kind.PAD and _near(p, stack[0])]
            words = say("parts-pad-mm-2", stack=listed((f"{t:g}" for t in stack), by="and"))
            out.append(
                sheet_part(
                    "cover",
                    pads[0] if pads else None,
                    width_mm=c.pad_width_mm,
                    length_mm=c.pad_length_mm,
                    count=len(stack),
                    together=False,
                    words=words,
                    margin_mm=0.0,
                )
            )
    return tuple(out)


def _near(view: ProductView, thickness_mm: float) -> bool:
    return view.product.thickness_mm is not None and abs(view.product.thickness_mm - thickness_mm) < 0.01


def _die_part(
    target: str,
    size: tuple[float, float] | None,
    *,
    product: ProductView | None,
    material: Material,
    school: School | None,
) -> Part:
    if size is None:
        return part_of(
            target,
            material.kind,
            product=product,
            amount=None,
            unit="",
            lacks=say("parts-measure-die-dose-follows-from"),
        )
    width, length = size
    if product is not None and product.product.unit == "sheet":
        return sheet_part(
            target,
            product,
            width_mm=width,
            length_mm=length,
            count=1,
            together=False,
            words=material.words,
            margin_mm=MARGIN_MM,
            kind=material.kind,
        )
    faces = 2 if material.has(Trait.BOTH_FACES) else 1
    found = dose(
        width, length, film_um=material.film_um, waste=material.waste, density_g_ml=material.density_g_ml, faces=faces
    )
    way = (
        choose_school(width, length, stiff=material.has(Trait.STIFF), default=school)
        if material.has(Trait.PASTE)
        else None
    )
    if material.kind == Kind.SHEET:
        return part_of(
            target, material.kind, product=product, amount=1.0, unit="piece", width_mm=width, length_mm=length
        )
    unit = product.product.unit if product is not None else "g"
    amount = {"g": found.mass_g, "mL": found.volume_ul / 1000.0}.get(unit, 1.0)
    return part_of(
        target,
        material.kind,
        product=product,
        amount=amount,
        unit=unit,
        volume_ul=found.volume_ul,
        width_mm=size[0],
        length_mm=size[1],
        school=way.school if way else School.FILM,
        school_reason=way.reason if way else say("parts-thin-film", way=SCHOOL_WORDS[School.FILM], both=faces == 2),
        drop=drop_of(way.school if way else School.FILM, found.volume_ul, *size),
    )


def _gap_part(advice: GapAdvice, putty: bool, products: Sequence[ProductView]) -> Part:
    spot = advice.spot
    if advice.open:
        return part_of(
            spot.target,
            Kind.PAD,
            product=None,
            amount=None,
            unit="piece",
            width_mm=spot.width_mm,
            length_mm=spot.length_mm,
            count=spot.count,
            lacks=say("parts-measure-again", reason=advice.reason),
        )
    if putty or advice.pad is None:
        product = next((p for p in products if p.product.kind == Kind.PUTTY and p.remaining > 0), None)
        found = dose(
            min(200.0, spot.width_mm),
            min(200.0, spot.length_mm),
            film_um=min(3000.0, 1000 * advice.gap.gap_mm),
            waste=PUTTY_WASTE,
            density_g_ml=_density(product),
        )
        unit = product.product.unit if product else "g"
        each = found.mass_g if unit == "g" else found.volume_ul / 1000.0
        return part_of(
            spot.target,
            Kind.PUTTY,
            product=product,
            amount=each * spot.count,
            unit=unit,
            volume_ul=found.volume_ul * spot.count,
            width_mm=spot.width_mm,
            length_mm=spot.length_mm,
            count=spot.count,
            school_reason=say("parts-three-beads-on-large-parts"),
        )
    words: Words
    if len(advice.pad.stack_mm) > 1:
        words = say("parts-stack", sheets=listed((say("parts-mm", mm=t) for t in advice.pad.stack_mm), "and"))
    else:
        words = say("parts-pad-mm", thickness_mm=advice.pad.thickness_mm)
    fitting = [p for p in products if p.product.kind == Kind.PAD and _near(p, advice.pad.stack_mm[0])]
    fitting.sort(key=lambda p: not (p.offcuts or p.remaining >= 1))
    return sheet_part(
        spot.target,
        fitting[0] if fitting else None,
        width_mm=spot.width_mm,
        length_mm=spot.length_mm,
        count=spot.count,
        together=spot.together,
        words=words,
        margin_mm=0.0,
    )


def _density(product: ProductView | None) -> float:
    """Density of a putty [g/mL]: of the product, else of its kind."""
    if product is None:
        return CATALOGUE[Kind.PUTTY].density_g_ml
    return next(v.value for v in product.values if v.name == "density_g_ml")


def sheet_part(
    target: str,
    product: ProductView | None,
    *,
    width_mm: float,
    length_mm: float,
    count: int,
    together: bool,
    words: Words,
    margin_mm: float,
    kind: str = Kind.PAD,
) -> Part:
    """Pieces of a sheet. Whether they find room is for the cut sheet to say; here only that there is one."""
    width, length = with_margin(width_mm, length_mm, margin_mm) if margin_mm else (width_mm, length_mm)
    row = product.product if product is not None else None
    price = None
    if row is not None and row.price_cents is not None and row.sheet_width_mm and row.sheet_length_mm:
        price = sheet_cents(row.price_cents, (row.sheet_width_mm, row.sheet_length_mm), (width, length), count)
    held = product is not None and (product.remaining >= 1 or bool(product.offcuts))
    return Part(
        target=target,
        kind=kind,
        words=words,
        product_id=row.id if row else None,
        product=row.name if row else "",
        amount=float(count),
        unit="piece",
        width_mm=width,
        length_mm=length,
        count=count,
        together=together,
        stock=Stock.HELD if held else Stock.SHORT,
        price_cents=price,
    )


def part_of(
    target: str,
    kind: str,
    *,
    product: ProductView | None,
    amount: float | None,
    unit: str,
    **more: Any,  # noqa: ANN401 - fields of a part
) -> Part:
    """A part by amount, from the lot that it is taken from. more: fields of a Part."""
    row = product.product if product is not None else None
    part = Part(
        target=target,
        kind=kind,
        words=row.name if row else "",
        product_id=row.id if row else None,
        product=row.name if row else "",
        amount=amount,
        unit=unit,
        stock=Stock.NOT_KNOWN if amount is None else Stock.SHORT,
        **more,
    )
    if product is None or amount is None:
        return part
    if row is not None and row.price_cents is not None:
        part = replace(part, price_cents=share_cents(row.price_cents, amount))
    lots = [v.lot for v in product.lots if v.usable]
    usable = [
        UsableLot(code=x.code, remaining=x.remaining, opened_on=x.opened_on, expires_on=x.expires_on) for x in lots
    ]
    found = lot_for(usable, amount)
    if found is None:
        return part
    lot = lots[found[0]]
    return replace(part, stock=Stock.HELD, lot_id=lot.id, lot=lot.code, left=found[1])
