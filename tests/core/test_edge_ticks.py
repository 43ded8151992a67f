"""Ticks on two edges of a sheet that give lines to a point off it."""

import itertools
import math

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.sheet.edge_ticks import TickedEdge, ticked_edges
from orthopsis.core.sheet.paper import Sheet

SHEET = Sheet(420.0, 297.0)
POINTS = st.tuples(st.floats(-900, 1300), st.floats(-700, 1000))


def at_edge(edge: TickedEdge, mm: float) -> Point:
    """The place of the sheet at which a tick of an edge lies."""
    return {
        "left": Point(0.0, mm), "right": Point(SHEET.width_mm, mm),
        "bottom": Point(mm, 0.0), "top": Point(mm, SHEET.height_mm),
    }[edge.side]  # fmt: skip


@given(POINTS, st.floats(5, 20))
def test_joining_like_ticks_gives_lines_to_the_point(at: tuple[float, float], spacing: float) -> None:
    assume(not SHEET.holds(*at, -5.0))
    near, far = ticked_edges(at, SHEET, spacing)
    assert [n for n, _ in near.ticks] == [n for n, _ in far.ticks]
    for (_, mm), (_, other_mm) in zip(near.ticks, far.ticks, strict=True):
        assert -1e-6 <= mm <= near.length_mm + 1e-6
        assert -1e-6 <= other_mm <= far.length_mm + 1e-6
        line = join(at_edge(near, mm), at_edge(far, other_mm))
        assert abs(offset(Point(*at), line)) < 1e-6 * max(1.0, math.hypot(*at))


@given(POINTS, st.floats(5, 20))
def test_ticks_are_equally_far_apart_and_as_many_as_the_far_edge_holds(at: tuple[float, float], spacing: float) -> None:
    assume(not SHEET.holds(*at, -5.0))
    near, far = ticked_edges(at, SHEET, spacing)
    for edge in (near, far):
        places = [mm for _, mm in edge.ticks]
        gaps = [b - a for a, b in itertools.pairwise(places)]
        assert gaps == pytest.approx(gaps[:1] * len(gaps))
    if len(far.ticks) > 1:
        step = far.ticks[1][1] - far.ticks[0][1]
        assert step > spacing, "the far edge is farther from the point"
        below, above = far.ticks[0][1] - step, far.ticks[-1][1] + step
        low, high = near.ticks[0][1] - spacing, near.ticks[-1][1] + spacing
        assert below < 0 or low < 0
        assert above > far.length_mm or high > near.length_mm


def test_the_point_of_the_trade_130_mm_out() -> None:
    # Intercept theorem (Euclid, Elements VI.2): 130 mm to the near edge, 550 to the far one, so 10 mm become 42.3.
    near, far = ticked_edges((-130.0, 150.0), SHEET, 10.0)
    assert (near.side, far.side) == ("left", "right")
    assert far.ticks[1][1] - far.ticks[0][1] == pytest.approx(10 * 550 / 130)
    assert dict(near.ticks)[0] == dict(far.ticks)[0] == 150.0
