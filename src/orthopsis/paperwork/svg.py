"""An SVG in millimetres, with a group for each thing; or all steps as a film strip."""

import textwrap
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import groupby
from xml.etree import ElementTree
from xml.etree.ElementTree import Element

from orthopsis.core.drawing.answer import Box
from orthopsis.paperwork.art import DASH_MM, GREY, OLD_ARM_MM, TONE_GREY, WIDTH_MM, Art, ArtLine

_NAMESPACE = "http://www.w3.org/2000/svg"
_COLUMNS = 4
_FRAME_MM, _GAP_MM = 90.0, 6.0
"""Width of a picture of the film strip, and what lies between two."""
_TYPE_MM, _ROW_MM = 3.9, 5.0
_TITLE_ROWS = 2
_ROW_LETTERS = 40
"""So many letters of the type stand in a row under a picture."""
_LARGE, _SMALL = 0.74, 0.24
"""Of the width of a picture an enlarged part has this share, and the whole sheet beside it that one."""
_PENS = 0.7
"""Of their width on the sheet itself the pens of a film strip have this share."""


def svg_bytes(art: Art, title: str) -> bytes:
    """Return the page as an SVG document whose units are page mm (y turned down, as SVG has it)."""
    root = _root(art.width_mm, art.height_mm, title)
    _add_art(root, art, 1.0)
    return _packed(root)


@dataclass(frozen=True, slots=True)
class Frame:
    """A picture of a film strip.

    Attributes:
        said: what stands under it.
        part: the part of the sheet that is shown enlarged, beside a small picture of the whole; none: all of it is.
    """

    said: str
    art: Art
    part: Box | None = None


def film_strip(frames: Sequence[Frame], title: str) -> bytes:
    """Return pictures of one size with a title under each, row by row, as one SVG document in mm."""
    first = frames[0].art
    tall = _FRAME_MM / first.width_mm * first.height_mm
    wide, high = _FRAME_MM + _GAP_MM, tall + _TITLE_ROWS * _ROW_MM + _GAP_MM
    columns = min(_COLUMNS, len(frames))
    root = _root(columns * wide + _GAP_MM, -(-len(frames) // columns) * high + _GAP_MM, title)
    for number, frame in enumerate(frames):
        left, top = _GAP_MM + number % columns * wide, _GAP_MM + number // columns * high
        whole = (0.0, 0.0, frame.art.width_mm, frame.art.height_mm)
        if frame.part is None:
            _add_window(root, frame.art, whole, (left, top, _FRAME_MM, tall))
        else:
            shown = _of_shape(frame.part, whole, _LARGE * _FRAME_MM / tall)
            _add_window(root, frame.art, shown, (left, top, _LARGE * _FRAME_MM, tall))
            beside = _group(root, "whole sheet")
            small = (left + (1 - _SMALL) * _FRAME_MM, top, _SMALL * _FRAME_MM, _SMALL * tall)
            _add_window(beside, frame.art, whole, small, mark=shown)
        rows = textwrap.wrap(f"{number + 1}  {frame.said}", _ROW_LETTERS, max_lines=_TITLE_ROWS, placeholder=" …")
        for row, text in enumerate(rows, start=1):
            look = {"x": f"{left:.2f}", "y": f"{top + tall + row * _ROW_MM:.2f}", "font-size": f"{_TYPE_MM}"}
            _add(root, "text", look | {"font-family": "Andika, sans-serif", "fill": "#222"}).text = text
    return _packed(root)


def _of_shape(part: Box, whole: Box, wide_to_tall: float) -> Box:
    """Return the least part of a sheet about another one whose width is so many times its height, if there is room."""
    (left, low, right, high), (_, _, most_wide, most_tall) = part, whole
    wide, tall = max(right - left, wide_to_tall * (high - low)), max(high - low, (right - left) / wide_to_tall)
    wide, tall = min(wide, most_wide), min(tall, most_tall)
    x = min(max((left + right - wide) / 2, 0.0), most_wide - wide)
    y = min(max((low + high - tall) / 2, 0.0), most_tall - tall)
    return x, y, x + wide, y + tall


def _add_window(
    root: Element, art: Art, shown: Box, at: tuple[float, float, float, float], *, mark: Box | None = None
) -> None:
    """Add a part of a sheet in a frame.

    Args:
        at: left, top, width and height of the frame, mm; ``mark``: a part that is marked within it.
    """
    place = dict(zip(("x", "y", "width", "height"), (f"{mm:.2f}" for mm in at), strict=True))
    scale = min(at[2] / (shown[2] - shown[0]), at[3] / (shown[3] - shown[1]))
    window = _add(root, "svg", place | {"viewBox": _view(art, shown)})
    _add_art(window, art, _PENS / scale)
    if mark is not None:
        x, y, wide, tall = _view(art, mark).split()
        look = {"fill": "none", "stroke": "#222", "stroke-width": f"{0.4 * _PENS / scale:.4g}"}
        _add(window, "rect", {"x": x, "y": y, "width": wide, "height": tall} | look)
    _add(root, "rect", place | {"fill": "none", "stroke": "#777", "stroke-width": "0.2"})


def _view(art: Art, shown: Box) -> str:
    """Return which part of a sheet is seen, as SVG says it: left, top, width, height."""
    left, low, right, high = shown
    return f"{left:.4f} {art.height_mm - high:.4f} {right - left:.4f} {high - low:.4f}"


def _root(width: float, height: float, title: str) -> Element:
    ElementTree.register_namespace("", _NAMESPACE)
    size = {"width": f"{width:.4f}mm", "height": f"{height:.4f}mm", "viewBox": f"0 0 {width:.4f} {height:.4f}"}
    root = ElementTree.Element(f"{{{_NAMESPACE}}}svg", size)
    _add(root, "title", {}).text = title
    return root


def _packed(root: Element) -> bytes:
    return bytes(ElementTree.tostring(root, encoding="utf-8", xml_declaration=True))


def _add(parent: Element, name: str, attributes: dict[str, str]) -> Element:
    return ElementTree.SubElement(parent, f"{{{_NAMESPACE}}}{name}", attributes)


def _add_art(root: Element, art: Art, pens: float) -> None:
    tones = _group(root, "tones")
    for face in art.faces:
        loops = (" ".join(f"{x:.4f},{art.height_mm - y:.4f}" for x, y in loop) for loop in face.loops)
        path = "".join(f"M{loop}Z" for loop in loops)
        look = {"d": path, "fill": _grey(TONE_GREY[face.tone]), "fill-rule": "evenodd"}
        look |= {"stroke": look["fill"], "stroke-width": "0.1"}  # closes the seams of a curved surface
        _add(tones, "path", look)
    lines = _group(root, "lines")
    for name, group in groupby(art.lines, key=lambda line: line.group):
        parent = _group(lines, name)
        for line in group:
            _line(parent, art, line, pens)
    marks = _group(root, "points")
    for mark in art.marks:
        x, y = mark.at[0], art.height_mm - mark.at[1]
        arm = (2 if mark.is_new else OLD_ARM_MM) * pens
        path = f"M{x - arm:.4f} {y:.4f}H{x + arm:.4f}M{x:.4f} {y - arm:.4f}V{y + arm:.4f}"
        attributes = {"d": path, "stroke": "#222", "stroke-width": f"{0.3 * pens:.4g}", "fill": "none"}
        _add(marks, "path", attributes | {"data-name": mark.name})


def _group(parent: Element, name: str) -> Element:
    return _add(parent, "g", {"class": name.replace(" ", "-"), "data-name": name})


def _line(parent: Element, art: Art, line: ArtLine, pens: float) -> None:
    attributes = {
        "stroke": _grey(GREY[line.pen]), "stroke-width": f"{WIDTH_MM[line.pen] * pens:.4g}", "stroke-linecap": "round",
    }  # fmt: skip
    if line.pen in DASH_MM:
        attributes["stroke-dasharray"] = " ".join(f"{v * pens:.4g}" for v in DASH_MM[line.pen])
    places = [f"{x:.4f},{art.height_mm - y:.4f}" for x, y in (line.start, *line.bend, line.end)]
    if line.bend:
        attributes |= {"points": " ".join(places), "fill": "none"}
        _add(parent, "polyline", attributes)
        return
    for number, place in enumerate(places, start=1):
        attributes |= dict(zip((f"x{number}", f"y{number}"), place.split(","), strict=True))
    _add(parent, "line", attributes)


def _grey(value: float) -> str:
    level = round(255 * value)
    return f"#{level:02x}{level:02x}{level:02x}"
