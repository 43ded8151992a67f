"""One sheet of a pile: its judgement, what the teacher decides on it, and keeping it."""

from datetime import datetime
from typing import Annotated, Any, Literal

from fastapi import APIRouter, Response
from pydantic import BaseModel, Field

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.reading import strokes_of
from orthopsis.app.session import Db, Me
from orthopsis.core.advice.placing import points_apart
from orthopsis.core.check.answer import Checked, read_checked
from orthopsis.core.check.check import check
from orthopsis.core.check.decided import Home, decided, home, key_of
from orthopsis.core.check.feedback import note
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.editing.personal import is_personal
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.core.exercise.solve import draw_picture
from orthopsis.core.wording.findings import POINTS_CLOSE
from orthopsis.core.wording.vocabulary import Wording
from orthopsis.store import classes, piles
from orthopsis.store.clock import now
from orthopsis.store.errors import Refused
from orthopsis.store.models import Pile, SheetRow, Student

router = APIRouter(prefix="/api/sheets", tags=["check"], responses=PROBLEMS)
Pixel = Annotated[float, Field(ge=-1e5, le=1e5, allow_inf_nan=False)]
Decision = Literal["agreed", "meant", "not_line", "open"]


class SheetAnswer(BaseModel):
    """One sheet with its judgement and what was decided.

    ``meant``, ``meant_curves``: lines, by number, and curves, by name, that deviate on purpose; ``own_note``: whether
    the note is in the teacher's own words.
    """

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
    corners: list[tuple[float, float]]
    has_photo: bool
    checked: Checked | None
    decisions: dict[str, str]
    meant: list[int]
    meant_curves: list[str]
    home: int
    judged: int
    note: str
    own_note: bool
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


class NoteRequest(BaseModel):
    """The note in the teacher's own words; left out, the one that follows from the findings."""

    note: Annotated[str, Field(max_length=4000)] | None = None


class CornersRequest(BaseModel):
    """The sheet's corners in photo pixels, from lower left, anticlockwise."""

    corners: Annotated[list[tuple[Pixel, Pixel]], Field(min_length=4, max_length=4)]


class ApartAnswer(BaseModel):
    """The drawing of a sheet with its points farther apart, and what may be said of it in the note."""

    picture: Picture
    says: str


class StudentRequest(BaseModel):
    """Whose sheet it is; None for nobody's."""

    student_id: int | None


@router.get("/{sheet_id}")
def get_sheet(sheet_id: int, db: Db, teacher: Me) -> SheetAnswer:
    """Return a sheet."""
    return _answer(db, piles.get_sheet(db, teacher.id, sheet_id))


@router.delete("/{sheet_id}", status_code=204)
def remove_sheet(sheet_id: int, db: Db, teacher: Me) -> None:
    """Take a sheet off the pile; for a while it can be had back."""
    piles.take_off(db, piles.get_sheet(db, teacher.id, sheet_id))
    db.commit()


@router.post("/{sheet_id}/back", status_code=204)
def put_back(sheet_id: int, db: Db, teacher: Me) -> None:
    """Put a sheet back on its pile that was taken off."""
    piles.put_back(db, piles.get_sheet(db, teacher.id, sheet_id))
    db.commit()


@router.get("/{sheet_id}/{kind}.jpg", response_class=Response)
def picture(sheet_id: int, kind: Literal["upload", "flat"], db: Db, teacher: Me) -> Response:
    """Return the photo, or the sheet laid flat."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    if row.form == "svg":
        raise Refused("no_photo", "This sheet came as lines, there is no photo of it.", "Its lines are shown.")
    data = piles.sheet_picture(db, sheet_id, kind)
    return Response(data, media_type="image/jpeg", headers={"Cache-Control": "private, no-cache"})


@router.get("/{sheet_id}/points_apart")
def with_points_apart(sheet_id: int, db: Db, teacher: Me) -> ApartAnswer:
    """Return the same drawing with its two points farther apart, to be shown beside the student's sheet."""
    exercise = _exercise_of(db, piles.get_sheet(db, teacher.id, sheet_id))
    number = next((i for i, view in enumerate(exercise.views) if view.kind != "one_point"), 0)
    picture = draw_picture(points_apart(exercise, number))
    words = Wording(exercise.wording.vocabulary, exercise.wording.level)
    return ApartAnswer(picture=picture, says=words.words(POINTS_CLOSE))


@router.post("/{sheet_id}/corners")
def place_corners(sheet_id: int, body: CornersRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Place the sheet's corners by hand, and read it again with them."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    row.corners = [list(corner) for corner in body.corners]
    row.state = "queued"
    db.commit()
    return _answer(db, row)


@router.put("/{sheet_id}/student")
def assign(sheet_id: int, body: StudentRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Say whose sheet it is."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    if body.student_id is not None:
        pile = piles.get_pile(db, teacher.id, row.pile_id)
        if classes.get_student(db, teacher.id, body.student_id).class_id != pile.class_id:
            raise Refused("other_class", "This student is in another class.", "Choose one of this pile's class.")
    row.student_id = body.student_id
    if row.strokes and is_personal(_exercise_of(db, row)):
        before = read_checked(row.checked)
        greys = before.greys if before is not None else ()
        curves = before.curves if before is not None else ()
        checked = check(_exercise_of(db, row), strokes_of(row.strokes), greys, curves)
        row.strokes = [[*line.start, *line.end] for line in checked.lines]
        row.checked, row.decisions = checked.model_dump(mode="json"), {}
        _note_follows(db, row, checked)
    db.commit()
    return _answer(db, row)


@router.post("/{sheet_id}/decide")
def decide(sheet_id: int, body: DecideRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Agree with a finding, mark it as meant, or say that it is not this line; the note follows."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    checked = _read_judgement(row)
    decisions = {k: v for k, v in row.decisions.items() if k != body.key}
    if body.decision == "not_line":
        checked = _without_lines(db, row, checked, body.key)
    elif body.decision != "open":
        decisions[body.key] = body.decision
    row.decisions = decisions
    row.checked = checked.model_dump(mode="json")
    _note_follows(db, row, checked)
    db.commit()
    return _answer(db, row)


@router.put("/{sheet_id}/note")
def write_note(sheet_id: int, body: NoteRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Keep the note in the teacher's own words, which no decision changes; or go back to the one that follows."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    checked = _read_judgement(row)
    row.own_note = body.note is not None and body.note.strip() != _note(db, row, checked)
    row.note = body.note if body.note is not None and row.own_note else _note(db, row, checked)
    db.commit()
    return _answer(db, row)


@router.post("/{sheet_id}/keep")
def keep(sheet_id: int, body: KeepRequest, db: Db, teacher: Me) -> SheetAnswer:
    """Keep the judgement, the note and the remark in the register."""
    row = piles.get_sheet(db, teacher.id, sheet_id)
    row.own_note = body.note.strip() != _note(db, row, _read_judgement(row))
    row.note, row.remark, row.state, row.kept_at = body.note, body.remark, "kept", now()
    db.commit()
    return _answer(db, row)


def _without_lines(db: Db, row: SheetRow, checked: Checked, key: str) -> Checked:
    """Judge again without the strokes, or the curve, of a finding: they are not the student's."""
    guilty = {n for f in checked.findings if key_of(f) == key for n in f.lines}
    misread = {f.curve for f in checked.findings if key_of(f) == key}
    curves = [curve for curve in checked.curves if curve.name not in misread]
    rows: list[Any] = [stroke for i, stroke in enumerate(row.strokes or []) if i not in guilty]
    again = check(_exercise_of(db, row), strokes_of(rows), checked.greys, curves)
    row.strokes = [[*line.start, *line.end] for line in again.lines]
    return again


def _exercise_of(db: Db, row: SheetRow) -> Exercise:
    """Return the exercise of a sheet, as it is on the sheet of its student."""
    exercise = read_exercise(db.get_one(Pile, row.pile_id).document)
    student = db.get(Student, row.student_id) if row.student_id else None
    return exercise if student is None else own_sheet(exercise, student.alias).exercise


def _read_judgement(row: SheetRow) -> Checked:
    if row.checked is None:
        raise Refused("not_read", "This sheet has not been read yet.", "Read the pile first.")
    checked = read_checked(row.checked)
    if checked is None:
        raise Refused("old_judgement", "This sheet was judged by another Orthopsis.", "Let it be read again.")
    return checked


def _note_follows(db: Db, row: SheetRow, checked: Checked) -> None:
    """Let the note follow what was decided, unless the teacher has written it."""
    if not row.own_note:
        row.note = _note(db, row, checked)


def _note(db: Db, row: SheetRow, checked: Checked) -> str:
    exercise = _exercise_of(db, row)
    words = Wording(exercise.wording.vocabulary, exercise.wording.level)
    return note(checked, decided(checked, row.decisions), draw_picture(exercise), words)


def _answer(db: Db, row: SheetRow) -> SheetAnswer:
    student = db.get(Student, row.student_id) if row.student_id else None
    checked = read_checked(row.checked)
    what = decided(checked, row.decisions) if checked else None
    lines = home(checked, what) if checked and what else Home(0, 0)
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
        corners=[(x, y) for x, y in row.corners or row.found_corners or ()],
        has_flat=row.form != "svg" and row.checked is not None,
        has_photo=row.form != "svg",
        checked=checked,
        decisions={str(k): str(v) for k, v in row.decisions.items()},
        meant=sorted(what.meant) if what else [],
        meant_curves=sorted(what.meant_curves) if what else [],
        home=lines.home,
        judged=lines.judged,
        note=row.note,
        own_note=row.own_note,
        remark=row.remark,
        kept_at=row.kept_at,
    )
