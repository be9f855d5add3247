"""The counter: what came along and was signed for, photos of the condition, and quotes."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0024"
down_revision = "0023"
branch_labels = None
depends_on = None
JSON = postgresql.JSONB


def _job(table: str) -> sa.Constraint:
    return sa.ForeignKeyConstraint(
        ["shop_id", "job_id"], ["job.shop_id", "job.id"], name=f"fk_{table}_shop_id_job_id_job", ondelete="CASCADE"
    )


def _own(table: str) -> list[sa.Column[object]]:
    return [
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
    ]


def upgrade() -> None:
    op.create_table(
        "counter_sheet",
        *_own("counter_sheet"),
        sa.Column("accessories", sa.String(1000), nullable=False),
        sa.Column("passcode", sa.String(20), nullable=False),
        sa.Column("limit_cents", sa.Integer()),
        sa.Column("limits", sa.String(1000), nullable=False),
        sa.Column("pick_up_at", sa.DateTime(timezone=True)),
        sa.Column("consent", JSON()),
        sa.Column("picked_up", JSON()),
        sa.Column("updated_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_counter_sheet"),
        sa.UniqueConstraint("job_id", name="uq_counter_sheet_job_id"),
        _job("counter_sheet"),
        sa.CheckConstraint(
            "passcode IN ('not_asked', 'typed_by_owner', 'kept_apart')", name="ck_counter_sheet_passcode"
        ),
        sa.CheckConstraint("limit_cents >= 0", name="ck_counter_sheet_limit_cents"),
    )
    op.create_table(
        "condition_photo",
        *_own("condition_photo"),
        sa.Column("photo_id", sa.Uuid(), nullable=False),
        sa.Column("place", sa.String(20), nullable=False),
        sa.Column("marks", JSON(), nullable=False),
        sa.Column("note", sa.String(400), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("removed_at", sa.DateTime(timezone=True)),
        sa.PrimaryKeyConstraint("id", name="pk_condition_photo"),
        sa.UniqueConstraint("job_id", "photo_id", name="uq_condition_photo_job_id_photo_id"),
        _job("condition_photo"),
        sa.ForeignKeyConstraint(
            ["shop_id", "photo_id"], ["photo.shop_id", "photo.id"], name="fk_condition_photo_shop_id_photo_id_photo"
        ),
        sa.CheckConstraint(
            "place IN ('lid', 'screen', 'keyboard', 'underside', 'edges', 'ports', 'other')",
            name="ck_condition_photo_place",
        ),
    )
    op.create_index("ix_condition_photo_job_id", "condition_photo", ["job_id"])
    op.create_table(
        "quote",
        *_own("quote"),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("made_by", sa.Uuid(), nullable=False),
        sa.Column("good_until", sa.Date(), nullable=False),
        sa.Column("content", JSON(), nullable=False),
        sa.Column("answer", sa.String(200)),
        sa.Column("answered_at", sa.DateTime(timezone=True)),
        sa.Column("words", sa.String(1000), nullable=False),
        sa.Column("withdrawn_at", sa.DateTime(timezone=True)),
        sa.PrimaryKeyConstraint("id", name="pk_quote"),
        sa.UniqueConstraint("job_id", "number", name="uq_quote_job_id_number"),
        _job("quote"),
        sa.ForeignKeyConstraint(
            ["shop_id", "made_by"], ["member.shop_id", "member.id"], name="fk_quote_shop_id_made_by_member"
        ),
        sa.CheckConstraint("number > 0", name="ck_quote_number"),
        sa.CheckConstraint("(answer IS NULL) = (answered_at IS NULL)", name="ck_quote_answer"),
    )


def downgrade() -> None:
    op.drop_table("quote")
    op.drop_table("condition_photo")
    op.drop_table("counter_sheet")
