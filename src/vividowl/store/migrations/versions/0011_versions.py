"""Settings of a shop and what is left of a lot carry a version, so that nobody writes over a colleague."""

import sqlalchemy as sa
from alembic import op

revision = "0011"
down_revision = "0010"
branch_labels = None
depends_on = None


def upgrade() -> None:
    for table in ("shop", "lot"):
        op.add_column(table, sa.Column("version", sa.Integer(), server_default="0", nullable=False))
        op.alter_column(table, "version", server_default=None)


def downgrade() -> None:
    for table in ("lot", "shop"):
        op.drop_column(table, "version")
