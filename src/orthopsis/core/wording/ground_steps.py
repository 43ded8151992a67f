"""What a teacher says while something is drawn on the ground, such as a road."""

from orthopsis.core.wording.step import StepPhrases

_FEET_RULE = "What lies on the ground begins at the lower edge and ends at the [eye level]."
_TRUE_CIRCLE = "A circle that looks straight at you stays a circle."
_FEET_SLIP = "Marks too near to each other: the road is wide where it is near."

GROUND: dict[str, StepPhrases] = {
    "road.feet_on_edge": StepPhrases(
        "where {thing} begins",
        (
            "On the lower edge of the sheet make two marks: {feet} from the left. {thing} begins between them.",
            "Mark {feet} from the left on the lower edge of the sheet: there {thing} begins.",
            "{thing} begins on the lower edge, {feet} from the left.",
        ),
        _FEET_RULE,
        _FEET_SLIP,
        "ruler",
    ),
    "road.feet": StepPhrases(
        "where {thing} begins",
        (
            "Measure {bottom} up and make two marks there, {feet} from the left. {thing} begins between them.",
            "Mark {feet} from the left, both {bottom} up: there {thing} begins.",
            "{thing} begins {bottom} up, {feet} from the left.",
        ),
        _FEET_RULE,
        _FEET_SLIP,
        "ruler",
    ),
    "road.sides": StepPhrases(
        "its sides to the {goal}",
        (
            "Put the pencil on the {goal} and the ruler against it. Turn it to each mark and draw a line. Count: "
            "{count}.",
            "Rest the ruler on the {goal}, turn it to each mark and draw: {lines}.",
            "Both sides of {thing} run to the {goal}: {lines}.",
        ),
        "Lines that are parallel on the ground meet in one point of the [eye level].",
        "Stopping before the point: a road goes on as far as one sees.",
        "ruler on the point",
    ),
    "road.middle_on_edge": StepPhrases(
        "a light middle line",
        (
            "Make a mark in the middle between the two marks, {left} from the left. Draw a light line from it to the "
            "{goal}.",
            "Mark the middle, {left} from the left on the lower edge, and run it to the {goal}, lightly.",
            "The middle line, lightly, from {left} from the left to the {goal}.",
        ),
        "The middle of the road runs to the same point.",
        "A dark middle line: only dashes of it stay.",
        "ruler on the point, pencil light",
    ),
    "road.middle": StepPhrases(
        "a light middle line",
        (
            "Make a mark in the middle between the two marks, {left} from the left. Draw a light line from it to the "
            "{goal}.",
            "Mark the middle between them, {left} from the left, and run it to the {goal}, lightly.",
            "The middle line, lightly, from {left} from the left to the {goal}.",
        ),
        "The middle of the road runs to the same point.",
        "A dark middle line: only dashes of it stay.",
        "ruler on the point, pencil light",
    ),
    "road.by_eye": StepPhrases(
        "dashes by eye",
        (
            "On the middle line mark where dashes begin and end. Each dash, and each gap, is a little shorter than the "
            "one before.",
            "Mark the dashes on the middle line by eye: each dash and each gap a little shorter than the one before.",
            "Set the dashes by eye; dashes and gaps close up toward the {goal}.",
        ),
        "What is equally long gets shorter on the paper the farther away it is.",
        "All dashes of one length: the road then seems to stand up.",
        "eye and pencil",
    ),
    "road.first": StepPhrases(
        "the first dash, {length}",
        (
            "On the middle line measure {length} from the lower mark and make a mark. Draw a light level line through "
            "it from side to side.",
            "Mark {length} on the middle line from its foot, and draw a light [level] line through the mark from side "
            "to side.",
            "The first dash is {length} long; rule the [level] line through its end, from side to side.",
        ),
        "Only the first step is measured; all others follow from it.",
        "Measuring the next dash too.",
        "ruler and set square",
    ),
    "road.again": StepPhrases(
        "equal steps, by slanting lines",
        (
            "Put the ruler on the left end of one level line, or on the left mark to begin with. Turn it through the "
            "middle of the next level line. Draw a light line to the right side of the road. Draw a level line there. "
            "Go on like this. Count: {count} light lines.",
            "From the left end of a [level] line, the left mark to begin with, rule through the middle of the next one "
            "to the right side, and draw a [level] line there. Go on so: {lines}, lightly.",
            "From the left end of each level through the middle of the next one to the right side: there lies the "
            "following level. {lines}, lightly.",
        ),
        "The diagonal of two equal steps passes through the middle of the level line between them.",
        "Going through the end of the level line in place of its middle.",
        "ruler, pencil light",
    ),
    "road.dashes": StepPhrases(
        "{lines} along the middle",
        (
            "Draw the first dash along the middle line, leave out the next step, and so on. Count: {count}.",
            "Draw every other step of the middle line, beginning at the foot: {lines}.",
            "Every other step is a dash: {lines}.",
        ),
        "Dash and gap are equally long in truth.",
        "Drawing the whole middle line.",
        "ruler",
    ),
    "road.street_marks": StepPhrases(
        "where a street leads off",
        (
            "On the {branch_side} side of the road measure {branch_at} from where it begins, and {branch_deep} more. "
            "Make two marks.{branch_over}",
            "Along the {branch_side} side of the road mark {branch_at} from where it begins, and {branch_deep} after "
            "that: there the street leads off.{branch_over}",
            "The street leads off {branch_at} along the {branch_side} side of {thing}, {branch_deep} wide "
            "there.{branch_over}",
        ),
        "What lies across the road is level.",
        "Marking it too far up: the street gets very narrow there.",
        "ruler",
    ),
    "road.street": StepPhrases(
        "the street, to the edge of the sheet",
        (
            "From each mark draw a level line away from the road, to the edge of the sheet. Count: {count}. Between "
            "the marks the road has no side: that piece goes away at the end.",
            "From each mark draw a [level] line to the edge of the sheet: {lines}. Between them the road has no side: "
            "that piece is erased at the end.",
            "[Level] lines from the marks to the sheet's edge: {lines}; between them the road's side is erased.",
        ),
        "In one-point a street that crosses another runs level.",
        "Running it to the point, like the road.",
        "ruler and set square",
    ),
    "road.beside": StepPhrases(
        "kerb and pavement",
        (
            "At each side of {thing} draw a line {kerb} straight up: the kerb. From there draw a level line {pave} "
            "outward: the pavement. Count: {count}.",
            "At each side of {thing} draw the kerb, {kerb} straight up, and from there the pavement, {pave} outward: "
            "{lines}.",
            "Kerb and pavement on both sides: {kerb} up, then {pave} outward, {lines}.",
        ),
        "A kerb stands upright, a pavement lies level.",
        "A pavement at the height of the road: it has no kerb then.",
        "ruler and set square",
    ),
    "road.beside_lines": StepPhrases(
        "{lines} of the pavement",
        (
            "Put the pencil on the {goal} and the ruler against it. Turn it to each of these marks and draw a "
            "line. Count: {count}.",
            "Rest the ruler on the {goal}, turn it to each of these marks and draw: {lines}.",
            "Kerbs and pavements run to the {goal}: {lines}.",
        ),
        "What runs along the road runs to its point.",
        "Running the upper edge of the kerb level.",
        "ruler on the point",
    ),
    "road.crossing": StepPhrases(
        "the crossing, between two level lines",
        (
            "On the left side of the road measure {cross_at} from its foot, and {cross_deep} more. Make two marks. "
            "Draw a light level line through each, from side to side.",
            "On the road's left side mark {cross_at} from its foot, and {cross_deep} beyond that; draw a light [level] "
            "line through each mark, from side to side.",
            "The crossing lies between two [level] lines, {cross_at} and {cross_deep} more along the left side.",
        ),
        "What lies across the road is level.",
        "Lines that slant.",
        "ruler and set square, pencil light",
    ),
    "road.parts": StepPhrases(
        "equal parts on the near line",
        (
            "Divide the nearer level line into {part_count} equal parts with the ruler.",
            "Divide the nearer [level] line into {part_count} equal parts.",
            "{part_count} equal parts on the nearer [level] line.",
        ),
        "On a level line equal parts are equal on the paper too.",
        "Making the outer parts smaller.",
        "ruler",
    ),
    "road.stripes": StepPhrases(
        "the stripes, {lines}",
        (
            "Put the ruler on the {goal}. From each mark draw a line to the farther level line. Then close every "
            "other field: these are the stripes. Count: {count}.",
            "From each mark draw toward the {goal}, up to the farther [level] line, and close every other field: "
            "{lines}.",
            "The stripes run to the {goal} between the two [level] lines; every other field: {lines}.",
        ),
        "Stripes that lead along the road run to its point.",
        "Stripes that stand upright on the paper.",
        "ruler on the point",
    ),
    "round_land.circle": StepPhrases(
        "the circle about the {view_point}",
        (
            "Put the point of the compass on the {view_point} and open it {radius}. Draw a circle, but not over what "
            "stands there.",
            "Set the compass on the {view_point}, opened {radius}, and draw the circle wherever nothing stands before "
            "it.",
            "The circle of {radius} about the {view_point}, wherever nothing stands before it.",
        ),
        _TRUE_CIRCLE,
        "Drawing it over what stands before it.",
        "compass",
    ),
    "round_land.light_circle": StepPhrases(
        "a light circle about the {view_point}",
        (
            "Put the point of the compass on the {view_point} and open it {radius}. Draw a light circle.",
            "Set the compass on the {view_point}, opened {radius}, and draw a light circle.",
            "A light circle of {radius} about the {view_point}.",
        ),
        _TRUE_CIRCLE,
        "Setting the compass beside the {view_point}.",
        "compass, pencil light",
    ),
    "round_land.waves": StepPhrases(
        "waves about the circle",
        (
            "Draw the edge of the land by hand, in waves about the light circle. Stop at what stands before it.",
            "Sketch the edge of the land in waves about the light circle, as far as what stands before it.",
            "Sketch its edge in waves about the circle, as far as what stands before it.",
        ),
        "The light circle says how far the land reaches; the waves are drawn freely.",
        "Waves that are all alike.",
        "pencil, by hand",
        is_freehand=True,
    ),
    "rails.first": StepPhrases(
        "the end of the left rail",
        (
            "Make a mark {left} from the left and {bottom} up. There draw the end of the left rail, {width} wide and "
            "{height} tall.",
            "Mark the left foot of {thing}, {left} from the left, {bottom} up, and draw the end of the left rail "
            "there, {width} wide and {height} tall.",
            "The end of the left rail: its left foot {left} from the left, {bottom} up, {width} by {height}.",
        ),
        "A rail is a long bar: its end is drawn true.",
        "Sides that lean.",
        "ruler and set square",
    ),
    "rails.second": StepPhrases(
        "the end of the right rail",
        (
            "Measure {gauge} to the right from the left rail. There draw the end of the right rail, just as large.",
            "Mark {gauge} to the right from the left rail, level, and draw the end of the right rail there, just as "
            "large.",
            "The right rail begins {gauge} to the right, just as large.",
        ),
        "Both rails are equally wide and tall.",
        "A rail that stands higher than the other one.",
        "ruler and set square",
    ),
    "rails.lines": StepPhrases(
        "{lines} of the rails, to the {goal}",
        (
            "Put the pencil on the {goal} and the ruler against it. Draw three lines for each rail: from both "
            "upper corners, and from the foot that looks to the other rail. Count: {count}.",
            "Rest the ruler on the {goal}. Each rail gets three lines: from both upper corners, and from the "
            "foot that is turned to the other rail: {lines}.",
            "Three lines a rail run to the {goal}: from both upper corners and from the inner foot, {lines}.",
        ),
        "A rail shows its top and the side that is turned to the point.",
        "A line from the outer foot: the rail hides it.",
        "ruler on the point",
    ),
    "rails.outer": StepPhrases(
        "light lines for the sleepers",
        (
            "Measure {out} outward from each rail and make a mark, and another one {thick} straight below it. From all "
            "four marks draw light lines to the {goal}. Count: {count}.",
            "Mark {out} outward from each rail, and {thick} straight below: how far the sleepers reach, and how thick "
            "they are. Run all four marks to the {goal}, lightly: {lines}.",
            "The sleepers lie between light lines to the {goal}, {out} outward; as thick as those {thick} below "
            "them say: {lines}.",
        ),
        "What is equally long ends on one line to the point.",
        "Dark lines: they go away again.",
        "ruler on the point, pencil light",
    ),
    "rails.marks": StepPhrases(
        "where the sleepers lie",
        (
            "On the left light line measure {deep} from its foot, where the first sleeper ends, and {pitch}, where the "
            "second begins. Mark the others by eye, each a little narrower and closer.",
            "On the left outer line mark {deep}, the end of the first sleeper, and {pitch}, the beginning of the "
            "second; mark the others by eye, narrower and closer.",
            "On the left outer line: {deep} the first sleeper, {pitch} to the second; the others by eye, closing up.",
        ),
        "What is equally far apart closes up with distance.",
        "All sleepers equally wide on the paper.",
        "ruler, then by eye",
    ),
    "rails.sleeper": StepPhrases(
        "the first sleeper",
        (
            "Draw the first sleeper: two level lines from light line to light line, its two ends, and its front below. "
            "Count: {count}. The rails lie over it: rub it out there later.",
            "Draw the first sleeper: two [level] lines from outer line to outer line, its ends, and its front below: "
            "{lines}. It passes under the rails.",
            "The first sleeper: top and front between the light lines, {lines}; it passes under the rails.",
        ),
        "Sleepers pass under the rails: where a rail lies over them they are not seen.",
        "Drawing them dark across the rails.",
        "ruler and set square",
    ),
    "rails.more": StepPhrases(
        "the other sleepers",
        (
            "Draw the other sleepers in the same way. Their fronts end on the lower light lines. Count: {count}.",
            "Draw the others likewise, their fronts down to the lower light lines: {lines}.",
            "The others likewise, as thick as the lower light lines say: {lines}.",
        ),
        "Each is thinner than the one before it.",
        "Fronts of one height.",
        "ruler and set square",
    ),
}
