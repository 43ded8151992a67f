"""A letter or a word drawn on any face of another thing: on a wall, on top of a crate, on a side that goes away.

It lies flat on the face; a word that stands as a thing of its own is the business of ``things.letters``.
"""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.laid_line import LaidLine, laid_at_foot
from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.answers import Clause
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.face_part import shares_on_marks
from orthopsis.core.things.flat import FlatOutlines, Loops, mapped, places_of, reading
from orthopsis.core.things.letters.measures import THICKNESS, letters_of
from orthopsis.core.things.parameters import Choice, Length, Text, Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values

RIMS = {"none": 0.0, "tenth": 0.1, "fifth": 0.2}
"""How much of the face stays free on each side."""
FORM = {"form": "block"}


def loops_on(values: Values, panel: Panel) -> Loops:
    """Return the letters by name, each with the corners of its loops, as large as the face allows.

    Raises:
        GeometryError: a character that the alphabet lacks, or strokes for which there is no room.
    """
    letters = letters_of(Values(values.name, {**values.held, **FORM}))
    wide = max(letter.right for letter in letters)
    corners = [corner for letter in letters for loop in letter.outline for corner in loop]
    tall, rim = max(c[1] for c in corners), RIMS[values.word("rim")]
    number, result, turned = 0, [], reading(panel)
    for letter in letters:
        loops = []
        for loop in letter.outline:
            places = [(rim + (1 - 2 * rim) * x / wide, rim + (1 - 2 * rim) * y / tall) for x, y, *_ in loop]
            loops.append(tuple((number + i + 1, turned.on_face(place)) for i, place in enumerate(places)))
            number += len(places)
        result.append((letter.name, tuple(loops)))
    return tuple(result)


class Sign(FlatOutlines):
    """A word that lies flat on a face."""

    told = "lettering"
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
    def outlines(self) -> Loops:
        """The letters on the face, each corner on marks of the rulers by which it is found, where these have room."""
        given, laid = self._given, self.laid
        if laid is None:
            return given
        marks = self.panel.first_mm / self.setting.sheet.division_mm if self.panel.up.goal.is_ideal else 0.0
        heights = sorted({up for own in places_of(given).values() for _, up in own})
        up = shares_on_marks(heights, 1 / marks) if marks else {share: share for share in heights}
        return mapped(given, lambda place: (laid.share(place[0]), up[place[1]]))

    @cached_property
    def laid(self) -> LaidLine | None:
        """The line at the foot of the face on which the letters' widths are laid off."""
        if self.panel.is_true or not reading(self.panel).is_along:
            return None
        return laid_at_foot(self.panel, self.setting.level, list(places_of(self._given).values()))

    @cached_property
    def _given(self) -> Loops:
        return loops_on(self.values, self.panel)


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
