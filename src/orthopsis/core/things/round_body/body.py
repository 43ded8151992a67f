"""A round body as a thing: its sentence, its moves, its handles."""

from collections.abc import Mapping
from dataclasses import replace

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel, RoundWall
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.round_body.recipe import recipe
from orthopsis.core.things.round_body.shape import FORMS, RoundShape
from orthopsis.core.things.setting import Setting

_TAPERED = tuple(name for name, form in FORMS.items() if form.has_narrow_foot or form.has_narrow_rim)
_STRAIGHT = tuple(name for name, form in FORMS.items() if form.is_straight)
_TIPPED = tuple(name for name, form in FORMS.items() if form.has_tip)
_LIDDED = tuple(name for name in FORMS if name not in _TIPPED)


class RoundBody(RoundShape):
    """A round body on a level face."""

    sentence: tuple[Clause, ...] = (
        Clause("Its square, free, taken, free: {along} along the top, {up} up it. It is {form}"),
        Clause(", there {narrow}", {"form": _TAPERED}),
        Clause(", {rise} tall over the middle of its square.", {"form": _TIPPED}),
        Clause(", {rise} tall. At its top it is {inside}.", {"form": _LIDDED}),
        Clause(" It has {bands}.", {"form": _STRAIGHT}),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more: in the middle of the top."""
        return {"along": "1:2:1", "up": "1:2:1", "rise": round_to(setting.fresh_size / 2, setting.sheet.division_mm)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of its square, and its height."""
        if not self.form.has_tip:
            return {**self.part_handles, "rise": self.rise_handle}
        return {**self.part_handles, "rise": Handle("Change its height", self._tip, ("rise",), self._drag_tip)}

    @property
    def _tip(self) -> Point:
        return self._seen((self.middle + self.rising)[None])[0]

    def _drag_tip(self, at: Point) -> Mapping[str, Value]:
        return {"rise": max(self.tip_upward.reached_mm(at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points its height is measured."""
        if self.form.has_tip:
            return {"rise": (self.tip_upward.foot, self._tip)}
        return super().spans

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The square about its top, where that is closed, for another round body; its wall; the ground."""
        found = {} if self.panel.is_round else {"ground": replace(self.foot, is_round=True).ground}
        if self.form.is_straight:
            found |= self._round_walls
        if self.form.has_tip or self.is_hollow:
            return found
        return {"top": replace(self.lid, face="rim", is_drawn=True, is_round=True), **found}

    @property
    def _round_walls(self) -> dict[str, Panel]:
        """The sides of its box that show, each with the half of its wall behind it."""
        centres, found = (self.values.full("base.middle"), self.values.full("rim.middle")), dict[str, Panel]()
        known = tuple(zip(centres, self._seen(np.stack((self.middle, self.middle + self.rising))), strict=True))
        for side, wall in self.seen_walls:
            assert wall.back is not None
            near = [
                across for across, deep in (self._on_wall(side, node.place) for node in self.nodes) if deep <= 1 / 2
            ]
            round_wall = RoundWall(False, centres, (), known, wall.back.vector, tuple(sorted(near)))
            # The upright of the box over the corner against the first one is drawn only where the hand goes round.
            is_drawn = self.goes_round or side in ("low", "near")
            shown = {"says": f"{wall.says} of the box", "is_drawn": is_drawn, "round_wall": round_wall}
            found[f"round_{wall.turned}"] = replace(wall, **shown)  # type: ignore[arg-type]
        return found

    @staticmethod
    def _on_wall(side: str, place: FacePlace) -> FacePlace:
        """Return how far across a wall of its box, and how deep behind it, a place of its square is, as shares."""
        x, y = place
        return {"low": (x, y), "far": (y, 1 - x), "high": (x, 1 - y), "near": (y, x)}[side]
