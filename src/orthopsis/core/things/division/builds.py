"""A division as a thing: its lines on the face by both routes, its sentence and its handle."""

from collections.abc import Mapping
from functools import lru_cache

from orthopsis.core.construct.moves import Move, Role, Run
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import NOTHING, Edge, Solid, Topology
from orthopsis.core.things.declare import Build, Clause, Handle, Skewed, Values
from orthopsis.core.things.division.marks import mark_moves
from orthopsis.core.things.division.shares import divided
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.standing import Setting

REPEATED = ("repeat_near", "repeat_far")


@lru_cache(maxsize=1024)
def solid(values: Values, setting: Setting) -> Solid:
    """Return the lines in the world of the frame's eye: edges without faces, on the face of the other thing."""
    panel = setting.panel
    if panel is None:
        return NOTHING
    at = divided(values, setting, panel)
    shares = [(along, up) for along in at.along for up in (0.0, 1.0)]
    shares += [(along, up) for up in at.up for along in (0.0, 1.0)]
    names = [f"{end}.{i}" for i in range(1, len(at.along) + 1) for end in ("foot", "head")]
    names += [f"{end}.{j}" for j in range(1, len(at.up) + 1) for end in ("start", "end")]
    edges = [Edge(f"column.{i}", f"foot.{i}", f"head.{i}", panel.up.family) for i in range(1, len(at.along) + 1)]
    edges += [Edge(f"row.{j}", f"start.{j}", f"end.{j}", panel.along.family) for j in range(1, len(at.up) + 1)]
    kept = tuple(edges) if values.word("stays") == "lines" else ()
    return Solid(Topology(tuple(names), (), kept), panel.places(shares))


def recipe(values: Values, setting: Setting) -> list[Move]:
    """Return the hand's moves: the marks in the chosen way, and the lines through them."""
    panel = setting.panel
    if panel is None:
        return []
    n, at = values.full, divided(values, setting, panel)
    role: Role = "edge" if values.word("stays") == "lines" else "construction"
    lines = [
        Run(n(f"column.{i}"), n(f"head.{i}"), n(f"foot.{i}"), panel.up.family, panel.top, role)
        for i in range(1, len(at.along) + 1)
    ]
    lines += [
        Run(n(f"row.{j}"), n(f"end.{j}"), n(f"start.{j}"), panel.along.family, panel.far, role)
        for j in range(1, len(at.up) + 1)
    ]
    breath = "face.lines" if role == "edge" else "face.light"
    return mark_moves(values, setting, panel, at) + [values.move("divide", breath, line) for line in lines]


def _bay(values: Values, panel: Panel) -> tuple[Point, Point]:
    """Return between which points the repeated part is measured."""
    low, far, _, _ = panel.page
    start, end = (low, far) if values.word("way") == "repeat_near" else (far, low)
    return start, between(start, end, values.mm("bay") / panel.bottom_mm)


def _drag_bay(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    panel = setting.panel
    if panel is None:
        return {}
    return {"bay": max(distance(_bay(values, panel)[0], at), setting.sheet.division_mm)}


def handles_at(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return where the handle of a repeated part is."""
    panel = setting.panel
    return {} if panel is None or values.word("way") not in REPEATED else {"bay": _bay(values, panel)[1]}


def spans(values: Values, setting: Setting) -> Mapping[str, tuple[Point, Point]]:
    """Return between which points the repeated part is measured."""
    panel = setting.panel
    return {} if panel is None or values.word("way") not in REPEATED else {"bay": _bay(values, panel)}


def free_lines(values: Values, setting: Setting) -> Mapping[str, tuple[str, ...]]:
    """Return the lines whose place is free: those that are found by eye."""
    panel = setting.panel
    if panel is None or values.word("way") != "eye" or panel.along.goal.is_ideal:
        return {}
    return {panel.along.family: ("column.",)}


def follow(values: Values, setting: Setting, name: str, value: Value) -> Mapping[str, Value]:
    """Return the length of the repeated part with which the drawing stays nearly as it is."""
    panel = setting.panel
    if panel is None or name != "way" or value not in REPEATED:
        return {}
    count = len(divided(values, setting, panel).along) + 1
    share = panel.page_share(1 / count) if value == "repeat_near" else 1 - panel.page_share(1 - 1 / count)
    division = setting.sheet.division_mm
    return {"bay": max(round_to(share * panel.bottom_mm - division / 2, division), division)}


def skewed(values: Values, setting: Setting) -> list[Skewed]:
    """Return the mark that lies farthest from where it would be in truth: none unless a ruler divided the page."""
    panel = setting.panel
    if panel is None or values.word("way") != "page":
        return []
    low, far, _, _ = panel.page
    drawn = {share: panel.page_share(share) for share in divided(values, setting, panel).along}
    places = [(between(low, far, page), between(low, far, panel.page_share(page))) for page in drawn.values()]
    return [Skewed(*max(places, key=lambda ends: distance(*ends)), {"way": "diagonal"})] if places else []


def place(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more division: in two, by the face's diagonals."""
    return {"way": "halving", "along": "2", "up": "1"}


DIVIDED = Build(
    sentence=(
        Clause("Divided {way}: {along} along and {up} up. "),
        Clause("The first part is {bay} long. ", {"way": REPEATED}),
        Clause("Its lines {stays}."),
    ),
    handles=(Handle("bay", "Change the first part", ("bay",), _drag_bay),),
    solid=solid,
    recipe=recipe,
    handles_at=handles_at,
    spans=spans,
    free_lines=free_lines,
    place=place,
    follow=follow,
    skewed=skewed,
)
