"""The faces of a flight of stairs: the side on which the risers are measured, and along which a handrail goes up; its
risers and treads, on which shadows fall.
"""

from dataclasses import replace

import numpy as np

from orthopsis.core.construct.panel import BareSide, Flight, Panel, away_from, vector
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.climbing import FAR, NEAR
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.stairs.shape import StairsShape


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


def stepped_sides(stairs: StairsShape) -> tuple[BareSide, BareSide]:
    """Return its two sides, each below its steps."""
    c, count, world = stairs.corner, stairs.count, stairs.world
    start, end, top = (world[c(NEAR, name)] for name in ("in.0", "end", f"in.{count}"))
    over, axes = world[c(FAR, "in.0")] - start, (vector(end - start), vector(top - end))
    steps = [(i / count, high / count) for i in range(count) for high in (i, i + 1)]
    shape: tuple[FacePlace, ...] = (*steps, (1.0, 1.0), (1.0, 0.0))
    return (
        BareSide(vector(start), axes, away_from(over), shape),
        BareSide(vector(start + over), axes, away_from(-over), shape),
    )


def steps_of(stairs: StairsShape) -> tuple[Panel, ...]:
    """Return the risers and treads that are seen, from the foot up; each from the near side on, across and up."""
    faces = [step(stairs, i) for i in range(stairs.count) for step in (_riser, _tread)]
    return tuple(panel for panel in faces if panel.is_seen)


def _riser(stairs: StairsShape, number: int) -> Panel:
    """Return the front of a step."""
    panel = _between(stairs, f"riser.{number}", (f"in.{number}", f"nose.{number}"))
    return replace(panel, says=f"{_ORDINALS[number]} riser", up=stairs.panel.out, out=stairs.ahead)


def _tread(stairs: StairsShape, number: int) -> Panel:
    """Return the top of a step."""
    panel = _between(stairs, f"tread.{number}", (f"nose.{number}", f"in.{number + 1}"))
    return replace(panel, says=f"{_ORDINALS[number]} tread", up=stairs.ahead, out=stairs.panel.out, is_level=True)


_ORDINALS = (
    "first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth", "eleventh",
    "twelfth",
)  # fmt: skip


def _between(stairs: StairsShape, name: str, ends: tuple[str, str]) -> Panel:
    """Return the face between the lines across at two corners of each side, the lower or nearer one first."""
    n, c, world = stairs.values.full, stairs.corner, stairs.world
    low, high = ends
    corners = c(NEAR, low), c(FAR, low), c(FAR, high), c(NEAR, high)
    page = [stairs.page[corner] for corner in corners]
    start, along, up = world[corners[0]], world[corners[1]] - world[corners[0]], world[corners[3]] - world[corners[0]]
    # A riser faces back the way the stairs climb, a tread up.
    toward = world[c(NEAR, "in.0")] - world[c(NEAR, "in.1")] + 2 * (world[c(NEAR, "nose.0")] - world[c(NEAR, "in.0")])
    across = np.cross(along, up)
    return Panel(
        says="", face=name, turned=stairs.face_names[name],
        low=n(corners[0]), far_low=n(corners[1]), far_high=n(corners[2]), high=n(corners[3]),
        first=n(f"{NEAR}.{name}"), bottom=n(f"across.{low}"), top=n(f"across.{high}"), far=n(f"{FAR}.{name}"),
        around=stairs.panel.around, along=stairs.across, up=stairs.ahead, out=stairs.ahead, drawn_from="low",
        page=(page[0], page[1], page[2], page[3]), start=vector(start), axes=(vector(along), vector(up)),
        is_seen=name in stairs.shown, outward=away_from(-across if float(across @ toward) > 0 else across),
    )  # fmt: skip
