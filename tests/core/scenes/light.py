"""Suns and lamps, and shadows on the ground."""

from typing import Any

from hypothesis import assume
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.things.round_body.shape import FORMS as ROUND_FORMS
from orthopsis.core.things.round_body.shape import NARROW
from scenes.alone import exercises
from scenes.base import VIEWS, deck_in, drawn_faces_of, faces_of, is_unheld, views_of
from scenes.furniture import corner_rooms, rooms, round_bodies
from scenes.roofs import hipped, roofed


@st.composite
def suns(draw: Any) -> dict[str, Any]:
    """Return where the light of a sheet stands, as fields of the document."""
    stands = draw(st.sampled_from(["beside", "ahead", "behind", "lamp"]))
    if stands == "lamp":
        return draw(lamps())
    place = {"aside_mm": draw(st.floats(0.0, 250.0)), "height_mm": draw(st.floats(40.0, 500.0))}
    side = {"light": draw(st.sampled_from(["left", "right"])), "rays": draw(st.sampled_from(["30", "45", "60"]))}
    return {**side, "sun": {"stands": stands, **place}}


@st.composite
def lamps(draw: Any) -> dict[str, Any]:
    """Return where a lamp hangs and the place under it, as fields of the document."""
    place = {"aside_mm": draw(st.floats(0.0, 200.0)), "height_mm": draw(st.floats(10.0, 140.0))}
    sun = {"stands": "lamp", **place, "foot_mm": draw(st.floats(20.0, 140.0))}
    return {"light": draw(st.sampled_from(["left", "right"])), "sun": sun}


@st.composite
def lamplit(draw: Any) -> Exercise:
    """Return a room, a block or a round body on its floor, and the shadow of that by a lamp."""
    room = draw(st.one_of(rooms(more=0), corner_rooms(more=0)))
    part = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "1:5:2"])
    place = {"name": "Body", "joined_to": "Room", "joined_by": "face_floor", "along": draw(part), "up": draw(part)}
    body = draw(st.sampled_from(["raised_block", "round_body"]))
    size: dict[str, Any] = {"kind": body, "rise": draw(st.floats(3.0, 60.0))}
    if body == "round_body":
        size |= {"form": draw(st.sampled_from(sorted(ROUND_FORMS))), "narrow": draw(st.sampled_from(sorted(NARROW)))}
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Body", "joined_by": "face_ground"}
    things = [room.things[0].model_dump(mode="json"), {**place, **size}, shadow]
    made = exercise_of(*things, views=views_of(room), **draw(lamps()))
    assume(not is_unheld(made))
    return made


@st.composite
def beside_walls(draw: Any) -> Exercise:
    """Return a room, a block on its floor near a wall, and the shadow of that by any light: it may climb the wall."""
    room = draw(st.one_of(rooms(more=0), corner_rooms(more=0)))
    part = st.sampled_from(["6:2:1", "1:2:6", "8:1:1", "2:1:2", "1:3:1"])
    place = {"name": "Body", "joined_to": "Room", "joined_by": "face_floor", "along": draw(part), "up": draw(part)}
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Body", "joined_by": "face_ground"}
    body = {"kind": "raised_block", "rise": draw(st.floats(5.0, 90.0)), **place}
    made = exercise_of(room.things[0].model_dump(mode="json"), body, shadow, views=views_of(room), **draw(suns()))
    assume(not is_unheld(made))
    return made


@st.composite
def shadowed(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a box on the ground, or a block on that, and its shadow."""
    exercise = draw(exercises(most=1, views=views))
    box = exercise.things[0]
    assume(box.bottom < exercise.eye_level.height_mm - 5 and "bottom" in faces_of(exercise))
    things, host = [box.model_dump(mode="json")], "Box 1"
    if draw(st.booleans()) and "top" in drawn_faces_of(exercise):
        part, host = st.sampled_from(["1:2:1", "0:3:1", "3:2:5"]), "Upon"
        place = {"name": host, "joined_to": "Box 1", "joined_by": "face_top", "along": draw(part), "up": draw(part)}
        things.append({"kind": "raised_block", **place, "rise": draw(st.floats(4.0, 60.0))})
    things.append({"kind": "shadow", "name": "Shadow", "joined_to": host, "joined_by": "face_ground"})
    made = exercise_of(*things, views=views_of(exercise), **draw(suns()))
    assume(not is_unheld(made))
    return made


@st.composite
def roof_shadowed(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a house on the ground with a roof, mostly a gable or a hip roof, and its shadow."""
    exercise = draw(st.one_of(roofed(views=views), hipped(views=views)))
    house = exercise.things[0]
    assume(house.bottom < exercise.eye_level.height_mm - 5 and "bottom" in faces_of(exercise))
    things = [thing.model_dump(mode="json") for thing in exercise.things]
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Box 1", "joined_by": "face_ground"}
    made = exercise_of(*things, shadow, views=views_of(exercise), **draw(suns()))
    assume(not is_unheld(made))
    return made


@st.composite
def round_shadowed(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a box anywhere whose top is seen, a round body on it, and the shadow of that."""
    exercise = draw(round_bodies(views=views))
    things = [thing.model_dump(mode="json") for thing in exercise.things[:2]]
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Round 0", "joined_by": "face_ground"}
    made = exercise_of(
        *things[:1], {**things[1], "joined_to": "Box 1"}, shadow, views=views_of(exercise), **draw(suns())
    )
    assume(not is_unheld(made))
    return made


FACE_OF = {"raised_block": "ground", "stairs": "steps", "ramp": "slope"}
"""On which of their faces the shadow lies that falls upon things, by their kind."""


@st.composite
def falling(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a wide deck or a room, in it a post and a block, stairs or a ramp, its shadow, and what falls there."""
    view, light = draw(st.sampled_from(views)), draw(suns())
    if light["sun"]["stands"] == "lamp":
        room = draw(st.one_of(rooms(more=0), corner_rooms(more=0)))
        host, face, drawn = room.things[0].model_dump(mode="json"), "floor", views_of(room)
    else:
        host, face, drawn = {**deck_in(view), **draw(_wide(view))}, "top", [VIEWS[view]]
    on_deck = {"joined_to": host["name"], "joined_by": f"face_{face}"}
    rows = [("1:1:8", "4:5:1"), ("2:1:7", "4:6:0"), ("0:2:8", "3:4:3"), ("8:1:1", "1:4:5"), ("7:2:1", "0:5:5")]
    beside = st.sampled_from([("4:1:5", "1:8:1"), ("2:2:6", "1:5:4"), ("3:1:6", "2:6:2"), ("6:1:3", "0:8:2")])
    ways = [draw(st.sampled_from(rows)), draw(beside)]
    ways = ways if draw(st.booleans()) else ways[::-1]
    lies = [dict(zip(("along", "up"), way, strict=True)) for way in zip(*ways, strict=True)]
    post = {"kind": "raised_block", "name": "Post", "rise": draw(st.floats(10.0, 90.0)), **on_deck, **lies[0]}
    other: dict[str, Any] = {"name": "Other", "rise": draw(st.floats(4.0, 60.0)), **on_deck, **lies[1]}
    other["kind"] = draw(st.sampled_from(sorted(FACE_OF)))
    if other["kind"] != "raised_block":
        other["climbs"] = draw(st.sampled_from(["along", "up"]))
    if other["kind"] == "stairs":
        other["steps"] = str(draw(st.integers(2, 4)))
    stands = FACE_OF[other["kind"]]
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Post", "joined_by": "face_ground"}
    upon = {"kind": "fallen_shadow", "name": "Upon", "joined_to": "Other", "joined_by": f"face_{stands}"}
    made = exercise_of(host, other, post, shadow, upon, views=drawn, **light)
    assume(not is_unheld(made))
    return made


@st.composite
def _wide(draw: Any, view: str) -> dict[str, Any]:
    """Return how large a deck is: of the one in each view, the lengths of its sides."""
    if view == "one_point":
        return {"width": draw(st.floats(150.0, 260.0)), "depth": draw(st.floats(30.0, 80.0))}
    return {f"{side}_length": draw(st.floats(60.0, 150.0)) for side in ("left", "right")}


@st.composite
def tables_in_light(draw: Any) -> Exercise:
    """Return a table on a deck or on the floor of a room, and its shadow by any light."""
    light, view = draw(suns()), draw(st.sampled_from(["one_point", "two_point", "two_point_free"]))
    if light["sun"]["stands"] == "lamp":
        room = draw(st.one_of(rooms(more=0), corner_rooms(more=0)))
        host, face, views = room.things[0].model_dump(mode="json"), "floor", views_of(room)
    else:
        host, face, views = {**deck_in(view), **draw(_wide(view))}, "top", [VIEWS[view]]
    part, rise = st.sampled_from(["1:2:1", "0:3:1", "3:2:5", "2:3:3"]), draw(st.floats(8.0, 80.0))
    table = {
        "kind": "table", "name": "Table", "joined_to": host["name"], "joined_by": f"face_{face}", "along": draw(part),
        "up": draw(part), "rise": rise, "thick": rise * draw(st.floats(0.05, 0.4)),
        "legs": draw(st.sampled_from(["tenth", "eighth", "sixth", "fifth"])),
    }  # fmt: skip
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Table", "joined_by": "face_ground"}
    made = exercise_of(host, table, shadow, views=views, **light)
    assume(not is_unheld(made))
    return made
