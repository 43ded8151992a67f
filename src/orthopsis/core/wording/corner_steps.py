"""What a teacher says while a thing is built from its nearest edge, in two- and three-point perspective."""

from orthopsis.core.wording.step import StepPhrases


def _side(role: str) -> dict[str, StepPhrases]:
    """Return the steps that cut one side; the measures stand in places named after the side."""
    point = f"[{role} point]"
    rule = "The mark is made once; the end of the side stands between the two [guide lines]."
    return {
        f"depth.{role}.measured": StepPhrases(
            f"{{thing}}: {role} side, {{length}}",
            (
                f"Measure {{length}} to the {role} of the nearest edge. There draw the end of the side, between the "
                f"two "
                "lines.",
                f"Mark the end of the {role} side {{length}} from the nearest edge and draw it {{upright}} between "
                f"the two "
                "[guide lines].",
                f"Cut the {role} side {{length}} from the nearest edge; its end runs {{upright}} from [guide line] to "
                "[guide line].",
            ),
            rule,
            "An end that leans: put the ruler's end square on the paper's edge, or on the [third point] if there is "
            "one.",
            "ruler and set square",
        ),
        f"depth.{role}.half": StepPhrases(
            f"{{thing}}: {role} side by eye",
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
            f"{{thing}}: {role} side, {{length}} true",
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
        "{thing}: nearest edge",
        (
            "Start {left} from the left and {bottom} up. Draw the nearest edge of {thing}, straight up, {height} tall.",
            "Mark the foot of the nearest edge of {thing} {left} from the left, {bottom} up. Draw it [upright], "
            "{height} "
            "tall.",
            "Nearest edge of {thing}: foot {left} in and {bottom} up, {height} tall, [upright].",
        ),
        "Begin with the nearest edge: it is the tallest, and everything hangs on it.",
        "An edge that leans: put the ruler's end square on the paper's edge.",
        "ruler and set square",
    ),
    "front.edge_aimed": StepPhrases(
        "{thing}: nearest edge, to the [third point]",
        (
            "Make a mark {left} from the left and {bottom} up. Put the ruler on the [third point], turn it to the "
            "mark, and "
            "draw the nearest edge of {thing}: {depth} long.",
            "Mark the nearest corner of {thing} {left} from the left, {bottom} up. Aim at the [third point] and draw "
            "the "
            "nearest edge, {depth} long.",
            "Nearest edge of {thing}: from {left} in and {bottom} up toward the [third point], {depth} long.",
        ),
        "In three-point the nearest edge is aimed at the [third point].",
        "Drawing it [upright] by habit.",
        "ruler on the third point",
    ),
    "guides.edge": StepPhrases(
        "{thing}: {lines} to the two points",
        (
            "Put the ruler on the [left point]. Draw a light line from both ends of the edge. Do the same with the "
            "[right point]. Count: {count}.",
            "From both ends of the nearest edge draw light lines to the [left point] and to the [right point]: "
            "{lines}.",
            "Rule light [guide lines] from both ends of the nearest edge to both points: {count} in all.",
        ),
        "Look at the lines at the foot of the nearest edge: their angles decide how the whole will look.",
        "A line to the wrong point: left side to the left, right side to the right.",
        "ruler on the points, pencil light",
    ),
    **_side("left"),
    **_side("right"),
    "back.cross": StepPhrases(
        "{thing}: the back lines cross over",
        (
            "From the left end draw a light line to the [right point]. From the right end draw one to the [left "
            "point]. "
            "Where they cross is the back corner.",
            "From the left end aim at the [right point], from the right end at the [left point]: where the two lines "
            "cross "
            "is the back corner.",
            "The back lines cross over, each to the other point: the back corner comes by itself.",
        ),
        "Each back line goes to the other point; the crossing is the back corner.",
        "Sending a back line to the near point. If things do not meet, a line before it was off.",
        "ruler on the points, pencil light",
    ),
    "back.edges": StepPhrases(
        "{thing}: {lines} at the back",
        (
            "Draw the back edges up to the crossing. Count: {count}.",
            "Draw the {lines} of the back up to the crossing.",
            "Draw the back edges from the ends of the sides to the crossing: {lines}.",
        ),
        "Everything connects: that is the check.",
        "Going on beyond the crossing.",
        "ruler",
    ),
}
