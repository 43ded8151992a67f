"""What a teacher says while a chimney or a dormer is drawn on a slope of a roof."""

from orthopsis.core.wording.step import StepPhrases

ON_ROOF: dict[str, StepPhrases] = {
    "chimney.foot": StepPhrases(
        "its foot on the {face}",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark the four corners where they cross: {crossings}. Join them, lightly: {rule_count} lines. That is the "
            "foot of the chimney.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners: "
            "{crossings}. Mark them and join them, lightly: {rules}, the foot of the chimney.",
            "The foot, from crossing to crossing: {crossings}; {rules}. Light lines are counted along from the "
            "{edge} and from its {first_end}, which are 0.",
        ),
        "A chimney stands on the slope: two sides of its foot run as the slope does, two as the ridge.",
        "Drawing the foot level, as on the ground.",
        "ruler, pencil light",
    ),
    "chimney.height": StepPhrases(
        "its first upright, {rise} tall",
        (
            "Go {upright} from the {first_look} corner of the foot and measure {rise}. Draw this line.",
            "From the {first_look} corner of the foot draw its [upright], {rise} tall.",
            "The first [upright] over the {first_look} corner: {rise}.",
        ),
        "A chimney stands upright, whatever the slope.",
        "Drawing it square to the slope, so that it leans.",
        "ruler and set square",
    ),
    "chimney.sides": StepPhrases(
        "its two sides",
        (
            "From the top of this line draw one line {along} and one {pitch_way}. Both stop over the next "
            "corners of the foot. Draw the lines {upright} there. Count: {count}.",
            "From its top draw a line {along} and one {pitch_way}, until they stand over the next corners of "
            "the foot; draw the uprights there: {lines}.",
            "The two sides: {along} and {pitch_way} from its top, and the uprights from the next corners: {lines}.",
        ),
        "The top of a chimney is level: its edges run as those of the house do, not as the slope.",
        "Letting the top lean like the roof.",
        "ruler and set square",
    ),
    "chimney.top": StepPhrases(
        "its top",
        (
            "From the two new corners draw the last two lines of the top: one {pitch_way}, one {along}. They cross "
            "at its back corner. Count: {count}.",
            "Close the top: from the two new corners {pitch_way} and {along}, to their crossing: {lines}.",
            "The top, {pitch_way} and {along} from the two corners: {lines}.",
        ),
        "The back corner of the top comes by itself, as that of any box.",
        "Measuring the back corner.",
        "ruler",
    ),
    "dormer.foot": StepPhrases(
        "its place on the {face}",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark the four corners where they cross: {crossings}. Join them, lightly: {rule_count} lines. Here the "
            "dormer stands.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners: "
            "{crossings}. Mark them and join them, lightly: {rules}, the place of the dormer.",
            "Its place, from crossing to crossing: {crossings}; {rules}. Light lines are counted along from the "
            "{edge} and from its {first_end}, which are 0.",
        ),
        "A dormer begins as a rectangle on the slope.",
        "Losing the place among the light lines: mark the corners first.",
        "ruler, pencil light",
    ),
    "dormer.front": StepPhrases(
        "its front",
        (
            "Lay the ruler on the upper corner that belongs to the {edge}, so that it runs {pitch_way}. Draw toward "
            "you, until you are over the {first_look} corner. Draw the line {upright} there. Do the same on the other "
            "side, and join both tops {along}. Count: {count}.",
            "From the upper corners of the rectangle come forward on lines that run {pitch_way}, until they stand over "
            "the lower corners; draw the uprights there and join them {along}: {lines}.",
            "Its front: the uprights over the lower corners, up to the lines that run {pitch_way} through the upper "
            "ones: {lines}.",
        ),
        "The cheeks of a dormer are level on top: their upper edges run as the wall under the gable does.",
        "Cheeks that run down with the slope on both edges.",
        "ruler and set square",
    ),
    "dormer.peak": StepPhrases(
        "the tip over its front",
        (
            "Draw two light lines across the front, from corner to corner. They cross at its middle. Carry the first "
            "line {upright} on and measure {peak}. From this mark draw a light line {along}, until you are over the "
            "middle: that is the tip. Draw the two slanted lines down from it.",
            "Cross the diagonals of the front, lightly. Mark {peak} over its first [upright] and carry the height "
            "{along}, until it stands over the middle: the tip. Join it with both upper corners of the front.",
            "The tip: over the middle of the front by its diagonals, {peak} over its first [upright], carried "
            "{along}; then both slopes.",
        ),
        "The tip stands over the middle of the front.",
        "Taking the middle with the ruler.",
        "ruler and set square, pencil light",
    ),
    "dormer.ridge": StepPhrases(
        "where it meets the roof",
        (
            "From the tip go straight down to the foot of the front and make a mark. From this mark draw a light line "
            "up the roof, {up_way}. From the tip draw the ridge {pitch_way}, until it meets that line. Join "
            "the end of the ridge with the two upper corners of the rectangle.",
            "Under the tip mark the middle of the front's foot. From there go lightly up the roof, {up_way}; the "
            "ridge runs {pitch_way} from the tip until it meets that line. Join its end with the upper corners.",
            "The ridge, {pitch_way} from the tip, ends on the line that runs {up_way} from the middle of the foot; "
            "from its end the valleys run to the upper corners.",
        ),
        "A level ridge meets the slope on the line straight up the slope under it.",
        "Ending the ridge by eye: the two valleys are then not in the slope.",
        "ruler, pencil light",
    ),
}
