"""Runs of many kinds: states of a device, runs beside Before and After, figures of each log."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0017"
down_revision = "0016"
branch_labels = None
depends_on = None

CAUSES = "'found', 'fitted', 'attempt', 'tuned', 'firmware', 'cycled', 'reopened', 'told'"


def upgrade() -> None:
    op.create_table(
        "device_state",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("position", sa.Integer(), nullable=False),
        sa.Column("cause", sa.String(20), nullable=False),
        sa.Column("words", sa.String(200), nullable=False),
        sa.Column("attempt", sa.Integer(), nullable=False),
        sa.Column("clean", sa.String(10), nullable=False),
        sa.Column("cover", sa.String(80), nullable=False),
        sa.Column("firmware", sa.String(80), nullable=False),
        sa.Column("tuning", sa.String(120), nullable=False),
        sa.Column("heat_cycles", sa.Float()),
        sa.Column("hours", sa.Float()),
        sa.Column("fitted", JSONB(), nullable=False),
        sa.Column("began_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_device_state"),
        sa.UniqueConstraint("shop_id", "id", name="uq_device_state_shop_id_id"),
        sa.UniqueConstraint("job_id", "position", name="uq_device_state_job_id_position"),
        sa.ForeignKeyConstraint(["shop_id"], ["shop.id"], name="fk_device_state_shop_id_shop"),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"],
            ["job.shop_id", "job.id"],
            name="fk_device_state_shop_id_job_id_job",
            ondelete="CASCADE",
        ),
        sa.CheckConstraint(f"cause IN ({CAUSES})", name="ck_device_state_cause"),
        sa.CheckConstraint("clean IN ('unknown', 'yes', 'no')", name="ck_device_state_clean"),
        sa.CheckConstraint("attempt BETWEEN 1 AND 99", name="ck_device_state_attempt"),
        sa.CheckConstraint("heat_cycles >= 0", name="ck_device_state_heat_cycles"),
        sa.CheckConstraint("hours >= 0", name="ck_device_state_hours"),
    )
    op.add_column("run", sa.Column("name", sa.String(120), server_default="", nullable=False))
    op.alter_column("run", "name", server_default=None)
    op.add_column("run", sa.Column("state_id", sa.Uuid()))
    op.add_column("run", sa.Column("created_at", sa.DateTime(timezone=True)))
    op.execute("UPDATE run SET created_at = updated_at")
    op.alter_column("run", "created_at", nullable=False)
    op.add_column("run", sa.Column("removed_at", sa.DateTime(timezone=True)))
    op.create_foreign_key(
        "fk_run_shop_id_state_id_device_state", "run", "device_state", ["shop_id", "state_id"], ["shop_id", "id"]
    )
    op.drop_constraint("uq_run_job_id_side", "run")
    op.create_index(
        "uq_run_job_id_side", "run", ["job_id", "side"], unique=True, postgresql_where=sa.text("side <> 'other'")
    )
    op.create_index("ix_run_job_id", "run", ["job_id"])
    op.create_index("ix_run_state_id", "run", ["state_id"])
    op.drop_constraint("ck_run_side", "run")
    op.execute("ALTER TABLE run ADD CONSTRAINT ck_run_side CHECK (side IN ('before', 'after', 'other')) NOT VALID")
    op.execute("ALTER TABLE run VALIDATE CONSTRAINT ck_run_side")
    op.add_column("trace_file", sa.Column("figures", JSONB()))


def downgrade() -> None:
    op.drop_column("trace_file", "figures")
    # An older program knows a run of each side and no other.
    op.execute("DELETE FROM run WHERE side = 'other'")
    op.drop_constraint("ck_run_side", "run")
    op.execute("ALTER TABLE run ADD CONSTRAINT ck_run_side CHECK (side IN ('before', 'after')) NOT VALID")
    op.execute("ALTER TABLE run VALIDATE CONSTRAINT ck_run_side")
    op.drop_index("ix_run_state_id", "run")
    op.drop_index("ix_run_job_id", "run")
    op.drop_index("uq_run_job_id_side", "run")
    op.create_unique_constraint("uq_run_job_id_side", "run", ["job_id", "side"])
    op.drop_constraint("fk_run_shop_id_state_id_device_state", "run")
    for name in ("removed_at", "created_at", "state_id", "name"):
        op.drop_column("run", name)
    op.drop_table("device_state")
