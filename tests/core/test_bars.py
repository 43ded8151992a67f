"""Bars of windows and spokes of wheels: through the true middle, told after it is found, on what lies flat."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import given
from scenes import VIEWS, assert_same_point, deck_in, solved, windowed

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw

IN_VIEWS = ["one_point", "two_point", "from_above"]


def wall(view: str = "two_point", **values: Any) -> Exercise:
    """A block with two windows on its top, which is a face in every view."""
    windows = {"kind": "rectangles", "name": "Windows", "joined_to": "Deck", "joined_by": "face_top", "columns": "2",
               "rows": "1", "along": "1:6:1", "up": "1:3:1"}  # fmt: skip
    return exercise_of(deck_in(view), {**windows, "bars": "cross", **values}, views=[VIEWS[view]])


def bars(exercise: Exercise) -> dict[str, tuple[np.ndarray[Any, Any], np.ndarray[Any, Any]]]:
    """The ends of each bar in the eye's world, by its name."""
    solid = solved(exercise).seen[1].solid
    at = dict(zip(solid.names, solid.places, strict=True))
    return {edge.name: (at[edge.start], at[edge.end]) for edge in solid.edges if ".bar." in edge.name}


@given(windowed(("flat",), ("rectangle", "round", "arch", "pointed", "lozenge", "triangle")))
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, at in found.seen[1].solid.picture(found.seen[1].eye).items():
        assert_same_point(found.board.points[f"Windows.{name}"].xy, at, name)


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize(("form", "kind", "count"), [("rectangle", "cross", 2), ("round", "spokes", 4)])
def test_all_bars_of_a_form_cross_in_its_true_middle(view: str, form: str, kind: str, count: int) -> None:
    """In the solid, by vectors alone: each is halved by the middle of the rectangle's corners."""
    found = bars(wall(view, form=form, bars=kind))
    assert len(found) == 2 * count
    for window in ("Number 1", "Number 2"):
        mine = {name: ends for name, ends in found.items() if name.startswith(f"{window}.")}
        middles = [(start + end) / 2 for start, end in mine.values()]
        scale = float(np.abs(middles[0]).max())
        assert np.allclose(middles, middles[0], atol=1e-9 * scale)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_spokes_of_a_wheel_are_equally_long_in_truth_in_a_square(view: str) -> None:
    """Measured against the half sides of the square: a spoke along a diagonal ends on the circle, not at the corner."""
    found = bars(wall(view, form="round", bars="spokes"))
    along, up, rise = (
        np.subtract(*found[f"Number 1.bar.{name}"][::-1]) for name in ("along", "up", "rise")
    )  # fmt: skip
    assert np.allclose(rise, (along + up) / np.sqrt(2), atol=1e-9 * np.abs(along).max() + 1e-9)


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize(("form", "kind"), [("rectangle", "cross"), ("rectangle", "spokes"), ("arch", "cross"),
                                            ("round", "spokes")])  # fmt: skip
def test_they_are_found_right_and_told_after_the_middle(view: str, form: str, kind: str) -> None:
    drawing = assert_found_right(wall(view, form=form, bars=kind))
    shorts = [step.short for step in drawing.steps if step.thing == "Windows"]
    told = [
        next(i for i, short in enumerate(shorts) if words in short)
        for words in ("the first one's middle", "the first one's bars", "the bars of the others")
    ]
    assert told == sorted(told)


@pytest.mark.parametrize("relief", ["out", "in", "through"])
def test_only_what_lies_flat_has_bars(relief: str) -> None:
    assert not [line for line in draw(wall(relief=relief, deep=2.0)).lines if ".bar." in line.name]


def test_a_form_without_spokes_is_refused_with_what_works() -> None:
    exercise = wall(form="arch", bars="spokes")
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("no_spokes_here", "things.1.bars")
    assert draw(set_at(exercise, "things.1.bars", refused.value.nearest)).lines


def test_windows_without_bars_are_told_as_ever() -> None:
    shorts = [step.short for step in draw(wall(bars="none")).steps if step.thing == "Windows"]
    assert not any("middle" in short or "bars" in short for short in shorts)
