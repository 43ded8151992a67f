"""What a teacher says while rectangles are drawn on a face: windows, doors, and what stands out of a wall."""

from orthopsis.core.wording.step import StepPhrases

RECTANGLE: dict[str, StepPhrases] = {
    "rectangles.first_counted": StepPhrases(
        "{first_on} the {face}",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its "
            "{first_end}. Mark "
            "the corners where they cross: {crossings}. Join them: {rule_count} lines.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners: "
            "{crossings}. Mark them and join them: {rules}.",
            "From crossing to crossing: {crossings}; {rules}. Light lines are counted along from the {edge} and from "
            "its {first_end}, which are 0.",
        ),
        "Its sides run as the edges of the face do.",
        "Losing the place among the light lines: mark the corners first.",
        "ruler",
    ),
    "rectangles.more_counted": StepPhrases(
        "the others on the {face}",
        (
            "Draw the others in the same way, between the light lines {pairs}. Count: {rule_count} lines.",
            "Draw the others likewise: {rules}. They lie between the light lines {pairs}.",
            "The others likewise, between the light lines {pairs}: {rules}.",
        ),
        "They lie between the same light lines, smaller with distance.",
        "Leaving one out: count them.",
        "ruler",
    ),
    "rectangles.first_measured": StepPhrases(
        "{first_on} the {face}",
        (
            "From the lower left of the {face} of {other} measure out the corners, across and up: {offsets}. "
            "Join them: "
            "{rule_count} lines.",
            "From the lower left of the {face} of {other} measure the corners, across and up: {offsets}. Join them: "
            "{rules}.",
            "True on the {face} of {other}, its corners across and up from the lower left: {offsets}; {rules}.",
        ),
        "What lies on a face that is drawn true is drawn true.",
        "Adding up measures: measure each corner from the same edge.",
        "ruler and set square",
    ),
    "rectangles.more_measured": StepPhrases(
        "the others on the {face}",
        (
            "Draw the others with the same measures, equally far apart. Count: {rule_count} lines.",
            "Draw the others with the same measures and the same spaces: {rules}.",
            "The others likewise, equally far apart: {rules}.",
        ),
        "On a face that is drawn true equal things are equally large.",
        "Guessing the spaces.",
        "ruler and set square",
    ),
    "rectangles.first_shutters_measured": StepPhrases(
        "{its_first} shutters",
        (
            "On either side comes a shutter, half as wide as the window. From the lower left of the {face} of {other} "
            "measure out its corners: {offsets}. Join them to the window: {rule_count} lines.",
            "Beside it stand two shutters, each half as wide. Their corners, across and up from the lower left of the "
            "{face} of {other}: {offsets}. Join them to the window: {rules}.",
            "Two shutters, each half as wide as the window, their corners across and up from the lower left of the "
            "{face} of {other}: {offsets}; {rules}.",
        ),
        "Two shutters closed cover one window: each is half as wide.",
        "Making them as wide as the window.",
        "ruler and set square",
    ),
    "rectangles.more_shutters_measured": StepPhrases(
        "the shutters of the others",
        (
            "Draw the shutters of the others in the same way. Count: {rule_count} lines.",
            "Draw the shutters of the others likewise: {rules}.",
            "The shutters of the others likewise: {rules}.",
        ),
        "All of them are equally wide.",
        "Forgetting one: each window has two.",
        "ruler and set square",
    ),
    "rectangles.first_shutters_counted": StepPhrases(
        "{its_first} shutters",
        (
            "On either side comes a shutter, half as wide as the window. Count the light lines from the {edge}, which "
            "is 0, and from its {first_end}. Mark its corners where they cross: {crossings}. Join them to the window: "
            "{rule_count} lines.",
            "Beside it stand two shutters, each half as wide. Their corners, by light lines from the {edge} of {other} "
            "and from its {first_end}, which are 0: {crossings}. Join them to the window: {rules}.",
            "Two shutters, each half as wide as the window, from crossing to crossing: {crossings}; {rules}. Light "
            "lines are counted along from the {edge} and from its {first_end}, which are 0.",
        ),
        "The shutter that is farther away looks narrower than the other one.",
        "Making both shutters equally wide on the sheet.",
        "ruler",
    ),
    "rectangles.more_shutters_counted": StepPhrases(
        "the shutters of the others",
        (
            "Draw the shutters of the others in the same way, between the light lines {pairs}. Count: {rule_count} "
            "lines.",
            "Draw the shutters of the others likewise: {rules}. They lie between the light lines {pairs}.",
            "The shutters of the others likewise, between the light lines {pairs}: {rules}.",
        ),
        "They become narrower with distance, as the windows do.",
        "Forgetting one: each window has two.",
        "ruler",
    ),
    "rectangles.first_out": StepPhrases(
        "{first} stands out",
        (
            "Put the ruler on its {first_look} corner so that it runs {outward}. Measure {deep} out from the {face}. "
            "From there draw its front like the one on the {face}, and join the corners that show. Count: {count}.",
            "From its {first_look} corner measure {deep} out, along the line that runs {outward}. Draw its front from "
            "there, like the one on the {face}, and join the corners that show: {lines}.",
            "It stands out by {deep}, along the line that runs {outward}; its front likewise, and the edges that "
            "show: {lines}.",
        ),
        "What stands out of a face runs as the edges do that lead away from that face.",
        "Drawing the front as large as on the face, where it comes nearer.",
        "ruler and set square",
    ),
    "rectangles.more_out": StepPhrases(
        "the others stand out",
        (
            "Draw the others out in the same way. Their fronts lie in one line with the first one's. Count: {count}.",
            "Draw the others out likewise, their fronts in line with the first one's: {lines}.",
            "The others likewise, in line with the first one's front: {lines}.",
        ),
        "All of them stand out equally far in truth.",
        "Measuring each of them: farther away it is less.",
        "ruler and set square",
    ),
    "rectangles.first_in": StepPhrases(
        "how thick the wall is {at_first}",
        (
            "Put the ruler on its {first_look} corner so that it runs {outward}. Measure {deep} into the wall. From "
            "there draw "
            "its back like its front, and join the corners that show inside. Count: {count}.",
            "From its {first_look} corner measure {deep} into the wall, along the line that runs {outward}. Draw the "
            "back from "
            "there, like the front, and join the corners that show inside: {lines}.",
            "The reveal: {deep} along the line that runs {outward}; the back likewise, and the edges that show: "
            "{lines}.",
        ),
        "The wall is equally thick at the top and the bottom; its edges run to the other point.",
        "Making the wall thicker at one side than at the other.",
        "ruler and set square",
    ),
    "rectangles.more_in": StepPhrases(
        "how thick the wall is at the others",
        (
            "Draw the wall's thickness at the others in the same way, in one line with the first one's. Count: "
            "{count}.",
            "Draw the thickness of the wall at the others likewise, in line with the first one's: {lines}.",
            "The reveals of the others, in line with the first one's: {lines}.",
        ),
        "The wall is equally thick at each opening.",
        "Measuring each of them: farther away it is less.",
        "ruler and set square",
    ),
}
