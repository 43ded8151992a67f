"""The picture of a solved exercise: its points, lines, faces, handles and measures, as the screen takes them."""

from collections.abc import Iterator, Mapping, Sequence
from itertools import chain

from orthopsis.core.document.place import LAMP_FOOT, SUN, PlaceRef, thing_place, view_place
from orthopsis.core.drawing.answer import Aim, HandlePlace, MeasureMark, Picture, Place, SheetSize, TapedStrip
from orthopsis.core.drawing.built import Built, Marks
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.drawing.toned import toned_faces
from orthopsis.core.plane.homogeneous import Point, toward
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.scene.placed import GAP, Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sheet.strip import strips_for
from orthopsis.core.things.parameters import Length
from orthopsis.core.view.aim import AimRole


def picture(solved: Solved, *, is_moving: bool = False) -> Picture:
    """Return the picture of a solved exercise; the named points are left out while a hand moves something."""
    prepared = solved.prepared
    sheet = prepared.sheet
    aims = _aims(solved)
    marks = [_marks(prepared, *one) for one in zip(prepared.things, solved.built, strict=True)]
    return Picture(
        sheet=SheetSize(
            width_mm=sheet.width_mm,
            height_mm=sheet.height_mm,
            units=sheet.units,
            division_mm=sheet.division_mm,
            fold_mm=sheet.width_mm / 2 if prepared.exercise.sheet.fold == "folded" else None,
        ),
        eye_level_mm=prepared.eye_level_mm,
        vanishing_points={aim.name: aim.at for aim in aims},
        aims=aims,
        strips=[
            TapedStrip(
                side=s.side,
                aims=[aim.name for aim in aims if s.carries(aim.at)],
                at=(s.x, s.y),
                width_mm=s.width_mm,
                height_mm=s.height_mm,
            )
            for s in strips_for((aim.at for aim in aims), sheet)
        ],
        points={} if is_moving else _places(solved, aims),
        lines=list(solved.lines),
        faces=toned_faces(solved.prepared, solved.seen, solved.built),
        handles=[*_sheet_handles(prepared), *_light_handles(prepared), *chain(*(handles for handles, _ in marks))],
        measures=[*_sheet_measures(prepared), *chain(*(measures for _, measures in marks))],
    )


def _places(solved: Solved, aims: Sequence[Aim]) -> dict[str, Place]:
    """Return where the hand's points lie, by full name, those of the book of aims left out."""
    places: dict[str, Place] = {}
    for thing in solved.built:
        places.update(thing.places)
    for aim in aims:
        places.pop(aim.name, None)
    return places


def _aims(solved: Solved) -> list[Aim]:
    """Return the points of the book of aims that this sheet's moves have made, by name."""
    return [
        Aim(
            name=name,
            at=solved.board.points[name].xy,
            kind="vanishing" if aim.is_vanishing else "aid",
            label=solved.prepared.point_words(name),
            reads=_from_level(solved.prepared, solved.board.points[name]),
        )
        for name, aim in sorted(solved.prepared.aims.items())
        if name in solved.board.points
    ]


def _from_level(prepared: Prepared, at: Point) -> str:
    """Return how far a point lies over or under the eye level."""
    over = at.y - prepared.eye_level_mm
    if abs(over) <= SAME_POINT_MM:
        return ""
    return f"{prepared.length(round_to(abs(over), prepared.sheet.division_mm))} {'above' if over > 0 else 'below'}"


def _sheet_handles(prepared: Prepared) -> Iterator[HandlePlace]:
    """Yield the handles of the eye level and of the views."""
    level = prepared.eye_level_mm
    yield HandlePlace(id="eye_level", at=(0.0, level), says="Move the eye level", about="eye_level", shape="point")
    for i, (view, frame) in enumerate(zip(prepared.exercise.views, prepared.frames, strict=True)):
        for name, held in VIEWS[view.kind].handles.items():
            at, place = held.at(view, frame).xy, view_place(i, name)
            yield HandlePlace(id=place.path, at=at, says=held.says, about=place.whole.path, shape="point")


_LIGHT_SAYS: Mapping[AimRole, tuple[PlaceRef, str]] = {
    "light": (SUN, "Move the sun"),
    "lamp": (SUN, "Move the lamp"),
    "lamp_foot": (LAMP_FOOT, "Move the place under the lamp"),
}
"""The handles of the points that a light brings: their places, and what they do."""


def _light_handles(prepared: Prepared) -> Iterator[HandlePlace]:
    """Yield the handles of the light, in the first view in which a shadow needs its points."""
    # The sentence of the class says what the light is.
    about = PlaceRef("wording").path
    for aim in prepared.aims.values():
        if aim.role in _LIGHT_SAYS and aim.owner == prepared.frames[0].name:
            place, says = _LIGHT_SAYS[aim.role]
            yield HandlePlace(id=place.path, at=aim.at.xy, says=says, about=about, shape="point")


def _sheet_measures(prepared: Prepared) -> Iterator[MeasureMark]:
    """Yield the measures of the eye level and of the views."""
    level = prepared.eye_level_mm
    yield _mark(prepared, PlaceRef("eye_level", name="height_mm"), Point(0.0, 0.0), Point(0.0, level), level)
    for i, (view, frame) in enumerate(zip(prepared.exercise.views, prepared.frames, strict=True)):
        for held in VIEWS[view.kind].handles.values():
            at = held.at(view, frame)
            for field in held.measures:
                is_height = VIEWS[view.kind].places[field].kind == "height"
                start = Point(at.x, 0.0) if is_height else Point(0.0, at.y)
                yield _mark(prepared, view_place(i, field), start, at, getattr(view, field))


def _marks(prepared: Prepared, placed: Placed, thing: Built) -> Marks:
    """Return the handles and measures of a thing; the same ones while nothing of it changes."""
    return thing.marks.answer(
        (placed.index, placed.given, prepared.board),
        lambda: (tuple(_thing_handles(placed)), tuple(_thing_measures(prepared, placed))),
    )


def _thing_handles(placed: Placed) -> Iterator[HandlePlace]:
    place, anchor = thing_place(placed.index), placed.setting.anchor
    about = place.path
    if anchor is not None and anchor.in_line is not None:
        says = f"Change the gap: {placed.values.name}"
        foot = toward(anchor.at, anchor.in_line.goal, anchor.in_line.gap_mm)
        yield HandlePlace(id=place.of(GAP).path, at=foot.xy, says=says, about=about, shape="point")
    for name, handle in placed.standing.handles.items():
        if not set(handle.changes) <= placed.given:
            says = f"{handle.says}: {placed.values.name}"
            yield HandlePlace(id=place.of(name).path, at=handle.at.xy, says=says, about=about, shape=handle.shape)


def _thing_measures(prepared: Prepared, placed: Placed) -> Iterator[MeasureMark]:
    place, anchor = thing_place(placed.index), placed.setting.anchor
    if anchor is not None and (line := anchor.in_line) is not None:
        foot = toward(anchor.at, line.goal, line.gap_mm)
        yield _mark(prepared, place.of(GAP), anchor.at, foot, line.gap_mm)
    for name, (start, end) in placed.standing.spans.items():
        if isinstance(placed.kind.parameter(name), Length) and name not in placed.given:
            yield _mark(prepared, place.of(name), start, end, placed.values.mm(name))


def _mark(prepared: Prepared, place: PlaceRef, start: Point, end: Point, mm: float) -> MeasureMark:
    return MeasureMark(path=place.path, about=place.whole.path, start=start.xy, end=end.xy, text=prepared.length(mm))
