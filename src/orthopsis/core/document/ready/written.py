"""What ready exercises are written with: things in few words, in the first version of the schema."""

from typing import Any

from orthopsis.core.things.figure.figure import READY as FIGURES
from orthopsis.core.things.outline import on_marks, scaled
from orthopsis.core.things.profile.shapes import READY as OUTLINES

HEAD = {"schema": "orthopsis/exercise/1", "light": "left"}
"""Written in the first version of the schema, in which things are joined to others by name: easier to read."""


def box(name: str, left: float, bottom: float, width: float, height: float, **more: Any) -> dict[str, Any]:
    return {
        "kind": "box",
        "name": name,
        "left": left,
        "bottom": bottom,
        "width": width,
        "height": height,
        **more,
    }


def cube(name: str, left: float, bottom: float, side: float) -> dict[str, Any]:
    return box(name, left, bottom, side, side, depth_by="cube", look="see_through")


def gable(name: str, host: str, face: str, rise: float) -> dict[str, Any]:
    return {"kind": "gable_roof", "name": name, "joined_to": host, "joined_by": f"face_{face}", "rise": rise}


def row(name: str, first: str, way: str, gap: float, count: str, by: str) -> dict[str, Any]:
    goes = {"joined_to": first, "joined_by": way, "gap_mm": gap}
    return {"kind": "row", "name": name, **goes, "count": count, "way": by}


def windows(name: str, face: str, along: str, up: str, host: str = "Net loft", **more: Any) -> dict[str, Any]:
    on = {"joined_to": host, "joined_by": f"face_{face}"}
    return {"kind": "rectangles", "name": name, **on, "along": along, "up": up, **more}


ALONE = {"columns": "1", "rows": "1", "wide": "whole", "tall": "whole"}


def legs(host: str, long: float) -> dict[str, Any]:
    """Return four legs at the corners of the underside of a table's top."""
    four = {"columns": "2", "rows": "2", "wide": "fifth", "tall": "fifth", "spread": "ends"}
    return windows("Legs", "bottom", "0:1:0", "0:1:0", host, **four, relief="out", deep=long)


def measured(mm: float) -> dict[str, Any]:
    return {"depth_by": "measured", "depth": mm}


def block(
    name: str, left: float, bottom: float, height: float, left_mm: float, right_mm: float, **more: Any
) -> dict[str, Any]:
    """Return a box about its nearest edge, its sides measured on the page."""
    sides = {"left_by": "measured", "left_length": left_mm, "right_by": "measured", "right_length": right_mm}
    return {"kind": "box", "name": name, "left": left, "bottom": bottom, "height": height, **sides, **more}


def shape(
    name: str, ready: str, left: float, bottom: float, width: float, height: float, **more: Any
) -> dict[str, Any]:
    """Return a ready shape on a front."""
    outline = on_marks(scaled(OUTLINES[ready], width, height), 1.0)
    return {"kind": "profile", "name": name, "left": left, "bottom": bottom, "outline": outline, **more}


def word(text: str, form: str, left: float, bottom: float, height: float, **more: Any) -> dict[str, Any]:
    return {
        "kind": "letters", "name": text.capitalize(), "text": text, "form": form, "left": left, "bottom": bottom,
        "height": height, **more,
    }  # fmt: skip


def division(name: str, host: str, face: str, **more: Any) -> dict[str, Any]:
    """Return a division of a face of another thing."""
    return {"kind": "division", "name": name, "joined_to": host, "joined_by": f"face_{face}", **more}


def sign(name: str, text: str, face: str, **more: Any) -> dict[str, Any]:
    """Return a sign on a face of the crate."""
    return {"kind": "lettering", "name": name, "text": text, "joined_to": "Crate", "joined_by": f"face_{face}", **more}


INCH = 25.4


def on_top(name: str, kind: str, host: str, **more: Any) -> dict[str, Any]:
    """Return what lies on the whole top of a block: eaves, a roof."""
    return {"kind": kind, "name": name, "joined_to": host, "joined_by": "face_top", **more}


def raised(name: str, host: str, along: str, up: str, rise: float) -> dict[str, Any]:
    """Return a block that is raised from its plan on the top of another one."""
    return on_top(name, "raised_block", host, along=along, up=up, rise=rise)


def hip(name: str, host: str, rise: float, **more: Any) -> dict[str, Any]:
    """Return a hip roof on the top of a block."""
    return on_top(name, "hip_roof", host, rise=rise, **more)


def figure(name: str, outline: str, host: str, face: str, **more: Any) -> dict[str, Any]:
    """Return one of the ready outlines on a face."""
    on = {"joined_to": host, "joined_by": f"face_{face}"}
    return {"kind": "figure", "name": name, "outline": FIGURES[outline], **on, **more}


def carved(name: str, outline: str, host: str, face: str) -> dict[str, Any]:
    """Return what is carved from a block: one of the ready outlines on a wall of it, and all else cut away."""
    return figure(name, outline, host, face, relief="carved")


def road(name: str, left: float, width: float, **more: Any) -> dict[str, Any]:
    """Return a road that begins at the lower edge of the sheet."""
    return {"kind": "road", "name": name, "left": left, "bottom": 0, "width": width, **more}


def standing(name: str, what: str, left: float, bottom: float, height: float, **more: Any) -> dict[str, Any]:
    """Return a tree, a person or a post on the ground."""
    return {
        "kind": "silhouettes", "name": name, "what": what, "left": left, "bottom": bottom, "height": height, **more,
    }  # fmt: skip


def alley(gap: float, side: str = "") -> dict[str, Any]:
    """Return how a house stands beyond an alley of another one."""
    return {"joined_by": f"alley_{side}" if side else "alley", "gap_mm": gap}


def upon(name: str, kind: str, roof: str, along: str, up: str, **more: Any) -> dict[str, Any]:
    """Return what stands on the first slope of a roof: a chimney, a dormer."""
    lies = {"joined_to": roof, "joined_by": "face_slope_first", "along": along, "up": up}
    return {"kind": kind, "name": name, **lies, **more}


def windows_round(name: str, host: str, side: str, along: str, up: str, **more: str) -> dict[str, Any]:
    """Return windows that curve with a round wall."""
    stands = {"kind": "round_windows", "name": name, "joined_to": host, "joined_by": f"face_round_{side}"}
    return {**stands, "along": along, "up": up, "columns": "2", "rows": "1", "wide": "half", "tall": "whole", **more}
