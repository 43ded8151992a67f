"""What a teacher says while a hip roof or a pyramid is drawn on a house."""

from orthopsis.core.wording.step import StepPhrases

_EDGES_WITH_ROOF = (
    "Draw the high wall up to this line, {high_words}, the edge on its top, and the two slanted lines down to "
    "the other corners, as far as they are seen. Count: {count}.",
    "Draw the high wall up to there, {high_words}, the edge on its top, and from its ends the slopes down to "
    "the other corners of {other}, as far as they are seen: {lines}.",
    "The high wall, {high_words}, its top, and both slopes down to the other corners of the top: {lines}.",
)

HIP: dict[str, StepPhrases] = {
    "hip.rise": StepPhrases(
        "a box on the house, {rise} tall",
        (
            "Carry the upright at the {low_corner} of {other} on, over its top, and measure {rise} there. Make a mark.",
            "Carry the [upright] at the {low_corner} of {other} on over its top, lightly, and mark {rise} there: so "
            "tall is the roof.",
            "Mark {rise} on the [upright] at the {low_corner} of {other}, carried on over its top.",
        ),
        "A roof with four slopes begins as a box on the house.",
        "Measuring the height over a corner farther away: there it is smaller already.",
        "ruler, pencil light",
    ),
    "hip.lid": StepPhrases(
        "the lid of the box",
        (
            "Draw the lid of this box with light lines. From the mark draw one {along} and one {up_way}. They stop "
            "over the corners of the house. From there draw the other two. Count: {count}.",
            "From the mark draw light lines {along} and {up_way}, until they are over the next corners of the house; "
            "from there the other two: {lines}, the lid of the box.",
            "The lid of the box, over the corners of {other}: {lines}, {along} and {up_way}, lightly.",
        ),
        "The lid's edges run as those of the house's top do.",
        "A lid that is wider than the house: its corners are straight over those of the top.",
        "ruler and set square, pencil light",
    ),
    "hip.tip": StepPhrases(
        "the tip, in the middle of the lid",
        (
            "Draw two light lines across the lid, from corner to corner. Where they cross is the tip of the roof.",
            "Cross the diagonals of the lid, lightly: there is the tip.",
            "The lid's diagonals cross at the tip.",
        ),
        "The middle of a face is where its diagonals cross.",
        "Taking the middle with the ruler.",
        "ruler, pencil light",
    ),
    "hip.centre": StepPhrases(
        "the middle of the lid",
        (
            "Draw two light lines across the lid, from corner to corner. They cross at its middle.",
            "Cross the diagonals of the lid, lightly: that is its middle.",
            "Find the middle of the lid by its diagonals.",
        ),
        "The middle of a face is where its diagonals cross.",
        "Taking the middle with the ruler.",
        "ruler, pencil light",
    ),
    "hip.middle": StepPhrases(
        "the middle lines of the lid",
        (
            "Through the middle draw a light line {along} and one {up_way}, each from edge to edge of the lid.",
            "Through the middle draw light lines {along} and {up_way}, from edge to edge of the lid.",
            "The lid's middle lines, {along} and {up_way}.",
        ),
        "Through the middle, lines that run as the edges do halve the lid.",
        "A middle line that runs to the wrong point.",
        "ruler, pencil light",
    ),
    "hip.ridge_ends": StepPhrases(
        "where the ridge begins and ends",
        (
            "Look at the short middle line of the lid. From its far end draw light lines to the two corners of the lid "
            "on the other side. Where they cross the long middle line, make marks: there the ridge begins and ends.",
            "From the far end of the short middle line draw light lines to the two corners of the lid on the other "
            "side: where they cross the long middle line, the ridge begins and ends.",
            "The diagonals of the lid's two halves, from the far end of its short middle line, cut the long one: there "
            "the ridge begins and ends, a quarter in from each side.",
        ),
        "The diagonals of a half cross at a quarter: both ends of the ridge are equally far from the middle in truth.",
        "Making both ends equally far from the middle on the paper.",
        "ruler, pencil light",
    ),
    "hip.edges": StepPhrases(
        "{lines} of the roof",
        (
            "Draw the ridge between its two marks. From each of its ends draw lines down to the corners of the house "
            "at that side, as far as they are seen. Count: {count}.",
            "Draw the ridge, and from its ends the slopes' edges down to the corners of {other} on that side, as far "
            "as they are seen: {lines}.",
            "Rule the ridge and the hips, from its ends to the corners of the top: {lines}.",
        ),
        "Four slopes meet in the ridge and in the edges that lead down to the corners.",
        "Ending the edges at the lid in place of the house.",
        "ruler",
    ),
    "hip.across_ends": StepPhrases(
        "lines across the lid at the ends of the ridge",
        (
            "Through each end of the ridge draw a light line {across_way}, from edge to edge of the lid. Count: "
            "{count}.",
            "Through both ends of the ridge draw light lines {across_way}, from edge to edge of the lid: {lines}.",
            "Across the lid through both ends of the ridge, {across_way}, lightly: {lines}.",
        ),
        "What stands on a slope needs its true direction: straight up, not along a hip.",
        "Drawing them to the corners: they run straight across.",
        "ruler, pencil light",
    ),
    "hip.to_eave": StepPhrases(
        "down to the edge of the house",
        (
            "Where these lines meet the edge of the lid on the side that you see, go {upright} down to the edge of the "
            "house, lightly. Count: {count} lines.",
            "From their ends on the side that is seen go {upright}, lightly, down to the edge of {other}: {lines}.",
            "From their ends on the seen side {upright}, lightly, to the edge of {other}: {lines}.",
        ),
        "The lid lies straight over the top of the house.",
        "Going down to the ground: stop at the edge of the house.",
        "ruler and set square, pencil light",
    ),
    "hip.up_slope": StepPhrases(
        "straight up the slope",
        (
            "From these places draw light lines up to the ends of the ridge. Count: {count} lines.",
            "From these places draw light lines up to the ends of the ridge: {lines}.",
            "From these places lightly up to the ends of the ridge: {lines}.",
        ),
        "These lines lead straight up the roof: they run to one point.",
        "Drawing them level or upright: they lean as the roof does.",
        "ruler, pencil light",
    ),
    "hip.slope_above": StepPhrases(
        "the point of the slope that goes up",
        (
            "Put the ruler along one of these lines, and carry it on, over the edge of the paper if need be. From the "
            "{short_point} draw a light line {upright}. Where they meet is the {slope_point}.",
            "Carry one of these lines on, over the paper's edge if need be. From the {short_point} draw a light line "
            "{upright}. Mark where they meet: the {slope_point}.",
            "These lines, carried on, meet the line {upright} from the {short_point} in the {slope_point}.",
        ),
        "Lines with one slope, on one side of the roof, meet over the point of their level way.",
        "Stopping at the paper's edge: tape a strip on; it may come off when the roof is done.",
        "long ruler, pencil light",
    ),
    "hip.slope_below": StepPhrases(
        "the point of the slope that comes down",
        (
            "Put the ruler along one of the lines on the slope that comes down, and carry it on below the house. From "
            "the {short_point} draw a light line {upright}. Where they meet is the {slope_point}.",
            "Carry a line of the slope that comes down on, below the house. From the {short_point} draw a light line "
            "{upright}. Mark where they meet: the {slope_point}.",
            "Those of the slope that comes down, carried on, meet the line {upright} from the {short_point} in the "
            "{slope_point}.",
        ),
        "Slopes that come down meet below the point of their level way, as far as the others meet over it in truth.",
        "Taking the upper point for both slopes.",
        "long ruler, pencil light",
    ),
    "hip.edges_tip": StepPhrases(
        "{lines} from the tip",
        (
            "From the tip draw lines down to the corners of the house, as far as they are seen. Count: {count}.",
            "From the tip draw the slopes' edges down to the corners of {other}, as far as they are seen: {lines}.",
            "Rule from the tip to the corners of the top: {lines}.",
        ),
        "Every slope is a triangle with the same tip.",
        "Ending the edges at the lid in place of the house.",
        "ruler",
    ),
    "half.tip": StepPhrases(
        "the tip, on an edge of the lid",
        (
            "Draw two light lines across the lid, from corner to corner. From where they cross draw a light line, as "
            "the lid's edges run, to the edge {high_words}. There is the tip of the roof.",
            "Cross the diagonals of the lid, lightly. From the crossing draw a light line, as the lid's edges run, to "
            "its edge {high_words}: there is the tip.",
            "From the crossing of the lid's diagonals to the middle of its edge {high_words}: the tip.",
        ),
        "A line through the middle of a face, along its edges, halves the edge that it meets.",
        "Taking the middle of the edge with the ruler.",
        "ruler, pencil light",
    ),
    "lean.with_roof": StepPhrases(
        "its slope, to the {slope_point}",
        (
            "Put the ruler on the {slope_point} and on the {low_look} corner of the top of {other}. Go up over the "
            "{high_look} corner, lightly, until you meet the ruler. From there draw a light line {high_way}, until it "
            "is over the next corner. Count: {count}.",
            "Lay the ruler on the {slope_point} and on the {low_look} corner of the top of {other}. Go up over the "
            "{high_look} corner, lightly, until you meet it. From there draw {high_way}, lightly, until you are over "
            "the next corner: {lines}.",
            "From the {low_look} corner of the top of {other} aim at the {slope_point}, up to the [upright] over the "
            "{high_look} corner; from there {high_way}, over the next corner: {lines}, lightly.",
        ),
        "Slopes that are equally steep, and rise the same way, run to one slope point.",
        "Guessing its height: then the two roofs run apart.",
        "ruler on the slope point, pencil light",
    ),
    "lean.with_true_roof": StepPhrases(
        "its slope, like the gable's",
        (
            "Lay the see-through ruler along the slanted edge of the gable. Move it, without turning it, to the "
            "{low_look} corner of the top of {other}. Go up over the {high_look} corner, lightly, until you meet it. "
            "From there draw a light line {high_way}, until it is over the next corner. Count: {count}.",
            "Move the ruler from the slanted edge of the gable, without turning it, to the {low_look} corner of the "
            "top of {other}. Go up over the {high_look} corner, lightly, until you meet it. From there draw "
            "{high_way}, lightly, until you are over the next corner: {lines}.",
            "From the {low_look} corner of the top of {other} parallel to the gable's edge, up to the [upright] over "
            "the {high_look} corner; from there {high_way}, over the next corner: {lines}, lightly.",
        ),
        "Slopes that are equally steep are parallel where they are parallel to the paper.",
        "Letting the ruler turn while it slides.",
        "see-through ruler, pencil light",
    ),
    "lean.edges_with_roof": StepPhrases(
        "{lines} of the roof",
        _EDGES_WITH_ROOF,
        "One slope rises from one edge of the top, to an edge that lies over the opposite one.",
        "Sending the second slope to another point than the first.",
        "ruler and set square",
    ),
    "lean.edges_true_roof": StepPhrases(
        "{lines} of the roof",
        _EDGES_WITH_ROOF,
        "One slope rises from one edge of the top, to an edge that lies over the opposite one.",
        "Slanting the second slope otherwise than the first.",
        "ruler and set square",
    ),
    "lean.edges": StepPhrases(
        "{lines} of the roof",
        (
            "Two corners of the lid, {high_words}, are the top of the high wall. Draw lines from them down to the "
            "corners of the house under them, the edge between them, and the two slanted lines down to the other "
            "corners, as far as they are seen. Count: {count}.",
            "Draw the high wall up to the lid, {high_words}, the edge on its top, and from its ends the slopes down "
            "to the other corners of {other}, as far as they are seen: {lines}.",
            "The high wall up to the lid, {high_words}, its top, and both slopes down to the other corners of the top: "
            "{lines}.",
        ),
        "One slope rises from one edge of the top to the lid's edge over the opposite one.",
        "Drawing all of the lid dark: only one of its edges stays.",
        "ruler and set square",
    ),
}
