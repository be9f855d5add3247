"""Where a device is used and whether it has a fan are asked at intake, no longer read out of free text."""

import sqlalchemy as sa
from alembic import op

revision = "0013"
down_revision = "0012"
branch_labels = None
depends_on = None

ALLOWED = {"place": "'unknown', 'desk', 'stand', 'dock', 'lap', 'hand'", "fan": "'unknown', 'yes', 'no'"}


def upgrade() -> None:
    for name, allowed in ALLOWED.items():
        op.add_column("job", sa.Column(name, sa.String(10), server_default="unknown", nullable=False))
        op.alter_column("job", name, server_default=None)
        op.execute(f"ALTER TABLE job ADD CONSTRAINT ck_job_{name} CHECK ({name} IN ({allowed})) NOT VALID")
        op.execute(f"ALTER TABLE job VALIDATE CONSTRAINT ck_job_{name}")
    # What was written before, as whole words: a stand for laptops is no lap.
    found = sa.text("UPDATE job SET place = :place WHERE place = 'unknown' AND lives ~* ('\\m' || :place || '\\M')")
    for place in ("stand", "dock", "lap", "hand"):
        op.get_bind().execute(found, {"place": place})
    op.execute(
        "UPDATE job SET fan = 'no' FROM run WHERE run.job_id = job.id AND run.side = 'before' "
        "AND run.fan_setting ILIKE '%no fan%'"
    )


def downgrade() -> None:
    for name in ALLOWED:
        op.drop_constraint(f"ck_job_{name}", "job")
        op.drop_column("job", name)
