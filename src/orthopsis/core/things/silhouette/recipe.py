"""How does a hand draw trees, people and posts: a light upright, the others in line with it, outlines about them?"""

from collections.abc import Iterator

from orthopsis.core.construct.moves import (
    Act,
    Cross,
    MeasureAlong,
    Move,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    ShareAlong,
    Side,
)
from orthopsis.core.things.silhouette.shape import SilhouetteShape


def recipe(row: SilhouetteShape) -> list[Move]:
    """Return the hand's moves."""
    moves = _first(row)
    if row.count > 1:
        moves += _lines(row) + (_by_eye(row) if row.is_by_eye else _by_middle(row))
    for number in range(row.count):
        told = "silhouette.sketch" if number == 0 else "silhouette.more"
        moves += [row.values.move("front", told, act) for act in _outline(row, number)]
    ties = [
        Rule(row.values.full(f"wire.{corner}"), row.values.full(f"0.{corner}"), row.values.full(f"{last}.{corner}"),
             row.way.family)
        for corner, last in row.tied
    ]  # fmt: skip
    return moves + [row.values.move("front", f"silhouette.{row.drawn_as.tied_by}", tie) for tie in ties]


def _foot(row: SilhouetteShape, number: int) -> str:
    return row.values.full(f"measure.foot.{number}")


def _top(row: SilhouetteShape, number: int) -> str:
    return row.values.full(f"measure.top.{number}")


def _first(row: SilhouetteShape) -> list[Move]:
    """Mark where the first one stands and draw a light upright, as tall as it is."""
    told = "silhouette.by_level" if row.is_by_level else "silhouette.first"
    begin = row.values.begin(row.setting, "measure.foot.0")
    upright = Side(row.values.full("construction.upright.0"), _top(row, 0), _foot(row, 0), "upright", row.height_mm,
                   "construction")  # fmt: skip
    return [row.values.move("front", told, act) for act in (begin, upright)]


def _guide(row: SilhouetteShape, end: str) -> str:
    return row.values.full(f"guide.{end}")


def _lines(row: SilhouetteShape) -> list[Move]:
    acts = [
        RuleToPoint(_guide(row, "foot"), _foot(row, 0), row.way.family),
        RuleToPoint(_guide(row, "top"), _top(row, 0), row.way.family),
    ]
    return [row.values.move("guides", "silhouette.lines", act) for act in acts]


def _upright(row: SilhouetteShape, number: int) -> Run:
    line = row.values.full(f"construction.upright.{number}")
    return Run(line, _top(row, number), _foot(row, number), "upright", _guide(row, "top"), "construction")


def _by_eye(row: SilhouetteShape) -> list[Move]:
    acts = list[Act]()
    for number in range(1, row.count):
        acts += [ShareAlong(_foot(row, number), _guide(row, "foot"), row.shares[number]), _upright(row, number)]
    return [row.values.move("depth", "silhouette.by_eye", act) for act in acts]


def _by_middle(row: SilhouetteShape) -> list[Move]:
    """Measure the first space; a line from a top through the middle of the next upright ends at the next foot."""
    n, told = row.values.full, list[tuple[str, Act]]()
    told.append(("silhouette.second", MeasureAlong(_foot(row, 1), _guide(row, "foot"), row.values.mm("gap"))))
    told.append(("silhouette.second", _upright(row, 1)))
    if row.count > 2:
        half, middle = n("measure.half"), n("construction.middle")
        told.append(("silhouette.middle", Offset(half, _foot(row, 0), 0.0, row.height_mm / 2)))
        told.append(("silhouette.middle", RuleToPoint(middle, half, row.way.family, "construction")))
    for number in range(1, row.count - 1):
        mid, laid = n(f"measure.mid.{number}"), n(f"construction.laid.{number}")
        slant = n(f"construction.slant.{number}")
        told += [
            ("silhouette.next", Cross(mid, _upright(row, number).makes, n("construction.middle"))),
            ("silhouette.next", Rule(laid, _top(row, number - 1), mid, "free", "unseen")),
            ("silhouette.next", Cross(_foot(row, number + 1), laid, _guide(row, "foot"))),
            ("silhouette.next", Rule(slant, _top(row, number - 1), _foot(row, number + 1), "free", "construction")),
            ("silhouette.next", _upright(row, number + 1)),
        ]
    return [row.values.move("depth", breath, act) for breath, act in told]


def _outline(row: SilhouetteShape, number: int) -> Iterator[Act]:
    """Yield the acts that sketch one about its upright."""
    n, corners = row.values.full, row.corners_mm(number)
    for i, (x, y) in enumerate(corners):
        yield Offset(n(f"{number}.{i}"), _foot(row, number), x, y)
    for i in range(len(corners)):
        after = (i + 1) % len(corners)
        yield Rule(n(f"edge.{number}.{i}"), n(f"{number}.{i}"), n(f"{number}.{after}"), "free")
