"""Cast shadows against ray casting by the CAD kernel: which places of the ground does the block keep the light from?

Source: OpenCASCADE's intersector of lines and shapes (IntCurvesFace_ShapeIntersector); the ground places, the rays and
the ground under the page are the test's own.
"""

import math

import numpy as np
import shapely
from cad import shape_of
from hypothesis import HealthCheck, given, settings
from numpy.typing import NDArray
from OCP.gp import gp_Dir, gp_Lin, gp_Pnt
from OCP.IntCurvesFace import IntCurvesFace_ShapeIntersector
from scenes import shadowed, solved

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved

UNSURE_MM = 0.05
SAMPLES = 14
Places = NDArray[np.float64]


def on_ground(found: Solved, foot: Places, page: Places) -> Places:
    """Where the eye's rays through page places meet the level plane through a foot of the block."""
    eye = found.seen[-1].eye
    x, y = eye.principal.xy
    rays = np.column_stack((page - [x, y], np.full(len(page), eye.distance_mm)))
    return np.asarray(rays * (foot[1] / rays[:, 1])[:, None])


def is_lit(found: Solved, at: Places, toward_light: Places) -> list[bool]:
    """Of places on the ground, whether a line toward the light passes the block by."""
    caster = IntCurvesFace_ShapeIntersector()
    caster.Load(shape_of(found.seen[-2].solid), 1e-9)
    lit = []
    for x, y, z in at.tolist():
        dx, dy, dz = toward_light.tolist()
        caster.Perform(gp_Lin(gp_Pnt(x, y, -z), gp_Dir(dx, dy, -dz)), 1e-6, 1e6)
        lit.append(caster.NbPnt() == 0)
    return lit


@settings(max_examples=60, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(shadowed())
def test_a_place_lies_in_the_shadow_where_the_block_stands_before_the_light(exercise: Exercise) -> None:
    found = solved(exercise)
    solid, eye = found.seen[-1].solid, found.seen[-1].eye
    page = eye.see(solid.places)
    area = shapely.Polygon(page)
    low, high = page.min(axis=0), page.max(axis=0)
    if not area.is_valid or area.area < 1.0:
        return  # a shadow seen edge-on
    x, y = np.meshgrid(*(np.linspace(low[i] - 8, high[i] + 8, SAMPLES) for i in (0, 1)))
    samples = np.column_stack((x.ravel(), y.ravel()))
    samples = samples[samples[:, 1] < found.prepared.eye_level_mm - 1.0]
    clear = shapely.distance(shapely.points(samples), area.exterior) > UNSURE_MM
    # Under the block itself it is dark as well, whether the shadow's face reaches there or not.
    feet = [i for i, name in enumerate(found.seen[-2].solid.names) if "bottom" in name or name.startswith("foot")]
    under = shapely.convex_hull(shapely.multipoints(eye.see(found.seen[-2].solid.places[feet])))
    clear &= shapely.distance(shapely.points(samples), under) > UNSURE_MM
    samples = samples[clear]
    angle, side = math.radians(float(exercise.rays)), -1.0 if exercise.light == "left" else 1.0
    toward = np.array([side * math.cos(angle), math.sin(angle), 0.0])
    lit = is_lit(found, on_ground(found, solid.places[0], samples), toward)
    inside = shapely.contains(area, shapely.points(samples))
    assert [not dark for dark in inside] == lit
