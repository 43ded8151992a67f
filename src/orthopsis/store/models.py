"""The tables. Every stored thing has an owner, directly or through what it belongs to."""

from datetime import date, datetime, time
from typing import Any

from sqlalchemy import JSON, Date, DateTime, ForeignKey, LargeBinary, String, Text, Time, UniqueConstraint
from sqlalchemy.dialects.mysql import LONGBLOB
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

EXACT = "utf8mb4_bin"
"""How texts are compared that must differ when a person sees a difference, such as an accent."""
Blob = LargeBinary().with_variant(LONGBLOB(), "mysql", "mariadb")


class Base(DeclarativeBase):
    """Base of all tables."""

    type_annotation_map = {dict[str, Any]: JSON, list[Any]: JSON, datetime: DateTime(timezone=False)}  # noqa: RUF012


class Teacher(Base):
    """A person who may sign in."""

    __tablename__ = "teacher"

    id: Mapped[int] = mapped_column(primary_key=True)
    login: Mapped[str] = mapped_column(String(80, collation=EXACT), unique=True)
    name: Mapped[str] = mapped_column(String(80))
    password_hash: Mapped[str] = mapped_column(String(255))
    is_first: Mapped[bool] = mapped_column(default=False)
    is_demo: Mapped[bool] = mapped_column(default=False)
    created_at: Mapped[datetime]


class LoginSession(Base):
    """A signed-in browser; the cookie's value is kept only as a hash."""

    __tablename__ = "login_session"

    token_hash: Mapped[str] = mapped_column(String(64), primary_key=True)
    teacher_id: Mapped[int] = mapped_column(ForeignKey("teacher.id", ondelete="CASCADE"), index=True)
    created_at: Mapped[datetime]
    expires_at: Mapped[datetime]


class KnownBrowser(Base):
    """A browser in which a teacher has signed in before; others' guesses do not lock it out."""

    __tablename__ = "known_browser"

    token_hash: Mapped[str] = mapped_column(String(64), primary_key=True)
    teacher_id: Mapped[int] = mapped_column(ForeignKey("teacher.id", ondelete="CASCADE"), index=True)
    seen_at: Mapped[datetime]


class WrongTry(Base):
    """A wrong password, kept for as long as it slows the next try; ``whose`` is a sign-in name and a browser."""

    __tablename__ = "wrong_try"

    id: Mapped[int] = mapped_column(primary_key=True)
    whose: Mapped[str] = mapped_column(String(64), index=True)
    at: Mapped[datetime]


class Once(Base):
    """What may happen only once, by name: the first account."""

    __tablename__ = "once"

    name: Mapped[str] = mapped_column(String(40), primary_key=True)


class SchoolClass(Base):
    """A class of a teacher."""

    __tablename__ = "school_class"

    id: Mapped[int] = mapped_column(primary_key=True)
    owner_id: Mapped[int] = mapped_column(ForeignKey("teacher.id", ondelete="CASCADE"), index=True)
    name: Mapped[str] = mapped_column(String(80))
    created_at: Mapped[datetime]


class Student(Base):
    """A student, known by an alias only; the code stands on printed sheets."""

    __tablename__ = "student"
    __table_args__ = (UniqueConstraint("class_id", "alias"),)

    id: Mapped[int] = mapped_column(primary_key=True)
    class_id: Mapped[int] = mapped_column(ForeignKey("school_class.id", ondelete="CASCADE"), index=True)
    alias: Mapped[str] = mapped_column(String(40, collation=EXACT))
    code: Mapped[str] = mapped_column(String(12), unique=True)


class ExerciseRow(Base):
    """An exercise: its newest document. ``version`` grows with every save."""

    __tablename__ = "exercise"

    id: Mapped[int] = mapped_column(primary_key=True)
    owner_id: Mapped[int] = mapped_column(ForeignKey("teacher.id", ondelete="CASCADE"), index=True)
    title: Mapped[str] = mapped_column(String(80))
    document: Mapped[dict[str, Any]]
    version: Mapped[int] = mapped_column(default=1)
    code: Mapped[str] = mapped_column(String(12), unique=True)
    is_put_away: Mapped[bool] = mapped_column(default=False)
    updated_at: Mapped[datetime]
    last_save: Mapped[str] = mapped_column(String(40), default="")
    """What the browser calls the save that made this version, so that saying it twice is saying it once."""


class ExerciseVersion(Base):
    """An earlier document of an exercise."""

    __tablename__ = "exercise_version"
    __table_args__ = (UniqueConstraint("exercise_id", "version"),)

    id: Mapped[int] = mapped_column(primary_key=True)
    exercise_id: Mapped[int] = mapped_column(ForeignKey("exercise.id", ondelete="CASCADE"))
    version: Mapped[int]
    document: Mapped[dict[str, Any]]
    saved_at: Mapped[datetime]


class ExercisePicture(Base):
    """The small picture of an exercise's finished sheet; ``made`` names the version and the drawer it is of."""

    __tablename__ = "exercise_picture"

    exercise_id: Mapped[int] = mapped_column(ForeignKey("exercise.id", ondelete="CASCADE"), primary_key=True)
    made: Mapped[str] = mapped_column(String(40))
    svg: Mapped[bytes] = mapped_column(Blob)


class PartRow(Base):
    """Some things of an exercise, kept under a name; the document is an exercise that holds only them."""

    __tablename__ = "part"

    id: Mapped[int] = mapped_column(primary_key=True)
    owner_id: Mapped[int] = mapped_column(ForeignKey("teacher.id", ondelete="CASCADE"), index=True)
    name: Mapped[str] = mapped_column(String(80))
    document: Mapped[dict[str, Any]]
    kept_at: Mapped[datetime]


class Lesson(Base):
    """A lesson: which class does which exercise, from which step; one that was removed can be had back for a while."""

    __tablename__ = "lesson"

    id: Mapped[int] = mapped_column(primary_key=True)
    class_id: Mapped[int] = mapped_column(ForeignKey("school_class.id", ondelete="CASCADE"), index=True)
    exercise_id: Mapped[int] = mapped_column(ForeignKey("exercise.id", ondelete="CASCADE"), index=True)
    on_date: Mapped[date] = mapped_column(Date)
    start_step: Mapped[int] = mapped_column(default=1)
    remark: Mapped[str] = mapped_column(String(200), default="")
    at_time: Mapped[time | None] = mapped_column(Time)
    materials: Mapped[str] = mapped_column(String(400), default="")
    removed_at: Mapped[datetime | None]


class Pile(Base):
    """The sheets of one class for one exercise, as the exercise was when they were drawn; it outlives the exercise."""

    __tablename__ = "pile"

    id: Mapped[int] = mapped_column(primary_key=True)
    class_id: Mapped[int] = mapped_column(ForeignKey("school_class.id", ondelete="CASCADE"), index=True)
    exercise_id: Mapped[int | None] = mapped_column(ForeignKey("exercise.id", ondelete="SET NULL"), index=True)
    document: Mapped[dict[str, Any]]
    created_at: Mapped[datetime]


class SheetRow(Base):
    """A student's sheet; one that was taken off the pile can be had back for a while.

    ``state``: waiting, queued, reading, read, not_found, failed, kept.
    """

    __tablename__ = "sheet"

    id: Mapped[int] = mapped_column(primary_key=True)
    pile_id: Mapped[int] = mapped_column(ForeignKey("pile.id", ondelete="CASCADE"), index=True)
    student_id: Mapped[int | None] = mapped_column(ForeignKey("student.id", ondelete="SET NULL"), index=True)
    file_name: Mapped[str] = mapped_column(String(120))
    form: Mapped[str] = mapped_column(String(8))
    state: Mapped[str] = mapped_column(String(12), index=True)
    problem: Mapped[str] = mapped_column(String(300), default="")
    found_by: Mapped[str] = mapped_column(String(16), default="")
    confidence: Mapped[float] = mapped_column(default=0.0)
    corners: Mapped[list[Any] | None]
    """Placed by hand, photo pixels from lower left; ``found_corners`` are those that were found."""
    found_corners: Mapped[list[Any] | None]
    strokes: Mapped[list[Any] | None]
    checked: Mapped[dict[str, Any] | None]
    decisions: Mapped[dict[str, Any]] = mapped_column(default=dict)
    note: Mapped[str] = mapped_column(Text, default="")
    remark: Mapped[str] = mapped_column(Text, default="")
    added_at: Mapped[datetime]
    kept_at: Mapped[datetime | None]
    removed_at: Mapped[datetime | None]
    own_note: Mapped[bool] = mapped_column(default=False)
    """Whether the note is in the teacher's own words, which no later decision overwrites."""


class SheetPicture(Base):
    """A sheet's pixels: ``upload`` (re-encoded, without metadata) and ``flat`` (laid flat)."""

    __tablename__ = "sheet_picture"

    sheet_id: Mapped[int] = mapped_column(ForeignKey("sheet.id", ondelete="CASCADE"), primary_key=True)
    kind: Mapped[str] = mapped_column(String(8), primary_key=True)
    data: Mapped[bytes] = mapped_column(Blob)
