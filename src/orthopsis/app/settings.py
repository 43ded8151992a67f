"""What the application is told from outside."""

from dataclasses import dataclass
from pathlib import Path

ROOT = Path(__file__).resolve().parents[3]
DIST = ROOT / "frontend" / "dist"
"""Where the built front end lies."""


@dataclass(frozen=True, slots=True)
class Settings:
    """Where the database is, where the built front end is, and how many sheets are read side by side."""

    database_url: str
    dist: Path = DIST
    readers: int = 2
