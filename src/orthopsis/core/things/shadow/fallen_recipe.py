"""How does a hand let a cast shadow go on over another thing? From each line on the ground up, over, and up again.

Where the line from a foot meets the foot of the thing, the path of that upright goes straight up; over a level face it
goes on as on the ground; where it meets the ray of the top, that corner of the shadow is found. An edge of the top has
a shadow that runs as it does on every face to which it is parallel; on others two places of it are joined. At the
border of a face it is cut off, and begins again on the next one.

Up a slope a path is drawn to where it would cross the upper edge: the upright, its ray and its shadow lie in one
upright plane, so that place is straight over where the line on the ground, carried on, comes under the edge.

By a lamp each path on a level face runs another way, but as its line on the ground: to one point of the eye level.
"""

from collections.abc import Generator, Iterator, Sequence
from dataclasses import replace
from typing import Literal

from orthopsis.core.construct.moves import EYE_LEVEL, Act, Cross, Move, Rule, RuleToPoint, Run, Shift
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.things.shadow.fall import BORDERS, Fall, comes_from, line_of
from orthopsis.core.things.shadow.falling import Border, Bound, Spot, is_past_top, reached, share_of_path
from orthopsis.core.things.shadow.shape import shade_name
from orthopsis.core.things.values import Values

Kind = Literal["", "section", "path", "foot", "beyond", "edge"]
"""What an act is for: where a path on a slope leads, a path on a face, a place of its foot or beside it that only
helps, the outline; or nothing."""
Told = tuple[Kind, Act]
Finds = Generator[Told, None, str]
"""Acts that find a point, and its full name."""


def recipe(values: Values, falls: Sequence[Fall]) -> list[Move]:
    """Return the hand's moves."""
    moves: list[Move] = []
    for number in sorted({fall.number for fall in falls}):
        hand = _Hand(values, [fall for fall in falls if fall.number == number])
        for fall in hand.falls:
            for kind, act in (*hand.paths(fall), *hand.edges(fall)):
                breath = f"fallen.{kind}_{_told_as(fall)}" if kind else ""
                moves.append(replace(values.move("round", breath, act), face=fall.panel.says))
    return moves


def _told_as(fall: Fall) -> Literal["top", "top_lamp", "slope", "side", "riser"]:
    """Return what the words are called by of what is done on a face."""
    if fall.is_by_lamp:
        return "top_lamp"
    if fall.panel.is_level:
        return "top"
    if fall.panel.incline is not None:
        return "slope"
    return "side" if fall.is_low else "riser"


class _Hand:
    """A hand that lets one cast shadow go on from face to face.

    Attributes:
        falls: what falls on each face, from the ground up.
        over: where lines of the shadow cross edges of faces: by the line and the full name of the edge.
        found: where the shadows of tops lie on the planes of faces: by the number of the fall and the corner.
        rising: the paths on slopes that are drawn, full names: likewise.
        crossed: where these would cross the upper edges, full names: likewise.
        goals: the points of the eye level to which paths run by a lamp, full names: by the corner.
    """

    def __init__(self, values: Values, falls: Sequence[Fall]) -> None:
        self.values, self.falls = values, falls
        self.over: dict[tuple[Bound, str], str] = {}
        self.found: dict[tuple[int, int], str] = {}
        self.rising: dict[tuple[int, int], str] = {}
        self.crossed: dict[tuple[int, int], str] = {}
        self.goals: dict[int, str] = {}

    def n(self, fall: Fall, *parts: str) -> str:
        """Return the full name of something on a face."""
        return self.values.full(fall.name(*parts))

    def at(self, fall: Fall, spot: Spot) -> str:
        """Return the full name of a corner of the shadow."""
        return self.values.full(fall.corner(spot))

    def paths(self, fall: Fall) -> Iterator[Told]:
        """Yield the acts that draw the paths on a face, and find the corners of the shadow there."""
        if fall.panel.incline is not None or fall.is_by_lamp:
            paths = {i for bound, *_ in fall.sides if bound.kind == "path" for i in bound.corners}
            for number in sorted(paths | {spot.corner for spot in fall.spots if spot.corner is not None}):
                yield from self._leads(fall, number, "section")
        for spot in fall.spots:
            if not (spot.before.is_drawn or spot.after.is_drawn):
                yield "", Shift(self.at(fall, spot), _own_corner(fall, spot), 0.0)
        for spot in fall.spots:
            if (corner := spot.corner) is not None:
                yield from self._corner(fall, corner)
        for bound, start, end in fall.sides:
            if bound.kind == "path":
                yield from self._path(fall, bound, (start, end))
        for path, after in self._passing(fall):
            yield from self._start(after, path)

    def _passing(self, fall: Fall) -> Iterator[tuple[Bound, Fall]]:
        """Yield the paths that pass over a face to a corner farther on, each with the next face on which it comes."""
        for later in self.falls[self.falls.index(fall) + 1 :]:
            for spot in later.spots:
                after = later
                while spot.corner is not None and not after.is_low:
                    before, _ = self._before(after, spot.corner)
                    if before is fall and not _is_beside(before, spot.corner):
                        yield Bound("path", (spot.corner,)), after
                    after = before

    def _path(self, fall: Fall, path: Bound, ends: tuple[Spot, Spot]) -> Iterator[Told]:
        """Yield the acts that draw a path up to where it leaves the face, and take up where it came to it."""
        start = yield from self._start(fall, path)
        for spot in ends:
            border = spot.border
            if border is None:
                continue
            key, name = (path, line_of(fall, border)), self.at(fall, spot)
            known = self.over.get(key)
            if known is None:
                line = self.n(fall, "construction", path.name)
                yield from self._drawn_to(fall, path, start, (line, name, key[1]), "path")
                self.over[key] = name
            elif known != name:
                yield "", Shift(name, known, 0.0)

    def _corner(self, fall: Fall, corner: int) -> Finds:
        """Yield the acts that find the shadow of a top on the plane of a face: on its path, where its ray comes."""
        key, path = (self.falls.index(fall), corner), Bound("path", (corner,))
        if key in self.found:
            return self.found[key]
        spot = next((spot for spot in fall.spots if spot.corner == corner), None)
        kind: Kind = "beyond" if spot is None or self._comes_beside(fall, corner) else "path"
        start = yield from self._start(fall, path, kind)
        ray = yield from self._ray(fall, corner, kind)
        makes = self.n(fall, "measure", "beyond", str(corner)) if spot is None else self.at(fall, spot)
        line = self.n(fall, "construction", "to", str(corner))
        yield from self._drawn_to(fall, path, start, (line, makes, ray), kind)
        self.found[key] = makes
        return makes

    def _drawn_to(
        self, fall: Fall, path: Bound, start: str, found: tuple[str, str, str], kind: Kind
    ) -> Iterator[Told]:  # fmt: skip
        """Yield the acts that draw a path from its start to another line.

        Args:
            found: what it is called, the place where it meets the other line, and that line.
        """
        (corner,), (line, makes, other) = path.corners, found
        if fall.is_by_lamp:
            goal, laid = (yield from self._leads(fall, corner, kind)), f"{line}.laid"
            yield kind, Rule(laid, start, goal, "free", "unseen")
            yield kind, Cross(makes, laid, other)
            yield kind, Rule(line, start, makes, "free", "construction")
            return
        if fall.panel.incline is None:
            yield kind, Run(line, makes, start, fall.family(path), other, "construction")
            return
        key = (self.falls.index(fall), corner)
        over = yield from self._leads(fall, corner, kind)
        if kind == "beyond" and is_past_top(fall.panel, fall.caster, corner):
            laid, begin = f"{line}.laid", over if key in self.rising else start
            yield kind, Rule(laid, start, over, "free", "unseen")
            yield kind, Cross(makes, laid, other)
            yield kind, Rule(f"{line}.on", begin, makes, "free", "construction")
            return
        if key not in self.rising:
            yield kind, Rule(line, start, over, "free", "construction")
            self.rising[key] = line
        yield kind, Cross(makes, self.rising[key], other)

    def _leads(self, fall: Fall, corner: int, kind: Kind) -> Finds:
        """Yield the acts that find a place to which a path leads: over the edge of a slope, or on the eye level."""
        if not fall.is_by_lamp:
            return (yield from self._over_edge(fall, corner, kind))
        if corner not in self.goals:
            low = next(before for before in self.falls if before.is_low)
            start = yield from self._start(low, Bound("path", (corner,)), kind)
            laid, makes = (self.n(fall, what, "goal", str(corner)) for what in ("construction", "measure"))
            yield kind, RuleToPoint(laid, start, fall.cast.setting.shadows.family, "unseen")
            yield kind, Cross(makes, laid, EYE_LEVEL)
            self.goals[corner] = makes
        return self.goals[corner]

    def _over_edge(self, fall: Fall, corner: int, kind: Kind) -> Finds:
        """Yield the acts that find where the path of an upright would cross the upper edge of a slope."""
        key, panel = (self.falls.index(fall), corner), fall.panel
        if key in self.crossed:
            return self.crossed[key]
        start = yield from self._start(fall, Bound("path", (corner,)), kind)
        assert panel.incline is not None
        number = str(corner)
        ground, under, upper = (self.n(fall, "construction", what, number) for what in ("on", "under", "upper"))
        foot, makes = (self.n(fall, "measure", what, number) for what in ("under", "over"))
        yield kind, Rule(under, *panel.incline.under, panel.along.family, "unseen")
        yield kind, Run(ground, foot, start, fall.cast.setting.shadows.family, under, "unseen")
        yield kind, Rule(upper, panel.high, panel.far_high, panel.along.family, "unseen")
        upright = self.n(fall, "construction", "upright", number)
        yield kind, Run(upright, makes, foot, panel.out.family, upper, "construction")
        self.crossed[key] = makes
        return makes

    def _ray(self, fall: Fall, corner: int, kind: Kind) -> Finds:
        """Yield the act that lays the ray of a hidden top, through its corner on the ground; none where it is drawn."""
        cast = fall.cast
        if cast.has_top(corner):
            return cast.values.full(f"ray.{corner}")
        name, end = (self.n(fall, what, "ray", str(corner)) for what in ("construction", "measure"))
        start, rays = cast.values.full(shade_name(corner)), cast.setting.rays.family
        # The ruler lies through the corner, which is on the line from the foot: nothing else bounds the ray.
        yield kind, Run(name, end, start, rays, cast.values.full(f"ground.{corner}"), "unseen")
        return name

    def _start(self, fall: Fall, path: Bound, kind: Kind = "path") -> Finds:
        """Yield the acts that find where a path comes to a face."""
        (corner,) = path.corners
        if fall.is_low:
            key = (path, line_of(fall, "bottom"))
            if key not in self.over:
                spot = next((s for s in fall.spots if {s.before, s.after} == {Bound("base"), path}), None)
                name = self.n(fall, "measure", "base", str(corner)) if spot is None else self.at(fall, spot)
                line, is_beside = line_of(fall, "bottom"), _is_beside(fall, corner)
                if is_beside:
                    line = f"{name}.border"
                    yield kind, _carried_on(fall, "bottom", line)
                yield kind, Cross(name, fall.cast.values.full(f"ground.{corner}"), line)
                self.over[key] = name
            return self.over[key]
        for border in BORDERS:
            if (path, line_of(fall, border)) in self.over:
                return self.over[path, line_of(fall, border)]
        before, border = self._before(fall, corner)
        kind = "beyond" if _is_beside(before, corner) else kind
        start = yield from self._start(before, path, kind)
        line, name = line_of(before, border), self.n(fall, "measure", "begins", str(corner))
        self.over[path, line] = name
        if kind == "beyond":
            line = self.n(fall, "construction", "border", str(corner))
            yield kind, _carried_on(before, border, line)
        drawn = self.n(before, "construction", "over", str(corner))
        yield from self._drawn_to(before, path, start, (drawn, name, line), kind)
        return name

    def _comes_beside(self, fall: Fall, corner: int) -> bool:
        """Tell whether a path comes to a face beside the one before."""
        return not fall.is_low and _is_beside(self._before(fall, corner)[0], corner)

    def _before(self, fall: Fall, corner: int) -> tuple[Fall, Border]:
        """Return on which face a path was before, and over which border of that it came: one that it really crosses."""
        ways = list(comes_from(fall, self.falls))
        return min(ways, key=lambda way: abs(share_of_path(way[0].panel, way[0].caster, corner) - 0.5))

    def edges(self, fall: Fall) -> Iterator[Told]:
        """Yield the acts that find where edges of the shadow are cut off on a face, and draw its outline there."""
        edges = [(bound, (start, end)) for bound, start, end in fall.sides if bound.kind == "edge"]
        beside = {bound: list(self._open_ends(fall, bound, ends)) for bound, ends in edges}
        helped = {}
        for bound, ends in edges:
            helped[bound] = yield from self._helped(fall, bound, ends, bool(beside[bound]))
        for bound, ends in edges:
            for spot in ends:
                yield from self._taken_up(fall, bound, spot)
            yield from self._cut_off(fall, bound, helped[bound], beside[bound])
        for bound, start, end in fall.sides:
            line = self.n(fall, bound.name)
            yield "edge", Rule(line, self.at(fall, start), self.at(fall, end), fall.family(bound))

    def _open_ends(self, fall: Fall, edge: Bound, ends: tuple[Spot, Spot]) -> Iterator[tuple[str, str]]:
        """Yield the ends of an edge of the shadow that are not found yet: what they are called, and the edge there."""
        for spot in ends:
            if (border := spot.border) is not None and (edge, line_of(fall, border)) not in self.over:
                yield self.at(fall, spot), line_of(fall, border)

    def _taken_up(self, fall: Fall, edge: Bound, spot: Spot) -> Iterator[Told]:
        """Yield the acts that find an end of an edge at the foot of a face, or take it up from the face before."""
        if (border := spot.border) is not None:
            if (known := self.over.get((edge, line_of(fall, border)))) is not None:
                yield "", Shift(self.at(fall, spot), known, 0.0)
        elif spot.corner is None:
            yield from self._bend(fall, edge, self.at(fall, spot), "edge")

    def _helped(
        self, fall: Fall, edge: Bound, ends: tuple[Spot, Spot], is_open: bool
    ) -> Generator[Told, None, list[str]]:
        """Yield the acts that find more places of an edge's line, beside the face, where one end is not enough.

        Returns:
            the full names of its places that are found, or will be before it is cut off.
        """
        found = [self.at(fall, spot) for spot in ends if (spot.border is None) or self._is_over(fall, edge, spot)]
        needed = (1 + (fall.family(edge) == "free")) * is_open
        for corner in edge.corners:
            if len(found) < needed and 0 < reached(fall.panel, fall.caster, corner) < 1:
                place = yield from self._corner(fall, corner)
                found += [place] if place not in found else []
        if len(found) < needed and fall.is_low:
            place = self.n(fall, "measure", edge.name)
            yield from self._bend(fall, edge, place, "foot")
            found.append(place)
        return found

    def _is_over(self, fall: Fall, edge: Bound, spot: Spot) -> bool:
        return spot.border is not None and (edge, line_of(fall, spot.border)) in self.over

    def _cut_off(
        self, fall: Fall, edge: Bound, found: Sequence[str], ends: Sequence[tuple[str, str]]
    ) -> Iterator[Told]:
        """Yield the acts that find where an edge of the shadow is cut off: by two of its places, or its direction."""
        laid, family = self.n(fall, "construction", "laid", edge.name), fall.family(edge)
        if ends and len(found) > 1:
            yield "edge", Rule(laid, found[0], found[1], family, "unseen")
        for number, (name, line) in enumerate(ends):
            if len(found) > 1:
                yield "edge", Cross(name, laid, line)
            else:
                yield "edge", Run(f"{laid}.{number}", name, found[0], family, line, "unseen")
            self.over[edge, line] = name

    def _bend(self, fall: Fall, edge: Bound, makes: str, kind: Kind) -> Iterator[Told]:
        """Yield the acts that find where the shadow of an edge of the top on the ground meets the foot of a face."""
        cast, (one, other) = fall.cast, edge.corners
        line, foot = f"{makes}.on_ground", f"{makes}.foot"
        ends = cast.values.full(shade_name(one)), cast.values.full(shade_name(other))
        yield kind, Rule(line, *ends, cast.way_between(one, other).family, "unseen")
        yield kind, _carried_on(fall, "bottom", foot)
        yield kind, Cross(makes, line, foot)


def _is_beside(fall: Fall, corner: int) -> bool:
    """Tell whether a path passes an upright face by, beside it; over a level one none does."""
    share = share_of_path(fall.panel, fall.caster, corner)
    return not fall.panel.is_level and not -SAME_SHARE <= share <= 1 + SAME_SHARE


def _own_corner(fall: Fall, spot: Spot) -> str:
    """Return the full name of the corner of a face that lies in the shadow."""
    panel = fall.panel
    borders = {bound.border or "bottom" for bound in (spot.before, spot.after)}  # the shadow stands on the foot
    is_low, is_first = "bottom" in borders, "first" in borders
    near, far = (panel.low, panel.far_low) if is_low else (panel.high, panel.far_high)
    return near if is_first else far


def _carried_on(fall: Fall, border: Border, name: str) -> Act:
    """Return the act that lays the ruler along an edge of a face, and past its ends."""
    panel = fall.panel
    low, far_low, far_high, high = panel.low, panel.far_low, panel.far_high, panel.high
    ends, way = {
        "bottom": ((low, far_low), panel.along), "top": ((high, far_high), panel.along),
        "first": ((low, high), panel.up), "far": ((far_low, far_high), panel.up),
    }[border]  # fmt: skip
    is_sloping = panel.incline is not None and way is panel.up
    return Rule(name, *ends, "free" if is_sloping else way.family, "unseen")
