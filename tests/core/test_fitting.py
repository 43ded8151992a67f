"""How badly drawn lines fit asked ones: all pairs at once, as each pair by itself."""

import math

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from orthopsis.core.check.fitting import ALIKE_DEG, NEAR_MM, NEVER, ON_GUIDE_MM, Asked, Drawn, costs
from orthopsis.core.check.stroke import Expected, Stroke
from orthopsis.core.plane.homogeneous import Point

PLACES = st.builds(Point, st.floats(0, 400), st.floats(0, 280))
SIGMA_MM = 0.6


def asked(start: Point, end: Point, *, thing: str = "Crate", family: str = "point", is_asked: bool = True) -> Expected:
    return Expected(f"{thing}.edge", thing, family, start, end, is_asked)


def cost(stroke: Stroke, line: Expected) -> float:
    return float(costs(Drawn([stroke]), Asked([line]), SIGMA_MM)[0, 0])


def moved(at: Point, along: float, aside: float, turn: float) -> Point:
    return Point(
        at.x + along * math.cos(turn) - aside * math.sin(turn), at.y + along * math.sin(turn) + aside * math.cos(turn)
    )


@given(PLACES, st.floats(20, 200), st.floats(0, math.tau), st.floats(-12, 12), st.booleans())
def test_a_line_drawn_beside_its_place_fits_it_by_how_far_aside_it_is(
    start: Point, long: float, turn: float, aside: float, is_turned: bool
) -> None:
    """As far as it is taken for it at all."""
    assume(abs(abs(aside) - NEAR_MM) > 1e-6)
    ends = [moved(start, along, aside, turn) for along in (0.0, long)]
    found = cost(Stroke(*(ends[::-1] if is_turned else ends)), asked(start, moved(start, long, 0.0, turn)))
    assert found == (pytest.approx(abs(aside), abs=1e-6) if abs(aside) < NEAR_MM else NEVER)


@given(PLACES, st.floats(60, 200), st.floats(0, math.tau), st.floats(-40, 40))
def test_a_line_turned_about_its_middle_fits_less_the_more_it_is_turned(
    middle: Point, long: float, way: float, turned_deg: float
) -> None:
    assume(abs(abs(turned_deg) - ALIKE_DEG) > 0.01)
    line = asked(moved(middle, -long / 2, 0, way), moved(middle, long / 2, 0, way))
    turn = way + math.radians(turned_deg)
    found = cost(Stroke(moved(middle, -long / 2, 0, turn), moved(middle, long / 2, 0, turn)), line)
    aside = long / 2 * math.sin(math.radians(abs(turned_deg)))
    if abs(turned_deg) > ALIKE_DEG or aside > NEAR_MM + 0.01:
        assert found == NEVER
    elif aside < NEAR_MM - 0.01:
        assert found > aside + 0.3 * abs(turned_deg) - 1e-6


@given(PLACES, st.floats(30, 100), st.floats(5, 60))
def test_an_upright_stops_at_its_corner_a_line_to_a_point_may_go_on(start: Point, long: float, over: float) -> None:
    stroke = Stroke(start, moved(start, long + over, 0, math.pi / 2))
    end = moved(start, long, 0, math.pi / 2)
    upright, receding = (cost(stroke, asked(start, end, family=family)) for family in ("upright", "point"))
    assert upright == pytest.approx(0.1 * over, abs=1e-6)
    assert receding == pytest.approx(0.02 * over, abs=1e-6)


@given(PLACES, st.floats(30, 100), st.floats(0.0, 6.0))
def test_only_what_lies_on_a_light_line_is_taken_for_it(start: Point, long: float, aside: float) -> None:
    """Nobody has to draw it again."""
    assume(abs(aside - ON_GUIDE_MM) > 1e-6)
    stroke = Stroke(moved(start, 0, aside, 0), moved(start, long, aside, 0))
    found = cost(stroke, asked(start, moved(start, long, 0, 0), is_asked=False))
    assert found == (pytest.approx(aside + 2, abs=1e-6) if aside < ON_GUIDE_MM else NEVER)


def test_what_overlaps_a_line_too_little_is_another_one() -> None:
    line = asked(Point(100, 100), Point(200, 100))
    assert cost(Stroke(Point(60, 100), Point(160, 100)), line) < NEVER
    assert cost(Stroke(Point(30, 100), Point(130, 100)), line) == NEVER
    assert cost(Stroke(Point(210, 100), Point(310, 100)), line) == NEVER


@given(
    st.lists(st.tuples(PLACES, PLACES), min_size=1, max_size=5),
    st.lists(st.tuples(PLACES, PLACES, st.sampled_from(["", "Crate"]), st.booleans()), min_size=1, max_size=5),
    PLACES, st.floats(0.3, 1.9),
)  # fmt: skip
def test_pairs_together_are_as_pairs_alone_and_lines_carried_as_they_are(
    strokes: list[tuple[Point, Point]], lines: list[tuple[Point, Point, str, bool]], centre: Point, factor: float
) -> None:
    assume(all(math.dist(a.xy, b.xy) > 1 for a, b, *_ in (*strokes, *lines)))
    drawn = [Stroke(*ends) for ends in strokes]
    wanted = [asked(a, b, thing=thing, is_asked=needed) for a, b, thing, needed in lines]
    together = costs(Drawn(drawn), Asked(wanted), SIGMA_MM)
    assert together.tolist() == [[pytest.approx(cost(stroke, line)) for line in wanted] for stroke in drawn]
    carried = costs(Drawn(drawn), Asked(wanted).scaled(centre.xy, factor), SIGMA_MM)
    one_by_one = costs(Drawn(drawn), Asked([line.scaled(centre, factor) for line in wanted]), SIGMA_MM)
    assert np.allclose(carried, one_by_one)
