"""What lies on faces: divisions, tiles, patterns, windows."""

from typing import Any

from hypothesis import assume
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.things.figure.figure import READY as READY_FIGURES
from orthopsis.core.things.outline import scaled
from orthopsis.core.things.pattern.designs import DESIGNS, EACH
from scenes.alone import exercises, laid_out, profiles, words
from scenes.base import VIEWS, drawn_faces_of, faces_of, is_unheld, views_of

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
    return exercise_of(exercise.things[0].model_dump(mode="json"), {**thing, **lies}, views=views_of(exercise))


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
    return exercise_of(exercise.things[0].model_dump(mode="json"), tiles, views=views_of(exercise))


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
    return exercise_of(host.model_dump(mode="json"), pattern, views=views_of(exercise))


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
        "points": draw(st.sampled_from(["eight", "twelve"])), "beside": draw(st.sampled_from(["nothing", "shutters"])),
        "bars": draw(st.sampled_from(["none", "cross"])),
    }  # fmt: skip
    made = exercise_of(exercise.things[0].model_dump(mode="json"), windows, views=views_of(exercise))
    assume(not is_unheld(made))
    return made


FIGURES = {name: scaled(outline, 60.0, 60.0) for name, outline in READY_FIGURES.items()}


@st.composite
def figured(draw: Any, views: tuple[str, ...] = tuple(VIEWS)) -> Exercise:
    """Return a box anywhere with a figure on a face of it that is drawn: flat, standing out, sunk in, or through."""
    exercise = draw(exercises(most=1, views=views))
    faces = sorted(drawn_faces_of(exercise))
    assume(faces)
    part = st.sampled_from(["1:2:1", "1:6:1", "2:3:5", "0:1:2"])
    figure = {
        "kind": "figure", "name": "Mark", "joined_to": "Box 1", "joined_by": f"face_{draw(st.sampled_from(faces))}",
        "outline": FIGURES[draw(st.sampled_from(sorted(FIGURES)))], "along": draw(part), "up": draw(part),
        "relief": draw(st.sampled_from(["flat", "out", "in", "through"])), "deep": draw(st.floats(0.5, 20.0)),
    }  # fmt: skip
    return exercise_of(exercise.things[0].model_dump(mode="json"), figure, views=views_of(exercise))
