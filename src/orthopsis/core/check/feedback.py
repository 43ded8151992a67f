"""What is written to the student: what is right first, the one thing, and the next step."""

from collections.abc import Sequence

from orthopsis.core.check.answer import Finding, JudgedLine
from orthopsis.core.check.findings import line_words
from orthopsis.core.wording.findings import ADVICE_TO_STUDENT, NEXT_TIME, PRAISE
from orthopsis.core.wording.vocabulary import LEVELS, Wording

_TOPIC = {
    "eye_level_missing": "eye_level", "eye_level_tilted": "eye_level", "eye_level_height": "eye_level",
    "upright_leans": "uprights", "level_tilts": "levels", "back_not_parallel": "back", "edge_runs_off": "slanted",
    "wrong_point": "receding",
    "no_point": "receding", "misses_point": "receding", "missing_line": "missing", "missing_lines": "missing",
    "tones_differ": "tones",
}  # fmt: skip


def note(lines: Sequence[JudgedLine], found: Sequence[Finding], wording: Wording) -> str:
    """Return the note: praise from what is measured to be right, then the gravest finding, then next time.

    Findings that the teacher has not accepted must be left out before.
    """
    level = LEVELS.index(wording.level)
    real = [f for f in found if f.code in _TOPIC]
    praise = _praise(lines, real, wording)
    if not real:
        return f"{praise} {wording.say(NEXT_TIME['all'][level], {})}"
    gravest = max(real, key=lambda f: f.severity)
    topic = _TOPIC[gravest.code]
    values = {"line": line_words(gravest.about)}
    one = wording.say(ADVICE_TO_STUDENT[topic][level], values)
    return f"{praise} {one} {wording.say(NEXT_TIME[topic][level], {})}"


def _praise(lines: Sequence[JudgedLine], found: Sequence[Finding], wording: Wording) -> str:
    level = LEVELS.index(wording.level)
    judged = [line for line in lines if line.matched and line.verdict not in ("unexpected", "cannot_tell")]
    if judged and not [f for f in found if f.lines or f.code != "tones_differ"]:
        return wording.say(PRAISE["all"][level], {})
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
