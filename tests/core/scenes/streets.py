"""Roads, rails, people and trees, rows."""

from typing import Any

from hypothesis import assume
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.things.road.side_street import BRANCHES
from orthopsis.core.things.round_land.land import RIMS
from orthopsis.core.things.silhouette.outlines import OUTLINES
from orthopsis.core.things.silhouette.shape import SHARES, TALL_BY
from scenes.alone import _corner_boxes, _front_boxes, exercises
from scenes.base import VIEWS, is_unheld, views_of


@st.composite
def roads(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free", "from_above")) -> Exercise:
    """Return an exercise with a road over the ground and a box that may stand on it."""
    view = draw(st.sampled_from(views))
    boxes = _front_boxes if view == "one_point" else _corner_boxes
    road = {
        "kind": "road",
        "name": "Road",
        "left": draw(st.integers(0, 260)) + 0.37,
        "bottom": draw(st.sampled_from([0, 0, 12.5, 40])),
        "width": draw(st.integers(10, 160)),
        "to": draw(st.sampled_from(["left", "right"])),
        "dashes": draw(st.sampled_from(["none", "2", "5"])),
        "dash": draw(st.integers(2, 20)),
        "dashes_by": draw(st.sampled_from(["diagonal", "eye"])),
        "crossing": draw(st.sampled_from(["none", "3", "6"])),
        "cross_at": draw(st.integers(5, 30)),
        "cross_deep": draw(st.integers(2, 12)),
        "branch": draw(st.sampled_from(sorted(BRANCHES))),
        "branch_at": draw(st.integers(5, 40)),
        "branch_deep": draw(st.integers(2, 20)),
    }
    if draw(st.booleans()):  # a pavement has room on the sheet
        road |= {
            "beside": "both",
            "branch": "none",
            "left": draw(st.integers(30, 180)),
            "pave": draw(st.integers(3, 30)),
            "kerb": 3,
        }
    return exercise_of(road, draw(boxes("Box 1", view)), views=[VIEWS[view]])


@st.composite
def tracks(draw: Any) -> Exercise:
    """Return an exercise with rails to the point and a box that may stand on them."""
    rails = {
        "kind": "rails",
        "name": "Rails",
        "left": draw(st.integers(40, 220)) + 0.37,
        "bottom": draw(st.integers(8, 60)) + 0.41,
        "gauge": draw(st.integers(20, 100)),
        "rail": draw(st.integers(2, 12)),
        "high": draw(st.integers(1, 12)),
        "out": draw(st.integers(2, 30)),
        "sleepers": draw(st.sampled_from(["2", "3", "7"])),
        "deep": draw(st.integers(1, 7)),
        "pitch": draw(st.integers(8, 20)),
        "thick": draw(st.integers(1, 6)),
    }
    return exercise_of(rails, draw(_front_boxes("Box 1", "one_point")), views=[VIEWS["one_point"]])


@st.composite
def shaded_tracks(draw: Any) -> Exercise:
    """Return an exercise with rails to the point, and their shadow by a light beside the picture."""
    rails = draw(tracks()).things[0].model_dump(mode="json")
    rails |= {"high": draw(st.floats(0.5, 12.0)), "thick": draw(st.floats(0.5, 6.0)), "out": draw(st.floats(2.0, 39.0))}
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Rails", "joined_by": "face_ground"}
    light = {"light": draw(st.sampled_from(["left", "right"])), "rays": draw(st.sampled_from(["30", "45", "60"]))}
    made = exercise_of(rails, shadow, views=[VIEWS["one_point"]], **light)
    assume(not is_unheld(made))
    return made


@st.composite
def lands(draw: Any) -> Exercise:
    """Return an exercise with the round land of a small world, and a box that may stand on it."""
    land = {
        "kind": "round_land",
        "name": "Land",
        "radius": draw(st.integers(4, 80)) + 0.43,
        "rim": draw(st.sampled_from(sorted(RIMS))),
    }
    return exercise_of(land, draw(_front_boxes("Box 1", "one_point")), views=[VIEWS["one_point"]])


@st.composite
def silhouettes(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return an exercise with trees, people, boats or posts, and a box that may stand among them."""
    view = draw(st.sampled_from(views))
    boxes = _front_boxes if view == "one_point" else _corner_boxes
    row = {
        "kind": "silhouettes",
        "name": "Row",
        "left": draw(st.integers(0, 200)) + 0.37,
        "bottom": draw(st.integers(0, 100)) + 0.41,
        "what": draw(st.sampled_from(sorted(OUTLINES))),
        "tall_by": draw(st.sampled_from(sorted(TALL_BY))),
        "height": draw(st.integers(10, 160)),
        "share": draw(st.sampled_from(sorted(SHARES))),
        "count": draw(st.sampled_from(["1", "2", "3", "6"])),
        "gap": draw(st.integers(3, 20)),
        "spaced": draw(st.sampled_from(["diagonal", "eye"])),
        "to": draw(st.sampled_from(["left", "right"])),
    }
    return exercise_of(row, draw(boxes("Box 1", view)), views=[VIEWS[view]])


@st.composite
def rows(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere with a row of copies going away from it."""
    exercise = draw(exercises(most=1, views=views))
    ways = {"one_point": ["in_line"]}.get(exercise.views[0].kind, ["in_line_left", "in_line_right"])
    row = {
        "kind": "row", "name": "Row", "joined_to": "Box 1", "joined_by": draw(st.sampled_from(ways)),
        "gap_mm": draw(st.floats(5.0, 60.0)), "count": draw(st.sampled_from(["2", "3", "5"])),
        "way": draw(st.sampled_from(["diagonal", "measured", "eye"])),
    }  # fmt: skip
    return exercise_of(exercise.things[0].model_dump(mode="json"), row, views=views_of(exercise))
