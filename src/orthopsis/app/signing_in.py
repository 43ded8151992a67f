"""Signing in and out, the password, and further teachers."""

from typing import Annotated

from fastapi import APIRouter, Cookie, Request, Response
from pydantic import BaseModel, Field

from orthopsis.app.problems import PROBLEMS, Refusal
from orthopsis.app.session import BROWSER_COOKIE, COOKIE, Db, Me, set_cookies
from orthopsis.store import guesses, teachers
from orthopsis.store.models import Teacher

router = APIRouter(prefix="/api", tags=["session"], responses=PROBLEMS)
Text = Annotated[str, Field(max_length=200)]
Browser = Annotated[str, Cookie(alias=BROWSER_COOKIE, max_length=200)]


class Who(BaseModel):
    """The signed-in teacher."""

    name: str
    login: str
    is_first: bool
    is_demo: bool


class Door(BaseModel):
    """What the sign-in page offers: one click for the demonstration, or the first account."""

    demo: bool
    first: bool


class SignIn(BaseModel):
    """Name and password."""

    login: Text
    password: Text


class NewTeacher(SignIn):
    """A new account."""

    name: Text


class NewPassword(BaseModel):
    """The present password and the new one."""

    old: Text
    new: Text


class TeacherLine(BaseModel):
    """One of the teachers, as the first teacher sees them."""

    id: int
    name: str
    login: str
    is_first: bool
    is_demo: bool


@router.get("/door")
def door(db: Db) -> Door:
    """Tell the sign-in page what it may offer."""
    only_demo = teachers.is_only_demo(db)
    return Door(demo=only_demo and teachers.demo_teacher(db) is not None, first=only_demo)


@router.get("/me")
def me(teacher: Me) -> Who:
    """Return who is signed in."""
    return _who(teacher)


@router.post("/sign-in")
def sign_in(body: SignIn, response: Response, db: Db, browser: Browser = "") -> Who:
    """Sign in with name and password."""
    guesses.check_tries(db, body.login, browser)
    teacher = teachers.check_password(db, body.login, body.password)
    if teacher is None:
        guesses.note_wrong_try(db, body.login, browser)
        db.commit()
        raise Refusal(401, "wrong_sign_in", "Name or password is not right.", "Type them again.")
    return _enter(db, teacher, response, browser)


@router.post("/sign-in/demo")
def sign_in_as_demo(response: Response, db: Db, browser: Browser = "") -> Who:
    """Sign in as the demo teacher, as long as there is no real one."""
    teacher = teachers.demo_teacher(db)
    if teacher is None or not teachers.is_only_demo(db):
        raise Refusal(
            403,
            "no_demo",
            "The demonstration is closed: a teacher has an account.",
            "Sign in with your name.",
        )
    return _enter(db, teacher, response, browser)


@router.post("/sign-in/first")
def open_first_account(body: NewTeacher, response: Response, db: Db, browser: Browser = "") -> Who:
    """Open the first real account; it may add further teachers."""
    if not teachers.is_only_demo(db):
        raise Refusal(403, "not_first", "There is a first teacher already.", "Ask them to add you.")
    teacher = teachers.add_first_teacher(db, body.login, body.name, body.password)
    return _enter(db, teacher, response, browser)


@router.post("/sign-out", status_code=204)
def sign_out(
    request: Request, response: Response, db: Db, orthopsis_session: Annotated[str | None, Cookie()] = None
) -> None:
    """Sign this browser out."""
    if orthopsis_session:
        teachers.close_session(db, orthopsis_session)
        db.commit()
        request.app.state.signed_in.forget()
    response.delete_cookie(COOKIE, path="/")


@router.post("/password")
def change_password(
    body: NewPassword, response: Response, request: Request, db: Db, teacher: Me, browser: Browser = ""
) -> Who:
    """Change the password; other browsers are signed out."""
    guesses.check_tries(db, teacher.login, browser)
    try:
        teachers.change_password(db, teacher, body.old, body.new)
    except teachers.WrongPassword:
        guesses.note_wrong_try(db, teacher.login, browser)
        db.commit()
        raise
    request.app.state.signed_in.forget()
    return _enter(db, teacher, response, browser)


@router.get("/teachers")
def list_teachers(db: Db, teacher: Me) -> list[TeacherLine]:
    """Return all teachers, for the first one."""
    _only_first(teacher)
    return [
        TeacherLine(id=t.id, name=t.name, login=t.login, is_first=t.is_first, is_demo=t.is_demo)
        for t in teachers.list_teachers(db)
    ]


@router.post("/teachers", status_code=201)
def add_teacher(body: NewTeacher, db: Db, teacher: Me) -> TeacherLine:
    """Add a teacher."""
    _only_first(teacher)
    added = teachers.add_teacher(db, body.login, body.name, body.password)
    db.commit()
    return TeacherLine(id=added.id, name=added.name, login=added.login, is_first=False, is_demo=False)


@router.delete("/teachers/{teacher_id}", status_code=204)
def remove_teacher(teacher_id: int, request: Request, db: Db, teacher: Me) -> None:
    """Remove a teacher with everything of theirs."""
    _only_first(teacher)
    teachers.remove_teacher(db, teacher_id)
    db.commit()
    request.app.state.signed_in.forget()


def _only_first(teacher: Teacher) -> None:
    if not teacher.is_first:
        raise Refusal(403, "only_first", "Only the first teacher manages accounts.", "Ask the first teacher.")


def _enter(db: Db, teacher: Teacher, response: Response, browser: str) -> Who:
    token = teachers.open_session(db, teacher)
    known = guesses.know_browser(db, teacher, browser)
    db.commit()
    set_cookies(response, token, known)
    return _who(teacher)


def _who(teacher: Teacher) -> Who:
    return Who(name=teacher.name, login=teacher.login, is_first=teacher.is_first, is_demo=teacher.is_demo)
