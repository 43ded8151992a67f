"""Chimneys and dormers: both routes, and what is true of them in the world whatever the roof."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, solved, topped

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.view.eye import Array

LOFT = {
    "kind": "box", "name": "Loft", "left": 168.0, "bottom": 34.0, "height": 70.0, "left_by": "measured",
    "left_length": 76.0, "right_by": "measured", "right_length": 150.0,
}  # fmt: skip
ROOF = {"kind": "gable_roof", "name": "Roof", "joined_to": "Loft", "joined_by": "face_left", "rise": 60.0}


def house(kind: str, view: str = "two_point", **more: Any) -> Exercise:
    """The net loft, a chimney or a dormer on the slope that shows."""
    host: dict[str, Any] = {**LOFT, "bottom": {"from_above": 90.0, "from_below": 170.0}.get(view, 34.0)}
    roof, slope = dict(ROOF), "slope_first"
    if view == "one_point":
        host = box("Loft", 20.0, 30.0, 90.0, 60.0, depth_by="measured", depth=70.0)
        # In one point a slope has a point where its gable stands on a side.
        roof, slope = {**ROOF, "joined_by": "face_right", "rise": 40.0}, "slope_first"
    upon = {"kind": kind, "name": "Upon", "joined_to": "Roof", "joined_by": f"face_{slope}", **more}
    return exercise_of(host, roof, upon, views=[VIEWS[view]])


def world(exercise: Exercise) -> dict[str, Array]:
    """Where the corners of what stands on the roof are in the eye's world."""
    solid = solved(exercise).seen[2].solid
    return dict(zip(solid.names, solid.places, strict=True))


@settings(max_examples=400)
@given(topped())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    picture = found.seen[2].solid.picture(found.seen[2].eye)
    for name, place in picture.items():
        made = found.board.points.get(f"Upon.{name}")
        if made is not None:
            assert_same_point(made.xy, place, name)
    assert {f"Upon.foot.{i}" for i in range(4)} <= found.board.points.keys()


@settings(max_examples=200)
@given(topped())
def test_its_foot_lies_in_the_slope_and_its_walls_are_upright_and_level(exercise: Exercise) -> None:
    """In the solid: the foot in the plane of the slope, uprights along one direction, the top like the ground."""
    found = solved(exercise)
    at, panel = world(exercise), found.prepared.things[2].standing.panel
    along, up = (np.array(axis) for axis in panel.axes)
    normal, upright = np.cross(along, up), np.array(found.prepared.things[0].standing.solid.places)
    scale = float(np.linalg.norm(normal)) * max(float(np.linalg.norm(place)) for place in at.values())
    for i in range(4):
        assert abs((at[f"foot.{i}"] - np.array(panel.start)) @ normal) < 1e-9 * scale
    rises = [at[f"top.{i}"] - at[f"foot.{i}"] for i in range(4) if f"top.{i}" in at]
    names = found.seen[0].solid.names
    low, high = ("near.bottom", "near.top") if "near.bottom" in names else ("front.bottom_left", "front.top_left")
    host = upright[names.index(high)] - upright[names.index(low)]
    for rise in rises:
        assert np.linalg.norm(np.cross(rise, host)) < 1e-6 * np.linalg.norm(rise) * np.linalg.norm(host)
    assert rises[0] == pytest.approx(rises[1], rel=1e-9), "the lower edge of the foot is level, and so is the top"
    if "end" in at:
        assert abs((at["end"] - at["foot.3"]) @ normal) < 1e-9 * scale, "the ridge ends in the slope"
        over = at["peak"] - (at["top.0"] + at["top.1"]) / 2
        aside = float(np.linalg.norm(np.cross(over, host)))
        assert aside < 1e-6 * np.linalg.norm(over) * np.linalg.norm(host), "the tip stands over the middle of the front"


@pytest.mark.parametrize("kind", ["chimney", "dormer"])
@pytest.mark.parametrize("view", ["one_point", "two_point", "from_above", "from_below"])
def test_its_edges_are_told_drawn_and_found_right(kind: str, view: str) -> None:
    drawing = assert_found_right(house(kind, view))
    assert [line for line in drawing.lines if line.thing == "Upon" and line.visible and line.role == "edge"]


def test_the_top_of_a_chimney_below_the_eye_is_drawn_and_that_of_one_above_is_not() -> None:
    exercise = house("chimney", rise=30.0)
    low, high = (
        [step.title for step in draw(set_at(exercise, "eye_level.height_mm", mm)).steps if step.thing == "Upon"]
        for mm in (285.0, 110.0)
    )
    assert "Upon: its top" in low
    assert "Upon: its top" not in high


def test_a_dormer_bears_a_window_on_its_front() -> None:
    exercise = house("dormer", up="1:2:1")
    pane = {"kind": "rectangles", "name": "Pane", "joined_to": "Upon", "joined_by": "face_front", "columns": "1"}
    made = exercise_of(*(thing.model_dump(mode="json") for thing in exercise.things), pane, views=[VIEWS["two_point"]])
    mine = [line for line in draw(made).lines if line.thing == "Pane" and line.role in ("edge", "detail")]
    assert len({line.name for line in mine if line.visible}) == 4


def test_the_paper_of_the_slope_stays_until_what_stands_on_it_is_drawn() -> None:
    first = house("dormer", along="1:1:3", up="1:2:2")
    chimney = {**house("chimney", along="3:1:1").things[2].model_dump(mode="json"), "name": "Stack", "id": 0}
    things = [
        {**thing.model_dump(mode="json"), "joined_to": 0 if thing.id == 1 else thing.joined_to}
        for thing in first.things
    ]
    steps = draw(exercise_of(*things, chimney, views=[VIEWS["two_point"]])).steps
    done = [step for step in steps if "may come off" in step.after]
    assert [step.thing for step in done] == ["Stack"]


REFUSED = [
    ("chimney", {"rise": 6.0, "up": "1:3:1"}, "sinks_into_roof", "rise"),
    ("dormer", {"peak": 0.2}, "length_out_of_limits", "peak"),
    ("dormer", {"peak": 90.0}, "over_ridge", "peak"),
    ("dormer", {"along": "1:0:1"}, "not_taken", "along"),
]


@pytest.mark.parametrize(("kind", "more", "code", "about"), REFUSED)
def test_what_cannot_be_drawn_is_refused_with_the_nearest_that_works(
    kind: str, more: dict[str, Any], code: str, about: str
) -> None:
    exercise = house(kind, **more)
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == (code, f"things.2.{about}")
    nearest = refused.value.nearest or ""
    value: Any = nearest if about == "along" else float(nearest.split()[0])
    assert draw(set_at(exercise, f"things.2.{about}", value)).lines


def test_a_chimney_on_the_eye_level_is_refused_with_a_height_that_works() -> None:
    exercise = house("chimney")
    at = next(h for h in draw(exercise).handles if h.id == "things.2.rise").at[1]
    level = exercise.eye_level.height_mm
    rise = exercise.things[2].rise + level - at  # type: ignore[attr-defined]
    with pytest.raises(GeometryError) as refused:
        draw(set_at(exercise, "things.2.rise", rise))
    assert refused.value.code == "lid_on_eye_level"
    assert draw(set_at(exercise, "things.2.rise", float((refused.value.nearest or "").split()[0]))).lines


@pytest.mark.parametrize("kind", ["chimney", "dormer"])
@pytest.mark.parametrize("view", ["two_point", "two_point_free", "from_above"])
def test_one_that_is_added_to_a_new_house_with_a_new_roof_can_be_drawn(kind: str, view: str) -> None:
    exercise = exercise_of(views=[VIEWS[view]])
    for added in ("box", "gable_roof", kind):
        exercise = add_thing(exercise, added)
    drawing = draw(exercise)
    assert [line for line in drawing.lines if line.thing == exercise.things[2].name and line.visible]


def test_without_a_slope_that_is_seen_it_is_said_what_is_missing() -> None:
    with pytest.raises(GeometryError) as refused:
        add_thing(exercise_of(LOFT, views=[VIEWS["two_point"]]), "chimney")
    assert "a chimney" in refused.value.why
    assert "a gable roof" in refused.value.fix


def test_it_is_added_to_a_roof_and_dragged() -> None:
    exercise = add_thing(exercise_of(LOFT, ROOF, views=[VIEWS["two_point"]]), "chimney")
    assert exercise.things[2].joined_by.startswith("face_slope")
    handle = next(handle for handle in draw(exercise).handles if handle.id == "things.2.rise")
    higher = drag(exercise, "things.2.rise", handle.at[0], handle.at[1] + 12.0)
    assert higher.things[2].rise == pytest.approx(exercise.things[2].rise + 12.0, abs=1.0)  # type: ignore[attr-defined]
