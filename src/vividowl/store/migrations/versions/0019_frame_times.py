"""Logs of frame times, kept beside the log of sensors."""

import sqlalchemy as sa
from alembic import op

revision = "0019"
down_revision = "0018"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "frame_file",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("run_id", sa.Uuid(), nullable=False),
        sa.Column("sha256", sa.String(64), nullable=False),
        sa.Column("file_name", sa.String(200), nullable=False),
        sa.Column("size_bytes", sa.Integer(), nullable=False),
        sa.Column("frames", sa.Integer(), nullable=False),
        sa.Column("duration_s", sa.Double(), nullable=False),
        sa.Column("rate_per_s", sa.Double(), nullable=False),
        sa.Column("slow_rate_per_s", sa.Double()),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("uploaded_by", sa.Uuid(), nullable=False),
        sa.Column("removed_at", sa.DateTime(timezone=True)),
        sa.PrimaryKeyConstraint("id", name="pk_frame_file"),
        sa.ForeignKeyConstraint(
            ["shop_id", "run_id"],
            ["run.shop_id", "run.id"],
            name="fk_frame_file_shop_id_run_id_run",
            ondelete="CASCADE",
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "uploaded_by"],
            ["member.shop_id", "member.id"],
            name="fk_frame_file_shop_id_uploaded_by_member",
        ),
        sa.CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name="ck_frame_file_sha256"),
        sa.CheckConstraint("frames > 0 AND duration_s > 0 AND rate_per_s > 0", name="ck_frame_file_frames"),
        sa.CheckConstraint("slow_rate_per_s > 0", name="ck_frame_file_slow_rate_per_s"),
    )
    op.create_index("ix_frame_file_run_id", "frame_file", ["run_id"])


def downgrade() -> None:
    op.drop_table("frame_file")
