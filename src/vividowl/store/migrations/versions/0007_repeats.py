"""Whether a log was given as a repeat: until now each further log kept of a run was taken for one."""

import sqlalchemy as sa
from alembic import op

revision = "0007"
down_revision = "0006"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("trace_file", sa.Column("is_repeat", sa.Boolean(), server_default=sa.false(), nullable=False))
    op.execute(
        "UPDATE trace_file SET is_repeat = true WHERE removed_at IS NULL AND EXISTS ("
        "SELECT 1 FROM trace_file first WHERE first.run_id = trace_file.run_id AND first.removed_at IS NULL "
        "AND (first.uploaded_at, first.id) < (trace_file.uploaded_at, trace_file.id))"
    )
    op.alter_column("trace_file", "is_repeat", server_default=None)


def downgrade() -> None:
    op.drop_column("trace_file", "is_repeat")
