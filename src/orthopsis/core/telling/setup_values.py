"""Which values may the sentence of a step name that sets the sheet up: where the eye level and the points lie."""

from orthopsis.core.construct.moves import Measure, Offset, Shift
from orthopsis.core.construct.steps import Breath
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.wording.setup_steps import LIGHT_IS
from orthopsis.core.wording.vocabulary import listed


def of_setup(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return the places of the points that a setup step marks."""
    prepared, laid = solved.prepared, solved.prepared.laid
    sheet, level = prepared.sheet, prepared.eye_level_mm
    values: dict[str, object] = {"height": laid(level), "margin": laid(prepared.exercise.sheet.margin_mm)}
    marked = {
        act.makes: solved.board.points[act.makes]
        for m in breath.moves
        if isinstance(act := m.act, Shift | Measure | Offset)
    }
    values["across"] = listed([laid(p.x) for p in marked.values()])
    values["measuring"] = listed([laid(round(p.x)) for p in marked.values()])
    for name, point in marked.items():
        role = prepared.aims[name].role if name in prepared.aims else ""
        if role in ("left_distance", "right_distance"):
            values["distance"] = laid(prepared.frame(prepared.aims[name].owner).distance_mm)
        elif role in ("left", "right"):
            values |= {role: laid(point.x), f"{role}_words": _along_words(solved, point.x)}
        elif role == "shadow":
            values |= {"shadow_at": laid(point.x), "shadow_words": _along_words(solved, point.x)}
        elif role == "lamp_foot":
            values |= {"foot_at": laid(point.x), "foot_up": laid(point.y)}
        elif role == "lamp":
            values["lamp_over"] = laid(prepared.exercise.sun.height_mm + prepared.exercise.sun.foot_mm)
        elif role == "light":
            values |= {
                "light_over": laid(abs(point.y - level)),
                "light_side": "above" if point.y > level else "below",
                "sun_under": "under it" if point.y > level else "over it",
                "light_is": LIGHT_IS[prepared.exercise.sun.stands],
            }
        elif role == "third":
            over = point.y - sheet.height_mm if point.y > level else -point.y
            values |= {
                "third_side": "above" if point.y > level else "below",
                "third_left": laid(point.x),
                "third_bottom": laid(point.y),
                "third_beyond": laid(max(over, 0.0)),
            }
    return values


def _along_words(solved: Solved, x: float) -> str:
    """Return where a point lies along the eye level: in from the left edge, or beyond an edge."""
    laid, width = solved.prepared.laid, solved.prepared.sheet.width_mm
    if x < 0:
        return f"{laid(-x)} beyond the left edge"
    if x > width:
        return f"{laid(x - width)} beyond the right edge"
    return f"{laid(x)} from the left edge"
