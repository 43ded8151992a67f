"""What a teacher's changes make of the steps: told line by line, moved, joined, extra, left out, in other words.

Changes hang on what a step is (see ``StepRef``), so they stay when the exercise changes and when things are called
otherwise; those that fit no step any more are said. A step is moved only as far as what it needs and what needs it
allow; setting up comes first and finishing last.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from orthopsis.core.construct.moves import inputs
from orthopsis.core.construct.steps import Breath
from orthopsis.core.document.document import Exercise
from orthopsis.core.document.parts import StepChange, StepRef
from orthopsis.core.drawing.answer import LeftOut, Step, StepAct
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.telling.behind import with_what_lies_behind
from orthopsis.core.telling.close_up import with_close_ups
from orthopsis.core.telling.idle import idle
from orthopsis.core.telling.steps import Told, line_by_line, told_steps
from orthopsis.core.telling.strokes import Strokes
from orthopsis.core.telling.taken_up import with_marks_taken_up
from orthopsis.core.telling.there import without_what_is_there
from orthopsis.core.wording.setup_steps import POINT_DONE

_FINISH = ("take_away", "darken", "tone")


Changes = Mapping[StepRef, StepChange]


@dataclass(frozen=True, slots=True)
class Telling:
    """The steps as they are told.

    Attributes:
        steps: in their order.
        left_out: those that are not told.
        refs: by the keys of all of them, told or not, what each is.
        unused: the changes of steps that there are not any more.
    """

    steps: list[Step]
    left_out: list[LeftOut]
    refs: Mapping[str, StepRef]
    unused: tuple[StepChange, ...]
    breaths: tuple[Breath, ...]


def tell(solved: Solved) -> Telling:
    """Return the steps as they are told, with the teacher's changes."""
    changes = {change.step: change for change in solved.prepared.exercise.steps}
    told, known, strokes = list[Told](), set[StepRef](), Strokes(solved.board.lines)
    for one in told_steps(solved, strokes):
        known.add(one.ref)
        change = changes.get(one.ref)
        told += line_by_line(solved, one, strokes) if change is not None and change.split and one.has_lines else [one]
    refs = {one.step.key: one.ref for one in told}
    told = _moved(told, changes)
    needed = _needed(told)
    kept, left_out = [], []
    for one in told:
        change = changes.get(one.ref)
        if change is not None and change.left_out and not one.makes & needed:
            left_out.append(LeftOut(key=one.step.key, title=one.step.title))
        else:
            kept.append(one)
    made = without_what_is_there(solved, _joined(kept, changes), strokes)
    changed = {one.step.key for one in told if one.ref in changes or one.ref.whole in changes}
    needless = idle(solved, made, {one.step.key: one.ref.words for one in kept if one.breath is not None}, changed)
    made, kept = [step for step in made if step.key not in needless], [o for o in kept if o.step.key not in needless]
    made = _with_stops(_with_points_done(solved, made, kept))
    made = with_marks_taken_up(solved, with_what_lies_behind(solved, made), kept)
    made = with_close_ups(solved, made)
    unused = tuple(change for ref, change in changes.items() if ref.whole not in known)
    return Telling(made, left_out, refs, unused, tuple(one.breath for one in kept if one.breath is not None))


def _moved(told: list[Told], changes: Changes) -> list[Told]:
    order = list(told)
    for one in told:
        change = changes.get(one.ref)
        if change is None:
            continue
        by = change.later
        while by:
            at, way = order.index(one), 1 if by > 0 else -1
            if not _may_swap(order, min(at, at + way)):
                break
            order[at], order[at + way] = order[at + way], order[at]
            by -= way
    return order


def _may_swap(order: list[Told], first: int) -> bool:
    """Tell whether a step and the one after it may change places."""
    if first < 0 or first + 1 >= len(order):
        return False
    one, two = order[first], order[first + 1]
    if _place(one.step) != _place(two.step) or one.step.phase in _FINISH:
        return False
    return not (one.makes & two.needs or two.makes & one.needs)


def _place(step: Step) -> int:
    """Return where a step belongs at large: setting up, building, finishing."""
    return 0 if step.phase == "setup" else 2 if step.phase in _FINISH else 1


def _needed(told: list[Told]) -> set[str]:
    """Return what some step needs that another one makes."""
    return {name for one in told for name in one.needs}


def _joined(told: list[Told], changes: Changes) -> list[Step]:
    """Return the steps with the teacher's words and marks, those that are told in one breath made one."""
    result: list[Step] = []
    needed = _needed(told)
    for i, one in enumerate(told):
        change = changes.get(one.ref) or changes.get(one.ref.whole)
        step = _worded(one, change, _abilities(told, i, change, needed))
        is_joined = change is not None and change.joined and change.step == one.ref
        if is_joined and result and _place(result[-1]) == _place(step):
            result[-1] = _join(result[-1], step)
        else:
            result.append(step)
    return result


def _worded(told: Told, change: StepChange | None, can: list[StepAct]) -> Step:
    update: dict[str, object] = {"can": tuple(can)}
    if change is not None:
        update["extra"] = change.extra
        if change.text and change.step == told.ref:
            update["text"] = change.text
    return told.step.model_copy(update=update)


def _join(one: Step, two: Step) -> Step:
    tools = one.tool if two.tool in one.tool else f"{one.tool}, {two.tool}"
    title = two.short if one.thing == two.thing else two.title
    return one.model_copy(
        update={
            "title": f"{one.title}; {title}",
            "short": f"{one.short}; {title}",
            "text": f"{one.text} {two.text}",
            "scales": [*one.scales, *two.scales],
            "letters": [*one.letters, *two.letters],
            "dimensions": [*one.dimensions, *two.dimensions],
            "tool": tools,
            "count": one.count + two.count,
            "minutes": one.minutes + two.minutes,
            "draws": [*one.draws, *two.draws],
            "marks": [*one.marks, *two.marks],
            "takes_away": [*one.takes_away, *two.takes_away],
            "leaves": [*one.leaves, *two.leaves],
            "darkens": [*one.darkens, *two.darkens],
            "tones": one.tones or two.tones,
            "can": tuple(sorted({*one.can, "part"} - {"join"})),
            "joins": (*one.joins, two.key),
        }
    )


def _abilities(told: list[Told], at: int, change: StepChange | None, needed: set[str]) -> list[StepAct]:
    one = told[at]
    can: list[StepAct] = ["say", "required" if change is not None and change.extra else "extra"]
    if change is not None and change.text:
        can.append("own")
    if _may_swap(told, at - 1):
        can.append("earlier")
    if _may_swap(told, at):
        can.append("later")
    if at > 0 and _place(told[at - 1].step) == _place(one.step) and one.step.phase not in _FINISH:
        can.append("join")
    if one.has_lines:
        can.append("split")
    if one.ref.line:
        can.append("whole")
    if not one.makes & needed:
        can.append("leave_out")
    return can


def _with_stops(steps: list[Step]) -> list[Step]:
    """Mark where a lesson may well end: when the sheet is set up, and after each thing that is whole."""
    result = []
    for i, step in enumerate(steps):
        after = steps[i + 1] if i + 1 < len(steps) else None
        ends = after is not None and (step.thing, _place(step)) != (after.thing, _place(after))
        result.append(step.model_copy(update={"stop": True}) if ends else step)
    return result


def _with_points_done(solved: Solved, steps: list[Step], told: Sequence[Told]) -> list[Step]:
    """Say after which step the paper of a thing's own point may come off: no later line runs to it."""
    prepared, result = solved.prepared, list(steps)
    for aim in prepared.aims.values():
        if aim.owner not in prepared.by_name or prepared.sheet.holds(*aim.at.xy):
            continue
        needing = {one.step.key for one in told if one.breath is not None and _runs_to(one.breath, aim.name)}
        using = [i for i, step in enumerate(steps) if needing.intersection((step.key, *step.joins))]
        if using:
            said = prepared.wording.say(POINT_DONE, {"point": prepared.point_words(aim.name)})
            done = result[using[-1]]
            result[using[-1]] = done.model_copy(update={"after": f"{done.after} {said}".strip()})
    return result


def _runs_to(breath: Breath, point: str) -> bool:
    """Tell whether a step rules a line to a point that is there."""
    acts = [move.act for move in breath.moves]
    return any(point in inputs(act) or getattr(act, "runs", "") == point for act in acts)


def change_of(exercise: Exercise, ref: StepRef) -> StepChange:
    """Return what was changed of a step so far."""
    return next((change for change in exercise.steps if change.step == ref), StepChange(step=ref))
