"""What would a teacher say of the curves of a sheet?"""

import math
from collections.abc import Iterator, Sequence

from orthopsis.core.check.answer import Finding, JudgedCurve
from orthopsis.core.check.curve import SoughtCurve
from orthopsis.core.check.line_names import LineNames
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.wording.findings import FINDINGS, finding_title

_UPWARD, _UP_THERE = ("up", "down"), ("higher", "lower")
"""How a curve lies too far, and where something is."""
_SEVERITY = {"slightly_off": 1, "off": 2, "missing": 2}


def curve_findings(
    curves: Sequence[JudgedCurve], sought: Sequence[SoughtCurve], prepared: Prepared, names: LineNames
) -> Iterator[Finding]:
    """Yield what is to be said of each curve that is not as it should be."""
    asked = {curve.name: curve for curve in sought}
    for curve in curves:
        wanted, severity = asked.get(curve.name), _SEVERITY.get(curve.verdict)
        if wanted is None or severity is None:
            continue
        code = "curve_missing" if curve.verdict == "missing" else f"curve_{curve.fault}"
        called = names.words(curve.name)
        yield Finding(
            code=code,
            severity=severity,
            title=finding_title(code, prepared.wording),
            text=prepared.wording.say(FINDINGS[code], _values(curve, wanted, called, prepared)),
            lines=[],
            about=curve.name,
            line=called,
            curve=curve.name,
        )


def _values(curve: JudgedCurve, wanted: SoughtCurve, called: str, prepared: Prepared) -> dict[str, object]:
    is_widest = curve.fault == "widest"
    back = wanted.ellipse.centre.x - wanted.middle.x, wanted.ellipse.centre.y - wanted.middle.y
    miss = math.hypot(*back) if is_widest else math.hypot(*curve.shift_mm) if any(curve.shift_mm) else curve.miss_mm
    right = wanted.ellipse.major if curve.fault in ("large", "small") else wanted.ellipse.minor
    return {
        "line": called,
        "miss": prepared.nearly(miss),
        "side": _where(back, "farther ", _UP_THERE) if is_widest else _where(curve.shift_mm, "", _UPWARD),
        "limit": prepared.nearly(curve.allowed_mm),
        "long": prepared.nearly(curve.long_mm),
        "short": prepared.nearly(curve.short_mm),
        "right": prepared.nearly(2 * right),
    }


def _where(way_mm: tuple[float, float], more: str, up_down: tuple[str, str]) -> str:
    """Return to which side a way leads, by the longer of its two parts; ``more`` is said of the sides."""
    dx, dy = way_mm
    if abs(dx) >= abs(dy):
        return f"{more}to the {'right' if dx > 0 else 'left'}"
    return up_down[0] if dy > 0 else up_down[1]
