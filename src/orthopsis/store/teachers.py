"""Who may sign in, and who is signed in."""

import hashlib
import secrets
from datetime import timedelta

from pwdlib import PasswordHash
from sqlalchemy import delete, func, select
from sqlalchemy.orm import Session

from orthopsis.store.clock import now
from orthopsis.store.errors import NotFound, Refused
from orthopsis.store.models import LoginSession, Teacher

SESSION_DAYS = 14
LEAST_PASSWORD = 8
MOST_PASSWORD = 200
_HASHER = PasswordHash.recommended()
_NOBODY = _HASHER.hash(secrets.token_hex(8))


def add_teacher(
    db: Session, login: str, name: str, password: str, *, is_first: bool = False, is_demo: bool = False
) -> Teacher:
    """Add a teacher.

    Raises:
        Refused: the login is taken or the password too short.
    """
    login = login.strip().lower()
    _check_password(password)
    if not login or not name.strip():
        raise Refused("empty_name", "A name and a sign-in name are needed.", "Type both.")
    if db.scalar(select(Teacher).where(Teacher.login == login)):
        raise Refused("login_taken", "This sign-in name is taken.", "Choose another one.")
    teacher = Teacher(
        login=login,
        name=name.strip(),
        password_hash=_HASHER.hash(password),
        is_first=is_first,
        is_demo=is_demo,
        created_at=now(),
    )
    db.add(teacher)
    db.flush()
    return teacher


def is_only_demo(db: Session) -> bool:
    """Tell whether no real teacher has an account yet."""
    return not db.scalar(select(func.count()).select_from(Teacher).where(Teacher.is_demo.is_(False)))


def demo_teacher(db: Session) -> Teacher | None:
    """Return the teacher of the demonstration, if there is one."""
    return db.scalar(select(Teacher).where(Teacher.is_demo.is_(True)).limit(1))


def check_password(db: Session, login: str, password: str) -> Teacher | None:
    """Return the teacher with this sign-in name and password, in the same time whether the name is known or not."""
    teacher = db.scalar(select(Teacher).where(Teacher.login == login.strip().lower()))
    known = teacher.password_hash if teacher is not None else _NOBODY
    is_right = _HASHER.verify(password[:MOST_PASSWORD], known)
    return teacher if is_right else None


def change_password(db: Session, teacher: Teacher, old: str, new: str) -> None:
    """Change a password and sign out every other browser.

    Raises:
        Refused: the old one is wrong or the new one too short.
    """
    if not _HASHER.verify(old[:MOST_PASSWORD], teacher.password_hash):
        raise Refused("wrong_password", "The present password is not right.", "Type it again.")
    _check_password(new)
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
            token_hash=_hash(token),
            teacher_id=teacher.id,
            created_at=start,
            expires_at=start + timedelta(days=SESSION_DAYS),
        )
    )
    return token


def session_teacher(db: Session, token: str) -> Teacher | None:
    """Return who is signed in with this token."""
    row = db.get(LoginSession, _hash(token))
    if row is None or row.expires_at < now():
        return None
    return db.get(Teacher, row.teacher_id)


def close_session(db: Session, token: str) -> None:
    """Sign out."""
    db.execute(delete(LoginSession).where(LoginSession.token_hash == _hash(token)))


def _hash(token: str) -> str:
    return hashlib.sha256(token.encode()).hexdigest()


def _check_password(password: str) -> None:
    if not LEAST_PASSWORD <= len(password) <= MOST_PASSWORD:
        raise Refused(
            "short_password",
            f"A password has {LEAST_PASSWORD} to {MOST_PASSWORD} characters.",
            "Choose a longer one.",
        )
