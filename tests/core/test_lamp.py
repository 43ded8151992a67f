"""A lamp in a room: both routes, its shadows, what is set up and told, its handles, bad input."""

import re
from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import assert_same_point, lamplit, solved
from test_shadow import IN_VIEWS, crate

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.shadow.shape import ShadowShape

LAMP = {"stands": "lamp", "aside_mm": 40.0, "height_mm": 110.0, "foot_mm": 80.0}


def furnished(*more: dict[str, Any], **lamp: float) -> Exercise:
    """A room with a chest on its floor, its shadow, and a lamp."""
    chest = {"kind": "raised_block", "name": "Chest", "joined_to": "Room", "joined_by": "face_floor", "rise": 36.0}
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Chest", "joined_by": "face_ground"}
    return exercise_of({"kind": "room", "name": "Room"}, chest, shadow, *more, sun={**LAMP, "height_mm": 60.0, **lamp})


@settings(max_examples=150, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(lamplit())
def test_every_point_of_a_shadow_by_a_lamp_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[-1]
    for name, at in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Shadow.{name}"].xy, at, name)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_the_lamp_and_the_place_under_it_are_set_up_and_the_shadow_is_found_right(view: str) -> None:
    drawing = assert_found_right(crate(view, height=24.0, sun=LAMP))
    aims = {aim.label: aim.at for aim in drawing.aims}
    lamp, foot = aims["lamp"], aims["foot of the lamp"]
    assert foot == pytest.approx((lamp[0], 150.0 - 80.0))
    assert lamp[1] == pytest.approx(150.0 + 110.0)
    (step,) = (step for step in drawing.steps if "lamp" in step.title and step.phase == "setup")
    assert "190 mm higher" in step.text
    said = [step.text for step in drawing.steps if step.thing == "Shadow"]
    assert any("away from the foot of the lamp" in text and "away from the lamp" in text for text in said)
    assert not any("sun" in text for text in said)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_edges_of_the_shadow_run_as_those_of_the_top_and_from_the_foot_of_the_lamp(view: str) -> None:
    drawing = draw(crate(view, height=24.0, sun={**LAMP, "aside_mm": 150.0}))
    aims = {aim.name: np.array(aim.at) for aim in drawing.aims}
    own = [line for line in drawing.lines if line.thing == "Shadow" and line.role == "edge"]
    from_foot = [line for line in own if "foot" in line.family]
    assert from_foot
    for line in (line for line in own if line.family in aims):
        start, end, goal = np.array(line.start), np.array(line.end), aims[line.family]
        way, to_goal = end - start, goal - start
        assert abs(way[0] * to_goal[1] - way[1] * to_goal[0]) < 1e-6 * np.linalg.norm(way) * np.linalg.norm(to_goal)


def test_a_lamp_over_a_chest_has_its_shadow_on_all_sides() -> None:
    around = furnished(aside_mm=12.0, foot_mm=83.0, height_mm=90.0)
    standing = solved(around).prepared.by_name["Shadow"].standing
    assert isinstance(standing, ShadowShape)
    assert standing.is_around
    drawing = draw(around)
    edges = {line.name for line in drawing.lines if line.thing == "Shadow" and line.role == "edge"}
    assert not [name for name in edges if name.startswith("from")], "no edge begins at a foot"
    assert len(edges) == 4


def test_a_thing_is_light_on_the_side_on_which_the_lamp_hangs() -> None:
    def tones(light: str) -> dict[str, int]:
        drawing = draw(crate("two_point", height=24.0, sun={**LAMP, "aside_mm": 150.0}, light=light))
        return {face.turned: face.tone for face in drawing.faces if face.thing == "Crate"}

    left, right = tones("left"), tones("right")
    assert left["left"] == right["right"] < left["right"] == right["left"]


def test_lamp_and_foot_are_dragged_each_by_its_handle() -> None:
    exercise = furnished()
    handles = {handle.says: handle for handle in draw(exercise).handles}
    lamp, foot = handles["Move the lamp"], handles["Move the place under the lamp"]
    moved = drag(exercise, lamp.id, 250.2, 225.0)
    assert (moved.light, moved.sun.aside_mm, moved.sun.height_mm, moved.sun.foot_mm) == ("right", 40.0, 75.0, 80.0)
    assert moved.sun.stands == "lamp", "over the eye level or under it, it stays a lamp"
    lower = drag(exercise, foot.id, 180.0, 50.0)
    assert (lower.light, lower.sun.aside_mm, lower.sun.height_mm, lower.sun.foot_mm) == ("left", 30.0, 60.0, 100.0)
    assert drag(exercise, lamp.id, 250.0, 20.0).sun.height_mm > 0


def test_the_class_reads_what_the_light_is() -> None:
    (sentence,) = (s for s in draw(furnished()).sentences if s.owner == "wording")
    said = "".join(piece.text for piece in sentence.pieces)
    assert "a lamp in the room, 40 mm beside the middle, 60 mm over the eye level" in said
    assert "the place on the floor under it 80 mm under the eye level" in said


def refused(exercise: Exercise) -> GeometryError:
    with pytest.raises(GeometryError) as found:
        draw(exercise)
    return found.value


def test_a_lamp_that_hangs_too_low_is_refused_with_a_height_that_works() -> None:
    exercise = crate("one_point", height=90.0, sun={**LAMP, "height_mm": 10.0})
    error = refused(exercise)
    assert error.code == "lamp_too_low"
    (least,) = re.findall(r"at least ([\d.]+) mm", error.fix)
    assert draw(set_at(exercise, "sun.height_mm", float(least))).lines
    assert refused(set_at(exercise, "sun.height_mm", float(least) - 3.0)).code == "lamp_too_low"


def test_a_lamp_off_the_sheet_is_refused() -> None:
    assert refused(crate("one_point", height=24.0, sun={**LAMP, "height_mm": 300.0})).code == "lamp_off_sheet"


def test_by_a_lamp_only_what_stands_on_the_floor_has_a_shadow() -> None:
    upon = {"kind": "raised_block", "name": "Book", "joined_to": "Chest", "joined_by": "face_top", "rise": 6.0}
    shade = {"kind": "shadow", "name": "Its shadow", "joined_to": "Book", "joined_by": "face_ground"}
    assert refused(furnished(upon, shade)).code == "lamp_over_floor"


@pytest.mark.parametrize(
    ("lamp", "where"), [({"aside_mm": 190.0}, "beside its floor"), ({"height_mm": 140.0}, "over its")]
)
def test_a_lamp_outside_the_room_is_said(lamp: dict[str, float], where: str) -> None:
    assert not [a for a in draw(furnished()).advice if a.code == "lamp_outside"]
    (advice,) = (a for a in draw(furnished(**lamp)).advice if a.code == "lamp_outside")
    assert where in advice.text
    (cure,) = advice.cures
    mended = furnished(**lamp)
    for edit in cure.edits:
        mended = set_at(mended, edit.path, edit.value)
    assert not [a for a in draw(mended).advice if a.code == "lamp_outside"]


@pytest.mark.parametrize("ceiling", ["none", "drawn"])
def test_a_floor_is_one_with_a_ceiling_over_it_or_without(ceiling: str) -> None:
    room = {"kind": "room", "name": "Room", "left": 210.0, "bottom": 110.0, "height": 120.0, "ceiling": ceiling}
    chest = {"kind": "raised_block", "name": "Chest", "joined_to": "Room", "joined_by": "face_floor", "rise": 20.0}
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Chest", "joined_by": "face_ground"}
    views = [{"kind": "two_point", "left_mm": -60.0, "right_mm": 480.0}]
    drawing = draw(exercise_of(room, chest, shadow, views=views, sun=LAMP))
    assert [line for line in drawing.lines if line.thing == "Shadow" and line.role == "edge"]
