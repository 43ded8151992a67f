"""A place of the exercise that can be edited, as a reference: what it belongs to, which one of several, which value.

Outside the core a place is called by its path: ``eye_level.height_mm``, ``views.0.left_mm``, ``things.2.width``. Only
this module reads paths and writes them.
"""

from dataclasses import dataclass
from typing import Literal, get_args

from orthopsis.core.errors import GeometryError

Owner = Literal["title", "sheet", "eye_level", "views", "things", "wording", "light", "rays", "sun", "far", "minutes"]
_MANY = ("views", "things")
MOST_SHOWN = 60


@dataclass(frozen=True, slots=True)
class PlaceRef:
    """A place of the exercise.

    Attributes:
        owner: the field of the document that it belongs to.
        number: which view or thing; none of what there is only one.
        name: which value of it, or which handle; empty for the whole.
    """

    owner: Owner
    number: int = -1
    name: str = ""

    @property
    def path(self) -> str:
        """How it is called outside."""
        parts = [self.owner, *([str(self.number)] if self.number >= 0 else []), *([self.name] if self.name else [])]
        return ".".join(parts)

    @property
    def whole(self) -> "PlaceRef":
        """What it is a value of."""
        return self.of("")

    @property
    def holds_length(self) -> bool:
        """Whether a length is held there; whatever numbers views and things have are lengths."""
        return self.owner in _MANY or self in LENGTHS

    def of(self, name: str) -> "PlaceRef":
        """Return another value of the same."""
        return PlaceRef(self.owner, self.number, name)


TITLE, MINUTES = PlaceRef("title"), PlaceRef("minutes")
EYE_LEVEL, OVER_GROUND = PlaceRef("eye_level", name="height_mm"), PlaceRef("eye_level", name="over_ground_mm")
PAPER, ORIENTATION = PlaceRef("sheet", name="paper"), PlaceRef("sheet", name="orientation")
UNITS, DIVISION = PlaceRef("sheet", name="units"), PlaceRef("sheet", name="division")
OWN_SIZE = (PlaceRef("sheet", name="own_width_mm"), PlaceRef("sheet", name="own_height_mm"))
SUN, SUN_ASIDE, SUN_HEIGHT = PlaceRef("sun"), PlaceRef("sun", name="aside_mm"), PlaceRef("sun", name="height_mm")
LAMP_FOOT = PlaceRef("sun", name="foot_mm")
"""The height of the place under a lamp, and the handle of that place."""
LENGTHS = frozenset(
    (SUN_ASIDE, SUN_HEIGHT, LAMP_FOOT, EYE_LEVEL, PlaceRef("sheet", name="margin_mm"), *OWN_SIZE, OVER_GROUND)
)
"""The places of the sheet, its eye level and its sun that hold lengths."""


def view_place(number: int, name: str = "") -> PlaceRef:
    """Return a place of a view."""
    return PlaceRef("views", number, name)


def thing_place(number: int, name: str = "") -> PlaceRef:
    """Return a place of a thing."""
    return PlaceRef("things", number, name)


def read_place(path: str) -> PlaceRef:
    """Return the place that a path names.

    Raises:
        GeometryError: an exercise has no such place.
    """
    owner, *rest = path.split(".")
    number = -1
    if owner in _MANY:
        if not rest or not (rest[0].isascii() and rest[0].isdecimal()) or len(rest[0]) > 4:
            raise no_place(path)
        number = int(rest.pop(0))
    if owner not in get_args(Owner) or len(rest) > 1:
        raise no_place(path)
    return PlaceRef(owner, number, rest[0] if rest else "")  # type: ignore[arg-type]


def no_place(place: "str | PlaceRef") -> GeometryError:
    """Return the error for a place that the exercise does not have."""
    path = place.path if isinstance(place, PlaceRef) else place
    return GeometryError(
        "no_such_place", f"There is no “{path[:MOST_SHOWN]}” in this exercise.", "Load the exercise again."
    )
