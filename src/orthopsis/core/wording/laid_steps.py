"""The words of the steps by which widths are laid off on a level line and carried over to a side."""

from collections.abc import Mapping

from orthopsis.core.wording.step import StepPhrases


def _laid(edge: str, rising: str) -> dict[str, StepPhrases]:
    """Return the words of each part of this work, by its name.

    Args:
        edge: how the edge is called at whose foot the line begins; ``rising``: how the lines run that rise from the
            lower edge of the side that goes away from there.
    """
    return {
        "line": StepPhrases(
            "a level line at the foot",
            (
                f"From the foot of {edge} draw a light level line to the {{mark_side}}, {{length}} long.",
                f"Draw a light level line from the foot of {edge} to the {{mark_side}}, {{length}} long.",
                f"Draw a measuring line through the foot of {edge}, {{length}} to the {{mark_side}}.",
            ),
            "Widths are measured on a line that does not go away.",
            "Measuring on the line that goes to the point: its near half is longer than its far half.",
            "ruler, pencil light",
        ),
        "marks": StepPhrases(
            "its widths on the level line",
            (
                "On the level line make marks for {thing}: {length_marks} from the foot.",
                "Mark the widths of {thing} on the level line: {length_marks} from the foot.",
                "Lay off {thing} on the measuring line: {length_marks} from the foot.",
            ),
            "On the level line all is as wide as it would be straight in front of you.",
            "Measuring from mark to mark: leave the ruler's 0 on the foot of the edge.",
            "ruler",
            follows=True,
        ),
        "places": StepPhrases(
            "its places on the level line",
            (
                "On the level line make marks for {thing}: {length_marks} from the foot.",
                "Mark the places for {thing} on the level line: {length_marks} from the foot.",
                "Lay off the places for {thing} on the measuring line: {length_marks} from the foot.",
            ),
            "Shares are measured on a line that does not go away.",
            "Measuring from mark to mark: leave the ruler's 0 on the foot of the edge.",
            "ruler",
            follows=True,
        ),
        "heights": StepPhrases(
            "its heights on the level line",
            (
                "On the level line make marks for the heights of {thing}: {length_marks} from the foot.",
                "Mark the heights of {thing} on the level line: {length_marks} from the foot.",
                "Lay off the heights of {thing} on the measuring line: {length_marks} from the foot.",
            ),
            "An edge that leans away cannot be measured; its shares are laid off where nothing goes away.",
            "Measuring on the edge that leans.",
            "ruler",
            follows=True,
        ),
        "ticks": StepPhrases(
            "carry the heights over to the side",
            (
                "Hold the ruler on the point you marked, and turn it to each mark of a height. Where it crosses the "
                "lower line of the {face} make a small tick.",
                "Turn the ruler about that point to each mark of a height. Tick the lower line of the {face} where it "
                "crosses it.",
                "Carry the marks of the heights over from there to the lower line of the {face}.",
            ),
            "Along the lower line the shares are the same as up the side.",
            "Ticking the upper line.",
            "ruler",
            follows=True,
        ),
        "all_ticks": StepPhrases(
            "carry the marks over to the side",
            (
                "Hold the ruler on the point you marked, and turn it to each mark of the level line. Where it crosses "
                "the lower line of the {face} make a small tick.",
                "Turn the ruler about that point to each mark. Tick the lower line of the {face} where it crosses it.",
                "Carry the marks over from there to the lower line of the {face}.",
            ),
            "Along the lower line the shares are the same as up the side.",
            "Ticking the upper line.",
            "ruler",
            follows=True,
        ),
        "columns_there": StepPhrases(
            "lines from the ticks",
            (
                f"From each tick on the lower line draw a light line {rising}, up to the upper line. Count: {{count}}.",
                f"From each tick on the lower line draw a light line {rising}, to the upper one: {{lines}}.",
                f"Rule {rising} from each tick on the lower line: {{lines}}.",
            ),
            "Lines of one direction share one point.",
            "A line to another point.",
            "ruler, pencil light",
            follows=True,
        ),
        "diagonal": StepPhrases(
            "turn the heights up by the diagonal",
            (
                "Draw the diagonal of the {face} lightly, from the foot to the far upper corner. Lay the ruler on each "
                f"tick so that it runs {rising}. Where it crosses the diagonal make a mark.",
                "Draw the diagonal of the {face} lightly, from the foot to the far upper corner. Mark where lines "
                f"{rising}, from each tick, cross it.",
                f"The diagonal of the {{face}}, from the foot, turns the shares up: mark where lines {rising} from the "
                "ticks cross it.",
            ),
            "A diagonal goes up by the same share as along.",
            "Drawing the other diagonal.",
            "ruler, pencil light",
            follows=True,
        ),
        "rows": StepPhrases(
            "lines along the side at these heights",
            (
                "Through each mark on the diagonal draw a light line to the {over_point}. Begin it on "
                f"{edge}. Count: {{count}}.",
                f"Through each mark on the diagonal draw a light line, from {edge} to the {{over_point}}: {{lines}}.",
                f"Rule through the marks on the diagonal, from {edge} to the {{over_point}}: {{lines}}.",
            ),
            "Level lines of one side share one point.",
            "A line to the other point.",
            "ruler on the point, pencil light",
            follows=True,
        ),
        "pivot": StepPhrases(
            "the point that carries the marks over",
            (
                "Put the ruler on the end of the level line and on the far lower corner of the {face}. Draw a light "
                "line to the [eye level], and mark a point there.",
                "Rule lightly from the end of the level line through the far lower corner of the {face}, to the "
                "[eye level]. Mark that point: it carries the marks over.",
                "The line from the end of the measuring line through the far lower corner of the {face} meets the "
                "[eye level] in its measuring point.",
            ),
            "Lines to one point of the [eye level] are parallel in truth: so the marks keep their order and their "
            "shares.",
            "Stopping at the side: the line goes on to the [eye level].",
            "ruler, pencil light",
            follows=True,
        ),
        "columns": StepPhrases(
            "carry the widths over to the side",
            (
                "Hold the ruler on the point you marked, and turn it to each mark of a width. Tick the lower line "
                f"of the {{face}} where the ruler crosses it. From each tick draw a light line {rising}. Count: "
                "{count}.",
                "Turn the ruler about that point to each mark of a width. Where it crosses the lower line of the "
                f"{{face}}, draw a light line {rising}, to the upper one: {{lines}}.",
                f"Carry the marks over from there to the lower line of the {{face}}; from each rule {rising}: "
                "{lines}.",
            ),
            "What is as wide in truth becomes narrower with distance.",
            "Carrying the marks over upright.",
            "ruler and set square",
            follows=True,
        ),
    }


_OWN, _ON_FACE = _laid("the nearest edge", "{upright}"), _laid("the {edge} of {other}", "{upward}")

LAID_STEPS: Mapping[str, StepPhrases] = {
    **{f"divide.level_{part}": phrases for part, phrases in _OWN.items()},
    **{f"face.level_{part}": phrases for part, phrases in _ON_FACE.items()},
}
