"""Tablets: a session that was paired, by a code that is good once."""

import sqlalchemy as sa
from alembic import op

revision = "0020"
down_revision = "0019"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("sign_in", sa.Column("pairing", sa.Uuid()))
    op.create_unique_constraint("uq_sign_in_pairing", "sign_in", ["pairing"])


def downgrade() -> None:
    op.drop_constraint("uq_sign_in_pairing", "sign_in")
    op.drop_column("sign_in", "pairing")
