"""Words of the steps that round the corners of a shape."""

from orthopsis.core.wording.step import StepPhrases

ROUND: dict[str, StepPhrases] = {
    "front.rounded": StepPhrases(
        "round the corners of the front",
        (
            "Mark where each curve begins, on both sides of its corner{marks}. Draw the curve from mark to mark. "
            "Count: {curves}.",
            "Mark on both edges of each round corner where its curve begins and ends{marks}. Draw the curves by hand, "
            "{curves}: at each mark a curve runs along the edge.",
            "Round the corners of the front{marks}, {curves}: each touches its two edges at the marks, a quarter of "
            "an ellipse.",
        ),
        "A round shape starts from its block form; the curve touches the edges at the marks.",
        "Cutting the corner straight, or bulging beyond the edges.",
        "pencil, free hand",
    ),
    "back.rounded": StepPhrases(
        "round the corners at the back",
        (
            "From the marks of the front draw light lines to the {view_point}, up to the back edges. Draw the "
            "curves there like the front ones. Count: {curves}.",
            "Carry the marks to the {view_point} until they meet the back edges, and draw the same curves there: "
            "{curves}.",
            "Carry the curves' ends back to the block's edges at the back and repeat the curves: {curves}.",
        ),
        "The back curve is the front one again, smaller.",
        "Drawing the back curve where the front hides it.",
        "ruler on the point, then free hand",
    ),
    "guides.touching": StepPhrases(
        "{lines} touching the curves",
        (
            "Put the ruler on the {view_point} and turn it until it just touches a curve. Draw from the front "
            "curve to the back one. Count: {count}.",
            "Rest the ruler on the {view_point} and turn it until it touches a curve: {lines}, from the front "
            "curve to the back one.",
            "Where a curve turns away, a line that runs to the {view_point} touches both curves: {lines}.",
        ),
        "A round side has no corner: its edge is where the ruler touches both curves.",
        "Starting from where the curve begins: that is not where it turns away.",
        "ruler on the point",
    ),
}
