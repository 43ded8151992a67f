"""Things that stand for themselves: boxes, shapes, words, benches."""

from typing import Any

from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.things.bench.bench import LEGS, SEATS
from orthopsis.core.things.letters.alphabet import ALPHABET
from orthopsis.core.things.outline import scaled
from orthopsis.core.things.profile.shapes import READY
from scenes.base import CORNER, LOOKS, ROW, VIEWS


@st.composite
def exercises(draw: Any, least: int = 1, most: int = 4, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return an exercise with boxes anywhere they can be, as deep as anything, in one of the named views."""
    view = draw(st.sampled_from(views))
    boxes = _front_boxes if view == "one_point" else _corner_boxes
    things = [draw(boxes(f"Box {i + 1}", view)) for i in range(draw(st.integers(least, most)))]
    return exercise_of(*things, views=[VIEWS[view]])


@st.composite
def profiles(
    draw: Any,
    views: tuple[str, ...] = tuple(VIEWS),
    looks: tuple[str, ...] = ("solid", "see_through"),
    shapes: tuple[str, ...] = tuple(sorted(READY)),
) -> Exercise:
    """Return an exercise with one profile of a ready shape, stretched, in one of the named views."""
    view = draw(st.sampled_from(views))
    shape = scaled(READY[draw(st.sampled_from(shapes))], draw(st.integers(30, 90)), draw(st.integers(30, 90)))
    thing: dict[str, Any] = {"kind": "profile", "name": "Shape", "outline": shape}
    thing["look"] = draw(st.sampled_from(looks))
    return exercise_of(draw(_stood(thing, view)), views=[VIEWS[view]])


@st.composite
def words(
    draw: Any,
    views: tuple[str, ...] = ("one_point", "two_point", "from_above", "from_below"),
    looks: tuple[str, ...] = ("solid", "see_through"),
    most: int = 3,
) -> Exercise:
    """Return an exercise with one word of any letters, block or round, in one of the named views."""
    view = draw(st.sampled_from(views))
    text = draw(st.text(st.sampled_from([*ALPHABET, *"ÀÇÅÑÖŠ"]), min_size=1, max_size=most))
    thing: dict[str, Any] = {"kind": "letters", "name": "Shape", "text": text}
    thing["form"] = draw(st.sampled_from(["block", "round"]))
    thing["thickness"] = draw(st.sampled_from(["fifth", "quarter", "third"]))
    thing["look"] = draw(st.sampled_from(looks))
    width, height = draw(st.integers(20, 60)), draw(st.integers(20, 80))
    stood = draw(_stood(thing, view))
    sizes = {"width": width, "height": height, "gap": draw(st.integers(2, 12))}
    return exercise_of(sizes | stood, views=[VIEWS[view]])


@st.composite
def benches(draw: Any) -> Exercise:
    """Return an exercise with one bench in any view."""
    view = draw(st.sampled_from(tuple(VIEWS)))
    thing: dict[str, Any] = {"kind": "bench", "name": "Shape", "legs": draw(st.sampled_from(sorted(LEGS)))}
    thing |= {"seat": draw(st.sampled_from(sorted(SEATS))), "look": draw(st.sampled_from(["solid", "see_through"]))}
    stood = draw(_stood(thing, view))
    size = {"width": draw(st.integers(20, 90)), "height": draw(st.integers(12, 60))} if view == "one_point" else {}
    return exercise_of({**stood, **size, "side": "right" if stood.get("side") == "right" else "left"},
                       views=[VIEWS[view]])  # fmt: skip


@st.composite
def _stood(draw: Any, thing: dict[str, Any], view: str) -> dict[str, Any]:
    """Return a thing with an outline where it stands in a view."""
    if view == "one_point":
        place = {"left": draw(st.integers(0, 320)) + 0.37, "bottom": draw(st.integers(0, 200)) + 0.41}
        how = draw(st.sampled_from(["half", "measured"]))
        return {**thing, **place, "depth_by": how, "depth": draw(st.floats(1.0, 5.0))}
    block = draw(_corner_boxes("Shape", view))
    # A level face is cut where it shows: the top below the eye level, the bottom above it.
    low, high = block["bottom"], block["bottom"] + block["height"]
    seen_from = {"from_above": low < 150, "obtuse": low < 150, "from_below": low > 150}
    shows_level = seen_from.get(view, high < 150 or low > 150)
    faces = ["left", "right", *(["level"] if shows_level else [])]
    return {**block, **thing, "side": draw(st.sampled_from(faces))}


@st.composite
def laid_out(draw: Any) -> Exercise:
    """Return a word in one of the layouts."""
    thing = {"text": draw(st.sampled_from(["K", "NO", "ROPE", "TIDAL", "HARBOURS"])), "look": "solid"}
    thing |= {
        "form": draw(st.sampled_from(["block", "round"])),
        "depth_by": draw(st.sampled_from(["half", "measured"])),
    }
    view = draw(st.sampled_from(["one_point", "two_point", "from_above"]))
    if view == "one_point":
        layout = draw(st.sampled_from(["away", "steps", "about"]))
        place = {"left": draw(st.integers(5, 120)) + 0.37, "bottom": draw(st.integers(5, 90)) + 0.41}
        sizes = {
            "width": draw(st.integers(20, 60)),
            "height": draw(st.integers(20, 70)),
            "gap": draw(st.integers(2, 20)),
        }
        more = {
            "step": draw(st.floats(20, 60)),
            "depth": draw(st.floats(2, 12)),
            "spread": draw(st.integers(5, 40)) + 0.3,
        }
        return exercise_of({**ROW, **thing, "layout": layout, **place, **sizes, **more}, views=[VIEWS[view]])
    bottom, height = (draw(st.integers(20, 80)), 130) if view == "two_point" else (draw(st.integers(90, 130)), 60)
    sides = {"left_length": draw(st.floats(60, 110)), "right_length": draw(st.floats(60, 110))}
    thing |= {"left": draw(st.integers(170, 230)), "bottom": bottom + 0.3, "height": height, **sides}
    return exercise_of({**CORNER, **thing, "slice": draw(st.floats(4, 20))}, views=[VIEWS[view]])


def rounded() -> st.SearchStrategy[Exercise]:
    """Return an exercise with one rounded profile."""
    return profiles(shapes=("arch", "corner shelf", "round D", "round O"))


@st.composite
def _corner_boxes(draw: Any, name: str, view: str) -> dict[str, Any]:
    if view == "obtuse":
        left, bottom, height = draw(st.integers(150, 280)), draw(st.integers(90, 140)), draw(st.integers(5, 30))
    else:
        left, height = draw(st.integers(60, 360)), draw(st.integers(5, 90))
        bottom = draw(
            {"from_above": st.integers(40, 140), "from_below": st.integers(160, 300)}.get(view, st.integers(0, 260))
        )
    known = VIEWS[view].get("centre_mm") is not None or view.startswith("from")
    ways = st.sampled_from(["half", "measured", *(["true", "cube"] if known else [])])
    return {
        "kind": "box", "name": name, "left": left, "bottom": bottom + 0.3, "height": height,
        "left_by": draw(ways), "right_by": draw(ways), "left_length": draw(st.floats(2.0, 40.0)),
        "right_length": draw(st.floats(2.0, 40.0)), "look": draw(LOOKS),
    }  # fmt: skip


@st.composite
def _front_boxes(draw: Any, name: str, view: str) -> dict[str, Any]:
    size = st.integers(8, 120)
    left, bottom = draw(st.integers(0, 290)), draw(st.integers(0, 170))
    width, height = draw(size), draw(size)
    # a corner on the point itself is refused: see the test of bad input
    if {left, left + width} & {210} or {bottom, bottom + height} & {150}:
        left, bottom = left + 1 if left < 280 else left - 3, bottom + 1 if bottom < 160 else bottom - 3
    how = draw(st.sampled_from(["half", "cube", "measured"]))
    if how == "cube":
        height = width
        if {left, left + width} & {210} or {bottom, bottom + height} & {150}:
            width += 3
    return {
        "kind": "box", "name": name, "left": left, "bottom": bottom, "width": width, "height": height,
        "depth_by": how, "depth": draw(st.floats(1.0, 4.0)), "look": draw(LOOKS),
    }  # fmt: skip
