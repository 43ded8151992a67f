"""Cast shadows against ray casting by the CAD kernel: which places of the ground does the block keep the light from?

Source: OpenCASCADE's intersector of lines and shapes (IntCurvesFace_ShapeIntersector); the ground places, the rays and
the ground under the page are the test's own.
"""

import math
from collections.abc import Callable
from typing import Any

import numpy as np
import pytest
import shapely
from cad import shape_of
from hypothesis import HealthCheck, given, settings
from numpy.typing import NDArray
from OCP.gp import gp_Dir, gp_Lin, gp_Pnt
from OCP.IntCurvesFace import IntCurvesFace_ShapeIntersector
from scenes import beside_walls, falling, lamplit, shadowed, solved, tables_in_light
from test_fallen_shadow import over_by_lamp, over_chest, over_steps, up_a_ramp, up_a_side
from test_round_shadow import tub
from test_shadow import crate
from test_shadow_on_wall import before_back_wall, by_right_wall
from test_table_shadow import table_on_deck

from orthopsis.core.construct.panel import Panel
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.shadow.fallen import FallenShadow
from orthopsis.core.things.shadow.shape import ShadowShape

UNSURE_MM = 0.05
CHORD = 0.01
"""Circles come in pieces of 11 degrees, cut at other places in body and shadow: off by at most 1 % of the radius."""
SAMPLES = 14
Places = NDArray[np.float64]


def on_ground(found: Solved, foot: Places, page: Places) -> Places:
    """Where the eye's rays through page places meet the level plane through a foot of the block."""
    eye = found.seen[-1].eye
    x, y = eye.principal.xy
    rays = np.column_stack((page - [x, y], np.full(len(page), eye.distance_mm)))
    return np.asarray(rays * (foot[1] / rays[:, 1])[:, None])


def is_lit(block: Solid, at: Places, toward_light: Places) -> list[bool]:
    """Of places on the ground, whether a line toward the light passes the block by; for each its own way, or one."""
    caster = IntCurvesFace_ShapeIntersector()
    caster.Load(shape_of(block), 1e-9)
    lit = []
    ways = np.broadcast_to(toward_light, at.shape)
    for (x, y, z), (dx, dy, dz) in zip(at.tolist(), ways.tolist(), strict=True):
        # From beyond a lamp, which hangs higher than the block, nothing keeps the light away.
        caster.Perform(gp_Lin(gp_Pnt(x, y, -z), gp_Dir(dx, dy, -dz)), 1e-6, 1e6)
        lit.append(caster.NbPnt() == 0)
    return lit


def toward_light(exercise: Exercise, distance: float) -> Places:
    """Which way the sun is from anywhere, by the sheet's words: its angle, or the line of sight to its point.

    What the rays run to behind the viewer lies straight opposite to the sun.
    """
    side, sun = -1.0 if exercise.light == "left" else 1.0, exercise.sun
    if sun.stands == "beside":
        angle = math.radians(float(exercise.rays))
        return np.array([side * math.cos(angle), math.sin(angle), 0.0])
    before = np.array([side * sun.aside_mm, sun.height_mm, distance])
    return before if sun.stands == "ahead" else before * [1.0, 1.0, -1.0]


def ways_to_light(exercise: Exercise, found: Solved, at: Places) -> Places:
    """Which way the light is from places of the ground: of the sun one way, of a lamp from each another one.

    A lamp is found here from the sheet's words alone: its foot where the line of sight meets the ground, itself over
    that, at the same depth, as much higher on the page as it is said to be.
    """
    eye, sun = found.seen[-1].eye, exercise.sun
    if sun.stands != "lamp":
        return toward_light(exercise, eye.distance_mm)
    across = eye.principal.x + (-1.0 if exercise.light == "left" else 1.0) * sun.aside_mm
    level = exercise.eye_level.height_mm
    (foot,) = on_ground(found, at[0], np.array([[across, level - sun.foot_mm]]))
    lamp = foot + np.array([0.0, (sun.height_mm + sun.foot_mm) * foot[2] / eye.distance_mm, 0.0])
    return np.asarray(lamp - at)


def assert_dark_where_no_light_comes(exercise: Exercise, unsure_mm: float) -> int:
    """Compare places all over the shadow and round it with what the kernel's rays meet; return how many are dark."""
    found = solved(exercise)
    solid, block, eye = found.seen[-1].solid, found.seen[-2].solid, found.seen[-1].eye
    if not solid.faces:
        return 0  # it lies within the foot
    outline = solid.faces[0].corners
    page = eye.see(solid.places[[solid.index(name) for name in outline]])
    area = shapely.Polygon(page)
    low, high = page.min(axis=0), page.max(axis=0)
    if not area.is_valid or area.area < 1.0:
        return 0  # a shadow seen edge-on
    x, y = np.meshgrid(*(np.linspace(low[i] - 8, high[i] + 8, SAMPLES) for i in (0, 1)))
    samples = np.column_stack((x.ravel(), y.ravel()))
    samples = samples[samples[:, 1] < found.prepared.eye_level_mm - 1.0]
    # Under the block itself it is dark as well, whether the shadow's face reaches there or not.
    feet = [i for i, name in enumerate(block.names) if "bottom" in name or name.startswith(("foot", "base"))]
    under = shapely.convex_hull(shapely.multipoints(eye.see(block.places[feet])))
    points = shapely.points(samples)
    samples = samples[
        (shapely.distance(points, area.exterior) > unsure_mm) & (shapely.distance(points, under) > unsure_mm)
    ]
    if found.prepared.things[0].kind.kind == "room":  # what lies beyond a wall is none of its floor
        floor = shapely.Polygon([at.xy for at in found.prepared.things[0].standing.faces["floor"].page])
        samples = samples[shapely.contains(floor.buffer(-UNSURE_MM), shapely.points(samples))]
    if not len(samples):
        return 0
    ground = on_ground(found, solid.places[0], samples)
    lit = is_lit(block, ground, ways_to_light(exercise, found, ground))
    assert [not dark for dark in shapely.contains(area, shapely.points(samples))] == lit
    return lit.count(False)


def on_wall(found: Solved, wall: Panel, page: Places) -> Places:
    """Where the eye's rays through page places meet the plane of a wall."""
    eye = found.seen[-1].eye
    x, y = eye.principal.xy
    rays = np.column_stack((page - [x, y], np.full(len(page), eye.distance_mm)))
    normal = np.cross(*np.array(wall.axes))
    return np.asarray(rays * (np.array(wall.start) @ normal / (rays @ normal))[:, None])


def assert_wall_dark_where_no_light_comes(exercise: Exercise, unsure_mm: float) -> int:
    """Compare places of the wall that a shadow climbs with what the kernel's rays meet; return how many are dark."""
    found = solved(exercise)
    shadow = found.prepared.things[-1].standing
    if not isinstance(shadow, ShadowShape) or shadow.climb is None:
        return 0
    wall, solid, eye = shadow.climb.wall, found.seen[-1].solid, found.seen[-1].eye
    page = eye.see(solid.places[[solid.index(name) for name in solid.faces[1].corners]])
    area = shapely.Polygon(page)
    if not area.is_valid or area.area < 1.0:
        return 0
    low, high = page.min(axis=0), page.max(axis=0)
    x, y = np.meshgrid(*(np.linspace(low[i] - 8, high[i] + 8, SAMPLES) for i in (0, 1)))
    samples = np.column_stack((x.ravel(), y.ravel()))
    points, whole = shapely.points(samples), shapely.Polygon([at.xy for at in wall.page])
    samples = samples[
        (shapely.distance(points, area.exterior) > unsure_mm) & shapely.contains(whole.buffer(-unsure_mm), points)
    ]
    if not len(samples):
        return 0
    at = on_wall(found, wall, samples)
    ways = ways_to_light(exercise, found, np.vstack((solid.places[:1], at)))
    lit = is_lit(found.seen[-2].solid, at, ways[1:] if ways.ndim > 1 else ways)
    assert [not dark for dark in shapely.contains(area, shapely.points(samples))] == lit
    return lit.count(False)


@settings(max_examples=80, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(beside_walls())
def test_a_place_on_the_wall_is_dark_where_the_block_stands_before_the_light(exercise: Exercise) -> None:
    assert_dark_where_no_light_comes(exercise, UNSURE_MM)
    assert_wall_dark_where_no_light_comes(exercise, UNSURE_MM)


def assert_faces_dark_where_no_light_comes(exercise: Exercise, unsure_mm: float) -> int:
    """Compare places of the faces on which a shadow goes on with what the kernel's rays meet; return how many are dark.

    Asked of all faces of the other thing that are seen and that the light comes to, by the kernel's normals alone.
    """
    found, dark = solved(exercise), 0
    upon = found.prepared.things[-1].standing
    if not isinstance(upon, FallenShadow) or not upon.falls:
        return 0
    eye, solid = found.seen[-1].eye, found.seen[-1].solid
    own, other = (
        found.prepared.by_name[name].standing.solid for name in (upon.setting.casts[0].anchor.thing, upon.anchor.thing)
    )
    # Both stand on one ground: so many times as large is the post in the world of the other thing.
    post = Solid(own.topology, own.places * (other.places[:, 1].min() / own.places[:, 1].min()))
    for panel in upon.host.outer_faces:
        names = [face.corners for face in solid.faces if face.name == f"of_0.{panel.face}.shadow"]
        areas = [shapely.Polygon(eye.see(solid.places[[solid.index(name) for name in corners]])) for corners in names]
        area = shapely.union_all([shapely.make_valid(one) for one in areas])
        whole = shapely.Polygon([at.xy for at in panel.page])
        x, y = np.meshgrid(
            *(np.linspace(*ends, SAMPLES) for ends in zip(whole.bounds[:2], whole.bounds[2:], strict=True))
        )
        points = shapely.points(np.column_stack((x.ravel(), y.ravel())))
        points = points[shapely.contains(whole.buffer(-unsure_mm), points)]
        if area.area:
            points = points[shapely.distance(points, shapely.boundary(area)) > unsure_mm]
        if not len(points):
            continue
        at = on_wall(found, panel, shapely.get_coordinates(points))
        ways = ways_to_light(exercise, found, np.vstack((post.places[:1], at)))  # by its foot the lamp is found
        ways = ways[1:] if ways.ndim > 1 else np.broadcast_to(ways, at.shape)
        out = np.array(panel.outward)
        toward = (ways @ out) > 1e-6 * np.linalg.norm(ways, axis=1)
        if not toward.any():
            assert not area.area, "no shadow falls where no light comes"
            continue
        lit = is_lit(post, at[toward], ways[toward])
        assert [not is_dark for is_dark in shapely.contains(area, points[toward])] == lit, panel.says
        dark += lit.count(False)
    return dark


@settings(max_examples=150, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(falling())
def test_a_place_on_another_thing_is_dark_where_a_post_stands_before_the_light(exercise: Exercise) -> None:
    assert_faces_dark_where_no_light_comes(exercise, UNSURE_MM)


@pytest.mark.parametrize("make", [over_by_lamp, over_chest, over_steps, up_a_ramp, up_a_side])
def test_so_are_chest_steps_and_ramp(make: Callable[[], Exercise]) -> None:
    assert assert_faces_dark_where_no_light_comes(make(), UNSURE_MM) > 5


@pytest.mark.parametrize("make", [by_right_wall, before_back_wall])
def test_so_is_the_wall_by_a_chest(make: Callable[[], Exercise]) -> None:
    assert assert_wall_dark_where_no_light_comes(make(), UNSURE_MM) > 0


@settings(max_examples=90, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(shadowed())
def test_a_place_lies_in_the_shadow_where_the_block_stands_before_the_light(exercise: Exercise) -> None:
    assert_dark_where_no_light_comes(exercise, UNSURE_MM)


@settings(max_examples=60, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(lamplit())
def test_a_place_on_the_floor_of_a_room_is_dark_where_something_stands_before_the_lamp(exercise: Exercise) -> None:
    body = solved(exercise).seen[-2]
    size = float(np.ptp(body.eye.see(body.solid.places), axis=0).max())
    assert_dark_where_no_light_comes(exercise, UNSURE_MM if exercise.things[1].kind == "raised_block" else CHORD * size)


@pytest.mark.parametrize("aside", [30.0, 150.0])
@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_so_it_does_by_a_lamp_over_a_floor(view: str, aside: float) -> None:
    lamp = {"stands": "lamp", "aside_mm": aside, "height_mm": 130.0, "foot_mm": 60.0}
    exercise = crate(view, height=24.0, sun=lamp)
    assert assert_dark_where_no_light_comes(exercise, UNSURE_MM) > 0


@pytest.mark.parametrize("form", ["cylinder", "pail", "stool", "cone"])
@pytest.mark.parametrize("rays", ["30", "60"])
@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_so_it_does_where_a_round_body_stands_before_the_light(view: str, rays: str, form: str) -> None:
    exercise = tub(view, rays=rays, form=form, rise=110.0 if form == "cone" else 46.0)
    body = solved(exercise).seen[-2]
    size = float(np.ptp(body.eye.see(body.solid.places), axis=0).max())
    assert assert_dark_where_no_light_comes(exercise, CHORD * size) > 0


def assert_floor_dark_where_no_light_comes(exercise: Exercise, unsure_mm: float) -> int:
    """Compare places of the floor about a table with what the kernel's rays meet; return how many of them are dark."""
    found = solved(exercise)
    solid, table, eye = found.seen[-1].solid, found.seen[-2].solid, found.seen[-1].eye
    faces = [shapely.Polygon(eye.see(solid.places[[solid.index(c) for c in face.corners]])) for face in solid.faces]
    area = shapely.union_all([shapely.make_valid(face) for face in faces])
    if area.area < 1.0:
        return 0
    left, low, right, high = area.bounds
    x, y = np.meshgrid(np.linspace(left - 8, right + 8, 2 * SAMPLES), np.linspace(low - 8, high + 8, 2 * SAMPLES))
    points = shapely.points(np.column_stack((x.ravel(), y.ravel())))
    feet = [[table.index(name) for name in face.corners] for face in table.faces if face.name.endswith(".under")]
    under = shapely.union_all([shapely.convex_hull(shapely.multipoints(eye.see(table.places[own]))) for own in feet])
    floor = shapely.Polygon([at.xy for at in found.prepared.things[1].setting.panel.page])  # type: ignore[union-attr]
    points = points[shapely.contains(floor.buffer(-unsure_mm), points)]
    points = points[
        (shapely.distance(points, shapely.boundary(area)) > unsure_mm) & (shapely.distance(points, under) > unsure_mm)
    ]
    if not len(points):
        return 0
    at = on_ground(found, table.places[table.index("foot.0")], shapely.get_coordinates(points))
    ways = ways_to_light(exercise, found, at)
    lit = is_lit(table, at, ways)
    assert [not is_dark for is_dark in shapely.contains(area, points)] == lit
    return lit.count(False)


@settings(max_examples=120, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(tables_in_light())
def test_so_is_the_floor_about_a_table_and_light_comes_in_under_it(exercise: Exercise) -> None:
    assert_floor_dark_where_no_light_comes(exercise, UNSURE_MM)


@pytest.mark.parametrize(
    "light", [{"rays": "60"}, {"sun": {"stands": "behind", "aside_mm": 100.0, "height_mm": 110.0}}]
)
def test_so_it_is_by_suns_that_shine_in_under_it(light: dict[str, Any]) -> None:
    assert assert_floor_dark_where_no_light_comes(table_on_deck(**light), UNSURE_MM) > 20
