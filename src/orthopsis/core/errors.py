"""The one family of errors that the core raises, and what each has to say.

An error names what cannot be (``why``), what to do about it (``fix``) and, where there is one, the
nearest value that works, so that a screen can show it at the place where the hand went wrong.
"""

from collections.abc import Callable


class GeometryError(Exception):
    """Something that was asked for cannot be drawn or read.

    Args:
        code: stable snake_case name of the fault.
        why: one sentence a teacher understands.
        fix: one sentence that says what to do.
        about: path of the value at fault in the exercise (``things.0.depth``), or empty.
        nearest: the nearest text that works at that place, ready to be typed in, or empty.
        limit_mm: the nearest length that works, where only the sheet knows how the class writes it; see ``written``.
    """

    def __init__(
        self, code: str, why: str, fix: str, *, about: str = "", nearest: str = "", limit_mm: float | None = None
    ) -> None:
        super().__init__(f"{why} {fix}".strip())
        self.code = code
        self.why = why
        self.fix = fix
        self.about = about
        self.nearest = nearest
        self.limit_mm = limit_mm

    def __reduce__(self) -> tuple[object, ...]:
        """Let an error travel between processes with all it says."""
        return _again, (type(self), self.code, self.why, self.fix, self.about, self.nearest)

    def at(self, about: str) -> "GeometryError":
        """Return the same error, placed at ``about`` unless it already has a place."""
        if self.about:
            return self
        return type(self)(self.code, self.why, self.fix, about=about, nearest=self.nearest, limit_mm=self.limit_mm)

    def written(self, write: Callable[[float], str]) -> "GeometryError":
        """Return the same error with its nearest length as a class writes it; itself where it names none."""
        if self.limit_mm is None:
            return self
        nearest = write(self.limit_mm)
        return type(self)(
            self.code, self.why, f"The nearest that works is {nearest}.", about=self.about, nearest=nearest
        )


def _again(kind: type[GeometryError], code: str, why: str, fix: str, about: str, nearest: str) -> GeometryError:
    return kind(code, why, fix, about=about, nearest=nearest)


class CoincidentLines(GeometryError):
    """Two lines that should meet in a point are one line."""


class CoincidentPoints(GeometryError):
    """Two points that should be joined by a line are one point."""


class NotOnPage(GeometryError):
    """A point at infinity was asked for its place on the page."""


class UnreadableLength(GeometryError):
    """A text that should be a length is not one."""


class UnreadableExercise(GeometryError):
    """A document that should be an exercise is not one."""
