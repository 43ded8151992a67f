"""How is one corner of four told from the others at sight? By where it lies on the page, or by how near it is."""

from collections.abc import Sequence
from itertools import pairwise

from orthopsis.core.plane.homogeneous import Point

CLEAR_SHARE = 0.04
"""Corners are told apart by a difference of at least this share of how far they reach on the page (no source)."""
_IN_A_ROW = (
    ("leftmost", "second leftmost", "second rightmost", "rightmost"),
    ("lowest", "second lowest", "second highest", "highest"),
)
"""What corners are called that lie so slantwise that no two of them are the left ones or the lower ones."""


def corner_look(corners: Sequence[Point], number: int, level_mm: float | None = None) -> str:
    """Return what a corner is called beside the other three: ``lower left``, ``near right``, ``nearest``.

    Args:
        corners: the four on the page, round the outline; ``number``: which of them.
        level_mm: the eye level on the page where the outline lies level: then they are near and far, not low and high.
    """
    xs, ys = [at.x for at in corners], [at.y for at in corners]
    wide, high = max(xs) - min(xs), max(ys) - min(ys)
    across, up = sorted(range(4), key=xs.__getitem__), sorted(range(4), key=ys.__getitem__)
    if min(wide, high) == 0:
        return _in_a_row(xs, ys, across, up, number)
    is_level = level_mm is not None
    down, top = (("near", "nearest"), ("far", "farthest")) if is_level else (("lower", "lowest"), ("upper", "highest"))
    if level_mm is not None and sum(ys) / 4 > level_mm:
        down, top = top, down
    # In pairs: of a level outline the two low ones and the two high ones, left and right; of a wall the other way.
    first, second = ((ys, up, high), (xs, across, wide)) if is_level else ((xs, across, wide), (ys, up, high))
    pairs = [sorted(pair, key=second[0].__getitem__) for pair in (first[1][:2], first[1][2:])]
    between = (first[0][first[1][2]] - first[0][first[1][1]]) / first[2]
    by_pairs = min(between, *((second[0][b] - second[0][a]) / second[2] for a, b in pairs))
    # As a lozenge: each is the outermost on one side.
    outer = across[0], across[3], up[0], up[3]
    beside = (first, second)
    by_ends = min((at[o[j + 1]] - at[o[j]]) / reach for at, o, reach in beside for j in (0, 2))
    if len(set(outer)) < 4:
        by_ends = 0.0
    if max(by_pairs, by_ends) < CLEAR_SHARE:
        return _in_a_row(xs, ys, across, up, number)
    if by_ends > by_pairs:
        return dict(zip(outer, ("left", "right", down[1], top[1]), strict=True))[number]
    half = next(i for i, pair in enumerate(pairs) if number in pair)
    place = pairs[half].index(number)
    high_half, right_half = (half, place) if is_level else (place, half)
    return f"{(down, top)[high_half][0]} {('left', 'right')[right_half]}"


def _in_a_row(xs: Sequence[float], ys: Sequence[float], across: Sequence[int], up: Sequence[int], number: int) -> str:
    """Return what a corner is called by its place from the left, or from below where the corners are clearer so."""
    by_x = min(xs[b] - xs[a] for a, b in pairwise(across))
    by_y = min(ys[b] - ys[a] for a, b in pairwise(up))
    row, words = (up, _IN_A_ROW[1]) if by_y > by_x else (across, _IN_A_ROW[0])
    return words[row.index(number)]
