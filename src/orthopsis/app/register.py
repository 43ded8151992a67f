"""The register: classes, aliases, what each student has done, and findings over time."""

from collections import Counter
from datetime import datetime
from typing import Annotated

from fastapi import APIRouter, Response
from pydantic import BaseModel, Field

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.session import Db, Me
from orthopsis.core.check.answer import NOT_JUDGED, Checked, read_checked
from orthopsis.core.check.decided import MEANT, decided, home
from orthopsis.core.wording.findings import TITLES, finding_title
from orthopsis.paperwork.table import csv_text, read_class_list
from orthopsis.store import classes, piles
from orthopsis.store.models import ExerciseRow, Pile, SheetRow

router = APIRouter(prefix="/api/classes", tags=["register"], responses=PROBLEMS)


class ClassLine(BaseModel):
    """A class."""

    id: int
    name: str
    students: int


class NameRequest(BaseModel):
    """A name."""

    name: Annotated[str, Field(max_length=80)]


class AliasesRequest(BaseModel):
    """A list of students: one a line, or a CSV; ``column`` where a person has chosen the column of the names."""

    text: Annotated[str, Field(max_length=50_000)]
    column: int | None = None


class ListedName(BaseModel):
    """A name of a list, and what is made of it: new, there already, or told apart from another one by a number."""

    name: str
    alias: str
    is_new: bool


class ListAnswer(BaseModel):
    """What would be entered of a list."""

    columns: list[str]
    column: int
    names: list[ListedName]
    new: int


class StudentLine(BaseModel):
    """A student."""

    id: int
    alias: str


class DoneSheet(BaseModel):
    """A kept sheet: how many lines ran home, what was found, what the teacher wrote."""

    sheet_id: int
    exercise: str
    kept_at: datetime
    home: int
    judged: int
    findings: list[str]
    meant: int
    note: str
    remark: str


class StudentRecord(BaseModel):
    """A student's record, the oldest sheet first."""

    id: int
    alias: str
    sheets: list[DoneSheet]


class FindingCount(BaseModel):
    """How often a finding came up in one pile."""

    code: str
    title: str
    counts: list[int]


class ClassRecord(BaseModel):
    """A class's record; ``piles`` names the columns of the counts."""

    id: int
    name: str
    students: list[StudentRecord]
    piles: list[str]
    findings: list[FindingCount]


@router.get("")
def list_classes(db: Db, teacher: Me) -> list[ClassLine]:
    """Return the teacher's classes."""
    return [
        ClassLine(id=c.id, name=c.name, students=len(classes.list_students(db, c.id)))
        for c in classes.list_classes(db, teacher.id)
    ]


@router.post("", status_code=201)
def add_class(body: NameRequest, db: Db, teacher: Me) -> ClassLine:
    """Add a class."""
    row = classes.add_class(db, teacher.id, body.name)
    db.commit()
    return ClassLine(id=row.id, name=row.name, students=0)


@router.put("/{class_id}")
def rename_class(class_id: int, body: NameRequest, db: Db, teacher: Me) -> ClassLine:
    """Rename a class."""
    row = classes.get_class(db, teacher.id, class_id)
    row.name = body.name.strip()[:80] or row.name
    db.commit()
    return ClassLine(id=row.id, name=row.name, students=len(classes.list_students(db, row.id)))


@router.delete("/{class_id}", status_code=204)
def remove_class(class_id: int, db: Db, teacher: Me) -> None:
    """Remove a class with its students, piles and sheets."""
    db.delete(classes.get_class(db, teacher.id, class_id))
    db.commit()


@router.post("/{class_id}/students")
def add_students(class_id: int, body: AliasesRequest, db: Db, teacher: Me) -> list[StudentLine]:
    """Add aliases that are not yet there."""
    listed = read_class_list(body.text, body.column)
    students = classes.add_students(db, teacher.id, class_id, listed.names)
    db.commit()
    return [StudentLine(id=s.id, alias=s.alias) for s in students]


@router.post("/{class_id}/students/look")
def look_at_list(class_id: int, body: AliasesRequest, db: Db, teacher: Me) -> ListAnswer:
    """Return what would be entered of a list, before it is."""
    classes.get_class(db, teacher.id, class_id)
    listed = read_class_list(body.text, body.column)
    fates = classes.fates_of([s.alias for s in classes.list_students(db, class_id)], listed.names)
    names = [
        ListedName(name=name, alias=alias, is_new=is_new)
        for name, (alias, is_new) in zip(listed.names, fates, strict=True)
    ]
    return ListAnswer(
        columns=list(listed.columns), column=listed.chosen, names=names, new=sum(name.is_new for name in names)
    )


@router.put("/students/{student_id}")
def rename_student(student_id: int, body: NameRequest, db: Db, teacher: Me) -> StudentLine:
    """Give a student another alias."""
    row = classes.rename_student(db, teacher.id, student_id, body.name)
    db.commit()
    return StudentLine(id=row.id, alias=row.alias)


@router.delete("/students/{student_id}", status_code=204)
def remove_student(student_id: int, db: Db, teacher: Me) -> None:
    """Remove a student; the sheets stay without a name."""
    db.delete(classes.get_student(db, teacher.id, student_id))
    db.commit()


@router.get("/{class_id}")
def record(class_id: int, db: Db, teacher: Me) -> ClassRecord:
    """Return the record of a class."""
    row = classes.get_class(db, teacher.id, class_id)
    kept = piles.kept_sheets(db, class_id)
    titles = {p.id: _title(db, p) for _, p in kept}
    by_student: dict[int | None, list[DoneSheet]] = {}
    for sheet, pile in kept:
        by_student.setdefault(sheet.student_id, []).append(_done(sheet, titles[pile.id]))
    students = [
        StudentRecord(id=s.id, alias=s.alias, sheets=by_student.get(s.id, []))
        for s in classes.list_students(db, class_id)
    ]
    return ClassRecord(
        id=row.id,
        name=row.name,
        students=students,
        piles=list(titles.values()),
        findings=_counts(kept, list(titles)),
    )


@router.get("/{class_id}/register.csv", response_class=Response)
def record_csv(class_id: int, db: Db, teacher: Me) -> Response:
    """Return the record as CSV, one row for each kept sheet."""
    answer = record(class_id, db, teacher)
    header = ("alias", "exercise", "kept", "lines home", "lines judged", "findings", "note", "remark")
    rows = [
        (
            s.alias,
            d.exercise,
            d.kept_at.date().isoformat(),
            d.home,
            d.judged,
            "; ".join(d.findings),
            d.note,
            d.remark,
        )
        for s in answer.students
        for d in s.sheets
    ]
    headers = {"Content-Disposition": 'attachment; filename="register.csv"'}
    return Response(csv_text(header, rows), media_type="text/csv; charset=utf-8", headers=headers)


def _title(db: Db, pile: Pile) -> str:
    exercise = db.get(ExerciseRow, pile.exercise_id or 0)
    return exercise.title if exercise is not None else str(pile.document["title"])


def _done(sheet: SheetRow, exercise: str) -> DoneSheet:
    checked = _judgement(sheet)
    what = decided(checked, sheet.decisions)
    lines = home(checked, what)
    return DoneSheet(
        sheet_id=sheet.id,
        exercise=exercise,
        kept_at=sheet.kept_at or sheet.added_at,
        home=lines.home,
        judged=lines.judged,
        findings=[finding_title(code) for code in _standing(sheet)],
        meant=sum(d == MEANT for d in sheet.decisions.values()),
        note=sheet.note,
        remark=sheet.remark,
    )


def _judgement(sheet: SheetRow) -> Checked:
    return read_checked(sheet.checked) or NOT_JUDGED


def _standing(sheet: SheetRow) -> list[str]:
    """Return the codes of the findings that the teacher let stand."""
    standing = decided(_judgement(sheet), sheet.decisions).standing
    return [finding.code for finding in standing if finding.code in TITLES and finding.code != "cannot_tell"]


def _counts(kept: list[tuple[SheetRow, Pile]], pile_ids: list[int]) -> list[FindingCount]:
    counter: Counter[tuple[str, int]] = Counter()
    for sheet, pile in kept:
        counter.update((code, pile.id) for code in set(_standing(sheet)))
    codes = [code for code in TITLES if any(counter[code, p] for p in pile_ids)]
    return [FindingCount(code=c, title=finding_title(c), counts=[counter[c, p] for p in pile_ids]) for c in codes]
