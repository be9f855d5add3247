"""Tax, the shop's own ways, and its own values of the kinds of material."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0005"
down_revision = "0004"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("shop", sa.Column("tax_percent", sa.Double(), server_default="0", nullable=False))
    for name in ("habits", "catalogue"):
        kind = postgresql.JSONB(astext_type=sa.Text())
        op.add_column("shop", sa.Column(name, kind, server_default="{}", nullable=False))
    op.create_check_constraint(op.f("ck_shop_tax_percent"), "shop", "tax_percent BETWEEN 0 AND 40")
    # What is new is told by the application; the default was only for the shops that were there.
    for name in ("tax_percent", "habits", "catalogue"):
        op.alter_column("shop", name, server_default=None)


def downgrade() -> None:
    op.drop_constraint(op.f("ck_shop_tax_percent"), "shop")
    for name in ("catalogue", "habits", "tax_percent"):
        op.drop_column("shop", name)
