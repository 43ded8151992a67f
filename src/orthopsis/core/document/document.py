"""What is written down of an exercise, and what makes a document one?

The models are frozen; every length is page millimetres. Things are declared by their kinds: the models of
their parameters are made from the declarations, so a new thing changes the schema by itself.
"""

import json
from collections.abc import Iterable
from functools import lru_cache
from itertools import count
from typing import Annotated, Any, Literal, cast

from pydantic import (
    BaseModel,
    ConfigDict,
    Discriminator,
    Field,
    Tag,
    ValidationError,
    create_model,
    field_validator,
)

from orthopsis.core.document.chain import FAMILY, NEWEST, upgraded
from orthopsis.core.document.faults import fault_words
from orthopsis.core.errors import UnreadableExercise
from orthopsis.core.light.light import Light, LightSide, Rays, Stands
from orthopsis.core.light.tone import FarTones
from orthopsis.core.sheet.length import LONGEST_MM, Units
from orthopsis.core.sheet.paper import LEAST_OWN_MM, MOST_OWN_MM, Half, Orientation, PaperName
from orthopsis.core.sheet.ruler import Division
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.outline import MOST_CORNERS, MOST_LOOPS
from orthopsis.core.things.parameters import Length, Shape, Text, Value
from orthopsis.core.things.registry import KINDS
from orthopsis.core.things.values import Values
from orthopsis.core.wording.vocabulary import Level, Vocabulary

SCHEMA = f"{FAMILY}/{NEWEST}"
MOST_THINGS = 400
LARGEST_ID = 1_000_000
LOWEST_SUN_MM, FARTHEST_SUN_MM = 5.0, 2000.0
"""A sun nearer to the eye level casts shadows without end; no more paper is taped on (no source)."""
MOST_LATER = 400
MOST_BYTES = 1_000_000
MOST_LETTERS = 150
MOST_ALL_CORNERS = 3000
"""Letters and corners of outlines in all things together: more would take long to draw, on paper and here."""

School = Literal["exercise", "composition"]
Millimetres = Annotated[float, Field(ge=-LONGEST_MM, le=LONGEST_MM, allow_inf_nan=False)]
Name = Annotated[str, Field(min_length=1, max_length=40, pattern=r"^[^.\x00-\x1f]+$")]


_Place = Annotated[float, Field(ge=0, le=LONGEST_MM, allow_inf_nan=False)]
_CornerField = tuple[_Place, _Place] | tuple[_Place, _Place, _Place, _Place]
_LoopField = Annotated[tuple[_CornerField, ...], Field(min_length=3, max_length=MOST_CORNERS)]
OutlineField = Annotated[tuple[_LoopField, ...], Field(min_length=1, max_length=MOST_LOOPS)]


class Document(BaseModel):
    """Base of all parts: frozen, and unknown fields are refused so that nothing is lost unseen."""

    model_config = ConfigDict(frozen=True, extra="forbid")


_OwnSide = Annotated[float, Field(ge=LEAST_OWN_MM, le=MOST_OWN_MM, allow_inf_nan=False)]


class SheetDocument(Document):
    """The paper, how it lies, and how the class measures on it; a size of its own is stated as it lies."""

    paper: PaperName | Literal["own"] = "A3"
    own_width_mm: _OwnSide = 420.0
    own_height_mm: _OwnSide = 297.0
    orientation: Orientation = "landscape"
    units: Units = "mm"
    division: Division = "1 mm"
    margin_mm: Annotated[float, Field(ge=0, le=200, allow_inf_nan=False)] = 0.0
    centre: Literal["none", "diagonals", "halving"] = "none"
    fold: Literal["flat", "folded"] = "flat"


class EyeLevelDocument(Document):
    """The eye level, and by which school its height is judged.

    ``over_ground_mm``: how high the eye is over the ground in truth, where that is stated; the true sizes of things
    that stand on the ground follow from it.
    """

    height_mm: Millimetres = 150.0
    school: School = "exercise"
    over_ground_mm: Annotated[float, Field(ge=100, le=LONGEST_MM, allow_inf_nan=False)] | None = None


class _View(Document):
    """What every view has: a name, and the part of a folded sheet that it is drawn on."""

    name: Name = "point"
    half: Half = "whole"


class OnePointView(_View):
    """A central vanishing point on the eye level, with the viewing distance where it is stated."""

    kind: Literal["one_point"] = "one_point"
    x_mm: Millimetres = 210.0
    distance_mm: Annotated[float, Field(gt=0, le=LONGEST_MM, allow_inf_nan=False)] | None = None


class TwoPointView(_View):
    """Two vanishing points on the eye level, and the place of it that the eye looks at where that is stated."""

    kind: Literal["two_point"] = "two_point"
    left_mm: Millimetres = 0.0
    right_mm: Millimetres = 420.0
    centre_mm: Millimetres | None = None


class ThreePointView(_View):
    """Two vanishing points on the eye level and a third one above or below it."""

    kind: Literal["three_point"] = "three_point"
    left_mm: Millimetres = 0.0
    right_mm: Millimetres = 420.0
    third_x_mm: Millimetres = 210.0
    third_y_mm: Millimetres = -165.0


def _view_kind(view: Any) -> str:
    """Return which model reads a view; an unnamed kind is one-point."""
    return str(view.get("kind", "one_point") if isinstance(view, dict) else getattr(view, "kind", "one_point"))


ViewDocument = Annotated[
    Annotated[OnePointView, Tag("one_point")]
    | Annotated[TwoPointView, Tag("two_point")]
    | Annotated[ThreePointView, Tag("three_point")],
    Discriminator(_view_kind),
]
MOST_VIEWS = 4


class WordingDocument(Document):
    """The words of the class."""

    vocabulary: Vocabulary = "eye_level"
    level: Level = "middle"


JoinedBy = Annotated[
    str,
    Field(
        pattern=r"^(on_top|beside_right|behind|against_left|against_right|in_line|in_line_left|in_line_right"
        r"|alley|alley_left|alley_right"
        r"|face_(front|left|right|top|bottom|slope_first|slope_far"
        r"|floor|ceiling|left_wall|right_wall|back_wall|ground|steps|part_\d{1,2}_\d{1,2}))$"
    ),
]
"""How a thing stands by the one it is joined to; in line with it: with a gap, and as tall; beyond an alley; or on which
face it lies.

A part of a divided face is said by its column and row, from 1.
"""


class StepRef(Document):
    """Which step: of which thing (its id; 0 for the sheet), which words, of which part of the thing, such as a letter.

    ``turn`` counts steps that are alike in all of this, from 1; ``line`` is a line of a step that is told line by line,
    from 1, and 0 the step as a whole.
    """

    thing: Annotated[int, Field(ge=0, le=LARGEST_ID)] = 0
    words: Annotated[str, Field(max_length=80)]
    part: Annotated[str, Field(max_length=80)] = ""
    turn: Annotated[int, Field(ge=1, le=9999)] = 1
    line: Annotated[int, Field(ge=0, le=9999)] = 0

    @property
    def whole(self) -> "StepRef":
        """The step of which this is a line, or itself."""
        return self.model_copy(update={"line": 0})


class StepChange(Document):
    """What a teacher changed of one step.

    ``later`` moves it by so many places (negative: earlier), as far as what it needs allows; ``joined`` tells it in
    one breath with the step before it; ``split`` tells it line by line.
    """

    step: StepRef
    text: Annotated[str, Field(max_length=600)] = ""
    extra: bool = False
    left_out: bool = False
    joined: bool = False
    split: bool = False
    later: Annotated[int, Field(ge=-MOST_LATER, le=MOST_LATER)] = 0


class ThingDocument(Document):
    """What every thing has; its kind adds its own parameters.

    ``id`` stays while it is called otherwise, and no other thing of the exercise has it; a thing that comes without one
    gets one. ``joined_to`` is the id of the thing that it is joined to, 0 for none.
    """

    kind: str
    id: Annotated[int, Field(ge=0, le=LARGEST_ID)] = 0
    name: Name
    view: Name = "point"
    joined_to: Annotated[int, Field(ge=0, le=LARGEST_ID)] = 0
    joined_by: JoinedBy = "on_top"
    gap_mm: Millimetres = 30.0

    def held(self) -> dict[str, Value]:
        """Return the values of the kind's own parameters."""
        return {p.name: getattr(self, p.name) for p in KINDS[self.kind].parameters}


class SunDocument(Document):
    """Where the sun stands; one that is ahead of the viewer or behind has a point on the page, to which its rays run.

    ``aside_mm`` is how far that lies beside the place straight before the eye, ``height_mm`` how far over the eye
    level, or under it where the sun is behind the viewer. A lamp has its own place there, and ``foot_mm`` is how far
    the place on the floor straight under it lies under the eye level.
    """

    stands: Stands = "beside"
    aside_mm: Annotated[float, Field(ge=0, le=FARTHEST_SUN_MM, allow_inf_nan=False)] = 100.0
    height_mm: Annotated[float, Field(ge=LOWEST_SUN_MM, le=FARTHEST_SUN_MM, allow_inf_nan=False)] = 100.0
    foot_mm: Annotated[float, Field(ge=LOWEST_SUN_MM, le=FARTHEST_SUN_MM, allow_inf_nan=False)] = 60.0


class Hides(Document):
    """The teacher's word that one thing stands before another and hides it, by their ids."""

    nearer: Annotated[int, Field(ge=1, le=LARGEST_ID)]
    farther: Annotated[int, Field(ge=1, le=LARGEST_ID)]


def _thing_model(kind: ThingKind) -> type[ThingDocument]:
    fields: dict[str, Any] = {"kind": (Literal[kind.kind], kind.kind)}
    for parameter in kind.parameters:
        if isinstance(parameter, Length):
            limits = Field(
                default=parameter.default_mm,
                allow_inf_nan=False,
                description=f"{parameter.says}, mm",
                json_schema_extra={"x-least-mm": parameter.least_mm, "x-most-mm": parameter.most_mm},
            )
            fields[parameter.name] = (float, limits)
        elif isinstance(parameter, Shape):
            fields[parameter.name] = (
                OutlineField,
                Field(default=parameter.default, description=f"{parameter.says}, corners in mm"),
            )
        elif isinstance(parameter, Text):
            typed = Annotated[str, Field(max_length=parameter.longest)]
            fields[parameter.name] = (typed, Field(default=parameter.default, description=parameter.says))
        else:
            options = Literal[tuple(parameter.options)]  # type: ignore[valid-type]
            fields[parameter.name] = (options, Field(default=parameter.default, description=parameter.says))
    return cast(
        type[ThingDocument],
        create_model(
            f"{kind.title}Thing",
            __base__=ThingDocument,
            __doc__=f"{kind.title}: {len(fields)} fields",
            **fields,
        ),
    )


THING_MODELS: dict[str, type[ThingDocument]] = {name: _thing_model(kind) for name, kind in KINDS.items()}
_DRAWN_TEXTS: dict[str, list[str]] = {
    name: [p.name for p in kind.parameters if isinstance(p, Text) and p.is_drawn] for name, kind in KINDS.items()
}
_SHAPES: dict[str, list[str]] = {
    name: [p.name for p in kind.parameters if isinstance(p, Shape)] for name, kind in KINDS.items()
}


@lru_cache(maxsize=2048)
def values_of(thing: ThingDocument) -> Values:
    """Return the name and the values of a thing; the same object while nothing of it changes."""
    return Values(thing.name, thing.held())


class Exercise(Document):
    """An exercise, whole."""

    schema_: Literal["orthopsis/exercise/2"] = Field(default="orthopsis/exercise/2", alias="schema")
    title: Annotated[str, Field(min_length=1, max_length=80)] = "New exercise"
    sheet: SheetDocument = SheetDocument()
    eye_level: EyeLevelDocument = EyeLevelDocument()
    views: Annotated[tuple[ViewDocument, ...], Field(min_length=1, max_length=MOST_VIEWS)] = (OnePointView(),)
    things: Annotated[tuple[ThingDocument, ...], Field(max_length=MOST_THINGS)] = ()
    hides: Annotated[tuple[Hides, ...], Field(max_length=MOST_THINGS)] = ()
    light: LightSide = "left"
    rays: Rays = "45"
    far: FarTones = "alike"
    sun: SunDocument = SunDocument()
    minutes: Annotated[int, Field(ge=5, le=600)] = 45
    steps: Annotated[tuple[StepChange, ...], Field(max_length=2000)] = ()
    wording: WordingDocument = WordingDocument()

    model_config = ConfigDict(frozen=True, extra="forbid", populate_by_name=True)

    @field_validator("things", mode="before")
    @classmethod
    def _read_things(cls, things: Any) -> Any:
        if not isinstance(things, list | tuple):
            raise ValueError("things must be a list")
        return numbered(_read_thing(thing) for thing in things)

    @field_validator("views")
    @classmethod
    def _view_names_differ(cls, views: tuple[ViewDocument, ...]) -> tuple[ViewDocument, ...]:
        if len({view.name for view in views}) != len(views):
            raise ValueError("two views have the same name; rename one of them")
        return views

    @field_validator("things")
    @classmethod
    def _names_differ(cls, things: tuple[ThingDocument, ...]) -> tuple[ThingDocument, ...]:
        names = [thing.name for thing in things]
        if len(set(names)) != len(names):
            raise ValueError("two things have the same name; rename one of them")
        if len({thing.id for thing in things}) != len(things):
            raise ValueError("two things have the same id; leave one out, and it gets another")
        return things

    @field_validator("things")
    @classmethod
    def _can_be_drawn_in_time(cls, things: tuple[ThingDocument, ...]) -> tuple[ThingDocument, ...]:
        letters = sum(len(getattr(thing, name)) for thing in things for name in _DRAWN_TEXTS[thing.kind])
        corners = sum(len(loop) for thing in things for name in _SHAPES[thing.kind] for loop in getattr(thing, name))
        if letters > MOST_LETTERS:
            raise ValueError(f"it has {letters} letters, and {MOST_LETTERS} is the most on one sheet")
        if corners > MOST_ALL_CORNERS:
            raise ValueError(f"its outlines have {corners} corners, and {MOST_ALL_CORNERS} is the most on one sheet")
        return things

    @property
    def lighting(self) -> Light:
        """The one light of the sheet."""
        sun = self.sun
        return Light(self.light, sun.stands, self.rays, sun.aside_mm, sun.height_mm, sun.foot_mm)

    def document(self) -> dict[str, Any]:
        """Return the exercise as plain JSON data, things with all their parameters."""
        data = self.model_dump(mode="json", by_alias=True)
        data["things"] = [thing.model_dump(mode="json") for thing in self.things]
        return data


def numbered(things: Iterable[ThingDocument]) -> tuple[ThingDocument, ...]:
    """Return things, those that have none with an id that no other one has."""
    known = list(things)
    taken = {thing.id for thing in known}
    free = (number for number in count(1) if number not in taken)
    return tuple(thing if thing.id else thing.model_copy(update={"id": next(free)}) for thing in known)


def _read_thing(thing: Any) -> ThingDocument:
    if isinstance(thing, ThingDocument):
        return thing
    kind = thing.get("kind") if isinstance(thing, dict) else None
    model = THING_MODELS.get(kind) if isinstance(kind, str) else None
    if model is None:
        raise ValueError(f"“{str(kind)[:40]}” is not a kind of thing; known: {', '.join(THING_MODELS)}")
    return model.model_validate(thing)


def read_exercise(source: str | bytes | dict[str, Any]) -> Exercise:
    """Return the exercise that a document says; one of an earlier schema is carried over.

    Raises:
        UnreadableExercise: no JSON, another or a newer schema, or a field that cannot be; the first fault is named.
    """
    data = source if isinstance(source, dict) else _parse(source)
    data = upgraded(data, _version(data.get("schema")))
    try:
        return Exercise.model_validate(data)
    except ValidationError as error:
        raise _first_fault(error) from None


def _parse(source: str | bytes) -> dict[str, Any]:
    if len(source) > MOST_BYTES:
        raise UnreadableExercise("too_large", "The document is too large for an exercise.", "Choose another file.")
    try:
        data = json.loads(source)
    except (ValueError, RecursionError):
        raise UnreadableExercise(
            "not_json",
            "This is not an exercise document: it is not JSON.",
            "Choose a file that Orthopsis has written.",
        ) from None
    if not isinstance(data, dict):
        raise UnreadableExercise(
            "not_an_exercise",
            "This is not an exercise document.",
            "Choose a file that Orthopsis has written.",
        )
    return data


def _version(schema: Any) -> int:
    """Return the version of a document's schema.

    Raises:
        UnreadableExercise: it is another schema, or a newer version.
    """
    text = str(schema)[:60]
    family, _, version = text.rpartition("/")
    if family == FAMILY and version.isdecimal() and version.isascii() and int(version) > 0:
        if int(version) <= NEWEST:
            return int(version)
        raise UnreadableExercise(
            "newer_schema",
            f"This exercise was written by a newer Orthopsis ({text}); this one reads up to {SCHEMA}.",
            "Update Orthopsis, or export the exercise again from there.",
            about="schema",
        )
    raise UnreadableExercise(
        "unknown_schema",
        "This is not an exercise document: its schema is missing or unknown.",
        f"The field schema must say {SCHEMA}.",
        about="schema",
    )


def _first_fault(error: ValidationError) -> UnreadableExercise:
    fault = error.errors(include_url=False, include_input=False)[0]
    place = ".".join(str(part) for part in fault["loc"] if part not in ("function-after", "function-before"))
    return UnreadableExercise(
        "bad_field",
        f"The field {place or 'exercise'} cannot be used: {fault_words(dict(fault))[0]}.",
        "Correct it and try again.",
        about=place,
    )
