"""What a teacher says while a roof is drawn over a wall."""

from orthopsis.core.wording.step import StepPhrases

ROOF: dict[str, StepPhrases] = {
    "roof.centre": StepPhrases(
        "the middle of the {face}",
        (
            "Draw two light lines across the {face} of {other}, from corner to corner. They cross at its middle.",
            "Cross the diagonals of the {face} of {other}, lightly: that is its middle.",
            "Find the middle of the {face} of {other} by its diagonals.",
        ),
        "The middle of a face is where its diagonals cross.",
        "Taking the middle with the ruler: on a wall that goes away it lies too far away.",
        "ruler, pencil light",
    ),
    "roof.height": StepPhrases(
        "the height of the ridge",
        (
            "Carry the {edge} of {other} on, over its top, and measure {rise} there. Make a mark. From the mark draw "
            "a light line {along}, over the wall.",
            "Carry the {edge} of {other} on over its top and mark {rise} there. From the mark draw a light line "
            "{along}.",
            "Mark {rise} over the top of the {edge} of {other}, and carry the height {along}.",
        ),
        "A height is measured where nothing goes away, and carried to its place along the wall.",
        "Measuring the height over the middle: there it is smaller already.",
        "ruler, pencil light",
    ),
    "roof.peak": StepPhrases(
        "the peak over the middle",
        (
            "From the middle of the wall draw a light line {upright} until it meets the line that you carried over. "
            "That is the tip of the roof.",
            "Go {upright} from the middle of the wall to the carried line: that is the peak.",
            "The peak: {upright} through the middle, up to the carried height.",
        ),
        "The peak stands over the middle of its wall.",
        "A line that leans.",
        "set square, pencil light",
    ),
    "roof.peak_true": StepPhrases(
        "the peak over the middle",
        (
            "From the middle of the {face} draw a light line straight up. Measure {rise} on it, from the upper edge "
            "of the wall. That is the tip of the roof.",
            "Go straight up from the middle of the {face}, and mark {rise} over its upper edge: that is the peak.",
            "The peak: {rise} over the upper edge, on the [upright] through the middle of the {face}.",
        ),
        "The peak stands over the middle of its wall; on a front that is drawn true it is measured there.",
        "Measuring from the middle instead of the upper edge.",
        "ruler and set square",
    ),
    "roof.gable": StepPhrases(
        "the two slopes over the wall",
        (
            "Draw the two slanted lines from the upper corners of the wall to the tip.",
            "Join the upper corners of the wall with the peak: two lines.",
            "Rule both slopes of the gable to the peak.",
        ),
        "Both slopes begin at the wall's corners and meet at the peak.",
        "Missing the corner of the wall.",
        "ruler",
    ),
    "roof.ridge": StepPhrases(
        "the ridge",
        (
            "From the tip draw a light line {outward}.",
            "From the peak run the ridge {outward}, lightly.",
            "The ridge runs from the peak {outward}.",
        ),
        "The ridge runs as the lower edges of the roof do.",
        "Running it to the point of the gable wall.",
        "ruler, pencil light",
    ),
    "roof.slope_above": StepPhrases(
        "the point of the slope that goes up",
        (
            "Put the ruler along the slope that goes up as the wall goes away, and carry it on, over the edge of the "
            "paper if need be. From the {wall_point} draw a light line {upright}. Where they meet is the "
            "{slope_point}.",
            "Carry the slope that goes up on, over the paper's edge if need be, until it meets {wall_line}. Mark it: "
            "the {slope_point}.",
            "The slope that goes up, carried on, meets {wall_line} in the {slope_point}.",
        ),
        "Lines with one slope, on one side of the roof, meet over the point of their wall.",
        "Stopping at the paper's edge: tape a strip on; it may come off when the roof is done.",
        "long ruler, pencil light",
    ),
    "roof.slope_below": StepPhrases(
        "the point of the slope that comes down",
        (
            "Carry the slope that comes down on, below the wall. From the {wall_point} draw a light line {upright}. "
            "Where they meet is the {slope_point}.",
            "Carry the slope that comes down on until it meets {wall_line}. Mark it: the {slope_point}.",
            "The slope that comes down, carried on, meets {wall_line} in the {slope_point}.",
        ),
        "Slopes that come down meet below the point of their wall, as far as the others meet over it in truth.",
        "Taking the upper point for both slopes.",
        "long ruler, pencil light",
    ),
    "roof.far_slope": StepPhrases(
        "where the ridge ends",
        (
            "Go to the far end of the roof's lower edge. From that corner draw a light line to the {slope_point}. "
            "Where it crosses the ridge, the ridge ends.",
            "From the far end of the roof's lower edge draw a light line to the {slope_point}: where it crosses the "
            "ridge, the ridge ends.",
            "The far slope, from the far end of the lower edge to the {slope_point}, cuts the ridge.",
        ),
        "The far slope runs to the same point as the near one.",
        "Drawing it like the near slope: it is not parallel to it on the paper.",
        "ruler, pencil light",
    ),
    "roof.far_parallel": StepPhrases(
        "the far slope, like the near one",
        (
            "Go to the far end of the roof's lower edge. From there draw a line that slants exactly as the near slope "
            "does, until it meets the ridge. There the ridge ends.",
            "From the far end of the roof's lower edge draw a line parallel to the near slope, up to the ridge: there "
            "it ends.",
            "The far slope is parallel to the near one, as the gable is drawn true; it cuts the ridge.",
        ),
        "What is parallel to the paper keeps its slope.",
        "Letting the ruler turn while it slides.",
        "ruler and set square",
    ),
    "roof.far_middle": StepPhrases(
        "where the ridge ends, over the far middle",
        (
            "From the middle of the wall's upper edge draw a light line {outward}. From the far end of the roof's "
            "lower edge draw a light line {along}. They cross at the middle of the far wall. Go {upright} from there "
            "to the ridge: there it ends.",
            "Carry the middle of the wall's upper edge {outward}, and from the far end of the lower edge draw a line "
            "{along}: they cross at the middle of the far wall. Go {upright} from there to the ridge: there it "
            "ends.",
            "The middle of the upper edge, carried {outward}, meets the far wall's upper edge in its middle; "
            "{upright} from there the ridge ends.",
        ),
        "The ridge ends over the middle of the far wall, as it begins over the middle of the near one.",
        "Guessing how much shorter the ridge is than the lower edge.",
        "ruler, pencil light",
    ),
    "roof.edges": StepPhrases(
        "{lines} of the roof",
        (
            "Draw the ridge and the far slope. Count: {count}.",
            "Draw the ridge to its end, and the far slope: {lines}.",
            "Rule the ridge and the far slope.",
        ),
        "The far slope ends where the ridge does.",
        "Going on past the ridge's end.",
        "ruler",
    ),
    "roof.other_slope": StepPhrases(
        "the slope behind",
        (
            "Draw the line from the end of the ridge down to the far corner behind.",
            "From the end of the ridge draw the slope down to the far corner behind.",
            "Rule the far slope behind, from the ridge's end to the far corner.",
        ),
        "It joins two corners that are there; if all is right it runs to the point of its slope.",
        "Ending it at the wrong corner.",
        "ruler",
    ),
}
