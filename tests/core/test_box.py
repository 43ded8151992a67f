"""Boxes: what shows, how many lines, what is refused."""

import pytest

from conftest import box, exercise_of
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw

# Common practice, no source: below the eye level tops show, above it undersides, across it neither;
# straight before the point no side shows.
SHOWN = {
    (30, 20): {"front", "top", "right"},
    (300, 20): {"front", "top", "left"},
    (30, 220): {"front", "bottom", "right"},
    (300, 220): {"front", "bottom", "left"},
    (30, 120): {"front", "right"},
    (300, 120): {"front", "left"},
    (180, 20): {"front", "top"},
    (180, 220): {"front", "bottom"},
    (180, 120): {"front"},
}


@pytest.mark.parametrize(("place", "faces"), SHOWN.items())
def test_which_faces_show_follows_from_where_the_box_stands(place: tuple[int, int], faces: set[str]) -> None:
    drawing = draw(exercise_of(box("Crate", *place, 60, 60)))
    assert {face.name for face in drawing.faces} == faces


@pytest.mark.parametrize(
    ("place", "count"), [((30, 20), 3), ((300, 220), 3), ((30, 120), 2), ((180, 20), 2), ((180, 120), 0)]
)
def test_guide_lines_are_counted_by_what_can_have_one(place: tuple[int, int], count: int) -> None:
    drawing = draw(exercise_of(box("Crate", *place, 60, 60)))
    assert sum(line.role == "guide" for line in drawing.lines) == count
    said = [step for step in drawing.steps if step.phase == "guides"]
    assert [step.count for step in said] == ([count] if count else [])
    if count:
        assert f"{count} guide lines" in said[0].title


def test_a_see_through_box_shows_its_inside_also_straight_before_the_point() -> None:
    drawing = draw(exercise_of(box("Frame", 180, 120, 60, 60, look="see_through")))
    edges = [line for line in drawing.lines if line.role == "edge" and line.visible]
    assert {line.name for line in edges} >= {"back.top", "back.left", "depth.top_left"}
    assert not drawing.faces


def test_an_edge_on_the_eye_level_shares_one_line_with_its_guide_line() -> None:
    drawing = draw(exercise_of(box("Crate", 30, 90, 60, 60)))
    assert sum(line.role == "guide" for line in drawing.lines) == 2


@pytest.mark.parametrize(
    ("change", "code", "about"),
    [
        ({"width": -4}, "length_out_of_limits", "things.0.width"),
        ({"height": 90000}, "length_out_of_limits", "things.0.height"),
        ({"depth_by": "measured", "depth": 700}, "depth_past_point", "things.0.depth"),
        ({"depth_corner": "bottom_left"}, "no_guide_line", "things.0.depth_corner"),
        ({"left": 150, "bottom": 90}, "corner_on_point", "things.0.left"),
    ],
)
def test_what_cannot_be_drawn_is_refused_at_its_place(change: dict[str, object], code: str, about: str) -> None:
    thing = box("Crate", 30, 20, 60, 60, depth_by="half") | change
    with pytest.raises(GeometryError) as refusal:
        draw(exercise_of(thing))
    assert (refusal.value.code, refusal.value.about) == (code, about)
    assert "Crate" in refusal.value.why
    assert refusal.value.fix


def test_the_nearest_depth_that_is_offered_works() -> None:
    thing = box("Crate", 30, 20, 60, 60, depth_by="measured")
    with pytest.raises(GeometryError) as refusal:
        draw(exercise_of(thing | {"depth": 700}))
    offered = float(refusal.value.nearest.removesuffix(" mm"))
    draw(exercise_of(thing | {"depth": offered}))


def test_a_cube_without_a_viewing_distance_is_refused_with_a_cure() -> None:
    free = [{"kind": "one_point", "x_mm": 210.0}]
    with pytest.raises(GeometryError, match="viewing distance") as refusal:
        draw(exercise_of(box("Cube", 30, 20, 50, 50, depth_by="cube"), views=free))
    assert (refusal.value.about, refusal.value.nearest) == ("things.0.depth_by", "measured")
