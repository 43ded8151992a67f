"""Which values may the sentence of a step name that works on a face: of another thing, or of the thing's own block?"""

from collections.abc import Sequence

from orthopsis.core.construct.moves import Act, MeasureAlong, ShareAlong, Side
from orthopsis.core.construct.panel import Panel
from orthopsis.core.construct.steps import Breath
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.vocabulary import counted


def face_values(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return what is to be said of the face on which a thing lies or from which it is cut; nothing without one."""
    thing = solved.prepared.thing(breath.thing)
    if thing is None:
        return {}
    name, panel = _face(thing)
    if panel is None:
        return {}
    prepared, acts = solved.prepared, [move.act for move in breath.moves]
    measured = next((act.line for act in acts if isinstance(act, MeasureAlong)), "")
    is_true = panel.along.goal.is_ideal
    return {
        "other": name,
        "where": f"{breath.part} of {name}" if breath.part else f"the {breath.face or panel.says} of {name}",
        "face": breath.face or panel.says,
        "edge": panel.first_says,
        "first_end": _first_end(panel),
        "last_end": _OTHER_END[_first_end(panel)],
        "low_corner": _low_corner(panel),
        "along": toward(prepared, panel.along),
        "outward": _straight(acts) or toward(prepared, panel.out),
        **_over_point(prepared, panel),
        "up_way": toward(prepared, panel.up),
        "pitch_way": toward(prepared, panel.pitch.way) if panel.pitch is not None else "",
        "upward": f"like the {panel.first_says}",
        "spaced": "equally far apart" if is_true else "closer together with distance",
        "behind": _behind(panel, acts),
        "bay_end": "near" if measured == panel.bottom else "far",
        "marks_count": counted(sum(isinstance(act, ShareAlong) for act in acts), "mark"),
    }


def _behind(panel: Panel, acts: Sequence[Act]) -> str:
    """Return how the corner behind the face is called from which a line starts, ``lower right``; empty without one."""
    if panel.back is None:
        return ""
    starts, pages = {start for act in acts if isinstance(start := getattr(act, "start", None), str)}, panel.back.page
    at = next((at for name, at in panel.back.points.items() if name in starts), None)
    if at is None:
        return ""
    middle_x, middle_y = sum(p.x for p in pages) / len(pages), sum(p.y for p in pages) / len(pages)
    return f"{'upper' if at.y > middle_y else 'lower'} {'right' if at.x > middle_x else 'left'}"


def _over_point(prepared: Prepared, panel: Panel) -> dict[str, object]:
    """Return how a receding wall's point is called, and the line through it on which the points of slopes lie."""
    if panel.along.goal.is_ideal:
        return {}
    point = prepared.point_words(panel.along.family)
    return {"wall_point": point, "wall_line": upright_words(prepared, point, panel.up)}


def upright_words(prepared: Prepared, point: str, up: Way) -> str:
    """Return how the line through a point is called that runs as uprights do: there the points of slopes lie."""
    if up.goal.is_ideal:
        return f"the {prepared.wording.term('upright')} through the {point}"
    return f"the line from the {point} to the {prepared.point_words(up.family)}"


def toward(prepared: Prepared, way: Way) -> str:
    """Return how a line runs in a direction: level, or to a point."""
    if way.goal.is_ideal:
        return prepared.wording.term("level" if way.family == "level" else "upright")
    return f"to the {prepared.point_words(way.family)}"


_STRAIGHT = {"upright": ("straight up", "straight down"), "level": ("level to the right", "level to the left")}


def _straight(acts: Sequence[Act]) -> str:
    """Return which way a line is measured off that runs upright or level; empty where none is."""
    side = next((act for act in acts if isinstance(act, Side)), None)
    return "" if side is None else _STRAIGHT[side.runs][side.length_mm < 0]


def _face(thing: Placed) -> tuple[str, Panel | None]:
    """Return whose face it is on which a thing lies or from which it is cut, and the face."""
    anchor = thing.setting.anchor
    if anchor is not None and anchor.panel is not None:
        return anchor.thing, anchor.panel
    return thing.values.name, thing.standing.cut_from


def _low_corner(panel: Panel) -> str:
    """Return how the low corner of a level face is called: the nearest one, or which of the two in front."""
    low, far_low, _, high = panel.page
    beside = next((at for at, way in ((far_low, panel.along), (high, panel.up)) if way.goal.is_ideal), None)
    if beside is None:
        return "nearest corner"
    return f"{'left' if low.x < beside.x else 'right'} front corner"


_OTHER_END = {"foot": "top", "top": "foot", "left end": "right end", "right end": "left end"}


def _first_end(panel: Panel) -> str:
    """Return what the end of its first edge is called from which places are counted."""
    low, _, _, high = panel.page
    if abs(high.x - low.x) <= abs(high.y - low.y):
        return "foot" if low.y < high.y else "top"
    return "left end" if low.x < high.x else "right end"
