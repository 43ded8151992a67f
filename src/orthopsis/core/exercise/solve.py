"""What is asked of an exercise: its whole drawing, also with texts placed to be shown, or only its picture."""

from dataclasses import replace

from orthopsis.core.advice.advise import advise
from orthopsis.core.document.document import Exercise
from orthopsis.core.document.parts import StepChange
from orthopsis.core.drawing.answer import Drawing, HandlePlace, Picture
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.drawing.stage import on_paper
from orthopsis.core.editing.personal import is_personal
from orthopsis.core.editing.sentences import sentences
from orthopsis.core.exercise.who_hides import who_hides
from orthopsis.core.scene.prepared import Prepared, prepare
from orthopsis.core.sheet.chalkboard import chalkboard_of
from orthopsis.core.telling.clear_texts import SHOWN, with_clear_texts
from orthopsis.core.telling.told import tell
from orthopsis.core.wording.exercise import CHANGED
from orthopsis.core.wording.vocabulary import listed


def draw(exercise: Exercise, board_mm: float = 0.0) -> Drawing:
    """Return the whole answer: picture, steps, advice and sentences.

    Args:
        board_mm: how wide the sheet is drawn on a board whose measures are told; 0: those of the sheet are.

    Raises:
        GeometryError: something cannot be drawn; ``about`` names the place in the exercise. There is no such board.
    """
    prepared = prepare(exercise)
    if board_mm:
        prepared = replace(prepared, board=chalkboard_of(prepared.sheet, board_mm))
    solved = solve(prepared)
    telling = tell(solved)
    base = picture(solved)
    held = {name: getattr(base, name) for name in Picture.model_fields}
    held["handles"] = [handle.model_copy(update={"reads": _reads(solved.prepared, handle)}) for handle in base.handles]
    return Drawing.model_construct(
        **held,
        is_personal=is_personal(exercise),
        steps=telling.steps,
        on_paper=on_paper(base.lines, telling.steps),
        left_out=telling.left_out,
        unused=[_unused(solved.prepared, change) for change in telling.unused],
        hides=who_hides(solved),
        advice=advise(solved, telling.steps),
        sentences=sentences(solved.prepared),
    )


def draw_shown(exercise: Exercise, board_mm: float = 0.0, times: float = SHOWN) -> Drawing:
    """Return the whole answer with the measures and figures of each step where they are clear in its picture.

    Args:
        board_mm: as of ``draw``.
        times: so many times as wide as its texts are tall is each picture.

    Raises:
        GeometryError: as ``draw``.
    """
    drawing = draw(exercise, board_mm)
    whole = (0.0, 0.0, drawing.sheet.width_mm, drawing.sheet.height_mm)
    steps = with_clear_texts(drawing, whole, lambda part: times)
    return drawing.model_copy(update={"steps": steps})


def _unused(prepared: Prepared, change: StepChange) -> str:
    """Return how a change is called that fits no step any more: whose it was, and what was changed."""
    owner = prepared.by_id.get(change.step.thing)
    says = (
        f"“{change.text}”" if change.text else listed([says for name, says in CHANGED.items() if getattr(change, name)])
    )
    return f"{owner.values.name}: {says}" if owner is not None else says


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


def draw_moving(exercise: Exercise) -> Picture:
    """Return the picture while a hand moves something: of what is long to construct only the edges that are seen.

    Raises:
        GeometryError: as ``draw``.
    """
    return picture(solve(prepare(exercise), is_moving=True), is_moving=True)
