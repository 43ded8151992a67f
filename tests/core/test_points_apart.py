"""The points moved apart, to be shown beside the present drawing: all is as large in the world as before."""

from typing import Any

import numpy as np
import pytest
from scenes import VIEWS, solved

from conftest import box, exercise_of
from orthopsis.core.advice.placing import APART_TIMES, points_apart
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.view.placing import corner_angle_deg

CRATE = {**box("Crate", 200.0, 60.0, 50.0, 60.0), "left_by": "measured", "left_length": 50.0, "right_by": "measured",
         "right_length": 40.0}  # fmt: skip
VIEW = {"kind": "two_point", "left_mm": 0.0, "right_mm": 420.0}


def lengths(exercise: Any) -> list[float]:
    """How long the edges of the crate are in the world, rounded to a tenth of a millimetre."""
    found = solved(exercise).seen[0].solid
    return [float(np.linalg.norm(found.places[a] - found.places[b])) for a, b in found.topology.edge_rows]


@pytest.mark.parametrize("view", [VIEW, VIEWS["two_point"], VIEWS["from_above"]])
def test_the_points_stand_farther_apart_about_the_same_middle(view: dict[str, Any]) -> None:
    crate = CRATE if view["kind"] == "two_point" else {**CRATE, "bottom": 100.0, "height": 40.0}
    before = exercise_of(crate, views=[view])
    after = points_apart(before, 0)
    one, two = before.views[0], after.views[0]
    assert two.right_mm - two.left_mm == pytest.approx(APART_TIMES * (one.right_mm - one.left_mm), abs=1.0)
    assert two.right_mm + two.left_mm == pytest.approx(one.right_mm + one.left_mm, abs=1.0)
    assert draw(after).lines


def test_what_stands_there_is_as_large_in_the_world_and_its_corner_looks_wider() -> None:
    before = exercise_of(CRATE, views=[VIEW])
    after = points_apart(before, 0)
    for one, two in zip(lengths(before), lengths(after), strict=True):
        assert two == pytest.approx(one, rel=0.02), "to the marks of the ruler"
    angles = []
    for exercise in (before, after):
        found = solved(exercise)
        goals = [found.prepared.frames[0].way(role).goal for role in ("left", "right")]
        angles.append(corner_angle_deg(found.board.points["Crate.near.bottom"], *goals))
    assert angles[1] > angles[0]


@pytest.mark.parametrize(("view", "number"), [("one_point", 0), ("two_point", 3), ("two_point", -1)])
def test_one_point_alone_has_none_to_be_apart_from(view: str, number: int) -> None:
    with pytest.raises(GeometryError) as refused:
        points_apart(exercise_of(views=[VIEWS[view]]), number)
    assert refused.value.code == "no_two_points"
