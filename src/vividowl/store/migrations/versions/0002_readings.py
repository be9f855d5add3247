"""Repeats of a run, recordings, remembered columns, results of benchmarks, a window set by hand."""

from typing import Any

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0002"
down_revision = "0001"
branch_labels = None
depends_on = None

RUN_COLUMNS: tuple[tuple[str, sa.types.TypeEngine[Any]], ...] = (
    ("fan_blades", sa.Integer()),
    ("result_score", sa.Double()),
    ("result_duration_s", sa.Double()),
    ("result_frame_rate", sa.Double()),
    ("window_from_s", sa.Double()),
    ("window_to_s", sa.Double()),
)
RUN_CHECKS = {
    "ck_run_fan_blades": "fan_blades BETWEEN 3 AND 120",
    "ck_run_result_score": "result_score > 0",
    "ck_run_result_duration_s": "result_duration_s > 0",
    "ck_run_result_frame_rate": "result_frame_rate > 0",
    "ck_run_window": "(window_from_s IS NULL) = (window_to_s IS NULL) AND window_from_s < window_to_s",
}


def upgrade() -> None:
    for name, kind in RUN_COLUMNS:
        op.add_column("run", sa.Column(name, kind, nullable=True))
    for name, rule in RUN_CHECKS.items():
        op.create_check_constraint(op.f(name), "run", rule)
    op.drop_index("uq_trace_file_run_id_kept", table_name="trace_file")
    op.create_index("ix_trace_file_run_id", "trace_file", ["run_id"])
    op.create_table(
        "sound_file",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("run_id", sa.Uuid(), nullable=False),
        sa.Column("sha256", sa.String(length=64), nullable=False),
        sa.Column("file_name", sa.String(length=200), nullable=False),
        sa.Column("size_bytes", sa.Integer(), nullable=False),
        sa.Column("reading", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("reference_db", sa.Double(), nullable=True),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("uploaded_by", sa.Uuid(), nullable=False),
        sa.Column("removed_at", sa.DateTime(timezone=True), nullable=True),
        sa.CheckConstraint("reference_db BETWEEN 0 AND 140", name=op.f("ck_sound_file_reference_db")),
        sa.CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name=op.f("ck_sound_file_sha256")),
        sa.ForeignKeyConstraint(
            ["shop_id", "run_id"],
            ["run.shop_id", "run.id"],
            name=op.f("fk_sound_file_shop_id_run_id_run"),
            ondelete="CASCADE",
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "uploaded_by"],
            ["member.shop_id", "member.id"],
            name=op.f("fk_sound_file_shop_id_uploaded_by_member"),
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_sound_file")),
    )
    op.create_index("ix_sound_file_run_id", "sound_file", ["run_id"])
    op.create_table(
        "log_mapping",
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("signature", sa.String(length=64), nullable=False),
        sa.Column("roles", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("updated_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(["shop_id"], ["shop.id"], name=op.f("fk_log_mapping_shop_id_shop")),
        sa.PrimaryKeyConstraint("shop_id", "signature", name=op.f("pk_log_mapping")),
    )


def downgrade() -> None:
    op.drop_table("log_mapping")
    op.drop_table("sound_file")
    op.drop_index("ix_trace_file_run_id", table_name="trace_file")
    # Without repeats one log a run may stay: the first.
    op.execute(
        "UPDATE trace_file t SET removed_at = now() WHERE removed_at IS NULL AND EXISTS (SELECT 1 FROM trace_file o "
        "WHERE o.run_id = t.run_id AND o.removed_at IS NULL AND (o.uploaded_at, o.id) < (t.uploaded_at, t.id))"
    )
    op.create_index(
        "uq_trace_file_run_id_kept",
        "trace_file",
        ["run_id"],
        unique=True,
        postgresql_where=sa.text("removed_at IS NULL"),
    )
    for name in RUN_CHECKS:
        op.drop_constraint(op.f(name), "run")
    for name, _ in RUN_COLUMNS:
        op.drop_column("run", name)
