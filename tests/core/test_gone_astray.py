"""Lines drawn the wrong way are found although readers cut them, join them or see bits of others in their place."""

import math

import pytest

from conftest import box, exercise_of
from orthopsis.core.check.answer import Checked
from orthopsis.core.check.check import check
from orthopsis.core.check.finished import Finished
from orthopsis.core.check.judge import BLAMED
from orthopsis.core.check.match import is_inked
from orthopsis.core.check.pieces import joined
from orthopsis.core.check.stroke import Expected, Stroke, expected_lines
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.prepared import prepare

CORNER = {
    "kind": "box", "name": "Store", "left": 200, "bottom": 60, "height": 90, "left_by": "measured", "left_length": 60,
    "right_by": "measured", "right_length": 70,
}  # fmt: skip


@pytest.fixture
def store() -> Exercise:
    views = [{"kind": "two_point", "left_mm": -120, "right_mm": 560}]
    return exercise_of(CORNER, views=views, eye_level={"height_mm": 130})


def lines_of(exercise: Exercise) -> dict[str, Expected]:
    return {e.name: e for e in expected_lines(picture(solve(prepare(exercise))), ()) if e.is_asked}


def drawn(exercise: Exercise) -> dict[str, Stroke]:
    return {name: Stroke(e.start, e.end) for name, e in lines_of(exercise).items()}


def said(checked: Checked, name: str) -> set[str]:
    return {line.verdict for line in checked.lines if line.matched == name}


def blamed(checked: Checked) -> set[str]:
    return {line.matched for line in checked.lines if line.verdict in BLAMED}


def beyond(stroke: Stroke, far_mm: float) -> Point:
    """The place so far past the end of a stroke."""
    share = 1 + far_mm / stroke.length_mm
    return Point(
        stroke.start.x + share * (stroke.end.x - stroke.start.x),
        stroke.start.y + share * (stroke.end.y - stroke.start.y),
    )


def edges_at_the_top(exercise: Exercise) -> tuple[str, str]:
    """The upper edges that run left and right from the nearest corner."""
    tops = {e.family: name for name, e in lines_of(exercise).items() if e.start == Point(200.0, 150.0)}
    return tops["left point"], tops["right point"]


def test_an_edge_drawn_straight_on_from_the_one_to_the_other_point_is_found(store: Exercise) -> None:
    """Both are read as one line."""
    left, right = edges_at_the_top(store)
    strokes = drawn(store)
    whole = Stroke(strokes[left].end, strokes[left].start)
    strokes[left] = Stroke(whole.start, beyond(whole, strokes[right].length_mm))
    del strokes[right]
    checked = check(store, list(strokes.values()))
    assert blamed(checked) == {right}
    assert said(checked, left) == {"fine"}
    assert checked.missing == []


def test_a_light_line_that_runs_on_to_its_own_point_is_not_cut() -> None:
    """Seen from above: the back edge that begins where it leaves the top is missing, and is said to be."""
    views = [{"kind": "two_point", "left_mm": -120, "right_mm": 560}]
    store = exercise_of(CORNER, views=views, eye_level={"height_mm": 220})
    left, _ = edges_at_the_top(store)
    strokes = drawn(store)
    far = strokes[left].end
    (behind,) = (name for name, e in lines_of(store).items() if e.start == far and e.family == "right point")
    strokes[left] = Stroke(strokes[left].start, beyond(strokes[left], strokes.pop(behind).length_mm))
    checked = check(store, list(strokes.values()))
    assert blamed(checked) == set()
    assert checked.missing == [behind]
    assert len(checked.lines) == len(strokes), "no stroke is cut in two"


def test_a_wrong_line_is_found_though_a_bit_of_another_lies_in_its_place(store: Exercise) -> None:
    left, _ = edges_at_the_top(store)
    strokes = drawn(store)
    right_one = strokes.pop(left)
    long, turn = right_one.length_mm, math.radians(150)
    strokes["wrong"] = Stroke(right_one.start, Point(200 + long * math.cos(turn), 150 + long * math.sin(turn)))
    strokes["bit"] = Stroke(right_one.start, beyond(right_one, -0.55 * long))
    assert blamed(check(store, list(strokes.values()))) == {left}
    del strokes["wrong"]
    assert left not in blamed(check(store, list(strokes.values()))), "the bit alone tells nothing wrong"


@pytest.mark.parametrize(("lean_mm", "verdicts"), [(0.0, {"fine"}), (9.0, {"off"})])
def test_a_short_line_that_is_cut_where_another_crosses_it_is_judged_by_its_pieces_together(
    lean_mm: float, verdicts: set[str]
) -> None:
    crate = {**CORNER, "height": 33, "left_length": 40, "right_length": 40}
    exercise = exercise_of(crate, views=[{"kind": "two_point", "left_mm": -120, "right_mm": 560}])
    name, edge = next((name, e) for name, e in lines_of(exercise).items() if e.family == "upright")
    foot, top = sorted((edge.start, edge.end), key=lambda at: at.y)
    strokes = drawn(exercise)
    del strokes[name]
    leaning = Point(top.x + lean_mm, top.y)
    cuts = [(0.0, 0.45), (0.55, 1.0)]
    pieces = [
        Stroke(*(Point(foot.x + t * (leaning.x - foot.x), foot.y + t * (leaning.y - foot.y)) for t in cut))
        for cut in cuts
    ]
    assert said(check(exercise, [*strokes.values(), *pieces]), name) == verdicts


@pytest.mark.parametrize(("tilt_mm", "verdicts"), [(0.0, {"fine"}), (1.0, {"fine"}), (11.7, {"off"})])
def test_of_a_tilted_eye_level_that_others_cut_no_piece_need_be_off_alone(
    store: Exercise, tilt_mm: float, verdicts: set[str]
) -> None:
    """Over 420 mm it falls by as much as no hand does; over its longest piece it might."""
    strokes = drawn(store)
    whole = strokes.pop("eye level")
    wide = whole.end.x - whole.start.x
    cuts = [(0.0, 0.42), (0.41, 0.66), (0.64, 1.0)]
    pieces = [Stroke(*(Point(whole.start.x + t * wide, whole.start.y - t * tilt_mm) for t in cut)) for cut in cuts]
    checked = check(store, [*strokes.values(), *pieces])
    assert said(checked, "eye level") == verdicts
    assert said(check(store, [*strokes.values(), pieces[1]]), "eye level") <= {"fine", "slightly_off"}, "one alone"


def test_pieces_in_a_row_are_joined_from_end_to_end_and_others_not() -> None:
    one, two = Stroke(Point(0, 0), Point(10, 0)), Stroke(Point(30, 0.4), Point(14, 0.2))
    whole = joined([one, two])
    assert whole is not None
    assert {whole.start.xy, whole.end.xy} == {(0, 0), (30, 0.4)}
    assert joined([one, Stroke(Point(12, 3), Point(24, 3))]) is None
    assert joined([one]) == one


def test_a_stroke_that_lies_on_another_line_is_none_of_its_own_line(store: Exercise) -> None:
    """It may be that line gone astray only where it lies on nothing that should be there."""
    left, right = edges_at_the_top(store)
    lines, answer = lines_of(store), Finished(picture(solve(prepare(store))), 1.0)
    elsewhere = Stroke(lines[right].start, lines[right].end)
    assert answer.is_several(elsewhere, lines[left])
    astray = Stroke(lines[left].start, Point(lines[left].start.x - 40, lines[left].start.y + 25))
    assert not answer.is_several(astray, lines[left])
    assert distance(astray.start, lines[left].start) == 0


def test_a_wrong_line_is_found_though_others_run_close_beside_its_place() -> None:
    """The left kerb of a road, a millimetre and a half above the road's side, drawn to the other side of the sheet."""
    road = {"kind": "road", "name": "Quay", "left": 130, "bottom": 0, "width": 160, "beside": "both", "pave": 4,
            "kerb": 1.5}  # fmt: skip
    exercise = exercise_of(road, views=[{"kind": "one_point", "x_mm": 224}], eye_level={"height_mm": 112})
    lines, strokes = lines_of(exercise), drawn(exercise)
    kerb = lines["Quay.kerb_left"]
    del strokes[kerb.name]
    assert is_inked(kerb, list(strokes.values()))
    assert not blamed(check(exercise, list(strokes.values()))), "a line that may be there is not missed"
    strokes["wrong"] = Stroke(kerb.start, Point(kerb.start.x - 100, kerb.start.y + 85))
    checked = check(exercise, list(strokes.values()))
    assert blamed(checked) == {kerb.name}


def test_a_line_that_runs_home_all_along_is_not_blamed_for_a_longer_stroke_across_its_end() -> None:
    crate = box("Crate", 35.0, 178.0, 50.0, 50.0, depth_by="half")
    exercise = exercise_of(crate, views=[{"kind": "one_point", "x_mm": 260.0}], eye_level={"height_mm": 140})
    strokes = [*drawn(exercise).values(), Stroke(Point(124, 167), Point(67, 176))]
    checked = check(exercise, strokes)
    assert said(checked, "Crate.front.bottom") == {"fine"}
    assert blamed(checked) == set()


def test_a_wrong_line_is_found_by_its_rest_though_it_begins_on_another() -> None:
    """The upper left edge drawn straight down over the nearest edge, which is shorter, and on past its foot."""
    crate = {**CORNER, "bottom": 110, "height": 35, "left_length": 90}
    exercise = exercise_of(
        crate, views=[{"kind": "two_point", "left_mm": -120, "right_mm": 560}], eye_level={"height_mm": 220}
    )
    lines = {e.family: e for e in lines_of(exercise).values() if e.start == Point(200.0, 145.0)}
    left, strokes = lines["left point"], drawn(exercise)
    (upright,) = (name for name, e in lines_of(exercise).items() if e.start.x == e.end.x == 200.0)
    del strokes[left.name]
    strokes["rest"] = Stroke(Point(200, 108), Point(200, 145 - left.length_mm))
    checked = check(exercise, list(strokes.values()))
    assert blamed(checked) == {left.name}
    assert checked.missing == []
    del strokes[upright]
    assert blamed(check(exercise, list(strokes.values()))) == set(), "nothing leads to it from the corner"


def shelf() -> Exercise:
    """A board seen nearly from its own height: the edge of its top runs two millimetres beside the far one."""
    board = {**CORNER, "bottom": 118, "height": 24, "left_length": 40, "right_length": 100}
    views = [{"kind": "two_point", "left_mm": -120, "right_mm": 560}]
    return exercise_of(board, views=views, eye_level={"height_mm": 146})


def turned(stroke: Stroke, by_deg: float) -> Stroke:
    """A stroke turned about its start, to the left."""
    turn = math.radians(by_deg)
    across, up = stroke.end.x - stroke.start.x, stroke.end.y - stroke.start.y
    x, y = across * math.cos(turn) - up * math.sin(turn), across * math.sin(turn) + up * math.cos(turn)
    return Stroke(stroke.start, Point(stroke.start.x + x, stroke.start.y + y))


def test_a_wrong_line_is_found_though_the_one_beside_it_was_read_in_its_place() -> None:
    """Of two edges within two millimetres of each other one is drawn to nowhere; the other is read as if it were it."""
    exercise, beside = shelf(), "Store.top.back_right"
    strokes, lines = drawn(exercise), lines_of(exercise)
    right = next(n for n, e in lines.items() if e.family == "right point" and e.start.y == 142)
    del strokes[beside]
    checked = check(exercise, list(strokes.values()))
    assert blamed(checked) == set()
    assert checked.missing == [], "it may be read with the other one"
    checked = check(exercise, [*strokes.values(), turned(strokes[right], -14.0)])
    assert blamed(checked) == {right}
    assert said(checked, beside) == {"fine"}


def test_a_stroke_much_longer_than_the_line_in_its_place_is_the_wrong_line_that_is_as_long() -> None:
    """An edge to the point, drawn so that it covers the short level one that begins at the same corner."""
    crate = {**box("Crate", 100, 80, 15, 40, depth_by="measured"), "depth": 90.0}
    exercise = exercise_of(crate, views=[{"kind": "one_point", "x_mm": 330.0}], eye_level={"height_mm": 150})
    strokes, lines = drawn(exercise), lines_of(exercise)
    edge = next(n for n, e in lines.items() if e.family == "point" and e.start == Point(100.0, 120.0))
    wrong = turned(strokes.pop(edge), -11.0)
    del strokes["Crate.front.top"]
    assert wrong.length_mm > 30
    assert blamed(check(exercise, [*strokes.values(), wrong])) == {edge}


def test_a_short_piece_of_a_light_line_read_awry_blames_nothing_where_its_edge_runs_home(store: Exercise) -> None:
    drawing = picture(solve(prepare(store)))
    guides = {e.name: e for e in expected_lines(drawing, prepare(store).things) if not e.is_asked and e.thing}
    edge = next(e for e in expected_lines(drawing, prepare(store).things) if e.along in guides)
    light = guides[edge.along]
    length = distance(light.start, light.end)
    along = ((light.end.x - light.start.x) / length, (light.end.y - light.start.y) / length)
    begin = edge.length_mm + 8.0
    at = Point(edge.start.x + begin * along[0], edge.start.y + begin * along[1])
    end = Point(edge.start.x + (begin + 40) * along[0], edge.start.y + (begin + 40) * along[1] + 2.9)
    strokes = drawn(store)
    checked = check(store, [*strokes.values(), Stroke(at, end)])
    assert blamed(checked) == set()
    del strokes[edge.name]
    assert blamed(check(store, [*strokes.values(), Stroke(at, end)])) == {light.name}, "nothing else tells of it"


@pytest.mark.parametrize("name", ["Windows.Number 1.low", "Windows.Number 1.high"])
@pytest.mark.parametrize("by_deg", [-9.0, 9.0])
def test_a_short_side_of_an_opening_that_goes_astray_among_others_is_blamed(name: str, by_deg: float) -> None:
    """It lies within two millimetres of the lines of its reveal, and yet begins at its own corner and is as long."""
    title = "The sail loft with its ceiling, two points"
    loft = read_exercise(next(document for document in READY if document["title"] == title))
    strokes = drawn(loft)
    strokes[name] = turned(strokes[name], by_deg)
    assert blamed(check(loft, list(strokes.values()))) == {name}
