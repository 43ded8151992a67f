"""Which straight lines are on the sheet?

Short straight pieces are found by OpenCV's line segment detector, pieces of one line are gathered, and each line is
fitted again to the graphite itself. Places are page mm.

It does not know curves, and not lines thinner than a hard pencil's.
"""

import statistics

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.stroke import Stroke
from orthopsis.core.plane.homogeneous import Point
from orthopsis.scan.broken import SAME_LINE_MM, joined, without_doubles
from orthopsis.scan.flat import FlatSheet

SHORTEST_PIECE_MM = 2.5
SHORTEST_LINE_MM = 6.0
SAME_LINE_DEG = 4.0
GAP_MM = 4.0
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
ON_SIDES_MM = np.array([0.8, 1.1, 1.4])
AS_DARK = 0.75
"""What lies beside a line is lighter than this share of it."""
ON_LINE_MM = 0.45
"""Where a line ends is asked this close to it, so that another line crossing its end does not lengthen it."""

Real = NDArray[np.float64]


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
    longest_first = sorted(strokes, key=lambda s: -s.length_mm)
    return joined(without_doubles(longest_first), lambda ends: _fit(flat, ends, parted=True))


def _gathered(pieces: Real) -> list[Real]:
    """Return lines (start, end), shape (2, 2), each made of all the pieces that lie along it."""
    unused, lines = np.ones(len(pieces), dtype=bool), list[Real]()
    run = pieces[:, 2:] - pieces[:, :2]
    size = np.hypot(*run.T)
    ways, loose_deg = run / np.maximum(size, 1e-9)[:, None], SAME_LINE_DEG + 8.0 / np.maximum(size, 1.0)
    loose = np.where(loose_deg < 90, np.sin(np.radians(np.minimum(loose_deg, 90))), np.inf)
    for i in range(len(pieces)):
        if not unused[i]:
            continue
        unused[i] = False
        line = pieces[i].reshape(2, 2)
        while True:
            start, d, length = _run(line)
            left = np.flatnonzero(unused)
            left = left[np.abs(ways[left] @ np.array([-d[1], d[0]])) < loose[left]]
            members = left[_lie_along(pieces[left].reshape(-1, 2, 2) - start, d, length)]
            if not len(members):
                break
            unused[members] = False
            line = _refit(line, pieces[members])
        lines.append(line)
    return lines


def _lie_along(ends: Real, d: Real, length: float) -> NDArray[np.bool_]:
    """Tell of pieces, by their ends as seen from where a line begins, whether they lie along it or go on from it."""
    along, across = ends @ d, np.abs(ends @ np.array([-d[1], d[0]]))
    near = (along.max(axis=1) > -GAP_MM) & (along.min(axis=1) < length + GAP_MM)
    return np.asarray(near & (across.max(axis=1) < SAME_LINE_MM))


def _refit(line: Real, members: Real) -> Real:
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
        keep = error < max(0.25, 2.5 * _median(error))
        if keep.sum() < 4:
            break
    return float(slope), float(shift)


def _median(values: Real) -> float:
    """Return the median of some values; for a few, numpy's own takes long to begin."""
    half, is_odd = divmod(len(values), 2)
    parted = np.partition(values, half if is_odd else (half - 1, half))
    return float(parted[half] if is_odd else (parted[half - 1] + parted[half]) / 2)


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
            darkness = _median(dark[first : last + 1])
            strokes.append(Stroke(Point(float(a[0]), float(a[1])), Point(float(b[0]), float(b[1])), round(darkness, 3)))
    return strokes
