"""A handle being dragged: a conversation over one socket, so that a move costs neither a new request nor the document.

The browser says ``{"exercise": ..., "drag": ...}`` first, then ``{"drag": ...}`` for each move, and is answered
``{"picture": ...}`` or ``{"problem": ...}``; a refused move leaves the exercise as it was. ``{"rest": true}`` is
answered ``{"exercise": ...}``. Nothing is kept.
"""

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel, ConfigDict, ValidationError

from orthopsis.app.desk import Document, DragAct
from orthopsis.app.problems import Problem, problem_of
from orthopsis.app.session import COOKIE, is_other_host, is_other_site, is_signed_in
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw_picture

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
    """The picture after a move."""

    picture: Picture


class ExerciseReply(BaseModel):
    """The exercise as the hand has left it."""

    exercise: Document


class ProblemReply(BaseModel):
    """Why a move cannot be made."""

    problem: Problem


Reply = PictureReply | ExerciseReply | ProblemReply


@router.websocket("/api/desk/dragging")
async def dragging(socket: WebSocket) -> None:
    """Answer the moves of a handle until the browser leaves."""
    is_foreign = is_other_host(socket) or is_other_site(socket)
    if is_foreign or not await run_in_threadpool(is_signed_in, socket.app.state, socket.cookies.get(COOKIE)):
        await socket.close(REFUSED)
        return
    await socket.accept()
    exercise: Exercise | None = None
    try:
        while True:
            message = await socket.receive()
            if message["type"] == "websocket.disconnect":
                return
            text = message.get("text") or (message.get("bytes") or b"").decode(errors="replace")
            exercise, reply = await run_in_threadpool(_moved, exercise, text)
            await socket.send_text(reply)
    except WebSocketDisconnect:
        return


def _moved(exercise: Exercise | None, text: str) -> tuple[Exercise | None, str]:
    """Return the exercise after a message, and the reply."""
    try:
        reply: Reply
        message = DragMessage.model_validate_json(text)
        if message.exercise is not None:
            exercise = read_exercise(message.exercise)
        exercise, reply = _answer(exercise, message)
    except GeometryError as error:
        reply = ProblemReply(problem=problem_of(error))
    except ValidationError as error:
        reply = _unusable(f"The message cannot be used: {error.errors()[0]['msg']}.")
    return exercise, reply.model_dump_json(by_alias=True)


def _answer(exercise: Exercise | None, message: DragMessage) -> tuple[Exercise | None, Reply]:
    if exercise is None:
        return None, _unusable("Nothing is being dragged.")
    if message.drag is None:
        return exercise, ExerciseReply(exercise=exercise.document())
    act = message.drag
    moved = drag_together(exercise, act.handle, act.x, act.y, act.others, snap=act.snap)
    return moved, PictureReply(picture=draw_picture(moved))


def _unusable(why: str) -> ProblemReply:
    return ProblemReply(problem=Problem(code="bad_request", why=why, fix="Load the page again and repeat it."))
