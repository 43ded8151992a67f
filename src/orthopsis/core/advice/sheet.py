"""Advice on the sheet as a whole: where its eye level runs, and whether the lesson is long enough."""

import math
from collections.abc import Iterator

from orthopsis.core.advice.piece import piece
from orthopsis.core.document.place import PlaceRef, thing_place
from orthopsis.core.drawing.answer import Advice, CureEdit, Step
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import Length

OFF_MARK_MM = 0.005
"""A length nearer to a mark of the ruler than this lies on it."""
MIDDLE_BAND = 0.06
"""The eye level counts as across the middle within this share of the sheet's height (no source)."""


def on_sheet(solved: Solved) -> Iterator[Advice]:
    """Yield advice on the eye level, by the school that was chosen."""
    prepared = solved.prepared
    sheet = prepared.sheet
    share = prepared.eye_level_mm / sheet.height_mm
    across_middle = abs(share - 0.5) < MIDDLE_BAND
    school = prepared.exercise.eye_level.school
    if across_middle and school == "composition":
        better = round_to(sheet.height_mm / 3, sheet.division_mm)
        code = "eye_level_across_middle"
    elif not across_middle and school == "exercise" and not prepared.things:
        better, code = sheet.height_mm / 2, "eye_level_by_halving"
    else:
        return
    shown = {"value": round(100 * share), "better": prepared.length(better)}
    edit = CureEdit(path="eye_level.height_mm", value=better)
    yield piece(solved, code, "eye_level", 100 * share, 50.0, "%", shown, [edit])


def on_marks(solved: Solved) -> Iterator[Advice]:
    """Yield advice if lengths lie between the ruler's marks: by how much the drawing moves when they are rounded."""
    prepared = solved.prepared
    division = prepared.sheet.division_mm
    edits, moved_to = [], dict[PlaceRef, float]()
    for placed in prepared.things:
        laid_off = placed.standing.measured - placed.given
        for p in placed.kind.parameters:
            if isinstance(p, Length) and p.name in laid_off:
                mm = placed.values.mm(p.name)
                on_mark = max(p.least_mm, round_to(mm, division))
                if abs(mm - on_mark) > OFF_MARK_MM:
                    place = thing_place(placed.index, p.name)
                    moved_to[place] = on_mark
                    edits.append(CureEdit(path=place.path, value=on_mark))
    if not edits:
        return
    exercise = prepared.exercise
    things = list(exercise.things)
    for place, mm in moved_to.items():
        things[place.number] = things[place.number].model_copy(update={place.name: mm})
    try:
        moved = solve(prepare(exercise.model_copy(update={"things": tuple(things)}))).board.points
    except GeometryError:
        return
    value = max(math.dist(p.xy, moved[n].xy) for n, p in solved.board.points.items() if n in moved)
    shown = {"moves": prepared.nearly(value), "division": exercise.sheet.division}
    yield piece(solved, "between_marks", "sheet", value, 0.0, "mm", shown, edits)


def on_time(solved: Solved, steps: list[Step]) -> Iterator[Advice]:
    """Yield advice if the steps that everybody draws take longer than the lesson."""
    total, limit = sum(s.minutes for s in steps if not s.extra), solved.prepared.exercise.minutes
    if total > limit:
        shown: dict[str, object] = {"value": round(total), "limit": limit}
        yield piece(solved, "more_than_the_minutes", "minutes", total, limit, "min", shown)
