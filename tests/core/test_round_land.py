"""The round land of a small world: a true circle about the point, behind what stands there, waves about it."""

import math
from typing import Any

import numpy as np
import pytest
from hypothesis import given, settings
from scenes import assert_same_point, lands, solved
from skimage.measure import CircleModel

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.editing.edit_views import add_view
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw

POINT = {"kind": "one_point", "x_mm": 210.0}
LEVEL = {"height_mm": 148.0}


def world(*things: dict[str, Any], x: float = 210.0, **values: Any) -> Exercise:
    """A small harbour world on a sheet of 420 by 297 mm."""
    land = {"kind": "round_land", "name": "Land", "radius": 80.0, **values}
    return exercise_of(*things, land, views=[{**POINT, "x_mm": x}], eye_level=LEVEL)


@settings(max_examples=80)
@given(lands())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[0]
    for name, place in seen.solid.picture(seen.eye).items():
        made = found.board.points.get(f"Land.{name}")
        if made is not None:
            assert_same_point(made.xy, place, name)
    assert len([name for name in found.board.points if name.startswith("Land.at.")]) == 4


def test_it_is_a_circle_about_the_point() -> None:
    """The drawn places are fitted with scikit-image's circle."""
    drawing = draw(world())
    rim = [line for line in drawing.lines if line.thing == "Land" and line.bend]
    places = np.array([place for line in rim for place in (line.start, *line.bend, line.end)])
    model = CircleModel.from_estimate(places)
    assert model, "the places lie on a circle"
    assert np.abs(model.residuals(places)).max() < 0.001
    assert (*model.center, model.radius) == pytest.approx((210.0, 148.0, 80.0), abs=0.001)


@pytest.mark.parametrize("is_first", [True, False])
def test_what_stands_there_hides_it_wherever_it_stands_in_the_list(is_first: bool) -> None:
    tower = box("Tower", 250.0, 60.0, 60.0, 40.0, depth_by="measured", depth=60.0)
    land = {"kind": "round_land", "name": "Land", "radius": 80.0}
    things = [land, tower] if is_first else [tower, land]
    drawing = draw(exercise_of(*things, views=[POINT], eye_level=LEVEL))
    kept = {number for step in drawing.steps for number in (*step.draws, *step.leaves)} - {
        number for step in drawing.steps for number in step.takes_away
    }
    shown = [line for line in drawing.lines if line.thing == "Land" and line.id in kept]
    places = [place for line in shown for place in (line.start, *line.bend, line.end)]
    assert len(places) > 50, "beside the tower it is seen"
    for x, y in places:
        assert math.hypot(x - 210, y - 148) == pytest.approx(80, abs=0.001)
        assert not (250.1 < x < 309.9 and 60.1 < y < 99.9), "the front of the tower stands before it"


def test_waves_stay_near_the_circle_and_close() -> None:
    drawing = draw(world(rim="waves"))
    waves = [line for line in drawing.lines if line.thing == "Land" and not line.bend]
    away = [math.hypot(x - 210, y - 148) / 80 for line in waves for x, y in (line.start, line.end)]
    assert 0.93 < min(away) < 0.97
    assert 1.03 < max(away) < 1.07
    ends = sorted((round(x, 6), round(y, 6)) for line in waves for x, y in (line.start, line.end))
    assert ends[::2] == ends[1::2], "each ends where the next one begins"
    said = " ".join(step.text for step in drawing.steps)
    assert "light circle" in said


def test_nobody_counts_waves() -> None:
    steps = draw(world(rim="waves")).steps
    darken = next(step for step in steps if step.darkens)
    assert (darken.title, darken.count) == ("Darken what stays", 0)
    tower = box("Tower", 250.0, 60.0, 60.0, 40.0, depth_by="measured", depth=60.0)
    counted = [next(step for step in draw(one).steps if step.darkens) for one in (world(tower, rim="waves"),
               exercise_of(tower, views=[POINT], eye_level=LEVEL))]  # fmt: skip
    assert counted[0].title == counted[1].title
    assert len(counted[0].darkens) > len(counted[1].darkens)


@pytest.mark.parametrize(("rim", "most"), [("circle", "148 mm"), ("waves", "138 mm")])
def test_it_lies_on_the_sheet(rim: str, most: str) -> None:
    with pytest.raises(GeometryError) as caught:
        draw(world(radius=160.0, rim=rim))
    assert (caught.value.code, caught.value.nearest) == ("land_past_sheet", most)
    assert draw(world(radius=float(most.split()[0]), rim=rim)).lines
    assert caught.value.about == "things.0.radius"


def test_a_point_at_the_edge_of_the_sheet_has_no_land_about_it() -> None:
    for x in (0.5, 1.5):
        with pytest.raises(GeometryError) as caught:
            draw(world(x=x))
        assert caught.value.code == "point_at_edge"
    assert draw(world(x=2.5, radius=2.0)).lines


def test_the_handle_says_how_far_it_reaches_and_stops_at_the_edge() -> None:
    exercise = world()
    handle = next(one for one in draw(exercise).handles if one.id == "things.0.radius")
    assert handle.at == pytest.approx((290.0, 148.0))
    assert draw(drag(exercise, handle.id, 210.0, 108.0)).handles[-1].at == pytest.approx((250.0, 148.0))
    far = drag(exercise, handle.id, 900.0, 148.0)
    assert far.document()["things"][0]["radius"] == 148.0


def test_a_new_one_is_placed_where_it_can_be_drawn() -> None:
    exercise = exercise_of(views=[POINT], eye_level=LEVEL)
    for _ in range(3):
        exercise = add_thing(exercise, "round_land")
    radii = [thing["radius"] for thing in exercise.document()["things"]]
    assert radii == sorted(set(radii))
    assert draw(exercise).lines


def test_its_sentence_does_not_say_that_it_stands_by_something() -> None:
    """It lies about the point, whatever else is on the sheet; a tower beside it may stand by others."""
    exercise = read_exercise(next(one for one in READY if one["title"].startswith("A small world")))
    said = {one.title: "".join(piece.text for piece in one.pieces) for one in draw(exercise).sentences}
    assert said["Land"].startswith("The land lies about the point")
    assert "It stands" not in said["Land"]
    assert "It stands on its own." in said["Light tower"]


def test_land_goes_with_its_point_to_half_of_a_folded_sheet_and_to_another_point() -> None:
    """It lies about the point of its view, and has no first corner that could be moved."""
    (ready,) = (document for document in READY if document["title"].startswith("A small world of towers"))
    exercise = read_exercise({**ready, "sheet": {"fold": "folded"}})
    number = next(i for i, thing in enumerate(exercise.things) if thing.kind == "round_land")
    left = set_at(exercise, "views.0.half", "left")
    assert left.views[0].x_mm == pytest.approx(exercise.views[0].x_mm / 2, abs=0.5)  # type: ignore[union-attr]
    assert draw(left).lines
    two = add_view(exercise, "one_point")
    moved = set_at(two, f"things.{number}.view", two.views[1].name)
    assert moved.things[number].view == two.views[1].name
