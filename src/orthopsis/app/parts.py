"""The teacher's parts: kept from an exercise, listed with their documents, taken away."""

from typing import Annotated, Any

from fastapi import APIRouter, Response
from pydantic import BaseModel, Field

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.session import Db, Me
from orthopsis.app.shelf import PICTURES, lasting
from orthopsis.core.document.document import MOST_THINGS, read_exercise
from orthopsis.core.exercise.parts import part_of
from orthopsis.core.exercise.solve import draw_picture
from orthopsis.paperwork.thumb import thumb_svg
from orthopsis.store import parts
from orthopsis.store.models import PartRow

router = APIRouter(prefix="/api/parts", tags=["parts"], responses=PROBLEMS)


class PartLine(BaseModel):
    """A part: its document, which is set down as it is, and where its picture is."""

    id: int
    name: str
    part: dict[str, Any]
    picture: str


class KeepPartRequest(BaseModel):
    """Some things of an exercise, by their numbers, to be kept under a name."""

    exercise: dict[str, Any]
    indices: Annotated[list[int], Field(min_length=1, max_length=MOST_THINGS)]
    name: Annotated[str, Field(max_length=80)]


@router.get("")
def list_parts(db: Db, teacher: Me) -> list[PartLine]:
    """Return the teacher's parts."""
    return [_line(row) for row in parts.list_parts(db, teacher.id)]


@router.post("", status_code=201)
def keep_part(body: KeepPartRequest, db: Db, teacher: Me) -> PartLine:
    """Keep some things of an exercise as a part."""
    part = part_of(read_exercise(body.exercise), body.indices, body.name)
    draw_picture(part)  # what cannot be drawn is refused before it is kept
    row = parts.keep_part(db, teacher.id, part)
    db.commit()
    return _line(row)


@router.get("/{part_id}/picture.svg", response_class=Response)
def part_picture(part_id: int, db: Db, teacher: Me) -> Response:
    """Return the picture of a part."""
    document = parts.get_part(db, teacher.id, part_id).document
    db.commit()  # lets go of the connection while it is drawn
    return lasting(thumb_svg(draw_picture(read_exercise(document))))


@router.delete("/{part_id}", status_code=204)
def drop_part(part_id: int, db: Db, teacher: Me) -> None:
    """Take a part away; what was set down of it stays."""
    parts.drop_part(db, teacher.id, part_id)
    db.commit()


def _line(row: PartRow) -> PartLine:
    return PartLine(
        id=row.id, name=row.name, part=row.document, picture=f"/api/parts/{row.id}/picture.svg?v={PICTURES}"
    )
