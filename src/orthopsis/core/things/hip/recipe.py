"""How does a hand draw a hip roof: a box on the house, the middle of its lid, the ridge's ends, the slopes' edges?"""

from collections.abc import Iterator

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Cross, Move, Rule, Shift, Through
from orthopsis.core.things.hip.lid import LidShape
from orthopsis.core.things.hip.shape import HipShape
from orthopsis.core.things.hip.slopes import acts


def recipe(roof: HipShape) -> list[Move]:
    """Return the hand's moves."""
    told = _tip(roof) if roof.is_pyramid else _ridge(roof)
    moves = lid_moves(roof) + [roof.values.move("divide", breath, act) for breath, act in told]
    breath = "hip.edges_tip" if roof.is_pyramid else "hip.edges"
    moves += [roof.values.move("front", breath, act) for act in _edges(roof)]
    return moves + [roof.values.move("depth", breath, act) for breath, act in acts(roof)]


def lid_moves(roof: LidShape) -> list[Move]:
    """Return the moves that draw a box on the house, up to its lid."""
    told: list[tuple[str, Act]] = [("", act) for act in corner_acts(roof)]
    told += [("hip.rise", act) for act in _rise(roof)]
    told += [("hip.lid", act) for act in _lid(roof)]
    return [roof.values.move("divide", breath, act) for breath, act in told]


def corner_acts(roof: LidShape) -> Iterator[Act]:
    """Yield the acts that call the corners of the top, which are there, by the roof's own names."""
    panel = roof.panel
    for i, name in enumerate((panel.low, panel.far_low, panel.far_high, panel.high)):
        yield Shift(roof.values.full(f"corner.{i}"), name, 0.0)


def _rise(roof: LidShape) -> Iterator[Act]:
    """Yield the acts that carry the upright at the low corner on, by the height of the roof."""
    n = roof.values.full
    names = (roof.panel.low, n("construction.rise"), n("lid.0"), n("construction.laid"))
    yield from roof.upward.acts(*names, roof.rise_mm, "construction")


def _lid(roof: LidShape) -> Iterator[Act]:
    """Yield the acts that draw the upper rectangle of the box on the house."""
    n, panel = roof.values.full, roof.panel
    low, beside, over, behind = (n(f"lid.{i}") for i in range(4))
    # Where the lid's short way is level, it is as long as that of the top: both lie in one plane like the picture's.
    as_long = panel.page[3].x - panel.page[0].x
    yield from meeting(
        (panel.far_low, panel.out, n("construction.over.1")), (low, panel.along, n("construction.lid.bottom")),
        beside, 0.0, "construction", n("construction.laid.bottom"),
    )  # fmt: skip
    yield from meeting(
        (panel.high, panel.out, n("construction.over.3")), (low, panel.up, n("construction.lid.first")),
        behind, as_long, "construction", n("construction.laid.first"),
    )  # fmt: skip
    yield from meeting(
        (beside, panel.up, n("construction.over.2")), (behind, panel.along, n("construction.lid.top")),
        over, 0.0, "construction", n("construction.laid.top"),
    )  # fmt: skip
    yield Rule(n("construction.lid.far"), beside, over, panel.up.family, "construction")


def diagonal_acts(roof: LidShape, makes: str) -> list[Act]:
    """Return the acts that cross the diagonals of the lid."""
    n = roof.values.full
    return [
        Rule(n("construction.rising"), n("lid.0"), n("lid.2"), "free", "construction"),
        Rule(n("construction.falling"), n("lid.1"), n("lid.3"), "free", "construction"),
        Cross(makes, n("construction.rising"), n("construction.falling")),
    ]


def _tip(roof: HipShape) -> list[tuple[str, Act]]:
    """Return the acts that find the tip, in the middle of the lid."""
    return [("hip.tip", act) for act in diagonal_acts(roof, roof.values.full("tip"))]


def _ridge(roof: HipShape) -> list[tuple[str, Act]]:
    """Return the acts that find the middle line of the lid, and on it the ends of the ridge, by the lid's half."""
    n, panel, centre = roof.values.full, roof.panel, roof.values.full("measure.centre")
    told: list[tuple[str, Act]] = [("hip.centre", act) for act in diagonal_acts(roof, centre)]
    middle, across, half = n("construction.middle"), n("construction.across"), n("measure.half.1")
    bottom, far, top, first = (n(f"construction.lid.{edge}") for edge in ("bottom", "far", "top", "first"))
    ends, sides = ((first, far), (bottom, top)) if roof.is_along else ((bottom, top), (first, far))
    way, over = (panel.along, panel.up) if roof.is_along else (panel.up, panel.along)
    other = n("lid.1") if roof.is_along else n("lid.3")
    told += [
        ("hip.middle", Through(middle, n("measure.end.0"), n("measure.end.1"), centre, way.family, *ends,
                               "construction")),
        ("hip.middle", Through(across, n("measure.half.0"), half, centre, over.family, *sides, "construction")),
        ("hip.ridge_ends", Rule(n("construction.near"), n("lid.0"), half, "free", "construction")),
        ("hip.ridge_ends", Cross(n("ridge.near"), n("construction.near"), middle)),
        ("hip.ridge_ends", Rule(n("construction.beyond"), other, half, "free", "construction")),
        ("hip.ridge_ends", Cross(n("ridge.far"), n("construction.beyond"), middle)),
    ]  # fmt: skip
    return told


def _edges(roof: HipShape) -> Iterator[Act]:
    n = roof.values.full
    for i, tip in enumerate(roof.tip_of):
        if f"hip.{i}" in roof.drawn:
            yield Rule(n(f"hip.{i}"), n(f"corner.{i}"), n(tip), "free")
    if "ridge" in roof.drawn:
        near, far = roof.tips
        yield Rule(n("ridge"), n(near), n(far), roof.ridge_way.family)
