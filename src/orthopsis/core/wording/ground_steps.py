"""What a teacher says while something is drawn on the ground, such as a road."""

from orthopsis.core.wording.step import StepPhrases

_FEET_RULE = "What lies on the ground begins at the lower edge and ends at the [eye level]."
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
        "its sides to the {road_point}",
        (
            "Put the pencil on the {road_point} and the ruler against it. Turn it to each mark and draw a line. Count: "
            "{count}.",
            "Rest the ruler on the {road_point}, turn it to each mark and draw: {lines}.",
            "Both sides of {thing} run to the {road_point}: {lines}.",
        ),
        "Lines that are parallel on the ground meet in one point of the [eye level].",
        "Stopping before the point: a road goes on as far as one sees.",
        "ruler on the point",
    ),
    "road.middle_on_edge": StepPhrases(
        "a light middle line",
        (
            "Make a mark in the middle between the two marks, {left} from the left. Draw a light line from it to the "
            "{road_point}.",
            "Mark the middle, {left} from the left on the lower edge, and run it to the {road_point}, lightly.",
            "The middle line, lightly, from {left} from the left to the {road_point}.",
        ),
        "The middle of the road runs to the same point.",
        "A dark middle line: only dashes of it stay.",
        "ruler on the point, pencil light",
    ),
    "road.middle": StepPhrases(
        "a light middle line",
        (
            "Make a mark in the middle between the two marks, {left} from the left. Draw a light line from it to the "
            "{road_point}.",
            "Mark the middle between them, {left} from the left, and run it to the {road_point}, lightly.",
            "The middle line, lightly, from {left} from the left to the {road_point}.",
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
            "Set the dashes by eye; dashes and gaps close up toward the {road_point}.",
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
            "Put the pencil on the {road_point} and the ruler against it. Turn it to each of these marks and draw a "
            "line. Count: {count}.",
            "Rest the ruler on the {road_point}, turn it to each of these marks and draw: {lines}.",
            "Kerbs and pavements run to the {road_point}: {lines}.",
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
            "Put the ruler on the {road_point}. From each mark draw a line to the farther level line. Then close every "
            "other field: these are the stripes. Count: {count}.",
            "From each mark draw toward the {road_point}, up to the farther [level] line, and close every other field: "
            "{lines}.",
            "The stripes run to the {road_point} between the two [level] lines; every other field: {lines}.",
        ),
        "Stripes that lead along the road run to its point.",
        "Stripes that stand upright on the paper.",
        "ruler on the point",
    ),
}
