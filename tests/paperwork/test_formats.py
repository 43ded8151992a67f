"""Every ready exercise, in every kind of view, written in each open format and opened by an independent reader."""

import io
import json
import math
from collections import Counter

import ezdxf
import jsonschema
import numpy as np
import pytest
from PIL import Image
from pypdf import PdfReader
from svgelements import SVG, Path

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.document.schema import exercise_schema
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare
from orthopsis.paperwork.write import write_drawing

EXERCISES = [pytest.param(read_exercise(document), id=str(document["title"])) for document in READY]


@pytest.mark.parametrize("exercise", EXERCISES)
def test_the_document_is_read_again_as_it_was_and_keeps_its_schema(exercise: Exercise) -> None:
    jsonschema.Draft202012Validator(exercise_schema()).validate(exercise.document())
    assert read_exercise(json.dumps(exercise.document())) == exercise


@pytest.mark.parametrize("exercise", EXERCISES)
def test_pictures_open_and_have_the_sheet_s_size(exercise: Exercise) -> None:
    drawing = draw(exercise)
    width, height = drawing.sheet.width_mm, drawing.sheet.height_mm
    page = PdfReader(io.BytesIO(write_drawing(exercise, "pdf"))).pages[0]
    assert float(page.mediabox.width) == pytest.approx(width * 72 / 25.4, abs=0.05)
    with Image.open(io.BytesIO(write_drawing(exercise, "png"))) as picture:
        assert picture.width / picture.height == pytest.approx(width / height, rel=0.01)
    svg = SVG.parse(io.BytesIO(write_drawing(exercise, "svg")), ppi=25.4)
    assert (svg.width, svg.height) == pytest.approx((width, height), abs=0.01)
    groups = {element.values.get("class") for element in svg.elements()}
    assert {"tones", "lines", "points"} <= groups
    holes = sum(len(face.loops) > 1 for face in drawing.faces)
    faces = [e for e in svg.elements(lambda e: isinstance(e, Path)) if e.values.get("fill-rule") == "evenodd"]
    assert sum(e.d().upper().count("Z") > 1 for e in faces) == holes


@pytest.mark.parametrize("exercise", EXERCISES)
def test_dxf_has_every_edge_that_is_seen(exercise: Exercise) -> None:
    drawing = draw(exercise)
    space = ezdxf.read(io.StringIO(write_drawing(exercise, "dxf").decode())).modelspace()
    drawn = {
        tuple(sorted((tuple(np.round(line.dxf.start, 2)[:2]), tuple(np.round(line.dxf.end, 2)[:2]))))
        for line in space.query("LINE")
    }
    curves = [np.round([corner[:2] for corner in line.get_points()], 2).tolist() for line in space.query("LWPOLYLINE")]
    for line in drawing.lines:
        if line.bend:
            assert np.round([line.start, *line.bend, line.end], 2).tolist() in curves, line.name
        elif line.role == "edge" and line.visible:
            ends = tuple(sorted((tuple(np.round(line.start, 2)), tuple(np.round(line.end, 2)))))
            assert ends in drawn, line.name


@pytest.mark.parametrize("exercise", EXERCISES)
def test_solids_are_closed_and_turned_outward(exercise: Exercise) -> None:
    is_flat = all(thing.kind in ("road", "silhouettes") for thing in exercise.things)
    rooms = [thing for thing in exercise.things if thing.kind == "room"]
    looked_into = [number for number, thing in enumerate(exercise.things) if getattr(thing, "inside", "") == "open"]
    solids = [solve(prepare(exercise)).seen[number].solid for number in looked_into]
    rims = sum(name.startswith("rim.") for solid in solids for name in solid.names)
    # A door down to the floor has no floor of its own; an opening has the outer edge of the wall, round it or over it.
    reliefs = [(thing.relief, thing.up.startswith("0:")) for thing in exercise.things if hasattr(thing, "relief")]
    openings = sum({("in", True): 4, ("open", False): 4, ("open", True): 6}.get(relief, 0) for relief in reliefs)
    frame = 4 if exercise.views[0].kind == "one_point" else 6
    volume = closed_volume(exercise, rim=(frame + openings) * len(rooms) + rims)
    if not (rooms or looked_into):
        assert volume == pytest.approx(0.0, abs=1e-3) if is_flat else volume > 0


def closed_volume(exercise: Exercise, rim: int = 0) -> float:
    """Return the volume of all solids of the OBJ in mm³, after a look whether they are closed.

    Args:
        rim: how many sides no second face has: those of the frame through which one looks into a room, or of a rim.
    """
    rows = write_drawing(exercise, "obj").decode().splitlines()
    points = np.array([[float(v) for v in row.split()[1:]] for row in rows if row.startswith("v ")])
    faces = [[int(n) - 1 for n in row.split()[1:]] for row in rows if row.startswith("f ")]
    sides = Counter((a, b) for face in faces for a, b in zip(face, [*face[1:], face[0]], strict=True))
    assert max(sides.values()) == 1
    alone = [side for side in sides if sides[side[::-1]] != 1]
    assert len(alone) == rim, "each side is shared by two faces that run it opposite ways"
    return sum(
        float(np.dot(points[face[0]], np.cross(points[face[i]], points[face[i + 1]]))) / 6
        for face in faces
        for i in range(1, len(face) - 1)
    )


@pytest.mark.parametrize("relief", ["in", "through"])
@pytest.mark.parametrize(
    ("up", "form"), [("1:2:1", "rectangle"), ("0:2:1", "rectangle"), ("0:2:1", "arch"), ("1:2:1", "round")]
)
def test_what_is_sunk_in_is_taken_out_of_the_solid(up: str, form: str, relief: str) -> None:
    wall = box("Wall", 40.0, 40.0, 120.0, 90.0, depth_by="measured", depth=40.0)
    door = {
        "kind": "rectangles", "name": "Doors", "joined_to": "Wall", "joined_by": "face_front", "columns": "2",
        "wide": "half", "tall": "whole", "along": "1:4:1", "up": up, "relief": relief, "deep": 9.0, "form": form,
    }  # fmt: skip
    exercise = exercise_of(wall, door)
    standing = prepare(exercise).things[1].standing
    (left, right), (low, high) = standing.layout.along[0], standing.layout.up[0]
    wide, tall, deep = (right - left) * 120, (high - low) * 90, float(np.linalg.norm(standing.carried))
    share = {"rectangle": 1.0, "round": math.pi / 4, "arch": 0.5 + math.pi / 8}[form]
    taken = closed_volume(exercise_of(wall)) - closed_volume(exercise)
    # Curves are cut into plane pieces there, which leaves out less than one part in a hundred.
    assert taken == pytest.approx(2 * share * wide * tall * deep, rel=1e-6 if form == "rectangle" else 0.01)


def test_the_json_answer_tells_points_lines_steps_and_advice_in_every_view() -> None:
    for document in READY:
        answer = json.loads(write_drawing(read_exercise(document), "json"))
        names = set(answer["vanishing_points"])
        families = {line["family"] for line in answer["lines"]}
        assert families <= names | {"level", "upright", "free"}
        assert all(step["key"] and step["text"] for step in answer["steps"])


@pytest.mark.parametrize("view", ["one_point", "two_point", "three_point"])
def test_solids_are_written_in_whatever_view_an_exercise_is_turned_to(view: str) -> None:
    """Openings of a room that is turned may come to cut each other: new corners lie in the plane of their wall."""
    for exercise in (read_exercise(document) for document in READY):
        try:
            turned = set_at(exercise, "views.0.kind", view)
            written = write_drawing(turned, "obj").decode()
        except GeometryError:
            continue
        corners = [line.split()[1:] for line in written.splitlines() if line.startswith("v ")]
        assert np.isfinite(np.array(corners, dtype=float)).all(), exercise.title
        faces = [int(n) for line in written.splitlines() if line.startswith("f ") for n in line.split()[1:]]
        assert set(faces) <= set(range(1, len(corners) + 1)), exercise.title
