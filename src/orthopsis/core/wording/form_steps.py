"""What a teacher says while forms are drawn into rectangles on a face: portholes, arches, pointed windows, lozenges."""

from orthopsis.core.wording.step import StepPhrases

OF_SEVERAL = {
    "first": "the first one", "its_first": "the first one's", "at_first": "at the first one",
    "first_on": "the first one on", "first_form": "the first form", "first_rectangle": "the first rectangle",
}  # fmt: skip
"""What its steps call the form that is told fully, the others being drawn likewise."""
ALONE = {
    "first": "it", "its_first": "its", "at_first": "there",
    "first_on": "on", "first_form": "the form", "first_rectangle": "the rectangle",
}  # fmt: skip
"""... where there are no others."""

MIDDLE_SAYS = (
    "Draw light lines from corner to corner: they cross in the middle. Through the middle draw light lines that run "
    "as the sides do, up to the sides. Count: {count} lines.",
    "Draw both diagonals lightly. Through their crossing draw light lines that run as the sides do; they meet the "
    "sides in their middles: {lines}.",
    "Its middle by the diagonals, and from there the middles of its sides, by lines that run as the sides do: {lines}.",
)
CIRCLE_SAYS = (
    "Draw a round line from middle to middle, all the way round. At each middle it runs along the side. "
    "Count: {curves}.",
    "Draw the curve through the four middles, {curves}: at each middle it runs along the side, and it crosses "
    "each half diagonal a little more than two thirds of the way out.",
    "The ellipse through the four middles, {curves}: it touches each side at its middle, and crosses each "
    "half diagonal at about seven tenths.",
)
_MIDDLE_RULE = "The diagonals of a face cross in its true middle, however it is turned."
_CURVE_RULE = "A round form starts from its square: it touches the sides at their middles, and nowhere else."
_CURVE_SLIP = "Making the curve pointed at the middles, or bulging beyond the sides."


def _outline(title: str, says: tuple[str, str, str], rule: str, slip: str, tool: str) -> dict[str, StepPhrases]:
    """Return the words for the first form and for the others."""
    more = (
        "Draw the same in the others. Count: {shape_count}.",
        "Draw the same in the others: {shape_lines}.",
        "The others likewise: {shape_lines}.",
    )
    return {
        f"forms.first_{title}": StepPhrases("{first_form}", says, rule, slip, tool),
        f"forms.more_{title}": StepPhrases("the other forms", more, rule, slip, tool),
    }


_FREE, _RULER = "pencil, free hand", "ruler"
FORM: dict[str, StepPhrases] = {
    "forms.first_counted": StepPhrases(
        "{first_rectangle} on the {face}, lightly",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark the corners where they cross: {crossings}. Join them with light lines: {rule_count}.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners: "
            "{crossings}. Mark them and join them lightly: {rules}.",
            "The rectangle lightly, from crossing to crossing: {crossings}; {rules}. Light lines are counted "
            "along from the {edge} and from its {first_end}, which are 0.",
        ),
        "Whatever is round or pointed is first its rectangle.",
        "Drawing these lines dark: they only help.",
        "ruler",
    ),
    "forms.more_counted": StepPhrases(
        "the other rectangles, lightly",
        (
            "Draw the others in the same way, lightly, between the light lines {pairs}. Count: {rule_count} lines.",
            "Draw the others likewise, lightly: {rules}. They lie between the light lines {pairs}.",
            "The others likewise, lightly, between the light lines {pairs}: {rules}.",
        ),
        "They lie between the same light lines, smaller with distance.",
        "Leaving one out: count them.",
        "ruler",
    ),
    "forms.first_measured": StepPhrases(
        "{first_rectangle} on the {face}, lightly",
        (
            "From the lower left of the {face} of {other} measure out the corners, across and up: {offsets}. Join "
            "them with light lines: {rule_count}.",
            "From the lower left of the {face} of {other} measure the corners, across and up: {offsets}. Join them "
            "lightly: {rules}.",
            "The rectangle true on the {face} of {other}, lightly, its corners across and up from the lower "
            "left: {offsets}; {rules}.",
        ),
        "Whatever is round or pointed is first its rectangle.",
        "Drawing these lines dark: they only help.",
        "ruler and set square",
    ),
    "forms.more_measured": StepPhrases(
        "the other rectangles, lightly",
        (
            "Draw the others with the same measures, equally far apart, lightly. Count: {rule_count} lines.",
            "Draw the others with the same measures and the same spaces, lightly: {rules}.",
            "The others likewise, equally far apart, lightly: {rules}.",
        ),
        "On a face that is drawn true equal things are equally large.",
        "Guessing the spaces.",
        "ruler and set square",
    ),
    "forms.first_twelve_counted": StepPhrases(
        "points of the curve",
        (
            "Mark where these light lines cross, counted from the {edge} and from its {first_end}: {crossings}.",
            "Mark more points of the curve where these light lines cross, counted from the {edge} and from its "
            "{first_end}: {crossings}.",
            "Points of the curve at tenths of its square, as crossings of the light lines: {crossings}.",
        ),
        "What is 3 and 4 tenths aside of the middle is 5 tenths away from it: the circle passes there.",
        "Losing the place among the light lines.",
        "pencil",
    ),
    "forms.first_twelve_measured": StepPhrases(
        "points of the curve",
        (
            "From the lower left of the {face} of {other} measure out these points too, across and up: {offsets}.",
            "From the lower left of the {face} of {other} measure more points of the curve, across and up: {offsets}.",
            "Points of the curve at tenths of its square, across and up from the lower left of the {face}: {offsets}.",
        ),
        "What is 3 and 4 tenths aside of the middle is 5 tenths away from it: the circle passes there.",
        "Measuring from the corner of the square: all measures begin at the corner of the {face}.",
        "ruler",
    ),
    "forms.first_middle": StepPhrases(
        "{its_first} middle",
        MIDDLE_SAYS,
        _MIDDLE_RULE,
        "Measuring the middle with the ruler: on a face that goes away it lies nearer to the far side.",
        _RULER,
    ),
    "forms.first_bars": StepPhrases(
        "{its_first} bars",
        (
            "Draw its bars on the light lines through its middle, from edge to edge. Count: {count}.",
            "Draw its bars on the light lines through the middle, from edge to edge: {lines}.",
            "Its bars, on the lines through the middle, from edge to edge: {lines}.",
        ),
        "Bars cross in the true middle, which the diagonals have found.",
        "Crossing them where the ruler measures the middle.",
        _RULER,
    ),
    "forms.more_bars": StepPhrases(
        "the bars of the others",
        (
            "Draw the bars of the others in the same way. Count: {count}.",
            "Draw the bars of the others likewise: {lines}.",
            "The bars of the others likewise: {lines}.",
        ),
        "Each has a middle of its own.",
        "Forgetting one.",
        _RULER,
    ),
    "forms.more_middle": StepPhrases(
        "the middles of the others",
        (
            "Find the middles of the others in the same way. Count: {count} lines.",
            "Find the middles of the others likewise: {lines}.",
            "The middles of the others likewise: {lines}.",
        ),
        _MIDDLE_RULE,
        "Using one middle for all.",
        _RULER,
    ),
    **_outline(
        "round",
        CIRCLE_SAYS,
        _CURVE_RULE,
        _CURVE_SLIP,
        _FREE,
    ),
    **_outline(
        "arch",
        (
            "Draw the bottom, and both sides up to their middles. From there draw a round line over the top: at the "
            "middle of the top it runs along the top. Count: {shape_count}.",
            "Draw the lower side, the two sides up to their middles, and the curve over the top, which touches the "
            "upper side at its middle: {shape_lines}.",
            "The lower side, both sides up to their middles, and half an ellipse over them, touching the upper side "
            "at its middle: {shape_lines}.",
        ),
        "The top of an arch lies over the true middle, found by the diagonals.",
        "Putting the top over the middle that the ruler measures.",
        "ruler, then free hand",
    ),
    **_outline(
        "pointed",
        (
            "Draw the bottom, and both sides up to their middles. From there draw straight to the middle of the top. "
            "Count: {shape_count}.",
            "Draw the lower side, both sides up to their middles, and from there to the middle of the upper side: "
            "{shape_lines}.",
            "The lower side, both sides up to their middles, both slopes to the middle of the upper side: "
            "{shape_lines}.",
        ),
        "The tip lies over the true middle, found by the diagonals.",
        "Putting the tip over the middle that the ruler measures.",
        _RULER,
    ),
    **_outline(
        "lozenge",
        (
            "Draw straight from middle to middle, all the way round. Count: {shape_count}.",
            "Join the middles of the sides: {shape_lines}.",
            "The lozenge from middle to middle: {shape_lines}.",
        ),
        _MIDDLE_RULE,
        "Joining the corners.",
        _RULER,
    ),
    **_outline(
        "triangle",
        (
            "Draw the bottom, and from its ends straight to the middle of the top. Count: {shape_count}.",
            "Draw the lower side, and from its ends to the middle of the upper side: {shape_lines}.",
            "The lower side, and both slopes to the middle of the upper side: {shape_lines}.",
        ),
        "The tip lies over the true middle, found by the diagonals.",
        "Putting the tip over the middle that the ruler measures.",
        _RULER,
    ),
    "forms.first_out": StepPhrases(
        "how far {first} stands out",
        (
            "Put the ruler on the {first_look} corner so that it runs {outward}. Measure {deep} out from the {face}. "
            "From there draw the light rectangle once more. Count: {count} lines.",
            "From the {first_look} corner measure {deep} out, along the line that runs {outward}. From there draw the "
            "light rectangle once more, like the one on the {face}: {lines}.",
            "It stands out by {deep}, along the line that runs {outward}; its rectangle there likewise, lightly: "
            "{lines}.",
        ),
        "What stands out of a face runs as the edges do that lead away from that face.",
        "Drawing the front as large as on the face, where it comes nearer.",
        "ruler and set square",
    ),
    "forms.first_in": StepPhrases(
        "how thick the wall is {at_first}",
        (
            "Put the ruler on the {first_look} corner so that it runs {outward}. Measure {deep} into the wall. From "
            "there draw the light rectangle once more. Count: {count} lines.",
            "From the {first_look} corner measure {deep} into the wall, along the line that runs {outward}. From there "
            "draw the light rectangle once more, like the one in front: {lines}.",
            "The reveal: {deep} along the line that runs {outward}; the rectangle at its end likewise, lightly: "
            "{lines}.",
        ),
        "The wall is equally thick at the top and the bottom.",
        "Making the wall thicker at one side than at the other.",
        "ruler and set square",
    ),
    "forms.first_corners": StepPhrases(
        "the edges between",
        (
            "Join the corners that show, from the {face} to the other rectangle. Count: {count}.",
            "Join the corners that show, from the {face} to the other rectangle: {lines}.",
            "The edges that show, which run {outward}: {lines}.",
        ),
        "All of them lead the same way.",
        "Joining what cannot be seen.",
        _RULER,
    ),
    "forms.first_touching": StepPhrases(
        "the edges where it is round",
        (
            "Lay the ruler so that it runs {outward} and just touches both curves. Draw from one curve to the other. "
            "Count: {count}.",
            "Draw the lines that run {outward} and touch both curves: {lines}.",
            "The lines that touch both curves and run {outward}: {lines}.",
        ),
        "A round side has no corner: its edge is where the ruler touches both curves.",
        "Joining the middles: the ruler touches the curves elsewhere.",
        _RULER,
    ),
    "forms.first_joined": StepPhrases(
        "the edges between",
        (
            "Join the corners that show. Where a side is round, lay the ruler so that it runs {outward} and just "
            "touches both curves, and draw. Count: {count}.",
            "Join the corners that show, and where a side is round, draw the line that runs {outward} and touches "
            "both curves: {lines}.",
            "The edges that show, and the lines that touch both curves and run {outward}: {lines}.",
        ),
        "A round side has no corner: its edge is where the ruler touches both curves.",
        "Joining the middles: the ruler touches the curves elsewhere.",
        _RULER,
    ),
}
_THROUGH = (
    "Now find where the wall ends behind {first}. Under or over it, at the edge of the {face}, lay the ruler "
    "so that it runs {outward}. It meets the line that runs {along} from the {behind} corner behind. From there go "
    "on {upward}, until you meet the line that runs {outward} from its own corner. Draw the far rectangle from "
    "there. Count: {count} lines.",
    "Find its {first_look} corner on the far face: from the edge of the {face} over or under it {outward}, to the line "
    "that runs {along} from the {behind} corner behind; from there {upward}, to the line that runs {outward} from its "
    "own corner. From there draw the far rectangle: {lines}.",
    "Its far corner: from the edge of the {face} {outward}, to the line {along} from the {behind} corner behind, and "
    "{upward} to the line {outward} from its own corner; the far rectangle from there: {lines}.",
)
for _how in ("counted", "measured"):
    FORM[f"forms.more_twelve_{_how}"] = StepPhrases(
        "points of the other curves",
        (
            "Mark the same points for the others.",
            "Mark the same points for the others, between the next lines.",
            "The same points for the others.",
        ),
        "Each circle has the same points in its square.",
        "Leaving one out.",
        "pencil",
    )
for _how in ("corners", "touching", "joined"):
    FORM[f"forms.more_{_how}"] = StepPhrases(
        "the edges of the others",
        (
            "Draw the edges of the others in the same way. Count: {count}.",
            "Draw the edges of the others likewise: {lines}.",
            "The edges of the others likewise: {lines}.",
        ),
        "All of them lead the same way.",
        "Leaving one out: count them.",
        _RULER,
    )
_AT_EDGE = (
    "Lay the ruler on the {first_look} corner so that it runs {outward}. It meets the line that runs {along} from the "
    "{behind} corner behind. From there draw the far rectangle like the one on the {face}. Count: {count} lines.",
    "Its {first_look} corner on the far face: {outward} from its own corner, to the line that runs {along} from the "
    "{behind} corner behind. From there draw the far rectangle: {lines}.",
    "Its far corner, {outward} from its own to the line {along} from the {behind} corner behind; the far rectangle: "
    "{lines}.",
)
for _kind in ("rectangles", "forms"):
    for _how, _words in (("through", _THROUGH), ("through_at_edge", _AT_EDGE)):
        FORM[f"{_kind}.first_{_how}"] = StepPhrases(
            "where {first} ends behind",
            _words,
            "What goes right through a body ends in the plane where the body ends.",
            "Guessing the thickness: it is that of the whole body.",
            "ruler and set square",
        )
    for _relief in (*(("out", "in") if _kind == "forms" else ()), "through", "through_at_edge"):
        FORM[f"{_kind}.more_{_relief}"] = StepPhrases(
            "the same at the others",
            (
                "Do the same at the others, in one line with the first one. Count: {count} lines.",
                "The same at the others, in line with the first one: {lines}.",
                "The others likewise, in line with the first one: {lines}.",
            ),
            "All of them are equally deep in truth.",
            "Measuring each of them: farther away it is less.",
            "ruler and set square",
        )
# A window that is the rectangle itself has a middle, too, once it has bars.
FORM |= {
    f"rectangles.{part}": FORM[f"forms.{part}"] for part in ("first_middle", "more_middle", "first_bars", "more_bars")
}
