"""Which values may the sentence of a step name that come from the thing it builds: its lengths, place, points?"""

from collections.abc import Sequence

from orthopsis.core.construct.moves import Act, Measure, RuleToPoint, ShareAlong
from orthopsis.core.construct.steps import Breath
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.telling.face_values import toward, upright_words
from orthopsis.core.things.answers import Called, Spoken
from orthopsis.core.things.parameters import Choice, Length
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.vocabulary import counted


def own_lengths(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return the measured lengths of a thing by the names of their parameters."""
    thing = solved.prepared.thing(breath.thing)
    lengths = [p for p in thing.kind.parameters if isinstance(p, Length)] if thing is not None else []
    return {p.name: solved.prepared.laid(thing.values.mm(p.name)) for p in lengths if thing is not None}


def choice_words(solved: Solved, breath: Breath, name: str) -> str:
    """Return what is chosen for a parameter of a thing, as it is read; empty where there is no such choice."""
    thing = solved.prepared.thing(breath.thing)
    choices = [p for p in thing.kind.parameters if isinstance(p, Choice) and p.name == name] if thing else []
    return solved.prepared.wording.words(choices[0].options[thing.values.word(name)]) if choices and thing else ""


def own_words(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return what a thing says itself that its steps name: directions, lengths, words."""
    thing, prepared = solved.prepared.thing(breath.thing), solved.prepared
    spoken = thing.standing.spoken if thing is not None else {}
    return {name: _said(prepared, value) for name, value in spoken.items()}


def _said(prepared: Prepared, value: Spoken) -> str:
    if isinstance(value, Way):
        return toward(prepared, value)
    if isinstance(value, Called):
        return prepared.point_words(value.aim)
    return value if isinstance(value, str) else prepared.laid(value)


def high_words(solved: Solved, breath: Breath) -> str:
    """Return where a roof is highest that is so at one edge: ``at the back on the left``."""
    thing = solved.prepared.thing(breath.thing)
    is_front = thing is not None and thing.setting.frame.kind == "one_point"
    return choice_words(solved, breath, "high" if is_front else "over")


def start_words(solved: Solved, breath: Breath) -> str:
    """Return where a thing begins: measured from the paper's edges, or on another thing."""
    thing, laid = solved.prepared.thing(breath.thing), solved.prepared.laid
    if thing is None:
        return ""
    anchor = thing.setting.anchor
    if thing.kind.hangs:
        return ""
    begin = next((m.act for m in breath.moves if isinstance(m.act, Measure)), None)
    first = Point(begin.from_left_mm, begin.from_bottom_mm) if begin is not None else thing.values.first
    if anchor is None or begin is not None:
        return f"{laid(first.x)} from the left, {laid(first.y)} up"
    if anchor.point:
        return f"at the {anchor.says} of {anchor.thing}"
    return f"on the top edge of {anchor.thing}, {laid(first.x)} from the left edge of the sheet"


def in_line(solved: Solved, breath: Breath) -> dict[str, object]:
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
        "holds": thing.standing.corner_words.get(f"front.{anchor.in_line.holds or 'bottom_left'}", ""),
        "gap": solved.prepared.laid(anchor.in_line.gap_mm),
        "marks_count": counted(sum(isinstance(move.act, ShareAlong) for move in breath.moves), "mark"),
    }


def upright(solved: Solved, breath: Breath) -> str:
    """Return how the uprights of a thing run: upright, or toward the third point."""
    wording = solved.prepared.wording
    thing = solved.prepared.thing(breath.thing)
    if thing is None or thing.setting.frame.way("up").goal.is_ideal:
        return wording.term("upright")
    return f"toward the {wording.term('third point')}"


def goal_words(solved: Solved, breath: Breath) -> str:
    """Return how the class calls the point to which all of a thing runs; empty if it has none."""
    thing = solved.prepared.thing(breath.thing)
    lines = [m.act for m in solved.moves if m.thing == breath.thing and isinstance(m.act, RuleToPoint)]
    return solved.prepared.point_words(lines[0].point) if thing is not None and lines else ""


def view_point(solved: Solved, breath: Breath) -> str:
    """Return how the class calls the point of a view in one-point: whose, where the sheet has several views."""
    prepared = solved.prepared
    thing = prepared.thing(breath.thing)
    view = thing.setting.frame.name if thing is not None else breath.view
    centre = next((name for name, aim in prepared.aims.items() if (aim.role, aim.owner) == ("centre", view)), "")
    return prepared.point_words(centre) if centre else prepared.wording.term("vanishing point")


def own_point(solved: Solved, acts: Sequence[Act]) -> str:
    """Return how the thing's own point is called to which a line of this step runs; empty if there is none."""
    aims = (solved.prepared.aims[act.point] for act in acts if isinstance(act, RuleToPoint))
    own = next((aim for aim in aims if aim.role in ("slope_above", "slope_below")), None)
    return solved.prepared.point_words(own.name) if own is not None else ""


def run_to(solved: Solved, families: Sequence[str]) -> str:
    """Return how the class calls the point to which the last of some lines run; empty if there is none."""
    return solved.prepared.point_words(families[-1]) if families else ""
