"""What do trees, people, posts, boats and hills look like, drawn with a few straight strokes?

Corners run anticlockwise from the foot on, across and up from where the thing stands, in heights of it. Made up here.
"""

from dataclasses import dataclass
from typing import Literal

Corner = tuple[float, float]


@dataclass(frozen=True, slots=True)
class Silhouette:
    """An outline that stands on the ground.

    Attributes:
        says: what one is called in a sentence.
        right: the corners of its right half from the foot up; its left half is the same, mirrored.
        tied: by which corners, numbered from the foot at the right on, each of a row is tied to the next one.
        tied_by: what ties them, wires or rails; empty where nothing does.
    """

    says: str
    right: tuple[Corner, ...]
    tied: tuple[int, ...] = ()
    tied_by: Literal["", "wires", "rails"] = ""

    @property
    def corners(self) -> tuple[Corner, ...]:
        """All corners, anticlockwise."""
        left = tuple((-x, y) for x, y in reversed(self.right) if x > 0)
        return (*self.right, *left)


OUTLINES: dict[str, Silhouette] = {
    "tree": Silhouette(
        "a tree",
        ((0.035, 0), (0.035, 0.3), (0.16, 0.33), (0.26, 0.44), (0.29, 0.6), (0.24, 0.78), (0.14, 0.93), (0, 1)),
    ),
    "fir": Silhouette(
        "a fir",
        ((0.03, 0), (0.03, 0.14), (0.26, 0.14), (0.11, 0.42), (0.19, 0.42), (0.07, 0.7), (0.12, 0.7), (0, 1)),
    ),
    "hill": Silhouette(
        "a hill",
        ((1.9, 0), (1.5, 0.22), (1.1, 0.34), (0.74, 0.62), (0.4, 0.88), (0.16, 0.97), (0, 1)),
    ),
    "boat": Silhouette(
        "a sailing boat",
        ((0.24, 0), (0.36, 0.15), (0.015, 0.15), (0.015, 0.2), (0.3, 0.2), (0.015, 0.94), (0.015, 0.98), (0, 1)),
    ),
    "figure": Silhouette(
        "a person",
        (
            (0, 0.42), (0.02, 0), (0.1, 0), (0.085, 0.48), (0.135, 0.5), (0.15, 0.8), (0.045, 0.84), (0.07, 0.91),
            (0.045, 0.98), (0, 1),
        ),
    ),
    "lamp": Silhouette(
        "a lamp post",
        ((0.035, 0), (0.014, 0.06), (0.014, 0.83), (0.06, 0.86), (0.045, 0.97), (0, 1)),
    ),
    "bollard": Silhouette(
        "a bollard",
        ((0.3, 0), (0.3, 0.08), (0.2, 0.14), (0.2, 0.72), (0.32, 0.78), (0.32, 0.92), (0.2, 1)),
    ),
    "pole": Silhouette(
        "a pole",
        ((0.014, 0), (0.014, 0.95), (0.14, 0.95), (0.14, 0.98), (0.014, 0.98), (0.01, 1)),
        tied=(3, 8),
        tied_by="wires",
    ),
    "fence": Silhouette(
        "a fence post",
        ((0.05, 0), (0.05, 0.3), (0.05, 0.42), (0.05, 0.74), (0.05, 0.86), (0.05, 0.97), (0, 1)),
        tied=(1, 2, 3, 4),
        tied_by="rails",
    ),
}  # fmt: skip
