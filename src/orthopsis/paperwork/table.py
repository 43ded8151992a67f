"""Class lists and results as CSV that a spreadsheet may open without being attacked through it."""

import csv
import io
from collections.abc import Iterable, Sequence

_DANGEROUS = ("=", "+", "-", "@", "\t", "\r", "\n")
MOST_ROWS = 500


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


def read_aliases(text: str) -> list[str]:
    """Return the aliases in a typed list or a CSV: the first column, a heading and empty lines left out."""
    rows = csv.reader(io.StringIO(text.removeprefix("\ufeff")), delimiter=_delimiter(text))
    names = [" ".join(row[0].split()).lstrip("'")[:40] for row in rows if row and row[0].strip()]
    if names and names[0].lower() in ("alias", "name", "student", "students", "names"):
        names = names[1:]
    return list(dict.fromkeys(names))[:MOST_ROWS]


def _delimiter(text: str) -> str:
    head = text.partition("\n")[0]
    return max(",;\t", key=head.count)
