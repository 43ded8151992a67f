"""Along which measures or counted light lines does a step mark its corners, so that the picture can carry them?

On a front that is drawn true these are the places across and up from where it is measured; on a divided side the light
lines, counted from the nearest edge and from the foot.
"""

from collections.abc import Iterable, Mapping, Sequence

from orthopsis.core.construct.moves import Act, Cross, Divide, MeasureAlong, Offset, Shift
from orthopsis.core.construct.steps import Breath
from orthopsis.core.drawing.answer import Place, Scale, ScaleMark
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.telling.letters import is_by_path, paths_of

LEAST_TICKED = 3
"""So many lengths along an edge lie on each other in a picture: a scale carries them (no source)."""
LEAST_LAID = 2
"""So many on a level line do: all of them begin at its foot (no source)."""


def scales(solved: Solved, breath: Breath, template: str) -> list[Scale]:
    """Return the scales along what a step marks; none where it marks nothing of the kind, or words tell it all.

    Args:
        template: the words of the step, with the places for what they tell.
    """
    acts: Sequence[Act] = [move.act for move in breath.moves]
    if "{ticks}" in template or "{length_marks}" in template:
        return _ticked(solved, acts, LEAST_TICKED if "{ticks}" in template else LEAST_LAID)
    if not any(
        place in template for place in ("{offsets}", "{crossings}", "{rows}", "{marks}", "{path}", "{pairs}", "{joins}")
    ):
        return []
    if is_by_path(template):
        acts = [solved.corner_marks[point] for run in paths_of(acts) for point in run]
    crossings = [act for act in acts if isinstance(act, Cross) and act.counted is not None]
    if crossings:
        return _counted(solved, crossings)
    origins = dict.fromkeys(act.start for act in acts if isinstance(act, Offset))
    return [
        scale
        for origin in origins
        for scale in _measured(solved, [a for a in acts if isinstance(a, Offset) and a.start == origin])
    ]


def _measured(solved: Solved, marks: list[Offset]) -> list[Scale]:
    """Return the measures across, under what is marked, and up, to its left."""
    start, figure = solved.board.points[marks[0].start], solved.prepared.tick
    across, up = _different(act.across_mm for act in marks), _different(act.up_mm for act in marks)
    left, foot = start.x + min(0.0, *across), start.y + min(0.0, *up)
    return [
        Scale(side="below", marks=[ScaleMark(at=(start.x + mm, foot), text=figure(mm)) for mm in across]),
        Scale(side="left", marks=[ScaleMark(at=(left, start.y + mm), text=figure(mm)) for mm in up]),
    ]


def _ticked(solved: Solved, acts: Sequence[Act], least: int) -> list[Scale]:
    """Return the measures of ticks along an edge or a level line, where lengths beside each other would collide."""
    texts = tick_texts(solved, acts)
    if len(texts) < least:
        return []
    begins = {at for act in acts if (at := _begin(solved, act)) is not None}
    read = [*((at, "0") for at in begins), *((solved.board.points[name].xy, text) for name, text in texts.items())]
    wide, tall = (max(axis) - min(axis) for axis in zip(*(at for at, _ in read), strict=True))
    along = 0 if wide > tall else 1
    marks = [ScaleMark(at=place, text=text) for place, text in read]
    return [Scale(side=("below", "left")[along], marks=sorted(marks, key=lambda mark: mark.at[along]))]


def tick_texts(solved: Solved, acts: Sequence[Act]) -> dict[str, str]:
    """Return what is read at each tick of a step: its measure in the class's units, or its share of the edge."""
    texts = dict[str, str]()
    for act in acts:
        match act:
            case MeasureAlong():
                texts[act.makes] = solved.prepared.tick(act.length_mm)
            case Shift():
                texts[act.makes] = solved.prepared.tick(abs(act.across_mm))
            case Divide():
                texts[act.makes] = f"{act.share:.0%}"
    return texts


def _begin(solved: Solved, act: Act) -> Place | None:
    """Return where a measure of a tick begins: there lies the ruler's 0."""
    match act:
        case MeasureAlong():
            return solved.board.lines[act.line].start.xy
        case Shift() | Divide():
            return solved.board.points[act.start].xy
    return None


def _different(lengths: Iterable[float]) -> list[float]:
    found: list[float] = []
    for mm in sorted(lengths):
        if not found or mm - found[-1] > SAME_POINT_MM:
            found.append(mm)
    return found


def _counted(solved: Solved, marks: list[Cross]) -> list[Scale]:
    """Return the numbers of the columns, at their feet, and of the rows, at the edge from which columns are counted."""
    columns = {n: act.first for act in marks if act.counted and (n := act.counted[0]) is not None}
    rows = {n: act.second for act in marks if act.counted and (n := act.counted[1]) is not None}
    if not rows:
        return []
    lines, points = solved.board.lines, solved.board.points
    feet = {n: min((lines[name].start.xy, lines[name].end.xy), key=lambda at: at[1]) for n, name in columns.items()}
    ends = {n: lines[name].start.xy for n, name in rows.items()}
    at = [points[act.makes].x for act in marks]
    is_left = sum(x for x, _ in ends.values()) / len(ends) <= sum(at) / len(at)
    below = [Scale(side="below", marks=_numbered(feet))] if len(set(columns.values())) > 1 else []
    return [*below, Scale(side="left" if is_left else "right", marks=_numbered(ends))]


def _numbered(places: Mapping[int, Place]) -> list[ScaleMark]:
    return [ScaleMark(at=at, text=str(number)) for number, at in sorted(places.items())]
