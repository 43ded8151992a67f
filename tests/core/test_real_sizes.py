"""Where the eye's height is stated, what is added to a street is as large as in truth.

Each size is looked up in ``things.real_sizes``, which names where it is published; here a camera (OpenCV's
``projectPoints``) photographs the true sizes, and what was added must lie where the photograph shows it.
"""

from typing import Any

import cv2
import numpy as np
import pytest

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.real_sizes import TALL

EYE_MM, DISTANCE_MM, CENTRE, LEVEL = 1600.0, 320.0, 210.0, 148.5
VIEW = {"kind": "one_point", "x_mm": CENTRE, "distance_mm": DISTANCE_MM}


def empty(**level: Any) -> Exercise:
    exercise = exercise_of(views=[VIEW])
    exercise = set_at(exercise, "eye_level.height_mm", LEVEL)
    return set_at(exercise, "eye_level.over_ground_mm", level.get("over", EYE_MM))


def photographed(*places_mm: tuple[float, float, float]) -> np.ndarray[Any, Any]:
    """Where the camera sees places (right of the middle, up from the ground, ahead; mm in truth), page mm."""
    camera = np.array([[DISTANCE_MM, 0, CENTRE], [0, DISTANCE_MM, 0], [0, 0, 1.0]])
    world = np.array([(x, EYE_MM - up, ahead) for x, up, ahead in places_mm])
    seen, _ = cv2.projectPoints(world, np.zeros(3), np.zeros(3), camera, None)
    return seen.reshape(-1, 2) * (1, -1) + (0, LEVEL)


def ahead_of(foot_y: float) -> float:
    """How far ahead the ground is that is seen at a height of the page, mm."""
    return EYE_MM * DISTANCE_MM / (LEVEL - foot_y)


def test_new_rails_have_the_gauge_of_a_standard_track_and_sleepers_every_600_mm() -> None:
    rails: Any = add_thing(empty(), "rails").things[0]
    near, far = photographed((0, 0, ahead_of(rails.bottom)), (1435, 0, ahead_of(rails.bottom)))
    assert rails.gauge == pytest.approx(far[0] - near[0], abs=0.5)
    start = np.array([rails.left - rails.out, rails.bottom])
    aside = (start[0] - CENTRE) * ahead_of(rails.bottom) / DISTANCE_MM
    first, second = photographed((aside, 0, ahead_of(rails.bottom)), (aside, 0, ahead_of(rails.bottom) + 600))
    assert first == pytest.approx(start, abs=1e-6)
    assert rails.pitch == pytest.approx(float(np.linalg.norm(second - first)), abs=0.5)
    assert 2 * (rails.out + rails.rail) + rails.gauge == pytest.approx(2600 * (LEVEL - rails.bottom) / EYE_MM, abs=2.0)


def test_a_new_road_is_as_wide_as_its_lanes() -> None:
    road: Any = add_thing(empty(), "road").things[0]
    left, right = photographed((0, 0, ahead_of(0.0)), (3650, 0, ahead_of(0.0)))
    assert road.width == pytest.approx(right[0] - left[0], abs=0.5)
    wide: Any = add_thing(empty(over=3500.0), "road").things[0]
    assert wide.width == pytest.approx(2 * 3650 * LEVEL / 3500, abs=1.0), "from a cart there is room for two lanes"


@pytest.mark.parametrize("what", sorted(TALL))
def test_what_a_silhouette_becomes_is_as_tall_as_that_is(what: str) -> None:
    exercise = set_at(add_thing(empty(), "silhouettes"), "things.0.bottom", 120.0)
    other = "fir" if what != "fir" else "tree"
    exercise = set_at(set_at(exercise, "things.0.what", other), "things.0.what", what)
    thing: Any = exercise.things[0]
    (_, foot), (_, top) = photographed((0, 0, ahead_of(120.0)), (0, TALL[what], ahead_of(120.0)))
    if top < 297:
        assert thing.height == pytest.approx(top - foot, abs=0.5)
    assert draw(exercise).lines


def test_a_person_of_true_size_is_cut_by_the_eye_level_at_the_eye() -> None:
    """Heads of people a little taller than the eye is high are a little over the eye level (common practice)."""
    exercise = set_at(add_thing(empty(), "silhouettes"), "things.0.what", "figure")
    thing: Any = exercise.things[0]
    assert (LEVEL - thing.bottom) / thing.height == pytest.approx(1600 / 1700, abs=0.01)


def test_what_would_leave_the_sheet_keeps_its_usual_size_and_so_does_all_where_nothing_is_stated() -> None:
    near = set_at(add_thing(empty(), "silhouettes"), "things.0.bottom", 10.0)
    before: Any = near.things[0]
    after: Any = set_at(near, "things.0.what", "fir").things[0]
    assert after.height == before.height
    plain = exercise_of(views=[VIEW])
    for kind in ("rails", "road", "silhouettes"):
        assert draw(add_thing(plain, kind)).lines
    tree: Any = add_thing(plain, "silhouettes").things[0]
    fir: Any = set_at(add_thing(plain, "silhouettes"), "things.0.what", "fir").things[0]
    assert tree.height == fir.height


def test_a_measure_by_the_eye_level_stays_one() -> None:
    exercise = set_at(add_thing(empty(), "silhouettes"), "things.0.tall_by", "level")
    before: Any = exercise.things[0]
    after: Any = set_at(exercise, "things.0.what", "lamp").things[0]
    assert (after.tall_by, after.height) == ("level", before.height)
