"""Who is asking? Sessions, cookies, rate limits, and requests from other sites."""

from collections.abc import Iterator
from typing import Annotated

from fastapi import Cookie, Depends, Request, Response
from limits import RateLimitItem, parse
from limits.storage import MemoryStorage
from limits.strategies import MovingWindowRateLimiter
from sqlalchemy.orm import Session

from orthopsis.app.problems import Refusal
from orthopsis.store import teachers
from orthopsis.store.models import Teacher

COOKIE = "orthopsis_session"
SIGN_IN_LIMIT = parse("10/minute")
SIGN_IN_LIMIT_ALL = parse("60/minute")


class Limiter:
    """Counts tries in moving windows, in memory."""

    def __init__(self) -> None:
        self._window = MovingWindowRateLimiter(MemoryStorage())

    def hit(self, limit: RateLimitItem, *key: str) -> None:
        """Count one try.

        Raises:
            Refusal: too many.
        """
        if not self._window.hit(limit, *key):
            raise Refusal(429, "too_many_tries", "Too many tries.", "Wait a minute and try again.")


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
        raise Refusal(401, "signed_out", "You are not signed in.", "Sign in; what you did stays in this window.")
    return teacher


Me = Annotated[Teacher, Depends(current_teacher)]


def set_cookie(response: Response, token: str) -> None:
    """Hand the browser its session."""
    response.set_cookie(
        COOKIE, token, max_age=teachers.SESSION_DAYS * 86400, httponly=True, samesite="strict", path="/"
    )


def refuse_other_sites(request: Request) -> None:
    """Refuse a changing request that another site's page has sent.

    Raises:
        Refusal: the browser says it comes from elsewhere.
    """
    if request.method in ("GET", "HEAD", "OPTIONS"):
        return
    site = request.headers.get("sec-fetch-site", "same-origin")
    origin = request.headers.get("origin")
    host = request.headers.get("host", "")
    if site not in ("same-origin", "none") or (origin and origin.partition("://")[2] != host):
        raise Refusal(403, "other_site", "This request comes from another site.", "Open the application itself.")
