"""What can go wrong with what is kept; each says what to do."""


class StoreError(Exception):
    """Base: ``code``, ``why``, ``fix``."""

    def __init__(self, code: str, why: str, fix: str) -> None:
        super().__init__(f"{why} {fix}")
        self.code, self.why, self.fix = code, why, fix


class NotFound(StoreError):
    """It is not there, or it belongs to somebody else: which of the two is not told."""

    def __init__(self, what: str) -> None:
        super().__init__("not_found", f"This {what} is not here.", "It may have been removed; go back to the list.")


class Stale(StoreError):
    """Somebody, perhaps another window, has saved in between."""

    def __init__(self, version: int) -> None:
        super().__init__(
            "stale_version",
            "This exercise was changed in another window meanwhile.",
            "Keep your state as a copy, or load the newer one.",
        )
        self.version = version


class Refused(StoreError):
    """The wish cannot be granted."""
