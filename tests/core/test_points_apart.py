"""The points moved apart, to be shown beside the present drawing: all is as large in the world as before."""

import itertools
from typing import Any

import numpy as np
import pytest
from scenes import VIEWS, solved

from conftest import box, exercise_of
from orthopsis.core.advice.placing import APART_TIMES, points_apart
from orthopsis.core.document.document import Exercise
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.view.placing import corner_angle_deg

CRATE = {**box("Crate", 200.0, 60.0, 50.0, 60.0), "left_by": "measured", "left_length": 50.0, "right_by": "measured",
         "right_length": 40.0}  # fmt: skip
VIEW = {"kind": "two_point", "left_mm": 0.0, "right_mm": 420.0}


def lengths(exercise: Exercise) -> list[float]:
    """How long the edges of the crate are in the world, rounded to a tenth of a millimetre."""
    found = solved(exercise).seen[0].solid
    return [float(np.linalg.norm(found.places[a] - found.places[b])) for a, b in found.topology.edge_rows]


def apart(exercise: Exercise, number: int) -> dict[tuple[str, str], float]:
    """How far the corners of a thing lie from each other in the world, mm; those on curves left out."""
    solid = solved(exercise).seen[number].solid
    at = {name: place for name, place in zip(solid.names, solid.places, strict=True) if ".curve." not in name}
    return {(a, b): float(np.linalg.norm(at[a] - at[b])) for a, b in itertools.combinations(at, 2)}


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


def test_a_room_and_what_stands_in_it_keep_their_shape_too() -> None:
    """All edges of the room, a block, a round body, a cone and a table, by their lengths in the eye's world."""
    room = {"kind": "room", "name": "Room", "left": 210.0, "bottom": 70.0, "height": 90.0, "left_length": 100.0,
            "right_length": 90.0}  # fmt: skip
    things = [{"kind": "raised_block", "name": "Block", "along": "1:2:5", "up": "1:2:5"},
              {"kind": "round_body", "name": "Tub", "along": "5:2:1", "up": "1:2:5"},
              {"kind": "round_body", "name": "Cone", "along": "1:2:5", "up": "5:2:1", "form": "cone"},
              {"kind": "table", "name": "Table", "along": "5:2:1", "up": "5:2:1", "thick": 6.0}]  # fmt: skip
    on_floor = {"joined_to": "Room", "joined_by": "face_floor", "rise": 36.0}
    before = exercise_of(room, *({**thing, **on_floor} for thing in things), views=[VIEW])
    after = points_apart(before, 0)
    for number, thing in enumerate(before.things):
        one, two = apart(before, number), apart(after, number)
        for pair in one.keys() & two.keys():
            assert two[pair] == pytest.approx(one[pair], rel=0.03, abs=1.5), (thing.name, pair)


@pytest.mark.parametrize(("view", "number"), [("one_point", 0), ("two_point", 3), ("two_point", -1)])
def test_one_point_alone_has_none_to_be_apart_from(view: str, number: int) -> None:
    with pytest.raises(GeometryError) as refused:
        points_apart(exercise_of(views=[VIEWS[view]]), number)
    assert refused.value.code == "no_two_points"
