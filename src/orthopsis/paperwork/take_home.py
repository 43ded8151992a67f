"""An exercise to take home: one HTML file that plays its steps, with no network and no server.

It holds each line once, with the steps that draw, take away and darken it; a few lines of script show what there is
after a step. Whoever has scripts switched off reads the steps as a list.
"""

import html
import json
import re
from collections.abc import Iterator
from pathlib import Path

from orthopsis.core.drawing.answer import Box, Drawing, DrawnLine, Place, Step
from orthopsis.core.drawing.stage import new_lines
from orthopsis.core.telling.clear_texts import with_clear_texts
from orthopsis.paperwork.art import TONE_GREY
from orthopsis.paperwork.step_scales import SIZE_MM, dimension_text, letter_texts, scale_texts

_PAGE = Path(__file__).with_name("pages") / "take_home.html"
_ROWS = 34
"""So many rows of figures have room over each other in the picture; the page's script sets them as large."""
_MARGIN_MM = 6.0


def take_home_html(drawing: Drawing, title: str) -> bytes:
    """Return the file."""
    numbers = {line.id: number for number, line in enumerate(drawing.lines)}
    low, high = _box(drawing)
    whole = (*low, *high)
    steps = with_clear_texts(drawing, whole, lambda part: _ROWS * (part[2] - part[0]) / (part[3] - part[1]))
    data = {
        "size": _place((drawing.sheet.width_mm, drawing.sheet.height_mm)),
        "box": [_place(low), _place(high)],
        "strips": [[*_place(strip.at), *_place((strip.width_mm, strip.height_mm))] for strip in drawing.strips],
        "lines": [
            [int(line.role == "guide"), *when, _way(line)]
            for line, when in zip(drawing.lines, drawing.on_paper.lines, strict=True)
        ],
        "signs": [
            [drawing.on_paper.points[name], *_place(at)]
            for name, at in drawing.vanishing_points.items()
            if name in drawing.on_paper.points
        ],
        "tone": drawing.on_paper.tone,
        "faces": [
            [_grey(TONE_GREY[face.tone]), [[_place(place) for place in loop] for loop in face.loops]]
            for face in drawing.faces
        ],
        "steps": [_step(drawing, step, numbers, whole) for step in steps],
    }
    # A script ends where "</" stands in it, whatever the quotes: titles and names are people's own.
    written = json.dumps(data, separators=(",", ":"), ensure_ascii=False).replace("<", "\\u003c")
    words = "".join(f"<p>{number}. {html.escape(step.text)}</p>" for number, step in enumerate(drawing.steps, start=1))
    parts = {"__TITLE__": html.escape(title), "__WORDS__": words, "__DATA__": written}
    page = _PAGE.read_text(encoding="utf-8")
    # In one go, so that no part is looked through for the places of the others.
    return re.sub("|".join(parts), lambda found: parts[found[0]], page).encode()


def _box(drawing: Drawing) -> tuple[Place, Place]:
    """Return what the picture shows: the sheet, the strips, and the points that lie on those."""
    sheet = drawing.sheet
    corners = [(0.0, 0.0), (sheet.width_mm, sheet.height_mm)]
    for strip in drawing.strips:
        corners += [strip.at, (strip.at[0] + strip.width_mm, strip.at[1] + strip.height_mm)]
    xs, ys = zip(*corners, strict=True)
    return (min(xs) - _MARGIN_MM, min(ys) - _MARGIN_MM), (max(xs) + _MARGIN_MM, max(ys) + _MARGIN_MM)


def _step(drawing: Drawing, step: Step, numbers: dict[int, int], whole: Box) -> dict[str, object]:
    """Return what the page's script needs of a step; ``whole`` is what a picture shows that is no close-up."""
    points = {**drawing.points, **drawing.vanishing_points}
    part = step.close_up
    _, low, _, high = part or whole
    return {
        "title": step.title,
        "text": f"{step.text} {step.after}".strip(),
        "tool": step.tool,
        "slip": step.slip,
        "count": step.count,
        "fresh": sorted(numbers[line] for line in new_lines(step)),
        "part": [_place(part[:2]), _place(part[2:])] if part is not None else None,
        "marks": [_place(points[name]) for name in step.marks if name in points],
        "old": [_place(points[name]) for name in step.takes_up if name in points],
        "texts": list(_texts(step, (high - low) / _ROWS)),
    }


def _texts(step: Step, figure_mm: float) -> Iterator[list[object]]:
    """Yield the measures and letters of a step: the line that leads to each, where its middle stands, and the text."""
    scale = SIZE_MM / figure_mm
    for one in (one for scaled in step.scales for one in scale_texts(scaled, 0.0, 0.0, scale)):
        middle = (one.left + len(one.text) * 0.3 * SIZE_MM) / scale
        yield [
            _place(_scaled(one.start, scale)),
            _place(_scaled(one.end, scale)),
            *_place((middle, one.low / scale)),
            one.text,
        ]
    for dimension in step.dimensions:
        one, others = dimension_text(dimension, 0.0, 0.0, scale)
        at = ((one.left + len(one.text) * 0.3 * SIZE_MM) / scale, one.low / scale)
        ends = [_place(_scaled(end, scale)) for end in (one.start, one.end)]
        yield [*ends, *_place(at), one.text]
        yield from ([_place(_scaled(start, scale)), _place(_scaled(end, scale)), 0, 0, ""] for start, end in others)
    for one in letter_texts(step.letters, 0.0, 0.0, scale):
        line = [_place(_scaled(end, scale)) for end in (one.start, one.end)]
        led = line if one.start != one.end else (None, None)
        yield [*led, *_place(((one.left + 0.3 * SIZE_MM) / scale, one.low / scale)), one.text]


def _scaled(place: Place, scale: float) -> Place:
    return place[0] / scale, place[1] / scale


def _way(line: DrawnLine) -> list[list[float]]:
    return [_place(place) for place in (line.start, *line.bend, line.end)]


def _place(place: Place) -> list[float]:
    """Return a place to a hundredth of a millimetre."""
    return [round(place[0], 2), round(place[1], 2)]


def _grey(value: float) -> str:
    level = round(255 * value)
    return f"#{level:02x}{level:02x}{level:02x}"
