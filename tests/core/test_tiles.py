"""Square tiles on level faces: both routes, that they are square in truth, how they fade, bad input."""

from typing import Any

import cv2
import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from numpy.typing import NDArray
from scenes import METRIC, VIEWS, assert_same_point, solved, tiled

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import drag, set_at, type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw

Places = NDArray[np.float64]
TILES = {"kind": "division", "name": "Tiles", "joined_to": "Pier", "joined_by": "face_top", "way": "tiles"}
SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]


def pier(view: str = "one_point", tile: float = 20.0, face: str = "top", **tiles: Any) -> Exercise:
    """A pier with a tiled top."""
    if view == "one_point":
        host = box("Pier", 120.0, 40.0, 100.0, 20.0, depth_by="measured", depth=30.0)
    else:
        host = {**box("Pier", 200.0, 60.0, 10.0, 14.0), "left_by": "measured", "left_length": 60.0,
                "right_by": "measured", "right_length": 66.0}  # fmt: skip
    return exercise_of(host, {**TILES, "joined_by": f"face_{face}", "bay": tile, **tiles}, views=[VIEWS[view]])


def lattice(found: Solved) -> dict[tuple[int, int], tuple[float, float]]:
    """The crossings of the tiles' lines on the page that the hand has drawn, by whole tiles along and up."""
    ends = found.prepared.by_name["Tiles"].standing.ends  # type: ignore[attr-defined]
    points, panel = found.board.points, found.prepared.by_name["Tiles"].standing.panel
    place = {(0, 0): points[panel.low].xy}
    place |= {(i, 0): points[f"Tiles.foot.{i}"].xy for i in range(1, len(ends.along) + 1)}
    place |= {(0, j): points[f"Tiles.start.{j}"].xy for j in range(1, len(ends.up) + 1)}
    return place


def on_level(found: Solved, page: list[tuple[float, float]], through: tuple[float, float]) -> Places:
    """Where lines of sight through page places meet the level plane through one of them: in the world, mm.

    The eye's own place is taken from its frame; which way is up follows from where uprights vanish.
    """
    eye, up = found.seen[0].eye, found.prepared.frames[0].way("up").goal
    x, y = eye.principal.xy
    normal = np.array([0.0, 1.0, 0.0]) if up.is_ideal else np.array([up.x - x, up.y - y, eye.distance_mm])
    rays = np.column_stack((np.array(page) - [x, y], np.full(len(page), eye.distance_mm)))
    height = float((np.array([through[0] - x, through[1] - y, eye.distance_mm])) @ normal)
    return np.asarray(rays * (height / (rays @ normal))[:, None])


@settings(max_examples=150, suppress_health_check=SLOW)
@given(tiled())
def test_every_end_of_a_line_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, at in found.seen[1].solid.picture(found.seen[1].eye).items():
        assert_same_point(found.board.points[f"Tiles.{name}"].xy, at, name)


@settings(max_examples=150, suppress_health_check=SLOW)
@given(tiled())
def test_tiles_are_square_in_truth(exercise: Exercise) -> None:
    """Sighted from the page onto a level plane, all steps along both edges are equally long and at right angles.

    The long of it is what was measured at the corner: the plane is taken through that place of the page.
    """
    found = solved(exercise)
    at = lattice(found)
    corner = at[0, 0]
    world = dict(zip(at, on_level(found, list(at.values()), corner), strict=True))
    tile = exercise.things[1].bay  # type: ignore[attr-defined]
    for (i, j), place in world.items():
        assert np.linalg.norm(place - world[0, 0]) == pytest.approx(tile * max(i, j), rel=1e-6)
    if (1, 0) in world and (0, 1) in world:
        assert (world[1, 0] - world[0, 0]) @ (world[0, 1] - world[0, 0]) == pytest.approx(0.0, abs=1e-6 * tile**2)


@pytest.mark.parametrize("view", METRIC)
def test_one_mapping_of_planes_takes_them_all_to_squares(view: str) -> None:
    """OpenCV's homography from four corners of the first tile takes every other crossing to whole numbers."""
    face = "bottom" if view == "from_below" else "top"
    bottom = {"from_below": 200.0, "from_above": 100.0}.get(view, 60.0)
    found = solved(set_at(pier(view, 8.0, face), "things.0.bottom", bottom))
    at = lattice(found)
    eye, panel = found.seen[1].eye, found.prepared.by_name["Tiles"].standing.panel
    ends = found.prepared.by_name["Tiles"].standing.ends  # type: ignore[attr-defined]
    inner = eye.see(panel.places([(ends.along[0], ends.up[0])]))[0]
    four = np.array([at[0, 0], at[1, 0], inner, at[0, 1]], dtype=np.float64)
    flat, _ = cv2.findHomography(four, np.array([(0, 0), (1, 0), (1, 1), (0, 1)], dtype=np.float64))
    mapped = cv2.perspectiveTransform(np.array([list(at.values())]), flat)[0]
    assert len(at) > 6
    assert np.allclose(mapped, np.array(list(at)), atol=1e-3)


def test_their_diagonals_run_to_the_distance_point() -> None:
    """Viator's rule: diagonals of level squares vanish as far from the point as the eye is from the page."""
    found = solved(pier(tile=20.0))
    board, frame = found.board, found.prepared.frames[0]
    x, y = frame.way("away").goal.xy
    for k in (1, 2, 3):
        (x0, y0), (x1, y1) = board.points[f"Tiles.start.{k}"].xy, board.points[f"Tiles.foot.{k}"].xy
        slope = (y1 - y0) / (x1 - x0)
        assert x0 + (y - y0) / slope == pytest.approx(x - 300.0), "from the true edge back to the left: the left one"


@pytest.mark.parametrize("view", METRIC)
@pytest.mark.parametrize("fields", ["plain", "checkered"])
def test_a_finished_one_is_found_right_and_told(view: str, fields: str) -> None:
    face, bottom = ("bottom", 200.0) if view == "from_below" else ("top", 60.0)
    drawing = assert_found_right(set_at(pier(view, 12.0, face, fields=fields), "things.0.bottom", bottom))
    said = [step.text for step in drawing.steps if step.thing == "Tiles"]
    setup = " ".join(step.text for step in drawing.steps if not step.thing)
    assert ("distance point" if view == "one_point" else "measuring points") in setup
    assert any("12 mm" in text for text in said)
    assert not any("{" in text for text in said)
    assert ("every other tile" in said[-1]) == (fields == "checkered")


def test_one_line_is_not_enough_for_a_floor_that_is_deeper_than_wide() -> None:
    deep, wide = (
        [
            step
            for step in draw(set_at(pier(tile=tile), "things.0.depth", depth)).steps
            if "depth of the tiles" in step.title
        ]
        for tile, depth in ((50.0, 60.0), (10.0, 10.0))
    )
    assert "Begin again" in deep[0].text
    assert "Begin again" not in wide[0].text


def test_every_other_tile_is_dark_and_the_far_ones_are_lighter() -> None:
    deep = set_at(pier(tile=14.0, fields="checkered"), "things.0.depth", 60.0)
    drawing = draw(deep)
    tiles = [face for face in drawing.faces if face.thing == "Tiles"]
    lines = solved(deep).prepared.by_name["Tiles"].standing.ends  # type: ignore[attr-defined]
    count = (len(lines.along) + 1) * (len(lines.up) + 1)
    assert len(tiles) in (count // 2, count - count // 2)
    far_first = sorted(tiles, key=lambda face: -max(y for _, y in face.loops[0]))
    tones = [face.tone for face in far_first]
    assert tones == sorted(tones), "darker toward the viewer"
    assert tones[0] < tones[-1] == 3
    corners = [corner for face in tiles for corner in {(round(x, 6), round(y, 6)) for x, y in face.loops[0]}]
    assert max(corners.count(corner) for corner in corners) == 2, "dark tiles touch only at corners"


REFUSED = [
    (pier("two_point_free"), "no_distance", "way"),
    (pier(face="front"), "not_level", "way"),
    (pier(tile=1.5), "tiles_do_not_fit", "bay"),
    (pier(tile=140.0), "tiles_do_not_fit", "bay"),
    (set_at(pier("two_point", 14.0), "things.0.left", 60.0), "no_room_to_measure", "way"),
]


@pytest.mark.parametrize(
    ("exercise", "code", "about"), REFUSED, ids=[case[1] + str(i) for i, case in enumerate(REFUSED)]
)
def test_what_cannot_be_tiled_is_said_with_what_works(exercise: Exercise, code: str, about: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == (code, f"things.1.{about}")
    mended = type_at(exercise, f"things.1.{about}", refused.value.nearest or "")
    assert draw(mended).lines


def test_on_a_floor_without_depth_no_width_is_offered_but_another_way() -> None:
    """The back wall is dragged as near to the frame as it goes."""
    floor = read_exercise(next(r for r in READY if str(r["title"]).startswith("A checkered floor")))
    depth = next(handle for handle in draw(floor).handles if handle.id == "things.0.depth")
    shallow = drag(floor, "things.0.depth", depth.at[0] + 60.0, depth.at[1] - 60.0, snap=False)
    with pytest.raises(GeometryError) as refused:
        draw(shallow)
    assert (refused.value.code, refused.value.about) == ("tiles_do_not_fit", "things.1.way")
    assert "too narrow for square tiles" in refused.value.why
    assert draw(type_at(shallow, "things.1.way", refused.value.nearest)).lines


def test_choosing_tiles_takes_a_width_that_fits_and_it_is_dragged() -> None:
    counted = exercise_of(
        box("Pier", 120.0, 40.0, 100.0, 20.0, depth_by="measured", depth=30.0),
        {**TILES, "way": "halving"},
        views=[VIEWS["one_point"]],
    )
    chosen = type_at(counted, "things.1.way", "in square tiles")
    assert chosen.things[1].bay == pytest.approx(17.0)  # type: ignore[attr-defined]
    handle = next(handle for handle in draw(chosen).handles if handle.id == "things.1.bay")
    wider = drag(chosen, handle.id, handle.at[0] + 6.0, handle.at[1])
    assert wider.things[1].bay == pytest.approx(23.0)  # type: ignore[attr-defined]
