"""Tones by direction of face: what is common practice, and what the true solid and the sun's true place say."""

from typing import get_args

import numpy as np
import pytest
from hypothesis import assume, given, settings
from scenes import exercises, solved, suns

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.exercise.solve import draw
from orthopsis.core.light.light import Light, LightSide, Stands
from orthopsis.core.light.tone import ON_WALL, face_tone, inside_tone

SIDES, STANDS = get_args(LightSide), get_args(Stands)


@pytest.mark.parametrize("stands", STANDS)
@pytest.mark.parametrize("turned", ["shadow", ON_WALL])
def test_a_shadow_has_no_inner_side(stands: Stands, turned: str) -> None:
    light = Light("left", stands)
    inside = inside_tone(turned, light, is_from_front=True)
    assert inside == face_tone(turned, light, is_from_front=True)


@pytest.mark.parametrize("stands", STANDS)
@pytest.mark.parametrize("is_from_front", [True, False])
def test_tops_are_lightest_and_all_is_mirrored_with_the_light(stands: Stands, is_from_front: bool) -> None:
    # Common practice, no source: four steps, tops lightest, the side away from the light darker than that toward it.
    left, right = (Light(side, stands) for side in SIDES)

    def tone(turned: str, sun: Light) -> int:
        return face_tone(turned, sun, is_from_front=is_from_front)

    assert tone("top", left) == 0 < tone("left", left) < tone("right", left) <= 3
    assert (tone("left", left), tone("right", left)) == (tone("right", right), tone("left", right))
    for turned in ("front", "top", "bottom", "shadow"):
        assert tone(turned, left) == tone(turned, right)
    for turned in ("left", "right", "top", "bottom", "front", "back"):
        assert 1 <= inside_tone(turned, left, is_from_front=is_from_front) <= 3, "insides are darker"


@pytest.mark.parametrize("is_from_front", [True, False])
def test_a_shadow_on_the_ground_parts_from_the_lit_ground_and_from_what_it_touches(is_from_front: bool) -> None:
    for stands in STANDS:
        sun = Light("left", stands)
        tones = {turned: face_tone(turned, sun, is_from_front=is_from_front) for turned in ("top", "right", "shadow")}
        assert len(set(tones.values())) == 3, "the side that it touches is the one away from the light"


def tones_of(exercise: Exercise) -> list[tuple[int, float]]:
    """Of each face of a block that shows: its tone, and the cosine of its true normal and the way to the light.

    A lamp hangs at the depth of the place under it, which lies on the ground as the foot of the block does.
    """
    found, sun = solved(exercise), exercise.sun
    eye, solid = found.seen[0].eye, found.seen[0].solid
    side = -1.0 if exercise.light == "left" else 1.0
    sign = 1.0 if sun.stands == "ahead" else -1.0
    toward = np.array([side * sun.aside_mm, sun.height_mm, sign * eye.distance_mm])
    lamp = None
    if sun.stands == "lamp":
        lowest = float(solid.places[:, 1].min())
        assume(lowest < -1.0)
        lamp = np.array([side * sun.aside_mm, sun.height_mm, eye.distance_mm]) * (lowest / -sun.foot_mm)
    shown, result = {face.name: face.tone for face in draw(exercise).faces}, []
    for face in solid.faces:
        if face.name in shown:
            corners = solid.places[[solid.index(name) for name in face.corners]]
            normal = np.cross(corners[1] - corners[0], corners[2] - corners[0])
            normal *= -np.sign(normal @ corners[0])  # a face that shows is turned to the eye
            toward = toward if lamp is None else lamp - corners.mean(axis=0)
            result.append((shown[face.name], float(normal @ toward / np.linalg.norm(normal) / np.linalg.norm(toward))))
    return result


@settings(max_examples=150)
@given(exercises(most=1, views=("one_point", "two_point")), suns())
def test_no_face_in_the_shade_is_lighter_than_one_on_which_the_light_shines(
    exercise: Exercise, sun: dict[str, object]
) -> None:
    """By the true normals of the true solid, where the sun stands ahead or behind, or by a lamp."""
    assume(sun["sun"]["stands"] != "beside")  # type: ignore[index]
    views = [view.model_dump(mode="json") for view in exercise.views]
    found = tones_of(exercise_of(exercise.things[0].model_dump(mode="json"), views=views, **sun))
    lit, shaded = ([tone for tone, cosine in found if sign * cosine > 0.02] for sign in (1, -1))
    assert max(lit, default=0) <= min(shaded, default=3)


NEAR_AND_FAR = (box("Near", 40.0, 20.0, 60.0, 50.0), box("Far", 250.0, 100.0, 40.0, 40.0))
"""Their feet lie 130 and 50 mm under the eye level: the second is more than twice as far away."""


def tones_by_side(exercise: Exercise, thing: str) -> dict[str, int]:
    return {face.turned: face.tone for face in draw(exercise).faces if face.thing == thing}


def test_far_things_are_a_step_lighter_where_the_class_tones_them_so() -> None:
    alike = exercise_of(*NEAR_AND_FAR)
    lighter = set_at(alike, "far", "lighter")
    assert tones_by_side(lighter, "Near") == tones_by_side(alike, "Near")
    assert tones_by_side(lighter, "Far") == {
        side: max(tone - 1, 0) for side, tone in tones_by_side(alike, "Far").items()
    }
    assert "step lighter" in draw(lighter).steps[-1].text
    assert "step lighter" not in draw(alike).steps[-1].text


def test_what_stands_on_a_far_thing_is_as_far_and_what_is_nearer_is_not() -> None:
    upon = {"kind": "raised_block", "name": "Upon", "joined_to": "Far", "joined_by": "face_top", "rise": 12.0}
    made = exercise_of(*NEAR_AND_FAR, upon, box("Middle", 150.0, 60.0, 40.0, 40.0), far="lighter")
    alike = set_at(made, "far", "alike")
    for thing, is_paler in (("Upon", True), ("Middle", False)):
        assert (tones_by_side(made, thing) != tones_by_side(alike, thing)) == is_paler


def test_far_and_near_faces_that_are_turned_alike_may_differ_on_a_sheet() -> None:
    def directions(exercise: Exercise) -> set[str]:
        return {face.direction for face in draw(exercise).faces if face.turned == "front"}

    alike = exercise_of(*NEAR_AND_FAR)
    assert len(directions(alike)) == 1
    assert len(directions(set_at(alike, "far", "lighter"))) == 2


def test_the_class_is_asked_for_it_where_there_are_several_things() -> None:
    def said(exercise: Exercise) -> str:
        (sentence,) = (s for s in draw(exercise).sentences if s.owner == "wording")
        return "".join(piece.text for piece in sentence.pieces)

    assert "Far things are toned like near ones." in said(exercise_of(*NEAR_AND_FAR))
    assert "Far things" not in said(exercise_of(NEAR_AND_FAR[0]))
