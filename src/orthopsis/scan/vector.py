"""Which straight lines are in an SVG, in page millimetres?

The SVG's own size is laid on the sheet: a drawing of another size is enlarged or reduced to it.
"""

import io
from xml.etree.ElementTree import Element

from defusedxml import ElementTree
from defusedxml.common import DefusedXmlException
from svgelements import SVG, Close, Line, Move, Path, Shape

from orthopsis.core.check.stroke import Stroke
from orthopsis.core.plane.homogeneous import Point
from orthopsis.scan.picture import UnusablePicture

MOST_LINES = 5000
MOST_SVG_BYTES = 4_000_000
MOST_ELEMENTS = 20_000
"""With each ``use`` counted as what it stands for."""
MOST_TRANSFORM = 2000
"""Characters of one transform."""
SHORTEST_MM = 0.5
SHEET_GROUP = "sheet-furniture"
"""Marks and test lines of our own sheets stand in a group of this id and are not the student's."""


def lines_of_svg(data: bytes, width_mm: float, height_mm: float) -> list[Stroke]:
    """Return the straight lines of an SVG.

    Raises:
        UnusablePicture: no SVG, entities or other tricks in it, or too many lines.
    """
    if len(data) > MOST_SVG_BYTES:
        raise _too_large(f"The SVG is larger than {MOST_SVG_BYTES // 1_000_000} MB.")
    try:
        root = ElementTree.fromstring(data)
        _refuse_excess(root)
        for parent in list(root.iter()):
            for child in list(parent):
                if child.get("id") == SHEET_GROUP:
                    parent.remove(child)
        svg = SVG.parse(io.BytesIO(ElementTree.tostring(root)), ppi=25.4, reify=True)
        size = (float(svg.width), float(svg.height))
        segments = _segments(svg)
    except DefusedXmlException:
        raise UnusablePicture(
            "unsafe_svg", "This SVG holds definitions that are not opened.", "Export it as plain SVG."
        ) from None
    except (
        ElementTree.ParseError,
        ValueError,
        TypeError,
        AttributeError,
        IndexError,
        KeyError,
        ZeroDivisionError,
        RecursionError,
    ):
        raise UnusablePicture("broken_svg", "The SVG cannot be read.", "Export it again as plain SVG.") from None
    if not all(0 < side < 1e6 for side in size):
        raise UnusablePicture("broken_svg", "The SVG has no usable size.", "Give it a width and a height.")
    sx, sy = width_mm / size[0], height_mm / size[1]
    strokes = [
        Stroke(Point(x1 * sx, height_mm - y1 * sy), Point(x2 * sx, height_mm - y2 * sy)) for x1, y1, x2, y2 in segments
    ]
    return [s for s in strokes if s.length_mm >= SHORTEST_MM]


def _segments(svg: SVG) -> list[tuple[float, float, float, float]]:
    result = []
    for element in svg.elements(lambda e: isinstance(e, Shape)):
        for part in Path(element):
            if (
                isinstance(part, Line | Close)
                and not isinstance(part, Move)
                and part.start is not None
                and part.end is not None
            ):
                ends = (float(part.start.x), float(part.start.y), float(part.end.x), float(part.end.y))
                if all(abs(v) < 1e7 for v in ends):
                    result.append(ends)
            if len(result) > MOST_LINES:
                raise _too_large(f"The SVG has more than {MOST_LINES} lines.")
    return result


def _too_large(why: str) -> UnusablePicture:
    return UnusablePicture("too_many_lines", why, "Export only the sheet.")


def _refuse_excess(root: Element) -> None:
    """Refuse what would keep the reader busy for long: a few nested ``use`` can stand for millions of lines."""
    if any(len(element.get("transform", "")) > MOST_TRANSFORM for element in root.iter()):
        raise _too_large("The SVG has a transform of many thousand characters.")
    if sum(1 for _ in root.iter()) > MOST_ELEMENTS:
        raise _too_large(f"The SVG has more than {MOST_ELEMENTS} elements.")
    by_id = {element.get("id"): element for element in root.iter() if element.get("id")}
    if _expanded(root, by_id, {}, ()) > MOST_ELEMENTS:
        raise _too_large(f"The SVG stands for more than {MOST_ELEMENTS} elements.")


def _expanded(
    element: Element, by_id: dict[str | None, Element], known: dict[Element, int], above: tuple[Element, ...]
) -> int:
    """Return how many elements an element stands for."""
    if element in above:
        raise UnusablePicture("broken_svg", "The SVG uses a part inside itself.", "Export it again as plain SVG.")
    if element not in known:
        parts = list(element)
        if element.tag.endswith("use"):
            link = element.get("href") or element.get("{http://www.w3.org/1999/xlink}href") or ""
            used = by_id.get(link.removeprefix("#"))
            parts += [used] if used is not None else []
        known[element] = min(
            MOST_ELEMENTS + 1, 1 + sum(_expanded(part, by_id, known, (*above, element)) for part in parts)
        )
    return known[element]
