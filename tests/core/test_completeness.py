"""Told is complete: every line begins and ends, and every measure lies, on what earlier told steps have made."""

from dataclasses import replace
from typing import Any, get_args

import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from scenes import ANY, solved
from test_row import quay

from conftest import exercise_of
from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Rule, inputs
from orthopsis.core.construct.steps import breaths
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.telling.completeness import Gap, gaps
from orthopsis.core.telling.told import tell


def missing(found: Solved) -> list[Gap]:
    """What the steps take up that nobody has told, in the order in which they are told."""
    return list(gaps(tell(found).breaths, found.board))


def said(found: list[Gap]) -> list[str]:
    """What is missing, short enough to read."""
    return [f"{gap.breath.name}: {type(gap.act).__name__} {gap.act.makes} needs {gap.name}: {gap.why}" for gap in found]


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_a_ready_exercise_is_told_whole(ready: dict[str, Any]) -> None:
    assert said(missing(solved(read_exercise(ready)))) == []


@settings(max_examples=400, suppress_health_check=[HealthCheck.too_slow, HealthCheck.filter_too_much])
@given(ANY)
def test_any_exercise_is_told_whole(exercise: Exercise) -> None:
    assert said(missing(solved(exercise))) == []


@settings(max_examples=80, suppress_health_check=[HealthCheck.too_slow, HealthCheck.filter_too_much])
@given(ANY, st.data())
def test_it_stays_whole_when_a_teacher_moves_splits_and_leaves_out_steps(
    exercise: Exercise, data: st.DataObject
) -> None:
    refs = list(tell(solved(exercise)).refs.values())
    chosen = data.draw(st.lists(st.sampled_from(refs), min_size=1, max_size=4, unique_by=str))
    changes = [
        {
            "step": ref.model_dump(),
            "later": data.draw(st.integers(-3, 3)),
            "split": data.draw(st.booleans()),
            "left_out": data.draw(st.booleans()),
        }
        for ref in chosen
    ]
    changed = Exercise.model_validate({**exercise.document(), "steps": changes})
    assert said(missing(solved(changed))) == []


def test_a_step_stays_before_one_that_begins_where_it_marked_under_another_name() -> None:
    """The foot of a dividing line lies where the light line ended: nobody is told of it once more."""
    box = {"kind": "box", "name": "Crate", "left": 40, "bottom": 30, "width": 60, "height": 50}
    parts = {"kind": "division", "name": "Parts", "joined_to": "Crate", "joined_by": "face_front", "way": "diagonal"}
    moved = {"step": {"thing": 2, "words": "face.columns", "turn": 1}, "later": 1}
    exercise = exercise_of(box, {**parts, "along": "1:2", "stays": "lines"})
    changed = Exercise.model_validate({**exercise.document(), "steps": [moved]})
    names = [breath.name for breath in tell(solved(changed)).breaths if breath.name.startswith("face.")]
    assert names == ["face.ticks", "face.levels", "face.columns", "face.lines"]
    assert said(missing(solved(changed))) == []


def _told(exercise: Exercise, change: Any) -> list[Gap]:
    """What is missing when some moves are told otherwise."""
    found = solved(exercise)
    return list(gaps(breaths([change(move) for move in found.moves]), found.board))


def test_what_is_not_told_is_found_missing() -> None:
    exercise = read_exercise(READY[0])

    def silent(move: Move) -> Move:
        return replace(move, breath="") if isinstance(move.act, MeasureAlong) else move

    assert {gap.why for gap in _told(exercise, silent)} == {"no_point"}
    found = solved(exercise)
    late = sorted(breaths(found.moves), key=lambda breath: breath.phase == "guides")
    assert any(gap.why == "no_line" for gap in gaps(late, found.board))


def test_a_measure_beyond_the_end_of_its_line_is_found() -> None:
    exercise = read_exercise(READY[0])
    found = solved(exercise)
    measured = next(move.act for move in found.moves if isinstance(move.act, MeasureAlong))
    line = found.board.lines[measured.line]
    short = replace(
        line, end=type(line.end)((line.start.x * 9 + line.end.x) / 10, (line.start.y * 9 + line.end.y) / 10)
    )
    found.board.lines[measured.line] = short
    assert [(gap.name, gap.why) for gap in gaps(breaths(found.moves), found.board) if gap.act == measured] == [
        (measured.line, "too_short")
    ]


def test_a_line_over_a_point_that_nobody_marked_is_found() -> None:
    found = solved(read_exercise(READY[0]))
    names = list(found.board.points)
    rule = Move("back", "", "back.edges", Rule("stray", names[-1], names[-1], "level"))
    unknown = replace(rule, act=replace(rule.act, start="nowhere"))  # type: ignore[type-var]
    found.board.points["nowhere"] = type(found.board.points[names[0]])(7.0, 7.0)
    found.board.lines["stray"] = next(iter(found.board.lines.values()))
    assert [gap.name for gap in gaps(breaths([*found.moves, unknown]), found.board)] == ["nowhere"]


NEVER_ON_PAPER = {("Curve", "centre"), ("Curve", "pole"), ("Touch", "point")}
"""What only the mathematics of a curve takes up: the hand draws it through marks."""


def test_on_an_empty_sheet_whatever_an_act_takes_up_is_missing() -> None:
    """No kind of act slips through the check, also none that is added later and used in a ready exercise.

    A leaning upright is halved only where a row of them goes away by the diagonal.
    """
    kinds = set[str]()
    for exercise in (*map(read_exercise, READY), quay("from_above", way="diagonal")):
        found = solved(exercise)
        for breath in tell(found).breaths:
            for move in breath.moves:
                act, kind = move.act, type(move.act).__name__
                stops = set(getattr(act, "stops_at", ()))
                if stops:
                    stops |= {getattr(act, "until", ""), getattr(act, "end", "")}  # where it would have ended
                asked = {
                    name
                    for field in act.__slots__
                    for name in inputs(act) & {getattr(act, field), *_several(getattr(act, field))}
                    if (kind, field) not in NEVER_ON_PAPER and name not in stops
                    and not (name in found.board.points and found.board.points[name].is_ideal)
                }  # fmt: skip
                missed = {gap.name for gap in gaps([replace(breath, moves=[move])], found.board)}
                assert missed == asked, act
                kinds.add(kind)
    assert kinds == {act.__name__ for act in get_args(Act)}


def _several(value: object) -> tuple[object, ...]:
    return value if isinstance(value, tuple) else ()
