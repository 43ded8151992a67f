"""How does a hand draw a handrail: the first post, as tall a last one, the line between, posts up to it, across?"""

from collections.abc import Iterator

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Rule, Run, Shift, Side
from orthopsis.core.things.handrail.shape import FAR, NEAR, HandrailShape


def recipe(rail: HandrailShape) -> list[Move]:
    """Return the hand's moves."""
    half = "_half" if rail.has_half else ""
    told = [(f"handrail.first{half}", act) for act in _first(rail)]
    told += [(f"handrail.last{half}", act) for act in _last(rail)]
    told += [(f"handrail.rail{half}", act) for act in _rails(rail, NEAR)]
    told += [("handrail.posts", act) for act in _posts(rail, NEAR)]
    if FAR in rail.sides:
        told += [(f"handrail.across{half}", act) for act in _across(rail)]
        told += [(f"handrail.rail_over{half}", act) for act in _rails(rail, FAR)]
        told += [("handrail.posts_over", act) for act in _posts(rail, FAR)]
    return [rail.values.move("back", breath, act) for breath, act in told]


def _stand(rail: HandrailShape, side: str, number: int) -> Act:
    """Return the act that takes up the front of a tread."""
    noses = rail.flight.noses if side == NEAR else rail.flight.over
    return Shift(rail.values.full(f"{side}.nose.{number}"), noses[number][0], 0.0)


def _first(rail: HandrailShape) -> Iterator[Act]:
    """Yield the acts that measure the first post."""
    n, high = rail.values.full, rail.values.mm("high")
    yield _stand(rail, NEAR, 0)
    yield Side(n(f"{NEAR}.post.0"), n(f"{NEAR}.top.0"), n(f"{NEAR}.nose.0"), "upright", high)
    if rail.has_half:
        yield MeasureAlong(n(f"{NEAR}.half.0"), n(f"{NEAR}.post.0"), rail.half_mm)


def _last(rail: HandrailShape) -> Iterator[Act]:
    """Yield the acts that carry the same height from the highest mark at the foot over the last tread."""
    n, panel, last, high = rail.values.full, rail.panel, rail.last, rail.values.mm("high")
    nose, top, mark = n(f"{NEAR}.nose.{last}"), n(f"{NEAR}.top.{last}"), n("measure.top")
    over = n("construction.above")
    yield Side(over, mark, panel.high, "upright", high, "construction")
    yield _stand(rail, NEAR, last)
    aside = rail.page[f"{NEAR}.top.{last}"].x - panel.page[3].x
    post, level = (nose, panel.up, n("construction.laid.last")), (mark, panel.along, n("construction.level.top"))
    yield from meeting(post, level, top, aside, "construction", n("construction.laid.level"))
    yield Rule(n(f"{NEAR}.post.{last}"), nose, top, panel.up.family)
    if rail.has_half:
        yield MeasureAlong(n("measure.half"), over, rail.half_mm)
        ends = n("construction.level.half"), n(f"{NEAR}.half.{last}")
        yield Run(*ends, n("measure.half"), panel.along.family, n(f"{NEAR}.post.{last}"), "construction")


def _rails(rail: HandrailShape, side: str) -> Iterator[Act]:
    n = rail.values.full
    for end in rail.ends:
        yield Rule(n(f"{side}.rail.{end}"), n(f"{side}.{end}.0"), n(f"{side}.{end}.{rail.last}"), "free")


def _posts(rail: HandrailShape, side: str) -> Iterator[Act]:
    """Yield the acts that draw the posts between, up to the handrail."""
    n, up = rail.values.full, rail.panel.up.family
    for i in rail.posts[1:-1]:
        yield _stand(rail, side, i)
        ends = n(f"{side}.post.{i}"), n(f"{side}.top.{i}")
        yield Run(*ends, n(f"{side}.nose.{i}"), up, n(f"{side}.rail.top"))


def _across(rail: HandrailShape) -> Iterator[Act]:
    """Yield the acts that carry the first post and the last one to the other side."""
    n, up, across = rail.values.full, rail.panel.up, rail.flight.across
    for i in (0, rail.last):
        yield _stand(rail, FAR, i)
        near, far, post = f"{NEAR}.top.{i}", f"{FAR}.top.{i}", n(f"{FAR}.post.{i}")
        first, second = (n(f"{FAR}.nose.{i}"), up, n(f"construction.laid.post.{i}")), (n(near), across, n(f"over.{i}"))
        aside = rail.page[far].x - rail.page[near].x
        yield from meeting(first, second, n(far), aside, "construction", n(f"construction.laid.over.{i}"))
        yield Rule(post, n(f"{FAR}.nose.{i}"), n(far), up.family)
        if rail.has_half:
            ends = n(f"half_over.{i}"), n(f"{FAR}.half.{i}")
            yield Run(*ends, n(f"{NEAR}.half.{i}"), across.family, post, "construction")
