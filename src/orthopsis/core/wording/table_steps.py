"""What a teacher says while a table is drawn from its box."""

from orthopsis.core.wording.step import StepPhrases

TABLE: dict[str, StepPhrases] = {
    "table.foot": StepPhrases(
        "the square of its nearest leg",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark the four corners where they cross: {crossings}. Join them: {rule_count} lines. There the nearest leg "
            "stands.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners of "
            "the nearest leg: {crossings}. Mark them and join them: {rules}.",
            "The square of the nearest leg, from crossing to crossing: {crossings}; {rules}. Light lines are counted "
            "along from the {edge} and from its {first_end}, which are 0.",
        ),
        "A table begins with its plan: the squares of its legs on the floor.",
        "Drawing the squares as they would look from above.",
        "ruler, pencil light",
    ),
    "table.more_feet": StepPhrases(
        "the squares of the other legs",
        (
            "Draw the squares of the other three legs in the same way, between the light lines {pairs}. Count: "
            "{rule_count} lines.",
            "Draw the squares of the other legs likewise, between the light lines {pairs}: {rules}.",
            "The other legs' squares likewise, between the light lines {pairs}: {rules}.",
        ),
        "All legs are equally thick: their squares lie between the same light lines.",
        "Forgetting the hidden one: it is drawn all the same, lightly.",
        "ruler, pencil light",
    ),
    "table.height": StepPhrases(
        "its nearest upright, {rise} tall",
        (
            "Go {upright} from the outer corner of the nearest leg and measure {rise}. Draw this line.",
            "From the outer corner of the nearest leg draw an [upright], {rise} tall.",
            "The [upright] at the outer corner of the nearest leg: {rise}.",
        ),
        "The height is measured at the nearest corner, where it is largest.",
        "Measuring the same height at a leg farther away.",
        "ruler and set square",
    ),
    "table.height_carried_1": StepPhrases(
        "its nearest upright, {rise} at the edge",
        (
            "Measure its height {measured_where}: go {upright} {rise}, lightly, and make another mark {thick} under "
            "the top one. Lay the ruler {along} from both marks, until they stand over the outer corner of the nearest "
            "leg. Draw the upright up to the top one. Count: {count} lines.",
            "Measure {rise} {upright}, lightly, {measured_where}, and {thick} down from there. Carry both marks "
            "{along}, until they stand over the outer corner of the nearest leg. Draw the [upright] up to the top one: "
            "{lines}.",
            "The height, {rise}, and {thick} under it, {measured_where}; both carried {along} over the outer corner of "
            "the nearest leg: {lines}.",
        ),
        "What is measured at one edge is equally tall in truth, wherever it is carried.",
        "Measuring the same height again at the leg: there it is smaller.",
        "ruler and set square",
    ),
    "table.height_carried_2": StepPhrases(
        "its nearest upright, {rise} at the near corner",
        (
            "Measure its height {measured_where}: go {upright} {rise}, lightly, and make another mark {thick} under "
            "the top one. Carry both marks {edge_way}, until they stand over the light line of the nearest leg. From "
            "there carry them {along}, until they stand over its outer corner. Draw the upright up to the top one. "
            "Count: {count} lines.",
            "Measure {rise} {upright}, lightly, {measured_where}, and {thick} down from there. Carry both marks "
            "{edge_way}, until they stand over the light line of the nearest leg. From there carry them {along}, until "
            "they stand over its outer corner. Draw the [upright] up to the top one: {lines}.",
            "The height, {rise}, and {thick} under it, {measured_where}; both carried {edge_way}, then {along}, over "
            "the outer corner of the nearest leg: {lines}.",
        ),
        "What is measured at one corner is equally tall in truth, wherever it is carried.",
        "Measuring the same height again at the leg: there it is smaller.",
        "ruler and set square",
    ),
    "table.thick_carried": StepPhrases(
        "the underside of its top",
        (
            "From the lower mark on the nearest upright draw the lower edge of the top all round the box, lightly "
            "where it is hidden. Count: {count}.",
            "From the lower mark on the nearest [upright] draw the lower edge of the top round the box: {lines}, "
            "lightly where it is hidden.",
            "The underside, from the lower mark round the box: {lines}, lightly where they are hidden.",
        ),
        "The top is a board: its lower edges run as its upper ones do.",
        "Keeping the same thickness on the paper all along.",
        "ruler and set square",
    ),
    "table.sides": StepPhrases(
        "two edges of its top",
        (
            "From the top of this line draw one line {along} and one {up_way}. Both stop over the outer corners of the "
            "next legs. Draw the lines {upright} there. Count: {count}.",
            "From its top draw a line {along} and one {up_way}, until they stand over the outer corners of the next "
            "legs; draw the uprights there: {lines}.",
            "{along} and {up_way} from its top, and the uprights at the outer corners of the next legs: {lines}.",
        ),
        "The table is a box first: its top runs as its plan does.",
        "Letting the edges of the top run level on the paper.",
        "ruler and set square",
    ),
    "table.lid": StepPhrases(
        "the rest of its top",
        (
            "From the two new corners draw the last two lines of the top: one {up_way}, one {along}. They cross at its "
            "back corner. Count: {count}.",
            "Close the top: from the two new corners {up_way} and {along}, to their crossing: {lines}.",
            "The top: {up_way} and {along} from the two new corners: {lines}.",
        ),
        "The back corner comes by itself, over that of the plan.",
        "Drawing the back edges like the front ones on the paper.",
        "ruler and set square",
    ),
    "table.thick": StepPhrases(
        "how thick its top is, {thick}",
        (
            "On the nearest upright measure {thick} down from the top. From there draw the lower edge of the top all "
            "round the box, lightly where it is hidden. Count: {count}.",
            "Mark {thick} down on the nearest [upright], and draw the lower edge of the top from there round the box: "
            "{lines}, lightly where it is hidden.",
            "{thick} under the top, round the box: {lines}, lightly where they are hidden.",
        ),
        "The top is a board: its lower edges run as its upper ones do.",
        "Keeping the same thickness on the paper all along.",
        "ruler and set square",
    ),
    "table.legs": StepPhrases(
        "the legs up to the top",
        (
            "From the corners of the squares that you see draw the legs {upright}, up to the lower edge of the top. "
            "Count: {count}.",
            "From the corners of the squares that are seen raise the legs, {upright}, up to the top: {lines}.",
            "The legs, {upright} from the corners of their squares that are seen, to the top: {lines}.",
        ),
        "Every leg stands on its square and ends at the top.",
        "Legs of one length on the paper: those behind are shorter.",
        "ruler and set square",
    ),
    "table.rest_marks": StepPhrases(
        "where its foot rest goes",
        (
            "On the nearest line that goes {upright}, make two marks for the foot rest: {ticks} from its foot.",
            "On the nearest [upright] mark the foot rest: {ticks} from its foot.",
            "The foot rest on the nearest [upright]: {ticks} from its foot.",
        ),
        "Heights are measured at the nearest corner, and carried round from there.",
        "Measuring at a leg farther away: there the same height is smaller.",
        "ruler",
    ),
    "table.rest_round": StepPhrases(
        "carry it round the table",
        (
            "From both marks draw light lines {along} and {up_way}, to the outer corners of the next legs. From there "
            "close them round the table. Count: {count} lines.",
            "Carry both marks round the table, lightly, {along} and {up_way}: {lines}. They turn over the outer "
            "corners of the legs.",
            "Both marks round the table, lightly, {along} and {up_way}: {lines}.",
        ),
        "What lies level in the table runs as its top does.",
        "Drawing these lines dark: they are seen only between the legs.",
        "ruler, pencil light",
    ),
    "table.rest_outer": StepPhrases(
        "the outside of its foot rest",
        (
            "Draw these lines dark from leg to leg, where you see them. Count: {count}.",
            "Draw these lines dark from leg to leg, where they are seen: {lines}.",
            "The outer edges of the foot rest, from leg to leg: {lines}.",
        ),
        "The bars lie in one plane with the outer sides of the legs.",
        "Drawing across a leg: the bars end at the legs.",
        "ruler",
    ),
    "table.rest_inner": StepPhrases(
        "how thick its foot rest is",
        (
            "From the ends of these lines go in along each leg, as deep as the leg is. Join the inner corners, where "
            "you see them. Count: {count} lines.",
            "From their ends go in along each leg, to its inner corner. Join the inner corners that are seen: {lines}.",
            "The inner edges, from leg to leg, and those where the bars meet the legs: {lines}.",
        ),
        "The bars are as deep as the legs.",
        "Giving all bars one depth on the paper: those behind are thinner.",
        "ruler",
    ),
}
