"""What is written down of a thing: the models of its parameters, made from the declarations of the kinds.

So a new thing changes the schema by itself.
"""

from collections.abc import Iterable
from functools import lru_cache
from itertools import count
from typing import Annotated, Any, Literal, cast

from pydantic import (
    Field,
    create_model,
)

from orthopsis.core.document.parts import LARGEST_ID, Document, JoinedBy, Millimetres, Name
from orthopsis.core.sheet.length import LONGEST_MM
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.outline import MOST_CORNERS, MOST_LOOPS
from orthopsis.core.things.parameters import Length, Shape, Text, Value
from orthopsis.core.things.registry import KINDS
from orthopsis.core.things.values import Values

_Place = Annotated[float, Field(ge=0, le=LONGEST_MM, allow_inf_nan=False)]
_CornerField = tuple[_Place, _Place] | tuple[_Place, _Place, _Place, _Place]
_LoopField = Annotated[tuple[_CornerField, ...], Field(min_length=3, max_length=MOST_CORNERS)]
OutlineField = Annotated[tuple[_LoopField, ...], Field(min_length=1, max_length=MOST_LOOPS)]


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
DRAWN_TEXTS: dict[str, list[str]] = {
    name: [p.name for p in kind.parameters if isinstance(p, Text) and p.is_drawn] for name, kind in KINDS.items()
}
SHAPES: dict[str, list[str]] = {
    name: [p.name for p in kind.parameters if isinstance(p, Shape)] for name, kind in KINDS.items()
}


@lru_cache(maxsize=2048)
def values_of(thing: ThingDocument) -> Values:
    """Return the name and the values of a thing; the same object while nothing of it changes."""
    return Values(thing.name, thing.held())


def numbered(things: Iterable[ThingDocument]) -> tuple[ThingDocument, ...]:
    """Return things, those that have none with an id that no other one has."""
    known = list(things)
    taken = {thing.id for thing in known}
    free = (number for number in count(1) if number not in taken)
    return tuple(thing if thing.id else thing.model_copy(update={"id": next(free)}) for thing in known)


def read_thing(thing: Any) -> ThingDocument:
    """Return a thing of which the fields of a document are known.

    Raises:
        ValueError: there is no such kind of thing, or a field cannot be.
    """
    if isinstance(thing, ThingDocument):
        return thing
    kind = thing.get("kind") if isinstance(thing, dict) else None
    model = THING_MODELS.get(kind) if isinstance(kind, str) else None
    if model is None:
        raise ValueError(f"“{str(kind)[:40]}” is not a kind of thing; known: {', '.join(THING_MODELS)}")
    return model.model_validate(thing)
