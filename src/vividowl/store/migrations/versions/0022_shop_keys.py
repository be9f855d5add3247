"""Keys of a shop: what it signs its records with. A key is retired for a newer one, or withdrawn; none is ever lost."""

import sqlalchemy as sa
from alembic import op

revision = "0022"
down_revision = "0021"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "shop_key",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("fingerprint", sa.String(64), nullable=False),
        sa.Column("private_key", sa.LargeBinary(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("retired_at", sa.DateTime(timezone=True)),
        sa.Column("withdrawn_at", sa.DateTime(timezone=True)),
        sa.PrimaryKeyConstraint("id", name="pk_shop_key"),
        sa.ForeignKeyConstraint(["shop_id"], ["shop.id"], name="fk_shop_key_shop_id_shop", ondelete="CASCADE"),
        sa.UniqueConstraint("fingerprint", name="uq_shop_key_fingerprint"),
        sa.CheckConstraint("fingerprint ~ '^[0-9a-f]{64}$'", name="ck_shop_key_fingerprint"),
        sa.CheckConstraint("octet_length(private_key) = 32", name="ck_shop_key_private_key"),
    )
    # One key signs at a time.
    op.create_index(
        "uq_shop_key_shop_id_signs",
        "shop_key",
        ["shop_id"],
        unique=True,
        postgresql_where=sa.text("retired_at IS NULL AND withdrawn_at IS NULL"),
    )


def downgrade() -> None:
    op.drop_table("shop_key")
