"""The connection to MariaDB."""

from sqlalchemy import Engine, create_engine
from sqlalchemy.orm import Session, sessionmaker

Sessions = sessionmaker[Session]


def open_engine(url: str) -> Engine:
    """Return an engine that notices a database that went away, and never waits long for it."""
    return create_engine(
        url,
        pool_pre_ping=True,
        pool_recycle=1800,
        pool_size=8,
        max_overflow=16,
        pool_timeout=5,
        connect_args={"connect_timeout": 3, "read_timeout": 30, "write_timeout": 30},
    )


def open_sessions(engine: Engine) -> Sessions:
    """Return the factory of sessions."""
    return sessionmaker(engine, expire_on_commit=False)
