"""A part keeps its shape in the world wherever it is set down, in whatever kind of view."""

from dataclasses import replace
from typing import Any

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import ROW, VIEWS, assert_same_point, deck_in, exercises, profiles, solved, windowed
from test_hidden_face import table

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.solved import solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.parts import MOST_IN_A_PART, part_of
from orthopsis.core.exercise.set_down import set_down
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.outline import scaled
from orthopsis.core.things.profile.shapes import READY as OUTLINES

KINDS = ("one_point", "two_point", "from_above")
MARK_MM = 1.0


def sheet(view: str, *things: dict[str, Any]) -> Exercise:
    """Return a sheet of this kind of view."""
    return exercise_of(*things, eye_level={"height_mm": 220.0}, views=[VIEWS[view]])


def shapes(exercise: Exercise) -> dict[str, dict[str, float]]:
    """Return the lengths in the world of each thing, at one scale for those that hang together."""
    things = prepare(exercise).things
    return {p.values.name: {role: mm * p.factor for role, mm in p.standing.shape.items()} for p in things}


@pytest.mark.parametrize("there", KINDS)
@pytest.mark.parametrize("here", KINDS)
def test_a_table_is_the_same_table_in_every_kind_of_view(here: str, there: str) -> None:
    before = table(here)
    after = set_down(sheet(there), part_of(before, [1], "Table"))
    assert [thing.name for thing in after.things] == ["Top", "Legs"], "its top comes with the legs"
    was, now = shapes(before), shapes(after)
    scale = now["Top"]["across"] / was["Top"]["across"]
    for name, lengths in was.items():
        for role, mm in lengths.items():
            # The ruler's mark on the page: 12 mm tall may be 11.5 or 12.5; what goes away is many times as long.
            assert now[name][role] == pytest.approx(mm * scale, rel=0.04, abs=MARK_MM), (name, role)


def taken_on(exercise: Exercise, other: Exercise, number: int) -> tuple[dict[str, float], dict[str, float]]:
    """Return the shape of a thing of an exercise, and that of one of another that was given its lengths."""
    was, there = prepare(exercise).things[number].standing, prepare(other).things[number]
    held = {**there.values.held, **there.standing.of_shape(was.shape)}
    now = there.kind.stand(replace(there.values, held=held), there.setting)
    return dict(was.shape), dict(now.shape)


@settings(max_examples=150)
@given(exercises(most=1, views=KINDS), exercises(most=1, views=KINDS))
def test_a_box_takes_on_the_shape_of_another_one_where_it_stands(exercise: Exercise, other: Exercise) -> None:
    try:
        was, now = taken_on(exercise, other, 0)
    except GeometryError:
        return
    assert now == pytest.approx(was, rel=1e-6)


@settings(max_examples=150)
@given(windowed(reliefs=("out", "in")), windowed(reliefs=("out", "in")))
def test_what_stands_out_takes_on_the_depth_of_another_one(exercise: Exercise, other: Exercise) -> None:
    try:
        was, now = taken_on(exercise, other, 1)
    except GeometryError:
        return
    assert now == pytest.approx(was, rel=1e-6)


@settings(max_examples=25)
@given(windowed(), st.sampled_from(KINDS))
def test_what_is_set_down_is_drawn_by_both_routes_alike(exercise: Exercise, there: str) -> None:
    try:
        part = part_of(exercise, [1], "Part")
        after = set_down(sheet(there), part)
    except GeometryError:
        return
    found = solved(after)
    for placed, thing in zip(found.prepared.things, found.built, strict=True):
        for name, place in thing.page.items():
            made = found.board.points.get(placed.values.full(name))
            if made is not None:
                assert_same_point(made.xy, place, name)


def test_on_the_sheet_that_it_came_from_it_is_what_it_was() -> None:
    before = read_exercise(next(document for document in READY if "table" in str(document["title"])))
    part = part_of(before, [0, 1], "  Work   table ")
    assert part.title == "Work table"
    assert read_exercise(part.document()) == part, "a part is an exercise of its own"
    alone = set_down(before.model_copy(update={"things": ()}), part)
    assert alone.things == before.things
    beside = set_down(before, part)
    assert [thing.name for thing in beside.things] == ["Top", "Legs", "Top 1", "Legs 1"]
    assert beside.things[3].joined_to == beside.things[2].id
    assert len({thing.id for thing in beside.things}) == 4
    assert beside.things[2].held() != beside.things[0].held(), "it lands clear of the first one"


BLOCK = {
    "left": 200.0, "bottom": 60.0, "height": 60.0, "left_by": "measured", "left_length": 70.0, "right_by": "measured",
    "right_length": 22.0, "side": "left",
}  # fmt: skip
FRONT = {"left": 40.0, "bottom": 60.0, "depth_by": "measured", "depth": 25.0}
OUTLINED: dict[str, dict[str, Any]] = {
    "profile": {"outline": scaled(OUTLINES["chair"], 60.0, 60.0)},
    "letters": {"text": "TIDE", "width": 30.0, "height": 40.0, "gap": 6.0},
    "bench": {"width": 90.0, "height": 36.0, "seat": "third"},
}


def outlined(kind: str, view: str) -> Exercise:
    """Return a sheet with a shape, a word or a bench that has a sign, or windows, on its front."""
    stood = {**FRONT, **OUTLINED[kind]} if view == "one_point" else {**OUTLINED[kind], **BLOCK}
    if view == "from_above":
        stood |= {"bottom": 90.0, "height": 40.0}
    return sheet(view, {"kind": kind, "name": "Thing", **stood})


@pytest.mark.parametrize("there", KINDS)
@pytest.mark.parametrize("here", KINDS)
@pytest.mark.parametrize("kind", sorted(OUTLINED))
def test_shapes_words_and_benches_are_as_wide_deep_and_high_in_every_kind_of_view(
    kind: str, here: str, there: str
) -> None:
    before = outlined(kind, here)
    after = set_down(sheet(there), part_of(before, [0], "Thing"))
    was, now = shapes(before)["Thing"], shapes(after)["Thing"]
    scale = now["across"] / was["across"]
    for role, mm in was.items():
        assert now[role] == pytest.approx(mm * scale, rel=0.06, abs=2 * MARK_MM), role
    held, kept = before.things[0].held(), after.things[0].held()
    for name in {"profile": (), "letters": ("text", "form"), "bench": ("seat", "legs")}[kind]:
        assert kept[name] == held[name]
    found = solved(after)
    for name, place in found.built[0].page.items():
        made = found.board.points.get(f"Thing.{name}")
        if made is not None:
            assert_same_point(made.xy, place, name)


@settings(max_examples=60)
@given(profiles(views=KINDS), profiles(views=KINDS))
def test_a_shape_takes_on_the_size_of_another_one_where_it_stands(exercise: Exercise, other: Exercise) -> None:
    if "level" in {thing.held()["side"] for thing in (*exercise.things, *other.things)}:
        return
    try:
        was, now = taken_on(exercise, other, 0)
    except GeometryError:
        return
    assert now == pytest.approx(was, rel=1e-6)


@pytest.mark.parametrize(("here", "there"), [("one_point", "two_point"), ("two_point", "one_point")])
def test_a_pattern_on_the_front_of_a_word_comes_on_its_front_again(here: str, there: str) -> None:
    before = outlined("letters", here)
    front = prepare(before).things[0].standing.front
    pattern = {"kind": "pattern", "name": "Stripes", "joined_to": "Thing", "joined_by": f"face_{front}"}
    both = exercise_of(before.things[0].model_dump(mode="json"), pattern, eye_level={"height_mm": 220.0},
                       views=[VIEWS[here]])  # fmt: skip
    after = set_down(sheet(there), part_of(both, [1], "Striped"))
    held = prepare(after).things[0].standing
    assert after.things[1].joined_by == f"face_{held.front}"
    assert held.front in held.faces


@pytest.mark.parametrize(("here", "there"), [("one_point", "two_point"), ("two_point", "one_point")])
def test_what_stands_by_another_thing_stands_by_it_there_too(here: str, there: str) -> None:
    low, by = (
        (box("Low", 40.0, 40.0, 90.0, 40.0, depth_by="measured", depth=60.0), "beside_right")
        if here == "one_point"
        else (
            {
                "kind": "box", "name": "Low", "left": 180.0, "bottom": 60.0, "height": 50.0, "left_by": "measured",
                "left_length": 60.0, "right_by": "measured", "right_length": 70.0,
            },
            "against_right",
        )
    )  # fmt: skip
    upper = {**low, "name": "Upper", "joined_to": "Low", "joined_by": "on_top", "height": 30.0}
    aside = {**low, "name": "Aside", "joined_to": "Low", "joined_by": by, "height": 30.0}
    before = sheet(here, low, upper, aside)
    after = set_down(sheet(there), part_of(before, range(3), "Chests"))
    low_id = after.things[0].id
    assert {t.name: (t.joined_to, t.joined_by) for t in after.things if t.joined_to} == {
        "Upper": (low_id, "on_top"),
        "Aside": (low_id, {"beside_right": "against_right", "against_right": "beside_right"}[by]),
    }
    was, now = shapes(before), shapes(after)
    scale = now["Low"]["up"] / was["Low"]["up"]
    assert now["Upper"]["up"] == pytest.approx(was["Upper"]["up"] * scale, rel=0.05)
    assert now["Aside"]["up"] == pytest.approx(was["Aside"]["up"] * scale, rel=0.05)


@pytest.mark.parametrize(("here", "there"), [("one_point", "two_point"), ("two_point", "one_point")])
def test_a_row_on_a_thing_that_stands_on_another_keeps_its_spaces(here: str, there: str) -> None:
    """The space from one to the next, in widths of a bollard, is the same."""
    quay: dict[str, Any] = box("Quay", 40.0, 40.0, 160.0, 30.0, depth_by="measured", depth=80.0)
    bollard: dict[str, Any] = box("Bollard", 40.0, 40.0, 20.0, 40.0, depth_by="measured", depth=8.0)
    if here == "two_point":
        sides = {"left_by": "measured", "right_by": "measured"}
        quay = {"kind": "box", "name": "Quay", "left": 180.0, "bottom": 60.0, "height": 50.0, **sides,
                "left_length": 90.0, "right_length": 120.0}  # fmt: skip
        bollard = {**quay, "name": "Bollard", "height": 40.0, "left_length": 12.0, "right_length": 16.0}
    bollard |= {"joined_to": "Quay", "joined_by": "on_top"}
    way = "in_line" if here == "one_point" else "in_line_left"
    row = {"kind": "row", "name": "Row", "joined_to": "Bollard", "joined_by": way, "gap_mm": 24.0, "count": "3"}
    before = sheet(here, quay, bollard, row)
    after = set_down(sheet(there), part_of(before, range(3), "Quay"))

    def spaces(exercise: Exercise) -> float:
        things = {p.values.name: p for p in prepare(exercise).things}
        step = np.linalg.norm(things["Row"].standing.step) * things["Row"].factor  # type: ignore[attr-defined]
        return float(step) / (things["Bollard"].standing.shape["up"] * things["Bollard"].factor)

    assert spaces(after) == pytest.approx(spaces(before), rel=0.08), "to the nearest mark of the ruler"


@pytest.mark.parametrize(("here", "there"), [("one_point", "two_point"), ("two_point", "one_point")])
def test_windows_on_the_round_wall_in_front_come_there_again(here: str, there: str) -> None:
    """In two points the wall to the right stands for the one in front."""
    front = {"one_point": "front", "two_point": "right"}
    tub = {"kind": "round_body", "name": "Tub", "joined_to": "Deck", "joined_by": "face_top", "rise": 30.0}
    panes = {"kind": "round_windows", "name": "Panes", "joined_to": "Tub", "joined_by": f"face_round_{front[here]}"}
    after = set_down(sheet(there), part_of(sheet(here, deck_in(here), tub, panes), range(3), "Tub"))
    assert after.things[2].joined_by == f"face_round_{front[there]}"
    assert [line for line in solve(prepare(after)).final if line.thing == "Panes" and line.visible]


def test_what_lies_on_a_top_lies_the_same_way_there() -> None:
    """Along a top means away from the viewer in one point, and along the right side in two."""
    top = box("Top", 60.0, 60.0, 120.0, 20.0, depth_by="measured", depth=70.0)
    tiles = {"kind": "rectangles", "name": "Tiles", "joined_to": "Top", "joined_by": "face_top", "columns": "4"}
    after = set_down(sheet("two_point"), part_of(sheet("one_point", top, tiles), [1], "Tiles"))
    assert (after.things[1].held()["columns"], after.things[1].held()["rows"]) == ("1", "4")
    back = set_down(sheet("one_point"), part_of(after, [1], "Tiles"))
    assert back.things[1].held()["columns"] == "4"


def test_a_thing_whose_host_is_not_chosen_stands_alone_where_it_was() -> None:
    low = box("Low", 40.0, 40.0, 90.0, 40.0, depth_by="measured", depth=60.0)
    upper = {**low, "name": "Upper", "joined_to": "Low", "joined_by": "on_top", "bottom": 5.0}
    part = part_of(sheet("one_point", low, upper), [1], "Upper")
    assert [thing.name for thing in part.things] == ["Upper"]
    assert part.things[0].joined_to == 0
    assert part.things[0].held()["bottom"] == 80.0


def test_what_cannot_be_a_part_or_stand_there_is_said() -> None:
    crate = box("Crate", 40.0, 40.0, 60.0, 40.0)
    two = exercise_of(
        crate, {**crate, "name": "Other", "view": "second", "left": 300.0},
        views=[{"kind": "one_point", "x_mm": 210.0}, {"kind": "one_point", "name": "second", "x_mm": 350.0}],
    )  # fmt: skip
    refused = [
        (lambda: part_of(two, [0, 1], "Two"), "views_differ"),
        (lambda: part_of(two, [0], "   "), "no_name"),
        (lambda: part_of(two, [7], "Gone"), "no_such_place"),
        (
            lambda: set_down(sheet("two_point"), part_of(sheet("one_point", {**ROW, "layout": "away"}), [0], "Word")),
            "cannot_stand_here",
        ),
    ]
    for act, code in refused:
        with pytest.raises(GeometryError) as told:
            act()
        assert told.value.code == code
        assert told.value.why
        assert told.value.fix
    many = sheet("one_point", *(box(f"Crate {i}", 10.0 + i, 20.0, 20.0, 20.0) for i in range(MOST_IN_A_PART + 1)))
    with pytest.raises(GeometryError, match="holds 1 to"):
        part_of(many, range(len(many.things)), "All")
    word = set_down(sheet("one_point"), part_of(sheet("one_point", dict(ROW)), [0], "Word"))
    assert word.things[0].kind == "letters", "a word is set down where it can be drawn as it is"


def ready_of_each_kind() -> list[tuple[Exercise, int]]:
    """Of each kind of thing the first one in the ready exercises, with its exercise."""
    found: dict[str, tuple[Exercise, int]] = {}
    for document in READY:
        exercise = read_exercise(document)
        for number, thing in enumerate(exercise.things):
            found.setdefault(thing.kind, (exercise, number))
    return [found[kind] for kind in sorted(found)]


@pytest.mark.parametrize("there", KINDS)
@pytest.mark.parametrize(
    ("exercise", "number"), ready_of_each_kind(), ids=[e.things[n].kind for e, n in ready_of_each_kind()]
)
def test_each_kind_of_thing_is_kept_and_set_down_in_each_kind_of_view_or_refused(
    exercise: Exercise, number: int, there: str
) -> None:
    part = part_of(exercise, [number], "Part")
    assert part.things, "what bears it comes with it"
    try:
        after = set_down(sheet(there), part)
    except GeometryError as error:
        assert error.code in ("cannot_stand_here", "cannot_join") or "“" in error.why, error.why
        return
    assert [thing.kind for thing in after.things] == [thing.kind for thing in part.things]
