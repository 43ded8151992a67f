"""What remains of a judgement when the teacher has said what was meant so."""

from collections.abc import Mapping
from dataclasses import dataclass

from orthopsis.core.check.answer import Checked, Finding

MEANT = "meant"


@dataclass(frozen=True, slots=True)
class Decided:
    """The findings that stand, and the numbers of the lines that deviate on purpose: those are no mistakes."""

    standing: tuple[Finding, ...]
    meant: frozenset[int]


@dataclass(frozen=True, slots=True)
class Home:
    """How many of the lines that can be judged ran home; lines that deviate on purpose are not among them."""

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
    return Decided(tuple(f for f in checked.findings if f not in meant), frozenset(lines))


def home(checked: Checked, what: Decided) -> Home:
    """Return how many lines ran home."""
    judged = [
        line
        for number, line in enumerate(checked.lines)
        if number not in what.meant and line.matched and line.verdict not in ("cannot_tell", "unexpected")
    ]
    return Home(sum(line.verdict == "fine" for line in judged), len(judged))
