"""The letters, digits and signs: one entry each. How they are written down stands in ``letters.grid``.

``width`` is in widths of a common letter; ``strokes`` instead gives it in strokes. ``rounded`` is written where the
round form starts from another block form than the one that is drawn square.
"""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Glyph:
    """A letter: its block form; the block form that is rounded, if it has curves; its width."""

    block: str
    rounded: str = ""
    width: float = 1.0
    strokes: float = 0.0


ALPHABET: dict[str, Glyph] = {
    "A": Glyph("a1 b1 b1d6@2 e1c6@2 e1 f1 d6 c6 / b1d6@7 b1d6*e1c6 e1c6@7"),
    "B": Glyph(
        "a1 f1 f3 hm f4 f6 a6 / b2 b3 e3 e2 / b4 b5 e5 e4",
        "a1 f1o f3o h3 h4 f4o f6o a6 / b2 b3 e3o e2o / b4 b5 e5o e4o",
    ),
    "C": Glyph("a1 f1 f2 b2 b5 f5 f6 a6", "a1o f1 f2 b2o b5o f5 f6 a6o"),
    "D": Glyph("a1 h1 fn fu h6 a6 / b2 b5 e5 e2", "a1 f1o f6o a6 / b2 b5 e5o e2o"),
    "E": Glyph("a1 f1 f2 b2 b3 e3 e4 b4 b5 f5 f6 a6"),
    "F": Glyph("a1 b1 b3 e3 e4 b4 b5 f5 f6 a6"),
    "G": Glyph("a1 f1 f4 c4 c3 e3 e2 b2 b5 f5 f6 a6", "a1r f1o f4 c4 c3 e3 e2o b2r b5r f5 f6 a6r"),
    "H": Glyph("a1 b1 b3 e3 e1 f1 f6 e6 e4 b4 b6 a6"),
    "I": Glyph("a1 b1 b6 a6", strokes=1),
    "J": Glyph("a1 f1 f6 e6 e2 b2 b3 a3", "a1o f1o f6 e6 e2o b2o b3 a3"),
    "K": Glyph("a1 b1 e1a9@b e1 f1 f1b9*f6b0 f6 e6 e6a0@b b6 a6"),
    "L": Glyph("a1 f1 f2 b2 b6 a6"),
    "M": Glyph("a1 b1 a6c1@b c1 d1 f6d1@e e1 f1 f6 e6 e6c1*b6d1 b6 a6", width=1.3),
    "N": Glyph("a1 b1 a6e1@b e1 f1 f6 e6 b6f1@e b6 a6"),
    "O": Glyph("a1 f1 f6 a6 / b2 b5 e5 e2", "a1o f1o f6o a6o / b2o b5o e5o e2o"),
    "P": Glyph("a1 b1 b3 f3 f6 a6 / b4 b5 e5 e4", "a1 b1 b3 f3o f6o a6 / b4 b5 e5o e4o"),
    "Q": Glyph(
        "a2 cke1@2 e1 f1 kkf1@2 f2 f6 a6 / b7 b5 e5 e7 kkf1@7 kk ck cke1@7",
        "a2o cke1@2 e1 f1 kkf1@2 f2 f6o a6o / b7 b5o e5o e7 kkf1@7 kk ck cke1@7",
    ),
    "R": Glyph("a1 b1 b3 c3 e1 f1 d3 f3 f6 a6 / b4 b5 e5 e4", "a1 b1 b3 c3 e1 f1 d3 f3o f6o a6 / b4 b5 e5o e4o"),
    "S": Glyph(
        "a1 h1 fn f4 b4 b5 f5 f6 g6 au a3 e3 e2 a2",
        "a1 f1o f4o b4o b5o f5 f6 a6o a3o e3o e2o a2",
    ),
    "T": Glyph("c1 d1 d5 f5 f6 a6 a5 c5"),
    "U": Glyph("a1 f1 f6 e6 e2 b2 b6 a6", "a1o f1o f6 e6 e2o b2o b6 a6"),
    "V": Glyph("c1 d1 f6 e6 b6d1*e6c1 b6 a6"),
    "W": Glyph("a1 b1 b1d6*e1c6 e1 f1 f6 e6 f1d6@e d6 c6 a1c6@b b6 a6", width=1.3),
    "X": Glyph("a1 b1 b1f6*e1a6 e1 f1 f1b6*b1f6 f6 e6 a1e6*f1b6 b6 a6 e1a6*a1e6"),
    "Y": Glyph("c1 d1 d3 f6 e6 e6c3*b6d3 b6 a6 c3"),
    "Z": Glyph("a1 f1 f2 b2 f5 f6 a6 a5 e5 a2"),
    "0": Glyph("a1 f1 f6 a6 / b2 b5 e5 e2", "a1o f1o f6o a6o / b2o b5o e5o e2o", width=0.8),
    "1": Glyph("a1 f1 f2 d2 d6 g6 g5 c5 c2 a2", width=0.8),
    "2": Glyph("a1 f1 f2 b2 b3 f3 f6 a6 a5 e5 e4 a4", "a1 f1 f2 b2 b3o f3o f6o a6 a5 e5o e4o a4o"),
    "3": Glyph("a1 f1 f6 a6 a5 e5 e4 b4 b3 e3 e2 a2", "a1 f1o f3o h3 h4 f4o f6o a6 a5 e5o e4o b4 b3 e3o e2o a2"),
    "4": Glyph("e1 f1 f6 e6 e4 b4 b6 a6 a3 e3"),
    "5": Glyph("a1 h1 fn fm h4 b4 b5 f5 f6 a6 a3 e3 e2 a2", "a1 f1o f4o b4 b5 f5 f6 a6 a3 e3o e2o a2"),
    "6": Glyph("a1 f1 f4 b4 b5 f5 f6 a6 / b2 b3 e3 e2", "a1r f1o f4o b4 b5o f5 f6 a6r / b2o b3o e3o e2o"),
    "7": Glyph("c1 d1 f5 f6 a6 a5 e5"),
    "8": Glyph(
        "a1 f1 f3 hm f4 f6 a6 a4 gm a3 / b2 b3 e3 e2 / b4 b5 e5 e4",
        "a1l f1l fw h3 h4 fs f6l a6l as g4 g3 aw / b2o b3o e3o e2o / b4o b5o e5o e4o",
    ),
    "9": Glyph("a1 f1 f6 a6 a3 e3 e2 a2 / b4 b5 e5 e4", "a1 f1r f6r a6o a3o e3 e2o a2 / b4o b5o e5o e4o"),
    "&": Glyph("a1 f1 f2 e2 e3 f3 f4 d4 d6 a6 / b2 b3 d3 d2 / b4 b5 c5 c4", strokes=5),
    "!": Glyph("a1 b1 b2 a2 / az bz b6 a6", strokes=1),
    "?": Glyph("c1 d1 d2 c2 / cz dz d3 f3 f6 a6 a5 e5 e4 c4", "c1 d1 d2 c2 / cz dz d3 f3o f6o a6 a5 e5o e4o c4"),
    "-": Glyph("a3 f3 f4 a4", width=0.6),
    "'": Glyph("a4 b4 b6 a6", strokes=1),
    "=": Glyph("a2 f2 f3 a3 / a4 f4 f5 a5", width=0.8),
    "Æ": Glyph("a1 b1 b3 c3 c1 f1 f2 d2 d3 e3 e4 d4 d5 f5 f6 a6 / b4 b5 c5 c4", width=1.5),
    "Œ": Glyph(
        "a1 f1 f2 d2 d3 e3 e4 d4 d5 f5 f6 a6 / b2 b5 c5 c2",
        "a1o f1 f2 d2 d3 e3 e4 d4 d5 f5 f6 a6o / b2o b5o c5 c2",
        width=1.5,
    ),
    "Ø": Glyph("a1 f1 f6 a6 / b3 b5 d5 / e4 e2 c2", "a1o f1o f6o a6o / b3 b5o d5 / e4 e2o c2"),
    "Ð": Glyph("b1 h1 fn fu h6 b6 b4 a4 a3 b3 / c2 c5 e5 e2", "b1 f1o f6o b6 b4 a4 a3 b3 / c2 c5 e5o e2o", strokes=5),
    "Þ": Glyph("a1 b1 b2 f2 f5 b5 b6 a6 / b7 b8 e8 e7", "a1 b1 b2 f2o f5o b5 b6 a6 / b7 b8 e8o e7o"),
}

ACCENTS: dict[str, str] = {
    "\u0300": "cx dx cy by",
    "\u0301": "cx dx ey dy",
    "\u0302": "bx ex dy cy",
    "\u0303": "bx cv dx ev ey dt cy bt",
    "\u0308": "ax bx by ay / ex fx fy ey",
    "\u030a": "ix jx jy iy / cv ct dt dv",
    "\u030c": "cx dx ey by",
    "\u0327": "cq dq dp cp",
}
"""Marks over and under capitals, by the combining character: grave, acute, circumflex, tilde, diaeresis, ring, caron,
cedilla."""

NARROWEST_STROKES = 3.5
"""Widths under this many strokes are taken as this wide for an accent."""
