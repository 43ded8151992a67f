"""What length did the teacher type, and how is a length written for the class?

Lengths are millimetres inside the program. Outside they are inches with fractions, centimetres or
millimetres: ``2 3/8 in``, ``2 3/8"``, ``2⅜``, ``6.2 cm``, ``6,2 cm``, ``62 mm``.
"""

import math
import re
from fractions import Fraction
from functools import lru_cache
from typing import Literal

from orthopsis.core.errors import UnreadableLength

Units = Literal["mm", "cm", "in"]

MM_PER: dict[Units, float] = {"mm": 1.0, "cm": 10.0, "in": 25.4}
"""Millimetres in one unit; the inch is exactly 25.4 mm since 1959 (from memory)."""

LONGEST_MM = 100_000.0
"""No length of an exercise is over a hundred metres; longer ones are slips of the finger."""

_GLYPHS = {
    "½": "1/2", "¼": "1/4", "¾": "3/4", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8", "⅞": "7/8", "⅓": "1/3", "⅔": "2/3",
}  # fmt: skip
_UNIT_WORDS: dict[str, Units] = {
    "mm": "mm", "millimetre": "mm", "millimetres": "mm", "millimeter": "mm", "millimeters": "mm",
    "cm": "cm", "centimetre": "cm", "centimetres": "cm", "centimeter": "cm", "centimeters": "cm",
    "in": "in", "inch": "in", "inches": "in", '"': "in", "″": "in", "”": "in", "''": "in", "in.": "in",
}  # fmt: skip
_NUMBER = re.compile(
    r"^(?P<sign>[-−+]?)\s*(?:(?P<whole>\d{1,9})[\s-]+)?(?P<num>\d{1,6})\s*/\s*(?P<den>\d{1,6})(?P<unit>\D*)$"
    r"|^(?P<sign2>[-−+]?)\s*(?P<decimal>\d{0,9}(?:[.,]\d{0,9})?)(?P<unit2>\D*)$"
)

NO_BREAK = "\N{NO-BREAK SPACE}"
_LENGTH_IN_TEXT = re.compile(r"(?:\d+ )?\d+/\d+(?: (?:in|cm|mm))?\b|[\d½] (?:in|cm|mm)\b")


_FINE_MM: dict[Units, float] = {"mm": 1.0, "cm": 1.0, "in": MM_PER["in"] / 16}
"""Marks that most rulers have."""


def parse_length(text: str, units: Units) -> float:
    """Return the length in mm that ``text`` says; a bare number is in ``units``.

    Raises:
        UnreadableLength: the text is no length, has an unknown unit, or is absurdly long.
    """
    tidy = text.strip()
    for glyph, plain in _GLYPHS.items():
        tidy = tidy.replace(glyph, f" {plain}")
    match = _NUMBER.match(tidy.strip()) if len(tidy) <= 40 else None
    if match is None or not any(ch.isdigit() for ch in tidy):
        raise _unreadable(text)
    word = (match["unit"] or match["unit2"] or "").strip().lower()
    unit = _UNIT_WORDS.get(word) if word else units
    if unit is None:
        raise UnreadableLength(
            "unknown_unit",
            f"“{text.strip()[:40]}” has a unit that is not known here.",
            "Write in, cm or mm, for example 2 3/8 in or 6 cm.",
        )
    value = _sign(match) * _value(match, text) * MM_PER[unit]
    if abs(value) > LONGEST_MM:
        raise UnreadableLength("absurd_length", f"“{text.strip()[:40]}” is longer than any sheet.", "Check the unit.")
    return value


@lru_cache(maxsize=4096)
def format_length(mm: float, units: Units, division_mm: float) -> str:
    """Return ``mm`` as the class writes it: ``2 3/8 in``, ``6.2 cm``, ``62 mm``.

    Inches are written as the nearest fraction of the ruler; if the length lies off the ruler's marks by
    more than a hundredth of a division it is written with "about".
    """
    is_on_mark = units != "in" or math.isclose(mm, _on_mark(mm, division_mm), abs_tol=division_mm / 100)
    return f"{'' if is_on_mark else 'about '}{format_mark(mm, units, division_mm)}"


def format_mark(mm: float, units: Units, division_mm: float) -> str:
    """Return ``mm`` as the class writes it, with no word about how near the mark of an inch ruler is to it."""
    return f"{format_figure(mm, units, division_mm)} {units}"


def format_figure(mm: float, units: Units, division_mm: float) -> str:
    """Return ``mm`` as the class writes it, without its unit."""
    if units == "in":
        return _inches(mm, division_mm)
    return _decimal(mm / 10, 2) if units == "cm" else _decimal(mm, 1)


def format_limit(mm: float, units: Units, division_mm: float, *, is_least: bool) -> str:
    """Return the mark of the ruler that is nearest to a limit and within it, as the class writes it."""
    count = mm / division_mm
    on_mark = (math.ceil(count - 1e-9) if is_least else math.floor(count + 1e-9)) * division_mm
    return format_mark(on_mark, units, division_mm)


def format_nearly(mm: float, units: Units, division_mm: float) -> str:
    """Return a length that nobody measures, to the nearest fine mark of a ruler, or that it is less than one."""
    fine_mm = min(division_mm, _FINE_MM[units])
    count = math.floor(mm / fine_mm + 0.5)
    return f"{'' if count else 'less than '}{format_mark(max(count, 1) * fine_mm, units, fine_mm)}"


OVER, UNDER = "a little over ", "a little less than "
"""What is said before the nearest mark of a ruler where a length lies beside it."""
PAST, SHORT = "+", "−"
"""What stands for that after the figure of a mark on a picture."""
_SAID = {PAST: OVER, SHORT: UNDER, "": ""}
_ON_MARK, _ON_HALF = 0.08, 0.08
"""Shares of a division within which a length lies on a mark, or halfway between two (no source)."""


@lru_cache(maxsize=4096)
def format_laid(mm: float, units: Units, division_mm: float) -> str:
    """Return a length that a hand lays off, by a mark that its ruler has: ``a little over 65 mm``, ``32½ mm``."""
    figure, beside = _by_mark(mm, units, division_mm)
    return f"{_SAID[beside]}{figure} {units}"


@lru_cache(maxsize=4096)
def format_tick(mm: float, units: Units, division_mm: float) -> str:
    """Return the figure of a length that a hand lays off, as it stands on a picture: ``65+``, ``78−``, ``32½``."""
    return "".join(_by_mark(mm, units, division_mm))


def _by_mark(mm: float, units: Units, division_mm: float) -> tuple[str, str]:
    """Return the figure of the nearest fine mark of a ruler, and whether the length lies past it or short of it."""
    fine_mm = min(division_mm, _FINE_MM[units])
    count = math.floor(abs(mm) / fine_mm)
    past = abs(mm) / fine_mm - count
    if units != "in" and abs(past - 0.5) <= _ON_HALF:
        half = (count + 0.5) * fine_mm
        figure = _decimal(half / 10, 2) if units == "cm" else f"{count or ''}½"
        return f"{'-' if mm < 0 else ''}{figure}", ""
    beside = "" if min(past, 1 - past) <= _ON_MARK else PAST if past < 0.5 else SHORT
    nearest = math.copysign((count + (past > 0.5)) * fine_mm, mm)
    return format_figure(nearest, units, fine_mm), beside


def unbroken(text: str) -> str:
    """Return a text in which no length is broken over a line: its spaces are such as do not break."""
    return _LENGTH_IN_TEXT.sub(lambda found: found[0].replace(" ", NO_BREAK), text)


def _steps(division_mm: float) -> int:
    """Return how many divisions of an inch ruler make an inch."""
    return max(1, round(MM_PER["in"] / division_mm))


def _on_mark(mm: float, division_mm: float) -> float:
    """Return the place of the nearest mark of an inch ruler, mm."""
    step = MM_PER["in"] / _steps(division_mm)
    return round(mm / step) * step


def _inches(mm: float, division_mm: float) -> str:
    steps = _steps(division_mm)
    count = round(abs(mm) / MM_PER["in"] * steps)
    whole, rest = divmod(count, steps)
    sign = "-" if mm < 0 and count else ""
    fraction = Fraction(rest, steps)
    if not fraction:
        return f"{sign}{whole}"
    part = f"{fraction.numerator}/{fraction.denominator}"
    return f"{sign}{whole} {part}" if whole else f"{sign}{part}"


def _decimal(value: float, digits: int) -> str:
    text = f"{value:.{digits}f}".rstrip("0").rstrip(".") if digits else f"{value:.0f}"
    return "0" if text in ("-0", "") else text


def _sign(match: re.Match[str]) -> int:
    return -1 if (match["sign"] or match["sign2"] or "") in ("-", "−") else 1


def _value(match: re.Match[str], text: str) -> float:
    if match["num"] is None:
        decimal = (match["decimal"] or "").replace(",", ".")
        if decimal in ("", "."):
            raise _unreadable(text)
        return float(decimal)
    if int(match["den"]) == 0:
        raise _unreadable(text)
    return float(int(match["whole"] or 0) + Fraction(int(match["num"]), int(match["den"])))


def _unreadable(text: str) -> UnreadableLength:
    return UnreadableLength(
        "unreadable_length",
        f"“{text.strip()[:40]}” is not a length.",
        "Write a number and a unit, for example 2 3/8 in, 6.2 cm or 62 mm.",
    )
