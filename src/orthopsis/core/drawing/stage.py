"""What is on the paper after which step? Worked out once; whoever draws a step only looks it up."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from orthopsis.core.drawing.answer import Drawing, DrawnLine, OnPaper, Step


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
    return frozenset((*step.draws, *step.darkens))


def on_paper(lines: Iterable[DrawnLine], steps: Sequence[Step]) -> OnPaper:
    """Return from which step on, and until which, each line is on the paper, each point marked, and tone laid on."""
    never = len(steps) + 1
    light, erased, dark, points, tone = dict[int, int](), dict[int, int](), dict[int, int](), dict[str, int](), never
    for number, step in enumerate(steps, start=1):
        erased.update(dict.fromkeys(step.takes_away, number))
        for line in (*step.draws, *step.leaves):
            light.setdefault(line, number)
        for line in step.darkens:
            dark.setdefault(line, number)
        for name in step.marks:
            points.setdefault(name, number)
        if step.tones:
            tone = min(tone, number)
    spans = [
        (light.get(line.id, never), min(erased.get(line.id, never), dark.get(line.id, never)), dark.get(line.id, never))
        for line in lines
    ]
    return OnPaper(lines=spans, points=points, tone=tone)


def stage_after(drawing: Drawing, count: int) -> Stage:
    """Return what is on the paper after the first ``count`` steps."""
    light, dark, paper = set[int](), set[int](), drawing.on_paper
    for line, (since, until, darkened) in zip(drawing.lines, paper.lines, strict=True):
        if darkened <= count:
            dark.add(line.id)
        elif since <= count < until:
            light.add(line.id)
    last = drawing.steps[count - 1] if 0 < count <= len(drawing.steps) else None
    return Stage(
        light=frozenset(light),
        dark=frozenset(dark),
        fresh=new_lines(last) if last else frozenset(),
        marks=tuple(last.marks) if last else (),
        toned=paper.tone <= count,
        points=frozenset(name for name, since in paper.points.items() if since <= count),
    )
