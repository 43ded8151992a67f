"""A thing where it stands: one object for the same values in the same place; nothing remembered of other sheets."""

import pytest

from conftest import box, exercise_of
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare, setting_of
from orthopsis.core.things.registry import KINDS
from orthopsis.core.things.standing import Standing, Unheld


def _two_sheets_with_one_crate() -> list[dict[str, tuple[float, float]]]:
    crate = box("Crate", 60, 40, 60, 60, depth_by="cube")
    return [
        picture(solve(prepare(exercise_of(*things)))).vanishing_points
        for things in ([crate], [crate, box("B", 260, 40, 40, 40)])
    ]


def test_a_thing_drawn_before_on_another_sheet_brings_the_same_points() -> None:
    first, second = _two_sheets_with_one_crate()
    assert "point left distance" in first
    assert first == second


def test_the_same_values_in_the_same_place_are_one_object() -> None:
    one, two = (prepare(exercise_of(box("Crate", 60, 40, 60, 50))).things[0] for _ in range(2))
    assert one.standing is two.standing
    moved = prepare(exercise_of(box("Crate", 61, 40, 60, 50))).things[0]
    assert moved.standing is not one.standing
    assert moved.standing.solid is moved.standing.solid


def test_what_cannot_be_drawn_refuses_each_time_it_is_asked() -> None:
    placed = prepare(exercise_of(box("Crate", 60, 40, 60, 50, depth_by="measured", depth=900))).things[0]
    for _ in range(2):
        with pytest.raises(GeometryError, match="longer than its guide line"):
            _ = placed.standing.solid


def test_on_a_face_that_is_not_drawn_there_is_nothing_but_a_sentence() -> None:
    on = {"kind": "division", "name": "Boards", "view": "point", "joined_to": "Crate", "joined_by": "face_top"}
    high = box("Crate", 60, 200, 60, 50)
    standing = prepare(exercise_of(high, on)).things[1].standing
    assert isinstance(standing, Unheld)
    assert standing.sentence == KINDS["division"].in_view["one_point"].sentence
    assert (standing.recipe, standing.solid.edges, standing.handles) == ((), (), {})
    assert not [line for line in draw(exercise_of(high, on)).lines if line.thing == "Boards"]


@pytest.mark.parametrize("document", READY, ids=lambda d: str(d["title"]))
def test_every_handle_lies_where_its_drag_would_leave_it(document: dict[str, object]) -> None:
    """Dropping a handle where it is changes no measure by more than the ruler's rounding can."""
    for placed in prepare(read_exercise(document)).things:
        division = placed.setting.sheet.division_mm
        for name, handle in placed.standing.handles.items():
            for changed, value in handle.drag(handle.at).items():
                held = placed.values.held.get(changed)
                if (
                    isinstance(value, float)
                    and isinstance(held, float)
                    and placed.values.held.get(f"{changed}_by", "measured") == "measured"
                ):
                    assert abs(value - held) <= division, (placed.values.name, name, changed)


def test_a_kind_of_thing_says_how_a_new_one_lands_in_each_view() -> None:
    for kind in KINDS.values():
        for view, how in kind.in_view.items():
            assert issubclass(how, Standing)
            setting = setting_of(exercise_of(views=[_VIEWS[view]]))
            fresh = how.place(setting, 0)
            assert set(fresh) <= {p.name for p in kind.parameters}


_VIEWS = {
    "one_point": {"kind": "one_point", "x_mm": 210.0, "distance_mm": 300.0},
    "two_point": {"kind": "two_point", "left_mm": -40.0, "right_mm": 460.0},
    "three_point": {
        "kind": "three_point", "left_mm": -40.0, "right_mm": 460.0, "third_x_mm": 210.0, "third_y_mm": -500.0,
    },
}  # fmt: skip
