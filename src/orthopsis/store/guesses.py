"""Guessing a password is slowed down, without locking out the one who knows it.

Wrong tries are counted for a sign-in name; a browser in which that teacher has signed in before has a count of its
own, so that somebody else's guesses do not shut it out. They are kept in the database: all serving processes count
together.

Source: the device cookie pattern for online guessing (from memory).
"""

import hashlib
import secrets
from datetime import timedelta

from sqlalchemy import delete, func, select
from sqlalchemy.orm import Session

from orthopsis.store.clock import now
from orthopsis.store.errors import Refused
from orthopsis.store.models import KnownBrowser, Teacher, WrongTry
from orthopsis.store.teachers import find_teacher, tidy_login, token_hash

MOST_WRONG = 10
"""Wrong tries for one name in one minute."""
MOST_WRONG_IN_ALL = 60
"""... and for all names together, from browsers that are not known."""
WINDOW = timedelta(minutes=1)
REMEMBERED = timedelta(days=365)
_ALL = "all"


class TooManyTries(Refused):
    """Somebody guesses; the next try has to wait."""


def check_tries(db: Session, login: str, browser: str) -> None:
    """Let a try pass, or refuse it.

    Args:
        browser: the token of the browser, or empty.

    Raises:
        TooManyTries: too many wrong ones in the last minute.
    """
    whose = _whose(db, login, browser)
    bounds = {whose: MOST_WRONG} if _is_known(db, login, browser) else {whose: MOST_WRONG, _ALL: MOST_WRONG_IN_ALL}
    for one, most in bounds.items():
        wanted = select(func.count()).select_from(WrongTry).where(WrongTry.whose == one, WrongTry.at > now() - WINDOW)
        if (db.scalar(wanted) or 0) >= most:
            raise TooManyTries("too_many_tries", "Too many wrong tries.", "Wait a minute and try again.")


def note_wrong_try(db: Session, login: str, browser: str) -> None:
    """Count a wrong try."""
    db.execute(delete(WrongTry).where(WrongTry.at < now() - WINDOW))
    db.add(WrongTry(whose=_whose(db, login, browser), at=now()))
    if not _is_known(db, login, browser):
        db.add(WrongTry(whose=_ALL, at=now()))


def know_browser(db: Session, teacher: Teacher, browser: str) -> str:
    """Remember the browser in which a teacher has signed in; return its token."""
    db.execute(delete(KnownBrowser).where(KnownBrowser.seen_at < now() - REMEMBERED))
    token = browser if _is_known(db, teacher.login, browser) else secrets.token_urlsafe(24)
    db.merge(KnownBrowser(token_hash=token_hash(token), teacher_id=teacher.id, seen_at=now()))
    return token


def _is_known(db: Session, login: str, browser: str) -> bool:
    row = db.get(KnownBrowser, token_hash(browser)) if browser else None
    teacher = find_teacher(db, login)
    return row is not None and teacher is not None and row.teacher_id == teacher.id


def _whose(db: Session, login: str, browser: str) -> str:
    known = browser if _is_known(db, login, browser) else ""
    return hashlib.sha256(f"{tidy_login(login)}\0{known}".encode()).hexdigest()
