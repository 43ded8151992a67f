"""Which straight lines are on the sheet?

The sheet is laid flat at a fixed scale, its paper made evenly white, short straight pieces are found by
OpenCV's line segment detector, pieces of one line are gathered, and each line is fitted again to the
graphite itself. Places are page mm.

It does not know curves, and not lines thinner than a hard pencil's.
"""

import statistics
from collections.abc import Sequence
from dataclasses import dataclass

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.stroke import Stroke
from orthopsis.core.plane.homogeneous import Point
from orthopsis.paperwork.marks import INSET_MM, MARK_MM, QR_GAP_MM, QR_MM
from orthopsis.scan.sheet import Matrix, Picture

FINEST_PX_PER_MM = 5.0
MOST_FLAT_PX = 3_300_000
"""A larger sheet is laid flat more coarsely: an A3 sheet takes the finest scale."""
SHORTEST_PIECE_MM = 2.5
SHORTEST_LINE_MM = 6.0
SAME_LINE_MM = 1.3
SAME_LINE_DEG = 4.0
GAP_MM = 4.0
CROSSED_GAP_MM = 7.0
SAME_CARRIER_MM = 0.6
BROKEN_MM = 15.0
CROSSED_DEG = 30.0
"""A line may be broken over the first length by one that crosses it at less than this angle, and then goes on this near
to where it would; parts shorter than that may as well be pieces of a curve."""
SAMPLE_MM = 0.4
KNEE_MM = 0.55
KNEE_SLOPE = 0.25
"""Half way to a knee a line is at least this share as far aside as there: half, if it were drawn without a tremble."""
KNEE_END_SAMPLES = 18
"""A knee is looked for this many samples from either end, so that both parts are long enough to be lines."""
FAINTEST = 0.06
"""A line darkens the paper by at least this share."""
PROFILE_MM = 1.2
"""How far to each side the graphite of a line is looked for."""
BROAD_MM = 2.4
"""What is dark over a disc of this width is shading: pencil lines are at most half as wide."""
GRAIN_OF_PAPER, GRAIN_OF_TONE = 0.04, 0.25
"""How dark untouched paper may look, and by which share of its darkness shading is uneven."""
ON_SIDES_MM = np.array([0.8, 1.1, 1.4])
AS_DARK = 0.75
"""What lies beside a line is lighter than this share of it."""
ON_LINE_MM = 0.45
"""Where a line ends is asked this close to it, so that another line crossing its end does not lengthen it."""

Real = NDArray[np.float64]


@dataclass(frozen=True, slots=True)
class FlatSheet:
    """The sheet laid flat, top row at its top edge: darkness 0 (paper) to 1 of what is on it, of the lines alone."""

    all_dark: NDArray[np.float32]
    dark: NDArray[np.float32]
    width_mm: float
    height_mm: float
    px_per_mm: float


def lay_flat(grey: Picture, to_page: Matrix, width_mm: float, height_mm: float) -> FlatSheet:
    """Return the sheet seen from straight above, with even light."""
    k = min(FINEST_PX_PER_MM, (MOST_FLAT_PX / (width_mm * height_mm)) ** 0.5)
    to_flat = np.array([[k, 0, 0], [0, -k, height_mm * k], [0, 0, 1.0]]) @ to_page
    size = (round(width_mm * k), round(height_mm * k))
    flat = cv2.warpPerspective(grey, to_flat, size, flags=cv2.INTER_AREA, borderMode=cv2.BORDER_REPLICATE)
    small = cv2.resize(flat, None, fx=0.25, fy=0.25, interpolation=cv2.INTER_AREA)
    paper = cv2.morphologyEx(small, cv2.MORPH_CLOSE, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (15, 15)))
    paper = cv2.resize(cv2.GaussianBlur(paper, (0, 0), 8), size, interpolation=cv2.INTER_LINEAR)
    even = flat.astype(np.float32) / np.maximum(paper.astype(np.float32), 16)
    dark = np.clip(1 - even, 0, 1).astype(np.float32)
    _blank_margins(dark, k)
    return FlatSheet(dark, without_shading(dark, k), width_mm, height_mm, k)


def without_shading(dark: NDArray[np.float32], k: float) -> NDArray[np.float32]:
    """Return the darkness of lines alone: what is broad is shading, and lines on it are darker than its grain."""
    level = np.clip(dark * 255, 0, 255).astype(np.uint8)
    disc = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (round(BROAD_MM * k),) * 2)
    broad = cv2.morphologyEx(level, cv2.MORPH_OPEN, disc).astype(np.float32) / 255
    shade = np.maximum(broad - GRAIN_OF_PAPER, 0)
    return np.maximum(dark - (1 + GRAIN_OF_TONE) * shade, 0)


def _blank_margins(dark: NDArray[np.float32], k: float) -> None:
    """Take the sheet's rim, its marks and its code out of the picture."""
    rim = round(1.5 * k)
    dark[:rim], dark[-rim:], dark[:, :rim], dark[:, -rim:] = 0, 0, 0, 0
    mark = round((INSET_MM + MARK_MM + 1) * k)
    code = round((INSET_MM + MARK_MM + QR_GAP_MM + QR_MM + 1) * k)
    dark[:mark, :mark], dark[:mark, -mark:], dark[-mark:, :mark] = 0, 0, 0
    dark[-round((INSET_MM + QR_MM + 1) * k) :, -code:] = 0


def find_lines(flat: FlatSheet) -> list[Stroke]:
    """Return the straight lines on the sheet, longest first."""
    level = np.clip(255 - flat.dark * 420, 0, 255).astype(np.uint8)
    found = cv2.createLineSegmentDetector(cv2.LSD_REFINE_STD, 1.0).detect(cv2.GaussianBlur(level, (0, 0), 0.8))[0]
    if found is None:
        return []
    pieces = np.asarray(found, dtype=np.float64).reshape(-1, 4) / flat.px_per_mm
    pieces[:, [1, 3]] = flat.height_mm - pieces[:, [1, 3]]
    length = np.hypot(pieces[:, 2] - pieces[:, 0], pieces[:, 3] - pieces[:, 1])
    order = np.argsort(-length)
    pieces = pieces[order][length[order] >= SHORTEST_PIECE_MM]
    strokes: list[Stroke] = []
    for line in _gathered(pieces):
        strokes += [stroke for stroke in _fit(flat, line) if _stands_out(flat, stroke)]
    return _joined(flat, _without_doubles(sorted(strokes, key=lambda s: -s.length_mm)))


def _gathered(pieces: Real) -> list[Real]:
    """Return lines (start, end), shape (2, 2), each made of all the pieces that lie along it."""
    unused = np.ones(len(pieces), dtype=bool)
    lines = []
    for i in range(len(pieces)):
        if not unused[i]:
            continue
        unused[i] = False
        line = pieces[i].reshape(2, 2)
        while True:
            along, members = _members(line, pieces, unused)
            if not members.any():
                break
            unused[members] = False
            line = _refit(line, pieces[members], along[members])
        lines.append(line)
    return lines


def _members(line: Real, pieces: Real, unused: NDArray[np.bool_]) -> tuple[Real, NDArray[np.bool_]]:
    start, d, length = _run(line)
    normal = np.array([-d[1], d[0]])
    ends = pieces.reshape(-1, 2, 2) - start
    along, across = ends @ d, np.abs(ends @ normal)
    direction = pieces[:, 2:] - pieces[:, :2]
    size = np.hypot(*direction.T)
    sine = np.abs(direction @ normal) / np.maximum(size, 1e-9)
    loose = np.degrees(np.arcsin(np.clip(sine, 0, 1))) < SAME_LINE_DEG + 8.0 / np.maximum(size, 1.0)
    near = (along.max(axis=1) > -GAP_MM) & (along.min(axis=1) < length + GAP_MM)
    return along, unused & loose & near & (across.max(axis=1) < SAME_LINE_MM)


def _refit(line: Real, members: Real, along: Real) -> Real:
    _start, d, length = _run(line)
    points = np.vstack((line, members.reshape(-1, 2)))
    weight = np.repeat([length, *np.hypot(members[:, 2] - members[:, 0], members[:, 3] - members[:, 1])], 2)
    centre = np.average(points, axis=0, weights=weight)
    _, _, axes = np.linalg.svd((points - centre) * np.sqrt(weight)[:, None], full_matrices=False)
    way = axes[0] if axes[0] @ d > 0 else -axes[0]
    reach = (points - centre) @ way
    return np.array([centre + reach.min() * way, centre + reach.max() * way])


def _run(line: Real) -> tuple[Real, Real, float]:
    length = float(np.hypot(*(line[1] - line[0])))
    return line[0], (line[1] - line[0]) / max(length, 1e-9), length


def _fit(flat: FlatSheet, line: Real, *, parted: bool = False) -> list[Stroke]:
    """Fit a line to the middle of its graphite, twice; part it at a knee, and cut it where there is none."""
    for _ in range(2):
        at, across, dark = _profile(flat, line)
        good = dark > FAINTEST
        if good.sum() < 4:
            return []
        slope, shift = _straight(at[good], across[good], dark[good])
        line = _along(line, np.array([at[good].min(), at[good].max()]), slope, shift)
    at, across, dark = _profile(flat, line)
    knee = _knee(at, across, dark > FAINTEST)
    if knee is not None and not parted:
        start, d, _ = _run(line)
        bend = start + knee[0] * d + knee[1] * np.array([-d[1], d[0]])
        return [
            stroke for part in ((line[0], bend), (bend, line[1])) for stroke in _fit(flat, np.array(part), parted=True)
        ]
    at, _, dark = _profile(flat, line, ON_LINE_MM)
    return _runs(line, at, dark)


def _along(line: Real, ends: Real, slope: float, shift: float) -> Real:
    """Return the line moved to where its graphite runs, between two places along it."""
    start, d, _ = _run(line)
    return np.asarray(start + ends[:, None] * d + (shift + slope * ends)[:, None] * np.array([-d[1], d[0]]))


def _knee(at: Real, across: Real, good: NDArray[np.bool_]) -> tuple[float, float] | None:
    """Return where along and how far aside two lines in a row meet that were gathered as one, or None.

    A ruled line that trembles stays near its chord; two lines at a small angle leave it all the way to their corner. A
    line that another one crosses at a small angle leaves it only beside the crossing.
    """
    at, across = at[good], across[good]
    if len(at) < 2 * KNEE_END_SAMPLES + 5:
        return None
    smooth = _running_median(across)
    first, last = np.median(smooth[:5]), np.median(smooth[-5:])
    chord = first + (last - first) * (at - at[0]) / (at[-1] - at[0])
    aside = smooth - chord
    inner = np.abs(aside)
    inner[:KNEE_END_SAMPLES], inner[-KNEE_END_SAMPLES:] = 0, 0
    place = int(np.argmax(inner))
    if inner[place] < KNEE_MM:
        return None
    half_way = min(float(np.sign(aside[place]) * np.median(part)) for part in (aside[:place], aside[place:]))
    if half_way < KNEE_SLOPE * inner[place]:
        return None
    return float(at[place]), float(smooth[place])


def _running_median(values: Real) -> Real:
    """Return the median of each value and four on either side, as far as there are so many."""
    inner = np.median(np.lib.stride_tricks.sliding_window_view(values, 9), axis=1)
    head, tail = values[:8].tolist(), values[-8:].tolist()
    first = [statistics.median(head[: i + 5]) for i in range(4)]
    last = [statistics.median(tail[i:]) for i in range(4)]
    return np.concatenate((first, inner, last))


def _profile(flat: FlatSheet, line: Real, reach_mm: float = PROFILE_MM) -> tuple[Real, Real, Real]:
    """Return along the line each ``SAMPLE_MM``: place, sideways middle of the graphite, and its darkness."""
    start, d, length = _run(line)
    normal = np.array([-d[1], d[0]])
    at = np.arange(-2.0, length + 2.0, SAMPLE_MM)
    side = np.arange(-reach_mm, reach_mm + 0.01, 0.15)
    places = start + at[:, None, None] * d + side[None, :, None] * normal
    x = (places[..., 0] * flat.px_per_mm).astype(np.float32)
    y = ((flat.height_mm - places[..., 1]) * flat.px_per_mm).astype(np.float32)
    sample = cv2.remap(flat.dark, x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_CONSTANT, borderValue=0)
    sample = cv2.blur(sample, (1, 3))
    peak = sample.max(axis=1)
    weight = np.maximum(sample - 0.5 * peak[:, None], 0)
    total = weight.sum(axis=1)
    across = (weight * side).sum(axis=1) / np.maximum(total, 1e-9)
    return at, across, peak.astype(np.float64)


def _stands_out(flat: FlatSheet, stroke: Stroke) -> bool:
    """Tell whether a line is darker than what lies on both sides of it; the rim of shading and its grain are not.

    To each side it is enough that one of the places looked at is lighter: at another there may be a line beside it.
    """
    start, d, length = _run(np.array([stroke.start.xy, stroke.end.xy]))
    at = np.arange(0.0, length, SAMPLE_MM)
    side = np.concatenate((ON_SIDES_MM, [0.0], -ON_SIDES_MM))
    places = start + at[:, None, None] * d + side[None, :, None] * np.array([-d[1], d[0]])
    x = (places[..., 0] * flat.px_per_mm).astype(np.float32)
    y = ((flat.height_mm - places[..., 1]) * flat.px_per_mm).astype(np.float32)
    dark = np.median(cv2.remap(flat.all_dark, x, y, cv2.INTER_LINEAR), axis=0)
    beside = max(dark[: len(ON_SIDES_MM)].min(), dark[len(ON_SIDES_MM) + 1 :].min())
    return bool(beside < AS_DARK * max(stroke.darkness, float(dark[len(ON_SIDES_MM)])))


def _straight(at: Real, across: Real, dark: Real) -> tuple[float, float]:
    """Return slope and shift of the straight line through the profile, crossing lines thrown out."""
    keep = np.ones(len(at), dtype=bool)
    slope, shift = 0.0, 0.0
    weight = np.minimum(dark, 0.5)
    for _ in range(3):
        slope, shift = _weighted_line(at[keep], across[keep], weight[keep])
        error = np.abs(across - (slope * at + shift))
        keep = error < max(0.25, 2.5 * float(np.median(error)))
        if keep.sum() < 4:
            break
    return float(slope), float(shift)


def _weighted_line(at: Real, across: Real, weight: Real) -> tuple[float, float]:
    """Return slope and shift of the line of least weighted squares."""
    total = weight.sum()
    middle, height = (weight @ at) / total, (weight @ across) / total
    away = weight * (at - middle)
    spread = float(away @ (at - middle))
    slope = float(away @ (across - height)) / spread if spread else 0.0
    return slope, float(height - slope * middle)


def _runs(line: Real, at: Real, dark: Real) -> list[Stroke]:
    """Return the unbroken runs of graphite along the line."""
    start, d, _ = _run(line)
    # An odd number of samples, and zeros all round: closing must bridge gaps, and neither shift the line nor lengthen
    # it to the ends of its samples.
    gap = round(GAP_MM / SAMPLE_MM) | 1
    row = np.pad((dark > FAINTEST).astype(np.uint8), gap).reshape(1, -1)
    on = cv2.morphologyEx(row, cv2.MORPH_CLOSE, np.ones((1, gap), np.uint8)).reshape(-1)[gap:-gap]
    edges = np.flatnonzero(np.diff(np.concatenate(([0], on, [0]))))
    strokes = []
    for first, last in zip(edges[::2], edges[1::2] - 1, strict=True):
        if at[last] - at[first] >= SHORTEST_LINE_MM and np.mean(dark[first : last + 1] > FAINTEST) > 0.6:
            a, b = start + at[first] * d, start + at[last] * d
            darkness = float(np.median(dark[first : last + 1]))
            strokes.append(Stroke(Point(float(a[0]), float(a[1])), Point(float(b[0]), float(b[1])), round(darkness, 3)))
    return strokes


def _joined(flat: FlatSheet, strokes: Sequence[Stroke]) -> list[Stroke]:
    """Return the strokes, longest first, those made one that are one line broken where another one crosses it."""
    left = list(strokes)
    found: list[Stroke] = []
    while left:
        longest = left.pop(0)
        while (other := _rest_of(longest, left, found)) is not None:
            ends = np.array([p.xy for s in (longest, other) for p in (s.start, s.end)])
            start, d, _ = _run(ends[:2])
            along = (ends - start) @ d
            whole = _fit(flat, ends[[along.argmin(), along.argmax()]], parted=True)
            if len(whole) != 1:
                break
            left.remove(other)
            longest = whole[0]
        found.append(longest)
    return sorted(found, key=lambda s: -s.length_mm)


def _rest_of(longest: Stroke, left: Sequence[Stroke], found: Sequence[Stroke]) -> Stroke | None:
    """Return the stroke in which another one goes on, or None."""
    others = (*found, *left)
    return next((stroke for stroke in left if _is_broken(longest, stroke, others)), None)


def _is_broken(longer: Stroke, other: Stroke, strokes: Sequence[Stroke]) -> bool:
    """Tell whether a stroke goes on in another one, behind the place where a third one crosses at a small angle.

    In plain floats, since it is asked of all pairs.
    """
    length = longer.length_mm
    if min(length, other.length_mm) < BROKEN_MM:
        return False
    x, y = longer.start.xy
    dx, dy = (longer.end.x - x) / length, (longer.end.y - y) / length
    ends = [(at.x - x, at.y - y) for at in (other.start, other.end)]
    if any(abs(b * dx - a * dy) >= SAME_CARRIER_MM for a, b in ends):
        return False
    low, high = sorted(a * dx + b * dy for a, b in ends)
    is_beyond = low + high > length
    gap = low - length if is_beyond else -high
    if gap > CROSSED_GAP_MM:
        return False
    at = length + gap / 2 if is_beyond else -gap / 2
    middle, way = np.array([x + at * dx, y + at * dy]), np.array([dx, dy])
    return any(_crosses(s, middle, way) for s in strokes if s is not other)


def _crosses(stroke: Stroke, at: Real, way: Real) -> bool:
    """Tell whether a stroke runs through a place, at a small angle to a direction."""
    start, d, length = _run(np.array([stroke.start.xy, stroke.end.xy]))
    along, across = (at - start) @ d, abs((at - start) @ np.array([-d[1], d[0]]))
    is_flat = abs(d[0] * way[1] - d[1] * way[0]) < np.sin(np.radians(CROSSED_DEG))
    return bool(is_flat and BROKEN_MM / 2 < along < length - BROKEN_MM / 2 and across < SAME_LINE_MM)


def _without_doubles(strokes: Sequence[Stroke]) -> list[Stroke]:
    """Leave out lines that lie on a longer one."""
    kept: list[Stroke] = []
    for stroke in strokes:
        if not any(_covers(longer, stroke) for longer in kept):
            kept.append(stroke)
    return kept


def _covers(longer: Stroke, stroke: Stroke) -> bool:
    """Tell whether a stroke lies on most of a longer one's way; in plain floats, since it is asked of all pairs."""
    x, y, length = longer.start.x, longer.start.y, longer.length_mm
    dx, dy = (longer.end.x - x) / max(length, 1e-9), (longer.end.y - y) / max(length, 1e-9)
    ends = [(at.x - x, at.y - y) for at in (stroke.start, stroke.end)]
    if any(abs(b * dx - a * dy) >= 1.6 for a, b in ends):
        return False
    low, high = sorted(a * dx + b * dy for a, b in ends)
    return min(length, high) - max(0.0, low) > 0.6 * (high - low)
