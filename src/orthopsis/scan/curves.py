"""Where did the hand draw the curves that a sheet asks for?

The sheet laid flat is unrolled along each curve, a strip with the curve as its middle line; the drawn one is the path
along the strip that gathers the most graphite and turns the least. Straight lines cross such a strip steeply, or touch
the curve and leave it again, so that the path runs on beside them.

Source: the best path through a strip by dynamic programming, as for the rim of round things in pictures; any textbook
of image analysis (from memory).
"""

import math
from collections.abc import Sequence

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.answer import JudgedCurve
from orthopsis.core.check.curve import DrawnCurve, SoughtCurve, sought_curves
from orthopsis.core.check.judge_curve import WHOLE_INKED, judge_curve
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.lesson.levels import RULES

Real = NDArray[np.float64]
Real32 = NDArray[np.float32]

REACH_MM = 14.0
"""A curve drawn farther than this from its place is not found as this one (no source)."""
SHIFTED_MM, SHIFT_STEP_MM = 12.0, 1.5
"""As a whole a curve is looked for this far to each side, in these steps."""
SHIFT_COST = 0.001
"""What a mm of being moved costs, as darkness."""
RUBBED_MM = 0.8
"""What is known to be something else is rubbed out this far to each side."""
AT_HOME_MM, ON_IT_MM = 4.0, 1.0
"""A curve that most of the way lies nearer to its place was not mistaken for another line; nearer still, and it may be
that other line as well (no source)."""
STRAIGHT_MM, BOW_MM = 28.0, 1.2
"""A longer straight line is no piece of a curve, if it leaves the bow of that curve by more than so much (no
source)."""
LANE_MM = 0.25
STEEPEST_LANES = 3
"""The path changes by so many lanes at most from place to place: by less than the way there."""
INWARD = 0.85
"""Inside it is looked for up to this share of the way to the middle."""
MOST_GAIN = 0.35
"""Graphite darker than this is worth no more: a dark line that crosses draws no more than the curve itself."""
TURNS_COST, ASIDE_COST = 0.1, 0.004
"""What a lane of turning costs, and a mm beside its place, as darkness."""
FAINTEST = 0.09
"""What is darker than its neighbourhood by this is graphite."""
BROAD_MM = 3.0
"""What is as dark over this width is shading."""


def judged_curves(
    flat_jpeg: bytes, exercise: Exercise, strokes: Sequence[Stroke], px_per_mm: float
) -> list[JudgedCurve]:
    """Return the verdicts on all curves that an exercise asks for and that can be judged; see ``trace_curves``."""
    traced = trace_curves(flat_jpeg, sought_curves(exercise), strokes, px_per_mm)
    return [judge_curve(curve, RULES[exercise.wording.level].hand_error_mm) for curve in traced]


def trace_curves(
    flat_jpeg: bytes, curves: Sequence[SoughtCurve], strokes: Sequence[Stroke], px_per_mm: float
) -> list[DrawnCurve]:
    """Return where the curves of a sheet were drawn; none where there is no picture.

    Args:
        flat_jpeg: the sheet laid flat, its upper left corner first.
        strokes: the straight lines that were found on it.
        px_per_mm: its scale.
    """
    if not (flat_jpeg and curves):
        return []
    grey = np.asarray(cv2.imdecode(np.frombuffer(flat_jpeg, np.uint8), cv2.IMREAD_GRAYSCALE), dtype=np.uint8)
    dark = _graphite(grey, px_per_mm)
    anywhere = np.full(dark.shape, 1000.0, dtype=np.float32)
    traced = []
    for curve in curves:
        others = _away_from_others(curve, curves, dark.shape, px_per_mm)
        one = _trace_about((0.0, 0.0), dark, others, curve, px_per_mm)
        # A curve that lies on another one all along is drawn as that one is.
        with_others = one if _is_at_home(one) else _trace_about((0.0, 0.0), dark, anywhere, curve, px_per_mm)
        traced.append(with_others if _is_at_home(with_others, ON_IT_MM) else one)
    at_home = [one for one in traced if _is_at_home(one)]
    if len(at_home) == len(traced):
        return traced
    # What belongs to a curve that was found, or to a straight line, is none of another curve, which may lie anywhere.
    anew = {}
    for curve in (one.curve for one in traced if one not in at_home):
        straight = [stroke for stroke in strokes if stroke.length_mm > _longest_straight_mm(curve)]
        anew[curve.name] = _trace(_without(dark, at_home, straight, px_per_mm), curve, px_per_mm)
    return [anew.get(one.curve.name, one) for one in traced]


def _longest_straight_mm(curve: SoughtCurve) -> float:
    """Return how long a piece of the curve, drawn twice as flat, may be taken for a straight line.

    A bow of radius R leaves its chord of length c by c^2 / 8R; the flat side of an ellipse has the radius a^2 / b.
    """
    radius = curve.ellipse.major**2 / (curve.ellipse.minor / 2)
    return max(STRAIGHT_MM, math.sqrt(8 * radius * BOW_MM))


def _is_at_home(drawn: DrawnCurve, near_mm: float = AT_HOME_MM) -> bool:
    """Tell whether a curve was found clearly, and near its place."""
    inked = drawn.is_inked & drawn.curve.is_seen
    return drawn.inked_share >= WHOLE_INKED and bool(np.median(np.abs(drawn.outward_mm[inked])) <= near_mm)


def _without(dark: Real32, found: Sequence[DrawnCurve], strokes: Sequence[Stroke], px_per_mm: float) -> Real32:
    """Return the graphite that is left when some curves and straight lines are rubbed out."""
    rest, wide = dark.copy(), max(1, round(2 * RUBBED_MM * px_per_mm))
    for one in found:
        x, y = _pixels(one.places(one.outward_mm)[one.is_inked], dark.shape, px_per_mm)
        for at in zip(np.round(x).astype(int).tolist(), np.round(y).astype(int).tolist(), strict=True):
            cv2.circle(rest, at, wide // 2, 0.0, -1)
    for stroke in strokes:
        x, y = _pixels(np.array([stroke.start.xy, stroke.end.xy]), dark.shape, px_per_mm)
        start, end = zip(np.round(x).astype(int).tolist(), np.round(y).astype(int).tolist(), strict=True)
        cv2.line(rest, start, end, 0.0, wide)
    return rest


def _graphite(grey: NDArray[np.uint8], px_per_mm: float) -> Real32:
    """Return by how much each place is darker than what is around it: lines, without paper, shadow and shading."""
    disc = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (round(BROAD_MM * px_per_mm) | 1,) * 2)
    ground = cv2.GaussianBlur(cv2.morphologyEx(grey, cv2.MORPH_CLOSE, disc), (0, 0), px_per_mm).astype(np.float32)
    dark = 1 - grey.astype(np.float32) / np.maximum(ground, 16)
    return np.asarray(np.clip(cv2.GaussianBlur(dark, (0, 0), 0.2 * px_per_mm), 0, 1), dtype=np.float32)


def _trace(dark: Real32, curve: SoughtCurve, px_per_mm: float) -> DrawnCurve:
    """Return where one curve was drawn: bent from its place, or moved as a whole if that finds more of it."""
    anywhere = np.full(dark.shape, 1000.0, dtype=np.float32)
    bent = _trace_about((0.0, 0.0), dark, anywhere, curve, px_per_mm)
    if bent.inked_share >= WHOLE_INKED:
        return bent
    moved = _trace_about(_shift(dark, curve, px_per_mm), dark, anywhere, curve, px_per_mm)
    return max(bent, moved, key=lambda drawn: drawn.inked_share)


def _trace_about(
    shift: tuple[float, float], dark: Real32, others: Real32, curve: SoughtCurve, px_per_mm: float
) -> DrawnCurve:
    """Return where a curve was drawn in the strip about its moved place.

    Args:
        others: how far each pixel is from where any other curve should be, mm.
    """
    lanes = _lanes(curve)
    middle = curve.places + shift
    x, y = _pixels(middle[:, None] + lanes[None, :, None] * curve.outward[:, None], dark.shape, px_per_mm)
    strip = cv2.remap(dark, x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_CONSTANT, borderValue=0).astype(np.float64)
    from_others = cv2.remap(others, x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE)
    is_own = (from_others >= np.abs(lanes)) & curve.is_seen[:, None]
    strip = np.where(is_own, strip, 0.0)
    gain = np.minimum(strip, MOST_GAIN) - ASIDE_COST * np.abs(lanes)
    path = _best_path(np.where(is_own | ~curve.is_seen[:, None], gain, -1.0))
    along = strip[np.arange(len(path)), path]
    return DrawnCurve(curve, shift, lanes[path], curve.is_seen & (along > FAINTEST))


def _shift(dark: Real32, curve: SoughtCurve, px_per_mm: float) -> tuple[float, float]:
    """Return how far to the right and up a curve that was drawn as a whole lies on most graphite."""
    steps = np.arange(-SHIFTED_MM, SHIFTED_MM + SHIFT_STEP_MM / 2, SHIFT_STEP_MM)
    ways = np.array([(dx, dy) for dx in steps for dy in steps])
    seen = curve.places[curve.is_seen]
    x, y = _pixels(seen[None] + ways[:, None], dark.shape, px_per_mm)
    soft = cv2.GaussianBlur(np.minimum(dark, np.float32(MOST_GAIN)), (0, 0), SHIFT_STEP_MM / 2 * px_per_mm)
    gain = cv2.remap(soft, x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_CONSTANT, borderValue=0).mean(axis=1)
    dx, dy = ways[int((gain - SHIFT_COST * np.hypot(*ways.T)).argmax())]
    return float(dx), float(dy)


def _pixels(places: Real, shape: tuple[int, ...], px_per_mm: float) -> tuple[Real32, Real32]:
    """Return where places of the page are in the picture."""
    return (places[..., 0] * px_per_mm).astype(np.float32), (shape[0] - places[..., 1] * px_per_mm).astype(np.float32)


def _lanes(curve: SoughtCurve) -> Real:
    """Return how far outward each lane of the strip lies."""
    inward = min(REACH_MM, INWARD * curve.ellipse.minor)
    return np.asarray(LANE_MM * np.arange(-math.floor(inward / LANE_MM), math.floor(REACH_MM / LANE_MM) + 1.0))


def _away_from_others(curve: SoughtCurve, curves: Sequence[SoughtCurve], shape: tuple[int, ...], k: float) -> Real32:
    """Return how far each pixel is from where any other curve should be, mm."""
    others = np.full(shape, 255, dtype=np.uint8)
    for other in curves:
        if other is not curve:
            for piece in other.pieces:
                at = np.array(piece) * k
                at[:, 1] = shape[0] - at[:, 1]
                cv2.polylines(others, [np.round(at).astype(np.int32)], False, 0, 1)
    low, high = (curve.places.min(axis=0) - REACH_MM) * k, (curve.places.max(axis=0) + REACH_MM) * k
    rows = slice(max(0, math.floor(shape[0] - high[1])), max(0, math.ceil(shape[0] - low[1])))
    columns = slice(max(0, math.floor(low[0])), max(0, math.ceil(high[0])))
    away = np.full(shape, 1000.0, dtype=np.float32)
    near = others[rows, columns]
    if near.size and not near.all():
        away[rows, columns] = cv2.distanceTransform(np.ascontiguousarray(near), cv2.DIST_L2, 3) / k
    return away


def _best_path(gain: Real) -> NDArray[np.int64]:
    """Return the lane at each place of the closed path that gains most; shape of ``gain``: (places, lanes)."""
    count = len(gain)
    # Twice round, so that the middle part has forgotten where it began.
    twice = np.vstack((gain, gain))
    steps = range(-STEEPEST_LANES, STEEPEST_LANES + 1)
    best, came = twice[0], np.zeros(twice.shape, dtype=np.int64)
    for row in range(1, len(twice)):
        turned = np.full((len(steps), twice.shape[1]), -np.inf)
        for number, step in enumerate(steps):
            into = slice(max(0, step), twice.shape[1] + min(0, step))
            out_of = slice(max(0, -step), twice.shape[1] + min(0, -step))
            turned[number, into] = best[out_of] - TURNS_COST * abs(step)
        choice = turned.argmax(axis=0)
        best = twice[row] + turned.max(axis=0)
        came[row] = np.arange(twice.shape[1]) - (choice - STEEPEST_LANES)
    path = np.empty(len(twice), dtype=np.int64)
    path[-1] = int(best.argmax())
    for row in range(len(twice) - 1, 0, -1):
        path[row - 1] = came[row, path[row]]
    half = count // 2
    return np.concatenate((path[count : count + half], path[half:count]))
