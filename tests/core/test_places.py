"""Places of an exercise: each path that the answers name is read back as the same reference, all others are refused."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.place import PlaceRef, read_place, thing_place, view_place
from orthopsis.core.document.ready import READY
from orthopsis.core.editing.edit import drag, set_at, type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw


@pytest.mark.parametrize("document", READY[::4], ids=lambda document: str(document["title"]))
def test_every_path_that_an_answer_names_is_a_place(document: dict[str, object]) -> None:
    drawing = draw(read_exercise(document))
    named = [piece.path for sentence in drawing.sentences for piece in sentence.pieces if piece.path]
    named += [handle.id for handle in drawing.handles] + [mark.path for mark in drawing.measures]
    named += [edit.path for advice in drawing.advice for cure in advice.cures for edit in cure.edits]
    for path in named:
        assert read_place(path).path == path
    owners = {sentence.about for sentence in drawing.sentences}
    assert {mark.about for mark in drawing.measures} <= owners
    assert {handle.about for handle in drawing.handles} <= owners
    assert {read_place(s.about) for s in drawing.sentences} == {PlaceRef(s.owner, s.number) for s in drawing.sentences}


@pytest.mark.parametrize("document", READY[1::6], ids=lambda document: str(document["title"]))
def test_what_a_sentence_shows_can_be_typed_again_and_changes_nothing(document: dict[str, object]) -> None:
    exercise = read_exercise(document)
    before = draw(exercise)
    for sentence in before.sentences:
        for piece in sentence.pieces:
            # A view's lengths follow from each other and are shown to a tenth of a millimetre.
            is_shown_whole = piece.kind in ("choice", "word", "text")
            if piece.path and (is_shown_whole or (piece.kind == "length" and sentence.owner != "views")):
                text = str(piece.value) if is_shown_whole else piece.text.removeprefix("about ")
                assert draw(type_at(exercise, piece.path, text)).sentences == before.sentences, piece.path


@pytest.mark.parametrize("kind", ["one_point", "two_point", "three_point"])
@pytest.mark.parametrize("document", READY[24:], ids=lambda document: str(document["title"]))
def test_another_kind_of_view_can_be_chosen_for_things_that_others_hang_on(
    document: dict[str, object], kind: str
) -> None:
    try:
        draw(type_at(read_exercise(document), "views.0.kind", kind))
    except GeometryError as error:
        assert error.why


@given(st.text(max_size=30))
def test_whatever_is_no_place_is_refused_with_words(text: str) -> None:
    try:
        assert read_place(text).path.startswith(text.partition(".")[0])
    except GeometryError as error:
        assert error.code == "no_such_place"
        assert len(error.why) < 120


@pytest.mark.parametrize(
    "path", ["", ".", "things", "things.", "things.-1.left", "things.x.left", "things.1.2.3", "things.99999.left",
             "things.²3.left", "things.٣.left", "sheet.paper.more", "__class__", "views.0.left_mm.x"],
)  # fmt: skip
def test_paths_that_only_look_like_places_are_refused(path: str) -> None:
    exercise = read_exercise(READY[0])
    for act in (lambda: type_at(exercise, path, "4 cm"), lambda: set_at(exercise, path, 4.0)):
        with pytest.raises(GeometryError, match="There is no"):
            act()
    with pytest.raises(GeometryError, match="There is no"):
        drag(exercise, path, 1.0, 2.0)


def test_places_that_nothing_stands_at_are_refused() -> None:
    exercise = read_exercise(READY[0])
    for path in ("things.7.left", "views.3.x_mm", "views.0.left_mm", "things.0.nothing", "sheet.colour"):
        with pytest.raises(GeometryError):
            type_at(exercise, path, "4 cm")
        with pytest.raises(GeometryError):
            set_at(exercise, path, 4.0)
    for handle in ("things.0.nothing", "things.9.place", "views.5.point", "views.0.left", "sheet"):
        with pytest.raises(GeometryError):
            drag(exercise, handle, 1.0, 2.0)


def test_a_reference_knows_its_whole_and_its_neighbours() -> None:
    place = thing_place(2, "left")
    assert place.path == "things.2.left"
    assert place.whole == thing_place(2)
    assert place.of("width") == thing_place(2, "width")
    assert view_place(0, "x_mm").path == "views.0.x_mm"
    assert PlaceRef("minutes").path == "minutes"


def test_the_depth_of_a_shape_is_cut_along_one_of_the_lines_that_are_there_and_each_is_called_by_its_corner() -> None:
    word = {"kind": "letters", "name": "Knot", "text": "KN", "left": 30.0, "bottom": 40.0, "width": 60, "height": 80}
    exercise = exercise_of(word, views=[{"kind": "one_point", "name": "point", "x_mm": 220.0}])
    drawing = draw(exercise)
    place = next(p for s in drawing.sentences for p in s.pieces if p.path == "things.0.depth_corner")
    auto, *corners = place.options
    assert auto.text == "the longest guide line"
    lines = {line.name: line for line in drawing.lines if line.role == "guide"}
    assert {f"guide.{corner.value}" for corner in corners} == set(lines)
    for corner in corners:
        x, y = lines[f"guide.{corner.value}"].start
        assert corner.text == f"the guide line of the corner {x - 30:.0f} mm across and {y - 40:.0f} mm up"
    across = [lines[f"guide.{corner.value}"].start[0] for corner in corners]
    assert across == sorted(across), "from left to right"
    chosen = draw(set_at(exercise, place.path, corners[-1].value))
    assert any(p.text == corners[-1].text for s in chosen.sentences for p in s.pieces)
    with pytest.raises(GeometryError, match="the one of the corner") as refused:
        draw(set_at(exercise, place.path, "4"))
    assert refused.value.nearest in {corner.value for corner in corners}
