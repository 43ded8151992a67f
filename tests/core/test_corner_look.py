"""What a corner is called beside the other three of its outline."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.things.corner_look import corner_look

places = st.tuples(st.floats(0.0, 400.0), st.floats(0.0, 300.0)).map(lambda at: Point(*at))
outlines = st.lists(places, min_size=4, max_size=4).filter(
    lambda at: all(signed_area([at[i - 1], at[i], at[(i + 1) % 4]]) > 20.0 for i in range(4))
)
"""Outlines that turn one way at each corner."""
EYE_LEVEL = 150.0

WALL = [Point(0, 0), Point(60, 10), Point(60, 70), Point(0, 100)]
LOZENGE = [Point(50, 0), Point(100, 20), Point(45, 45), Point(0, 22)]
PLANK = [Point(0, 0), Point(60, 40), Point(60, 45), Point(0, 8)]


def all_of(corners: list[Point], level_mm: float | None = None) -> list[str]:
    return [corner_look(corners, i, level_mm) for i in range(4)]


def test_of_a_wall_two_are_left_and_of_each_two_one_is_lower() -> None:
    assert all_of(WALL) == ["lower left", "lower right", "upper right", "upper left"]


def test_a_plank_on_a_wall_that_leads_away_has_a_lower_corner_at_each_end() -> None:
    """Its whole right end lies higher on the page than its left one."""
    assert all_of(PLANK) == ["lower left", "lower right", "upper right", "upper left"]


def test_a_plan_that_stands_over_corner_has_one_nearest() -> None:
    assert all_of(LOZENGE, EYE_LEVEL) == ["nearest", "right", "farthest", "left"]


def test_over_the_eye_level_what_is_higher_on_the_page_is_nearer() -> None:
    assert all_of(LOZENGE, -10.0) == ["farthest", "right", "nearest", "left"]


def test_a_plan_in_one_point_has_two_near_corners() -> None:
    plan = [Point(0, 0), Point(80, 0), Point(60, 20), Point(10, 20)]
    assert all_of(plan, EYE_LEVEL) == ["near left", "near right", "far right", "far left"]


@pytest.mark.parametrize(
    ("corners", "looks"),
    [
        (
            [Point(0, 5), Point(9, 5), Point(20, 5), Point(3, 5)],
            ["leftmost", "second rightmost", "rightmost", "second leftmost"],
        ),
        (
            [Point(4, 0), Point(4, 30), Point(4, 20), Point(4, 5)],
            ["lowest", "highest", "second highest", "second lowest"],
        ),
    ],
)
def test_corners_that_lie_on_one_line_are_told_by_their_row(corners: list[Point], looks: list[str]) -> None:
    assert all_of(corners) == looks


@given(outlines, st.sampled_from([None, EYE_LEVEL, -10.0, 310.0]))
def test_no_two_corners_are_called_alike_and_the_words_say_where_they_lie(at: list[Point], level: float | None) -> None:
    said = all_of(at, level)
    assert len(set(said)) == 4
    by_look = dict(zip(said, at, strict=True))
    if "left" in by_look:
        assert by_look["left"].x == min(p.x for p in at)
        assert by_look["right"].x == max(p.x for p in at)
    if "second leftmost" in by_look:
        row = [by_look[look] for look in ("leftmost", "second leftmost", "second rightmost", "rightmost")]
        assert row == sorted(at, key=lambda p: p.x)
    if "second lowest" in by_look:
        row = [by_look[look] for look in ("lowest", "second lowest", "second highest", "highest")]
        assert row == sorted(at, key=lambda p: p.y)
    is_over = level is not None and sum(p.y for p in at) / 4 > level
    low, high = (("far", "near") if is_over else ("near", "far")) if level is not None else ("lower", "upper")
    for side in ("left", "right"):
        if f"{low} {side}" in by_look:
            assert by_look[f"{low} {side}"].y < by_look[f"{high} {side}"].y
