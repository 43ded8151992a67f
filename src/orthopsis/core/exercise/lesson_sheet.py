"""The sheet for who gives the lesson: what to lay out, what to take care of, when each step comes and where to stop."""

from dataclasses import dataclass

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.lesson.materials import Material, Needs, cautions, materials
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.scene.prepared import Prepared, prepare
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sheet.strip import Strip, paper_for, strips_for
from orthopsis.core.wording.materials import CAUTIONS, MATERIALS


@dataclass(frozen=True, slots=True)
class LessonStep:
    """A step as it stands in a lesson: when it begins, min, and whether the lesson may well end after it."""

    number: int
    begins: float
    title: str
    is_extra: bool
    may_stop: bool


@dataclass(frozen=True, slots=True)
class LessonSheet:
    """What a lesson takes: materials as (what, why), the care, the steps, and how long all of it is, min."""

    materials: list[tuple[str, str]]
    cautions: list[str]
    steps: list[LessonStep]
    minutes: float
    lesson_minutes: float


def lesson_sheet(exercise: Exercise, drawing: Drawing, students: int) -> LessonSheet:
    """Return what a lesson takes for so many students.

    Raises:
        GeometryError: the exercise cannot be drawn.
    """
    solved = solve(prepare(exercise))
    needs = _needs(solved)
    sizes = [_strip_words(solved.prepared, strip) for strip in needs.strips]
    paper = _paper_words(solved.prepared)
    steps, begins = list[LessonStep](), 0.0
    for number, step in enumerate(drawing.steps, start=1):
        steps.append(LessonStep(number, begins, step.title, step.extra, step.stop))
        begins += step.minutes
    return LessonSheet(
        [_said(material) for material in materials(needs, students, paper, sizes)],
        [CAUTIONS[key] for key in cautions(needs)],
        steps,
        begins,
        exercise.minutes,
    )


def _needs(solved: Solved) -> Needs:
    prepared, board = solved.prepared, solved.board
    aims = [aim for aim in prepared.aims.values() if aim.name in board.points]
    lines = [line for line in board.lines.values() if line.rests_on in prepared.aims and line.role != "unseen"]
    middles = [aim.at for aim in aims if aim.is_vanishing]
    return Needs(
        strips=strips_for((aim.at.xy for aim in aims if aim.is_vanishing), prepared.sheet),
        farthest_mm=max((distance(line.start, prepared.aims[line.rests_on].at) for line in lines), default=0.0),
        has_parallels=any(line.family == "free" and line.arc is None for line in board.lines.values()),
        has_curves=any(line.arc is not None for line in board.lines.values()),
        has_compass=any(line.arc is not None and line.arc.centre in middles for line in board.lines.values()),
        has_tones=any(not placed.standing.is_see_through for placed in prepared.things),
        has_building=any(placed.kind.is_building for placed in prepared.things),
    )


def _said(material: Material) -> tuple[str, str]:
    what, why = MATERIALS[material.key]
    return what.format(count=material.count, size=material.size), why


def _paper_words(prepared: Prepared) -> str:
    sheet = prepared.exercise.sheet
    if sheet.paper != "own":
        return f"{sheet.paper} paper"
    return f"paper {prepared.length(prepared.sheet.width_mm)} by {prepared.length(prepared.sheet.height_mm)}"


def _strip_words(prepared: Prepared, strip: Strip) -> str:
    division = prepared.sheet.division_mm
    long, broad = sorted((strip.width_mm, strip.height_mm), reverse=True)
    pieces, paper = paper_for(long, prepared.sheet)
    size = f"{prepared.length(round_to(long, division))} by {prepared.length(round_to(broad, division))}"
    return f"{size}, cut from {paper}" if pieces == 1 else f"{size}, each {pieces} pieces of {paper} in a row"
