"""The exercise in words: sentences whose values are places that can be edited."""

from collections.abc import Mapping

from orthopsis.core.document.place import Owner, PlaceRef, read_place, thing_place, view_place
from orthopsis.core.drawing.answer import PlaceOption, Sentence, SentencePiece
from orthopsis.core.editing.places import NOBODY, choice_piece, choices, exercise_piece, face_words
from orthopsis.core.scene.joining import row_joints
from orthopsis.core.scene.placed import GAP, Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.scene.true_shapes import true_shapes
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sheet.paper import OWN
from orthopsis.core.sheet.true_length import format_true_length
from orthopsis.core.things.outline import format_outline
from orthopsis.core.things.parameters import PLACE, Choice, Length, Text
from orthopsis.core.wording.exercise import (
    ALONE,
    AT_CORNER,
    CLASS,
    EYE_LEVEL,
    FACES,
    FAR,
    GONE,
    HALF,
    IN_LINE,
    IN_TRUTH,
    JOINED,
    OWN_SHEET,
    SHEET,
    STANDS,
    SUN,
    TRUE_LENGTHS,
)
from orthopsis.core.wording.names import view_words


def sentences(prepared: Prepared) -> list[Sentence]:
    """Return the sentences: the sheet, the eye level, the views, the class, and one for each thing."""
    sheet = OWN_SHEET if prepared.exercise.sheet.paper == OWN else SHEET
    result = [_of_exercise(prepared, "sheet", sheet), _of_exercise(prepared, "eye_level", EYE_LEVEL)]
    result += [_view_sentence(prepared, i) for i in range(len(prepared.frames))]
    far = FAR if len(prepared.exercise.things) > 1 else ""
    result.append(_of_exercise(prepared, "wording", CLASS + SUN[prepared.exercise.sun.stands] + far))
    truths = true_shapes(prepared)
    return result + [_thing_sentence(prepared, placed, truths.get(placed.index, {})) for placed in prepared.things]


def _of_exercise(prepared: Prepared, owner: Owner, template: str) -> Sentence:
    """Return a sentence whose places are called by their paths."""
    parts = PLACE.split(prepared.wording.words(template))
    pieces = [
        exercise_piece(prepared, read_place(part)) if i % 2 else SentencePiece(text=part)
        for i, part in enumerate(parts)
        if part
    ]
    return Sentence(about=PlaceRef(owner).path, owner=owner, number=-1, title="", pieces=pieces)


def _view_sentence(prepared: Prepared, number: int) -> Sentence:
    """Return the sentence of a view, whose places are values of it."""
    always, metric, free = VIEWS[prepared.exercise.views[number].kind].sentence
    half = HALF if prepared.exercise.sheet.fold == "folded" else ""
    parts = PLACE.split(half + always + (metric if prepared.frames[number].is_metric else free))
    place = view_place(number)
    pieces = [
        exercise_piece(prepared, place.of(part)) if i % 2 else SentencePiece(text=prepared.wording.words(part))
        for i, part in enumerate(parts)
        if part
    ]
    title = view_words(prepared.frames[number].name).capitalize() if len(prepared.frames) > 1 else ""
    return Sentence(about=place.path, owner="views", number=number, title=title, pieces=pieces)


def _thing_sentence(prepared: Prepared, placed: Placed, truth: Mapping[str, float]) -> Sentence:
    pieces: list[SentencePiece] = []
    for clause in placed.standing.sentence:
        if not clause.is_said(placed.values):
            continue
        for i, part in enumerate(PLACE.split(prepared.wording.words(clause.text))):
            if part:
                pieces.append(_thing_place(prepared, placed, part) if i % 2 else SentencePiece(text=part))
    place = thing_place(placed.index)
    pieces += _stands(prepared, placed)
    if len(prepared.frames) > 1 and not placed.kind.hangs:
        view, name = place.of("view"), placed.setting.frame.name
        pieces += [SentencePiece(text=STANDS), choice_piece(choices(prepared.exercise, view), view, name, "the view")]
    if truth:
        shown = {role: format_true_length(mm, prepared.sheet.units) for role, mm in truth.items()}
        lengths = ", ".join(says.format(mm=shown[role]) for role, says in TRUE_LENGTHS.items() if role in shown)
        pieces.append(SentencePiece(text=IN_TRUTH.format(lengths=lengths)))
    return Sentence(about=place.path, owner="things", number=placed.index, title=placed.values.name, pieces=pieces)


def _stands(prepared: Prepared, placed: Placed) -> list[SentencePiece]:
    """Return the words that say what a thing stands on or by; nothing where it is alone, or lies about its point."""
    place, thing = thing_place(placed.index), prepared.exercise.things[placed.index]
    if placed.kind.lies_on_face:
        return _lies(prepared, placed)
    if placed.kind.hangs:
        return _goes(prepared, placed)
    if len(prepared.things) == 1 or not placed.kind.has_first_corner:
        return []
    pieces = [SentencePiece(text=" It stands ")]
    if thing.joined_to:
        pieces.append(choice_piece(JOINED, place.of("joined_by"), thing.joined_by, "how it stands"))
        pieces.append(SentencePiece(text=" "))
    pieces.append(
        SentencePiece(
            text=_called(prepared, thing.joined_to) or ALONE,
            path=place.of("joined_to").path,
            kind="thing",
            value=str(thing.joined_to),
            options=(PlaceOption(value=NOBODY, text=ALONE),),
            says="what it stands by",
        )
    )
    if placed.setting.anchor is not None and placed.setting.anchor.in_line is not None:
        pieces += _gap(prepared, placed)
    return [*pieces, SentencePiece(text=".")]


def _called(prepared: Prepared, number: int) -> str:
    """Return the name of the thing of an id; empty where there is none."""
    other = prepared.by_id.get(number)
    return other.values.name if other is not None else ""


def _gap(prepared: Prepared, placed: Placed) -> list[SentencePiece]:
    """Return the words that say how far along a line a thing stands from the one it is in line with."""
    path, gap = thing_place(placed.index, GAP).path, prepared.exercise.things[placed.index].gap_mm
    return [
        SentencePiece(text=", "),
        SentencePiece(text=prepared.length(gap), path=path, kind="length", value=gap, says="the gap"),
        SentencePiece(text=" along its line"),
    ]


def _goes(prepared: Prepared, placed: Placed) -> list[SentencePiece]:
    """Return the words that say what a row repeats, and where it goes; only ways that there are, are offered."""
    place, thing = thing_place(placed.index), prepared.exercise.things[placed.index]
    host = prepared.by_id.get(thing.joined_to)
    ways = set(row_joints(host)) if host is not None else set(IN_LINE)
    offered = {by: says for by, says in IN_LINE.items() if by in ways or by == thing.joined_by}
    which = choice_piece(offered, place.of("joined_by"), thing.joined_by, "where it goes")
    first = SentencePiece(
        text=_called(prepared, thing.joined_to),
        path=place.of("joined_to").path,
        kind="thing",
        value=str(thing.joined_to),
        says="what it repeats",
    )
    pieces = [SentencePiece(text=" It goes "), which, SentencePiece(text=" "), first, *_gap(prepared, placed)]
    return [*pieces, SentencePiece(text=".")]


def _lies(prepared: Prepared, placed: Placed) -> list[SentencePiece]:
    """Return the words that say on which face of which thing a thing lies; only faces that are drawn are offered."""
    place, thing = thing_place(placed.index), prepared.exercise.things[placed.index]
    host = prepared.by_id.get(thing.joined_to)
    offered = face_words(placed.kind, host)
    offered = offered if thing.joined_by in offered else {**offered, thing.joined_by: FACES.get(thing.joined_by, GONE)}
    on = SentencePiece(
        text=_called(prepared, thing.joined_to),
        path=place.of("joined_to").path,
        kind="thing",
        value=str(thing.joined_to),
        says="what it lies on",
    )
    which = choice_piece(offered, place.of("joined_by"), thing.joined_by, "the face it lies on")
    return [SentencePiece(text=placed.kind.lies_says), which, SentencePiece(text=" of "), on, SentencePiece(text=".")]


def _at_corners(prepared: Prepared, corners: Mapping[str, tuple[float, float]]) -> Mapping[str, str]:
    """Return how the lines of corners of an outline are called from which one is chosen."""
    says = prepared.wording.words(AT_CORNER)
    return {
        corner: says.format(across=prepared.length(across), up=prepared.length(up))
        for corner, (across, up) in corners.items()
    }


def _thing_place(prepared: Prepared, placed: Placed, name: str) -> SentencePiece:
    parameter, values = placed.kind.parameter(name), placed.values
    place = thing_place(placed.index, name)
    path = place.path
    if isinstance(parameter, Choice):
        offered = parameter.offered(placed.setting.frame.kind, values.word(name))
        if places := placed.standing.corner_choices.get(name):
            offered = {parameter.default: offered[parameter.default], **_at_corners(prepared, places)}
        return choice_piece(offered, place, values.word(name), parameter.says)
    if isinstance(parameter, Length):
        mm = values.mm(name)
        if name in placed.given:
            return SentencePiece(text=prepared.length(mm))
        return SentencePiece(text=prepared.length(mm), path=path, kind="length", value=mm, says=parameter.says)
    if isinstance(parameter, Text):
        word = values.word(name)
        return SentencePiece(
            text=word or "a word",
            path=path,
            kind="word" if parameter.is_drawn else "text",
            value=word,
            says=parameter.says,
        )
    outline = values.outline(name)
    corners = sum(map(len, outline))
    return SentencePiece(
        text=f"{corners} corners",
        path=path,
        kind="outline",
        value=format_outline(outline, prepared.sheet.units),
        options=tuple(PlaceOption(value=word, text=word) for word in parameter.ready),
        says=parameter.says,
    )
