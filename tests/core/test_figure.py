"""Figures with outlines of their own on every kind of face: both routes, reading, corners, refusals."""

from typing import Any

import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, solved
from test_rectangles import LOFT

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.figure.figure import READY, SIDE_MM
from orthopsis.core.things.outline import Outline, scaled

OUTLINES = {name: scaled(outline, SIDE_MM, SIDE_MM) for name, outline in READY.items()}
FACES = (
    ("one_point", "face_front"),
    ("one_point", "face_top"),
    ("one_point", "face_right"),
    ("two_point", "face_left"),
    ("two_point", "face_right"),
    ("from_above", "face_left"),
    ("from_above", "face_top"),
)


def figure(view: str, by: str, outline: Outline, **values: Any) -> Exercise:
    """A loft with a figure."""
    host = {**LOFT, "bottom": 110.0, "height": 60.0} if view == "from_above" else LOFT
    if view == "one_point":
        host = box("Loft", 40.0, 30.0, 110.0, 80.0, depth_by="measured", depth=70.0)
    on = {"kind": "figure", "name": "Mark", "joined_to": "Loft", "joined_by": by, "outline": outline}
    return exercise_of(host, {**on, **values}, views=[VIEWS[view]])


PART = st.tuples(st.integers(0, 4), st.integers(1, 6), st.integers(0, 4)).map(lambda t: ":".join(map(str, t)))


@settings(max_examples=150)
@given(st.sampled_from(FACES), st.sampled_from(sorted(OUTLINES)), PART, PART)
def test_every_corner_is_where_the_eye_sees_it(face: tuple[str, str], name: str, along: str, up: str) -> None:
    found = solved(figure(*face, OUTLINES[name], along=along, up=up))
    seen = found.seen[1]
    for corner, place in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Mark.{corner}"].xy, place, corner)
    made = {name for name, line in found.board.lines.items() if line.thing == "Mark" and line.role == "edge"}
    assert made == {f"Mark.{edge.name}" for edge in seen.solid.edges}


@settings(max_examples=60)
@given(st.sampled_from(FACES), st.sampled_from(sorted(OUTLINES)), PART, PART)
def test_it_lies_on_its_face(face: tuple[str, str], name: str, along: str, up: str) -> None:
    found = solved(figure(*face, OUTLINES[name], along=along, up=up))
    panel = found.prepared.things[1].standing.panel
    rim = shapely.Polygon([at.xy for at in panel.page]).buffer(0.01)
    assert all(rim.covers(shapely.Point(place)) for place in found.seen[1].solid.picture(found.seen[1].eye).values())


@pytest.mark.parametrize("face", FACES)
def test_an_arrow_points_to_the_right_on_every_face_and_is_never_mirrored(face: tuple[str, str]) -> None:
    # Source: anticlockwise loops stay anticlockwise on the page unless they are mirrored (signed area).
    points = draw(figure(*face, OUTLINES["arrow"])).points
    corners = [points[f"Mark.corner.{number}"] for number in range(1, 8)]
    assert corners[3][0] == max(x for x, _ in corners), "the tip"
    assert shapely.LinearRing(corners).is_ccw


def test_a_hole_is_a_loop_of_its_own() -> None:
    lines = [
        line
        for line in draw(figure("one_point", "face_front", OUTLINES["frame"])).lines
        if line.thing == "Mark" and line.role == "detail"
    ]
    loops = shapely.line_merge(shapely.MultiLineString([(line.start, line.end) for line in lines]))
    assert len(loops.geoms) == 2
    assert all(loop.is_ring for loop in loops.geoms)


def test_a_corner_is_dragged_on_the_face_and_the_part_by_its_ends() -> None:
    exercise = figure("two_point", "face_right", OUTLINES["frame"], along="1:2:1", up="1:2:1")
    handles = {handle.id: handle.at for handle in draw(exercise).handles}
    inner, middle = handles["things.1.corner_5"], handles["things.1.corner_7"]
    half = ((inner[0] + middle[0]) / 2, (inner[1] + middle[1]) / 2)
    moved = drag(exercise, "things.1.corner_5", *half)
    before, after = (one.things[1].held()["outline"] for one in (exercise, moved))
    assert after[1][0] != before[1][0]  # type: ignore[index]
    assert (after[0], after[1][1:]) == (before[0], before[1][1:])  # type: ignore[index]
    assert all(mm * 12 / SIDE_MM == pytest.approx(round(mm * 12 / SIDE_MM)) for mm in after[1][0])  # type: ignore[index]
    larger = drag(exercise, "things.1.end", *draw(exercise).points["Loft.right.top"])
    assert larger.things[1].held()["along"] == "1:3:0"


def test_a_ready_figure_is_chosen_by_its_word_and_its_corners_can_be_typed() -> None:
    exercise = figure("one_point", "face_front", OUTLINES["star"])
    sail = type_at(exercise, "things.1.outline", "sail")
    assert sail.things[1].held()["outline"] == OUTLINES["sail"]
    typed = type_at(exercise, "things.1.outline", "0 0, 40 0, 20 30")
    assert len(draw(typed).sentences[-1].pieces) >= 3
    assert sum(line.role == "detail" for line in draw(typed).lines if line.thing == "Mark") == 3


def test_a_rounded_corner_is_refused_with_what_to_do() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(
            type_at(
                figure("one_point", "face_front", OUTLINES["star"]), "things.1.outline", "0 0, 40 0 r5, 40 40, 0 40"
            )
        )
    assert (refused.value.code, refused.value.about) == ("no_curves_here", "things.1.outline")


@pytest.mark.parametrize("face", FACES)
def test_its_steps_say_where_its_corners_lie(face: tuple[str, str]) -> None:
    steps = [step for step in draw(figure(*face, OUTLINES["flag"])).steps if step.thing == "Mark"]
    assert steps[-1].count == 7
    assert "figure" in steps[-1].title
    assert steps[-1].scales or "0 0" in steps[-1].text


def test_a_new_one_lands_on_a_face() -> None:
    added = add_thing(exercise_of(LOFT, views=[VIEWS["two_point"]]), "figure")
    assert added.things[1].joined_to == added.things[0].id
    assert any(line.thing == added.things[1].name and line.visible for line in draw(added).lines)
