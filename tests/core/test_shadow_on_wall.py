"""Shadows that climb the wall of a room: both routes, what is true of them, what is told."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, assume, given, settings
from scenes import assert_same_point, beside_walls, solved

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import DrawnLine
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.shadow.outline import climb_of
from orthopsis.core.things.shadow.shape import ShadowShape

SHADOW = {"kind": "shadow", "name": "Shadow", "joined_to": "Chest", "joined_by": "face_ground"}
ROOM = {
    "kind": "room",
    "name": "Room",
    "left": 30.0,
    "bottom": 24.0,
    "width": 360.0,
    "height": 240.0,
    "ceiling": "drawn",
}


def chest(along: str, up: str, rise: float = 60.0, **sheet: Any) -> Exercise:
    """A room with a chest, so far from the frame and from the left wall, and its shadow."""
    place = {"joined_to": "Room", "joined_by": "face_floor", "along": along, "up": up}
    block = {"kind": "raised_block", "name": "Chest", "rise": rise, **place}
    return exercise_of(ROOM, block, SHADOW, views=[{"kind": "one_point", "x_mm": 210.0}], **sheet)


def by_right_wall(**sheet: Any) -> Exercise:
    """A chest beside the right wall, in light from the left."""
    return chest("5:3:4", "8:2:2", 70.0, **sheet)


def before_back_wall(**sheet: Any) -> Exercise:
    """A chest before the back wall, with the sun behind the viewer."""
    sun = {"stands": "behind", "aside_mm": 60.0, "height_mm": 60.0}
    return chest("7:2:3", "5:2:5", sun=sun, **sheet)


def standing(exercise: Exercise) -> ShadowShape:
    """The shadow where it falls."""
    found = solved(exercise).prepared.by_name["Shadow"].standing
    assert isinstance(found, ShadowShape)
    return found


def edges(exercise: Exercise) -> list[DrawnLine]:
    """Its edges, seen or hidden."""
    return [line for line in draw(exercise).lines if line.thing == "Shadow" and line.role == "edge"]


@settings(max_examples=200, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(beside_walls())
def test_every_corner_on_floor_and_wall_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[-1]
    for name, at in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Shadow.{name}"].xy, at, name)


@settings(max_examples=120, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(beside_walls())
def test_on_the_wall_each_corner_is_in_one_line_with_its_top_and_the_light(exercise: Exercise) -> None:
    """In truth: from the top through the corner on the wall the ray goes on to the corner on the floor beyond."""
    shadow = standing(exercise)
    climb = shadow.climb
    assume(climb is not None)
    assert climb is not None
    tops = shadow.feet + shadow.up
    outward, start = np.array(climb.wall.outward), np.array(climb.wall.start)
    for vertex, place in climb.places.items():
        size = float(np.abs(place).max())
        assert abs((place - start) @ outward) < 1e-9 * size, "it lies on the wall"
        if vertex.kind == "on_wall":
            (corner,) = vertex.corners
            ray, there = shadow.shades[corner] - tops[corner], place - tops[corner]
            assert np.linalg.norm(np.cross(ray, there)) < 1e-9 * np.linalg.norm(ray) * size
        else:
            assert abs((place - shadow.feet[0]) @ shadow.up) < 1e-9 * size * np.linalg.norm(shadow.up), "on the floor"


@pytest.mark.parametrize("make", [by_right_wall, before_back_wall])
def test_it_is_told_and_found_right(make: Any) -> None:
    drawing = assert_found_right(make())
    steps = [step for step in drawing.steps if step.thing == "Shadow"]
    wall = standing(make()).climb.wall.says  # type: ignore[union-attr]
    (climbs,) = (step for step in steps if step.short == f"up the {wall}")
    assert "upright up the wall, to the ray from the same corner" in climbs.text
    assert climbs.draws, "the uprights are drawn"
    assert "up the wall, and from corner to corner" in steps[-1].text
    assert not [advice for advice in drawing.advice if advice.code == "shadow_over_edge"]


def test_by_light_from_the_side_it_goes_straight_up_the_side_wall() -> None:
    uprights = [line for line in edges(by_right_wall()) if line.name.startswith("up.")]
    assert len(uprights) == 2
    for line in uprights:
        assert line.start[0] == pytest.approx(line.end[0])
        assert line.end[1] > line.start[1]
    (upper,) = (line for line in edges(by_right_wall()) if line.name.startswith("wall."))
    goal = np.array([210.0, 150.0])
    way, aim = np.array(upper.end) - upper.start, goal - upper.start
    assert abs(way[0] * aim[1] - way[1] * aim[0]) < 1e-6 * np.linalg.norm(way) * np.linalg.norm(aim)


def test_it_is_two_areas_of_which_the_one_on_the_wall_contrasts_with_the_wall() -> None:
    for exercise in (by_right_wall(), before_back_wall()):
        faces = {(face.thing, face.turned): face for face in draw(exercise).faces}
        assert ("Shadow", "shadow") in faces
        on_wall = faces["Shadow", "shadow_on_wall"]
        wall = standing(exercise).climb.wall  # type: ignore[union-attr]
        (tone,) = (face.tone for face in draw(exercise).faces if face.thing == "Room" and face.turned == wall.turned)
        assert on_wall.tone > tone


def test_the_chest_lies_before_its_shadow_where_they_overlap() -> None:
    order = [face.thing for face in draw(by_right_wall()).faces]
    last = {thing: len(order) - 1 - order[::-1].index(thing) for thing in set(order)}
    assert last["Room"] < last["Shadow"] < last["Chest"]


@pytest.mark.parametrize("aside", [20.0, 90.0, 150.0])
def test_of_a_chest_that_stands_at_the_wall_the_shadow_goes_up_from_its_foot(aside: float) -> None:
    """Nothing of it lies on the floor between foot and wall: there is no edge, and the drawing is not refused."""
    lamp = {"stands": "lamp", "aside_mm": aside, "height_mm": 80.0, "foot_mm": 100.0}
    exercise = chest("5:3:4", "0:2:10", 50.0, sun=lamp, light="right")
    found = solved(exercise)
    for name, at in found.seen[-1].solid.picture(found.seen[-1].eye).items():
        assert_same_point(found.board.points[f"Shadow.{name}"].xy, at, name)
    names = {line.name for line in edges(exercise)}
    assert {"from.2", "up.2", "up.0"} <= names
    assert "from.0" not in names
    assert_found_right(exercise)


def test_away_from_all_walls_it_stays_on_the_floor() -> None:
    exercise = chest("5:3:4", "2:2:8", 30.0)
    assert standing(exercise).climb is None
    assert not [line for line in edges(exercise) if line.name.startswith(("up.", "wall."))]


def test_where_it_reaches_two_walls_it_is_only_said() -> None:
    sun = {"stands": "behind", "aside_mm": 200.0, "height_mm": 60.0}
    exercise = chest("9:2:1", "9:2:1", 70.0, sun=sun, light="left")
    assert standing(exercise).climb is None
    assert {"shadow_over_edge", "shadow_climbs"} & {advice.code for advice in draw(exercise).advice}


@pytest.mark.parametrize("off_mm", [0.0, -1e-13, 1e-13])
def test_the_last_digit_of_a_number_does_not_decide_whether_it_climbs(off_mm: float) -> None:
    """A block that stands at the wall is not behind it, nor is a shadow that ends at its foot beyond it."""
    shadow = standing(by_right_wall())
    assert shadow.climb is not None
    wall, up, shades = shadow.climb.wall, shadow.up, shadow.shades
    out = np.array(wall.outward)
    before = (shadow.feet - np.array(wall.start)) @ out
    at_wall = shadow.feet - out * (before.min() - off_mm)
    moved = at_wall + (shades - shadow.feet)
    climbed = climb_of([wall], at_wall, up, moved, shadow.pairs)
    assert climbed is not None
    assert all(climbed.is_beyond(i) for i in shadow.chain)
    behind = (moved - np.array(wall.start)) @ out
    ends = moved - out * (behind.min() - off_mm)
    assert climb_of([wall], ends - (moved - at_wall), up, ends, shadow.pairs) is None


@pytest.mark.parametrize("along", ["2:1:0", "6:6:0", "0:1:2"])
@pytest.mark.parametrize("up", ["3:1:0", "0:1:3", "3:2:2"])
@pytest.mark.parametrize("light", ["left", "right"])
def test_of_a_chest_against_a_wall_what_falls_on_the_floor_is_a_mere_line(along: str, up: str, light: str) -> None:
    """It is drawn all the same, in one grey; whichever way its corners run round on the page."""
    drawing = draw(chest(along, up, 92.0, light=light))
    assert len({face.tone for face in drawing.faces if face.thing == "Shadow"}) <= 1
