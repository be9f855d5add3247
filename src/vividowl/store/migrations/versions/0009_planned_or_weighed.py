"""Whether an amount that was fitted is what was planned, what was weighed, or what somebody typed."""

import sqlalchemy as sa
from alembic import op

revision = "0009"
down_revision = "0008"
branch_labels = None
depends_on = None


def upgrade() -> None:
    # Of what stands there already nobody knows whether it was weighed: it counts as planned.
    op.add_column("fit_item", sa.Column("amount_is", sa.String(10), server_default="planned", nullable=False))
    op.alter_column("fit_item", "amount_is", server_default=None)
    op.create_check_constraint("amount_is", "fit_item", "amount_is IN ('planned', 'weighed', 'typed')")


def downgrade() -> None:
    op.drop_column("fit_item", "amount_is")
