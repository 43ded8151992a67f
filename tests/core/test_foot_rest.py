"""Foot rests of tables and stools: flush with the legs and as deep, level, told, found right; refused without room."""

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import given, settings
from hypothesis import strategies as st
from test_table import IN_VIEWS, deck, world

from orthopsis.core.editing.edit import set_all, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.table.rest import RESTS, at_leg
from orthopsis.core.things.table.shape import leg_foot

SOME = sorted(set(RESTS) - {"none"})


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("rest", SOME)
def test_it_stands_over_the_corners_of_all_legs_at_two_heights(view: str, rest: str) -> None:
    """In the solid, by vectors alone: each end is straight over its corner, all at one height over the floor."""
    at = world(deck(view, rest=rest))
    up = (at["top.0"] - at["foot.0"]) / np.linalg.norm(at["top.0"] - at["foot.0"])
    heights = {}
    for level in ("low", "high"):
        ways = [
            at[at_leg(level, leg, corner)] - at[leg_foot(leg, corner)]
            for leg in range(4)
            for corner in range(4)
            if corner != leg
        ]
        assert np.allclose(ways, ways[0], atol=1e-9 * np.abs(at["foot.0"]).max())
        assert np.linalg.norm(np.cross(ways[0], up)) < 1e-6
        heights[level] = float(ways[0] @ up)
    under = float((at["slab.0"] - at["foot.0"]) @ up)
    assert 0 < heights["low"] < heights["high"] < under
    if view != "from_above":  # there uprights run to a point, and the marks are those on the page
        share = RESTS[rest][1]
        assert heights["high"] / under == pytest.approx(share, abs=0.02)


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("rest", SOME)
def test_a_perfect_sheet_is_found_right_and_told_in_four_steps(view: str, rest: str) -> None:
    drawing = assert_found_right(deck(view, rest=rest))
    titles = [step.title for step in drawing.steps if "foot rest" in step.title or "carry it round" in step.title]
    assert [title.removeprefix("Table: ") for title in titles] == [
        "where its foot rest goes",
        "carry it round the table",
        "the outside of its foot rest",
        "how thick its foot rest is",
    ]


def test_on_the_page_its_bars_run_as_the_top_does() -> None:
    """By the page alone, in two points: lines of bars run to the point to which those of the top over them run."""
    drawing = draw(deck("two_point", rest="third"))
    lines = {
        line.name: line for line in drawing.lines if line.thing == "Table" and line.visible and line.role == "edge"
    }
    points = drawing.vanishing_points
    seen = {name: line for name, line in lines.items() if "rest." in name and name.endswith((".outer", ".inner"))}
    assert len(seen) >= 6
    for line in seen.values():
        goal = np.array(points[line.family])
        a, b = np.array(line.start), np.array(line.end)
        (ax, ay), (bx, by) = goal - a, b - a
        assert abs(ax * by - ay * bx) / np.linalg.norm(b - a) < 1e-6 * np.linalg.norm(goal - a) + 1e-6


@settings(max_examples=60)
@given(st.floats(8.0, 90.0), st.floats(1.0, 30.0), st.sampled_from(SOME))
def test_its_marks_are_on_the_ruler_or_it_is_refused(rise: float, thick: float, rest: str) -> None:
    exercise = deck("two_point", rise=rise, thick=min(thick, rise - 2.0), rest=rest)
    try:
        drawing = draw(exercise)
    except GeometryError as refused:
        assert (refused.code, refused.about, refused.nearest) == ("no_room_for_rest", "things.1.rest", "none")
        assert draw(set_at(exercise, "things.1.rest", refused.nearest)).lines
        return
    marks = next(step for step in drawing.steps if step.title.endswith("where its foot rest goes"))
    low, high = (float(part.split()[-1]) for part in marks.text.replace("\N{NO-BREAK SPACE}", " ").split(" mm")[:2])
    assert 0 < low < high < rise - thick + 2
    assert (low, high) == (round(low), round(high))


def test_a_low_table_has_no_room_for_one() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(deck(rise=8.0, thick=4.0, rest="quarter"))
    assert (refused.value.code, refused.value.nearest) == ("no_room_for_rest", "none")


def test_one_on_the_eye_level_is_refused() -> None:
    """The table stands at the front edge of the deck, 30 mm up: there heights are true."""
    level = deck("one_point").eye_level.height_mm
    exercise = deck("one_point", along="0:3:2", rest="half", thick=5.0, rise=2 * (level - 30) + 5.0)
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("rest_on_eye_level", "things.1.rest")
    for other in (refused.value.nearest, "third"):
        assert draw(set_at(exercise, "things.1.rest", other)).lines


def test_its_shadow_is_said_to_be_left_out_with_a_cure() -> None:
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Table", "joined_by": "face_ground"}
    exercise = deck("two_point", shadow, rest="third", rise=30.0)
    (said,) = [one for one in draw(exercise).advice if one.code == "shadow_without_rest"]
    assert "Shadow" in said.text
    (cure,) = said.cures
    cured = draw(set_all(exercise, cure.edits))
    assert "shadow_without_rest" not in {one.code for one in cured.advice}
    assert "shadow_without_rest" not in {one.code for one in draw(deck("two_point", shadow, rise=30.0)).advice}
