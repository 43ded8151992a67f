"""What a teacher says while a room is drawn that one looks into."""

from orthopsis.core.wording.step import StepPhrases

ROOM: dict[str, StepPhrases] = {
    "room.frame": StepPhrases(
        "the frame, {width} by {height}",
        (
            "Start {start}. Draw a frame, {width} wide and {height} tall. You look into {thing} through it.",
            "Mark the lower left corner of the frame, {start}. Draw it {width} wide and {height} tall, square with the "
            "paper: through it one looks into {thing}.",
            "The frame of {thing}: lower left corner {start}, {width} by {height}.",
        ),
        "A room begins with the frame through which one looks in.",
        "A frame that leans: put the ruler's end square on the paper's edge.",
        "ruler and set square",
    ),
    "room.lines": StepPhrases(
        "{lines} to the point",
        (
            "Put the ruler on the {view_point}. Turn it to every corner of the frame. Draw very lightly. Count: "
            "{count}.",
            "Rest the ruler on the {view_point} and turn it to all four corners of the frame: {lines}, lightly.",
            "Light lines from all corners of the frame to the {view_point}: {lines}.",
        ),
        "Where floor, walls and ceiling meet, edges run to the point.",
        "A missing line: count them.",
        "ruler on the point, pencil light",
    ),
    "room.depth": StepPhrases(
        "how far back the back wall is, {depth}",
        (
            "On the line from the {corner} corner measure {depth} toward the {view_point}. Make a mark: there the back "
            "wall begins.",
            "From the {corner} corner measure {depth} along its light line and mark it: there the back wall begins.",
            "The back wall begins {depth} along the light line of the {corner} corner.",
        ),
        "The depth is cut on one light line only; the others follow from it.",
        "Measuring on two lines: the back wall then leans.",
        "ruler",
    ),
    "room.depth_half": StepPhrases(
        "the back wall, about half way",
        (
            "On the line from the {corner} corner make a mark about half way to the {view_point}: there the back wall "
            "begins.",
            "Mark by eye where the back wall begins, on the light line of the {corner} corner, about half way to the "
            "{view_point}.",
            "The back wall begins about half way along the light line of the {corner} corner.",
        ),
        "A far back wall is small, a near one large.",
        "Measuring on two lines: the back wall then leans.",
        "eye and pencil",
    ),
    "room.back": StepPhrases(
        "the back wall: {lines}",
        (
            "From the mark draw the back wall. Its lines run like those of the frame, from light line to light line. "
            "Count: {count}.",
            "From the mark draw the back wall: {lines}, parallel to the frame, from light line to light line.",
            "The back wall, [level] and [upright] from light line to light line: {lines}.",
        ),
        "The back wall is a smaller frame; it closes by itself.",
        "Following the paper by eye: use the see-through ruler against the frame.",
        "see-through ruler or set square",
    ),
}
