"""The paper for what is read and not drawn on."""

from typing import Literal

Handout = Literal["a4", "letter"]
_SIZES: dict[Handout, tuple[float, float]] = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}
"""ISO 216 A4; ANSI/ASME Y14.1 A, the North American letter: width and height, mm."""


def handout_mm(units: str, paper: Handout | None = None) -> tuple[float, float]:
    """Return width and height of the paper that was chosen; else A4, or letter in inch classes."""
    return _SIZES[paper or ("letter" if units == "in" else "a4")]
