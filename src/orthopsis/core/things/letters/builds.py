"""A word is built as the profile of its outline; here stand its own sentences and handles."""

from collections.abc import Callable, Mapping
from dataclasses import replace

from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.declare import Build, Clause, Handle, Values
from orthopsis.core.things.letters.measures import on_block, shaped
from orthopsis.core.things.letters.names import own_name, own_name_on_side
from orthopsis.core.things.outline import size
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.profile.front import FRONT as PROFILE_FRONT
from orthopsis.core.things.profile.side import SIDE as PROFILE_SIDE
from orthopsis.core.things.standing import Setting

_WHOSE = (
    Clause("It is {whose}. ", {"whose": ("all",)}),
    Clause("It is {whose}; a long one is {long}. ", {"whose": ("student",)}),
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
        "left": setting.across(0.12),
        "bottom": round_to(bottom, sheet.division_mm),
        "width": width,
        "height": round_to(width * 1.2, sheet.division_mm),
        "gap": round_to(width / 5, sheet.division_mm),
        "depth_by": "half",
    }


def _place_side(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more word, on a long block between the points."""
    fresh = dict(PROFILE_SIDE.place(setting, count))
    height = float(fresh["height"])  # type: ignore[arg-type]
    return {**fresh, "width": height * 0.8, "gap": height * 0.15, "left_by": "half"}


FRONT = replace(
    _of_word(PROFILE_FRONT, _true),
    sentence=(
        Clause(
            "{text} in {form} letters, {width} wide, {height} tall and {gap} apart, {left} from the left edge and "
            "{bottom} up. "
        ),
        *_WHOSE,
        *_STROKES,
        *PROFILE_FRONT.sentence[1:],
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
    ),
    place=_place_front,
    personal=own_name,
)
SIDE = replace(
    _of_word(PROFILE_SIDE, _divided),
    sentence=(
        Clause("{text} in {form} letters on the {side} of a block. Letters as if {width} wide and {gap} apart. "),
        *_WHOSE,
        *_STROKES,
        *PROFILE_SIDE.sentence[1:],
    ),
    place=_place_side,
    personal=own_name_on_side,
)
