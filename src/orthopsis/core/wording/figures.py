"""What stands beside the figures of a picture whose lengths lie beside the marks of a ruler."""

from orthopsis.core.sheet.length import PAST, SHORT

SIGNS = {
    PAST: f"{PAST} after a figure: a little more than that.",
    SHORT: f"{SHORT} after a figure: a little less than that.",
}
"""What each sign means, in the words of all levels."""
NO_NUMBER = "A line that leans has no number."
"""Said where a picture numbers light lines, and such a line leads to one of its points."""
