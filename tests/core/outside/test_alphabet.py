"""The letters against a packaged typeface: how many pieces and counters each has.

Source: DejaVu Sans (the Debian package fonts-dejavu-core), its outlines read by fontTools.
"""

from pathlib import Path

import pytest
from fontTools.pens.areaPen import AreaPen
from fontTools.pens.recordingPen import DecomposingRecordingPen
from fontTools.ttLib import TTFont

from orthopsis.core.things.letters.alphabet import ALPHABET
from orthopsis.core.things.letters.grid import Measures
from orthopsis.core.things.letters.word import set_word
from orthopsis.core.things.outline import pieces

FONT = Path("/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf")
OTHERWISE = {"4": (1, 0), "&": (1, 2), "Q": (1, 1), "Ø": (1, 2), "Å": (2, 2)}
"""Pieces and counters of the letters that we draw in another way than the typeface: an open 4, an & of two rings with
feet, a Q whose tail runs through its ring, a Ø whose stroke is part of it, an Å with its ring apart."""


@pytest.fixture(scope="module")
def font() -> TTFont:
    return TTFont(FONT)


def loops(font: TTFont, character: str) -> tuple[int, int]:
    """Return how many outlines run the way of the letter's body, and how many the other way."""
    glyphs = font.getGlyphSet()
    name = font.getBestCmap()[ord(character)]
    pen = DecomposingRecordingPen(glyphs)
    glyphs[name].draw(pen)
    areas, contour = [], None
    for operation, arguments in pen.value:
        if operation == "moveTo":
            contour = AreaPen()
        assert contour is not None
        getattr(contour, operation)(*arguments)
        if operation in ("closePath", "endPath"):
            areas.append(contour.value)
    body = max(areas, key=abs)
    return sum(a * body > 0 for a in areas), sum(a * body < 0 for a in areas)


@pytest.mark.parametrize("is_round", [False, True])
@pytest.mark.parametrize("character", [*ALPHABET, *"ÀÂÄÅÉÑÖÜŽ"])
def test_a_letter_has_the_pieces_and_counters_of_the_typeface_s(font: TTFont, character: str, is_round: bool) -> None:
    outline = set_word(character, Measures(50, 60, 12.5, 12, 12, 24), 10, is_round=is_round)[0].outline
    ours = pieces(outline)
    expected = OTHERWISE.get(character) or loops(font, character)
    assert (len(ours), sum(len(piece) - 1 for piece in ours)) == expected
