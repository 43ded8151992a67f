"""Which values may the sentence of a step name? They are read off its moves."""

from collections.abc import Callable, Iterator, Mapping, Sequence
from itertools import islice, pairwise

from orthopsis.core.construct.moves import (
    Across,
    Act,
    Cross,
    Curve,
    CurvePart,
    Measure,
    MeasureAlong,
    MeasureAside,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    RunToCurve,
    ShareAlong,
    Shift,
    Side,
    Slide,
    Through,
)
from orthopsis.core.construct.steps import Breath
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.telling.face_values import face_values
from orthopsis.core.telling.length_values import curve_marks, length_marks, marks_on_line, tick_start, ticks
from orthopsis.core.telling.letters import (
    CORNER_LETTER,
    MOST_IN_WORDS,
    figures,
    has_letters,
    joins_words,
    letter_words,
    loops_of,
    marks_of,
    pairs_words,
    path_words,
    way_letters,
)
from orthopsis.core.telling.setup_values import of_setup
from orthopsis.core.telling.strokes import Strokes
from orthopsis.core.telling.thing_values import (
    choice_words,
    goal_words,
    high_words,
    in_line,
    own_lengths,
    own_point,
    own_words,
    run_to,
    start_words,
    upright,
    view_point,
)
from orthopsis.core.view.aim import SIDED_AIDS
from orthopsis.core.wording.names import part_words
from orthopsis.core.wording.pieces import piece_words
from orthopsis.core.wording.vocabulary import counted, listed


class StepValues(dict[str, object]):
    """The values of a step by the names that its templates use; each is made when it is asked for.

    Args:
        strokes: the lines of the sheet.
        whole: the values of the step of which this one tells a part: they stand where its own are empty.
    """

    def __init__(self, solved: Solved, breath: Breath, strokes: Strokes, whole: "StepValues | None" = None) -> None:
        super().__init__()
        self._solved, self._breath, self._whole = solved, breath, whole
        self.acts = [move.act for move in breath.moves]
        self.way = way_letters(self.acts)
        self._found, self._still = list[Mapping[str, object]](), _in_order(solved, breath, self.acts, strokes)

    def __missing__(self, name: str) -> object:
        found = list(islice(self._own(name), 1))
        if found in ([], [""]) and self._whole is not None:
            found = [self._whole[name]]
        if not found:
            raise KeyError(name)
        self[name] = found[0]
        return found[0]

    def _own(self, name: str) -> Iterator[object]:
        """Yield the value of that name, if there is one."""
        if self._whole is None and name in self.way:
            yield self.way[name]
        elif name in _VALUES:
            yield _VALUES[name](self._solved, self._breath, self.acts)
        else:
            yield from (group[name] for group in self._groups() if name in group)

    def _groups(self) -> Iterator[Mapping[str, object]]:
        """Yield the values that are found together, as far as they have been found, and then the others."""
        yield from self._found
        for group in self._still:
            self._found.append(group)
            yield group


def _in_order(solved: Solved, breath: Breath, acts: Sequence[Act], strokes: Strokes) -> Iterator[Mapping[str, object]]:
    """Yield the values that are found together, those first that stand where several have one of a name."""
    if not breath.thing:
        yield of_setup(solved, breath)
    yield from (_of_act(solved, act) for act in reversed(acts) if isinstance(act, _TOLD_BY_ACT))
    yield _counts(solved, breath, acts, strokes)
    yield _cube(solved, acts)
    yield in_line(solved, breath)
    yield face_values(solved, breath)
    yield marks_on_line(solved, acts)
    yield own_lengths(solved, breath)
    yield own_words(solved, breath)


_RULED = (Across, RuleToPoint, Rule, Run, RunToCurve, Side, Through, Slide)
"""The acts that draw a straight line."""


def _counts(solved: Solved, breath: Breath, acts: Sequence[Act], strokes: Strokes) -> dict[str, object]:
    """Return how many lines and curves are drawn, and from which corners."""
    ruled = (act for act in acts if isinstance(act, _RULED))
    drawn = [act for act in ruled if isinstance(act, Across) or act.role != "unseen"]
    curves = [act for act in acts if isinstance(act, Curve | CurvePart)]
    shown = sum(act.role != "unseen" for act in curves)
    rule_count = strokes.count(act.makes for act in drawn if isinstance(act, Rule))
    count = strokes.count(act.makes for act in drawn)
    noun = solved.prepared.wording.term("guide line") if breath.phase == "guides" else "line"
    return {
        "shape_count": rule_count + shown,
        "shape_lines": _shape_lines(rule_count, shown),
        "curves": counted(len(curves), "curve"),
        "rules": counted(rule_count, "line"),
        "rule_count": rule_count,
        "count": count,
        "lines": counted(count, noun),
        "each": "each " if count > 1 else "",
        "ways": _ways(solved, acts, strokes) if breath.name == "back.helped" else "",
        "corners": listed([_corner(solved, act.start) for act in drawn if isinstance(act, RuleToPoint)]),
    }


_VALUES: Mapping[str, Callable[[Solved, Breath, Sequence[Act]], object]] = {
    "thing": lambda solved, breath, acts: part_words(breath.part, breath.thing),
    "piece": lambda solved, breath, acts: piece_words(breath.piece) if breath.piece is not None else "",
    "cut": lambda solved, breath, acts: piece_words(breath.piece) if breath.piece is not None else "its gaps",
    "wide": lambda solved, breath, acts: _farthest(solved, [a.across_mm for a in acts if isinstance(a, Offset)]),
    "tall": lambda solved, breath, acts: _farthest(solved, [a.up_mm for a in acts if isinstance(a, Offset)]),
    "ticks": lambda solved, breath, acts: ticks(solved, acts),
    "tick_start": lambda solved, breath, acts: tick_start(solved, acts),
    "upright": lambda solved, breath, acts: upright(solved, breath),
    "slope_point": lambda solved, breath, acts: own_point(solved, acts),
    "view_point": lambda solved, breath, acts: view_point(solved, breath),
    "goal": lambda solved, breath, acts: goal_words(solved, breath),
    "part_count": lambda solved, breath, acts: sum(isinstance(act, Shift) for act in acts) - 1,
    "high_words": lambda solved, breath, acts: high_words(solved, breath),
    "share_words": lambda solved, breath, acts: choice_words(solved, breath, "share"),
    "feet": lambda solved, breath, acts: listed(
        [solved.prepared.laid(act.from_left_mm) for act in acts if isinstance(act, Measure)]
    ),
    "start": lambda solved, breath, acts: start_words(solved, breath),
    "offsets": lambda solved, breath, acts: _corners(solved, acts),
    "joins": lambda solved, breath, acts: joins_words(acts),
    "path": lambda solved, breath, acts: path_words(solved, acts),
    "crossings": lambda solved, breath, acts: _corners(solved, acts),
    "pairs": lambda solved, breath, acts: pairs_words(acts),
    "rows": lambda solved, breath, acts: _rows(acts),
    "places_are": lambda solved, breath, acts: "is the place" if len(_counted_rows(acts)) == 1 else "are the places",
    "light_lines": lambda solved, breath, acts: "a light line" if len(_counted_rows(acts)) == 1 else "light lines",
    "profile_corner": lambda solved, breath, acts: _profile_corner(solved, breath),
    "marks": lambda solved, breath, acts: curve_marks(solved, acts),
    "length_marks": lambda solved, breath, acts: length_marks(solved, acts),
    "whence": lambda solved, breath, acts: _whence(acts),
    "over_point": lambda solved, breath, acts: run_to(solved, [a.point for a in acts if isinstance(a, RuleToPoint)]),
    "back_point": lambda solved, breath, acts: run_to(solved, [a.runs for a in acts if isinstance(a, Run)]),
    "level": lambda solved, breath, acts: _level(solved, acts),
    "first": lambda solved, breath, acts: _level(solved, [act for act in acts if isinstance(act, MeasureAlong)]),
}
"""The values that stand for themselves."""


def _farthest(solved: Solved, lengths: Sequence[float]) -> str:
    """Return the longest of some lengths; empty if there is none."""
    return solved.prepared.laid(max(lengths)) if lengths else ""


def _whence(acts: Sequence[Act]) -> str:
    """Return where the hand begins to go round a back: at one mark, or at several corners that are there."""
    ways = [act for act in acts if isinstance(act, Run | Slide)]
    begins = {act.start for act in ways} - {act.makes_point for act in ways}
    return "the mark" if len(begins) == 1 else "the corners of the back that are marked"


def _shape_lines(straight: int, curves: int) -> str:
    """Return how many straight lines and how many curves an outline has."""
    said = [counted(straight, "line")] if straight else []
    return listed(said + ([counted(curves, "curve")] if curves else []))


def _corners(solved: Solved, acts: Sequence[Act]) -> str:
    """Return the corners that are marked, each by its two figures, loop by loop; by letters where they are many."""
    if has_letters(acts):
        return letter_words(solved, acts)
    marks = marks_of(acts)
    loops = [[" ".join(figures(solved, marks[i])) for i in loop] for loop in loops_of(acts)]
    return "; apart from them ".join("; ".join(loop) for loop in loops)


def _ways(solved: Solved, acts: Sequence[Act], strokes: Strokes) -> str:
    """Return how many light lines run which way: ``2 level lines and 1 line to the left point``."""
    found: dict[tuple[str, str], list[str]] = {}
    for act in acts:
        match act:
            case Run(runs="level" | "upright") if act.role != "unseen":
                way = (solved.prepared.wording.term(act.runs), "")
            case Run() if act.role != "unseen":
                way = ("", f" to the {solved.prepared.point_words(act.runs)}")
            case RuleToPoint():
                way = ("", f" to the {solved.prepared.point_words(act.point)}")
            case Slide() | Rule() if act.role != "unseen":
                way = ("slanted", ", as on the front")
            case _:
                continue
        found.setdefault(way, []).append(act.makes)
    counts = {way: strokes.count(names) for way, names in found.items()}
    if len(counts) >= MOST_IN_WORDS:
        return f"{counted(sum(counts.values()), 'line')}, as the picture shows"
    return listed([counted(count, f"{like} line".strip()) + on for (like, on), count in counts.items()])


def _counted_rows(acts: Sequence[Act]) -> list[str]:
    """Return the numbers of the light lines that a diagonal cuts where places along are found."""
    found = (act.counted[1] for act in acts if isinstance(act, Cross) and act.counted is not None)
    return [str(number) for number in sorted(number for number in found if number is not None)]


def _rows(acts: Sequence[Act]) -> str:
    """Return which light lines those are: ``light lines 1 and 3``."""
    numbers = _counted_rows(acts)
    if len(numbers) > MOST_IN_WORDS:
        return "numbered light lines"
    return f"light {'line' if len(numbers) == 1 else 'lines'} {listed(numbers)}"


def _profile_corner(solved: Solved, breath: Breath) -> str:
    """Return along which corner's guide line a depth is cut: where the corner lies on the front."""
    line = next((a.line for m in breath.moves if isinstance(a := m.act, MeasureAlong | ShareAlong)), "")
    if not line:
        return ""
    corner = solved.board.lines[line].turns_to
    said = _corner(solved, corner)
    if not isinstance(mark := solved.corner_marks.get(corner), Offset):
        return f"the {said} corner" if said else "the corner"
    part = next(move.part for move in solved.moves if move.act is mark)
    of = f" of {part_words(part, breath.thing)}" if part else ""
    return f"the corner {CORNER_LETTER}{of}"


_TOLD_BY_ACT = (Measure, Side, MeasureAlong, MeasureAside, Shift, ShareAlong)
"""The acts that have values of their own."""


def _of_act(solved: Solved, act: object) -> dict[str, object]:
    laid = solved.prepared.laid
    match act:
        case Measure():
            return {"left": laid(act.from_left_mm), "bottom": laid(act.from_bottom_mm)}
        case Side():
            return {"width" if act.runs == "level" else "height": laid(abs(act.length_mm))}
        case MeasureAlong():
            text = laid(abs(act.length_mm))
            return {"depth": text, "length": text, **_guided_corner(solved, act.line)}
        case MeasureAside():
            return {"length": laid(abs(act.across_mm))}
        case Shift():
            return {"length": laid(abs(act.across_mm))}
        case ShareAlong():
            return _guided_corner(solved, act.line)
        case _:
            return {}


def _corner(solved: Solved, point: str) -> str:
    """Return what a corner is called within its front or upright; empty for what has no such name."""
    return solved.prepared.corner_words.get(point, "")


def _guided_corner(solved: Solved, line: str) -> dict[str, object]:
    """Return from which corner a light line runs that is cut."""
    return {"corner": _corner(solved, solved.board.lines[line].turns_to)}


def _cube(solved: Solved, acts: Sequence[Act]) -> dict[str, object]:
    """Return which corner is found with which distance point; nothing if no line runs to one."""
    aims = solved.prepared.aims
    for act, cut in pairwise(acts):
        if isinstance(act, RuleToPoint) and isinstance(cut, Cross) and aims[act.point].role in SIDED_AIDS:
            side, aid = SIDED_AIDS[aims[act.point].role]
            if aid == "distance":
                return {"side": side, "beside": _corner(solved, act.start), **_guided_corner(solved, cut.second)}
    return {}


def _level(solved: Solved, acts: Sequence[Act]) -> str:
    """Return at which end of a block's uprights the first act works: the top or the foot."""
    corners = (_corner(solved, str(getattr(act, field, ""))) for act in acts[:1] for field in ("start", "makes"))
    return next((corner for corner in corners if corner in ("top", "foot")), "foot")
