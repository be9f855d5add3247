"""Limits of the sensors beside the deciding die, noted with the device."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0027"
down_revision = "0026"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("device", sa.Column("sensor_limits", JSONB(), nullable=False, server_default="{}"))


def downgrade() -> None:
    op.drop_column("device", "sensor_limits")
