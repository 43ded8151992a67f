"""Where do the texts of each step stand clear in its picture: the letters of points, figures of scales, measures?

Each kind knows what the earlier ones cover.
"""

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from orthopsis.core.drawing.answer import Box, Drawing, Step
from orthopsis.core.telling.clear_letters import with_clear_letters
from orthopsis.core.telling.clear_measures import with_clear_measures
from orthopsis.core.telling.clear_room import Room, Segments
from orthopsis.core.telling.clear_scales import with_clear_figures

SHOWN = 36
"""A picture on the wall is so many times as wide as its texts are tall."""
Times = Callable[[Box], float]


def with_clear_texts(drawing: Drawing, whole: Box, times: Times = lambda part: SHOWN) -> list[Step]:
    """Return the steps with each of their texts where it is clear, as far as there is such a place.

    Args:
        whole: the part of the sheet that a picture shows that is no close-up.
        times: how many times a picture is as wide as its texts are tall, by what it shows; on the wall if not told.
    """
    segments, result = Segments(drawing.lines, drawing.on_paper), list[Step]()
    for number, step in enumerate(drawing.steps, start=1):
        if not (step.dimensions or step.scales or step.letters):
            result.append(step)
            continue
        segments.go_to(number)
        part = step.close_up or whole
        size = (part[2] - part[0]) / times(part)
        letters, covered = with_clear_letters(step.letters, Room(segments, part, size, np.zeros((0, 4))))
        room = Room(segments, part, size, covered)
        scales, figures = with_clear_figures(step.scales, room)
        room = replace(room, texts=np.concatenate((room.texts, figures)))
        dimensions = with_clear_measures(step.dimensions, room)
        result.append(step.model_copy(update={"letters": letters, "scales": scales, "dimensions": dimensions}))
    return result
