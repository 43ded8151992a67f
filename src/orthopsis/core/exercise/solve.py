"""The two questions that are asked of an exercise: its whole drawing, or only its picture while a hand drags."""

from orthopsis.core.advice.advise import advise
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing, HandlePlace, Picture
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.personal import is_personal
from orthopsis.core.editing.sentences import sentences
from orthopsis.core.scene.prepared import Prepared, prepare
from orthopsis.core.telling.told import steps


def draw(exercise: Exercise) -> Drawing:
    """Return the whole answer: picture, steps, advice and sentences.

    Raises:
        GeometryError: something cannot be drawn; ``about`` names the place in the exercise.
    """
    solved = solve(prepare(exercise))
    made, left_out = steps(solved)
    base = picture(solved)
    held = {name: getattr(base, name) for name in Picture.model_fields}
    held["handles"] = [handle.model_copy(update={"reads": _reads(solved.prepared, handle)}) for handle in base.handles]
    return Drawing.model_construct(
        **held,
        is_personal=is_personal(exercise),
        steps=made,
        left_out=left_out,
        advice=advise(solved, made),
        sentences=sentences(solved.prepared),
    )


def _reads(prepared: Prepared, handle: HandlePlace) -> str:
    """Return where a handle is, for those who hear the sheet."""
    across, up = (prepared.length(mm) for mm in handle.at)
    return f"{up} up" if handle.id == "eye_level" else f"{across} from the left, {up} up"


def draw_picture(exercise: Exercise) -> Picture:
    """Return only the picture; the steps and the advice follow when the hand rests.

    Raises:
        GeometryError: as ``draw``.
    """
    return picture(solve(prepare(exercise)))
