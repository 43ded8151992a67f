"""What is written to the student: what is right first, the one thing, and the next step."""

from collections.abc import Sequence

from orthopsis.core.check.answer import Checked, Finding, JudgedLine
from orthopsis.core.check.decided import Decided
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.wording.findings import ADVICE_TO_STUDENT, NEXT_TIME, PRAISE, TRY_NEXT
from orthopsis.core.wording.vocabulary import LEVELS, Wording, counted

_TOPIC = {
    "eye_level_missing": "eye_level", "eye_level_tilted": "eye_level", "eye_level_height": "eye_level",
    "upright_leans": "uprights", "level_tilts": "levels", "back_not_parallel": "back", "edge_runs_off": "slanted",
    "wrong_point": "receding",
    "no_point": "receding", "misses_point": "receding", "missing_line": "missing", "missing_lines": "missing",
    "tones_differ": "tones", "copied_flat": "flat", "off_row": "row", "tip_off_middle": "middle",
    "even_spaces": "spaces", "reveal_uneven": "reveal", "inside_too_light": "inside",
    **dict.fromkeys(("curve_missing", "curve_place", "curve_uneven", "curve_round", "curve_flat"), "curve"),
    **dict.fromkeys(("curve_large", "curve_small", "curve_turned"), "curve"),
    "curve_widest": "widest", "curve_pointed": "ends",
}  # fmt: skip
_OF_TONES = frozenset({"tones_differ", "inside_too_light"})
CLEAR_MM = 5.0
"""A thing reaches over the eye level, or stands beside a point, by at least this much (no source)."""


def note(checked: Checked, what: Decided, picture: Picture, wording: Wording) -> str:
    """Return the note: praise from what is measured to be right, then the gravest finding, then next time.

    Args:
        what: what stands after the teacher's decisions; what was meant so is neither blamed nor praised.
        picture: what the sheet asked for, so that next time is something new.
    """
    level = LEVELS.index(wording.level)
    real = [f for f in what.standing if f.code in _TOPIC]
    lines = [line for number, line in enumerate(checked.lines) if number not in what.meant]
    names = {checked.lines[number].matched for number in what.meant} | what.meant_curves
    parts = [_praise(lines, real, wording, is_some_meant=bool(names))]
    if names:
        parts.append(wording.say(PRAISE["meant"][level], {"count": counted(len(names), "line")}))
    one = gravest(what)
    if one is not None:
        topic = _TOPIC[one.code]
        parts.append(wording.say(ADVICE_TO_STUDENT[topic][level], {"line": one.line or one.about}))
        parts.append(wording.say(NEXT_TIME[topic][level], {}))
    else:
        parts.append(wording.say(TRY_NEXT[_something_new(picture)][level], {}))
    return " ".join(parts)


def gravest(what: Decided) -> Finding | None:
    """Return the finding that the note is about; none where nothing is wrong."""
    return max((f for f in what.standing if f.code in _TOPIC), key=lambda f: f.severity, default=None)


def _something_new(picture: Picture) -> str:
    """Return what to try next: the first of a few things that this sheet does not have."""
    level = picture.eye_level_mm
    spans: dict[str, list[tuple[float, float]]] = {}
    for line in picture.lines:
        if line.role == "edge" and line.thing:
            spans.setdefault(line.thing, []).extend((line.start, line.end))
    heights = [[y for _, y in places] for places in spans.values()]
    if not any(min(ys) < level - CLEAR_MM and max(ys) > level + CLEAR_MM for ys in heights):
        return "across"
    widths = [[x for x, _ in places] for places in spans.values()]
    points = [x for x, y in picture.vanishing_points.values() if abs(y - level) < CLEAR_MM]
    for x in points:
        sides = {max(xs) < x for xs in widths if max(xs) < x - CLEAR_MM or min(xs) > x + CLEAR_MM}
        if len(points) == 1 and len(sides) < 2:
            return "other_side"
    return "again" if any(line.behind for line in picture.lines) else "see_through"


def _praise(lines: Sequence[JudgedLine], found: Sequence[Finding], wording: Wording, *, is_some_meant: bool) -> str:
    level = LEVELS.index(wording.level)
    judged = [line for line in lines if line.matched and line.verdict not in ("unexpected", "cannot_tell")]
    if judged and not [f for f in found if f.lines or f.code not in _OF_TONES]:
        return wording.say(PRAISE["all_others" if is_some_meant else "all"][level], {})
    parts = []
    receding = [line for line in judged if line.family not in ("level", "upright", "free")]
    home = sum(line.verdict == "fine" for line in receding)
    if home:
        parts.append(wording.say(PRAISE["receding"][level], {"count": home, "total": len(receding)}))
    uprights = [line for line in judged if line.family == "upright"]
    if uprights and all(line.verdict == "fine" for line in uprights):
        parts.append(wording.say(PRAISE["uprights"][level], {}))
    if not parts and any(line.matched == "eye level" and line.verdict == "fine" for line in judged):
        parts.append(wording.say(PRAISE["eye_level"][level], {}))
    return " ".join(parts) or wording.say(PRAISE["start"][level], {})
