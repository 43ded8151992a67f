"""A profile on one face of a block, in two- and three-point perspective, carried back to the opposite point.

The block stands first, about its nearest edge; the face is divided with its diagonal; the outline's corners are the
crossings; then the corners are scanned one by one to the other point. Where a cut takes away the nearest edge, the new
corners go to that point like all others.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np

from orthopsis.core.construct.carry import Outline, back_moves, front_moves, guide_moves, guided_corners, loops_of
from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.moves import Act, Cross, Move, RuleToPoint, Run
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.arc import Arc, Place, Rounding
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.box import block, corner
from orthopsis.core.things.box.block import ROLES
from orthopsis.core.things.declare import Build, Clause, CornerHandles, Handle, Values
from orthopsis.core.things.outline import pieces, roundings, with_corner
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.profile.body import body, parts_of, rounded_moves, shown_back
from orthopsis.core.things.profile.cut import cut_of
from orthopsis.core.things.standing import Setting
from orthopsis.core.view.eye import Array


@dataclass(frozen=True, slots=True)
class Shares:
    """An outline in shares of its face: its corners by number, and the rounded ones."""

    corners: dict[int, Place]
    rounded: dict[int, Rounding]


@lru_cache(maxsize=1024)
def _shares(values: Values, setting: Setting) -> Shares:
    """Return the places of the outline in shares of the face's width, from its left end, and height.

    They are found from ticks on its first edge. Where a ruler makes those, the shares are those of its marks.
    """
    loops = values.outline("outline")
    width, height = values.face("outline")

    def share(place: Place) -> Place:
        return (place[0] / width, place[1] / height)

    corners = [share(corner[:2]) for loop in loops for corner in loop]
    rounded = {n: r.mapped(share) for n, r in roundings(loops).items()}
    if cut_of(values, setting).panel.up.goal.is_ideal:
        on_mark = _on_marks(_all_shares(corners, rounded), setting.sheet.division_mm / values.mm("height"))
        corners = [(on_mark[x], on_mark[y]) for x, y in corners]
        rounded = {n: r.mapped(lambda place: (on_mark[place[0]], on_mark[place[1]])) for n, r in rounded.items()}
    return Shares(dict(enumerate(corners, start=1)), rounded)


def _all_shares(corners: Iterable[Place], rounded: Mapping[int, Rounding]) -> list[float]:
    places = [*corners, *(place for r in rounded.values() for place in (r.start, r.end, r.centre))]
    return sorted({share for place in places for share in place})


def _on_marks(shares: list[float], mark: float) -> dict[float, float]:
    """Return the share of a mark for each, or each as it is if that would make two different ones the same."""
    as_is = {share: share for share in shares}
    if 1 / mark < 1:
        return as_is
    on_mark: dict[float, float] = {}
    before = -1.0
    for share in shares:
        same = share - before <= SAME_SHARE  # the same place, reckoned in another way
        on_mark[share] = on_mark[before] if same else share if share in (0, 1) else round_to(share, mark)
        if not same and on_mark[share] - on_mark.get(before, -1.0) < mark / 2:
            return as_is
        before = share
    return on_mark


@lru_cache(maxsize=1024)
def outline_of(values: Values, setting: Setting) -> Outline:
    """Return the outline on its face, with its corners where the eye sees them."""
    cut, frame, loops = cut_of(values, setting), setting.frame, values.outline("outline")
    over, shares = frame.way(cut.over), _shares(values, setting)
    down = -1.0 if cut.panel.face == "top" else 1.0

    def see(places: Iterable[Place]) -> list[Point]:
        seen = frame.eye.see(cut.panel.places(cut.on_panel(place) for place in places))
        return [Point(x, y) for x, y in seen.tolist()]

    return Outline(
        thing=values.name,
        loops=loops_of([len(loop) for loop in loops]),
        flat=shares.corners,
        page=dict(zip(shares.corners, see(shares.corners.values()), strict=True)),
        pieces=pieces(loops),
        rounded=shares.rounded,
        parts=values.parts,
        arcs={n: Arc(*see((r.start, r.pole, r.end, r.centre))) for n, r in shares.rounded.items()},
        across=(cut.panel.along.family, cut.panel.along.goal),
        up=(cut.panel.up.family, cut.panel.up.goal),
        goal_name=over.family,
        goal=Point(0.0, down, 0.0) if cut.is_upright else over.goal,
        limits=(cut.first_end, cut.foot_end or ""),
        parting_mm=block.near_edge(values, setting)["bottom"].x,
        ready={n: line for n, place in shares.corners.items() if (line := cut.ready(place)) is not None},
    )


@lru_cache(maxsize=1024)
def solid(values: Values, setting: Setting) -> Solid:
    """Return the profile in the world of the frame's eye."""
    return _solid(values, setting, outline_of(values, setting))


def _solid(values: Values, setting: Setting, outline: Outline) -> Solid:
    _, vectors = block.axes(values, setting)
    cut = cut_of(values, setting)

    def places(flat: Array) -> Array:
        return cut.panel.places(cut.on_panel((across, up)) for across, up in flat.tolist())

    # The upright vector leads from the level of the first corner to the other one.
    sign = -1.0 if cut.is_level and cut.panel.face != block.first_level(setting) else 1.0
    return body(outline, places, sign * vectors[cut.over], cut.turned, cut.panel.face)


def recipe(values: Values, setting: Setting) -> list[Move]:
    """Return the hand's moves: block, division of the face, outline, guide lines, back."""
    outline, cut = outline_of(values, setting), cut_of(values, setting)
    moves = block.edge_moves(values, setting) + block.guide_moves(values, setting)
    for role in ROLES:
        moves += block.side_moves(values, setting, role)
    if cut.is_level:
        moves += block.back_moves(values, setting, (cut.panel.face,))
    grid = _grid(values, setting)

    def mark(name: str, place: Place) -> Act:
        return grid.mark(name, cut.on_panel(place))

    moves += grid.moves()
    moves += front_moves(outline, cut.told("outline"), lambda c: [mark(f"front.{c}", outline.flat[c])])
    guided = outline.corners if values.is_see_through else guided_corners(outline)
    moves += guide_moves(outline, guided, cut.told("guides"))
    whole = solid(values, setting)
    block_form = _solid(values, setting, outline.block_form) if outline.rounded else whole
    shown = shown_back(block_form, setting, "edge", is_see_through=values.is_see_through)
    moves += _back(values, setting, outline, grid, shown)
    return moves + rounded_moves(outline, whole, setting, mark, is_see_through=values.is_see_through)


def _grid(values: Values, setting: Setting) -> Grid:
    """Return the light lines on whose crossings all lies: corners, and where curves begin and have their centres."""
    shares, cut = _shares(values, setting), cut_of(values, setting)
    rounded = (place for r in shares.rounded.values() for place in (r.start, r.end, r.centre))
    places = (cut.on_panel(place) for place in (*shares.corners.values(), *rounded))
    return Grid(values.name, cut.panel, places, "face" if cut.is_level else "divide")


def _back(values: Values, setting: Setting, outline: Outline, grid: Grid, shown: set[int]) -> list[Move]:
    """Cut the guide lines of the corners at the face's rims with the lines where the block ends; the rest follows."""
    n, cut = values.full, cut_of(values, setting)
    ends = {c: end for c, place in outline.flat.items() if (end := cut.end(place)) is not None}
    moves = [
        values.move("depth", cut.told("depth"), Cross(n(f"back.{c}"), outline.guide(c), end)) for c, end in ends.items()
    ]

    def fallback(corner: int) -> list[Move]:
        return _round_the_corner(values, setting, outline, grid, corner)

    return moves + back_moves(outline, list(ends), shown, fallback)


def _round_the_corner(values: Values, setting: Setting, outline: Outline, grid: Grid, number: int) -> list[Move]:
    """Carry a height round the first edge to where the block ends, and from there to the corner's guide line."""
    n, cut, share = values.full, cut_of(values, setting), outline.flat[number][1]
    line, at_end = cut.ready_at(share), n(f"measure.round.{number}")
    if line is not None:
        carried: list[Act] = [Cross(at_end, line, cut.first_end)]
    else:
        line, tick, family = (
            n(f"construction.round.{number}"),
            grid.tick_name(share),
            setting.frame.way(cut.over).family,
        )
        carried = [RuleToPoint(line, tick, family, "construction"), Cross(at_end, line, cut.first_end)]
        if cut.is_upright:
            carried = [Run(line, at_end, tick, family, cut.first_end, "construction")]
    run = Run(
        n(f"construction.round_back.{number}"),
        n(f"back.{number}"),
        at_end,
        cut.panel.along.family,
        outline.guide(number),
        "construction",
    )
    return [values.move("back", cut.told("round"), act) for act in (*carried, run)]


def panels(values: Values, setting: Setting) -> Mapping[str, Panel]:
    """Return the face from which the shape is cut, with what is left of it."""
    cut, outline = cut_of(values, setting), outline_of(values, setting)
    return {cut.panel.face: replace(cut.panel, says=cut.says, parts=parts_of(outline, cut.on_panel))}


def _drag_size(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return corner.CORNER.handles[1].drag(values, setting, at)


def _drag_corner(values: Values, setting: Setting, at: Point, number: int) -> Mapping[str, Value]:
    """Put a corner where the line of sight through the page meets the face."""
    cut = cut_of(values, setting)
    panel, sight = cut.panel, setting.frame.eye.ray(at)
    try:
        along, high, _ = np.linalg.solve(np.column_stack((*panel.axes, -sight)), -np.array(panel.start))
    except np.linalg.LinAlgError:
        return {}  # the line of sight runs along the face
    width, height = values.face("outline")
    (across, up), division = cut.on_panel((float(along), float(high))), setting.sheet.division_mm
    corner = (max(round_to(across * width, division), 0.0), max(round_to(up * height, division), 0.0))
    return {"outline": with_corner(values.outline("outline"), number, corner)}


def handles_at(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return where the handles are: those of the block, and each corner of the outline."""
    page = outline_of(values, setting).page
    return {**corner.handles_at(values, setting), **{f"corner_{number}": at for number, at in page.items()}}


def place(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more profile, between the points and on the sheet, as a box would stand."""
    fresh = dict(corner.place(setting, count))
    slice_mm = round_to(float(fresh["right_length"]) / 3, setting.sheet.division_mm)  # type: ignore[arg-type]
    return {**fresh, "right_length": max(slice_mm, setting.sheet.division_mm)}


SIDE = Build(
    sentence=(
        Clause("A shape with {outline} on the {side} of a block. "),
        *corner.CORNER.sentence,
    ),
    handles=(
        Handle("place", "Move the block", tuple(p.name for p in FIRST_CORNER), corner.CORNER.handles[0].drag, "place"),
        Handle("size", "Change the height", ("height",), _drag_size, "size"),
        *corner.CORNER.handles[2:],
    ),
    solid=solid,
    recipe=recipe,
    corners=CornerHandles(("outline",), _drag_corner),
    handles_at=handles_at,
    spans=corner.spans,
    needs=corner.needs,
    place=place,
    follow=corner.follow,
    keep_shape=corner.keep_shape,
    true_length=corner.true_length,
    joints=block.joints,
    stand=block.stand,
    foot_depth=block.foot_depth,
    panels=panels,
)
