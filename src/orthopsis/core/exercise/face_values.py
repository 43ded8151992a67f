"""Which values may the sentence of a step name that works on a face of another thing?"""

from orthopsis.core.construct.moves import MeasureAlong, ShareAlong
from orthopsis.core.construct.panel import Panel
from orthopsis.core.construct.steps import Breath
from orthopsis.core.exercise.picture import Solved
from orthopsis.core.wording.vocabulary import counted


def face_values(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return what is to be said of the face on which a thing lies; nothing if it lies on none."""
    thing = solved.prepared.thing(breath.thing)
    anchor = thing.setting.anchor if thing is not None else None
    if anchor is None or anchor.panel is None:
        return {}
    panel, prepared, acts = anchor.panel, solved.prepared, [move.act for move in breath.moves]
    measured = next((act.line for act in acts if isinstance(act, MeasureAlong)), "")
    is_true = panel.along.goal.is_ideal
    return {
        "other": anchor.thing,
        "where": f"{breath.part} of {anchor.thing}" if breath.part else f"the {panel.says} of {anchor.thing}",
        "face": panel.says,
        "edge": panel.first_says,
        "first_end": _first_end(panel),
        "along": prepared.wording.term("level") if is_true else f"to the {prepared.point_words(panel.along.family)}",
        "upward": f"like the {panel.first_says}",
        "spaced": "equally far apart" if is_true else "closer together with distance",
        "bay_end": "near" if measured == panel.bottom else "far",
        "marks_count": counted(sum(isinstance(act, ShareAlong) for act in acts), "mark"),
    }


def _first_end(panel: Panel) -> str:
    """Return what the end of its first edge is called from which places are counted."""
    low, _, _, high = panel.page
    if abs(high.x - low.x) <= abs(high.y - low.y):
        return "foot" if low.y < high.y else "top"
    return "left end" if low.x < high.x else "right end"
