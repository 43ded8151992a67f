"""What checking a sheet answers. Places are page mm, origin lower left."""

from typing import Any, Literal

from pydantic import Field, ValidationError

from orthopsis.core.drawing.answer import AnswerPart, Place

Verdict = Literal["fine", "slightly_off", "off", "wrong_point", "cannot_tell", "unexpected"]
CurveVerdict = Literal["fine", "slightly_off", "off", "cannot_tell", "missing"]
CurveFault = Literal[
    "", "place", "widest", "round", "flat", "large", "small", "turned", "pointed", "uneven"
]  # fmt: skip
"""What is wrong with the form or the place of a curve."""


class PointEstimate(AnswerPart):
    """Where the student's lines really meet, how sure that is, and where they should."""

    at: Place
    sd_mm: float
    expected: Place
    lines: int


class JudgedLine(AnswerPart):
    """One drawn line; one to a point runs from the corner where it begins.

    ``miss_mm`` is how far it passes from its point (for level and upright lines: how far its ends differ),
    ``allowed_mm`` is one tolerance: what the hand's own error explains.
    """

    start: Place = Field(alias="from")
    end: Place = Field(alias="to")
    matched: str
    family: str
    verdict: Verdict
    miss_mm: float
    allowed_mm: float
    angle_deg: float
    allowed_deg: float
    aims_at: str = ""


class JudgedCurve(AnswerPart):
    """A curve of the sheet as the hand drew it, or, where it is missing, as it should be.

    ``runs``: the parts of it that show, by their places. ``miss_mm``: how far most of it keeps from its place,
    ``allowed_mm`` is one tolerance. ``long_mm``, ``short_mm``: the two ways across of the ellipse that was drawn, and
    ``shift_mm`` where its middle lies from where it should; nothing where too little shows of it.
    """

    name: str
    verdict: CurveVerdict
    runs: list[list[Place]]
    miss_mm: float
    allowed_mm: float
    fault: CurveFault = ""
    long_mm: float = 0.0
    short_mm: float = 0.0
    shift_mm: Place = (0.0, 0.0)


class Finding(AnswerPart):
    """Something a teacher would see; ``lines`` are numbers of judged lines. Severity 1 slight, 2 clear, 3 grave.

    ``line``: how the line it is about is called, where it is about one. ``curve``: the name of the curve it is about.
    """

    code: str
    severity: int
    title: str
    text: str
    lines: list[int]
    about: str
    line: str = ""
    curve: str = ""


class FaceGrey(AnswerPart):
    """How dark a face is on the sheet: 0 as the paper beside it, 1 black.

    ``direction``: the same for faces that face the same way in the same view; ``turned``: that way, empty where it was
    measured by an early version.
    """

    thing: str
    face: str
    direction: str
    darkness: float
    turned: str = ""


class Checked(AnswerPart):
    """The judgement of one sheet.

    ``curves``: those that can be judged, where the sheet was read from a picture.
    ``greys``: of faces, where they were measured. ``made_by``: the version of Orthopsis that judged, empty where
    it was an early one.
    """

    vanishing_points: dict[str, PointEstimate]
    lines: list[JudgedLine]
    curves: list[JudgedCurve] = Field(default_factory=list)
    missing: list[str]
    findings: list[Finding]
    greys: list[FaceGrey] = Field(default_factory=list)
    note: str
    made_by: str = ""


NOT_JUDGED = Checked(vanishing_points={}, lines=[], missing=[], findings=[], note="")
"""What is said of a sheet that nobody has judged, or of which nobody can read the judgement any more."""


def read_checked(stored: Any) -> Checked | None:
    """Return a judgement as it was stored, or None where there is none that this version can read."""
    try:
        return Checked.model_validate(stored) if stored else None
    except ValidationError:
        return None
