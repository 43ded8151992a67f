"""Bands about cylinders: true circles at marks of the ruler, told one by one, the far half never seen, bad input."""

from typing import Any

import numpy as np
import pytest
import shapely
from found_right import assert_found_right
from scenes import solved
from test_round_body import IN_VIEWS, deck, world

from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.round_body.bands import BANDS

COUNTS = {"none": 0, "one": 1, "two": 2, "three": 3}


def bin_of(view: str = "two_point", **values: Any) -> Exercise:
    return deck(view, **{"bands": "two", "rise": 48.0, **values})


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("bands", ["one", "two", "three"])
def test_each_band_is_as_wide_as_the_rim_about_the_same_axis(view: str, bands: str) -> None:
    """In the solid, by vectors alone."""
    at = world(bin_of(view, bands=bands))
    ends = ["base", *(f"band.{i}" for i in range(1, COUNTS[bands] + 1)), "rim"]
    middles, across = [], []
    for end in ends:
        near, far, low, high = (at[f"{end}.middle_{side}"] for side in ("near", "far", "low", "high"))
        middles.append((near + far) / 2)
        assert np.allclose(middles[-1], (low + high) / 2, atol=1e-9 * np.abs(low).max())
        across.append((far - near, high - low))
    assert all(np.allclose(ways, across[0], atol=1e-9 * np.abs(middles[0]).max()) for ways in across)
    axis = middles[-1] - middles[0]
    shares = [float((middle - middles[0]) @ axis / (axis @ axis)) for middle in middles]
    assert shares == sorted(shares)
    assert all(np.allclose(m, middles[0] + s * axis, atol=1e-6) for m, s in zip(middles, shares, strict=True))
    if view != "from_above":  # there uprights run to a point, and the marks are those on the page
        assert shares == pytest.approx(np.linspace(0, 1, len(ends)))


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("inside", ["closed", "open"])
@pytest.mark.parametrize("bands", sorted(BANDS))
def test_it_is_found_right_and_told_band_by_band(view: str, inside: str, bands: str) -> None:
    drawing = assert_found_right(bin_of(view, bands=bands, inside=inside))
    titles = [step.title for step in drawing.steps if step.thing == "Tub"]
    assert sum(title.endswith("its circle") for title in titles) == COUNTS[bands]
    assert sum("where its bands go" in title for title in titles) == (COUNTS[bands] > 0)
    order = [i for i, title in enumerate(titles) if "band of Tub" in title or title.endswith("its outline")]
    assert order == list(range(len(titles) - 3 * COUNTS[bands] - 1, len(titles)))


def test_they_are_marked_where_a_ruler_has_marks() -> None:
    marks = next(step for step in draw(bin_of(rise=50.0)).steps if "where its bands go" in step.title)
    assert "17 mm and 33 mm" in marks.text


@pytest.mark.parametrize("inside", ["closed", "open"])
def test_of_a_band_the_half_toward_the_eye_is_seen_alone(inside: str) -> None:
    """From one line of the outline to the other: by the page alone, each seen piece lies nearer than the chord."""
    found = solved(bin_of("one_point", inside=inside))
    eye, solid = found.seen[1].eye, found.seen[1].solid
    page = solid.picture(eye)
    touching = [name for name in page if name.startswith("band.1.") and ".touch." in name]
    chord = shapely.LineString([page[name] for name in touching])
    lines = [line for line in found.final if line.thing == "Tub" and line.name.startswith("band.1.") and line.visible]
    assert lines
    for line in lines:
        for x, y in (line.start, *line.bend, line.end):
            # Below the eye level the nearer half of a level circle lies lower on the page.
            over = np.interp(x, *zip(*sorted(chord.coords), strict=True))
            assert y <= over + 0.05


@pytest.mark.parametrize("form", ["pail", "stool", "cone"])
def test_only_a_cylinder_has_bands(form: str) -> None:
    assert not [line for line in draw(bin_of(form=form)).lines if ".band." in f".{line.name}"]


def test_without_room_for_bands_it_is_said_with_what_works() -> None:
    exercise = bin_of(rise=2.0, bands="three")
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("no_bands_here", "things.1.bands")
    assert draw(set_at(exercise, "things.1.bands", refused.value.nearest)).lines


def test_a_band_on_the_eye_level_is_refused_with_what_works() -> None:
    exercise = bin_of(bands="one")
    foot = solved(exercise).board.points["Tub.foot.0"].y
    over = exercise.eye_level.height_mm - foot
    on_level = set_at(exercise, "things.1.rise", 2.0 * int(over))
    with pytest.raises(GeometryError) as refused:
        draw(on_level)
    assert (refused.value.code, refused.value.about) == ("no_bands_here", "things.1.bands")
    assert draw(set_at(on_level, "things.1.bands", "two")).lines
