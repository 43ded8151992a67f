"""Where does the shadow of a block with a roof fall on the ground?

Corners are those of the block (see ``shape``) and the ends of the ridge: ``RIDGE``, and ``RIDGE_BEHIND``, the other end
where it is not one tip. Block and roof together are convex: what bounds their shadow bounds the feet and the shadows of
all tops. Which roofs there are, ``roof_shapes`` says.
"""

from abc import abstractmethod
from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.shadow.shape import SAME_LINE_MM, ShadowShape, Upright
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

RIDGE, RIDGE_BEHIND = 4, 5
FREE = "free"


class RoofedShape(ShadowShape):
    """The shadow of a block with a roof, on the plane of the block's foot."""

    @property
    @abstractmethod
    def tops(self) -> tuple[str, ...]:
        """What the ends of the ridge are called within the roof."""

    @property
    @abstractmethod
    def unders(self) -> tuple[str, ...]:
        """Full names of the marks on the ground straight under these; empty where the hand needs none."""

    @property
    def ridge_way(self) -> Way:
        """Which way the ridge runs, where there is one."""
        raise NotImplementedError

    @cached_property
    def ridge(self) -> Array:
        """The ends of the ridge in the world, shape (n, 3)."""
        solid = self.roof.solid
        return solid.places[[solid.index(top) for top in self.tops]]

    @cached_property
    def roof(self) -> Standing:
        """The roof."""
        return next(cast for cast in self.setting.casts if cast.anchor.thing == self.anchor.thing)

    @cached_property
    def feet(self) -> Array:
        """The corners of the foot, and what lies straight under the ends of the ridge, in the world, shape (n, 3)."""
        corners, normal = super().feet, self.up / np.linalg.norm(self.up)
        return np.vstack((corners, self.ridge - np.outer((self.ridge - corners[0]) @ normal, normal)))

    @cached_property
    def uprights(self) -> tuple[Upright, ...]:
        """The uprights of the block, and those under the ends of the ridge."""
        see, tops = self.setting.frame.eye.see, map(self.roof.values.full, self.tops)
        ends = zip(self.unders, tops, see(self.feet[RIDGE:]).tolist(), see(self.ridge).tolist(), strict=True)
        return (*super().uprights, *(Upright(foot, top, Point(*low), Point(*high)) for foot, top, low, high in ends))

    @cached_property
    def shades(self) -> Array:
        """The shadows of the tops and of the ends of the ridge in the world, shape (n, 3)."""
        over = self.ridge[0] - self.feet[RIDGE]
        return np.vstack((self.cast(self.feet[:RIDGE], self.up), self.cast(self.feet[RIDGE:], over)))

    @cached_property
    def _aside_and_ahead(self) -> Array:
        """The two ways along the ground in the world, shape (3, 2): across the way of the shadow, and along it."""
        ahead = self.shades[0] - self.feet[0]
        aside = np.cross(self.up, ahead)
        return np.column_stack([way / np.linalg.norm(way) for way in (aside, ahead)])

    @cached_property
    def chain(self) -> tuple[int, ...]:
        """The corners whose shadows bound it: of the block's ends, and what lies beyond the line between them."""
        wide, far = (self.shades @ self._aside_and_ahead).T
        first, last = (self._farthest_at(extreme, wide, far) for extreme in (wide.max(), wide.min()))
        result = [first]
        for i in sorted(range(len(wide)), key=lambda i: (-wide[i], -far[i])):
            is_between = not self._is_at(wide[i], wide[first]) and not self._is_at(wide[i], wide[last])
            if not is_between and i != last:
                continue
            while len(result) > 1 and not self._turns(result[-2], result[-1], i, wide, far):
                result.pop()
            result.append(i)
        return tuple(result)

    @cached_property
    def end_feet(self) -> tuple[int, int]:
        """The corners of the foot from which its outline begins: of a gable in line with the light the farther one."""
        wide, far = (self.feet @ self._aside_and_ahead).T
        first, last = (self._farthest_at(wide[end], wide[:RIDGE], far) for end in (self.chain[0], self.chain[-1]))
        return first, last

    @classmethod
    def _farthest_at(cls, place: float, wide: Array, far: Array) -> int:
        """Return which of those that lie so far aside lies farthest along."""
        return max((i for i in range(len(wide)) if cls._is_at(wide[i], place)), key=lambda i: float(far[i]))

    @staticmethod
    def _is_at(wide: float, place: float) -> bool:
        return abs(wide - place) <= SAME_LINE_MM * (1 + abs(place))

    @staticmethod
    def _turns(one: int, two: int, three: int, wide: Array, far: Array) -> bool:
        """Tell whether the way from one place to another and on to a third bends toward what casts the shadow."""
        ways = (wide[two] - wide[one], far[two] - far[one]), (wide[three] - wide[two], far[three] - far[two])
        bend = ways[0][0] * ways[1][1] - ways[0][1] * ways[1][0]
        return bool(bend > SAME_LINE_MM * np.hypot(*ways[0]) * np.hypot(*ways[1]))

    @property
    def is_around(self) -> bool:
        """A sun never stands over it."""
        return False

    @cached_property
    def climb(self) -> None:
        """It stands in no room."""
        return None

    def way_between(self, corner: int, other: int) -> Way:
        """Return which way the edge between two corners runs; one from a corner of the block to the ridge runs free."""
        if {corner, other} == {RIDGE, RIDGE_BEHIND}:
            return self.ridge_way
        if max(corner, other) < RIDGE:
            return super().way_between(corner, other)
        return Way(FREE, self.page[other])

    def has_top(self, corner: int) -> bool:
        """Tell whether the upper end of an upright, or of the ridge, is there, and its ray crosses well."""
        if corner < RIDGE:
            return super().has_top(corner)
        return self.crosses_well(self.uprights[corner].at_foot, self.uprights[corner].at_top)

    @cached_property
    def carried(self) -> Mapping[int, int]:
        """The corners of the block with hidden tops, each with the one beside it from which its shadow is found.

        In order: where all tops beside one are hidden too, the shadow of one of these is found first.
        """
        found = {i: i for i in range(RIDGE) if self.has_top(i)}
        reached = sorted(found, key=lambda i: i not in self.chain)
        for here in reached:
            for there in ((here - 1) % RIDGE, (here + 1) % RIDGE):
                if there not in found:
                    found[there] = here
                    reached.append(there)
        needed = {i for i in self.chain if i < RIDGE}
        for corner in reversed(reached):
            if corner in needed:
                needed.add(found[corner])
        return {corner: found[corner] for corner in reached if corner in needed and found[corner] != corner}

    @property
    def carried_ways(self) -> list[Way]:
        """Which way the edges run that lead to the shadows of hidden tops."""
        return [self.way_between(*pair) for pair in self.carried.items()]

    @property
    def ends(self) -> list[int]:
        """The ends of the ridge that bound the shadow."""
        return [i for i in self.chain if i >= RIDGE]

    @property
    def end_word(self) -> str:
        """Which end of the ridge it is that bounds the shadow alone, as one sees it."""
        one, other = (self.uprights[i].at_top for i in (RIDGE, RIDGE_BEHIND))
        is_first = RIDGE in self.chain
        if abs(one.x - other.x) > abs(one.y - other.y):
            return "left" if (one.x < other.x) is is_first else "right"
        near, far = self.ridge[:, 2].tolist()
        return "near" if (near < far) is is_first else "far"

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also the roof."""
        return {**super().spoken, "roof": self.roof.values.name}
