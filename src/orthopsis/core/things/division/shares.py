"""Where is a face divided? The ways in which a teacher finds it, and the shares that come of them.

- ``diagonal``: ticks on the first edge, lines to the point, and the face's diagonal across them;
- ``halving``: the diagonals of the whole, of its halves, of their halves;
- ``measuring``: equal parts on a level line, carried over from the one point that fits;
- ``repeat_near``, ``repeat_far``: a bay repeated by the line through the middle of its far (or near) upright;
- ``page``: by ruler on the page, which is true only on a face that is parallel to the picture;
- ``eye``: by eye, smaller and closer with distance;
- ``tiles``: square ones, as deep as the eye's distance makes them.
"""

from dataclasses import dataclass

from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sheet.length import format_mark
from orthopsis.core.things.division.parts import are_equal, are_halves, read_parts
from orthopsis.core.things.division.tiles import TILES, tiling
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values

WAYS = {
    "diagonal": "by ticks and the diagonal",
    "halving": "by diagonals, half by half",
    "measuring": "by a measuring line",
    "repeat_near": "by repeating the nearest part",
    "repeat_far": "by repeating the farthest part",
    "page": "by ruler, as it is on the page",
    "eye": "by eye, smaller and closer",
    TILES: "in square tiles",
}
COUNTED = tuple(way for way in WAYS if way != TILES)
"""The ways in which parts are counted."""


@dataclass(frozen=True, slots=True)
class Divided:
    """Where a face is divided: true shares along and up, from its nearest lower corner, the ends left out."""

    along: tuple[float, ...]
    up: tuple[float, ...]


def divided(values: Values, setting: Setting, panel: Panel) -> Divided:
    """Return where a face is divided.

    Raises:
        GeometryError: no parts, or parts that cannot be found in the chosen way.
    """
    if values.word("way") == TILES:
        return Divided(*tiling(values, setting, panel).shares)
    along, up, way = read_parts(values.word("along"), "along"), read_parts(values.word("up"), "up"), values.word("way")
    if way == "halving":
        _check_halves("along", along)
        _check_halves("up", up)
    elif way == "page":
        along = [panel.true_share(share) for share in along]
    elif way in ("repeat_near", "repeat_far"):
        along = _bays(values, setting, panel, along)
    return Divided(tuple(along), tuple(up))


def _check_halves(about: str, ends: list[float]) -> None:
    if not are_halves(ends):
        count = 1 << len(ends).bit_length()
        raise GeometryError(
            "not_halves",
            "Only 2, 4, 8 or 16 equal parts come from halving.",
            "Take one of these, or divide by ticks and the diagonal.",
            about=about,
            nearest=str(count),
        )


def _bays(values: Values, setting: Setting, panel: Panel, along: list[float]) -> list[float]:
    """Return where the bays end (or begin, counted from the far end) that are as long in truth as the measured one."""
    if not are_equal(along):
        fix = "Type how many there are."
        raise GeometryError("bays_differ", "Repeated parts are equally long.", fix, about="along", nearest="4")
    count, page, is_near = len(along) + 1, values.mm("bay") / panel.bottom_mm, values.word("way") == "repeat_near"
    share = (panel.true_share(page) if is_near else 1 - panel.true_share(1 - page)) if page < 1 else 1.0
    ends = [share * i for i in range(1, count + 1)]
    if ends[-1] <= 1 + SAME_SHARE:
        inner = [end for end in ends if end < 1 - SAME_SHARE]
        return inner if is_near else [1 - end for end in reversed(inner)]
    longest = panel.page_share(1 / count) if is_near else 1 - panel.page_share(1 - 1 / count)
    division = setting.sheet.division_mm
    most = format_mark(longest * panel.bottom_mm // division * division, setting.sheet.units, division)
    raise GeometryError(
        "bays_too_long",
        f"{count} parts like this reach over the end of the {panel.says}.",
        f"The longest first part that works is {most}.",
        about="bay",
        nearest=most,
    )
