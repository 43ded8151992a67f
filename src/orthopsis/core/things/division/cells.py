"""The parts of a divided face, as faces on which other things lie: a storey, a bay, or a field of both.

Their corners lie where lines of the division cross; one that no line of it ends in is marked when somebody needs it.
"""

from collections.abc import Mapping
from dataclasses import replace

from orthopsis.core.construct.moves import Act, Cross
from orthopsis.core.construct.panel import Back, Panel, vector
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.division.shares import Divided
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values
from orthopsis.core.wording.vocabulary import ordinal

MOST_CELLS = 64
"""A face with more parts offers none of them: nobody would find one in the list."""


def cells(values: Values, setting: Setting, panel: Panel, at: Divided) -> Mapping[str, Panel]:
    """Return the parts by column and row, counted from the first edge and from the foot: ``part_2_1``."""
    columns, rows = len(at.along) + 1, len(at.up) + 1
    if not 1 < columns * rows <= MOST_CELLS:
        return {}
    grid = _Grid(values, setting, panel, at)
    return {f"part_{i + 1}_{j + 1}": grid.cell(i, j) for j in range(rows) for i in range(columns)}


class _Grid:
    """The lines and crossings of a divided face, by full name; line 0 is an edge of the face, and so is the last."""

    def __init__(self, values: Values, setting: Setting, panel: Panel, at: Divided) -> None:
        self._n, self._panel, self._setting = values.full, panel, setting
        self._along, self._up = (0.0, *at.along, 1.0), (0.0, *at.up, 1.0)
        self._columns, self._rows = len(at.along) + 1, len(at.up) + 1

    def cell(self, i: int, j: int) -> Panel:
        """Return a part as a face."""
        panel = self._panel
        around = ((i, j), (i + 1, j), (i + 1, j + 1), (i, j + 1))
        places = panel.places((self._along[x], self._up[y]) for x, y in around)
        low, far_low, far_high, high = (self._corner(*corner) for corner in around)
        page = [Point(x, y) for x, y in self._setting.frame.eye.see(places).tolist()]
        marks = tuple(self._mark(*corner) for corner in around if self._is_inner(*corner))
        return replace(
            panel,
            says=self._says(i, j),
            low=low,
            high=high,
            far_low=far_low,
            far_high=far_high,
            first=self._column(i),
            bottom=self._row(j),
            top=self._row(j + 1),
            far=self._column(i + 1),
            drawn_from=panel.drawn_from if not i and self._rows == 1 else "low",
            page=(page[0], page[1], page[2], page[3]),
            start=vector(places[0]),
            axes=(vector(places[1] - places[0]), vector(places[3] - places[0])),
            first_says=f"line {i}" if i else panel.first_says,
            back=_nameless(panel.back),
            is_part=True,
            marks=marks,
            others=(),
        )

    def _says(self, i: int, j: int) -> str:
        if self._columns == 1:
            return f"{ordinal(j + 1)} part from the foot"
        along = f"{ordinal(i + 1)} part from the {self._panel.first_says}"
        return along if self._rows == 1 else f"{along}, {ordinal(j + 1)} row"

    def _column(self, i: int) -> str:
        return {0: self._panel.first, self._columns: self._panel.far}.get(i, self._n(f"column.{i}"))

    def _row(self, j: int) -> str:
        return {0: self._panel.bottom, self._rows: self._panel.top}.get(j, self._n(f"row.{j}"))

    def _is_inner(self, i: int, j: int) -> bool:
        return 0 < i < self._columns and 0 < j < self._rows

    def _corner(self, i: int, j: int) -> str:
        """Return the full name of the place where two lines cross."""
        panel, n, columns, rows = self._panel, self._n, self._columns, self._rows
        at_rim = {
            (0, 0): panel.low,
            (columns, 0): panel.far_low,
            (columns, rows): panel.far_high,
            (0, rows): panel.high,
        }
        if (i, j) in at_rim:
            return at_rim[i, j]
        if i in (0, columns):
            return n(f"{'start' if i == 0 else 'end'}.{j}")
        if j in (0, rows):
            return n(f"{'foot' if j == 0 else 'head'}.{i}")
        return n(f"crossing.{i}.{j}")

    def _mark(self, i: int, j: int) -> Act:
        return Cross(self._corner(i, j), self._column(i), self._row(j))


def _nameless(back: Back | None) -> Back | None:
    """Return how far it is through the body, of whose corners none is behind a corner of the part."""
    return None if back is None else replace(back, low="", high="", far_low="", far_high="", upper=("", ""))
