"""What would a teacher say of the judged lines, in the order in which teachers look?"""

from collections.abc import Sequence

from orthopsis.core.check.answer import Finding, JudgedLine
from orthopsis.core.check.line_names import LineNames
from orthopsis.core.check.stroke import Expected
from orthopsis.core.construct.moves import EYE_LEVEL
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.wording.findings import FINDINGS, finding_title
from orthopsis.core.wording.vocabulary import Wording, counted, listed

ORDER = (
    "eye_level_missing", "eye_level_tilted", "eye_level_height", "upright_leans", "level_tilts", "back_not_parallel",
    "tip_off_middle", "even_spaces", "reveal_uneven", "edge_runs_off",
    "copied_flat", "wrong_point", "no_point", "misses_point", "off_row", "missing_line", "missing_lines",
    "curve_missing", "curve_widest", "curve_pointed", "curve_round", "curve_flat", "curve_large", "curve_small",
    "curve_turned", "curve_place", "curve_uneven", "cannot_tell",
)  # fmt: skip
_BAD = ("slightly_off", "off", "wrong_point")
EYE_LEVEL_MM = 3.0
"""The eye level may lie this far from its height, or two hand errors if that is more (common practice, no source)."""


def findings(
    lines: Sequence[JudgedLine],
    missing: Sequence[Expected],
    prepared: Prepared,
    sigma_mm: float,
    names: LineNames,
    of_several: Sequence[Finding] = (),
) -> list[Finding]:
    """Return the findings, first what is looked at first.

    Args:
        of_several: what is found of lines that belong together; of these nothing is said one by one.
    """
    wording = prepared.wording
    first = {line.matched: i for i, line in reversed(list(enumerate(lines)))}
    told = {number for finding in of_several for number in finding.lines}
    found = [f for i in sorted(first.values()) if (f := _of_line(i, lines[i], prepared, names)) is not None]
    found = [*of_several, *(f for f in found if told.isdisjoint(f.lines))]
    found += _eye_level(lines, missing, prepared, sigma_mm)
    # Where a whole row stands at wrong places its lines are not missing.
    elsewhere = {f.line for f in of_several if f.code == "even_spaces"}
    found += _missing([e for e in missing if e.thing and e.thing not in elsewhere], wording, names)
    # A piece of a curve is no line of its own: nobody asks how it runs.
    short = [
        i
        for i, line in enumerate(lines)
        if line.verdict == "cannot_tell" and names.is_line(line.matched) and i not in told
    ]
    if short:
        text = wording.say(FINDINGS["cannot_tell"], {"count": _is_are(len(short))})
        found.append(_finding("cannot_tell", 0, text, short, "", wording))
    return sorted(found, key=lambda f: (ORDER.index(f.code), -f.severity))


def _is_are(count: int) -> str:
    return f"{counted(count, 'line')} {'is' if count == 1 else 'are'}"


def _finding(
    code: str, severity: int, text: str, lines: list[int], about: str, wording: Wording, line: str = ""
) -> Finding:
    return Finding(
        code=code, severity=severity, title=finding_title(code, wording), text=text, lines=lines, about=about, line=line
    )


def _of_line(number: int, line: JudgedLine, prepared: Prepared, names: LineNames) -> Finding | None:
    if line.verdict not in _BAD or not line.matched or line.matched == EYE_LEVEL:
        return None
    wording = prepared.wording
    code = _code(line, is_back=names.is_back(line.matched))
    called = names.words(line.matched)
    side = "above" if line.miss_mm > 0 else "below"
    values = {
        "line": called, "angle": f"{abs(line.angle_deg):.1f}", "allowed": f"{line.allowed_deg:.1f}",
        "miss": prepared.nearly(abs(line.miss_mm)), "limit": prepared.nearly(line.allowed_mm), "side": side,
        "point": _aim_words(line.aims_at, prepared) if line.aims_at else "",
    }  # fmt: skip
    severity = 1 if line.verdict == "slightly_off" else 3 if line.verdict == "wrong_point" else 2
    return _finding(code, severity, wording.say(FINDINGS[code], values), [number], line.matched, wording, called)


def _aim_words(name: str, prepared: Prepared) -> str:
    if name in ("level", "upright"):
        return f"a {prepared.wording.term(name)} direction"
    return f"the {prepared.point_words(name)}"


def _code(line: JudgedLine, *, is_back: bool) -> str:
    if line.family == "free":
        return "edge_runs_off"
    if line.family in ("upright", "level"):
        if is_back:
            return "back_not_parallel"
        return "upright_leans" if line.family == "upright" else "level_tilts"
    if line.verdict == "wrong_point":
        return "wrong_point"
    return "no_point" if abs(line.miss_mm) > 4 * line.allowed_mm else "misses_point"


def _eye_level(
    lines: Sequence[JudgedLine], missing: Sequence[Expected], prepared: Prepared, sigma_mm: float
) -> list[Finding]:
    wording, height = prepared.wording, prepared.eye_level_mm
    if any(not e.thing for e in missing):
        return [
            _finding(
                "eye_level_missing",
                3,
                wording.say(FINDINGS["eye_level_missing"], {}),
                [],
                "eye level",
                wording,
            )
        ]
    # Pieces that agree on nothing tell nothing: one of them may be another line.
    mine = [(i, line) for i, line in enumerate(lines) if line.matched == EYE_LEVEL and line.verdict != "cannot_tell"]
    if not mine:
        return []
    number, line = max(mine, key=lambda pair: abs(pair[1].end[0] - pair[1].start[0]))
    if line.verdict in _BAD:
        values = {"angle": f"{abs(line.angle_deg):.1f}", "allowed": f"{line.allowed_deg:.1f}"}
        severity = 1 if line.verdict == "slightly_off" else 2
        text = wording.say(FINDINGS["eye_level_tilted"], values)
        return [_finding("eye_level_tilted", severity, text, [number], "eye level", wording)]
    off, limit = (line.start[1] + line.end[1]) / 2 - height, max(EYE_LEVEL_MM, 2 * sigma_mm)
    if abs(off) <= limit:
        return []
    values = {
        "miss": prepared.nearly(abs(off)),
        "side": "too high" if off > 0 else "too low",
        "limit": prepared.nearly(limit),
    }
    text = wording.say(FINDINGS["eye_level_height"], values)
    return [_finding("eye_level_height", 2, text, [number], "eye level", wording)]


def _missing(missing: Sequence[Expected], wording: Wording, line_names: LineNames) -> list[Finding]:
    if not missing:
        return []
    names = [line_names.words(e.name) for e in missing]
    if len(names) == 1:
        text = wording.say(FINDINGS["missing_line"], {"line": names[0]})
        return [_finding("missing_line", 2, text, [], missing[0].name, wording, names[0])]
    shown = names if len(names) <= 4 else [*names[:3], f"{len(names) - 3} more"]
    text = wording.say(FINDINGS["missing_lines"], {"count": counted(len(names), "line"), "line": listed(shown)})
    return [_finding("missing_lines", 3 if len(names) > 4 else 2, text, [], missing[0].name, wording, names[0])]
