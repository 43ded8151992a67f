"""The foot rest of a table or a stool: four bars from leg to leg, as deep as the legs, and how a hand draws them.

It is marked on the nearest upright, and carried round the box of the table at two levels, ``low`` and ``high``. Bar
``i`` lies in the side of that number, between the legs ``i`` and ``i + 1``. Its ends are called after the corners of
the legs over which they lie: ``rest.high.leg.1.2``; on the uprights of the box are ``rest.high.0`` to ``3``.
"""

from collections.abc import Iterator, Mapping
from typing import TYPE_CHECKING

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Rule, Run, Shift
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.seamed import Seam

if TYPE_CHECKING:
    from orthopsis.core.things.table.shape import TableShape

NO_REST = "none"
RESTS: dict[str, tuple[str, float]] = {
    NO_REST: ("no foot rest", 0.0),
    "quarter": ("a foot rest a quarter of the way up", 1 / 4),
    "third": ("a foot rest a third of the way up", 1 / 3),
    "half": ("a foot rest half way up", 1 / 2),
}
"""Whether there is one, and at which share of the way up to the top."""
LEVELS = ("low", "high")
ROUND = range(4)


def on_box(level: str, corner: int) -> str:
    """Return what the place of a level on an upright of the box is called."""
    return f"rest.{level}.{corner % 4}"


def at_leg(level: str, leg: int, corner: int) -> str:
    """Return what the place of a level over a corner of a leg is called; the outermost one is that on the box."""
    return on_box(level, leg) if leg % 4 == corner % 4 else f"rest.{level}.leg.{leg % 4}.{corner % 4}"


def beside_leg(level: str, leg: int) -> str:
    """Return what the place over the inner corner of a leg is called as an end of the bar that leads to that leg.

    Two bars meet there; each is a body of its own.
    """
    return f"{at_leg(level, leg, leg + 2)}.beside"


def _ends(bar: int, level: str) -> tuple[str, str, str, str]:
    """Return the corners of a bar at a level: outside from leg to leg, and back inside."""
    outside = at_leg(level, bar, bar + 1), at_leg(level, bar + 1, bar)
    return *outside, beside_leg(level, bar + 1), at_leg(level, bar, bar + 2)


def outlines() -> dict[str, tuple[str, ...]]:
    """Return the corners of the faces of all bars, by their names."""
    found = dict[str, tuple[str, ...]]()
    for bar in ROUND:
        (a, b, c, d), (over_a, over_b, over_c, over_d) = (_ends(bar, level) for level in LEVELS)
        found[f"rest.{bar}.outer"] = a, b, over_b, over_a
        found[f"rest.{bar}.inner"] = c, d, over_d, over_c
        found[f"rest.{bar}.top"] = over_a, over_b, over_c, over_d
        found[f"rest.{bar}.under"] = d, c, b, a
        found[f"rest.{bar}.near"] = d, a, over_a, over_d
        found[f"rest.{bar}.far"] = b, c, over_c, over_b
    return found


def turned(sides: Mapping[str, str]) -> dict[str, str]:
    """Return which way the faces of all bars are turned; ``sides`` says it of the sides of the table."""
    found = dict[str, str]()
    for bar in ROUND:
        found |= {f"rest.{bar}.outer": sides[SIDES[bar]], f"rest.{bar}.inner": sides[SIDES[(bar + 2) % 4]]}
        found |= {f"rest.{bar}.top": "top", f"rest.{bar}.under": "bottom"}
        # Its ends lie on the legs, where nobody sees them: with them it is a closed body.
        found |= {f"rest.{bar}.near": sides[SIDES[bar - 1]], f"rest.{bar}.far": sides[SIDES[(bar + 1) % 4]]}
    return found


def seams(ways: tuple[str, str]) -> dict[str, Seam]:
    """Return the edges of all bars by name; ``ways`` are the families along the face and up it."""
    found = dict[str, Seam]()
    for bar in ROUND:
        along, across = ways[bar % 2], ways[(bar + 1) % 2]
        for level in LEVELS:
            a, b, c, d = _ends(bar, level)
            flat = f"rest.{bar}.{'top' if level == 'high' else 'under'}"
            found[f"rest.{bar}.{level}.outer"] = Seam(a, b, along, (f"rest.{bar}.outer", flat))
            found[f"rest.{bar}.{level}.inner"] = Seam(d, c, along, (f"rest.{bar}.inner", flat))
            # Where a bar meets a leg only its level faces have an edge of their own.
            found[f"rest.{bar}.{level}.near"] = Seam(a, d, across, (flat,))
            found[f"rest.{bar}.{level}.far"] = Seam(b, c, across, (flat,))
    return found


def acts(table: "TableShape") -> Iterator[tuple[str, Act]]:
    """Yield the acts that draw it, each with its breath."""
    n = table.values.full
    for level, mm in zip(LEVELS, table.rest_mm, strict=True):
        yield "table.rest_marks", MeasureAlong(n(on_box(level, 0)), n("upright.0"), mm)
    for level in LEVELS:
        yield from (("table.rest_round", act) for act in _round_box(table, level))
    drawn = {name: seam for name, seam in seams(table.ways).items() if table.role(name) == "edge"}
    needed = {end for seam in drawn.values() for end in (seam.start, seam.end)}
    for level in LEVELS:
        for leg in ROUND:
            yield from (("table.rest_outer", act) for act in _beside(table, level, leg))
    for name, seam in drawn.items():
        if name.endswith(".outer"):
            yield "table.rest_outer", Rule(n(name), n(seam.start), n(seam.end), seam.family)
    for level in LEVELS:
        for leg in ROUND:
            if not needed.isdisjoint((at_leg(level, leg, leg + 2), beside_leg(level, leg))):
                yield from (("table.rest_inner", act) for act in _inner(table, level, leg))
                yield "", Shift(n(beside_leg(level, leg)), n(at_leg(level, leg, leg + 2)), 0.0)
    for name, seam in drawn.items():
        if not name.endswith(".outer"):
            yield "table.rest_inner", Rule(n(name), n(seam.start), n(seam.end), seam.family)


def _round_box(table: "TableShape", level: str) -> Iterator[Act]:
    """Yield the acts that carry a level round the box, lightly."""
    n, panel, page = table.values.full, table.panel, table.page
    steps = ((0, 1, "low", panel.along), (0, 3, "near", panel.up), (3, 2, "high", panel.along))
    for here, there, side, way in steps:
        aside = page[on_box(level, there)].x - page[on_box(level, here)].x
        upright = (n(foot_name(there)), panel.out, n(f"construction.rest.{level}.{there}"))
        edge, makes = (n(on_box(level, here)), way, n(f"rest.{level}.{side}")), n(on_box(level, there))
        yield from meeting(upright, edge, makes, aside, "construction", n(f"construction.rest.laid.{level}.{side}"))
    ends = n(on_box(level, 1)), n(on_box(level, 2))
    yield Rule(n(f"rest.{level}.far"), *ends, panel.up.family, "construction")


def _beside(table: "TableShape", level: str, leg: int) -> Iterator[Act]:
    """Yield the acts that find where the uprights of a leg in the sides of the box meet a level."""
    n = table.values.full
    for corner, side in ((leg + 1, SIDES[leg]), (leg - 1, SIDES[leg - 1])):
        name = at_leg(level, leg, corner)
        foot, until = n(table.leg_foot(leg, corner)), n(f"rest.{level}.{side}")
        yield Run(n(f"construction.{name}"), n(name), foot, table.panel.out.family, until, "unseen")


def _inner(table: "TableShape", level: str, leg: int) -> Iterator[Act]:
    """Yield the acts that find a level over the inner corner of a leg, from beside it."""
    n, panel, page, inner = table.values.full, table.panel, table.page, leg + 2
    ways = {
        at_leg(level, leg, leg + 1): panel.along if leg % 2 else panel.up,
        at_leg(level, leg, leg - 1): panel.up if leg % 2 else panel.along,
    }
    # One that is not itself upright there, straight before the point.
    start = next((name for name, way in ways.items() if not table.is_edge_on(page[name], way)), next(iter(ways)))
    makes = at_leg(level, leg, inner)
    over = (n(table.leg_foot(leg, inner)), panel.out, n(f"construction.{makes}"))
    edge = (n(start), ways[start], n(f"construction.rest.in.{level}.{leg}"))
    aside = page[makes].x - page[start].x
    yield from meeting(over, edge, n(makes), aside, "unseen", n(f"construction.rest.in.laid.{level}.{leg}"))
