"""What does the finished sheet show beside a stroke: is the stroke a part of it, or several of its lines in one?"""

from collections.abc import Sequence
from itertools import pairwise

from orthopsis.core.check.along import Beside, share_along
from orthopsis.core.check.answer import JudgedCurve
from orthopsis.core.check.stroke import Expected, ExpectedCurve, Stroke, expected_curves
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.plane.homogeneous import Point, join, offset

LEAST_NEAR_MM, EXPLAINED = 0.8, 0.9
"""A stroke is explained that lies this near to lines of the answer along this share, or as near as the hand is sure."""
TOGETHER_MM, OWN_SHARE, LEAST_SHARE = 1.6, 0.8, 0.1
"""Lines this near are read as one stroke; it is not one line's alone if that covers less than this share of it. If that
covers still less, it is that line gone astray, unless it lies on others just as they should be (no source)."""
CROWDED, CROWDED_MM, SAME_CARRIER_MM = 0.5, 2.2, 0.5
"""A line this near beside a stroke along this share of it crowds it, unless it lies in one row with the stroke's own
line (no source)."""
NEAR_CURVE_MM = 4.0
"""A stroke this near to a curve of the exercise is a piece of it, drawn by a free hand (common practice, no source)."""


class Finished:
    """What the finished sheet shows, as a stroke may lie along it; curves also where this hand drew them."""

    def __init__(self, drawing: Picture, sigma_mm: float, curves: Sequence[JudgedCurve] = ()) -> None:
        self._near_mm = max(sigma_mm, LEAST_NEAR_MM)
        drawn = [(curve.name, run) for curve in curves if curve.verdict != "missing" for run in curve.runs]
        self._curves = [*(ExpectedCurve(name, tuple(Point(*at) for at in run)) for name, run in drawn)]
        self._curves += expected_curves(drawing)
        shown = [line for line in drawing.lines if line.visible or line.role == "guide"]
        level = (Point(0.0, drawing.eye_level_mm), Point(drawing.sheet.width_mm, drawing.eye_level_mm))
        self._lines = [level, *((Point(*line.start), Point(*line.end)) for line in shown if not line.bend)]
        chords = [
            (Point(*a), Point(*b))
            for line in shown
            if line.bend
            for a, b in pairwise((line.start, *line.bend, line.end))
        ]
        chords += [(Point(*a), Point(*b)) for _, run in drawn for a, b in pairwise(run)]

        self._beside, self._explained = Beside(self._lines, chords), dict[Stroke, bool]()
        self._curve_of = dict[Stroke, str | None]()

    def explains(self, stroke: Stroke) -> bool:
        """Tell whether a stroke lies on lines of the answer all along, and so is no line gone astray."""
        if stroke not in self._explained:
            self._explained[stroke] = self._share(stroke, self._near_mm) >= EXPLAINED
        return self._explained[stroke]

    def accounts_for(self, stroke: Stroke) -> bool:
        """Tell whether a stroke is a part of the answer: it lies on its lines, or is a piece of one of its curves."""
        return self.explains(stroke) or self.curve_of(stroke) is not None

    def is_several(self, stroke: Stroke, own: Expected) -> bool:
        """Tell whether a stroke is several lines of the answer that were read as one: its own line is only a part."""
        alone = share_along((stroke.start, stroke.end), [(own.start, own.end)], TOGETHER_MM)
        if alone >= OWN_SHARE or self._share(stroke, TOGETHER_MM) < EXPLAINED:
            return False
        return alone > LEAST_SHARE or self.explains(stroke)

    def is_crowded(self, stroke: Stroke, own: Expected) -> bool:
        """Tell whether another line of the answer runs so near beside a stroke that both were read as one."""
        carrier = join(own.start, own.end)
        others = [line for line in self._lines if max(abs(offset(end, carrier)) for end in line) > SAME_CARRIER_MM]
        return share_along((stroke.start, stroke.end), others, CROWDED_MM) >= CROWDED

    def _share(self, stroke: Stroke, near_mm: float) -> float:
        return self._beside.share((stroke.start, stroke.end), near_mm)

    def curve_of(self, stroke: Stroke) -> str | None:
        """Return the curve that a stroke is a piece of, or None."""
        if stroke not in self._curve_of:
            carriers = (curve.name for curve in self._curves if curve.carries(stroke, NEAR_CURVE_MM))
            self._curve_of[stroke] = next(carriers, None)
        return self._curve_of[stroke]
