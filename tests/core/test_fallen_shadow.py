"""Cast shadows that go on over another thing: both routes, what is true of them, what is told, what is only said."""

import itertools
from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import assert_same_point, falling, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import join, meet, offset
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell
from orthopsis.core.things.shadow.fallen import FallenShadow

TWO_POINT = {"kind": "two_point", "left_mm": -140.0, "right_mm": 580.0}
DECK = {**box("Deck", 200.0, 10.0, 10.0, 8.0), "left_by": "measured", "left_length": 150.0, "right_by": "measured",
        "right_length": 160.0}  # fmt: skip
ON_DECK = {"joined_to": "Deck", "joined_by": "face_top"}
LEVEL = {"eye_level": {"height_mm": 200.0}}
SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]


def block(name: str, left: float, bottom: float, height: float, sides: tuple[float, float]) -> dict[str, Any]:
    """A block on the ground, from its nearest edge."""
    lengths = {"left_by": "measured", "left_length": sides[0], "right_by": "measured", "right_length": sides[1]}
    return {**box(name, left, bottom, 10.0, height), "height": height, **lengths}


def cast(name: str) -> dict[str, Any]:
    """The cast shadow of a block."""
    return {"kind": "shadow", "name": f"Shadow of {name}", "joined_to": name, "joined_by": "face_ground"}


def upon(name: str, face: str = "ground") -> dict[str, Any]:
    """What falls on a thing."""
    return {"kind": "fallen_shadow", "name": "Upon", "joined_to": name, "joined_by": f"face_{face}"}


def over_chest(**sheet: Any) -> Exercise:
    """A tall crate whose shadow climbs the left side of a low chest and goes over its top."""
    things = [block("Tall", 150.0, 50.0, 70.0, (40.0, 40.0)), block("Low", 270.0, 40.0, 36.0, (70.0, 60.0))]
    light = {"light": "left", "rays": "30", "eye_level": {"height_mm": 150.0}}
    return exercise_of(*things, cast("Tall"), upon("Low"), views=[TWO_POINT], **{**light, **sheet})


def up_a_side(**sheet: Any) -> Exercise:
    """A crate whose shadow ends on the left side of a taller one."""
    things = [block("Tall", 150.0, 50.0, 40.0, (40.0, 40.0)), block("Low", 270.0, 40.0, 70.0, (90.0, 60.0))]
    light = {"light": "left", "rays": "30", "eye_level": {"height_mm": 150.0}}
    return exercise_of(*things, cast("Tall"), upon("Low"), views=[TWO_POINT], **{**light, **sheet})


def over_steps(**sheet: Any) -> Exercise:
    """A post on a deck whose shadow goes up the steps beside it, with the sun behind the viewer."""
    steps = {"kind": "stairs", "name": "Steps", **ON_DECK, "along": "6:8:2", "up": "3:6:3", "rise": 50.0, "steps": "4"}
    post = {"kind": "raised_block", "name": "Post", **ON_DECK, "along": "2:1:13", "up": "6:1:5", "rise": 80.0}
    sun = {"stands": "behind", "aside_mm": 200.0, "height_mm": 100.0}
    things = [DECK, steps, post, cast("Post"), upon("Steps", "steps")]
    return exercise_of(*things, views=[{**TWO_POINT, "left_mm": -120.0, "right_mm": 560.0}],
                       **{**LEVEL, "light": "left", "sun": sun, **sheet})  # fmt: skip


def up_a_ramp(climbs: str = "along", **sheet: Any) -> Exercise:
    """A post on a deck whose shadow goes up the ramp beside it, with the sun behind the viewer."""
    ramp = {"kind": "ramp", "name": "Slip", **ON_DECK, "along": "6:8:2", "up": "3:6:3", "rise": 30.0, "climbs": climbs}
    post = {"kind": "raised_block", "name": "Post", **ON_DECK, "along": "2:1:13", "up": "6:1:5", "rise": 80.0}
    sun = {"stands": "behind", "aside_mm": 200.0, "height_mm": 100.0}
    things = [DECK, ramp, post, cast("Post"), upon("Slip", "slope")]
    return exercise_of(*things, views=[{**TWO_POINT, "left_mm": -120.0, "right_mm": 560.0}],
                       **{**LEVEL, "light": "left", "sun": sun, **sheet})  # fmt: skip


ROOM = {"kind": "room", "name": "Room", "left": 30.0, "bottom": 24.0, "width": 360.0, "height": 240.0,
        "ceiling": "drawn", "depth_by": "measured", "depth": 120.0}  # fmt: skip


def over_by_lamp(**sheet: Any) -> Exercise:
    """A post in a room whose shadow by a lamp goes up the front of a low chest and over its top."""
    on_floor = {"joined_to": "Room", "joined_by": "face_floor"}
    low = {"kind": "raised_block", "name": "Low", **on_floor, "along": "5:4:5", "up": "1:12:1", "rise": 16.0}
    post = {"kind": "raised_block", "name": "Post", **on_floor, "along": "3:1:10", "up": "3:1:10", "rise": 80.0}
    sun = {"stands": "lamp", "aside_mm": 60.0, "height_mm": 90.0, "foot_mm": 125.0}
    things = [ROOM, low, post, cast("Post"), upon("Low")]
    return exercise_of(*things, views=[{"kind": "one_point", "x_mm": 210.0}], **{"light": "left", "sun": sun, **sheet})


MAKES = [over_chest, up_a_side, over_steps, up_a_ramp, over_by_lamp]


def standing(exercise: Exercise) -> FallenShadow:
    """What falls on the other thing, where it stands."""
    found = solved(exercise).prepared.by_name["Upon"].standing
    assert isinstance(found, FallenShadow)
    return found


def codes(exercise: Exercise) -> set[str]:
    """What is said of the exercise."""
    return {advice.code for advice in draw(exercise).advice}


@settings(max_examples=200, suppress_health_check=SLOW)
@given(falling())
def test_every_corner_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[-1]
    for name, at in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Upon.{name}"].xy, at, name)


@settings(max_examples=120, suppress_health_check=SLOW)
@given(falling())
def test_in_truth_each_corner_is_in_one_line_with_its_top_and_the_light(exercise: Exercise) -> None:
    """By vectors alone: on its face, on the ray; what lies on a path stands straight over the line on the ground."""
    for fall in standing(exercise).falls:
        caster, panel = fall.caster, fall.panel
        places = panel.places(spot.place for spot in fall.spots)
        for spot, place in zip(fall.spots, places, strict=True):
            if spot.corner is not None:
                top = caster.feet[spot.corner] + caster.up
                ray, there = caster.shades[spot.corner] - top, place - top
                size = float(np.linalg.norm(ray) * np.linalg.norm(there))
                assert np.linalg.norm(np.cross(ray, there)) < 1e-6 * size
            for bound in (spot.before, spot.after):
                if bound.kind == "path":
                    (corner,) = bound.corners
                    way = caster.shades[corner] - caster.feet[corner]
                    normal = np.cross(way, caster.up)
                    off = (place - caster.feet[corner]) @ normal
                    assert abs(off) < 1e-6 * float(np.linalg.norm(normal) * np.linalg.norm(place))


@pytest.mark.parametrize("make", MAKES)
def test_it_is_told_and_found_right(make: Any) -> None:
    drawing = assert_found_right(make())
    steps = [step for step in drawing.steps if step.thing == "Upon"]
    assert steps, "it is told"
    assert all(step.count or "mark" in step.text for step in steps)
    assert not {"shadow_climbs", "no_shadow_upon", "shadow_not_found_upon"} & {a.code for a in drawing.advice}


def test_over_a_chest_it_goes_up_the_side_and_then_over_the_top() -> None:
    titles = [step.title for step in draw(over_chest()).steps if step.thing == "Upon"]
    ups = [title for title in titles if "up the left side of Low" in title]
    assert titles.index(ups[0]) < next(i for i, title in enumerate(titles) if "the top of Low" in title)
    assert {fall.panel.face for fall in standing(over_chest()).falls} == {"left", "top"}


def test_over_steps_each_riser_and_tread_follows_on_the_one_before() -> None:
    faces = [fall.panel.face for fall in standing(over_steps()).falls]
    assert faces == ["riser.0", "tread.0", "riser.1", "tread.1", "riser.2", "tread.2", "riser.3"]
    titles = [step.short for step in draw(over_steps()).steps if step.thing == "Upon"]
    order = [titles.index(f"up the {word} riser of Steps") for word in ("first", "second", "third", "fourth")]
    assert order == sorted(order)


def test_where_it_leaves_one_face_it_comes_to_the_next() -> None:
    """Without a gap: each place at which a line is cut off is the place where it begins again."""
    falls = standing(over_steps()).falls
    for before, after in itertools.pairwise(falls):
        ends = {tuple(np.round(p, 6)) for s, p in _places(before) if s.border == "top"}
        begins = {tuple(np.round(p, 6)) for s, p in _places(after) if s.border == "bottom"}
        assert begins
        assert begins == ends


def _places(fall: Any) -> list[tuple[Any, Any]]:
    return list(zip(fall.spots, fall.panel.places(spot.place for spot in fall.spots), strict=True))


def test_up_a_slope_the_paths_lead_to_where_the_upright_plane_of_each_cuts_the_upper_edge() -> None:
    """On the page: straight over where the line on the ground, carried on, comes under that edge (textbooks)."""
    found = solved(up_a_ramp())
    points = found.board.points
    (fall,) = standing(up_a_ramp()).falls
    for corner in {i for bound, *_ in fall.sides if bound.kind == "path" for i in bound.corners}:
        under, over = (points[f"Upon.of_0.slope.measure.{what}.{corner}"] for what in ("under", "over"))
        assert abs(under.x - over.x) < 1e-6
        assert (
            abs(offset(under, join(points["Shadow of Post.shade." + str(corner)], points[f"Post.foot.{corner}"])))
            < 1e-6
        )
        low, high = (points[f"Slip.{name}"] for name in ("near.top", "far.top"))
        assert abs(offset(over, join(low, high))) < 1e-6


@pytest.mark.parametrize("right_mm", [48.0, 56.0, 64.0, 80.0, 112.0])
def test_a_path_up_a_slope_is_drawn_as_far_as_the_ray_that_it_meets(right_mm: float) -> None:
    """Up a short slip the ray of a top comes to its plane past the upper edge: no line ends before its crossing."""
    slip = read_exercise(next(r for r in READY if str(r["title"]).startswith("A mooring post's shadow up the slip")))
    right_end = next(handle for handle in draw(slip).handles if handle.id == "things.0.right_end")
    narrowed = drag(slip, "things.0.right_end", right_end.at[0] - 112.0 + right_mm, right_end.at[1])
    found = solved(narrowed)
    assert not list(gaps(tell(found).breaths, found.board))


def test_by_a_lamp_each_path_over_a_top_runs_to_the_point_of_its_line_on_the_ground() -> None:
    """Both lie in the upright plane of the ray, and are parallel: on the page they meet on the eye level."""
    found, level = solved(over_by_lamp()), over_by_lamp().eye_level.height_mm
    points, top = found.board.points, next(fall for fall in standing(over_by_lamp()).falls if fall.panel.is_level)
    paths = [(bound, start, end) for bound, start, end in top.sides if bound.kind == "path"]
    assert paths
    for bound, start, end in paths:
        (corner,) = bound.corners
        ground = join(points[f"Post.foot.{corner}"], points[f"Shadow of Post.shade.{corner}"])
        on_top = join(points[f"Upon.{top.corner(start)}"], points[f"Upon.{top.corner(end)}"])
        assert meet(ground, on_top).y == pytest.approx(level, abs=1e-6)
    titles = [step.short for step in draw(over_by_lamp()).steps if step.thing == "Upon"]
    assert titles.index("where its lines lead") < titles.index("over the top of Low")


def test_two_paths_up_a_slope_are_parallel_in_truth_and_run_as_neither_of_its_edges() -> None:
    """Each lies in the upright plane of its ray: planes that are parallel cut one slope in parallel lines."""
    solid, panel = solved(up_a_ramp()).seen[-1].solid, standing(up_a_ramp()).falls[0].panel
    ways = []
    for edge in solid.topology.edges:
        if ".path." in edge.name:
            start, end = (solid.places[solid.index(name)] for name in (edge.start, edge.end))
            ways.append((end - start) / np.linalg.norm(end - start))
    one, other = ways
    assert np.linalg.norm(np.cross(one, other)) < 1e-9
    assert all(np.linalg.norm(np.cross(one, axis)) > 0.05 * np.linalg.norm(axis) for axis in np.array(panel.axes))


def test_on_the_slanted_side_of_a_ramp_it_is_not_drawn_but_said() -> None:
    """A post beside the ramp: its shadow falls on that side first, where nobody is told how it runs."""
    ramp, post = (thing.model_dump(mode="json", exclude={"id", "joined_to"}) for thing in up_a_ramp().things[1:3])
    beside = {**post, **ON_DECK, "along": "9:1:6", "up": "1:1:10"}
    sun = {"stands": "behind", "aside_mm": 100.0, "height_mm": 100.0}
    exercise = exercise_of(
        DECK, {**ramp, **ON_DECK}, beside, cast("Post"), upon("Slip", "slope"), views=[TWO_POINT], **LEVEL, sun=sun
    )
    assert not standing(exercise).falls
    assert "shadow_not_found_upon" in codes(exercise)


def test_on_a_side_it_is_upright_and_over_the_top_it_runs_as_on_the_ground() -> None:
    lines = [line for line in draw(over_steps()).lines if line.thing == "Upon" and line.role == "edge"]
    paths = {line.name: line.family for line in lines if ".path." in line.name}
    assert {family for name, family in paths.items() if "riser" in name} == {"upright"}
    assert len({family for name, family in paths.items() if "tread" in name}) == 1
    assert not {family for name, family in paths.items() if "tread" in name} & {"upright", "free"}


def test_the_areas_contrast_with_the_faces_on_which_they_lie() -> None:
    faces = draw(over_chest()).faces
    sides = {face.turned: face.tone for face in faces if face.thing == "Low"}
    darks = [face.tone for face in faces if face.thing == "Upon"]
    assert len(darks) == 2
    assert min(darks) > max(sides["left"], sides["top"])
    order = [face.thing for face in faces]
    assert order.index("Upon") > max(i for i, name in enumerate(order) if name == "Low" and faces[i].turned == "left")


def test_it_is_drawn_after_the_shadow_on_the_ground_wherever_it_stands_in_the_list() -> None:
    exercise = over_chest()
    *others, last = exercise.things
    drawing = draw(exercise.model_copy(update={"things": (last, *others)}))
    order = [step.thing for step in drawing.steps]
    assert order.index("Shadow of Tall") < order.index("Upon")


def test_where_nothing_falls_on_a_thing_that_is_said_and_a_flatter_light_reaches_it() -> None:
    exercise = over_chest(rays="60", light="right")
    assert "no_shadow_upon" in codes(exercise)
    assert not [line for line in draw(exercise).lines if line.thing == "Upon"]


def test_on_a_side_that_is_not_seen_it_is_not_drawn_but_said() -> None:
    """In one point the left side of what stands left of the point is hidden: over its top a shadow begins there."""
    tall = box("Tall", 20.0, 40.0, 40.0, 130.0, depth_by="measured", depth=20.0)
    low = box("Low", 100.0, 30.0, 60.0, 30.0, depth_by="measured", depth=50.0)
    views = [{"kind": "one_point", "x_mm": 200.0}]
    exercise = exercise_of(tall, low, cast("Tall"), upon("Low"), views=views, light="left", rays="45")
    assert "shadow_not_found_upon" in codes(exercise)
    assert not [line for line in draw(exercise).lines if line.thing == "Upon"]


def test_a_shadow_that_climbs_nothing_that_is_drawn_is_still_said() -> None:
    things = [thing.model_dump(mode="json") for thing in over_chest().things[:3]]
    plain = [{k: v for k, v in thing.items() if k != "id"} for thing in things]
    plain[2]["joined_to"] = "Tall"
    light = {"light": "left", "rays": "30", "eye_level": {"height_mm": 150.0}}
    said = draw(exercise_of(*plain, views=[TWO_POINT], **light)).advice
    (climbs,) = (advice for advice in said if advice.code == "shadow_climbs")
    assert "Add a shadow upon Low" in climbs.text


def test_of_two_shadows_both_go_on() -> None:
    """Two crates in a row before a long chest: each shadow is found by its own lines."""
    things = [
        block("First", 130.0, 66.0, 60.0, (20.0, 20.0)),
        block("Second", 190.0, 46.0, 44.0, (16.0, 16.0)),
        block("Low", 270.0, 40.0, 60.0, (110.0, 60.0)),
    ]
    light = {"light": "left", "rays": "30", "eye_level": {"height_mm": 150.0}}
    exercise = exercise_of(*things, cast("First"), cast("Second"), upon("Low"), views=[TWO_POINT], **light)
    assert {fall.number for fall in standing(exercise).falls} == {0, 1}
    assert_found_right(exercise)


def test_the_ground_of_a_deck_is_not_that_of_the_sheet() -> None:
    """What falls on the ground does not go on over what stands on a deck."""
    chest = {"kind": "raised_block", "name": "Chest", **ON_DECK, "along": "1:2:1", "up": "1:2:1", "rise": 30.0}
    tall = block("Tall", 60.0, 40.0, 90.0, (30.0, 30.0))
    exercise = exercise_of(DECK, chest, tall, cast("Tall"), upon("Chest"), views=[TWO_POINT], **LEVEL, light="left")
    assert not standing(exercise).falls


def test_a_new_one_falls_on_what_a_shadow_reaches_be_it_first_or_last_in_the_list() -> None:
    things = [{k: v for k, v in t.model_dump(mode="json").items() if k != "id"} for t in over_chest().things[:2]]
    light = {"light": "left", "rays": "30", "eye_level": {"height_mm": 150.0}}
    for order in (things, things[::-1]):
        exercise = add_thing(exercise_of(*order, cast("Tall"), views=[TWO_POINT], **light), "fallen_shadow")
        names = {thing.id: thing.name for thing in exercise.things}
        assert names[exercise.things[-1].joined_to] == "Low"
        assert draw(exercise).faces


def test_where_no_shadow_reaches_anything_it_lies_on_the_last_block_and_says_so() -> None:
    things = [{k: v for k, v in t.model_dump(mode="json").items() if k != "id"} for t in over_chest().things[:2]]
    alone = exercise_of(*things, views=[TWO_POINT], eye_level={"height_mm": 150.0})
    exercise = add_thing(alone, "fallen_shadow")
    assert exercise.things[-1].joined_to == exercise.things[1].id
    assert "no_shadow_upon" in codes(exercise)


def test_moved_to_stairs_it_falls_on_the_steps() -> None:
    """Another host has other faces: it comes to lie on one that there is."""
    exercise = over_steps()
    index, steps = len(exercise.things) - 1, exercise.things[1]
    on_post = set_at(exercise, f"things.{index}.joined_to", float(exercise.things[2].id))
    assert on_post.things[index].joined_by == "face_ground"
    assert set_at(on_post, f"things.{index}.joined_to", float(steps.id)).things[index].joined_by == "face_steps"
