"""On which side of its point does each letter stand clear of lines, of other letters, and of the points of these?"""

import math
from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from orthopsis.core.drawing.answer import PointLetter
from orthopsis.core.drawing.beside import AWAY, DOWN, TALL, WIDE, letter_ways
from orthopsis.core.telling.clear_room import OVER_TEXT, RIM, Array, Room

TURNS, FAR = 36, (AWAY, 1.0, 1.2, 1.4, 1.6)
"""In how many directions, and how many times its size away, a letter is tried; no line leads to it."""
TURNED, FARTHER = 3, 4
"""How bad it is to stand at the other side of its point than outward, and a text's size further away (no source)."""
DOT = 0.14
"""How large the dot on a point is, as a share of the size of texts."""
ROUNDS = 2
"""So often each letter is placed: in the second round it knows where all others stand."""


def with_clear_letters(letters: Sequence[PointLetter], room: Room) -> tuple[list[PointLetter], Array]:
    """Return the letters, each where it is clear, and what they and the dots on their points cover, shape (n, 4)."""
    if not letters:
        return [], np.zeros((0, 4))
    size, points = room.size, np.array([letter.at for letter in letters])
    outward = np.array(letter_ways([letter.at for letter in letters]))
    ways = _ways()
    shown = _boxes(points, outward, size)
    dots = np.concatenate((points - DOT * size, points + DOT * size), axis=1)
    chosen = [tuple(way) for way in outward.tolist()]
    for _ in range(ROUNDS):
        for i, at in enumerate(points):
            tried = np.vstack((outward[i], ways))
            boxes = _boxes(at, tried, size)
            others = np.delete(np.arange(len(points)), i)
            about = replace(room, texts=np.concatenate((room.texts, shown[others], dots[others])))
            bad = about.bad(_boxes(at, tried, size, RIM)) + _strange(tried, outward[i])
            # A letter that is nearer to another point would be taken for that one's.
            middles = at + tried * size
            nearest = np.linalg.norm(middles[:, None] - points[None, others], axis=2).min(axis=1, initial=math.inf)
            bad = bad + OVER_TEXT * (nearest < np.linalg.norm(tried, axis=1) * size)
            best = int(bad.argmin())
            chosen[i], shown[i] = tuple(tried[best].tolist()), boxes[best]
    placed = [
        letter.model_copy(update={"beside": (round(x, 3), round(y, 3))})
        for letter, (x, y) in zip(letters, chosen, strict=True)
    ]
    return placed, np.concatenate((shown, dots))


def _ways() -> Array:
    """Return from a point to the middles of letters that are tried, as shares of their size, shape (n, 2)."""
    turns = np.arange(TURNS) * math.tau / TURNS
    return np.concatenate([far * np.column_stack((np.cos(turns), np.sin(turns))) for far in FAR])


def _boxes(points: Array, ways: Array, size: float, rim: float = 0.0) -> Array:
    """Return what letters cover whose middles are so far from their points, shape (n, 4)."""
    low = points + (ways - (WIDE / 2, DOWN)) * size
    return np.concatenate((low - rim * size, low + (np.array((WIDE, TALL)) + rim) * size), axis=1)


def _strange(ways: Array, outward: Array) -> Array:
    """Return how bad ways are beside the usual one: those the other way, and those further out."""
    long = np.linalg.norm(ways, axis=1)
    cos = (ways @ outward) / (long * (np.linalg.norm(outward) or 1.0))
    return np.asarray(TURNED * (1 - cos) / 2 + FARTHER * (long - AWAY))
