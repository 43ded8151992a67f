"""A profile in one-point perspective: its outline drawn true, every corner carried back to the point."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.carried_back import SeenBack, back_moves, needed
from orthopsis.core.construct.carry import (
    CarriedOutline,
    guide_moves,
    guided_corners,
    loops_of,
)
from orthopsis.core.construct.cut_out import Origin, front_cut_moves
from orthopsis.core.construct.moves import Measure, Move, Offset
from orthopsis.core.construct.panel import AROUND_FRONT, Panel, away_from, vector
from orthopsis.core.construct.rounding import round_moves
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import Arc, FacePlace
from orthopsis.core.plane.homogeneous import Point, between, distance, toward
from orthopsis.core.sheet.length import format_length
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.answers import Clause, Free, Handle
from orthopsis.core.things.depth import HALF_WAY, cut_move, dragged, kept, measured_share
from orthopsis.core.things.outline import on_marks, pieces, roundings, scaled, size, with_corner
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.profile.body import body, corner_handles, parts_of, seen_back
from orthopsis.core.things.profile.round_walls import round_walls
from orthopsis.core.things.setting import Joint, Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.values import Values
from orthopsis.core.view.eye import Array


def _turned(across: float, up: float) -> str:
    if abs(across) > abs(up):
        return "right" if across > 0 else "left"
    return "top" if up > 0 else "bottom"


class FrontProfile(Standing):
    """A shape whose front is drawn true."""

    sentence: tuple[Clause, ...] = (
        Clause("A shape with {outline}, {left} from the left edge and {bottom} up. "),
        Clause("Depth {depth_by}, {depth} along {depth_corner}. ", {"depth_by": ("measured",)}),
        Clause("Depth {depth_by} along {depth_corner}. ", {"depth_by": ("half",)}),
        Clause("{look}."),
    )
    own: tuple[str, ...] = ("outline",)
    moved_says = "Move the shape"

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more profile, beside the point."""
        sheet, goal = setting.sheet, setting.frame.way("away").goal
        across, low = ((0.1, True), (0.72, False), (0.7, True), (0.12, False))[count % 4]
        aside = (count // 4) * 5 * sheet.division_mm
        bottom = goal.y * 0.25 if low else goal.y + (sheet.height_mm - goal.y) * 0.3
        return {
            "left": setting.across(across) + aside,
            "bottom": round_to(bottom, sheet.division_mm),
            "depth_by": "half",
        }

    @cached_property
    def shaped(self) -> Values:
        """Its values with the outline that is cut."""
        return self.values

    @cached_property
    def size(self) -> tuple[float, float]:
        """Width and height of the outline, mm."""
        return size(self.shaped.outline("outline"))

    @cached_property
    def outline(self) -> CarriedOutline:
        """The outline on the front, with its corners on the page."""
        values, first, (width, height) = self.shaped, self.values.first, self.size
        loops = values.outline("outline")
        flat = dict(enumerate((corner for loop in loops for corner in loop), start=1))
        rounded = roundings(loops)
        away, frame = self.setting.frame.way("away"), self.setting.frame

        def at(place: FacePlace) -> Point:
            return Point(first.x + place[0], first.y + place[1])

        return CarriedOutline(
            thing=values.name,
            loops=loops_of([len(loop) for loop in loops]),
            flat={n: (c[0] / width, c[1] / height) for n, c in flat.items()},
            page={n: at(c[:2]) for n, c in flat.items()},
            pieces=pieces(loops),
            rounded={n: r.mapped(lambda place: (place[0] / width, place[1] / height)) for n, r in rounded.items()},
            parts=values.parts,
            arcs={n: Arc(at(r.start), at(r.pole), at(r.end), at(r.centre)) for n, r in rounded.items()},
            across=("level", frame.way("across").goal),
            up=("upright", frame.way("up").goal),
            goal_name=away.family,
            goal=away.goal,
        )

    @cached_property
    def guided(self) -> tuple[int, ...]:
        """The corners that get a guide line."""
        outline = self.outline
        for point in outline.page.values():
            if distance(point, outline.goal) < self.setting.sheet.division_mm / 4:
                raise GeometryError(
                    "corner_on_point",
                    f"A corner of “{self.values.name}” lies on the vanishing point.",
                    "Move the shape by one mark of the ruler.",
                    about="left",
                )
        return tuple(outline.corners if self.values.is_see_through else guided_corners(outline))

    @cached_property
    def depth_corner(self) -> int:
        """The corner along whose guide line the depth is cut."""
        guided, outline, chosen = self.guided, self.outline, self.values.word("depth_corner")
        best = max(guided or outline.corners, key=lambda c: (round(distance(outline.page[c], outline.goal), 3), c))
        if chosen == "auto":
            return best
        if int(chosen) in guided:
            return int(chosen)
        sheet = self.setting.sheet
        across, up = (format_length(mm, sheet.units, sheet.division_mm) for mm in self._from_first(best))
        raise GeometryError(
            "no_guide_line",
            f"The corner chosen on “{self.values.name}” has no guide line now: it would cross the front, or the corner "
            "is gone.",
            f"Measure along the one of the corner {across} across and {up} up.",
            about="depth_corner",
            nearest=str(best),
        )

    def _from_first(self, corner: int) -> tuple[float, float]:
        """Return how far across and up a corner lies from where the outline begins, mm."""
        at, first = self.outline.page[corner], self.values.first
        return at.x - first.x, at.y - first.y

    @property
    def corner_choices(self) -> Mapping[str, Mapping[str, tuple[float, float]]]:
        """Along the guide lines of which corners the depth can be cut, from left to right."""
        found = {str(corner): self._from_first(corner) for corner in self.guided}
        return {"depth_corner": dict(sorted(found.items(), key=lambda corner: corner[1]))}

    @property
    def depth_start(self) -> Point:
        """Where the guide line begins along which the depth is cut."""
        return self.outline.page[self.depth_corner]

    @property
    def depth_reach(self) -> float:
        """How long that guide line is, mm."""
        return distance(self.depth_start, self.outline.goal)

    @cached_property
    def depth_share(self) -> float:
        """How far along its guide line the depth is cut, 0 at the front, 1 at the point."""
        if self.values.word("depth_by") == "half":
            return HALF_WAY
        return measured_share(self.values, self.setting, self.depth_reach)

    @cached_property
    def solid(self) -> Solid:
        """The profile in the world of the frame's eye: its front lies in the picture plane."""
        return self._solid(self.outline)

    def _solid(self, outline: CarriedOutline) -> Solid:
        first, eye, (width, height) = self.values.first, self.setting.frame.eye, self.size
        away = eye.ray(outline.goal) * eye.world_length(outline.goal, self.depth_share)

        def places(flat: Array) -> Array:
            return np.array([eye.at(Point(first.x + x * width, first.y + y * height)) for x, y in flat.tolist()])

        return body(outline, places, away, _turned, "front")

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: outline, corners scanned for guide lines, depth, back edges."""
        outline, n = self.outline, self.values.full
        start, seen = self.depth_corner, self.seen_back
        over_front = [] if self.guided or not (seen.edges or seen.curves) else [start]
        back = back_moves(outline, [start], [*self.guided, *over_front], seen, None)
        found = {start, *needed(outline, seen, any_way=True)}
        reaching = {c: between(outline.page[c], outline.goal, self.depth_share) for c in found}
        moves = self._front_moves()
        late = {*back.late, *over_front}
        moves += guide_moves(outline, self.guided, "guides.profile", reaching=reaching, late=late)
        moves += self._cut(start, is_over_front=bool(over_front))
        moves += back.moves
        width, height = self.size

        def mark(name: str, place: FacePlace) -> Offset:
            return Offset(n(name), n("measure.origin"), place[0] * width, place[1] * height)

        return (*moves, *round_moves(outline, seen.curves, mark))

    def _cut(self, corner: int, *, is_over_front: bool) -> list[Move]:
        """Return the moves that cut the depth along the guide line of a corner.

        Straight before the point the front hides all that is behind it: then no depth is told. Where something of a
        curve shows all the same, the line is drawn over the front.
        """
        n, outline = self.values.full, self.outline
        told = "depth.profile" if self.guided else "depth.over_front" if is_over_front else ""
        cut = cut_move(self.values, told, n(f"back.{corner}"), n(f"guide.{corner}"), self.depth_share)
        if not is_over_front:
            return [cut]
        line = outline.aim(f"guide.{corner}", n(f"front.{corner}"), outline.page[corner], "guide")
        return [replace(cut, act=line), cut]

    @cached_property
    def seen_back(self) -> SeenBack:
        """What is seen of its back."""
        block_form = self._solid(self.outline.block_form) if self.outline.rounded else self.solid
        see_through = self.values.is_see_through
        return seen_back(self.outline, block_form, self.solid, self.setting, is_see_through=see_through)

    def _front_moves(self) -> list[Move]:
        """Return the moves that draw the front, measured from the lower left of each part, which is marked first."""
        n, outline = self.values.full, self.outline
        moves = list[Move]()
        for number, (_, corners) in enumerate(outline.part_corners):
            origin = self._origin(number, corners)

            def mark(corner: int, origin: Origin = origin) -> Offset:
                at = outline.page[corner]
                return Offset(n(f"front.{corner}"), origin.name, at.x - origin.at.x, at.y - origin.at.y)

            moves += front_cut_moves(outline, number, origin, mark)
        return moves

    def _origin(self, number: int, corners: Sequence[int]) -> Origin:
        """Return from where the corners of a part are measured: of the first one from the place of the whole."""
        if not number:
            name, page = "measure.origin", self.values.first
            return Origin(self.values.begin(self.setting, name), self.values.full(name), page)
        full, at = self.values.full(f"measure.origin.{number + 1}"), [self.outline.page[c] for c in corners]
        low = Point(min(p.x for p in at), min(p.y for p in at))
        return Origin(Measure(full, *low.xy), full, low)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The lower left, the upper right, the mark of the depth, and each corner."""
        first, (width, height) = self.values.first, self.size
        top, place = Point(first.x + width, first.y + height), tuple(p.name for p in FIRST_CORNER)
        mark = between(self.depth_start, self.outline.goal, self.depth_share)
        return {
            "place": Handle(self.moved_says, first, place, self._drag_place, "place"),
            "size": Handle("Stretch the shape", top, ("outline",), self._drag_size, "size"),
            "depth": Handle("Change the depth", mark, ("depth",), self._drag_depth),
            **corner_handles(self.outline, self._drag_corner),
        }

    def _drag_place(self, at: Point) -> Mapping[str, Value]:
        return {"left": at.x, "bottom": at.y}

    def _drag_depth(self, at: Point) -> Mapping[str, Value]:
        return dragged(self.setting, self.depth_start, self.outline.goal, at)

    def _drag_size(self, at: Point) -> Mapping[str, Value]:
        """Stretch the outline so that its upper right reaches the place."""
        first, division, (width, height) = self.values.first, self.setting.sheet.division_mm, self.size
        wide = max(round_to(at.x - first.x, division), 4 * division)
        tall = max(round_to(at.y - first.y, division), 4 * division)
        return {"outline": on_marks(scaled(self.values.outline("outline"), wide / width, tall / height), division)}

    def _drag_corner(self, number: int, at: Point) -> Mapping[str, Value]:
        first, division = self.values.first, self.setting.sheet.division_mm
        corner = (max(round_to(at.x - first.x, division), 0.0), max(round_to(at.y - first.y, division), 0.0))
        return {"outline": with_corner(self.values.outline("outline"), number, corner)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        first, start = self.values.first, self.depth_start
        result = {"left": (Point(0.0, first.y), first), "bottom": (Point(first.x, 0.0), first)}
        if self.values.word("depth_by") == "measured":
            result["depth"] = (start, toward(start, self.outline.goal, self.values.mm("depth")))
        return result

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The lines whose place is free: the back's, if the depth is by eye."""
        if self.values.word("depth_by") != "half":
            return ()
        return (Free(self.setting.frame.name, self.solid.lines_of("back")),)

    def follow(self, name: str, value: Value) -> Mapping[str, Value]:
        """Return the measured depth that leaves the drawing as it is, when the depth begins to be measured."""
        if name != "depth_by" or value != "measured":
            return {}
        return kept(self.setting, self.depth_reach, self.depth_share)

    def true_length(self, role: str) -> float:
        """Return how long the shape is in the world ``across``, ``up`` or ``away``, at the scale of its front, mm."""
        if role == "away":
            return self.setting.frame.eye.world_length(self.outline.goal, self.depth_share)
        return self.size[role == "up"]

    @property
    def shape(self) -> Mapping[str, float]:
        """Width, depth and height."""
        return {role: self.true_length(role) for role in ("across", "away", "up")}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return its front, and the depth along the guide line on which it is cut then."""
        front = self.sized(shape["across"], shape["up"])
        front |= {"depth_by": "measured", "depth_corner": "auto"}
        there = type(self)(replace(self.values, held={**self.values.held, **front}), self.setting)
        share = self.setting.frame.eye.page_share(self.outline.goal, shape["away"])
        return {**front, "depth": share * there.depth_reach}

    def sized(self, wide_mm: float, tall_mm: float) -> dict[str, Value]:
        """Return the values with which its front is so wide and tall."""
        width, height = self.size
        return {"outline": scaled(self.values.outline("outline"), wide_mm / width, tall_mm / height)}

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The front, as far as the shape covers it; round walls, where all of it is round."""
        first, eye, n, (width, height) = self.values.first, self.setting.frame.eye, self.values.full, self.size
        page = (
            first,
            Point(first.x + width, first.y),
            Point(first.x + width, first.y + height),
            Point(first.x, first.y + height),
        )
        low, far_low, _, high = (eye.at(point) for point in page)
        panel = Panel(
            says="front",
            face="front",
            turned="front",
            low=n("measure.origin"),
            high=n("front.room.high"),
            far_low=n("front.room.far_low"),
            far_high=n("front.room.far_high"),
            first=n("front.room.first"),
            bottom=n("front.room.bottom"),
            top=n("front.room.top"),
            far=n("front.room.far"),
            around=AROUND_FRONT,
            along=self.setting.frame.way("across"),
            up=self.setting.frame.way("up"),
            out=self.setting.frame.way("away"),
            drawn_from="low",
            page=page,
            start=vector(low),
            axes=(vector(far_low - low), vector(high - low)),
            first_says="left edge",
            outward=away_from(eye.ray(self.outline.goal)),
            parts=parts_of(self.outline, lambda at: at),
        )
        return {"front": panel, **round_walls(self.outline, self.setting.frame, self.depth_share)}

    @cached_property
    def joints(self) -> Mapping[str, Joint]:
        """Where others can stand: on its top."""
        first, near = self.values.first, self.setting.frame.eye.distance_mm
        return {"on_top": Joint("on top of", Point(first.x, first.y + self.size[1]), "", near)}
