"""Counters that all processes share. What they hold may be lost with a crash, so they are not written ahead."""

import sqlalchemy as sa
from alembic import op

revision = "0029"
down_revision = "0028"
branch_labels = None
depends_on = None


def upgrade() -> None:
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
