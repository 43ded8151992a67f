"""Shutters that stand open beside windows: on either side one that is half as wide as the window, flat on the wall.

A shutter is three lines: its inner side is that of the window. Places are shares ``(along, up)`` of the face.
"""

import itertools
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.moves import Act, Rule
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.solid import Edge
from orthopsis.core.things.rectangles.layout import SHARES, Layout
from orthopsis.core.things.rectangles.solid import Families, part_name
from orthopsis.core.wording.names import Feature

BESIDE = {"nothing": "nothing", "shutters": "open shutters"}
HANGS_AT = {"near": ("low_near", "high_near"), "far": ("low_far", "high_far")}
"""The lower and the upper corner of the window at which each of its two shutters hangs."""
ENDS = ("low", "high")
Span = tuple[float, float]


@dataclass(frozen=True, slots=True)
class Shutters:
    """The shutters of windows in rows and columns.

    Attributes:
        along: from where to where the windows of each column reach with their shutters.
        up: from where to where those of each row reach.
    """

    along: tuple[Span, ...]
    up: tuple[Span, ...]

    def outer(self, number: int) -> Mapping[str, FacePlace]:
        """Return the outer corners of the shutters of a window, by their names within it."""
        (left, right), (low, high) = self.along[number % len(self.along)], self.up[number // len(self.along)]
        return {
            _corner(side, end): (x, y)
            for side, x in (("near", left), ("far", right))
            for end, y in zip(ENDS, (low, high), strict=True)
        }

    @property
    def places(self) -> tuple[FacePlace, ...]:
        """The outer corners of all shutters, in the order of their names."""
        return tuple(place for number in range(self.count) for place in self.outer(number).values())

    @property
    def names(self) -> tuple[str, ...]:
        """The names of these corners."""
        return tuple(f"{part_name(number)}.{name}" for number in range(self.count) for name in self.outer(number))

    @property
    def count(self) -> int:
        """How many windows there are."""
        return len(self.along) * len(self.up)

    def edges(self, families: Families) -> Iterator[Edge]:
        """Yield their lines: below, above, and the outer one; ``families``: of lines along the face and up it."""
        for part in (part_name(number) for number in range(self.count)):
            for name, start, end, family in _lines(families):
                yield Edge(f"{part}.{name}", f"{part}.{start}", f"{part}.{end}", family, feature=Feature(part=part))

    def acts(self, number: int, grid: Grid, full: Callable[[str], str], families: Families) -> Iterator[Act]:
        """Yield the acts that draw the shutters of a window: its outer corners, then three lines for each."""
        part = part_name(number)
        for name, place in self.outer(number).items():
            yield grid.mark(f"{part}.{name}", place)
        for name, start, end, family in _lines(families):
            yield Rule(full(f"{part}.{name}"), full(f"{part}.{start}"), full(f"{part}.{end}"), family)


def _corner(side: str, end: str) -> str:
    return f"shutter.{side}.corner.{end}"


def _lines(families: Families) -> Iterator[tuple[str, str, str, str]]:
    """Yield the lines of both shutters of a window: name, start, end and way."""
    for side, inner in HANGS_AT.items():
        for end, corner in zip(ENDS, inner, strict=True):
            yield f"shutter.{side}.{end}", corner, _corner(side, end), families[0]
        yield f"shutter.{side}.outer", _corner(side, "low"), _corner(side, "high"), families[1]


def shutters_of(name: str, layout: Layout, marks: float, narrower: Callable[[str], Layout]) -> Shutters:
    """Return the shutters of windows.

    Args:
        name: whose windows they are.
        marks: how many marks of the ruler the face is long along; 0 where it measures nothing there.
        narrower: the windows at another of the widths that can be chosen.

    Raises:
        GeometryError: they would lie over each other, or beyond the edge of the face.
    """
    spans = _spans(layout, marks)
    if _has_room(spans):
        return Shutters(spans, layout.up)
    works = next((words for size, words in SHARES.items() if _has_room(_spans(narrower(size), marks))), "")
    raise GeometryError(
        "no_room_for_shutters",
        f"The shutters of “{name}” have no room: each is half as wide as its window.",
        "Make the windows narrower." if works else "Take fewer windows along, or leave more free beside them.",
        about="wide" if works else "beside",
        nearest=works or BESIDE["nothing"],
    )


def _spans(layout: Layout, marks: float) -> tuple[Span, ...]:
    """Return how far the windows reach with their shutters, on marks of the ruler where it measures the face."""
    spans = []
    for begin, end in layout.along:
        half = (end - begin) / 2
        if marks > 0 and round(half * marks) >= 1:
            half = round(half * marks) / marks
        spans.append((begin - half, end + half))
    return tuple(spans)


def _has_room(spans: tuple[Span, ...]) -> bool:
    inside = spans[0][0] > SAME_SHARE and spans[-1][1] < 1 - SAME_SHARE
    return inside and all(after[0] - before[1] > SAME_SHARE for before, after in itertools.pairwise(spans))
