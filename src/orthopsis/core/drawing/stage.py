"""Which lines are on the paper after a step? A matter of looking up in the drawing's steps."""

from collections.abc import Sequence
from dataclasses import dataclass

from orthopsis.core.drawing.answer import Step


@dataclass(frozen=True, slots=True)
class Stage:
    """What is on the paper: ids of light and dark lines, those new in the last step, its marks, tone, all points."""

    light: frozenset[int]
    dark: frozenset[int]
    fresh: frozenset[int]
    marks: tuple[str, ...]
    toned: bool
    points: frozenset[str] = frozenset()


def new_lines(step: Step) -> frozenset[int]:
    """Return the ids of the lines that a step draws or darkens; what is left of one that is erased is not new."""
    return frozenset() if step.phase == "take_away" else frozenset((*step.draws, *step.darkens))


def stage_after(steps: Sequence[Step], count: int) -> Stage:
    """Return what is on the paper after the first ``count`` steps."""
    light: set[int] = set()
    dark: set[int] = set()
    toned = False
    for step in steps[:count]:
        light -= set(step.takes_away)
        light |= set(step.draws)
        dark |= set(step.darkens)
        toned = toned or step.tones
    last = steps[count - 1] if 0 < count <= len(steps) else None
    fresh = new_lines(last) if last else frozenset()
    points = frozenset(name for step in steps[:count] for name in step.marks)
    return Stage(frozenset(light - dark), frozenset(dark), fresh, tuple(last.marks) if last else (), toned, points)
