"""Who hides whom on this sheet, in words, so that the teacher sees it and can say otherwise."""

from shapely import MultiPoint
from shapely.geometry.base import BaseGeometry

from orthopsis.core.drawing.answer import HidesLine
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.tolerance import THIN_FACE_MM2
from orthopsis.core.wording.exercise import HIDES


def who_hides(solved: Solved) -> list[HidesLine]:
    """Return for each two wholes that lie over each other on the page, which hides the other, and why."""
    things, outlines = solved.prepared.things, dict[int, BaseGeometry]()
    for number in {n for overlap in solved.order.overlaps for n in (overlap.nearer, overlap.farther)}:
        members = [placed.index for placed in things if placed.layer == number]
        outlines[number] = MultiPoint([at for i in members for at in solved.built[i].page.values()]).convex_hull
    result = []
    for overlap in solved.order.overlaps:
        if outlines[overlap.nearer].intersection(outlines[overlap.farther]).area <= THIN_FACE_MM2:
            continue
        nearer, farther = (things[number].values.name for number in (overlap.nearer, overlap.farther))
        text = HIDES[overlap.why].format(nearer=nearer, farther=farther)
        result.append(
            HidesLine(
                nearer=overlap.nearer, farther=overlap.farther, names=(nearer, farther), text=text,
                is_said=overlap.why == "said",
            )
        )  # fmt: skip
    return result
