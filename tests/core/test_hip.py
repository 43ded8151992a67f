"""Hip roofs and pyramids: both routes, in every kind of view, and what is true of them in the world."""

from itertools import pairwise
from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, hipped, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.hip.at_edge import HIGH, OVER
from orthopsis.core.view.eye import Array

HOUSE = {
    "kind": "box", "name": "House", "left": 190.0, "bottom": 40.0, "height": 60.0, "left_by": "measured",
    "left_length": 50.0, "right_by": "measured", "right_length": 90.0,
}  # fmt: skip


def house(view: str = "two_point", **roof: Any) -> Exercise:
    """The harbour master's house with its roof."""
    host = {**HOUSE, "bottom": {"from_above": 90.0, "from_below": 170.0}.get(view, 40.0)}
    if view == "one_point":
        host = box("House", 40.0, 40.0, 90.0, 60.0, depth_by="measured", depth=60.0)
    over = {"kind": "hip_roof", "name": "Roof", "joined_to": "House", "joined_by": "face_top", "rise": 30.0, **roof}
    return exercise_of(host, over, views=[VIEWS[view]])


def world(exercise: Exercise) -> dict[str, Array]:
    """Where the roof's corners are in the eye's world."""
    solid = solved(exercise).seen[1].solid
    return dict(zip(solid.names, solid.places, strict=True))


@settings(max_examples=400)
@given(hipped())
def test_every_point_of_a_hip_roof_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    picture = found.seen[1].solid.picture(found.seen[1].eye)
    for name, place in picture.items():
        assert_same_point(found.board.points[f"Roof.{name}"].xy, place, name)


LEANS = [("one_point", {"high": high}) for high in HIGH] + [
    (view, {"over": over}) for view in ("two_point", "from_above", "from_below") for over in OVER
]


@pytest.mark.parametrize(("view", "where"), LEANS)
def test_a_lean_to_is_half_a_box_whose_walls_go_on_those_of_the_house(view: str, where: dict[str, str]) -> None:
    """In the true solid: two corners straight over those of the top, equally high; half the volume of the box."""
    at = world(house(view, kind="lean_to", **where))
    high = sorted(name for name in at if name.startswith("lid."))
    rises = [at[name] - at[name.replace("lid", "corner")] for name in high]
    assert len(rises) == 2
    assert rises[0] == pytest.approx(rises[1], rel=1e-9)
    across, away = at["corner.1"] - at["corner.0"], at["corner.3"] - at["corner.0"]
    box_volume = abs(float(np.cross(across, away) @ rises[0]))
    low = [name for name in ("corner.0", "corner.1", "corner.2", "corner.3") if name.replace("corner", "lid") not in at]
    base = sum(at[f"corner.{i}"] for i in range(4)) / 4
    tops = [at[name] for name in (*high, *low)]
    # A wedge: the mean height over the base is half of the rise.
    mean = sum(tops) / 4 - base
    assert abs(float(np.cross(across, away) @ mean)) == pytest.approx(box_volume / 2)


@pytest.mark.parametrize(("view", "where"), LEANS)
@pytest.mark.parametrize("kind", ["lean_to", "half_pyramid"])
def test_the_edges_of_one_that_is_high_at_an_edge_are_told_drawn_and_found_right(
    view: str, where: dict[str, str], kind: str
) -> None:
    exercise = house(view, kind=kind, **where)
    drawing = assert_found_right(exercise)
    mine = {line.name for line in drawing.lines if line.thing == "Roof" and line.role == "edge" and line.visible}
    told = next(step for step in drawing.steps if step.thing == "Roof" and step.phase == "front")
    assert told.count >= len(mine) > 0


@pytest.mark.parametrize(("view", "where"), LEANS)
def test_the_tip_of_a_half_pyramid_stands_over_the_middle_of_its_edge(view: str, where: dict[str, str]) -> None:
    """In the true solid: straight over that middle, a third of the box's volume, and one of its faces upright."""
    at = world(house(view, kind="half_pyramid", **where))
    corners = [at[f"corner.{i}"] for i in range(4)]
    across, away = corners[1] - corners[0], corners[3] - corners[0]
    normal = np.cross(across, away)
    over = [at["tip"] - (a + b) / 2 for a, b in zip(corners, (*corners[1:], corners[0]), strict=True)]
    straight = [np.linalg.norm(np.cross(way, normal)) < 1e-6 * np.linalg.norm(way) * np.linalg.norm(normal)
                for way in over]  # fmt: skip
    assert straight.count(True) == 1
    whole = world(house(view, kind="hip_roof", ridge="tip"))
    rise = whole["tip"] - sum(whole[f"corner.{i}"] for i in range(4)) / 4
    assert abs(float(normal @ over[straight.index(True)])) == pytest.approx(abs(float(normal @ rise)), rel=1e-6)


@pytest.mark.parametrize("kind", ["lean_to", "half_pyramid"])
def test_where_it_leans_changes_with_the_sentence(kind: str) -> None:
    exercise = house("two_point", kind=kind, over="left")
    drawn = {
        frozenset((line.start, line.end) for line in draw(set_at(exercise, "things.1.over", over)).lines
                  if line.thing == "Roof" and line.role == "edge" and line.visible)
        for over in OVER
    }  # fmt: skip
    assert len(drawn) == len(OVER)
    texts = [piece.text for piece in draw(exercise).sentences[-1].pieces]
    assert "over the left wall" in texts


@pytest.mark.parametrize("view", [view for view in VIEWS if view != "obtuse"])
def test_the_ridge_lies_in_the_middle_and_ends_equally_far_from_it(view: str) -> None:
    """In the true solid: over the middle line of the top, both ends a quarter of its length in, both as high."""
    at = world(house(view))
    corners = [at[f"corner.{i}"] for i in range(4)]
    middle = sum(corners) / 4
    near, far = at["ridge.near"], at["ridge.far"]
    longer = max((b - a for a, b in pairwise(corners[:3])), key=lambda side: float(np.linalg.norm(side)))
    assert np.allclose(abs((far - near) @ longer), longer @ longer / 2)
    over = (near + far) / 2 - middle
    normal = np.cross(corners[1] - corners[0], corners[3] - corners[0])
    assert np.linalg.norm(np.cross(over, normal)) < 1e-6 * np.linalg.norm(over) * np.linalg.norm(normal)


def test_a_pyramid_on_a_square_has_four_equal_edges() -> None:
    host = box("House", 160.0, 40.0, 60.0, 50.0, depth_by="cube")
    over = {
        "kind": "hip_roof",
        "name": "Roof",
        "joined_to": "House",
        "joined_by": "face_top",
        "rise": 30,
        "ridge": "tip",
    }
    at = world(exercise_of({**host, "height": 60.0}, over, views=[VIEWS["one_point"]]))
    long = [float(np.linalg.norm(at["tip"] - at[f"corner.{i}"])) for i in range(4)]
    assert long == pytest.approx([long[0]] * 4)
    assert long[0] == pytest.approx((30.0**2 + 2 * 30.0**2) ** 0.5), "half a diagonal of 60 by 60, and 30 up"


@pytest.mark.parametrize("view", ["one_point", "two_point", "from_above"])
def test_its_edges_are_told_drawn_and_found_right(view: str) -> None:
    exercise = house(view)
    drawing = assert_found_right(exercise)
    edges = next(step for step in drawing.steps if step.thing == "Roof" and step.phase == "front")
    own = [line for line in drawing.lines if line.thing == "Roof" and line.role == "edge" and line.visible]
    assert edges.count == len({line.name for line in own})


def test_a_see_through_house_has_all_edges_of_its_roof() -> None:
    plain, glass = house(), house()
    glass = set_at(glass, "things.0.look", "see_through")
    counts = [next(s.count for s in draw(e).steps if s.thing == "Roof" and s.phase == "front") for e in (plain, glass)]
    assert counts == [4, 5], "two hips and the ridge are at slopes that show; one hip lies behind"


REFUSED = [
    ("two_point", "hip_roof", 50.0, "lid_on_eye_level"),
    ("one_point", "hip_roof", 50.3, "lid_on_eye_level"),
    ("one_point", "hip_roof", 49.2, "lid_on_eye_level"),
    ("one_point", "lean_to", 49.2, "lid_on_eye_level"),
    ("from_above", "lean_to", 60.0, "lid_on_eye_level"),
    ("two_point", "half_pyramid", 50.6, "lid_on_eye_level"),
    ("two_point", "hip_roof", 0.2, "length_out_of_limits"),
]


@pytest.mark.parametrize("look", ["solid", "see_through"])
@pytest.mark.parametrize(("view", "kind", "rise", "code"), REFUSED)
def test_what_cannot_be_drawn_is_refused_with_the_nearest_that_works(
    view: str, kind: str, rise: float, code: str, look: str
) -> None:
    exercise = set_at(house(view, kind=kind, rise=rise), "things.0.look", look)
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == (code, "things.1.rise")
    nearest = float((refused.value.nearest or "").split()[0])
    assert draw(set_at(exercise, "things.1.rise", nearest)).lines


def test_it_is_added_to_a_house_and_its_height_is_dragged() -> None:
    exercise = add_thing(exercise_of(HOUSE, views=[VIEWS["two_point"]]), "hip_roof")
    assert exercise.things[1].joined_by == "face_top"
    handle = next(handle for handle in draw(exercise).handles if handle.id == "things.1.rise")
    higher = drag(exercise, "things.1.rise", handle.at[0], handle.at[1] + 22.0)
    assert higher.things[1].rise == pytest.approx(exercise.things[1].rise + 22.0, abs=1.0)  # type: ignore[attr-defined]
