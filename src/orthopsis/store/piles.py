"""Piles of students' sheets: the queue that is read, the judgements, and what the teacher decided."""

from collections.abc import Mapping, Sequence
from typing import Any

from sqlalchemy import ColumnElement, delete, func, select, update
from sqlalchemy.orm import Session

from orthopsis.store.classes import get_class
from orthopsis.store.clock import KEPT_REMOVED, now
from orthopsis.store.errors import NotFound, Refused
from orthopsis.store.exercises import get_exercise
from orthopsis.store.models import Pile, SchoolClass, SheetPicture, SheetRow, Student

MOST_SHEETS = 80


def add_pile(db: Session, owner_id: int, class_id: int, exercise_id: int) -> Pile:
    """Begin a pile with the exercise as it is now."""
    get_class(db, owner_id, class_id)
    exercise = get_exercise(db, owner_id, exercise_id)
    row = Pile(class_id=class_id, exercise_id=exercise_id, document=exercise.document, created_at=now())
    db.add(row)
    db.flush()
    return row


def list_piles(db: Session, owner_id: int) -> list[Pile]:
    """Return a teacher's piles, the newest first."""
    wanted = select(Pile).join(SchoolClass, SchoolClass.id == Pile.class_id).where(SchoolClass.owner_id == owner_id)
    return list(db.scalars(wanted.order_by(Pile.id.desc())))


def get_pile(db: Session, owner_id: int, pile_id: int) -> Pile:
    """Return a pile of this teacher.

    Raises:
        NotFound: it is not there, or somebody else's.
    """
    row = db.get(Pile, pile_id)
    if row is None:
        raise NotFound("pile")
    get_class(db, owner_id, row.class_id)
    return row


def count_states(db: Session, pile_id: int) -> dict[str, int]:
    """Return how many sheets of a pile are in each state."""
    wanted = select(SheetRow.state, func.count()).where(*_on(pile_id)).group_by(SheetRow.state)
    return dict(db.execute(wanted).all())


def list_sheets(db: Session, pile_id: int) -> list[SheetRow]:
    """Return the sheets of a pile in the order in which they came."""
    return list(db.scalars(select(SheetRow).where(*_on(pile_id)).order_by(SheetRow.id)))


def add_sheet(
    db: Session, pile_id: int, file_name: str, form: str, data: bytes, student_id: int | None = None
) -> SheetRow:
    """Put a sheet on a pile, to be read.

    Raises:
        Refused: the pile is full.
    """
    if sum(count_states(db, pile_id).values()) >= MOST_SHEETS:
        raise Refused("pile_full", f"A pile holds at most {MOST_SHEETS} sheets.", "Begin another pile.")
    row = SheetRow(
        pile_id=pile_id,
        student_id=student_id,
        file_name=file_name[:120],
        form=form,
        state="waiting",
        decisions={},
        added_at=now(),
    )
    db.add(row)
    db.flush()
    db.add(SheetPicture(sheet_id=row.id, kind="upload", data=data))
    return row


def _on(pile_id: int) -> tuple[ColumnElement[bool], ...]:
    return SheetRow.pile_id == pile_id, SheetRow.removed_at.is_(None)


def take_off(db: Session, row: SheetRow) -> None:
    """Take a sheet off its pile; for a while it can be had back."""
    row.removed_at = now()
    if row.state in ("queued", "reading"):
        row.state = "waiting"


def put_back(db: Session, row: SheetRow) -> None:
    """Put a sheet back that was taken off."""
    row.removed_at = None


def purge_removed(db: Session) -> None:
    """Delete the sheets for good that were taken off more than a while ago."""
    db.execute(delete(SheetRow).where(SheetRow.removed_at < now() - KEPT_REMOVED))


def get_sheet(db: Session, owner_id: int, sheet_id: int) -> SheetRow:
    """Return a sheet on one of this teacher's piles.

    Raises:
        NotFound: it is not there, or somebody else's.
    """
    row = db.get(SheetRow, sheet_id)
    if row is None:
        raise NotFound("sheet")
    get_pile(db, owner_id, row.pile_id)
    return row


def sheet_picture(db: Session, sheet_id: int, kind: str) -> bytes:
    """Return a picture of a sheet.

    Raises:
        NotFound: there is none of that kind.
    """
    row = db.get(SheetPicture, (sheet_id, kind))
    if row is None:
        raise NotFound("picture")
    return row.data


def set_picture(db: Session, sheet_id: int, kind: str, data: bytes) -> None:
    """Keep a picture of a sheet in place of an earlier one."""
    db.merge(SheetPicture(sheet_id=sheet_id, kind=kind, data=data))


def queue_pile(db: Session, pile_id: int) -> int:
    """Let all waiting sheets of a pile be read; return how many."""
    return _move(db, pile_id, ("waiting", "failed"), "queued")


def cancel_pile(db: Session, pile_id: int) -> int:
    """Take the sheets that are not yet being read out of the queue; return how many."""
    return _move(db, pile_id, ("queued",), "waiting")


def _move(db: Session, pile_id: int, states: Sequence[str], to: str) -> int:
    changed = db.execute(update(SheetRow).where(*_on(pile_id), SheetRow.state.in_(states)).values(state=to))
    return int(changed.rowcount)  # type: ignore[attr-defined]


def take_queued(db: Session, most: int) -> list[SheetRow]:
    """Return up to ``most`` queued sheets, now marked as being read."""
    wanted = select(SheetRow).where(SheetRow.state == "queued", SheetRow.removed_at.is_(None))
    rows = list(db.scalars(wanted.order_by(SheetRow.id).limit(most)))
    for row in rows:
        row.state = "reading"
    return rows


def requeue_interrupted(db: Session) -> None:
    """After a crash: what was being read is read again."""
    db.execute(update(SheetRow).where(SheetRow.state == "reading").values(state="queued"))


def student_by_code(db: Session, class_id: int, code: str) -> Student | None:
    """Return the student of a class whose printed sheets carry this code."""
    return db.scalar(select(Student).where(Student.class_id == class_id, Student.code == code))


def kept_sheets(db: Session, class_id: int) -> list[tuple[SheetRow, Pile]]:
    """Return the kept sheets of a class with their piles, the oldest first."""
    wanted = (
        select(SheetRow, Pile)
        .join(Pile, Pile.id == SheetRow.pile_id)
        .where(Pile.class_id == class_id, SheetRow.state == "kept", SheetRow.removed_at.is_(None))
        .order_by(SheetRow.kept_at, SheetRow.id)
    )
    return [(sheet, pile) for sheet, pile in db.execute(wanted)]


def set_read(row: SheetRow, result: Mapping[str, Any]) -> None:
    """Write down what was read off a sheet, where its corners were found, and how it was judged."""
    row.state, row.problem = "read", ""
    row.found_by, row.confidence, row.found_corners = (
        result["found_by"],
        result["confidence"],
        result["corners"] or None,
    )
    row.strokes, row.checked = result["strokes"], result["checked"]
    if not row.own_note:
        row.note = str(result["checked"]["note"])
