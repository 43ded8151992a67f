"""The parts of what is written down of an exercise, but for its things: sheet, eye level, points, light, steps, words.

The models are frozen; every length is page millimetres.
"""

from typing import Annotated, Any, Literal

from pydantic import (
    BaseModel,
    ConfigDict,
    Discriminator,
    Field,
    Tag,
)

from orthopsis.core.light.light import Stands
from orthopsis.core.sheet.length import LONGEST_MM, Units
from orthopsis.core.sheet.paper import LEAST_OWN_MM, MOST_OWN_MM, Half, Orientation, PaperName
from orthopsis.core.sheet.ruler import Division
from orthopsis.core.wording.vocabulary import Level, Vocabulary

LARGEST_ID = 1_000_000
LOWEST_SUN_MM, FARTHEST_SUN_MM = 5.0, 2000.0
"""A sun nearer to the eye level casts shadows without end; no more paper is taped on (no source)."""
MOST_LATER = 400

School = Literal["exercise", "composition"]
Millimetres = Annotated[float, Field(ge=-LONGEST_MM, le=LONGEST_MM, allow_inf_nan=False)]
Name = Annotated[str, Field(min_length=1, max_length=40, pattern=r"^[^.\x00-\x1f]+$")]


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
        r"|floor|ceiling|left_wall|right_wall|back_wall|ground|steps|slope"
        r"|round_(front|back|left|right|top|bottom)|part_\d{1,2}_\d{1,2}))$"
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
