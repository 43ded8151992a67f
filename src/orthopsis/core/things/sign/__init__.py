"""A letter or a word drawn on any face of another thing: on a wall, on top of a crate, on a side that goes away.

It lies flat on the face; a word that stands as a thing of its own is the business of ``things.letters``.
"""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.moves import Act, Family, Move, Rule
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.letters.measures import THICKNESS, letters_of
from orthopsis.core.things.parameters import Choice, Length, Text, Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Clause, Standing
from orthopsis.core.things.values import Values

RIMS = {"none": 0.0, "tenth": 0.1, "fifth": 0.2}
"""How much of the face stays free on each side."""
FORM = {"form": "block"}

Corner = tuple[int, FacePlace]
"""A corner's number and its place on the face."""


Loops = tuple[tuple[str, tuple[tuple[Corner, ...], ...]], ...]
"""Letters by name, each with the corners of its loops."""


def loops_on(values: Values, panel: Panel) -> Loops:
    """Return the letters by name, each with the corners of its loops, as large as the face allows.

    Raises:
        GeometryError: a character that the alphabet lacks, or strokes for which there is no room.
    """
    letters = letters_of(Values(values.name, {**values.held, **FORM}))
    wide = max(letter.right for letter in letters)
    corners = [corner for letter in letters for loop in letter.outline for corner in loop]
    tall, rim = max(c[1] for c in corners), RIMS[values.word("rim")]
    number, result = 0, []
    for letter in letters:
        loops = []
        for loop in letter.outline:
            places = [(rim + (1 - 2 * rim) * x / wide, rim + (1 - 2 * rim) * y / tall) for x, y, *_ in loop]
            loops.append(tuple((number + i + 1, turned(panel, place)) for i, place in enumerate(places)))
            number += len(places)
        result.append((letter.name, tuple(loops)))
    return tuple(result)


def turned(panel: Panel, place: FacePlace) -> FacePlace:
    """Return the place on a face for one across and up on the word, so that it reads from left to right.

    Words run along the edge that is more level on the page, from left to right; they are never mirrored.
    """
    low, far_low, _, high = panel.page
    ways = {"along": _way(low, far_low), "up": _way(low, high)}
    across = min(ways, key=lambda name: abs(ways[name][1]) / max(abs(ways[name][0]), SAME_SHARE))
    up = "up" if across == "along" else "along"
    x = place[0] if ways[across][0] >= 0 else 1 - place[0]
    sign = 1 if ways[across][0] >= 0 else -1
    (ax, ay), (ux, uy) = ways[across], ways[up]
    y = place[1] if sign * (ax * uy - ay * ux) > 0 else 1 - place[1]
    return (x, y) if across == "along" else (y, x)


def _way(start: Point, end: Point) -> tuple[float, float]:
    return (end.x - start.x, end.y - start.y)


def family(panel: Panel, one: FacePlace, two: FacePlace) -> Family:
    """Return the family of a line between two places of a face."""
    if abs(one[1] - two[1]) <= SAME_SHARE:
        return panel.along.family
    return panel.up.family if abs(one[0] - two[0]) <= SAME_SHARE else "free"


class Sign(Standing):
    """A word that lies flat on a face."""

    sentence: tuple[Clause, ...] = (
        Clause("{text}, letters as if {width} wide, {height} tall and {gap} apart, the rim {rim}. "),
        Clause("Strokes {thickness}. ", {"thickness": ("fifth", "quarter", "third")}),
        Clause(
            "Strokes {thickness}: {stroke} wide, bars {bar} high, the middle one {middle}, {middle_up} up. ",
            {"thickness": ("measured",)},
        ),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more word on a face."""
        return {"text": "K"}

    @cached_property
    def letters(self) -> Loops:
        """The letters on the face."""
        return loops_on(self.values, self.panel)

    @cached_property
    def solid(self) -> Solid:
        """The letters in the world of the frame's eye: edges without faces, on the face of the other thing."""
        loops = [loop for _, own in self.letters for loop in own]
        corners = [corner for loop in loops for corner in loop]
        edges = tuple(
            Edge(f"edge.{a}", f"corner.{a}", f"corner.{b}", family(self.panel, p, q))
            for loop in loops
            for (a, p), (b, q) in zip(loop, (*loop[1:], loop[0]), strict=True)
        )
        names = tuple(f"corner.{number}" for number, _ in corners)
        return Solid(Topology(names, (), edges), self.panel.places(place for _, place in corners))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the face divided, and from crossing to crossing each letter."""
        panel, n, letters = self.panel, self.values.full, self.letters
        places = (place for _, own in letters for loop in own for _, place in loop)
        grid = Grid(self.values.name, panel, places, "face")
        moves = [] if panel.is_true else grid.moves()
        breath = "lettering.measured" if panel.is_true else "lettering.counted"
        for name, own in letters:
            acts: list[Act] = [grid.mark(f"corner.{number}", place) for loop in own for number, place in loop]
            for loop in own:
                for (a, p), (b, q) in zip(loop, (*loop[1:], loop[0]), strict=True):
                    acts.append(Rule(n(f"edge.{a}"), n(f"corner.{a}"), n(f"corner.{b}"), family(panel, p, q)))
            moves += [self.values.move("divide", breath, act, name) for act in acts]
        return tuple(moves)


SIGN = ThingKind(
    kind="lettering",
    title="Sign",
    parameters=(
        Text("text", "the word", "K", 24, is_drawn=True),
        Length("width", "the width of a letter", 50.0, 4.0, 1000.0),
        Length("height", "the height", 60.0, 5.0, 1000.0),
        Length("gap", "the gap between letters", 10.0, 0.0, 1000.0),
        Choice("rim", "the rim", {"none": "nothing", "tenth": "a tenth", "fifth": "a fifth"}, "tenth"),
        Choice("thickness", "the thickness of the strokes", THICKNESS, "quarter"),
        Length("stroke", "the width of the upright strokes", 14.0, 1.0, 500.0),
        Length("bar", "the height of the bars", 12.0, 1.0, 500.0),
        Length("middle", "the height of the middle bar", 12.0, 1.0, 500.0),
        Length("middle_up", "the height of the middle bar's lower edge", 24.0, 1.0, 900.0),
    ),
    in_view={"one_point": Sign, "two_point": Sign, "three_point": Sign},
    hangs="on_face",
    can_lie_on=lambda panel: panel.is_whole,
)
