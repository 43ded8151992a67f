"""Where do forms lie on a face, and what of them is seen on the page?"""

import itertools
import math
from collections.abc import Mapping, Sequence
from dataclasses import replace
from functools import partial

from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import Arc, FacePlace
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.things.answers import Crowded, Spoken
from orthopsis.core.things.rectangles.bars import Bars, bars_of
from orthopsis.core.things.rectangles.forms import CENTRE, FORMS, PLACES, Form, Node, Touching, nodes_of
from orthopsis.core.things.rectangles.layout import Corners, Layout, layout_of, within
from orthopsis.core.things.rectangles.shutters import Shutters, shutters_of
from orthopsis.core.things.rectangles.solid import part_name
from orthopsis.core.things.through import GoesThrough
from orthopsis.core.wording.form_steps import ALONE, OF_SEVERAL

MOST_CURVED = 60
"""So many round forms are drawn at most on a face: more would take long, on paper and here."""


class RectangleShapes(GoesThrough):
    """Forms on a face, each in its rectangle."""

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """What the form is called that is told fully."""
        return {**super().spoken, **(OF_SEVERAL if len(self.layout.rectangles) > 1 else ALONE)}

    @cached_property
    def layout(self) -> Layout:
        """Where they lie on the face.

        Raises:
            GeometryError: they are sunk in, and nothing would be left of the wall at the rim or between them; or they
            are not flat on a slope.
        """
        if not self.is_flat and self.panel.is_sloping:
            raise self.flat_only()
        layout = layout_of(self.values, self.ruler)
        if self.form.is_curved and len(layout.rectangles) > MOST_CURVED:
            raise GeometryError(
                "too_many_curves",
                f"{len(layout.rectangles)} curved forms are too many to draw.",
                f"Take at most {MOST_CURVED}.",
                about="rows",
                nearest=str(max(1, MOST_CURVED // len(layout.along))),
            )
        if self.is_sunk:
            # A door may reach the ground.
            self._check_wall("along", "wide", layout.along, 0.0)
            self._check_wall("up", "tall", layout.up, -1.0 if self.panel.around[0] == "bottom" else 0.0)
        return layout

    @cached_property
    def bars(self) -> Bars | None:
        """The bars in them; only what lies flat on the face has some.

        Raises:
            GeometryError: such a form has none of that kind.
        """
        return bars_of(self.values.name, self.values.word("bars"), self.form) if self.is_flat else None

    @cached_property
    def shutters(self) -> Shutters | None:
        """The shutters beside windows; only a rectangle in the wall, or flat on it, has any.

        Raises:
            GeometryError: they have no room.
        """
        if self.values.word("beside") != "shutters" or not self.form.is_whole or self.values.word("relief") == "out":
            return None
        at_width = partial(self._layout_with, "wide")
        return shutters_of(self.values.name, self.layout, self.ruler.marks[0], at_width)

    def _layout_with(self, name: str, word: str) -> Layout:
        """Return where they would lie if one of their values were another."""
        return layout_of(replace(self.values, held={**self.values.held, name: word}), self.ruler)

    def _check_wall(self, part: str, size: str, taken: Sequence[tuple[float, float]], begin: float) -> None:
        """Refuse what would leave nothing of the wall, along or up."""
        why = ""
        if not (begin < taken[0][0] - SAME_SHARE and taken[-1][1] + SAME_SHARE < 1.0):
            why, fix = f"through the edge of the {self.panel.says}", "Leave some of the face free there."
            about, nearest = part, "1:6:1"
        elif any(after[0] - before[1] <= SAME_SHARE for before, after in itertools.pairwise(taken)):
            why, fix = "into each other", "Make each less than the whole of its part."
            about, nearest = size, "three quarters"
        if why:
            text = f"“{self.values.name}” would be sunk {why}."
            raise GeometryError("no_wall_left", text, fix, about=about, nearest=nearest)

    @property
    def form(self) -> Form:
        """Which form lies in each rectangle."""
        return FORMS[self.values.word("form")]

    @property
    def is_flat(self) -> bool:
        """Whether they lie flat on the face."""
        return self.values.word("relief") == "flat"

    @property
    def has_twelve(self) -> bool:
        """Whether its curves are drawn through twelve points of a whole circle."""
        return self.form.is_curved and self.values.word("points") == "twelve"

    @property
    def is_sunk(self) -> bool:
        """Whether they are sunk into the face or through the body; else they stand out of it, or lie flat."""
        return self.values.word("relief") in ("in", "through", "open")

    @property
    def is_through(self) -> bool:
        """Whether they go right through the body, so that one sees what is behind it."""
        return self.values.word("relief") == "through"

    @property
    def is_open(self) -> bool:
        """Whether they are openings in the wall of a room, as thick as is measured, so that one sees out."""
        return self.values.word("relief") == "open"

    @property
    def is_measured(self) -> bool:
        """Whether a measure says how far they stand out or are sunk in."""
        return not (self.is_flat or self.is_through)

    @cached_property
    def page(self) -> tuple[tuple[Point, ...], ...]:
        """The corners of each on the page, where they lie on the face."""
        shares = [corner for corners in self.layout.rectangles for corner in corners]
        seen = [Point(x, y) for x, y in self.setting.frame.eye.see(self.panel.places(shares)).tolist()]
        return tuple(tuple(seen[i : i + 4]) for i in range(0, len(seen), 4))

    @property
    def reveals(self) -> tuple[tuple[str, str], ...]:
        """The straight sides of openings that are sunk into the wall or go through it, each with the one behind."""
        if not self.is_sunk:
            return ()
        straight = [side.name for side in self.form.sides if not side.pole]
        parts = [part_name(number) for number in range(len(self.layout.rectangles))]
        return tuple((f"{part}.{side}", f"{part}.front.{side}") for part in parts for side in straight)

    @property
    def doorway(self) -> tuple[FacePlace, ...]:
        """The foot and the top of the first one, where it begins at the foot of the face."""
        low, _, _, high = self.layout.rectangles[0]
        return (low, high) if low[1] <= 0 else ()

    @property
    def crowded(self) -> tuple[Crowded, ...]:
        """How near their sides come to each other on the page, along the face and up it."""
        return tuple(
            Crowded(name, self._nearest_mm(name, self.layout), partial(self._fewer, name))
            for name in ("columns", "rows")
        )

    def _nearest_mm(self, name: str, layout: Layout) -> float:
        """Return how near two sides come to each other on the page, those along the face or those up it."""
        along, up = layout.along, layout.up
        taken = along if name == "columns" else up
        shares = [(share, (up[0][0] + up[-1][1]) / 2) for part in along for share in part]
        if name == "rows":
            shares = [((along[0][0] + along[-1][1]) / 2, share) for part in up for share in part]
        seen = [Point(x, y) for x, y in self.setting.frame.eye.see(self.panel.places(shares)).tolist()]
        gaps = [distance(a, b) for a, b in itertools.pairwise(seen)]
        # Where each is as wide as its part, two sides are one line.
        apart = [
            gap for gap, (a, b) in zip(gaps, itertools.pairwise(s for p in taken for s in p), strict=True) if b > a
        ]
        return min(apart, default=math.inf)

    def _fewer(self, name: str, apart_mm: float) -> int:
        for count in range(int(self.values.word(name)) - 1, 0, -1):
            if self._nearest_mm(name, self._layout_with(name, str(count))) >= apart_mm:
                return count
        return 0

    @cached_property
    def nodes(self) -> tuple[tuple[Node, ...], ...]:
        """The corners of each form, and of the plane pieces of its curves; places in shares of the rectangle."""
        form = self.form
        if not form.is_curved:
            return (nodes_of(form, ((),) * len(form.sides)),) * len(self.layout.rectangles)
        return tuple(nodes_of(form, self._touching(corners)) for corners in self.layout.rectangles)

    def _touching(self, corners: Corners) -> Touching:
        """Return where lines that lead out of the face touch the curves of one form from outside."""
        if self.is_flat or self.is_sunk:
            return ((),) * len(self.form.sides)
        result = list[tuple[float, ...]]()
        for side in self.form.sides:
            if not side.pole:
                result.append(())
                continue
            places = [within(corners, at) for at in (PLACES[side.start], PLACES[side.pole], PLACES[side.end], CENTRE)]
            seen = self.setting.frame.eye.see(self.panel.places(places)).tolist()
            result.append(tuple(Arc(*(Point(x, y) for x, y in seen)).touches(self.panel.out.goal)))
        return tuple(result)

    def side_name(self, number: int, side: str, end: str = "") -> str:
        """Return the full name of a side of a rectangle: the form's own, or that of a light one.

        Args:
            end: ``front.`` where it is carried out of the face, else empty.
        """
        light = "" if self.form.is_whole else "square."
        return self.values.full(f"{part_name(number)}.{end}{light}{side}")

    def edge_mm(self, number: int, begin: int, corner: int) -> float:
        """Return how long the edge is on the wall that leads from a corner to the next, right or up, else negative."""
        start, end = self.page[number][begin], self.page[number][corner]
        return distance(start, end) * (1 if end.x - start.x + end.y - start.y > 0 else -1)

    def touches(self, number: int) -> list[str]:
        """Return the places of a form's curves that lines touch which lead out of the face."""
        return [node.name for node in self.nodes[number] if node.is_sharp and node.name not in self.form.sharp]

    def touched(self, number: int) -> tuple[tuple[float, ...], ...]:
        """Return for each side of a form the angles between its ends at which it is touched, rad."""
        nodes = self.nodes[number]
        return tuple(
            tuple(node.angle for node in nodes if node.side == i and node.is_touched)
            for i in range(len(self.form.sides))
        )

    def touched_side(self, number: int, name: str) -> tuple[str, int] | None:
        """Return on which side a place lies that is touched, and which of its touches it is; none for a corner."""
        touched = [node for node in self.nodes[number] if node.is_sharp and node.name not in PLACES]
        node = next((node for node in touched if node.name == name), None)
        if node is None:
            return None
        mine = [other.name for other in touched if other.side == node.side]
        return self.form.sides[node.side].name, mine.index(name)
