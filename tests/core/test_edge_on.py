"""What stands out of a wall, or leads into it, with a side on the eye level or straight under the point of a view.

There that side and the lines which lead out of the face lie on one another: the hand goes another way round.
"""

from typing import Any

import pytest
from any_edit import faults
from hypothesis import assume, given
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell
from orthopsis.core.things.figure.figure import READY as READY_FIGURES
from orthopsis.core.things.outline import scaled

CORNER = {
    "kind": "box", "name": "House", "left": 180.0, "bottom": 60.0, "height": 120.0, "left_by": "measured",
    "left_length": 80.0, "right_by": "measured", "right_length": 120.0,
}  # fmt: skip
FRONT = box("House", 80.0, 60.0, 100.0, 120.0, depth_by="measured", depth=40.0)
WINDOWS = {
    "kind": "rectangles", "name": "Windows", "joined_to": "House", "columns": "2", "rows": "1", "wide": "half",
    "tall": "whole", "along": "1:2:1", "up": "1:2:1", "deep": 8.0,
}  # fmt: skip
SILL_MM, LINTEL_MM = 90.0, 150.0
"""How high the lower and the upper sides lie on the true front, and on the nearest edge."""
WALLS = {"corner": (CORNER, "two_point", "right"), "front": (FRONT, "one_point", "front")}

reliefs = st.sampled_from(["in", "out", "through"])
forms = st.sampled_from(["rectangle", "round", "arch", "pointed"])


def with_windows(wall: str, level_mm: float, **more: Any) -> Exercise:
    host, view, face = WALLS[wall]
    windows = {**WINDOWS, "joined_by": f"face_{face}", **more}
    return exercise_of(host, windows, views=[VIEWS[view]], eye_level={"height_mm": level_mm})


def assert_routes_agree(found: Solved) -> None:
    picture = found.built[1].page
    made = {name: found.board.points[f"Windows.{name}"] for name in picture if f"Windows.{name}" in found.board.points}
    assert len(made) >= 8
    for name, place in made.items():
        assert_same_point(place.xy, picture[name], name)


@given(st.sampled_from(sorted(WALLS)), st.sampled_from([SILL_MM, LINTEL_MM]), reliefs, forms)
def test_with_a_side_on_the_eye_level_both_routes_agree_and_nothing_comes_from_nowhere(
    wall: str, level_mm: float, relief: str, form: str
) -> None:
    found = solved(with_windows(wall, level_mm, relief=relief, form=form))
    assert_routes_agree(found)
    assert not list(gaps(tell(found).breaths, found.board))


@given(st.floats(-0.6, 0.6), st.sampled_from(["in", "out"]), st.sampled_from([SILL_MM, LINTEL_MM]))
def test_beside_the_eye_level_too(off_mm: float, relief: str, at_mm: float) -> None:
    """Near it two such lines would cross too flatly for any hand."""
    assert_routes_agree(solved(with_windows("corner", at_mm + off_mm, relief=relief)))


@given(st.sampled_from([105.0, 130.0, 155.0]), reliefs)
def test_with_an_upright_side_over_the_point(point_mm: float, relief: str) -> None:
    """Of the windows on the front one side or the other stands there, or none."""
    exercise = with_windows("front", 130.0, relief=relief, along="1:2:1", wide="whole", columns="1")
    view = exercise.views[0].model_copy(update={"x_mm": point_mm})
    assert_routes_agree(solved(exercise.model_copy(update={"views": [view]})))


def test_a_corner_on_the_point_itself_is_refused_in_words_for_a_teacher() -> None:
    exercise = with_windows("front", SILL_MM, relief="in", wide="whole", columns="1")
    view = exercise.views[0].model_copy(update={"x_mm": 105.0})
    with pytest.raises(GeometryError) as caught:
        draw(exercise.model_copy(update={"views": [view]}))
    assert "“Windows”" in caught.value.why
    assert "by a mark" in caught.value.fix
    assert caught.value.about.startswith("things.1.")


FIGURES = {name: scaled(outline, 40.0, 60.0) for name, outline in READY_FIGURES.items()}


@given(
    st.sampled_from(sorted(WALLS)), st.sampled_from(["in", "out", "through"]), st.sampled_from(sorted(FIGURES)),
    st.sampled_from(["low", "high"]),
)  # fmt: skip
def test_figures_with_a_side_on_the_eye_level(wall: str, relief: str, outline: str, side: str) -> None:
    """The rectangle about a figure has its lower or its upper side there, and maybe a corner of the figure too."""
    host, view, face = WALLS[wall]
    figure = {
        "kind": "figure", "name": "Windows", "joined_to": "House", "joined_by": f"face_{face}", "along": "1:2:1",
        "up": "1:2:1", "outline": FIGURES[outline], "relief": relief, "deep": 6.0,
    }  # fmt: skip
    placed = exercise_of(host, figure, views=[VIEWS[view]])
    low, _, high, _ = solved(placed).prepared.things[1].standing.part
    share = {"low": low, "high": high}[side][1]
    assume(type_of_error(placed) is None)
    there = placed.model_copy(update={"eye_level": placed.eye_level.model_copy(update={"height_mm": 60 + 120 * share})})
    found = solved(there)
    picture = found.built[1].page
    made = {n: at for n in picture if (at := found.board.points.get(f"Windows.{n}")) is not None}
    assert len(made) >= 6
    for name, at in made.items():
        assert_same_point(at.xy, picture[name], name)
    assert not list(gaps(tell(found).breaths, found.board))


def type_of_error(exercise: Exercise) -> str | None:
    try:
        draw(exercise)
    except GeometryError as error:
        return error.code
    return None


WORDS = (
    "KNOT in block letters", "ROPE stepping back", "TIDE in rounded letters", "An E with measured strokes",
    "LOFT cut from one long block", "KNOT around a corner, two points", "Patterns on COVE",
)  # fmt: skip


@pytest.mark.parametrize("title", [t for r in READY if (t := str(r["title"])).startswith(WORDS)])
def test_letters_of_which_a_level_edge_lies_on_the_eye_level(title: str) -> None:
    """Each height at which one of their corners lies: nearly all can be drawn, the rest are refused in clear words."""
    exercise = read_exercise(next(r for r in READY if r["title"] == title))
    heights = sorted({round(y) for x, y in draw(exercise).points.values() if 20 < y < 270})
    refused = list[GeometryError]()
    for height in heights:
        level = exercise.eye_level.model_copy(update={"height_mm": float(height)})
        try:
            found = solve(prepare(exercise.model_copy(update={"eye_level": level})))
        except GeometryError as error:
            refused.append(error)
            continue
        assert not list(gaps(tell(found).breaths, found.board)), height
        for thing, placed in zip(found.built, found.prepared.things, strict=True):
            for name, at in thing.page.items():
                made = found.board.points.get(f"{placed.values.name}.{name}")
                if made is not None:
                    assert_same_point(made.xy, at, f"{height}: {name}")
    assert all("“" in error.why and error.fix for error in refused)
    assert len(refused) <= len(heights) / 5, [error.why for error in refused]


def first_step(exercise: Exercise) -> str:
    return next(step.text for step in draw(exercise).steps if "_in" in step.key.split("/")[1])


@pytest.mark.parametrize(
    ("level_mm", "corner"), [(SILL_MM, "upper left"), (LINTEL_MM, "lower left"), (40.0, "lower left")]
)
def test_the_words_say_at_which_corner_it_begins(level_mm: float, corner: str) -> None:
    assert f"From its {corner} corner measure 8 mm into the wall" in first_step(
        with_windows("corner", level_mm, relief="in", columns="1", wide="whole")
    )


@pytest.mark.parametrize("level_mm", [SILL_MM, 120.0])
def test_the_handle_lies_where_the_measure_ends(level_mm: float) -> None:
    """Drawn or dragged to, the depth is the same measure from the same corner."""
    found = solved(with_windows("corner", level_mm, relief="in"))
    standing = found.prepared.things[1].standing
    (start, end) = standing.spans["deep"]
    assert standing.handles["deep"].at == end
    assert ((end.x - start.x) ** 2 + (end.y - start.y) ** 2) ** 0.5 == pytest.approx(8.0)
    assert standing.handles["deep"].drag(end) == {"deep": pytest.approx(8.0)}


@pytest.mark.parametrize("corner", ["auto", "5", "6"])
@pytest.mark.parametrize("form", ["block", "round"])
@pytest.mark.parametrize("x_mm", [130.0, 200.0, 390.0])
def test_letters_with_their_tops_on_the_eye_level_are_led_there_from_a_corner_under_it(
    corner: str, form: str, x_mm: float
) -> None:
    """All corners of the top lie in one line with the point: no line leads from one to another."""
    word = {
        "kind": "letters", "name": "Tide", "text": "TIDE", "left": 35.0, "bottom": 49.0, "width": 70.0, "height": 101.0,
        "gap": 40.0, "form": form, "depth_by": "measured", "depth": 20.0, "depth_corner": corner,
    }  # fmt: skip
    exercise = exercise_of(word, views=[{"kind": "one_point", "name": "point", "x_mm": x_mm}])
    try:
        drawing = draw(exercise)
    except GeometryError as error:
        assert error.code == "no_guide_line"
        assert "across and" in error.fix
        return
    assert list(faults(exercise)) == []
    assert any(line.visible and line.name.startswith("back") for line in drawing.lines)


@given(st.sampled_from(["two_point", "two_point_free"]), st.sampled_from(["see_through", "open"]), st.booleans(),
       st.floats(20.0, 110.0), st.floats(20.0, 110.0))  # fmt: skip
def test_the_back_corner_on_the_eye_level_is_found_by_the_far_upright(
    view: str, look: str, at_top: bool, left: float, right: float
) -> None:
    crate = {
        "kind": "box", "name": "Crate", "left": 190.0, "bottom": 60.0, "height": 70.0, "left_by": "measured",
        "left_length": left, "right_by": "measured", "right_length": right, "look": look,
    }  # fmt: skip
    exercise = exercise_of(crate, views=[VIEWS[view]], eye_level={"height_mm": 130.0 if at_top else 60.0})
    found = solved(exercise)
    for name, place in found.built[0].page.items():
        assert_same_point(found.board.points[f"Crate.{name}"].xy, place, name)
    assert list(faults(exercise)) == []
    assert "Crate: the back corner on the eye level" in [step.title for step in draw(exercise).steps]
