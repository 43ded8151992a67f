"""How is a shape cut out of a block, piece by piece, as a letter is?

Where the outline of a piece leaves the rectangle about it, something of that rectangle is cut away: a gap in one of its
sides, one of its corners, or a hole inside. Each is marked and drawn by itself; what is left is the shape. This knows
the outline on its face, not the page. Common practice, no source.
"""

from collections.abc import Iterator, Mapping, Sequence, Set
from dataclasses import dataclass, replace
from itertools import pairwise

from orthopsis.core.construct.carry import CarriedOutline, Mark, part_moves
from orthopsis.core.construct.moves import Act, Move, Offset, Rule
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.plane.tolerance import SAME_POINT_MM, SAME_SHARE
from orthopsis.core.wording.pieces import CutPiece, Side

MOST_LINES = 5
"""So many lines of a cut are told in one step at most (no source)."""
Edge = tuple[int, int]
Rim = tuple[float, float, float, float]
"""A rectangle on a face: its left, lower, right and upper side, in the outline's shares."""


@dataclass(frozen=True, slots=True)
class Origin:
    """From where the corners of a part are measured.

    Attributes:
        act: what marks the point; ``name``: its full name.
        at: its place on the page.
    """

    act: Act
    name: str
    at: Point


@dataclass(frozen=True, slots=True)
class CutOut:
    """A piece that is cut away.

    Attributes:
        piece: which one.
        corners: of the outline that are marked for it, in the order in which they are joined.
        edges: what is drawn: the cut, and what then is sure of the rectangle's sides.
    """

    piece: CutPiece
    corners: tuple[int, ...]
    edges: tuple[Edge, ...]


@dataclass(frozen=True, slots=True)
class CutPart:
    """A part of an outline as it is cut out of the rectangle about it.

    Attributes:
        outer: the corners of the outline that is cut, in order.
        on_block: its corners that are corners of the rectangle and there before anything is cut.
        whole: edges that are whole sides of the rectangle.
        cuts: what is cut away.
        rest: further outlines of the part beside the one that is cut, such as the dot of an i: their corners.
    """

    outer: tuple[int, ...]
    on_block: tuple[int, ...]
    whole: tuple[Edge, ...]
    cuts: tuple[CutOut, ...]
    rest: tuple[tuple[int, ...], ...]


def cut_part(outline: CarriedOutline, corners: Sequence[int], there: Set[int] | None = None) -> CutPart:
    """Return how a part of an outline is cut out.

    Args:
        corners: of the part; the largest of its outlines is the one that is cut.
        there: those that are there before anything is cut; by default all corners of its rectangle.
    """
    mine = set(corners)
    pieces = [[outline.loops[number] for number in piece] for piece in outline.pieces]
    pieces = [piece for piece in pieces if mine.issuperset(piece[0])]
    rims = [_rim(outline, piece[0]) for piece in pieces]
    rim = max(rims, key=lambda rim: (rim[2] - rim[0]) * (rim[3] - rim[1]))
    main = pieces[rims.index(rim)]
    outer, *holes = main
    on = {c: _sides(outline.flat[c], rim) for c in outer}
    edges = list(zip(outer, (*outer[1:], outer[0]), strict=True))
    along = [edge for edge in edges if on[edge[0]] & on[edge[1]]]
    whole = tuple(edge for edge in along if len(on[edge[0]]) == len(on[edge[1]]) == 2)
    ways = _chains(edges, along, {c for c in outer if on[c]})
    found = [(_piece(on, rim, outline, way), way) for way in ways]
    found += [(CutPiece("hole"), hole) for hole in holes]
    on_block = tuple(c for c in outer if len(on[c]) == 2 and (there is None or c in there))
    marked = set(on_block)
    left, cuts = [edge for edge in along if edge not in whole], list[CutOut]()
    for piece, way in _told_apart(found, outline):
        closed = (*way, way[0]) if piece.kind == "hole" else way
        runs = _runs(closed)
        for leg, run in enumerate(runs, start=1):
            new = tuple(c for c in dict.fromkeys(run) if c not in marked)
            marked |= set(run)
            sure = tuple(edge for edge in left if marked.issuperset(edge))
            left = [edge for edge in left if edge not in sure]
            told = replace(piece, leg=leg if len(runs) > 1 else 0)
            cuts.append(CutOut(told, new, (*pairwise(run), *sure)))
    if left:  # along two sides of the rectangle that are cut in their middles, to a corner that no cut begins at
        last, late = cuts[-1], tuple({c: None for edge in left for c in edge if c not in marked})
        cuts[-1] = CutOut(last.piece, (*last.corners, *late), (*last.edges, *left))
    rest = tuple(tuple(c for loop in piece for c in loop) for piece in pieces if piece is not main)
    return CutPart(outer, on_block, whole, tuple(cuts), rest)


def cut_moves(outline: CarriedOutline, part: str, cuts: Sequence[CutOut], breath: str, mark: Mark) -> Iterator[Move]:
    """Yield the moves that mark the corners of each piece and draw its cut."""
    for cut in cuts:
        acts: list[Act] = [mark(corner) for corner in cut.corners]
        acts += [outline.edge(*edge) for edge in cut.edges]
        for act in acts:
            yield Move("front", outline.thing, breath, act, part=part, piece=cut.piece)


def front_cut_moves(outline: CarriedOutline, part: int, origin: Origin, mark: Mark) -> list[Move]:
    """Return the moves that draw a part of a front that is drawn true: its block, then what is cut out of it.

    Args:
        part: its number.
        origin: from where its corners are measured.
    """
    name, corners = outline.part_corners[part]
    begin = Move("front", outline.thing, "front.block", origin.act, part=name)
    cut = cut_part(outline, corners)
    block = _block(outline, cut)
    if distance(block[0], origin.at) > SAME_POINT_MM:
        return [replace(begin, breath="front.profile"), *part_moves(outline, name, corners, "front.profile", mark)]
    acts = _block_acts(outline, cut, f"block.{part}", origin, mark)
    moves = [begin, *(replace(begin, act=act) for act in acts)]
    moves += cut_moves(outline, name, cut.cuts, "front.cut", mark)
    return moves + [move for rest in cut.rest for move in part_moves(outline, name, rest, "front.rest", mark)]


def side_cut_moves(outline: CarriedOutline, part: str, corners: Sequence[int], told: str, mark: Mark) -> list[Move]:
    """Return the moves that draw a part of a front whose corners are crossings of light lines.

    Args:
        told: the words for what lies on its block, and for what stands beside it.
    """
    cut = cut_part(outline, corners)
    told_first = "front.on_block"
    there = {c for c in outline.corners if set(outline.flat[c]) <= {0.0, 1.0}}  # the corners of the face
    if all(there.issuperset(edge) and outline.flat[edge[0]][0] == outline.flat[edge[1]][0] for edge in cut.whole):
        cut, told_first = cut_part(outline, corners, there), ""  # they are there: edges of the block
    acts = [*(mark(corner) for corner in cut.on_block), *(outline.edge(*edge) for edge in cut.whole)]
    moves = [Move("front", outline.thing, told_first, act, part=part) for act in acts]
    moves += cut_moves(outline, part, cut.cuts, "front.cut_on_side", mark)
    return moves + [move for rest in cut.rest for move in part_moves(outline, part, rest, told, mark)]


def _block(outline: CarriedOutline, cut: CutPart) -> list[Point]:
    """Return the corners on the page of the rectangle that a part is cut from, from its lower left anticlockwise."""
    across, up = zip(*(outline.page[c].xy for c in cut.outer), strict=True)
    left, low, right, high = min(across), min(up), max(across), max(up)
    return [Point(left, low), Point(right, low), Point(right, high), Point(left, high)]


def _block_acts(outline: CarriedOutline, cut: CutPart, called: str, origin: Origin, mark: Mark) -> Iterator[Act]:
    """Yield the acts that draw the rectangle: lightly, but for what is wholly the shape's own edge.

    Args:
        called: what names of its own points and lines end with.
    """
    n, block = outline.full, _block(outline, cut)
    own = {i: c for i, at in enumerate(block) for c in cut.outer if distance(outline.page[c], at) <= SAME_POINT_MM}
    names = list[str]()
    for i, at in enumerate(block):
        marked = (
            mark(own[i])
            if i in own
            else Offset(n(f"measure.{called}.{i}"), origin.name, at.x - origin.at.x, at.y - origin.at.y)
        )
        yield marked
        names.append(marked.makes)
    for i, start in enumerate(names):
        after = (i + 1) % 4
        if (own.get(i), own.get(after)) in cut.whole:
            yield outline.edge(own[i], own[after])
        else:
            family = (outline.up if i % 2 else outline.across)[0]
            yield Rule(n(f"construction.{called}.{i}"), start, names[after], family, "construction")


def _rim(outline: CarriedOutline, loop: Sequence[int]) -> Rim:
    """Return the rectangle about a loop."""
    across, up = zip(*(outline.flat[c] for c in loop), strict=True)
    return (min(across), min(up), max(across), max(up))


def _sides(place: tuple[float, float], rim: Rim) -> frozenset[Side]:
    """Return on which sides of the rectangle a corner lies."""
    (x, y), (left, low, right, high) = place, rim
    near: list[tuple[Side, float]] = [("left", x - left), ("right", x - right), ("bottom", y - low), ("top", y - high)]
    return frozenset(side for side, gap in near if abs(gap) <= SAME_SHARE)


def _chains(edges: Sequence[Edge], along: Sequence[Edge], on_rim: Set[int]) -> Iterator[tuple[int, ...]]:
    """Yield the corners of each way over which the outline leaves the rectangle's sides and comes back to them."""
    begin = next(i for i, edge in enumerate(edges) if edge[0] in on_rim)
    chain: list[int] = []
    for edge in (*edges[begin:], *edges[:begin]):
        if edge in along:
            continue
        chain = chain or [edge[0]]
        chain.append(edge[1])
        if edge[1] in on_rim:
            yield tuple(chain)
            chain = []


def _runs(way: Sequence[int]) -> list[Sequence[int]]:
    """Return a way in runs of so few lines that one step can tell them, as equal as can be."""
    lines = len(way) - 1
    count = -(-lines // MOST_LINES)
    ends = [round(i * lines / count) for i in range(count + 1)]
    return [way[a : b + 1] for a, b in pairwise(ends)]


def _piece(on: Mapping[int, Set[Side]], rim: Rim, outline: CarriedOutline, way: Sequence[int]) -> CutPiece:
    """Return which piece a way cuts away, from the sides of the rectangle on which it begins and ends."""
    start, end = on[way[0]], on[way[-1]]
    common = start & end
    if common:
        return CutPiece("gap", tuple(sorted(common)[:1]))
    # A piece runs anticlockwise, so what is cut away lies at the right of the way.
    (ax, ay), (bx, by) = outline.flat[way[0]], outline.flat[way[-1]]
    corners: dict[tuple[Side, Side], FacePlace] = {
        ("bottom", "left"): (rim[0], rim[1]),
        ("bottom", "right"): (rim[2], rim[1]),
        ("top", "left"): (rim[0], rim[3]),
        ("top", "right"): (rim[2], rim[3]),
    }
    for at, (x, y) in corners.items():
        is_between = start | end >= set(at) and not start >= set(at) and not end >= set(at)
        if is_between and (bx - ax) * (y - ay) < (by - ay) * (x - ax):
            return CutPiece("corner", at)
    if abs(bx - ax) >= abs(by - ay):
        return CutPiece("gap", ("bottom" if bx > ax else "top",))
    return CutPiece("gap", ("right" if by > ay else "left",))


def _told_apart(
    found: Sequence[tuple[CutPiece, Sequence[int]]], outline: CarriedOutline
) -> list[tuple[CutPiece, Sequence[int]]]:
    """Return the pieces so that no two are called alike: counted from below, or from the left."""
    result = []
    for piece, chain in found:
        like = [other for same, other in found if same == piece]
        if len(like) == 1:
            result.append((piece, chain))
            continue
        middles = {other[0]: _middle(outline, other) for other in like}
        spread = [max(m[i] for m in middles.values()) - min(m[i] for m in middles.values()) for i in (0, 1)]
        way = 0 if piece.at in (("top",), ("bottom",)) else 1 if piece.at else int(spread[1] >= spread[0])
        order = sorted(middles, key=lambda first: middles[first][way])
        counted = replace(piece, counted="across" if way == 0 else "up", number=order.index(chain[0]), of=len(like))
        result.append((counted, chain))
    return result


def _middle(outline: CarriedOutline, chain: Sequence[int]) -> tuple[float, float]:
    across, up = zip(*(outline.flat[c] for c in chain), strict=True)
    return (sum(across) / len(chain), sum(up) / len(chain))
