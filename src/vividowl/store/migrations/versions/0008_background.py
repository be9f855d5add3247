"""Recordings of the room alone, which are taken out of the others."""

import sqlalchemy as sa
from alembic import op

revision = "0008"
down_revision = "0007"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("sound_file", sa.Column("is_background", sa.Boolean(), server_default=sa.false(), nullable=False))
    op.alter_column("sound_file", "is_background", server_default=None)


def downgrade() -> None:
    op.drop_column("sound_file", "is_background")
