"""Sessions live on the server: signing out ends one, whoever holds a copy of its cookie."""

import sqlalchemy as sa
from alembic import op

revision = "0010"
down_revision = "0009"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "sign_in",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("member_id", sa.Uuid(), nullable=False),
        sa.Column("agent", sa.String(200), nullable=False),
        sa.Column("began_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("seen_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("ended_at", sa.DateTime(timezone=True)),
        sa.ForeignKeyConstraint(["shop_id", "member_id"], ["member.shop_id", "member.id"], ondelete="CASCADE"),
    )
    op.create_index("ix_sign_in_member_id", "sign_in", ["member_id"])
    op.drop_column("member", "session_epoch")


def downgrade() -> None:
    op.add_column("member", sa.Column("session_epoch", sa.Integer(), server_default="0", nullable=False))
    op.alter_column("member", "session_epoch", server_default=None)
    op.drop_table("sign_in")
