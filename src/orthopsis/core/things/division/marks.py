"""How does a hand find where a face is divided?

Marks are called ``foot.1`` and so on along its lower edge, ``start.1`` up its first one. Light lines are called
``construction``, marks on the way ``measure``; numbers run from the nearest lower corner.
"""

from collections.abc import Callable, Mapping

from orthopsis.core.construct.grid import Grid, ruled_along, tick
from orthopsis.core.construct.measuring import Laid, first_edge_by_line, laid_off, measuring_line
from orthopsis.core.construct.moves import (
    Act,
    Cross,
    MeasureAlong,
    Move,
    Rule,
    Run,
    ShareAlong,
)
from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.things.division.parts import are_equal
from orthopsis.core.things.division.shares import Divided
from orthopsis.core.things.division.tiles import TILES, tile_acts, tiling
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values

FLAT_FOOT = 0.02
"""Sine of the angle to a level line under which an edge cannot be divided from it (no source)."""
HALF = 0.5
_LAID: Mapping[Laid, str] = {"laid": "face.measuring", "pivot": "face.pivot", "carried": "face.carry"}
"""What tells the parts of the work with a measuring line under a face."""

Told = list[tuple[str, Act]]
"""Acts with the breaths that tell them; an act without one is what the ruler shows anyway."""


def mark_moves(values: Values, setting: Setting, panel: Panel, at: Divided) -> list[Move]:
    """Return the moves that mark where a face is divided.

    Raises:
        GeometryError: the lower edge runs so flat that it cannot be divided by a measuring line.
    """
    find = _WAYS[values.word("way")]
    told = find(values, setting, panel, at) if at.along or at.up else []
    return [values.move("divide", breath, act) for breath, act in told]


def _by_diagonal(values: Values, setting: Setting, panel: Panel, at: Divided) -> Told:
    grid = Grid(
        values.name, panel, [*((along, 0.0) for along in at.along), *((0.0, up) for up in at.up)], "face", setting.level
    )
    told: Told = [(move.breath, move.act) for move in grid.moves()]
    feet = enumerate(at.along, start=1)
    told += [("", Cross(values.full(f"foot.{i}"), grid.column(share), panel.bottom)) for i, share in feet]
    starts = enumerate(at.up, start=1)
    return told + [("", Cross(values.full(f"start.{j}"), panel.first, grid.row(share))) for j, share in starts]


def _by_halving(values: Values, setting: Setting, panel: Panel, at: Divided) -> Told:
    told = list[tuple[str, Act]]()
    across = (panel.low, panel.far_low, panel.far_high, panel.high)
    centre = _centre(values, "whole", across, told)

    if at.along:
        _halve_along(values, panel, (0, len(at.along) + 1), across, centre, told)
    if at.up:
        _halve_up(values, panel, (0, len(at.up) + 1), across, centre, told)
    return told


def _halve_along(
    values: Values, panel: Panel, ends: tuple[int, int], quad: tuple[str, ...], middle: str, told: Told
) -> None:
    """Halve the parts along between two marks; ``quad`` are their corners, ``middle`` is where its diagonals cross."""
    (low, high), n = ends, values.full
    i = (low + high) // 2
    foot, head = n(f"foot.{i}"), n(f"measure.head.{i}")
    for end, line, until in ((foot, "down", panel.bottom), (head, "rise", panel.top)):
        run = Run(n(f"construction.{line}.{i}"), end, middle, panel.up.family, until, "construction")
        told.append(("face.halves", run))
    if i - low > 1:
        near, far = (quad[0], foot, head, quad[3]), (foot, quad[1], quad[2], head)
        _halve_along(values, panel, (low, i), near, _centre(values, f"near.{i}", near, told), told)
        _halve_along(values, panel, (i, high), far, _centre(values, f"far.{i}", far, told), told)


def _halve_up(
    values: Values, panel: Panel, ends: tuple[int, int], quad: tuple[str, ...], middle: str, told: Told
) -> None:
    """Halve the parts up between two marks, as ``_halve_along`` does."""
    (low, high), n = ends, values.full
    j = (low + high) // 2
    start, end = n(f"start.{j}"), n(f"measure.end.{j}")
    for to, line, until in ((start, "level", panel.first), (end, "level_on", panel.far)):
        run = Run(n(f"construction.{line}.{j}"), to, middle, panel.along.family, until, "construction")
        told.append(("face.halves", run))
    if j - low > 1:
        under, over = (quad[0], quad[1], end, start), (start, end, quad[2], quad[3])
        _halve_up(values, panel, (low, j), under, _centre(values, f"under.{j}", under, told), told)
        _halve_up(values, panel, (j, high), over, _centre(values, f"over.{j}", over, told), told)


def _centre(values: Values, name: str, quad: tuple[str, ...], told: Told) -> str:
    """Tell the diagonals of a part of the face, and return the full name of the point where they cross."""
    rising, falling = (values.full(f"construction.{way}.{name}") for way in ("rising", "falling"))
    centre = values.full(f"measure.centre.{name}")
    told.append(("face.halves", Rule(rising, quad[0], quad[2], "free", "construction")))
    told.append(("face.halves", Rule(falling, quad[3], quad[1], "free", "construction")))
    told.append(("face.halves", Cross(centre, rising, falling)))
    return centre


def _by_measuring(values: Values, setting: Setting, panel: Panel, at: Divided) -> Told:
    if panel.along.goal.is_ideal or not at.along:
        return _by_ruler(values, setting, panel, at)
    low, far, _, _ = panel.page
    if abs(far.y - low.y) < FLAT_FOOT * panel.bottom_mm:
        raise GeometryError(
            "foot_too_flat",
            f"The lower edge of the {panel.says} runs almost level: a measuring line lies on it.",
            "Divide it by ticks and the diagonal.",
            about="way",
            nearest="by ticks and the diagonal",
        )
    parts = len(at.along) + 1
    step = parts if are_equal(list(at.along)) else 1
    line = measuring_line(low, far, setting.frame.level_mm, setting.sheet, step)
    if line is None:
        raise GeometryError(
            "no_room_to_measure",
            f"A measuring line for the lower edge of the {panel.says} has no room on the sheet.",
            "Divide it by ticks and the diagonal.",
            about="way",
            nearest="by ticks and the diagonal",
        )
    feet = {values.full(f"foot.{i}"): share for i, share in enumerate(at.along, start=1)}
    laid = laid_off(panel.low, panel.far_low, panel.bottom, feet, line, values.full)
    return [*((_LAID[part], act) for part, act in laid), *_ticks(values, setting, panel, at)]


def _by_repeating(values: Values, setting: Setting, panel: Panel, at: Divided) -> Told:
    if not at.along:
        return _ticks(values, setting, panel, at)
    n, is_near, count = values.full, values.word("way") == "repeat_near", len(at.along)
    told: Told = []
    order = range(1, count + 1) if is_near else range(count, 0, -1)
    edge, head = panel.bottom, panel.high if is_near else panel.far_high
    if not is_near:
        edge = n("construction.from_far")
        told.append(("face.bay", Rule(edge, panel.far_low, panel.low, panel.along.family, "unseen")))
    told.append(("face.bay", MeasureAlong(n(f"foot.{order[0]}"), edge, values.mm("bay"))))
    middle = n("construction.middle")
    told.append(("face.middle", tick(panel, n("measure.middle"), HALF)))
    told.append(("face.middle", ruled_along(panel, middle, n("measure.middle"), n("measure.middle_end"))))
    for i, following in zip(order, [*order[1:], 0], strict=True):
        column, top = n(f"construction.column.{i}"), n(f"measure.head.{i}")
        mid, bay = n(f"measure.mid.{i}"), n(f"construction.bay.{i}")
        told.append(("face.repeat", Run(column, top, n(f"foot.{i}"), panel.up.family, panel.top, "construction")))
        if following:
            told.append(("face.repeat", Cross(mid, column, middle)))
            foot, whole = n(f"foot.{following}"), n(f"construction.bay_line.{i}")
            told.append(("face.repeat", Rule(bay, head, mid, "free", "unseen")))
            told.append(("face.repeat", Cross(foot, bay, panel.bottom)))
            told.append(("face.repeat", Rule(whole, head, foot, "free", "construction")))
            head = top
    return told + _ticks(values, setting, panel, at)


def _by_ruler(values: Values, setting: Setting, panel: Panel, at: Divided) -> Told:
    feet = ((i, panel.page_share(share) * panel.bottom_mm) for i, share in enumerate(at.along, start=1))
    told: Told = [("face.by_ruler", MeasureAlong(values.full(f"foot.{i}"), panel.bottom, mm)) for i, mm in feet]
    return told + _ticks(values, setting, panel, at)


def _by_eye(values: Values, setting: Setting, panel: Panel, at: Divided) -> Told:
    """By eye the marks come where they belong; how near they come to it is not judged."""
    goal, low = panel.along.goal, panel.page[0]
    reach = panel.bottom_mm if goal.is_ideal else distance(low, goal)
    feet = ((i, panel.page_share(share) * panel.bottom_mm / reach) for i, share in enumerate(at.along, start=1))
    told: Told = [("face.by_eye", ShareAlong(values.full(f"foot.{i}"), panel.bottom, share)) for i, share in feet]
    return told + _ticks(values, setting, panel, at)


def _ticks(values: Values, setting: Setting, panel: Panel, at: Divided) -> Told:
    """Return the marks on the first edge."""
    marks = {values.full(f"start.{j}"): share for j, share in enumerate(at.up, start=1)}
    laid = first_edge_by_line(panel, setting.level, marks, lambda name: values.full(f"up.{name}"))
    if laid:
        return [(f"face.ticks_{part}", act) for part, act in laid]
    breath = "face.ticks" if panel.up.goal.is_ideal else "face.ticks_measured"
    return [(breath, tick(panel, name, share)) for name, share in marks.items()]


_WAYS: Mapping[str, Callable[[Values, Setting, Panel, Divided], Told]] = {
    "diagonal": _by_diagonal,
    "halving": _by_halving,
    "measuring": _by_measuring,
    "repeat_near": _by_repeating,
    "repeat_far": _by_repeating,
    "page": _by_ruler,
    "eye": _by_eye,
    TILES: lambda values, setting, panel, at: list(tile_acts(values, tiling(values, setting, panel))),
}
