"""How does a hand draw a form into its rectangle? Its middle by the diagonals, the middles of its sides from there.

Source: the diagonals of any face cross in its middle; a circle touches its square at the middles of its sides (any
textbook of perspective; from memory).
"""

from collections.abc import Iterator

from orthopsis.core.construct.moves import Act, Cross, Curve, Role, Rule, Run
from orthopsis.core.construct.rounding import turns_of
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.things.rectangles.carried import CarriedShapes
from orthopsis.core.things.rectangles.forms import between_middles
from orthopsis.core.things.rectangles.layout import within
from orthopsis.core.things.rectangles.solid import family_of, part_name


def middle_acts(shapes: CarriedShapes, number: int, end: str) -> Iterator[Act]:
    """Yield the acts that find the middle of a rectangle and of those of its sides that the form needs.

    Args:
        end: ``front.`` where it is carried out of the face, else empty.
    """

    def n(name: str) -> str:
        return shapes.values.full(f"{part_name(number)}.{end}{name}")

    yield Rule(n("diagonal.1"), n("low_near"), n("high_far"), "free", "construction")
    yield Rule(n("diagonal.2"), n("low_far"), n("high_near"), "free", "construction")
    yield Cross(n("middle"), n("diagonal.1"), n("diagonal.2"))
    needed, ways = shapes.form.middles, {"along": shapes.panel.along.family, "up": shapes.panel.up.family}
    for way, (first, last) in {"along": ("near", "far"), "up": ("low", "high")}.items():
        start = n("middle")
        if f"middle_{first}" in needed:
            half = Run(
                n(f"half.{way}"), n(f"middle_{first}"), start, ways[way], _side(shapes, number, end, first), "unseen"
            )
            start = half.makes_point
            yield half
        if f"middle_{last}" in needed:
            until = _side(shapes, number, end, last)
            yield Run(n(f"cross.{way}"), n(f"middle_{last}"), start, ways[way], until, "construction")


def _side(shapes: CarriedShapes, number: int, end: str, side: str) -> str:
    return shapes.side_name(number, side, end)


def twelve_places(shapes: CarriedShapes, number: int) -> Iterator[tuple[str, FacePlace]]:
    """Yield the places, by name, through which the curves of a form go between the middles, if it has twelve."""
    for side in shapes.form.sides if shapes.has_twelve else ():
        if side.pole:
            for i, place in enumerate(between_middles(side), start=1):
                yield f"{part_name(number)}.{side.name}.tenth.{i}", within(shapes.layout.rectangles[number], place)


def outline_acts(shapes: CarriedShapes, number: int, end: str) -> Iterator[Act]:
    """Yield the acts that draw a form, side by side."""

    def n(name: str) -> str:
        return shapes.values.full(f"{part_name(number)}.{end}{name}")

    families = (shapes.panel.along.family, shapes.panel.up.family)
    role: Role = "edge"
    for i, side in enumerate(shapes.form.sides):
        if side.pole:
            touching = [node.angle for node in shapes.nodes[number] if node.side == i and node.is_touched]
            marks = tuple((n(f"{side.name}.{t.name}"), t.angle) for t in turns_of(touching) if not t.is_touched)
            yield Curve(n(side.name), n(side.start), n(side.pole), n(side.end), n("middle"), marks, role)
        else:
            yield Rule(n(side.name), n(side.start), n(side.end), family_of(side, families), role)
