"""Hidden lines against the CAD kernel: three overlapping boxes, and random ones.

Source: OpenCASCADE's exact hidden line removal (HLRBRep). A thing further down our list stands behind the
ones before it: for the kernel it is moved away and enlarged about the eye, which leaves its picture as it is.
"""

from collections.abc import Sequence

import numpy as np
import pytest
from cad import Segments, set_back, visible_segments
from hypothesis import given, settings
from scenes import VIEWS, profiles

from conftest import box, exercise_of
from orthopsis.core.exercise.document import Exercise
from orthopsis.core.exercise.picture import solve
from orthopsis.core.exercise.setting import prepare
from orthopsis.core.sight.hidden import Seen, Sight

SAMPLES = 41
UNSURE_MM = 0.05


def compare(exercise: Exercise) -> int:
    """Compare samples of every edge; return how many were compared."""
    solved = solve(prepare(exercise))
    kernel = without_seams(visible_segments(set_back(solved.seen), solved.seen[0].eye), solved.seen)
    ours = seen_segments(solved.seen)
    compared = 0
    for seen in solved.seen:
        page = seen.solid.picture(seen.eye)
        for edge in seen.solid.edges:
            a, b = np.array(page[edge.start]), np.array(page[edge.end])
            for share in np.linspace(0.013, 0.987, SAMPLES):
                at = a + share * (b - a)
                if _is_near_an_end(kernel, at) or _is_near_an_end(ours, at):
                    continue
                compared += 1
                assert _is_on(kernel, at) == _is_on(ours, at), f"{edge.name} at {at}"
    return compared


def without_seams(segments: Segments, things: Sequence[Seen]) -> Segments:
    """Leave out what the kernel draws where two plane pieces of a curved surface meet: it does not know them as one."""
    seams: Segments = []
    for seen in things:
        page, edges = seen.solid.picture(seen.eye), {frozenset((e.start, e.end)) for e in seen.solid.edges}
        for face in seen.solid.faces:
            if face.is_curved:
                for a, b in ((face.corners[1], face.corners[2]), (face.corners[0], face.corners[3])):
                    if frozenset((a, b)) not in edges:
                        seams.append((np.array(page[a]), np.array(page[b])))
    return [(a, b) for a, b in segments if not any(max(_gap(c, d, a), _gap(c, d, b)) < 1e-4 for c, d in seams)]


def seen_segments(things: Sequence[Seen]) -> Segments:
    """Return the seen pieces of all edges on the page; a curve as the row of pieces that the solid has for it."""
    result: Segments = []
    for seen, pieces in zip(things, Sight(things).pieces(), strict=True):
        page = seen.solid.picture(seen.eye)
        for piece in pieces:
            if piece.visible:
                a, b = np.array(page[piece.edge.start]), np.array(page[piece.edge.end])
                result.append((a + piece.start * (b - a), a + piece.end * (b - a)))
    return result


def _is_on(segments: Segments, at: np.ndarray) -> bool:
    return any(_gap(a, b, at) < UNSURE_MM / 5 for a, b in segments)


def _is_near_an_end(segments: Segments, at: np.ndarray) -> bool:
    return any(min(np.hypot(*(at - a)), np.hypot(*(at - b))) < UNSURE_MM for a, b in segments)


def _gap(a: np.ndarray, b: np.ndarray, at: np.ndarray) -> float:
    d = b - a
    share = np.clip(np.dot(at - a, d) / max(np.dot(d, d), 1e-12), 0, 1)
    return float(np.hypot(*(a + share * d - at)))


def test_three_overlapping_boxes() -> None:
    overlapping = exercise_of(
        box("First", 40, 40, 90, 80, depth_by="half"),
        box("Second", 100, 70, 90, 90, depth_by="measured", depth=40),
        box("Third", 60, 100, 110, 120, depth_by="half"),
    )
    assert compare(overlapping) > 900


@pytest.mark.parametrize("seed", range(8))
def test_random_boxes(seed: int) -> None:
    rng = np.random.default_rng(seed)
    boxes = []
    for i in range(int(rng.integers(3, 8))):
        x, y, w, h = rng.uniform((0, 0, 15, 15), (290, 170, 120, 110))
        boxes.append(box(f"Box {i}", float(x), float(y), float(w), float(h), depth_by="half"))
    assert compare(exercise_of(*boxes)) > 300


@pytest.mark.parametrize("view", ["two_point", "from_above", "from_below"])
@pytest.mark.parametrize("seed", range(3))
def test_random_boxes_about_their_nearest_edges(view: str, seed: int) -> None:
    rng = np.random.default_rng(seed)
    low, high = {"two_point": (20, 230), "from_above": (40, 135), "from_below": (165, 290)}[view]
    things = []
    for i in range(int(rng.integers(3, 7))):
        left, bottom, height = rng.uniform((120, low, 15), (300, high, 70))
        sides = {f"{role}_by": "measured" for role in ("left", "right")}
        sides |= {f"{role}_length": float(rng.uniform(15, 60)) for role in ("left", "right")}
        place = {"left": float(left), "bottom": float(bottom), "height": float(height)}
        things.append({"kind": "box", "name": f"Box {i}", **place, **sides})
    assert compare(exercise_of(*things, views=[VIEWS[view]])) > 300


@settings(max_examples=40)
@given(profiles(views=("one_point", "two_point", "from_above", "from_below"), looks=("solid",)))
def test_profiles_with_notches_and_holes(exercise: Exercise) -> None:
    assert compare(exercise) > 100
