"""What rises from its plan: blocks, tables, stairs, round bodies; and rooms with it."""

from typing import Any

from hypothesis import assume
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.things.round_body.bands import BANDS
from orthopsis.core.things.round_body.shape import FORMS as ROUND_FORMS
from orthopsis.core.things.round_body.shape import INSIDE, NARROW
from orthopsis.core.things.table.shape import LEGS as TABLE_LEGS
from scenes.alone import exercises
from scenes.base import VIEWS, deck_in, drawn_faces_of, faces_of, is_unheld, views_of
from scenes.on_faces import FIGURES


@st.composite
def raised(draw: Any, views: tuple[str, ...] = tuple(VIEWS), more: tuple[str, ...] = ("", "roof", "wall")) -> Exercise:
    """Return a box anywhere, a block raised on its top, and on that nothing, a hip roof, or windows on a wall."""
    exercise = draw(exercises(most=1, views=views))
    host = exercise.things[0].model_dump(mode="json")
    assume("top" in drawn_faces_of(exercise))
    part = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "0:1:0", "3:2:5"])
    block = {
        "kind": "raised_block", "name": "Upon", "joined_to": "Box 1", "joined_by": "face_top",
        "along": draw(part), "up": draw(part), "rise": draw(st.floats(2.0, 90.0)),
        "reach": draw(st.sampled_from(["measured", "edge"])),
    }  # fmt: skip
    things, over = [host, block], draw(st.sampled_from(more))
    made = exercise_of(*things, views=views_of(exercise))
    walls = sorted(set(faces_of(made, 1)) - {"top"})
    if over == "roof":
        things.append({"kind": "hip_roof", "name": "Over", "joined_to": "Upon", "joined_by": "face_top", "rise": 20.0})
    elif over == "wall" and walls:
        wall = draw(st.sampled_from(walls))
        kind = draw(st.sampled_from([{"kind": "rectangles", "columns": "2"}, {"kind": "gable_roof", "rise": 18.0}]))
        things.append({**kind, "name": "Over", "joined_to": "Upon", "joined_by": f"face_{wall}"})
    made = exercise_of(*things, views=views_of(exercise))
    assume(not is_unheld(made))
    return made


@st.composite
def carved(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere, or a block raised on one, from which a figure on one of its walls is carved."""
    exercise = draw(raised(views=views, more=("",))) if draw(st.booleans()) else draw(exercises(most=1, views=views))
    things = [thing.model_dump(mode="json") for thing in exercise.things]
    faces = sorted(drawn_faces_of(exercise, len(things) - 1))
    assume(faces)
    figure = {
        "kind": "figure", "name": "Mark", "joined_to": things[-1]["name"], "relief": "carved",
        "joined_by": f"face_{draw(st.sampled_from(faces))}", "outline": FIGURES[draw(st.sampled_from(sorted(FIGURES)))],
    }  # fmt: skip
    if len(things) > 1:
        things[1]["joined_to"] = things[0]["name"]
    made = exercise_of(*things, figure, views=views_of(exercise))
    assume(not is_unheld(made))
    return made


@st.composite
def tables(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free", "from_above")) -> Exercise:
    """Return a box anywhere whose top is seen, and a table on it."""
    exercise = draw(exercises(most=1, views=views))
    assume("top" in drawn_faces_of(exercise))
    part, rise = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "3:2:5"]), draw(st.floats(6.0, 80.0))
    table = {
        "kind": "table", "name": "Table", "joined_to": "Box 1", "joined_by": "face_top", "along": draw(part),
        "up": draw(part), "rise": rise, "thick": draw(st.floats(0.5, rise - 2.0)),
        "legs": draw(st.sampled_from(sorted(TABLE_LEGS))), "reach": draw(st.sampled_from(["measured", "edge"])),
        "rest": draw(st.sampled_from(["none", "none", "quarter", "third", "half"])),
    }  # fmt: skip
    made = exercise_of(exercise.things[0].model_dump(mode="json"), table, views=views_of(exercise))
    assume(not is_unheld(made))
    return made


@st.composite
def round_bodies(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere whose top is seen, a round body on it, and perhaps another one on that."""
    exercise = draw(exercises(most=1, views=views))
    assume("top" in drawn_faces_of(exercise))
    things, part = [exercise.things[0].model_dump(mode="json")], st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "0:1:0"])
    for number, host in enumerate(["Box 1", "Round 0"][: draw(st.integers(1, 2))]):
        place = {"name": f"Round {number}", "joined_to": host, "joined_by": "face_top"}
        form = {"form": draw(st.sampled_from(sorted(ROUND_FORMS))), "narrow": draw(st.sampled_from(sorted(NARROW)))}
        inside = draw(st.sampled_from(sorted(INSIDE)))
        size = {"along": draw(part), "up": draw(part), "rise": draw(st.floats(4.0, 80.0))}
        bands = {"bands": draw(st.sampled_from(sorted(BANDS)))}
        things.append({"kind": "round_body", **place, **form, **size, "inside": inside, **bands})
    made = exercise_of(*things, views=views_of(exercise))
    assume(not is_unheld(made))
    return made


@st.composite
def round_windowed(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a cylinder on a box, or a round shape in one point, and windows that curve with its wall."""
    view = draw(st.sampled_from(views))
    if view == "one_point" and draw(st.booleans()):
        wide, tall = draw(st.floats(20.0, 90.0)), draw(st.floats(20.0, 90.0))
        loop = [[x, y, wide / 2, tall / 2] for x, y in ((0.0, 0.0), (wide, 0.0), (wide, tall), (0.0, tall))]
        left, bottom = draw(st.floats(5.0, 330.0)), draw(st.floats(5.0, 200.0))
        shape = {"kind": "profile", "name": "Round", "outline": [loop], "left": left, "bottom": bottom}
        things = [{**shape, "depth_by": "measured", "depth": draw(st.floats(10.0, 60.0))}]
    else:
        deck = deck_in(view)
        size = {"along": draw(st.sampled_from(["1:2:1", "0:3:1", "2:1:0"])), "up": "1:2:1", "rise": 40.0}
        body = {"kind": "round_body", "name": "Round", "joined_to": deck["name"], "joined_by": "face_top", **size}
        things = [deck, {**body, "inside": draw(st.sampled_from(sorted(INSIDE)))}]
    made = exercise_of(*things, views=[VIEWS[view]])
    walls = sorted(key for key in faces_of(made, len(things) - 1) if key.startswith("round_"))
    assume(walls)
    part = st.sampled_from(["1:2:1", "1:6:1", "2:3:5", "5:2:1", "0:2:5"])
    windows = {
        "kind": "round_windows", "name": "Windows", "joined_to": "Round",
        "joined_by": f"face_{draw(st.sampled_from(walls))}", "along": draw(part), "up": draw(part),
        "columns": draw(st.sampled_from(["1", "2", "4"])), "rows": draw(st.sampled_from(["1", "2"])),
        "wide": draw(st.sampled_from(["half", "whole"])), "tall": draw(st.sampled_from(["half", "whole"])),
    }  # fmt: skip
    return exercise_of(*things, windows, views=[VIEWS[view]])


@st.composite
def flights(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a box anywhere whose top is seen, and stairs on it."""
    exercise = draw(exercises(most=1, views=views))
    assume("top" in drawn_faces_of(exercise))
    part = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "3:2:5"])
    stairs = {
        "kind": "stairs", "name": "Stairs", "joined_to": "Box 1", "joined_by": "face_top", "along": draw(part),
        "up": draw(part), "rise": draw(st.floats(6.0, 120.0)), "steps": str(draw(st.integers(2, 7))),
        "climbs": draw(st.sampled_from(["along", "up"])), "reach": draw(st.sampled_from(["measured", "edge"])),
        "over_by": draw(st.sampled_from(["carried", "slope"])),
        "string": draw(st.sampled_from(["none", "sides"])),
    }  # fmt: skip
    made = exercise_of(exercise.things[0].model_dump(mode="json"), stairs, views=views_of(exercise))
    assume(not is_unheld(made))
    return made


@st.composite
def ramps(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a box anywhere whose top is seen, and a ramp on it."""
    exercise = draw(exercises(most=1, views=views))
    assume("top" in drawn_faces_of(exercise))
    part = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "3:2:5"])
    ramp = {
        "kind": "ramp", "name": "Ramp", "joined_to": "Box 1", "joined_by": "face_top", "along": draw(part),
        "up": draw(part), "rise": draw(st.floats(3.0, 120.0)), "climbs": draw(st.sampled_from(["along", "up"])),
        "reach": draw(st.sampled_from(["measured", "edge"])),
    }  # fmt: skip
    made = exercise_of(exercise.things[0].model_dump(mode="json"), ramp, views=views_of(exercise))
    assume(not is_unheld(made))
    return made


@st.composite
def railed(draw: Any) -> Exercise:
    """Return stairs on a box, and a handrail along them."""
    stairs = draw(flights())
    rail = {
        "kind": "handrail", "name": "Handrail", "joined_to": "Stairs", "joined_by": "face_steps",
        "high": draw(st.floats(4.0, 90.0)), "posts": draw(st.sampled_from(["1", "2", "3"])),
        "bars": draw(st.sampled_from(["one", "two"])), "on": draw(st.sampled_from(["near", "both"])),
    }  # fmt: skip
    made = exercise_of(*(thing.model_dump(mode="json") for thing in stairs.things), rail, views=views_of(stairs))
    assume(not is_unheld(made))
    return made


@st.composite
def rooms(draw: Any, more: int = 2) -> Exercise:
    """Return a room that one looks into, and on its faces blocks, windows, niches and boards."""
    left, bottom = draw(st.integers(10, 120)), draw(st.integers(10, 90))
    room = {
        "kind": "room", "name": "Room", "left": left, "bottom": bottom,
        "width": draw(st.integers(220 - left, 400 - left)), "height": draw(st.integers(160 - bottom, 285 - bottom)),
        "depth_by": draw(st.sampled_from(["measured", "half"])), "depth": draw(st.floats(5.0, 120.0)),
        "depth_corner": draw(st.sampled_from(["auto", "bottom_left", "top_right"])),
    }  # fmt: skip
    part, things = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "1:5:2"]), [room]
    for number in range(draw(st.integers(0, more))):
        place = {"name": f"Thing {number}", "joined_to": "Room", "along": draw(part), "up": draw(part)}
        if draw(st.booleans()):
            reach = {"reach": draw(st.sampled_from(["measured", "ceiling"]))}
            block = {"kind": "raised_block", "joined_by": "face_floor", "rise": draw(st.floats(3.0, 60.0))}
            things.append({**place, **block, **reach})
        else:
            face = draw(st.sampled_from(["floor", "ceiling", "left_wall", "right_wall", "back_wall"]))
            flat = {"kind": "rectangles", "joined_by": f"face_{face}", "columns": draw(st.sampled_from(["1", "2"]))}
            relief = {
                "relief": draw(st.sampled_from(["flat", "in", "out", "open"])),
                "deep": draw(st.floats(1.0, 12.0)),
            }
            things.append({**place, **flat, **relief})
    made = exercise_of(*things, views=[VIEWS["one_point"]])
    assume(not is_unheld(made))
    return made


@st.composite
def corner_rooms(draw: Any, more: int = 2) -> Exercise:
    """Return a room about its back corner, and on its faces blocks, windows, niches and boards."""
    view = draw(st.sampled_from(["two_point", "two_point_free"]))
    room = {
        "kind": "room", "name": "Room", "left": draw(st.integers(150, 280)), "bottom": draw(st.integers(60, 140)),
        "height": draw(st.integers(20, 150)), "left_length": draw(st.floats(10.0, 120.0)),
        "right_length": draw(st.floats(10.0, 120.0)), "ceiling": draw(st.sampled_from(["none", "drawn"])),
    }  # fmt: skip
    part, things = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "1:5:2"]), [room]
    for number in range(draw(st.integers(0, more))):
        place = {"name": f"Thing {number}", "joined_to": "Room", "along": draw(part), "up": draw(part)}
        if draw(st.booleans()):
            reach = {"reach": draw(st.sampled_from(["measured", "ceiling"]))}
            block = {"kind": "raised_block", "joined_by": "face_floor", "rise": draw(st.floats(3.0, 60.0))}
            things.append({**place, **block, **reach})
        else:
            face = draw(st.sampled_from(["floor", "left_wall", "right_wall"]))
            relief = {
                "relief": draw(st.sampled_from(["flat", "in", "out", "open"])),
                "deep": draw(st.floats(1.0, 12.0)),
            }
            things.append({**place, "kind": "rectangles", "joined_by": f"face_{face}", "columns": "1", **relief})
    made = exercise_of(*things, views=[VIEWS[view]])
    assume(not is_unheld(made))
    return made
