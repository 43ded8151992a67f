"""A DXF drawing in millimetres, a layer for each role of line."""

import io

from ezdxf import units
from ezdxf.filemanagement import new

from orthopsis.core.drawing.answer import Drawing


def dxf_bytes(drawing: Drawing) -> bytes:
    """Return all lines as DXF: layers ``edge``, ``hidden``, ``detail``, ``guide`` and ``construction``."""
    document = new("R2010", units=units.MM)
    space = document.modelspace()
    for layer in ("edge", "hidden", "detail", "guide", "construction", "sheet"):
        document.layers.add(layer)
    for line in drawing.lines:
        layer = line.role if line.visible else "hidden"
        if line.bend:
            space.add_lwpolyline([line.start, *line.bend, line.end], dxfattribs={"layer": layer})
        else:
            space.add_line(line.start, line.end, dxfattribs={"layer": layer})
    width, height = drawing.sheet.width_mm, drawing.sheet.height_mm
    outline = [(0.0, 0.0), (width, 0.0), (width, height), (0.0, height)]
    space.add_lwpolyline(outline, close=True, dxfattribs={"layer": "sheet"})
    text = io.StringIO()
    document.write(text)
    return text.getvalue().encode("utf-8")
