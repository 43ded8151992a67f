"""Places on a side by its diagonal: it rises or falls, whichever keeps ticks apart; all lands where the eye sees it."""

import math
from itertools import pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st
from scenes import VIEWS, solved

from conftest import exercise_of
from orthopsis.core.construct.grid import CROWDED_MM
from orthopsis.core.construct.moves import Cross, MeasureAlong, Rule
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.exercise.solve import draw

BOX = {
    "kind": "box", "name": "Store", "left": 210, "bottom": 60, "height": 100,
    "left_by": "measured", "left_length": 80, "right_by": "measured", "right_length": 70,
}  # fmt: skip
RISING, FALLING = ("Store.near.bottom", "Store.right.top"), ("Store.near.top", "Store.right.bottom")


def with_door(along: str, up: str) -> Exercise:
    """Return the document of a house with a door on its right side, between shares along and up."""
    door = {
        "kind": "rectangles", "name": "Door", "joined_to": "Store", "joined_by": "face_right", "columns": "1",
        "rows": "1", "wide": "whole", "tall": "whole", "along": along, "up": up,
    }  # fmt: skip
    return exercise_of(BOX, door, views=[VIEWS["two_point"]])


def ticks(found: Solved) -> list[float]:
    at = (m.act for m in found.moves if m.thing == "Door" and m.breath == "face.ticks")
    return sorted(act.length_mm for act in at if isinstance(act, MeasureAlong))


def diagonal(found: Solved) -> tuple[str, str]:
    acts = (m.act for m in found.moves if m.thing == "Door" and m.breath.startswith("face.columns"))
    rule = next(act for act in acts if isinstance(act, Rule))
    return rule.start, rule.end


def test_it_rises_from_the_foot_where_the_ticks_are_apart() -> None:
    found = solved(with_door("20:30:50", "0:70:30"))
    assert ticks(found) == pytest.approx([20, 50, 70])
    assert diagonal(found) == RISING


def test_it_falls_from_the_top_where_ticks_would_crowd() -> None:
    """Places along at 20 and 71 hundredths, a height of 70: a tick at 71 would lie beside that at 70."""
    found = solved(with_door("20:51:29", "0:70:30"))
    assert ticks(found) == pytest.approx([29, 70, 80])
    assert diagonal(found) == FALLING


def test_the_words_say_where_it_begins_and_from_where_lines_are_counted() -> None:
    step = next(s for s in draw(solved(with_door("20:51:29", "0:70:30")).prepared.exercise).steps if "columns" in s.key)
    assert "from the top of the nearest edge" in step.text
    assert "light lines 1 and 3, counted from the foot" in step.text


def test_where_both_crowd_alike_it_rises() -> None:
    found = solved(with_door("20:60:20", "0:79:21"))
    assert diagonal(found) == RISING


shares = st.lists(st.integers(1, 99), min_size=3, max_size=3, unique=True).map(sorted)


@given(shares, st.integers(1, 99))
def test_every_corner_lies_where_the_eye_sees_it_whichever_way(at: list[int], high: int) -> None:
    a, b, _ = at
    found = solved(with_door(f"{a}:{b - a}:{100 - b}", f"0:{high}:{100 - high}"))
    thing = found.built[1]
    marked = [m.act.makes for m in found.moves if m.thing == "Door" and isinstance(m.act, Cross)]
    corners = [name for name in thing.page if f"Door.{name}" in marked]
    assert len(corners) >= 2
    for name in corners:
        made = found.board.points[f"Door.{name}"]
        assert math.dist(made.xy, thing.page[name]) < 1e-6


@given(shares, st.integers(1, 99))
def test_falling_is_taken_only_where_it_parts_what_crowds(at: list[int], high: int) -> None:
    a, b, _ = at
    found = solved(with_door(f"{a}:{b - a}:{100 - b}", f"0:{high}:{100 - high}"))
    rising, falling = ([*{high, *way}] for way in ((a, b), (100 - a, 100 - b)))
    parted = [min((q - p for p, q in pairwise(sorted(way))), default=100) for way in (rising, falling)]
    made = min((q - p for p, q in pairwise(ticks(found))), default=100)
    expected = parted[1] if parted[0] < CROWDED_MM and parted[1] > parted[0] else parted[0]
    assert made == pytest.approx(expected)
