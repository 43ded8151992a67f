"""Eaves: both routes, what is true of them in the world, a roof on them, and values that cannot be drawn."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, eaved, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.view.eye import Array

HOUSE = {
    "kind": "box", "name": "House", "left": 190.0, "bottom": 40.0, "height": 150.0, "left_by": "measured",
    "left_length": 50.0, "right_by": "measured", "right_length": 90.0,
}  # fmt: skip
IN_VIEWS = ["one_point", "two_point", "from_above", "from_below"]


def house(view: str = "two_point", *over: dict[str, Any], **eaves: Any) -> Exercise:
    """A house with eaves, and what stands on them."""
    host = {**HOUSE, "bottom": {"from_above": 90.0, "from_below": 170.0}.get(view, 40.0)}
    host["height"] = 60.0 if view.startswith("from") else 150.0
    if view == "one_point":
        host = box("House", 40.0, 40.0, 90.0, 60.0, depth_by="measured", depth=60.0)
    under = {"kind": "eaves", "name": "Eaves", "joined_to": "House", "joined_by": "face_top", "over": 8, "thick": 4}
    return exercise_of(host, {**under, **eaves}, *over, views=[VIEWS[view]])


ROOF = {"kind": "hip_roof", "name": "Roof", "joined_to": "Eaves", "joined_by": "face_top", "rise": 30.0}


def nearest_mm(error: GeometryError) -> float:
    """The nearest value that works, as an error names it."""
    return float((error.nearest or "").split()[0])


def world(exercise: Exercise) -> dict[str, Array]:
    """Where the corners of the eaves are in the eye's world."""
    solid = solved(exercise).seen[1].solid
    return dict(zip(solid.names, solid.places, strict=True))


@settings(max_examples=400)
@given(eaved())
def test_every_point_of_eaves_and_of_the_roof_on_them_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for thing in found.prepared.things[1:]:
        seen = found.seen[thing.index]
        made = {
            name: found.board.points[full]
            for name in seen.solid.names
            if (full := thing.values.full(name)) in found.board.points
        }
        picture = seen.solid.picture(seen.eye)
        for name, at in made.items():
            assert_same_point(at.xy, picture[name], name)
        assert len(made) >= 6


@settings(max_examples=200)
@given(eaved(roofs=(False,)))
def test_they_are_the_top_enlarged_about_its_middle_and_level(exercise: Exercise) -> None:
    """In the solid, by vectors alone: every corner lies as far out on its diagonal as the first; the slab is even."""
    found = solved(exercise)
    at, panel = world(exercise), found.prepared.things[1].standing.panel
    corners = panel.places([(0, 0), (1, 0), (1, 1), (0, 1)])
    middle = corners.mean(axis=0)
    shares = [float((at[f"foot.{i}"] - middle) @ (c - middle) / ((c - middle) @ (c - middle))) for i, c in
              enumerate(corners)]  # fmt: skip
    assert shares == pytest.approx([shares[0]] * 4, rel=1e-9)
    assert shares[0] > 1
    for i, corner in enumerate(corners):
        assert np.allclose(at[f"foot.{i}"], middle + shares[0] * (corner - middle), rtol=1e-9)
        assert np.allclose(at[f"top.{i}"] - at[f"foot.{i}"], at["top.0"] - at["foot.0"], rtol=1e-9)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_their_edges_are_told_drawn_and_found_right(view: str) -> None:
    drawing = assert_found_right(house(view, ROOF))
    assert [line for line in drawing.lines if line.thing == "Eaves" and line.visible and line.role == "edge"]
    assert [line for line in drawing.lines if line.thing == "Roof" and line.visible and line.role == "edge"]


def test_the_underside_shows_over_the_eye_level_and_the_top_under_it() -> None:
    high, low = (draw(set_at(house(), "things.0.height", mm)) for mm in (150.0, 30.0))

    def seen(drawing: Any, name: str) -> bool:
        return any(line.name == name and line.visible for line in drawing.lines if line.thing == "Eaves")

    assert [seen(high, name) for name in ("foot.far", "top.far")] == [True, False]
    assert [seen(low, name) for name in ("foot.far", "top.far")] == [False, True]
    tall = [line for line in high.lines if line.thing == "House" and line.name == "near.edge" and line.visible]
    assert tall[0].end[1] == pytest.approx(190.0), "from below the wall is seen up to the underside"
    hidden = [line for line in low.lines if line.thing == "House" and line.name == "near.edge"]
    assert any(not line.visible for line in hidden), "from above the eaves stand before the wall's upper end"


def test_too_wide_eaves_are_refused_with_the_widest_that_works() -> None:
    for view in IN_VIEWS:
        narrow = house(view)
        small = ["depth", "width"] if view == "one_point" else ["left_length", "right_length"]
        for side in small:
            narrow = set_at(narrow, f"things.0.{side}", 14.0)
        with pytest.raises(GeometryError) as refused:
            draw(set_at(narrow, "things.1.over", 190.0))
        assert (refused.value.code, refused.value.about) == ("eaves_too_wide", "things.1.over")
        draw(set_at(narrow, "things.1.over", nearest_mm(refused.value)))


def test_a_top_nearly_on_the_eye_level_is_said_to_be_a_mere_line() -> None:
    eaves = house().things[1].model_dump(mode="json")
    level = house().eye_level.height_mm
    low = exercise_of(
        {**HOUSE, "height": level - 40.0 - 0.4}, {**eaves, "joined_to": "House"}, views=[VIEWS["two_point"]]
    )
    with pytest.raises(GeometryError, match="a mere line") as refused:
        draw(low)
    assert refused.value.code == "top_on_eye_level"


def test_on_the_eye_level_itself_it_is_said_that_the_top_is_not_drawn() -> None:
    exercise = house()
    drawing = draw(set_at(exercise, "things.0.height", exercise.eye_level.height_mm - 40.0))
    assert [advice.code for advice in drawing.advice if advice.about == "things.1"] == ["face_unseen"]


def test_eaves_to_the_third_point_are_refused() -> None:
    tall = set_at(house("from_below"), "things.0.height", 240.0)
    with pytest.raises(GeometryError) as refused:
        draw(set_at(tall, "things.1.thick", 199.0))
    assert (refused.value.code, refused.value.about) == ("edge_past_point", "things.1.thick")
    draw(set_at(tall, "things.1.thick", nearest_mm(refused.value)))


@pytest.mark.parametrize("view", IN_VIEWS)
def test_a_hand_drags_how_far_out_and_how_thick_they_are(view: str) -> None:
    exercise = house(view)
    standing = solved(exercise).prepared.things[1].standing
    for name, mm in (("over", 8.0), ("thick", 4.0)):
        at, start = (next(h for h in draw(exercise).handles if h.id == f"things.1.{name}").at, standing.spans[name][0])
        farther = (at[0] + (at[0] - start.x) / 2, at[1] + (at[1] - start.y) / 2)
        after = drag(exercise, f"things.1.{name}", *farther)
        assert getattr(after.things[1], name) == pytest.approx(1.5 * mm)


def test_new_eaves_land_on_the_top_and_a_new_roof_can_stand_on_them() -> None:
    exercise = add_thing(exercise_of(HOUSE, views=[VIEWS["two_point"]]), "eaves")
    assert exercise.things[1].joined_by == "face_top"
    with_roof = set_at(add_thing(exercise, "hip_roof"), "things.2.joined_to", exercise.things[1].id)
    assert solved(with_roof).prepared.things[2].setting.anchor is not None
    roof = with_roof.things[2].name
    assert [line for line in draw(with_roof).lines if line.thing == roof and line.visible]


def test_without_a_box_it_is_said_what_they_need() -> None:
    with pytest.raises(GeometryError) as refused:
        add_thing(exercise_of(views=[VIEWS["two_point"]]), "eaves")
    assert "a box" in refused.value.fix


@pytest.mark.parametrize("view", ["two_point", "from_above"])
def test_eaves_cap_a_chimney_and_bear_a_roof_of_their_own(view: str) -> None:
    bottom = 90.0 if view == "from_above" else 34.0
    loft = {**HOUSE, "name": "Loft", "bottom": bottom, "height": 70.0, "left_length": 76.0, "right_length": 150.0}
    gable = {"kind": "gable_roof", "name": "Gable", "joined_to": "Loft", "joined_by": "face_left", "rise": 60.0}
    chimney = {"kind": "chimney", "name": "Chimney", "joined_to": "Gable", "joined_by": "face_slope_first",
               "along": "2:1:2", "up": "2:1:2", "rise": 34.0}  # fmt: skip
    cap = {"kind": "eaves", "name": "Cap", "joined_to": "Chimney", "joined_by": "face_top", "over": 2.0, "thick": 2.0}
    hat = {**ROOF, "name": "Hat", "joined_to": "Cap", "ridge": "tip", "rise": 12.0}
    exercise = exercise_of(loft, gable, chimney, cap, hat, views=[VIEWS[view]])
    found = solved(exercise)
    for thing in found.prepared.things[3:]:
        seen = found.seen[thing.index]
        picture = seen.solid.picture(seen.eye)
        made = [name for name in picture if thing.values.full(name) in found.board.points]
        assert len(made) >= 5
        for name in made:
            assert_same_point(found.board.points[thing.values.full(name)].xy, picture[name], name)
    stack, slab = (found.seen[i].solid for i in (2, 3))
    rise = stack.places[stack.index("top.0")] - stack.places[stack.index("foot.0")]
    thick = slab.places[slab.index("top.0")] - slab.places[slab.index("foot.0")]
    assert np.linalg.norm(np.cross(rise, thick)) < 1e-6 * np.linalg.norm(rise) * np.linalg.norm(thick)
    assert float(rise @ thick) > 0
