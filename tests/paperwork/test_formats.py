"""Every ready exercise, in every kind of view, written in each open format and opened by an independent reader."""

import io
import json
from collections import Counter

import ezdxf
import jsonschema
import numpy as np
import pytest
from PIL import Image
from pypdf import PdfReader
from svgelements import SVG, Path

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.document.schema import exercise_schema
from orthopsis.core.exercise.solve import draw
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
    rows = write_drawing(exercise, "obj").decode().splitlines()
    points = np.array([[float(v) for v in row.split()[1:]] for row in rows if row.startswith("v ")])
    faces = [[int(n) - 1 for n in row.split()[1:]] for row in rows if row.startswith("f ")]
    sides = Counter((a, b) for face in faces for a, b in zip(face, [*face[1:], face[0]], strict=True))
    assert max(sides.values()) == 1
    assert all(sides[b, a] == 1 for a, b in sides), "each side is shared by two faces that run it opposite ways"
    volume = sum(
        float(np.dot(points[face[0]], np.cross(points[face[i]], points[face[i + 1]]))) / 6
        for face in faces
        for i in range(1, len(face) - 1)
    )
    assert volume > 0


def test_the_json_answer_tells_points_lines_steps_and_advice_in_every_view() -> None:
    for document in READY:
        answer = json.loads(write_drawing(read_exercise(document), "json"))
        names = set(answer["vanishing_points"])
        families = {line["family"] for line in answer["lines"]}
        assert families <= names | {"level", "upright", "free"}
        assert all(step["key"] and step["text"] for step in answer["steps"])
