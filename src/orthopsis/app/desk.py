"""The Desk's questions to the core: draw this, change that, drag here. Nothing is kept."""

from typing import Annotated, Any, Literal

from fastapi import APIRouter, Depends, Response
from pydantic import BaseModel, Field

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.session import signed_in
from orthopsis.core.advice.advise import sought_cure
from orthopsis.core.advice.placing import points_apart
from orthopsis.core.document.document import MOST_THINGS, Exercise, read_exercise
from orthopsis.core.drawing.answer import CureEdit, Drawing, Picture, StepAct
from orthopsis.core.editing import edit, edit_things, edit_views
from orthopsis.core.editing.edit_order import HidesHow, say_hides
from orthopsis.core.editing.edit_together import copy_together, drag_together, remove_together, shift_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.edit_steps import bring_back, change_step, forget_unused
from orthopsis.core.exercise.nearest import with_working_nearest
from orthopsis.core.exercise.set_down import set_down
from orthopsis.core.exercise.solve import draw, draw_picture, draw_shown
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.telling.clear_texts import SHOWN
from orthopsis.core.things.registry import KINDS
from orthopsis.core.wording.exercise import OPTIONS
from orthopsis.core.wording.vocabulary import LEVELS, Level

router = APIRouter(prefix="/api/desk", tags=["desk"], responses=PROBLEMS, dependencies=[Depends(signed_in)])
Document = dict[str, Any]
Path = Annotated[str, Field(max_length=80)]
Coordinate = Annotated[float, Field(allow_inf_nan=False, ge=-1e6, le=1e6)]


class TypeAct(BaseModel):
    """Type or choose a value at a place."""

    op: Literal["type"]
    path: Path
    text: Annotated[str, Field(max_length=4000)]


class CureAct(BaseModel):
    """Try the cure of a piece of advice."""

    op: Literal["cure"]
    edits: Annotated[list[CureEdit], Field(max_length=2000)]


class SeekAct(BaseModel):
    """Look for the cure of a piece of advice, and try it."""

    op: Literal["seek"]
    code: Path
    about: Path


class AddAct(BaseModel):
    """Add a thing."""

    op: Literal["add"]
    kind: Path


class SetDownAct(BaseModel):
    """Set a part down, in the view of that name or where the last thing stands."""

    op: Literal["set_down"]
    part: Document
    view: Annotated[str, Field(max_length=40)] = ""


class AddViewAct(BaseModel):
    """Add a view on the same eye level."""

    op: Literal["add_view"]
    kind: Path


class RemoveViewAct(BaseModel):
    """Remove a view."""

    op: Literal["remove_view"]
    index: int


class ApartAct(BaseModel):
    """Move the two points of a view apart, what stands in it as large in the world as it can keep."""

    op: Literal["points_apart"]
    index: int


class ThingAct(BaseModel):
    """Remove or copy a thing."""

    op: Literal["remove", "copy"]
    index: int


class TogetherAct(BaseModel):
    """Remove, copy or shift (mm) several things at once."""

    op: Literal["remove_together", "copy_together", "shift_together"]
    indices: Annotated[list[int], Field(min_length=1, max_length=MOST_THINGS)]
    right_mm: Coordinate = 0.0
    up_mm: Coordinate = 0.0


class MoveAct(BaseModel):
    """Move a thing in the order in which they are drawn."""

    op: Literal["move"]
    index: int
    by: Annotated[int, Field(ge=-200, le=200)]


class HidesAct(BaseModel):
    """Say that a thing stands before or behind another one, or say nothing of the two any more."""

    op: Literal["hides"]
    index: int
    other: int
    how: HidesHow


class RenameAct(BaseModel):
    """Call a thing otherwise."""

    op: Literal["rename"]
    index: int
    name: Annotated[str, Field(max_length=60)]


class StepActOn(BaseModel):
    """Change a step: move, join, split, reword, make extra or leave out."""

    op: Literal["step"]
    key: Annotated[str, Field(max_length=120)]
    change: StepAct
    text: Annotated[str, Field(max_length=600)] = ""


class BringBackAct(BaseModel):
    """Tell a step again that was left out."""

    op: Literal["bring_back"]
    key: Annotated[str, Field(max_length=120)]


class ForgetAct(BaseModel):
    """Forget the changes of steps that there are not any more."""

    op: Literal["forget_unused"]


class DragAct(BaseModel):
    """Drag a handle to a page place (mm); where that moves its thing, others go with it."""

    op: Literal["drag"]
    handle: Path
    x: Coordinate
    y: Coordinate
    snap: bool = True
    others: Annotated[list[int], Field(max_length=MOST_THINGS)] = []


Act = Annotated[
    TypeAct
    | CureAct
    | SeekAct
    | AddAct
    | SetDownAct
    | AddViewAct
    | RemoveViewAct
    | ApartAct
    | ThingAct
    | TogetherAct
    | MoveAct
    | HidesAct
    | RenameAct
    | StepActOn
    | BringBackAct
    | ForgetAct
    | DragAct,
    Field(discriminator="op"),
]


class DrawRequest(BaseModel):
    """An exercise to be drawn."""

    exercise: Document


class ShownRequest(DrawRequest):
    """An exercise whose steps are to be shown.

    ``board_mm``: how wide the whole sheet is drawn on a board; 0: none is measured.
    ``times``: so many times as wide as its texts are tall is the picture of a step.
    """

    board_mm: float = Field(0.0, ge=0.0, le=1e6, allow_inf_nan=False)
    times: float = Field(SHOWN, ge=10.0, le=100.0, allow_inf_nan=False)


class ActRequest(DrawRequest):
    """An exercise and what is done to it."""

    act: Act


class DragRequest(DrawRequest):
    """An exercise and a handle that is being dragged."""

    drag: DragAct


class DeskAnswer(BaseModel):
    """The exercise and its whole drawing."""

    exercise: Document
    drawing: Drawing


class DragAnswer(BaseModel):
    """The exercise and its picture; steps and advice are asked for when the hand rests."""

    exercise: Document
    picture: Picture


class KindLine(BaseModel):
    """A kind of thing that can be added."""

    kind: str
    title: str
    adds: str
    hangs: bool
    group: str


@router.get("/kinds")
def kinds() -> list[KindLine]:
    """Return the kinds of things."""
    return [
        KindLine(kind=k.kind, title=k.title, adds=k.adds, hangs=bool(k.hangs), group=k.group) for k in KINDS.values()
    ]


class LevelLine(BaseModel):
    """A level of readers: how it is called, and how large the type of its step sheets is, points."""

    level: Level
    says: str
    type_pt: float


@router.get("/levels")
def levels() -> list[LevelLine]:
    """Return the levels of readers, the youngest first."""
    said = OPTIONS["wording.level"]
    return [LevelLine(level=level, says=said[level], type_pt=RULES[level].type_pt) for level in LEVELS]


@router.post("/draw", response_model=DeskAnswer)
def draw_exercise(body: DrawRequest) -> Response:
    """Return the whole drawing of an exercise."""
    return _answer(read_exercise(body.exercise))


@router.post("/draw-shown", response_model=DeskAnswer)
def draw_exercise_shown(body: ShownRequest) -> Response:
    """Return the whole drawing of an exercise, the texts of its steps where they are clear in pictures."""
    exercise = read_exercise(body.exercise)
    return _written(DeskAnswer(exercise=exercise.document(), drawing=draw_shown(exercise, body.board_mm, body.times)))


@router.post("/act", response_model=DeskAnswer)
def act(body: ActRequest) -> Response:
    """Change an exercise and return it with its drawing."""
    exercise = read_exercise(body.exercise)
    try:
        return _answer(_acted(exercise, body.act))
    except GeometryError as error:
        raise with_working_nearest(exercise, error) from None


@router.post("/drag", response_model=DragAnswer)
def drag(body: DragRequest) -> Response:
    """Move a handle and return the picture only."""
    exercise = _acted(read_exercise(body.exercise), body.drag)
    return _written(DragAnswer(exercise=exercise.document(), picture=draw_picture(exercise)))


def _acted(exercise: Exercise, act: Act) -> Exercise:
    match act:
        case TypeAct():
            return edit.type_at(exercise, act.path, act.text)
        case CureAct():
            return edit.set_all(exercise, act.edits)
        case SeekAct():
            return edit.set_all(exercise, sought_cure(exercise, act.code, act.about))
        case AddAct():
            return add_thing(exercise, act.kind)
        case SetDownAct():
            return set_down(exercise, read_exercise(act.part), act.view)
        case AddViewAct():
            return edit_views.add_view(exercise, act.kind)
        case RemoveViewAct():
            return edit_views.remove_view(exercise, act.index)
        case ApartAct():
            return points_apart(exercise, act.index)
        case ThingAct():
            change_thing = edit_things.remove_thing if act.op == "remove" else edit_things.copy_thing
            return change_thing(exercise, act.index)
        case TogetherAct(op="remove_together"):
            return remove_together(exercise, act.indices)
        case TogetherAct(op="copy_together"):
            return copy_together(exercise, act.indices)
        case TogetherAct():
            return shift_together(exercise, act.indices, (act.right_mm, act.up_mm))
        case MoveAct():
            return edit_things.move_thing(exercise, act.index, act.by)
        case HidesAct():
            return say_hides(exercise, act.index, act.other, act.how)
        case RenameAct():
            return edit_things.rename_thing(exercise, act.index, act.name)
        case StepActOn():
            return change_step(exercise, act.key, act.change, act.text)
        case BringBackAct():
            return bring_back(exercise, act.key)
        case ForgetAct():
            return forget_unused(exercise)
        case DragAct():
            return drag_together(exercise, act.handle, act.x, act.y, act.others, snap=act.snap)


def _answer(exercise: Exercise) -> Response:
    return _written(DeskAnswer(exercise=exercise.document(), drawing=draw(exercise)))


def _written(answer: BaseModel) -> Response:
    """Return an answer as it is: the framework would check and copy it once more, which a drag feels."""
    return Response(answer.model_dump_json(by_alias=True), media_type="application/json")
