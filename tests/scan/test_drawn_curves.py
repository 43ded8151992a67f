"""Curves read off a photographed sheet: where a free hand drew them, and which of its mistakes are found."""

import math
from functools import cache

import cv2
import numpy as np
import pytest

from orthopsis.core.check.answer import JudgedCurve
from orthopsis.core.check.check import check
from orthopsis.core.check.curve import sought_curves
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.scene.prepared import sheet_of
from orthopsis.paperwork.marks import SheetCode
from orthopsis.scan.curves import judged_curves, trace_curves
from orthopsis.scan.free_hand import CURVE_MISTAKES
from orthopsis.scan.judge import judge_reading
from orthopsis.scan.read import PREVIEW_PX_PER_MM, Reading, read_sheet
from orthopsis.scan.simulate import SMALL, Photo, simulate_photo

TUB, QUAY = "A tub on a crate, one point", "Tub, pail, bollard and funnel on the quay, two points"
DRUMS = "Drum and pipe lying by a crate, one point"


@cache
def exercise(title: str) -> Exercise:
    return next(read_exercise(d) for d in READY if d["title"] == title)


@cache
def photographed(title: str, seed: int, mistake: str = "") -> tuple[Photo, Reading]:
    asked = exercise(title)
    mistakes = (mistake,) if mistake else ()
    photo = simulate_photo(asked, SheetCode("T", "S1", 1), seed, mistakes=mistakes, camera=SMALL)
    sheet = sheet_of(asked)
    reading = read_sheet(photo.jpeg, sheet.width_mm, sheet.height_mm)
    assert isinstance(reading, Reading)
    return photo, reading


def read(title: str, seed: int, mistake: str = "") -> tuple[set[str], dict[str, JudgedCurve]]:
    """Return the names of the curves that are wrong, and the verdicts by name."""
    photo, reading = photographed(title, seed, mistake)
    curves = judged_curves(reading.flat_jpeg, exercise(title), reading.strokes, PREVIEW_PX_PER_MM)
    names = {curve.name for curve in curves}
    guilty = {c.name for c in photo.sheet.curves if c.mistake} | (names & set(photo.sheet.left_out))
    return guilty, {curve.name: curve for curve in curves}


@pytest.mark.parametrize("title", [TUB, QUAY, DRUMS])
def test_a_careful_hand_is_never_blamed_and_its_curves_lie_where_it_drew_them(title: str) -> None:
    photo, reading = photographed(title, 5)
    truth = {curve.name: np.concatenate(curve.pieces) for curve in photo.sheet.curves}
    traced = trace_curves(reading.flat_jpeg, sought_curves(exercise(title)), reading.strokes, PREVIEW_PX_PER_MM)
    assert traced
    assert {curve.verdict for curve in read(title, 5)[1].values()} == {"fine"}
    for one in traced:
        found = one.places(one.outward_mm)[one.is_inked]
        gaps = np.min(np.hypot(*(found[:, None] - truth[one.curve.name][None]).transpose(2, 0, 1)), axis=1)
        assert np.quantile(gaps, 0.9) < 1.2, "half a hand error of where the pencil was"


@pytest.mark.parametrize("mistake", CURVE_MISTAKES)
def test_each_mistake_is_found_at_its_curve_and_nowhere_else(mistake: str) -> None:
    guilty, curves = read(TUB, 21, mistake)
    assert len(guilty) == 1
    for name, curve in curves.items():
        if name in guilty:
            told = "missing" if curve.verdict == "missing" else curve.fault
            assert f"curve_{told}" == mistake
        else:
            assert curve.verdict == "fine"


def test_its_short_way_is_said_as_it_was_drawn() -> None:
    photo, _ = photographed(TUB, 21, "curve_round")
    guilty, curves = read(TUB, 21, "curve_round")
    (name,) = guilty
    places = np.concatenate(next(c.pieces for c in photo.sheet.curves if c.name == name))
    tall = places[:, 1].max() - places[:, 1].min()
    assert curves[name].short_mm == pytest.approx(tall, abs=3.0)


def test_a_curve_moved_as_a_whole_is_found_there() -> None:
    """A flat rim, so far off that its near half lies where its far half should be."""
    photo, reading = photographed(QUAY, 1, "curve_place")
    moved = next(curve for curve in photo.sheet.curves if curve.mistake)
    one = next(
        t
        for t in trace_curves(reading.flat_jpeg, sought_curves(exercise(QUAY)), reading.strokes, PREVIEW_PX_PER_MM)
        if t.curve.name == moved.name
    )
    drawn = np.concatenate(moved.pieces)
    found = one.places(one.outward_mm)[one.is_inked]
    gaps = np.min(np.hypot(*(found[:, None] - drawn[None]).transpose(2, 0, 1)), axis=1)
    assert one.is_inked.sum() > 0.75 * one.curve.is_seen.sum()
    assert np.quantile(gaps, 0.8) < 2.0
    assert math.hypot(*one.shift_mm) > 4.0


def test_an_empty_sheet_has_no_curves_and_no_picture_none_at_all() -> None:
    photo, _ = photographed(TUB, 5)
    blank = np.full((1188, 1680), 250, np.uint8)
    jpeg = cv2.imencode(".jpg", blank)[1].tobytes()
    assert {c.verdict for c in judged_curves(jpeg, exercise(TUB), (), PREVIEW_PX_PER_MM)} == {"missing"}
    assert judged_curves(b"", exercise(TUB), (), PREVIEW_PX_PER_MM) == []
    assert photo.truth()["curves"]


def test_the_whole_judgement_speaks_of_it() -> None:
    _, reading = photographed(TUB, 21, "curve_round")
    checked = judge_reading(exercise(TUB), reading)
    assert [f.code for f in checked.findings if f.severity] == ["curve_round"]
    assert "square" in checked.note
    plain = check(exercise(TUB), reading.strokes)
    assert not plain.curves
