"""The shape of a flight of stairs: a stepped outline on one side of its plan, carried across to the other side.

Both sides have the same corners: ``in.0`` at the foot, ``nose.0`` over it at the front of the first tread, ``in.1``
where that tread meets the next riser, and so on to ``in.n`` at the top; ``end`` lies under that. The ``near`` side
begins at the first corner of the plan, the ``far`` one lies over against it. The inner corners of a side lie on one
line, its slope line. The lower edge of a stringer leads from ``string.foot``, under ``in.1``, to ``string.head``, a
riser below the top: it runs as the slope line does.
"""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.things.answers import Called, Spoken
from orthopsis.core.things.climbing import FAR, NEAR, Climbing
from orthopsis.core.things.seamed import Seam
from orthopsis.core.view.aim import Aim
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.vocabulary import counted

OVER_BY = {"carried": "by carrying the top over", "slope": "by the point of their slope"}
STRINGS = {"none": "no stringer", "sides": "a stringer on each side"}
STEPS = {str(count): f"{count} steps" for count in range(2, 13)}


class StairsShape(Climbing):
    """A flight of stairs."""

    is_convex = False

    @property
    def count(self) -> int:
        """How many steps there are."""
        return int(self.values.word("steps"))

    @property
    def has_stringers(self) -> bool:
        """Whether a board runs along each side, under the steps."""
        return self.values.word("string") == "sides"

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also its risers."""
        return {
            **super().spoken,
            "riser": self.values.mm("rise") / self.count,
            "steps_words": counted(self.count, "riser"),
            "steps_count": str(self.count),
            "ahead_point": "" if self.ahead.goal.is_ideal else Called(self.ahead.family),
        }

    @cached_property
    def slope_aim(self) -> Aim | None:
        """The point to which both slope lines run, straight over the one to which it climbs; none if it is not used.

        On every floor and deck a flight climbs away from the viewer, or parallel to the picture: then it has none, and
        its slope lines are parallel on the page.
        """
        if self.values.word("over_by") == "carried" or self.ahead.goal.is_ideal:
            return None
        foot, top = (self.world[self.corner(NEAR, name)] for name in ("in.0", f"in.{self.count}"))
        x, y, z = (top - foot).tolist()
        point = self.setting.frame.eye.vanishing_point((x, y, z))
        return Aim(self.values.full("slope_above"), point, "slope_above", self.values.name)

    @property
    def aims(self) -> tuple[Aim, ...]:
        """The point of its slope."""
        return () if self.slope_aim is None else (self.slope_aim,)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world."""
        count, places = self.count, dict(self.feet)
        up = self.risen(self.values.mm("rise"))
        for side in (NEAR, FAR):
            foot, end = places[self.plan[f"{side}.in.0"]], places[self.plan[f"{side}.end"]]
            for i in range(count):
                places[self.corner(side, f"nose.{i}")] = foot + (end - foot) * (i / count) + up * ((i + 1) / count)
                places[self.corner(side, f"in.{i + 1}")] = foot + ((end - foot) + up) * ((i + 1) / count)
            if self.has_stringers:
                places[self.corner(side, "string.foot")] = foot + (end - foot) / count
                places[self.corner(side, "string.head")] = end + up * ((count - 1) / count)
        return places

    @cached_property
    def _outlines(self) -> Mapping[str, tuple[str, ...]]:
        """The corners of its faces, by their names."""
        last, near, far = self.count, NEAR, FAR
        c = self.corner

        def profile(side: str) -> tuple[str, ...]:
            steps = [c(side, name) for i in reversed(range(last)) for name in (f"nose.{i}", f"in.{i}")]
            return (c(side, "end"), c(side, f"in.{last}"), *steps)

        found = {"near_side": profile(near), "far_side": profile(far)[::-1]}
        for i in range(last):
            found[f"riser.{i}"] = c(far, f"in.{i}"), c(near, f"in.{i}"), c(near, f"nose.{i}"), c(far, f"nose.{i}")
            found[f"tread.{i}"] = (
                c(near, f"nose.{i}"), c(near, f"in.{i + 1}"), c(far, f"in.{i + 1}"), c(far, f"nose.{i}"),
            )  # fmt: skip
        found["back"] = c(near, "end"), c(far, "end"), c(far, f"in.{last}"), c(near, f"in.{last}")
        found["under"] = c(far, "in.0"), c(far, "end"), c(near, "end"), c(near, "in.0")
        return found if self.climbs_along else {name: corners[::-1] for name, corners in found.items()}

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        return self._outlines[face]

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: both sides, risers and treads, the back and where it stands."""
        side, back, over, front = self.sides_turned
        steps = {f"{kind}.{i}": turned for i in range(self.count) for kind, turned in
                 (("riser", front), ("tread", "top"))}  # fmt: skip
        return {"near_side": side, "far_side": over, **steps, "back": back, "under": "bottom"}

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges."""
        ahead, across, up, last = self.ahead.family, self.across.family, self.panel.out.family, self.count
        c, found = self.corner, dict[str, Seam]()
        for side in (NEAR, FAR):
            face = f"{side}_side"
            found[f"{side}.foot"] = Seam(c(side, "in.0"), c(side, "end"), ahead, (face, "under"))
            found[f"{side}.back"] = Seam(c(side, "end"), c(side, f"in.{last}"), up, (face, "back"))
            for i in range(last):
                ends = c(side, f"in.{i}"), c(side, f"nose.{i}"), c(side, f"in.{i + 1}")
                found[f"{side}.riser.{i}"] = Seam(ends[0], ends[1], up, (face, f"riser.{i}"))
                found[f"{side}.tread.{i}"] = Seam(ends[1], ends[2], ahead, (face, f"tread.{i}"))
        for side in (NEAR, FAR) if self.has_stringers else ():
            slope = self.slope_aim.name if self.slope_aim is not None else "free"
            board = c(side, "string.foot"), c(side, "string.head")
            found[f"{side}.string"] = Seam(*board, slope, (f"{side}_side",), "slope")
        for i in range(last + 1):
            beside = (f"tread.{i - 1}" if i else "under", f"riser.{i}" if i < last else "back")
            found[f"across.in.{i}"] = Seam(c(NEAR, f"in.{i}"), c(FAR, f"in.{i}"), across, beside)
        for i in range(last):
            noses = c(NEAR, f"nose.{i}"), c(FAR, f"nose.{i}")
            found[f"across.nose.{i}"] = Seam(*noses, across, (f"riser.{i}", f"tread.{i}"))
        found["across.end"] = Seam(c(NEAR, "end"), c(FAR, "end"), across, ("back", "under"))
        return found
