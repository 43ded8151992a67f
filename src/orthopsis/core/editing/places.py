"""The values of an exercise that are edited in its sentences: how each is read, shown and written.

A place is a path in the document: ``eye_level.height_mm``, ``views.0.left_mm``, ``things.2.width``. What views and
things can hold is declared by their kinds; the rest stands here.
"""

import re
from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Any, Literal

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import PlaceOption, SentencePiece
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.scene.views import VIEWS, ViewPlace
from orthopsis.core.sheet.length import Units
from orthopsis.core.sheet.measure import parse_measure
from orthopsis.core.sheet.paper import OWN, PAPERS, TRADE_NAMES
from orthopsis.core.sheet.ruler import DIVISIONS_MM
from orthopsis.core.sheet.true_length import format_true_length, parse_true_length
from orthopsis.core.things.declare import Hanging
from orthopsis.core.things.registry import KINDS
from orthopsis.core.wording.exercise import ALONE, FACES, HALVES, HINTS, IN_LINE, JOINED, OPTIONS, SAYS, UNSTATED
from orthopsis.core.wording.names import view_words

NOBODY = "0"
"""The value of a place where a thing is joined to none."""
_UNSTATED = ("", "-", "none", "unstated", "any", *UNSTATED.values())
_ANGLE = re.compile(r"^(-?\d{1,3}(?:[.,]\d{0,4})?)\s*(?:°|deg|degrees)?$")


OVER_GROUND = "eye_level.over_ground_mm"
_KINDS: dict[str, Literal["length", "number"]] = {
    "eye_level.height_mm": "length",
    "sheet.margin_mm": "length",
    "sheet.own_width_mm": "length",
    "sheet.own_height_mm": "length",
    "minutes": "number",
}


@dataclass(frozen=True, slots=True)
class ViewPath:
    """A place of a view: which view, and what of it."""

    number: int
    name: str
    place: ViewPlace


def view_path(exercise: Exercise, path: str) -> ViewPath | None:
    """Return the place of a view that a path names, or None if it names something else."""
    parts = path.split(".")
    if len(parts) != 3 or parts[0] != "views" or not parts[1].isdecimal() or int(parts[1]) >= len(exercise.views):
        return None
    number = int(parts[1])
    place = VIEWS[exercise.views[number].kind].places.get(parts[2])
    return None if place is None else ViewPath(number, parts[2], place)


def view_piece(prepared: Prepared, path: str, at: ViewPath) -> SentencePiece:
    """Return a place of a view as it stands in the sentence."""
    value = at.place.read(prepared.exercise.views[at.number], prepared.frames[at.number])
    if value is None:
        text = UNSTATED[at.name]
    else:
        text = f"{value:.0f}°" if at.place.kind == "angle" else prepared.length(value)
    return SentencePiece(
        text=text, path=path, kind=at.place.kind, value="" if value is None else value, says=at.place.says
    )


def read_view_text(at: ViewPath, text: str, units: Units, whole_mm: float | None) -> float | None:
    """Return the value that was typed at a place of a view; None for a length that is not stated.

    Args:
        whole_mm: what a share is a share of.

    Raises:
        GeometryError: the text is no length, no angle, or not longer than nothing where that is needed.
    """
    if at.place.kind == "angle":
        match = _ANGLE.match(text.strip())
        if match is None:
            raise GeometryError("not_an_angle", f"“{text.strip()[:40]}” is no angle.", "Type degrees, for example 30°.")
        return float(match[1].replace(",", "."))
    if at.place.kind == "free_length" and text.strip().lower() in _UNSTATED:
        return None
    mm = parse_measure(text, units, whole_mm)
    if at.name in ("distance", "distance_mm") and mm <= 0:
        raise GeometryError(
            "no_distance", "A viewing distance is longer than nothing.", "Give a length, or leave it empty."
        )
    return mm


def choices(exercise: Exercise, path: str) -> dict[str, str]:
    """Return what may be chosen at a place of the exercise: stored value to shown words.

    Raises:
        KeyError: nothing is chosen there.
    """
    if path == "sheet.paper":
        shops: dict[str, str] = {name: f"{shop}, {name}" for name, shop in TRADE_NAMES.items()}
        return {name: shops.get(name, name) for name in PAPERS} | {OWN: "specially cut"}
    if path == "sheet.division":
        inches = exercise.sheet.units == "in"
        return {name: name for name in DIVISIONS_MM if name.endswith("in") == inches}
    if re.fullmatch(r"views\.\d+\.kind", path):
        return {kind: view.title for kind, view in VIEWS.items()}
    if re.fullmatch(r"views\.\d+\.half", path):
        return HALVES
    if re.fullmatch(r"things\.\d+\.view", path):
        return {view.name: view_words(view.name) for view in exercise.views}
    if re.fullmatch(r"things\.\d+\.joined_by", path):
        return _JOINED[KINDS[exercise.things[int(path.split(".")[1])].kind].hangs]
    if re.fullmatch(r"things\.\d+\.joined_to", path):
        own = exercise.things[int(path.split(".")[1])]
        if KINDS[own.kind].hangs:
            bearing = (
                t for t in exercise.things if t.id != own.id and (KINDS[t.kind].bears or not KINDS[t.kind].hangs)
            )
            return {str(t.id): t.name for t in bearing}
        others = [t for t in exercise.things if t.id != own.id and t.view == own.view]
        return {NOBODY: ALONE, **{str(other.id): other.name for other in others}}
    return OPTIONS[path]


_JOINED: Mapping[Hanging, dict[str, str]] = {"": JOINED, "on_face": FACES, "in_line": IN_LINE}


def choice_piece(text_of: Mapping[str, str], path: str, value: str, says: str) -> SentencePiece:
    """Return a choice as it stands in the sentence."""
    options = _options(tuple(text_of.items()))
    return SentencePiece(
        text=text_of.get(value, value), path=path, kind="choice", value=value, options=options, says=says,
        hint=HINTS.get(path, ""),
    )  # fmt: skip


@lru_cache(maxsize=256)
def _options(text_of: tuple[tuple[str, str], ...]) -> tuple[PlaceOption, ...]:
    return tuple(PlaceOption(value=value, text=text) for value, text in text_of)


def exercise_piece(prepared: Prepared, path: str) -> SentencePiece:
    """Return a place of the exercise as it stands in the sentence."""
    at = view_path(prepared.exercise, path)
    if at is not None:
        return view_piece(prepared, path, at)
    value, says = value_at(prepared.exercise, path), SAYS.get(path, path.rsplit(".", maxsplit=1)[-1])
    if path == OVER_GROUND:
        return _over_ground(prepared, says)
    kind = _KINDS.get(path)
    if kind is not None:
        text = prepared.length(float(value)) if kind == "length" else str(value)
        return SentencePiece(text=text, path=path, kind=kind, value=value, says=says)
    return choice_piece(choices(prepared.exercise, path), path, str(value), says)


def _over_ground(prepared: Prepared, says: str) -> SentencePiece:
    mm = prepared.exercise.eye_level.over_ground_mm
    text = UNSTATED["over_ground_mm"] if mm is None else format_true_length(mm, prepared.sheet.units)
    value = "" if mm is None else text
    return SentencePiece(text=text, path=OVER_GROUND, kind="free_length", value=value, says=says)


def read_over_ground(text: str, units: Units) -> float | None:
    """Return the eye's height over the ground that was typed, mm; None where it is not to be stated.

    Raises:
        UnreadableLength: the text is no length.
    """
    return None if text.strip().lower() in _UNSTATED else parse_true_length(text, units)


def value_at(exercise: Exercise, path: str) -> float | str:
    """Return the value at a place of the exercise; an unstated one is the empty text."""
    part: Any = exercise
    for name in path.split("."):
        part = part[int(name)] if isinstance(part, tuple) else getattr(part, name)
    return part if isinstance(part, float | str) else "" if part is None else str(part)
