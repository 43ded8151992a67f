"""A word is built as the profile of its outline; here stand its own sentences and handles."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import replace
from functools import lru_cache

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.box import block
from orthopsis.core.things.box.block import Role
from orthopsis.core.things.declare import Build, Clause, Handle, Values
from orthopsis.core.things.letters.assembly import Member, Members, assembled_moves, assembled_solid, panel_of
from orthopsis.core.things.letters.halves import halves
from orthopsis.core.things.letters.layouts import LAYOUTS, ONE_POINT, STRAIGHT, takes_rows
from orthopsis.core.things.letters.measures import on_block, shaped
from orthopsis.core.things.letters.names import is_own, own_name, own_name_on_side
from orthopsis.core.things.letters.rows import around, row
from orthopsis.core.things.letters.word import ROW_END
from orthopsis.core.things.outline import size
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.profile.front import FRONT as PROFILE_FRONT
from orthopsis.core.things.profile.side import SIDE as PROFILE_SIDE
from orthopsis.core.things.standing import Joint, Setting

FIRST_TEXT = "A"
"""What a new word reads until another one is typed: the first letter, of straight strokes."""
WIDEST_SHARE = 0.6
"""Up to this share of the way to the point a block grows with its word (no source)."""
_OWN = {"whose": ("student",)}
_WHOSE = (
    Clause("It is {whose}. ", {"whose": ("all",)}),
    Clause("It is {whose}; a long one is {long}, one that takes longer than the lesson {late}. ", _OWN),
)
_STROKES = (
    Clause("Strokes {thickness}. ", {"thickness": ("fifth", "quarter", "third")}),
    Clause(
        "Strokes {thickness}: {stroke} wide, bars {bar} high, the middle one {middle}, {middle_up} up. ",
        {"thickness": ("measured",)},
    ),
)


Shaped = Callable[[Values, Setting], Values]


def _true(values: Values, setting: Setting) -> Values:
    """Return a word with the outline that a ruler measures."""
    return shaped(values, setting.sheet.division_mm)


def _divided(values: Values, setting: Setting) -> Values:
    """Return a word with the outline that is found by dividing a side."""
    return on_block(values)


def _of_word(build: Build, shape: Shaped) -> Build:
    """Return a profile's build for words: everything is asked of the word's outline."""

    return replace(
        build,
        solid=lambda values, setting: build.solid(shape(values, setting), setting),
        recipe=lambda values, setting: build.recipe(shape(values, setting), setting),
        spans=lambda values, setting: build.spans(shape(values, setting), setting),
        follow=lambda values, setting, name, value: build.follow(shape(values, setting), setting, name, value),
        true_length=lambda values, setting, role: build.true_length(shape(values, setting), setting, role),
        joints=lambda values, setting: build.joints(shape(values, setting), setting),
        panels=lambda values, setting: build.panels(shape(values, setting), setting),
        handles_at=_handles_at(build, shape),
        corners=None,
    )


def _handles_at(build: Build, shape: Shaped) -> Callable[[Values, Setting], Mapping[str, Point]]:
    def handles_at(values: Values, setting: Setting) -> Mapping[str, Point]:
        found = build.handles_at(shape(values, setting), setting)
        return {name: at for name, at in found.items() if not name.startswith("corner_")}

    return handles_at


def _laid_out(build: Build, layouts: Mapping[str, Members]) -> Build:
    """Return a word's build with further layouts, in which its letters or halves are things of their own."""

    def members(values: Values, setting: Setting) -> Sequence[Member] | None:
        layout = values.word("layout")
        if layout != STRAIGHT and layout not in layouts:
            raise GeometryError(
                "no_such_layout",
                f"“{values.name}” cannot be laid out like this in this kind of view.",
                "Set it in one row, or choose another layout.",
                about="layout",
                nearest=LAYOUTS[STRAIGHT],
            )
        if ROW_END in values.word("text") and not takes_rows(layout):
            raise GeometryError(
                "rows_in_layout",
                f"The letters of “{values.name}” cannot be set in two rows and stand like this.",
                "Leave the stroke between the rows out, or set it in one row.",
                about="text",
                nearest=values.word("text").replace(ROW_END, ""),
            )
        return layouts[layout](values, setting) if layout in layouts else None

    @lru_cache(maxsize=512)
    def solid(values: Values, setting: Setting) -> Solid:
        found = members(values, setting)
        return build.solid(values, setting) if found is None else assembled_solid(found, setting)

    def recipe(values: Values, setting: Setting) -> list[Move]:
        found = members(values, setting)
        return build.recipe(values, setting) if found is None else assembled_moves(values.name, found, setting)

    def panels(values: Values, setting: Setting) -> Mapping[str, Panel]:
        found = members(values, setting)
        return build.panels(values, setting) if found is None else _panels(found, setting)

    def joints(values: Values, setting: Setting) -> Mapping[str, Joint]:
        return build.joints(values, setting) if values.word("layout") == STRAIGHT else {}

    def free_lines(values: Values, setting: Setting) -> Mapping[str, tuple[str, ...]]:
        found = members(values, setting)
        if found is None:
            return build.free_lines(values, setting)
        own = [(m.name, m.build.free_lines(m.values, setting)) for m in found]
        goals = {goal for _, free in own for goal in free}
        return {goal: tuple(f"{name}.{b}" for name, free in own for b in free.get(goal, ())) for goal in goals}

    return replace(build, solid=solid, recipe=recipe, panels=panels, joints=joints, free_lines=free_lines)


def _panels(members: Sequence[Member], setting: Setting) -> Mapping[str, Panel]:
    """Return the faces of a word in parts: all its letters' fronts together, or each half's side."""
    if setting.frame.kind != "one_point":
        return {role: panel_of(m, setting, role) for m, role in ((m, m.values.word("side")) for m in members)}
    first, *others = (panel_of(member, setting, "front") for member in members)
    return {"front": replace(first, others=tuple(others))}


def _drag_size(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    """Stretch the word so that its upper right reaches the place."""
    division, (wide, tall) = setting.sheet.division_mm, size(_true(values, setting).outline("outline"))
    across, up = (at.x - values.first.x) / wide, (at.y - values.first.y) / tall
    width = max(round_to(values.mm("width") * across, division), 4 * division)
    height = max(round_to(values.mm("height") * up, division), 4 * division)
    factor = width / values.mm("width")
    gap = round_to(values.mm("gap") * factor, division)
    strokes = _stretched(values, factor, height / values.mm("height"))
    return {"width": width, "height": height, "gap": gap, **strokes}


def _stretched(values: Values, across: float, up: float) -> Mapping[str, Value]:
    if values.word("thickness") != "measured":
        return {}
    return {
        "stroke": values.mm("stroke") * across,
        **{name: values.mm(name) * up for name in ("bar", "middle", "middle_up")},
    }


def _drag_depth(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return PROFILE_FRONT.handles[2].drag(_true(values, setting), setting, at)


def _place_front(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more word: over a half of the sheet, below or above the point."""
    sheet, goal = setting.sheet, setting.frame.way("away").goal
    low, high = sheet.part(setting.half)
    width = round_to((high - low) / 10, sheet.division_mm)
    is_low = count % 2 == 0
    bottom = goal.y * 0.2 if is_low else goal.y + (sheet.height_mm - goal.y) * 0.3
    return {
        "text": FIRST_TEXT,
        "left": setting.across(0.12),
        "bottom": round_to(bottom, sheet.division_mm),
        "width": width,
        "height": round_to(width * 1.2, sheet.division_mm),
        "gap": round_to(width / 5, sheet.division_mm),
        "depth_by": "half",
        "layout": STRAIGHT,
    }


def _place_side(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more word, on a block between the points."""
    fresh = dict(PROFILE_SIDE.place(setting, count))
    height = float(fresh["height"])  # type: ignore[arg-type]
    return {**fresh, "text": FIRST_TEXT, "width": height * 0.8, "gap": height * 0.15, "layout": STRAIGHT}


def _follow_side(values: Values, setting: Setting, name: str, value: Value) -> Mapping[str, Value]:
    """Return what else changes; with another text a measured block becomes as much longer as the word.

    A share of the way to a vanishing point is s = l / (l + d) for a length l, so l grows as s / (1 - s) (textbook;
    from memory): this needs no eye.
    """
    if name != "text":
        return _STRAIGHT_SIDE.follow(values, setting, name, value)
    side = values.word("side")
    role: Role = "right" if side == "right" else "left"
    if side == "level" or values.word(f"{role}_by") != "measured" or values.word("layout") != STRAIGHT:
        return {}
    before, after = (
        on_block(v).face("outline")[0] for v in (values, replace(values, held={**values.held, name: value}))
    )
    share = block.side_share(values, setting, role)
    longer = share / (1 - share) * after / before
    reach = block.side_reach(values, setting, role)
    length = round_to(min(longer / (1 + longer), max(share, WIDEST_SHARE)) * reach, setting.sheet.division_mm)
    return {f"{role}_length": length}


def _front_handles(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return where the handles are; those of other layouts than one row are at the first letter, or at the point."""
    layout, goal = values.word("layout"), setting.frame.way("away").goal
    if layout == STRAIGHT:
        return _STRAIGHT_FRONT.handles_at(values, setting)
    if layout == "about":
        return {"spread": Point(goal.x, goal.y + values.mm("spread"))}
    step = between(values.first, goal, values.mm("step") / distance(values.first, goal))
    return {"place": values.first, "step": step}


def _front_spans(values: Values, setting: Setting) -> Mapping[str, tuple[Point, Point]]:
    layout, first = values.word("layout"), values.first
    if layout == STRAIGHT:
        return _STRAIGHT_FRONT.spans(values, setting)
    handles, goal = _front_handles(values, setting), setting.frame.way("away").goal
    if layout == "about":
        return {"spread": (goal, handles["spread"])}
    from_edges = {"left": (Point(0.0, first.y), first), "bottom": (Point(first.x, 0.0), first)}
    return {**from_edges, "step": (first, handles["step"])}


def _drag_step(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    goal, first = setting.frame.way("away").goal, values.first
    along = ((at.x - first.x) * (goal.x - first.x) + (at.y - first.y) * (goal.y - first.y)) / distance(first, goal)
    return {"step": min(max(along, setting.sheet.division_mm), 0.45 * distance(first, goal))}


def _drag_spread(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return {"spread": max(at.y - setting.frame.way("away").goal.y, setting.sheet.division_mm)}


_STRAIGHT_FRONT = _of_word(PROFILE_FRONT, _true)
_ROW = (STRAIGHT, "away", "steps")
FRONT = replace(
    _laid_out(_STRAIGHT_FRONT, {"away": row, "steps": row, "about": around}),
    sentence=(
        Clause("{text} in {form} letters, {layout}, "),
        Clause(
            "{width} wide, {height} tall and {gap} apart, {left} from the left edge and {bottom} up. ", {"layout": _ROW}
        ),
        Clause("{spread} over and under it. ", {"layout": ("about",)}),
        Clause("The first step back is {step} along the line to the point. ", {"layout": ("away", "steps")}),
        *_WHOSE,
        *_STROKES,
        Clause("Depth {depth_by}", {"depth_by": ("measured",)}),
        Clause(", {depth} along {depth_corner}. ", {"depth_by": ("measured",), "layout": (STRAIGHT,)}),
        Clause(", {depth} along the longest guide line. ", {"depth_by": ("measured",), "layout": ONE_POINT}),
        Clause("Depth {depth_by} along {depth_corner}. ", {"depth_by": ("half",), "layout": (STRAIGHT,)}),
        Clause("Depth {depth_by}. ", {"depth_by": ("half",), "layout": ("about",)}),
        Clause("Depth {depth_by} to the next. ", {"depth_by": ("half",), "layout": ("away", "steps")}),
        Clause("{look}."),
    ),
    handles=(
        replace(PROFILE_FRONT.handles[0], says="Move the word"),
        Handle(
            "size",
            "Stretch the word",
            ("width", "height", "gap", "stroke", "bar", "middle", "middle_up"),
            _drag_size,
            "size",
        ),
        Handle("depth", "Change the depth", ("depth",), _drag_depth),
        Handle("step", "Change the first step back", ("step",), _drag_step),
        Handle("spread", "Change the room about the point", ("spread",), _drag_spread),
    ),
    handles_at=_front_handles,
    spans=_front_spans,
    place=_place_front,
    is_personal=is_own,
    personal=own_name,
)
_STRAIGHT_SIDE = _of_word(PROFILE_SIDE, _divided)
SIDE = replace(
    _laid_out(_STRAIGHT_SIDE, {"corner": halves}),
    sentence=(
        Clause("{text} in {form} letters {layout} on the {side} of a block. ", {"layout": (STRAIGHT,)}),
        Clause("{text} in {form} letters {layout} of a block, in slices {slice} thick. ", {"layout": ("corner",)}),
        Clause("Letters as if {width} wide and {gap} apart. "),
        *_WHOSE,
        *_STROKES,
        *PROFILE_SIDE.sentence[1:],
    ),
    place=_place_side,
    follow=_follow_side,
    is_personal=is_own,
    personal=own_name_on_side,
)
