"""The book of aims: a thing may bring points of its own, and everything that goes through the book knows them."""

from dataclasses import replace

import pytest
from propcache.api import cached_property

from conftest import box, exercise_of
from orthopsis.core.advice.advise import advise
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.construct.moves import Measure, Move, RuleToPoint
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.box.front import FrontBox
from orthopsis.core.things.registry import KINDS
from orthopsis.core.view.aim import Aim, frame_aims
from orthopsis.core.view.frame import one_point_frame, two_point_frame

OWN = Point(210.0, 520.0)
"""A point over the sheet, as that of a slope."""


class LeaningBox(FrontBox):
    """A box with one more line than usual."""

    @cached_property
    def aims(self) -> tuple[Aim, ...]:
        """One point of its own."""
        return (Aim(self.values.full("slope"), OWN, "slope_above", self.values.name),)

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The usual moves, the point, and a line to it."""
        values, n = self.values, self.values.full
        line = RuleToPoint(n("guide.slope"), n("front.top_left"), n("slope"), "guide")
        moves = super().recipe
        last = max(i for i, move in enumerate(moves) if move.phase == "front")
        mark = values.move("front", moves[0].breath, Measure(n("slope"), *OWN.xy))
        return (*moves[: last + 1], mark, values.move("guides", "guides", line), *moves[last + 1 :])


@pytest.fixture
def leaning(monkeypatch: pytest.MonkeyPatch) -> None:
    """Boxes whose top left corner has one more light line, to a point that only the box itself brings."""
    monkeypatch.setitem(KINDS, "box", replace(KINDS["box"], in_view={"one_point": LeaningBox}))


def _sheet() -> Exercise:
    return exercise_of(box("Crate", 40, 30, 60, 50))


@pytest.mark.usefixtures("leaning")
def test_a_thing_s_own_point_is_in_the_picture_with_its_name_and_its_strip() -> None:
    shown = picture(solve(prepare(_sheet())))
    (own,) = (aim for aim in shown.aims if aim.name == "Crate.slope")
    assert (own.at, own.kind, own.label) == (OWN.xy, "vanishing", "upper slope point of Crate")
    assert shown.vanishing_points["Crate.slope"] == OWN.xy
    (strip,) = shown.strips
    assert strip.side == "top"
    assert strip.at[1] + strip.height_mm >= OWN.y


@pytest.mark.usefixtures("leaning")
def test_the_whole_drawing_is_told_and_advised_on() -> None:
    drawing = draw(_sheet())
    assert any(line.rests_on == "Crate.slope" for line in drawing.lines)
    (advice,) = (a for a in drawing.advice if a.code == "own_point_off_sheet")
    assert advice.about == "things.0"
    assert "upper slope point of Crate" in advice.text
    assert "at the top" in advice.text


@pytest.mark.usefixtures("leaning")
def test_a_student_s_line_to_it_is_judged_by_it() -> None:
    drawing = draw(_sheet())
    (line,) = (one for one in drawing.lines if one.rests_on == "Crate.slope")
    start, end = Point(*line.start), Point(*line.end)
    good = check(_sheet(), [Stroke(start, end)])
    assert [judged.verdict for judged in good.lines] == ["fine"]
    astray = check(_sheet(), [Stroke(start, Point(end.x + 40, end.y - 20))])
    assert [judged.verdict for judged in astray.lines] != ["fine"]


def test_without_it_nobody_speaks_of_it() -> None:
    solved = solve(prepare(_sheet()))
    assert "own_point_off_sheet" not in [a.code for a in advise(solved, [])]
    assert all(not aim.name.startswith("Crate") for aim in picture(solved).aims)


def test_a_frame_brings_its_vanishing_points_first_and_aids_only_where_an_eye_is_known() -> None:
    known = frame_aims(one_point_frame("point", Point(200.0, 150.0), 300.0))
    assert [(aim.role, aim.at.xy, aim.is_vanishing) for aim in known] == [
        ("centre", (200.0, 150.0), True),
        ("left_distance", (-100.0, 150.0), False),
        ("right_distance", (500.0, 150.0), False),
    ]
    assert [aim.role for aim in frame_aims(one_point_frame("point", Point(200.0, 150.0), None))] == ["centre"]
    free = two_point_frame("point", Point(0.0, 150.0), Point(400.0, 150.0), None)
    assert [aim.role for aim in frame_aims(free)] == ["left", "right"]


def test_two_points_of_one_name_are_refused() -> None:
    views = [
        {"kind": "one_point", "name": "left a", "x_mm": 100.0},
        {"kind": "two_point", "name": "a", "left_mm": 0.0, "right_mm": 400.0},
    ]
    with pytest.raises(GeometryError) as refused:
        prepare(exercise_of(views=views))
    assert refused.value.code == "points_called_alike"
