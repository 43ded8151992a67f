"""What does a thing have to say of itself, so that everything else follows from it?

The exercise schema, the API, the sentences and handles on the screen, the steps and the marking are all
made from a ``ThingKind``. Nothing outside a thing's own module knows it by name.
"""

import math
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field
from functools import lru_cache
from typing import Literal

from orthopsis.core.construct.moves import Act, Measure, MeasureAlong, Move, Phase, RuleToPoint, Shift
from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.length import format_length, format_limit
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.outline import Outline, check_outline, size
from orthopsis.core.things.parameters import LOOK, PLACE, Choice, Length, Parameter, Shape, Value
from orthopsis.core.things.standing import Anchor, InLine, Joint, Setting
from orthopsis.core.view.aim import Aim, AimRole
from orthopsis.core.view.frame import ViewKind


@dataclass(frozen=True, slots=True)
class Values:
    """The parameter values of one thing in one exercise.

    Attributes:
        name: what the thing is called; the first part of its points' names.
        held: value by parameter name; lengths in page mm.
        parts: the parts that are told one by one, such as letters: what each is called, and how many loops of the
            outline it has.
        room: width and height of the rectangle in which the outline stands, where it does not fill it, mm.
    """

    name: str
    held: Mapping[str, Value]
    parts: tuple[tuple[str, int], ...] = ()
    room: tuple[float, float] | None = None

    def __hash__(self) -> int:
        return hash((self.name, tuple(self.held.values())))

    def mm(self, name: str) -> float:
        """Return a length in mm."""
        held = self.held[name]
        assert isinstance(held, float | int)
        return float(held)

    def word(self, name: str) -> str:
        """Return a choice."""
        return str(self.held[name])

    def outline(self, name: str) -> Outline:
        """Return an outline, mm from the lower left corner of its face."""
        held = self.held[name]
        assert not isinstance(held, float | str)
        return held

    def face(self, name: str) -> tuple[float, float]:
        """Return width and height of the face that an outline is cut from, mm."""
        return self.room or size(self.outline(name))

    @property
    def first(self) -> Point:
        """The corner that is drawn first, page mm."""
        return Point(self.mm("left"), self.mm("bottom"))

    @property
    def is_see_through(self) -> bool:
        """Whether hidden edges are shown and nothing is hidden by this thing."""
        return self.held.get(LOOK.name) == "see_through"

    @property
    def is_open(self) -> bool:
        """Whether one looks into it."""
        return self.held.get(LOOK.name) == "open"

    @property
    def shows_inside(self) -> bool:
        """Whether its inner sides are seen, and so drawn."""
        return self.is_see_through or self.is_open

    def full(self, name: str) -> str:
        """Return the full name of a point or line of this thing."""
        return f"{self.name}.{name}"

    def begin(self, setting: Setting, name: str) -> Act:
        """Return the act that marks the first corner: measured, or where it stands on another thing."""
        anchor = setting.anchor
        if anchor is not None and anchor.point and math.dist(anchor.at.xy, self.first.xy) <= SAME_POINT_MM:
            return Shift(self.full(name), anchor.point, 0.0)
        return Measure(self.full(name), *self.first.xy)

    def line_up(self, anchor: Anchor, in_line: InLine, foot: str) -> list[Act]:
        """Return the acts that run the other's foot and top to the point and mark the foot between them."""
        ground, rise = self.full("construction.ground"), self.full("construction.rise")
        return [
            RuleToPoint(ground, anchor.point, in_line.runs, "construction"),
            MeasureAlong(self.full(foot), ground, in_line.gap_mm),
            RuleToPoint(rise, in_line.top, in_line.runs, "construction"),
        ]

    def move(self, phase: Phase, breath: str, act: Act, part: str = "") -> Move:
        """Return a move of this thing, or of a part of it."""
        return Move(phase, self.name, breath, act, part=part)


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
Drag = Callable[[Values, Setting, Point], Mapping[str, Value]]
NumberedDrag = Callable[[Values, Setting, Point, int], Mapping[str, Value]]


@dataclass(frozen=True, slots=True)
class Handle:
    """A point that can be dragged.

    Attributes:
        name: within its thing.
        says: what dragging it does, for screen readers and tips.
        changes: the parameters that dragging may change; shown as measures meanwhile.
        drag: from a page point to new values, not yet rounded to the ruler.
        shape: its sign on the screen: a place, a size, a point on a line, or one of many corners.
    """

    name: str
    says: str
    changes: tuple[str, ...]
    drag: Drag
    shape: HandleShape = "point"


@dataclass(frozen=True, slots=True)
class CornerHandles:
    """The corners of an outline, each of which can be dragged; they are called ``corner_1`` and so on."""

    changes: tuple[str, ...]
    drag: NumberedDrag

    def handle(self, number: int) -> Handle:
        """Return the handle of one corner."""
        return _corner_handle(self, number)


@lru_cache(maxsize=512)
def _corner_handle(corners: CornerHandles, number: int) -> Handle:
    def drag(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
        return corners.drag(values, setting, at, number)

    return Handle(f"corner_{number}", f"Move corner {number}", corners.changes, drag, "corner")


def stand_on_front(values: Values, setting: Setting, joint: Joint) -> Mapping[str, Value]:
    """Return the place of the first corner, if it is the lower left one."""
    if joint.top is not None:
        raise GeometryError(
            "cannot_join",
            "This keeps its own height; it cannot take that of another thing.",
            "Let it stand on its own, or take a box.",
            about="joined_by",
        )
    if joint.point:
        return {"left": joint.corner.x, "bottom": joint.corner.y}
    return {"bottom": joint.corner.y}


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
class Field:
    """A part of another thing's face that gets a tone of its own: the face's name, and its loops on the page, mm."""

    face: str
    loops: tuple[tuple[tuple[float, float], ...], ...]


@dataclass(frozen=True, slots=True)
class Build:
    """How a kind of thing is built in one kind of view.

    Attributes:
        solid: its shape in the world of the frame's eye: the view route.
        recipe: the hand's moves: the construction route.
        handles_at: where each usable handle is, by name, page mm.
        spans: for a parameter the two page points between which it is measured.
        free_lines: how the names of the lines begin whose place follows from a free length, by the point to
            which they are carried.
        aims: the points of its own that its lines run to; its recipe makes them, by these names.
        needs: which aids of its view the recipe uses.
        place: values for a new one, so that it lands where it can be seen.
        follow: what else changes when a value is chosen, so that the drawing stays as it is.
        joints: where other things can stand, by what the document calls it.
        stand: its own values when it stands at a joint of another thing.
        foot_depth: world depth of its lower nearest corner.
        true_length: how long its edges in a direction are in the world, mm at the scale of the first corner.
        corners: the corners of its outline, where they can be dragged.
        keep_shape: measures (mm) with which it has the same shape in the world in another setting.
        is_personal: whether it is another one on each student's sheet.
        personal: what becomes of it on the sheet of a student, by the student's name; nothing where it is the same.
        panels: its faces on which other things can lie, by the way they are turned.
        skewed: places that are not where they would be in truth, for a thing that lies on a face.
        fields: the parts of that face that it tones, such as every other field of checks.
    """

    sentence: tuple[Clause, ...]
    handles: tuple[Handle, ...]
    solid: Callable[[Values, Setting], Solid]
    recipe: Callable[[Values, Setting], list[Move]]
    place: Callable[[Setting, int], Mapping[str, Value]]
    handles_at: Callable[[Values, Setting], Mapping[str, Point]] = lambda values, setting: {}
    spans: Callable[[Values, Setting], Mapping[str, tuple[Point, Point]]] = lambda values, setting: {}
    free_lines: Callable[[Values, Setting], Mapping[str, tuple[str, ...]]] = lambda values, setting: {}
    aims: Callable[[Values, Setting], tuple[Aim, ...]] = lambda values, setting: ()
    needs: Callable[[Values], frozenset[AimRole]] = lambda values: frozenset()
    follow: Callable[[Values, Setting, str, Value], Mapping[str, Value]] = lambda values, setting, name, value: {}
    corners: CornerHandles | None = None
    keep_shape: Callable[[Values, Setting, Setting], Mapping[str, float]] = lambda values, before, after: {}
    true_length: Callable[[Values, Setting, str], float] = lambda values, setting, role: 0.0
    is_personal: Callable[[Values], bool] = lambda values: False
    personal: Callable[[Values, Setting, str, Fit], Personal | None] = lambda values, setting, name, fit: None
    joints: Callable[[Values, Setting], Mapping[str, Joint]] = lambda values, setting: {}
    panels: Callable[[Values, Setting], Mapping[str, Panel]] = lambda values, setting: {}
    skewed: Callable[[Values, Setting], list[Skewed]] = lambda values, setting: []
    fields: Callable[[Values, Setting], tuple[Field, ...]] = lambda values, setting: ()
    stand: Callable[[Values, Setting, Joint], Mapping[str, Value]] = stand_on_front
    foot_depth: Callable[[Values, Setting], float] = lambda values, setting: setting.frame.eye.distance_mm

    def handle(self, name: str) -> Handle | None:
        """Return the handle of that name, or None."""
        number = name.removeprefix("corner_")
        if self.corners is not None and number.isdecimal() and number != name:
            return self.corners.handle(int(number))
        return next((h for h in self.handles if h.name == name), None)

    def measured(self, values: Values) -> set[str]:
        """Return the parameters that the sentence says now: those that a ruler lays off."""
        return {name for clause in self.sentence if clause.is_said(values) for name in PLACE.findall(clause.text)}


@dataclass(frozen=True, slots=True)
class ThingKind:
    """A kind of thing, whole.

    Attributes:
        kind: its word in the exercise document.
        title: its word on the screen.
        parameters: what can be said of it; those of a thing that stands for itself begin with ``FIRST_CORNER`` and
            end with ``LOOK``.
        builds: how it is built, by kind of view; where one is missing the thing cannot stand in such a view.
        lies_on_face: whether it lies on a face of another thing, which is the ``panel`` of its anchor.
        is_late: whether it is drawn after all other things.
        can_lie_on: whether it can lie on a face like this.
    """

    kind: str
    title: str
    parameters: tuple[Parameter, ...]
    builds: Mapping[ViewKind, Build]
    lies_on_face: bool = False
    is_late: bool = False
    can_lie_on: Callable[[Panel], bool] = lambda panel: True

    def parameter(self, name: str) -> Parameter:
        """Return the declared parameter of that name."""
        return next(p for p in self.parameters if p.name == name)


def check_values(parameters: Sequence[Parameter], values: Values, sheet: Sheet) -> None:
    """Refuse values outside the declared limits.

    Raises:
        GeometryError: placed at the parameter's name, with the nearest value that works.
    """
    for parameter in parameters:
        if isinstance(parameter, Length):
            _check_length(parameter, values, sheet)
        elif isinstance(parameter, Shape):
            check_outline(values.outline(parameter.name), parameter.name)
        elif isinstance(parameter, Choice) and values.word(parameter.name) not in parameter.options:
            raise GeometryError(
                "unknown_choice",
                f"“{values.word(parameter.name)[:40]}” is not a choice for {parameter.says} of “{values.name}”.",
                f"Choose {', '.join(parameter.options.values())}.",
                about=parameter.name,
                nearest=parameter.default,
            )


def _check_length(parameter: Length, values: Values, sheet: Sheet) -> None:
    mm = values.mm(parameter.name)
    if parameter.least_mm <= mm <= parameter.most_mm:
        return
    limit = parameter.least_mm if mm < parameter.least_mm else parameter.most_mm
    shown = format_length(mm, sheet.units, sheet.division_mm)
    is_small = mm < parameter.least_mm
    nearest = format_limit(limit, sheet.units, sheet.division_mm, is_least=is_small)
    word = "small" if is_small else "large"
    raise GeometryError(
        "length_out_of_limits",
        f"{shown} is too {word} for {parameter.says} of “{values.name}”.",
        f"The nearest that works is {nearest}.",
        about=parameter.name,
        nearest=nearest,
    )
