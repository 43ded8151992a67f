"""Random exercises in every kind of view, for property tests."""

from typing import Any

from hypothesis import assume
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.construct.panel import Panel
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import AGREE_MM
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.bench.bench import LEGS, SEATS
from orthopsis.core.things.gable import GABLE_ROOF
from orthopsis.core.things.hip.lean import HIGH, OVER
from orthopsis.core.things.letters.alphabet import ALPHABET
from orthopsis.core.things.outline import scaled
from orthopsis.core.things.pattern.designs import DESIGNS, EACH
from orthopsis.core.things.profile.shapes import READY
from orthopsis.core.things.road.side_street import BRANCHES
from orthopsis.core.things.round_body.shape import FORMS as ROUND_FORMS
from orthopsis.core.things.round_body.shape import INSIDE, NARROW
from orthopsis.core.things.silhouette.outlines import OUTLINES
from orthopsis.core.things.silhouette.shape import SHARES, TALL_BY
from orthopsis.core.things.standing import Unheld
from orthopsis.core.things.table.shape import LEGS as TABLE_LEGS

Place = tuple[float, float]


def assert_same_point(one: Place, other: Place, what: str = "") -> None:
    """The one way in which two page points are compared."""
    gap = ((one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2) ** 0.5
    assert gap <= AGREE_MM, f"{what}: {one} and {other} are {gap:.5f} mm apart"


VIEWS: dict[str, dict[str, Any]] = {
    "one_point": {"kind": "one_point", "x_mm": 210.0, "distance_mm": 300.0},
    "two_point": {"kind": "two_point", "left_mm": -90.0, "right_mm": 480.0, "centre_mm": 200.0},
    "two_point_free": {"kind": "two_point", "left_mm": 0.0, "right_mm": 420.0},
    "from_above": {
        "kind": "three_point", "left_mm": -90.0, "right_mm": 500.0, "third_x_mm": 190.0, "third_y_mm": -260.0,
    },
    "from_below": {
        "kind": "three_point", "left_mm": -80.0, "right_mm": 480.0, "third_x_mm": 220.0, "third_y_mm": 560.0,
    },
    "obtuse": {"kind": "three_point", "left_mm": -80.0, "right_mm": 480.0, "third_x_mm": 220.0, "third_y_mm": -30.0},
}  # fmt: skip
# A word whose letters stand apart, in one point; a word around the corner of a block.
ROW = {
    "kind": "letters",
    "name": "Knot",
    "text": "KNOT",
    "left": 30,
    "bottom": 30,
    "width": 50,
    "height": 60,
    "gap": 10,
}
CORNER = {
    **ROW, "layout": "corner", "left": 215, "bottom": 40, "height": 140, "left_by": "measured", "left_length": 110,
    "right_by": "measured", "right_length": 120, "slice": 15,
}  # fmt: skip
DECK = {
    "kind": "box", "name": "Deck", "left": 200.0, "bottom": 30.0, "height": 8.0, "left_by": "measured",
    "left_length": 120.0, "right_by": "measured", "right_length": 150.0,
}  # fmt: skip


def deck_in(view: str) -> dict[str, Any]:
    """Return a low box with a broad top, on which other things stand, for a kind of view."""
    if view == "two_point":
        return DECK
    if view == "one_point":
        return box("Deck", 40.0, 20.0, 150.0, 10.0, depth_by="measured", depth=90.0)
    return {**DECK, "bottom": 100.0, "left_length": 70.0, "right_length": 80.0}


LOOKS = st.sampled_from(["solid", "see_through", "open"])


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


WAYS = ("diagonal", "measuring", "page", "eye", "repeat_near", "repeat_far")


@st.composite
def divided(draw: Any) -> Exercise:
    """Return a box anywhere with a division on a face of it that is drawn, in one of the ways there are."""
    exercise = draw(exercises(most=1))
    faces = sorted(drawn_faces_of(exercise))
    assume(faces)
    way = draw(st.sampled_from(WAYS))
    along, up = draw(st.sampled_from(["1", "2", "3", "7"])), draw(st.sampled_from(["1", "2", "5", "2:1:3"]))
    if way in ("diagonal", "measuring", "page", "eye"):
        along = draw(st.sampled_from([along, "1:2", "3:1:1"]))
    thing = {"kind": "division", "name": "Parts", "joined_to": "Box 1", "way": way, "along": along, "up": up}
    lies = {"joined_by": f"face_{draw(st.sampled_from(faces))}", "bay": draw(st.floats(1.0, 30.0))}
    return exercise_of(exercise.things[0].model_dump(mode="json"), {**thing, **lies}, views=_views(exercise))


METRIC = ("one_point", "two_point", "from_above", "from_below")


@st.composite
def tiled(draw: Any, views: tuple[str, ...] = METRIC) -> Exercise:
    """Return a box anywhere with square tiles on its top or its underside."""
    exercise = draw(exercises(most=1, views=views))
    levels = sorted(set(drawn_faces_of(exercise)) & {"top", "bottom"})
    assume(levels)
    tiles = {
        "kind": "division", "name": "Tiles", "joined_to": "Box 1", "joined_by": f"face_{draw(st.sampled_from(levels))}",
        "way": "tiles", "bay": draw(st.floats(3.0, 40.0)), "fields": draw(st.sampled_from(["plain", "checkered"])),
        "stays": draw(st.sampled_from(["lines", "light"])),
    }  # fmt: skip
    return exercise_of(exercise.things[0].model_dump(mode="json"), tiles, views=_views(exercise))


@st.composite
def patterned(draw: Any) -> Exercise:
    """Return a word, a shape or a box with a pattern on a face of it."""
    exercise = draw(words(looks=("solid",)) | laid_out() | profiles(looks=("solid",)) | exercises(most=1))
    faces = sorted(drawn_faces_of(exercise))
    assume(faces)
    host = exercise.things[0]
    pattern = {
        "kind": "pattern", "name": "Pattern", "joined_to": host.name, "design": draw(st.sampled_from([*DESIGNS, EACH])),
        "joined_by": f"face_{draw(st.sampled_from(faces))}", "along": str(draw(st.integers(1, 9))),
        "up": str(draw(st.integers(1, 9))),
    }  # fmt: skip
    return exercise_of(host.model_dump(mode="json"), pattern, views=_views(exercise))


@st.composite
def roofed(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere with a gable roof over a wall that shows."""
    exercise = draw(exercises(most=1, views=views))
    walls = sorted(key for key, panel in faces_of(exercise).items() if GABLE_ROOF.can_lie_on(panel))
    assume(walls)
    roof = {
        "kind": "gable_roof", "name": "Roof", "joined_to": "Box 1", "joined_by": f"face_{draw(st.sampled_from(walls))}",
        "rise": draw(st.floats(2.0, 60.0)), "far_by": draw(st.sampled_from(["slope", "middle"])),
    }  # fmt: skip
    return exercise_of(exercise.things[0].model_dump(mode="json"), roof, views=_views(exercise))


@st.composite
def topped(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box with a gable roof, and on a slope of it a chimney or a dormer."""
    exercise = draw(roofed(views=views))
    house, roof = (thing.model_dump(mode="json") for thing in exercise.things)
    roof |= {"rise": draw(st.floats(15.0, 80.0)), "far_by": "slope"}
    made = exercise_of(house, roof, views=_views(exercise))
    slopes = sorted(faces_of(made, 1))
    assume(slopes)
    part = st.sampled_from(["2:1:2", "1:1:1", "1:2:3", "0:1:3", "4:1:1"])
    upon = {
        "kind": draw(st.sampled_from(["chimney", "dormer"])), "name": "Upon", "joined_to": "Roof",
        "joined_by": f"face_{draw(st.sampled_from(slopes))}", "along": draw(part), "up": draw(part),
    }  # fmt: skip
    if upon["kind"] == "chimney":
        upon |= {"rise": draw(st.floats(8.0, 90.0))}
    else:
        upon |= {"roof": draw(st.sampled_from(["gable", "flat"])), "peak": draw(st.floats(1.0, 12.0))}
    return exercise_of(house, roof, upon, views=_views(exercise))


@st.composite
def hipped(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere with a hip roof, a pyramid or a lean-to on its top, seen or not."""
    exercise = draw(exercises(most=1, views=views))
    roof = {"name": "Roof", "joined_to": "Box 1", "joined_by": "face_top", "rise": draw(st.floats(2.0, 60.0))}
    if draw(st.booleans()):
        roof |= {"kind": "hip_roof", "ridge": draw(st.sampled_from(["ridge", "tip"]))}
    else:
        roof |= {
            "kind": draw(st.sampled_from(["lean_to", "half_pyramid"])),
            "high": draw(st.sampled_from(sorted(HIGH))),
            "over": draw(st.sampled_from(sorted(OVER))),
        }
    roofed = exercise_of(exercise.things[0].model_dump(mode="json"), roof, views=_views(exercise))
    assume(not _is_unheld(roofed))
    return roofed


@st.composite
def eaved(draw: Any, views: tuple[str, ...] = tuple(VIEWS), roofs: tuple[bool, ...] = (False, True)) -> Exercise:
    """Return a box anywhere with eaves, alone or under a hip roof."""
    exercise = draw(exercises(most=1, views=views))
    eaves = {
        "kind": "eaves", "name": "Eaves", "joined_to": "Box 1", "joined_by": "face_top",
        "over": draw(st.floats(1.0, 14.0)), "thick": draw(st.floats(1.0, 9.0)),
    }  # fmt: skip
    things = [exercise.things[0].model_dump(mode="json"), eaves]
    if draw(st.sampled_from(roofs)):
        over = {"kind": "hip_roof", "name": "Roof", "joined_to": "Eaves", "joined_by": "face_top"}
        things.append({**over, "rise": draw(st.floats(4.0, 60.0))})
    made = exercise_of(*things, views=_views(exercise))
    assume(not _is_unheld(made))
    return made


@st.composite
def raised(draw: Any, views: tuple[str, ...] = tuple(VIEWS), more: tuple[str, ...] = ("", "roof", "wall")) -> Exercise:
    """Return a box anywhere, a block raised on its top, and on that nothing, a hip roof, or windows on a wall."""
    exercise = draw(exercises(most=1, views=views))
    host = exercise.things[0].model_dump(mode="json")
    assume("top" in drawn_faces_of(exercise))
    part = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "0:1:0", "3:2:5"])
    block = {
        "kind": "raised_block", "name": "Upon", "joined_to": "Box 1", "joined_by": "face_top",
        "along": draw(part), "up": draw(part), "rise": draw(st.floats(2.0, 90.0)),
        "reach": draw(st.sampled_from(["measured", "edge"])),
    }  # fmt: skip
    things, over = [host, block], draw(st.sampled_from(more))
    made = exercise_of(*things, views=_views(exercise))
    walls = sorted(set(faces_of(made, 1)) - {"top"})
    if over == "roof":
        things.append({"kind": "hip_roof", "name": "Over", "joined_to": "Upon", "joined_by": "face_top", "rise": 20.0})
    elif over == "wall" and walls:
        wall = draw(st.sampled_from(walls))
        kind = draw(st.sampled_from([{"kind": "rectangles", "columns": "2"}, {"kind": "gable_roof", "rise": 18.0}]))
        things.append({**kind, "name": "Over", "joined_to": "Upon", "joined_by": f"face_{wall}"})
    made = exercise_of(*things, views=_views(exercise))
    assume(not _is_unheld(made))
    return made


@st.composite
def tables(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free", "from_above")) -> Exercise:
    """Return a box anywhere whose top is seen, and a table on it."""
    exercise = draw(exercises(most=1, views=views))
    assume("top" in drawn_faces_of(exercise))
    part, rise = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "3:2:5"]), draw(st.floats(6.0, 80.0))
    table = {
        "kind": "table", "name": "Table", "joined_to": "Box 1", "joined_by": "face_top", "along": draw(part),
        "up": draw(part), "rise": rise, "thick": draw(st.floats(0.5, rise - 2.0)),
        "legs": draw(st.sampled_from(sorted(TABLE_LEGS))), "reach": draw(st.sampled_from(["measured", "edge"])),
    }  # fmt: skip
    made = exercise_of(exercise.things[0].model_dump(mode="json"), table, views=_views(exercise))
    assume(not _is_unheld(made))
    return made


@st.composite
def round_bodies(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere whose top is seen, a round body on it, and perhaps another one on that."""
    exercise = draw(exercises(most=1, views=views))
    assume("top" in drawn_faces_of(exercise))
    things, part = [exercise.things[0].model_dump(mode="json")], st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "0:1:0"])
    for number, host in enumerate(["Box 1", "Round 0"][: draw(st.integers(1, 2))]):
        place = {"name": f"Round {number}", "joined_to": host, "joined_by": "face_top"}
        form = {"form": draw(st.sampled_from(sorted(ROUND_FORMS))), "narrow": draw(st.sampled_from(sorted(NARROW)))}
        inside = draw(st.sampled_from(sorted(INSIDE)))
        size = {"along": draw(part), "up": draw(part), "rise": draw(st.floats(4.0, 80.0))}
        things.append({"kind": "round_body", **place, **form, **size, "inside": inside})
    made = exercise_of(*things, views=_views(exercise))
    assume(not _is_unheld(made))
    return made


@st.composite
def suns(draw: Any) -> dict[str, Any]:
    """Return where the sun of a sheet stands, as fields of the document."""
    stands = draw(st.sampled_from(["beside", "ahead", "behind"]))
    place = {"aside_mm": draw(st.floats(0.0, 250.0)), "height_mm": draw(st.floats(40.0, 500.0))}
    side = {"light": draw(st.sampled_from(["left", "right"])), "rays": draw(st.sampled_from(["30", "45", "60"]))}
    return {**side, "sun": {"stands": stands, **place}}


@st.composite
def shadowed(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a box on the ground, or a block on that, and its shadow."""
    exercise = draw(exercises(most=1, views=views))
    box = exercise.things[0]
    assume(box.bottom < exercise.eye_level.height_mm - 5 and "bottom" in faces_of(exercise))
    things, host = [box.model_dump(mode="json")], "Box 1"
    if draw(st.booleans()) and "top" in drawn_faces_of(exercise):
        part, host = st.sampled_from(["1:2:1", "0:3:1", "3:2:5"]), "Upon"
        place = {"name": host, "joined_to": "Box 1", "joined_by": "face_top", "along": draw(part), "up": draw(part)}
        things.append({"kind": "raised_block", **place, "rise": draw(st.floats(4.0, 60.0))})
    things.append({"kind": "shadow", "name": "Shadow", "joined_to": host, "joined_by": "face_ground"})
    made = exercise_of(*things, views=_views(exercise), **draw(suns()))
    assume(not _is_unheld(made))
    return made


@st.composite
def round_shadowed(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a box anywhere whose top is seen, a round body on it, and the shadow of that."""
    exercise = draw(round_bodies(views=views))
    things = [thing.model_dump(mode="json") for thing in exercise.things[:2]]
    shadow = {"kind": "shadow", "name": "Shadow", "joined_to": "Round 0", "joined_by": "face_ground"}
    made = exercise_of(*things[:1], {**things[1], "joined_to": "Box 1"}, shadow, views=_views(exercise), **draw(suns()))
    assume(not _is_unheld(made))
    return made


@st.composite
def flights(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return a box anywhere whose top is seen, and stairs on it."""
    exercise = draw(exercises(most=1, views=views))
    assume("top" in drawn_faces_of(exercise))
    part = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "3:2:5"])
    stairs = {
        "kind": "stairs", "name": "Stairs", "joined_to": "Box 1", "joined_by": "face_top", "along": draw(part),
        "up": draw(part), "rise": draw(st.floats(6.0, 120.0)), "steps": str(draw(st.integers(2, 7))),
        "climbs": draw(st.sampled_from(["along", "up"])), "reach": draw(st.sampled_from(["measured", "edge"])),
    }  # fmt: skip
    made = exercise_of(exercise.things[0].model_dump(mode="json"), stairs, views=_views(exercise))
    assume(not _is_unheld(made))
    return made


@st.composite
def rooms(draw: Any, more: int = 2) -> Exercise:
    """Return a room that one looks into, and on its faces blocks, windows, niches and boards."""
    left, bottom = draw(st.integers(10, 120)), draw(st.integers(10, 90))
    room = {
        "kind": "room", "name": "Room", "left": left, "bottom": bottom,
        "width": draw(st.integers(220 - left, 400 - left)), "height": draw(st.integers(160 - bottom, 285 - bottom)),
        "depth_by": draw(st.sampled_from(["measured", "half"])), "depth": draw(st.floats(5.0, 120.0)),
        "depth_corner": draw(st.sampled_from(["auto", "bottom_left", "top_right"])),
    }  # fmt: skip
    part, things = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "1:5:2"]), [room]
    for number in range(draw(st.integers(0, more))):
        place = {"name": f"Thing {number}", "joined_to": "Room", "along": draw(part), "up": draw(part)}
        if draw(st.booleans()):
            reach = {"reach": draw(st.sampled_from(["measured", "ceiling"]))}
            block = {"kind": "raised_block", "joined_by": "face_floor", "rise": draw(st.floats(3.0, 60.0))}
            things.append({**place, **block, **reach})
        else:
            face = draw(st.sampled_from(["floor", "ceiling", "left_wall", "right_wall", "back_wall"]))
            flat = {"kind": "rectangles", "joined_by": f"face_{face}", "columns": draw(st.sampled_from(["1", "2"]))}
            relief = {
                "relief": draw(st.sampled_from(["flat", "in", "out", "open"])),
                "deep": draw(st.floats(1.0, 12.0)),
            }
            things.append({**place, **flat, **relief})
    made = exercise_of(*things, views=[VIEWS["one_point"]])
    assume(not _is_unheld(made))
    return made


@st.composite
def corner_rooms(draw: Any, more: int = 2) -> Exercise:
    """Return a room about its back corner, and on its faces blocks, windows, niches and boards."""
    view = draw(st.sampled_from(["two_point", "two_point_free"]))
    room = {
        "kind": "room", "name": "Room", "left": draw(st.integers(150, 280)), "bottom": draw(st.integers(60, 140)),
        "height": draw(st.integers(20, 150)), "left_length": draw(st.floats(10.0, 120.0)),
        "right_length": draw(st.floats(10.0, 120.0)), "ceiling": draw(st.sampled_from(["none", "drawn"])),
    }  # fmt: skip
    part, things = st.sampled_from(["1:2:1", "0:3:1", "2:1:0", "1:5:2"]), [room]
    for number in range(draw(st.integers(0, more))):
        place = {"name": f"Thing {number}", "joined_to": "Room", "along": draw(part), "up": draw(part)}
        if draw(st.booleans()):
            reach = {"reach": draw(st.sampled_from(["measured", "ceiling"]))}
            block = {"kind": "raised_block", "joined_by": "face_floor", "rise": draw(st.floats(3.0, 60.0))}
            things.append({**place, **block, **reach})
        else:
            face = draw(st.sampled_from(["floor", "left_wall", "right_wall"]))
            relief = {
                "relief": draw(st.sampled_from(["flat", "in", "out", "open"])),
                "deep": draw(st.floats(1.0, 12.0)),
            }
            things.append({**place, "kind": "rectangles", "joined_by": f"face_{face}", "columns": "1", **relief})
    made = exercise_of(*things, views=[VIEWS[view]])
    assume(not _is_unheld(made))
    return made


@st.composite
def roads(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free", "from_above")) -> Exercise:
    """Return an exercise with a road over the ground and a box that may stand on it."""
    view = draw(st.sampled_from(views))
    boxes = _front_boxes if view == "one_point" else _corner_boxes
    road = {
        "kind": "road",
        "name": "Road",
        "left": draw(st.integers(0, 260)) + 0.37,
        "bottom": draw(st.sampled_from([0, 0, 12.5, 40])),
        "width": draw(st.integers(10, 160)),
        "to": draw(st.sampled_from(["left", "right"])),
        "dashes": draw(st.sampled_from(["none", "2", "5"])),
        "dash": draw(st.integers(2, 20)),
        "dashes_by": draw(st.sampled_from(["diagonal", "eye"])),
        "crossing": draw(st.sampled_from(["none", "3", "6"])),
        "cross_at": draw(st.integers(5, 30)),
        "cross_deep": draw(st.integers(2, 12)),
        "branch": draw(st.sampled_from(sorted(BRANCHES))),
        "branch_at": draw(st.integers(5, 40)),
        "branch_deep": draw(st.integers(2, 20)),
    }
    if draw(st.booleans()):  # a pavement has room on the sheet
        road |= {
            "beside": "both",
            "branch": "none",
            "left": draw(st.integers(30, 180)),
            "pave": draw(st.integers(3, 30)),
            "kerb": 3,
        }
    return exercise_of(road, draw(boxes("Box 1", view)), views=[VIEWS[view]])


@st.composite
def tracks(draw: Any) -> Exercise:
    """Return an exercise with rails to the point and a box that may stand on them."""
    rails = {
        "kind": "rails",
        "name": "Rails",
        "left": draw(st.integers(40, 220)) + 0.37,
        "bottom": draw(st.integers(8, 60)) + 0.41,
        "gauge": draw(st.integers(20, 100)),
        "rail": draw(st.integers(2, 12)),
        "high": draw(st.integers(1, 12)),
        "out": draw(st.integers(2, 30)),
        "sleepers": draw(st.sampled_from(["2", "3", "7"])),
        "deep": draw(st.integers(1, 7)),
        "pitch": draw(st.integers(8, 20)),
        "thick": draw(st.integers(1, 6)),
    }
    return exercise_of(rails, draw(_front_boxes("Box 1", "one_point")), views=[VIEWS["one_point"]])


@st.composite
def silhouettes(draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free")) -> Exercise:
    """Return an exercise with trees, people, boats or posts, and a box that may stand among them."""
    view = draw(st.sampled_from(views))
    boxes = _front_boxes if view == "one_point" else _corner_boxes
    row = {
        "kind": "silhouettes",
        "name": "Row",
        "left": draw(st.integers(0, 200)) + 0.37,
        "bottom": draw(st.integers(0, 100)) + 0.41,
        "what": draw(st.sampled_from(sorted(OUTLINES))),
        "tall_by": draw(st.sampled_from(sorted(TALL_BY))),
        "height": draw(st.integers(10, 160)),
        "share": draw(st.sampled_from(sorted(SHARES))),
        "count": draw(st.sampled_from(["1", "2", "3", "6"])),
        "gap": draw(st.integers(3, 20)),
        "spaced": draw(st.sampled_from(["diagonal", "eye"])),
        "to": draw(st.sampled_from(["left", "right"])),
    }
    return exercise_of(row, draw(boxes("Box 1", view)), views=[VIEWS[view]])


@st.composite
def rows(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere with a row of copies going away from it."""
    exercise = draw(exercises(most=1, views=views))
    ways = {"one_point": ["in_line"]}.get(exercise.views[0].kind, ["in_line_left", "in_line_right"])
    row = {
        "kind": "row", "name": "Row", "joined_to": "Box 1", "joined_by": draw(st.sampled_from(ways)),
        "gap_mm": draw(st.floats(5.0, 60.0)), "count": draw(st.sampled_from(["2", "3", "5"])),
        "way": draw(st.sampled_from(["diagonal", "measured", "eye"])),
    }  # fmt: skip
    return exercise_of(exercise.things[0].model_dump(mode="json"), row, views=_views(exercise))


@st.composite
def windowed(
    draw: Any, reliefs: tuple[str, ...] = ("flat", "out", "in"), forms: tuple[str, ...] = ("rectangle",)
) -> Exercise:
    """Return a box anywhere with forms on a face of it, also a hidden one."""
    exercise = draw(exercises(most=1))
    faces = sorted(faces_of(exercise))
    assume(faces)
    ratio = st.sampled_from(["1:6:1", "0:1:0", "2:3:1", "0:2:1"])
    sizes = st.sampled_from(["whole", "three_quarters", "half", "third"])
    windows = {
        "kind": "rectangles", "name": "Windows", "joined_to": "Box 1", "along": draw(ratio), "up": draw(ratio),
        "joined_by": f"face_{draw(st.sampled_from(faces))}", "columns": draw(st.sampled_from(["1", "2", "5"])),
        "rows": draw(st.sampled_from(["1", "3"])), "wide": draw(sizes), "tall": draw(sizes),
        "spread": draw(st.sampled_from(["parts", "ends"])), "relief": draw(st.sampled_from(reliefs)),
        "deep": draw(st.floats(1.0, 12.0)), "form": draw(st.sampled_from(forms)),
        "points": draw(st.sampled_from(["eight", "twelve"])),
    }  # fmt: skip
    made = exercise_of(exercise.things[0].model_dump(mode="json"), windows, views=_views(exercise))
    assume(not _is_unheld(made))
    return made


def _is_unheld(exercise: Exercise) -> bool:
    """Tell whether a thing hangs on nothing, such as a hidden face whose lines cross too flat to be drawn."""
    try:
        return any(isinstance(placed.standing, Unheld) for placed in prepare(exercise).things)
    except GeometryError:
        return False


def solved(exercise: Exercise) -> Solved:
    """Return it solved, or skip an example that cannot be drawn."""
    try:
        return solve(prepare(exercise))
    except GeometryError:
        assume(False)
        raise


def faces_of(exercise: Exercise, index: int = 0) -> dict[str, Panel]:
    """Return the faces of a thing, the first one, on which others can lie; nothing where it cannot be drawn."""
    try:
        placed = prepare(exercise).things[index]
        return {key: panel for key, panel in placed.standing.faces.items() if not panel.is_ground}
    except GeometryError:
        return {}


def drawn_faces_of(exercise: Exercise) -> list[str]:
    """Return the faces of the first thing whose edges are drawn."""
    return [key for key, panel in faces_of(exercise).items() if panel.is_drawn]


def _views(exercise: Exercise) -> list[dict[str, Any]]:
    return [view.model_dump(mode="json") for view in exercise.views]
