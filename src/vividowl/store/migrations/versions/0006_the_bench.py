"""The bench: its events, photos, and what the shop keeps of a model."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0006"
down_revision = "0005"
branch_labels = None
depends_on = None

GUARD = """
CREATE FUNCTION bench_event_stands() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'bench events are never changed or deleted';
END $$;
CREATE TRIGGER bench_event_stands BEFORE UPDATE OR DELETE ON bench_event
  FOR EACH ROW EXECUTE FUNCTION bench_event_stands();
"""


def json(*, nullable: bool = False) -> postgresql.JSONB:
    return postgresql.JSONB(none_as_null=nullable, astext_type=sa.Text())


def upgrade() -> None:
    op.create_table(
        "bench_event",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("kind", sa.String(length=40), nullable=False),
        sa.Column("data", json(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("device", sa.String(length=60), nullable=False),
        sa.Column("turn", sa.Integer(), nullable=False),
        sa.Column("member_id", sa.Uuid(), nullable=False),
        sa.Column("refusal", json(nullable=True), nullable=True),
        sa.Column("effect", json(), nullable=False),
        sa.Column("received_at", sa.DateTime(timezone=True), nullable=False),
        sa.CheckConstraint("number > 0", name=op.f("ck_bench_event_number")),
        sa.CheckConstraint("turn > 0", name=op.f("ck_bench_event_turn")),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"], ["job.shop_id", "job.id"], name=op.f("fk_bench_event_shop_id_job_id_job")
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "member_id"],
            ["member.shop_id", "member.id"],
            name=op.f("fk_bench_event_shop_id_member_id_member"),
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_bench_event")),
        sa.UniqueConstraint("job_id", "device", "turn", name=op.f("uq_bench_event_job_id_device_turn")),
        sa.UniqueConstraint("job_id", "number", name=op.f("uq_bench_event_job_id_number")),
    )
    op.create_index("ix_bench_event_shop_id_member_id_at", "bench_event", ["shop_id", "member_id", "at"])
    op.execute(GUARD)
    op.create_table(
        "photo",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=True),
        sa.Column("sha256", sa.String(length=64), nullable=False),
        sa.Column("width_px", sa.Integer(), nullable=False),
        sa.Column("height_px", sa.Integer(), nullable=False),
        sa.Column("size_bytes", sa.Integer(), nullable=False),
        sa.Column("uploaded_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("uploaded_by", sa.Uuid(), nullable=False),
        sa.CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name=op.f("ck_photo_sha256")),
        sa.CheckConstraint("width_px > 0 AND height_px > 0", name=op.f("ck_photo_size_px")),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"], ["job.shop_id", "job.id"], name=op.f("fk_photo_shop_id_job_id_job")
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "uploaded_by"],
            ["member.shop_id", "member.id"],
            name=op.f("fk_photo_shop_id_uploaded_by_member"),
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_photo")),
        sa.UniqueConstraint("shop_id", "id", name=op.f("uq_photo_shop_id_id")),
    )
    op.create_index("ix_photo_job_id", "photo", ["job_id"])
    op.create_table(
        "device_model",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("maker", sa.String(length=80), nullable=False),
        sa.Column("model", sa.String(length=120), nullable=False),
        sa.Column("kind", sa.String(length=20), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.Column("data", json(), nullable=False),
        sa.Column("outline_photo", sa.Uuid(), nullable=True),
        sa.Column("source", sa.String(length=120), nullable=False),
        sa.Column("updated_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("updated_by", sa.Uuid(), nullable=False),
        sa.CheckConstraint("kind IN ('laptop', 'console', 'handheld', 'other')", name=op.f("ck_device_model_kind")),
        sa.ForeignKeyConstraint(
            ["shop_id", "outline_photo"],
            ["photo.shop_id", "photo.id"],
            name=op.f("fk_device_model_shop_id_outline_photo_photo"),
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "updated_by"],
            ["member.shop_id", "member.id"],
            name=op.f("fk_device_model_shop_id_updated_by_member"),
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_device_model")),
        sa.UniqueConstraint("shop_id", "maker", "model", name=op.f("uq_device_model_shop_id_maker_model")),
    )
    op.add_column("job", sa.Column("bench", json(), server_default="{}", nullable=False))
    op.alter_column("job", "bench", server_default=None)


def downgrade() -> None:
    op.drop_column("job", "bench")
    op.drop_table("device_model")
    op.drop_table("photo")
    op.drop_table("bench_event")
    op.execute("DROP FUNCTION bench_event_stands()")
