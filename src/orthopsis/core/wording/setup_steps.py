"""What a teacher says while the sheet is set up: eye level, points, and the aids that an eye of known place gives."""

from orthopsis.core.wording.step import StepPhrases

POINT_DONE = "The paper of the {point} may come off now."
"""What is said after the last step that needs a thing's own point, where that lies off the sheet."""

LIGHT_IS = {"ahead": "There the sun stands.", "behind": "The sun stands behind you: its rays run down to there."}
"""What the point is to which rays run, by where the sun stands."""

SETUP: dict[str, StepPhrases] = {
    "setup.eye_level": StepPhrases(
        "[Eye level] {height} up",
        (
            "Measure {height} up on the left edge. Do the same on the right edge. Join the two marks, very lightly.",
            "Mark {height} up on the left and on the right edge. Join the marks with a light line: the [eye level].",
            "Mark {height} up from the bottom on both edges and rule the [eye level] through the marks, lightly.",
        ),
        "The [eye level] is [level]: measure it on both edges.",
        "Measuring on one edge only, so that the line tilts.",
        "ruler",
    ),
    "setup.point": StepPhrases(
        "[Vanishing point] {across} in",
        (
            "Measure {across} from the left along the [eye level]. Make a small cross. That is the {view_point}.",
            "Mark the {view_point} on the [eye level], {across} from the left edge.",
            "Mark the central {view_point} on the [eye level], {across} from the left edge.",
        ),
        "The [vanishing point] always lies on the [eye level].",
        "A fat dot: the ruler then rests somewhere else each time.",
        "ruler",
    ),
    "setup.distance": StepPhrases(
        "[Distance points] {distance} each side",
        (
            "Measure {distance} to the left of the {view_point} and {distance} to the right. Mark both.",
            "Mark the two [distance points] on the [eye level], {distance} to each side of the {view_point}.",
            "Lay off the viewing distance, {distance}, to both sides of the {view_point}: the [distance points].",
        ),
        "The [distance points] lie equally far from the [vanishing point]; diagonals of level squares run to them.",
        "Measuring both from the paper's edge in place of the [vanishing point].",
        "ruler",
    ),
    "setup.points_at_ends": StepPhrases(
        "Two [vanishing points] at the ends",
        (
            "Make a small cross where the [eye level] meets the left edge. Make one at the right edge. "
            "Those are the two [vanishing points].",
            "Mark the [left point] and the [right point] where the [eye level] meets the edges of the sheet.",
            "The ends of the [eye level] on the sheet are the [left point] and the [right point]; mark both.",
        ),
        "Both [vanishing points] lie on the [eye level].",
        "Marking a point above or below the [eye level].",
        "pencil",
    ),
    **{
        f"setup.points_on_{half}_half": StepPhrases(
            f"Two [vanishing points] at the ends of the {half} half",
            (
                f"On the {half} half, make a small cross where the [eye level] meets the edge and one where it meets "
                f"the fold. Those are its two [vanishing points].",
                f"On the {half} half, mark its two [vanishing points] where the [eye level] meets the edge of the "
                "sheet and the fold.",
                f"The {half} half has its [vanishing points] where the [eye level] meets the edge and the fold.",
            ),
            "Each half has its own points on the one [eye level].",
            "Taking the point of the other half.",
            "pencil",
        )
        for half in ("left", "right")
    },
    "setup.points": StepPhrases(
        "[Vanishing points] {left} and {right} in",
        (
            "Measure along the [eye level] from the left edge: {left} for the [left point], {right} for the "
            "[right point]. Make small crosses.",
            "Mark the [left point] {left} and the [right point] {right} from the left edge, on the [eye level].",
            "Mark both [vanishing points] on the [eye level]: {left} and {right} from the left edge.",
        ),
        "Both [vanishing points] lie on the [eye level].",
        "A fat dot: the ruler then rests somewhere else each time.",
        "ruler",
    ),
    "setup.points_on_strips": StepPhrases(
        "Tape on strips, mark the [vanishing points]",
        (
            "Tape a strip of paper to each side where a point lies outside. Make the [eye level] longer. Mark the "
            "[left point] {left_words} and the [right point] {right_words}.",
            "Tape strips to the sheet, carry the [eye level] on over them, and mark the [left point] {left_words} "
            "and the [right point] {right_words}.",
            "Tape strips on from behind, carry the [eye level] on, and mark the [left point] {left_words} and the "
            "[right point] {right_words}.",
        ),
        "The farther apart the [vanishing points], the calmer the drawing.",
        "The strip slips: tape it from behind, straight along the [eye level].",
        "ruler, strips of paper, tape",
    ),
    "setup.third": StepPhrases(
        "[Third point] {third_side} the [eye level]",
        (
            "Measure {third_left} from the left edge and {third_bottom} up. Make a small cross. That is the "
            "[third point].",
            "Mark the [third point], {third_left} from the left edge and {third_bottom} up.",
            "Mark the [third point], to which all [uprights] run: {third_left} from the left, {third_bottom} up.",
        ),
        "In three-point no line is [upright]: they all run to the [third point].",
        "Marking it too near: the thing then looks like a wedge.",
        "ruler",
    ),
    "setup.third_on_strip": StepPhrases(
        "[Third point] on a strip, {third_side} the sheet",
        (
            "Tape a strip of paper {third_side} the sheet. Mark the [third point] on it: {third_left} from the left "
            "edge, {third_beyond} beyond the edge.",
            "Tape a strip on {third_side} the sheet and mark the [third point] on it, {third_left} from the left and "
            "{third_beyond} beyond the edge.",
            "The [third point] lies {third_beyond} {third_side} the sheet, {third_left} from the left edge: mark it "
            "on a taped strip.",
        ),
        "In three-point no line is [upright]: they all run to the [third point].",
        "The strip slips: tape it from behind.",
        "ruler, strip of paper, tape",
    ),
    "setup.measuring": StepPhrases(
        "[Measuring points] for true lengths",
        (
            "Mark the [measuring points] on the [eye level]: {measuring} from the left edge.",
            "Mark the [measuring points] on the [eye level], {measuring} from the left edge.",
            "Mark the [measuring points], {measuring} from the left edge: each lies as far from its [vanishing point] "
            "as the eye does.",
        ),
        "A [measuring point] lies as far from its [vanishing point] as the eye does.",
        "Taking the [measuring point] of the other side.",
        "ruler",
    ),
    "setup.sun": StepPhrases(
        "[Shadow point] {shadow_at} in, [light point] {light_over} {light_side} it",
        (
            "Measure {shadow_at} from the left along the [eye level]. Make a small cross: that is the [shadow point]. "
            "Straight {light_side} it measure {light_over} and make another cross: the [light point]. {light_is}",
            "Mark the [shadow point] on the [eye level], {shadow_at} from the left edge, and the [light point] "
            "straight {light_side} it, {light_over} from the [eye level]. {light_is}",
            "Mark the [shadow point] on the [eye level], {shadow_at} from the left edge, and the [light point] "
            "{light_over} straight {light_side} it. {light_is}",
        ),
        "All rays of the sun run to one point; shadows on level ground run to the one {sun_under}.",
        "Putting the two points not straight over each other.",
        "ruler, set square",
    ),
    "setup.lamp": StepPhrases(
        "The lamp, and the place under it",
        (
            "Measure {foot_at} from the left and {foot_up} up. Make a small cross: that is the foot of the lamp, on "
            "the floor straight under it. Straight above it measure {lamp_over} and make another cross: the lamp.",
            "Mark the foot of the lamp on the floor, {foot_at} from the left edge and {foot_up} up, and the lamp "
            "straight above it, {lamp_over} higher.",
            "Mark the foot of the lamp, {foot_at} from the left edge and {foot_up} up, and the lamp {lamp_over} "
            "straight above it.",
        ),
        "Rays run out from the lamp; shadows on the floor run out from the place straight under it.",
        "Putting the two places not straight over each other.",
        "ruler, set square",
    ),
    "setup.sun_on_strips": StepPhrases(
        "[Shadow point] and [light point], on a strip",
        (
            "Tape a strip of paper on. Mark the [shadow point] on the [eye level], {shadow_words}. Straight "
            "{light_side} it measure {light_over} and make another cross: the [light point]. {light_is}",
            "Tape a strip on. Mark the [shadow point] on the [eye level], {shadow_words}, and the [light point] "
            "straight {light_side} it, {light_over} from the [eye level]. {light_is}",
            "On a taped strip mark the [shadow point] on the [eye level], {shadow_words}, and the [light point] "
            "{light_over} straight {light_side} it. {light_is}",
        ),
        "All rays of the sun run to one point; shadows on level ground run to the one {sun_under}.",
        "The strip slips: tape it from behind.",
        "ruler, set square, strip of paper, tape",
    ),
    "setup.margin": StepPhrases(
        "Margin {margin}",
        (
            "Measure {margin} in from every edge, twice on each side. Join the marks, lightly: that is the frame.",
            "Measure {margin} in from every edge, twice on each side, and join the marks with light lines.",
            "Rule the margin {margin} in from all edges.",
        ),
        "A margin keeps the drawing off the paper's edge.",
        "Measuring once on each side: the margin then leans.",
        "ruler",
    ),
    "setup.fold": StepPhrases(
        "Fold the sheet in two",
        (
            "Fold the sheet in two, the right edge on the left one. Open it again.",
            "Fold the sheet in two, the right edge on the left one, and open it: each half carries a drawing.",
            "Fold the sheet across the middle and open it: each half has points of its own.",
        ),
        "Each half has its own points on the one [eye level].",
        "A fold that is not square: lay the corners on each other first.",
        "hands",
    ),
    "setup.centre_diagonals": StepPhrases(
        "Centre by the diagonals",
        (
            "Join opposite corners of the sheet with two very light lines. Where they cross is the middle.",
            "Rule the two diagonals of the sheet, very lightly: they cross in its centre.",
            "Find the sheet's centre by its diagonals.",
        ),
        "The centre of any rectangle is the crossing of its diagonals.",
        "Lines so dark that they show in the end.",
        "long ruler",
    ),
    "setup.centre_halving": StepPhrases(
        "Centre by halving the edges",
        (
            "Mark the middle of all four edges. Join opposite marks, very lightly. Where they cross is the middle.",
            "Halve all four edges and join opposite marks, very lightly: the lines cross in the centre.",
            "Find the sheet's centre by halving its edges.",
        ),
        "Half the edge is found by measuring it, or by folding a strip of its length.",
        "Halving one edge only: the line then leans.",
        "ruler",
    ),
    "setup.eye_level_through_centre": StepPhrases(
        "[Eye level] through the centre",
        (
            "Draw a light line straight across, through the middle. That is the [eye level].",
            "Rule the [eye level] through the centre, {height} up on both edges, lightly.",
            "Rule the [eye level] through the sheet's centre, {height} up.",
        ),
        "The [eye level] is [level]: check it on both edges.",
        "Trusting one mark only, so that the line tilts.",
        "ruler",
    ),
}
