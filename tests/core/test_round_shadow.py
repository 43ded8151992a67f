"""Shadows of round bodies: both routes, the lines that touch, what is told, what falls within the foot."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import assert_same_point, round_shadowed, solved
from test_round_body import deck

from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.round_body.shape import FORMS

SHADOW = {"kind": "shadow", "name": "Shadow", "joined_to": "Tub", "joined_by": "face_ground"}


def tub(view: str = "two_point", light: str = "left", rays: str = "45", **values: Any) -> Exercise:
    """A deck, a round body on it, and its shadow."""
    made = deck(view, SHADOW, **values)
    return set_at(set_at(made, "light", light), "rays", rays)


@settings(max_examples=150, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(round_shadowed())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[-1]
    for name, at in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Shadow.{name}"].xy, at, name)


@pytest.mark.parametrize("view", ["one_point", "two_point"])
@pytest.mark.parametrize("form", sorted(FORMS))
@pytest.mark.parametrize("light", ["left", "right"])
def test_its_straight_edges_leave_both_circles_on_one_side(view: str, form: str, light: str) -> None:
    """They only touch: no place of the two circles on the ground lies beyond them."""
    found = solved(tub(view, light, "30", form=form))
    body, shadow = found.seen[1].solid, found.seen[2].solid
    at_foot = [place for name, place in body.picture(found.seen[1].eye).items() if name.startswith("base.")]
    page = shadow.picture(found.seen[2].eye)
    edges = [edge for edge in shadow.edges if edge.name.startswith("edge.")]
    assert len(edges) == 2
    for edge in edges:
        (x, y), (to_x, to_y) = page[edge.start], page[edge.end]
        aside = [(to_x - x) * (b - y) - (to_y - y) * (a - x) for a, b in [*page.values(), *at_foot]]
        size = np.hypot(to_x - x, to_y - y)
        assert max(aside) < 1e-5 * size or min(aside) > -1e-5 * size
        if form == "cylinder":
            assert y == pytest.approx(to_y, abs=1e-6)


@pytest.mark.parametrize("view", ["one_point", "two_point"])
@pytest.mark.parametrize("form", sorted(FORMS))
def test_a_finished_one_is_found_right_and_told_in_order(view: str, form: str) -> None:
    drawing = assert_found_right(tub(view, rays="30", form=form))
    titles = [step.title.removeprefix("Shadow: ") for step in drawing.steps if step.thing == "Shadow"]
    if form == "cone":
        assert titles == ["the shadow of its tip, a ray at 30°", "its outline"]
    else:
        assert titles == ["the shadow of its upper square, rays at 30°", "the middle of that square",
                          "the shadow of the upper circle", "its outline"]  # fmt: skip
    (face,) = (face for face in drawing.faces if face.thing == "Shadow")
    assert face.tone == 2


def test_a_shadow_within_the_foot_is_said_and_a_flatter_light_cures_it() -> None:
    exercise = tub("two_point", rays="60", form="cone", rise=6.0)
    drawing = draw(exercise)
    (advice,) = (a for a in drawing.advice if a.code == "shadow_within")
    assert not [line for line in drawing.lines if line.thing == "Shadow"]
    assert [(edit.path, edit.value) for edit in advice.cures[0].edits] == [("rays", "45")]
    taller = draw(set_at(exercise, "things.1.rise", 110.0))
    assert not [a for a in taller.advice if a.code == "shadow_within"]
    assert [line for line in taller.lines if line.thing == "Shadow" and line.role == "edge"]


def test_one_that_reaches_over_the_edge_or_another_body_is_said_as_of_a_block() -> None:
    codes = {a.code for a in draw(tub("two_point", rays="30", along="4:3:1", up="1:3:4", rise=90.0)).advice}
    assert "shadow_over_edge" in codes
    post = {"kind": "round_body", "name": "Post", "joined_to": "Deck", "joined_by": "face_top", "along": "5:2:3",
            "up": "1:2:7", "rise": 20.0}  # fmt: skip
    reached = deck("two_point", SHADOW, post, along="1:3:6", up="4:3:3", rise=60.0)
    (hit,) = (a for a in draw(set_at(reached, "rays", "30")).advice if a.code == "shadow_climbs")
    assert "reaches Post" in hit.text


def test_what_stands_on_a_round_top_has_no_ground_of_its_own() -> None:
    lantern = {"kind": "round_body", "name": "Lantern", "joined_to": "Tub", "joined_by": "face_top", "rise": 14.0}
    found = solved(deck("two_point", lantern))
    assert "ground" in found.prepared.things[1].standing.faces
    assert "ground" not in found.prepared.things[2].standing.faces
