"""The small picture of an exercise's finished sheet, as the shelf shows it: an SVG in page millimetres."""

from collections.abc import Iterable
from xml.etree import ElementTree

from orthopsis.core.drawing.answer import DrawnLine, Picture, Place

FORM = "1"
"""Changes with the look, so that kept pictures are made anew."""
_SVG = "http://www.w3.org/2000/svg"
_PAPER = "#fcfaf4"
_TONES = ("#fdfbf5", "#e6e1d5", "#c9c3b4", "#a39d90")
_PENS = {"level": ("#6f6a60", 0.8), "detail": ("#2b2f36", 0.7), "behind": ("#8a8579", 0.7), "dark": ("#2b2f36", 1.25)}
"""Colour and width in pixels, whatever the size of the picture; the later ones lie on the earlier."""


def thumb_svg(picture: Picture) -> bytes:
    """Return the finished sheet without its light lines."""
    width, height = picture.sheet.width_mm, picture.sheet.height_mm
    root = ElementTree.Element("svg", xmlns=_SVG, viewBox=f"0 0 {width:g} {height:g}")
    ElementTree.SubElement(root, "path", d=f"M0 0H{width:g}V{height:g}H0Z", fill=_PAPER)
    for face in picture.faces:
        outline = "".join(f"{_path(loop, height)}Z" for loop in face.loops)
        tone = _TONES[face.tone]
        ElementTree.SubElement(root, "path", _line(tone, 0.5) | {"d": outline, "fill": tone, "fill-rule": "evenodd"})
    for pen, (colour, wide) in _PENS.items():
        lines = [line for line in picture.lines if line.visible and _pen(line) == pen]
        if lines:
            outline = "".join(_path((line.start, *line.bend, line.end), height) for line in lines)
            ElementTree.SubElement(root, "path", _line(colour, wide) | {"d": outline, "fill": "none"})
    return bytes(ElementTree.tostring(root))


def _pen(line: DrawnLine) -> str:
    if line.role not in ("edge", "detail"):
        return "none"
    if not line.thing:
        return "level"
    if line.behind:
        return "behind"
    return "detail" if line.role == "detail" else "dark"


def _line(colour: str, wide: float) -> dict[str, str]:
    return {
        "stroke": colour, "stroke-width": f"{wide}", "stroke-linecap": "round", "vector-effect": "non-scaling-stroke",
    }  # fmt: skip


def _path(places: Iterable[Place], height: float) -> str:
    return "M" + "L".join(f"{x:.2f} {height - y:.2f}" for x, y in places)
