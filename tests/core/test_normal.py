"""Area vectors of loops in space, checked with shapely's areas and numpy's cross products."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely import Polygon

from orthopsis.core.plane.normal import area_vector

LOOPS = [
    [(0, 0), (4, 0), (4, 3), (0, 3)],
    [(0, 0), (6, 0), (6, 4), (3, 1), (0, 4)],
    [(1, 1), (5, 2), (3, 6)],
]
COORDINATE = st.floats(-1e4, 1e4)


@pytest.mark.parametrize("loop", LOOPS)
@given(place=st.tuples(COORDINATE, COORDINATE, COORDINATE), turn=st.floats(0, 6.28), tilt=st.floats(0, 3.14))
def test_it_is_twice_the_area_and_square_to_the_loop(
    loop: list[tuple[float, float]], place: tuple[float, float, float], turn: float, tilt: float
) -> None:
    first = np.array([np.cos(turn), np.sin(turn), 0.0])
    second = np.array([-np.sin(turn) * np.cos(tilt), np.cos(turn) * np.cos(tilt), np.sin(tilt)])
    corners = [np.array(place) + x * first + y * second for x, y in loop]
    found = np.array(area_vector([corner.tolist() for corner in corners]))
    assert found == pytest.approx(2 * Polygon(loop).area * np.cross(first, second), abs=1e-6)


def test_it_turns_round_with_the_loop() -> None:
    loop = [(0.0, 0.0, 1.0), (2.0, 0.0, 1.0), (2.0, 1.0, 1.0)]
    assert area_vector(loop) == (0.0, 0.0, 2.0)
    assert area_vector(loop[::-1]) == (0.0, 0.0, -2.0)
