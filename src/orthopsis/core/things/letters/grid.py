"""On which grid are block letters drawn, and how is a letter written down?

Columns and rows follow from the width and height of a letter, the thickness of its upright strokes and of its bars. A
letter is written as the corners of its loops, in order: ``a1 b1 b6 a6`` is one upright stroke. Pieces run
anticlockwise, holes clockwise and after a slash.

- ``b3`` is where column b and row 3 cross;
- ``a6e1@b`` is where the line through a6 and e1 meets column b (or a row);
- ``b6d1*e6c1`` is where the line through b6 and d1 meets the one through e6 and c1;
- ``f1o`` is rounded in the round form of the letter; ``a1r`` too, upright as far as its middle bar, ``f1l`` as far as
  its lower or its upper one.
"""

import math
import re
from dataclasses import dataclass

from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.things.outline import Corner, Loop, Outline, signed_area

_NODE = r"([a-k])([\dkmnuxyzvtpqws])"
_TOKEN = re.compile(rf"^{_NODE}(?:{_NODE}(?:@([a-j\dkmnuxyzvtpqws])|\*{_NODE}{_NODE}))?([orl]?)$")

STRAIGHT_END = 0.9
"""Share of a level edge that a curve takes at most where the edge ends in a corner that stays."""
LOBE = 0.9
"""What is round and lower than this share of the letter is a lobe, one of two over each other (no source)."""


@dataclass(frozen=True, slots=True)
class Measures:
    """The measures of a letter, mm.

    Attributes:
        width, height: its size.
        stroke: how wide its upright strokes are.
        bar: how high its level strokes are.
        middle: how high its middle bar is; ``middle_up`` how far from the foot that bar begins.
    """

    width: float
    height: float
    stroke: float
    bar: float
    middle: float
    middle_up: float


class LetterGrid:
    """The columns and rows of a letter."""

    def __init__(self, measures: Measures) -> None:
        w, h, s, b = measures.width, measures.height, measures.stroke, measures.bar
        low, high = measures.middle_up, measures.middle_up + measures.middle
        self.measures = measures
        over, above = h + b / 2, h + 1.75 * b
        self.columns = {
            "a": 0.0, "b": s, "c": (w - s) / 2, "d": (w + s) / 2, "e": w - s, "f": w,
            "g": s / 2, "h": w - s / 2, "i": w / 2 - s, "j": w / 2 + s, "k": w / 2,
        }  # fmt: skip
        self.rows = {
            "1": 0.0, "2": b, "3": low, "4": high, "5": h - b, "6": h,
            "z": 1.5 * b, "7": 2 * b, "k": 3 * b, "8": h - 2 * b, "9": 0.55 * h, "0": 0.45 * h,
            "w": (b + low) / 2, "s": (high + h - b) / 2, "m": (low + high) / 2, "n": b / 2, "u": h - b / 2,
            "x": over, "y": above, "v": over + (above - over) / 3, "t": above - (above - over) / 3,
            "p": -b / 2, "q": -1.5 * b,
        }  # fmt: skip

    def outline(self, written: str, *, is_round: bool) -> Outline:
        """Return the outline that is written down, mm from the letter's lower left; corners with o rounded if asked."""
        return tuple(self._loop(loop.split(), is_round=is_round) for loop in written.split("/"))

    def _loop(self, tokens: list[str], *, is_round: bool) -> Loop:
        places = [self._place(token) for token in tokens]
        if not is_round or not any(_is_rounded(token) for token in tokens):
            return tuple(places)
        is_hole = signed_area(tuple(places)) < 0
        corners: list[Corner] = []
        for i, (token, (x, y)) in enumerate(zip(tokens, places, strict=True)):
            if not _is_rounded(token):
                corners.append((x, y))
                continue
            before, after = places[i - 1], places[(i + 1) % len(places)]
            is_inner = is_hole or _turns_right(before, (x, y), after)
            rounded = [self._room(token, tokens[j % len(tokens)], (x, y), places[j % len(places)], is_inner=is_inner)
                       for j in (i - 1, i + 1)]  # fmt: skip
            level = rounded[0] if abs(before[0] - x) > abs(before[1] - y) else rounded[1]
            upright = rounded[1] if level is rounded[0] else rounded[0]
            corners.append((x, y, level, upright))
        return tuple(corners)

    def _room(self, token: str, other: str, here: FacePlace, there: FacePlace, *, is_inner: bool) -> float:
        """Return how far along an edge a curve begins: as round as there is room, equally thick all along.

        Upright, the curves of a lobe meet in its middle, inside and outside at one height: so few light lines lead to
        all of them.
        """
        m = self.measures
        half = m.width / 2
        is_level = abs(here[0] - there[0]) > abs(here[1] - there[1])
        most = half - (m.stroke if is_level else m.bar) if is_inner else half
        room = math.dist(here, there)
        if is_level:
            return min(most, room if _is_rounded(other) else STRAIGHT_END * room)
        if token.endswith(("r", "l")):
            low, high = ("3", "4") if token.endswith("r") else ("2", "5")
            return abs(here[1] - self.rows[low if here[1] < m.height / 2 else high])
        is_lobe = _is_rounded(other) and room + (2 * m.bar if is_inner else 0) < LOBE * m.height
        return room / 2 if is_lobe else min(most, room / 2)

    def _place(self, token: str) -> FacePlace:
        match = _TOKEN.match(token)
        if match is None:
            raise ValueError(f"{token} is no place on the grid of a letter")
        first = self._node(match[1], match[2])
        if match[3] is None:
            return first
        second = self._node(match[3], match[4])
        if match[5] is not None:
            return self._on_line(first, second, match[5])
        return _meet(first, second, self._node(match[6], match[7]), self._node(match[8], match[9]))

    def _node(self, column: str, row: str) -> FacePlace:
        return (self.columns[column], self.rows[row])

    def _on_line(self, first: FacePlace, second: FacePlace, at: str) -> FacePlace:
        if at in self.columns:
            x = self.columns[at]
            return (x, first[1] + (x - first[0]) * (second[1] - first[1]) / (second[0] - first[0]))
        y = self.rows[at]
        return (first[0] + (y - first[1]) * (second[0] - first[0]) / (second[1] - first[1]), y)


def _is_rounded(token: str) -> bool:
    return token.endswith(("o", "r", "l"))


def _turns_right(a: FacePlace, b: FacePlace, c: FacePlace) -> bool:
    return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) < 0


def _meet(a: FacePlace, b: FacePlace, c: FacePlace, d: FacePlace) -> FacePlace:
    (px, py), (rx, ry) = a, (b[0] - a[0], b[1] - a[1])
    sx, sy = d[0] - c[0], d[1] - c[1]
    share = ((c[0] - px) * sy - (c[1] - py) * sx) / (rx * sy - ry * sx)
    return (px + share * rx, py + share * ry)
