"""What solving an exercise answers: points, lines, faces, steps and advice, ready to be shown or printed.

All places are ``(x, y)`` in page mm from the lower left corner of the sheet. Lines carry an ``id`` that
steps refer to, so that the picture after any step is a matter of looking up, not of computing.
"""

from dataclasses import dataclass
from typing import Annotated, ClassVar, Literal

from pydantic import BaseModel, ConfigDict, Field, PlainSerializer

from orthopsis.core.document.place import Owner
from orthopsis.core.sheet.length import unbroken

Place = tuple[float, float]
Box = tuple[float, float, float, float]
"""A part of the page: left, low, right, high."""
RimSide = Literal["left", "right", "top", "bottom"]
Role = Literal["edge", "detail", "guide", "construction", "shadow"]


class AnswerPart(BaseModel):
    """Base of all parts of an answer."""

    model_config = ConfigDict(
        frozen=True, populate_by_name=True, serialize_by_alias=True, json_schema_serialization_defaults_required=True
    )


class SheetSize(AnswerPart):
    """The paper."""

    width_mm: float
    height_mm: float
    units: str
    division_mm: float
    fold_mm: float | None = None
    """Where the sheet is folded, mm from the left edge."""


@dataclass(frozen=True, slots=True)
class DrawnLine:
    """A line of the drawing; there are hundreds in one, and the core made them, so that they need not be checked.

    ``behind`` marks edges at the back of a see-through thing. ``edge`` and ``detail``
    lines are pieces of the finished drawing; ``guide`` and ``construction`` lines
    are what the pencil drew lightly on the way. ``family`` is level, upright, free or a vanishing point.
    ``bend`` holds places between the ends of a curve, in order; a straight line has none.
    """

    __pydantic_config__: ClassVar[ConfigDict] = AnswerPart.model_config
    id: int
    thing: str
    name: str
    start: Annotated[Place, Field(alias="from")]
    end: Annotated[Place, Field(alias="to")]
    role: Role
    family: str
    visible: bool
    behind: bool = False
    rests_on: str = ""
    turns_to: str = ""
    bend: tuple[Place, ...] = ()


@dataclass(frozen=True, slots=True)
class TonedFace:
    """A face that shows, with its tone step 0 to 3; farther faces come first. ``loops``: its outline, then holes.

    ``direction``: the same for all that face one way in one view; empty for what has no single direction or a tone of
    its own. ``turned``: which way it faces.
    """

    __pydantic_config__: ClassVar[ConfigDict] = AnswerPart.model_config
    id: int
    thing: str
    name: str
    loops: list[list[Place]]
    tone: int
    direction: str = ""
    turned: str = ""


class HandlePlace(AnswerPart):
    """A point that can be dragged; ``shape`` tells its sign: a place, a size, a point on a line, or a corner.

    ``reads``: where it is, in the class's units; empty while a hand drags.
    """

    id: str
    at: Place
    says: str
    reads: str = ""
    about: str
    shape: Literal["place", "size", "point", "corner"] = "point"


class MeasureMark(AnswerPart):
    """A length shown on the sheet, between two points; ``about`` is what it is a length of."""

    path: str
    about: str
    start: Place = Field(alias="from")
    end: Place = Field(alias="to")
    text: str


class Aim(AnswerPart):
    """A point that lines run to: a vanishing point, or an aid such as a distance or measuring point.

    ``reads``: how far over or under the eye level it lies, in the class's units; empty for one that lies on it.
    """

    name: str
    at: Place
    kind: Literal["vanishing", "aid"]
    label: str
    reads: str = ""


class TapedStrip(AnswerPart):
    """A strip of paper taped to a side of the sheet; lower left corner and size, and the points it carries, by name."""

    side: str
    aims: list[str]
    at: Place
    width_mm: float
    height_mm: float


class Picture(AnswerPart):
    """What dragging needs: the drawing without steps and advice."""

    sheet: SheetSize
    eye_level_mm: float
    vanishing_points: dict[str, Place]
    aims: list[Aim]
    strips: list[TapedStrip]
    points: dict[str, Place]
    lines: list[DrawnLine]
    faces: list[TonedFace]
    handles: list[HandlePlace]
    measures: list[MeasureMark]


StepAct = Literal["earlier", "later", "join", "part", "split", "whole", "extra", "required", "leave_out", "say", "own"]
"""What can be done with a step: moved, joined to the one before and parted again, told line by line and whole again,
made extra and required again, left out, told in the teacher's words and in its own again."""


ScaleSide = Literal["below", "above", "left", "right"]


class ScaleMark(AnswerPart):
    """A place on a scale, and what is read there: ``out`` and ``aside``, to the right or up, in times its size."""

    at: Place
    text: str
    out: float = 0.5
    aside: float = 0.0


class Scale(AnswerPart):
    """Measures, or counted light lines, along one side of what a step draws; ``side`` of it the texts stand."""

    side: ScaleSide
    marks: list[ScaleMark]


class PointLetter(AnswerPart):
    """A point of a step by its letter, and the two figures by which it is marked: across and up, or light lines.

    The middle of the letter is ``beside`` the point, so many times its size, y up.
    """

    at: Place
    text: str
    across: str
    up: str
    beside: Place = (0.0, 0.0)


Length = tuple[Place, Place, Place]
"""From where to where something is measured, and to which side its measure may stand, length 1."""


class Dimension(AnswerPart):
    """A length that a step lays off; its measure stands at the side to which ``out`` points, length 1.

    ``at`` says beside which share of the length: half of it in the middle, less than 0 or more than 1 beyond its ends;
    ``row`` how many rows of texts further out than right beside it. Where no such place is clear, the text stands
    ``away`` from the middle of its line, so many times its size, y up, and a line leads to it.
    ``equal`` are equal lengths, from, to and out, beside which the measure could stand as well; nobody is sent them.
    """

    start: Place = Field(alias="from")
    end: Place = Field(alias="to")
    out: Place
    at: float = 0.5
    row: int = 0
    away: Place | None = None
    text: str
    equal: list[Length] = Field(default=[], exclude=True)


Words = Annotated[str, PlainSerializer(unbroken, return_type=str)]
"""Words of a step: whoever shows them breaks no length over a line."""


class Beyond(AnswerPart):
    """A point beyond the picture of a step, to which lines of it run.

    Attributes:
        at: where one of them leaves the picture, over which ``side``, and which ``way`` it runs there, length 1.
        text: where it runs to; ``past``: how far past the edge of the sheet that lies, empty for a point on the sheet.
    """

    at: Place
    way: Place
    side: RimSide
    text: str
    past: str


class Step(AnswerPart):
    """One step of the work (a fact, not a caption).

    ``key`` names it for changes, ``joins`` those that are told with it, ``can`` lists what may be changed, ``stop``
    tells that a lesson may well end after it. ``short`` is the title without the thing's name. ``after`` is what may be
    done once the step is done.

    For its picture: ``scales`` hold measures, ``letters`` the points that the words name by them, ``dimensions`` the
    lengths that it lays off where it has neither. ``takes_up`` names marks of earlier steps that it uses and that no
    line shows. ``leaves`` are what is left of lines that it takes away, as lines of their own. ``close_up`` is the part
    of the sheet that is shown enlarged, if any, ``beyond`` the points outside of the picture.
    """

    key: str
    joins: tuple[str, ...] = ()
    can: tuple[StepAct, ...] = ()
    stop: bool = False
    phase: str
    thing: str
    title: Words
    short: Words
    text: Words
    scales: list[Scale]
    letters: list[PointLetter]
    dimensions: list[Dimension] = []
    close_up: Box | None = None
    beyond: list[Beyond] = []
    tool: str
    rests_on: str
    count: int
    rule: str
    slip: Words
    after: Words = ""
    minutes: float
    extra: bool
    draws: list[int]
    marks: list[str]
    takes_up: list[str] = []
    takes_away: list[int]
    leaves: list[int] = []
    darkens: list[int]
    tones: bool


class OnPaper(AnswerPart):
    """When what is on the paper: numbers of steps, from 1; what never is has the number after the last.

    ``lines`` holds of each line of the drawing, in their order, the step that draws it lightly, the one that ends this,
    and the one that darkens it; ``points`` when each is marked, ``tone`` when it is laid on.
    """

    lines: list[tuple[int, int, int]]
    points: dict[str, int]
    tone: int


class CureEdit(AnswerPart):
    """One value that a cure changes."""

    path: str
    value: float | str


class Cure(AnswerPart):
    """Something that would help, ready to be tried; where ``is_sought`` its edits are looked for when it is asked."""

    text: str
    edits: list[CureEdit]
    is_sought: bool = False


class Advice(AnswerPart):
    """Something that will look wrong or be hard to draw, with number, limit, and cures; ``cure`` says the first."""

    code: str
    about: str
    value: float
    limit: float
    unit: str
    text: str
    why: str
    cure: str
    cures: list[Cure]


class PlaceOption(AnswerPart):
    """One choice of a place."""

    value: str
    text: str


class SentencePiece(AnswerPart):
    """Plain words, or a place whose value is edited where it stands.

    A ``thing`` is chosen among the other things of the exercise; ``options`` then holds only what else may be chosen.
    A ``word`` is a text that is drawn. ``hint`` says what a choice means, where its words alone do not.
    """

    text: str
    path: str = ""
    kind: Literal["words", "length", "choice", "free_length", "number", "angle", "outline", "thing", "text", "word"] = (
        "words"
    )
    value: float | str = ""
    options: tuple[PlaceOption, ...] = ()
    says: str = ""
    hint: str = ""


class Sentence(AnswerPart):
    """One sentence of the exercise in words: what it is about, and which one, where there are several of these."""

    about: str
    owner: Owner
    number: int
    title: str
    pieces: list[SentencePiece]


class LeftOut(AnswerPart):
    """A step that is not told."""

    key: str
    title: str


class HidesLine(AnswerPart):
    """Two things whose pictures lie over each other, by number: the first stands before the second, and why.

    Each stands for all that hangs together with it. ``is_said``: the teacher has said so.
    """

    nearer: int
    farther: int
    names: tuple[str, str]
    text: str
    is_said: bool


class Drawing(Picture):
    """The whole answer; ``is_personal``: whether sheets differ from student to student.

    ``unused`` says each change of a step that there is not any more. ``hides``: who hides whom.
    """

    is_personal: bool
    steps: list[Step]
    on_paper: OnPaper
    left_out: list[LeftOut]
    unused: list[str]
    hides: list[HidesLine]
    advice: list[Advice]
    sentences: list[Sentence]
