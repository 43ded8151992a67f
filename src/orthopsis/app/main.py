"""The application: routers, error map, headers, the built front end."""

import logging
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path

from fastapi import Depends, FastAPI, Response
from fastapi.responses import FileResponse
from starlette.datastructures import MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from orthopsis import __version__
from orthopsis.app import desk, dragging, own_sheets, parts, pile, problems, register, sheets, shelf, signing_in, today
from orthopsis.app.problems import Problem, Refusal
from orthopsis.app.session import SignedIn, refuse_other_sites
from orthopsis.app.settings import Settings
from orthopsis.app.workroom import Workroom
from orthopsis.store.engine import open_engine, open_sessions

log = logging.getLogger(__name__)
MOST_BODY_BYTES = 32_000_000
MOST_FILE_S, MOST_FILE_BYTES = 20.0, 1_500_000_000
"""What looking at one uploaded file, or drawing one page as a picture, may take."""
_HEADERS = {
    "Content-Security-Policy": "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; "
    "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'self'",
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
}


def create_app(settings: Settings) -> FastAPI:
    """Return the application on an already migrated database."""
    engine = open_engine(settings.database_url)
    sessions = open_sessions(engine)

    @asynccontextmanager
    async def lifespan(app: FastAPI) -> AsyncIterator[None]:
        yield
        app.state.files.close()
        engine.dispose()

    app = FastAPI(
        title="Orthopsis", version=__version__, lifespan=lifespan, dependencies=[Depends(refuse_other_sites)],
        docs_url=None, redoc_url=None, openapi_url="/api/openapi.json",
    )  # fmt: skip
    app.state.settings = settings
    app.state.sessions = sessions
    app.state.signed_in = SignedIn()
    app.state.files = Workroom(1, most_s=MOST_FILE_S, most_bytes=MOST_FILE_BYTES)
    problems.install(app)
    app.add_middleware(BodyLimit)
    app.add_middleware(Headers)
    for module in (signing_in, desk, dragging, shelf, parts, own_sheets, register, today, pile, sheets):
        app.include_router(module.router)
    _serve_front_end(app, settings)

    return app


def _serve_front_end(app: FastAPI, settings: Settings) -> None:
    dist = settings.dist.resolve()

    @app.get("/api/{rest:path}", include_in_schema=False)
    def unknown(rest: str) -> None:
        raise Refusal(404, "no_such_address", "There is nothing at this address.", "Go back to Today.")

    @app.get("/{path:path}", include_in_schema=False)
    def front_end(path: str) -> FileResponse:
        """Serve a built file, or the one page that every other address belongs to."""
        wanted = _built_file(dist, path)
        if wanted is not None:
            lasting = "assets/" in path
            cache = "public, max-age=31536000, immutable" if lasting else "no-cache"
            return FileResponse(wanted, headers={"Cache-Control": cache})
        return FileResponse(dist / "index.html", headers={"Cache-Control": "no-cache"})


def _built_file(dist: Path, path: str) -> Path | None:
    try:
        wanted = (dist / path).resolve()
        return wanted if path and wanted.is_relative_to(dist) and wanted.is_file() else None
    except (OSError, ValueError):
        return None  # no file has such a name


class Headers:
    """Adds the headers that keep a page to itself, to faults of our own too; data is kept in no cache."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        began = False

        async def with_headers(message: Message) -> None:
            nonlocal began
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                for name, value in _HEADERS.items():
                    headers.setdefault(name, value)
                if scope["path"].startswith("/api/"):
                    headers.setdefault("Cache-Control", "no-store")
                began = True
            await send(message)

        if scope["type"] != "http":
            await self._app(scope, receive, send)
            return
        try:
            await self._app(scope, receive, with_headers)
        except Exception:
            log.exception("%s %s failed", scope["method"], scope["path"])
            if began:
                raise
            await problems.unexpected()(scope, receive, with_headers)


class BodyLimit:
    """Refuses bodies that are larger than any upload may be, whether they say so or not."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            await self._app(scope, receive, send)
            return
        stated = dict(scope["headers"]).get(b"content-length", b"0")
        if not stated.isdigit() or len(stated) > 12 or int(stated) > MOST_BODY_BYTES:
            await _refuse_large(scope, receive, send)
            return
        received = 0

        async def counted() -> Message:
            nonlocal received
            message = await receive()
            received += len(message.get("body", b""))
            if received > MOST_BODY_BYTES:
                raise Refusal(413, "too_large", "The file is too large.", "30 MB is the most.")
            return message

        await self._app(scope, counted, send)


async def _refuse_large(scope: Scope, receive: Receive, send: Send) -> None:
    problem = Problem(code="too_large", why="The file is too large.", fix="30 MB is the most.")
    response = Response(problem.model_dump_json(), status_code=413, media_type="application/json")
    await response(scope, receive, send)
