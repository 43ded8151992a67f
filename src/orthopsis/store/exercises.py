"""The shelf of exercises, and their versions."""

from sqlalchemy import func, select, update
from sqlalchemy.orm import Session

from orthopsis.core.exercise.document import Exercise
from orthopsis.store.clock import now
from orthopsis.store.codes import new_code
from orthopsis.store.errors import NotFound, Stale
from orthopsis.store.models import ExerciseRow, ExerciseVersion


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


def save_exercise(db: Session, owner_id: int, exercise_id: int, exercise: Exercise, base_version: int) -> ExerciseRow:
    """Save a new state over the version that it was made from.

    Raises:
        NotFound: as ``get_exercise``.
        Stale: another version was saved meanwhile; nothing is overwritten.
    """
    row = get_exercise(db, owner_id, exercise_id)
    changed = db.execute(
        update(ExerciseRow)
        .where(ExerciseRow.id == exercise_id, ExerciseRow.version == base_version)
        .values(document=exercise.document(), title=exercise.title, version=base_version + 1, updated_at=now())
    )
    db.refresh(row)
    if changed.rowcount != 1:  # type: ignore[attr-defined]
        raise Stale(row.version)
    _keep_version(db, row)
    return row


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
