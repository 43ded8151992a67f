"""Where will this drawing look wrong, or be hard to draw? Each piece of advice has a number and cures."""

from collections.abc import Iterator

from orthopsis.core.advice.carved import on_carved
from orthopsis.core.advice.hanging import on_hanging
from orthopsis.core.advice.placing import on_placing
from orthopsis.core.advice.rows import on_row
from orthopsis.core.advice.scale import on_scale
from orthopsis.core.advice.sheet import on_marks, on_sheet, on_time
from orthopsis.core.advice.things import on_crossing, on_thing, seek_place
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Advice, CureEdit, Step
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import prepare


def advise(solved: Solved, steps: list[Step]) -> list[Advice]:
    """Return the advice, most telling first: the sheet, the points, each thing, time."""
    return [
        *on_sheet(solved),
        *on_placing(solved),
        *on_crossing(solved),
        *(advice for placed in solved.prepared.things for advice in on_each(solved, placed)),
        *on_scale(solved),
        *on_marks(solved),
        *on_time(solved, steps),
    ]


def sought_cure(exercise: Exercise, code: str, about: str) -> list[CureEdit]:
    """Return the edits of a cure that is looked for only when it is asked.

    Raises:
        GeometryError: nothing is said of this code there, or no place was found.
    """
    solved = solve(prepare(exercise))
    for placed in solved.prepared.things:
        if about == f"things.{placed.index}" and any(a.code == code for a in on_each(solved, placed)):
            edits = seek_place(solved, placed, code)
            if edits:
                return edits
            why = f"No place near to where “{placed.values.name}” stands would help."
            raise GeometryError("no_place_found", why, "Make it larger or smaller, or move it by hand.", about=about)
    raise GeometryError("no_such_advice", "This is no longer said of the drawing.", "Look at the advice again.")


def on_each(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Yield advice on one thing, whether it stands for itself or hangs on another."""
    yield from on_hanging(solved, placed) if placed.kind.hangs else on_thing(solved, placed)
    yield from on_row(solved, placed)
    yield from on_carved(solved, placed)
