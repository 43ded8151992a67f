"""Houses and their roofs."""

from typing import Any

from hypothesis import assume
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.things.gable import GABLE_ROOF
from orthopsis.core.things.hip.at_edge import HIGH, OVER
from scenes.alone import exercises
from scenes.base import VIEWS, faces_of, is_unheld, views_of


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
    return exercise_of(exercise.things[0].model_dump(mode="json"), roof, views=views_of(exercise))


@st.composite
def topped(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box with a gable roof, and on a slope of it a chimney or a dormer."""
    exercise = draw(roofed(views=views))
    house, roof = (thing.model_dump(mode="json") for thing in exercise.things)
    roof |= {"rise": draw(st.floats(15.0, 80.0)), "far_by": "slope"}
    made = exercise_of(house, roof, views=views_of(exercise))
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
    return exercise_of(house, roof, upon, views=views_of(exercise))


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
    roofed = exercise_of(exercise.things[0].model_dump(mode="json"), roof, views=views_of(exercise))
    assume(not is_unheld(roofed))
    return roofed


@st.composite
def leaning(
    draw: Any, views: tuple[str, ...] = ("one_point", "two_point", "two_point_free", "from_above", "from_below")
) -> Exercise:
    """Return two boxes anywhere, one with a gable roof, the other with a lean-to that runs with that."""
    exercise = draw(exercises(least=2, most=2, views=views))
    walls = sorted(key for key, panel in faces_of(exercise).items() if GABLE_ROOF.can_lie_on(panel))
    assume(walls)
    gable = {
        "kind": "gable_roof", "name": "Gable", "joined_to": "Box 1", "far_by": "slope",
        "joined_by": f"face_{draw(st.sampled_from(walls))}", "rise": draw(st.floats(4.0, 60.0)),
    }  # fmt: skip
    lean = {
        "kind": "lean_to", "name": "Roof", "joined_to": "Box 2", "joined_by": "face_top", "pitch": "with_roof",
        "over": draw(st.sampled_from(sorted(OVER))), "high": draw(st.sampled_from(sorted(HIGH))),
    }  # fmt: skip
    boxes = [thing.model_dump(mode="json") for thing in exercise.things]
    made = exercise_of(*boxes, *draw(st.permutations([gable, lean])), views=views_of(exercise))
    assume(not is_unheld(made))
    return made


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
    made = exercise_of(*things, views=views_of(exercise))
    assume(not is_unheld(made))
    return made
