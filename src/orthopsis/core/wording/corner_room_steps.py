"""What a teacher says while a room is drawn in two-point perspective, from its back corner toward the viewer."""

from orthopsis.core.wording.step import StepPhrases

_BEYOND_RULE = "Walls come toward you: their edges lead away from the point on which the ruler rests."
_BEYOND_SLIP = "Drawing toward the point: that would be the outside of a box."


def _wall(side: str, point: str) -> StepPhrases:
    length = f"{{{side}_length}}"
    return StepPhrases(
        f"the {side} wall, {length}",
        (
            f"Put the ruler on the [{point} point] and the foot of the back corner. Draw from the foot to the {side}, "
            f"away from the point, until you are {length} beside the corner. Go straight up from there. Now put the "
            f"ruler on the point and the top of the corner, and draw to that line. Count: {{count}} lines.",
            f"Rest the ruler on the [{point} point] and the foot of the back corner, and draw on to the {side}, until "
            f"{length} beside the corner. Raise the [upright] there, and close the wall by the line from the same "
            "point through the top of the corner: {lines}.",
            f"From the [{point} point] through foot and top of the back corner, carried on to the {side}, {length} "
            "aside; the [upright] between: {lines}.",
        ),
        _BEYOND_RULE,
        _BEYOND_SLIP,
        "ruler on the point",
    )


def _plane(plane: str, ends: str) -> StepPhrases:
    return StepPhrases(
        f"the front of the {plane}",
        (
            f"Put the ruler on the [left point] and the {ends} of the left wall's end. Draw toward you. Do the same "
            f"with the [right point] and the right wall's end. They cross at the near corner of the {plane}. Count: "
            "{count}.",
            f"From the [left point] through the {ends} of the left wall's end, and from the [right point] through that "
            f"of the right one, draw on to their crossing: the near corner of the {plane}, {{lines}}.",
            f"The front edges of the {plane}, from the points through the {ends} of both walls' ends, to their "
            "crossing: {lines}.",
        ),
        f"The {plane} is a rectangle: each front edge runs as the wall over against it.",
        "Joining the ends of the walls straight.",
        "ruler on the points",
    )


CORNER_ROOM: dict[str, StepPhrases] = {
    "corner_room.edge": StepPhrases(
        "the back corner, {height} tall",
        (
            "Start {start}. Draw the line {upright}, {height} tall. It is the corner farthest from you, where both "
            "walls meet.",
            "Mark the foot of the back corner, {start}, and draw it {upright}, {height} tall: there both walls meet.",
            "The back corner: its foot {start}, {height} tall.",
        ),
        "A room begins at its farthest corner, as a box does at its nearest one.",
        "Making it so tall that the walls leave the sheet.",
        "ruler and set square",
    ),
    "corner_room.left": _wall("left", "right"),
    "corner_room.right": _wall("right", "left"),
    "corner_room.floor": _plane("floor", "foot"),
    "corner_room.ceiling": _plane("ceiling", "top"),
}
