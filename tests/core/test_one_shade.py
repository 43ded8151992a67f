"""Shadows that lie over each other are one dark field: no edge of one is seen within the other."""

from typing import Any

import pytest
import shapely
from hypothesis import HealthCheck, assume, given, settings
from hypothesis import strategies as st
from scenes import VIEWS, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.exercise.solve import draw

SUNS: dict[str, dict[str, Any]] = {
    "beside": {"light": "left", "rays": "30"},
    "ahead": {"light": "left", "sun": {"stands": "ahead", "height_mm": 120.0, "aside_mm": 320.0}},
    "lamp": {"light": "left", "sun": {"stands": "lamp", "height_mm": 110.0, "aside_mm": 140.0, "foot_mm": 90.0}},
}


def posts(view: str, sun: str, *, apart: float = 24.0, farther: float = 6.0, names: str = "ab") -> Exercise:
    """Two blocks on one ground, and the shadows of those that are named."""
    if view == "one_point":
        first = box("a", 70.0, 40.0, 40.0, 60.0, depth_by="measured", depth=30.0)
        second = box("b", 110.0 + apart, 40.0 + farther, 24.0, 70.0, depth_by="measured", depth=20.0)
    else:
        sides = {"left_by": "measured", "left_length": 40.0, "right_by": "measured", "right_length": 30.0}
        first = {"kind": "box", "name": "a", "left": 150.0, "bottom": 40.0, "height": 60.0, **sides}
        second = {"kind": "box", "name": "b", "left": 180.0 + apart, "bottom": 44.0 + farther, "height": 66.0, **sides}
    on = {"kind": "shadow", "joined_by": "face_ground"}
    shadows = [{**on, "name": f"shadow of {name}", "joined_to": name} for name in names]
    return exercise_of(first, second, *shadows, views=[VIEWS[view]], **SUNS[sun])


def areas(exercise: Exercise) -> dict[str, shapely.Geometry]:
    """What each shadow covers of the page, by its own faces."""
    found = {}
    for seen, placed in zip(solved(exercise).seen, solved(exercise).prepared.things, strict=True):
        if placed.kind.kind == "shadow":
            page = seen.solid.picture(seen.eye)
            faces = [shapely.Polygon([page[name] for name in face.corners]) for face in seen.solid.faces]
            found[placed.values.name] = shapely.union_all(faces)
    return found


def edges(drawing: Drawing, name: str, *, visible: bool = True) -> list[shapely.LineString]:
    return [
        shapely.LineString([line.start, line.end])
        for line in drawing.lines
        if line.thing == name and line.role == "edge" and line.visible == visible
    ]


@pytest.mark.parametrize("sun", SUNS)
@pytest.mark.parametrize("view", ["one_point", "two_point"])
@settings(max_examples=25, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(st.floats(4.0, 60.0), st.floats(0.0, 24.0))
def test_what_is_seen_of_an_edge_lies_in_no_other_shadow(view: str, sun: str, apart: float, farther: float) -> None:
    exercise = posts(view, sun, apart=apart, farther=farther)
    covers, drawing = areas(exercise), draw(exercise)
    assume(shapely.area(shapely.intersection(*covers.values())) > 1.0)
    for name, area in covers.items():
        (other,) = (one for key, one in covers.items() if key != name)
        for edge in edges(drawing, name):
            assert shapely.length(shapely.intersection(edge, shapely.buffer(other, -0.1))) < 0.2, name
        assert shapely.area(area) > 0


@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_only_what_lies_within_the_other_one_is_taken_out(view: str) -> None:
    """What each shows alone, less the area of the other one, is what both show together."""
    both, covers = draw(posts(view, "beside")), areas(posts(view, "beside"))
    assert shapely.area(shapely.intersection(*covers.values())) > 1.0
    for name in "ab":
        alone = draw(posts(view, "beside", names=name))
        other = covers[f"shadow of {'ba'['ab'.index(name)]}"]
        left = sum(shapely.length(shapely.difference(edge, other)) for edge in edges(alone, f"shadow of {name}"))
        seen = sum(shapely.length(edge) for edge in edges(both, f"shadow of {name}"))
        assert seen == pytest.approx(left, abs=0.5)
        assert seen < sum(map(shapely.length, edges(alone, f"shadow of {name}"))) - 1.0


def test_shadows_apart_are_drawn_as_each_alone() -> None:
    far = {"apart": 190.0, "farther": 0.0}
    both = draw(posts("one_point", "beside", **far))
    for name in "ab":
        alone = draw(posts("one_point", "beside", names=name, **far))
        assert sorted(e.wkt for e in edges(both, f"shadow of {name}")) == sorted(
            e.wkt for e in edges(alone, f"shadow of {name}")
        )


@pytest.mark.parametrize(("apart", "is_said"), [(24.0, True), (190.0, False)])
def test_what_lies_inside_is_told_to_be_taken_away_where_there_is_such(apart: float, is_said: bool) -> None:
    (step,) = (s for s in draw(posts("one_point", "beside", apart=apart, farther=0.0)).steps if "take_away" in s.key)
    assert ("of a shadow inside another one" in step.text) == is_said
