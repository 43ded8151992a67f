"""What becomes of an exercise when a part is set down in it: in any kind of view, as large as it was or otherwise?

What a block is long, wide and high in the world is kept; its measures on the page follow from where it comes to stand.
From one point to two, the front becomes the right side and what goes away the left one; a part may come to stand
mirrored.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from orthopsis.core.document.document import MOST_THINGS, Exercise
from orthopsis.core.document.parts import JoinedBy
from orthopsis.core.document.thing_models import THING_MODELS, ThingDocument
from orthopsis.core.editing.edit_document import free_id
from orthopsis.core.editing.edit_things import free_name
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.landing import landed_together
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import prepare, setting_of
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.outline import scaled, size
from orthopsis.core.things.parameters import FIRST_CORNER, Length, Shape, Value
from orthopsis.core.things.registry import KINDS
from orthopsis.core.view.frame import ViewKind

TO_CORNER: Mapping[JoinedBy, JoinedBy] = {
    "face_right": "face_left", "beside_right": "against_right", "behind": "against_left", "in_line": "in_line_left",
    "alley": "alley_left", "face_round_front": "face_round_right",
}  # fmt: skip
TO_FRONT: Mapping[JoinedBy, JoinedBy] = {
    "against_right": "beside_right", "against_left": "behind", "in_line_left": "in_line", "in_line_right": "in_line",
    "alley_left": "alley", "alley_right": "alley", "face_round_right": "face_round_front",
}  # fmt: skip
"""How what stands by another thing is joined to it, from one point to more, and back; fronts see ``_joined_by``."""


def set_down(exercise: Exercise, part: Exercise, view: str = "") -> Exercise:
    """Return the exercise with the things of a part, where they are seen, clear of the others.

    Args:
        view: the name of the view in which it comes to stand; of the last thing where there is none of that name.

    Raises:
        GeometryError: no things, too many, or one that cannot be drawn in this kind of view.
    """
    if len(exercise.things) + len(part.things) > MOST_THINGS:
        raise GeometryError(
            "too_many_things",
            f"An exercise holds at most {MOST_THINGS} things.",
            "Remove some, or begin another sheet.",
        )
    if not part.things:
        raise GeometryError("no_things", f"There is nothing in “{part.title}”.", "Choose another part.")
    names = {v.name for v in exercise.views}
    last = exercise.things[-1].view if exercise.things else ""
    chosen = setting_of(exercise, view if view in names else last)
    down = _Down(exercise, part, chosen.frame.name)
    _check_kinds(part, down.kind)
    # What has no first corner, such as land about the point, comes to lie where its measures say.
    is_placed = any(KINDS[thing.kind].has_first_corner for thing in part.things)
    things = landed_together(exercise, down.at, chosen) if is_placed else down.at(None, 1.0)
    return exercise.model_copy(update={"things": (*exercise.things, *things)})


def _check_kinds(part: Exercise, kind: ViewKind) -> None:
    """Refuse things that cannot stand in a kind of view, or whose measures cannot be carried over to it."""
    for placed in prepare(part).things:
        is_carried = kind == part.views[0].kind or placed.kind.hangs or placed.standing.shape
        if kind not in placed.kind.in_view or not is_carried:
            where = VIEWS[part.views[0].kind].title.lower()
            raise GeometryError(
                "cannot_stand_here",
                f"“{placed.values.name}” of “{part.title}” cannot be drawn in this kind of view as it is.",
                f"Set it down on a sheet with {where}.",
                about="view",
            )


@dataclass(frozen=True, slots=True)
class _Down:
    """A part that is set down in a view of an exercise."""

    exercise: Exercise
    part: Exercise
    view: str

    @property
    def kind(self) -> ViewKind:
        """The kind of view in which it is set down."""
        return next(view.kind for view in self.exercise.views if view.name == self.view)

    def at(self, place: tuple[float, float] | None, times: float) -> tuple[ThingDocument, ...]:
        """Return the things of the part so many times as large, the first corner of the first one at a place, mm.

        Raises:
            GeometryError: they cannot stand there.
        """
        before = prepare(self.part).things
        names, ids = self._names(), self._ids()
        first = next((one.values.first for one in before if one.kind.has_first_corner), Point(0.0, 0.0))
        x, y = place or first.xy
        done: list[ThingDocument] = []
        hosts = dict[int, tuple[Placed, Placed]]()
        for placed, thing in zip(before, self.part.things, strict=True):
            shift, joined_by = (x - first.x, y - first.y), self._joined_by(thing, hosts.get(thing.joined_to))
            done.append(self._provisional(placed, thing, names[thing.id], ids, shift, times, joined_by))
            alone = self.exercise.model_copy(update={"things": tuple(done), "steps": ()})
            there = prepare(alone).things[-1]
            done[-1] = self._as_large(done[-1], placed, there, times, hosts.get(thing.joined_to))
            hosts[thing.id] = placed, there
        return tuple(done)

    def _ids(self) -> dict[int, int]:
        """Return the id that each thing has there."""
        first = free_id(self.exercise)
        return {thing.id: number for number, thing in enumerate(self.part.things, start=first)}

    def _names(self) -> dict[int, str]:
        """Return what each thing is called there: as before, where that is free."""
        taken = {thing.name for thing in self.exercise.things}
        names = {}
        for thing in self.part.things:
            name = thing.name
            if name in taken:
                name = free_name((name.rstrip("0123456789 ") or name)[:30], taken)
            names[thing.id] = name
            taken.add(name)
        return names

    def _provisional(
        self,
        placed: Placed,
        thing: ThingDocument,
        name: str,
        ids: Mapping[int, int],
        shift: tuple[float, float],
        times: float,
        joined_by: JoinedBy,
    ) -> ThingDocument:
        """Return a thing at its place, joined as it was, with lengths on the page that are only a beginning."""
        kind, is_same = KINDS[thing.kind], self.kind == self.part.views[0].kind
        held: dict[str, Value] = dict(placed.values.held) if is_same or kind.hangs else self._fresh(placed)
        if kind.lies_on_face and placed.setting.panel is not None and placed.setting.panel.is_level and self._is_turned:
            held |= placed.standing.turned()
        held = {own: self._times(thing, own, value, times) for own, value in held.items()}
        fields: dict[str, Any] = {"name": name, "id": ids[thing.id], "view": self.view}
        fields |= {"joined_to": ids.get(thing.joined_to, 0), "joined_by": joined_by}
        fields["gap_mm"] = thing.gap_mm * times
        if not kind.hangs and kind.has_first_corner:
            left, bottom = (p.name for p in FIRST_CORNER)
            division = setting_of(self.exercise, self.view).sheet.division_mm
            first = placed.values.first
            held |= {left: round_to(first.x + shift[0], division), bottom: round_to(first.y + shift[1], division)}
        return THING_MODELS[thing.kind].model_validate({**held, **fields})

    def _fresh(self, placed: Placed) -> dict[str, Value]:
        """Return values for a new thing of a kind in this view, with what of another one is its own everywhere."""
        setting = setting_of(self.exercise, self.view)
        return {**placed.kind.in_view[self.kind].place(setting, 0), **placed.standing.kept}

    def _times(self, thing: ThingDocument, name: str, value: Value, times: float) -> Value:
        parameter = KINDS[thing.kind].parameter(name)
        if isinstance(parameter, Shape) and not isinstance(value, str | float | int):
            wide, tall = size(value)
            return scaled(value, wide * times, tall * times)
        if not isinstance(parameter, Length) or parameter in FIRST_CORNER:
            return value
        return min(max(float(value) * times, parameter.least_mm), parameter.most_mm)  # type: ignore[arg-type]

    def _joined_by(self, thing: ThingDocument, host: tuple[Placed, Placed] | None) -> JoinedBy:
        """Return how a thing is joined to its host there; what is on the front of that comes on its front again.

        Args:
            host: what it is joined to, as it was and there.
        """
        if not self._is_turned:
            return thing.joined_by
        if host is not None and thing.joined_by == f"face_{host[0].standing.front}":
            return f"face_{host[1].standing.front}"
        return (TO_FRONT if self.kind == "one_point" else TO_CORNER).get(thing.joined_by, thing.joined_by)

    @property
    def _is_turned(self) -> bool:
        """Whether it comes from one point to more, or back."""
        return (self.part.views[0].kind == "one_point") != (self.kind == "one_point")

    def _as_large(
        self, thing: ThingDocument, before: Placed, there: Placed, times: float, host: tuple[Placed, Placed] | None
    ) -> ThingDocument:  # fmt: skip
        """Return a thing with the measures on the page with which it is as large in the world as it was."""
        shape = {name: mm * before.factor * times / there.factor for name, mm in before.standing.shape.items()}
        values = dict(there.standing.of_shape(shape)) if shape else {}
        division = there.setting.sheet.division_mm
        changed: dict[str, Value] = {}
        for name, value in {**_lengths(thing), **values}.items():
            if name in there.given:
                continue
            parameter = KINDS[thing.kind].parameter(name)
            if isinstance(parameter, Length) and not isinstance(value, str) and isinstance(value, float | int):
                value = min(max(round_to(value, division), division, parameter.least_mm), parameter.most_mm)
            changed[name] = value
        return thing.model_copy(update={**changed, "gap_mm": self._gap(thing, before, there, times, host)})

    def _gap(
        self, thing: ThingDocument, before: Placed, there: Placed, times: float, host: tuple[Placed, Placed] | None
    ) -> float:  # fmt: skip
        """Return how far in line with another it stands, so that it is as far in the world."""
        lines = [one.setting.anchor.in_line if one.setting.anchor is not None else None for one in (before, there)]
        if lines[0] is None or lines[1] is None or there.setting.anchor is None or before.setting.anchor is None:
            return thing.gap_mm
        assert host is not None
        one, two = lines[0], lines[1]
        share = one.gap_mm / distance(before.setting.anchor.at, one.goal)
        eyes = before.setting.frame.eye, there.setting.frame.eye
        far = eyes[0].world_length(one.goal, share) * one.depth / eyes[0].distance_mm * host[0].factor * times
        share = eyes[1].page_share(two.goal, far * eyes[1].distance_mm / two.depth / host[1].factor)
        return round_to(share * distance(there.setting.anchor.at, two.goal), there.setting.sheet.division_mm)


def _lengths(thing: ThingDocument) -> dict[str, Value]:
    own = KINDS[thing.kind].parameters
    return {p.name: getattr(thing, p.name) for p in own if isinstance(p, Length) and p not in FIRST_CORNER}
