"""An SVG in millimetres, with a group for each thing."""

from itertools import groupby
from xml.etree import ElementTree

from orthopsis.paperwork.art import DASH_MM, GREY, TONE_GREY, WIDTH_MM, Art, ArtLine

_NAMESPACE = "http://www.w3.org/2000/svg"


def svg_bytes(art: Art, title: str) -> bytes:
    """Return the page as an SVG document whose units are page mm (y turned down, as SVG has it)."""
    ElementTree.register_namespace("", _NAMESPACE)
    width, height = f"{art.width_mm:.4f}", f"{art.height_mm:.4f}"
    root = ElementTree.Element(
        f"{{{_NAMESPACE}}}svg", width=f"{width}mm", height=f"{height}mm", viewBox=f"0 0 {width} {height}"
    )
    ElementTree.SubElement(root, f"{{{_NAMESPACE}}}title").text = title
    tones = _group(root, "tones")
    for face in art.faces:
        loops = (" ".join(f"{x:.4f},{art.height_mm - y:.4f}" for x, y in loop) for loop in face.loops)
        path = "".join(f"M{loop}Z" for loop in loops)
        look = {"d": path, "fill": _grey(TONE_GREY[face.tone]), "fill-rule": "evenodd"}
        look |= {"stroke": look["fill"], "stroke-width": "0.1"}  # closes the seams of a curved surface
        ElementTree.SubElement(tones, f"{{{_NAMESPACE}}}path", look)
    lines = _group(root, "lines")
    for name, group in groupby(art.lines, key=lambda line: line.group):
        parent = _group(lines, name)
        for line in group:
            _line(parent, art, line)
    marks = _group(root, "points")
    for mark in art.marks:
        x, y = mark.at[0], art.height_mm - mark.at[1]
        path = f"M{x - 2:.4f} {y:.4f}H{x + 2:.4f}M{x:.4f} {y - 2:.4f}V{y + 2:.4f}"
        attributes = {
            "d": path,
            "stroke": "#222",
            "stroke-width": "0.3",
            "fill": "none",
            "data-name": mark.name,
        }
        ElementTree.SubElement(marks, f"{{{_NAMESPACE}}}path", attributes)
    return bytes(ElementTree.tostring(root, encoding="utf-8", xml_declaration=True))


def _group(parent: ElementTree.Element, name: str) -> ElementTree.Element:
    return ElementTree.SubElement(parent, f"{{{_NAMESPACE}}}g", {"class": name.replace(" ", "-"), "data-name": name})


def _line(parent: ElementTree.Element, art: Art, line: ArtLine) -> None:
    attributes = {
        "stroke": _grey(GREY[line.pen]), "stroke-width": f"{WIDTH_MM[line.pen]}", "stroke-linecap": "round",
    }  # fmt: skip
    if line.pen in DASH_MM:
        attributes["stroke-dasharray"] = " ".join(str(v) for v in DASH_MM[line.pen])
    places = [f"{x:.4f},{art.height_mm - y:.4f}" for x, y in (line.start, *line.bend, line.end)]
    if line.bend:
        attributes |= {"points": " ".join(places), "fill": "none"}
        ElementTree.SubElement(parent, f"{{{_NAMESPACE}}}polyline", attributes)
        return
    for number, place in enumerate(places, start=1):
        attributes |= dict(zip((f"x{number}", f"y{number}"), place.split(","), strict=True))
    ElementTree.SubElement(parent, f"{{{_NAMESPACE}}}line", attributes)


def _grey(value: float) -> str:
    level = round(255 * value)
    return f"#{level:02x}{level:02x}{level:02x}"
