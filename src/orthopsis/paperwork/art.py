"""What is to be drawn on a page, in page millimetres: recorded once, replayed to PDF, SVG and DXF."""

from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from typing import Literal

from orthopsis.core.drawing.answer import Drawing, DrawnLine, Place
from orthopsis.core.drawing.stage import Stage, stage_after

Pen = Literal["dark", "detail", "behind", "light", "fresh", "guide", "fresh_guide", "level", "overlay"]

WIDTH_MM: dict[Pen, float] = {
    "dark": 0.6,
    "detail": 0.3,
    "behind": 0.3,
    "light": 0.2,
    "guide": 0.18,
    "fresh_guide": 0.4,
    "fresh": 0.5,
    "level": 0.3,
    "overlay": 0.25,
}
GREY: dict[Pen, float] = {
    "dark": 0.05,
    "detail": 0.15,
    "behind": 0.3,
    "light": 0.55,
    "guide": 0.5,
    "fresh_guide": 0.2,
    "fresh": 0.1,
    "level": 0.35,
    "overlay": 0.0,
}
DASH_MM: dict[Pen, tuple[float, float]] = {"guide": (3.0, 1.4), "fresh_guide": (3.0, 1.4)}
"""Lines to a point are told apart by their dash. Widths 2:1 and dashes after ISO 128-2, adapted to pencil."""
TONE_GREY = (1.0, 0.88, 0.72, 0.52)
"""Grey of the four tone steps, paper to darkest."""


@dataclass(frozen=True, slots=True)
class ArtLine:
    """A line; ``group`` names what it belongs to, ``bend`` holds the places between the ends of a curve."""

    start: Place
    end: Place
    pen: Pen
    group: str
    bend: tuple[Place, ...] = ()


@dataclass(frozen=True, slots=True)
class ArtFace:
    """A filled face with its tone step."""

    loops: tuple[tuple[Place, ...], ...]
    tone: int
    group: str


OLD_ARM_MM = 1.2
"""How far the arms of the cross reach that shows a mark of an earlier step."""


@dataclass(frozen=True, slots=True)
class ArtMark:
    """A point: a small cross; one of an earlier step smaller still."""

    at: Place
    name: str
    is_new: bool = True


@dataclass(frozen=True, slots=True)
class Art:
    """A page to be drawn."""

    width_mm: float
    height_mm: float
    lines: tuple[ArtLine, ...] = ()
    faces: tuple[ArtFace, ...] = ()
    marks: tuple[ArtMark, ...] = field(default=())


def step_art(drawing: Drawing, count: int) -> Art:
    """Return the sheet after ``count`` steps, what is new drawn stronger; marks of a depth or of marks alone shown."""
    art = _staged(drawing, stage_after(drawing, count))
    step = drawing.steps[count - 1]
    shown = step.marks if step.phase == "depth" or not step.draws else ()
    marks = [ArtMark(drawing.points[n], n) for n in shown if n in drawing.points]
    marks += [ArtMark(drawing.points[n], n, is_new=False) for n in step.takes_up if n in drawing.points]
    return replace(art, marks=(*art.marks, *marks))


def answer_art(drawing: Drawing) -> Art:
    """Return the finished sheet."""
    stage = stage_after(drawing, len(drawing.steps))
    return _staged(drawing, replace(stage, fresh=frozenset(), marks=()))


def set_up_steps(drawing: Drawing) -> int:
    """Return how many steps set up the sheet; they come first."""
    return sum(step.phase == "setup" for step in drawing.steps)


def starter_art(drawing: Drawing) -> Art:
    """Return the sheet with the eye level and the points only."""
    stage = stage_after(drawing, set_up_steps(drawing))
    return _staged(drawing, replace(stage, fresh=frozenset(), marks=(), toned=False))


def overlay_art(drawing: Drawing) -> Art:
    """Return what is laid over a student's sheet: every light line and edge, thin, points marked."""
    lines = [_line(line, "overlay") for line in drawing.lines if line.visible]
    return _page(drawing, tuple(lines), ())


def full_art(drawing: Drawing) -> Art:
    """Return everything that was solved: light lines, edges seen and hidden, faces."""
    edges = [_line(line, _final_pen(line)) for line in drawing.lines if line.role in ("edge", "detail")]
    light = [_line(line, _light_pen(line, False)) for line in drawing.lines if line.role not in ("edge", "detail")]
    return _page(drawing, (*light, *edges), _faces(drawing))


def _staged(drawing: Drawing, stage: Stage) -> Art:
    lines = []
    for line in drawing.lines:
        if line.id in stage.dark:
            lines.append(_line(line, "behind" if line.behind else "detail" if line.role == "detail" else "dark"))
        elif line.id in stage.light:
            lines.append(_line(line, _light_pen(line, line.id in stage.fresh)))
    page = _page(drawing, lines, _faces(drawing) if stage.toned else ())
    return replace(page, marks=tuple(mark for mark in page.marks if mark.name in stage.points))


def _final_pen(line: DrawnLine) -> Pen:
    if not line.visible:
        return "light"
    return "detail" if line.role == "detail" else "dark"


def _light_pen(line: DrawnLine, is_fresh: bool) -> Pen:
    if line.name == "eye level":
        return "level"
    if line.rests_on:
        return "fresh_guide" if is_fresh else "guide"
    return "fresh" if is_fresh else "light"


def _line(line: DrawnLine, pen: Pen) -> ArtLine:
    return ArtLine(line.start, line.end, pen, line.thing or "sheet", tuple(line.bend))


def _faces(drawing: Drawing) -> tuple[ArtFace, ...]:
    return tuple(ArtFace(tuple(tuple(loop) for loop in f.loops), f.tone, f.thing) for f in drawing.faces)


def _page(drawing: Drawing, lines: Sequence[ArtLine], faces: Sequence[ArtFace]) -> Art:
    marks = tuple(ArtMark(at, name) for name, at in drawing.vanishing_points.items())
    return Art(drawing.sheet.width_mm, drawing.sheet.height_mm, tuple(lines), tuple(faces), marks)
