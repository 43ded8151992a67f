"""Which lines of a step are there already, since an earlier step has drawn them?

A corner's light line may run along another one's; a letter's stroke may lie on the edge of its block. Such lines are
not drawn again, and not counted: it is said that they are there. A dark line over a light one is new.
"""

from collections.abc import Sequence

from orthopsis.core.drawing.answer import Step
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.lesson.minutes import step_minutes
from orthopsis.core.telling.strokes import Strokes
from orthopsis.core.wording.step import there_words


def without_what_is_there(solved: Solved, steps: Sequence[Step], strokes: Strokes) -> list[Step]:
    """Return steps, in the order in which they are told, that draw only what is new.

    Args:
        strokes: the lines of the sheet, of which nothing is drawn yet.
    """
    names = {number: name for name, number in solved.light_ids.items()}
    result = []
    for step in steps:
        if step.draws:
            mine = [names[number] for number in step.draws]
            there = strokes.there(mine)
            if there:
                step = _less(solved, step, strokes, [(n, name) for n, name in zip(step.draws, mine, strict=True)
                                                     if name not in there])  # fmt: skip
            strokes.draw(mine)
        result.append(step)
    return result


def _less(solved: Solved, step: Step, strokes: Strokes, left: Sequence[tuple[int, str]]) -> Step:
    """Return a step that draws only some of its lines, and says that the others are there."""
    count, level = strokes.count(name for _, name in left), solved.prepared.wording.level
    saved = step_minutes(step.phase, step.count, level) - step_minutes(step.phase, count, level)
    # What lies along another line of the step is one stroke with it: then none is less.
    is_said = "own" not in step.can and count < step.count
    said = f" {there_words(step.count - count, step.count)}" if is_said else ""
    return step.model_copy(
        update={
            "draws": [number for number, _ in left],
            "count": count,
            "minutes": max(0.5, step.minutes - saved),
            "text": step.text + said,
        }
    )
