"""Things that stand on, against and behind each other: the same corner, on the page and in the world."""

import numpy as np
import pytest
from cad import visible_segments
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.editing import edit, edit_things
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.scene.prepared import prepare


def block(name: str, **more: object) -> dict[str, object]:
    """Return a box about its nearest edge."""
    sides = {"left_by": "measured", "left_length": 40, "right_by": "measured", "right_length": 34}
    place = {"left": 210, "bottom": 60, "height": 50}
    return {"kind": "box", "name": name, **place, **sides, **more}


def joined(view: str, how: str) -> Exercise:
    """Return two boxes, the second standing by the first."""
    if view == "one_point":
        low = box("Low", 280 if how == "behind" else 60, 40, 80, 50, depth_by="half")
        return exercise_of(low, box("Other", 75, 0, 40, 30, depth_by="half", joined_to="Low", joined_by=how))
    bottom = {"two_point": 60, "from_above": 130, "from_below": 170}[view]
    other = block("Other", height=30, left_length=26, right_length=22, joined_to="Low", joined_by=how)
    return exercise_of(block("Low", bottom=bottom), other, views=[VIEWS[view]])


JOINTS = [
    *(("one_point", how) for how in ("on_top", "beside_right", "behind")),
    *(
        (v, how)
        for v in ("two_point", "from_above", "from_below")
        for how in ("on_top", "against_left", "against_right")
    ),
]


@pytest.mark.parametrize(("view", "how"), JOINTS)
def test_the_shared_corner_is_one_on_the_page_and_in_the_world(view: str, how: str) -> None:
    solved = solve(prepare(joined(view, how)))
    low, other = solved.seen
    foot = "front.bottom_left" if view == "one_point" else "near.bottom"
    ends = {
        "beside_right": "front.bottom_right", "behind": "back.bottom_left", "on_top": "near.top",
        "against_left": "left.bottom", "against_right": "right.bottom",
    }  # fmt: skip
    at = other.solid.places[other.solid.index(foot)]
    if view == "one_point" and how == "on_top":
        top = low.solid.places[low.solid.index("front.top_left")]
        assert at[1:] == pytest.approx(top[1:]), "same height, same depth"
        return
    assert at == pytest.approx(low.solid.places[low.solid.index(ends[how])])
    for seen, name in ((low, "Low"), (other, "Other")):
        for corner, place in seen.solid.picture(seen.eye).items():
            if f"{name}.{corner}" in solved.board.points:
                assert_same_point(solved.board.points[f"{name}.{corner}"].xy, place, corner)


@pytest.mark.parametrize(("view", "how"), JOINTS)
def test_hidden_lines_of_touching_things_are_the_kernel_s(view: str, how: str) -> None:
    # Source: OpenCASCADE's exact hidden line removal. Contact edges lie in both solids and are left out.
    solved = solve(prepare(joined(view, how)))
    kernel = visible_segments([seen.solid for seen in solved.seen], solved.seen[0].eye)
    ours = [(np.array(line.start), np.array(line.end)) for line in solved.lines if line.role == "edge" and line.visible]
    compared = 0
    for seen in solved.seen:
        page = seen.solid.picture(seen.eye)
        for edge in seen.solid.edges:
            a, b = np.array(page[edge.start]), np.array(page[edge.end])
            for share in np.linspace(0.027, 0.973, 23):
                at = a + share * (b - a)
                told = [_gap(kernel, at), _gap(ours, at)]
                if any(0.002 < gap < 0.3 for gap in told) or _is_contact(seen, solved.seen, edge, share):
                    continue
                compared += 1
                assert (told[0] < 0.002) == (told[1] < 0.002), f"{edge.name} at {at}"
    assert compared > 40


def _gap(segments: list[tuple[np.ndarray, np.ndarray]], at: np.ndarray) -> float:
    gaps = []
    for a, b in segments:
        d = b - a
        share = np.clip(np.dot(at - a, d) / max(np.dot(d, d), 1e-12), 0, 1)
        gaps.append(float(np.hypot(*(a + share * d - at))))
    return min(gaps)


def _is_contact(own: object, things: object, edge: object, share: float) -> bool:
    """Tell whether a point of an edge lies on a face of the other thing."""
    i, j = own.solid.index(edge.start), own.solid.index(edge.end)
    near = own.eye.nearness(own.solid.places)
    t = share * near[j] / ((1 - share) * near[i] + share * near[j])
    at = own.solid.places[i] + t * (own.solid.places[j] - own.solid.places[i])
    for other in things:
        if other is own:
            continue
        for face in other.solid.faces:
            outline = other.solid.places[[other.solid.index(c) for c in face.corners]]
            normal = np.cross(outline[1] - outline[0], outline[2] - outline[0])
            if abs((at - outline[0]) @ normal) / np.linalg.norm(normal) < 1e-6:
                return True
    return False


IN_LINE = [
    ("one_point", "in_line"),
    *((view, f"in_line_{role}") for view in ("two_point", "from_above", "from_below") for role in ("left", "right")),
]


@settings(max_examples=40)
@given(st.sampled_from(IN_LINE), st.integers(12, 110))
def test_in_line_with_a_gap_a_thing_is_as_tall_in_the_world_and_on_one_ground(place: tuple[str, str], gap: int) -> None:
    exercise = edit.type_at(joined(*place), "things.1.gap_mm", f"{gap} mm")
    solved = solve(prepare(exercise))
    ends = ("front.bottom_left", "front.top_left") if place[0] == "one_point" else ("near.bottom", "near.top")
    (low, high), (foot, top) = ([seen.solid.places[seen.solid.index(end)] for end in ends] for seen in solved.seen)
    assert top - foot == pytest.approx(high - low), "the same upright in the world"
    away = foot - low
    role = place[1].removeprefix("in_line").removeprefix("_") or "away"
    ray = solved.seen[0].eye.ray(prepare(exercise).frames[0].way(role).goal)
    assert np.cross(away, ray) == pytest.approx(np.zeros(3), abs=1e-6), "the feet lie on one line of that direction"
    for seen, name in zip(solved.seen, ("Low", "Other"), strict=True):
        for corner, page in seen.solid.picture(seen.eye).items():
            if f"{name}.{corner}" in solved.board.points:
                assert_same_point(solved.board.points[f"{name}.{corner}"].xy, page, corner)
    assert board_gap(solved) == pytest.approx(gap, abs=1e-6)


def board_gap(solved: Solved) -> float:
    """Return how far apart on the page the feet of the two things are."""
    ends = ("front.bottom_left", "near.bottom")
    low, foot = (next(p for e in ends if (p := solved.board.points.get(f"{n}.{e}"))) for n in ("Low", "Other"))
    return distance(low, foot)


def test_the_gap_is_dragged_along_the_line_and_refused_past_the_point() -> None:
    exercise = edit.set_at(joined("two_point", "in_line_left"), "things.1.left_by", "half")
    dragged = edit.drag(exercise, "things.1.gap_mm", 150.0, 10.0)
    assert dragged.things[1].gap_mm > 40
    assert {h.id for h in draw(dragged).handles} >= {"things.1.gap_mm"}
    with pytest.raises(GeometryError) as refused:
        draw(edit.type_at(exercise, "things.1.gap_mm", "900 mm"))
    assert (refused.value.code, refused.value.about) == ("gap_past_point", "things.1.gap_mm")
    nearest = edit.type_at(exercise, "things.1.gap_mm", refused.value.nearest)
    assert any(line.thing == "Other" for line in draw(nearest).lines)


def test_steps_begin_with_what_carries_the_other() -> None:
    exercise = joined("two_point", "on_top")
    turned = exercise.model_copy(update={"things": exercise.things[::-1]})
    drawing = draw(turned)
    order = [step.thing for step in drawing.steps if step.thing]
    assert order.index("Low") < order.index("Other")
    first = next(step for step in drawing.steps if step.thing == "Other")
    assert "at the top of the nearest edge of Low" in first.text


def test_from_above_an_edge_on_another_thing_is_drawn_away_from_the_third_point() -> None:
    exercise = joined("from_above", "on_top")
    first = next(step for step in draw(exercise).steps if step.thing == "Other")
    assert first.text.startswith("Begin at the top of the nearest edge of Low.")
    assert "away from the point, 30 mm long" in first.text
    board = solve(prepare(exercise)).board
    assert board.points["Other.near.bottom"] == board.points["Low.near.top"]
    assert board.points["Other.near.top"].y > board.points["Other.near.bottom"].y


def test_a_name_and_a_removal_are_followed() -> None:
    exercise = edit_things.rename_thing(joined("two_point", "on_top"), 0, "Quay wall")
    assert exercise.things[1].joined_to == exercise.things[0].id
    assert edit_things.remove_thing(exercise, 0).things[0].joined_to == 0


@pytest.mark.parametrize(
    ("change", "about"),
    [
        ({"joined_to": "Nowhere"}, "joined_to"),
        ({"joined_to": "Other"}, "joined_to"),
        ({"joined_by": "behind"}, "joined_by"),
    ],
)
def test_what_cannot_be_joined_is_said_at_its_place(change: dict[str, str], about: str) -> None:
    exercise = joined("two_point", "on_top")
    other = exercise.things[1].model_copy(update=change)
    with pytest.raises(GeometryError) as refused:
        draw(exercise.model_copy(update={"things": (exercise.things[0], other)}))
    assert (refused.value.code, refused.value.about) == ("cannot_join", f"things.1.{about}")


@settings(max_examples=30)
@given(st.sampled_from(["left", "right"]), st.floats(10, 60))
def test_things_that_only_touch_do_not_cross(role: str, length: float) -> None:
    exercise = joined("two_point", f"against_{role}")
    changed = edit.set_at(exercise, f"things.1.{role}_length", length)
    assert "things_cross" not in {a.code for a in draw(changed).advice}


def test_things_that_stand_in_each_other_are_reported() -> None:
    exercise = joined("two_point", "on_top")
    third = exercise.things[1].model_copy(
        update={"name": "Third", "id": 3, "left_length": 12.0, "right_length": 50.0, "height": 20.0}
    )
    both = exercise.model_copy(update={"things": (*exercise.things, third)})
    told = [a for a in draw(both).advice if a.code == "things_cross"]
    assert [a.about for a in told] == ["things.2"]
    alone = edit.set_at(both, "things.2.joined_to", 0)
    assert "things_cross" not in {a.code for a in draw(alone).advice}


def test_nothing_is_advised_on_a_face_that_another_thing_covers() -> None:
    base = box("Base", 60, 20, 80, 50, depth_by="measured", depth=40)
    hut = box("Hut", 60, 64, 80, 40, depth_by="measured", depth=20)
    low = {"eye_level": {"height_mm": 62.0}}
    alone = draw(exercise_of(hut, **low)).advice
    assert any(a.code == "side_too_thin" and a.about == "things.0" for a in alone), "its underside shows, and is thin"
    standing = draw(exercise_of(base, {**hut, "joined_to": "Base", "joined_by": "on_top"}, **low)).advice
    assert not any(a.code == "side_too_thin" and a.about == "things.1" for a in standing)
