"""Which marks of earlier steps does a step take up that no line on the paper shows?

On the paper a mark stays where it was made; a picture of new marks alone would leave out where the ruler is laid now.
Marks at which a line begins or ends, and crossings of lines, are seen without a mark, except where the ruler is laid
and no line is drawn.
"""

from collections.abc import Iterator, Sequence

from orthopsis.core.construct.moves import Act, Cross, Rule, inputs, outputs
from orthopsis.core.drawing.answer import Place, Step
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.telling.steps import Told

PLACES = 6
"""Decimals of a millimetre to which two points are one."""


def with_marks_taken_up(solved: Solved, steps: Sequence[Step], told: Sequence[Told]) -> list[Step]:
    """Return the steps with the marks of earlier ones that they take up.

    Args:
        steps: as they are told; ``told``: what they are made of, some told together.
    """
    acts_of = {one.step.key: [m.act for m in one.breath.moves] for one in told if one.breath is not None}
    points, drawn, marked, seen = solved.board.points, set[str](), set[str](), set[str]()
    shown, result = set[Place](), list[Step]()
    for step in steps:
        acts = [act for key in (step.key, *step.joins) for act in acts_of.get(key, ())]
        drawn |= {act.makes for act in acts if act.makes in solved.light_ids}
        new = set(_seen_by_lines(acts, drawn)) - seen
        seen |= new
        shown.update(_place(points[name]) for name in new if name in points)
        rests = {name for act in acts if _is_laid_only(act, drawn) for name in inputs(act)}
        used = {name for act in acts for name in inputs(act)}
        old = (used & marked) - set(step.marks) - solved.prepared.aims.keys()
        taken = sorted(name for name in old if name in rests or _place(points[name]) not in shown)
        result.append(step.model_copy(update={"takes_up": taken}) if taken else step)
        marked.update(step.marks)
    return result


def _is_laid_only(act: Act, drawn: set[str]) -> bool:
    """Tell whether the ruler is only laid, so that nothing but its points shows where."""
    return isinstance(act, Rule) and act.makes not in drawn


def _place(at: Point) -> Place:
    """Return a place that is the same for points that go by several names."""
    return round(at.x, PLACES), round(at.y, PLACES)


def _seen_by_lines(acts: Sequence[Act], drawn: set[str]) -> Iterator[str]:
    """Yield the points of some acts at which a drawn line begins or ends, or two of them cross."""
    for act in acts:
        if act.makes in drawn:
            yield from inputs(act)
            yield from outputs(act)
        elif isinstance(act, Cross) and {act.first, act.second} <= drawn:
            yield act.makes
