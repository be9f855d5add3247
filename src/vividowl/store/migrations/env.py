"""Alembic runs on the connection it is handed."""

from alembic import context

from vividowl.store.base import Base

context.configure(connection=context.config.attributes["connection"], target_metadata=Base.metadata)
with context.begin_transaction():
    context.run_migrations()
