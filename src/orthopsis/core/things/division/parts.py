"""Into which parts is a length divided? ``4`` are four equal ones, ``2:1:2`` are parts in that ratio."""

import itertools
import re
from collections.abc import Sequence

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import SAME_SHARE

MOST_PARTS = 24
_COUNT = re.compile(r"^(\d{1,3})(?: (?:equal )?parts?)?$")
_RATIO = re.compile(r"^\d{1,3}(?:[.,]\d{1,3})?(?: ?[:/] ?\d{1,3}(?:[.,]\d{1,3})?)+$")


def read_parts(text: str, about: str) -> list[float]:
    """Return where the parts end, in shares of the whole, the last end left out: nothing for one part.

    Raises:
        GeometryError: it is no number of parts and no ratio; or there are too many, or a part is nothing.
    """
    text = " ".join(text.split())
    count, ratio = _COUNT.match(text), _RATIO.match(text)
    if count:
        parts = [1.0] * int(count[1])
    elif ratio:
        parts = [float(part.replace(",", ".")) for part in re.split(r" ?[:/] ?", text)]
    else:
        fix = "Type a number, such as 4, or a ratio, such as 2:1:2."
        raise _fault(f"“{text[:40]}” is no number of parts.", fix, about)
    if len(parts) > MOST_PARTS:
        raise _fault(f"{len(parts)} parts are too many to draw.", f"Type at most {MOST_PARTS}.", about, str(MOST_PARTS))
    if not parts or min(parts) == 0:
        raise _fault("A part is longer than nothing.", "Type 1 or more.", about, "1")
    whole = sum(parts)
    return [end / whole for end in itertools.accumulate(parts)][:-1]


def are_equal(ends: Sequence[float]) -> bool:
    """Tell whether parts that end there are equally long."""
    return all(abs(end - (i + 1) / (len(ends) + 1)) < SAME_SHARE for i, end in enumerate(ends))


def are_halves(ends: Sequence[float]) -> bool:
    """Tell whether the parts come from halving again and again: two, four, eight or sixteen equal ones."""
    count = len(ends) + 1
    return are_equal(ends) and count & (count - 1) == 0


def _fault(why: str, fix: str, about: str, nearest: str = "2") -> GeometryError:
    return GeometryError("not_parts", why, fix, about=about, nearest=nearest)
