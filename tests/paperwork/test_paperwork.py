"""What goes out, opened again by independent readers: pypdf, svgelements, ezdxf, csv."""

import csv
import io
import json

import ezdxf
import pypdf
import pytest
import svgelements
from hypothesis import given
from hypothesis import strategies as st
from pypdf import PageObject

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.marks import SheetCode, read_code
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.sheets import Copy, sheet_pdf
from orthopsis.paperwork.step_sheets import StepPages, add_steps
from orthopsis.paperwork.table import csv_text, read_class_list
from orthopsis.paperwork.write import write_drawing

MM = 25.4 / 72
CODE = SheetCode("7K3QX2AB", "AB3K9Q", 1)


def drawn_lines(page: PageObject) -> list[tuple[float, float, float, float]]:
    """Return every straight line that a page draws, forms included, in mm from its lower left corner."""
    found: list[tuple[float, float, float, float]] = []

    def walk(stream: object, matrix: list[list[float]], resources: object) -> None:
        stack, at = [matrix], (0.0, 0.0)
        for operands, operator in pypdf.generic.ContentStream(stream, None).operations:
            if operator == b"q":
                stack.append(stack[-1])
            elif operator == b"Q":
                stack.pop()
            elif operator == b"cm":
                stack[-1] = _times(operands, stack[-1])
            elif operator == b"m":
                at = _place(operands, stack[-1])
            elif operator == b"l":
                to = _place(operands, stack[-1])
                found.append((*at, *to))
                at = to
            elif operator == b"Do":
                form = resources["/XObject"][operands[0]].get_object()  # type: ignore[index]
                inner = _times(form.get("/Matrix", [1, 0, 0, 1, 0, 0]), stack[-1])
                walk(form, inner, form.get("/Resources", resources))

    walk(page.get_contents(), [[1.0, 0.0], [0.0, 1.0], [0.0, 0.0]], page["/Resources"])
    return found


def _times(inner: list[float], outer: list[list[float]]) -> list[list[float]]:
    a, b, c, d, e, f = (float(v) for v in inner)
    (p, q), (r, s), (t, u) = outer
    return [
        [a * p + b * r, a * q + b * s],
        [c * p + d * r, c * q + d * s],
        [e * p + f * r + t, e * q + f * s + u],
    ]


def _place(operands: list[float], matrix: list[list[float]]) -> tuple[float, float]:
    x, y = (float(v) for v in operands[:2])
    (p, q), (r, s), (t, u) = matrix
    return ((x * p + y * r + t) * MM, (x * q + y * s + u) * MM)


def test_the_answer_is_printed_true_to_size(crates: Exercise) -> None:
    drawing = draw(crates)
    page = pypdf.PdfReader(io.BytesIO(sheet_pdf(drawing, "answer", "Crates", [Copy(CODE)]))).pages[0]
    size = [float(page.mediabox.width) * MM, float(page.mediabox.height) * MM]
    assert size == pytest.approx([420, 297], abs=0.05)
    lines = drawn_lines(page)
    for line in drawing.lines:
        if line.role == "edge" and line.visible:
            wanted = (*line.start, *line.end)
            gap = min(max(abs(a - b) for a, b in zip(wanted, found, strict=True)) for found in lines)
            assert gap < 0.05, f"{line.name} is {gap:.3f} mm off on paper"


def test_every_sheet_has_a_test_line_of_ten_centimetres(crates: Exercise) -> None:
    page = pypdf.PdfReader(io.BytesIO(sheet_pdf(draw(crates), "starter", "Crates", [Copy(CODE)]))).pages[0]
    level = [f for f in drawn_lines(page) if abs(f[1] - f[3]) < 1e-6]
    assert any(abs(abs(f[2] - f[0]) - 101.6) < 0.05 for f in level), "the whole line is 4 inches"
    ticks = sorted(f[0] for f in drawn_lines(page) if abs(f[0] - f[2]) < 1e-6 and f[1] < 12)
    assert any(abs(b - a - 100) < 0.05 for a in ticks for b in ticks)


def test_a_class_gets_one_sheet_each_with_its_alias(crates: Exercise) -> None:
    copies = [Copy(SheetCode("7K3QX2AB", f"S{i}", 1), f"Tern {i} ł") for i in range(32)]
    reader = pypdf.PdfReader(io.BytesIO(sheet_pdf(draw(crates), "starter", "Crates", copies)))
    assert len(reader.pages) == 32
    assert "Tern 7 ł" in reader.pages[7].extract_text()


@pytest.mark.parametrize("per_page", [1, 2, 4, 8])
def test_step_sheets_hold_every_step_with_its_words(crates: Exercise, per_page: int) -> None:
    drawing = draw(crates)
    pages = Pages("Crates")
    add_steps(pages, drawing, "Crates", StepPages(per_page))
    reader = pypdf.PdfReader(io.BytesIO(pages.bytes()))
    assert len(reader.pages) == -(-len(drawing.steps) // per_page)
    text = " ".join(" ".join(page.extract_text() for page in reader.pages).split())
    for step in drawing.steps:
        assert step.text in text


def test_svg_and_dxf_hold_the_drawing_for_other_readers(crates: Exercise) -> None:
    drawing = draw(crates)
    svg = svgelements.SVG.parse(io.BytesIO(write_drawing(crates, "svg")), ppi=25.4, reify=True)
    assert (float(svg.width), float(svg.height)) == pytest.approx((420, 297))
    in_svg = {
        tuple(round(float(v), 2) for v in (e.x1, 297 - e.y1, e.x2, 297 - e.y2))
        for e in svg.elements(lambda e: isinstance(e, svgelements.SimpleLine))
    }
    document = ezdxf.read(io.StringIO(write_drawing(crates, "dxf").decode()))
    in_dxf = {
        tuple(round(v, 2) for v in (*e.dxf.start.vec2, *e.dxf.end.vec2))
        for e in document.modelspace().query('LINE[layer=="edge"]')
    }
    edges = {
        tuple(round(v, 2) for v in (*line.start, *line.end))
        for line in drawing.lines
        if line.role == "edge" and line.visible
    }
    assert edges <= in_svg
    assert edges == in_dxf


def test_json_has_the_published_fields(crates: Exercise) -> None:
    answer = json.loads(write_drawing(crates, "json"))
    assert answer["sheet"]["width_mm"] == 420
    assert answer["vanishing_points"]["point"] == [210, 150]
    assert answer["points"]["Low.front.bottom_left"] == [40, 30]
    assert {"thing", "name", "from", "to", "role", "family", "visible"} <= set(answer["lines"][0])
    assert {"phase", "text", "tool", "count", "minutes", "extra", "draws", "takes_away"} <= set(answer["steps"][0])
    advised = json.loads(write_drawing(exercise_of(views=[{"x_mm": 210}], eye_level={"height_mm": 90}), "json"))
    assert {"code", "about", "value", "limit", "unit", "text", "cure"} <= set(advised["advice"][0])


def test_obj_and_png_open(crates: Exercise) -> None:
    rows = write_drawing(crates, "obj").decode().splitlines()
    assert sum(row.startswith("v ") for row in rows) == 24
    assert sum(row.startswith("f ") for row in rows) == 18
    assert write_drawing(crates, "png").startswith(b"\x89PNG")


@given(st.lists(st.lists(st.text(max_size=12), min_size=2, max_size=2), max_size=5))
def test_no_cell_of_a_csv_begins_as_a_formula(rows: list[list[str]]) -> None:
    text = csv_text(("alias", "note"), rows)
    read = list(csv.reader(io.StringIO(text.removeprefix("\ufeff"), newline="")))
    assert len(read) == len(rows) + 1
    for row in read[1:]:
        for cell in row:
            assert not cell.startswith(("=", "+", "-", "@", "\t", "\r", "\n"))


LISTS = [
    ("Tern 1\n\n  Tern   2 \n", None, ("Tern 1", "Tern 2")),
    ("\ufeffAlias;Age\nTern 1;9\nTern 2;10\n", None, ("Tern 1", "Tern 2")),
    ("No;Name\n1;Ada\n2;Bo\n3;Ada\n", None, ("Ada", "Bo", "Ada")),
    ("1,Ada\n2,Bo\n", None, ("Ada", "Bo")),
    ("No\tSurname\tFirst name\r\n1\tLane\tAda\r\n", None, ("Ada",)),
    ("No;Surname;First name\n1;Lane;Ada\n", 1, ("Lane",)),
    ("No;Name\n1;Ada\n", 99, ("Ada",)),
    ("Ada\rBo\rCy", None, ("Ada", "Bo", "Cy")),
    ("'=cmd\n", None, ("=cmd",)),
    ('"open\nBo', None, ("open Bo",)),
    ("7\n8\n", None, ("7", "8")),
    ("", None, ()),
]


@pytest.mark.parametrize(("text", "column", "names"), LISTS)
def test_names_are_read_from_lists_and_csv(text: str, column: int | None, names: tuple[str, ...]) -> None:
    assert read_class_list(text, column).names == names


@given(st.text(max_size=60))
def test_any_text_is_read_as_a_list_of_some_kind(text: str) -> None:
    listed = read_class_list(text)
    assert all(name == " ".join(name.split()) and 0 < len(name) <= 40 for name in listed.names)
    assert 0 <= listed.chosen <= max(0, len(listed.columns) - 1)


def test_codes_of_others_are_not_taken_for_ours() -> None:
    assert read_code(CODE.text()) == CODE
    for other in ("", "ORT1:a:b:1", "WIFI:T:WPA;", "ORT1:ABC:DEF:1:2", "ORT1:ABC:DEF:9999"):
        assert read_code(other) is None
