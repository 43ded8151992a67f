"""In which order faces are painted, against looking along rays: what is painted last at a place is what is nearest."""

import itertools
from typing import Any

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import carved, flights, hipped, profiles, railed, solved, words

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.sight import order
from orthopsis.core.sight.hidden import Seen
from orthopsis.core.sight.order import painted_together
from orthopsis.core.view.eye import Array, Eye

CLEAR_MM = 0.05
"""Places nearer to an outline than this are left out: there two faces are as near as each other."""
ALIKE = 1e-6
"""Share by which of two faces one is told to be nearer."""


def nearness(eye: Eye, corners: Array, places: Array) -> Array:
    """Return distance / z at places of the page, on the plane of three corners farthest apart in the world.

    A ray through the page place (u, v) from the eye meets the plane n·X = h at z = h d / (n·(u, v, d)) (from memory).
    """
    normals = [np.cross(one - corners[0], other - corners[0]) for one, other in itertools.combinations(corners, 2)]
    normal = max(normals, key=lambda n: float(np.linalg.norm(n)))
    rays = np.column_stack((places - eye.principal.xy, np.full(len(places), eye.distance_mm)))
    return np.asarray(rays @ normal / (normal @ corners[0]))


def assert_painted_from_far_to_near(things: list[Seen]) -> None:
    at_last: dict[int, tuple[int, float]] = {}
    areas, near = [], []
    painted = painted_together(things)
    for number, face in painted:
        solid, eye = things[number].solid, things[number].eye
        page = solid.picture(eye)
        outline, *holes = ([page[c] for c in loop] for loop in face.loops)
        areas.append(shapely.make_valid(shapely.Polygon(outline, holes)))
        near.append(solid.places[[solid.index(c) for c in face.corners]])
    low, high = np.array([a.bounds[:2] for a in areas]).min(axis=0), np.array([a.bounds[2:] for a in areas]).max(axis=0)
    grid = np.random.default_rng(7).uniform(low, high, size=(400, 2))
    points = shapely.points(grid)
    for i, (number, _) in enumerate(painted):
        within = shapely.contains(areas[i], points)
        within &= shapely.distance(shapely.boundary(areas[i]), points) > CLEAR_MM
        at = np.flatnonzero(within)
        for place, here in zip(at.tolist(), nearness(things[number].eye, near[i], grid[at]).tolist(), strict=True):
            before = at_last.get(place)
            assert before is None or here > before[1] * (1 - ALIKE), (painted[before[0]][1].name, painted[i][1].name)
            at_last[place] = (i, here)
    assert at_last


@settings(max_examples=60)
@given(st.one_of(words(), profiles(), carved(), flights(), railed(), hipped()))
def test_what_is_painted_over_another_face_is_nearer(exercise: Exercise) -> None:
    found = solved(exercise)
    groups: dict[int, list[Seen]] = {}
    for seen in found.seen:
        if seen.solid.faces and not seen.see_through:
            groups.setdefault(seen.layer, []).append(seen)
    for group in groups.values():
        assert_painted_from_far_to_near(group)


WORD: dict[str, Any] = {
    "kind": "letters", "name": "Word", "left": 40.0, "bottom": 40.0, "width": 44.0, "height": 70.0, "depth": 60.0,
    "depth_by": "measured",
}  # fmt: skip


@pytest.mark.parametrize("text", ["HULL", "WAKE", "SET"])
def test_boxes_that_overlap_while_their_faces_do_not_lead_nobody_astray(text: str) -> None:
    """The sides of many letters stand before one another's boxes in rings; it is asked then which faces overlap."""
    found = solved(exercise_of({**WORD, "text": text}, views=[{"kind": "one_point", "name": "point", "x_mm": 230.0}]))
    assert_painted_from_far_to_near([found.seen[0]])


def test_so_many_faces_that_a_tree_compares_them_are_painted_alike(monkeypatch: pytest.MonkeyPatch) -> None:
    found = solved(exercise_of({**WORD, "text": "HULL"}, views=[{"kind": "one_point", "name": "point", "x_mm": 230.0}]))
    one_by_one = painted_together([found.seen[0]])
    monkeypatch.setattr(order, "MOST_COMPARED", 3)
    assert {face.name for _, face in painted_together([found.seen[0]])} == {face.name for _, face in one_by_one}
    assert_painted_from_far_to_near([found.seen[0]])
