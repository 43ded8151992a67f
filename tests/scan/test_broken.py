"""Lines that are broken where others cross them are made whole; lines that are read twice are left out."""

import math

from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.check.stroke import Stroke
from orthopsis.core.plane.homogeneous import Point
from orthopsis.scan.broken import CROSSED_GAP_MM, DOUBLE_MM, Real, joined, without_doubles

SHALLOW, STEEP = math.radians(12), math.radians(70)


def line(x: float, y: float, long: float, turn: float = 0.0) -> Stroke:
    return Stroke(Point(x, y), Point(x + long * math.cos(turn), y + long * math.sin(turn)))


def as_drawn(ends: Real) -> list[Stroke]:
    """The graphite runs all the way."""
    return [Stroke(*(Point(float(x), float(y)) for x, y in ends))]


def through(at: float, turn: float) -> Stroke:
    """A line of 80 mm that crosses the level one at a place."""
    return line(at - 40 * math.cos(turn), 100 - 40 * math.sin(turn), 80, turn)


@given(st.floats(20, 120), st.floats(20, 120), st.floats(0.5, CROSSED_GAP_MM - 0.5), st.booleans())
def test_a_line_goes_on_behind_one_that_crosses_it_at_a_small_angle(
    before: float, after: float, gap: float, is_turned: bool
) -> None:
    second = line(50 + before + gap, 100, after)
    if is_turned:
        second = Stroke(second.end, second.start)
    found = joined([line(50, 100, before), second, through(50 + before + gap / 2, SHALLOW)], as_drawn)
    ends = [sorted((s.start.x, s.end.x)) for s in found if abs(s.start.y - s.end.y) < 1e-9]
    assert [[round(x, 6) for x in row] for row in ends] == [[50, round(50 + before + gap + after, 6)]]
    assert [s.length_mm for s in found] == sorted((s.length_mm for s in found), reverse=True)


@given(st.floats(20, 120), st.floats(20, 120), st.floats(0.5, CROSSED_GAP_MM - 0.5))
def test_two_lines_in_a_row_stay_two_if_none_crosses_between_them_or_it_does_so_steeply(
    before: float, after: float, gap: float
) -> None:
    pair = [line(50, 100, before), line(50 + before + gap, 100, after)]
    assert len(joined(pair, as_drawn)) == 2
    assert len(joined([*pair, through(50 + before + gap / 2, STEEP)], as_drawn)) == 3


@given(st.floats(20, 120), st.floats(20, 120), st.floats(-4, 4), st.floats(8, 40), st.booleans())
def test_two_lines_that_break_each_other_where_they_cross_are_both_made_whole(
    before: float, after: float, gap: float, arm: float, is_turned: bool
) -> None:
    at, cosine, sine = 50 + before + gap / 2, math.cos(SHALLOW), math.sin(SHALLOW)
    low, high = (
        line(at - (arm + 1) * cosine, 100 - (arm + 1) * sine, arm, SHALLOW),
        line(at + cosine, 100 + sine, arm, SHALLOW),
    )
    if is_turned:
        high = Stroke(high.end, high.start)
    found = joined([line(50, 100, before), line(50 + before + gap, 100, after), low, high], as_drawn)
    level = [s for s in found if abs(s.start.y - s.end.y) < 1e-9]
    assert [round(s.length_mm, 6) for s in level] == [round(before + gap + after, 6)]
    assert len(joined([line(50, 100, before), line(50 + before + gap, 100, after), low], as_drawn)) == 3, (
        "it ends there"
    )


def test_what_is_far_aside_short_or_not_one_run_of_graphite_stays_apart() -> None:
    crossing = through(102.5, SHALLOW)
    assert len(joined([line(50, 100, 50), line(105, 101, 50), crossing], as_drawn)) == 3, "it lies aside"
    assert len(joined([line(50, 100, 50), line(105, 100, 10), crossing], as_drawn)) == 3, "it is too short"
    in_two = joined(
        [line(50, 100, 50), line(105, 100, 50), crossing], lambda _: [line(50, 100, 50), line(105, 100, 50)]
    )
    assert len(in_two) == 3


@given(st.floats(30, 200), st.floats(0.1, 0.9), st.floats(-2.5, 2.5), st.floats(-80, 180))
def test_a_line_that_lies_on_a_longer_one_is_left_out(long: float, share: float, aside: float, begin: float) -> None:
    shorter = line(50 + begin, 100 + aside, long * share)
    on_it = min(long, begin + shorter.length_mm) - max(0.0, begin)
    is_double = abs(aside) < DOUBLE_MM and on_it > 0.6 * shorter.length_mm
    found = without_doubles([line(50, 100, long), shorter])
    assert len(found) == (1 if is_double else 2)


def test_only_lines_that_are_kept_leave_others_out() -> None:
    """The middle one is a double of the first; the last lies near the middle one alone."""
    rows = [line(50, 100, 100), line(50, 101.2, 90), line(50, 102.4, 80)]
    assert without_doubles(rows) == [rows[0], rows[2]]


def test_no_lines_are_no_trouble() -> None:
    assert without_doubles([]) == []
    assert joined([], as_drawn) == []
