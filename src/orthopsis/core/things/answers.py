"""What a thing where it stands answers when it is asked: sentences, handles, and what is to be said of its drawing."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from typing import Literal

from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.values import Values
from orthopsis.core.view.frame import Way


@dataclass(frozen=True, slots=True)
class Clause:
    """A part of a sentence. ``{width}`` is a place, ``[eye level]`` a word of the class's vocabulary.

    ``when`` lists for parameters the values with which the clause is said.
    """

    text: str
    when: Mapping[str, tuple[str, ...]] = field(default_factory=dict)

    def is_said(self, values: Values) -> bool:
        """Tell whether the clause belongs to the sentence with these values."""
        return all(values.word(name) in allowed for name, allowed in self.when.items())


HandleShape = Literal["place", "size", "point", "corner"]


@dataclass(frozen=True, slots=True)
class Handle:
    """A point of a standing thing that can be dragged.

    Attributes:
        says: what dragging it does, for screen readers and tips.
        at: where it is, page mm.
        changes: the parameters that dragging may change; shown as measures meanwhile.
        drag: from a page point to new values, not yet rounded to the ruler.
        shape: its sign on the screen: a place, a size, a point on a line, or one of many corners.
    """

    says: str
    at: Point
    changes: tuple[str, ...]
    drag: Callable[[Point], Mapping[str, Value]]
    shape: HandleShape = "point"


@dataclass(frozen=True, slots=True)
class Fit:
    """What a student's own sheet must fit beside the paper.

    ``thinnest_mm``: the thinnest stroke that hands of this level draw well; ``is_late``: whether the whole takes longer
    than the lesson.
    """

    thinnest_mm: float = 0.0
    is_late: bool = False


@dataclass(frozen=True, slots=True)
class Personal:
    """A thing made a student's own: the values that change, and what a teacher should look at."""

    changes: Mapping[str, Value]
    remarks: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Skewed:
    """A place as it is drawn, where it would be in truth (page mm), and the values that would put it there."""

    drawn: Point
    true: Point
    cure: Mapping[str, str]


@dataclass(frozen=True, slots=True)
class Crowded:
    """Equal parts of a face that come close to each other on the page.

    Attributes:
        name: the parameter that says how many there are.
        gap_mm: how near two of their lines come to each other.
        fewer: from how far apart their lines shall stay, mm, to the most of them that do; 0 where none do.
    """

    name: str
    gap_mm: float
    fewer: Callable[[float], int]


@dataclass(frozen=True, slots=True)
class Summit:
    """A tip that stands over the middle of its wall.

    Attributes:
        at: where it lies on the page; ``over``: the middle under it, or the point to which uprights run.
        edges: the two edges that meet in it, by their names within the thing.
    """

    at: Point
    over: Point
    edges: tuple[str, str]


@dataclass(frozen=True, slots=True)
class Receding:
    """A measured row that goes away: where the feet of its members are on the page, and the point they run to."""

    feet: tuple[Point, ...]
    goal: Point


@dataclass(frozen=True, slots=True)
class Free:
    """Lines whose place follows from one free length: the point they are carried to, and what the thing calls them."""

    about: str
    lines: frozenset[str]


@dataclass(frozen=True, slots=True)
class Called:
    """In a sentence: how the class calls a point that lines run to, by its full name."""

    aim: str


Spoken = Way | Called | float | str
"""What a sentence names: which way something runs, a point, a length in mm, words."""


@dataclass(frozen=True, slots=True)
class Field:
    """A part of another thing's face that gets a tone of its own: the face's name, and its loops on the page, mm.

    ``steps``: by so many tone steps it differs from the face; 0 where the tone of the face says that.
    """

    face: str
    loops: tuple[tuple[tuple[float, float], ...], ...]
    steps: int = 0


Spans = tuple[tuple[Point, Point], ...]
"""Parts of an edge, from where to where on the page."""
WHOLE: Spans = ()
"""All of an edge."""
