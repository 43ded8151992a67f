"""The shape of forms on a face in the world, for the view route: flat, or carried out of the face or into the body."""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sight.solid import Solid, Topology
from orthopsis.core.things.answers import Spans, Spoken
from orthopsis.core.things.corner_look import corner_look
from orthopsis.core.things.outward import Outward
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.rectangles.forms import PLACES
from orthopsis.core.things.rectangles.layout import within
from orthopsis.core.things.rectangles.shape import RectangleShapes
from orthopsis.core.things.rectangles.solid import Relief, flat_topology, part_name, relief_topology
from orthopsis.core.things.route import Route, routes
from orthopsis.core.view.eye import Array


class CarriedShapes(RectangleShapes):
    """Forms on a face as a solid."""

    @cached_property
    def solid(self) -> Solid:
        """The forms in the world of the frame's eye; flat ones are lines on the face of the other thing."""
        shares = [
            within(corners, node.place)
            for corners, nodes in zip(self.layout.rectangles, self.nodes, strict=True)
            for node in nodes
        ]
        flat, families = self.panel.places(shares), (self.panel.along.family, self.panel.up.family)
        if self.is_flat:
            return self._with_shutters(*self._with_bars(flat_topology(self.form, self.nodes, families), flat))
        places = np.stack((flat, flat + self.carried), axis=1).reshape(-1, 3)
        low, far, high, near = self.panel.around
        turned = (self.panel.turned, *((high, near, low, far) if self.is_sunk else (low, far, high, near)))
        lengths = (float(np.linalg.norm(self.panel.axes[0])), float(np.linalg.norm(self.panel.axes[1])))
        kind = Relief(
            families,
            self.panel.out.family,
            turned,
            lengths,
            self._is_mirrored,
            has_front=not (self.is_through or self.is_open),
            has_wall=not self.is_sunk,
            ends_floor=self.is_open,
        )
        return self._with_shutters(relief_topology(self.form, self.nodes, kind, self._open), places)

    def _with_bars(self, topology: Topology, places: Array) -> tuple[Topology, Array]:
        """Return the forms, with their bars, if they have any, as lines on the face."""
        if self.bars is None:
            return topology, places
        layout, more = self.layout.rectangles, list(self.bars.more(self.nodes))
        lines = self.bars.edges(len(layout), (self.panel.along.family, self.panel.up.family))
        names = (*topology.names, *(f"{part_name(number)}.{name}" for number, name, _ in more))
        ends = self.panel.places([within(layout[number], place) for number, _, place in more])
        return Topology(names, topology.faces, (*topology.edges, *lines)), np.vstack((places, ends.reshape(-1, 3)))

    def _with_shutters(self, topology: Topology, places: Array) -> Solid:
        """Return the forms, with their shutters, if they have any, as lines on the face."""
        if self.shutters is None:
            return Solid(topology, places)
        lines = tuple(self.shutters.edges((self.panel.along.family, self.panel.up.family)))
        whole = Topology((*topology.names, *self.shutters.names), topology.faces, (*topology.edges, *lines))
        return Solid(whole, np.vstack((places, self.panel.places(self.shutters.places))))

    @cached_property
    def _open(self) -> tuple[bool, ...]:
        """Which of them have no sill, since they are sunk in down to the foot of a wall."""
        has_foot = self.is_sunk and self.panel.around[0] == "bottom" and any(s.name == "low" for s in self.form.sides)
        return tuple(has_foot and abs(low[1]) <= SAME_SHARE for low, *_ in self.layout.rectangles)

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """Of the wall's foot what lies in openings without a sill, also behind where they go right through."""
        eye, panel = self.setting.frame.eye, self.panel
        openings = [corners for corners, is_open in zip(self.layout.rectangles, self._open, strict=True) if is_open]
        if not openings:
            return {}
        feet = panel.places([place for low, far, *_ in openings for place in (low, far)])
        found = {frozenset((panel.low, panel.far_low)): feet}
        if self.is_through:
            found[frozenset((self.through.low, self.through.far_low))] = feet + self.carried
        return {ends: _spans(eye.see(places)) for ends, places in found.items()}

    @cached_property
    def outward(self) -> Outward:
        """The way out of the face or into it, from the corner of the first one at which that is measured."""
        start = self.panel.places([self.first_place])[0]
        return Outward(self.panel, self.setting.frame.eye, start, self.is_sunk)

    @cached_property
    def carried(self) -> Array:
        """The way by which they stand out or are sunk, in the world, mm.

        It is measured on the page from a corner of the first one, toward the point to which the direction runs or away
        from it.

        Raises:
            GeometryError: it is longer than the way to the point, or they would be sunk through the body.
        """
        if self.is_through:
            return np.array(self.through.vector)
        if self.is_open and not self.panel.is_inner:
            raise GeometryError(
                "no_room_behind",
                f"The {self.panel.says} of {self.anchor.thing} is no wall of a room: nobody looks out there.",
                "Let them go right through it, or sink them in.",
                about="relief",
                nearest="in",
            )
        return self.outward.vector(self.values.mm("deep"), self._too_deep)

    @property
    def shape(self) -> Mapping[str, float]:
        """How far they stand out or are sunk in; nothing where no measure says that."""
        return {} if not self.is_measured else {"out": float(np.linalg.norm(self.carried))}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return how deep they are on the page; see ``carried``."""
        if not self.is_measured:
            return {}
        return {"deep": self.outward.page_mm(shape["out"])}

    def _too_deep(self, longest_mm: float) -> GeometryError:
        sheet = self.setting.sheet
        most = format_limit(max(longest_mm, sheet.division_mm), sheet.units, sheet.division_mm, is_least=False)
        return GeometryError(
            "too_deep",
            f"“{self.values.name}” would be deeper than there is room.",
            f"The most that works is about {most}.",
            about="deep",
            nearest=most,
        )

    @cached_property
    def holes(self) -> Mapping[str, tuple[Array, ...]]:
        """What is cut out of faces of the other thing: by the face, the corners of each hole in the world, (4, 3)."""
        if not self.is_sunk:
            return {}
        holes = tuple(
            self.panel.places([within(corners, node.place) for node in nodes])
            for corners, nodes in zip(self.layout.rectangles, self.nodes, strict=True)
        )
        found = {self.panel.face: holes}
        if self.is_through:
            found[self.through.face] = tuple(hole + self.carried for hole in holes)
        return found

    @property
    def sign(self) -> int:
        """Which way it is measured on the page: 1 toward the point, to the right or up, -1 the other way."""
        return self.outward.sign

    @cached_property
    def first_out(self) -> Point:
        """Where the first front begins on the page."""
        return self.outward.mark(self.values.mm("deep"))

    @property
    def out_mm(self) -> float:
        """How far that corner stands out or leads in on the page, mm."""
        if not self.is_through:
            return self.values.mm("deep")
        corner = self.panel.places([self.first_place])
        x, y = self.setting.frame.eye.see(corner + self.carried)[0].tolist()
        return distance(self.first_at, Point(x, y))

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Which corner of the first one its depth begins at."""
        level = self.setting.frame.level_mm if self.panel.is_level else None
        return {**super().spoken, "first_look": corner_look(self.page[0], self.route(0).first, level)}

    @cached_property
    def _routes(self) -> tuple[Route, ...]:
        return routes(self.panel, np.array([[at.xy for at in corners] for corners in self.page]))

    def route(self, number: int) -> Route:
        """Return from which corner one of them is carried out of the face, and in which order its sides follow."""
        return self._routes[number]

    @property
    def first_place(self) -> FacePlace:
        """The corner of the first one that is carried out of the face first, as shares of the face."""
        return self.layout.rectangles[0][self.route(0).first]

    @property
    def first_at(self) -> Point:
        """Where that lies on the page."""
        return self.page[0][self.route(0).first]

    @property
    def _is_mirrored(self) -> bool:
        """Whether the corners run clockwise as seen from outside."""
        along, up = (np.array(axis) for axis in self.panel.axes)
        assert self.panel.outward is not None
        # The eye's world is left-handed: z leads away from the viewer.
        return bool(np.cross(along, up) @ np.array(self.panel.outward) > 0)

    def shown_corners(self, number: int) -> list[str]:
        """Return the sharp corners of a form at sides that show: there edges lead out of the face that are seen.

        A side shows whose corners run round on the page as the eye sees outer faces.
        """
        turn, sides, eye = -1 if self._is_mirrored else 1, self.form.sides, self.setting.frame.eye
        wall = self.panel.places([within(self.layout.rectangles[number], PLACES[side.start]) for side in sides])
        at = [[Point(x, y) for x, y in eye.see(end).tolist()] for end in (wall, wall + self.carried)]
        shown = set[str]()
        for i, side in enumerate(sides):
            j = (i + 1) % len(sides)
            if not side.pole and turn * signed_area((at[1][j], at[1][i], at[0][i], at[0][j])) > 0:
                shown |= {side.start, side.end}
        return [name for name in self.form.sharp if name in shown]


def _spans(page: Array) -> Spans:
    """Return from where to where, of places on the page that belong together two by two."""
    places = [Point(x, y) for x, y in page.tolist()]
    return tuple(zip(places[::2], places[1::2], strict=True))
