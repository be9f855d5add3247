"""Past jobs come in from lists, and customers can be forgotten."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0026"
down_revision = "0025"
branch_labels = None
depends_on = None
JSON = postgresql.JSONB


def upgrade() -> None:
    op.create_table(
        "past_import",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("file_name", sa.String(200), nullable=False),
        sa.Column("sha256", sa.String(64), nullable=False),
        sa.Column("size_bytes", sa.Integer(), nullable=False),
        sa.Column("said", JSON(), nullable=False),
        sa.Column("state", sa.String(10), nullable=False),
        sa.Column("counts", JSON()),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("made_by", sa.Uuid(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True)),
        sa.Column("undone_at", sa.DateTime(timezone=True)),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_past_import"),
        sa.UniqueConstraint("shop_id", "id", name="uq_past_import_shop_id_id"),
        sa.ForeignKeyConstraint(
            ["shop_id", "made_by"], ["member.shop_id", "member.id"], name="fk_past_import_shop_id_made_by_member"
        ),
        sa.CheckConstraint("state IN ('draft', 'taken', 'undone')", name="ck_past_import_state"),
        sa.CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name="ck_past_import_sha256"),
        sa.CheckConstraint("(state = 'draft') = (taken_at IS NULL)", name="ck_past_import_taken_at"),
    )
    op.add_column("job", sa.Column("import_id", sa.Uuid()))
    op.add_column("job", sa.Column("past", JSON()))
    op.create_check_constraint(op.f("ck_job_past"), "job", "(import_id IS NULL) = (past IS NULL)")
    op.create_foreign_key(
        "fk_job_shop_id_import_id_past_import", "job", "past_import", ["shop_id", "import_id"], ["shop_id", "id"]
    )
    op.create_index("ix_job_import_id", "job", ["import_id"], postgresql_where=sa.text("import_id IS NOT NULL"))
    # Asked when jobs and customers go, and when moves of some jobs are told.
    op.create_index("ix_job_customer_id", "job", ["customer_id"])
    op.create_index("ix_stock_move_job_id", "stock_move", ["job_id"])
    op.add_column("customer", sa.Column("erased_at", sa.DateTime(timezone=True)))


def downgrade() -> None:
    op.drop_column("customer", "erased_at")
    op.drop_index("ix_stock_move_job_id", "stock_move")
    op.drop_index("ix_job_customer_id", "job")
    op.drop_index("ix_job_import_id", "job")
    op.drop_constraint("fk_job_shop_id_import_id_past_import", "job")
    op.drop_constraint(op.f("ck_job_past"), "job")
    op.drop_column("job", "past")
    op.drop_column("job", "import_id")
    op.drop_table("past_import")
