"""What a teacher says while a round body is drawn into the box over its plan."""

from orthopsis.core.wording.form_steps import CIRCLE_SAYS, MIDDLE_SAYS
from orthopsis.core.wording.step import StepPhrases

_CIRCLE_SLIP = "Making it widest at the middle of the square: its widest place lies a little nearer to you."

ROUND_BODY: dict[str, StepPhrases] = {
    "round_body.plan": StepPhrases(
        "its square on the {face}",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark the four corners where they cross: {crossings}. Join them, lightly: {rule_count} lines. In this "
            "square it stands.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners of "
            "its square: {crossings}. Mark them and join them, lightly: {rules}.",
            "Its square, from crossing to crossing: {crossings}; {rules}. Light lines are counted along from the "
            "{edge} and from its {first_end}, which are 0.",
        ),
        "What is round is first a square: the circle comes into it.",
        "Drawing the square as it would look from above.",
        "ruler, pencil light",
    ),
    "round_body.second_plan": StepPhrases(
        "the smaller square inside it",
        (
            "Inside the square mark four more corners where the light lines cross: {crossings}. Join them, lightly: "
            "{rule_count} lines.",
            "Inside it, the square of the narrow end: {crossings}. Mark these corners and join them, lightly: {rules}.",
            "The square of the narrow end inside it: {crossings}; {rules}.",
        ),
        "Both squares have the same middle: it stands upright.",
        "Making the space between the squares equally wide on the paper all round.",
        "ruler, pencil light",
    ),
    "round_body.middle": StepPhrases(
        "the middle of the lower square",
        MIDDLE_SAYS,
        "The diagonals of a square cross in its true middle, however it is turned.",
        "Measuring the middle with the ruler: it lies nearer to the far side.",
        "ruler",
    ),
    "round_body.base": StepPhrases(
        "the circle on which it stands",
        CIRCLE_SAYS,
        "A circle touches the sides of its square at their middles, and nowhere else.",
        _CIRCLE_SLIP,
        "pencil, free hand",
    ),
    "round_body.height": StepPhrases(
        "the first upright of its box, {rise} tall",
        (
            "Go {upright} from the {first_look} corner of the {high_square} and measure {rise}. Draw this line, "
            "lightly.",
            "From the {first_look} corner of the {high_square} draw an [upright] lightly, {rise} tall.",
            "The first [upright] of its box, over the {first_look} corner of the {high_square}: {rise}, lightly.",
        ),
        "What is round stands in a box; the box is drawn first, and taken away in the end.",
        "Measuring the height at a corner farther away.",
        "ruler and set square, pencil light",
    ),
    "round_body.box": StepPhrases(
        "the top of its box",
        (
            "Draw the box lightly: from the top of this line one line {along} and one {up_way}, over the next corners "
            "of that square. Draw the lines {upright} there. Close the top. Count: {count} lines.",
            "Draw its box lightly: {along} and {up_way} from the top of that line, over the next corners of the "
            "square; the uprights there; then close the top: {lines}.",
            "Its box lightly, round from that upright: {along}, {up_way}, the uprights, and the top closed: {lines}.",
        ),
        "The upper square runs as the lower one does.",
        "Drawing the box dark: only the round lines stay.",
        "ruler, pencil light",
    ),
    "round_body.band_marks": StepPhrases(
        "where its bands go",
        (
            "On the first line of the box that goes {upright} make small marks for the bands: {ticks} from its foot.",
            "On the first [upright] of the box mark the bands: {ticks} from its foot.",
            "The bands on the first [upright]: {ticks} from its foot.",
        ),
        "Heights are measured on the first [upright], and carried round from there.",
        "Measuring on the round outline: it stands farther away.",
        "ruler",
    ),
    "round_body.band_square": StepPhrases(
        "its square in the box",
        (
            "From its mark draw a light line {along} and one {up_way}, to the next lines of the box that go {upright}. "
            "Close the square. Count: {count} lines.",
            "From its mark draw its square lightly, {along} and {up_way}, from [upright] to [upright]: {lines}.",
            "Its square lightly, {along} and {up_way} from the mark, from [upright] to [upright]: {lines}.",
        ),
        "A level square in the box runs as the upper and the lower one do.",
        "Drawing the square level all round: its sides run to the points.",
        "ruler, pencil light",
    ),
    "round_body.band_middle": StepPhrases(
        "the middle of its square",
        (
            "Draw light lines from corner to corner of this square. Through the middle draw light lines that run as "
            "its sides do, up to the sides. Count: {count} lines.",
            "Find the middle of this square by its diagonals. From there draw light lines that run as its sides do: "
            "{lines} in all.",
            "The middle of its square, and those of its sides, by the diagonals: {lines}.",
        ),
        "The middles of all squares of one box lie over each other.",
        "Copying the middle from below without the diagonals.",
        "ruler",
    ),
    "round_body.band": StepPhrases(
        "its circle",
        (
            "Draw a round line from middle to middle, all the way round, as you did at the top. Count: {curves}.",
            "Draw its curve through the four middles, like the one at the top: {curves}.",
            "Its ellipse, through the four middles: {curves}.",
        ),
        "The farther a circle lies from the [eye level], the rounder it looks.",
        "Copying the curve of the top: each band has a curve of its own.",
        "pencil, free hand",
    ),
    "round_body.rim_middle": StepPhrases(
        "the middle of the upper square",
        MIDDLE_SAYS,
        "The middle of the upper square stands over that of the lower one.",
        "Copying the middle from below without the diagonals.",
        "ruler",
    ),
    "round_body.rim": StepPhrases(
        "the circle at its top",
        CIRCLE_SAYS,
        "The nearer a circle lies to the [eye level], the narrower it looks.",
        "Making both circles equally round: the lower one is rounder where you look down on it.",
        "pencil, free hand",
    ),
    "round_body.touching": StepPhrases(
        "its outline",
        (
            "Lay the ruler so that it runs {outward} and just touches both round lines. Draw from one to the other. "
            "Count: {count}.",
            "Draw the lines that run {outward} and touch both curves: {lines}.",
            "The lines that touch both curves and run {outward}: {lines}.",
        ),
        "A round side has no corner: its edge is where the ruler touches both curves.",
        "Joining the middles: the ruler touches the curves elsewhere.",
        "ruler",
    ),
    "round_body.tapering": StepPhrases(
        "its outline",
        (
            "On each side lay the ruler so that it just touches both round lines. Draw from one to the other. Count: "
            "{count}.",
            "On each side draw the straight line that touches both curves: {lines}.",
            "The straight lines that touch both curves: {lines}.",
        ),
        "A round side has no corner: its edge is where the ruler touches both curves.",
        "Joining the middles: the ruler touches the curves elsewhere.",
        "ruler",
    ),
    "round_body.tip": StepPhrases(
        "its tip, {rise} over the middle",
        (
            "From the middle of the square go {upright} and measure {rise}. Draw this line, lightly. Its end is the "
            "tip.",
            "From the middle draw an [upright] lightly, {rise} tall: its end is the tip.",
            "The tip: {rise} on the [upright] over the middle.",
        ),
        "The tip stands over the true middle, found by the diagonals.",
        "Putting the tip over the middle that the ruler measures.",
        "ruler and set square, pencil light",
    ),
    "round_body.slopes": StepPhrases(
        "its outline",
        (
            "Lay the ruler on the tip so that it just touches the round line. Draw from the tip to where it touches. "
            "Count: {count}.",
            "From the tip draw the lines that touch the curve: {lines}.",
            "The lines from the tip that touch the curve: {lines}.",
        ),
        "The outline of a cone touches the circle; it does not run to the middles of the sides.",
        "Drawing to the widest place of the curve.",
        "ruler",
    ),
}
