"""Who is asking? Sessions, cookies, and requests from other sites."""

import time
from collections.abc import Iterator
from typing import Annotated

from fastapi import Cookie, Depends, Request, Response
from fastapi.concurrency import run_in_threadpool
from sqlalchemy.orm import Session
from starlette.datastructures import State
from starlette.requests import HTTPConnection

from orthopsis.app.problems import Refusal
from orthopsis.app.settings import Settings
from orthopsis.store import teachers
from orthopsis.store.models import Teacher

COOKIE = "orthopsis_session"
BROWSER_COOKIE = "orthopsis_browser"
REMEMBERED_S = 10.0
MOST_REMEMBERED = 2000


def database(request: Request) -> Iterator[Session]:
    """One session for each request; what its endpoint does not commit is rolled back."""
    with request.app.state.sessions() as db:
        yield db


Db = Annotated[Session, Depends(database, scope="function")]


def current_teacher(db: Db, orthopsis_session: Annotated[str | None, Cookie()] = None) -> Teacher:
    """Return who is signed in.

    Raises:
        Refusal: nobody.
    """
    teacher = teachers.session_teacher(db, orthopsis_session) if orthopsis_session else None
    if teacher is None:
        raise _signed_out()
    return teacher


Me = Annotated[Teacher, Depends(current_teacher)]


class SignedIn:
    """Remembers for a moment which tokens were good, so that a drag does not ask the database at every move."""

    def __init__(self) -> None:
        self._until: dict[str, float] = {}

    def knows(self, token: str) -> bool:
        """Tell whether the token was good a moment ago."""
        return self._until.get(token, 0.0) > time.monotonic()

    def remember(self, token: str) -> None:
        """Remember a token that the database knows."""
        if len(self._until) > MOST_REMEMBERED:
            self._until.clear()
        self._until[token] = time.monotonic() + REMEMBERED_S

    def forget(self) -> None:
        """Forget all tokens: somebody has signed out or changed a password."""
        self._until.clear()


async def signed_in(request: Request, orthopsis_session: Annotated[str | None, Cookie()] = None) -> None:
    """Let pass who is signed in, without saying who; for questions that touch nothing kept.

    Raises:
        Refusal: nobody is.
    """
    memory: SignedIn = request.app.state.signed_in
    if orthopsis_session and memory.knows(orthopsis_session):
        return
    if not await run_in_threadpool(is_signed_in, request.app.state, orthopsis_session):
        raise _signed_out()
    memory.remember(str(orthopsis_session))


def is_signed_in(state: State, token: str | None) -> bool:
    """Tell whether the database knows a token."""
    with state.sessions() as db:
        return token is not None and teachers.session_teacher(db, token) is not None


def _signed_out() -> Refusal:
    return Refusal(401, "signed_out", "You are not signed in.", "Sign in; what you did stays in this window.")


def set_cookies(response: Response, token: str, browser: str) -> None:
    """Hand the browser its session, and by what it is known when its teacher signs in again."""
    for name, value, days in ((COOKIE, token, teachers.SESSION_DAYS), (BROWSER_COOKIE, browser, 365)):
        response.set_cookie(name, value, max_age=days * 86400, httponly=True, samesite="strict", path="/")


def is_other_site(asked: HTTPConnection) -> bool:
    """Tell whether the browser says that a request or a socket comes from another site."""
    site = asked.headers.get("sec-fetch-site", "same-origin")
    origin = asked.headers.get("origin")
    host = asked.headers.get("host", "")
    return site not in ("same-origin", "none") or bool(origin and origin.partition("://")[2] != host)


def is_other_host(asked: HTTPConnection) -> bool:
    """Tell whether the address that the browser asked at is none of the application's own.

    A foreign name may be made to point to this machine, and its pages would then be of one site with ours.
    """
    name = asked.headers.get("host", "").rpartition("]")[2].partition(":")[0]
    settings: Settings = asked.app.state.settings
    return name not in settings.hosts


async def refuse_other_sites(asked: HTTPConnection) -> None:
    """Refuse a request at another name, and a changing one that another site's page has sent.

    Raises:
        Refusal: the browser says it comes from elsewhere.
    """
    if asked.scope["type"] != "http":
        return  # a socket refuses by itself
    if is_other_host(asked):
        raise Refusal(403, "other_host", "Orthopsis is not at this address.", "Open http://127.0.0.1 and its port.")
    if asked.scope["method"] not in ("GET", "HEAD", "OPTIONS") and is_other_site(asked):
        raise Refusal(403, "other_site", "This request comes from another site.", "Open the application itself.")
