"""A refusal that offers a value offers one that works: it is tried before it is said."""

from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw_picture

MOST_TRIES = 5


def with_working_nearest(exercise: Exercise, error: GeometryError) -> GeometryError:
    """Return the refusal with the nearest value that can be drawn at its place, or with none if none was found.

    What a value's own limits allow may still not stand between the points; that says of itself what would.
    """
    if not error.nearest:
        return error
    said = error
    for _ in range(MOST_TRIES):
        try:
            draw_picture(type_at(exercise, said.about, said.nearest))
        except GeometryError as other:
            if not other.nearest or (other.about, other.nearest) == (said.about, said.nearest):
                break
            if other.about != error.about:
                break
            said = other
            continue
        return type(error)(error.code, error.why, said.fix, about=said.about, nearest=said.nearest)
    return type(error)(error.code, error.why, error.fix, about=error.about)
