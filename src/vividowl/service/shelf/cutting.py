"""Cutting: pieces on the sheets and offcuts of the shelf, booked for a job and taken back with it."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from sqlalchemy import func

from vividowl.core.materials.nesting import nest
from vividowl.core.materials.pieces import Nesting, Piece, Sheet
from vividowl.core.quantities.words import Words, say
from vividowl.formats.cut_sheet import CutDrawing as CutDrawing
from vividowl.formats.cut_sheet import CutPiece, cut_dxf, cut_pdf, cut_svg
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.shelf.sources import Source, box_of, sources_of
from vividowl.service.shelf.stock import move
from vividowl.service.workshop import Actor, Workshop, open_job
from vividowl.store.deciding import CutSheet, Lot, Offcut, Product
from vividowl.store.models import FitItem, Job, Shop
from vividowl.store.scope import Scope

CUT_FORMATS = {"svg": "image/svg+xml", "dxf": "image/vnd.dxf", "pdf": "application/pdf"}


@dataclass(frozen=True, kw_only=True)
class CutView:
    """A cut sheet: drawings one a sheet in use; what is lost and kept; stored when it was booked."""

    drawings: tuple[CutDrawing, ...]
    kept: tuple[tuple[float, float, float, float] | None, ...]
    waste_share: float
    fits: bool
    unplaced: tuple[str, ...]
    stored: CutSheet | None = None


def expand(rows: Sequence[Mapping[str, Any]]) -> list[Piece]:
    """Pieces one by one from rows with a count; rows that stay together become strips."""
    out: list[Piece] = []
    for number, row in enumerate(rows, start=1):
        strip = f"{row['label']} {number}" if row["together"] and row["count"] > 1 else ""
        out += [Piece(row["label"], row["width_mm"], row["length_mm"], strip) for _ in range(row["count"])]
    return out


def _drawings(pieces: Sequence[Piece], sheets: Sequence[Sheet], found: Nesting) -> tuple[CutDrawing, ...]:
    used = sorted({p.sheet for p in found.placements})
    return tuple(
        CutDrawing(
            name=sheets[i].name,
            width_mm=sheets[i].width_mm,
            length_mm=sheets[i].length_mm,
            taken=tuple(b.rect for b in sheets[i].taken),
            pieces=tuple(CutPiece(pieces[p.piece].name, p.box.rect) for p in found.placements if p.sheet == i),
        )
        for i in used
    )


def _view(pieces: Sequence[Piece], sheets: Sequence[Sheet], found: Nesting, stored: CutSheet | None = None) -> CutView:
    kept = tuple(r.largest.rect if r.largest else None for r in found.remainders)
    unplaced = tuple(pieces[i].name for i in found.unplaced)
    return CutView(
        drawings=_drawings(pieces, sheets, found),
        kept=kept,
        waste_share=found.waste_share,
        fits=found.fits,
        unplaced=unplaced,
        stored=stored,
    )


def preview(
    workshop: Workshop, actor: Actor, *, product_id: uuid.UUID, rows: Sequence[Mapping[str, Any]], kerf_mm: float
) -> CutView:
    """How pieces would lie on what is on the shelf. Nothing is booked."""
    with workshop.scope(actor) as scope:
        pieces = expand(rows)
        sources = sources_of(scope, scope.get(Product, product_id), len(pieces))
        sheets = [s.sheet for s in sources]
        return _view(pieces, sheets, nest(pieces, sheets, kerf_mm))


def book(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    product_id: uuid.UUID,
    rows: Sequence[Mapping[str, Any]],
    kerf_mm: float,
) -> CutView:
    """Cut for a job: sheets leave their lots, offcuts are used up, new ones come onto the shelf, Fit notes it."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        product = scope.get(Product, product_id, lock=True)
        pieces = expand(rows)
        sources = sources_of(scope, product, len(pieces))
        sheets = [s.sheet for s in sources]
        found = nest(pieces, sheets, kerf_mm)
        if not found.fits:
            raise Refused(
                "conflict",
                say(
                    "cutting-pieces-find-no-room-on",
                    unplaced=len(found.unplaced),
                    pieces=len(pieces),
                    name=pieces[found.unplaced[0]].name,
                ),
                field="pieces",
                reason="short",
            )
        used = sorted({p.sheet for p in found.placements})
        cut = scope.add(
            CutSheet(
                job_id=job.id,
                product_id=product.id,
                kerf_mm=kerf_mm,
                waste_share=found.waste_share,
                member_id=actor.member_id,
                pieces=[],
                sheets=[
                    {
                        "name": sheets[i].name,
                        "width_mm": sheets[i].width_mm,
                        "length_mm": sheets[i].length_mm,
                        "taken": [b.rect for b in sheets[i].taken],
                        "lot_id": str(sources[i].lot_id),
                        "offcut_id": str(sources[i].offcut_id) if sources[i].offcut_id else None,
                    }
                    for i in used
                ],
                placements=[
                    {
                        "label": pieces[p.piece].name,
                        "sheet": used.index(p.sheet),
                        "rect": p.box.rect,
                        "rotated": p.rotated,
                    }
                    for p in found.placements
                ],
            )
        )
        kept = {r.sheet: r for r in found.remainders}
        for i in used:
            source = sources[i]
            if source.offcut_id is None:
                move(
                    scope,
                    actor,
                    lot_id=source.lot_id,
                    amount=-1.0,
                    reason=say("cutting-cut-for-job", number=job.number),
                    job_id=job.id,
                )
            else:
                scope.get(Offcut, source.offcut_id, lock=True).used_by = cut.id
            rest = kept[i]
            if rest.largest is not None:
                scope.add(
                    Offcut(
                        lot_id=source.lot_id,
                        number=_next_offcut(scope),
                        width_mm=sheets[i].width_mm,
                        length_mm=sheets[i].length_mm,
                        taken=[b.rect for b in rest.taken],
                        largest=rest.largest.rect,
                        cut_from=cut.id,
                    )
                )
        cut.pieces = [
            {**row, "item_id": str(_note(scope, job.id, product=product, source=sources[used[0]], row=row))}
            for row in rows
        ]
        scope.session.flush()
        scope.session.refresh(cut, ["product"])
        return _view(pieces, sheets, found, cut)


def _next_offcut(scope: Scope) -> int:
    """The next number to write on a bag; the shop's row is locked until the transaction ends."""
    scope.session.get(Shop, scope.shop_id, with_for_update=True)
    query = scope.select(Offcut).with_only_columns(func.max(Offcut.number))
    return int(scope.session.scalar(query) or 0) + 1


def _note(scope: Scope, job_id: uuid.UUID, *, product: Product, source: Source, row: Mapping[str, Any]) -> uuid.UUID:
    """Note cut pieces in the job's Fit; the sheet itself was booked already."""
    lot = scope.get(Lot, source.lot_id)
    item = FitItem(
        job_id=job_id,
        attempt=scope.get(Job, job_id).attempt,
        target=row["target"],
        kind=product.kind,
        product=product.name,
        lot=lot.code,
        amount=float(row["count"]),
        amount_unit="pieces",
        lot_id=None,
    )
    return scope.add(item).id


def cuts_of(scope: Scope, job_id: uuid.UUID) -> list[CutSheet]:
    """Cut sheets of a job that were not taken back, oldest first."""
    query = scope.select(CutSheet).where(CutSheet.job_id == job_id, CutSheet.undone_at.is_(None))
    return list(scope.session.scalars(query.order_by(CutSheet.at, CutSheet.id)).unique())


def get_cuts(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> list[CutView]:
    """Cut sheets of a job."""
    with workshop.scope(actor) as scope:
        scope.get(Job, job_id)
        return [stored_view(cut) for cut in cuts_of(scope, job_id)]


def stored_view(cut: CutSheet) -> CutView:
    """A cut sheet as it was booked."""
    drawings = tuple(
        CutDrawing(
            name=s["name"],
            width_mm=s["width_mm"],
            length_mm=s["length_mm"],
            taken=tuple(box_of(r).rect for r in s["taken"]),
            pieces=tuple(CutPiece(p["label"], box_of(p["rect"]).rect) for p in cut.placements if p["sheet"] == i),
        )
        for i, s in enumerate(cut.sheets)
    )
    return CutView(
        drawings=drawings,
        kept=tuple(None for _ in drawings),
        waste_share=cut.waste_share,
        fits=True,
        unplaced=(),
        stored=cut,
    )


def _cut_of(scope: Scope, job_id: uuid.UUID, cut_id: uuid.UUID, *, lock: bool = False) -> CutSheet:
    """A cut sheet of that very job."""
    cut = scope.get(CutSheet, cut_id, lock=lock)
    if cut.job_id != job_id:
        raise Refused("missing", say("cutting-there-no-such-cut-sheet"))
    return cut


def undo(workshop: Workshop, actor: Actor, job_id: uuid.UUID, cut_id: uuid.UUID) -> list[CutView]:
    """Take a cut back: sheets and offcuts return, the new offcuts go, Fit forgets the pieces."""
    with workshop.scope(actor) as scope:
        cut = _cut_of(scope, job_id, cut_id, lock=True)
        job = open_job(scope, cut.job_id)
        if cut.undone_at is not None:
            raise Refused("conflict", say("cutting-this-cut-was-taken-back"))
        made = (
            scope.session.scalars(scope.select(Offcut).where(Offcut.cut_from == cut.id).with_for_update(of=Offcut))
            .unique()
            .all()
        )
        gone = next((o for o in made if o.used_by is not None), None)
        if gone is not None:
            raise Refused("conflict", say("cutting-offcut-which-this-cut-left", number=gone.number))
        for offcut in made:
            offcut.removed_at = server_now()
        for sheet in cut.sheets:
            if sheet["offcut_id"] is None:
                move(
                    scope,
                    actor,
                    lot_id=uuid.UUID(sheet["lot_id"]),
                    amount=1.0,
                    reason=say("cutting-cut-for-job-taken-back", number=job.number),
                    job_id=job.id,
                )
            else:
                scope.get(Offcut, uuid.UUID(sheet["offcut_id"]), lock=True).used_by = None
        for piece in cut.pieces:
            scope.get(FitItem, uuid.UUID(piece["item_id"])).removed_at = server_now()
        cut.undone_at = server_now()
        scope.session.flush()
        return [stored_view(c) for c in cuts_of(scope, job.id)]


def cut_file(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, cut_id: uuid.UUID, form: str) -> tuple[bytes, str]:
    """A booked cut sheet as SVG, DXF or PDF at 1:1, and a name for the file."""
    with workshop.scope(actor) as scope:
        cut = _cut_of(scope, job_id, cut_id)
        number = scope.get(Job, cut.job_id).number
        return draw(
            say("cutting-job", number=number, name=cut.product.name), stored_view(cut).drawings, form
        ), f"cut-{number}.{form}"


def draw(title: Words, drawings: Sequence[CutDrawing], form: str) -> bytes:
    """Drawings in an open format."""
    if form == "svg":
        return cut_svg(title, drawings).encode("utf-8")
    return cut_dxf(drawings) if form == "dxf" else cut_pdf(title, drawings)
