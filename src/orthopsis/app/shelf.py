"""The shelf: exercises kept, saved by version, printed and exported."""

from datetime import datetime
from functools import cache
from typing import Annotated, Any, Literal

from fastapi import APIRouter, Depends, Query, Request, Response
from pydantic import BaseModel, Field

from orthopsis import __version__
from orthopsis.app.printing import PrintName, PrintOrder, printed
from orthopsis.app.problems import PROBLEMS
from orthopsis.app.session import Db, Me
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import GROUPS, READY
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw, draw_picture
from orthopsis.core.wording.vocabulary import Level
from orthopsis.paperwork import thumb
from orthopsis.paperwork.handout import Handout
from orthopsis.paperwork.raster import png_of_pdf
from orthopsis.paperwork.step_sheets import MOST_STEPS_A_PAGE, StepPages
from orthopsis.paperwork.thumb import thumb_svg
from orthopsis.paperwork.write import MEDIA_TYPES, write_drawing
from orthopsis.store import exercises
from orthopsis.store.errors import NotFound, Refused
from orthopsis.store.models import ExerciseRow

router = APIRouter(prefix="/api/exercises", tags=["shelf"], responses=PROBLEMS)
MOST_EXERCISES = 1000
PREVIEW_DPI = 72.0
PICTURES = f"{__version__}.{thumb.FORM}"
"""Which program draws the pictures: those that another one drew are drawn anew."""
Form = Literal["json", "svg", "pdf", "png", "dxf", "obj", "html", "steps.svg", "exercise"]


class ShelfLine(BaseModel):
    """An exercise on the shelf; ``picture`` is where the picture of its finished sheet is.

    ``problem`` says why it cannot be opened, where that is so; ``views`` are the kinds of its points.
    """

    id: int
    title: str
    version: int
    updated_at: datetime
    is_put_away: bool
    things: int
    views: list[str]
    picture: str
    problem: str


class KeptExercise(BaseModel):
    """An exercise with the version that the next save must name."""

    id: int
    version: int
    exercise: dict[str, Any]


class SaveRequest(BaseModel):
    """A new state, and the version that it was made from."""

    base_version: int
    exercise: dict[str, Any]
    save_id: Annotated[str, Field(max_length=40, pattern=r"^[\w-]*$")] = ""
    """What the browser calls this save: said again, because no answer came, it is not a second one."""


class NewRequest(BaseModel):
    """A document to put on the shelf; left out, an empty exercise.

    ``another_name``: give it another name where one of its name is there already.
    """

    exercise: dict[str, Any] | None = None
    another_name: bool = False


class AwayRequest(BaseModel):
    """Whether the exercise is put away."""

    put_away: bool


class VersionLine(BaseModel):
    """An earlier state."""

    version: int
    saved_at: datetime
    things: int


@router.get("")
def shelf(db: Db, teacher: Me, put_away: bool = False) -> list[ShelfLine]:
    """Return the teacher's exercises."""
    return [_line(row) for row in exercises.list_exercises(db, teacher.id, put_away=put_away)]


@router.post("", status_code=201)
def add(body: NewRequest, db: Db, teacher: Me) -> KeptExercise:
    """Put a new exercise on the shelf."""
    if exercises.count_exercises(db, teacher.id) >= MOST_EXERCISES:
        raise Refused("shelf_full", f"The shelf holds {MOST_EXERCISES} exercises.", "Remove some first.")
    exercise = read_exercise(body.exercise) if body.exercise is not None else Exercise()
    svg = thumb_svg(draw(exercise))
    if body.another_name or body.exercise is None:
        title = exercises.free_title(db, teacher.id, exercise.title)
        exercise = exercise.model_copy(update={"title": title})
    row = exercises.add_exercise(db, teacher.id, exercise)
    exercises.keep_picture(db, row, _made(row), svg)
    db.commit()
    return _kept(row)


class ReadyLine(BaseModel):
    """A ready exercise to start from; ``group`` says what it is about, ``picture`` where its picture is."""

    title: str
    group: str
    views: list[str]
    exercise: dict[str, Any]
    picture: str


@router.get("/ready")
def ready(teacher: Me) -> list[ReadyLine]:
    """Return the ready exercises, those of a group together."""
    grouped = [(group, document) for group, documents in GROUPS.items() for document in documents]
    return [
        ReadyLine(
            title=str(document["title"]),
            group=group,
            views=views_of(document),
            exercise=document,
            picture=f"/api/exercises/ready/{number}.svg?v={PICTURES}",
        )
        for number, (group, document) in enumerate(grouped)
    ]


@router.get("/ready/{number}.svg", response_class=Response)
def ready_picture(number: int, teacher: Me) -> Response:
    """Return the picture of a ready exercise."""
    if not 0 <= number < len(READY):
        raise NotFound("exercise")
    return lasting(_ready_svg(number))


@cache
def _ready_svg(number: int) -> bytes:
    return thumb_svg(draw_picture(read_exercise(READY[number])))


@router.get("/{exercise_id}")
def get(exercise_id: int, db: Db, teacher: Me) -> KeptExercise:
    """Return an exercise."""
    return _kept(exercises.get_exercise(db, teacher.id, exercise_id))


@router.put("/{exercise_id}")
def save(exercise_id: int, body: SaveRequest, db: Db, teacher: Me) -> KeptExercise:
    """Save a new state; 409 if another window saved meanwhile."""
    db.commit()  # lets go of the connection while it is drawn
    exercise = read_exercise(body.exercise)
    svg = thumb_svg(draw_picture(exercise))
    row = exercises.save_exercise(db, teacher.id, exercise_id, exercise, body.base_version, body.save_id)
    exercises.keep_picture(db, row, _made(row), svg)
    db.commit()
    return _kept(row)


@router.get("/{exercise_id}/picture.svg", response_class=Response)
def picture(exercise_id: int, db: Db, teacher: Me) -> Response:
    """Return the picture of the finished sheet; it is drawn once for a version, and kept."""
    row = exercises.get_exercise(db, teacher.id, exercise_id)
    svg = exercises.kept_picture(db, row, _made(row))
    if svg is None:
        db.commit()
        svg = thumb_svg(draw_picture(read_exercise(row.document)))
        exercises.keep_picture(db, row, _made(row), svg)
        db.commit()
    return lasting(svg)


@router.delete("/{exercise_id}", status_code=204)
def delete(exercise_id: int, db: Db, teacher: Me) -> None:
    """Delete an exercise for good that is put away; kept sheets stay."""
    exercises.delete_exercise(db, teacher.id, exercise_id)
    db.commit()


@router.post("/{exercise_id}/away", status_code=204)
def put_away(exercise_id: int, body: AwayRequest, db: Db, teacher: Me) -> None:
    """Take an exercise off the shelf or put it back."""
    exercises.put_away(db, teacher.id, exercise_id, body.put_away)
    db.commit()


@router.get("/{exercise_id}/versions")
def versions(exercise_id: int, db: Db, teacher: Me) -> list[VersionLine]:
    """Return the versions, the newest first."""
    return [
        VersionLine(version=v.version, saved_at=v.saved_at, things=things_of(v.document))
        for v in exercises.list_versions(db, teacher.id, exercise_id)
    ]


@router.get("/{exercise_id}/versions/{version}")
def version(exercise_id: int, version: int, db: Db, teacher: Me) -> KeptExercise:
    """Return an earlier state; saving it again makes it the newest."""
    row = exercises.get_exercise(db, teacher.id, exercise_id)
    earlier = exercises.get_version(db, teacher.id, exercise_id, version)
    return KeptExercise(id=row.id, version=row.version, exercise=earlier.document)


class PageCount(BaseModel):
    """How many pages are printed."""

    pages: int


CopyCount = Annotated[int, Query(ge=1, le=40)]


def step_pages(
    per_page: Annotated[int, Query(ge=1, le=MOST_STEPS_A_PAGE)] = 4,
    first: Annotated[int, Query(ge=1)] = 1,
    without_starter: bool = False,
    paper: Handout | None = None,
    type_pt: Annotated[float, Query(ge=8, le=24)] = 11.0,
    only_required: bool = False,
) -> StepPages:
    """How step sheets are wanted: how many on a page, from which one on, on which paper, in type of which size."""
    return StepPages(per_page, first, without_starter, paper, type_pt, only_required)


def print_order(
    kind: PrintName,
    steps: Annotated[StepPages, Depends(step_pages)],
    class_id: int | None = None,
    student_id: int | None = None,
    copies: CopyCount = 1,
    tiled: bool = False,
    level: Level | None = None,
) -> PrintOrder:
    """What is printed, and for whom: with a class, a sheet for each student or for one of them."""
    return PrintOrder(kind, class_id, student_id, copies, steps, tiled, level)


Order = Annotated[PrintOrder, Depends(print_order)]


@router.get("/{exercise_id}/print/{kind}.pdf", response_class=Response)
def print_pdf(exercise_id: int, db: Db, teacher: Me, order: Order) -> Response:
    """Return a PDF: starter, steps, answer, overlay, strips or ticks for points off the sheet.

    ``lesson`` is the page for who gives it, for a class or for as many students as there are copies.
    ``whole`` is starter, steps and answer together, for exercises in which each student has a sheet of their own.
    """
    row = exercises.get_exercise(db, teacher.id, exercise_id)
    pdf = printed(db, teacher.id, row, order).bytes()
    return _file(pdf, "application/pdf", f"{row.title} {order.kind}.pdf", inline=True)


@router.get("/{exercise_id}/print/{kind}/pages")
def print_pages(exercise_id: int, db: Db, teacher: Me, order: Order) -> PageCount:
    """Return how many pages would be printed."""
    row = exercises.get_exercise(db, teacher.id, exercise_id)
    return PageCount(pages=printed(db, teacher.id, row, order).count)


@router.get("/{exercise_id}/print/{kind}.png", response_class=Response)
def print_preview(exercise_id: int, request: Request, db: Db, teacher: Me, order: Order) -> Response:
    """Return the first page of what would be printed, as a picture."""
    row = exercises.get_exercise(db, teacher.id, exercise_id)
    pdf = printed(db, teacher.id, row, order, only_first=True).bytes()
    png = request.app.state.files.do(png_of_pdf, pdf, PREVIEW_DPI)
    return Response(png, media_type="image/png", headers={"Cache-Control": "no-store"})


@router.get("/{exercise_id}/file.{form}", response_class=Response)
def export(exercise_id: int, form: Form, request: Request, db: Db, teacher: Me) -> Response:
    """Return the drawing in an open format, or the exercise document itself."""
    row = exercises.get_exercise(db, teacher.id, exercise_id)
    exercise = read_exercise(row.document)
    if form == "exercise":
        text = exercise.model_dump_json(by_alias=True, indent=1, serialize_as_any=True)
        return _file(text.encode(), "application/json", f"{row.title}.exercise.json")
    if form == "png":
        data = request.app.state.files.do(png_of_pdf, write_drawing(exercise, "pdf"))
    else:
        data = write_drawing(exercise, form)
    return _file(data, MEDIA_TYPES[form], f"{row.title}.{form}")


def _file(data: bytes, media_type: str, name: str, *, inline: bool = False) -> Response:
    plain = "".join(ch if ch.isalnum() or ch in " .-_" else "_" for ch in name).encode("ascii", "replace").decode()
    disposition = f'{"inline" if inline else "attachment"}; filename="{plain.replace("?", "_")}"'
    return Response(data, media_type=media_type, headers={"Content-Disposition": disposition})


def things_of(document: dict[str, Any]) -> int:
    """Return how many things stand in a kept document, whatever else is the matter with it."""
    things = document.get("things")
    return len(things) if isinstance(things, list) else 0


def views_of(document: dict[str, Any]) -> list[str]:
    """Return the kinds of points in a kept document, whatever else is the matter with it."""
    views = document.get("views")
    kinds = [str(view["kind"]) for view in views if isinstance(view, dict) and "kind" in view] if views else []
    return list(dict.fromkeys(kinds))


def picture_address(row: ExerciseRow) -> str:
    """Return where the picture of an exercise is; the address changes with the version."""
    return f"/api/exercises/{row.id}/picture.svg?v={_made(row)}"


def _made(row: ExerciseRow) -> str:
    return f"{row.version}.{PICTURES}"


def lasting(svg: bytes) -> Response:
    """Return a picture that the browser may keep: another one has another address."""
    headers = {"Cache-Control": "private, max-age=31536000, immutable"}
    return Response(svg, media_type="image/svg+xml", headers=headers)


def _line(row: ExerciseRow) -> ShelfLine:
    try:
        read_exercise(row.document)
        problem = ""
    except GeometryError as error:
        problem = str(error)
    return ShelfLine(
        id=row.id,
        title=row.title,
        version=row.version,
        updated_at=row.updated_at,
        is_put_away=row.is_put_away,
        things=things_of(row.document),
        views=views_of(row.document),
        picture=picture_address(row),
        problem=problem,
    )


def _kept(row: ExerciseRow) -> KeptExercise:
    return KeptExercise(id=row.id, version=row.version, exercise=row.document)
