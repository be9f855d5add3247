"""A device is a row of its own, with its visits.

What was one device of two visits nobody can tell from the rows: each job gets a device of its own, and the page of
devices asks the owner which are the same.
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0016"
down_revision = "0015"
branch_labels = None
depends_on = None

ANSWERS = "'unknown', 'yes', 'no'"
MOVED = ("kind", "maker", "model", "fan", "factory_interface", "power_limit_cpu_w", "power_limit_gpu_w", "limit_c")
CHECKS = (
    ("kind", "kind IN ('laptop', 'console', 'handheld', 'other')"),
    ("fan", f"fan IN ({ANSWERS})"),
    ("power_limits_w", "power_limit_cpu_w > 0 AND power_limit_gpu_w > 0"),
    ("limit_c", "limit_c BETWEEN 40 AND 150"),
)


def upgrade() -> None:
    op.create_table(
        "device",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("customer_id", sa.Uuid(), nullable=False),
        sa.Column("kind", sa.String(20), nullable=False),
        sa.Column("maker", sa.String(80), nullable=False),
        sa.Column("model", sa.String(120), nullable=False),
        sa.Column("serial", sa.String(80), nullable=False),
        sa.Column("tag", sa.String(80), nullable=False),
        sa.Column("fan", sa.String(10), nullable=False),
        sa.Column("lidded", sa.String(10), nullable=False),
        sa.Column("factory_interface", sa.String(80), nullable=False),
        sa.Column("power_limit_cpu_w", sa.Float()),
        sa.Column("power_limit_gpu_w", sa.Float()),
        sa.Column("limit_c", sa.Float()),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("version", sa.Integer(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_device"),
        sa.UniqueConstraint("shop_id", "id", name="uq_device_shop_id_id"),
        sa.ForeignKeyConstraint(["shop_id"], ["shop.id"], name="fk_device_shop_id_shop"),
        sa.ForeignKeyConstraint(
            ["shop_id", "customer_id"],
            ["customer.shop_id", "customer.id"],
            name="fk_device_shop_id_customer_id_customer",
        ),
        *(sa.CheckConstraint(rule, name=f"ck_device_{name}") for name, rule in CHECKS),
        sa.CheckConstraint(f"lidded IN ({ANSWERS})", name="ck_device_lidded"),
    )
    op.create_index("ix_device_shop_id_customer_id", "device", ["shop_id", "customer_id"])
    op.create_index(
        "ix_device_shop_id_serial", "device", ["shop_id", "serial"], postgresql_where=sa.text("serial <> ''")
    )
    op.create_table(
        "device_change",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("shop_id", sa.Uuid(), nullable=False),
        sa.Column("from_device_id", sa.Uuid(), nullable=False),
        sa.Column("to_device_id", sa.Uuid(), nullable=False),
        sa.Column("moved", JSONB(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("by", sa.Uuid(), nullable=False),
        sa.Column("undone_at", sa.DateTime(timezone=True)),
        sa.PrimaryKeyConstraint("id", name="pk_device_change"),
        sa.UniqueConstraint("shop_id", "id", name="uq_device_change_shop_id_id"),
        sa.ForeignKeyConstraint(["shop_id"], ["shop.id"], name="fk_device_change_shop_id_shop"),
        *(
            sa.ForeignKeyConstraint(
                ["shop_id", column],
                [f"{table}.shop_id", f"{table}.id"],
                name=f"fk_device_change_shop_id_{column}_{table}",
            )
            for column, table in (("from_device_id", "device"), ("to_device_id", "device"), ("by", "member"))
        ),
    )
    op.create_index("ix_device_change_to_device_id", "device_change", ["to_device_id"])
    # The job's own id serves: one device a job.
    op.execute(
        "INSERT INTO device (id, shop_id, customer_id, serial, tag, lidded, created_at, version, kind, maker, model, "
        "fan, factory_interface, power_limit_cpu_w, power_limit_gpu_w, limit_c) "
        "SELECT id, shop_id, customer_id, '', '', 'unknown', created_at, 1, kind, maker, model, fan, "
        "factory_interface, power_limit_cpu_w, power_limit_gpu_w, limit_c FROM job"
    )
    op.add_column("job", sa.Column("device_id", sa.Uuid()))
    op.add_column("job", sa.Column("done_on", sa.Date()))
    op.execute("UPDATE job SET device_id = id")
    op.alter_column("job", "device_id", nullable=False)
    op.create_foreign_key(
        "fk_job_shop_id_device_id_device", "job", "device", ["shop_id", "device_id"], ["shop_id", "id"]
    )
    op.create_index("ix_job_device_id", "job", ["device_id"])
    for name, _ in CHECKS:
        op.drop_constraint(f"ck_job_{name}", "job")
    for name in MOVED:
        op.drop_column("job", name)


def downgrade() -> None:
    types = {
        "kind": sa.String(20),
        "maker": sa.String(80),
        "model": sa.String(120),
        "fan": sa.String(10),
        "factory_interface": sa.String(80),
    }
    for name in MOVED:
        op.add_column("job", sa.Column(name, types.get(name, sa.Float())))
    op.execute(
        "UPDATE job SET kind = d.kind, maker = d.maker, model = d.model, fan = d.fan, "
        "factory_interface = d.factory_interface, power_limit_cpu_w = d.power_limit_cpu_w, "
        "power_limit_gpu_w = d.power_limit_gpu_w, limit_c = d.limit_c FROM device d WHERE d.id = job.device_id"
    )
    for name in types:
        op.alter_column("job", name, nullable=False)
    for name, rule in CHECKS:
        op.execute(f"ALTER TABLE job ADD CONSTRAINT ck_job_{name} CHECK ({rule}) NOT VALID")
        op.execute(f"ALTER TABLE job VALIDATE CONSTRAINT ck_job_{name}")
    op.drop_index("ix_job_device_id", "job")
    op.drop_constraint("fk_job_shop_id_device_id_device", "job")
    op.drop_column("job", "device_id")
    op.drop_column("job", "done_on")
    op.drop_table("device_change")
    op.drop_table("device")
