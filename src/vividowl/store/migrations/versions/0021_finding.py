"""Jobs are found by parts of words: one text of what a job is known by, kept by the database, with trigrams over it."""

import sqlalchemy as sa
from alembic import op

revision = "0021"
down_revision = "0020"
branch_labels = None
depends_on = None

# What people look for: the number, the device, its signs, the customer and how to reach them (the digits of a phone
# number also without blanks), the words of the symptom, what was fitted and of which lot.
TEXT = """
CREATE FUNCTION job_known_by(j job) RETURNS text LANGUAGE sql STABLE AS $$
  SELECT lower(concat_ws(' ', j.number, d.maker, d.model, d.serial, d.tag, c.name, c.contact,
    nullif(regexp_replace(c.contact, '[^0-9]', '', 'g'), ''), j.symptom,
    (SELECT string_agg(concat_ws(' ', f.product, f.lot), ' ') FROM fit_item f
      WHERE f.job_id = j.id AND f.removed_at IS NULL)))
  FROM device d, customer c WHERE d.id = j.device_id AND c.id = j.customer_id
$$
"""
OWN = """
CREATE FUNCTION job_known_by_own() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN NEW.known_by := coalesce(job_known_by(NEW), ''); RETURN NEW; END $$
"""
OTHER = """
CREATE FUNCTION job_known_by_{name}() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE job SET known_by = coalesce(job_known_by(job), '') WHERE {where};
  RETURN NULL;
END $$
"""
# A row of fit_item that goes with its job has no job any more to be known by.
OTHERS = {
    "customer": ("UPDATE OF name, contact", "customer_id = NEW.id"),
    "device": ("UPDATE OF maker, model, serial, tag", "device_id = NEW.id"),
    "fit_item": ("INSERT OR UPDATE OR DELETE", "id = coalesce(NEW.job_id, OLD.job_id)"),
}


def upgrade() -> None:
    op.execute("CREATE EXTENSION IF NOT EXISTS pg_trgm")
    op.add_column("job", sa.Column("known_by", sa.Text(), nullable=False, server_default=""))
    op.execute(TEXT)
    op.execute(OWN)
    op.execute(
        "CREATE TRIGGER known_by BEFORE INSERT OR UPDATE OF number, symptom, customer_id, device_id ON job "
        "FOR EACH ROW EXECUTE FUNCTION job_known_by_own()"
    )
    for name, (events, where) in OTHERS.items():
        op.execute(OTHER.format(name=name, where=where))
        op.execute(
            f"CREATE TRIGGER known_by AFTER {events} ON {name} FOR EACH ROW EXECUTE FUNCTION job_known_by_{name}()"
        )
    op.execute("UPDATE job SET known_by = coalesce(job_known_by(job), '')")
    op.create_index(
        "ix_job_known_by", "job", ["known_by"], postgresql_using="gin", postgresql_ops={"known_by": "gin_trgm_ops"}
    )
    op.create_index("ix_job_shop_id_created_at", "job", ["shop_id", sa.text("created_at DESC")])


def downgrade() -> None:
    op.drop_index("ix_job_shop_id_created_at", "job")
    op.drop_index("ix_job_known_by", "job")
    for name in OTHERS:
        op.execute(f"DROP TRIGGER known_by ON {name}")
        op.execute(f"DROP FUNCTION job_known_by_{name}()")
    op.execute("DROP TRIGGER known_by ON job")
    op.execute("DROP FUNCTION job_known_by_own()")
    op.execute("DROP FUNCTION job_known_by(job)")
    op.drop_column("job", "known_by")
