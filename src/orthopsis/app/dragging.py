"""A handle being dragged: a conversation over one socket, so that a move costs neither a new request nor the document.

The browser says ``{"exercise": ..., "drag": ...}`` first and is answered ``{"picture": ...}``; then it says ``{"drag":
...}`` for each move and is answered ``{"change": ...}``: what is other in the picture. ``{"problem": ...}`` says that a
move is refused; it leaves all as it was. ``{"rest": true}`` is answered ``{"exercise": ...}``. Nothing is kept.
"""

from dataclasses import dataclass

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel, ConfigDict, ValidationError

from orthopsis.app.desk import Document, DragAct
from orthopsis.app.problems import Problem, problem_of
from orthopsis.app.session import COOKIE, is_other_host, is_other_site, is_signed_in
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.drawing.change import PictureChange, change
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw_moving, draw_picture

router = APIRouter()
REFUSED = 1008
"""Code of a socket that is closed because nobody is signed in or another site asks (RFC 6455)."""


class DragMessage(BaseModel):
    """What the browser says."""

    model_config = ConfigDict(extra="forbid")

    exercise: Document | None = None
    drag: DragAct | None = None
    rest: bool = False


class PictureReply(BaseModel):
    """The picture after the first move."""

    picture: Picture


class ChangeReply(BaseModel):
    """What is other in the picture after a further move."""

    change: PictureChange


class ExerciseReply(BaseModel):
    """The exercise as the hand has left it."""

    exercise: Document


class ProblemReply(BaseModel):
    """Why a move cannot be made."""

    problem: Problem


Reply = PictureReply | ChangeReply | ExerciseReply | ProblemReply


@dataclass(frozen=True, slots=True)
class Held:
    """What is being dragged: the exercise as it is, and the picture that the browser shows of it, if any."""

    exercise: Exercise
    shown: Picture | None = None


@router.websocket("/api/desk/dragging")
async def dragging(socket: WebSocket) -> None:
    """Answer the moves of a handle until the browser leaves."""
    is_foreign = is_other_host(socket) or is_other_site(socket)
    if is_foreign or not await run_in_threadpool(is_signed_in, socket.app.state, socket.cookies.get(COOKIE)):
        await socket.close(REFUSED)
        return
    await socket.accept()
    held: Held | None = None
    try:
        while True:
            message = await socket.receive()
            if message["type"] == "websocket.disconnect":
                return
            text = message.get("text") or (message.get("bytes") or b"").decode(errors="replace")
            held, reply = await run_in_threadpool(_moved, held, text)
            await socket.send_text(reply)
    except WebSocketDisconnect:
        return


def _moved(held: Held | None, text: str) -> tuple[Held | None, str]:
    """Return what is held after a message, and the reply."""
    try:
        reply: Reply
        message = DragMessage.model_validate_json(text)
        if message.exercise is not None:
            held = Held(read_exercise(message.exercise))
        held, reply = _answer(held, message)
    except GeometryError as error:
        reply = ProblemReply(problem=problem_of(error))
    except ValidationError as error:
        reply = _unusable(f"The message cannot be used: {error.errors()[0]['msg']}.")
    return held, reply.model_dump_json(by_alias=True)


def _answer(held: Held | None, message: DragMessage) -> tuple[Held | None, Reply]:
    if held is None:
        return None, _unusable("Nothing is being dragged.")
    if message.drag is None:
        return held, ExerciseReply(exercise=held.exercise.document())
    act = message.drag
    moved = drag_together(held.exercise, act.handle, act.x, act.y, act.others, snap=act.snap)
    if held.shown is None:
        picture = draw_picture(moved)
        return Held(moved, picture), PictureReply(picture=picture)
    picture = draw_moving(moved)
    return Held(moved, picture), ChangeReply(change=change(held.shown, picture))


def _unusable(why: str) -> ProblemReply:
    return ProblemReply(problem=Problem(code="bad_request", why=why, fix="Load the page again and repeat it."))
