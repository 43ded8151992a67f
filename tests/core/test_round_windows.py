"""Windows round a wall: on the true cylinder, both routes, found right, seen where the wall is, bad input."""

import math
from typing import Any

import numpy as np
import pytest
import shapely
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, deck_in, round_windowed, solved
from test_round_body import IN_VIEWS

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell

WALLS = {"one_point": "front", "two_point": "left", "from_above": "right"}
TOWER = {"kind": "round_body", "name": "Tower", "joined_to": "Deck", "joined_by": "face_top", "along": "1:3:2",
         "up": "1:3:2", "rise": 48.0}  # fmt: skip
DISC = {"kind": "profile", "name": "Tower", "left": 300, "bottom": 60, "depth_by": "measured", "depth": 90,
        "outline": [[[0, 0, 22, 22], [44, 0, 22, 22], [44, 44, 22, 22], [0, 44, 22, 22]]]}  # fmt: skip


def panes(wall: str, **values: Any) -> dict[str, Any]:
    return {"kind": "round_windows", "name": "Panes", "joined_to": "Tower", "joined_by": f"face_round_{wall}",
            "along": "1:4:1", "up": "1:2:1", "columns": "2", **values}  # fmt: skip


def tower(view: str = "two_point", **values: Any) -> Exercise:
    """A round tower on a deck, and windows on a wall of it."""
    return exercise_of(deck_in(view), TOWER, panes(WALLS[view], **values), views=[VIEWS[view]])


def from_above(wall: str = "left", **values: Any) -> Exercise:
    """A round tower on which one looks down: its roof is drawn true, its walls run to the point."""
    return exercise_of(DISC, panes(wall, **values), views=[VIEWS["one_point"]])


def mine(found: Solved, end: str) -> list[Any]:
    """The lines of the windows that are seen, by the end of their names."""
    lines = (line for line in found.final if line.thing == "Panes" and line.visible)
    return [line for line in lines if line.name.endswith(end)]


@settings(max_examples=120, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(round_windowed())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[-1]
    made = found.board.points
    page = {name: at for name, at in seen.solid.picture(seen.eye).items() if ".at." not in name}
    assert page
    for name, at in page.items():
        assert_same_point(made[f"Windows.{name}"].xy, at, name)


@settings(max_examples=60, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(round_windowed())
def test_bends_of_a_curve_lie_on_the_curve_that_the_hand_draws(exercise: Exercise) -> None:
    """Sight knows a curve by its bends, from the world; the hand's arc gives the same places at the same angles."""
    found = solved(exercise)
    seen = found.seen[-1]
    page = seen.solid.picture(seen.eye)
    for edge in seen.solid.edges:
        if edge.angles is not None:
            arc = found.board.lines[f"Windows.{edge.name}"].arc
            assert arc is not None
            for name, angle in zip((edge.start, edge.end), edge.angles, strict=True):
                assert_same_point(arc.at(angle).xy, page[name], name)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_all_of_them_lies_on_the_round_wall(view: str) -> None:
    """By vectors alone: seen along the axis each place lies on the ellipse in the plan of the tower."""
    found = solved(tower(view, rows="2"))
    body, windows = found.seen[1].solid, found.seen[2].solid
    at = dict(zip(body.names, body.places, strict=True))
    middle = (at["base.middle_near"] + at["base.middle_far"]) / 2
    across, back, axis = (
        at["base.middle_far"] - middle, at["base.middle_high"] - middle, at["rim.middle_far"] - at["base.middle_far"]
    )  # fmt: skip
    shares = np.linalg.solve(np.column_stack((across, back, axis)), (windows.places - middle).T).T
    assert np.hypot(shares[:, 0], shares[:, 1]) == pytest.approx(np.ones(len(shares)), abs=1e-9)
    assert (shares[:, 2] > 0).all()
    assert (shares[:, 2] < 1).all()


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("rows", ["1", "2"])
def test_a_perfect_sheet_is_found_right(view: str, rows: str) -> None:
    drawing = assert_found_right(tower(view, rows=rows, tall="half"))
    assert [step.title for step in drawing.steps if step.thing == "Panes"][-1] == "Panes: the windows, round the wall"


def test_rows_without_a_gap_share_a_circle() -> None:
    drawing = assert_found_right(tower("two_point", rows="2", tall="whole", columns="1"))
    halves = [step for step in drawing.steps if "half square" in step.title or "half a square" in step.title]
    assert [step.title for step in halves] == [
        "Panes: half a square at the foot of the lowest windows",
        "Panes: the other half squares",
    ]
    assert "at the other edges of the windows" in halves[1].text
    curves = next(step for step in drawing.steps if step.title == "Panes: half circles, lightly")
    assert "6 curves" in curves.text, "three circles, half of each in two"


def test_on_a_tower_from_above_they_curve_as_its_roof_does() -> None:
    """All circles are parallel to the picture: what goes round is a part of a true circle about the axis."""
    found = solved(from_above())
    centre, goal = (322.0, 82.0), found.prepared.frames[0].vanishing["point"].xy
    curves = [*mine(found, ".near"), *mine(found, ".far")]
    assert len(curves) == 4
    radii = []
    for line in curves:
        places = np.array([line.start, *line.bend, line.end])
        # Circles get smaller toward the point as their middles come nearer to it.
        shares = np.linspace(0, 1, 20001)[:, None]
        middles = np.array(centre) + shares * (np.array(goal) - np.array(centre))
        off = np.abs(np.linalg.norm(places[0] - middles, axis=1) - 22 * (1 - shares[:, 0]))
        middle, radius = middles[off.argmin()], 22 * (1 - float(shares[off.argmin(), 0]))
        assert np.linalg.norm(places - middle, axis=1) == pytest.approx(np.full(len(places), radius), abs=0.01)
        radii.append(radius)
    assert len({round(radius, 1) for radius in radii}) == 4, "larger toward the eye"


def test_what_goes_round_to_the_far_side_is_not_seen() -> None:
    """Beside the outline of the tower nothing of a window is drawn; that which goes round is cut there."""
    found = solved(tower("two_point", along="0:1:2", columns="1", wide="whole"))
    wide = solved(tower("two_point", along="5:2:1", columns="1", wide="whole"))
    outline = [line for line in wide.final if line.thing == "Tower" and ".outline." in f".{line.name}"]
    tall = shapely.union_all([shapely.LineString([line.start, line.end]) for line in outline])
    cut = [line for line in mine(wide, ".low") if shapely.distance(tall, shapely.Point(line.start)) < 0.05
           or shapely.distance(tall, shapely.Point(line.end)) < 0.05]  # fmt: skip
    assert len(mine(found, ".near")) == len(mine(found, ".far")) == 1
    assert cut, "a curve ends where the tower does"
    assert len(mine(wide, ".far")) + len(mine(wide, ".near")) == 1, "one side of it is behind the tower"


@pytest.mark.parametrize("wall", ["left", "top"])
def test_from_above_they_are_offered_on_the_walls_that_show(wall: str) -> None:
    """The point lies up to the left of this tower: its walls to the right and below are hidden."""
    assert mine(solved(from_above(wall)), ".low") != []
    hidden = {"left": "right", "top": "bottom"}[wall]
    assert mine(solved(from_above(hidden)), ".low") == []


def test_only_round_walls_bear_them_and_bear_nothing_else() -> None:
    flat = exercise_of(deck_in("two_point"), panes("left") | {"joined_to": "Deck", "joined_by": "face_left"},
                       views=[VIEWS["two_point"]])  # fmt: skip
    assert mine(solved(flat), "") == []
    other = {"kind": "rectangles", "name": "Panes", "joined_to": "Tower", "joined_by": "face_round_left"}
    assert mine(solved(exercise_of(deck_in("two_point"), TOWER, other, views=[VIEWS["two_point"]])), "") == []


@pytest.mark.parametrize("form", ["pail", "stool", "cone"])
def test_a_wall_that_leans_has_none(form: str) -> None:
    slim = exercise_of(deck_in("two_point"), TOWER | {"form": form}, panes("left"), views=[VIEWS["two_point"]])
    assert mine(solved(slim), "") == []


@pytest.mark.parametrize(("values", "code"), [
    ({"along": "0:1:0", "columns": "1", "wide": "whole"}, "goes_half_round"),
    ({"along": "nothing"}, "not_taken"),
])  # fmt: skip
def test_what_cannot_be_is_said_with_what_works(values: dict[str, str], code: str) -> None:
    name = next(iter(values))
    with pytest.raises(GeometryError) as refused:
        draw(tower(**values))
    assert (refused.value.code, refused.value.about) == (code, f"things.2.{name}")
    assert draw(set_at(tower(**values), refused.value.about, refused.value.nearest)).lines


def test_an_edge_that_would_lie_on_the_eye_level_is_refused() -> None:
    """A circle that lies level is a mere line where it is as high as the eye."""
    tall = Exercise.model_validate(set_at(tower("one_point"), "things.1.rise", 240.0).document())
    over = tall.eye_level.height_mm - solved(tall).board.points["Tower.foot.0"].y
    with pytest.raises(GeometryError) as refused:
        draw(set_at(tall, "things.2.up", f"{over:.0f} mm : 20 mm"))
    assert (refused.value.code, refused.value.about) == ("circle_edge_on", "things.2.up")
    assert draw(set_at(tall, "things.2.up", refused.value.nearest)).lines


def test_they_are_added_to_a_tower_that_is_there_and_dragged() -> None:
    exercise = exercise_of(deck_in("two_point"), TOWER, views=[VIEWS["two_point"]])
    more = add_thing(exercise, "round_windows")
    assert more.document()["things"][-1]["joined_to"] == 2
    handle = next(h for h in draw(more).handles if h.id == "things.2.end")
    after = drag(more, handle.id, handle.at[0], handle.at[1] + 12.0)
    assert after.document()["things"][2]["up"] != more.document()["things"][2]["up"]
    assert math.isfinite(draw(after).lines[0].start[0])


def test_a_line_of_the_box_that_is_not_there_is_drawn_first() -> None:
    """In one point, on the right wall of a tower to the left of the point: nobody needed its far upright before."""
    low = {**deck_in("one_point"), "left": 10.0}
    exercise = exercise_of(low, TOWER, panes("right"), views=[VIEWS["one_point"]])
    drawing = assert_found_right(exercise)
    first = next(step for step in drawing.steps if step.thing == "Panes")
    assert first.title == "Panes: the last line of the box"
    assert (first.count, len(first.draws)) == (1, 1)
    assert list(gaps(tell(solved(exercise)).breaths, solved(exercise).board)) == []
    assert mine(solved(exercise), ".low") != []
