"""The values of an exercise that are edited in its sentences: how each is read, shown and written.

What views and things can hold is declared by their kinds; the rest stands here.
"""

import re
from collections.abc import Callable, Mapping
from functools import lru_cache
from typing import Any

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.place import DIVISION, LENGTHS, MINUTES, OVER_GROUND, PAPER, PlaceRef
from orthopsis.core.document.thing_models import ThingDocument
from orthopsis.core.drawing.answer import PlaceOption, SentencePiece
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.joining import faces_for
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared, prepare
from orthopsis.core.scene.views import VIEWS, ViewPlace
from orthopsis.core.sheet.length import Units
from orthopsis.core.sheet.measure import parse_measure
from orthopsis.core.sheet.paper import OWN, PAPERS, TRADE_NAMES
from orthopsis.core.sheet.ruler import divisions
from orthopsis.core.sheet.true_length import format_true_length, parse_true_length
from orthopsis.core.things.declare import Hanging, ThingKind
from orthopsis.core.things.registry import KINDS
from orthopsis.core.wording.exercise import ALONE, FACES, HALVES, HINTS, IN_LINE, JOINED, OPTIONS, SAYS, UNSTATED
from orthopsis.core.wording.names import view_words

NOBODY = "0"
"""The value of a place where a thing is joined to none."""
_UNSTATED = ("", "-", "none", "unstated", "any", *UNSTATED.values())
_ANGLE = re.compile(r"^(-?\d{1,3}(?:[.,]\d{0,4})?)\s*(?:°|deg|degrees)?$")


def view_value(exercise: Exercise, place: PlaceRef) -> ViewPlace | None:
    """Return the value of a view that is at a place, or None if something else is."""
    if place.owner != "views" or place.number >= len(exercise.views):
        return None
    return VIEWS[exercise.views[place.number].kind].places.get(place.name)


def view_piece(prepared: Prepared, place: PlaceRef, held: ViewPlace) -> SentencePiece:
    """Return a place of a view as it stands in the sentence."""
    value = held.read(prepared.exercise.views[place.number], prepared.frames[place.number])
    if value is None:
        text = UNSTATED[place.name]
    else:
        text = f"{value:.0f}°" if held.kind == "angle" else prepared.length(value)
    kind = "length" if held.kind == "height" else held.kind
    return SentencePiece(text=text, path=place.path, kind=kind, value="" if value is None else value, says=held.says)


def read_view_text(held: ViewPlace, name: str, text: str, units: Units, whole_mm: float | None) -> float | None:
    """Return the value that was typed at a place of a view; None for a length that is not stated.

    Args:
        name: what the value is called in its view.
        whole_mm: what a share is a share of.

    Raises:
        GeometryError: the text is no length, no angle, or not longer than nothing where that is needed.
    """
    if held.kind == "angle":
        match = _ANGLE.match(text.strip())
        if match is None:
            raise GeometryError("not_an_angle", f"“{text.strip()[:40]}” is no angle.", "Type degrees, for example 30°.")
        return float(match[1].replace(",", "."))
    if held.kind == "free_length" and text.strip().lower() in _UNSTATED:
        return None
    mm = parse_measure(text, units, whole_mm)
    if name in ("distance", "distance_mm") and mm <= 0:
        raise GeometryError(
            "no_distance", "A viewing distance is longer than nothing.", "Give a length, or leave it empty."
        )
    return mm


def choices(exercise: Exercise, place: PlaceRef) -> dict[str, str]:
    """Return what may be chosen at a place of the exercise: stored value to shown words.

    Raises:
        KeyError: nothing is chosen there.
    """
    if place == PAPER:
        shops: dict[str, str] = {name: f"{shop}, {name}" for name, shop in TRADE_NAMES.items()}
        return {name: shops.get(name, name) for name in PAPERS} | {OWN: "specially cut"}
    if place == DIVISION:
        return {name: name for name in divisions(exercise.sheet.units)}
    if place.owner == "views":
        return {"kind": {kind: view.title for kind, view in VIEWS.items()}, "half": HALVES}[place.name]
    if place.owner == "things":
        return _OF_THING[place.name](exercise, exercise.things[place.number])
    return OPTIONS[place.path]


def _views(exercise: Exercise, own: ThingDocument) -> dict[str, str]:
    return {view.name: view_words(view.name) for view in exercise.views}


def _ways_to_join(exercise: Exercise, own: ThingDocument) -> dict[str, str]:
    if not KINDS[own.kind].lies_on_face:
        return _JOINED[KINDS[own.kind].hangs]
    try:
        host = prepare(exercise).by_id.get(own.joined_to)
    except GeometryError:  # it cannot be drawn now; another face may help
        host = None
    return FACES | face_words(KINDS[own.kind], host)


def face_words(kind: ThingKind, host: Placed | None) -> dict[str, str]:
    """Return the faces of a thing on which one of a kind can lie: how the document says them, to how they are called.

    Args:
        host: the thing; all faces that there can be where there is none.
    """
    if host is None:
        return dict(FACES)
    panels = faces_for(kind, host)
    known = {by: says for by, says in FACES.items() if by in panels and not panels[by].is_sloping}
    return known | {by: f"the {panel.says}" for by, panel in panels.items() if by not in known}


def _others(exercise: Exercise, own: ThingDocument) -> dict[str, str]:
    """Return the things by which, or on which, a thing can stand."""
    if KINDS[own.kind].hangs:
        bearing = (t for t in exercise.things if t.id != own.id and (KINDS[t.kind].bears or not KINDS[t.kind].hangs))
        return {str(t.id): t.name for t in bearing}
    others = [t for t in exercise.things if t.id != own.id and t.view == own.view]
    return {NOBODY: ALONE, **{str(other.id): other.name for other in others}}


_OF_THING: Mapping[str, Callable[[Exercise, ThingDocument], dict[str, str]]] = {
    "view": _views,
    "joined_by": _ways_to_join,
    "joined_to": _others,
}
_JOINED: Mapping[Hanging, dict[str, str]] = {"": JOINED, "on_face": FACES, "in_line": IN_LINE}


def choice_piece(text_of: Mapping[str, str], place: PlaceRef, value: str, says: str) -> SentencePiece:
    """Return a choice as it stands in the sentence."""
    path = place.path
    return SentencePiece(
        text=text_of.get(value, value), path=path, kind="choice", value=value, options=_options(tuple(text_of.items())),
        says=says, hint=HINTS.get(path, ""),
    )  # fmt: skip


@lru_cache(maxsize=256)
def _options(text_of: tuple[tuple[str, str], ...]) -> tuple[PlaceOption, ...]:
    return tuple(PlaceOption(value=value, text=text) for value, text in text_of)


def exercise_piece(prepared: Prepared, place: PlaceRef) -> SentencePiece:
    """Return a place of the exercise as it stands in the sentence."""
    held = view_value(prepared.exercise, place)
    if held is not None:
        return view_piece(prepared, place, held)
    value, says = value_at(prepared.exercise, place), SAYS.get(place.path, place.name or place.owner)
    if place == OVER_GROUND:
        return _over_ground(prepared, says)
    if place in LENGTHS:
        text = prepared.length(float(value))
        return SentencePiece(text=text, path=place.path, kind="length", value=value, says=says)
    if place == MINUTES:
        return SentencePiece(text=str(value), path=place.path, kind="number", value=value, says=says)
    return choice_piece(choices(prepared.exercise, place), place, str(value), says)


def _over_ground(prepared: Prepared, says: str) -> SentencePiece:
    mm = prepared.exercise.eye_level.over_ground_mm
    text = UNSTATED["over_ground_mm"] if mm is None else format_true_length(mm, prepared.sheet.units)
    value = "" if mm is None else text
    return SentencePiece(text=text, path=OVER_GROUND.path, kind="free_length", value=value, says=says)


def read_over_ground(text: str, units: Units) -> float | None:
    """Return the eye's height over the ground that was typed, mm; None where it is not to be stated.

    Raises:
        UnreadableLength: the text is no length.
    """
    return None if text.strip().lower() in _UNSTATED else parse_true_length(text, units)


def value_at(exercise: Exercise, place: PlaceRef) -> float | str:
    """Return the value at a place of the exercise; an unstated one is the empty text."""
    part: Any = getattr(exercise, place.owner)
    if place.number >= 0:
        part = part[place.number]
    value = getattr(part, place.name) if place.name else part
    return value if isinstance(value, float | str) else "" if value is None else str(value)
