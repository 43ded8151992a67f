"""What all made-up scenes share: views, a deck, and how they are solved."""

from typing import Any

from hypothesis import assume
from hypothesis import strategies as st

from conftest import box
from orthopsis.core.construct.panel import Panel
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import AGREE_MM
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.standing import Unheld

Place = tuple[float, float]


def assert_same_point(one: Place, other: Place, what: str = "") -> None:
    """The one way in which two page points are compared."""
    gap = ((one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2) ** 0.5
    assert gap <= AGREE_MM, f"{what}: {one} and {other} are {gap:.5f} mm apart"


VIEWS: dict[str, dict[str, Any]] = {
    "one_point": {"kind": "one_point", "x_mm": 210.0, "distance_mm": 300.0},
    "two_point": {"kind": "two_point", "left_mm": -90.0, "right_mm": 480.0, "centre_mm": 200.0},
    "two_point_free": {"kind": "two_point", "left_mm": 0.0, "right_mm": 420.0},
    "from_above": {
        "kind": "three_point", "left_mm": -90.0, "right_mm": 500.0, "third_x_mm": 190.0, "third_y_mm": -260.0,
    },
    "from_below": {
        "kind": "three_point", "left_mm": -80.0, "right_mm": 480.0, "third_x_mm": 220.0, "third_y_mm": 560.0,
    },
    "obtuse": {"kind": "three_point", "left_mm": -80.0, "right_mm": 480.0, "third_x_mm": 220.0, "third_y_mm": -30.0},
}  # fmt: skip


# A word whose letters stand apart, in one point; a word around the corner of a block.
ROW = {
    "kind": "letters",
    "name": "Knot",
    "text": "KNOT",
    "left": 30,
    "bottom": 30,
    "width": 50,
    "height": 60,
    "gap": 10,
}


CORNER = {
    **ROW, "layout": "corner", "left": 215, "bottom": 40, "height": 140, "left_by": "measured", "left_length": 110,
    "right_by": "measured", "right_length": 120, "slice": 15,
}  # fmt: skip


DECK = {
    "kind": "box", "name": "Deck", "left": 200.0, "bottom": 30.0, "height": 8.0, "left_by": "measured",
    "left_length": 120.0, "right_by": "measured", "right_length": 150.0,
}  # fmt: skip


def deck_in(view: str) -> dict[str, Any]:
    """Return a low box with a broad top, on which other things stand, for a kind of view."""
    if view == "two_point":
        return DECK
    if view == "one_point":
        return box("Deck", 40.0, 20.0, 150.0, 10.0, depth_by="measured", depth=90.0)
    return {**DECK, "bottom": 100.0, "left_length": 70.0, "right_length": 80.0}


LOOKS = st.sampled_from(["solid", "see_through", "open"])


def is_unheld(exercise: Exercise) -> bool:
    """Tell whether a thing hangs on nothing, such as a hidden face whose lines cross too flat to be drawn."""
    try:
        return any(isinstance(placed.standing, Unheld) for placed in prepare(exercise).things)
    except GeometryError:
        return False


def solved(exercise: Exercise) -> Solved:
    """Return it solved, or skip an example that cannot be drawn."""
    try:
        return solve(prepare(exercise))
    except GeometryError:
        assume(False)
        raise


def faces_of(exercise: Exercise, index: int = 0) -> dict[str, Panel]:
    """Return the faces of a thing, the first one, on which others can lie; nothing where it cannot be drawn."""
    try:
        placed = prepare(exercise).things[index]
        return {key: panel for key, panel in placed.standing.faces.items() if not panel.is_ground}
    except GeometryError:
        return {}


def drawn_faces_of(exercise: Exercise, index: int = 0) -> list[str]:
    """Return the faces of a thing, the first one, whose edges are drawn."""
    return [key for key, panel in faces_of(exercise, index).items() if panel.is_drawn]


def views_of(exercise: Exercise) -> list[dict[str, Any]]:
    return [view.model_dump(mode="json") for view in exercise.views]
