"""What a teacher says while a ramp is drawn."""

from orthopsis.core.wording.stairs_steps import STAIRS
from orthopsis.core.wording.step import StepPhrases

_MEASURED = "The height is measured where a ruler measures; from there it is carried."
_FAR_MEASURED = "Measuring the height at the far end: there it is smaller."
_SQUARE = "ruler and set square, pencil light"

RAMP: dict[str, StepPhrases] = {
    "ramp.plan": STAIRS["stairs.plan"],
    "ramp.height": StepPhrases(
        "how high it is: {rise}",
        (
            "Go straight up from the {first_look} corner of the plan, {rise}, lightly. Make a mark.",
            "From the {first_look} corner of the plan draw a light [upright], {rise} tall.",
            "A light [upright] at the {first_look} corner, {rise} tall.",
        ),
        _MEASURED,
        _FAR_MEASURED,
        _SQUARE,
    ),
    "ramp.height_carried_1": StepPhrases(
        "how high it is: {rise} at the edge",
        (
            "Measure the height {measured_where}: go straight up {rise}, lightly. From the mark lay the ruler {along}, "
            "until it stands over the {first_look} corner of the plan. Draw a light line up there. Join the mark with "
            "it. Count: {count}.",
            "Draw a light [upright] {measured_where}, {rise} tall. Carry its top {along}, to a light [upright] over "
            "the {first_look} corner of the plan: {lines}.",
            "A light [upright] {measured_where}, {rise} tall; its top carried {along} to the [upright] over the "
            "{first_look} corner: {lines}.",
        ),
        _MEASURED,
        _FAR_MEASURED,
        _SQUARE,
    ),
    "ramp.height_carried_2": StepPhrases(
        "how high it is: {rise} at the near corner",
        (
            "Measure the height {measured_where}: go straight up {rise}, lightly. Carry the mark {edge_way}, to a "
            "light line straight over the light line of the plan. From there carry it {along}, to a light line over "
            "the {first_look} corner. Count: {count}.",
            "Draw a light [upright] {measured_where}, {rise} tall. Carry its top {edge_way}, to an [upright] over the "
            "light line of the plan. From there carry it {along}, to the [upright] over the {first_look} corner: "
            "{lines}, all light.",
            "A light [upright] {measured_where}, {rise} tall; its top carried {edge_way}, then {along}, to the "
            "[upright] over the {first_look} corner: {lines}.",
        ),
        _MEASURED,
        _FAR_MEASURED,
        _SQUARE,
    ),
    "ramp.end": StepPhrases(
        "the height over its end",
        (
            "From the top of this line draw a light line {ahead}, until it is over the end of the plan. Draw a line "
            "down there. Count: {count}.",
            "Run the height {ahead}, lightly, until it is over the end of the plan; draw the [upright] there.",
            "The height {ahead}, up to the [upright] over the end of the plan.",
        ),
        "What is equally tall lies between two lines to one point.",
        "Running the height to the wrong point.",
        _SQUARE,
    ),
    "ramp.slope": StepPhrases(
        "the slope",
        (
            "Draw a line from the {first_look} corner of the plan up to the top of the end. Draw what you see of the "
            "foot of this side, too. Count: {count}.",
            "Join the {first_look} corner of the plan with the top of the end: the slope. Draw what is seen of the "
            "foot of this side: {lines}.",
            "The slope, from the {first_look} corner of the plan to the top of the end; what is seen of the foot: "
            "{lines}.",
        ),
        "A ramp is half of its block, cut from corner to corner.",
        "Letting the slope run to one of the points of the [eye level]: it rises, so its point is higher.",
        "ruler",
    ),
    "ramp.over": StepPhrases(
        "over to the other side: {lines}",
        (
            "From the top draw a line {over_way}, until it is over the last corner of the plan. Then draw what you see "
            "of the other side: its slope down to its foot, and the edges across. Count: {count}.",
            "Run the top {over_way} until it is over the last corner of the plan; join what is seen of the other side: "
            "its slope, its end, the edges across: {lines}.",
            "The top {over_way}, over the last corner of the plan; the other slope and the edges across: {lines}.",
        ),
        "Both slopes are parallel in truth: drawn on, they meet straight over a point of the [eye level].",
        "Drawing the second slope parallel to the first on the paper.",
        "ruler and set square",
    ),
}
