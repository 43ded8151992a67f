"""How does a hand draw a form into its rectangle? Its middle by the diagonals, the middles of its sides from there.

Source: the diagonals of any face cross in its middle; a circle touches its square at the middles of its sides (any
textbook of perspective; from memory).
"""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass

from orthopsis.core.construct.moves import Act, Cross, Curve, Rule, Run
from orthopsis.core.construct.rounding import turns_of
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.things.rectangles.carried import CarriedShapes
from orthopsis.core.things.rectangles.forms import MIDDLES, Form, between_middles
from orthopsis.core.things.rectangles.layout import within
from orthopsis.core.things.rectangles.solid import Families, family_of, part_name


@dataclass(frozen=True, slots=True)
class Drawn:
    """A rectangle as the hand has drawn it, lightly, into which a form comes.

    Attributes:
        form: which form comes into it.
        families: which way its sides run, along and up.
        named: from the name of a place or a line in it to the full one: corners, middles, sides of the form.
        side: from the name of a side of the rectangle to the full one.
    """

    form: Form
    families: Families
    named: Callable[[str], str]
    side: Callable[[str], str]


def drawn_of(shapes: CarriedShapes, number: int, end: str) -> Drawn:
    """Return the rectangle of a form on a face.

    Args:
        end: ``front.`` where it is carried out of the face, else empty.
    """
    families = (shapes.panel.along.family, shapes.panel.up.family)
    return Drawn(
        shapes.form,
        families,
        lambda name: shapes.values.full(f"{part_name(number)}.{end}{name}"),
        lambda side: shapes.side_name(number, side, end),
    )


def middle_acts(drawn: Drawn, *, of_all: bool = False) -> Iterator[Act]:
    """Yield the acts that find the middle of a rectangle and of those of its sides that the form needs, or of all."""
    n, needed = drawn.named, MIDDLES if of_all else drawn.form.middles
    yield Rule(n("diagonal.1"), n("low_near"), n("high_far"), "free", "construction")
    yield Rule(n("diagonal.2"), n("low_far"), n("high_near"), "free", "construction")
    yield Cross(n("middle"), n("diagonal.1"), n("diagonal.2"))
    for way, family, (first, last) in zip(
        ("along", "up"), drawn.families, (("near", "far"), ("low", "high")), strict=True
    ):
        start = n("middle")
        if f"middle_{first}" in needed:
            half = Run(n(f"half.{way}"), n(f"middle_{first}"), start, family, drawn.side(first), "unseen")
            start = half.makes_point
            yield half
        if f"middle_{last}" in needed:
            yield Run(n(f"cross.{way}"), n(f"middle_{last}"), start, family, drawn.side(last), "construction")


def twelve_places(shapes: CarriedShapes, number: int) -> Iterator[tuple[str, FacePlace]]:
    """Yield the places, by name, through which the curves of a form go between the middles, if it has twelve."""
    for side in shapes.form.sides if shapes.has_twelve else ():
        if side.pole:
            for i, place in enumerate(between_middles(side), start=1):
                yield f"{part_name(number)}.{side.name}.tenth.{i}", within(shapes.layout.rectangles[number], place)


def outline_acts(drawn: Drawn, touching: Sequence[Sequence[float]]) -> Iterator[Act]:
    """Yield the acts that draw a form, side by side.

    Args:
        touching: for each side the angles between its ends at which lines that lead out of the face touch it, rad.
    """
    n = drawn.named
    for side, touches in zip(drawn.form.sides, touching, strict=True):
        if side.pole:
            marks = tuple((n(f"{side.name}.{t.name}"), t.angle) for t in turns_of(touches) if not t.is_touched)
            yield Curve(n(side.name), n(side.start), n(side.pole), n(side.end), n("middle"), marks)
        else:
            yield Rule(n(side.name), n(side.start), n(side.end), family_of(side, drawn.families))
