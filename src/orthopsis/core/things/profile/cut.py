"""From which face of a block is an outline cut, which lines of the block help, and which way is it carried?

From a side it is carried along the other side; from the top or the bottom along the uprights. Places are shares of the
face; on it they are counted from its first edge.
"""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.things.box import sides
from orthopsis.core.things.box.block import Block, Role, other
from orthopsis.core.things.values import Values

FACES = {"left": "left side", "right": "right side", "level": "top, or from below the underside"}

_TOLD = {
    "outline": ("front.on_side", "face.outline", "face.outline"),
    "guides": ("guides.profile_side", "guides.profile_level", "guides.profile_upright"),
    "depth": ("depth.profile_side", "depth.profile_level", "depth.profile_level"),
    "round": ("back.round", "back.round_level", "back.round_level"),
    "round_at_end": ("back.round_at_end", "back.round_level_at_end", "back.round_level_at_end"),
}
"""The words for a part of the work: on a side, on a level face with a third point, and on one without."""


@dataclass(frozen=True, slots=True)
class Cut:
    """The face, and the lines of the block about it, by full name.

    Attributes:
        panel: the face.
        over: the direction along which the outline is carried.
        is_flipped: whether what is left in the outline is far from the first edge.
        first_end: the line of the block's back behind the first edge.
        low, high: the lines from the ends of the first edge that run the way the outline is carried.
        foot_end, far_low: the line of the back behind the lower edge, and the line from that edge's far end, where the
            block has them.
        is_upright: whether it is carried along uprights that meet nowhere.
        outward: how the faces of the cut are turned that face down, up, left and right on the face.
    """

    panel: Panel
    over: str
    is_flipped: bool
    first_end: str
    low: str
    high: str
    outward: Mapping[str, str]
    foot_end: str | None = None
    far_low: str | None = None
    is_upright: bool = False

    @property
    def is_level(self) -> bool:
        """Whether it is the top or the bottom."""
        return self.over == "up"

    @property
    def says(self) -> str:
        """How the face is called, once the shape is cut from it."""
        return self.panel.says if self.is_level else "front"

    def told(self, what: str) -> str:
        """Return which words say a part of the work."""
        return _TOLD[what][self.is_level + self.is_upright]

    def on_panel(self, place: FacePlace) -> FacePlace:
        """Return a place as the face counts it, or back."""
        return (1 - place[0] if self.is_flipped else place[0], place[1])

    def end(self, place: FacePlace) -> str | None:
        """Return the line of the block's back where a line from a place on the rim ends; none inside the face."""
        along, up = self.on_panel(place)
        if along <= SAME_SHARE:
            return self.first_end
        return self.foot_end if up <= SAME_SHARE else None

    def ready(self, place: FacePlace) -> str | None:
        """Return the block's own line from a place, where there is one."""
        along, up = self.on_panel(place)
        if along <= SAME_SHARE:
            return self.ready_at(up)
        return self.far_low if along >= 1 - SAME_SHARE and up <= SAME_SHARE else None

    def ready_at(self, share: float) -> str | None:
        """Return the block's own line from an end of the first edge, or none between its ends."""
        return self.low if share <= SAME_SHARE else self.high if share >= 1 - SAME_SHARE else None

    def turned(self, across: float, up: float) -> str:
        """Return how a face is turned with an outward normal that runs across and up on the outline."""
        if abs(up) >= abs(across):
            return self.outward["up" if up > 0 else "down"]
        return self.outward["right" if across > 0 else "left"]


def cut_of(block: Block) -> Cut:
    """Return the face of a block from which a shape is cut.

    Raises:
        GeometryError: neither top nor bottom shows, or only the one beside the third point.
    """
    n, role = block.values.full, block.values.word("side")
    if role == "level":
        return _level(block)
    side: Role = "left" if role == "left" else "right"
    over = other(side)
    lines = {level: n(f"guide.{level}.{over}") for level in ("bottom", "top")}
    near, far = ("right", "left") if side == "left" else ("left", "right")
    outward = {"up": "top", "down": "bottom", near: over, far: "back"}
    panel = replace(sides.side_panel(block, side), back=None)
    return Cut(panel, over, side == "left", n(f"{over}.edge"), lines["bottom"], lines["top"], outward)


def _level(block: Block) -> Cut:
    """Return the top or the bottom, whichever shows; with a third point it is the face on the other side from it."""
    n, up = block.values.full, block.goal("up")
    level = "bottom" if block.shows("bottom") else "top"
    if not block.shows(level):
        raise _refused(block.values, "Move it below or above the eye level, or take a side.")
    if not up.is_ideal and level != block.first:
        where = "below" if block.first == "top" else "above"
        raise _refused(block.values, f"Move it {where} the eye level, or take a side.")
    back = "bottom" if level == "top" else "top"
    # Seen from above, right and left run as across and up do; seen from below they are mirrored.
    is_flipped = level == "bottom"
    near, far = ("right", "left") if is_flipped else ("left", "right")
    return Cut(
        panel=sides.level_panel(block, level),
        over="up",
        is_flipped=is_flipped,
        first_end=n(f"guide.{back}.left"),
        low=n("near.edge"),
        high=n("left.edge"),
        outward={"down": "right", "up": "back", near: "left", far: "back"},
        foot_end=n(f"guide.{back}.right"),
        far_low=n("right.edge"),
        is_upright=up.is_ideal,
    )


def _refused(values: Values, fix: str) -> GeometryError:
    why = f"Neither top nor underside of “{values.name}” shows so that it can be cut from there."
    return GeometryError("no_such_face", why, fix, about="side", nearest=FACES["left"])
