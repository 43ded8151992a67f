"""Cast shadows on the ground: both routes, what is true of shadows of uprights, what is told, bad input."""

import math
from typing import Any

import numpy as np
import pytest
import shapely
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, shadowed, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.editing.edit_things import remove_thing
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.shadow.shape import ShadowShape

SHADOW = {"kind": "shadow", "name": "Shadow", "joined_to": "Crate", "joined_by": "face_ground"}
IN_VIEWS = ["one_point", "two_point"]


def crate(view: str = "two_point", *more: dict[str, Any], height: float = 60.0, **sheet: Any) -> Exercise:
    """A crate on the ground and its shadow."""
    if view == "one_point":
        host = box("Crate", 60.0, 40.0, 70.0, height, depth_by="measured", depth=70.0)
    else:
        host = {
            "kind": "box", "name": "Crate", "left": 190.0, "bottom": 40.0, "height": height, "left_by": "measured",
            "left_length": 70.0, "right_by": "measured", "right_length": 60.0,
        }  # fmt: skip
    return exercise_of(host, *more, SHADOW, views=[VIEWS[view]], **sheet)


def standing(exercise: Exercise) -> ShadowShape:
    """The shadow where it falls."""
    found = solved(exercise).prepared.by_name["Shadow"].standing
    assert isinstance(found, ShadowShape)
    return found


@settings(max_examples=200, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(shadowed())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[-1]
    for name, at in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Shadow.{name}"].xy, at, name)


@settings(max_examples=100, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(shadowed())
def test_it_bounds_the_shadow_of_all_four_tops(exercise: Exercise) -> None:
    """The hull of feet and shades in truth (shapely's, in the plane of the ground) has no corner that it leaves out."""
    shadow = standing(exercise)
    ground = np.vstack((shadow.feet, shadow.shades))[:, [0, 2]]
    hull = shapely.convex_hull(shapely.multipoints(ground))
    own = shapely.multipoints(np.vstack((shadow.feet, shadow.shades[list(shadow.chain)]))[:, [0, 2]])
    assert shapely.area(shapely.difference(hull, shapely.convex_hull(own).buffer(1e-6))) < 1e-3
    assert 2 <= len(shadow.chain) <= (4 if exercise.sun.stands == "lamp" else 3)


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("light", ["left", "right"])
@pytest.mark.parametrize("rays", ["30", "45", "60"])
def test_a_shadow_is_level_and_as_long_as_the_angle_says(view: str, light: str, rays: str) -> None:
    """On the page at one depth: height over the foot is to length as the angle's tangent, on the side away from it."""
    shadow = standing(crate(view, light=light, rays=rays))
    for corner, upright in enumerate(shadow.uprights):
        shade = shadow.page[corner]
        assert shade.y == pytest.approx(upright.at_foot.y, abs=1e-6)
        assert (shade.x > upright.at_foot.x) == (light == "left")
        tall, long = upright.at_top.y - upright.at_foot.y, abs(shade.x - upright.at_foot.x)
        assert tall / long == pytest.approx(math.tan(math.radians(float(rays))))


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("light", ["left", "right"])
@pytest.mark.parametrize("height", [40.0, 130.0])
def test_a_finished_one_is_found_right_and_told_last(view: str, light: str, height: float) -> None:
    drawing = assert_found_right(crate(view, light=light, height=height, rays="60"))
    titles = [step.title for step in drawing.steps if step.thing == "Shadow"]
    assert titles[-1] == "Shadow: its outline"
    assert any("its rays at 60°" in title for title in titles)
    face = next(face for face in drawing.faces if face.thing == "Shadow")
    assert face.tone == 2
    own = [line for line in drawing.lines if line.thing == "Shadow" and line.role == "edge" and line.visible]
    assert own
    assert all(line.family != "upright" for line in own)


SUNS = [("ahead", 200.0), ("behind", 90.0)]


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize(("stands", "height"), SUNS)
def test_a_sun_ahead_or_behind_is_set_up_and_its_shadows_are_found_right(view: str, stands: str, height: float) -> None:
    sun = {"stands": stands, "aside_mm": 70.0, "height_mm": height}
    drawing = assert_found_right(crate(view, height=24.0, sun=sun))
    (step,) = (step for step in drawing.steps if "hadow point" in step.title)
    assert not step.thing, "it belongs to the sheet"
    aims = {aim.label: aim for aim in drawing.aims}
    shadow, light = aims["shadow point"], aims["light point"]
    assert (shadow.kind, light.kind) == ("vanishing", "aid")
    assert shadow.at == pytest.approx((light.at[0], 150.0))
    assert light.at[1] - 150.0 == pytest.approx(height if stands == "ahead" else -height)
    if light.at[1] < 297.0:
        upright = [d for d in step.dimensions if d.start[0] == pytest.approx(d.end[0])]
        assert [dimension.text for dimension in upright] == [f"{height:.0f} mm"], "measured from the eye level"
    said = " ".join(step.text for step in drawing.steps if step.thing == "Shadow")
    assert ("away from the shadow point" in said) == (stands == "ahead")
    assert ("toward the shadow point" in said) == (stands == "behind")


@pytest.mark.parametrize("view", IN_VIEWS)
def test_the_sun_is_dragged_over_the_eye_level_and_to_the_other_side(view: str) -> None:
    sun = {"stands": "ahead", "aside_mm": 70.0, "height_mm": 200.0}
    exercise = crate(view, height=24.0, sun=sun)
    handle = next(handle for handle in draw(exercise).handles if handle.id == "sun")
    middle = handle.at[0] + 70.0
    behind = drag(exercise, "sun", middle + 30.4, 150.0 - 90.0)
    assert (behind.sun.stands, behind.light, behind.sun.aside_mm, behind.sun.height_mm) == (
        "behind",
        "left",
        30.0,
        90.0,
    )
    ahead = drag(exercise, "sun", middle + 30.0, 150.0 + 210.0)
    assert (ahead.sun.stands, ahead.light) == ("ahead", "right")
    assert draw(behind).lines


def test_a_sun_so_low_that_the_shadow_reaches_the_viewer_is_refused_with_a_height_that_works() -> None:
    exercise = crate("one_point", height=60.0, sun={"stands": "ahead", "aside_mm": 40.0, "height_mm": 30.0})
    with pytest.raises(GeometryError, match="so low is the sun") as refused:
        draw(exercise)
    least = float(refused.value.fix.split("at least ")[1].split()[0])
    assert draw(set_at(exercise, "sun.height_mm", least)).lines
    with pytest.raises(GeometryError):
        draw(set_at(exercise, "sun.height_mm", least - 3.0))


def test_a_sun_off_the_sheet_is_said_and_brought_onto_it() -> None:
    exercise = crate("one_point", height=24.0, sun={"stands": "ahead", "aside_mm": 400.0, "height_mm": 260.0})
    (advice,) = (a for a in draw(exercise).advice if a.code == "sun_off_sheet")
    assert "shadow point" in advice.text
    assert "light point" in advice.text
    mended = exercise
    for change in advice.cures[0].edits:
        mended = set_at(mended, change.path, change.value)
    assert "sun_off_sheet" not in {a.code for a in draw(mended).advice}


def test_shadows_come_after_all_other_things_wherever_they_are_in_the_list() -> None:
    later = box("Chest", 300.0, 40.0, 40.0, 30.0, depth_by="measured", depth=30.0)
    exercise = crate("one_point")
    moved = exercise_of(
        *(thing.model_dump(mode="json") for thing in exercise.things), later, views=[VIEWS["one_point"]]
    )
    told = [step.thing for step in draw(moved).steps if step.thing]
    assert told.index("Chest") < told.index("Shadow")
    assert_found_right(moved)


def test_what_stands_before_a_shadow_hides_it() -> None:
    before = box("Cask", 150.0, 20.0, 40.0, 60.0, depth_by="measured", depth=20.0)
    drawing = draw(crate("one_point", before))
    hidden = [line for line in drawing.lines if line.thing == "Shadow" and line.role == "edge" and not line.visible]
    assert hidden


def test_a_hidden_top_is_found_from_the_shadow_beside_it() -> None:
    """The crate is taller than the eye: its top is not seen, so no ray can come from its corner behind."""
    tall, low = (
        [step.title for step in draw(crate("two_point", height=height, rays="60")).steps if step.thing == "Shadow"]
        for height in (130.0, 40.0)
    )
    assert any("the corner behind" in title for title in tall)
    assert not any("the corner behind" in title for title in low)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_one_that_reaches_another_thing_is_said_and_a_steeper_light_cures_it(view: str) -> None:
    left = 150.0 if view == "one_point" else 270.0
    other = {**box("Wall", left, 45.0, 60.0, 60.0, depth_by="measured", depth=40.0), "left_by": "measured",
             "left_length": 40.0, "right_by": "measured", "right_length": 40.0}  # fmt: skip
    exercise = crate(view, other, rays="30")
    (advice,) = (a for a in draw(exercise).advice if a.code == "shadow_climbs")
    assert "reaches Wall" in advice.text
    (edit,) = advice.cures[0].edits
    assert (edit.path, edit.value) == ("rays", "45")
    assert set_at(exercise, edit.path, str(edit.value)).rays == "45"


def test_one_that_falls_over_the_edge_is_said() -> None:
    upon = {"kind": "raised_block", "name": "Crate", "joined_to": "Deck", "joined_by": "face_top", "along": "1:1:1",
            "up": "1:2:1", "rise": 50.0}  # fmt: skip
    deck = box("Deck", 100.0, 30.0, 150.0, 20.0, depth_by="measured", depth=70.0)
    codes = {
        rise: [
            a.code for a in draw(exercise_of(deck, {**upon, "rise": rise}, SHADOW, views=[VIEWS["one_point"]])).advice
        ]
        for rise in (50.0, 8.0)
    }
    assert "shadow_over_edge" in codes[50.0]
    assert "shadow_over_edge" not in codes[8.0]


def test_nothing_else_lies_on_the_ground_of_a_block() -> None:
    window = {"kind": "rectangles", "name": "Mat", "joined_to": "Crate", "joined_by": "face_ground"}
    drawing = draw(crate("two_point", window))
    assert not [line for line in drawing.lines if line.thing == "Mat"]
    assert [a.about for a in drawing.advice if a.code == "face_unseen"] == ["things.1"]


def test_over_the_eye_level_no_ground_is_seen_and_a_new_one_falls_from_another_block() -> None:
    high = box("High", 200.0, 200.0, 70.0, 40.0, depth_by="measured", depth=40.0)
    drawing = draw(exercise_of(high, {**SHADOW, "joined_to": "High"}, views=[VIEWS["one_point"]]))
    assert [a.code for a in drawing.advice if a.about == "things.1"] == ["face_unseen"]
    low = crate("one_point").things[0].model_dump(mode="json")
    exercise = add_thing(exercise_of(low, high, views=[VIEWS["one_point"]]), "shadow")
    assert exercise.things[2].joined_to == exercise.things[0].id


def test_where_neither_side_nor_top_is_drawn_the_shadow_is_not_found() -> None:
    flat = box("Crate", 180.0, 100.0, 60.0, 100.0, depth_by="measured", depth=40.0)  # the point lies before it
    drawing = draw(exercise_of(flat, SHADOW, views=[VIEWS["one_point"]]))
    assert [a.code for a in drawing.advice if a.about == "things.1"] == ["face_unseen"]


def test_a_new_one_falls_from_the_block_that_is_there() -> None:
    exercise = add_thing(exercise_of(crate().things[0].model_dump(mode="json"), views=[VIEWS["two_point"]]), "shadow")
    assert exercise.things[1].joined_by == "face_ground"
    assert_found_right(exercise)


def test_that_what_rises_over_a_house_is_left_out_of_its_shadow_is_said() -> None:
    exercise = add_thing(remove_thing(crate(), 1), "eaves")
    shaded = add_thing(exercise, "shadow")
    (said,) = (advice for advice in draw(shaded).advice if advice.code == "shadow_of_lower")
    assert said.about == "things.2"
    assert exercise.things[1].name in said.text
    without = remove_thing(shaded, 1)
    assert "shadow_of_lower" not in {advice.code for advice in draw(without).advice}


def test_so_it_is_with_a_block_on_a_block_but_not_with_one_beside_it_or_what_lies_flat_on_its_wall() -> None:
    house = box("Store", 120.0, 60.0, 70.0, 50.0, depth_by="measured", depth=30.0)
    shade = {"kind": "shadow", "name": "Shade", "joined_to": "Store", "joined_by": "face_ground"}
    for by, is_said in (("on_top", True), ("beside_right", False), ("alley", False)):
        other = {**house, "name": "Loft", "width": 40.0, "joined_to": "Store", "joined_by": by}
        said = [advice for advice in draw(exercise_of(house, other, shade)).advice if advice.code == "shadow_of_lower"]
        assert bool(said) is is_said, by
    sign = {"kind": "rectangles", "name": "Sign", "joined_to": "Store", "joined_by": "face_front"}
    assert "shadow_of_lower" not in {advice.code for advice in draw(exercise_of(house, sign, shade)).advice}
