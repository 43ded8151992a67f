"""What a teacher says while a flight of stairs is drawn."""

from orthopsis.core.wording.step import StepPhrases

_STRING_RULE = "The board under the steps runs just as the slope line does."
_STRING_SLIP = "Starting it at the foot of the first step: it is then no board at all."

STAIRS: dict[str, StepPhrases] = {
    "stairs.plan": StepPhrases(
        "their plan on the {face}",
        (
            "Count the light lines on the {face} of {other} from the {edge}, which is 0, and from its {first_end}. "
            "Mark the four corners where they cross: {crossings}. Join them, lightly: {rule_count} lines. That is the "
            "plan.",
            "Count the light lines along from the {edge} of {other} and from its {first_end}, which are 0. Corners: "
            "{crossings}. Mark them and join them, lightly: {rules}, the plan.",
            "The plan, from crossing to crossing: {crossings}; {rules}. Light lines are counted along from the "
            "{edge} and from its {first_end}, which are 0.",
        ),
        "What stands on a face begins as its plan.",
        "Drawing the plan as it would look from above.",
        "ruler, pencil light",
    ),
    "stairs.risers": StepPhrases(
        "{steps_words} on an upright, {rise} in all",
        (
            "Go straight up from the {first_look} corner of the plan, {rise}, lightly. Divide this line: a mark every "
            "{riser}, {steps_count} marks.",
            "From the {first_look} corner of the plan draw a light [upright], {rise} tall, and mark every {riser} on "
            "it: {steps_count} marks.",
            "A light [upright] at the {first_look} corner, {rise} tall, divided every {riser}: {steps_count} marks.",
        ),
        "All risers are equally high: they are measured once, at the foot.",
        "Measuring the risers farther back: there they are smaller.",
        "ruler and set square, pencil light",
    ),
    "stairs.risers_carried_1": StepPhrases(
        "{steps_words} at the edge, {rise} in all",
        (
            "Measure the height {measured_where}: go straight up {rise}, lightly, and mark every {riser}, "
            "{steps_count} marks. From the top one lay the ruler {along}, until it stands over the {first_look} corner "
            "of the plan. Draw a light line up there. Then draw the other marks {along}, to this line. Count: {count}.",
            "Draw a light [upright] {measured_where}, {rise} tall. Mark every {riser} on it: {steps_count} marks. "
            "Carry them {along}, to a light [upright] over the {first_look} corner of the plan: {lines}.",
            "A light [upright] {measured_where}, {rise} tall, divided every {riser}; the marks carried {along} to the "
            "[upright] over the {first_look} corner: {lines}.",
        ),
        "All risers are equally high: they are measured once, where a ruler measures.",
        "Measuring the risers over the plan: there they are smaller.",
        "ruler and set square, pencil light",
    ),
    "stairs.risers_carried_2": StepPhrases(
        "{steps_words} at the near corner, {rise} in all",
        (
            "Measure the height {measured_where}: go straight up {rise}, lightly, and mark every {riser}, "
            "{steps_count} marks. Carry them {edge_way}, to a light line straight over the light line of the plan. "
            "From there carry them {along}, to a light line over the {first_look} corner. Count: {count}.",
            "Draw a light [upright] {measured_where}, {rise} tall. Mark every {riser} on it: {steps_count} marks. "
            "Carry them {edge_way}, to an [upright] over the light line of the plan. From there carry them {along}, to "
            "the [upright] over the {first_look} corner: {lines}, all light.",
            "A light [upright] {measured_where}, {rise} tall, divided every {riser}; the marks carried {edge_way}, "
            "then {along}, to the [upright] over the {first_look} corner: {lines}.",
        ),
        "All risers are equally high: they are measured once, where a ruler measures.",
        "Measuring the risers over the plan: there they are smaller.",
        "ruler and set square, pencil light",
    ),
    "stairs.levels": StepPhrases(
        "{lines} from the marks",
        (
            "From the top mark draw a light line {ahead}, until it is over the end of the plan. Draw a light line down "
            "there. Then draw the other marks {ahead}, to this line. Count: {count}.",
            "Run the top mark {ahead}, lightly, until it is over the end of the plan; draw a light [upright] there, "
            "and run the other marks to it: {lines}.",
            "The marks {ahead}, up to the [upright] over the end of the plan: {lines}, lightly.",
        ),
        "Every tread lies at the height of a mark.",
        "Running them to the wrong point.",
        "ruler, pencil light",
    ),
    "stairs.slope": StepPhrases(
        "the slope line",
        (
            "Draw a light line from the {first_look} corner of the plan up to the end of the top line.",
            "Join the {first_look} corner of the plan with the end of the top line, lightly: the slope line.",
            "The slope line, from the {first_look} corner of the plan to the end of the top line.",
        ),
        "Where a tread meets the next riser, the corner lies on the slope line.",
        "Ending it at another line than the top one.",
        "ruler, pencil light",
    ),
    "stairs.steps": StepPhrases(
        "step by step: {lines}",
        (
            "From the foot go straight up to the first mark, then {ahead} to the slope line, straight up to the next "
            "light line, {ahead} to the slope line, and so on to the top. Count: {count}.",
            "Go up to the first mark, {ahead} until the slope line, up to the next line, {ahead} until the slope line, "
            "and so on: {lines}.",
            "Upright to the line, {ahead} to the slope line, and again, to the top: {lines}.",
        ),
        "A step is an [upright] and a tread; the slope line says where the tread ends.",
        "Going on past the slope line: the next riser then stands too far back.",
        "ruler and set square",
    ),
    "stairs.string_near": StepPhrases(
        "the stringer",
        (
            "From the first corner on the slope line go straight down, lightly, to the edge of the plan. Join this "
            "place with the mark below the top one, at the end of the plan. This is the lower edge of the stringer.",
            "Go straight down, lightly, from the first inner corner to the edge of the plan. Join this place with the "
            "mark below the top one on the [upright] over the end: the lower edge of the stringer.",
            "The stringer's lower edge: from under the first inner corner to the mark below the top one on the "
            "[upright] over the end.",
        ),
        _STRING_RULE,
        _STRING_SLIP,
        "ruler and set square",
    ),
    "stairs.string_far": StepPhrases(
        "the stringer on the other side",
        (
            "On the first side find the mark below the top one, at the end of the plan. Carry it {over_way}, lightly, "
            "to the line at the end of the other side. From the first inner corner of that side go straight down to "
            "the edge of the plan. Join both places.",
            "Carry the mark below the top one {over_way}, lightly, to the [upright] at the end of the other side. Go "
            "straight down from the first inner corner there to the edge of the plan, and join both places.",
            "The stringer over there: the mark below the top one, carried {over_way} to the [upright] at the end, "
            "joined with the place under the first inner corner.",
        ),
        _STRING_RULE,
        _STRING_SLIP,
        "ruler and set square",
    ),
    "stairs.over": StepPhrases(
        "the top and the slope line over to the other side",
        (
            "From the top corner draw a line {over_way}, until it is over the last corner of the plan. From there draw "
            "a light line down to the foot of the other side. Count: {count}.",
            "Run the top corner {over_way} until it is over the last corner of the plan; join it with the foot of the "
            "other side, lightly: a second slope line.",
            "The top corner {over_way}, over the last corner of the plan; from there the second slope line to the foot "
            "of the other side.",
        ),
        "The other side has a slope line of its own.",
        "Drawing the second slope line parallel to the first on the paper.",
        "ruler and set square",
    ),
    "stairs.slope_point": StepPhrases(
        "the point of the slope",
        (
            "Put the ruler along the slope line and carry it on, over the edge of the paper if need be. From the "
            "{ahead_point} draw a light line {upright}. Where they meet is the {slope_point}.",
            "Carry the slope line on, over the paper's edge if need be, until it is straight over the {ahead_point}. "
            "Mark it: the {slope_point}.",
            "The slope line, carried on, meets the [upright] through the {ahead_point} in the {slope_point}.",
        ),
        "All lines with this slope meet straight over the point to which the stairs climb.",
        "Stopping at the paper's edge: tape a strip on.",
        "long ruler, pencil light",
    ),
    "stairs.over_by_point": StepPhrases(
        "the slope line on the other side",
        (
            "From the foot of the other side draw a light line to the {slope_point}. Make a mark on it straight over "
            "the last corner of the plan. Join this mark with the top corner. Count: {count}.",
            "From the foot of the other side draw a light line to the {slope_point}: the second slope line. Mark where "
            "it is straight over the last corner of the plan, and join that mark with the top corner.",
            "The second slope line, from the foot of the other side to the {slope_point}; where it is over the last "
            "corner of the plan is the other top corner. Join both.",
        ),
        "Both slope lines run to one point.",
        "Drawing the second slope line parallel to the first on the paper.",
        "ruler on the point, pencil light",
    ),
    "stairs.across": StepPhrases(
        "the steps across: {lines}",
        (
            "From each inner corner draw a line {over_way}, to the other slope line. From each front corner draw one "
            "too; it ends over the inner corner there. Then draw what you see of the other side. Count: {count}.",
            "Carry every inner corner {over_way} to the second slope line, and every front corner until it is over the "
            "inner one there; draw what is seen of the other side: {lines}.",
            "Inner corners {over_way} to the second slope line, front corners over them; what is seen of the other "
            "side: {lines}.",
        ),
        "What is equal on one side is equal on the other: it is carried, not measured.",
        "Measuring the steps on the other side.",
        "ruler",
    ),
}
