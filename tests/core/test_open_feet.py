"""An opening down to the ground has no sill: the wall's foot stops at its sides, in front and behind."""

from typing import Any

import pytest
import shapely
from hypothesis import given
from hypothesis import strategies as st
from scenes import solved
from test_rectangles import loft

from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke, expected_lines
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.picture import picture
from orthopsis.core.exercise.solve import draw

DOOR = {"columns": "1", "rows": "1", "wide": "whole", "tall": "whole", "along": "3:2:3", "up": "0:3:2"}
WALLS = (("one_point", "face_front"), ("two_point", "face_right"), ("two_point", "face_left"))


def door(view: str, by: str, relief: str, **values: Any) -> Exercise:
    """A loft with a door in the middle of a wall."""
    return loft(view, by, **{**DOOR, "relief": relief, "deep": 6.0, **values})


def finished(exercise: Exercise) -> shapely.Geometry:
    """The lines of the finished drawing that are seen."""
    return shapely.MultiLineString([(line.start, line.end) for line in solved(exercise).final if line.thing])


def foot(exercise: Exercise, end: str = "") -> shapely.LineString:
    """The foot of the door, without its ends."""
    points = draw(exercise).points
    low, far = (points[f"Windows.Number 1.{end}{corner}"] for corner in ("low_near", "low_far"))
    line = shapely.LineString((low, far))
    return shapely.LineString((line.interpolate(0.02, normalized=True), line.interpolate(0.98, normalized=True)))


def drawn_share(line: shapely.LineString, lines: shapely.Geometry) -> float:
    """How much of a line is drawn."""
    return float(line.intersection(lines.buffer(0.05)).length / line.length)


@pytest.mark.parametrize(("view", "by"), WALLS)
@pytest.mark.parametrize("form", ["rectangle", "arch", "pointed"])
def test_no_line_crosses_the_foot_of_a_gate(view: str, by: str, form: str) -> None:
    gate = door(view, by, "through", form=form)
    assert drawn_share(foot(gate), finished(gate)) < 0.02
    assert drawn_share(foot(gate, "front."), finished(gate)) < 0.02, "behind too"


@pytest.mark.parametrize(("view", "by"), WALLS)
def test_a_recess_ends_on_the_floor_but_has_no_sill(view: str, by: str) -> None:
    recess = door(view, by, "in", deep=3.0)
    assert drawn_share(foot(recess), finished(recess)) < 0.02
    names = {edge.name for edge in solved(recess).seen[1].solid.edges}
    assert {"Number 1.front.low", "Number 1.depth.low_near"} <= names
    assert "Number 1.low" not in names


@pytest.mark.parametrize(("view", "by"), WALLS)
@pytest.mark.parametrize(("relief", "up"), [("flat", "0:3:2"), ("out", "0:3:2"), ("in", "1:3:1")])
def test_what_is_closed_below_keeps_its_foot(view: str, by: str, relief: str, up: str) -> None:
    closed = door(view, by, relief, up=up)
    at = foot(closed, "front." if relief == "out" else "")
    assert drawn_share(at, finished(closed)) > 0.98


@given(st.integers(1, 6), st.integers(1, 6), st.integers(1, 6), st.integers(1, 4))
def test_beside_openings_the_foot_of_the_wall_stays(before: int, mine: int, after: int, columns: int) -> None:
    gates = door(
        "one_point", "face_front", "in", deep=2.0, along=f"{before}:{mine}:{after}", columns=str(columns), wide="half"
    )
    points, lines = draw(gates).points, finished(gates)
    low, far = points["Loft.front.bottom_left"], points["Loft.front.bottom_right"]
    wide = sum(
        points[f"Windows.Number {i}.low_far"][0] - points[f"Windows.Number {i}.low_near"][0]
        for i in range(1, columns + 1)
    )
    wall = shapely.LineString((low, far))
    assert wall.intersection(lines.buffer(0.001)).length == pytest.approx(wall.length - wide, abs=0.02 * (columns + 1))


def test_the_foot_is_taken_away_in_words_and_not_asked_for() -> None:
    gate = door("one_point", "face_front", "through")
    away = next(step for step in draw(gate).steps if step.phase == "take_away")
    assert "foot line" in away.text
    closed = next(step for step in draw(door("one_point", "face_front", "flat")).steps if step.phase == "take_away")
    assert "foot line" not in closed.text
    found = solved(gate)
    expected = expected_lines(picture(found), found.prepared.things)
    names = {line.name for line in expected}
    assert "Windows.Number 1.low" not in names
    assert "Loft.front.bottom" in names
    # The two pieces of the foot, drawn as they are, are all that is asked for.
    middle = foot(gate)
    strokes = [Stroke(e.start, e.end) for e in expected if e.is_asked and e.name != "Loft.front.bottom"]
    whole = next(e for e in expected if e.name == "Loft.front.bottom")
    (x0, _), (x1, _) = middle.coords
    for start, end in ((whole.start, x0), (whole.end, x1)):
        strokes.append(Stroke(start, type(start)(end, start.y)))
    assert [f.code for f in check(gate, strokes).findings if f.code != "cannot_tell"] == []


@pytest.mark.parametrize(("view", "by"), WALLS)
def test_the_tone_of_the_wall_ends_at_its_sides_too(view: str, by: str) -> None:
    gate = door(view, by, "through")
    middle = foot(gate).interpolate(0.5, normalized=True)
    wall = [face for face in draw(gate).faces if face.thing == "Loft"]
    assert wall
    for face in wall:
        rims = [shapely.LinearRing(loop) for loop in face.loops]
        assert all(rim.distance(middle) > 1.0 for rim in rims), face.name
