"""Alembic's entry: migrations run on the engine that the application hands over."""

from alembic import context

from orthopsis.store.models import Base

engine = context.config.attributes["engine"]
with engine.connect() as connection:
    context.configure(connection=connection, target_metadata=Base.metadata)
    with context.begin_transaction():
        context.run_migrations()
