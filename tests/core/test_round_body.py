"""Round bodies in their boxes: both routes, true circles, outlines that touch, what stands on them, bad input."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, deck_in, round_bodies, solved

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell
from orthopsis.core.things.round_body.shape import FORMS, RoundShape
from orthopsis.core.view.eye import Array

IN_VIEWS = ["one_point", "two_point", "from_above"]


def deck(view: str = "two_point", *more: dict[str, Any], **values: Any) -> Exercise:
    """A deck, a round body on it, and what is on that."""
    tub = {"kind": "round_body", "name": "Tub", "joined_to": "Deck", "joined_by": "face_top", "along": "1:3:2",
           "up": "1:3:2", "rise": 30.0}  # fmt: skip
    return exercise_of(deck_in(view), {**tub, **values}, *more, views=[VIEWS[view]])


def world(exercise: Exercise, thing: int = 1) -> dict[str, Array]:
    """Where the corners of a thing are in the eye's world."""
    solid = solved(exercise).seen[thing].solid
    return dict(zip(solid.names, solid.places, strict=True))


@settings(max_examples=200, suppress_health_check=[HealthCheck.filter_too_much])
@given(round_bodies())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for thing, seen in list(zip(exercise.things, found.seen, strict=True))[1:]:
        for name, at in seen.solid.picture(seen.eye).items():
            made = found.board.points.get(f"{thing.name}.{name}")
            assert made is not None, name
            assert_same_point(made.xy, at, name)


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("form", sorted(set(FORMS) - {"cone"}))
def test_both_circles_lie_level_about_one_axis(view: str, form: str) -> None:
    """In the solid, by vectors alone: the middles of the sides are equally far from the middle, that of the other over
    it; the narrow one is two thirds as wide."""
    at = world(deck(view, form=form))
    ends = {}
    for end in ("base", "rim"):
        near, far = at[f"{end}.middle_near"], at[f"{end}.middle_far"]
        low, high = at[f"{end}.middle_low"], at[f"{end}.middle_high"]
        middle = (near + far) / 2
        assert np.allclose(middle, (low + high) / 2, atol=1e-6)
        ends[end] = (middle, np.linalg.norm(far - near))
        normal = np.cross(far - near, high - low)
        rest = [place for name, place in at.items() if name.startswith(end)]
        assert np.allclose((np.array(rest) - middle) @ normal / np.linalg.norm(normal), 0, atol=1e-6)
    axis = ends["rim"][0] - ends["base"][0]
    assert np.linalg.norm(np.cross(axis, normal)) < 1e-6 * np.linalg.norm(axis) * np.linalg.norm(normal)
    ratio = ends["rim"][1] / ends["base"][1]
    assert ratio == pytest.approx({"cylinder": 1.0, "pail": 1.5, "stool": 2 / 3}[form])


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("form", sorted(FORMS))
def test_nothing_of_it_lies_beyond_its_outline(view: str, form: str) -> None:
    """The straight lines of the outline leave the whole body on one side: they only touch it."""
    found = solved(deck(view, form=form))
    page = found.seen[1].solid.picture(found.seen[1].eye)
    outline = [edge for edge in found.seen[1].solid.edges if edge.name.startswith("outline.")]
    assert len(outline) == 2
    for edge in outline:
        (x, y), (to_x, to_y) = page[edge.start], page[edge.end]
        aside = [(to_x - x) * (b - y) - (to_y - y) * (a - x) for a, b in page.values()]
        size = np.hypot(to_x - x, to_y - y)
        assert max(aside) < 1e-6 * size or min(aside) > -1e-6 * size


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("form", sorted(FORMS))
@pytest.mark.parametrize("inside", ["closed", "open"])
def test_a_finished_one_is_found_right_and_told_in_the_teachers_order(view: str, form: str, inside: str) -> None:
    drawing = assert_found_right(deck(view, form=form, inside=inside))
    titles = [step.title for step in drawing.steps if step.thing == "Tub"]
    told = [next((i for i, title in enumerate(titles) if words in title), -1) for words in ("square on", "circle on")]
    told.append(len(titles) - 1)
    assert -1 not in told
    assert told == sorted(told)
    assert titles[-1] == "Tub: its outline"


def test_one_looks_into_an_open_one() -> None:
    shut, wide = (draw(deck("two_point", inside=inside)) for inside in ("closed", "open"))
    assert {face.name for face in shut.faces if face.thing == "Tub"} >= {"rim"}
    assert "rim" not in {face.name for face in wide.faces if face.thing == "Tub"}
    inner = [face for face in wide.faces if face.thing == "Tub" and face.turned.startswith("inner ")]
    assert inner
    assert all(face.tone >= 1 for face in inner), "insides are darker"


LANTERN = {"kind": "round_body", "name": "Lantern", "joined_to": "Tub", "joined_by": "face_top", "rise": 14.0}


def test_one_stands_on_another_and_goes_on_from_its_whole_top_without_drawing_its_circle_again() -> None:
    smaller = {**LANTERN, "along": "1:2:1", "up": "1:2:1"}
    cone = {**LANTERN, "along": "0:1:0", "up": "0:1:0", "form": "cone"}
    drawing = assert_found_right(deck("two_point", smaller))
    assert any(line.name.startswith("base.") and line.visible for line in drawing.lines if line.thing == "Lantern")
    on_rim = assert_found_right(deck("two_point", cone))
    mine = [line for line in on_rim.lines if line.thing == "Lantern" and line.role == "edge"]
    assert {line.name.split(".")[0] for line in mine} == {"outline"}
    assert next(step.title for step in on_rim.steps if step.thing == "Lantern").startswith("Lantern: its tip")
    low, high = world(deck("two_point", cone)), world(deck("two_point", cone), 2)
    assert np.allclose(high["base.middle_low"], low["rim.middle_low"], atol=1e-6)


@pytest.mark.parametrize("form", sorted(FORMS))
def test_one_of_any_form_goes_on_from_a_whole_top_and_is_told_whole(form: str) -> None:
    exercise = deck("two_point", {**LANTERN, "along": "0:1:0", "up": "0:1:0", "form": form})
    assert list(gaps(tell(solved(exercise)).breaths, solved(exercise).board)) == []
    assert_found_right(exercise)


@pytest.mark.parametrize("kind", ["rectangles", "division", "pattern", "raised_block", "hip_roof", "table"])
def test_only_what_is_round_stands_on_a_round_top(kind: str) -> None:
    on_it = {"kind": kind, "name": "On it", "joined_to": "Tub", "joined_by": "face_top"}
    drawing = draw(deck("two_point", on_it))
    (advice,) = (a for a in drawing.advice if a.code == "face_is_round")
    assert advice.text == "“On it” cannot stand on the top of Tub, which is round: nothing of it is drawn."
    assert not [line for line in drawing.lines if line.thing == "On it"]


def test_nothing_stands_on_a_cone_or_in_an_open_one() -> None:
    for values in ({"form": "cone"}, {"inside": "open"}):
        drawing = draw(deck("two_point", LANTERN, **values))
        assert [a.about for a in drawing.advice if a.code == "face_unseen"] == ["things.2"]
        assert not [line for line in drawing.lines if line.thing == "Lantern"]


@pytest.mark.parametrize(
    ("values", "code", "about"),
    [({"rise": 0.0}, "length_out_of_limits", "rise"), ({"up": "nowhere"}, "not_taken", "up"),
    ],
)  # fmt: skip
def test_what_cannot_be_drawn_is_refused_at_its_place(values: dict[str, Any], code: str, about: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(deck(**values))
    assert (refused.value.code, refused.value.about) == (code, f"things.1.{about}")
    nearest = refused.value.nearest or ""
    works: Any = float(nearest.split()[0]) if about == "rise" else nearest
    assert draw(deck(**{**values, about: works})).lines


def test_a_rim_on_the_eye_level_is_refused_with_a_height_that_works() -> None:
    exercise = deck("two_point")
    standing = solved(exercise).prepared.things[1].standing
    assert isinstance(standing, RoundShape)
    foot = standing.upward.foot
    with pytest.raises(GeometryError) as refused:
        draw(deck("two_point", rise=150.0 - foot.y))
    assert refused.value.code == "lid_on_eye_level"
    assert draw(deck("two_point", rise=float(refused.value.nearest.split()[0]))).lines


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("form", ["cylinder", "cone"])
def test_its_height_is_dragged(view: str, form: str) -> None:
    exercise = deck(view, form=form)
    low, high = solved(exercise).prepared.things[1].standing.spans["rise"]
    length = float(np.hypot(high.x - low.x, high.y - low.y))
    x, y = high.x + (high.x - low.x) / length * 10, high.y + (high.y - low.y) / length * 10
    after = drag(exercise, "things.1.rise", x, y)
    assert after.things[1].rise == pytest.approx(40.0, abs=1.0)


def test_a_new_one_stands_on_the_floor_of_a_room() -> None:
    exercise = add_thing(add_thing(exercise_of(views=[VIEWS["one_point"]]), "room"), "round_body")
    assert exercise.things[1].joined_by == "face_floor"
    assert_found_right(exercise)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_none_stands_on_the_ground_under_another_on_which_only_shadows_fall(view: str) -> None:
    post = {"kind": "round_body", "name": "Post", "joined_to": "Tub", "joined_by": "face_ground", "rise": 9.0}
    drawing = draw(deck(view, post))
    assert not [line for line in drawing.lines if line.thing == "Post"]
    assert [one.code for one in drawing.advice if one.about.startswith("things.2")]


def test_a_new_one_beside_a_shadow_stands_on_a_top() -> None:
    added = add_thing(add_thing(deck("two_point"), "shadow"), "round_body")
    assert added.things[-1].joined_by == "face_top"
    assert draw(added).lines
