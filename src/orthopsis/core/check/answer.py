"""What checking a sheet answers. Places are page mm, origin lower left."""

from typing import Any, Literal

from pydantic import Field, ValidationError

from orthopsis.core.drawing.answer import AnswerPart, Place

Verdict = Literal["fine", "slightly_off", "off", "wrong_point", "cannot_tell", "unexpected"]


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


class Finding(AnswerPart):
    """Something a teacher would see; ``lines`` are numbers of judged lines. Severity 1 slight, 2 clear, 3 grave.

    ``line``: how the line it is about is called, where it is about one.
    """

    code: str
    severity: int
    title: str
    text: str
    lines: list[int]
    about: str
    line: str = ""


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

    ``greys``: of faces, where they were measured. ``made_by``: the version of Orthopsis that judged, empty where
    it was an early one.
    """

    vanishing_points: dict[str, PointEstimate]
    lines: list[JudgedLine]
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
