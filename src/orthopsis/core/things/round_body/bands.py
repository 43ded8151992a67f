"""Bands about a cylinder: where they are, and how a hand draws them.

Each is a circle in a square that lies level in the box of the body: it is marked on the first upright, and carried
round from upright to upright. Places of a band are called as those at the foot and the rim, under ``band.1``.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import TYPE_CHECKING

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Rule, Run, Touch
from orthopsis.core.view.frame import Way

if TYPE_CHECKING:
    from orthopsis.core.things.round_body.shape import RoundShape

NO_BANDS = "none"
BANDS: dict[str, tuple[str, tuple[float, ...]]] = {
    NO_BANDS: ("no bands", ()),
    "one": ("one band half way up", (1 / 2,)),
    "two": ("two bands, at thirds", (1 / 3, 2 / 3)),
    "three": ("three bands, at quarters", (1 / 4, 2 / 4, 3 / 4)),
}
"""How many bands there are, what is said of them, and at which shares of the height they are."""
_CALLED = {1: ("band",), 2: ("lower band", "upper band"), 3: ("lowest band", "middle band", "highest band")}


@dataclass(frozen=True, slots=True)
class Band:
    """A band: its name within the body, what it is called among the others, how high it is on the first upright, mm."""

    name: str
    says: str
    mm: float


def called(heights_mm: list[float]) -> tuple[Band, ...]:
    """Return the bands at some heights, from the lowest up."""
    words = _CALLED[len(heights_mm)]
    return tuple(
        Band(f"band.{i}", says, mm) for i, (says, mm) in enumerate(zip(words, heights_mm, strict=True), start=1)
    )


def corner(band: Band, number: int) -> str:
    """Return what a corner of the square of a band is called."""
    return f"{band.name}.corner.{number % 4}"


def mark(body: "RoundShape", band: Band) -> Act:
    """Return the act that marks how high a band is, on the first upright of the box."""
    return MeasureAlong(body.values.full(corner(band, 0)), body.values.full("upright.0"), band.mm)


def square(body: "RoundShape", band: Band) -> Iterator[Act]:
    """Yield the acts that carry a band's mark round the box: its square, lightly."""
    if body.goes_round:
        yield from _round_the_other_way(body, band)
        return
    panel, back = body.panel, body.way_back
    yield _side(body, band, "low", (0, 1), panel.along)
    yield _side(body, band, "near", (0, 3), back)
    n = body.values.full
    first = (n(corner(band, 1)), back, n(f"construction.{band.name}.far"))
    second = (n(corner(band, 3)), panel.along, n(f"{band.name}.high"))
    aside = body.band_page(band, 2).x - body.band_page(band, 3).x
    laid = n(f"construction.{band.name}.laid")
    yield from meeting(first, second, n(corner(band, 2)), aside, "construction", laid)
    yield Rule(n(f"{band.name}.far"), n(corner(band, 1)), n(corner(band, 2)), back.family, "construction")


def _round_the_other_way(body: "RoundShape", band: Band) -> Iterator[Act]:
    """Yield them where the wall over the lower edge of the plan is seen edge-on."""
    panel, n = body.panel, body.values.full
    for ends, side, way in (((0, 3), "near", panel.up), ((3, 2), "high", panel.along), ((2, 1), "far", panel.up)):
        yield _side(body, band, side, ends, way)
    yield Rule(
        n(f"{band.name}.low"), n(corner(band, 0)), n(corner(band, 1)), panel.along.family, "construction"
    )  # fmt: skip


def _side(body: "RoundShape", band: Band, side: str, ends: tuple[int, int], way: Way) -> Act:
    """Return the act that rules a side of the square of a band, up to the next upright."""
    n, (here, there) = body.values.full, ends
    start, end = n(corner(band, here)), n(corner(band, there))
    return Run(n(f"{band.name}.{side}"), end, start, way.family, n(f"upright.{there}"), "construction")


def touches(body: "RoundShape", band: Band, goal: str) -> Iterator[Act]:
    """Yield the acts that mark where the outline of the body touches a band; nobody is told of them."""
    for node, side, which in body.touched_nodes:
        n = body.values.full
        yield Touch(n(f"{band.name}.{node.name}"), n(f"{band.name}.{side}"), goal, which)
