"""What the application is told from outside."""

from dataclasses import dataclass
from pathlib import Path

ROOT = Path(__file__).resolve().parents[3]
DIST = ROOT / "frontend" / "dist"
"""Where the built front end lies."""


@dataclass(frozen=True, slots=True)
class Settings:
    """Where the database is, where the built front end is, and the folder of a private database, if it is one."""

    database_url: str
    dist: Path = DIST
    data: Path | None = None
