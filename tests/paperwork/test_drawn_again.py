"""Sheets drawn again from the printed steps alone, with a ruler that knows nothing but their words.

The text is taken out of the PDF. Every sentence must be understood: one that leaves open what to do is an error.
"""

import io
import re
from collections.abc import Callable, Sequence

import pytest
from pypdf import PdfReader
from room_hand import ROOM_SENTENCES, RoomHand
from street_hand import STREET_SENTENCES, StreetHand
from student_hand import SENTENCES, Hand, Place

from conftest import exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Step
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.wording.vocabulary import listed
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.step_sheets import StepPages, add_steps

NEAR_MM = 0.05
Sentences = Sequence[tuple[str, Callable[..., None]]]
THERE = re.compile(
    r" (?:This line is|All of these lines are|One of these lines is|\w+ of these lines are) there already\.$"
)
"""Said of lines that earlier steps have drawn: who draws them again draws them where they are."""
DONE = re.compile(r" The paper of the [\w ]+ may come off now\.$")
"""Said after the last line to a point off the sheet: nothing is drawn."""
BEHIND = re.compile(r" What lies behind [\w ,]+ is drawn very lightly: it goes away again\.$")
"""Said of lines that another thing hides: who draws them takes them away in the end."""


SPAN = r"(?<!\w)[a-zA-Z](?: to [a-zA-Z])?"
LETTERED = re.compile(rf"({SPAN}(?:, and apart from them {SPAN})*),?(?: in mm)? on the picture")
JOINED = re.compile(r"(?<=join lightly )([a-z] to [a-z](?:(?:, | and )[a-z] to [a-z])*) on the picture")
CORNER = re.compile(r"the corner ([a-z])( of [\w ]+ of \w+)\b")
MEASURED = re.compile(r"(?:at )?the \d+ measures in mm on the picture")


SIGNS = re.compile(r" [+−] after a figure: a little (?:more|less) than that\.")
BESIDE = re.compile(r"(?P<words>a little (?:over|less than) )?(?P<mark>\d*)(?P<sign>[½+−]|(?= mm))")
LITTLE = 0.25
"""How far beside a mark a hand goes that is told to go a little over it, mm: a half that is not half (no source)."""


def beside_marks(text: str) -> str:
    """Return the words with the measures that a hand takes that lie beside the marks of its ruler."""

    def taken(found: re.Match[str]) -> str:
        words, mark, sign = found["words"] or "", found["mark"], found["sign"]
        if not (words or (mark and sign) or sign == "½"):
            return found[0]
        past = 0.5 if sign == "½" else LITTLE if "over" in words or sign == "+" else -LITTLE
        return f"{int(mark or 0) + past:g}"

    return BESIDE.sub(taken, SIGNS.sub("", text))


def printed(exercise: Exercise) -> list[str]:
    """Return the printed text of each step, without title and slip, with what is read off its picture put in."""
    pages, drawing = Pages("Again"), draw(exercise)
    add_steps(pages, drawing, "Again", StepPages(1))
    texts = []
    for page, step in zip(PdfReader(io.BytesIO(pages.bytes())).pages, drawing.steps, strict=True):
        raw = page.extract_text()
        body = " ".join(raw.split()).partition(" Watch for:")[0]
        texts.append(BEHIND.sub("", THERE.sub("", DONE.sub("", beside_marks(read_off(body, step, set(raw.split())))))))
    return texts


def read_off(text: str, step: Step, shown: set[str]) -> str:
    """Return the words with the figures that the picture carries in their places.

    Args:
        shown: all texts that are printed on the page: nothing is read off that is not there.
    """
    figures = {letter.text: (letter.across, letter.up) for letter in step.letters}
    places = {letter.text: letter.at for letter in step.letters}
    names = list(figures)
    beside = [[mark.text for mark in scale.marks] for scale in step.scales]
    if (found := JOINED.search(text)) is not None:
        assert {*names} <= shown
        joined = re.sub(r"\b[a-z]\b", lambda letter: " ".join(figures[letter[0]]), found[1])
        text = text.replace(found[0], joined)
    elif (found := LETTERED.search(text)) is not None:
        loops = []
        for span in found[1].split(", and apart from them "):
            first, _, last = span.partition(" to ")
            loop = names[names.index(first) : names.index(last or first) + 1]
            loops.append("; ".join(read_at(figures[name], places[name]) for name in loop))
            scaled = {figure for one in beside for figure in one}
            read = {figure for name in loop for figure in figures[name] if figure}
            assert read <= scaled | {"0"}, "read off the scales"
            assert {*loop} <= shown
        text = text.replace(found[0], "; apart from them ".join(loops))
    if (corner := CORNER.search(text)) is not None:
        across, up = figures[corner[1]]
        assert corner[1] in shown
        text = text.replace(corner[0], f"the corner{corner[2]} at {across} across, {up} up")
    if MEASURED.search(text):
        # At 0 the ruler begins.
        text = MEASURED.sub(listed([f"{figure} mm" for figure in beside[0] if figure != "0"]), text)
    if "numbered light lines" in text:
        rows = next(scale for scale in step.scales if scale.side != "below")
        text = text.replace("numbered light lines", f"light lines {listed([mark.text for mark in rows.marks])}")
    if "that the picture numbers" in text:
        columns, rows = ([mark.text for mark in scale.marks] for scale in step.scales)
        text = text.replace("that the picture numbers", f"{' '.join(columns)} along, {' '.join(rows)} up")
    assert {figure for one in beside for figure in one} <= shown, "all measures of the picture are printed"
    return text


def read_at(figures: tuple[str, str], at: Place) -> str:
    """Return the figures of a corner; where a line that leans has none, where the letter stands in the picture.

    That says which of several crossings is meant: it is read to no more than a centimetre.
    """
    if all(figures):
        return " ".join(figures)
    return f"{figures[0]}@{round(at[0], -1)}/{round(at[1], -1)}@{figures[1]}"


def draw_again(exercise: Exercise, hand: Hand | None = None, sentences: Sentences = SENTENCES) -> Hand:
    """Draw what the printed steps say."""
    hand = hand or Hand(draw(exercise).sheet.width_mm)
    for text in printed(exercise):
        found = [(match, act) for pattern, act in sentences if (match := re.search(pattern + "$", text))]
        assert len(found) == 1, f"not understood: {text}"
        match, act = found[0]
        act(hand, *match.groups())
    return hand


TITLES = (
    "Three crates: below, on and above",
    "Chests by the boathouse, two points",
    "Net lofts from above, three points",
    "The light tower from below, three points",
)


@pytest.mark.parametrize("title", TITLES)
def test_the_printed_steps_are_enough_to_draw_the_sheet(title: str) -> None:
    document = next(d for d in READY if d["title"] == title)
    things = [thing for thing in document["things"] if thing.get("look", "solid") == "solid"]
    exercise = read_exercise({**document, "things": things, "wording": {"level": "middle"}})
    hand = draw_again(exercise)
    for line in draw(exercise).lines:
        if line.role == "edge" and line.visible:
            for share in (0.05, 0.5, 0.95):
                at = tuple(a + share * (b - a) for a, b in zip(line.start, line.end, strict=True))
                assert min(_gap(edge, at) for edge in hand.drawn) < NEAR_MM, f"{line.thing}: {line.name}"


def test_a_name_in_block_letters_is_drawn_again_and_found_right() -> None:
    word = {"kind": "letters", "name": "Name", "text": "TARN", "left": 30, "bottom": 40, "width": 60, "height": 72}
    depth = {"depth_by": "measured", "depth": 48}
    exercise = exercise_of({**word, **depth}, views=[{"kind": "one_point", "x_mm": 300}])
    assert_drawn_and_found_right(exercise, draw_again(exercise))


def test_knot_on_a_long_block_is_drawn_again_and_found_right() -> None:
    word = {"kind": "letters", "name": "Knot", "text": "KNOT", "left": 300, "bottom": 30, "height": 100, "side": "left"}
    sides = {"left_by": "measured", "left_length": 200, "right_by": "measured", "right_length": 26}
    view = {"kind": "two_point", "left_mm": -120, "right_mm": 520}
    exercise = exercise_of({**word, **sides, "width": 64, "gap": 12}, views=[view])
    assert_drawn_and_found_right(exercise, draw_again(exercise))


def test_a_word_that_steps_back_is_drawn_again_and_found_right() -> None:
    word = {"kind": "letters", "name": "Rope", "text": "ROPE", "left": 24, "bottom": 30, "width": 66, "height": 80}
    layout = {"layout": "steps", "step": 58, "gap": 12, "depth_by": "measured", "depth": 30}
    exercise = exercise_of({**word, **layout}, views=[{"kind": "one_point", "x_mm": 320}])
    # Measures of the letters behind lie beside the marks of the ruler: up to a quarter of a millimetre each way.
    assert_drawn_and_found_right(exercise, draw_again(exercise), near_mm=0.4)


STREETS = (
    "A quay street with a second row, one point",
    "Three tall stores on the quay, two points",
    "A net loft with chimney, dormer and shingles, two points",
)


@pytest.mark.parametrize("title", STREETS)
def test_a_street_is_drawn_again_from_its_printed_steps_and_found_right(title: str) -> None:
    document = next(d for d in READY if d["title"] == title)
    things = [thing for thing in document["things"] if thing["kind"] != "pattern"]
    exercise = read_exercise({**document, "things": things, "wording": {"level": "middle"}})
    hand = draw_again(exercise, StreetHand(draw(exercise).sheet.width_mm), STREET_SENTENCES)
    assert_drawn_and_found_right(exercise, hand)


@pytest.mark.parametrize("climbs", ["along", "up"])
def test_a_room_with_stairs_is_drawn_again_from_its_printed_steps_and_found_right(climbs: str) -> None:
    document = next(d for d in READY if d["title"] == "A flight of stairs in the net loft, one point")
    things = [{**thing, "climbs": climbs} if thing["kind"] == "stairs" else thing for thing in document["things"]]
    if climbs == "up":  # beside the wall, where it has room to the right
        things[1] |= {"along": "4:5:3", "up": "5:6:1"}
    exercise = read_exercise({**document, "things": things, "wording": {"level": "middle"}})
    hand = draw_again(exercise, RoomHand(draw(exercise).sheet.width_mm), ROOM_SENTENCES)
    assert_drawn_and_found_right(exercise, hand)


def assert_drawn_and_found_right(exercise: Exercise, hand: Hand, near_mm: float = NEAR_MM) -> None:
    """Check that every line that is to be seen was drawn, and that the checker finds nothing wrong with them."""
    strokes = []
    for line in draw(exercise).lines:
        if line.role not in ("edge", "detail") or not line.visible:
            continue
        ends = [line.start, line.end]
        if line.role == "edge":
            fits = [edge for edge in hand.drawn if max(_gap(edge, at) for at in ends) < near_mm]
            assert fits, f"{line.thing}: {line.name}"
            ends = [_foot(fits[0], at) for at in ends]
        strokes.append(Stroke(Point(*ends[0]), Point(*ends[1]), 1.0))
    checked = check(exercise, strokes)
    assert checked.missing == []
    assert [finding for finding in checked.findings if finding.severity] == []


def _foot(edge: tuple[Place, Place], at: Place) -> Place:
    (ax, ay), (bx, by) = edge
    share = ((at[0] - ax) * (bx - ax) + (at[1] - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2)
    return (ax + share * (bx - ax), ay + share * (by - ay))


def _gap(edge: tuple[Place, Place], at: tuple[float, ...]) -> float:
    (ax, ay), (bx, by) = edge
    square = (bx - ax) ** 2 + (by - ay) ** 2
    share = min(1.0, max(0.0, ((at[0] - ax) * (bx - ax) + (at[1] - ay) * (by - ay)) / square))
    return ((ax + share * (bx - ax) - at[0]) ** 2 + (ay + share * (by - ay) - at[1]) ** 2) ** 0.5
