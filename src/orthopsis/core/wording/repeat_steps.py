"""What a teacher says while a block is repeated, again and again, farther away."""

from orthopsis.core.wording.step import StepPhrases

REPEAT: dict[str, StepPhrases] = {
    "repeat.lines": StepPhrases(
        "{lines} along the row",
        (
            "From the foot and from the top of {other} draw light lines to the {aim}. The whole row stands between "
            "these lines.",
            "From the foot and the top of {other} run light lines to the {aim}: the row stands between them.",
            "The row stands between the lines from the foot and the top of {other} to the {aim}.",
        ),
        "What is equally tall stands between two lines to one point.",
        "Starting them anywhere but at the same edge.",
        "ruler on the point, pencil light",
    ),
    "repeat.first": StepPhrases(
        "where the second one stands",
        (
            "On the lower line measure {gap} from the foot of {other}. Make a mark. Draw a light line {upright} "
            "from the "
            "mark to the upper line.",
            "Mark {gap} on the lower line from the foot of {other}, and draw a light line {upright} there.",
            "The second one stands {gap} along the lower line; rule its edge {upright}.",
        ),
        "The first space is measured; all others follow from it.",
        "Measuring the other spaces too.",
        "ruler and set square",
    ),
    "repeat.middle": StepPhrases(
        "the middle line",
        (
            "Find the middle of the edge of {other} that stands at the foot of the row, and draw a light line "
            "from there "
            "to the {aim}.",
            "From the middle of the edge of {other} draw a light line to the {aim}.",
            "The middle line, from the middle of the edge of {other} to the {aim}.",
        ),
        "It passes through the middles of all the edges of the row.",
        "Guessing the middles one by one.",
        "ruler, pencil light",
    ),
    "repeat.feet": StepPhrases(
        "the next ones, through the middles",
        (
            "Put the ruler on the top of the edge before, through the middle of the edge after it, down to the lower "
            "line: there the next one stands. Draw its edge {upright}. Go on like this. Count: {count} light lines.",
            "From the top of one edge rule through the middle of the next to the lower line: there the following one "
            "stands. Draw its edge {upright}. Go on so: {lines}.",
            "From the top of one edge through the middle of the next to the lower line: the following foot. {lines}.",
        ),
        "The diagonal of two equal spaces passes through the middle between them.",
        "Making all spaces equal on the page: they close up with distance.",
        "ruler, pencil light",
    ),
    "repeat.marks": StepPhrases(
        "{mark_count} on a level line",
        (
            "Lay the ruler level through the foot of {other}. Make {mark_count} to the {mark_side}, each {mark_step} "
            "from the one before.",
            "On a level line through the foot of {other} mark equal steps to the {mark_side}: {mark_count}, "
            "{mark_step} apart.",
            "The measuring line, level through the foot of {other}: {mark_count} to the {mark_side}, {mark_step} "
            "apart.",
        ),
        "On a level line equal steps are equal on the page too.",
        "Measuring on the line that goes away.",
        "ruler",
    ),
    "repeat.carried": StepPhrases(
        "the measuring point",
        (
            "Put the ruler through the first mark and the foot of the second one. Draw a light line on to the "
            "[eye level]. There is the measuring point.",
            "Rule from the first mark through the foot of the second one to the [eye level]: there is the measuring "
            "point.",
            "The measuring point, where the line from the first mark through the second foot meets the [eye level].",
        ),
        "One point carries all the marks over.",
        "Taking the point to which the row runs.",
        "ruler, pencil light",
    ),
    "repeat.measured": StepPhrases(
        "the next ones, by the measuring point",
        (
            "From each other mark draw a light line to the measuring point. Where it crosses the lower line the next "
            "one stands: draw its edge {upright}. Count: {count} light lines.",
            "Run the other marks to the measuring point: where these lines cross the lower line stand the next ones. "
            "Draw their edges {upright}: {lines}.",
            "The other marks to the measuring point, over the lower line: the feet. Their edges {upright}: {lines}.",
        ),
        "Equal marks, carried over from one point, are equal spaces in truth.",
        "Going on with the steps of the page along the line that goes away.",
        "ruler on the point, pencil light",
    ),
    "repeat.by_eye": StepPhrases(
        "the others by eye",
        (
            "Mark where the others stand on the lower line: each space a little smaller than the one before. "
            "Draw their "
            "edges {upright}, up to the upper line. Count: {count}.",
            "Mark {marks_count} on the lower line by eye, closer and closer, and draw the edges {upright}: {lines}.",
            "By eye: {marks_count} on the lower line, closing up; their edges {upright} to the upper line.",
        ),
        "What is farther away is smaller and closer together.",
        "Equal steps on the page.",
        "eye and pencil",
    ),
    "repeat.carry": StepPhrases(
        "{lines} from the other corners",
        (
            "Draw light lines from the other corners of {other} to the {aim}. Count: {count}.",
            "Run the other corners of {other} to the {aim}, lightly: {lines}.",
            "Carry the other corners of {other} to the {aim}: {lines}.",
        ),
        "Each corner of the row lies on one line with that of the first one.",
        "Leaving a corner out: count the lines.",
        "ruler on the point, pencil light",
    ),
    "repeat.slant": StepPhrases(
        "the slanting line over the first space",
        (
            "Draw a slanting line from {other} to the second one, from the top of one edge to the foot of the "
            "other, and "
            "carry it on. From the {aim} draw a light line {upright}. Mark where they meet: all such lines run there.",
            "Carry the slanting line over the first space on until it meets {aim_line}. "
            "Mark the "
            "place: the slanting lines over all spaces run there.",
            "The diagonal of the first space meets {aim_line} in the point of all the others.",
        ),
        "Slanting lines that are parallel in truth run to one point.",
        "Stopping at the paper's edge: tape a strip on.",
        "ruler, pencil light",
    ),
    "repeat.slant_side": StepPhrases(
        "the slanting line of its side",
        (
            "Draw the slanting line across the side of {other}, from corner to corner, and carry it on. From the "
            "{aim} draw a light line {upright}. Mark where they meet.",
            "Draw the diagonal of the side of {other} and carry it on until it meets the line {upright} from "
            "the {aim}. "
            "Mark the place.",
            "The diagonal of the side of {other} meets {aim_line} in a point of its own.",
        ),
        "Slanting lines that are parallel in truth run to one point.",
        "Stopping at the paper's edge: tape a strip on.",
        "ruler, pencil light",
    ),
    "repeat.copy": StepPhrases(
        "the second one",
        (
            "Draw the second one like {other}: its lines go the same ways and end on the light lines. Count: {count}.",
            "Draw the second one like {other}, between the light lines: {lines}.",
            "The second one, between the lines to the {aim}: {lines}.",
        ),
        "Each line of it runs as the same line of the first one does.",
        "Making it as large as the first one.",
        "ruler and set square",
    ),
    "repeat.copy_deep": StepPhrases(
        "the second one",
        (
            "Draw the second one like {other}, between the light lines. How deep is it? Put the ruler on the marked "
            "point and on the edge of {other} that lies behind: where it crosses the light line, the second one "
            "ends. Count: {count}.",
            "Draw the second one like {other}, between the light lines. A line from the edge behind of {other} to the "
            "marked point shows how deep it is: {lines}.",
            "The second one, between the lines to the {aim}, as deep as the line from the edge behind of "
            "{other} to the "
            "marked point says: {lines}.",
        ),
        "Each line of it runs as the same line of the first one does.",
        "Making it as large as the first one.",
        "ruler and set square",
    ),
    "repeat.more_deep": StepPhrases(
        "all the others",
        (
            "Draw the others in the same way, each from the one before it. Count: {count} lines.",
            "Draw the others in the same way, the depth of each by a line from the one before to the marked point: "
            "{lines}.",
            "The others likewise, each from the one before: {lines}.",
        ),
        "The same steps again, between the same light lines.",
        "Losing patience: the last ones are small, and still have all their lines.",
        "ruler and set square",
    ),
    "repeat.more": StepPhrases(
        "all the others",
        (
            "Draw the others in the same way, each smaller than the one before. Count: {count} lines.",
            "Draw the others in the same way: {lines}.",
            "The others likewise: {lines}.",
        ),
        "The same steps again, between the same light lines.",
        "Losing patience: the last ones are small, and still have all their lines.",
        "ruler and set square",
    ),
}
