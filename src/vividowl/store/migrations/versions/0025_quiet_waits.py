"""Waits that somebody has seen or put off: their alarm is quiet on every tablet."""

import sqlalchemy as sa
from alembic import op

revision = "0025"
down_revision = "0024"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "quiet_wait",
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("wait_id", sa.String(80), nullable=False),
        sa.Column("until", sa.DateTime(timezone=True)),
        sa.PrimaryKeyConstraint("job_id", "wait_id", name="pk_quiet_wait"),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"],
            ["job.shop_id", "job.id"],
            name="fk_quiet_wait_shop_id_job_id_job",
            ondelete="CASCADE",
        ),
    )


def downgrade() -> None:
    op.drop_table("quiet_wait")
