"""Tables of what was measured: runs, logs, recordings, levels, spots."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Any

from sqlalchemy import (
    CheckConstraint,
    ForeignKey,
    ForeignKeyConstraint,
    Index,
    String,
    UniqueConstraint,
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from vividowl.core.job.device import REFERENCES, RunSide, Spot, Start
from vividowl.store.base import Base, Versioned, check_of, now, one_of


class Run(Versioned, Base):
    """One test of the device: its conditions and what was read. glance keeps what the owl glyph shows."""

    __tablename__ = "run"
    UNGUARDED = frozenset({"glance", "rules_version", "window_from_s", "window_to_s"})
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    # The rules that made its figures and its glance; 0 for what is to be made anew.
    rules_version: Mapped[int] = mapped_column(default=0, server_default="0")
    side: Mapped[RunSide] = mapped_column(one_of(RunSide, 10))
    # What it is called among the runs of its job, and the state that the device was in; None before states were kept.
    name: Mapped[str] = mapped_column(String(120), default="")
    state_id: Mapped[uuid.UUID | None]
    room_c: Mapped[float | None]
    load_recipe: Mapped[str] = mapped_column(String(200), default="")
    duration_min: Mapped[float | None]
    fan_setting: Mapped[str] = mapped_column(String(80), default="")
    power_profile: Mapped[str] = mapped_column(String(80), default="")
    placement: Mapped[str] = mapped_column(String(120), default="")
    start: Mapped[Start] = mapped_column(one_of(Start, 10), default=Start(""))
    firmware: Mapped[str] = mapped_column(String(80), default="")
    tuning: Mapped[str] = mapped_column(String(120), default="")
    fan_blades: Mapped[int | None]
    result_score: Mapped[float | None]
    result_duration_s: Mapped[float | None]
    result_frame_rate: Mapped[float | None]
    window_from_s: Mapped[float | None]
    window_to_s: Mapped[float | None]
    glance: Mapped[dict[str, Any]] = mapped_column(default=dict)
    created_at: Mapped[datetime] = mapped_column(default=now)
    updated_at: Mapped[datetime] = mapped_column(default=now, onupdate=now)
    removed_at: Mapped[datetime | None]
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        # One reference a side; of the others there are as many as were run.
        Index("uq_run_job_id_side", "job_id", "side", unique=True, postgresql_where=text("side <> 'other'")),
        Index("ix_run_job_id", "job_id"),
        Index("ix_run_state_id", "state_id"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "state_id"], ["device_state.shop_id", "device_state.id"]),
        check_of("side", RunSide),
        CheckConstraint("room_c BETWEEN -10 AND 60", name="room_c"),
        CheckConstraint("duration_min > 0", name="duration_min"),
        check_of("start", Start),
        CheckConstraint("fan_blades BETWEEN 3 AND 120", name="fan_blades"),
        CheckConstraint("result_score > 0", name="result_score"),
        CheckConstraint("result_duration_s > 0", name="result_duration_s"),
        CheckConstraint("result_frame_rate > 0", name="result_frame_rate"),
        CheckConstraint(
            "(window_from_s IS NULL) = (window_to_s IS NULL) AND window_from_s < window_to_s", name="window"
        ),
    )

    @property
    def key(self) -> str:
        """What it is asked for by: its side, where it is the reference of one, else its id."""
        return self.side.value if self.side in REFERENCES else str(self.id)


class TraceFile(Base):
    """An uploaded log: the bytes lie in the file store under their SHA-256, the columns as Parquet beside them.

    One of a run gives the figures on the page; the others kept were given as repeats of the same recipe.
    """

    __tablename__ = "trace_file"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    run_id: Mapped[uuid.UUID]
    sha256: Mapped[str] = mapped_column(String(64))
    file_name: Mapped[str] = mapped_column(String(200))
    size_bytes: Mapped[int]
    samples: Mapped[int]
    interval_s: Mapped[float]
    duration_s: Mapped[float]
    channels: Mapped[list[Any]]
    notices: Mapped[list[Any]] = mapped_column(default=list)
    is_repeat: Mapped[bool] = mapped_column(default=False)
    # What was read from it, for lists of many runs; None until it was read by the present rules.
    figures: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    uploaded_at: Mapped[datetime] = mapped_column(default=now)
    uploaded_by: Mapped[uuid.UUID]
    removed_at: Mapped[datetime | None]
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "run_id"], ["run.shop_id", "run.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "uploaded_by"], ["member.shop_id", "member.id"]),
        CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name="sha256"),
        Index("ix_trace_file_run_id", "run_id"),
        Index("ix_trace_file_shop_id_sha256", "shop_id", "sha256"),
    )


class SoundFile(Base):
    """An uploaded recording with what was read from it. reference_db: the level the meter showed, for a recording
    that calibrates the others of its job. is_background: of the room alone, with the device off."""

    __tablename__ = "sound_file"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    run_id: Mapped[uuid.UUID]
    sha256: Mapped[str] = mapped_column(String(64))
    file_name: Mapped[str] = mapped_column(String(200))
    size_bytes: Mapped[int]
    reading: Mapped[dict[str, Any]]
    reference_db: Mapped[float | None]
    is_background: Mapped[bool] = mapped_column(default=False)
    created_at: Mapped[datetime] = mapped_column(default=now)
    uploaded_by: Mapped[uuid.UUID]
    removed_at: Mapped[datetime | None]
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "run_id"], ["run.shop_id", "run.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "uploaded_by"], ["member.shop_id", "member.id"]),
        CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name="sha256"),
        CheckConstraint("reference_db BETWEEN 0 AND 140", name="reference_db"),
        Index("ix_sound_file_run_id", "run_id"),
    )


class FrameFile(Base):
    """An uploaded log of frame times, kept as it came, with what was read from it: frames, how long they took [s], mean
    rate and rate of the slow one per cent [1/s], None where too few were logged."""

    __tablename__ = "frame_file"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    run_id: Mapped[uuid.UUID]
    sha256: Mapped[str] = mapped_column(String(64))
    file_name: Mapped[str] = mapped_column(String(200))
    size_bytes: Mapped[int]
    frames: Mapped[int]
    duration_s: Mapped[float]
    rate_per_s: Mapped[float]
    slow_rate_per_s: Mapped[float | None]
    created_at: Mapped[datetime] = mapped_column(default=now)
    uploaded_by: Mapped[uuid.UUID]
    removed_at: Mapped[datetime | None]
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "run_id"], ["run.shop_id", "run.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "uploaded_by"], ["member.shop_id", "member.id"]),
        CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name="sha256"),
        CheckConstraint("frames > 0 AND duration_s > 0 AND rate_per_s > 0", name="frames"),
        CheckConstraint("slow_rate_per_s > 0", name="slow_rate_per_s"),
        Index("ix_frame_file_run_id", "run_id"),
    )


class LogMapping(Base):
    """Which column is what, as a person set it, for every log with these headers."""

    __tablename__ = "log_mapping"
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"), primary_key=True)
    signature: Mapped[str] = mapped_column(String(64), primary_key=True)
    roles: Mapped[dict[str, Any]]
    updated_at: Mapped[datetime] = mapped_column(default=now, onupdate=now)


class NoiseReading(Base):
    """A level read by hand."""

    __tablename__ = "noise_reading"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    run_id: Mapped[uuid.UUID]
    level_db: Mapped[float]
    background_db: Mapped[float | None]
    place: Mapped[str] = mapped_column(String(80), default="")
    distance_m: Mapped[float | None]
    created_at: Mapped[datetime] = mapped_column(default=now)
    removed_at: Mapped[datetime | None]
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "run_id"], ["run.shop_id", "run.id"], ondelete="CASCADE"),
        CheckConstraint("level_db BETWEEN 0 AND 140", name="level_db"),
        CheckConstraint("background_db BETWEEN 0 AND 140", name="background_db"),
        CheckConstraint("distance_m > 0", name="distance_m"),
        Index("ix_noise_reading_run_id", "run_id"),
    )


class SpotReading(Base):
    """A temperature read by hand at one spot under load."""

    __tablename__ = "spot_reading"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    run_id: Mapped[uuid.UUID]
    spot: Mapped[Spot] = mapped_column(one_of(Spot, 20))
    reading_c: Mapped[float]
    place: Mapped[str] = mapped_column(String(80), default="")
    created_at: Mapped[datetime] = mapped_column(default=now)
    removed_at: Mapped[datetime | None]
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "run_id"], ["run.shop_id", "run.id"], ondelete="CASCADE"),
        check_of("spot", Spot),
        CheckConstraint("reading_c BETWEEN -40 AND 150", name="reading_c"),
        Index("ix_spot_reading_run_id", "run_id"),
    )
