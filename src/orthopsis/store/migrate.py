"""Bring the database to the newest shape."""

from pathlib import Path

from alembic import command
from alembic.config import Config
from sqlalchemy import Engine

_MIGRATIONS = Path(__file__).parent / "migrations"


def migration_config(engine: Engine) -> Config:
    """Return the settings for Alembic, with the engine's connection."""
    config = Config()
    config.set_main_option("script_location", str(_MIGRATIONS))
    config.attributes["engine"] = engine
    return config


def migrate(engine: Engine) -> None:
    """Carry out every migration that this database has not had."""
    command.upgrade(migration_config(engine), "head")
