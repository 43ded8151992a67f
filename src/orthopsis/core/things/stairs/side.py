"""The side of a flight of stairs as a face: on it the risers are measured, and a handrail goes up along it."""

import numpy as np

from orthopsis.core.construct.panel import Flight, Panel, away_from, vector
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.stairs.shape import FAR, NEAR, StairsShape


def side_of(stairs: StairsShape) -> Panel:
    """Return the rectangle about the stepped outline that is drawn first; its first edge is divided into the risers."""
    n, c, count, world = stairs.values.full, stairs.corner, stairs.count, stairs.world
    low, far_low, far_high = c(NEAR, "in.0"), c(NEAR, "end"), c(NEAR, f"in.{count}")
    start, end, top = world[low], world[far_low], world[far_high]
    up = top - end
    (high,) = (Point(x, y) for x, y in stairs.setting.frame.eye.see((start + up)[None]).tolist())
    across = world[c(FAR, "in.0")] - start

    def noses(side: str) -> tuple[tuple[str, Point], ...]:
        names = [c(side, f"nose.{i}") for i in range(count)]
        return tuple((n(name), stairs.page[name]) for name in names)

    return Panel(
        says="side", face="near_side", turned=stairs.face_names["near_side"], low=n(low),
        high=n(f"measure.tick.of.{count}"), far_low=n(far_low), far_high=n(far_high), first=n("construction.rise"),
        bottom=n("foot.low" if stairs.climbs_along else "foot.near"), top=n(f"construction.flight.{count}"),
        far=n("construction.over.end"), around=stairs.panel.around, along=stairs.ahead, up=stairs.panel.out,
        out=stairs.across, drawn_from="low",
        page=(stairs.page[foot_name(0)], stairs.page[far_low], stairs.page[far_high], high),
        start=vector(start), axes=(vector(end - start), vector(up)), first_says="upright at the foot",
        is_seen="near_side" in stairs.shown, outward=away_from(across),
        flight=Flight(
            noses(NEAR), noses(FAR), tuple((i / count, (i + 1) / count) for i in range(count)),
            stairs.across, vector(np.asarray(across)),
        ),
    )  # fmt: skip
