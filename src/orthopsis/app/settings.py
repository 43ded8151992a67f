"""What the application is told from outside."""

from dataclasses import dataclass
from pathlib import Path

ROOT = Path(__file__).resolve().parents[3]
DIST = ROOT / "frontend" / "dist"
"""Where the built front end lies."""


@dataclass(frozen=True, slots=True)
class Settings:
    """Where the database is, where the built front end is, the folder of a private database, if it is one, and
    the names at which browsers may ask."""

    database_url: str
    dist: Path = DIST
    data: Path | None = None
    hosts: tuple[str, ...] = ("127.0.0.1", "localhost")
