"""The tables that go out: their columns, and the rows of the jobs that are wanted, in the order of their numbers."""

from __future__ import annotations

import uuid
from collections.abc import Iterator, Mapping, Sequence
from typing import Any

from sqlalchemy import ColumnElement, Select, func, select
from sqlalchemy.orm import aliased

from vividowl.core.trace.roles import ROLE_KINDS
from vividowl.formats.sheets.tables_out import Cell, CellKind, Column, Table
from vividowl.store.deciding import Lot, Plan, Product, StockMove
from vividowl.store.devices import Device
from vividowl.store.finding import Wanted, jobs_where
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Customer, FitItem, Job, Member
from vividowl.store.scope import Scope

# Rows that are asked for at a time.
AT_A_TIME = 1000
TEXT, WHOLE, NUMBER, DAY, MOMENT, YES_NO = CellKind
JOB = Column("job", WHOLE, "Number of the job")
_INTERVALS = {
    "resistance": ("K_per_W", "Thermal resistance from die to air [K/W]"),
    "die_c": ("C", "Temperature of the die [°C]"),
    "gain_k": ("K", "How much cooler it gets [K]"),
    "watts": ("W", "Power that it can hold [W]"),
    "noise_db": ("dB", "Change of its noise [dB]"),
}
_ENDS = {"low": "lower end of the 80 % interval", "median": "median", "high": "upper end of the 80 % interval"}

JOBS = (
    JOB,
    Column("taken_in_at", MOMENT, "When it was written down, UTC"),
    Column("done_on", DAY, "Day of the work, where it was another"),
    Column("handed_over_at", MOMENT, "When it was handed over, UTC; empty while it is open"),
    Column("customer", TEXT, "Name of the customer"),
    Column("contact", TEXT, "How the customer is reached"),
    Column("kind", TEXT, "Kind of device"),
    Column("maker", TEXT, "Maker of the device"),
    Column("model", TEXT, "Model of the device"),
    Column("serial", TEXT, "Serial number"),
    Column("tag", TEXT, "The shop's own sign on the device"),
    Column("symptom", TEXT, "What was wrong, in the customer's words"),
    Column("age_months", WHOLE, "Age of the device [months]"),
    Column("months_since_service", WHOLE, "Months since the last service"),
    Column("surroundings", TEXT, "Air where it lives"),
    Column("place", TEXT, "Where it is used"),
    Column("warranty", TEXT, "Warranty of the maker"),
    Column("fitted", TEXT, "What was put where: place, kind, product, lot"),
    Column("rise_before_K", NUMBER, "Die above room air before [K]"),
    Column("rise_after_K", NUMBER, "Die above room air after [K]"),
    Column("throttled_before_share", NUMBER, "Share of the load time throttled before [1]"),
    Column("throttled_after_share", NUMBER, "Share of the load time throttled after [1]"),
    Column("noise_before_dB", NUMBER, "Noise level before [dB(A)]"),
    Column("noise_after_dB", NUMBER, "Noise level after [dB(A)]"),
    Column("verdict", TEXT, "What before and after say together"),
    Column("price", NUMBER, "Price, in the shop's currency"),
    Column("next_service_on", DAY, "Next service"),
    Column("note", TEXT, "Note to the customer"),
    Column("language", TEXT, "Language of the record, ISO 639-1"),
)
RUNS = (
    JOB,
    Column("side", TEXT, "before, after, or other"),
    Column("run", TEXT, "Name of the run"),
    Column("made_at", MOMENT, "When it was written down, UTC"),
    Column("room_C", NUMBER, "Room air [°C]"),
    Column("load", TEXT, "What loaded it"),
    Column("duration_min", NUMBER, "How long it was run [min]"),
    Column("fan_setting", TEXT, "Setting of the fan"),
    Column("power_profile", TEXT, "Power profile"),
    Column("placement", TEXT, "Where it stood"),
    Column("start", TEXT, "cold or warm"),
    Column("firmware", TEXT, "Firmware"),
    Column("tuning", TEXT, "Tuning"),
    Column("result_score", NUMBER, "Score of the load program [1]"),
    Column("result_duration_s", NUMBER, "How long the load program took [s]"),
    Column("result_frame_rate_per_s", NUMBER, "Frame rate that the load program told [1/s]"),
    Column("log", TEXT, "Name of the log file; empty where there is none"),
    Column("log_sha256", TEXT, "SHA-256 of the log file"),
    Column("repeat", YES_NO, "Whether it is a repeat of the run"),
    Column("samples", WHOLE, "Lines of the log"),
    Column("log_duration_s", NUMBER, "Length of the log [s]"),
    Column("settled", YES_NO, "Whether temperatures had settled where the figures are taken"),
    Column("rise_K", NUMBER, "Die above room air [K]"),
    Column("resistance_K_per_W", NUMBER, "Thermal resistance from die to air [K/W]"),
    Column("resistance_u_K_per_W", NUMBER, "Its standard uncertainty from run to run [K/W]"),
    Column("power_W", NUMBER, "Power [W]"),
    Column("held_share", NUMBER, "Share of the load time throttled [1]"),
    Column("load_s", NUMBER, "Length of the load [s]"),
    *(
        Column(f"mean_{role.value}_{_unit}", NUMBER, f"Mean of {role.value.replace('_', ' ')} [{kind.unit}]")
        for role, kind in ROLE_KINDS.items()
        if kind.unit
        for _unit in (kind.unit.replace("°", "").replace("%", "percent").replace("/s", "per_s"),)
    ),
)
_FIGURES = ("rise_K", "resistance_K_per_W", "resistance_u_K_per_W", "power_W", "held_share", "load_s")
_MEANS = tuple(role.value for role, kind in ROLE_KINDS.items() if kind.unit)
STOCK_MOVES = (
    Column("at", MOMENT, "When, UTC"),
    Column("product", TEXT, "Product"),
    Column("kind", TEXT, "Kind of material"),
    Column("lot", TEXT, "Lot"),
    Column("amount", NUMBER, "What came, or with a minus went, in the unit beside it"),
    Column("left", NUMBER, "What was left after it, in the unit beside it"),
    Column("unit", TEXT, "g, mL, sheet or pieces"),
    Column("job", WHOLE, "Number of the job it went to, if any"),
    Column("reason", TEXT, "Why"),
    Column("by", TEXT, "Who wrote it down"),
)
PREDICTIONS = (
    JOB,
    Column("chosen_at", MOMENT, "When the option was chosen, UTC"),
    Column("chosen_by", TEXT, "Who chose it"),
    Column("goal", TEXT, "What was wanted"),
    Column("option", TEXT, "What was chosen"),
    Column("material", TEXT, "Kind of material on the die"),
    *(
        Column(f"predicted_{name.removesuffix('_c').removesuffix('_k').removesuffix('_db')}_{end}_{unit}", NUMBER, told)
        for name, (unit, words) in _INTERVALS.items()
        for end, end_words in _ENDS.items()
        for told in (f"{words}: {end_words}",)
    ),
    Column("predicted_price", NUMBER, "Price of the option, in the shop's currency"),
    Column("measured_resistance_K_per_W", NUMBER, "What After showed, at the fan speed of Before [K/W]"),
    Column("measured_resistance_U_K_per_W", NUMBER, "Its expanded uncertainty, k = 2 [K/W]"),
    Column("inside", YES_NO, "Whether that lies in the predicted interval"),
)
TABLES: tuple[tuple[str, str, Sequence[Column]], ...] = (
    ("jobs", "Jobs, by their numbers", JOBS),
    ("runs", "Runs of these jobs, a row for each log; a run without a log has one row", RUNS),
    (
        "stock_moves",
        "What came to the shelf and left it; of certain jobs, where only these were asked for",
        STOCK_MOVES,
    ),
    ("predictions", "What was predicted for these jobs when an option was chosen, and what came of it", PREDICTIONS),
)


def tables_of(scope: Scope, wanted: Wanted, *, narrowed: bool) -> Iterator[Table]:
    """The tables of the jobs that are wanted. narrowed: stock moves of these jobs alone, not of the whole shelf."""
    ids = jobs_where(scope, wanted).with_only_columns(Job.id).order_by(None)
    rows = {
        "jobs": _jobs(scope, ids),
        "runs": _runs(scope, ids),
        "stock_moves": _moves(scope, ids if narrowed else None),
        "predictions": _predictions(scope, ids),
    }
    for name, words, columns in TABLES:
        yield Table(name, words, columns, rows[name])


def _streamed(scope: Scope, query: Select[*tuple[Any, ...]]) -> Iterator[Sequence[Any]]:
    """Rows as they come: the database keeps the rest."""
    return iter(scope.session.execute(query.execution_options(yield_per=AT_A_TIME)))


def _price(cents: int | None) -> float | None:
    return None if cents is None else cents / 100


def _jobs(scope: Scope, ids: Select[uuid.UUID]) -> Iterator[tuple[Cell, ...]]:
    before, after = aliased(Run), aliased(Run)
    words = func.concat_ws(" ", FitItem.target, FitItem.kind, FitItem.product, FitItem.lot)
    fitted: ColumnElement[str] = (
        select(func.string_agg(words, "; "))
        .where(FitItem.job_id == Job.id, FitItem.removed_at.is_(None))
        .correlate(Job)
        .scalar_subquery()
    )
    query = (
        select(
            Job.number,
            Job.created_at,
            Job.done_on,
            Job.handed_over_at,
            Customer.name,
            Customer.contact,
            Device.kind,
            Device.maker,
            Device.model,
            Device.serial,
            Device.tag,
            Job.symptom,
            Job.age_months,
            Job.months_since_service,
            Job.surroundings,
            Job.place,
            Job.warranty,
            fitted,
            before.glance["rise_k"].as_float(),
            after.glance["rise_k"].as_float(),
            before.glance["held_share"].as_float(),
            after.glance["held_share"].as_float(),
            before.glance["noise_db"].as_float(),
            after.glance["noise_db"].as_float(),
            after.glance["verdict"].as_string(),
            Job.price_cents,
            Job.next_service_on,
            Job.handover_note,
            Job.language,
        )
        .join(Customer, Customer.id == Job.customer_id)
        .join(Device, Device.id == Job.device_id)
        .outerjoin(before, (before.job_id == Job.id) & (before.side == "before") & before.removed_at.is_(None))
        .outerjoin(after, (after.job_id == Job.id) & (after.side == "after") & after.removed_at.is_(None))
        .where(Job.shop_id == scope.shop_id, Job.id.in_(ids))
        .order_by(Job.number)
    )
    at = [column.name for column in JOBS].index("price")
    for row in _streamed(scope, query):
        yield (*row[:at], _price(row[at]), *row[at + 1 :])


def _runs(scope: Scope, ids: Select[uuid.UUID]) -> Iterator[tuple[Cell, ...]]:
    query = (
        select(
            Job.number,
            Run.side,
            Run.name,
            Run.created_at,
            Run.room_c,
            Run.load_recipe,
            Run.duration_min,
            Run.fan_setting,
            Run.power_profile,
            Run.placement,
            Run.start,
            Run.firmware,
            Run.tuning,
            Run.result_score,
            Run.result_duration_s,
            Run.result_frame_rate,
            TraceFile.file_name,
            TraceFile.sha256,
            TraceFile.is_repeat,
            TraceFile.samples,
            TraceFile.duration_s,
            TraceFile.figures,
        )
        .join(Job, Job.id == Run.job_id)
        .outerjoin(TraceFile, (TraceFile.run_id == Run.id) & TraceFile.removed_at.is_(None))
        .where(Run.shop_id == scope.shop_id, Run.removed_at.is_(None), Run.job_id.in_(ids))
        .order_by(Job.number, Run.side.desc(), Run.created_at, TraceFile.is_repeat, TraceFile.uploaded_at)
    )
    for *told, figures in _streamed(scope, query):
        found: Mapping[str, Any] = figures or {}
        means = found.get("means", {})
        yield (*told, found.get("settled"), *(found.get(n) for n in _FIGURES), *(means.get(n) for n in _MEANS))


def _moves(scope: Scope, ids: Select[uuid.UUID] | None) -> Iterator[tuple[Cell, ...]]:
    query = (
        select(
            StockMove.at,
            Product.name,
            Product.kind,
            Lot.code,
            StockMove.amount,
            StockMove.remaining,
            Product.unit,
            Job.number,
            StockMove.reason,
            Member.name,
        )
        .join(Lot, Lot.id == StockMove.lot_id)
        .join(Product, Product.id == Lot.product_id)
        .join(Member, Member.id == StockMove.member_id)
        .outerjoin(Job, Job.id == StockMove.job_id)
        .where(StockMove.shop_id == scope.shop_id)
        .order_by(StockMove.at, StockMove.id)
    )
    if ids is not None:
        query = query.where(StockMove.job_id.in_(ids))
    return (tuple(row) for row in _streamed(scope, query))


def _predictions(scope: Scope, ids: Select[uuid.UUID]) -> Iterator[tuple[Cell, ...]]:
    query = (
        select(Job.number, Plan.chosen_at, Member.name, Plan.goal, Plan.chosen, Plan.outcome)
        .join(Job, Job.id == Plan.job_id)
        .join(Member, Member.id == Plan.chosen_by)
        .where(Plan.shop_id == scope.shop_id, Plan.chosen.is_not(None), Plan.job_id.in_(ids))
        .order_by(Job.number)
    )
    for number, at, by, goal, chosen, outcome in _streamed(scope, query):
        ends = ((chosen.get(name) or {}).get(end) for name in _INTERVALS for end in _ENDS)
        found: Mapping[str, Any] = outcome or {}
        measured = (found.get("resistance"), found.get("resistance_u95"), found.get("inside"))
        price = _price(chosen.get("total_cents"))
        yield (number, at, by, goal, chosen["words"], chosen.get("kind"), *ends, price, *measured)
