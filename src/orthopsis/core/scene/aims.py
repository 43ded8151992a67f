"""The book of aims: all the points that lines of an exercise can run to, whoever brings them.

Set-up, words, strips, ticks, advice, print and check go through the book; none of them knows kinds of views or things.
"""

from collections.abc import Sequence

from orthopsis.core.errors import GeometryError
from orthopsis.core.light.light import Light
from orthopsis.core.scene.placed import Placed, placed_errors
from orthopsis.core.view.aim import OF_LIGHT, Aim, frame_aims
from orthopsis.core.view.frame import Frame


def aims_of(frames: Sequence[Frame], things: Sequence[Placed], light: Light) -> dict[str, Aim]:
    """Return the book of a sheet, by the names of the points: first those of its views, then those of its things.

    Those of the sun are there where a thing needs them.

    Raises:
        GeometryError: two points would have the same name.
    """
    book: dict[str, Aim] = {}
    for number, frame in enumerate(frames):
        is_cast = any(p.kind.is_after_all and p.setting.frame == frame and p.standing.needs & OF_LIGHT for p in things)
        for aim in (*frame_aims(frame), *(light.aims(frame) if is_cast else ())):
            if aim.name in book:
                raise GeometryError(
                    "points_called_alike",
                    f"Two points of the sheet would both be called “{aim.name}”.",
                    "Call one of the two views otherwise.",
                    about=f"views.{number}.name",
                )
            book[aim.name] = aim
    for placed in things:
        with placed_errors(placed):
            book |= {aim.name: aim for aim in placed.standing.aims}
    return book
