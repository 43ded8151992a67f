"""What a teacher says while letters that stand one behind the other, or step back, find their places."""

from orthopsis.core.wording.step import StepPhrases

ROW: dict[str, StepPhrases] = {
    "row.marks": StepPhrases(
        "the places of the letters",
        (
            "On a level line through the foot of the first letter of {thing} mark {length_marks} from its lower left.",
            "Mark {length_marks} from the lower left of the first letter of {thing}, on a level line through its "
            "foot: from where to where the other letters stand.",
            "Lay off the places of the other letters on the level line through the first one's foot: {length_marks}.",
        ),
        "What goes back is measured where the first letter stands.",
        "Measuring the letters behind: they are smaller.",
        "ruler",
    ),
    "row.ways": StepPhrases(
        "{lines} to the point",
        (
            "Draw a light line from each mark to the {view_point}. Count: {count}.",
            "Run the marks to the {view_point}, lightly: {lines}.",
            "Carry the marks to the {view_point}: {lines}.",
        ),
        "Letters that are equally wide stand between the same lines to the [vanishing point].",
        "A line to the corner of the sheet in place of the [vanishing point].",
        "ruler on the point, pencil light",
    ),
    "row.lines": StepPhrases(
        "foot, middle and top to the point",
        (
            "From the lower left of the first letter of {thing}, from half its height and from its top draw light "
            "lines to "
            "the {view_point}. Count: {count}.",
            "Run the lower left, half the height and the top of the first letter of {thing} to the {view_point}: "
            "{lines}, lightly.",
            "The lower left, the middle and the top of the first letter of {thing} to the {view_point}: {lines}.",
        ),
        "Between these lines the letters behind are as tall as the first one.",
        "Taking the top of a lower corner: it is the height of the letters.",
        "ruler on the point, pencil light",
    ),
    "row.planes": StepPhrases(
        "how far back each letter stands",
        (
            "Mark {depth} along the lower line and draw an [upright] there. From the top before it, put the ruler "
            "through "
            "the [upright]'s middle, down to the lower line: there stands the next one. Go on for each letter.",
            "Mark {depth} along the lower line and raise it [upright]. From the top before it through its middle to "
            "the "
            "lower line is the next place. Go on so for each letter.",
            "Planes at equal steps: {depth} along the lower line, then repeated through the middles.",
        ),
        "Equal steps back: the diagonal of two steps passes through the middle of the upright between them.",
        "Equal steps on the page: they close up with distance.",
        "ruler",
    ),
    "row.room": StepPhrases(
        "its place",
        (
            "Draw a level light line from the next place back to the lines of this letter: there stands {thing}.",
            "A level light line from its place back, to the lines from its marks: there stands {thing}, as high as "
            "the [upright] there.",
            "Level from its plane to its own lines: the foot of {thing}; its height is that of the plane's [upright].",
        ),
        "Each letter is as high as the [upright] at its place.",
        "Standing it on the line of another letter.",
        "ruler and set square",
    ),
    "front.in_room": StepPhrases(
        "the front, {rules}",
        (
            "From the lower left of its place measure out the corners of {thing}, across and up: {offsets}. Draw it "
            "with "
            "the ruler.",
            "From the lower left of its place measure the corners of {thing}, across and up: {offsets}. Draw the "
            "front: "
            "{rules}.",
            "Draw the front of {thing} true in its place: {rules}. Its corners lie across and up from the lower left: "
            "{offsets}.",
        ),
        "Farther back the same letter is smaller; it is drawn true all the same.",
        "Adding up measures: measure each corner from the same edge.",
        "ruler and set square",
    ),
}
