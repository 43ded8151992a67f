"""The shelf of exercises, and their versions."""

from collections.abc import Sequence
from datetime import datetime, timedelta

from sqlalchemy import delete, func, select, update
from sqlalchemy.orm import Session

from orthopsis.core.document.document import Exercise
from orthopsis.store.clock import now
from orthopsis.store.codes import new_code
from orthopsis.store.errors import NotFound, Refused, Stale
from orthopsis.store.models import ExercisePicture, ExerciseRow, ExerciseVersion

THIN_EVERY = 25
"""Saves after which earlier versions are thinned."""


def add_exercise(db: Session, owner_id: int, exercise: Exercise) -> ExerciseRow:
    """Put a new exercise on the shelf."""
    row = ExerciseRow(
        owner_id=owner_id,
        title=exercise.title,
        document=exercise.document(),
        version=1,
        code=new_code(),
        updated_at=now(),
    )
    db.add(row)
    db.flush()
    _keep_version(db, row)
    return row


def free_title(db: Session, owner_id: int, title: str) -> str:
    """Return a title that none of the teacher's exercises has: the same, or with a number after it."""
    taken = set(db.scalars(select(ExerciseRow.title).where(ExerciseRow.owner_id == owner_id)))
    numbered = (f"{title[:74]} {number}" for number in range(2, len(taken) + 3))
    return title if title not in taken else next(other for other in numbered if other not in taken)


def list_exercises(db: Session, owner_id: int, *, put_away: bool = False) -> list[ExerciseRow]:
    """Return a teacher's exercises, the last changed first."""
    wanted = select(ExerciseRow).where(ExerciseRow.owner_id == owner_id, ExerciseRow.is_put_away.is_(put_away))
    return list(db.scalars(wanted.order_by(ExerciseRow.updated_at.desc(), ExerciseRow.id.desc())))


def get_exercise(db: Session, owner_id: int, exercise_id: int) -> ExerciseRow:
    """Return an exercise of this teacher.

    Raises:
        NotFound: it is not there, or somebody else's.
    """
    row = db.get(ExerciseRow, exercise_id)
    if row is None or row.owner_id != owner_id:
        raise NotFound("exercise")
    return row


def save_exercise(
    db: Session, owner_id: int, exercise_id: int, exercise: Exercise, base_version: int, save_id: str = ""
) -> ExerciseRow:
    """Save a new state over the version that it was made from.

    Args:
        save_id: what the browser calls this save; said again, because its answer was lost, it is not a second one.

    Raises:
        NotFound: as ``get_exercise``.
        Stale: another version was saved meanwhile; nothing is overwritten.
    """
    row = get_exercise(db, owner_id, exercise_id)
    changed = db.execute(
        update(ExerciseRow)
        .where(ExerciseRow.id == exercise_id, ExerciseRow.version == base_version)
        .values(
            document=exercise.document(), title=exercise.title, version=base_version + 1, updated_at=now(),
            last_save=save_id,
        )
    )  # fmt: skip
    db.refresh(row)
    if changed.rowcount != 1:  # type: ignore[attr-defined]
        if save_id and row.last_save == save_id and row.version == base_version + 1:
            return row
        raise Stale(row.version)
    _keep_version(db, row)
    if row.version % THIN_EVERY == 0:
        _thin_versions(db, row)
    return row


def delete_exercise(db: Session, owner_id: int, exercise_id: int) -> None:
    """Delete an exercise for good, with its versions and lessons; piles and kept sheets stay.

    Raises:
        Refused: it is not put away.
    """
    row = get_exercise(db, owner_id, exercise_id)
    if not row.is_put_away:
        raise Refused("not_put_away", "Only what is put away can be deleted.", "Put it away first.")
    db.delete(row)


def put_away(db: Session, owner_id: int, exercise_id: int, away: bool) -> None:
    """Take an exercise off the shelf, or put it back."""
    get_exercise(db, owner_id, exercise_id).is_put_away = away


def list_versions(db: Session, owner_id: int, exercise_id: int, most: int = 50) -> list[ExerciseVersion]:
    """Return the versions of an exercise, the newest first."""
    get_exercise(db, owner_id, exercise_id)
    wanted = select(ExerciseVersion).where(ExerciseVersion.exercise_id == exercise_id)
    return list(db.scalars(wanted.order_by(ExerciseVersion.version.desc()).limit(most)))


def get_version(db: Session, owner_id: int, exercise_id: int, version: int) -> ExerciseVersion:
    """Return one version.

    Raises:
        NotFound: there is none of that number.
    """
    get_exercise(db, owner_id, exercise_id)
    wanted = select(ExerciseVersion).where(
        ExerciseVersion.exercise_id == exercise_id, ExerciseVersion.version == version
    )
    row = db.scalar(wanted)
    if row is None:
        raise NotFound("version")
    return row


def count_exercises(db: Session, owner_id: int) -> int:
    """Return how many exercises a teacher has."""
    return db.scalar(select(func.count()).select_from(ExerciseRow).where(ExerciseRow.owner_id == owner_id)) or 0


def _keep_version(db: Session, row: ExerciseRow) -> None:
    db.add(ExerciseVersion(exercise_id=row.id, version=row.version, document=row.document, saved_at=row.updated_at))


def _thin_versions(db: Session, row: ExerciseRow) -> None:
    wanted = select(ExerciseVersion.id, ExerciseVersion.saved_at).where(ExerciseVersion.exercise_id == row.id)
    kept = [(i, at) for i, at in db.execute(wanted.order_by(ExerciseVersion.version))]
    superfluous = versions_to_drop(kept, now())
    if superfluous:
        db.execute(delete(ExerciseVersion).where(ExerciseVersion.id.in_(superfluous)))


def versions_to_drop(versions: Sequence[tuple[int, datetime]], today: datetime) -> list[int]:
    """Return the ids of the versions that need not be kept, from (id, when saved), the oldest first.

    All of the last day stay, the last of each hour of the last week, the last of each day before; so does the first.
    """
    last: dict[tuple[int, ...], int] = {}
    for number, at in versions:
        age = today - at
        if age <= timedelta(days=1):
            last[(number, 0, 0, 0, 0)] = number
        else:
            hour = at.hour if age <= timedelta(days=7) else -1
            last[(0, at.year, at.month, at.day, hour)] = number
    stay = {*last.values(), *(number for number, _ in versions[:1])}
    return [number for number, _ in versions if number not in stay]


def kept_picture(db: Session, row: ExerciseRow, made: str) -> bytes | None:
    """Return the small picture of an exercise, if it is kept and was made as ``made`` says."""
    kept = db.get(ExercisePicture, row.id)
    return kept.svg if kept is not None and kept.made == made else None


def keep_picture(db: Session, row: ExerciseRow, made: str, svg: bytes) -> None:
    """Keep the small picture of an exercise in place of an earlier one."""
    db.merge(ExercisePicture(exercise_id=row.id, made=made, svg=svg))
