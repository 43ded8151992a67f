"""What a teacher says while a sign or a figure comes onto a face: flat, standing out, sunk in or right through."""

from dataclasses import replace

from orthopsis.core.wording.step import StepPhrases

FLAT: dict[str, StepPhrases] = {
    "lettering.counted": StepPhrases(
        "the letter on the {face}, {rules}",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark "
            "the corners where they cross: {crossings}. Draw {thing}: {rule_count} lines.",
            "Count the light lines on the {face} of {other} along from the {edge} and from its {first_end}, which are "
            "0. "
            "Corners of {thing}: {crossings}. Mark them, and draw the outline: {rules}.",
            "Draw the outline of {thing} on the {face} of {other} from crossing to crossing: {crossings}; {rules}. "
            "Light lines are counted along from the {edge} and from its {first_end}, which are 0.",
        ),
        "Strokes are equally thick in perspective: wider near, narrower far.",
        "Losing the place among the light lines: mark the corners first.",
        "ruler",
    ),
    "lettering.measured": StepPhrases(
        "the letter on the {face}, {rules}",
        (
            "From the lower left of the {face} of {other} measure out the corners of {thing}, across and up: "
            "{offsets}. "
            "Draw it with the ruler.",
            "From the lower left of the {face} of {other} measure the corners of {thing}, across and up: {offsets}. "
            "Draw "
            "the outline: {rules}.",
            "Draw {thing} true on the {face} of {other}, its corners across and up from the lower left: {offsets}; "
            "{rules}.",
        ),
        "What lies on a face that is drawn true is drawn true.",
        "Adding up measures: measure each corner from the same edge.",
        "ruler and set square",
    ),
    "figure.block": StepPhrases(
        "a light block about it, {deep}",
        (
            "Draw the rectangle about the figure, lightly. From its {first_look} corner measure {deep}, with the ruler "
            "{outward}. Draw the same rectangle there, like the other end of a block, lightly too. Count: {count}.",
            "Draw the rectangle about the figure, lightly. Carry its {first_look} corner by {deep}, {outward}, and "
            "draw the rectangle again from there, like the other end of a block: {lines}, all light.",
            "The rectangle about it, carried by {deep}, {outward}, as the other end of a light block: {lines}.",
        ),
        "What is carved is first a block.",
        "Drawing the second rectangle as large as the first one, where it comes nearer or goes away.",
        "ruler and set square, pencil light",
    ),
    "figure.block_through": StepPhrases(
        "a light block about it, through the body",
        (
            "Draw the rectangle about the figure, lightly. Under or over it, at the edge of the {face}, lay the ruler "
            "so that it runs {outward}. It meets the line that runs {along} from the {behind} corner behind. From "
            "there go on {upward}, to the line that runs {outward} from the {first_look} corner. Draw the same "
            "rectangle there, lightly. Count: {count}.",
            "Draw the rectangle about the figure, lightly. Now find its {first_look} corner at the far end. Start at "
            "the edge of the {face}, over or under it. Go {outward}, to the line that runs {along} from the {behind} "
            "corner behind. From there go {upward}, to the line {outward} from its own corner. Draw the rectangle "
            "again from there: {lines}, all light.",
            "The rectangle about it, and where it ends behind: from the edge of the {face} {outward}, to the line "
            "{along} from the {behind} corner behind, then {upward} to the line {outward} from its own corner: "
            "{lines}, light.",
        ),
        "What goes right through a body ends in the plane where the body ends.",
        "Guessing the thickness: it is that of the whole body.",
        "ruler and set square, pencil light",
    ),
    "figure.block_through_at_edge": StepPhrases(
        "a light block about it, through the body",
        (
            "Draw the rectangle about the figure, lightly. Lay the ruler on its {first_look} corner so that it runs "
            "{outward}. It meets the line that runs {along} from the {behind} corner behind. Draw the same rectangle "
            "there, lightly. Count: {count}.",
            "Draw the rectangle about the figure, lightly, and again on the far face: its {first_look} corner lies "
            "{outward}, on the line that runs {along} from the {behind} corner behind: {lines}, all light.",
            "The rectangle about it, and again behind, its {first_look} corner {outward} on the line {along} from the "
            "{behind} corner behind: {lines}, light.",
        ),
        "What goes right through a body ends in the plane where the body ends.",
        "Guessing the thickness: it is that of the whole body.",
        "ruler and set square, pencil light",
    ),
    "figure.block_carved": StepPhrases(
        "the far end of the block",
        (
            "{other} is the block from which it is carved. Draw its far end, as light as you can, as if the block were "
            "of glass. Each line runs like the edge over against it. Count: {count}.",
            "{other} is the block from which it is carved. Draw its far end lightly, as if through glass: {lines}. "
            "Each runs like the edge over against it.",
            "{other} is the block about it: its far end, as if through glass: {lines}.",
        ),
        "Anything with corners is first its block.",
        "Pressing hard: these lines go away again.",
        "ruler and set square, pencil light",
    ),
    "figure.rows": StepPhrases(
        "light lines across the block",
        (
            "From each inner corner go straight to the side of the rectangle. From there go over the side of the "
            "block, {outward}, and then across its other end, lightly. Count: {count}.",
            "Carry the heights of the inner corners over the side of the block, {outward}, and across its other end, "
            "lightly: {lines}.",
            "The inner corners' heights over the side of the block, {outward}, and across its other end: {lines}.",
        ),
        "What is equally high on one end of a block is so on the other.",
        "Measuring these heights again: at the other end they are not as long.",
        "ruler, pencil light",
    ),
    "figure.columns": StepPhrases(
        "light lines under the block and up its other end",
        (
            "From each inner corner go straight to the lower edge of the rectangle. From there go along the block, "
            "{outward}, and then up its other end, lightly. Count: {count}.",
            "Carry the places of the inner corners from the lower edge of the rectangle along the block, {outward}, "
            "and up its other end, lightly: {lines}.",
            "The inner corners' places from the lower edge along the block, {outward}, and up its other end: {lines}.",
        ),
        "What stands over one place of an end of a block does so at the other.",
        "Measuring these places again: at the other end they are not as far apart.",
        "ruler, pencil light",
    ),
    "figure.depths": StepPhrases(
        "its corners carried over, {lines}",
        (
            "From each corner of the figure lay the ruler {outward}. Draw up to its own line at the other end of the "
            "block; lightly where it will not show. Count: {count}.",
            "From each corner of the figure draw {outward}, up to its own line at the other end of the block: {lines}, "
            "lightly where they will not show.",
            "From the corners {outward}, each to its own line at the other end: {lines}.",
        ),
        "All edges that lead out of a face share one point.",
        "Stopping at the line of another corner.",
        "ruler on the point",
    ),
    "figure.front": StepPhrases(
        "the figure at the other end, {rules}",
        (
            "Join the new corners in the same order as on the {face}. Count: {count}.",
            "Join the new corners in the same order as on the {face}: {lines}.",
            "The outline at the other end, corner by corner: {lines}.",
        ),
        "Both ends of what is carved have the same corners.",
        "Leaving out a corner.",
        "ruler",
    ),
    "figure.carved": StepPhrases(
        "the figure at the other end, {rules}",
        (
            "Join the new corners that show, in the same order as on the {face}. What is left of the block goes away "
            "in the end. Count: {count}.",
            "Join the new corners that show, in the same order as on the {face}: {lines}. What is left of the block "
            "goes away in the end.",
            "The outline at the other end, where it shows: {lines}. The rest of the block goes away in the end.",
        ),
        "Anything with corners is first its block, and then carved.",
        "Joining corners behind the figure: they do not show.",
        "ruler",
    ),
}
for _how in ("counted", "measured"):
    FLAT[f"figure.{_how}"] = replace(
        FLAT[f"lettering.{_how}"],
        title="the figure on the {face}, {rules}",
        rule="What is equal on a face that goes away grows smaller with distance, as the face does.",
    )
