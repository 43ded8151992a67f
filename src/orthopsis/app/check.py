"""The pile: upload, read, judge, decide, keep."""

from datetime import datetime
from typing import Annotated, Any, Literal

from fastapi import APIRouter, Request, Response, UploadFile
from pydantic import BaseModel, Field

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.reading import strokes_of
from orthopsis.app.session import Db, Me
from orthopsis.app.today import PileLine, pile_lines
from orthopsis.core.check.answer import Checked
from orthopsis.core.check.check import check
from orthopsis.core.check.feedback import note
from orthopsis.core.exercise.document import read_exercise
from orthopsis.core.exercise.drawing import Picture
from orthopsis.core.exercise.solve import draw_picture
from orthopsis.core.wording.vocabulary import Wording
from orthopsis.paperwork.notes import Slip, notes_pdf
from orthopsis.scan.picture import MOST_BYTES, UnusablePicture, kind_of, open_picture
from orthopsis.scan.vector import lines_of_svg
from orthopsis.store import classes, exercises, piles
from orthopsis.store.clock import now
from orthopsis.store.errors import Refused
from orthopsis.store.models import Pile, SheetRow, Student

router = APIRouter(prefix="/api", tags=["check"], responses=PROBLEMS)
Decision = Literal["agreed", "meant", "not_line", "open"]


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
    """A pile, those who need help first."""

    id: int
    class_id: int
    class_name: str
    exercise_id: int
    exercise: str
    sheets: list[SheetLine]
    students: list[StudentOption]
    picture: Picture


class SheetAnswer(BaseModel):
    """One sheet with its judgement and what was decided."""

    id: int
    pile_id: int
    alias: str
    student_id: int | None
    file_name: str
    state: str
    problem: str
    found_by: str
    confidence: float
    has_flat: bool
    has_photo: bool
    checked: Checked | None
    decisions: dict[str, str]
    note: str
    remark: str
    kept_at: datetime | None


class DecideRequest(BaseModel):
    """What the teacher decided on one finding (key ``code:about``)."""

    key: Annotated[str, Field(max_length=120)]
    decision: Decision


class KeepRequest(BaseModel):
    """The note to the student and the teacher's own remark."""

    note: Annotated[str, Field(max_length=4000)]
    remark: Annotated[str, Field(max_length=4000)] = ""


class CornersRequest(BaseModel):
    """The sheet's corners in photo pixels, from lower left, anticlockwise."""

    corners: Annotated[list[tuple[float, float]], Field(min_length=4, max_length=4)]


class StudentRequest(BaseModel):
    """Whose sheet it is; None for nobody's."""

    student_id: int | None


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
    sheets = [_line(row, alias) for row in piles.list_sheets(db, pile_id)]
    order = {"not_found": 0, "failed": 0, "read": 1, "reading": 2, "queued": 3, "waiting": 4, "kept": 5}
    return PileAnswer(
        id=pile.id,
        class_id=pile.class_id,
        class_name=school_class.name,
        exercise_id=pile.exercise_id,
        exercise=exercises.get_exercise(db, teacher.id, pile.exercise_id).title,
        sheets=sorted(sheets, key=lambda s: (order[s.state], -s.worst, s.id)),
        students=[StudentOption(id=s.id, alias=s.alias) for s in students],
        picture=draw_picture(read_exercise(pile.document)),
    )


@router.get("/piles/{pile_id}/notes.pdf", response_class=Response)
def notes(pile_id: int, db: Db, teacher: Me) -> Response:
    """Return the notes of all kept sheets, to be printed and cut apart."""
    pile = piles.get_pile(db, teacher.id, pile_id)
    alias = {s.id: s.alias for s in classes.list_students(db, pile.class_id)}
    slips = [
        Slip(alias.get(row.student_id or 0, row.file_name), Checked.model_validate(row.checked), row.note)
        for row in piles.list_sheets(db, pile_id)
        if row.state == "kept" and row.checked
    ]
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
def upload(pile_id: int, file: UploadFile, db: Db, teacher: Me) -> SheetLine:
    """Put one sheet on the pile: JPEG, PNG, PDF or SVG, told by content, kept without metadata."""
    pile = piles.get_pile(db, teacher.id, pile_id)
    data = file.file.read(MOST_BYTES + 1)
    form, kept = _clean(data)
    row = piles.add_sheet(db, pile.id, _file_name(file.filename), form, kept)
    db.commit()
    return _line(row, {})


@router.post("/piles/{pile_id}/read")
def read_pile(pile_id: int, request: Request, db: Db, teacher: Me) -> Changed:
    """Have all waiting sheets read in the background."""
    piles.get_pile(db, teacher.id, pile_id)
    count = piles.queue_pile(db, pile_id)
    db.commit()
    request.app.state.reader.wake()
    return Changed(sheets=count)


@router.post("/piles/{pile_id}/cancel")
def cancel_pile(pile_id: int, db: Db, teacher: Me) -> Changed:
    """Stop reading; sheets already being read are finished."""
    piles.get_pile(db, teacher.id, pile_id)
    count = piles.cancel_pile(db, pile_id)
    db.commit()
    return Changed(sheets=count)


@router.get("/sheets/{sheet_id}")
def get_sheet(sheet_id: int, db: Db, teacher: Me) -> SheetAnswer:
    """Return a sheet."""
    return _answer(db, piles.get_sheet(db, teacher.id, sheet_id))


@router.delete("/sheets/{sheet_id}", status_code=204)
def remove_sheet(sheet_id: int, db: Db, teacher: Me) -> None:
    """Take a sheet off the pile."""
    db.delete(piles.get_sheet(db, teacher.id, sheet_id))
    db.commit()


@router.get("/sheets/{sheet_id}/{kind}.jpg", response_class=Response)
def picture(sheet_id: int, kind: Literal["upload", "flat"], db: Db, teacher: Me) -> Response:
    """Return the photo, or the sheet laid flat."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    if row.form == "svg":
        raise Refused("no_photo", "This sheet came as lines, there is no photo of it.", "Its lines are shown.")
    data = piles.sheet_picture(db, sheet_id, kind)
    return Response(data, media_type="image/jpeg", headers={"Cache-Control": "private, no-cache"})


@router.post("/sheets/{sheet_id}/corners")
def place_corners(sheet_id: int, body: CornersRequest, request: Request, db: Db, teacher: Me) -> SheetAnswer:
    """Place the sheet's corners by hand, and read it again with them."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    row.corners = [list(corner) for corner in body.corners]
    row.state = "queued"
    db.commit()
    request.app.state.reader.wake()
    return _answer(db, row)


@router.put("/sheets/{sheet_id}/student")
def assign(sheet_id: int, body: StudentRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Say whose sheet it is."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    if body.student_id is not None:
        pile = piles.get_pile(db, teacher.id, row.pile_id)
        if classes.get_student(db, teacher.id, body.student_id).class_id != pile.class_id:
            raise Refused("other_class", "This student is in another class.", "Choose one of this pile's class.")
    row.student_id = body.student_id
    db.commit()
    return _answer(db, row)


@router.post("/sheets/{sheet_id}/decide")
def decide(sheet_id: int, body: DecideRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Agree with a finding, mark it as meant, or say that it is not this line; the note follows."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    if row.checked is None:
        raise Refused("not_read", "This sheet has not been read yet.", "Read the pile first.")
    checked = Checked.model_validate(row.checked)
    decisions = {k: v for k, v in row.decisions.items() if k != body.key}
    if body.decision == "not_line":
        checked = _without_lines(db, row, checked, body.key)
    elif body.decision != "open":
        decisions[body.key] = body.decision
    row.decisions = decisions
    row.checked = checked.model_dump(mode="json")
    row.note = _note(db, row, checked, decisions)
    db.commit()
    return _answer(db, row)


@router.post("/sheets/{sheet_id}/keep")
def keep(sheet_id: int, body: KeepRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Keep the judgement, the note and the remark in the register."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    if row.checked is None:
        raise Refused("not_read", "This sheet has not been read yet.", "Read the pile first.")
    row.note, row.remark, row.state, row.kept_at = body.note, body.remark, "kept", now()
    db.commit()
    return _answer(db, row)


def _clean(data: bytes) -> tuple[str, bytes]:
    """Return form and bytes to keep: pictures re-encoded, an SVG only if its lines can be read."""
    if len(data) > MOST_BYTES:
        raise UnusablePicture("file_too_large", "The file is larger than 30 MB.", "Make it smaller.")
    if kind_of(data) == "svg":
        lines_of_svg(data, 100.0, 100.0)
        return "svg", data
    return "jpeg", open_picture(data).jpeg


def _file_name(name: str | None) -> str:
    plain = "".join(ch for ch in (name or "sheet") if ch.isprintable()).replace("\\", "/")
    return plain.rsplit("/", maxsplit=1)[-1][:120] or "sheet"


def _without_lines(db: Db, row: SheetRow, checked: Checked, key: str) -> Checked:
    """Judge again without the strokes of a finding: they are not the student's lines."""
    guilty = {n for f in checked.findings if f"{f.code}:{f.about}" == key for n in f.lines}
    rows: list[Any] = [stroke for i, stroke in enumerate(row.strokes or []) if i not in guilty]
    pile = db.get_one(Pile, row.pile_id)
    again = check(read_exercise(pile.document), strokes_of(rows))
    row.strokes = [[*line.start, *line.end] for line in again.lines]
    return again


def _note(db: Db, row: SheetRow, checked: Checked, decisions: dict[str, Any]) -> str:
    pile = db.get_one(Pile, row.pile_id)
    words = read_exercise(pile.document).wording
    standing = [f for f in checked.findings if decisions.get(f"{f.code}:{f.about}") != "meant"]
    return note(checked.lines, standing, Wording(words.vocabulary, words.level))


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


def _answer(db: Db, row: SheetRow) -> SheetAnswer:
    student = db.get(Student, row.student_id) if row.student_id else None
    return SheetAnswer(
        id=row.id,
        pile_id=row.pile_id,
        alias=student.alias if student else "",
        student_id=row.student_id,
        file_name=row.file_name,
        state=row.state,
        problem=row.problem,
        found_by=row.found_by,
        confidence=row.confidence,
        has_flat=row.form != "svg" and row.checked is not None,
        has_photo=row.form != "svg",
        checked=Checked.model_validate(row.checked) if row.checked else None,
        decisions={str(k): str(v) for k, v in row.decisions.items()},
        note=row.note,
        remark=row.remark,
        kept_at=row.kept_at,
    )
