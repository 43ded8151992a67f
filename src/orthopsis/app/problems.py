"""One map from everything that can go wrong to what the screen is told.

Every answer that is not 2xx has the same shape: code, why, what to do, and where it belongs.
"""

import logging
import shutil
from pathlib import Path
from typing import Any

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import BaseModel, ConfigDict
from sqlalchemy.exc import DBAPIError, InterfaceError, OperationalError
from sqlalchemy.exc import TimeoutError as PoolTimeout
from starlette.exceptions import HTTPException

from orthopsis.core.document.place import read_place
from orthopsis.core.errors import GeometryError
from orthopsis.store.errors import NotFound, Stale, StoreError
from orthopsis.store.guesses import TooManyTries
from orthopsis.store.server import LEAST_ROOM_BYTES

log = logging.getLogger(__name__)


class Problem(BaseModel):
    """What went wrong, why, and what to do.

    ``about`` is the place in the exercise, ``sentence`` the sentence that says it, ``nearest`` what works there.
    """

    model_config = ConfigDict(json_schema_serialization_defaults_required=True)

    code: str
    why: str
    fix: str
    about: str = ""
    sentence: str = ""
    nearest: str = ""
    version: int | None = None


class Refusal(Exception):
    """A request that is refused with a status of its own."""

    def __init__(self, status: int, code: str, why: str, fix: str) -> None:
        super().__init__(why)
        self.status = status
        self.problem = Problem(code=code, why=why, fix=fix)


def problem_of(error: GeometryError) -> Problem:
    """Return what the screen is told of something that cannot be drawn."""
    try:
        sentence = read_place(error.about).whole.path
    except GeometryError:  # it is not about a place of the exercise
        sentence = ""
    return Problem(
        code=error.code, why=error.why, fix=error.fix, about=error.about, sentence=sentence, nearest=error.nearest
    )


PROBLEMS: dict[int | str, dict[str, Any]] = {
    status: {"model": Problem} for status in (401, 403, 404, 409, 413, 422, 429, 503)
}


def install(app: FastAPI) -> None:
    """Register the map."""

    @app.exception_handler(Refusal)
    def refusal(_: Request, error: Refusal) -> JSONResponse:
        return _answer(error.status, error.problem)

    @app.exception_handler(GeometryError)
    def geometry(_: Request, error: GeometryError) -> JSONResponse:
        return _answer(422, problem_of(error))

    @app.exception_handler(StoreError)
    def store(_: Request, error: StoreError) -> JSONResponse:
        status = 404 if isinstance(error, NotFound) else 429 if isinstance(error, TooManyTries) else 409
        version = error.version if isinstance(error, Stale) else None
        return _answer(status, Problem(code=error.code, why=error.why, fix=error.fix, version=version))

    @app.exception_handler(RequestValidationError)
    def invalid(_: Request, error: RequestValidationError) -> JSONResponse:
        fault = error.errors()[0]
        place = ".".join(str(part) for part in fault["loc"][1:])
        why = f"The request cannot be used: {place or 'its body'}: {fault['msg']}."
        return _answer(422, Problem(code="bad_request", why=why, fix="Load the page again and repeat it.", about=place))

    @app.exception_handler(HTTPException)
    def http(_: Request, error: HTTPException) -> JSONResponse:
        return _answer(error.status_code, Problem(code="http", why=str(error.detail), fix="Go back and try again."))

    for gone in (OperationalError, InterfaceError, PoolTimeout):
        app.exception_handler(gone)(_database_gone)
    app.exception_handler(DBAPIError)(_database_refused)
    app.exception_handler(UnicodeEncodeError)(_no_text)


def _database_gone(request: Request, error: Exception) -> JSONResponse:
    log.warning("the database does not answer: %s", error)
    data: Path | None = request.app.state.settings.data
    if data is not None and shutil.disk_usage(data).free < LEAST_ROOM_BYTES:
        why = "The disk of this computer is full, so nothing can be kept just now."
        return _answer(
            503, Problem(code="disk_full", why=why, fix="Make room on it; it is then tried again by itself.")
        )
    why = "The database does not answer just now."
    return _answer(503, Problem(code="database_gone", why=why, fix="Nothing is lost: it is tried again by itself."))


def _database_refused(_: Request, error: Exception) -> JSONResponse:
    log.warning("the database refused: %s", error)
    return _answer(422, Problem(code="cannot_keep", why="This cannot be kept.", fix="Change it and try again."))


def _no_text(_: Request, __: Exception) -> JSONResponse:
    why = "The text holds half a character, which cannot be kept."
    return _answer(422, Problem(code="no_text", why=why, fix="Type it again."))


def unexpected() -> JSONResponse:
    """Return what is said when something went wrong that nobody thought of."""
    why = "Something went wrong in the application; it is written down in its log."
    return _answer(500, Problem(code="unexpected", why=why, fix="Try again; if it comes back, restart Orthopsis."))


def _answer(status: int, problem: Problem) -> JSONResponse:
    # What was asked may stand in the answer, and may hold halves of characters that no answer can carry.
    said = {
        k: v.encode(errors="replace").decode() if isinstance(v, str) else v for k, v in problem.model_dump().items()
    }
    return JSONResponse(said, status_code=status)
