"""The time that is written into rows: UTC without a zone, whole seconds, as MariaDB keeps it."""

from datetime import UTC, datetime, timedelta

KEPT_REMOVED = timedelta(days=7)
"""For so long what was removed can be had back."""


def now() -> datetime:
    """Return the present moment."""
    return datetime.now(UTC).replace(tzinfo=None, microsecond=0)
