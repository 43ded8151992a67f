"""The parts that a teacher keeps."""

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from orthopsis.core.document.document import Exercise
from orthopsis.store.clock import now
from orthopsis.store.errors import NotFound, Refused
from orthopsis.store.models import PartRow

MOST_PARTS = 100


def list_parts(db: Session, owner_id: int) -> list[PartRow]:
    """Return a teacher's parts, by name."""
    return list(db.scalars(select(PartRow).where(PartRow.owner_id == owner_id).order_by(PartRow.name, PartRow.id)))


def keep_part(db: Session, owner_id: int, part: Exercise) -> PartRow:
    """Keep a part; where one of its name is there already it gets a number after it.

    Raises:
        Refused: there are too many.
    """
    count = db.scalar(select(func.count()).select_from(PartRow).where(PartRow.owner_id == owner_id)) or 0
    if count >= MOST_PARTS:
        raise Refused("too_many_parts", f"{MOST_PARTS} parts are kept already.", "Take one away first.")
    taken = set(db.scalars(select(PartRow.name).where(PartRow.owner_id == owner_id)))
    numbered = (f"{part.title[:74]} {number}" for number in range(2, count + 3))
    name = part.title if part.title not in taken else next(other for other in numbered if other not in taken)
    named = part.model_copy(update={"title": name})
    row = PartRow(owner_id=owner_id, name=name, document=named.document(), kept_at=now())
    db.add(row)
    db.flush()
    return row


def get_part(db: Session, owner_id: int, part_id: int) -> PartRow:
    """Return a part of this teacher.

    Raises:
        NotFound: it is not there, or somebody else's.
    """
    row = db.get(PartRow, part_id)
    if row is None or row.owner_id != owner_id:
        raise NotFound("part")
    return row


def drop_part(db: Session, owner_id: int, part_id: int) -> None:
    """Take a part away; what was set down of it stays.

    Raises:
        NotFound: it is not there, or somebody else's.
    """
    db.delete(get_part(db, owner_id, part_id))
