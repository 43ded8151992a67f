"""Shapes cut from the top or the underside of a block, carried along its uprights."""

from typing import Any

import pytest
import shapely
from scenes import VIEWS

from conftest import exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import DrawnLine
from orthopsis.core.editing.edit import drag, type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point

LETTER = {
    "kind": "letters", "name": "Letter", "text": "L", "left": 190, "bottom": 40, "width": 60, "height": 50,
    "left_by": "measured", "left_length": 90, "right_by": "measured", "right_length": 100, "side": "level",
}  # fmt: skip


def lying(view: str, **more: Any) -> Exercise:
    return exercise_of({**LETTER, **more}, views=[VIEWS[view]])


def edges(exercise: Exercise) -> list[DrawnLine]:
    return [line for line in draw(exercise).lines if line.role == "edge" and line.visible]


def test_depths_are_upright_without_a_third_point_and_run_to_it_with_one() -> None:
    depths = [line for line in edges(lying("two_point")) if line.name.startswith("depth.")]
    assert len(depths) == 3, "an L shows the edge nearest to the eye and the ends of its two legs"
    assert all(line.start[0] == pytest.approx(line.end[0]) and line.family == "upright" for line in depths)
    third = VIEWS["from_above"]["third_x_mm"], VIEWS["from_above"]["third_y_mm"]
    for line in edges(lying("from_above", bottom=90)):
        if line.name.startswith("depth."):
            (ax, ay), (bx, by) = line.start, line.end
            assert (bx - ax) * (third[1] - ay) - (by - ay) * (third[0] - ax) == pytest.approx(0, abs=1e-6)


def test_from_below_a_letter_is_not_mirrored() -> None:
    """The L's foot runs from its stem the way a reader under it reads on: to the right of who looks up along it."""
    for view, bottom in (("two_point", 40), ("two_point", 220)):
        points = draw(lying(view, bottom=bottom)).points
        corner, foot, top = (points[f"Letter.front.{n}"] for n in (1, 2, 6))
        turn = (foot[0] - corner[0]) * (top[1] - corner[1]) - (foot[1] - corner[1]) * (top[0] - corner[0])
        assert turn > 0


@pytest.mark.parametrize(
    ("view", "place"),
    [("two_point", {"bottom": 120}), ("from_above", {"bottom": 170}), ("from_below", {"bottom": 120})],
)
def test_a_face_that_does_not_show_is_refused_with_one_that_works(view: str, place: dict[str, float]) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(lying(view, **place))
    assert refused.value.code == "no_such_face"
    assert refused.value.about == "things.0.side"
    draw(type_at(lying(view, **place), refused.value.about, refused.value.nearest))


@pytest.mark.parametrize(("view", "bottom"), [("two_point", 40), ("two_point", 220), ("from_above", 90)])
def test_a_sheet_drawn_as_asked_is_found_right(view: str, bottom: float) -> None:
    exercise = lying(view, bottom=bottom, text="R", form="round")
    lines = [line for line in draw(exercise).lines if line.role in ("edge", "detail") and line.visible]
    strokes = [Stroke(Point(*line.start), Point(*line.end)) for line in lines if not line.bend]
    checked = check(exercise, strokes)
    assert [name for name in checked.missing if "curve" not in name] == []
    assert not [finding for finding in checked.findings if finding.severity > 1]


@pytest.mark.parametrize("text", ["U", "C", "E", "H"])
def test_no_upright_runs_across_the_letter_that_it_comes_from(text: str) -> None:
    drawing = draw(lying("two_point", text=text))
    corners = {name: at for name, at in drawing.points.items() if name.startswith("Letter.front.")}
    front = shapely.Polygon([corners[f"Letter.front.{n}"] for n in range(1, len(corners) + 1)])
    uprights = [line for line in drawing.lines if line.role == "guide" and line.family == "upright"]
    assert uprights
    for line in uprights:
        assert line.start[1] > line.end[1], "from the top they run down"
        assert shapely.LineString([line.start, line.end]).intersection(front.buffer(-1e-3)).length < 1e-6, line.name


def test_a_corner_is_dragged_along_the_top_and_the_face_is_chosen_in_words() -> None:
    shape = {**LETTER, "kind": "profile", "outline": [[[0, 0], [40, 0], [40, 30], [0, 30]]]}
    del shape["text"], shape["width"]
    exercise = exercise_of(shape, views=[VIEWS["two_point"]])
    before = draw(exercise).points["Letter.front.3"]
    dragged = drag(exercise, "things.0.corner_3", before[0] - 12, before[1] - 6)
    assert dragged.things[0].held()["outline"] != exercise.things[0].held()["outline"]
    assert type_at(exercise, "things.0.side", "left").things[0].held()["side"] == "left"
