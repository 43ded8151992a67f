"""Meets, joins, cross-ratio and polygons: worked examples, duality, degenerate cases."""

import math

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from orthopsis.core.errors import CoincidentLines, CoincidentPoints, NotOnPage
from orthopsis.core.plane.cross_ratio import cross_ratio, harmonic_conjugate, repeated_mark
from orthopsis.core.plane.homogeneous import HORIZONTAL, VERTICAL, Point, distance, ideal, join, meet, offset, toward
from orthopsis.core.plane.polygon import corners_of, inside_starts, is_inside

near = st.floats(-600, 600)
points = st.builds(Point, near, near)


@given(points, points, points)
def test_two_joins_from_a_point_meet_in_it(a: Point, b: Point, c: Point) -> None:
    assume(distance(a, b) > 1 and distance(a, c) > 1)
    first, second = join(a, b), join(a, c)
    assume(abs(first.a * second.b - first.b * second.a) > 1e-3)
    assert distance(meet(first, second), a) < 1e-6


@given(points, points)
def test_a_join_goes_through_both_points(a: Point, b: Point) -> None:
    assume(distance(a, b) > 1)
    line = join(a, b)
    assert abs(offset(a, line)) < 1e-9
    assert abs(offset(b, line)) < 1e-9


def test_parallel_lines_meet_at_infinity_and_a_line_through_it_is_parallel() -> None:
    lower, upper = join(Point(0, 10), HORIZONTAL), join(Point(5, 40), HORIZONTAL)
    crossing = meet(lower, upper)
    assert crossing == HORIZONTAL
    with pytest.raises(NotOnPage):
        _ = crossing.xy
    assert ideal(0, -3) == VERTICAL


def test_same_points_and_same_lines_are_refused() -> None:
    with pytest.raises(CoincidentPoints):
        join(Point(3, 4), Point(3, 4))
    line = join(Point(0, 0), Point(4, 2))
    with pytest.raises(CoincidentLines):
        meet(line, join(Point(2, 1), Point(8, 4)))


@given(st.floats(1, 40), st.floats(60, 400), st.integers(2, 7))
def test_repeated_marks_keep_the_cross_ratio_of_equal_steps(spacing: float, reach: float, n: int) -> None:
    a, b, c, d = (repeated_mark(spacing, reach, k) for k in (n - 2, n - 1, n, n + 1))
    # Equal steps going away: (A, C; B, D) is that of 0, 2; 1, 3. Source: projective geometry, from memory.
    assert cross_ratio(a, c, b, d) == pytest.approx(cross_ratio(0, 2, 1, 3), rel=1e-9)


def test_the_perspective_middle_is_nearer_to_the_far_end_and_harmonic() -> None:
    middle = harmonic_conjugate(0.0, 60.0, 100.0)
    assert middle > 30.0
    assert cross_ratio(0.0, 60.0, middle, 100.0) == pytest.approx(-1.0)


def test_shrinking_each_step_by_a_fixed_share_is_not_equal_spacing() -> None:
    # Alberti, De pictura, 1435, book I, rejects shrinking each row to two thirds (from memory). Such rows end at
    # 1 + 2/3 + 4/9 + ... = 3; with that point their cross-ratio is 5/3, while that of equal steps is 2.
    shrinking, equal = [0.0, 1.0, 1.0 + 2 / 3], [repeated_mark(1.0, 3.0, n) for n in range(3)]
    assert cross_ratio(*shrinking, 3.0) == pytest.approx(5 / 3)
    assert cross_ratio(*equal, 3.0) == pytest.approx(2.0)


def test_a_corner_sees_inside_only_between_its_edges() -> None:
    square = [Point(0, 0), Point(10, 0), Point(10, 10), Point(0, 10)]
    starts = inside_starts(corners_of([square]), Point(20, 12))
    assert starts[0]
    assert not starts[1]
    assert not inside_starts(corners_of([square]), Point(20, 0))[0], "along its own edge is not inside"
    assert not inside_starts(corners_of([square]), Point(0, 0))[0], "a line to itself starts nowhere"
    both = inside_starts(corners_of([square, square[::-1]]), Point(20, 12))
    with pytest.raises(CoincidentPoints):
        corners_of([[*square, square[-1]]])
    assert both.tolist() == [*starts, *starts[::-1]], "whichever way round each outline runs"
    corners = [point.xy for point in square]
    assert is_inside((5, 5), [corners], 0.0)
    assert not is_inside((10, 5), [corners], 0.0), "on the outline is not inside"
    assert not is_inside((9.5, 5), [corners], 0.5), "as near to it as that is not inside either"
    hole = [(4.0, 4.0), (6.0, 4.0), (6.0, 6.0), (4.0, 6.0)]
    assert not is_inside((5, 5), [corners, hole], 0.0)
    assert is_inside((3, 5), [corners, hole], 0.0)


def test_toward_measures_along_the_direction() -> None:
    there = toward(Point(10, 10), Point(40, 50), 25)
    assert (there.x, there.y) == pytest.approx((25, 30))
    assert math.isclose(toward(Point(1, 2), VERTICAL, -2).y, 0.0)
