"""Which values may the sentence of a step name? They are read off its moves."""

from collections.abc import Sequence

from orthopsis.core.construct.moves import (
    Act,
    Cross,
    Curve,
    Divide,
    Measure,
    MeasureAlong,
    MeasureAside,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    ShareAlong,
    Shift,
    Side,
    Slide,
)
from orthopsis.core.construct.steps import Breath
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.telling.face_values import face_values, upright_words
from orthopsis.core.telling.strokes import Strokes
from orthopsis.core.things.parameters import Length
from orthopsis.core.view.aim import AimRole
from orthopsis.core.wording.names import corner_words, part_words, point_on
from orthopsis.core.wording.vocabulary import counted, listed


def step_values(solved: Solved, breath: Breath, strokes: Strokes) -> dict[str, object]:
    """Return the values of a step by the names that its templates use.

    Args:
        strokes: the lines of the sheet.
    """
    prepared = solved.prepared
    acts = [move.act for move in breath.moves]
    drawn = [act for act in acts if isinstance(act, RuleToPoint | Rule | Run | Slide) and act.role != "unseen"]
    noun = prepared.wording.term("guide line") if breath.phase == "guides" else "line"
    rules = [act.makes for act in drawn if isinstance(act, Rule)]
    curves = [act.makes for act in acts if isinstance(act, Curve) and act.role != "unseen"]
    rule_count, count = strokes.count(rules), strokes.count(act.makes for act in drawn)
    values: dict[str, object] = {
        **_own_lengths(solved, breath),
        "shape_count": rule_count + len(curves),
        "shape_lines": _shape_lines(rule_count, len(curves)),
        "curves": counted(sum(isinstance(act, Curve) for act in acts), "curve"),
        "rules": counted(rule_count, "line"),
        "rule_count": rule_count,
        "ticks": listed(_ticks(solved, acts)),
        "tick_start": _tick_start(solved, acts),
        "thing": part_words(breath.part, breath.thing),
        "count": count,
        "lines": counted(count, noun),
        "corners": listed([corner_words(act.start) for act in drawn if isinstance(act, RuleToPoint)]),
        "upright": _upright(solved, breath),
        "slope_point": _own_point(solved, acts),
        "start": _start(solved, breath),
        "offsets": _offsets(solved, acts),
        "crossings": _crossings(acts),
        "rows": _rows(acts),
        "each": "each " if count > 1 else "",
        "profile_corner": _profile_corner(solved, breath),
        "marks": _curve_marks(solved, acts),
        **_marks_on_line(solved, acts),
        "length_marks": listed([prepared.length(mm) for mm in _laid_off(acts)]),
        **face_values(solved, breath),
        **_in_line(solved, breath),
        "level": _level(acts),
        "first": _level([act for act in acts if isinstance(act, MeasureAlong)]),
    }
    for act in acts:
        values |= _of_act(solved, act)
    return values | (_of_setup(solved, breath) if not breath.thing else {})


def _own_lengths(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return the measured lengths of a thing by the names of their parameters."""
    thing = solved.prepared.thing(breath.thing)
    lengths = [p for p in thing.kind.parameters if isinstance(p, Length)] if thing is not None else []
    return {p.name: solved.prepared.length(thing.values.mm(p.name)) for p in lengths if thing is not None}


def _own_point(solved: Solved, acts: Sequence[Act]) -> str:
    """Return how the thing's own point is called to which a line of this step runs; empty if there is none."""
    aims = (solved.prepared.aims[act.point] for act in acts if isinstance(act, RuleToPoint))
    own = next((aim for aim in aims if aim.role in ("slope_above", "slope_below")), None)
    return solved.prepared.point_words(own.name) if own is not None else ""


def _shape_lines(straight: int, curves: int) -> str:
    """Return how many straight lines and how many curves an outline has."""
    said = [counted(straight, "line")] if straight else []
    return listed(said + ([counted(curves, "curve")] if curves else []))


def _marks_on_line(solved: Solved, acts: Sequence[Act]) -> dict[str, object]:
    """Return how many equal steps are laid off, how far apart, and to which side; nothing where none are."""
    steps = [act.across_mm for act in acts if isinstance(act, Shift)]
    if not steps:
        return {}
    return {
        "mark_count": counted(len(steps), "mark"),
        "mark_step": solved.prepared.length(min(map(abs, steps))),
        "mark_side": "right" if steps[0] > 0 else "left",
    }


def _laid_off(acts: Sequence[Act]) -> list[float]:
    """Return the different lengths that are laid off on a level line, mm, the shortest first."""
    return sorted({round(abs(act.across_mm), 6) for act in acts if isinstance(act, Shift)})


def _tick_start(solved: Solved, acts: list[Act]) -> str:
    """Return from which end of its line a tick is measured."""
    line = next((act.line for act in acts if isinstance(act, MeasureAlong)), "")
    if not line:
        return "nearer end"
    start, end = solved.board.lines[line].start, solved.board.lines[line].end
    if abs(end.x - start.x) > abs(end.y - start.y):
        return "left end" if start.x < end.x else "right end"
    return "foot" if start.y < end.y else "top"


def _ticks(solved: Solved, acts: list[Act]) -> list[str]:
    """Return where ticks are made along an edge: measured, or as parts of it."""
    texts = [solved.prepared.length(act.length_mm) for act in acts if isinstance(act, MeasureAlong)]
    return texts + [f"{act.share:.0%}" for act in acts if isinstance(act, Divide)]


def _offsets(solved: Solved, acts: Sequence[Act]) -> str:
    """Return the corners that are measured from another place, across and up, in the class's units, loop by loop."""
    marks = [act for act in acts if isinstance(act, Offset)]
    texts = [f"{solved.prepared.figure(act.across_mm)} {solved.prepared.figure(act.up_mm)}" for act in marks]
    return _by_loop(acts, list(zip((act.makes for act in marks), texts, strict=True)))


def _rows(acts: Sequence[Act]) -> str:
    """Return which light lines a diagonal cuts where places along are found: ``light lines 1 and 3``."""
    numbers = [str(act.counted[1]) for act in acts if isinstance(act, Cross) and act.counted is not None]
    return f"light {'line' if len(numbers) == 1 else 'lines'} {listed(numbers)}"


def _crossings(acts: Sequence[Act]) -> str:
    """Return at which light lines corners lie, counted from the nearest edge and from the foot, loop by loop."""
    marks = [act for act in acts if isinstance(act, Cross) and act.counted is not None]
    return _by_loop(acts, [(act.makes, "{} {}".format(*act.counted or ())) for act in marks])


def _by_loop(acts: Sequence[Act], marks: Sequence[tuple[str, str]]) -> str:
    """Return what is said of the corners of outlines, each outline on its own.

    Args:
        marks: the full name of each corner, and what is said of it, in order.
    """
    following = {act.start: act.end for act in acts if isinstance(act, Rule)}
    loops: list[list[str]] = [[]]
    for i, (makes, text) in enumerate(marks):
        loops[-1].append(text)
        if i + 1 < len(marks) and following.get(makes) != marks[i + 1][0]:
            loops.append([])
    return "; then on its own ".join("; ".join(loop) for loop in loops)


def _profile_corner(solved: Solved, breath: Breath) -> str:
    """Return along which corner's guide line a depth is cut: where the corner lies on the front."""
    line = next((a.line for m in breath.moves if isinstance(a := m.act, MeasureAlong | ShareAlong)), "")
    if not line:
        return ""
    corner = solved.board.lines[line].turns_to
    marked = (m for m in solved.moves if isinstance(m.act, Offset) and m.act.makes == corner)
    move = next(marked, None)
    if move is None or not isinstance(move.act, Offset):
        return f"corner {corner_words(line)}"
    of = f" of {part_words(move.part, breath.thing)}" if move.part else ""
    across, up = solved.prepared.figure(move.act.across_mm), solved.prepared.figure(move.act.up_mm)
    return f"the corner{of} at {across} across, {up} up"


def _curve_marks(solved: Solved, acts: Sequence[Act]) -> str:
    """Return how far from its corner each curve begins: level and upright, on a front that is drawn true."""
    if not any(isinstance(act, Offset) for act in acts):
        return ""
    points, found = solved.board.points, []
    for act in acts:
        if isinstance(act, Curve):
            pole, ends = points[act.pole], (points[act.start], points[act.end])
            level, upright = (max(abs(getattr(end, axis) - getattr(pole, axis)) for end in ends) for axis in "xy")
            found.append(f"{solved.prepared.length(level)} across and {solved.prepared.length(upright)} up or down")
    different = list(dict.fromkeys(found))
    return f", {different[0]} from it" if len(different) == 1 else f", from it {listed(different)}, in this order"


def _of_act(solved: Solved, act: object) -> dict[str, object]:
    length = solved.prepared.length
    match act:
        case Measure():
            return {"left": length(act.from_left_mm), "bottom": length(act.from_bottom_mm)}
        case Side():
            return {"width" if act.runs == "level" else "height": length(act.length_mm)}
        case MeasureAlong():
            text = length(abs(act.length_mm))
            return {"depth": text, "length": text, "corner": corner_words(act.line)}
        case MeasureAside():
            return {"length": length(abs(act.across_mm))}
        case Shift():
            return {"length": length(abs(act.across_mm))}
        case ShareAlong():
            return {"corner": corner_words(act.line)}
        case RuleToPoint() if act.role == "construction":
            return _cube(act, solved.prepared.aims[act.point].role)
        case _:
            return {}


def _cube(act: RuleToPoint, role: AimRole) -> dict[str, object]:
    """Return which corner is found with which distance point; nothing if the line runs to another point."""
    side, _, aid = role.partition("_")
    if aid != "distance":
        return {}
    beside = corner_words(act.start)
    height, _, across = beside.partition(" ")
    opposite = {"left": "right", "right": "left"}[across]
    return {"side": side, "beside": beside, "corner": f"{height} {opposite}"}


def _level(acts: Sequence[Act]) -> str:
    """Return at which end of a block's uprights the first act works: the top or the foot."""
    names = [str(getattr(act, field, "")) for act in acts[:1] for field in ("start", "makes")]
    return "top" if any(name.endswith((".top", ".top.left", ".top.right")) for name in names) else "foot"


def _start(solved: Solved, breath: Breath) -> str:
    """Return where a thing begins: measured from the paper's edges, or on another thing."""
    thing, length = solved.prepared.thing(breath.thing), solved.prepared.length
    if thing is None:
        return ""
    anchor = thing.setting.anchor
    if thing.kind.hangs:
        return ""
    begin = next((m.act for m in breath.moves if isinstance(m.act, Measure)), None)
    first = Point(begin.from_left_mm, begin.from_bottom_mm) if begin is not None else thing.values.first
    if anchor is None or begin is not None:
        return f"{length(first.x)} from the left, {length(first.y)} up"
    if anchor.point:
        corner = point_on(anchor.point.removeprefix(f"{anchor.thing}."))
        return f"at the {corner} of {anchor.thing}"
    return f"on the top edge of {anchor.thing}, {length(first.x)} from the left edge of the sheet"


def _in_line(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return with what a thing is in line, and toward which point; nothing if it is not."""
    thing = solved.prepared.thing(breath.thing)
    anchor = thing.setting.anchor if thing is not None else None
    if thing is None or anchor is None or anchor.in_line is None:
        return {}
    aim, up = solved.prepared.point_words(anchor.in_line.runs), thing.setting.frame.way("up")
    return {
        "other": anchor.thing,
        "aim": aim,
        "aim_line": upright_words(solved.prepared, aim, up),
        "gap": solved.prepared.length(anchor.in_line.gap_mm),
        "marks_count": counted(sum(isinstance(move.act, ShareAlong) for move in breath.moves), "mark"),
    }


def _upright(solved: Solved, breath: Breath) -> str:
    """Return how the uprights of a thing run: upright, or toward the third point."""
    wording = solved.prepared.wording
    thing = solved.prepared.thing(breath.thing)
    if thing is None or thing.setting.frame.way("up").goal.is_ideal:
        return wording.term("upright")
    return f"toward the {wording.term('third point')}"


def _of_setup(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return the places of the points that a setup step marks."""
    prepared, length = solved.prepared, solved.prepared.length
    sheet, level = prepared.sheet, prepared.eye_level_mm
    values: dict[str, object] = {"height": length(level), "margin": length(prepared.exercise.sheet.margin_mm)}
    marked = {
        act.makes: solved.board.points[act.makes] for m in breath.moves if isinstance(act := m.act, Shift | Measure)
    }
    values["across"] = listed([length(p.x) for p in marked.values()])
    values["measuring"] = listed([length(round(p.x)) for p in marked.values()])
    for name, point in marked.items():
        role = prepared.aims[name].role if name in prepared.aims else ""
        if role in ("left_distance", "right_distance"):
            values["distance"] = length(prepared.frame(prepared.aims[name].owner).distance_mm)
        elif role in ("left", "right"):
            values |= {role: length(point.x), f"{role}_words": _along_words(solved, point.x)}
        elif role == "third":
            over = point.y - sheet.height_mm if point.y > level else -point.y
            values |= {
                "third_side": "above" if point.y > level else "below",
                "third_left": length(point.x),
                "third_bottom": length(point.y),
                "third_beyond": length(max(over, 0.0)),
            }
    return values


def _along_words(solved: Solved, x: float) -> str:
    """Return where a point lies along the eye level: in from the left edge, or beyond an edge."""
    length, width = solved.prepared.length, solved.prepared.sheet.width_mm
    if x < 0:
        return f"{length(-x)} beyond the left edge"
    if x > width:
        return f"{length(x - width)} beyond the right edge"
    return f"{length(x)} from the left edge"
