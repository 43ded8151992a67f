"""Class lists and results as CSV that a spreadsheet may open without being attacked through it."""

import csv
import io
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

_DANGEROUS = ("=", "+", "-", "@", "\t", "\r", "\n")
MOST_ROWS = 500
_NAME_HEADINGS = (
    {"alias", "aliases"},
    {"name", "names", "student", "students", "pupil", "pupils", "first name", "firstname", "given name", "initials"},
)
_HEADINGS = set().union(
    *_NAME_HEADINGS,
    {
        "no",
        "no.",
        "nr",
        "nr.",
        "number",
        "#",
        "id",
        "class",
        "group",
        "age",
        "year",
        "surname",
        "last name",
        "lastname",
    },
)


def csv_text(header: Sequence[str], rows: Iterable[Sequence[object]]) -> str:
    """Return a CSV (RFC 4180, with a byte order mark so that spreadsheets read UTF-8).

    A text that a spreadsheet would take for a formula gets an apostrophe before it.
    """
    out = io.StringIO()
    writer = csv.writer(out)
    writer.writerow(header)
    for row in rows:
        writer.writerow([_safe(cell) for cell in row])
    return "\ufeff" + out.getvalue()


def _safe(cell: object) -> object:
    if isinstance(cell, str) and cell.startswith(_DANGEROUS):
        return f"'{cell}"
    return cell


@dataclass(frozen=True, slots=True)
class ClassList:
    """What stands in a typed list or a CSV of students.

    Attributes:
        columns: what the columns are called: by their heading, or by what stands first in them.
        chosen: the number of the column that holds the names.
        names: the names in it, as often as they stand there.
    """

    columns: tuple[str, ...]
    chosen: int
    names: tuple[str, ...]


def read_class_list(text: str, column: int | None = None) -> ClassList:
    """Return the names in a typed list, one a line, or in a CSV.

    The names stand in the column whose heading says so; without one, in the first that is not made of numbers.

    Args:
        column: the column that a person has chosen.
    """
    whole = "\n".join(text.removeprefix("\ufeff").splitlines()).replace("\0", "")
    try:
        read = [[_tidy(cell) for cell in row] for row in csv.reader(io.StringIO(whole), delimiter=_delimiter(whole))]
    except csv.Error:
        read = [[_tidy(line)] for line in whole.split("\n")]
    rows = [row for row in read if any(row)][: MOST_ROWS + 1]
    if not rows:
        return ClassList((), 0, ())
    width = max(len(row) for row in rows)
    cells = [row + [""] * (width - len(row)) for row in rows]
    has_heading = any(cell.lower() in _HEADINGS for cell in cells[0])
    body = cells[1:] if has_heading else cells
    guessed = _column_of_names(cells[0] if has_heading else [], body, width)
    chosen = column if column is not None and 0 <= column < width else guessed
    return ClassList(tuple(cells[0]), chosen, tuple(row[chosen] for row in body if row[chosen])[:MOST_ROWS])


def _tidy(cell: str) -> str:
    return " ".join(cell.split()).lstrip("' ")[:40].strip()


def _column_of_names(heading: Sequence[str], body: Sequence[Sequence[str]], width: int) -> int:
    for words in _NAME_HEADINGS:
        for number, cell in enumerate(heading):
            if cell.lower() in words:
                return number
    wordy = [n for n in range(width) if any(any(ch.isalpha() for ch in row[n]) for row in body)]
    return wordy[0] if wordy else 0


def _delimiter(text: str) -> str:
    head = text.partition("\n")[0]
    return max(",;\t", key=head.count)
