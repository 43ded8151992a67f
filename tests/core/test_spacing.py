"""Rows that go away: spaces that do not shrink are found; too many of them, and doors too low for people, are said."""

from typing import Any

import numpy as np
import pytest

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke, expected_lines
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import set_at
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import prepare

VIEW = {"kind": "one_point", "x_mm": 300.0, "distance_mm": 320.0}
LEVEL = 150.0
GOAL = np.array([300.0, LEVEL])


def posts(**more: Any) -> Exercise:
    row = {
        "kind": "silhouettes", "name": "Posts", "what": "lamp", "left": 60.0, "bottom": 20.0, "height": 150.0,
        "count": "5", "gap": 60.0,
    }  # fmt: skip
    return exercise_of({**row, **more}, views=[VIEW])


def bollards() -> Exercise:
    first = box("Bollard", 40.0, 20.0, 30.0, 60.0, depth_by="measured", depth=8.0)
    row = {"kind": "row", "name": "Row", "joined_to": "Bollard", "joined_by": "in_line", "gap_mm": 60.0, "count": "5"}
    return exercise_of(first, row, views=[VIEW])


def perfect(exercise: Exercise) -> list[Stroke]:
    prepared = prepare(exercise)
    return [Stroke(e.start, e.end) for e in expected_lines(picture(solve(prepared)), prepared.things) if e.is_asked]


def evenly(exercise: Exercise, wide: float, count: int = 5) -> list[Stroke]:
    """What somebody draws who shrinks the posts rightly but leaves them equally far apart: light posts of two lines."""
    strokes = [s for s in perfect(exercise) if abs(s.start.y - LEVEL) < 0.1 and abs(s.end.y - LEVEL) < 0.1]
    foot = np.array([60.0, 20.0])
    way = (GOAL - foot) / np.linalg.norm(GOAL - foot)
    for i in range(count):
        at = foot + 60.0 * i * way
        left = float(np.linalg.norm(GOAL - at) / np.linalg.norm(GOAL - foot))
        for x in (-wide * left, wide * left):
            strokes.append(Stroke(Point(at[0] + x, at[1]), Point(at[0] + x, at[1] + 150.0 * left)))
    return strokes


def codes(exercise: Exercise, strokes: list[Stroke]) -> list[str]:
    return [finding.code for finding in check(exercise, strokes).findings if finding.severity]


def test_posts_that_stay_equally_far_apart_are_one_finding_and_not_missing_lines() -> None:
    exercise = posts()
    checked = check(exercise, evenly(exercise, 2.0))
    (found,) = (finding for finding in checked.findings if finding.severity)
    assert found.code == "even_spaces"
    assert found.text.startswith("Posts stay about 60 mm apart all along; going away the spaces shrink, from 60 mm to ")
    assert len(found.lines) == 10
    assert "Posts" in checked.note
    assert "closer together" in checked.note


@pytest.mark.parametrize("exercise", [posts(), posts(what="pole"), bollards()], ids=["lamps", "poles", "boxes"])
def test_of_a_row_that_is_drawn_right_nothing_is_said(exercise: Exercise) -> None:
    assert codes(exercise, perfect(exercise)) == []


@pytest.mark.parametrize("seed", range(20))
def test_nor_of_one_that_a_shaky_hand_drew(seed: int) -> None:
    rng = np.random.default_rng(seed)
    for exercise in (posts(), bollards()):
        shaken = [
            Stroke(*(Point(end.x + dx, end.y + dy) for end, (dx, dy) in zip((s.start, s.end), d, strict=True)))
            for s, d in ((s, rng.normal(0.0, 1.0, (2, 2))) for s in perfect(exercise))
        ]
        assert "even_spaces" not in codes(exercise, shaken)


def test_a_row_by_eye_is_not_blamed_for_its_spaces() -> None:
    exercise = posts(spaced="eye")
    assert "even_spaces" not in codes(exercise, evenly(exercise, 2.0))


def test_a_row_whose_spaces_hardly_shrink_tells_nothing() -> None:
    exercise = posts(gap=8.0)
    assert "even_spaces" not in codes(exercise, evenly(exercise, 2.0))


def said(exercise: Exercise) -> dict[str, Any]:
    return {advice.code: advice for advice in draw(exercise).advice}


def test_the_last_of_a_long_row_run_into_each_other_and_the_number_that_fits_cures_it() -> None:
    many = posts(count="12", gap=14.0, left=290.0, bottom=120.0, height=30.0)
    crowded = said(many)["crowded"]
    assert crowded.about == "things.0"
    assert 0 < crowded.value < crowded.limit
    (edit,) = crowded.cures[0].edits
    cured = set_at(many, edit.path, edit.value)
    assert "crowded" not in said(cured)
    more = set_at(many, edit.path, str(int(edit.value) + 1))
    assert "crowded" in said(more), "it is the most of them that a pencil parts"


def street(door_mm: float, person_mm: float, eye_mm: float = 1600.0, view: str = "one_point") -> Exercise:
    """A house with a door and a person, from their true heights: 1 mm on the page is 20 mm at the house's front."""
    drop = eye_mm / 20
    share = f"0:{door_mm / 20:g}:{(6000 - door_mm) / 20:g}"
    tall, door = 300.0, {"kind": "rectangles", "name": "Door", "columns": "1", "wide": "whole", "tall": "whole"}
    if view == "one_point":
        house = box("House", 40.0, LEVEL - drop, 120.0, tall / 2, depth_by="measured", depth=30.0)
        house["height"], on, seen = tall, "face_front", VIEW
    else:
        sides = {f"{side}_{what}": value for side in ("left", "right") for what, value in
                 (("by", "measured"), ("length", 60.0))}  # fmt: skip
        house = {"kind": "box", "name": "House", "left": 150.0, "bottom": LEVEL - drop, "height": tall, **sides}
        on, seen = "face_right", {"kind": "two_point", "left_mm": -90.0, "right_mm": 480.0, "centre_mm": 200.0}
    # A person twice as far away is half as tall, and so is the eye's height over its feet.
    person = {"kind": "silhouettes", "name": "Sailor", "what": "figure", "left": 340.0, "bottom": LEVEL - drop / 2,
              "height": person_mm / 40, "tall_by": "measured"}  # fmt: skip
    wall = {**door, "joined_to": "House", "joined_by": on, "along": "1:1:1", "up": share}
    return exercise_of(house, wall, person, views=[seen])


@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_doors_and_people_are_compared_wherever_they_stand(view: str) -> None:
    """A door of 2032 mm (a trade size) and people of 1.7 m, from memory."""
    assert not said(street(2032, 1700, view=view)).keys() & {"door_too_low", "door_too_high"}
    low, high = said(street(1500, 1700, view=view)), said(street(4600, 1700, view=view))
    assert low["door_too_low"].value == pytest.approx(1500 / 1700, rel=0.03)
    assert low["door_too_low"].text == "“Sailor” is taller than “Door”: the door is 0.9 times as high as the person."
    assert high["door_too_high"].value == pytest.approx(4600 / 1700, rel=0.03)


@pytest.mark.parametrize("door", [1500, 4600])
def test_the_cure_makes_the_person_as_tall_as_goes_with_the_door(door: float) -> None:
    exercise = street(door, 1700)
    (advice,) = (advice for code, advice in said(exercise).items() if code.startswith("door_too"))
    for edit in advice.cures[0].edits:
        exercise = set_at(exercise, edit.path, edit.value)
    assert not said(exercise).keys() & {"door_too_low", "door_too_high"}


def test_a_window_over_the_ground_is_no_door() -> None:
    exercise = set_at(street(1500, 1700), "things.1.up", "1:60:200")
    assert "door_too_low" not in said(exercise)


def test_in_the_ready_streets_people_go_through_the_doors() -> None:
    for document in READY:
        if any(thing["kind"] == "silhouettes" for thing in document["things"]):
            assert not said(read_exercise(document)).keys() & {"door_too_low", "door_too_high", "crowded"}


@pytest.mark.parametrize("aside", [8.0, 10.0, 12.0])
def test_two_rows_beside_each_other_are_not_taken_for_one(aside: float) -> None:
    """All that both ask for is drawn; a porter stands in the line of their feet, and the first lamp is half hidden."""
    street = read_exercise(next(r for r in READY if str(r["title"]).startswith("A quay street with both sides")))
    lamps = next(thing for thing in street.things if thing.name == "Lamps")
    other = lamps.model_copy(update={"id": 99, "name": "Others", "left": lamps.left + aside})  # type: ignore[attr-defined]
    both = street.model_copy(update={"things": (*street.things, other)})
    assert "even_spaces" not in codes(both, perfect(both))
