"""The pile: begun, filled, read in the background, its notes printed."""

from typing import Any

from fastapi import APIRouter, Request, Response, UploadFile
from pydantic import BaseModel

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.session import Db, Me
from orthopsis.app.today import PileLine, pile_lines
from orthopsis.core.check.answer import NOT_JUDGED, read_checked
from orthopsis.core.check.decided import decided
from orthopsis.core.check.feedback import gravest
from orthopsis.core.document.document import read_exercise
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.exercise.solve import draw_picture
from orthopsis.paperwork.notes import Slip, notes_pdf
from orthopsis.scan.picture import MOST_BYTES
from orthopsis.scan.upload import clean_upload
from orthopsis.store import classes, piles
from orthopsis.store.errors import Refused
from orthopsis.store.models import ExerciseRow, SheetRow

router = APIRouter(prefix="/api", tags=["check"], responses=PROBLEMS)


class PileRequest(BaseModel):
    """Whose sheets of which exercise."""

    class_id: int
    exercise_id: int


class SheetLine(BaseModel):
    """A sheet on the pile."""

    id: int
    alias: str
    student_id: int | None
    file_name: str
    state: str
    problem: str
    worst: int
    headline: str


class StudentOption(BaseModel):
    """A student a sheet may belong to."""

    id: int
    alias: str


class PileAnswer(BaseModel):
    """A pile, those who need help first; ``has_two_points``: of a drawing whose points can be moved apart."""

    id: int
    class_id: int
    class_name: str
    exercise_id: int | None
    exercise: str
    has_two_points: bool
    sheets: list[SheetLine]
    students: list[StudentOption]


class Changed(BaseModel):
    """How many sheets were concerned."""

    sheets: int


@router.get("/piles")
def list_piles(db: Db, teacher: Me) -> list[PileLine]:
    """Return all piles."""
    return pile_lines(db, teacher.id)


@router.post("/piles", status_code=201)
def add_pile(body: PileRequest, db: Db, teacher: Me) -> Changed:
    """Begin a pile; the answer holds its number."""
    row = piles.add_pile(db, teacher.id, body.class_id, body.exercise_id)
    db.commit()
    return Changed(sheets=row.id)


@router.get("/piles/{pile_id}")
def get_pile(pile_id: int, db: Db, teacher: Me) -> PileAnswer:
    """Return a pile with its sheets."""
    pile = piles.get_pile(db, teacher.id, pile_id)
    school_class = classes.get_class(db, teacher.id, pile.class_id)
    students = classes.list_students(db, pile.class_id)
    alias = {s.id: s.alias for s in students}
    exercise = db.get(ExerciseRow, pile.exercise_id or 0)
    sheets = [_line(row, alias) for row in piles.list_sheets(db, pile_id)]
    order = {"not_found": 0, "failed": 0, "read": 1, "reading": 2, "queued": 3, "waiting": 4, "kept": 5}
    return PileAnswer(
        id=pile.id,
        class_id=pile.class_id,
        class_name=school_class.name,
        exercise_id=pile.exercise_id,
        exercise=exercise.title if exercise is not None else str(pile.document["title"]),
        has_two_points=any(view.kind != "one_point" for view in read_exercise(pile.document).views),
        sheets=sorted(sheets, key=lambda s: (order[s.state], -s.worst, s.id)),
        students=[StudentOption(id=s.id, alias=s.alias) for s in students],
    )


@router.get("/piles/{pile_id}/picture")
def get_pile_picture(pile_id: int, db: Db, teacher: Me) -> Picture:
    """Return the picture of the pile's exercise: it stays the same while the sheets are read."""
    return draw_picture(read_exercise(piles.get_pile(db, teacher.id, pile_id).document))


@router.get("/piles/{pile_id}/notes.pdf", response_class=Response)
def notes(pile_id: int, db: Db, teacher: Me) -> Response:
    """Return the notes of all kept sheets, to be printed and cut apart."""
    pile = piles.get_pile(db, teacher.id, pile_id)
    alias = {s.id: s.alias for s in classes.list_students(db, pile.class_id)}
    slips = [_slip(row, alias) for row in piles.list_sheets(db, pile_id) if row.state == "kept" and row.checked]
    if not slips:
        raise Refused(
            "nothing_kept", "No sheet of this pile is kept yet.", "Keep the sheets first; then print the notes."
        )
    exercise = read_exercise(pile.document)
    pdf = notes_pdf(exercise.title, draw_picture(exercise).sheet, slips)
    return Response(pdf, media_type="application/pdf", headers={"Content-Disposition": 'inline; filename="notes.pdf"'})


@router.delete("/piles/{pile_id}", status_code=204)
def remove_pile(pile_id: int, db: Db, teacher: Me) -> None:
    """Remove a pile with its sheets."""
    db.delete(piles.get_pile(db, teacher.id, pile_id))
    db.commit()


@router.post("/piles/{pile_id}/sheets", status_code=201)
def upload(pile_id: int, file: UploadFile, request: Request, db: Db, teacher: Me) -> SheetLine:
    """Put one sheet on the pile: JPEG, PNG, PDF or SVG, told by content, kept without metadata."""
    pile = piles.get_pile(db, teacher.id, pile_id)
    db.commit()  # lets go of the connection while the file is looked at
    data = file.file.read(MOST_BYTES + 1)
    form, kept = request.app.state.files.do(clean_upload, data)
    row = piles.add_sheet(db, pile.id, _file_name(file.filename), form, kept)
    db.commit()
    return _line(row, {})


@router.post("/piles/{pile_id}/read")
def read_pile(pile_id: int, db: Db, teacher: Me) -> Changed:
    """Have all waiting sheets read in the background."""
    piles.get_pile(db, teacher.id, pile_id)
    count = piles.queue_pile(db, pile_id)
    db.commit()
    return Changed(sheets=count)


@router.post("/piles/{pile_id}/cancel")
def cancel_pile(pile_id: int, db: Db, teacher: Me) -> Changed:
    """Stop reading; sheets already being read are finished."""
    piles.get_pile(db, teacher.id, pile_id)
    count = piles.cancel_pile(db, pile_id)
    db.commit()
    return Changed(sheets=count)


def _slip(row: SheetRow, alias: dict[int, str]) -> Slip:
    checked = read_checked(row.checked) or NOT_JUDGED
    what = decided(checked, row.decisions)
    return Slip(alias.get(row.student_id or 0, row.file_name), checked, row.note, what, gravest(what))


def _file_name(name: str | None) -> str:
    plain = "".join(ch for ch in (name or "sheet") if ch.isprintable()).replace("\\", "/")
    return plain.rsplit("/", maxsplit=1)[-1][:120] or "sheet"


def _line(row: SheetRow, alias: dict[int, str]) -> SheetLine:
    findings: list[dict[str, Any]] = (row.checked or {}).get("findings", [])
    standing = [f for f in findings if row.decisions.get(f"{f['code']}:{f['about']}") != "meant" and f["severity"] > 0]
    gravest = max(standing, key=lambda f: f["severity"], default=None)
    headline = row.problem or (gravest["title"] if gravest else "")
    if row.checked and not gravest:
        headline = "All lines home"
    return SheetLine(
        id=row.id,
        alias=alias.get(row.student_id or 0, ""),
        student_id=row.student_id,
        file_name=row.file_name,
        state=row.state,
        problem=row.problem,
        worst=sum(f["severity"] for f in standing),
        headline=headline,
    )
