"""What inspection found is called that, as everywhere else."""

from alembic import op

revision = "0015"
down_revision = "0014"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.alter_column("plan", "findings", new_column_name="inspection")


def downgrade() -> None:
    op.alter_column("plan", "inspection", new_column_name="findings")
