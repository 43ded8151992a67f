"""Shadows of tables: both routes, light under the top, what is told, what is only refused."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import assert_same_point, solved, tables_in_light

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.things.shadow.table_shape import TableShadowShape

SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]
SHADOW = {"kind": "shadow", "name": "Shadow", "joined_to": "Table", "joined_by": "face_ground"}
TABLE = {"kind": "table", "name": "Table", "joined_to": "Deck", "joined_by": "face_top", "along": "3:3:4",
         "up": "3:4:4", "rise": 60.0, "thick": 6.0}  # fmt: skip
BEHIND = {"sun": {"stands": "behind", "aside_mm": 100.0, "height_mm": 110.0}}
LAMP = {"sun": {"stands": "lamp", "aside_mm": 60.0, "height_mm": 70.0, "foot_mm": 80.0}}


def table_on_deck(**sheet: Any) -> Exercise:
    """A table on a wide deck and its shadow, in two points."""
    deck = {**box("Deck", 200.0, 10.0, 10.0, 8.0), "left_by": "measured", "left_length": 150.0,
            "right_by": "measured", "right_length": 160.0}  # fmt: skip
    views = [{"kind": "two_point", "left_mm": -120.0, "right_mm": 560.0}]
    return exercise_of(deck, TABLE, SHADOW, views=views, **{"eye_level": {"height_mm": 200.0}, **sheet})


def table_in_room(**sheet: Any) -> Exercise:
    """A table in a room and its shadow, in one point."""
    room = {"kind": "room", "name": "Room", "left": 30.0, "bottom": 20.0, "width": 360.0, "height": 252.0,
            "depth_by": "measured", "depth": 110.0, "ceiling": "drawn"}  # fmt: skip
    table = {**TABLE, "joined_to": "Room", "joined_by": "face_floor", "up": "4:4:4", "rise": 70.0}
    views = [{"kind": "one_point", "x_mm": 200.0}]
    return exercise_of(room, table, SHADOW, views=views, **{"eye_level": {"height_mm": 160.0}, **sheet})


def standing(exercise: Exercise) -> TableShadowShape:
    """The shadow where it falls."""
    found = solved(exercise).prepared.by_name["Shadow"].standing
    assert isinstance(found, TableShadowShape)
    return found


@settings(max_examples=200, suppress_health_check=SLOW)
@given(tables_in_light())
def test_every_corner_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[-1]
    for name, at in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Shadow.{name}"].xy, at, name)


@settings(max_examples=120, suppress_health_check=SLOW)
@given(tables_in_light())
def test_all_corners_of_the_top_have_their_shadow_within_it_and_legs_end_at_it(exercise: Exercise) -> None:
    """On the page, where straight lines stay straight: no corner's shadow lies beyond an edge of the outline."""
    shadow = standing(exercise)
    pages = shadow.page
    for one, other in shadow.pairs:
        line = join(pages[one], pages[other])
        sides = [offset(at, line) for at in pages.values()]
        assert min(sides) > -1e-6 or max(sides) < 1e-6
    eye = shadow.setting.frame.eye
    for side in (side for sides in shadow.legs for side in sides if side.meets is not None):
        one, other = shadow.pairs[side.meets]
        (x, y) = eye.see(side.end[None]).tolist()[0]
        assert abs(offset(Point(x, y), join(pages[one], pages[other]))) < 1e-5


@pytest.mark.parametrize("light", [{"rays": "60"}, {"rays": "45"}, BEHIND, LAMP])
def test_in_a_room_it_is_told_and_found_right(light: dict[str, Any]) -> None:
    drawing = assert_found_right(table_in_room(**light))
    titles = [step.short for step in drawing.steps if step.thing == "Shadow"]
    order = ["the upper corners", "the lower corners", "the outline of its top", "the shadows of its legs"]
    places = [next(i for i, title in enumerate(titles) if title.startswith(words)) for words in order]
    assert places == sorted(places)


@pytest.mark.parametrize("light", [{"rays": "45"}, BEHIND])
def test_on_a_deck_it_is_told_and_found_right(light: dict[str, Any]) -> None:
    assert_found_right(table_on_deck(**light))


def test_between_a_foot_and_the_shadow_of_the_top_is_light() -> None:
    """The sun comes in under the top: its shadow touches no foot on the side from which the light comes."""
    shadow = standing(table_on_deck(rays="45"))
    world = shadow.table.world
    reach = [np.linalg.norm(at - world["foot.0"]) for at in shadow.shades.values()]
    assert min(reach) > 0.3 * np.linalg.norm(world["slab.0"] - world["foot.0"])
    assert len(shadow.legs) >= 3
    faces = [face for face in draw(table_on_deck(rays="45")).faces if face.thing == "Shadow"]
    assert len(faces) == 1 + len(shadow.legs)
    assert len({face.tone for face in faces}) == 1


def test_a_corner_straight_under_the_light_is_found_by_the_edge_beside_it() -> None:
    """Its upright points at the sun: line and ray lie on each other, and the edge of the top tells the place."""
    corner = standing(table_on_deck(**BEHIND)).table.page["foot.0"]
    found = set()
    for aside in np.linspace(-6, 6, 13):
        sun = {"stands": "ahead", "aside_mm": float(abs(corner.x - 220.0 + aside)), "height_mm": 160.0}
        exercise = table_on_deck(sun=sun, light="left" if corner.x + aside < 220.0 else "right")
        drawing = draw(exercise)
        if any(step.short == "the corner under the light" for step in drawing.steps):
            found.add(aside)
            assert_found_right(exercise)
    assert found


def test_a_new_shadow_may_fall_from_a_table() -> None:
    exercise = add_thing(
        add_thing(add_thing(exercise_of(views=[{"kind": "one_point", "x_mm": 200.0}]), "room"), "table"), "shadow"
    )
    assert exercise.things[2].joined_to == exercise.things[1].id
    assert isinstance(solved(exercise).prepared.things[2].standing, TableShadowShape)
