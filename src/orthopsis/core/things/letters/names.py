"""A word that stands for each student's own name: how does a name fit where the teacher's word stands?

It takes up no more room than the teacher's word. A long name becomes smaller; where that would make its letters too
small to draw well, it may be set in two rows or as initials instead, as the teacher has decided for all.
"""

import math
from dataclasses import replace

from orthopsis.core.things.declare import Personal, Values
from orthopsis.core.things.letters.measures import shaped
from orthopsis.core.things.letters.word import ROW_END, readable
from orthopsis.core.things.outline import size
from orthopsis.core.things.parameters import Value

WHOSE = {"all": "the same for everybody", "student": "a place for each student's own name"}
LONG = {"smaller": "made smaller", "rows": "set in two rows", "initials": "cut to initials"}
SMALLEST = 0.6
"""A name that would be less than this share of the teacher's letters is long (no source)."""
SHORTEST_ROWS = 4
"""Characters of a name that can be parted."""
TALLEST = 1.5
"""How many times as tall as the teacher's word two rows may be (no source)."""


def own_name(values: Values, name: str) -> Personal | None:
    """Return what becomes of a word drawn true, on a student's sheet; nothing if it is the same for everybody."""
    found = own_name_on_side(values, name)
    if found is None:
        return None
    share = _share(values, str(found.changes["text"]))
    return replace(found, changes={**found.changes, **_smaller(values, share)})


def own_name_on_side(values: Values, name: str) -> Personal | None:
    """Return what becomes of a word on a side: the block stays as it is, a longer name has narrower letters on it."""
    if values.word("whose") != "student":
        return None
    text, remarks = readable(name.replace(ROW_END, " "))
    share = _share(values, text)
    if share < SMALLEST and values.word("long") != "smaller":
        text = _in_rows(text) if values.word("long") == "rows" else _initials(text)
        share = _share(values, text)
    if share < SMALLEST:
        remarks.append(f"The letters are only {share:.0%} as large as yours; they will be hard to draw.")
    return Personal({"text": text}, tuple(remarks))


def _share(values: Values, text: str) -> float:
    """Return how many times as large as the teacher's a word can be, at most 1."""
    wide, tall = size(shaped(values).outline("outline"))
    own_wide, own_tall = size(shaped(replace(values, held={**values.held, "text": text})).outline("outline"))
    return min(1.0, wide / own_wide, TALLEST * tall / own_tall)


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


def _in_rows(text: str) -> str:
    """Return a name in two rows: parted at a space near its middle, else in the middle."""
    if len(text) < SHORTEST_ROWS:
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
