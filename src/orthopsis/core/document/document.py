"""What is written down of an exercise, whole, and what makes a document one?"""

import json
from typing import Annotated, Any, Literal

from pydantic import (
    ConfigDict,
    Field,
    ValidationError,
    field_validator,
)

from orthopsis.core.document.chain import FAMILY, NEWEST, upgraded
from orthopsis.core.document.faults import fault_words
from orthopsis.core.document.parts import (
    MOST_VIEWS,
    Document,
    EyeLevelDocument,
    Hides,
    OnePointView,
    SheetDocument,
    StepChange,
    SunDocument,
    ViewDocument,
    WordingDocument,
)
from orthopsis.core.document.thing_models import DRAWN_TEXTS, SHAPES, ThingDocument, numbered, read_thing
from orthopsis.core.errors import UnreadableExercise
from orthopsis.core.light.light import Light, LightSide, Rays
from orthopsis.core.light.tone import FarTones

SCHEMA = f"{FAMILY}/{NEWEST}"
MOST_THINGS = 400
MOST_BYTES = 1_000_000
MOST_LETTERS = 150
MOST_ALL_CORNERS = 3000
"""Letters and corners of outlines in all things together: more would take long to draw, on paper and here."""


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
        return numbered(read_thing(thing) for thing in things)

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
        letters = sum(len(getattr(thing, name)) for thing in things for name in DRAWN_TEXTS[thing.kind])
        corners = sum(len(loop) for thing in things for name in SHAPES[thing.kind] for loop in getattr(thing, name))
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
