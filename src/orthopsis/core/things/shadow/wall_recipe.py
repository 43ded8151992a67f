"""How does a hand let a cast shadow climb a wall? From the foot of the wall up, until the ray from the top is met.

First it is found on the ground, as if the wall were not there. Where the line from a foot meets the foot of the wall,
the shadow goes up. Where the ray of a top is not drawn, it is laid back from its corner on the ground.
"""

from collections.abc import Iterator, Sequence

from orthopsis.core.construct.moves import Act, Cross, Rule, Run
from orthopsis.core.things.shadow.outline import Climb, Vertex
from orthopsis.core.things.shadow.shape import ShadowShape, shade_name


def up_wall(shadow: ShadowShape, climb: Climb, found: Sequence[int]) -> Iterator[tuple[str, Act]]:
    """Yield the acts that find the shadows of tops on the wall, each with its breath.

    Args:
        found: the corners whose rays are drawn.
    """
    n, up = shadow.values.full, shadow.setting.frame.way("up").family
    beyond = [i for i in shadow.chain if climb.is_beyond(i)]
    for i in sorted(beyond, key=lambda i: i not in found):
        breath = "shadow.climbs" if i in found else f"shadow.climbs_hidden{shadow.light_suffix}"
        base, ray = n(Vertex("base", (i,)).name), n(f"ray.{i}")
        yield breath, Cross(base, n(f"ground.{i}"), climb.wall.bottom)
        if i not in found:
            ray = n(f"construction.ray.{i}")
            start, rays = n(shade_name(i)), shadow.setting.rays.family
            # The ruler lies through the corner, which is on the line from the foot: nothing else bounds the ray.
            yield breath, Run(ray, n(f"measure.ray.{i}"), start, rays, n(f"ground.{i}"), "unseen")
        yield breath, Run(n(f"upright.{i}"), n(Vertex("on_wall", (i,)).name), base, up, ray, "construction")


def outline_up(shadow: ShadowShape, climb: Climb) -> Iterator[Act]:
    """Yield the acts that draw the edges, on the ground and on the wall."""
    n = shadow.values.full
    for i, j in shadow.pairs:
        if climb.is_beyond(i) != climb.is_beyond(j):
            over = n(f"construction.over.{i}.{j}")
            yield Rule(over, n(shade_name(i)), n(shade_name(j)), shadow.way_between(i, j).family, "unseen")
            yield Cross(n(Vertex("bend", (i, j)).name), over, climb.wall.bottom)
    for edge in shadow.edges:
        yield Rule(n(edge.name), n(edge.start), n(edge.end), edge.runs)
