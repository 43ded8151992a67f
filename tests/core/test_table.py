"""Tables from their box: both routes, legs that are equal in truth, what is seen between them, bad input."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, deck_in, solved, tables

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.table.shape import leg_foot, leg_head
from orthopsis.core.view.eye import Array

IN_VIEWS = ["one_point", "two_point", "from_above"]


def deck(view: str = "two_point", *more: dict[str, Any], **values: Any) -> Exercise:
    """A deck, a table on it, and what is on that."""
    table = {"kind": "table", "name": "Table", "joined_to": "Deck", "joined_by": "face_top", "along": "1:3:2",
             "up": "1:3:2", "rise": 44.0, "thick": 5.0}  # fmt: skip
    return exercise_of(deck_in(view), {**table, **values}, *more, views=[VIEWS[view]])


def world(exercise: Exercise) -> dict[str, Array]:
    """Where the table's corners are in the eye's world."""
    solid = solved(exercise).seen[1].solid
    return dict(zip(solid.names, solid.places, strict=True))


@settings(max_examples=300, suppress_health_check=[HealthCheck.filter_too_much])
@given(tables())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    picture = found.seen[1].solid.picture(found.seen[1].eye)
    made = {name: found.board.points.get(f"Table.{name}") for name in picture}
    for name, at in made.items():
        if at is not None:
            assert_same_point(at.xy, picture[name], name)
    feet = {leg_foot(leg, corner) for leg in range(4) for corner in range(4)}
    assert all(
        made[name] is not None for name in feet | {f"slab.{i}" for i in range(4)} | {f"top.{i}" for i in range(4)}
    )
    seen = [line for line in found.edges[1] if line.visible]
    edges = {edge.name: edge for edge in found.seen[1].solid.edges}
    assert all(made[edges[line.name].start] is not None and made[edges[line.name].end] is not None for line in seen)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_its_legs_are_equally_wide_deep_and_tall_in_truth(view: str) -> None:
    """In the solid, by vectors alone: all four legs are one and the same box, moved along and up the plan."""
    at = world(deck(view))
    legs = [np.array([at[leg_foot(leg, i)] for i in range(4)] + [at[leg_head(leg, i)] for i in range(4)])
            for leg in range(4)]  # fmt: skip
    for leg in legs[1:]:
        assert np.allclose(leg - leg[0], legs[0] - legs[0][0], atol=1e-6)
    wide = np.linalg.norm(legs[0][1] - legs[0][0])
    assert wide == pytest.approx(np.linalg.norm(at["foot.1"] - at["foot.0"]) / 6)
    rise, thick = at["top.0"] - at["foot.0"], at["top.0"] - at["slab.0"]
    assert np.linalg.norm(np.cross(rise, thick)) < 1e-6 * np.linalg.norm(rise) * np.linalg.norm(thick)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_a_finished_table_is_found_right_and_told_whole(view: str) -> None:
    drawing = assert_found_right(deck(view))
    titles = [step.title for step in drawing.steps if step.thing == "Table"]
    assert any("square of its nearest leg" in title for title in titles)
    assert any("legs up to the top" in title for title in titles)
    uprights = {
        line.name for line in drawing.lines if line.thing == "Table" and line.visible and "upright" in line.name
    }
    assert len(uprights) >= 8


def test_what_is_behind_is_seen_between_the_legs() -> None:
    room = {"kind": "room", "name": "Room", "left": 30.0, "bottom": 20.0, "width": 360.0, "height": 252.0,
            "depth_by": "measured", "depth": 118.0}  # fmt: skip
    table = {**deck().things[1].model_dump(mode="json"), "joined_to": "Room", "joined_by": "face_floor",
             "along": "2:5:5", "up": "3:5:4", "rise": 66.0, "thick": 6.0}  # fmt: skip
    drawing = draw(exercise_of(room, table, views=[VIEWS["one_point"]]))
    foot = [line for line in drawing.lines if (line.thing, line.name) == ("Room", "back.bottom")]
    pieces = sorted((line for line in foot if line.role == "edge"), key=lambda line: min(line.start[0], line.end[0]))
    assert [piece.visible for piece in pieces] == [True, False, True, False, True]


@pytest.mark.parametrize("view", IN_VIEWS)
def test_a_book_lies_on_it(view: str) -> None:
    book = {"kind": "raised_block", "name": "Book", "joined_to": "Table", "joined_by": "face_top", "along": "1:1:2",
            "up": "1:1:2", "rise": 4.0}  # fmt: skip
    found = solved(deck(view, book))
    table, on_it = (dict(zip(s.solid.names, s.solid.places, strict=True)) for s in found.seen[1:])
    normal = np.cross(table["top.1"] - table["top.0"], table["top.3"] - table["top.0"])
    for i in range(4):
        off = float((on_it[f"foot.{i}"] - table["top.0"]) @ normal)
        assert abs(off) < 1e-6 * float(np.linalg.norm(normal)) * float(np.linalg.norm(table["top.0"]))
    assert_found_right(deck(view, book))


@pytest.mark.parametrize(
    ("values", "code", "about"),
    [({"thick": 44.0}, "top_too_thick", "thick"), ({"thick": 0.0}, "length_out_of_limits", "thick"),
     ({"up": "nowhere"}, "not_taken", "up")],
)  # fmt: skip
def test_what_cannot_be_drawn_is_refused_at_its_place(values: dict[str, Any], code: str, about: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(deck(**values))
    assert (refused.value.code, refused.value.about) == (code, f"things.1.{about}")
    nearest = refused.value.nearest or ""
    works: Any = nearest if about == "up" else float(nearest.split()[0])
    assert draw(deck(**{**values, about: works})).lines


def test_a_side_straight_before_the_point_is_refused_where_it_lies() -> None:
    host = box("Deck", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
    table = deck().things[1].model_dump(mode="json")
    exercise = exercise_of(host, {**table, "joined_to": "Deck", "up": "2:1:1"}, views=[VIEWS["one_point"]])
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("seen_edge_on", "things.1.up")
    assert draw(set_at(exercise, "things.1.up", refused.value.nearest)).lines


@pytest.mark.parametrize("view", IN_VIEWS)
def test_height_and_thickness_are_dragged(view: str) -> None:
    exercise = deck(view)
    spans = solved(exercise).prepared.things[1].standing.spans
    for name, more in (("rise", 10.0), ("thick", 3.0)):
        low, high = spans[name]
        at = next(handle for handle in draw(exercise).handles if handle.id == f"things.1.{name}").at
        length = float(np.hypot(high.x - low.x, high.y - low.y))
        step = more / length * (1 if name == "rise" else -1)
        after = drag(exercise, f"things.1.{name}", at[0] + (high.x - low.x) * step, at[1] + (high.y - low.y) * step)
        assert getattr(after.things[1], name) == pytest.approx(getattr(exercise.things[1], name) + more, abs=1.0)


def test_a_new_table_stands_on_the_floor_of_a_room() -> None:
    exercise = add_thing(add_thing(exercise_of(views=[VIEWS["one_point"]]), "room"), "table")
    assert exercise.things[1].joined_by == "face_floor"
    assert [line for line in draw(exercise).lines if line.thing == exercise.things[1].name and line.visible]


def test_wherever_the_point_lies_a_table_is_drawn_or_refused_with_a_place_that_works() -> None:
    """Where a side of a leg lies straight before the point, its upright is found by the other line beside it."""
    drawn = 0
    for x_mm in np.arange(110.0, 310.0, 2.0):
        host = box("Deck", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
        table = {**deck("one_point").things[1].model_dump(mode="json"), "joined_to": "Deck", "along": "1:4:1"}
        for up in ("1:3:1", "2:5:3", "1:3:2"):
            exercise = exercise_of(host, {**table, "up": up}, views=[{**VIEWS["one_point"], "x_mm": float(x_mm)}])
            try:
                drawn += bool(draw(exercise).lines)
            except GeometryError as error:
                assert error.code == "seen_edge_on", (x_mm, up, error.why)
    assert drawn > 250
