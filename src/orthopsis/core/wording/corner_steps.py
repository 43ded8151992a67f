"""What a teacher says while a thing is built from its nearest edge, in two- and three-point perspective."""

from orthopsis.core.wording.step import StepPhrases


def _side(role: str) -> dict[str, StepPhrases]:
    """Return the steps that cut one side; the measures stand in places named after the side."""
    point = f"[{role} point]"
    rule = "The mark is made once; the end of the side stands between the two [guide lines]."
    return {
        f"depth.{role}.measured": StepPhrases(
            f"{role} side, {{length}}",
            (
                f"Measure {{length}} straight to the {role} of the nearest edge. There draw the end of the side, "
                f"between "
                "the two lines.",
                f"Mark the end of the {role} side {{length}} to the {role} of the nearest edge, measured level, and "
                f"draw it "
                "{upright} between the two [guide lines].",
                f"Cut the {role} side {{length}} to the {role} of the nearest edge, measured level; its end runs "
                f"{{upright}} "
                "from [guide line] to [guide line].",
            ),
            rule,
            "An end that leans: put the ruler's end square on the paper's edge.",
            "ruler and set square",
        ),
        f"depth.{role}.along": StepPhrases(
            f"{role} side, {{length}}",
            (
                f"Measure {{length}} along the line from the {{first}} of the nearest edge to the {point}. From that "
                f"mark "
                "draw the end of the side, aimed at the [third point], to the other line.",
                f"Mark {{length}} along the [guide line] from the {{first}} of the nearest edge to the {point}. "
                f"From there draw the end of the {role} side {{upright}}, to the other [guide line].",
                f"Cut the {role} side {{length}} along the [guide line] of the {{first}} of the nearest edge; its "
                f"end runs "
                "{upright} to the other [guide line].",
            ),
            rule,
            "Drawing the end [upright] by habit.",
            "ruler on the third point",
        ),
        f"depth.{role}.half": StepPhrases(
            f"{role} side by eye",
            (
                f"Make a mark about half way to the {point}. There draw the end of the side, between the two lines.",
                f"Mark the end of the {role} side by eye, about half way to the {point}, and draw it {{upright}} "
                f"between "
                "the two [guide lines].",
                f"Cut the {role} side by eye, about half way to the {point}; its end runs {{upright}}.",
            ),
            rule,
            "Marking both lines by eye: the end then leans.",
            "eye, pencil and set square",
        ),
        f"depth.{role}.true": StepPhrases(
            f"{role} side, {{length}} true",
            (
                f"Lay off {{length}} to the {role} on a [level line] from the nearest corner. From there aim at the "
                f"[measuring point]: where it crosses the line to the {point} the side ends.",
                f"Lay off {{length}} [level] to the {role} of the nearest corner, rule lightly to the [measuring "
                f"point], and "
                f"mark where that crosses the [guide line]. Draw the end {{upright}}.",
                "Carry the true length {length} over to the [guide line] with the [measuring point]; the end runs "
                "{upright}.",
            ),
            "The [measuring point] carries a true length over to a line that goes away.",
            "Aiming at the [vanishing point] in place of the [measuring point].",
            "ruler on the measuring point",
        ),
    }


CORNER: dict[str, StepPhrases] = {
    "front.edge": StepPhrases(
        "nearest edge",
        (
            "Start {start}. Draw the nearest edge of {thing}, straight up, {height} tall.",
            "Mark the foot of the nearest edge of {thing}, {start}. Draw it [upright], {height} tall.",
            "Nearest edge of {thing}: foot {start}, {height} tall, [upright].",
        ),
        "Begin with the nearest edge: it is the tallest, and everything hangs on it.",
        "An edge that leans: put the ruler's end square on the paper's edge.",
        "ruler and set square",
    ),
    "front.edge_aimed": StepPhrases(
        "nearest edge, to the [third point]",
        (
            "Make a mark {start}. Put the ruler on the [third point], turn it to the "
            "mark, and "
            "draw the nearest edge of {thing}: {depth} long.",
            "Mark the nearest corner of {thing}, {start}. Aim at the [third point] and draw "
            "the "
            "nearest edge, {depth} long.",
            "Nearest edge of {thing}: from a mark {start} toward the [third point], {depth} long.",
        ),
        "In three-point the nearest edge is aimed at the [third point].",
        "Drawing it [upright] by habit.",
        "ruler on the third point",
    ),
    "front.edge_raised": StepPhrases(
        "nearest edge, away from the [third point]",
        (
            "Begin {start}. Put the ruler on the [third point], turn it to that corner, and draw the nearest edge of "
            "{thing} from there away from the point: {depth} long.",
            "Begin {start}. With the ruler on the [third point] and that corner, draw the nearest edge of {thing} "
            "from there away from the point, {depth} long.",
            "Nearest edge of {thing}: {start}, away from the [third point], {depth} long.",
        ),
        "In three-point the nearest edge is aimed at the [third point].",
        "Drawing it toward the point, into the thing below.",
        "ruler on the third point",
    ),
    "front.edge_alley": StepPhrases(
        "nearest edge, beyond an alley",
        (
            "On the line from the foot of {other} to the {aim} measure {gap} from its end. Make a mark. There draw the "
            "nearest edge of {thing} {upright}, {height} tall.",
            "Mark {gap} on the ground line of {other}, from its end toward the {aim}, and draw the nearest edge of "
            "{thing} there, {upright}, {height} tall.",
            "{gap} along the ground line of {other}, from its end, stands the nearest edge of {thing}: {upright}, "
            "{height} tall.",
        ),
        "After an alley a house has a nearest edge of its own; its foot stands on the ground line of the row.",
        "Standing it on the [eye level].",
        "ruler on the point, then set square",
    ),
    "front.edge_in_line": StepPhrases(
        "nearest edge, in line with {other}",
        (
            "From the foot and the top of the nearest edge of {other} draw light lines to the {aim}. Measure {length} "
            "along the lower "
            "one: make a mark. From there draw the nearest edge {upright}, up to the other line.",
            "Run the foot and the top of the nearest edge of {other} to the {aim}, lightly. Mark {length} along the "
            "lower line and "
            "draw the nearest edge of {thing} there, {upright}, up to the upper line.",
            "Carry foot and top of {other} to the {aim}; {length} along the lower line stands the nearest edge, "
            "{upright}, as "
            "tall as the upper line allows.",
        ),
        "Same height at another place: along the ground to the point, and up again.",
        "Measuring the height again: what is farther away is smaller on the page.",
        "ruler on the point, then set square",
    ),
    "guides.edge": StepPhrases(
        "{lines} to the two points",
        (
            "Put the ruler on the [left point]. Draw a light line from both ends of the edge. Do the same with the "
            "[right point]. Count: {count}.",
            "From both ends of the nearest edge draw light lines to the [left point] and to the [right point]: "
            "{lines}.",
            "Rule light [guide lines] from both ends of the nearest edge to both points: {lines}.",
        ),
        "Look at the lines at the foot of the nearest edge: their angles decide how the whole will look.",
        "A line to the wrong point: left side to the left, right side to the right.",
        "ruler on the points, pencil light",
    ),
    **_side("left"),
    **_side("right"),
    "back.cross": StepPhrases(
        "the back lines cross over",
        (
            "From the {level} of the left end draw a light line to the [right point]. From the {level} of the right "
            "end "
            "draw one to the [left point]. Where they cross is the back corner.",
            "From the {level} of the left end aim at the [right point], from the {level} of the right end at the "
            "[left point]: where the two lines cross is the back corner.",
            "The back lines of the {level} cross over, each to the other point: the back corner comes by itself.",
        ),
        "Each back line goes to the other point; the crossing is the back corner.",
        "Sending a back line to the near point. If things do not meet, a line before it was off.",
        "ruler on the points, pencil light",
    ),
    "back.upright": StepPhrases(
        "the back corner on the [eye level]",
        (
            "One back corner is there. From it draw a light line straight up or down to the [eye level]. There the "
            "other back corner is. Count: {count}.",
            "From the back corner that is there draw a light upright line to the [eye level], {lines}: there is the "
            "other back corner.",
            "From the back corner upright to the [eye level]: there is the other one.",
        ),
        "On the [eye level] a level face is one line: its back lines do not cross.",
        "Looking for a crossing on the [eye level]: all its lines lie on one another.",
        "ruler, pencil light",
    ),
    "back.edges": StepPhrases(
        "{lines} at the back",
        (
            "Draw the back edges up to the crossing. Count: {count}.",
            "Draw the {lines} of the back, from the two ends up to the crossing.",
            "Draw the back edges from the ends of the sides to the crossing: {lines}.",
        ),
        "Everything connects: that is the check.",
        "Going on beyond the crossing.",
        "ruler",
    ),
    "divide.ticks": StepPhrases(
        "tick the nearest edge",
        (
            "Make small ticks on the nearest edge: {ticks} from its {tick_start}.",
            "Tick the nearest edge {ticks} from its {tick_start}.",
            "Divide the nearest edge: ticks {ticks} from its {tick_start}.",
        ),
        "Only the nearest edge is measured; what goes away is found from it.",
        "Measuring along an edge that goes away: its near half is longer than its far half.",
        "ruler",
    ),
    "divide.ticks_measured": StepPhrases(
        "divide the nearest edge by a level line",
        (
            "Draw a level line from the nearer end of the nearest edge, as long as that edge. Mark it at {ticks} of "
            "its length. Put the ruler on its last end and on the other end of the edge. Follow it to the level line "
            "through the [third point]. From there carry the marks over to the edge.",
            "From the nearer end of the nearest edge draw a level line, as long as that edge, with marks at {ticks}. "
            "Rule from its end over the edge's other end, to the level line through the [third point]. From there "
            "turn the ruler to each mark, and mark where it crosses the edge.",
            "Divide the nearest edge at {ticks} by a measuring line through its nearer end.",
        ),
        "Equal parts of a level line stay equal; carried over they shrink as they must.",
        "Measuring on the edge itself: it goes away to the [third point].",
        "ruler",
    ),
    "divide.levels": StepPhrases(
        "{lines} across the side",
        (
            "From each tick draw a light line to the {over_point}. Count: {count}.",
            "Run the ticks to the {over_point}, lightly: {lines}.",
            "Carry the ticks to the {over_point}: {lines}.",
        ),
        "Level lines of one side share one point.",
        "A line to the other point.",
        "ruler on the point, pencil light",
    ),
    "divide.columns": StepPhrases(
        "places along the side, by its diagonal",
        (
            "Draw the diagonal of the side, from the foot of the nearest edge. Where it crosses the "
            "{rows}, counted from the foot, draw a line straight up and down.",
            "Draw the side's diagonal from the foot of the nearest edge. Where it crosses the {rows}, "
            "counted from the foot, {places_are} along the side: draw {light_lines} {upright} there.",
            "The side's diagonal cuts the {rows}, counted from the foot, at the true places along it; rule them "
            "{upright}.",
        ),
        "A diagonal carries a division from the upright to the line that goes away.",
        "Measuring the places on the page.",
        "ruler and set square",
    ),
    "divide.columns_falling": StepPhrases(
        "places along the side, by its diagonal",
        (
            "Draw the diagonal of the side, from the top of the nearest edge. Where it crosses the {rows}, counted "
            "from the foot, draw a line straight up and down.",
            "Draw the side's diagonal from the top of the nearest edge. Where it crosses the {rows}, counted from the "
            "foot, {places_are} along the side: draw {light_lines} {upright} there.",
            "The side's diagonal from the top of the nearest edge cuts the {rows}, counted from the foot, at the true "
            "places along it; rule them {upright}.",
        ),
        "A diagonal carries a division from the upright to the line that goes away.",
        "Measuring the places on the page.",
        "ruler and set square",
    ),
    "front.leaning": StepPhrases(
        "the lines that lean",
        (
            "Some strokes of {thing} lean. Count the light lines: the nearest edge and the foot are 0. Mark the "
            "points of the picture where these lines cross. Draw light lines from {joins}. Count: {count}.",
            "Strokes of {thing} lean. Light lines are counted from the nearest edge and from the foot, which are 0. "
            "Mark where they cross, and join lightly {joins}: {lines}.",
            "Rule the lines of {thing} that lean, lightly, from crossing to crossing: {joins}; {lines}. Light lines "
            "are counted along from the nearest edge and up from the foot, which are 0.",
        ),
        "What leans has no point of its own: it goes from corner to corner.",
        "Stopping too soon: each line goes from mark to mark.",
        "ruler, pencil light",
    ),
    "front.on_block": StepPhrases(
        "its edges on the block, {rules}",
        (
            "Count the light lines: the nearest edge and the foot are 0. Mark the corners of {thing} where these lines "
            "cross, along and up: {path}. Draw its edges on the block: {rule_count} lines.",
            "Count the light lines from the nearest edge and from the foot, which are 0. Corners of {thing}, along "
            "and up: {path}. Mark them, and draw the edges on the block: {rules}.",
            "Draw the edges of {thing} on its block: {rules}. Corners, along from the nearest edge and up from the "
            "foot, which are 0: {path}.",
        ),
        "Anything with corners is first its block.",
        "Losing the place among the light lines: mark the corners first.",
        "ruler",
    ),
    "front.cut_on_side": StepPhrases(
        "{cut}",
        (
            "Cut out {piece}. Count the light lines: the nearest edge and the foot are 0. Mark where they cross, along "
            "and up: {path}. Join them. Count: {rule_count}.",
            "Cut out {piece} of {thing}. Light lines are counted from the nearest edge and from the foot, which are 0. "
            "Mark where they cross, along and up: {path}. Join them: {rules}.",
            "Cut {thing} out of its block, from crossing to crossing: {path}; {rules}. Light lines are counted "
            "along from the nearest edge and up from the foot, which are 0.",
        ),
        "Strokes are equally thick in perspective: wider near, narrower far.",
        "Losing the place among the light lines: mark the corners first.",
        "ruler",
    ),
    "front.on_side": StepPhrases(
        "the shape on its side, {rules}",
        (
            "Count the light lines: the nearest edge and the foot are 0. Mark the corners where these lines cross, "
            "along and up: {crossings}. Draw the shape: {rule_count} lines.",
            "Count the light lines from the nearest edge and from the foot, which are 0. Corners of {thing}, along "
            "and up: {crossings}. Mark them, and draw the outline: {rules}.",
            "Draw the outline of {thing} from crossing to crossing: {crossings}; {rules}. Light lines are counted "
            "along from the nearest edge and up from the foot, which are 0.",
        ),
        "Strokes are equally thick in perspective: wider near, narrower far.",
        "Losing the place among the light lines: mark the corners first.",
        "ruler",
    ),
    "guides.profile_side": StepPhrases(
        "{lines} to the other point",
        (
            "Put the pencil on the other point and the ruler against it. Turn it from corner to corner. Draw only "
            "where "
            "the line does not cross the shape. Count: {count}.",
            "Scan the corners with the pencil on the other point: a light line from each corner whose line does not "
            "cross "
            "the shape. {lines} in all.",
            "Scan the corners from the opposite [vanishing point]: {lines}; where a cut took the nearest edge away "
            "the new "
            "corners go there too.",
        ),
        "New corners go to the opposite point.",
        "Forgetting the corners inside the notches: count the lines.",
        "ruler on the point, pencil light",
    ),
    "depth.profile_side": StepPhrases(
        "the depth at the nearest edge",
        (
            "Where the lines from the nearest edge meet the end of the block, make marks.",
            "Mark where the lines from the nearest edge meet the end of the block: that is the back.",
            "The end of the block cuts the lines from the nearest edge: there the back begins.",
        ),
        "The block's end is the depth of the whole shape.",
        "Guessing the depth of each part.",
        "pencil",
    ),
    "back.height": StepPhrases(
        "carry a corner's height to the nearest edge",
        (
            "Put the ruler on corner {way_0} of {thing} and on the {back_point}. Draw a light line to the nearest "
            "edge: that is {way_1}.",
            "From corner {way_0} of {thing} draw a light line, in line with the {back_point}, to the nearest edge: "
            "that is {way_1}.",
            "Carry the height of corner {way_0} of {thing}, in line with the {back_point}, to {way_1} on the nearest "
            "edge.",
        ),
        "Same height at another place: run it along.",
        "Measuring the height: it is smaller there than at the nearest edge.",
        "ruler on the point, pencil light",
    ),
    "back.round": StepPhrases(
        "carry a height round the corner",
        (
            "Begin at {way_0} on the nearest edge. Draw a light line to the {over_point}. It meets the end of "
            "the block at {way_1}. From {way_1} draw a light line to the {back_point}. Stop at the light line there: "
            "that is {way_2}, a back corner.",
            "From {way_0} on the nearest edge draw a light line to the {over_point}: it meets the end of "
            "the block at {way_1}. From {way_1} draw a light line to the {back_point}, until the [guide line] at "
            "{way_2}: a corner of the back.",
            "Carry {way_0} round the corner to {way_1} at the block's end, then to the {back_point}: it cuts the "
            "[guide line] at {way_2}.",
        ),
        "Same height at another place: run it along, and back again.",
        "Stopping at the wrong [guide line].",
        "ruler on the points, pencil light",
    ),
    "back.round_at_end": StepPhrases(
        "from the block's end to a corner of the back",
        (
            "Begin at {way_0}, the end of the block. Draw a light line to the {back_point}. Stop at the light line "
            "there: that is {way_1}, a back corner.",
            "From {way_0}, where the block ends, draw a light line to the {back_point}, until the [guide line] at "
            "{way_1}: a corner of the back.",
            "From {way_0} at the block's end to the {back_point}: it cuts the [guide line] at {way_1}.",
        ),
        "Same height at another place: run it along, and back again.",
        "Stopping at the wrong [guide line].",
        "ruler on the point, pencil light",
    ),
}
