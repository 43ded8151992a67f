"""Is a drawn curve where it should be, and has it the form that it should have?

A free hand wobbles, so a curve is judged by its place as a whole, by its two ways across, by where it is widest, and by
its ends, not by each small bend. Page millimetres.
"""

import math

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.answer import CurveFault, CurveVerdict, JudgedCurve
from orthopsis.core.check.curve import SAMPLE_MM, DrawnCurve, SoughtCurve
from orthopsis.core.drawing.answer import Place
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.ellipse import Ellipse, fit_ellipse

Array = NDArray[np.float64]

SIZE_SHARE = 0.02
"""A free hand may miss a curve by two hand errors and this share of its long way (no source)."""
LEAST_INKED = 0.5
"""A curve of which less than this is drawn is missing: the lines that cross its place may be as much (no source)."""
WHOLE_INKED = 0.75
"""A curve of which less than this is drawn cannot be judged, unless what is drawn is far off."""
SMOOTH_MM = 9.0
"""Wobbles shorter than this are the hand's (no source)."""
MOST_SHARE = 0.9
"""How far a curve is off is what this share of it keeps within: crossing lines draw a little of the path aside."""
EXPLAINED = 0.4
"""A curve that is seen in part lies beside its place if no more than this share of how far it is off is left (no
source)."""
CORNERED = 0.3
"""An ellipse is pointed if its fourth wave is larger than this share of one tolerance (no source)."""


def judge_curve(drawn: DrawnCurve, sigma_mm: float) -> JudgedCurve:
    """Return the verdict on a curve from where it was drawn; ``sigma_mm`` is the hand error of the class."""
    curve = drawn.curve
    allowed, inked = allowed_mm(curve, sigma_mm), drawn.is_inked & curve.is_seen
    if drawn.inked_share < LEAST_INKED:
        return _judged(curve, "missing", curve.places, allowed)
    smooth = _smooth(drawn.outward_mm, inked)
    places = drawn.places(smooth)
    aside = ((places - curve.places) * curve.outward).sum(axis=1)
    off = float(np.quantile(np.abs(aside[inked]), MOST_SHARE))
    if drawn.inked_share < WHOLE_INKED and off <= 2 * allowed:
        return _judged(curve, "cannot_tell", places, allowed)
    if off <= allowed:
        return _judged(curve, "fine", places, allowed, off)
    answer = _judged(curve, "slightly_off" if off <= 2 * allowed else "off", places, allowed, off)
    # A smoothed end would be round again: the form is told from the path itself.
    fitted = _fitted(curve, drawn.places(drawn.outward_mm), inked)
    if fitted is None:
        moved = _moved(curve, aside, inked)
        return answer.model_copy(update={"fault": "place", "shift_mm": moved} if moved else {"fault": "uneven"})
    ellipse, residual = fitted
    shift = ellipse.centre.x - curve.ellipse.centre.x, ellipse.centre.y - curve.ellipse.centre.y
    return answer.model_copy(
        update={
            "fault": _fault(curve, ellipse, residual, allowed),
            "long_mm": round(2 * ellipse.major, 2),
            "short_mm": round(2 * ellipse.minor, 2),
            "shift_mm": (round(float(shift[0]), 2), round(float(shift[1]), 2)),
        }
    )


def allowed_mm(curve: SoughtCurve, sigma_mm: float) -> float:
    """Return how far a free hand may miss a curve, mm."""
    return 2 * sigma_mm + SIZE_SHARE * 2 * curve.ellipse.major


def _judged(
    curve: SoughtCurve, verdict: CurveVerdict, places: Array, allowed: float, off: float = 0.0
) -> JudgedCurve:  # fmt: skip
    return JudgedCurve(
        name=curve.name,
        verdict=verdict,
        runs=[[(round(float(x), 2), round(float(y), 2)) for x, y in run] for run in _runs(places, curve.is_seen)],
        miss_mm=round(off, 2),
        allowed_mm=round(allowed, 2),
    )


def _runs(places: Array, is_seen: NDArray[np.bool_]) -> list[Array]:
    """Return the places of each part that is seen, in order; a part that is seen all round ends where it begins."""
    if is_seen.all():
        return [np.vstack((places, places[:1]))]
    first = int(np.flatnonzero(~is_seen)[0])
    places, seen = np.roll(places, -first, axis=0), np.roll(is_seen, -first)
    edges = np.flatnonzero(np.diff(np.concatenate(([False], seen, [False])).astype(int)))
    return [places[a:b] for a, b in zip(edges[::2], edges[1::2], strict=True) if b - a > 1]


def _smooth(outward_mm: Array, is_drawn: NDArray[np.bool_]) -> Array:
    """Return the path without the wobbles of the hand: the median of what is drawn beside each place."""
    half = round(SMOOTH_MM / SAMPLE_MM) // 2
    known = np.where(is_drawn, outward_mm, np.nan)
    beside = np.stack([np.roll(known, shift) for shift in range(-half, half + 1)])
    is_any = ~np.isnan(beside).all(axis=0)
    smooth = outward_mm.copy()
    smooth[is_any] = np.nanmedian(beside[:, is_any], axis=0)
    return smooth


def _fitted(curve: SoughtCurve, places: Array, is_drawn: NDArray[np.bool_]) -> tuple[Ellipse, Array] | None:
    """Return the ellipse that was drawn and how far out of it each drawn place lies; None where too little is seen."""
    if not curve.is_whole:
        return None
    try:
        fitted = fit_ellipse(places[is_drawn])
    except GeometryError:
        return None
    return fitted, np.where(is_drawn, _out_of(fitted, places), np.nan)


def _moved(curve: SoughtCurve, aside: Array, is_drawn: NDArray[np.bool_]) -> Place | None:
    """Return how far to the right and up a curve lies as a whole, mm; None where that explains little of it."""
    shift = np.linalg.lstsq(curve.outward[is_drawn], aside[is_drawn], rcond=None)[0]
    left = aside[is_drawn] - curve.outward[is_drawn] @ shift
    if np.abs(left).mean() > EXPLAINED * np.abs(aside[is_drawn]).mean():
        return None
    return round(float(shift[0]), 2), round(float(shift[1]), 2)


def _out_of(ellipse: Ellipse, places: Array) -> Array:
    """Return how far out of an ellipse places lie that are near it, mm, to first order."""
    angles = ellipse.angles_of(places)
    return np.asarray(((places - ellipse.at(angles)) * ellipse.outward(angles)).sum(axis=1))


def _fault(curve: SoughtCurve, drawn: Ellipse, residual: Array, allowed: float) -> CurveFault:
    """Return what is wrong with a curve that is off as a whole."""
    wanted = curve.ellipse
    if _is_pointed(drawn, curve.places, residual, allowed):
        return "pointed"
    if float(np.nanquantile(np.abs(residual), MOST_SHARE)) > allowed:
        return "uneven"
    shift = math.dist(drawn.centre.xy, wanted.centre.xy)
    to_middle, apart = math.dist(drawn.centre.xy, curve.middle.xy), math.dist(wanted.centre.xy, curve.middle.xy)
    longer, wider = drawn.major - wanted.major, drawn.minor - wanted.minor
    # A circle that stands almost as it is has no long way that could be turned.
    turned = abs(math.sin(drawn.turn_rad - wanted.turn_rad)) * (wanted.major - wanted.minor)
    worst = max(shift, abs(longer), abs(wider), turned)
    if shift == worst:
        return "widest" if apart > allowed and to_middle < shift / 2 else "place"
    if turned == worst:
        return "turned"
    # As a whole it is too large if both ways across have grown by about the same share.
    shares = math.log(drawn.major / wanted.major), math.log(drawn.minor / wanted.minor)
    if abs(shares[0] - shares[1]) < max(map(abs, shares)) / 2:
        return "large" if longer > 0 else "small"
    return "round" if wider - longer > 0 else "flat"


def _is_pointed(drawn: Ellipse, places: Array, residual: Array, allowed: float) -> bool:
    """Tell whether a curve has corners at the ends of its long way: it leaves its ellipse outward there and between
    them, and inward at the four places in the middle of these.
    """
    known = np.isfinite(residual)
    waves = np.cos(4 * drawn.angles_of(places[known]))
    return float(residual[known] @ waves / max(1e-9, float(waves @ waves))) > CORNERED * allowed
