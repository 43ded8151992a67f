"""How does a picture differ from the one before it? While a hand drags, only that has to be said.

What has not changed is the same object in both pictures (see ``built``), so nothing is compared by its content.
"""

from collections.abc import Callable, Sequence
from typing import TypeVar

from orthopsis.core.drawing.answer import (
    Aim,
    AnswerPart,
    DrawnLine,
    HandlePlace,
    MeasureMark,
    Picture,
    Place,
    TapedStrip,
    TonedFace,
)

Item = TypeVar("Item")
Key = TypeVar("Key", int, str)


class PictureChange(AnswerPart):
    """What is other in a picture than in the one before it; the sheet is the same, and the named points are left out.

    Of lines, faces, handles and measures there are those that are new or other: each takes the place of the one with
    its id (a measure: its path). ``gone_...`` are the ids of those that are no more. ``painted``: the ids of all faces,
    the far ones first.
    """

    eye_level_mm: float
    vanishing_points: dict[str, Place]
    aims: list[Aim]
    strips: list[TapedStrip]
    lines: list[DrawnLine]
    gone_lines: list[int]
    faces: list[TonedFace]
    painted: list[int]
    handles: list[HandlePlace]
    gone_handles: list[str]
    measures: list[MeasureMark]
    gone_measures: list[str]


def change(before: Picture, after: Picture) -> PictureChange:
    """Return what is other in a picture of the same sheet."""
    lines, gone_lines = _other(before.lines, after.lines, lambda line: line.id)
    faces, _ = _other(before.faces, after.faces, lambda face: face.id)
    handles, gone_handles = _other(before.handles, after.handles, lambda handle: handle.id)
    measures, gone_measures = _other(before.measures, after.measures, lambda mark: mark.path)
    return PictureChange(
        eye_level_mm=after.eye_level_mm,
        vanishing_points=after.vanishing_points,
        aims=after.aims,
        strips=after.strips,
        lines=lines,
        gone_lines=gone_lines,
        faces=faces,
        painted=[face.id for face in after.faces],
        handles=handles,
        gone_handles=gone_handles,
        measures=measures,
        gone_measures=gone_measures,
    )


def _other(
    before: Sequence[Item], after: Sequence[Item], key_of: Callable[[Item], Key]
) -> tuple[list[Item], list[Key]]:
    """Return what is new or other, and the keys of what is gone."""
    if len(before) == len(after):
        # Mostly a thing has as many lines as before: then all that stays is passed over in one walk.
        pairs = [(one, two) for one, two in zip(before, after, strict=True) if one is not two]
        before, after = [one for one, _ in pairs], [two for _, two in pairs]
    was = {key_of(item): item for item in before}
    other = [item for item in after if was.pop(key_of(item), None) is not item]
    return other, list(was)
