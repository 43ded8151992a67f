"""What remains of a judgement when the teacher has said what was meant so."""

from collections.abc import Mapping
from dataclasses import dataclass

from orthopsis.core.check.answer import Checked, Finding

MEANT = "meant"


@dataclass(frozen=True, slots=True)
class Decided:
    """The findings that stand, and what deviates on purpose: lines by number, curves by name. Those are no mistakes."""

    standing: tuple[Finding, ...] = ()
    meant: frozenset[int] = frozenset()
    meant_curves: frozenset[str] = frozenset()


NOTHING_DECIDED = Decided()


@dataclass(frozen=True, slots=True)
class Home:
    """How many of the lines and curves that can be judged ran home; not among them: what deviates on purpose."""

    home: int
    judged: int


def key_of(finding: Finding) -> str:
    """Return what a decision on a finding is kept under."""
    return f"{finding.code}:{finding.about}"


def decided(checked: Checked, decisions: Mapping[str, str]) -> Decided:
    """Return what remains, from decisions by key."""
    meant = [f for f in checked.findings if decisions.get(key_of(f)) == MEANT]
    lines = {number for finding in meant for number in finding.lines}
    # A line in pieces is judged once: what was said of one piece holds for all.
    names = {checked.lines[n].matched for n in lines if n < len(checked.lines)} - {""}
    lines |= {n for n, line in enumerate(checked.lines) if line.matched in names}
    curves = frozenset(f.curve for f in meant if f.curve)
    return Decided(tuple(f for f in checked.findings if f not in meant), frozenset(lines), curves)


def home(checked: Checked, what: Decided) -> Home:
    """Return how many lines and curves ran home."""
    verdicts: list[str] = [
        line.verdict
        for number, line in enumerate(checked.lines)
        if number not in what.meant and line.matched and line.verdict not in ("cannot_tell", "unexpected")
    ]
    verdicts += [
        curve.verdict
        for curve in checked.curves
        if curve.name not in what.meant_curves and curve.verdict not in ("cannot_tell", "missing")
    ]
    return Home(verdicts.count("fine"), len(verdicts))
