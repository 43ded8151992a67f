"""A solved exercise in any of the open formats."""

from collections.abc import Callable

from orthopsis.core.document.document import Exercise
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.art import answer_art, full_art, step_art
from orthopsis.paperwork.obj import obj_bytes
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.raster import png_of_pdf
from orthopsis.paperwork.svg import Frame, film_strip, svg_bytes
from orthopsis.paperwork.take_home import take_home_html

MEDIA_TYPES = {
    "json": "application/json", "svg": "image/svg+xml", "pdf": "application/pdf", "png": "image/png",
    "dxf": "image/vnd.dxf", "obj": "model/obj", "html": "text/html; charset=utf-8",
    "steps.svg": "image/svg+xml",
}  # fmt: skip


def write_drawing(exercise: Exercise, form: str) -> bytes:
    """Return the drawing of an exercise in one of the formats of ``MEDIA_TYPES``.

    Raises:
        GeometryError: the exercise cannot be drawn.
    """
    writers: dict[str, Callable[[Exercise], bytes]] = {
        "json": lambda e: draw(e).model_dump_json(indent=1).encode("utf-8"),
        "svg": lambda e: svg_bytes(full_art(draw(e)), e.title),
        "pdf": _pdf,
        "png": lambda e: png_of_pdf(_pdf(e)),
        "dxf": _dxf,
        "obj": obj_bytes,
        "html": lambda e: take_home_html(draw(e), e.title),
        "steps.svg": _film_strip,
    }
    return writers[form](exercise)


def _pdf(exercise: Exercise) -> bytes:
    art = answer_art(draw(exercise))
    pages = Pages(exercise.title)
    pages.begin(art.width_mm, art.height_mm)
    pages.show(pages.keep(art))
    pages.end()
    return pages.bytes()


def _film_strip(exercise: Exercise) -> bytes:
    drawing = draw(exercise)
    steps = enumerate(drawing.steps, start=1)
    frames = [Frame(step.title, step_art(drawing, count), step.close_up) for count, step in steps]
    return film_strip(frames, exercise.title) if frames else svg_bytes(answer_art(drawing), exercise.title)


def _dxf(exercise: Exercise) -> bytes:
    from orthopsis.paperwork.dxf import dxf_bytes  # its library is slow to load, and a start should not wait for it

    return dxf_bytes(draw(exercise))
