"""The measures and numbers in the pictures of step sheets."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.drawing.answer import PointLetter, Scale, ScaleMark, ScaleSide
from orthopsis.core.drawing.beside import TALL, letter_ways, text_wide
from orthopsis.paperwork.step_scales import SIZE_MM, letter_texts, scale_texts

SIDES: list[ScaleSide] = ["below", "above", "left", "right"]


@given(
    st.tuples(st.floats(0, 400), st.floats(0, 280)), st.sampled_from(SIDES), st.floats(0.5, 9), st.floats(-3, 3),
    st.floats(0.1, 0.5), st.sampled_from(["0", "12.5", "144"]),
)  # fmt: skip
def test_a_figure_stands_at_its_side_and_a_line_leads_to_it(
    at: tuple[float, float], side: ScaleSide, out: float, aside: float, factor: float, text: str
) -> None:
    """As far out and aside as it is asked for, however small the picture is."""
    mark = ScaleMark(at=at, text=text, out=out, aside=aside)
    (found,) = scale_texts(Scale(side=side, marks=[mark]), 12.0, 150.0, factor)
    x, y = 12 + factor * at[0], 150 + factor * at[1]
    assert found.start == pytest.approx((x, y))
    far, along = out * SIZE_MM, aside * SIZE_MM
    ways = {"below": (along, -far), "above": (along, far), "left": (-far, along), "right": (far, along)}
    assert found.end == pytest.approx((x + ways[side][0], y + ways[side][1]))
    left, low, right, high = found.left, found.low, found.left + text_wide(text, SIZE_MM), found.low + TALL * SIZE_MM
    beyond = {"below": y - high, "above": low - y, "left": x - right, "right": left - x}
    assert far < beyond[side] < far + 0.3 * SIZE_MM
    if side in ("below", "above"):
        assert (left + right) / 2 == pytest.approx(found.end[0])
    else:
        assert (low + high) / 2 == pytest.approx(found.end[1])


def test_figures_twice_as_tall_stand_twice_as_far_out() -> None:
    scale = Scale(side="below", marks=[ScaleMark(at=(100.0, 40.0), text="7", out=1.5)])
    (small,), (large,) = (list(scale_texts(scale, 0.0, 0.0, 1.0, size=size)) for size in (SIZE_MM, 2 * SIZE_MM))
    assert 40 - large.end[1] == pytest.approx(2 * (40 - small.end[1]))


def test_letters_stand_away_from_the_middle_of_all() -> None:
    corners = [(0.0, 0.0), (60.0, 0.0), (60.0, 40.0), (0.0, 40.0)]
    letters = [
        PointLetter(at=at, text=text, across="1", up="2", beside=way)
        for at, text, way in zip(corners, "abcd", letter_ways(corners), strict=True)
    ]
    for found, (x, y) in zip(letter_texts(letters, 0.0, 0.0, 1.0), corners, strict=True):
        middle = (found.left + text_wide("a", SIZE_MM) / 2, found.low + 0.32 * SIZE_MM)
        assert (middle[0] - 30) * (x - 30) > (x - 30) ** 2
        assert (middle[1] - 20) * (y - 20) > (y - 20) ** 2


@given(st.floats(0.7, 2.0), st.floats(0, math.tau))
def test_a_line_leads_to_a_letter_that_stands_far_from_its_point(far: float, turn: float) -> None:
    """It runs toward the letter and stops short of it; beside its point a letter needs none."""
    way = far * math.cos(turn), far * math.sin(turn)
    letter = PointLetter(at=(50.0, 40.0), text="a", across="", up="", beside=way)
    (found,) = letter_texts([letter], 0.0, 0.0, 1.0)
    led = found.end[0] - found.start[0], found.end[1] - found.start[1]
    if far < 1.29:
        assert led == (0.0, 0.0)
    elif far > 1.31:
        assert led[0] * way[1] - led[1] * way[0] == pytest.approx(0.0, abs=1e-9)
        assert 0 < math.hypot(*led) < far * SIZE_MM - 0.4 * SIZE_MM
