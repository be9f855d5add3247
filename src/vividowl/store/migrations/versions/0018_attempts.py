"""Attempts: what each left behind, what its checks showed, and which of them a part belongs to."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0018"
down_revision = "0017"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "attempt",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("checks", JSONB(), nullable=False),
        sa.Column("surface_score", sa.Integer()),
        sa.Column("print_score", sa.Integer()),
        sa.Column("words", sa.String(400), nullable=False),
        sa.Column("left_words", sa.String(400), nullable=False),
        sa.Column("cleaned", JSONB(), nullable=False),
        sa.Column("fit_note", sa.String(2000), nullable=False),
        sa.Column("promised", JSONB()),
        sa.Column("outcome", JSONB()),
        sa.Column("ended_at", sa.DateTime(timezone=True)),
        sa.Column("after_run_id", sa.Uuid()),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_attempt"),
        sa.UniqueConstraint("shop_id", "id", name="uq_attempt_shop_id_id"),
        sa.UniqueConstraint("job_id", "number", name="uq_attempt_job_id_number"),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"], ["job.shop_id", "job.id"], name="fk_attempt_shop_id_job_id_job", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "after_run_id"], ["run.shop_id", "run.id"], name="fk_attempt_shop_id_after_run_id_run"
        ),
        sa.CheckConstraint("number BETWEEN 1 AND 99", name="ck_attempt_number"),
        sa.CheckConstraint("surface_score BETWEEN 1 AND 5", name="ck_attempt_surface_score"),
        sa.CheckConstraint("print_score BETWEEN 1 AND 5", name="ck_attempt_print_score"),
    )
    op.create_index("ix_attempt_after_run_id", "attempt", ["after_run_id"])
    for table in ("job", "fit_item"):
        op.add_column(table, sa.Column("attempt", sa.Integer(), server_default="1", nullable=False))
        op.alter_column(table, "attempt", server_default=None)


def downgrade() -> None:
    for table in ("fit_item", "job"):
        op.drop_column(table, "attempt")
    op.drop_table("attempt")
