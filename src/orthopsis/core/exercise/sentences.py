"""The exercise in words: sentences whose values are places that can be edited."""

import re

from orthopsis.core.exercise.drawing import PlaceOption, Sentence, SentencePiece
from orthopsis.core.exercise.setting import Placed, Prepared
from orthopsis.core.sheet.paper import PAPERS
from orthopsis.core.sheet.ruler import DIVISIONS_MM
from orthopsis.core.things.declare import Choice
from orthopsis.core.wording.exercise import CLASS, EYE_LEVEL, FREE_DISTANCE, OPTIONS, SHEET, VIEW

_PLACE = re.compile(r"\{([\w.]+)\}")
_LENGTHS = {"eye_level.height_mm": "the height of the eye level", "views.0.x_mm": "the place of the point"}


def sentences(prepared: Prepared) -> list[Sentence]:
    """Return the sentences: the class, the sheet, the eye level, the point, and one for each thing."""
    school = prepared.exercise.eye_level.school
    heads = (
        ("sheet", "", SHEET),
        ("eye_level", "", EYE_LEVEL[school]),
        ("views.0", "", VIEW),
        ("wording", "", CLASS),
    )
    result = [
        Sentence(about=about, title=title, pieces=_pieces(prepared, template)) for about, title, template in heads
    ]
    return result + [_thing_sentence(prepared, placed) for placed in prepared.things]


def _pieces(prepared: Prepared, template: str) -> list[SentencePiece]:
    parts = _PLACE.split(prepared.wording.words(template))
    return [
        _exercise_place(prepared, part) if i % 2 else SentencePiece(text=part) for i, part in enumerate(parts) if part
    ]


def _exercise_place(prepared: Prepared, path: str) -> SentencePiece:
    value = value_at(prepared, path)
    if path == "views.0.distance_mm":
        text = FREE_DISTANCE if value == "" else prepared.length(float(value))
        return SentencePiece(text=text, path=path, kind="free_length", value=value, says="the viewing distance")
    if path in _LENGTHS:
        return SentencePiece(
            text=prepared.length(float(value)), path=path, kind="length", value=value, says=_LENGTHS[path]
        )
    if path == "minutes":
        return SentencePiece(text=str(value), path=path, kind="number", value=value, says="the minutes of the lesson")
    options = choices(prepared, path)
    return SentencePiece(
        text=options.get(str(value), str(value)),
        path=path,
        kind="choice",
        value=value,
        options=[PlaceOption(value=v, text=t) for v, t in options.items()],
        says=path.split(".")[-1],
    )


def choices(prepared: Prepared, path: str) -> dict[str, str]:
    """Return what may be chosen at a place of the exercise: stored value to shown words."""
    if path == "sheet.paper":
        return {name: name for name in PAPERS}
    if path == "sheet.division":
        inches = prepared.sheet.units == "in"
        return {name: name for name in DIVISIONS_MM if name.endswith("in") == inches}
    return OPTIONS[path]


def value_at(prepared: Prepared, path: str) -> float | str:
    """Return the value at a place of the exercise; an unstated one is the empty text."""
    part: object = prepared.exercise
    for name in path.split("."):
        part = part[int(name)] if isinstance(part, tuple) else getattr(part, name)
    return part if isinstance(part, float | str) else "" if part is None else str(part)


def _thing_sentence(prepared: Prepared, placed: Placed) -> Sentence:
    pieces: list[SentencePiece] = []
    for clause in placed.kind.sentence:
        if not clause.is_said(placed.values):
            continue
        for i, part in enumerate(_PLACE.split(prepared.wording.words(clause.text))):
            if part:
                pieces.append(_thing_place(prepared, placed, part) if i % 2 else SentencePiece(text=part))
    return Sentence(about=f"things.{placed.index}", title=placed.values.name, pieces=pieces)


def _thing_place(prepared: Prepared, placed: Placed, name: str) -> SentencePiece:
    parameter = placed.kind.parameter(name)
    path = f"things.{placed.index}.{name}"
    if isinstance(parameter, Choice):
        value = placed.values.word(name)
        options = [PlaceOption(value=v, text=t) for v, t in parameter.options.items()]
        return SentencePiece(
            text=parameter.options[value],
            path=path,
            kind="choice",
            value=value,
            options=options,
            says=parameter.says,
        )
    mm = placed.values.mm(name)
    return SentencePiece(text=prepared.length(mm), path=path, kind="length", value=mm, says=parameter.says)
