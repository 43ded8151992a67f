"""Where to would a thing have to be moved so that a piece of advice on it is no longer due? Each place is tried."""

from collections.abc import Callable, Mapping, Sequence

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import FIRST_CORNER

Shift = tuple[float, float]
Said = Callable[[Solved, Placed], Sequence[Advice]]
TIMES = (1.0, 1.6, 2.5, 4.0)
"""A shift that is too short is tried so many times as long (no source)."""


def moved_until_unsaid(
    solved: Solved, placed: Placed, code: str, shifts: Sequence[Shift], said: Said
) -> list[CureEdit]:
    """Return the edits that move a thing so far that a piece of advice is no longer due, and nothing else instead.

    Args:
        shifts: which ways, and how far at least, mm to the right and up.
        said: what is said of a thing of a solved exercise.

    Returns:
        Nothing where no place was found; what of its place follows from another thing is left as it is.
    """
    alone = _alone(solved.prepared.exercise, placed)
    before = _said_with(alone, {}, said)
    if before is None:
        return []
    for times in TIMES:
        for right, up in shifts:
            corner = _corner(solved, placed, (right * times, up * times))
            after = _said_with(alone, corner, said) if corner else None
            if after is not None and len(after) < len(before) and all(one.code != code for one in after):
                return [CureEdit(path=f"things.{placed.index}.{name}", value=mm) for name, mm in corner.items()]
    return []


def _alone(exercise: Exercise, placed: Placed) -> Exercise:
    """Return the exercise with the thing, last, and what it stands by: the others would only hide some of it."""
    by_id = {thing.id: thing for thing in exercise.things}
    chain = [exercise.things[placed.index]]
    while chain[0].joined_to in by_id:
        chain.insert(0, by_id[chain[0].joined_to])
    return exercise.model_copy(update={"things": tuple(chain), "steps": ()})


def _corner(solved: Solved, placed: Placed, shift: Shift) -> dict[str, float]:
    """Return what changes of the place of a thing that is moved by at least the shift."""
    division = solved.prepared.sheet.division_mm
    changed = {}
    for parameter, by in zip(FIRST_CORNER, shift, strict=True):
        before = placed.values.mm(parameter.name)
        after = round_to(before + by + (division / 2 if by > 0 else -division / 2 if by < 0 else 0.0), division)
        after = min(max(after, parameter.least_mm), parameter.most_mm)
        if by and after != before and parameter.name not in placed.given:
            changed[parameter.name] = after
    return changed


def _said_with(alone: Exercise, corner: Mapping[str, float], said: Said) -> Sequence[Advice] | None:
    """Return what is said of the last thing once it is moved; None where it cannot be drawn there."""
    *others, thing = alone.things
    try:
        after = solve(prepare(alone.model_copy(update={"things": (*others, thing.model_copy(update=corner))})))
    except GeometryError:
        return None
    return said(after, after.prepared.things[-1])
