"""What a teacher says while windows are drawn that curve with a round wall."""

from orthopsis.core.wording.step import StepPhrases

_FLAT_RULE = "Windows round a wall are first laid out flat, on the wall of the box before it."

ROUND_WINDOWS: dict[str, StepPhrases] = {
    "round_windows.edge": StepPhrases(
        "the last line of the box",
        (
            "One line of the box of {other} is not there yet. At the far end of the {face} draw it lightly, {upright}, "
            "from the lower square to the upper one.",
            "At the far end of the {face} of {other} draw the last line of the box lightly, {upright}, from square to "
            "square.",
            "The far line of the {face} of {other}, {upright}, lightly.",
        ),
        "The flat wall needs all four of its sides.",
        "Ending it at the round outline: it stands farther out.",
        "ruler and set square, pencil light",
    ),
    "round_windows.counted": StepPhrases(
        "the {windows}, flat",
        (
            "On the {face} of {other} mark the corners of the {windows} where light lines cross, between the light "
            "lines {pairs}. Draw no lines yet.",
            "Mark the corners of the {windows} on the {face} of {other} where light lines cross, between the light "
            "lines {pairs}. Draw no lines yet.",
            "The corners of the {windows} on the {face} of {other}, between the light lines {pairs}; unruled.",
        ),
        _FLAT_RULE,
        "Drawing the flat windows: only their corners are marked.",
        "pencil",
    ),
    "round_windows.first_measured": StepPhrases(
        "{first_one}, flat",
        (
            "From the lower left of the {face} of {other} measure out the corners of {first_one}, across and up: "
            "{offsets}. Join them with light lines. Count: {rule_count}.",
            "From the lower left of the {face} of {other} measure the corners of {first_one}, across and up: "
            "{offsets}. Join them lightly: {rules}.",
            "On the {face} of {other}, lightly, its corners across and up from the lower left: {offsets}; {rules}.",
        ),
        _FLAT_RULE,
        "Drawing these lines dark: they only help.",
        "ruler and set square, pencil light",
    ),
    "round_windows.more_measured": StepPhrases(
        "the other windows, flat",
        (
            "Draw the others with the same measures, equally far apart, lightly. Count: {rule_count} lines.",
            "Draw the others with the same measures and the same spaces, lightly: {rules}.",
            "The others likewise, equally far apart, lightly: {rules}.",
        ),
        "On a face that is drawn true equal things are equally large.",
        "Guessing the spaces.",
        "ruler and set square, pencil light",
    ),
    "round_windows.axis": StepPhrases(
        "the middle line of {other}",
        (
            "Draw the line that runs through the middle of the round wall, lightly: {axis_way}. Count: {count}.",
            "Draw the axis of the round wall lightly: {axis_way}.",
            "The axis of the round wall, lightly: {axis_way}.",
        ),
        "Every circle of a round wall has its middle on one line.",
        "Drawing it where the wall looks widest: it runs through the true middles.",
        "ruler, pencil light",
    ),
    "round_windows.half": StepPhrases(
        "half a square at the {first_level}",
        (
            "At the {first_level} draw a light line across the {face}. From both its ends draw light lines {out_way}, "
            "and one from its middle until it meets the middle line. From there draw a light line to both sides, which "
            "runs as the first one does. Count: {count} lines.",
            "At the {first_level} draw half a square lightly: across the {face}, from both ends {out_way}, from the "
            "middle to the axis, and from there to both sides, as the first line runs: {lines}.",
            "Half a square at the {first_level}, lightly: across the {face}, from its ends {out_way}, from its middle "
            "to the axis, and across there: {lines}.",
        ),
        "What is round comes into a square; only the near half is seen.",
        "Drawing the line through the axis level: it runs as the first one does.",
        "ruler, pencil light",
    ),
    "round_windows.more_halves": StepPhrases(
        "the other half squares",
        (
            "Do the same at the {other_levels} of the {windows}. Count: {count} lines.",
            "Draw a half square in the same way at the {other_levels} of the {windows}: {lines}.",
            "Half squares likewise at the {other_levels} of the {windows}: {lines}.",
        ),
        "All of them run to the same points.",
        "Copying the first one: each has a depth of its own.",
        "ruler, pencil light",
    ),
    "round_windows.curves": StepPhrases(
        "half circles, lightly",
        (
            "In each half square draw a light round line from end to end. It touches the line on the {face} in its "
            "middle. Count: {curves}.",
            "Draw the curve of each half square lightly: it touches the line on the {face} in its middle, and the "
            "sides where the line through the axis ends: {curves}.",
            "The half ellipses lightly, touching each half square at its middle and its two ends: {curves}.",
        ),
        "A circle touches the sides of its square at their middles, and nowhere else.",
        "Letting all curves look alike: they are rounder the farther they are from the [eye level].",
        "pencil, free hand",
    ),
    "round_windows.back": StepPhrases(
        "carry the corners onto the curves",
        (
            "From each corner that you marked go {out_way}, with a light line, until you meet the curve of its line. "
            "Count: {count} lines.",
            "From each marked corner draw a light line {out_way} until it meets the curve at its height: {lines}.",
            "From each marked corner {out_way}, lightly, to the curve at its height: {lines}.",
        ),
        "What stands on the flat wall moves straight back onto the round one.",
        "Going on to the far side: stop where the curve is first met.",
        "ruler, pencil light",
    ),
    "round_windows.windows": StepPhrases(
        "the {windows}, round the wall",
        (
            "Join the marks on the curves. Two sides of {each_one} are straight lines; the other two follow the "
            "curves. Count: {shape_lines}.",
            "Join the marks on the curves: two sides of {each_one} straight, the other two along the curves: "
            "{shape_lines}.",
            "On the curves, two sides of {each_one} straight, two along the curves: {shape_lines}.",
        ),
        "What runs round a wall curves with it; what runs along it stays straight.",
        "Joining the corners of the curved sides by the ruler.",
        "ruler, then free hand",
    ),
}
