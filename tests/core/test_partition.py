"""Blocks as high as the room: partitions and posts, their height carried over floor, wall and ceiling."""

from typing import Any

import pytest
from found_right import assert_found_right
from scenes import VIEWS, assert_same_point, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw

ROOMS: dict[str, dict[str, Any]] = {
    "one_point": {"left": 30.0, "bottom": 20.0, "width": 360.0, "height": 252.0, "depth_by": "measured",
                  "depth": 118.0},
    "two_point": {"left": 210.0, "bottom": 100.0, "height": 90.0, "left_length": 100.0, "right_length": 90.0,
                  "ceiling": "drawn"},
}  # fmt: skip


def partition(view: str, **values: Any) -> Exercise:
    """A room, and in it a block that reaches up to the ceiling."""
    room = {"kind": "room", "name": "Room", **ROOMS[view]}
    wall = {"kind": "raised_block", "name": "Partition", "joined_to": "Room", "joined_by": "face_floor",
            "along": "4:1:4", "up": "1:4:7", "reach": "ceiling"}  # fmt: skip
    return exercise_of(room, {**wall, **values}, views=[VIEWS[view]])


@pytest.mark.parametrize("view", sorted(ROOMS))
@pytest.mark.parametrize(("along", "up"), [("4:1:4", "0:4:8"), ("1:1:6", "7:1:4"), ("7:1:0", "1:1:1")])
def test_its_top_lies_on_the_ceiling_by_both_routes(view: str, along: str, up: str) -> None:
    found = solved(partition(view, along=along, up=up))
    room, block = (dict(zip(s.solid.names, s.solid.places, strict=True)) for s in found.seen)
    ceiling = max(place[1] for place in room.values())
    assert [block[f"top.{i}"][1] for i in range(4)] == pytest.approx([ceiling] * 4)
    for name, at in found.seen[1].solid.picture(found.seen[1].eye).items():
        made = found.board.points.get(f"Partition.{name}")
        if made is not None:
            assert_same_point(made.xy, at, name)
    assert found.board.points["Partition.top.0"] is not None


@pytest.mark.parametrize("view", sorted(ROOMS))
def test_a_finished_one_is_found_right_and_its_height_is_carried_over_the_room(view: str) -> None:
    drawing = assert_found_right(partition(view))
    titles = [step.title for step in drawing.steps if step.thing == "Partition"]
    assert "Partition: its first upright, up to the ceiling" in titles
    assert not any(handle.id == "things.1.rise" for handle in drawing.handles)
    assert "up to the ceiling" in "".join(piece.text for piece in drawing.sentences[-1].pieces)
    measured = draw(partition(view, reach="measured", rise=30.0))
    assert any(handle.id == "things.1.rise" for handle in measured.handles)


@pytest.mark.parametrize("host", ["deck", "open room"])
def test_without_a_ceiling_it_is_refused_at_its_place(host: str) -> None:
    if host == "deck":
        deck = box("Room", 40.0, 20.0, 150.0, 10.0, depth_by="measured", depth=90.0)
        wall = partition("one_point").things[1].model_dump(mode="json")
        exercise = exercise_of(deck, {**wall, "joined_to": "Room", "joined_by": "face_top"}, views=[VIEWS["one_point"]])
    else:
        exercise = set_at(partition("two_point"), "things.0.ceiling", "none")
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("no_ceiling", "things.1.reach")
    assert draw(set_at(exercise, "things.1.reach", refused.value.nearest)).lines


def test_straight_under_the_point_it_is_refused_with_a_place_that_works() -> None:
    exercise = partition("one_point", up="3:1:2", along="4:1:4")
    left, width = ROOMS["one_point"]["left"], ROOMS["one_point"]["width"]
    assert left + width * 0.5 == 210.0, "its first corner lies under the point"
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert refused.value.code == "seen_edge_on"
    assert draw(set_at(exercise, refused.value.about, refused.value.nearest)).lines
