"""Figures that stand out of a face or are sunk into it: both routes, the true body, what is told, bad input."""

import re
from itertools import pairwise
from typing import Any

import numpy as np
import pytest
import shapely
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import assert_same_point, figured, solved
from test_figure import FACES, OUTLINES, figure

from conftest import exercise_of
from orthopsis.core.construct.moves import Run
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.outline import Outline

SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]
TWO_PIECES: Outline = (((0.0, 0.0), (20.0, 0.0), (20.0, 60.0), (0.0, 60.0)), ((40.0, 0.0), (60.0, 0.0), (50.0, 60.0)))


@settings(max_examples=250, suppress_health_check=SLOW)
@given(figured())
def test_every_corner_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[1]
    for corner, place in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Mark.{corner}"].xy, place, corner)


def volume_of(solid: Solid) -> float:
    """The volume within the faces of a solid, mm³, by its faces alone; holes run the other way round."""
    whole = 0.0
    for face in solid.faces:
        for loop in face.loops:
            at = solid.places[[solid.index(name) for name in loop]]
            whole += sum(float(at[0] @ np.cross(at[i], at[i + 1])) / 6 for i in range(1, len(at) - 1))
    return whole


@pytest.mark.parametrize("name", sorted(OUTLINES))
@pytest.mark.parametrize("face", FACES)
def test_its_body_is_as_large_as_its_outline_times_how_far_it_stands_out(face: tuple[str, str], name: str) -> None:
    """The volume by its faces, turned outward, against shapely's area of the outline in truth, times the way."""
    found = solved(figure(*face, OUTLINES[name], relief="out", deep=6.0))
    solid, standing = found.seen[1].solid, found.prepared.things[1].standing
    along, up = (np.array(axis) for axis in standing.panel.axes)
    flat = [[place for _, place in loop] for loop in standing.loops]  # type: ignore[attr-defined]
    share = shapely.Polygon(flat[0], flat[1:]).area
    base = float(np.linalg.norm(np.cross(along, up))) * share
    long = float(np.linalg.norm(standing.carried))  # type: ignore[attr-defined]
    # The eye's world is left-handed: what is turned outward has a negative volume there.
    assert volume_of(solid) == pytest.approx(-base * long, rel=1e-6)
    sides = {side for face_ in solid.faces for loop in face_.loops for side in pairwise((*loop, loop[0]))}
    assert all((b, a) in sides for a, b in sides), "every side is shared by two faces that run it opposite ways"


@pytest.mark.parametrize("relief", ["out", "in"])
@pytest.mark.parametrize("face", FACES)
def test_a_finished_one_is_found_right_and_told(face: tuple[str, str], relief: str) -> None:
    drawing = assert_found_right(figure(*face, OUTLINES["arrow"], relief=relief, deep=7.0))
    keys = [step.key for step in drawing.steps if step.thing == "Mark"]
    *_, lines, depths, front = [key.split("/")[1] for key in keys if "figure." in key]
    assert lines in ("figure.rows", "figure.columns")
    assert (depths, front) == ("figure.depths", "figure.front")
    assert any("7 mm" in step.text for step in drawing.steps if step.thing == "Mark")
    assert [line for line in drawing.lines if line.thing == "Mark" and line.visible and line.role == "edge"]


@settings(max_examples=120, suppress_health_check=SLOW)
@given(figured())
def test_light_lines_across_the_block_run_as_their_step_says(exercise: Exercise) -> None:
    """Rows over its side and along its far end, columns under it and up that."""
    found = solved(exercise)
    panel = found.prepared.things[1].standing.panel
    runs = {"figure.rows": panel.along.family, "figure.columns": panel.up.family}
    for move in found.moves:
        if move.breath in runs and isinstance(move.act, Run):
            assert move.act.runs in (panel.out.family, runs[move.breath]), move.act.makes


def test_one_sees_into_a_sunk_one_and_not_through_one_that_stands_out() -> None:
    lines: dict[str, Any] = {
        relief: [
            line.name
            for line in draw(figure("two_point", "face_left", OUTLINES["star"], relief=relief, deep=8.0)).lines
            if line.thing == "Mark" and line.role == "edge" and line.visible
        ]
        for relief in ("out", "in")
    }
    wall = {relief: {name for name in names if name.startswith("edge.")} for relief, names in lines.items()}
    assert len(wall["in"]) == 8, "all of the outline on the wall is seen of what is sunk in"
    assert len(wall["out"]) < 8, "some of it lies behind what stands out"


@pytest.mark.parametrize("name", ["arrow", "star", "sail"])
@pytest.mark.parametrize("face", [("one_point", "face_front"), ("two_point", "face_left"), ("two_point", "face_right")])
def test_what_goes_through_takes_its_outline_out_of_the_whole_body(face: tuple[str, str], name: str) -> None:
    """The body with its hole, by its faces, against shapely's areas of face and outline times the body's depth."""
    found = solved(figure(*face, OUTLINES[name], relief="through"))
    standing = found.prepared.things[1].standing
    along, up = (np.array(axis) for axis in standing.panel.axes)
    flat = [[place for _, place in loop] for loop in standing.loops]  # type: ignore[attr-defined]
    base = float(np.linalg.norm(np.cross(along, up)))
    long = float(np.linalg.norm(standing.carried))  # type: ignore[attr-defined]
    whole, hole = (volume_of(found.seen[i].solid) for i in (0, 1))
    # The hole's walls are turned into it; with them the body is closed again.
    assert abs(whole + hole) == pytest.approx(base * long * (1.0 - shapely.Polygon(flat[0]).area), rel=1e-6)


def in_thin_wall(view: str, by: str, outline: Outline, **values: Any) -> Exercise:
    """A wall so thin that one sees through what goes through it."""
    exercise = figure(view, by, outline, **values)
    depth = {"one_point": "depth", "two_point": "right_length" if by == "face_left" else "left_length"}[view]
    return set_at(exercise, f"things.0.{depth}", 8.0)


@pytest.mark.parametrize("face", [("one_point", "face_front"), ("two_point", "face_left")])
def test_one_that_goes_through_is_found_right_and_told_from_a_corner_behind(face: tuple[str, str]) -> None:
    drawing = assert_found_right(in_thin_wall(*face, OUTLINES["arrow"], relief="through"))
    steps = {step.key.split("/")[1].partition("@")[0]: step for step in drawing.steps if step.thing == "Mark"}
    (through,) = (step for key, step in steps.items() if key.startswith("figure.block_through"))
    assert re.search(r"from the [\w ]+ corner behind", through.text)
    assert not [step.text for step in steps.values() if "0 of these" in step.text]
    seen = {line.name for line in drawing.lines if line.thing == "Mark" and line.role == "edge" and line.visible}
    assert {name for name in seen if name.startswith("edge.")} == {f"edge.{k}" for k in range(1, 8)}
    assert [name for name in seen if name.startswith("front_edge.")], "through it one sees edges of the far end"
    assert not [handle for handle in drawing.handles if handle.id == "things.1.deep"], "no measure says how deep"


def test_through_one_that_goes_through_a_thing_behind_is_seen() -> None:
    def seen(relief: str) -> list[str]:
        exercise = in_thin_wall("one_point", "face_front", OUTLINES["frame"][:1], relief=relief, deep=4.0)
        behind = {"kind": "box", "name": "Behind", "left": 0.0, "bottom": 0.0, "width": 10.0, "height": 10.0}
        host = exercise.things[0]
        middle = (host.left + host.width / 2, host.bottom + host.height / 2)  # type: ignore[attr-defined]
        behind |= {"left": middle[0] - 5.0, "bottom": middle[1] - 5.0, "depth_by": "measured", "depth": 2.0}
        things = [thing.model_dump(mode="json") for thing in exercise.things]
        drawing = draw(exercise_of(*things, behind, views=[view.model_dump(mode="json") for view in exercise.views]))
        return [line.name for line in drawing.lines if line.thing == "Behind" and line.visible and line.role == "edge"]

    assert not seen("in")
    assert seen("through")


def test_how_far_it_stands_out_is_dragged() -> None:
    exercise = figure("one_point", "face_right", OUTLINES["flag"], relief="out", deep=8.0)
    handle = next(handle for handle in draw(exercise).handles if handle.id == "things.1.deep")
    farther = drag(exercise, handle.id, handle.at[0] + 5.0, handle.at[1])
    assert farther.things[1].deep == pytest.approx(13.0, abs=1.0)  # type: ignore[attr-defined]


REFUSED = [
    ({"outline": OUTLINES["frame"], "relief": "in"}, "only_one_piece", "relief"),
    ({"outline": TWO_PIECES, "relief": "out"}, "only_one_piece", "relief"),
    ({"outline": OUTLINES["star"], "relief": "in", "along": "0:2:1"}, "no_wall_left", "along"),
    ({"outline": OUTLINES["star"], "relief": "in", "deep": 900.0}, "too_deep", "deep"),
    ({"outline": OUTLINES["frame"], "relief": "through"}, "only_one_piece", "relief"),
    ({"outline": OUTLINES["star"], "relief": "through", "up": "1:2:0"}, "no_wall_left", "up"),
]


@pytest.mark.parametrize(("values", "code", "about"), REFUSED, ids=[f"{case[1]}_{i}" for i, case in enumerate(REFUSED)])
def test_what_cannot_be_carved_is_said_with_what_works(values: dict[str, Any], code: str, about: str) -> None:
    exercise = figure("two_point", "face_left", **values)
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == (code, f"things.1.{about}")
    nearest: Any = refused.value.nearest
    assert draw(set_at(exercise, f"things.1.{about}", float(nearest.split()[0]) if about == "deep" else nearest)).lines
