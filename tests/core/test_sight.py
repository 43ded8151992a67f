"""What is seen, against casting a ray to every sample: another way to the same answer."""

import itertools
from copy import copy
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import exercises, flights, hipped, profiles, solved, words

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.hidden import Seen, Sight
from orthopsis.core.sight.solid import Solid, Topology, faces_toward_eye
from orthopsis.core.view.eye import Array

UNSURE = 1e-4
BOX = box("Crate", 80.0, 40.0, 60.0, 70.0, depth_by="measured", depth=30.0)


def ray_meets_face(target: Array, corners: Array) -> tuple[float, float] | None:
    """Return how far along the ray from the eye (0) to the target (1) a face lies, and how far inside it is hit.

    Moeller and Trumbore's test on both triangles of a four-cornered face (from memory).
    """
    best: tuple[float, float] | None = None
    for a, b, c in ((corners[0], corners[1], corners[2]), (corners[0], corners[2], corners[3])):
        p, q = b - a, c - a
        h = np.cross(target, q)
        det = p @ h
        if abs(det) < 1e-12 * np.linalg.norm(p) * np.linalg.norm(q) * np.linalg.norm(target):
            continue
        s = -a
        u = (s @ h) / det
        w = np.cross(s, p)
        v = (target @ w) / det
        inside = min(u, v, 1 - u - v)
        if best is None or inside > best[1]:
            best = ((q @ w) / det, float(inside))
    return best


def is_hidden(target: Array, own: int, things: list[Seen]) -> bool | None:
    """Tell whether a face comes before the target; None where it is too close to tell."""
    hidden = False
    for number, thing in enumerate(things):
        if thing.see_through or thing.layer > things[own].layer:
            continue
        for face in thing.solid.faces:
            hit = ray_meets_face(target, thing.solid.places[[thing.solid.index(c) for c in face.corners]])
            if hit is None or hit[1] < -UNSURE:
                continue
            before = thing.layer < things[own].layer or hit[0] < 1 - UNSURE
            if abs(hit[1]) <= UNSURE or (number == own and abs(hit[0] - 1) <= UNSURE and hit[1] < UNSURE):
                return None
            hidden = hidden or (before and hit[0] > 0)
    return hidden


@settings(max_examples=40)
@given(exercises(least=2, most=4))
def test_seen_and_hidden_pieces_are_what_rays_say(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    things = list(solved.seen)
    for own, (thing, pieces) in enumerate(zip(things, Sight(things).pieces(), strict=True)):
        for piece in pieces:
            share = (piece.start + piece.end) / 2
            page = thing.eye.see(thing.solid.places)
            i, j = thing.solid.index(piece.edge.start), thing.solid.index(piece.edge.end)
            near = thing.eye.nearness(thing.solid.places)
            at = page[i] + share * (page[j] - page[i])
            depth = thing.eye.distance_mm / (near[i] + share * (near[j] - near[i]))
            flat = (at - np.array(thing.eye.principal.xy)) * depth / thing.eye.distance_mm
            told = is_hidden(np.array([*flat, depth]), own, things)
            if told is not None and not thing.see_through:
                assert piece.visible != told, f"{piece.edge.name} at {share:.3f}"


@settings(max_examples=60)
@given(exercises(least=1, most=3))
def test_the_pieces_of_an_edge_cover_it_once_and_alternate(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for thing, pieces in zip(solved.seen, Sight(solved.seen).pieces(), strict=True):
        for edge in thing.solid.edges:
            mine = [p for p in pieces if p.edge is edge]
            if not mine:
                continue
            assert mine[0].start == pytest.approx(0, abs=1e-7), "slivers under a millionth of a millimetre are left out"
            assert mine[-1].end == pytest.approx(1, abs=1e-7)
            for one, two in itertools.pairwise(mine):
                assert one.end == pytest.approx(two.start, abs=1e-7)
                assert (one.visible, one.behind) != (two.visible, two.behind)


@settings(max_examples=100)
@given(exercises(least=1, most=1))
def test_a_box_shows_at_most_three_faces_and_those_at_its_nearest_edge(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    seen = solved.seen[0]
    shown = {face.name for face in faces_toward_eye(seen.solid, seen.eye)}
    if seen.solid.is_open:
        return
    if exercise.views[0].kind == "one_point":
        assert "front" in shown
        assert not {"left", "right"} <= shown
    else:
        assert {"left", "right"} <= shown
    assert not {face for face in shown if face.startswith("back")}
    assert len(shown) <= 3
    assert not {"top", "bottom"} <= shown


@settings(max_examples=60)
@given(st.one_of(exercises(least=1, most=2), profiles(), words(), flights(), hipped()))
def test_edges_between_faces_turned_away_would_be_found_hidden_too(exercise: Exercise) -> None:
    """They are not asked about, since no eye sees them; asked all the same, each would be hidden from end to end."""
    found = solved(exercise)
    unknown = [replace(seen, solid=Solid(_asking_all(seen.solid.topology), seen.solid.places)) for seen in found.seen]
    for quick, asked in zip(Sight(found.seen).pieces(), Sight(unknown).pieces(), strict=True):
        assert [(p.edge.name, p.visible, p.behind) for p in quick] == [
            (p.edge.name, p.visible, p.behind) for p in asked
        ]
        assert np.allclose([(p.start, p.end) for p in quick], [(p.start, p.end) for p in asked])


def _asking_all(topology: Topology) -> Topology:
    """Return it as a topology in which nothing is known of which faces meet at an edge."""
    result = copy(topology)
    result.faces_at = np.full_like(topology.faces_at, -1)
    return result


def test_two_faces_meet_at_each_edge_of_a_block_and_none_is_known_where_one_is_missing() -> None:
    blocks = [{**BOX, "look": look} for look in ("solid", "open")]
    closed, opened = (solve(prepare(exercise_of(block))).seen[0].solid.topology for block in blocks)
    meeting = [[closed.faces[i] for i in pair] for pair in closed.faces_at.tolist()]
    for edge, (one, other) in zip(closed.edges, meeting, strict=True):
        assert {edge.start, edge.end} <= set(one.corners) & set(other.corners)
    assert (opened.faces_at == -1).all()
