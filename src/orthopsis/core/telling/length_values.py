"""Which lengths does a step lay off or tick, in words? Where they are too many, the picture carries them."""

from collections.abc import Sequence

from orthopsis.core.construct.moves import Act, Curve, Divide, MeasureAlong, Offset, Shift
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.telling.letters import MOST_IN_WORDS
from orthopsis.core.wording.vocabulary import counted, listed


def marks_on_line(solved: Solved, acts: Sequence[Act]) -> dict[str, object]:
    """Return how many equal steps are laid off, how far apart, and to which side; nothing where none are."""
    steps = [act.across_mm for act in acts if isinstance(act, Shift)]
    if not steps:
        return {}
    return {
        "mark_count": counted(len(steps), "mark"),
        "mark_step": solved.prepared.laid(min(map(abs, steps))),
        "mark_side": "right" if steps[0] > 0 else "left",
    }


def _laid_off(acts: Sequence[Act]) -> list[float]:
    """Return the different lengths that are laid off on a level line, mm, the shortest first."""
    return sorted({round(abs(act.across_mm), 6) for act in acts if isinstance(act, Shift)})


def tick_start(solved: Solved, acts: Sequence[Act]) -> str:
    """Return from which end of its line a tick is measured."""
    line = next((act.line for act in acts if isinstance(act, MeasureAlong)), "")
    if not line:
        return "nearer end"
    start, end = solved.board.lines[line].start, solved.board.lines[line].end
    if abs(end.x - start.x) > abs(end.y - start.y):
        return "left end" if start.x < end.x else "right end"
    return "foot" if start.y < end.y else "top"


def ticks(solved: Solved, acts: Sequence[Act]) -> str:
    """Return where ticks are made along an edge: measured, or as parts of it; on the picture where they are many."""
    texts = [solved.prepared.laid(act.length_mm) for act in acts if isinstance(act, MeasureAlong)]
    shares = [f"{act.share:.0%}" for act in acts if isinstance(act, Divide)]
    if len(texts) > MOST_IN_WORDS:
        return f"at the {len(texts)} measures in {solved.prepared.tick_unit} on the picture"
    return f"the {len(shares)} shares on the picture" if len(shares) > MOST_IN_WORDS else listed(texts + shares)


def length_marks(solved: Solved, acts: Sequence[Act]) -> str:
    """Return the different lengths that are laid off on a level line; on the picture where they are many."""
    lengths = [solved.prepared.laid(mm) for mm in _laid_off(acts)]
    if len(lengths) > MOST_IN_WORDS:
        return f"the {len(lengths)} measures in {solved.prepared.tick_unit} on the picture"
    return listed(lengths)


def curve_marks(solved: Solved, acts: Sequence[Act]) -> str:
    """Return how far from its corner each curve begins: level and upright, on a front that is drawn true."""
    if not any(isinstance(act, Offset) for act in acts):
        return ""
    points, found = solved.board.points, []
    for act in acts:
        if isinstance(act, Curve):
            pole, ends = points[act.pole], (points[act.start], points[act.end])
            level, upright = (max(abs(getattr(end, axis) - getattr(pole, axis)) for end in ends) for axis in "xy")
            found.append(f"{solved.prepared.laid(level)} across and {solved.prepared.laid(upright)} up or down")
    different = list(dict.fromkeys(found))
    return f", {different[0]} from it" if len(different) == 1 else ", as far from it as the picture shows"
