"""Moves of stock and acknowledgements stand as events do; kinds and targets are those of the catalogue."""

from alembic import op

revision = "0014"
down_revision = "0013"
branch_labels = None
depends_on = None

STANDING = ("stock_move", "acknowledgement")
KINDS = (
    "'paste_soft', 'paste_stiff', 'phase_change_sheet', 'phase_change_paste', 'gallium_alloy', 'pad', 'putty', "
    "'heat_glue', 'copper_shim'"
)
TARGETS = "'cpu_die', 'gpu_die', 'memory', 'regulators', 'inductors', 'cover', 'other'"
CHECKS = (("product", "kind", KINDS), ("fit_item", "kind", KINDS), ("fit_item", "target", TARGETS))


def upgrade() -> None:
    op.execute(
        "CREATE FUNCTION row_stands() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN "
        "RAISE EXCEPTION 'rows of % are never changed or deleted', TG_TABLE_NAME; END $$"
    )
    for table in STANDING:
        op.execute(
            f"CREATE TRIGGER {table}_stands BEFORE UPDATE OR DELETE ON {table} "
            "FOR EACH ROW EXECUTE FUNCTION row_stands()"
        )
    # Taken at once for what comes, and held against what is there without stopping those who write meanwhile.
    for table, column, allowed in CHECKS:
        op.execute(f"ALTER TABLE {table} ADD CONSTRAINT ck_{table}_{column} CHECK ({column} IN ({allowed})) NOT VALID")
    for table, column, _ in CHECKS:
        op.execute(f"ALTER TABLE {table} VALIDATE CONSTRAINT ck_{table}_{column}")


def downgrade() -> None:
    for table, column, _ in CHECKS:
        op.drop_constraint(f"ck_{table}_{column}", table)
    for table in STANDING:
        op.execute(f"DROP TRIGGER {table}_stands ON {table}")
    op.execute("DROP FUNCTION row_stands()")
