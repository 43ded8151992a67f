"""Curves that a free hand drew: fine where they are, and told what is wrong with them where they are not."""

import math
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from orthopsis.core.check.answer import JudgedCurve
from orthopsis.core.check.check import check
from orthopsis.core.check.curve import Array, DrawnCurve, SoughtCurve, sought_curves
from orthopsis.core.check.decided import MEANT, decided, home, key_of
from orthopsis.core.check.feedback import gravest
from orthopsis.core.check.judge_curve import allowed_mm, judge_curve
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.plane.ellipse import Ellipse
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.wording.vocabulary import LEVELS

TITLES = ("A tub on a crate, one point", "Tub, pail, bollard and funnel on the quay, two points")
ROUND: tuple[Exercise, ...] = tuple(read_exercise(d) for d in READY if d["title"] in TITLES)
CURVES = tuple(curve for exercise in ROUND for curve in sought_curves(exercise))
WHOLE = tuple(curve for curve in CURVES if curve.is_whole)
DRUM = sought_curves(read_exercise(next(d for d in READY if str(d["title"]).startswith("Drum and pipe"))))[0]
SIGMA = 1.0


def along(curve: SoughtCurve, ellipse: Ellipse) -> DrawnCurve:
    """Another ellipse as it was drawn in the curve's stead: where the ways out of the curve, or into it, meet it."""
    cos, sin = math.cos(ellipse.turn_rad), math.sin(ellipse.turn_rad)

    def own(ways: Array) -> Array:
        x, y = ways.T
        return np.column_stack(((cos * x + sin * y) / ellipse.major, (cos * y - sin * x) / ellipse.minor))

    start, way = own(curve.places - ellipse.centre.xy), own(curve.outward)
    a, b, c = (way * way).sum(axis=1), (start * way).sum(axis=1), (start * start).sum(axis=1) - 1
    root = np.sqrt(np.maximum(b * b - a * c, 0.0))
    both = np.stack(((-b - root) / a, (-b + root) / a))
    nearest = np.take_along_axis(both, np.abs(both).argmin(axis=0)[None], axis=0)[0]
    return DrawnCurve(curve, (0.0, 0.0), nearest, curve.is_seen & (b * b >= a * c))


def judged(curve: SoughtCurve, ellipse: Ellipse) -> JudgedCurve:
    return judge_curve(along(curve, ellipse), SIGMA)


def with_wobble(drawn: DrawnCurve, waves: list[float]) -> DrawnCurve:
    """The curve with waves round it, from two on, each of a size."""
    wobble = sum(size * np.sin(number * drawn.curve.angles + number) for number, size in enumerate(waves, start=2))
    return replace(drawn, outward_mm=drawn.outward_mm + wobble)


def test_a_circle_of_four_quarters_is_one_curve() -> None:
    assert [curve.name.split(".")[:2] for curve in sought_curves(ROUND[0])] == [["Tub", "rim"], ["Tub", "base"]]
    assert all(len({curve.name for curve in found}) == len(found) for found in map(sought_curves, ROUND))


@pytest.mark.parametrize("curve", CURVES, ids=lambda curve: curve.name)
def test_a_curve_is_sought_where_the_sheet_shows_it(curve: SoughtCurve) -> None:
    shown = np.concatenate([np.array(piece) for piece in curve.pieces])
    gaps = np.min(np.hypot(*(curve.places[curve.is_seen][:, None] - shown[None]).transpose(2, 0, 1)), axis=1)
    assert gaps.max() < 3.0, "the places of the drawing are up to three degrees apart"
    assert curve.is_seen.any()


@given(st.sampled_from(CURVES), st.lists(st.floats(-SIGMA / 2, SIGMA / 2), min_size=1, max_size=4))
def test_a_hand_that_wobbles_within_its_error_is_never_blamed(curve: SoughtCurve, waves: list[float]) -> None:
    found = judge_curve(with_wobble(along(curve, curve.ellipse), waves), SIGMA)
    assert (found.verdict, found.fault) == ("fine", "")
    assert found.miss_mm <= sum(map(abs, waves)) + 0.005, "it is said to a hundredth of a mm"


@given(st.sampled_from(WHOLE), st.floats(-0.5, 0.5), st.sampled_from([1.0, -1.0]), st.floats(1.5, 3.0))
def test_a_curve_beside_its_place_is_said_to_be_so(
    curve: SoughtCurve, aside: float, side: float, tolerances: float
) -> None:
    """Moved along its long way it would lie on itself but for its ends: it is moved across it, or nearly."""
    way, size = curve.ellipse.turn_rad + side * math.pi / 2 + aside, tolerances * allowed_mm(curve, SIGMA)
    shift = size * math.cos(way), size * math.sin(way)
    found = judge_curve(DrawnCurve(curve, shift, np.zeros(len(curve.places)), curve.is_seen), SIGMA)
    assert found.verdict in ("slightly_off", "off")
    assert found.fault in ("place", "widest")
    assert found.shift_mm == pytest.approx(shift, abs=0.02)


@given(st.sampled_from(WHOLE), st.floats(1.3, 3.0))
def test_a_circle_that_is_too_round_or_too_flat_is_said_with_its_ways_across(curve: SoughtCurve, more: float) -> None:
    ellipse, size = curve.ellipse, more * allowed_mm(curve, SIGMA)
    assume(ellipse.minor + size < ellipse.major)
    found = judged(curve, replace(ellipse, minor=ellipse.minor + size))
    assert found.fault == "round"
    assert (found.long_mm, found.short_mm) == pytest.approx((2 * ellipse.major, 2 * (ellipse.minor + size)), rel=0.02)
    if ellipse.minor - size > 0.3 * ellipse.minor:
        assert judged(curve, replace(ellipse, minor=ellipse.minor - size)).fault == "flat"


@given(st.sampled_from(WHOLE), st.floats(1.35, 1.6))
def test_a_circle_that_is_larger_or_smaller_as_a_whole_is_said_to_be_so(curve: SoughtCurve, times: float) -> None:
    ellipse = curve.ellipse
    assume(min(ellipse.major - ellipse.minor, ellipse.minor) * (times - 1) > 1.3 * allowed_mm(curve, SIGMA))
    larger = judged(curve, replace(ellipse, major=times * ellipse.major, minor=times * ellipse.minor))
    assert larger.fault == "large"


def test_a_tilted_circle_is_said_to_be_so_and_one_that_stands_as_it_is_never() -> None:
    flat = max(WHOLE, key=lambda curve: curve.ellipse.major - curve.ellipse.minor)
    assert judged(flat, replace(flat.ellipse, turn_rad=flat.ellipse.turn_rad + 0.2)).fault == "turned"
    assert judged(DRUM, replace(DRUM.ellipse, turn_rad=1.0)).verdict == "fine"


@pytest.mark.parametrize(("times", "fault"), [(0.88, "small"), (1.14, "large")])
def test_a_circle_that_stands_as_it_is_may_be_too_small_or_too_large(times: float, fault: str) -> None:
    drawn = replace(DRUM.ellipse, major=times * DRUM.ellipse.major, minor=times * DRUM.ellipse.minor)
    found = judged(DRUM, drawn)
    assert (found.fault, found.long_mm) == (fault, pytest.approx(2 * times * DRUM.ellipse.major, abs=0.1))


def test_a_circle_that_is_widest_at_the_middle_of_its_square_is_said_to_be_so() -> None:
    rim = next(curve for curve in WHOLE if math.dist(curve.ellipse.centre.xy, curve.middle.xy) > 5.0)
    moved = rim.middle.x - rim.ellipse.centre.x, rim.middle.y - rim.ellipse.centre.y
    assert judged(rim, rim.ellipse.moved(*moved)).fault == "widest"
    assert judged(rim, rim.ellipse.moved(-moved[0], -moved[1])).fault == "place", "as far, but the other way"


def test_two_bows_that_meet_in_corners_have_pointed_ends() -> None:
    rim = max(WHOLE, key=lambda curve: curve.ellipse.minor)
    around = np.linspace(0, math.tau, 4000)
    x, y = np.cos(around), np.sign(np.sin(around)) * (1 - np.abs(np.cos(around)) ** 1.5)
    ellipse = rim.ellipse
    cos, sin = math.cos(ellipse.turn_rad), math.sin(ellipse.turn_rad)
    bows = ellipse.centre.xy + np.column_stack((
        cos * ellipse.major * x - sin * ellipse.minor * y, sin * ellipse.major * x + cos * ellipse.minor * y,
    ))  # fmt: skip
    ways = bows[None] - rim.places[:, None]
    out = (ways * rim.outward[:, None]).sum(axis=2)
    aside = np.abs(ways[..., 0] * rim.outward[:, None, 1] - ways[..., 1] * rim.outward[:, None, 0])
    outward = np.take_along_axis(out, np.argmin(aside + 0.05 * np.abs(out), axis=1)[:, None], axis=1)[:, 0]
    assert judge_curve(DrawnCurve(rim, (0.0, 0.0), outward, rim.is_seen), SIGMA).fault == "pointed"


@given(st.sampled_from([c for c in CURVES if not c.is_whole]), st.floats(-14.0, 14.0), st.floats(-14.0, 14.0))
def test_of_a_curve_that_is_seen_in_part_only_its_place_is_judged(curve: SoughtCurve, dx: float, dy: float) -> None:
    found = judge_curve(DrawnCurve(curve, (dx, dy), np.zeros(len(curve.places)), curve.is_seen), SIGMA)
    assert found.fault in ("", "place", "uneven")
    aside = np.abs((curve.outward * (dx, dy)).sum(axis=1)[curve.is_seen])
    assert (found.verdict == "fine") == (np.quantile(aside, 0.9) <= allowed_mm(curve, SIGMA))
    if found.verdict != "fine":
        assert (found.fault, found.shift_mm) == ("place", pytest.approx((dx, dy), abs=0.1))


@pytest.mark.parametrize(("share", "verdict"), [(0.3, "missing"), (0.6, "cannot_tell"), (0.95, "fine")])
def test_what_is_hardly_drawn_is_missing_or_cannot_be_told(share: float, verdict: str) -> None:
    curve = WHOLE[0]
    inked = np.arange(len(curve.angles)) < share * len(curve.angles)
    found = judge_curve(DrawnCurve(curve, (0.0, 0.0), np.zeros(len(inked)), inked), SIGMA)
    assert (found.verdict, found.fault) == (verdict, "")


SAID = {
    "place": lambda e, size: e.moved(0.0, -size),
    "round": lambda e, size: replace(e, minor=e.minor + size),
    "flat": lambda e, size: replace(e, minor=e.minor - size),
}


@pytest.mark.parametrize("level", LEVELS)
@pytest.mark.parametrize("fault", SAID)
def test_the_teacher_reads_what_is_wrong_and_the_student_what_to_do(fault: str, level: str) -> None:
    exercise = ROUND[0].model_copy(update={"wording": ROUND[0].wording.model_copy(update={"level": level})})
    rim = sought_curves(exercise)[0]
    wrong = SAID[fault](rim.ellipse, 9.0)
    checked = check(exercise, [], curves=[judge_curve(along(rim, wrong), SIGMA)])
    found = next(f for f in checked.findings if f.code == f"curve_{fault}")
    assert (found.curve, found.about, found.severity) == (rim.name, rim.name, 2)
    assert found.text.startswith("The curved edge at the top of Tub ")
    numbers = {"place": "9 mm", "round": f"{2 * wrong.minor:.0f} mm", "flat": f"{2 * wrong.minor:.0f} mm"}
    assert numbers[fault] in found.text
    assert found in decided(checked, {}).standing


def test_a_curve_that_was_meant_so_is_neither_blamed_nor_counted() -> None:
    exercise = ROUND[0]
    rim, base = sought_curves(exercise)
    flat = judge_curve(along(rim, replace(rim.ellipse, minor=rim.ellipse.minor - 9)), SIGMA)
    checked = check(exercise, [], curves=[flat, judge_curve(along(base, base.ellipse), SIGMA)])
    open_, finding = decided(checked, {}), next(f for f in checked.findings if f.curve)
    meant = decided(checked, {key_of(finding): MEANT})
    assert (home(checked, open_).home, home(checked, open_).judged) == (1, 2)
    assert (home(checked, meant).home, home(checked, meant).judged) == (1, 1)
    assert meant.meant_curves == {rim.name}
    assert gravest(meant) != finding


def test_strokes_along_a_curve_as_it_was_drawn_are_no_lines_of_their_own() -> None:
    exercise = ROUND[0]
    rim = sought_curves(exercise)[0]
    high = judge_curve(along(rim, rim.ellipse.moved(0.0, 11.0)), SIGMA)
    top = high.runs[0][len(high.runs[0]) // 4]
    piece = Stroke(Point(top[0] - 5, top[1]), Point(top[0] + 5, top[1]))
    without, along_it = (check(exercise, [piece], curves=curves).lines[0] for curves in ([], [high]))
    assert without.verdict == "unexpected"
    assert (along_it.verdict, along_it.matched) == ("cannot_tell", rim.name)
