"""Where does a new thing land: clear of the others, on the paper, with nothing to be said against it?"""

import itertools

import pytest
import shapely

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.editing.edit import set_at, type_at
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw

VIEWS = ("one_point", "two_point", "three_point")
KINDS = ("box", "letters", "profile")
NOT_OF_ITS_PLACE = {"more_than_the_minutes", "points_off_sheet", "third_point_off_sheet"}


def _empty(paper: str, units: str, view: str) -> Exercise:
    exercise = set_at(set_at(Exercise(), "sheet.paper", paper), "sheet.units", units)
    return set_at(exercise, "views.0.kind", view)


def _codes(drawing: Drawing) -> set[str]:
    return {advice.code for advice in drawing.advice} - NOT_OF_ITS_PLACE


def _covered(drawing: Drawing, thing: str) -> shapely.Geometry:
    places = [end for line in drawing.lines if line.thing == thing for end in (line.start, line.end)]
    kept = [
        p
        for line in drawing.lines
        if line.thing == thing and line.role in ("edge", "detail")
        for p in (line.start, line.end)
    ]
    return shapely.MultiPoint(kept or places).convex_hull


@pytest.mark.parametrize(("paper", "units"), [("A3", "mm"), ("A4", "cm"), ("9 x 12 in", "in")])
@pytest.mark.parametrize("view", VIEWS)
@pytest.mark.parametrize("kind", KINDS)
def test_the_first_thing_brings_no_warning(paper: str, units: str, view: str, kind: str) -> None:
    assert _codes(draw(add_thing(_empty(paper, units, view), kind))) == set()


@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_three_more_bring_none_either_and_keep_clear_of_each_other(view: str) -> None:
    exercise = _empty("A3", "mm", view)
    for kind in ("box", "letters", "profile", "box"):
        exercise = add_thing(exercise, kind)
    drawing = draw(exercise)
    assert _codes(drawing) == set()
    places = [_covered(drawing, thing.name) for thing in exercise.things]
    assert len(places) == 4
    for one, two in itertools.combinations(places, 2):
        assert not shapely.intersects(one, two)


def test_what_stands_in_the_way_of_the_proposed_place_is_left_alone() -> None:
    first = add_thing(_empty("A3", "mm", "one_point"), "box")
    again = add_thing(first, "letters")
    moved = again.things[1]
    blocked = set_at(set_at(first, "things.0.left", moved.held()["left"]), "things.0.bottom", moved.held()["bottom"])
    landed = add_thing(blocked, "letters")
    assert landed.things[0] == blocked.things[0]
    drawing = draw(landed)
    assert not shapely.intersects(_covered(drawing, landed.things[0].name), _covered(drawing, landed.things[1].name))


def test_a_full_sheet_still_takes_one_more() -> None:
    exercise = _empty("A4", "mm", "one_point")
    exercise = set_at(add_thing(exercise, "box"), "things.0.width", 250.0)
    exercise = set_at(
        set_at(set_at(exercise, "things.0.height", 190.0), "things.0.left", 20.0), "things.0.bottom", 10.0
    )
    assert len(add_thing(exercise, "box").things) == 2


@pytest.mark.parametrize("view", ["two_point", "three_point"])
def test_a_longer_word_makes_its_block_as_much_longer(view: str) -> None:
    """Two letters with a gap between are as wide on their block as each was alone, and as long in the world."""
    one = set_at(
        set_at(add_thing(_empty("24 x 36 in", "mm", view), "letters"), "things.0.text", "H"), "things.0.gap", 0.0
    )
    two = type_at(one, "things.0.text", "HH")
    before, after = (float(e.things[0].held()["left_length"]) for e in (one, two))  # type: ignore[arg-type]
    goal = min(draw(one).vanishing_points.values())
    x = float(one.things[0].held()["left"])  # type: ignore[arg-type]
    y = float(one.things[0].held()["bottom"])  # type: ignore[arg-type]
    reach = abs(goal[0] - x) if view == "two_point" else ((goal[0] - x) ** 2 + (goal[1] - y) ** 2) ** 0.5

    def world(length: float) -> float:
        return length / (reach - length)

    assert world(after) == pytest.approx(2 * world(before), rel=0.02)


def test_a_word_on_a_block_cut_by_eye_keeps_its_block() -> None:
    one = set_at(add_thing(_empty("A3", "mm", "two_point"), "letters"), "things.0.left_by", "half")
    assert type_at(one, "things.0.text", "KNOT").things[0].held()["left_by"] == "half"
