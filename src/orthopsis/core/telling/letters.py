"""Which points of a step get a letter in its picture, because their measures are too many for words?

At most four values stand in a sentence; where there are more, the picture carries them, and the words name the points
by letters, in the order in which they are joined.
"""

from collections.abc import Sequence
from itertools import product
from string import ascii_lowercase, ascii_uppercase

from orthopsis.core.construct.moves import Act, Cross, MeasureAlong, Offset, Rule, RuleToPoint, Run, ShareAlong
from orthopsis.core.drawing.answer import PointLetter
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.wording.vocabulary import listed

MOST_IN_WORDS = 4
"""So many values stand in a sentence at most: more are not remembered on the way to the paper (no source)."""
_LETTERS = (*ascii_lowercase, *ascii_uppercase, *(one + other for one, other in product(ascii_lowercase, repeat=2)))
"""What points are called, in order: a to z, A to Z, then by two letters: an outline may have more corners than that."""

Mark = Offset | Cross
"""An act that marks a corner by two figures: measured across and up, or counted along and up."""


def marks_of(acts: Sequence[Act]) -> list[Mark]:
    """Return the acts of a step that mark corners by two figures each: measured ones, or else counted ones."""
    measured: list[Mark] = [act for act in acts if isinstance(act, Offset)]
    return measured or [act for act in acts if isinstance(act, Cross) and act.counted is not None]


def is_by_letters(template: str) -> bool:
    """Tell whether words name corners one by one."""
    return any(place in template for place in ("{offsets}", "{crossings}", "{path}"))


def has_letters(acts: Sequence[Act]) -> bool:
    """Tell whether a step marks more corners than words can tell."""
    return 2 * len(marks_of(acts)) > MOST_IN_WORDS


def figures(solved: Solved, mark: Mark) -> tuple[str, str]:
    """Return the two figures of a mark in the class's units, across and up, or which light lines cross there.

    A line that leans has no number.
    """
    if isinstance(mark, Offset):
        return solved.prepared.tick(mark.across_mm), solved.prepared.tick(mark.up_mm)
    along, up = mark.counted or (0, 0)
    return "" if along is None else str(along), "" if up is None else str(up)


CORNER_LETTER = "a"
"""How a corner of an outline is called along whose light line a depth is cut."""


def is_by_corner(template: str) -> bool:
    """Tell whether words name one corner of an outline."""
    return "{profile_corner}" in template


def lettered_corner(solved: Solved, acts: Sequence[Act]) -> list[PointLetter]:
    """Return the corner of an outline along whose light line a step cuts a depth; none where words can tell it."""
    lines = [act.line for act in acts if isinstance(act, MeasureAlong | ShareAlong)]
    corners = {solved.board.lines[line].turns_to for line in lines[:1]}
    marks = [mark for corner in corners if isinstance(mark := solved.corner_marks.get(corner), Offset)]
    return [_lettered(solved, CORNER_LETTER, mark) for mark in marks]


def is_by_way(template: str) -> bool:
    """Tell whether words lead from point to point by letters."""
    return "{way_0}" in template


def way_of(acts: Sequence[Act]) -> list[str]:
    """Return the points over which the lines of a step lead, by full name, in order."""
    found = list[str]()
    for act in acts:
        match act:
            case RuleToPoint():
                found.append(act.start)
            case Cross():
                found.append(act.makes)
            case Run():
                found += [act.start, act.makes_point]
    return list(dict.fromkeys(found))


def way_letters(acts: Sequence[Act]) -> dict[str, object]:
    """Return the letters of these points, by what words call them: ``way_0``, ``way_1``."""
    return {f"way_{i}": letter for i, (letter, _) in enumerate(zip(_LETTERS, way_of(acts), strict=False))}


def lettered_way(solved: Solved, acts: Sequence[Act]) -> list[PointLetter]:
    """Return the points over which the lines of a step lead, with their letters, and where they lie on the sheet."""
    result = []
    for letter, name in zip(_LETTERS, way_of(acts), strict=False):
        x, y = solved.board.points[name].xy
        across, up = (solved.prepared.tick(round_to(mm, solved.prepared.sheet.division_mm)) for mm in (x, y))
        result.append(PointLetter(at=(x, y), text=letter, across=across, up=up))
    return result


def lettered(solved: Solved, acts: Sequence[Act]) -> list[PointLetter]:
    """Return the points of a step with their letters; none where words can tell them."""
    if not has_letters(acts):
        return []
    return [_lettered(solved, letter, mark) for letter, mark in zip(_LETTERS, marks_of(acts), strict=False)]


def loops_of(acts: Sequence[Act]) -> list[list[int]]:
    """Return the numbers of a step's marks, those together that are joined to one outline."""
    marks, following = marks_of(acts), {act.start: act.end for act in acts if isinstance(act, Rule)}
    loops: list[list[int]] = [[]]
    for i, mark in enumerate(marks):
        loops[-1].append(i)
        if i + 1 < len(marks) and following.get(mark.makes) != marks[i + 1].makes:
            loops.append([])
    return loops


def letter_words(solved: Solved, acts: Sequence[Act]) -> str:
    """Return by which letters the words name a step's points: ``a to d, and apart from them e to h``."""
    return _spans([loop for loop in loops_of(acts) if loop], _unit(solved, marks_of(acts)))


def _unit(solved: Solved, marks: Sequence[Mark]) -> str:
    """Return in which unit the figures of marks are read off the picture; empty for counted light lines."""
    return f"in {solved.prepared.tick_unit} " if any(isinstance(mark, Offset) for mark in marks) else ""


def _spans(loops: Sequence[Sequence[int]], unit: str) -> str:
    """Return the letters of some points by number, those together that are joined, and where they are read off."""
    spans = [(_LETTERS[loop[0]], _LETTERS[loop[-1]]) for loop in loops]
    said = [first if first == last else f"{first} to {last}" for first, last in spans]
    parted = ", " if unit or len(said) > 1 else " "
    return f"{', and apart from them '.join(said)}{parted}{unit}on the picture"


def pairs_words(acts: Sequence[Act]) -> str:
    """Return between which light lines the forms of a step lie, counted along: ``3 and 4``; else the picture says."""
    counted = (act.counted for act in acts if isinstance(act, Cross) and act.counted is not None)
    marks = [(along or 0, up or 0) for along, up in counted]
    forms = [marks[i : i + 4] for i in range(0, len(marks), 4)]
    along, up = ({(min(of), max(of)) for form in forms if (of := [c[i] for c in form])} for i in (0, 1))
    if 2 * len(along) >= MOST_IN_WORDS or len(up) > 1:  # how many lines they are is said as well
        return "that the picture numbers"
    return ", ".join(f"{first} and {last}" for first, last in sorted(along))


def is_by_joins(template: str) -> bool:
    """Tell whether words say by letters which points are joined, two by two."""
    return "{joins}" in template


def lettered_joins(solved: Solved, acts: Sequence[Act]) -> list[PointLetter]:
    """Return the points that a step marks and joins two by two, with their letters."""
    return [_lettered(solved, letter, mark) for letter, mark in zip(_LETTERS, marks_of(acts), strict=False)]


def joins_words(acts: Sequence[Act]) -> str:
    """Return which points of a step are joined two by two: ``a to b and c to d on the picture``."""
    called = {mark.makes: letter for mark, letter in zip(marks_of(acts), _LETTERS, strict=False)}
    joined = [f"{called[act.start]} to {called[act.end]}" for act in acts if isinstance(act, Rule)]
    return f"{listed(joined)} on the picture"


def is_by_path(template: str) -> bool:
    """Tell whether words name the corners over which the edges of a step run, those that are there too."""
    return "{path}" in template


def paths_of(acts: Sequence[Act]) -> list[list[str]]:
    """Return the points over which the edges of a step run, by full name, those of a run together in order."""
    following = {act.start: act.end for act in acts if isinstance(act, Rule) and act.role == "edge"}
    begins = [start for start in following if start not in following.values()]
    runs = list[list[str]]()
    for begin in (*begins, *following):
        run = list[str]()
        while begin in following:
            run.append(begin)
            begin = following.pop(begin)
        if run:
            runs.append(run if begin == run[0] else [*run, begin])
    return runs


def lettered_path(solved: Solved, acts: Sequence[Act]) -> list[PointLetter]:
    """Return the points over which the edges of a step run, with their letters."""
    marks, points = solved.corner_marks, [point for run in paths_of(acts) for point in run]
    return [_lettered(solved, letter, marks[name]) for letter, name in zip(_LETTERS, points, strict=False)]


def path_words(solved: Solved, acts: Sequence[Act]) -> str:
    """Return by which letters words name the points over which the edges of a step run: ``a to d on the picture``."""
    ends, spans, runs = 0, list[range](), paths_of(acts)
    for run in runs:
        spans.append(range(ends, ends + len(run)))
        ends += len(run)
    return _spans(spans, _unit(solved, [solved.corner_marks[name] for run in runs for name in run]))


def _lettered(solved: Solved, letter: str, mark: Mark) -> PointLetter:
    across, up = figures(solved, mark)
    return PointLetter(at=solved.board.points[mark.makes].xy, text=letter, across=across, up=up)
