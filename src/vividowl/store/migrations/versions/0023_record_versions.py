"""Versions of the record of a closed job, links of customers, and the language that a job's customer reads."""

import sqlalchemy as sa
from alembic import op

revision = "0023"
down_revision = "0022"
branch_labels = None
depends_on = None


def _of_job(table: str) -> list[sa.Constraint]:
    return [
        sa.PrimaryKeyConstraint("id", name=f"pk_{table}"),
        sa.ForeignKeyConstraint(
            ["shop_id", "job_id"], ["job.shop_id", "job.id"], name=f"fk_{table}_shop_id_job_id_job", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["shop_id", "made_by"], ["member.shop_id", "member.id"], name=f"fk_{table}_shop_id_made_by_member"
        ),
    ]


def upgrade() -> None:
    op.create_table(
        "record_version",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("why", sa.String(400), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("made_by", sa.Uuid(), nullable=False),
        sa.Column("record", sa.LargeBinary(), nullable=False),
        sa.Column("pdf", sa.LargeBinary(), nullable=False),
        sa.Column("manifest", sa.LargeBinary(), nullable=False),
        sa.Column("signature", sa.LargeBinary(), nullable=False),
        sa.Column("key_id", sa.Uuid(), nullable=False),
        sa.Column("sources", sa.dialects.postgresql.JSONB(), nullable=False),
        *_of_job("record_version"),
        sa.ForeignKeyConstraint(["key_id"], ["shop_key.id"], name="fk_record_version_key_id_shop_key"),
        sa.UniqueConstraint("job_id", "number", name="uq_record_version_job_id_number"),
        sa.CheckConstraint("number > 0", name="ck_record_version_number"),
        sa.CheckConstraint("octet_length(signature) = 64", name="ck_record_version_signature"),
    )
    op.execute(
        "CREATE TRIGGER record_version_stands BEFORE UPDATE ON record_version "
        "FOR EACH ROW EXECUTE FUNCTION row_stands()"
    )
    op.create_table(
        "customer_link",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("job_id", sa.Uuid(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("made_by", sa.Uuid(), nullable=False),
        sa.Column("expires_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("withdrawn_at", sa.DateTime(timezone=True)),
        sa.Column("views", sa.Integer(), nullable=False),
        *_of_job("customer_link"),
        sa.CheckConstraint("views >= 0", name="ck_customer_link_views"),
        sa.CheckConstraint("expires_at > made_at", name="ck_customer_link_expires_at"),
    )
    op.create_index("ix_customer_link_job_id", "customer_link", ["job_id"])
    op.add_column("job", sa.Column("language", sa.String(2), nullable=False, server_default="en"))
    op.alter_column("job", "language", server_default=None)
    op.create_check_constraint("ck_job_language", "job", "language ~ '^[a-z]{2}$'")


def downgrade() -> None:
    op.drop_column("job", "language")
    op.drop_table("customer_link")
    op.drop_table("record_version")
