"""What does a thing stand in, and where can another thing stand?"""

from dataclasses import dataclass, field
from typing import TYPE_CHECKING

from propcache.api import cached_property

from orthopsis.core.construct.measuring import DrawnLevel
from orthopsis.core.construct.moves import Move, outputs
from orthopsis.core.construct.panel import Panel
from orthopsis.core.light.light import NOON, Light
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.paper import Half, Sheet
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.view.frame import Frame, Way

if TYPE_CHECKING:
    from orthopsis.core.things.standing import Standing


@dataclass(frozen=True, slots=True)
class InLine:
    """A thing stands in line with another: as tall in the world, on one line to a vanishing point; or beyond an alley.

    Attributes:
        top, at_top: full name and place of the corner over the anchor's point; no name where it keeps its own height.
        runs, goal: name and place of the vanishing point to which both lines run.
        gap_mm: how far along the lower line it stands, from the anchor's point.
        depth: world depth of the anchor's point, mm.
        holds: which corner of a front comes to stand there, where it is not the lower left.
    """

    top: str
    at_top: Point
    runs: str
    goal: Point
    gap_mm: float
    depth: float
    holds: str = ""


@dataclass(frozen=True)
class Anchor:
    """What a thing is joined to: the other's name, the point they share (full name, or empty for a line), where.

    ``in_line``: how it is found from there, where the two do not touch. ``panel``: the face on which it lies.
    ``other``: the other thing where it stands, for what hangs on it. ``light``: the moves that draw the face lightly
    through the other thing, where it is hidden. ``says``: what the point is called within the other thing.
    """

    thing: str
    point: str
    at: Point
    in_line: InLine | None = None
    panel: Panel | None = None
    other: "Standing | None" = None
    light: tuple[Move, ...] = ()
    says: str = ""

    @cached_property
    def lightly(self) -> frozenset[str]:
        """Full names of the points and lines that are drawn lightly because the face is hidden."""
        return frozenset(name for move in self.light for name in outputs(move.act))

    @property
    def made(self) -> frozenset[str]:
        """What the hand has drawn of the other thing, by full name."""
        return self.other.made if self.other is not None else frozenset()

    @property
    def points(self) -> dict[str, Point]:
        """The points of the other thing that are taken up, by full name."""
        found = {self.point: self.at} if self.point else {}
        found |= {self.in_line.top: self.in_line.at_top} if self.in_line is not None and self.in_line.top else {}
        if self.panel is None:
            return found
        found |= {name: at for name, at in self.panel.points.items() if name not in self.lightly}
        ways = (self.panel.along, self.panel.up)
        found |= {way.family: way.goal for way in ways if not way.goal.is_ideal}
        behind = self.panel.back.points if self.panel.back is not None else {}
        return found | {name: at for name, at in behind.items() if name in self.made}


@dataclass(frozen=True, slots=True)
class Setting:
    """What a thing stands in, and on which part of the sheet.

    Attributes:
        over_ground_mm: how high the eye is over the ground in truth, where that is stated.
        light: the one light of the sheet, for what follows it.
        casts: the shadows that fall on the ground of this sheet, for what they fall on further on.
    """

    frame: Frame
    sheet: Sheet
    anchor: Anchor | None = None
    half: Half = "whole"
    over_ground_mm: float | None = None
    light: Light = NOON
    casts: "tuple[Standing, ...]" = ()
    _hash: int = field(init=False, repr=False, compare=False, default=0)

    def __post_init__(self) -> None:
        """Find the hash once: things are looked up by what they stand in each time that a picture is made."""
        held = (self.frame, self.sheet, self.anchor, self.half, self.over_ground_mm, self.light, self.casts)
        object.__setattr__(self, "_hash", hash(held))

    def __hash__(self) -> int:
        return self._hash

    @property
    def panel(self) -> Panel | None:
        """The face of another thing on which a thing lies; None where it lies on none, or on one that is not drawn."""
        return self.anchor.panel if self.anchor is not None else None

    @property
    def rays(self) -> Way:
        """Which way rays of light run on the page."""
        return self.light.rays_way(self.frame)

    @property
    def shadows(self) -> Way:
        """Which way shadows of uprights run on level ground, on the page."""
        return self.light.shadow_way(self.frame)

    @property
    def level(self) -> DrawnLevel:
        """The eye level on the sheet."""
        return DrawnLevel(self.sheet, self.frame.level_mm)

    def across(self, share: float) -> float:
        """Return a place at a share of the part of the sheet, mm from the sheet's left edge, on a mark of the ruler."""
        low, high = self.sheet.part(self.half)
        return round_to(low + share * (high - low), self.sheet.division_mm)

    def true_mm(self, real_mm: float, foot_y: float) -> float:
        """Return how long a true length is on the page, level or upright, where the ground is seen at a height.

        Returns:
            0 where no truth is stated, or no ground is seen there.

        Source: on level ground a foot's drop under the eye level is the eye's height (textbook; from memory).
        """
        drop = self.frame.level_mm - foot_y
        if self.over_ground_mm is None or drop <= 0:
            return 0.0
        return round_to(real_mm * drop / self.over_ground_mm, self.sheet.division_mm)

    @property
    def fresh_size(self) -> float:
        """The size of a new thing: a sixth of the shorter side of its part of the sheet, mm."""
        low, high = self.sheet.part(self.half)
        return round_to(min(high - low, self.sheet.height_mm) / 6, self.sheet.division_mm)


@dataclass(frozen=True, slots=True)
class Joint:
    """A place where another thing can stand.

    Attributes:
        says: how it is said, before the name of this thing: ``on top of``.
        corner: where the other's lower nearest corner comes on the page.
        point: full name of that corner, or empty where only its height is given.
        depth: its world depth, mm.
        top: for a place in line: the corner over it, and its full name.
        runs: for a place in line: role of the direction.
        at: what the corner is called that lies there: ``foot of the left end``; empty where there is none.
        is_alley: whether what stands in line there keeps its own height, beyond an alley.
        holds: which corner of a front comes to stand there, where it is not the lower left.
    """

    says: str
    corner: Point
    point: str
    depth: float
    top: tuple[Point, str] | None = None
    runs: str = ""
    at: str = ""
    is_alley: bool = False
    holds: str = ""
