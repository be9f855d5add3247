"""Counters that all processes share, which may be lost with a crash and are not written ahead; and the rules that made
the figures of a run."""

import sqlalchemy as sa
from alembic import op

revision = "0029"
down_revision = "0028"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("run", sa.Column("rules_version", sa.Integer(), server_default="0", nullable=False))
    op.create_table(
        "attempts_counted",
        sa.Column("key", sa.String(), primary_key=True),
        sa.Column("count", sa.Integer(), nullable=False),
        sa.Column("until", sa.DateTime(timezone=True), nullable=False),
        prefixes=["UNLOGGED"],
    )
    op.create_table(
        "progress",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("done", sa.Integer(), nullable=False),
        sa.Column("total", sa.Integer(), nullable=False),
        prefixes=["UNLOGGED"],
    )


def downgrade() -> None:
    op.drop_table("progress")
    op.drop_table("attempts_counted")
    op.drop_column("run", "rules_version")
