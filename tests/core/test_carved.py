"""What is carved from a block: a chair, a sofa, a van. Both routes, the true body, what is told, refusals."""

from typing import Any

import numpy as np
import pytest
import shapely
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, carved, solved
from test_carried_figure import volume_of
from test_figure import OUTLINES, figure

from conftest import exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.hidden import pieces_alone

SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]
SEEN = (
    ("one_point", "face_front"),
    ("two_point", "face_left"),
    ("two_point", "face_right"),
    ("one_point", "face_right"),
    ("one_point", "face_top"),
    ("two_point", "face_top"),
    ("from_above", "face_left"),
    ("from_above", "face_top"),
)
OF_ONE_PIECE = sorted(name for name, loops in OUTLINES.items() if len(loops) == 1)


def chair(view: str = "two_point", by: str = "face_left", outline: str = "chair", **values: Any) -> Exercise:
    """A loft, lower than the eye level, from which a figure is carved."""
    exercise = figure(view, by, OUTLINES[outline], relief="carved", **values)
    return set_at(exercise, "things.0.height", 70.0) if view == "two_point" else exercise


@settings(max_examples=200, suppress_health_check=SLOW)
@given(carved())
def test_the_hand_makes_what_the_eye_sees_of_it_and_at_the_same_places(exercise: Exercise) -> None:
    found = solved(exercise)
    seen, made = found.seen[-1], found.board.points
    page = seen.solid.picture(seen.eye)
    for corner, place in page.items():
        if f"Mark.{corner}" in made:
            assert_same_point(made[f"Mark.{corner}"].xy, place, corner)
    for piece in pieces_alone(seen.solid, seen.eye, see_through=seen.see_through):
        start, end = (np.array(page[name]) for name in (piece.edge.start, piece.edge.end))
        if piece.visible and np.linalg.norm(end - start) * (piece.end - piece.start) > 0.3:
            assert {f"Mark.{piece.edge.start}", f"Mark.{piece.edge.end}"} <= made.keys(), piece.edge.name


@pytest.mark.parametrize("name", OF_ONE_PIECE)
@pytest.mark.parametrize("face", SEEN)
def test_its_body_is_as_large_as_its_outline_times_the_block_behind_the_face(face: tuple[str, str], name: str) -> None:
    """The volume by its faces, turned outward, against shapely's share of the face, times the whole block."""
    found = solve(prepare(chair(*face, name)))
    standing = found.prepared.things[1].standing
    share = shapely.Polygon([place for _, place in standing.loops[0]]).area  # type: ignore[attr-defined]
    block = abs(volume_of(found.prepared.things[0].standing.solid))
    # The eye's world is left-handed: what is turned outward has a negative volume there.
    assert volume_of(found.seen[1].solid) == pytest.approx(-block * share, rel=1e-6)


@pytest.mark.parametrize("face", SEEN)
def test_nothing_stays_of_the_block_but_what_is_carved_from_it(face: tuple[str, str]) -> None:
    drawing = draw(chair(*face))
    kept = {line.thing for line in drawing.lines if line.visible and line.role == "edge"}
    assert kept == {"Mark"}
    assert {toned.thing for toned in drawing.faces} == {"Mark"}


@pytest.mark.parametrize("outline", ["chair", "sofa", "van"])
@pytest.mark.parametrize("face", SEEN)
def test_a_finished_one_is_found_right_and_told(face: tuple[str, str], outline: str) -> None:
    drawing = assert_found_right(chair(*face, outline))
    keys = [step.key.split("/")[1].partition("@")[0] for step in drawing.steps if step.thing == "Mark"]
    told = [key for key in keys if key.startswith("figure.")][1:]
    assert [key for key in told if key not in ("figure.rows", "figure.columns")] == [
        "figure.block_carved",
        "figure.depths",
        "figure.carved",
    ]
    (rubbed,) = (step for step in drawing.steps if step.key.endswith("/take_away"))
    assert "what is left of the blocks" in rubbed.text


def test_where_nothing_is_carved_nobody_is_told_to_rub_out_the_rest_of_a_block() -> None:
    (rubbed,) = (s for s in draw(figure(*SEEN[1], OUTLINES["chair"])).steps if s.key.endswith("/take_away"))
    assert "blocks" not in rubbed.text


def test_it_fills_the_whole_face_whatever_part_was_said_before() -> None:
    part, whole = (draw(chair(along=along, up=along)) for along in ("1:2:1", "0:1:0"))
    assert [line.start for line in part.lines] == [line.start for line in whole.lines]
    words = [sentence for sentence in part.sentences if sentence.title == "Mark"]
    assert "free, taken" not in str(words[0].model_dump()).lower()
    assert {handle.id.split(".")[-1] for handle in part.handles if handle.id.startswith("things.1.")} == {
        f"corner_{number}" for number in range(1, 11)
    }


def test_what_lies_flat_becomes_carved_by_one_choice_and_flat_again() -> None:
    flat = set_at(chair(), "things.1.relief", "flat")
    there = set_at(flat, "things.1.relief", "carved")
    assert len(draw(there).faces) > len(draw(flat).faces)
    assert draw(set_at(there, "things.1.relief", "flat")).lines == draw(flat).lines


def test_a_shadow_of_the_block_is_said_to_be_that_of_all_of_it() -> None:
    (ready,) = (document for document in READY if document["title"].startswith("A fish van"))
    shade = {"kind": "shadow", "name": "Shade", "joined_to": "Box", "joined_by": "face_ground"}
    exercise = read_exercise({**ready, "things": [*ready["things"], shade]})
    said = [advice for advice in draw(exercise).advice if advice.code == "shadow_of_block"]
    assert [advice.about for advice in said] == ["things.2"]
    assert "Van" in said[0].text
    assert "shadow_of_block" not in {advice.code for advice in draw(read_exercise(ready)).advice}


def refused(error: GeometryError) -> tuple[str, str, str]:
    return error.code, error.about, error.nearest


def test_where_the_top_of_the_block_lies_on_the_eye_level_that_is_said() -> None:
    """All its lines lie on one another there: nobody finds its back corner."""
    with pytest.raises(GeometryError) as caught:
        draw(set_at(chair(), "things.0.height", 90.0))
    assert (caught.value.code, caught.value.about, caught.value.nearest) == (
        "carved_edge_on",
        "things.1.relief",
        "flat",
    )


@pytest.mark.parametrize(("view", "by"), [("two_point", "face_bottom"), ("one_point", "face_left")])
def test_from_a_side_that_is_not_seen_nothing_is_carved(view: str, by: str) -> None:
    host = chair(view, by).things[0].model_dump(mode="json", exclude={"id", "joined_to"})
    on = {"kind": "figure", "name": "Mark", "joined_to": "Loft", "joined_by": by, "relief": "carved"}
    exercise = exercise_of({**host, "look": "see_through"}, {**on, "outline": OUTLINES["chair"]}, views=[VIEWS[view]])
    with pytest.raises(GeometryError) as caught:
        draw(exercise)
    assert (caught.value.code, caught.value.about, caught.value.nearest) == (
        "carved_from_hidden",
        "things.1.relief",
        "flat",
    )


def standing_on(name: str, **values: Any) -> list[str]:
    """What is said of a thing on the block of which only a chair stays: its seat is low, its back on the far side."""
    exercise = chair()
    thing = {"name": name, "joined_to": "Loft", **values}
    things = [*(t.model_dump(mode="json", exclude={"id", "joined_to"}) for t in exercise.things), thing]
    things[1]["joined_to"] = "Loft"
    whole = exercise_of(*things, views=[VIEWS["two_point"]])
    said = [(a.about, a.code) for a in draw(set_at(whole, "things.0.height", 70.0)).advice]
    return [code for about, code in said if about == "things.2" and code == "carved_under_it"]


@pytest.mark.parametrize(
    ("along", "up", "hangs"),
    [
        pytest.param("1:1:1", "1:2:9", True, id="between the legs"),
        pytest.param("1:1:1", "9:2:13", False, id="on the seat"),
        pytest.param("21:2:1", "9:2:1", False, id="on the back"),
        pytest.param("1:2:21", "9:2:1", True, id="over the seat"),
        pytest.param("18:4:2", "9:2:1", True, id="half on the back"),
    ],
)
def test_what_lies_where_the_block_is_cut_away_is_said_to_hang_in_the_air(along: str, up: str, hangs: bool) -> None:
    said = standing_on("Plate", kind="rectangles", joined_by="face_left", along=along, up=up)
    assert said == (["carved_under_it"] if hangs else [])


@pytest.mark.parametrize(("kind", "by"), [("raised_block", "face_top"), ("gable_roof", "face_left"), ("box", "on_top")])
def test_what_stands_on_the_top_that_is_cut_away_is_said_to_hang_in_the_air(kind: str, by: str) -> None:
    assert standing_on("Chest", kind=kind, joined_by=by)


def test_what_hangs_in_the_air_stands_again_by_its_cure() -> None:
    (ready,) = (document for document in READY if document["title"].startswith("A fish van"))
    chest = {"kind": "raised_block", "rise": 20.0, "name": "Chest", "joined_to": "Box", "joined_by": "face_top"}
    exercise = read_exercise({**ready, "things": [*ready["things"], chest]})
    (said,) = (a for a in draw(exercise).advice if a.code == "carved_under_it")
    (cure,) = said.cures
    cured = exercise
    for edit in cure.edits:
        cured = set_at(cured, edit.path, edit.value)
    assert "carved_under_it" not in {a.code for a in draw(cured).advice}


def test_two_are_not_carved_from_one_block() -> None:
    (ready,) = (document for document in READY if document["title"].startswith("A fish van"))
    second = {**ready["things"][1], "name": "Second"}
    with pytest.raises(GeometryError) as caught:
        draw(read_exercise({**ready, "things": [*ready["things"], second]}))
    assert (caught.value.code, caught.value.about, caught.value.nearest) == ("carved_twice", "things.2.relief", "flat")
    assert "Van" in caught.value.why
    assert "Second" in caught.value.why
