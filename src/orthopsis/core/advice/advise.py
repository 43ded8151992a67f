"""Where will this drawing look wrong, or be hard to draw? Each piece of advice has a number and cures."""

from collections.abc import Iterator

from orthopsis.core.advice.faces import on_face
from orthopsis.core.advice.placing import on_placing
from orthopsis.core.advice.sheet import on_marks, on_sheet, on_time
from orthopsis.core.advice.things import on_crossing, on_thing
from orthopsis.core.drawing.answer import Advice, Step
from orthopsis.core.drawing.picture import Solved
from orthopsis.core.scene.placed import Placed


def advise(solved: Solved, steps: list[Step]) -> list[Advice]:
    """Return the advice, most telling first: the sheet, the points, each thing, time."""
    return [
        *on_sheet(solved),
        *on_placing(solved),
        *on_crossing(solved),
        *(advice for placed in solved.prepared.things for advice in _on_each(solved, placed)),
        *on_marks(solved),
        *on_time(solved, steps),
    ]


def _on_each(solved: Solved, placed: Placed) -> Iterator[Advice]:
    return on_face(solved, placed) if placed.kind.lies_on_face else on_thing(solved, placed)
