"""What a teacher says while a face is divided."""

from orthopsis.core.wording.step import StepPhrases

FACE: dict[str, StepPhrases] = {
    "face.hidden": StepPhrases(
        "the hidden {face}",
        (
            "The {face} of {other} is hidden. Draw it all the same, as light as you can, as if {other} were of glass: "
            "{count} lines. Each runs like the edge over against it.",
            "Draw the hidden {face} of {other} lightly, as if through glass: {lines}. Each runs like the edge over "
            "against it, to the same point.",
            "The hidden {face} of {other}, drawn lightly through: {lines}, {each}like the edge over against it.",
        ),
        "What is hidden runs to the same points as what shows.",
        "Pressing hard: these lines go away again.",
        "ruler",
    ),
    "face.ticks": StepPhrases(
        "tick the {edge}",
        (
            "On the {edge} of {other} make small ticks: {ticks} from its {tick_start}.",
            "Tick the {edge} of {other}, {ticks} from its {tick_start}.",
            "Divide the {edge} of {other}: ticks {ticks} from its {tick_start}.",
        ),
        "Only an edge that does not go away is measured.",
        "Measuring on an edge that goes away: its near half is longer than its far half.",
        "ruler",
    ),
    "face.ticks_measured": StepPhrases(
        "divide the {edge} by a level line",
        (
            "Draw a level line from the near end of the {edge} of {other}, as long as that edge. Mark it at {ticks} "
            "of its length. Put the ruler on its last end and on the far end of the edge. Follow it to the level "
            "line through the point to which the edge runs. From there carry the marks over to the edge.",
            "From the near end of the {edge} of {other} draw a level line, as long as that edge, with marks at "
            "{ticks}. Rule from its end over the edge's far end, to the level line through the edge's point. From "
            "there turn the ruler to each mark, and mark where it crosses the edge.",
            "Divide the {edge} of {other} at {ticks} by a measuring line through its near end.",
        ),
        "Equal parts of a level line stay equal; carried over they shrink as they must.",
        "Measuring on the edge itself.",
        "ruler",
    ),
    "face.ticks_laid": StepPhrases(
        "a measuring line for the {edge}",
        (
            "From the near end of the {edge} of {other} draw a level line. Mark on it, from that end: {length_marks}.",
            "Draw a level line from the near end of the {edge} of {other}. Measured from there, mark on it "
            "{length_marks}.",
            "Lay off on a measuring line through the near end of the {edge} of {other}: {length_marks}.",
        ),
        "Parts are measured on a line that does not go away.",
        "Measuring on the edge that goes away.",
        "ruler",
    ),
    "face.ticks_pivot": StepPhrases(
        "the point that carries them over",
        (
            "Draw a light line from the last mark through the far end of the {edge}, up to the [eye level].",
            "Rule from the last mark through the far end of the {edge} to the [eye level]. From that point all marks "
            "are carried over.",
            "The line from the last mark through the edge's far end meets the [eye level] in the measuring point.",
        ),
        "Lines from the marks to one point of the [eye level] are parallel in truth.",
        "Stopping at the edge: the line goes on to the [eye level].",
        "ruler",
        follows=True,
    ),
    "face.ticks_carried": StepPhrases(
        "carry the marks over to the {edge}",
        (
            "Draw a light line from each mark to that point. Where it crosses the {edge} make a small tick. Count: "
            "{count}.",
            "Carry each mark to that point: where the line crosses the {edge} is a tick. {lines}.",
            "Carry the marks over from there to the {edge}: {lines}.",
        ),
        "One point carries all the marks of one measuring line.",
        "Carrying them over upright.",
        "ruler, pencil light",
        follows=True,
    ),
    "face.levels": StepPhrases(
        "{lines} along the {face}",
        (
            "From each tick draw a light line along the {face}, {along}. Count: {count}.",
            "Run the ticks along the {face}, {along}, lightly: {lines}.",
            "Carry the ticks along the {face}, {along}: {lines}.",
        ),
        "Lines along one face share its point.",
        "A line to another point.",
        "ruler, pencil light",
        follows=True,
    ),
    "face.columns": StepPhrases(
        "places along, by the diagonal",
        (
            "Draw the diagonal of the {face}, from the {first_end} of the {edge}. Where it crosses the "
            "{rows}, counted from there, draw {light_lines} {upward}.",
            "Draw the diagonal of the {face} from the {first_end} of the {edge}. Where it crosses the "
            "{rows}, counted from there, {places_are}: draw {light_lines} {upward}.",
            "The diagonal of the {face} cuts the {rows}, counted from the {first_end} of the {edge}, at "
            "the "
            "true places along; rule them {upward}.",
        ),
        "A diagonal carries a division from the edge that is true to the one that goes away.",
        "Measuring the places on the page.",
        "ruler and set square",
    ),
    "face.columns_falling": StepPhrases(
        "places along, by the diagonal",
        (
            "Draw the diagonal of the {face}, from the {last_end} of the {edge}. Where it crosses the {rows}, counted "
            "from the {first_end}, draw {light_lines} {upward}.",
            "Draw the diagonal of the {face} from the {last_end} of the {edge}. Where it crosses the {rows}, counted "
            "from the {first_end}, {places_are}: draw {light_lines} {upward}.",
            "The diagonal of the {face} from the {last_end} of the {edge} cuts the {rows}, counted from the "
            "{first_end}, at the true places along; rule them {upward}.",
        ),
        "A diagonal carries a division from the edge that is true to the one that goes away.",
        "Measuring the places on the page.",
        "ruler and set square",
    ),
    "face.halves": StepPhrases(
        "the centre by the diagonals",
        (
            "Draw both diagonals of the {face} of {other}, lightly. They cross at its centre. Draw the middle line "
            "through "
            "it. Do the same with each half until there are enough parts. Count: {count} light lines.",
            "Cross the diagonals of the {face} of {other}: that is its centre. A line through it halves the face; the "
            "diagonals of each half halve it again. {lines}, lightly.",
            "Halve the {face} of {other} by its diagonals, and each half again: {lines}.",
        ),
        "The centre of a face is where its diagonals cross; the near half shows wider than the far half.",
        "Taking the middle with the ruler: it lies too far away.",
        "ruler, pencil light",
    ),
    "face.measuring": StepPhrases(
        "a measuring line",
        (
            "From the foot of the {edge} of {other} draw a level line and mark on it {length_marks}.",
            "Draw a level line from the foot of the {edge} of {other} and mark on it {length_marks}, all measured "
            "from the "
            "foot.",
            "Lay the parts off on a measuring line through the foot of the {edge}: {length_marks}.",
        ),
        "Parts are measured on a line that does not go away.",
        "Measuring on the edge that goes away.",
        "ruler",
    ),
    "face.pivot": StepPhrases(
        "the point that carries them over",
        (
            "Draw a light line from the last mark through the far end of the lower edge, up to the [eye level].",
            "Rule from the last mark through the far end of the lower edge to the [eye level]: from that point all "
            "marks "
            "are carried over.",
            "The line from the last mark through the lower edge's far end meets the [eye level] in the measuring "
            "point.",
        ),
        "Lines from the marks to one point of the [eye level] are parallel in truth.",
        "Stopping at the edge: the line goes on to the [eye level].",
        "ruler",
        follows=True,
    ),
    "face.carry": StepPhrases(
        "carry the marks over",
        (
            "Draw a light line from each mark to that point. Where it crosses the lower edge make a mark. Count: "
            "{count}.",
            "Carry each mark to that point: where the line crosses the lower edge is a part's end. {lines}.",
            "Carry the marks over from there to the lower edge: {lines}.",
        ),
        "One point carries all the marks of one measuring line.",
        "Carrying them over upright.",
        "ruler, pencil light",
        follows=True,
    ),
    "face.bay": StepPhrases(
        "the first part",
        (
            "On the lower edge of the {face} of {other} measure {length} from its {bay_end} end. Make a mark.",
            "Mark {length} on the lower edge of the {face} of {other}, from its {bay_end} end: the first part.",
            "The first part: {length} on the lower edge of the {face} of {other}, from its {bay_end} end.",
        ),
        "The first part is measured; all the others follow from it.",
        "Measuring the others too.",
        "ruler",
    ),
    "face.middle": StepPhrases(
        "the middle line",
        (
            "Find the middle of the {edge}, and draw a light line from there along the {face}, {along}.",
            "From the middle of the {edge} draw a light line along the {face}, {along}.",
            "The middle line of the {face}, from the middle of the {edge}, {along}.",
        ),
        "The middle line passes through the middles of all lines like the {edge}.",
        "Guessing the middles one by one.",
        "ruler, pencil light",
    ),
    "face.repeat": StepPhrases(
        "repeat it through the middles",
        (
            "Draw a light line up at the mark. From the top of the line before it, put the ruler through its middle, "
            "down "
            "to the lower edge: that is the next mark. Go on like this. Count: {count} light lines.",
            "At the mark a light line {upward}. From the upper end of the line before it rule through its middle to "
            "the "
            "lower edge: the next mark. Go on so: {lines}.",
            "Repeat the part: from the upper end of one line through the middle of the next to the lower edge. "
            "{lines}.",
        ),
        "The diagonal of two parts passes through the middle of the line between them.",
        "Shrinking the parts by the same amount, or by the same share, each time.",
        "ruler, pencil light",
    ),
    "face.by_ruler": StepPhrases(
        "measure the parts",
        (
            "On the lower edge of the {face} of {other} measure {ticks} from its {tick_start}. Make marks.",
            "Mark {ticks} on the lower edge of the {face} of {other}, from its {tick_start}.",
            "Measure the parts on the lower edge of the {face} of {other}: {ticks} from its {tick_start}.",
        ),
        "A ruler divides what is drawn true.",
        "Measuring each part from the one before: slips add up.",
        "ruler",
    ),
    "face.by_eye": StepPhrases(
        "parts by eye",
        (
            "Mark the parts on the lower edge of the {face} of {other} by eye: closer and smaller farther away.",
            "Mark {marks_count} on the lower edge of the {face} of {other} by eye, closer and smaller with distance.",
            "By eye: {marks_count} on the lower edge of the {face} of {other}, closing up with distance.",
        ),
        "What is farther away is smaller and closer together.",
        "Equal steps on the page.",
        "eye and pencil",
    ),
    "face.lines": StepPhrases(
        "draw {lines} on the {face}",
        (
            "Draw the lines on the {face} of {other}. Count: {count}.",
            "Draw the lines through the marks over the {face} of {other}: {lines}.",
            "Rule the division over the {face} of {other}: {lines}.",
        ),
        "Lines on a face run as its edges do.",
        "Lines that lean: they run like the edges of the face.",
        "ruler and set square",
    ),
    "face.light": StepPhrases(
        "{lines} on the {face}, light",
        (
            "Draw light lines through the marks on the {face} of {other}. Count: {count}.",
            "Draw light lines through the marks over the {face} of {other}: {lines}.",
            "Rule the division over the {face} of {other}, lightly: {lines}.",
        ),
        "Lines on a face run as its edges do.",
        "Pressing hard: these lines go away again.",
        "ruler, pencil light",
    ),
}
