"""The measures and numbers in the pictures of step sheets."""

import itertools

import pytest
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.drawing.answer import Scale, ScaleMark
from orthopsis.core.drawing.beside import WIDE
from orthopsis.paperwork.step_scales import SIZE_MM, scale_texts

PLACES = st.lists(st.tuples(st.floats(0, 400), st.floats(0, 280)), min_size=1, max_size=14)


@given(PLACES, st.sampled_from(["below", "left", "right"]), st.floats(0.1, 0.5))
def test_no_two_figures_touch_and_none_stands_on_its_place(
    places: list[tuple[float, float]], side: str, factor: float
) -> None:
    along = 0 if side == "below" else 1
    fixed = places[0][1 - along]  # a scale lies along a foot or an edge
    at = [(x, fixed) if along == 0 else (fixed, y) for x, y in places]
    marks = [ScaleMark(at=place, text=str(i * 7)) for i, place in enumerate(at)]
    texts = list(scale_texts(Scale(side=side, marks=marks), 12.0, 150.0, factor))  # type: ignore[arg-type]
    assert sorted(t.text for t in texts) == sorted(m.text for m in marks)
    boxes = [(t.left, t.low, t.left + len(t.text) * WIDE * SIZE_MM, t.low + 0.7 * SIZE_MM) for t in texts]
    for (a, b, c, d), (e, f, g, h) in itertools.combinations(boxes, 2):
        assert c <= e or g <= a or d <= f or h <= b
    for text, (left, low, right, high) in zip(texts, boxes, strict=True):
        x, y = text.start
        assert not (left < x < right and low < y < high)


def test_texts_twice_as_tall_take_twice_the_room_and_still_do_not_touch() -> None:
    marks = [ScaleMark(at=(float(at), 40.0), text=f"{at}") for at in (100, 103, 106, 140)]
    scale = Scale(side="below", marks=marks)
    for size in (SIZE_MM, 2 * SIZE_MM):
        texts = list(scale_texts(scale, 0.0, 0.0, 1.0, size=size))
        boxes = [(t.left, t.low, t.left + len(t.text) * WIDE * size, t.low + 0.7 * size) for t in texts]
        for i, one in enumerate(boxes):
            for two in boxes[i + 1 :]:
                assert any(one[k] >= two[k + 2] or two[k] >= one[k + 2] for k in (0, 1)), (one, two)
        assert all(t.left + len(t.text) * WIDE * size / 2 == pytest.approx(t.start[0]) for t in texts)
