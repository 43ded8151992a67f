"""What a teacher says while a block is raised from its plan on a level top."""

from orthopsis.core.wording.step import StepPhrases

RAISED: dict[str, StepPhrases] = {
    "raised.plan": StepPhrases(
        "its plan on the {face}",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark the four corners where they cross: {crossings}. Join them, lightly: {rule_count} lines. That is the "
            "plan.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners: "
            "{crossings}. Mark them and join them, lightly: {rules}, the plan.",
            "The plan, from crossing to crossing: {crossings}; {rules}. Light lines are counted along from the "
            "{edge} and from its {first_end}, which are 0.",
        ),
        "What stands on a face begins as its plan: its sides run as the edges of the face do.",
        "Drawing the plan as it would look from above.",
        "ruler, pencil light",
    ),
    "raised.height": StepPhrases(
        "its first upright, {rise} tall",
        (
            "Go {upright} from the {first_look} corner of the plan and measure {rise}. Draw this line.",
            "From the {first_look} corner of the plan draw its [upright], {rise} tall.",
            "The first [upright] over the {first_look} corner: {rise}.",
        ),
        "The height is measured at the nearest corner, where it is largest.",
        "Measuring the same height at a corner farther away.",
        "ruler and set square",
    ),
    "raised.height_carried_1": StepPhrases(
        "its first upright, {rise} at the edge",
        (
            "Measure its height {measured_where}: go {upright} {rise}, lightly. From there lay the ruler {along}. Draw "
            "a light line until it stands over the {first_look} corner of the plan. Draw the upright up to it. Count: "
            "{count} lines.",
            "Measure {rise} {upright}, lightly, {measured_where}. Carry this height {along}, until it stands over the "
            "{first_look} corner of the plan; draw the [upright] up to it: {lines}.",
            "The height, {rise}, {measured_where}, carried {along} over the {first_look} corner of the plan: {lines}.",
        ),
        "What is measured at one edge is equally tall in truth, wherever it is carried.",
        "Measuring the same height again over the plan: there it is smaller.",
        "ruler and set square",
    ),
    "raised.height_carried_2": StepPhrases(
        "its first upright, {rise} at the near corner",
        (
            "Measure its height {measured_where}: go {upright} {rise}, lightly. From there lay the ruler {edge_way}, "
            "and draw a light line until it stands over the light line of the plan. From there lay it {along}, until "
            "it stands over the {first_look} corner. Draw the upright up to it. Count: {count} lines.",
            "Measure {rise} {upright}, lightly, {measured_where}. Carry this height {edge_way} until it stands over "
            "the light line of the plan, and from there {along} until it stands over the {first_look} corner. Draw the "
            "[upright] up to it: {lines}.",
            "The height, {rise}, {measured_where}, carried {edge_way} and then {along} over the {first_look} corner: "
            "{lines}.",
        ),
        "What is measured at one corner is equally tall in truth, wherever it is carried.",
        "Measuring the same height again over the plan: there it is smaller.",
        "ruler and set square",
    ),
    "raised.to_ceiling": StepPhrases(
        "its first upright, up to the ceiling",
        (
            "From the {first_look} corner of the plan lay the ruler {along}. Draw a light line as far as the "
            "wall. Go straight up the wall to the ceiling. From there lay the ruler {along} again and draw back. Where "
            "this line stands over the {first_look} corner the upright ends: draw it. Count: {count} lines.",
            "From the {first_look} corner of the plan draw a light line {along}, as far as the wall. Go straight "
            "up the wall to the ceiling, and back along the ceiling, until you are over the {first_look} corner. Draw "
            "the [upright] up to there: {lines}.",
            "The first [upright]: on the floor {along} to the wall, up it, and back along the ceiling over the "
            "{first_look} corner: {lines}.",
        ),
        "A height is carried over the surfaces of the room: floor, wall, ceiling.",
        "Guessing where the ceiling is over the middle of the room.",
        "ruler on the point and set square",
    ),
    "raised.sides": StepPhrases(
        "its two sides",
        (
            "From the top of this line draw one line {along} and one {up_way}. Both stop over the next corners of the "
            "plan. Draw the lines {upright} there. Count: {count}.",
            "From its top draw a line {along} and one {up_way}, until they stand over the next corners of the plan; "
            "draw the uprights there: {lines}.",
            "The two sides: {along} and {up_way} from its top, and the uprights from the next corners: {lines}.",
        ),
        "Its upper edges run as those of its plan do.",
        "Letting the upper edges run level on the paper.",
        "ruler and set square",
    ),
    "raised.around": StepPhrases(
        "its top, round from the first upright",
        (
            "From the top of this line draw a {up_way} line over to the next corner of the plan. From there draw one "
            "{along}, and from its end one {up_way} again. Each stops over a corner of the plan. Draw the lines "
            "{upright} under them, and the last edge. Count: {count}.",
            "From its top go round: {up_way}, {along}, {up_way} again, each until it stands over the next corner of "
            "the plan; draw the uprights there, and the last edge: {lines}.",
            "Round the top from there: {up_way}, {along}, {up_way}, each over the next corner of the plan; the "
            "uprights, the last edge: {lines}.",
        ),
        "One wall is seen nearly edge-on: the corner behind is found from the other side.",
        "Looking for it where two nearly upright lines cross.",
        "ruler and set square",
    ),
    "raised.top": StepPhrases(
        "its top",
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
}
