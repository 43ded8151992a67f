"""Windows that are placed by measures from the edge of their face, and not as shares of it."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from test_rectangles import loft

from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.sheet.length import Units, format_mark

FRONT = {"along": "20 mm : 60 mm", "columns": "1", "wide": "whole", "tall": "whole", "rows": "1"}


def measured(**windows: str) -> Exercise:
    """A loft whose front, 110 mm wide and 120 mm tall, has its corner 40 mm across and 60 mm up."""
    return loft("one_point", "face_front", **{**FRONT, "up": "30 mm : 50 mm", **windows})


def test_measures_are_laid_off_from_the_edge_of_the_face() -> None:
    points = draw(measured()).points
    assert points["Windows.Number 1.low_near"] == pytest.approx((60.0, 90.0))
    assert points["Windows.Number 1.high_far"] == pytest.approx((120.0, 140.0))


@given(st.integers(0, 60), st.integers(1, 50), st.sampled_from(("mm", "cm")))
def test_a_measure_means_the_same_in_any_unit(free: int, taken: int, unit: Units) -> None:
    typed = " : ".join(format_mark(mm, unit, 1.0) for mm in (free, taken))
    points = draw(measured(along=typed)).points
    corner, far = points["Windows.Number 1.low_near"], points["Windows.Number 1.low_far"]
    assert corner[0] == pytest.approx(40 + free)
    assert far[0] - corner[0] == pytest.approx(taken)


def test_what_was_measured_stays_so_when_the_face_grows() -> None:
    wider = type_at(measured(), "things.0.width", "150 mm")
    before, after = (draw(exercise).points["Windows.Number 1.low_far"] for exercise in (measured(), wider))
    assert after == pytest.approx(before)


def test_up_a_wall_that_goes_away_its_first_edge_is_the_ruler() -> None:
    exercise = loft("two_point", "face_right", along="1:6:1", up="20 mm : 40 mm", rows="1", tall="whole", columns="1")
    points, lines = draw(exercise).points, draw(exercise).lines
    # The line through the window's foot runs to the right point: at the nearest edge it is 20 mm up.
    foot, far = points["Windows.Number 1.low_near"], points["Windows.Number 1.low_far"]
    edge_x, edge_y = points["Loft.near.bottom"]
    at_edge = foot[1] + (foot[1] - far[1]) / (foot[0] - far[0]) * (edge_x - foot[0])
    assert at_edge - edge_y == pytest.approx(20.0, abs=1e-6)
    assert any(line.thing == "Windows" for line in lines)


def test_dragging_keeps_measures_measures_on_marks() -> None:
    moved = drag(measured(), "things.1.begin", 65.3, 90.0)
    assert moved.things[1].held()["along"] == "25 mm : 55 mm"
    assert moved.things[1].held()["up"] == "30 mm : 50 mm"
    past = drag(measured(), "things.1.end", 900.0, 900.0)
    assert past.things[1].held()["along"] == "20 mm : 90 mm", "no farther than the face"
    mixed = drag(measured(up="1:3:1"), "things.1.begin", 65.3, 84.0)
    assert "mm" not in str(mixed.things[1].held()["up"]), "what was a share stays one"


@pytest.mark.parametrize(
    ("typed", "code"),
    [
        ("20 mm : 100 mm", "no_room_on_face"),
        ("-5 mm : 20 mm", "no_room_on_face"),
        ("20 mm : 0 mm", "no_room_on_face"),
        ("900 cm : 900 cm", "no_room_on_face"),
        ("20 ells : 4 mm", "unknown_unit"),
        (" : mm", "unreadable_length"),
    ],
)
def test_a_measure_without_room_is_refused_with_one_that_has(typed: str, code: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(measured(along=typed))
    assert (refused.value.code, refused.value.about) == (code, "things.1.along")
    assert refused.value.nearest
    draw(measured(along=refused.value.nearest))


def test_along_a_wall_that_goes_away_no_ruler_measures() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(loft("two_point", "face_right", along="20 mm : 40 mm"))
    assert refused.value.code == "not_measured"
    draw(loft("two_point", "face_right", along=refused.value.nearest))


def test_the_steps_say_the_measures() -> None:
    step = next(step for step in draw(measured()).steps if step.thing == "Windows" and step.count)
    said = step.text + " ".join(str(scale) for scale in step.scales)
    assert all(figure in said for figure in ("20", "80", "30")), said
    assert math.isclose(step.count, 4)
