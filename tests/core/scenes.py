"""Random one-point exercises for property tests."""

from typing import Any

from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.exercise.document import Exercise
from orthopsis.core.plane.tolerance import AGREE_MM

Place = tuple[float, float]


def assert_same_point(one: Place, other: Place, what: str = "") -> None:
    """The one way in which two page points are compared."""
    gap = ((one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2) ** 0.5
    assert gap <= AGREE_MM, f"{what}: {one} and {other} are {gap:.5f} mm apart"


@st.composite
def exercises(draw: Any, least: int = 1, most: int = 4) -> Exercise:
    """Return an exercise with boxes anywhere on the sheet, as deep as anything, solid or see-through."""
    return exercise_of(*(draw(_boxes(f"Box {i + 1}")) for i in range(draw(st.integers(least, most)))))


@st.composite
def _boxes(draw: Any, name: str) -> dict[str, Any]:
    size = st.integers(8, 120)
    left, bottom = draw(st.integers(0, 290)), draw(st.integers(0, 170))
    width, height = draw(size), draw(size)
    # a corner on the point itself is refused: see the test of bad input
    if {left, left + width} & {210} or {bottom, bottom + height} & {150}:
        left, bottom = left + 1 if left < 280 else left - 3, bottom + 1 if bottom < 160 else bottom - 3
    how = draw(st.sampled_from(["half", "cube", "measured"]))
    if how == "cube":
        height = width
        if {left, left + width} & {210} or {bottom, bottom + height} & {150}:
            width += 3
    return {
        "kind": "box", "name": name, "left": left, "bottom": bottom, "width": width, "height": height,
        "depth_by": how, "depth": draw(st.floats(1.0, 4.0)), "look": draw(st.sampled_from(["solid", "see_through"])),
    }  # fmt: skip
