"""Stored events of the bench carry a version, and what the rules of their day made of them."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0012"
down_revision = "0011"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("bench_event", sa.Column("version", sa.SmallInteger(), server_default="1", nullable=False))
    op.alter_column("bench_event", "version", server_default=None)
    op.add_column("bench_event", sa.Column("made", JSONB(), server_default="{}", nullable=False))
    op.alter_column("bench_event", "made", server_default=None)
    op.execute("ALTER TABLE bench_event ADD CONSTRAINT ck_bench_event_version CHECK (version > 0) NOT VALID")
    op.execute("ALTER TABLE bench_event VALIDATE CONSTRAINT ck_bench_event_version")


def downgrade() -> None:
    op.drop_constraint("ck_bench_event_version", "bench_event")
    for column in ("made", "version"):
        op.drop_column("bench_event", column)
