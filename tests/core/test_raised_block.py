"""Blocks raised from their plan on a level top: both routes, what is true of them in the world, what they bear."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, raised, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.view.eye import Array

QUAY = {
    "kind": "box", "name": "Quay", "left": 200.0, "bottom": 30.0, "height": 8.0, "left_by": "measured",
    "left_length": 120.0, "right_by": "measured", "right_length": 150.0,
}  # fmt: skip
IN_VIEWS = ["one_point", "two_point", "from_above"]


def quay(view: str = "two_point", *more: dict[str, Any], **block: Any) -> Exercise:
    """A quay, a store raised on it, and what is on that."""
    host: dict[str, Any] = {**QUAY, "bottom": 100.0, "left_length": 70.0, "right_length": 80.0}
    if view == "two_point":
        host = QUAY
    elif view == "one_point":
        host = box("Quay", 40.0, 20.0, 150.0, 10.0, depth_by="measured", depth=90.0)
    store = {"kind": "raised_block", "name": "Store", "joined_to": "Quay", "joined_by": "face_top", "along": "1:3:2",
             "up": "1:2:1", "rise": 40.0}  # fmt: skip
    return exercise_of(host, {**store, **block}, *more, views=[VIEWS[view]])


def world(found: Solved, thing: int = 1) -> dict[str, Array]:
    """Where the corners of a thing are in the eye's world."""
    solid = found.seen[thing].solid
    return dict(zip(solid.names, solid.places, strict=True))


@settings(max_examples=400)
@given(raised())
def test_every_point_of_it_and_of_what_it_bears_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for thing in found.prepared.things[1:]:
        seen = found.seen[thing.index]
        picture = seen.solid.picture(seen.eye)
        made = [name for name in picture if thing.values.full(name) in found.board.points]
        for name in made:
            assert_same_point(found.board.points[thing.values.full(name)].xy, picture[name], name)
        if thing.index == 1:
            assert {"foot.0", "foot.1", "foot.2", "foot.3", "top.0", "top.1", "top.3"} <= set(made)


@settings(max_examples=200)
@given(raised(more=("",)))
def test_it_is_a_box_on_the_part_of_the_top_that_was_said(exercise: Exercise) -> None:
    """In the solid, by vectors alone: four uprights as long and as upright as each other, on the top's own plane."""
    found = solved(exercise)
    at, host = world(found), world(found, 0)
    names = ("near.top", "right.top", "left.top") if "near.top" in host else (
        "front.top_left", "back.top_left", "front.top_right")  # fmt: skip
    low, along, up = (host[name] for name in names)
    along, up = along - low, up - low
    shares = {}
    for text in (exercise.things[1].along, exercise.things[1].up):  # type: ignore[attr-defined]
        free, mine, after = (float(part) for part in text.split(":"))
        shares[text] = (free / (free + mine + after), (free + mine) / (free + mine + after))
    (a0, a1), (u0, u1) = (shares[text] for text in (exercise.things[1].along, exercise.things[1].up))  # type: ignore[attr-defined]
    size = float(np.abs(low).max())
    if found.prepared.things[1].standing.grid.columns and found.prepared.things[1].setting.frame.kind != "one_point":
        for i, (a, u) in enumerate(((a0, u0), (a1, u0), (a1, u1), (a0, u1))):
            assert np.allclose(at[f"foot.{i}"], low + a * along + u * up, atol=1e-7 * size)
    for i in range(1, 4):
        assert np.allclose(at[f"top.{i}"] - at[f"foot.{i}"], at["top.0"] - at["foot.0"], atol=1e-9 * size)
    rise = at["top.0"] - at["foot.0"]
    foot = host["near.bottom"] if "near.bottom" in host else host["front.bottom_left"]
    upright = low - foot
    assert np.linalg.norm(np.cross(rise, upright)) < 1e-6 * np.linalg.norm(rise) * np.linalg.norm(upright)
    assert float(rise @ upright) > 0


@pytest.mark.parametrize("view", IN_VIEWS)
def test_its_edges_are_told_drawn_and_found_right_with_a_roof_and_windows(view: str) -> None:
    wall = "front" if view == "one_point" else "right"
    roof = {"kind": "hip_roof", "name": "Roof", "joined_to": "Store", "joined_by": "face_top", "rise": 20.0}
    windows = {"kind": "rectangles", "name": "Windows", "joined_to": "Store", "joined_by": f"face_{wall}",
               "columns": "2"}  # fmt: skip
    drawing = assert_found_right(quay(view, roof, windows))
    for thing in ("Store", "Roof", "Windows"):
        assert [line for line in drawing.lines if line.thing == thing and line.visible and line.role != "guide"]


@pytest.mark.parametrize("view", ["two_point", "from_above"])
def test_a_gable_over_one_of_its_walls_ends_over_the_opposite_one(view: str) -> None:
    for wall in ("left", "right"):
        roof = {"kind": "gable_roof", "name": "Roof", "joined_to": "Store", "joined_by": f"face_{wall}", "rise": 18.0}
        found = solved(quay(view, roof))
        at, store = world(found, 2), world(found)
        ridge = at["back.peak"] - at["front.peak"]
        deep = store["foot.1"] - store["foot.0"] if wall == "left" else store["foot.3"] - store["foot.0"]
        assert np.linalg.norm(np.cross(ridge, deep)) < 1e-6 * np.linalg.norm(ridge) * np.linalg.norm(deep)
        assert np.linalg.norm(ridge) == pytest.approx(np.linalg.norm(deep), rel=1e-6)


def test_one_stands_on_another() -> None:
    upper = {"kind": "raised_block", "name": "Lamp room", "joined_to": "Store", "joined_by": "face_top",
             "along": "1:1:1", "up": "1:1:1", "rise": 12.0}  # fmt: skip
    found = solved(quay("from_above", upper))
    store, room = world(found), world(found, 2)
    middle = (store["top.0"] + store["top.2"]) / 2
    assert np.allclose((room["foot.0"] + room["foot.2"]) / 2, middle, rtol=1e-6)


@pytest.mark.parametrize(
    ("view", "block", "code", "about"),
    [
        ("two_point", {"rise": 0.0}, "length_out_of_limits", "rise"),
        ("from_above", {"along": "here"}, "not_taken", "along"),
        ("one_point", {"along": "1:0:1"}, "not_taken", "along"),
    ],
)
def test_what_cannot_be_drawn_is_refused_at_its_place(view: str, block: dict[str, Any], code: str, about: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(quay(view, **block))
    assert (refused.value.code, refused.value.about) == (code, f"things.1.{about}")


def test_a_top_on_the_eye_level_is_refused_with_a_height_that_works() -> None:
    exercise = quay()
    foot = solved(exercise).board.points["Store.foot.0"]
    level = exercise.eye_level.height_mm
    with pytest.raises(GeometryError) as refused:
        draw(quay(rise=level - foot.y))
    assert refused.value.code == "lid_on_eye_level"
    assert draw(quay(rise=float((refused.value.nearest or "").split()[0]))).lines


def before_the_point(up: str, **more: Any) -> Exercise:
    """A quay of 200 mm about the point, which is 210 mm in, and a store on it."""
    host = box("Quay", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
    store = {"kind": "raised_block", "name": "Store", "joined_to": "Quay", "joined_by": "face_top", "along": "1:2:1",
             "up": up, "rise": 40.0, **more}  # fmt: skip
    return exercise_of(host, store, views=[VIEWS["one_point"]])


@pytest.mark.parametrize("up", ["2:1:1", "1:1:2"])
def test_a_wall_straight_before_the_point_is_found_by_the_other_one(up: str) -> None:
    """The left wall of the plan, or the right one, stands straight under the point: its edges to it are upright."""
    exercise = before_the_point(up)
    drawing = assert_found_right(exercise)
    assert any("nearly edge-on" in step.rule for step in drawing.steps) == (up == "2:1:1")
    found = solved(exercise)
    picture = found.seen[1].solid.picture(found.seen[1].eye)
    for name, place in picture.items():
        if f"Store.{name}" in found.board.points:
            assert_same_point(found.board.points[f"Store.{name}"].xy, place, name)


def test_a_block_as_narrow_as_a_line_before_the_point_is_refused() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(before_the_point("100:1:99"))
    assert refused.value.code == "seen_edge_on"


@pytest.mark.parametrize("view", IN_VIEWS)
def test_its_height_and_its_plan_are_dragged(view: str) -> None:
    exercise = quay(view)
    before = solved(exercise)
    at = next(h for h in draw(exercise).handles if h.id == "things.1.rise").at
    foot = before.board.points["Store.foot.0"]
    taller = drag(exercise, "things.1.rise", at[0] + (at[0] - foot.x) / 2, at[1] + (at[1] - foot.y) / 2)
    assert taller.things[1].rise == pytest.approx(60.0, abs=1.0)  # type: ignore[attr-defined]
    end = next(h for h in draw(exercise).handles if h.id == "things.1.end").at
    corner = before.board.points["Quay.far.top" if view != "one_point" else "Quay.back.top_right"]
    wider = drag(exercise, "things.1.end", corner.x, corner.y)
    assert wider.things[1].along.endswith(":0")  # type: ignore[attr-defined]
    assert end != corner.xy


def test_a_new_one_lands_on_a_top_that_is_seen_and_can_be_drawn() -> None:
    exercise = add_thing(exercise_of(QUAY, views=[VIEWS["two_point"]]), "raised_block")
    assert exercise.things[1].joined_by == "face_top"
    drawing = draw(exercise)
    assert [line for line in drawing.lines if line.thing == exercise.things[1].name and line.visible]
    with pytest.raises(GeometryError, match="a raised block"):
        add_thing(exercise_of(views=[VIEWS["two_point"]]), "raised_block")


def test_it_moves_with_what_it_stands_on() -> None:
    exercise = quay()
    moved = set_at(exercise, "things.0.left", 220.0)
    before, after = (solved(one).board.points["Store.foot.0"] for one in (exercise, moved))
    assert after.x > before.x


@pytest.mark.parametrize("view", IN_VIEWS)
def test_the_hand_counts_level_lines_too(view: str) -> None:
    """Two edges of the top and two uprights, whichever way they run: in one point one of them is level."""
    sides = next(
        step for step in draw(quay(view)).steps if step.thing == "Store" and step.title.endswith("its two sides")
    )
    assert sides.count == 4
    assert "4 lines" in sides.text
