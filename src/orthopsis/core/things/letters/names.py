"""A word that stands for each student's own name: how does a name fit where the teacher's word stands?

It takes up no more room than the teacher's word. A long name becomes smaller; where that would make its letters too
small to draw well, it may be set in two rows or as initials instead, and a name that would take longer than the lesson
may be cut to initials, as the teacher has decided for all.
"""

import math
from dataclasses import replace

from orthopsis.core.things.answers import Fit, Personal
from orthopsis.core.things.letters.layouts import side_by_side, takes_rows
from orthopsis.core.things.letters.measures import letters_of, stroke_mm
from orthopsis.core.things.letters.word import ROW_END, readable
from orthopsis.core.things.outline import size
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.values import Values

WHOSE = {"all": "the same for everybody", "student": "a place for each student's own name"}
LONG = {"smaller": "made smaller", "rows": "set in two rows", "initials": "cut to initials"}
LATE = {"whole": "kept whole", "initials": "cut to initials"}
SMALLEST = 0.6
"""A name that would be less than this share of the teacher's letters is long (no source)."""
SHORTEST_ROWS = 4
"""Characters of a name that can be parted."""
LEAST_SHARE = 0.05
"""Below this share of the teacher's letters the ruler's marks decide, and nothing gets smaller."""
TALLEST = 1.5
"""How many times as tall as the teacher's word two rows may be (no source)."""


def is_own(values: Values) -> bool:
    """Tell whether a word is another one on each student's sheet."""
    return values.word("whose") == "student"


def own_name(values: Values, division_mm: float, name: str, fit: Fit) -> Personal | None:
    """Return what becomes of a word drawn true, on a student's sheet; nothing if it is the same for everybody."""
    if not is_own(values):
        return None
    text, remarks = _chosen(values, name, fit, stroke_mm(values))
    return Personal(_fitted(values, text, division_mm), tuple(remarks))


def own_name_on_side(values: Values, side_mm: float, name: str, fit: Fit) -> Personal | None:
    """Return what becomes of a word on a side: the block stays as it is, a longer name has narrower letters on it.

    Args:
        side_mm: how long the side is on the page.
    """
    if not is_own(values):
        return None
    stroke = stroke_mm(values) * side_mm / _room(values)[0]
    text, remarks = _chosen(values, name, fit, stroke)
    return Personal({"text": text}, tuple(remarks))


def _chosen(values: Values, name: str, fit: Fit, stroke: float) -> tuple[str, list[str]]:
    """Return the text of a name as it fits, and what a teacher should look at.

    Args:
        stroke: how wide the strokes of the teacher's word are on the page, mm.
    """
    whole, remarks = readable(name.replace(ROW_END, " "))
    if not whole:
        word = values.word("text")
        return word, [f"“{name}” has no character of this alphabet: the sheet keeps {word}. Enter an alias that has."]
    smallest = min(max(SMALLEST, fit.thinnest_mm / stroke), 1.0)
    text = whole
    if fit.is_late and values.word("late") == "initials":
        text = _initials(whole)
    elif _share(values, whole) < smallest:
        text = {"smaller": whole, "rows": _in_rows(values, whole), "initials": _initials(whole)}[values.word("long")]
    if text != whole and text == _initials(whole):
        why = "it would take longer than the lesson" if fit.is_late else "its letters would be too small"
        remarks.append(f"“{whole}” is cut to initials: {why}.")
    share = _share(values, text)
    if share < smallest:
        remarks.append(f"Its strokes are only {share:.0%} as wide as yours; they will be hard to draw.")
    return text, remarks


def _fitted(values: Values, text: str, division_mm: float) -> dict[str, Value]:
    """Return the text and the measures with which a word takes up no more room, its corners on marks of the ruler."""
    wide, share = _room(values, division_mm)[0], _share(values, text)
    while True:
        changes: dict[str, Value] = {"text": text, **_smaller(values, share)}
        own_wide = _room(replace(values, held={**values.held, **changes}), division_mm)[0]
        if own_wide <= wide + division_mm or share < LEAST_SHARE:
            return changes
        share *= wide / own_wide


def _share(values: Values, text: str) -> float:
    """Return how many times as large as the teacher's a word can be, at most 1."""
    wide, tall = _room(values)
    own_wide, own_tall = _room(replace(values, held={**values.held, "text": text}))
    return min(1.0, wide / own_wide, TALLEST * tall / own_tall)


def _room(values: Values, division_mm: float = 0.0) -> tuple[float, float]:
    """Return how wide and tall the letters of a word are that stand side by side, where those are most, mm."""
    letters = letters_of(values, division_mm)
    groups = [group for group in side_by_side(values.word("layout"), letters) if group]
    extents = [size(tuple(loop for letter in group for loop in letter.outline)) for group in groups]
    wide = max(right - min(a.left for a in group) for group, (right, _) in zip(groups, extents, strict=True))
    return wide, max(high for _, high in extents)


def _smaller(values: Values, share: float) -> dict[str, Value]:
    """Return the measures of smaller letters, on whole millimetres where that is possible."""
    if share == 1.0:
        return {}
    names = ["width", "height", "gap"]
    if values.word("thickness") == "measured":
        names += ["stroke", "bar", "middle", "middle_up"]
    return {name: _floor(values.mm(name) * share) for name in names}


def _floor(mm: float) -> float:
    return float(math.floor(mm)) if mm >= 1 else mm


def _in_rows(values: Values, text: str) -> str:
    """Return a name in two rows: parted at a space near its middle, else in the middle; whole where rows cannot be."""
    if len(text) < SHORTEST_ROWS or not takes_rows(values.word("layout")):
        return text
    middle = len(text) / 2
    spaces = [i for i, character in enumerate(text) if character in " -"]
    if spaces:
        at = min(spaces, key=lambda i: abs(i - middle))
        return f"{text[:at].strip()}{ROW_END}{text[at + 1 :].strip()}" if 0 < at < len(text) - 1 else text
    at = math.ceil(middle)
    return f"{text[:at]}{ROW_END}{text[at:]}"


def _initials(text: str) -> str:
    """Return the first letter of each word; a number stays whole."""
    return "".join(word if word.isdecimal() else word[0] for word in text.replace("-", " ").split())
