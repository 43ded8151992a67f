"""The shadow of rails against ray casting by the CAD kernel, rails, sleepers, ground and light being the test's own.

Source: OpenCASCADE's intersector of lines and shapes (IntCurvesFace_ShapeIntersector).
"""

import math

import numpy as np
import pytest
import shapely
from numpy.typing import NDArray
from OCP.BRepPrimAPI import BRepPrimAPI_MakeBox
from OCP.gp import gp_Dir, gp_Lin, gp_Pnt
from OCP.IntCurvesFace import IntCurvesFace_ShapeIntersector

from conftest import exercise_of
from orthopsis.core.exercise.solve import draw

AT_X, LEVEL, EYE_MM = 210.0, 150.0, 400.0
LEFT, LOW, GAUGE, RAIL, HIGH, OUT, THICK = 150.0, 20.0, 90.0, 10.0, 12.0, 34.0, 7.0
DEEP, PITCH, COUNT = 14.0, 40.0, 4
UNSURE_MM = 0.2
Places = NDArray[np.float64]


def depths() -> list[tuple[float, float]]:
    """How far from the eye each sleeper begins and ends: a length s away is drawn as s / (s + d) of the way."""
    start = np.array([LEFT - OUT, LOW])
    way = math.dist(start, (AT_X, LEVEL))
    deep, pitch = (EYE_MM * mm / (way - mm) for mm in (DEEP, PITCH))
    return [(EYE_MM + i * pitch, EYE_MM + i * pitch + deep) for i in range(COUNT)]


def kept_off(at: Places, toward: Places) -> bool:
    """Whether one of the two rails keeps the light off a place; OpenCASCADE's z runs toward the viewer."""
    for left in (LEFT, LEFT + RAIL + GAUGE):
        # As low as the ground between sleepers: stones fill the room under a rail.
        corner = gp_Pnt(left - AT_X, LOW - THICK - LEVEL, -5000.0)
        bar = BRepPrimAPI_MakeBox(corner, RAIL, HIGH + THICK, 5000.0 - EYE_MM + 1e-6).Shape()
        rays = IntCurvesFace_ShapeIntersector()
        rays.Load(bar, 1e-9)
        rays.Perform(gp_Lin(gp_Pnt(at[0], at[1], -at[2]), gp_Dir(toward[0], toward[1], 0.0)), 1e-6, 1e6)
        if rays.NbPnt():
            return True
    return False


def place_seen(x: float, y: float) -> Places | None:
    """What the eye sees at a place of the page: a sleeper's top, or the ground between; None of all else."""
    ray = np.array([x - AT_X, y - LEVEL, EYE_MM])
    on_top = ray * ((LOW - LEVEL) / ray[1])
    if any(near <= on_top[2] <= far for near, far in depths()):
        return on_top
    on_ground = ray * ((LOW - THICK - LEVEL) / ray[1])
    is_free = all(on_ground[2] < near or on_top[2] > far for near, far in depths())
    is_free &= not any(left - AT_X <= on_ground[0] <= left + RAIL - AT_X for left in (LEFT, LEFT + RAIL + GAUGE))
    return on_ground if is_free and on_ground[2] > depths()[0][1] else None


@pytest.mark.parametrize("light", ["left", "right"])
@pytest.mark.parametrize("rays", ["45", "60"])
def test_it_is_dark_just_where_a_rail_keeps_the_light_off(light: str, rays: str) -> None:
    rails = {
        "kind": "rails", "name": "Track", "left": LEFT, "bottom": LOW, "gauge": GAUGE, "rail": RAIL, "high": HIGH,
        "out": OUT, "sleepers": str(COUNT), "deep": DEEP, "pitch": PITCH, "thick": THICK,
    }  # fmt: skip
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Track", "joined_by": "face_ground"}
    view = {"kind": "one_point", "x_mm": AT_X, "distance_mm": EYE_MM}
    exercise = exercise_of(rails, shadow, views=[view], eye_level={"height_mm": LEVEL}, light=light, rays=rays)
    drawing = draw(exercise)
    fields = [
        shapely.Polygon(face.loops[0])
        for face in drawing.faces
        if face.thing == "Shadow" and not face.name.startswith("front")
    ]
    dark = shapely.union_all(fields)
    bars = shapely.union_all(
        [
            shapely.convex_hull(shapely.MultiPoint([(AT_X, LEVEL), *((x, y) for x in ends for y in (LOW, LOW + HIGH))]))
            for left in (LEFT, LEFT + RAIL + GAUGE)
            for ends in ((left, left + RAIL),)
        ]
    )
    turn = math.radians(float(rays))
    toward = np.array([(-1.0 if light == "left" else 1.0) * math.cos(turn), math.sin(turn)])
    seen = {True: 0, False: 0}
    for x in np.arange(120.0, 300.0, 1.7):
        for y in np.arange(LOW + 0.3, 100.0, 1.3):
            at, point = place_seen(float(x), float(y)), shapely.Point(x, y)
            if at is None or min(point.distance(bars), point.distance(dark.boundary)) < UNSURE_MM:
                continue
            is_dark = kept_off(at, toward)
            assert is_dark == dark.contains(point), (x, y)
            seen[is_dark] += 1
    assert min(seen.values()) > 100
