"""What length did the teacher type, if it is a sum or a share of the sheet?

``3 3/8 + 2``, ``half``, ``a third``, ``1/3``, ``40 %``, ``half - 2 cm``. A fraction that no ruler shows is a share; one
that a ruler of the class shows is a length: ``1/2`` in an inch class is half an inch, in a centimetre class half the
sheet.
"""

import re
from fractions import Fraction

from orthopsis.core.errors import UnreadableLength
from orthopsis.core.sheet.length import Units, parse_length

_WORDS = {
    "half": Fraction(1, 2), "a half": Fraction(1, 2), "the middle": Fraction(1, 2), "middle": Fraction(1, 2),
    "a third": Fraction(1, 3), "one third": Fraction(1, 3), "two thirds": Fraction(2, 3), "a quarter": Fraction(1, 4),
    "one quarter": Fraction(1, 4), "three quarters": Fraction(3, 4), "a fifth": Fraction(1, 5),
    "two fifths": Fraction(2, 5), "three fifths": Fraction(3, 5), "four fifths": Fraction(4, 5),
}  # fmt: skip
_FRACTION = re.compile(r"^(\d{1,2})\s*/\s*(\d{1,2})$")
_PERCENT = re.compile(r"^(\d{1,3}(?:[.,]\d{1,2})?)\s*%$")
_TERM = re.compile(r"\s[+\-−]\s")
_RULER_PARTS = (2, 4, 8, 16, 32)
MOST_TERMS = 6


def parse_measure(text: str, units: Units, whole_mm: float | None) -> float:
    """Return the length in mm that a text says: one length, a share of ``whole_mm``, or a sum of them.

    Args:
        whole_mm: what a share is a share of; None where that is not clear.

    Raises:
        UnreadableLength: a part of it is none of these, or a share of nothing that is known.
    """
    tidy = text.strip()
    parts = _TERM.split(tidy)
    if len(parts) == 1:
        return _term(tidy, units, whole_mm)
    if len(parts) > MOST_TERMS or len(tidy) > 80:
        raise UnreadableLength("too_many_terms", "This sum is too long.", f"Add at most {MOST_TERMS} lengths.")
    signs = [1, *(1 if "+" in sign else -1 for sign in _TERM.findall(tidy))]
    return sum(sign * _term(part, units, whole_mm) for sign, part in zip(signs, parts, strict=True))


def _term(text: str, units: Units, whole_mm: float | None) -> float:
    share = _share(text.strip().lower(), units)
    if share is None:
        return parse_length(text, units)
    if whole_mm is None:
        raise UnreadableLength(
            "share_of_what", f"“{text.strip()[:40]}” of what is not clear here.", "Write a length, for example 6 cm."
        )
    return float(share * Fraction(whole_mm).limit_denominator(10_000))


def _share(text: str, units: Units) -> Fraction | None:
    tidy = text.removesuffix(" of the sheet").removesuffix(" of it").removesuffix(" way").strip()
    if tidy in _WORDS:
        return _WORDS[tidy]
    percent = _PERCENT.match(tidy)
    if percent is not None:
        return Fraction(percent[1].replace(",", ".")) / 100
    fraction = _FRACTION.match(tidy)
    if fraction is None or int(fraction[2]) == 0 or int(fraction[1]) > int(fraction[2]):
        return None
    is_length = units == "in" and int(fraction[2]) in _RULER_PARTS and tidy == text
    return None if is_length else Fraction(int(fraction[1]), int(fraction[2]))
