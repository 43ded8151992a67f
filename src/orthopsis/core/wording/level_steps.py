"""What a teacher says while a shape is cut from the top or the underside of a block."""

from orthopsis.core.wording.step import StepPhrases

LEVEL: dict[str, StepPhrases] = {
    "face.outline": StepPhrases(
        "the shape on the {face}, {rules}",
        (
            "Count the light lines: the {edge} and the edge at its {first_end} are 0. Mark the corners where these "
            "lines cross, along and up: {crossings}. Draw the shape: {rule_count} lines.",
            "Count the light lines on the {face} from the {edge} and from its {first_end}, which are 0. Corners of "
            "{thing}, along and up: {crossings}. Mark them, and draw the outline: {rules}.",
            "Draw the outline of {thing} on the {face} from crossing to crossing: {crossings}; {rules}. Light lines "
            "are counted from the {edge} and from its {first_end}, which are 0.",
        ),
        "Strokes are equally thick in perspective: wider near, narrower far.",
        "Losing the place among the light lines: mark the corners first.",
        "ruler",
    ),
    "guides.profile_level": StepPhrases(
        "{lines} to the third point",
        (
            "Put the pencil on the [third point] and the ruler against it. Turn it from corner to corner. Draw only "
            "where the line does not cross the shape. Count: {count}.",
            "Scan the corners with the pencil on the [third point]: a light line from each corner whose line does not "
            "cross the shape. {lines} in all.",
            "Scan the corners from the [third point]: {lines}; corners inside the notches go there too.",
        ),
        "All uprights of the sheet share the [third point].",
        "Forgetting the corners inside the notches: count the lines.",
        "ruler on the point, pencil light",
    ),
    "guides.profile_upright": StepPhrases(
        "{lines} straight up or down",
        (
            "Draw a light line straight up or down from each corner, where it does not cross the shape, to the other "
            "end of the block. Count: {count}.",
            "From each corner draw a light line {upright}, to the other end of the block, where it does not cross the "
            "shape. {lines} in all.",
            "{lines} {upright} from the corners; corners inside the notches have theirs too.",
        ),
        "Uprights stay upright.",
        "Forgetting the corners inside the notches: count the lines.",
        "ruler square on the paper's edge, pencil light",
    ),
    "depth.profile_level": StepPhrases(
        "the depth at the rim",
        (
            "Where the lines from the rim meet the light lines at the other end of the block, make marks.",
            "Mark where the lines from the rim meet the [guide lines] at the block's other end: that is the depth.",
            "The block's other [guide lines] cut the lines from the rim: there the back begins.",
        ),
        "The block is as deep as the whole shape.",
        "Guessing the depth of each part.",
        "pencil",
    ),
    "back.round_level": StepPhrases(
        "carry a place round the rim",
        (
            "Begin at {way_0} on the {edge}. Draw a light line down its side to the other end of the block: there is "
            "{way_1}. From {way_1} draw along, to the same point as the {face}. Stop at the light line there: that is "
            "{way_2}, a back corner.",
            "From {way_0} on the {edge} draw a light line down its side, to {way_1} at the block's other end. From "
            "{way_1} draw along like the {face}, until the [guide line] at {way_2}: a corner of the back.",
            "Carry {way_0} round the {edge} to {way_1} at the block's other end and along from there: it cuts the "
            "[guide line] at {way_2}.",
        ),
        "Same place at another level: run it down, and along again.",
        "Stopping at the wrong [guide line].",
        "ruler on the points, pencil light",
    ),
    "back.round_level_at_end": StepPhrases(
        "from the block's other end to a corner of the back",
        (
            "Begin at {way_0}, the other end of the block. Draw a light line along, to the same point as the {face}. "
            "Stop at the light line there: that is {way_1}, a back corner.",
            "From {way_0}, the block's other end, draw a light line along like the {face}, until the [guide line] at "
            "{way_1}: a corner of the back.",
            "From {way_0} at the block's other end along like the {face}: it cuts the [guide line] at {way_1}.",
        ),
        "Same place at another level: run it down, and along again.",
        "Stopping at the wrong [guide line].",
        "ruler on the point, pencil light",
    ),
}
