"""Who may sign in, and who is signed in."""

import hashlib
import secrets
import unicodedata
from datetime import timedelta

from pwdlib import PasswordHash
from sqlalchemy import delete, func, select
from sqlalchemy.exc import IntegrityError
from sqlalchemy.orm import Session
from zxcvbn import zxcvbn

from orthopsis.store.clock import now
from orthopsis.store.errors import NotFound, Refused
from orthopsis.store.models import LoginSession, Once, Teacher

SESSION_DAYS = 14
LEAST_PASSWORD = 8
MOST_PASSWORD = 200
LEAST_GUESSES = 10**6
"""So many guesses a password must withstand, as its library estimates them: days, at what signing in allows."""
_LOOKED_AT = 72
"""Characters of a password that are looked at for how easily it is guessed; longer ones would take long to judge."""
_HASHER = PasswordHash.recommended()
_NOBODY = _HASHER.hash(secrets.token_hex(8))


class WrongPassword(Refused):
    """The present password was not given."""


def tidy_login(login: str) -> str:
    """Return a sign-in name in the one form in which it is kept, compared and counted."""
    return unicodedata.normalize("NFKC", login).strip().casefold()


def add_teacher(
    db: Session, login: str, name: str, password: str, *, is_first: bool = False, is_demo: bool = False
) -> Teacher:
    """Add a teacher.

    Raises:
        Refused: the login is taken, the password too short or too easily guessed.
    """
    login = tidy_login(login)
    if not login or not name.strip():
        raise Refused("empty_name", "A name and a sign-in name are needed.", "Type both.")
    if not is_demo:
        _check_password(password, login, name)
    teacher = Teacher(
        login=login,
        name=name.strip()[:80],
        password_hash=_HASHER.hash(password),
        is_first=is_first,
        is_demo=is_demo,
        created_at=now(),
    )
    try:
        with db.begin_nested():
            db.add(teacher)
    except IntegrityError:
        raise Refused("login_taken", "This sign-in name is taken.", "Choose another one.") from None
    return teacher


def add_first_teacher(db: Session, login: str, name: str, password: str) -> Teacher:
    """Open the first account, which can happen only once, however many try at the same moment.

    Raises:
        Refused: there is a first teacher; else as ``add_teacher``.
    """
    try:
        with db.begin_nested():
            db.add(Once(name="first account"))
    except IntegrityError:
        raise Refused("not_first", "There is a first teacher already.", "Ask them to add you.") from None
    return add_teacher(db, login, name, password, is_first=True)


def is_only_demo(db: Session) -> bool:
    """Tell whether no real teacher has an account yet."""
    return not db.scalar(select(func.count()).select_from(Teacher).where(Teacher.is_demo.is_(False)))


def demo_teacher(db: Session) -> Teacher | None:
    """Return the teacher of the demonstration, if there is one."""
    return db.scalar(select(Teacher).where(Teacher.is_demo.is_(True)).limit(1))


def check_password(db: Session, login: str, password: str) -> Teacher | None:
    """Return the teacher with this sign-in name and password, in the same time whether the name is known or not.

    The password of the demonstration is known to everybody: it opens nothing once a teacher has an account.
    """
    teacher = find_teacher(db, login)
    known = teacher.password_hash if teacher is not None else _NOBODY
    is_right = _HASHER.verify(password[:MOST_PASSWORD], known)
    return teacher if teacher is not None and is_right and _may_enter(db, teacher) else None


def find_teacher(db: Session, login: str) -> Teacher | None:
    """Return the teacher with this sign-in name."""
    return db.scalar(select(Teacher).where(Teacher.login == tidy_login(login)))


def _may_enter(db: Session, teacher: Teacher) -> bool:
    return not teacher.is_demo or is_only_demo(db)


def change_password(db: Session, teacher: Teacher, old: str, new: str) -> None:
    """Change a password and sign out every other browser.

    Raises:
        Refused: the old one is wrong or the new one too short.
    """
    if not _HASHER.verify(old[:MOST_PASSWORD], teacher.password_hash):
        raise WrongPassword("wrong_password", "The present password is not right.", "Type it again.")
    _check_password(new, teacher.login, teacher.name)
    teacher.password_hash = _HASHER.hash(new)
    db.execute(delete(LoginSession).where(LoginSession.teacher_id == teacher.id))


def list_teachers(db: Session) -> list[Teacher]:
    """Return all teachers, the first one first."""
    return list(db.scalars(select(Teacher).order_by(Teacher.id)))


def remove_teacher(db: Session, teacher_id: int) -> None:
    """Remove a teacher with everything that is theirs.

    Raises:
        NotFound: there is none.
        Refused: the first teacher stays.
    """
    teacher = db.get(Teacher, teacher_id)
    if teacher is None:
        raise NotFound("teacher")
    if teacher.is_first:
        raise Refused("first_stays", "The first teacher's account stays.", "Add another teacher in place of it.")
    db.delete(teacher)


def open_session(db: Session, teacher: Teacher) -> str:
    """Return a new session's token; only its hash is kept."""
    token = secrets.token_urlsafe(32)
    start = now()
    db.execute(delete(LoginSession).where(LoginSession.expires_at < start))
    db.add(
        LoginSession(
            token_hash=token_hash(token),
            teacher_id=teacher.id,
            created_at=start,
            expires_at=start + timedelta(days=SESSION_DAYS),
        )
    )
    return token


def session_teacher(db: Session, token: str) -> Teacher | None:
    """Return who is signed in with this token."""
    row = db.get(LoginSession, token_hash(token))
    if row is None or row.expires_at < now():
        return None
    teacher = db.get(Teacher, row.teacher_id)
    return teacher if teacher is not None and _may_enter(db, teacher) else None


def close_session(db: Session, token: str) -> None:
    """Sign out."""
    db.execute(delete(LoginSession).where(LoginSession.token_hash == token_hash(token)))


def token_hash(token: str) -> str:
    """Return what is kept of a browser's token."""
    return hashlib.sha256(token.encode()).hexdigest()


def _check_password(password: str, login: str, name: str) -> None:
    if not LEAST_PASSWORD <= len(password) <= MOST_PASSWORD:
        raise Refused(
            "short_password",
            f"A password has {LEAST_PASSWORD} to {MOST_PASSWORD} characters.",
            "Choose a longer one.",
        )
    looked_at = zxcvbn(password[:_LOOKED_AT], user_inputs=[login, name])
    if looked_at["guesses"] < LEAST_GUESSES:
        raise Refused(
            "easy_password",
            "This password is one of the first that somebody would guess.",
            "Put two or three words together that have nothing to do with each other.",
        )
