"""How does a hand repeat a block: the lines to the point, the feet, one copy told fully, the others like it?"""

from orthopsis.core.construct.moves import (
    EYE_LEVEL,
    Act,
    Cross,
    Divide,
    MeasureAlong,
    Move,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    ShareAlong,
    Shift,
)
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.things.row.copies import BySlant, Corner
from orthopsis.core.things.row.measured import MeasuredCopies

HALF = 0.5


def recipe(row: MeasuredCopies) -> list[Move]:
    """Return the hand's moves."""
    moves = _lines(row) + _feet(row) + _carried(row) + _slants(row)
    for number in row.numbers:
        told = "repeat.copy" if number == row.numbers[0] else "repeat.more"
        told += "_deep" if row.slants else ""
        moves += [row.values.move("back", told, act) for act in _copy(row, number)]
    return moves


def _corner(row: MeasuredCopies, number: int, corner: Corner) -> str:
    return row.values.full(f"{row.part(number)}.{corner}")


def _guide(row: MeasuredCopies, corner: Corner) -> str:
    """Return the full name of the line from a corner of the first one to the row's point."""
    return row.values.full(f"guide.{row.lines[corner]}")


def _lines(row: MeasuredCopies) -> list[Move]:
    """Rule from foot and top of the first one to the point."""
    host, goal = row.host.values.full, row.line.runs
    acts = [RuleToPoint(_guide(row, corner), host(row.lines[corner]), goal) for corner in (row.foot, row.top)]
    return [row.values.move("guides", "repeat.lines", act) for act in acts]


def _feet(row: MeasuredCopies) -> list[Move]:
    """Find the foot and the top of each copy, one after the other."""
    if row.is_measured:
        return _by_measuring(row)
    return _by_eye(row) if row.is_by_eye else _by_diagonal(row)


def _upright(row: MeasuredCopies, number: int) -> Run:
    up = row.setting.frame.way("up").family
    foot, top = (_corner(row, number, corner) for corner in (row.foot, row.top))
    return Run(row.values.full(f"construction.upright.{number}"), top, foot, up, _guide(row, row.top))


def _by_eye(row: MeasuredCopies) -> list[Move]:
    """Mark where they stand by eye: the marks come where they belong; how near a hand comes to it is not judged."""
    acts = list[Act]()
    for number in row.numbers:
        share = row.share(number)
        acts += [ShareAlong(_corner(row, number, row.foot), _guide(row, row.foot), share), _upright(row, number)]
    return [row.values.move("depth", "repeat.by_eye", act) for act in acts]


def _first_space(row: MeasuredCopies) -> list[Act]:
    """Measure where the second one stands."""
    first = row.numbers[0]
    return [MeasureAlong(_corner(row, first, row.foot), _guide(row, row.foot), row.line.gap_mm), _upright(row, first)]


def _by_measuring(row: MeasuredCopies) -> list[Move]:
    """Lay equal marks off on a level line; the point that carries the first one over carries all of them."""
    n, ground, (first, *others) = row.values.full, _guide(row, row.foot), row.numbers
    told: list[tuple[str, Act]] = [("repeat.first", act) for act in _first_space(row)]
    marks = {number: n(f"measure.mark.{number}") for number in row.numbers}
    told += [
        ("repeat.marks", Shift(mark, row.anchor.point, (number - 1) * row.measuring.mark_mm))
        for number, mark in marks.items()
    ]
    through, laid, point = n("construction.carried"), n("construction.laid"), n("carried")
    told += [
        ("repeat.carried", Rule(laid, marks[first], _corner(row, first, row.foot), "free", "unseen")),
        ("repeat.carried", Cross(point, laid, EYE_LEVEL)),
        ("repeat.carried", Rule(through, marks[first], point, "free", "construction")),
    ]
    for number in others:
        line = n(f"construction.carried.{number}")
        told += [
            ("repeat.measured", RuleToPoint(line, marks[number], point, "construction")),
            ("repeat.measured", Cross(_corner(row, number, row.foot), line, ground)),
            ("repeat.measured", _upright(row, number)),
        ]
    return [row.values.move("depth", breath, act) for breath, act in told]


def _by_diagonal(row: MeasuredCopies) -> list[Move]:
    """Measure the first space; the line from a top through the middle of the next upright ends at the next foot."""
    n, host, ground = row.values.full, row.host.values.full, _guide(row, row.foot)
    middle, half = n("construction.middle"), n("measure.middle")
    others = row.numbers[1:]
    told: list[tuple[str, Act]] = [("repeat.first", act) for act in _first_space(row)]
    if others:
        told.append(("repeat.middle", _half(row, half)))
        told.append(("repeat.middle", RuleToPoint(middle, half, row.line.runs, "construction")))
    before = host(row.top)
    for number, following in zip(row.numbers, others, strict=False):
        mid, bay, whole = n(f"measure.mid.{number}"), n(f"construction.bay.{number}"), n(f"construction.space.{number}")
        foot = _corner(row, following, row.foot)
        told += [
            ("repeat.feet", Cross(mid, _upright(row, number).makes, middle)),
            ("repeat.feet", Rule(bay, before, mid, "free", "unseen")),
            ("repeat.feet", Cross(foot, bay, ground)),
            ("repeat.feet", Rule(whole, before, foot, "free", "construction")),
            ("repeat.feet", _upright(row, following)),
        ]
        before = _corner(row, number, row.top)
    return [row.values.move("depth", breath, act) for breath, act in told]


def _half(row: MeasuredCopies, makes: str) -> Act:
    """Return the act that marks the true middle of the first one's upright."""
    up, foot, top = row.setting.frame.way("up"), row.anchor.point, row.line.top
    if up.goal.is_ideal:
        return Offset(makes, foot, 0.0, HALF * distance(row.anchor.at, row.line.at_top))
    return Divide(makes, foot, top, up.family, HALF)


def _carried(row: MeasuredCopies) -> list[Move]:
    """Rule from the other corners to the point, as far as they are needed."""
    host, goal = row.host.values.full, row.line.runs
    there = {_guide(row, corner) for corner in (row.foot, row.top)}
    moves = []
    for found in row.found:
        line = _guide(row, found.corner)
        if line not in there:
            there.add(line)
            rule = RuleToPoint(line, host(row.lines[found.corner]), goal)
            moves.append(row.values.move("guides", "repeat.carry", rule))
    return moves


def _copy(row: MeasuredCopies, number: int) -> list[Act]:
    """Return the acts that draw one copy from its foot and top on."""
    n, acts, drawn = row.values.full, list[Act](), set[str]()
    for found in row.found:
        if isinstance(found, BySlant):
            acts += _deep(row, number, found)
            continue
        drawn.add(found.edge.name)
        start, end = (_corner(row, number, corner) for corner in (found.start, found.corner))
        name = n(f"{row.part(number)}.{found.edge.name}")
        acts.append(Run(name, end, start, found.edge.runs, _guide(row, found.corner)))
    reached = {row.foot, row.top, *(found.corner for found in row.found)}
    for edge in row.edges:
        if edge.name not in drawn and {edge.start, edge.end} <= reached and not _is_there(row, edge.start, edge.end):
            start, end = (_corner(row, number, corner) for corner in (edge.start, edge.end))
            acts.append(Rule(n(f"{row.part(number)}.{edge.name}"), start, end, edge.runs))
    return acts


def _is_there(row: MeasuredCopies, start: Corner, end: Corner) -> bool:
    """Tell whether an edge is there already: the first upright, or a part of a line to the row's point."""
    return {start, end} == {row.foot, row.top} or row.lines[start] == row.lines[end]


def _slants(row: MeasuredCopies) -> list[Move]:
    """Find the points to which the slanting lines run that say how deep each copy is."""
    n, host, up = row.values.full, row.host.values.full, row.setting.frame.way("up").family
    moves = list[Move]()
    for slant in row.slants.values():
        first, laid = n(f"construction.slant.{slant.name}"), n(f"construction.laid.{slant.name}")
        end = _corner(row, row.numbers[0], slant.end) if slant.is_across_space else host(slant.end)
        told = "repeat.slant" if slant.is_across_space else "repeat.slant_side"
        acts = (
            Rule(first, host(slant.start), end, "free", "construction"),
            Rule(laid, host(slant.start), end, "free", "unseen"),
            Run(n(f"construction.upright.{slant.name}"), n(slant.name), row.line.runs, up, laid, "construction"),
        )
        moves += [row.values.move("depth", told, act) for act in acts]
    return moves


def _deep(row: MeasuredCopies, number: int, found: BySlant) -> list[Act]:
    """Find how deep a copy is: by eye, or by a slanting line, which runs to the same point for all of them."""
    n, end, guide = row.values.full, _corner(row, number, found.corner), _guide(row, found.corner)
    if row.is_by_eye:
        return [ShareAlong(end, guide, row.share_by_eye(number, found.corner))]
    line, point = n(f"construction.slant.{number}.{found.corner}"), n(row.slant(found).name)
    start = _corner(row, number, found.start)
    if found.across_space:
        first = number == row.numbers[0]
        start = row.host.values.full(found.start) if first else _corner(row, number - 1, found.start)
    return [RuleToPoint(line, start, point, "construction", until=guide), Cross(end, line, guide)]
