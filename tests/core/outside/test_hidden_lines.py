"""Hidden lines against the CAD kernel: three overlapping boxes, and random ones.

Source: OpenCASCADE's exact hidden line removal (HLRBRep). A thing further down our list stands behind the
ones before it: for the kernel it is moved away and enlarged about the eye, which leaves its picture as it is.
"""

from collections.abc import Sequence

import numpy as np
import pytest
from cad import Segments, set_back, visible_segments
from hypothesis import HealthCheck, assume, given, settings
from numpy.typing import NDArray
from scenes import VIEWS, carved, profiles, solved, words

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.hidden import Seen, Sight
from orthopsis.core.sight.solid import Solid

SAMPLES = 41
Page = NDArray[np.float64]
UNSURE_MM = 0.05


def compare(exercise: Exercise, *, as_they_stand: bool = False) -> int:
    """Compare samples of every edge; return how many were compared.

    Args:
        as_they_stand: whether the kernel gets them where they stand on the ground, and not one behind the other.
    """
    solved = solve(prepare(exercise))
    solids = on_the_ground(solved) if as_they_stand else set_back(solved.seen)
    kernel = without_seams(visible_segments(solids, solved.seen[0].eye), solved.seen)
    return compared(solved.seen, kernel, seen_segments(solved.seen))


def compared(things: Sequence[Seen], kernel: Segments, ours: Segments) -> int:
    """Compare samples of every edge of the solids; return how many were compared."""
    shares = np.linspace(0.013, 0.987, SAMPLES)[:, None]
    names, places = list[str](), []
    for seen in things:
        page = seen.solid.picture(seen.eye)
        for edge in seen.solid.edges:
            a, b = np.array(page[edge.start]), np.array(page[edge.end])
            names += [edge.name] * SAMPLES
            places.append(a + shares * (b - a))
    at = np.vstack(places)
    sure = ~(near_an_end(kernel, at) | near_an_end(ours, at))
    is_on = [gaps(segments, at).min(axis=1) < UNSURE_MM / 5 for segments in (kernel, ours)]
    differs = sure & (is_on[0] != is_on[1])
    assert not differs.any(), [(names[i], at[i].tolist()) for i in np.flatnonzero(differs)[:5]]
    return int(sure.sum())


def on_the_ground(solved: Solved) -> list[Solid]:
    """Return boxes enlarged about the eye until all feet are as deep under it: the test's own way to one ground."""
    level = solved.prepared.frames[0].level_mm
    sizes = []
    for thing in solved.seen:
        page = thing.eye.see(thing.solid.places)
        sizes.append(1 / np.max((level - page[:, 1]) / thing.eye.nearness(thing.solid.places)))
    return [Solid(t.solid.topology, t.solid.places * size) for t, size in zip(solved.seen, sizes, strict=True)]


def near_an_end(segments: Segments, at: NDArray[np.float64]) -> NDArray[np.bool_]:
    """Tell of each place whether an end of a segment is so near that a sample there says nothing."""
    ends = np.array([end for segment in segments for end in segment])
    return np.asarray(np.linalg.norm(at[:, None] - ends, axis=2).min(axis=1) < UNSURE_MM)


def gaps(segments: Segments, at: NDArray[np.float64]) -> NDArray[np.float64]:
    """Return the distance of each place from each segment, shape (places, segments)."""
    a, b = (np.array([segment[i] for segment in segments]) for i in (0, 1))
    d = b - a
    share = np.einsum("ijk,jk->ij", at[:, None] - a, d) / np.maximum(np.einsum("jk,jk->j", d, d), 1e-12)
    foot = a + np.clip(share, 0, 1)[:, :, None] * d
    return np.asarray(np.linalg.norm(at[:, None] - foot, axis=2))


def without_seams(segments: Segments, things: Sequence[Seen]) -> Segments:
    """Leave out what the kernel draws where two plane pieces of a curved surface meet: it does not know them as one.

    What lies on an edge as well stays.
    """
    seams, edges = list[tuple[Page, Page]](), list[tuple[Page, Page]]()
    for seen in things:
        page, known = seen.solid.picture(seen.eye), {frozenset((e.start, e.end)) for e in seen.solid.edges}
        edges += [(np.array(page[e.start]), np.array(page[e.end])) for e in seen.solid.edges]
        for face in seen.solid.faces:
            if face.is_curved:
                for a, b in ((face.corners[1], face.corners[2]), (face.corners[0], face.corners[3])):
                    if frozenset((a, b)) not in known:
                        seams.append((np.array(page[a]), np.array(page[b])))
    if not seams or not segments:
        return segments
    is_seam = lie_on(segments, seams) & ~lie_on(segments, edges)
    return [segment for segment, seam in zip(segments, is_seam.tolist(), strict=True) if not seam]


def lie_on(segments: Segments, lines: Segments) -> NDArray[np.bool_]:
    """Tell of each segment whether it lies on one of the lines."""
    starts, ends = (gaps(lines, np.array([segment[i] for segment in segments])) for i in (0, 1))
    return np.asarray((np.maximum(starts, ends) < 1e-4).any(axis=1))


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


# The same words each time: what the kernel draws along the seams of curved surfaces has to be left out by hand.
@settings(max_examples=40, deadline=None, derandomize=True)
@given(words(looks=("solid",), most=2))
def test_letters_and_short_words(exercise: Exercise) -> None:
    assert compare(exercise) > 100


@pytest.mark.parametrize("view", ["one_point", "two_point"])
@pytest.mark.parametrize("seed", range(5))
def test_boxes_on_the_ground_hide_each_other_as_they_stand_there(view: str, seed: int) -> None:
    # Squares of a grid on the ground, each with a box that leaves some of it free, listed in any order.
    rng = np.random.default_rng(seed)
    things = []
    for i, at in enumerate(rng.permutation(12)[:6]):
        row, column = divmod(int(at), 4)
        depth = 1.0 + 0.35 * row
        foot = 150 - 110 / depth
        left = 210 + (column - 2) * 80 / depth + 4
        if view == "one_point":
            more = {"width": 50 / depth, "depth_by": "measured", "depth": 6.0}
        else:
            more = {f"{role}_{what}": value for role in ("left", "right") for what, value in
                    (("by", "measured"), ("length", 20 / depth))}  # fmt: skip
        height = float(rng.uniform(20, 120))
        things.append({"kind": "box", "name": f"Box {i}", "left": left, "bottom": foot, "height": height, **more})
    assert compare(exercise_of(*things, views=[VIEWS[view]]), as_they_stand=True) > 300


@settings(max_examples=60, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(carved())
def test_what_is_seen_of_a_shape_that_is_carved_from_a_block(exercise: Exercise) -> None:
    """It has notches, so that parts of it hide other parts."""
    mark = solved(exercise).seen[-1]
    assume(not mark.see_through)
    assert compared([mark], visible_segments([mark.solid], mark.eye), seen_segments([mark])) > 100
