"""What a teacher says while a thing is built from its front face, in one-point perspective."""

from orthopsis.core.wording.step import StepPhrases

FRONT: dict[str, StepPhrases] = {
    "front": StepPhrases(
        "front face",
        (
            "Start {start}. Draw the front of {thing}: {width} wide, {height} tall.",
            "Mark the lower left corner of {thing}, {start}. Draw its front, {width} "
            "wide and {height} tall, square with the paper.",
            "Draw the front face of {thing} true: lower left corner {start}, {width} by "
            "{height}, sides parallel to the paper's edges.",
        ),
        "The front face is drawn as it is: level and [upright], square with the paper.",
        "Sides that lean: put the ruler's end square on the paper's edge.",
        "ruler and set square",
    ),
    "front.in_line": StepPhrases(
        "front face, in line with {other}",
        (
            "From the lower left and the upper left corner of {other} draw light lines to the {aim}. Measure {length} "
            "along the lower "
            "one: make a mark. From there draw the left side {upright}, up to the other line. Draw the rest of the "
            "front, {width} wide.",
            "Run the lower left and the upper left corner of {other} to the {aim}, lightly. Mark {length} along the "
            "lower line and "
            "draw the left side of {thing} there, {upright}, up to the upper line. Finish the front, {width} wide.",
            "Carry foot and top of {other} to the {aim}; {length} along the lower line stands the left side, "
            "{upright}, as "
            "tall as the upper line allows. Finish the front, {width} wide.",
        ),
        "Same height at another place: along the ground to the point, and up again.",
        "Measuring the height again: what is farther away is smaller on the page.",
        "ruler on the point, then set square",
    ),
    "front.alley": StepPhrases(
        "front face, beyond an alley",
        (
            "On the line from the foot of {other} to the {aim} measure {gap} from its back corner. Make a mark. It is "
            "the {holds} corner of {thing}. Draw its front: {width} wide, {height} tall.",
            "Mark {gap} on the ground line of {other}, from its back corner toward the {aim}: there stands the "
            "{holds} corner of {thing}. Draw its front, {width} wide and {height} tall, square with the paper.",
            "{gap} along the ground line of {other}, from its back corner, stands the {holds} corner of {thing}; its "
            "front: {width} by {height}.",
        ),
        "All houses of one side stand on one line to the point.",
        "Standing it on the [eye level]: its foot lies on the ground line of the row.",
        "ruler and set square",
    ),
    "guides": StepPhrases(
        "{lines} to the point",
        (
            "Put the ruler on the {view_point}. Turn it until it touches a corner of {thing}. Draw very "
            "lightly. Count: {count}.",
            "Rest the ruler on the {view_point}, turn it to each corner in turn: {corners}. Draw {lines}, lightly.",
            "Rule light [guide lines] to the {view_point} from {corners} of {thing}: {lines}.",
        ),
        "A corner gets a line only when the line does not run across the front.",
        "A missing line: count them. Stopping short of the point is fine, missing it is not.",
        "ruler on the point, pencil light",
    ),
    "guides.see_through": StepPhrases(
        "{lines} to the point",
        (
            "Put the ruler on the {view_point}. Turn it to every corner of {thing}, also through the box. "
            "Draw very lightly. Count: {count}.",
            "Rest the ruler on the {view_point} and turn it to all corners of {thing}: {lines}, lightly. The "
            "inside is seen, so lines may cross the front.",
            "Rule light [guide lines] to the {view_point} from all corners of {thing}, those behind the "
            "front included: {lines}.",
        ),
        "Where the inside is seen every corner has its line.",
        "A missing line: count them.",
        "ruler on the point, pencil light",
    ),
    "depth.front": StepPhrases(
        "depth {depth}",
        (
            "On the line from the {corner} corner measure {depth} toward the {view_point}. Make a mark.",
            "From the {corner} corner measure {depth} along its [guide line] and mark it.",
            "Cut the depth: {depth} along the [guide line] of the {corner} corner.",
        ),
        "The depth is cut on one [guide line] only; the others follow from it.",
        "Measuring on two lines: the back then leans.",
        "ruler",
    ),
    "depth.front_half": StepPhrases(
        "depth about half way",
        (
            "On the line from the {corner} corner make a mark about half way to the {view_point}.",
            "Mark the depth by eye on the [guide line] of the {corner} corner, about half way to the {view_point}.",
            "Cut the depth by eye, about half way along the [guide line] of the {corner} corner.",
        ),
        "A free length is decided by eye, once; the rest follows from it.",
        "Marking two lines by eye: the back then leans.",
        "eye and pencil",
    ),
    "depth.cube": StepPhrases(
        "true cube",
        (
            "Put the ruler on the {side} [distance point]. Turn it to the {beside} corner. Where it crosses the "
            "line from the {corner} corner, make a mark.",
            "Rule lightly from the {beside} corner to the {side} [distance point]. Where it crosses the [guide "
            "line] of the {corner} corner is the back corner.",
            "The diagonal from the {beside} corner to the {side} [distance point] cuts the [guide line] of the "
            "{corner} corner at the true depth of a cube.",
        ),
        "The line from a front corner to the opposite [distance point] cuts off the depth of a cube.",
        "Taking the near [distance point] in place of the opposite one: the cube becomes far too short.",
        "ruler on the distance point",
    ),
    "back": StepPhrases(
        "{lines} at the back",
        (
            "From the mark draw the back of {thing}, with lines that run like the front ones. Count: {count}.",
            "From the mark draw {lines} of the back, parallel to the front edges, from [guide line] to [guide line].",
            "Carry the depth round: {lines}, [level] and [upright], each until it meets the next [guide line].",
        ),
        "Back edges are parallel to front edges; it closes by itself.",
        "Following the paper by eye: use the see-through ruler against the front edge.",
        "see-through ruler or set square",
    ),
    "front.block": StepPhrases(
        "the block, {wide} by {tall}",
        (
            "Start {start}. From there draw a light block, {wide} wide and {tall} tall. It will be {thing}.",
            "Mark the lower left of {thing}, {start}. From there draw its block lightly, {wide} wide and {tall} tall.",
            "Draw the block of {thing} lightly: its lower left {start}, {wide} wide, {tall} tall.",
        ),
        "Anything with corners is first its block.",
        "A block that leans: set the ruler square on the paper's edge.",
        "ruler and set square",
    ),
    "front.block_in_room": StepPhrases(
        "the block in its place",
        (
            "Draw a light block in its place, from line to line, as tall as the line that stands there. It will be "
            "{thing}.",
            "Draw the block of {thing} lightly in its place: as wide as from line to line, as tall as the [upright] "
            "there.",
            "The block of {thing} fills its place: from line to line, as tall as the [upright] of its plane.",
        ),
        "Farther back the same letter is smaller; it is drawn true all the same.",
        "A block that leans: set the ruler square on the paper's edge.",
        "ruler and set square",
    ),
    "front.cut": StepPhrases(
        "{cut}",
        (
            "Cut out {piece}. From the lower left of the block measure across and up: {path}. Join them. Count: "
            "{rule_count}.",
            "Cut out {piece} of {thing}. From the lower left of its block measure, across and up: {path}. Join them: "
            "{rules}.",
            "Cut {thing} out of its block: {rules}. Corners lie across and up from its lower left: {path}.",
        ),
        "The front is drawn as it is; strokes of one shape are equally thick.",
        "Adding up measures: measure each corner from the same edge.",
        "ruler and set square",
    ),
    "front.rest": StepPhrases(
        "what stands beside it, {rules}",
        (
            "From the lower left of {thing} measure across and up: {path}. Draw with the ruler. Count: {rule_count}.",
            "From the lower left of {thing} measure, across and up: {path}. Draw what stands there: {rules}.",
            "Draw what stands beside the block of {thing}: {rules}. Corners, across and up from its lower left: "
            "{path}.",
        ),
        "All of a letter is measured from one corner.",
        "Adding up measures: measure each corner from the same edge.",
        "ruler and set square",
    ),
    "front.profile": StepPhrases(
        "the front, {rules}",
        (
            "Start {start}. From there measure out the corners of {thing}, across and up: {offsets}. Draw it with the "
            "ruler.",
            "Mark the lower left of {thing}, {start}. From there measure its corners, across and up: {offsets}. "
            "Draw the front: {rules}.",
            "Draw the front of {thing} true, its lower left {start}: {rules}. Its corners lie across and up from "
            "there: {offsets}.",
        ),
        "The front is drawn as it is; strokes of one shape are equally thick.",
        "Adding up measures: measure each corner from the same edge.",
        "ruler and set square",
    ),
    "guides.profile": StepPhrases(
        "{lines} to the point",
        (
            "Put the pencil on the {view_point} and the ruler against it. Turn it from corner to corner. Draw "
            "only "
            "where the line does not cross the shape. Count: {count}.",
            "Scan the corners one by one with the pencil on the {view_point}: a corner gets a light line only "
            "if the "
            "line does not cross the front. {lines} in all.",
            "Scan the corners of {thing} from the {view_point}: {lines}; each stops where it would run behind "
            "the front.",
        ),
        "A corner gets a line only when the line does not run across the shape's own front.",
        "Forgetting the corners inside the notches: count the lines.",
        "ruler on the point, pencil light",
    ),
    "depth.profile": StepPhrases(
        "depth {depth}",
        (
            "On the line from {profile_corner} measure {depth} toward the {view_point}. Make a mark.",
            "Along the [guide line] of {profile_corner} measure {depth} and mark it.",
            "Cut the depth: {depth} along the [guide line] of {profile_corner}.",
        ),
        "The depth is cut on one [guide line] only; the others follow from it.",
        "Measuring on every line: lines nearer to the [vanishing point] are shorter.",
        "ruler",
    ),
    "depth.profile_half": StepPhrases(
        "depth about half way",
        (
            "On the line from {profile_corner} make a mark about half way to the {view_point}.",
            "Mark the depth by eye on the [guide line] of {profile_corner}, about half way to the {view_point}.",
            "Cut the depth by eye, about half way along the [guide line] of {profile_corner}.",
        ),
        "A free length is decided by eye, once; the rest follows from it.",
        "Marking two lines by eye: the back then leans.",
        "eye and pencil",
    ),
    "depth.over_front": StepPhrases(
        "depth {depth}",
        (
            "Put the ruler on {profile_corner} and on the {view_point}. Draw a light line between them, over the "
            "front. On it measure {depth} from the corner. Make a mark.",
            "From {profile_corner} draw a light line to the {view_point}, over the front. Along it measure {depth} and "
            "mark it.",
            "A light line from {profile_corner} to the {view_point}, over the front; cut the depth on it: {depth}.",
        ),
        "Here no line from a corner stays clear of the front: one is drawn over it, and taken away later.",
        "Leaving the line out, and guessing where the back begins.",
        "ruler, pencil light",
    ),
    "depth.over_front_half": StepPhrases(
        "depth about half way",
        (
            "Put the ruler on {profile_corner} and on the {view_point}. Draw a light line between them, over the "
            "front. Make a mark about half way.",
            "From {profile_corner} draw a light line to the {view_point}, over the front. Mark the depth by eye on it, "
            "about half way.",
            "A light line from {profile_corner} to the {view_point}, over the front; cut the depth by eye, about half "
            "way.",
        ),
        "A free length is decided by eye, once; the rest follows from it.",
        "Leaving the line out, and guessing where the back begins.",
        "eye, ruler, pencil light",
    ),
    "back.profile": StepPhrases(
        "{lines} at the back",
        (
            "From {whence} draw the back edges. They run like the front ones. Stop where the front hides them. Count: "
            "{count}.",
            "From {whence} go round the back: {lines}, {each}like its front edge, until the next [guide line] or "
            "until the front hides it.",
            "Carry the depth round the back: {lines}. A line may stop behind the front and go on beyond it.",
        ),
        "Back edges run like the front edges.",
        "Drawing a back edge across the front.",
        "see-through ruler or set square",
    ),
    "back.helped": StepPhrases(
        "light lines round the back",
        (
            "Draw lightly, over the front: {ways}. Begin at a corner of the back that is marked. Stop at the light "
            "line of the next corner. Count: {count}.",
            "Begin at a corner of the back that is marked. Draw lightly, over the front, to the [guide line] of the "
            "next corner: {ways}.",
            "Carry the back on behind the front, lightly: {ways}, each to the [guide line] of the next corner.",
        ),
        "From one corner of the back any other can be found: the line between them runs as on the front.",
        "Measuring the depth once more: the lines do it.",
        "see-through ruler or set square, pencil light",
    ),
}
