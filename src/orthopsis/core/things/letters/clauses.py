"""What do all words share, however they are built: their clauses, and whether their letters can stand as asked?"""

from orthopsis.core.errors import GeometryError
from orthopsis.core.things.answers import Clause
from orthopsis.core.things.letters.layouts import LAYOUTS, STRAIGHT, takes_rows
from orthopsis.core.things.letters.word import ROW_END
from orthopsis.core.things.values import Values

FIRST_TEXT = "A"
"""What a new word reads until another one is typed: the first letter, of straight strokes."""
OWN = {"whose": ("student",)}
WHOSE_CLAUSES = (
    Clause("It is {whose}. ", {"whose": ("all",)}),
    Clause("It is {whose}; a long one is {long}, one that takes longer than the lesson {late}. ", OWN),
)
STROKE_CLAUSES = (
    Clause("Strokes {thickness}. ", {"thickness": ("fifth", "quarter", "third")}),
    Clause(
        "Strokes {thickness}: {stroke} wide, bars {bar} high, the middle one {middle}, {middle_up} up. ",
        {"thickness": ("measured",)},
    ),
)


KEPT = ("text", "whose", "long", "late", "form", "thickness", "width", "gap", "stroke", "bar", "middle", "middle_up")
"""What of a word is its own in every kind of view; its letters are stretched to the size that they have there."""
ACROSS, UP = ("width", "gap", "stroke"), ("bar", "middle", "middle_up")
"""The measures of its letters."""


def check_layout(values: Values, offered: tuple[str, ...]) -> None:
    """Refuse a word whose letters cannot stand as asked.

    Args:
        offered: the layouts besides one row that there are in this kind of view.
    """
    layout = values.word("layout")
    if layout != STRAIGHT and layout not in offered:
        raise GeometryError(
            "no_such_layout",
            f"“{values.name}” cannot be laid out like this in this kind of view.",
            "Set it in one row, or choose another layout.",
            about="layout",
            nearest=LAYOUTS[STRAIGHT],
        )
    if ROW_END in values.word("text") and not takes_rows(layout):
        raise GeometryError(
            "rows_in_layout",
            f"The letters of “{values.name}” cannot be set in two rows and stand like this.",
            "Leave the stroke between the rows out, or set it in one row.",
            about="text",
            nearest=values.word("text").replace(ROW_END, ""),
        )
