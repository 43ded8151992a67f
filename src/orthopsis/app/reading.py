"""Reading piles in the background.

The queue is the database: a sheet whose state is ``queued`` is read. So nothing is lost when the process
ends, and cancelling is a change of state. The pictures are read in processes of their own, since that
is much arithmetic beside a server that must answer, and since a picture may be made to break its reader.
"""

import logging
import threading
from collections import Counter
from collections.abc import Mapping
from concurrent.futures import Future
from typing import Any

import cv2
from sqlalchemy.exc import SQLAlchemyError
from sqlalchemy.orm import Session

from orthopsis.app.workroom import LOST, Workroom
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import read_exercise
from orthopsis.core.editing.personal import is_personal
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import sheet_of
from orthopsis.scan.judge import judge_reading
from orthopsis.scan.read import NotRead, read_sheet
from orthopsis.store import classes, piles
from orthopsis.store.engine import Sessions
from orthopsis.store.errors import StoreError
from orthopsis.store.models import Pile, SheetRow

log = logging.getLogger(__name__)
MOST_READING_S = 60.0
MOST_READING_BYTES = 1_500_000_000
MOST_TRIES = 3
"""So often a sheet is begun whose process ends under it."""
BUSY_S, IDLE_S = 0.05, 0.3
"""How long the reader waits before it looks again."""


def read_and_check(
    data: bytes,
    document: dict[str, Any],
    corners: list[tuple[float, float]] | None,
    names: Mapping[str, str] = {},
    name: str = "",
) -> dict[str, Any]:
    """Read one sheet and judge it (runs in a process of its own).

    Args:
        names: the class's names by the code on their sheets, for exercises in which each has a sheet of their own.
        name: whose it is, where that is known already.
    """
    cv2.setNumThreads(1)
    exercise = read_exercise(document)
    sheet = sheet_of(exercise)
    try:
        reading = read_sheet(data, sheet.width_mm, sheet.height_mm, corners)
    except GeometryError as error:
        return {"state": "failed", "problem": f"{error.why} {error.fix}"}
    if isinstance(reading, NotRead):
        return {
            "state": "not_found",
            "problem": f"The sheet was not found: {reading.reason}. Place its corners by hand.",
        }
    whose = names.get(reading.code.student, name) if reading.code else name
    own = own_sheet(exercise, whose).exercise if whose else exercise
    checked = judge_reading(own, reading)
    return {
        "state": "read",
        "found_by": reading.found_by,
        "confidence": reading.confidence,
        "strokes": [[*line.start, *line.end] for line in checked.lines],
        "checked": checked.model_dump(mode="json"),
        "student_code": reading.code.student if reading.code else "",
        "exercise_code": reading.code.exercise if reading.code else "",
        "flat": reading.flat_jpeg,
        "corners": [list(corner) for corner in reading.corners_px],
    }


def strokes_of(rows: list[list[float]]) -> list[Stroke]:
    """Return kept strokes as the core knows them."""
    return [Stroke(Point(r[0], r[1]), Point(r[2], r[3])) for r in rows]


class Reader:
    """Takes queued sheets from the database and has them read, ``workers`` at a time."""

    def __init__(self, sessions: Sessions, workers: int, *, most_s: float = MOST_READING_S) -> None:
        self._sessions = sessions
        self._workers = workers
        self._room = Workroom(workers, most_s=most_s, most_bytes=MOST_READING_BYTES)
        self._stop = threading.Event()
        self._busy: dict[int, Future[dict[str, Any]]] = {}
        self._lost: Counter[int] = Counter()
        self._thread = threading.Thread(target=self._run, name="reader", daemon=True)

    def start(self) -> None:
        """Take up what an earlier run left, and begin."""
        self._thread.start()

    def stop(self) -> None:
        """Finish; what is being read is read again at the next start."""
        self._stop.set()
        self._thread.join(timeout=5)
        self._room.close()

    def _run(self) -> None:
        resumed = False
        while not self._stop.wait(BUSY_S if self._busy else IDLE_S):
            try:
                if not resumed:
                    self._resume()
                    resumed = True
                self._collect()
                self._take()
            except SQLAlchemyError as error:
                log.warning("the reader waits for the database: %s", error)
                self._stop.wait(1.0)
            except Exception:
                # Whatever it is, it concerns one sheet or one moment: the others are still to be read.
                log.exception("the reader goes on after a fault")
                self._stop.wait(1.0)

    def _resume(self) -> None:
        with self._sessions.begin() as db:
            piles.requeue_interrupted(db)
            piles.purge_removed(db)
            classes.purge_removed(db)

    def _take(self) -> None:
        room = self._workers - len(self._busy)
        if room <= 0:
            return
        with self._sessions.begin() as db:
            jobs = {row.id: job for row in piles.take_queued(db, room) if (job := _job(db, row)) is not None}
        for sheet_id, job in jobs.items():
            self._busy[sheet_id] = self._room.begin(read_and_check, *job)

    def _collect(self) -> None:
        for sheet_id, future in list(self._busy.items()):
            if not future.done():
                continue
            result = self._result(sheet_id, future)
            with self._sessions.begin() as db:
                _write(db, sheet_id, result)
            del self._busy[sheet_id]
            if result["state"] != "queued":
                self._lost.pop(sheet_id, None)

    def _result(self, sheet_id: int, future: Future[dict[str, Any]]) -> dict[str, Any]:
        """Return what came of a sheet; one whose process ended is read again, but not for ever."""
        try:
            return future.result()
        except LOST:
            self._lost[sheet_id] += 1
            if self._lost[sheet_id] < MOST_TRIES:
                log.warning("a reading process ended; sheet %s is read again", sheet_id)
                return {"state": "queued", "problem": ""}
            return _failed(f"Reading this sheet broke off {MOST_TRIES} times. Take a new photo.")
        except (TimeoutError, MemoryError):
            return _failed("This picture takes too long to read. Take a new photo: nearer, sharper, on a plain table.")
        except Exception as error:
            log.exception("reading a sheet failed")
            return _failed(f"This sheet could not be read ({type(error).__name__}). Take a new photo.")


def _failed(problem: str) -> dict[str, Any]:
    return {"state": "failed", "problem": problem}


def _job(db: Session, row: SheetRow) -> tuple[Any, ...] | None:
    """Return what is needed to read a sheet; one that cannot be read is marked so, and the others go on."""
    try:
        pile = db.get_one(Pile, row.pile_id)
        data = piles.sheet_picture(db, row.id, "upload")
        corners = [(float(x), float(y)) for x, y in row.corners] if row.corners else None
        return (data, pile.document, corners, *_names(db, row, pile))
    except (GeometryError, StoreError) as error:
        row.state, row.problem = "failed", str(error)[:300]
        return None


def _names(db: Session, row: SheetRow, pile: Pile) -> tuple[dict[str, str], str]:
    """Return the class's names by code, and the name of the sheet's student, where sheets differ; else nothing."""
    if not is_personal(read_exercise(pile.document)):
        return {}, ""
    students = classes.list_students(db, pile.class_id)
    return {s.code: s.alias for s in students}, next((s.alias for s in students if s.id == row.student_id), "")


def _write(db: Any, sheet_id: int, result: dict[str, Any]) -> None:
    row = db.get(SheetRow, sheet_id)
    if row is None or row.state != "reading":
        return  # taken off the pile meanwhile
    if result["state"] != "read":
        row.state, row.problem = result["state"], result["problem"][:300]
        return
    piles.set_read(row, result)
    row.decisions = {}
    if result["flat"]:
        piles.set_picture(db, sheet_id, "flat", result["flat"])
    pile = db.get(Pile, row.pile_id)
    if row.student_id is None and result["student_code"] and pile is not None:
        student = piles.student_by_code(db, pile.class_id, result["student_code"])
        row.student_id = student.id if student else None
