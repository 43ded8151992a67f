"""Which steps have nothing to do, since earlier ones have drawn and marked all?

Two things on one face may need the same light lines: the second one begins with what it needs of its own. Where a later
step speaks of what such a step has found, they are all told.
"""

from collections.abc import Collection, Iterator, Mapping, Sequence
from itertools import groupby

from orthopsis.core.drawing.answer import DrawnLine, Place, Step
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.wording.steps import STEPS

PLACE_DIGITS = 4
"""Places that agree to so many digits of a millimetre are one."""


def idle(solved: Solved, steps: Sequence[Step], words: Mapping[str, str], kept: Collection[str]) -> set[str]:
    """Return the keys of the steps with which a thing would begin that have nothing to do.

    Args:
        steps: as they are told, without the lines that are there already.
        words: by the keys of steps, what their phrases are called.
        kept: the keys of those that are told in any case, such as those with words of the teacher's own.
    """
    marked, found = set[Place](), set[str]()
    lines = {line.id: line for line in solved.lines}
    for thing, group in groupby(steps, key=lambda step: step.thing):
        own, new = list(group), list[set[Place]]()
        for step in own:
            new.append(set(_places(solved, lines, step)) - marked)
            marked |= new[-1]
        if not thing:
            continue
        count = 0
        while count < len(own) and not (own[count].draws or new[count] or own[count].key in kept or own[count].joins):
            count += 1
        while count and count < len(own) and _follows(own[count], words):
            count -= 1
        found.update(step.key for step in own[:count])
    return found


def _follows(step: Step, words: Mapping[str, str]) -> bool:
    return step.key in words and STEPS[words[step.key]].follows


def _places(solved: Solved, lines: Mapping[int, DrawnLine], step: Step) -> Iterator[Place]:
    """Yield where a step marks points, and where its lines end."""
    points = solved.board.points
    ends = [at for number in step.draws if number in lines for at in (lines[number].start, lines[number].end)]
    for x, y in (*(points[name].xy for name in step.marks if name in points), *ends):
        yield round(x, PLACE_DIGITS), round(y, PLACE_DIGITS)
