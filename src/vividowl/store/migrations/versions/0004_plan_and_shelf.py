"""Plans, products, lots, every gram that left them, cut sheets and offcuts."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0004"
down_revision = "0003"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "product",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.Column("kind", sa.String(length=40), nullable=False),
        sa.Column("name", sa.String(length=80), nullable=False),
        sa.Column("unit", sa.String(length=10), nullable=False),
        sa.Column("own", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("price_cents", sa.Integer(), nullable=True),
        sa.Column("low_at", sa.Double(), nullable=True),
        sa.Column("sheet_width_mm", sa.Double(), nullable=True),
        sa.Column("sheet_length_mm", sa.Double(), nullable=True),
        sa.Column("thickness_mm", sa.Double(), nullable=True),
        sa.Column("removed_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.CheckConstraint("unit <> 'sheet' OR sheet_width_mm IS NOT NULL", name="ck_product_sheet_has_size"),
        sa.CheckConstraint("unit IN ('g', 'mL', 'sheet', 'piece')", name="ck_product_unit"),
        sa.CheckConstraint("low_at >= 0", name="ck_product_low_at"),
        sa.CheckConstraint("price_cents >= 0", name="ck_product_price_cents"),
        sa.CheckConstraint("sheet_width_mm > 0 AND sheet_length_mm > 0", name="ck_product_sheet_mm"),
        sa.CheckConstraint("thickness_mm > 0", name="ck_product_thickness_mm"),
        sa.ForeignKeyConstraint(["shop_id"], ["shop.id"], name="fk_product_shop_id_shop"),
        sa.PrimaryKeyConstraint("id", name="pk_product"),
        sa.UniqueConstraint("shop_id", "id", name="uq_product_shop_id_id"),
        sa.UniqueConstraint("shop_id", "name", name="uq_product_shop_id_name"),
    )
    op.create_table(
        "lot",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("product_id", sa.Uuid(), nullable=False),
        sa.Column("code", sa.String(length=60), nullable=False),
        sa.Column("received_on", sa.Date(), nullable=False),
        sa.Column("opened_on", sa.Date(), nullable=True),
        sa.Column("expires_on", sa.Date(), nullable=True),
        sa.Column("held", sa.Double(), nullable=False),
        sa.Column("remaining", sa.Double(), nullable=False),
        sa.Column("removed_at", sa.DateTime(timezone=True), nullable=True),
        sa.CheckConstraint("held > 0", name="ck_lot_held"),
        sa.CheckConstraint("remaining >= 0", name="ck_lot_remaining"),
        sa.ForeignKeyConstraint(
            ["shop_id", "product_id"], ["product.shop_id", "product.id"], name="fk_lot_shop_id_product_id_product"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_lot"),
        sa.UniqueConstraint("product_id", "code", name="uq_lot_product_id_code"),
        sa.UniqueConstraint("shop_id", "id", name="uq_lot_shop_id_id"),
    )
    op.create_index("ix_lot_product_id", "lot", ["product_id"], unique=False)
    op.create_table(
        "cut_sheet",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("product_id", sa.Uuid(), nullable=False),
        sa.Column("kerf_mm", sa.Double(), nullable=False),
        sa.Column("pieces", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("sheets", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("placements", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("waste_share", sa.Double(), nullable=False),
        sa.Column("member_id", sa.Uuid(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("undone_at", sa.DateTime(timezone=True), nullable=True),
        sa.CheckConstraint("kerf_mm >= 0", name="ck_cut_sheet_kerf_mm"),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"], ["job.shop_id", "job.id"], name="fk_cut_sheet_shop_id_job_id_job"
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "member_id"], ["member.shop_id", "member.id"], name="fk_cut_sheet_shop_id_member_id_member"
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "product_id"], ["product.shop_id", "product.id"], name="fk_cut_sheet_shop_id_product_id_product"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_cut_sheet"),
        sa.UniqueConstraint("shop_id", "id", name="uq_cut_sheet_shop_id_id"),
    )
    op.create_index("ix_cut_sheet_job_id", "cut_sheet", ["job_id"], unique=False)
    op.create_table(
        "plan",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.Column("findings", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("goal", sa.String(length=20), nullable=False),
        sa.Column("chosen", postgresql.JSONB(astext_type=sa.Text()), nullable=True),
        sa.Column("chosen_by", sa.Uuid(), nullable=True),
        sa.Column("chosen_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("outcome", postgresql.JSONB(astext_type=sa.Text()), nullable=True),
        sa.Column("notes", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("updated_at", sa.DateTime(timezone=True), nullable=False),
        sa.CheckConstraint("goal IN ('cooler', 'quieter', 'faster', 'cheaper', 'longest_rest')", name="ck_plan_goal"),
        sa.CheckConstraint("(chosen IS NULL) = (chosen_at IS NULL)", name="ck_plan_chosen"),
        sa.ForeignKeyConstraint(
            ["shop_id", "chosen_by"], ["member.shop_id", "member.id"], name="fk_plan_shop_id_chosen_by_member"
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"], ["job.shop_id", "job.id"], name="fk_plan_shop_id_job_id_job", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_plan"),
        sa.UniqueConstraint("job_id", name="uq_plan_job_id"),
    )
    op.create_table(
        "stock_move",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("lot_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=True),
        sa.Column("amount", sa.Double(), nullable=False),
        sa.Column("remaining", sa.Double(), nullable=False),
        sa.Column("reason", sa.String(length=120), nullable=False),
        sa.Column("member_id", sa.Uuid(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.CheckConstraint("remaining >= 0", name="ck_stock_move_remaining"),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"], ["job.shop_id", "job.id"], name="fk_stock_move_shop_id_job_id_job"
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "lot_id"], ["lot.shop_id", "lot.id"], name="fk_stock_move_shop_id_lot_id_lot"
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "member_id"], ["member.shop_id", "member.id"], name="fk_stock_move_shop_id_member_id_member"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_stock_move"),
    )
    op.create_index("ix_stock_move_lot_id_at", "stock_move", ["lot_id", "at"], unique=False)
    op.create_table(
        "offcut",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("lot_id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("width_mm", sa.Double(), nullable=False),
        sa.Column("length_mm", sa.Double(), nullable=False),
        sa.Column("taken", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("largest", postgresql.JSONB(astext_type=sa.Text()), nullable=False),
        sa.Column("cut_from", sa.Uuid(), nullable=True),
        sa.Column("used_by", sa.Uuid(), nullable=True),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("removed_at", sa.DateTime(timezone=True), nullable=True),
        sa.CheckConstraint("width_mm > 0 AND length_mm > 0", name="ck_offcut_size_mm"),
        sa.ForeignKeyConstraint(
            ["shop_id", "cut_from"], ["cut_sheet.shop_id", "cut_sheet.id"], name="fk_offcut_shop_id_cut_from_cut_sheet"
        ),
        sa.ForeignKeyConstraint(["shop_id", "lot_id"], ["lot.shop_id", "lot.id"], name="fk_offcut_shop_id_lot_id_lot"),
        sa.ForeignKeyConstraint(
            ["shop_id", "used_by"], ["cut_sheet.shop_id", "cut_sheet.id"], name="fk_offcut_shop_id_used_by_cut_sheet"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_offcut"),
        sa.UniqueConstraint("shop_id", "id", name="uq_offcut_shop_id_id"),
        sa.UniqueConstraint("shop_id", "number", name="uq_offcut_shop_id_number"),
    )
    op.create_index("ix_offcut_lot_id", "offcut", ["lot_id"], unique=False)
    op.add_column("fit_item", sa.Column("lot_id", sa.Uuid(), nullable=True))
    op.create_foreign_key("fk_fit_item_shop_id_lot_id_lot", "fit_item", "lot", ["shop_id", "lot_id"], ["shop_id", "id"])


def downgrade() -> None:
    op.drop_constraint("fk_fit_item_shop_id_lot_id_lot", "fit_item", type_="foreignkey")
    op.drop_column("fit_item", "lot_id")
    op.drop_index("ix_offcut_lot_id", table_name="offcut")
    op.drop_table("offcut")
    op.drop_index("ix_stock_move_lot_id_at", table_name="stock_move")
    op.drop_table("stock_move")
    op.drop_table("plan")
    op.drop_index("ix_cut_sheet_job_id", table_name="cut_sheet")
    op.drop_table("cut_sheet")
    op.drop_index("ix_lot_product_id", table_name="lot")
    op.drop_table("lot")
    op.drop_table("product")
