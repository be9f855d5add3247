"""The power limit that processor and graphics share, noted with the device."""

import sqlalchemy as sa
from alembic import op

revision = "0028"
down_revision = "0027"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("device", sa.Column("power_limit_both_w", sa.Double()))
    op.create_check_constraint("power_limit_both_w", "device", "power_limit_both_w > 0")


def downgrade() -> None:
    op.drop_column("device", "power_limit_both_w")
