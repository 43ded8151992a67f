"""How a piece of advice is made: its number, its limit, its sentence and its cures."""

from collections.abc import Mapping

from orthopsis.core.drawing.answer import Advice, Cure, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.placed import Placed
from orthopsis.core.wording.advice import ADVICE


def piece(
    solved: Solved,
    code: str,
    about: str,
    value: float,
    limit: float,
    unit: str,
    shown: Mapping[str, object],
    *edits: list[CureEdit] | None,
) -> Advice:
    """Return a piece of advice.

    Args:
        shown: what its templates name.
        edits: for each cure that its phrases name, in their order, what it changes; an empty one is left out, None is
            one that is looked for only when it is asked.
    """
    words, phrases = solved.prepared.wording, ADVICE[code]
    cures = [
        Cure(text=words.say(text, shown), edits=changes or [], is_sought=changes is None)
        for text, changes in zip(phrases.cures, edits, strict=False)
        if changes is None or changes
    ]
    return Advice(
        code=code,
        about=about,
        value=round(value, 3),
        limit=round(limit, 3),
        unit=unit,
        text=words.say(phrases.text, shown),
        why=words.say(phrases.why, shown),
        cure=words.say(phrases.cures[0], shown),
        cures=cures,
    )


def drawn_points(solved: Solved, placed: Placed) -> list[Point]:
    """Return the points of a thing that are drawn, without marks beside it and points that its lines run to."""
    aims = solved.prepared.aims
    return [p for n, p in solved.built[placed.index].points.items() if ".measure." not in n and n not in aims]
