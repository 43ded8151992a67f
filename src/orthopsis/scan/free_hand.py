"""What would a made-up student make of a curve, with which mistakes?

Names of mistakes are those of the findings that they should lead to. Everything chance decides comes from the generator
that is passed in.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from orthopsis.core.check.curve import SoughtCurve
from orthopsis.core.check.judge_curve import Array, allowed_mm
from orthopsis.core.plane.ellipse import Ellipse

CURVE_MISTAKES = ("curve_round", "curve_flat", "curve_place", "curve_widest", "curve_pointed", "curve_missing")
ONLY_WHOLE = frozenset({"curve_round", "curve_flat", "curve_widest", "curve_pointed"})
"""What can be told of a curve only where it is seen all round."""
HARMONICS = 9
"""A free hand's wobble is made of this many waves round the curve."""
CLEAR = (2.3, 3.6)
"""Mistakes are so many tolerances large."""
REACHED_MM = 12.0
"""No mistake is larger."""


@dataclass(frozen=True, slots=True)
class CurveByHand:
    """A curve as the made-up student drew it: places of its pieces (page mm), how dark, and what is wrong with it."""

    name: str
    pieces: tuple[Array, ...]
    darkness: float
    mistake: str = ""


@dataclass(frozen=True, slots=True)
class CurvesByHand:
    """The curves of a made-up sheet, and the names of those that were left out."""

    drawn: tuple[CurveByHand, ...] = ()
    left_out: tuple[str, ...] = ()


def draw_curves(
    curves: Sequence[SoughtCurve], rng: np.random.Generator, mistakes: Sequence[str], sigma_mm: float
) -> CurvesByHand:
    """Return the curves of a sheet, each named mistake on one of those that it suits, all with a free hand's wobble."""
    guilty: dict[str, str] = {}
    for mistake in mistakes:
        suits = [c for c in curves if c.name not in guilty and _suits(c, mistake, sigma_mm)]
        if suits:
            guilty[suits[int(rng.integers(len(suits)))].name] = mistake
    drawn, left_out = [], []
    for curve in curves:
        mistake = guilty.get(curve.name, "")
        if mistake == "curve_missing":
            left_out.append(curve.name)
            continue
        drawn.append(_drawn(curve, mistake, sigma_mm, rng))
    return CurvesByHand(tuple(drawn), tuple(left_out))


def _suits(curve: SoughtCurve, mistake: str, sigma_mm: float) -> bool:
    if mistake not in CURVE_MISTAKES:
        return False
    allowed, ellipse = allowed_mm(curve, sigma_mm), curve.ellipse
    if mistake in ONLY_WHOLE and not curve.is_whole:
        return False
    if mistake == "curve_widest":
        return math.dist(ellipse.centre.xy, curve.middle.xy) > 1.6 * allowed
    if mistake in ("curve_flat", "curve_pointed"):
        return ellipse.minor > 3.5 * allowed and ellipse.major > 1.3 * ellipse.minor
    if mistake == "curve_round":
        return ellipse.major > ellipse.minor + CLEAR[0] * allowed
    return CLEAR[0] * allowed < REACHED_MM


def _drawn(curve: SoughtCurve, mistake: str, sigma_mm: float, rng: np.random.Generator) -> CurveByHand:
    size = min(REACHED_MM, float(rng.uniform(*CLEAR)) * allowed_mm(curve, sigma_mm))
    ellipse = _with_mistake(curve, mistake, size, rng)
    wobble = _wobble(sigma_mm, rng)
    darkness = float(rng.uniform(0.5, 0.85))
    pieces = []
    for piece in curve.pieces:
        along = np.unwrap(curve.ellipse.angles_of(np.array(piece)))
        angles = np.linspace(along[0], along[-1], max(3, 2 * len(along)))
        places = ellipse.at(angles)
        if mistake == "curve_pointed":
            places = _pointed(ellipse, angles)
        pieces.append(places + wobble(angles)[:, None] * ellipse.outward(angles))
    return CurveByHand(curve.name, tuple(pieces), darkness, mistake)


def _with_mistake(curve: SoughtCurve, mistake: str, size_mm: float, rng: np.random.Generator) -> Ellipse:
    ellipse = curve.ellipse
    if mistake == "curve_round":
        return replace(ellipse, minor=min(ellipse.major, ellipse.minor + size_mm))
    if mistake == "curve_flat":
        return replace(ellipse, minor=max(0.3 * ellipse.minor, ellipse.minor - size_mm))
    if mistake == "curve_widest":
        return ellipse.moved(curve.middle.x - ellipse.centre.x, curve.middle.y - ellipse.centre.y)
    if mistake == "curve_place":
        way = float(rng.uniform(0.0, math.tau))
        # Along its own line a curve that is seen in part would only be longer: it is moved square to its middle.
        if not curve.is_whole:
            out = curve.outward[curve.is_seen].mean(axis=0)
            way = math.atan2(out[1], out[0]) + (math.pi if rng.random() < 0.5 else 0.0)
        return ellipse.moved(size_mm * math.cos(way), size_mm * math.sin(way))
    return ellipse


def _pointed(ellipse: Ellipse, angles: Array) -> Array:
    """Return the places of two bows that meet at corners, as wide and as high as the ellipse."""
    along = np.cos(angles)
    up = np.sign(np.sin(angles)) * (1 - np.abs(along) ** 1.6)
    cos, sin = math.cos(ellipse.turn_rad), math.sin(ellipse.turn_rad)
    x, y = ellipse.major * along, ellipse.minor * up
    return np.column_stack((ellipse.centre.x + cos * x - sin * y, ellipse.centre.y + sin * x + cos * y))


@dataclass(frozen=True, slots=True)
class _Wobble:
    sizes: Array
    phases: Array

    def __call__(self, angles: Array) -> Array:
        waves = np.arange(2, 2 + HARMONICS)
        return np.asarray((self.sizes[:, None] * np.sin(waves[:, None] * angles + self.phases[:, None])).sum(axis=0))


def _wobble(sigma_mm: float, rng: np.random.Generator) -> _Wobble:
    """Return how far outward a hand strays at each angle: half its error in all, the slow waves larger."""
    sizes = rng.normal(0.0, 1.0, HARMONICS) / np.arange(2, 2 + HARMONICS)
    return _Wobble(sizes * 0.7 * sigma_mm, rng.uniform(0.0, math.tau, HARMONICS))
