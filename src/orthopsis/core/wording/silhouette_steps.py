"""What a teacher says while trees, people and posts are drawn on the ground."""

from orthopsis.core.wording.step import StepPhrases

_SKETCH_RULE = "The light upright says how tall it is and where it stands; the rest is drawn freely."

SILHOUETTE: dict[str, StepPhrases] = {
    "silhouette.first": StepPhrases(
        "where it stands",
        (
            "Make a mark {left} from the left and {bottom} up, for {thing}. Draw a light line straight up "
            "from it, {height} tall.",
            "Mark the place of {thing}, {left} from the left, {bottom} up, and draw a light [upright] there, {height} "
            "tall.",
            "The place of {thing} is {left} from the left, {bottom} up; its [upright] is {height} tall.",
        ),
        "What stands on the ground begins under the [eye level].",
        "An upright that leans.",
        "ruler and set square, pencil light",
    ),
    "silhouette.by_level": StepPhrases(
        "where it stands, and how tall",
        (
            "Make a mark {left} from the left and {bottom} up, for {thing}. Draw a light line straight up "
            "from it. It is {share_words}.",
            "Mark the place of {thing}, {left} from the left, {bottom} up, and draw a light [upright] there, "
            "{share_words}.",
            "The place of {thing} is {left} from the left, {bottom} up; its [upright] is {share_words}.",
        ),
        "On level ground the [eye level] cuts all that is equally tall at one and the same share.",
        "Measuring those that stand farther away: they keep their share of the way to the [eye level].",
        "ruler and set square, pencil light",
    ),
    "silhouette.lines": StepPhrases(
        "{lines} along the row",
        (
            "From the foot and from the top of the light line draw light lines to the {goal}. The others stand "
            "between them.",
            "From foot and top of the [upright] run light lines to the {goal}: the others stand between them.",
            "The row stands between the lines from foot and top to the {goal}.",
        ),
        "What is equally tall stands between two lines to one point.",
        "Starting them at different feet.",
        "ruler on the point, pencil light",
    ),
    "silhouette.second": StepPhrases(
        "where the second one stands",
        (
            "On the lower line measure {gap} from the first foot. Draw a light line straight up there, to the upper "
            "line.",
            "Mark {gap} along the lower line from the first foot, and draw a light [upright] there, up to the upper "
            "line.",
            "The second one stands {gap} along the lower line; rule its [upright].",
        ),
        "The first space is measured; all others follow from it.",
        "Measuring the other spaces too.",
        "ruler and set square, pencil light",
    ),
    "silhouette.middle": StepPhrases(
        "the middle line",
        (
            "Find the middle of the first light line and draw a light line from there to the {goal}.",
            "From the middle of the first [upright] run a light line to the {goal}.",
            "The middle line, from half the first [upright] to the {goal}.",
        ),
        "It passes through the middles of all of them.",
        "Guessing the middles one by one.",
        "ruler on the point, pencil light",
    ),
    "silhouette.next": StepPhrases(
        "the next ones, through the middles",
        (
            "Put the ruler on one top, through the middle of the next light line, down to the lower line. There the "
            "following one stands. Draw a light line straight up. Go on like this. Count: {count} light lines.",
            "From one top rule through the middle of the next [upright] to the lower line: there the following one "
            "stands. Draw its [upright]. Go on so: {lines}, lightly.",
            "From one top through the middle of the next [upright] to the lower line: the following foot. {lines}.",
        ),
        "The diagonal of two equal spaces passes through the middle between them.",
        "Making all spaces equal on the paper: they close up with distance.",
        "ruler, pencil light",
    ),
    "silhouette.by_eye": StepPhrases(
        "the others, by eye",
        (
            "Mark on the lower line where the others stand. Each is a little closer to the one before. Draw a light "
            "line straight up at each mark, to the upper line.",
            "Mark by eye on the lower line where the others stand, closer and closer, and draw light [upright] lines "
            "up to the upper line.",
            "Set the others by eye, closer and closer toward the {goal}; rule their [upright] lines.",
        ),
        "Spaces that are equal in truth close up with distance.",
        "All spaces of one length: the row then does not go away.",
        "eye, ruler and set square, pencil light",
    ),
    "silhouette.sketch": StepPhrases(
        "sketch it",
        (
            "Draw {thing} by hand about the light line: from its foot to its top.",
            "Sketch {thing} by hand about the light [upright], from foot to top.",
            "Sketch {thing} freely about its [upright].",
        ),
        _SKETCH_RULE,
        "Making it taller than its light line.",
        "pencil, by hand",
        is_freehand=True,
    ),
    "silhouette.more": StepPhrases(
        "sketch the others",
        (
            "Draw the others by hand in the same way. The smaller, the fewer details.",
            "Sketch the others in the same way; with distance they have fewer details.",
            "Sketch the others likewise, simpler with distance.",
        ),
        _SKETCH_RULE,
        "All of one size: each is as tall as its own light line.",
        "pencil, by hand",
        is_freehand=True,
    ),
    "silhouette.wires": StepPhrases(
        "{lines} to the {goal}: the wires",
        (
            "Put the ruler on the {goal}. Draw the wires from pole to pole. Count: {count}.",
            "The wires run from pole to pole to the {goal}: {lines}.",
            "Wires that hang at one height run to the {goal}: {lines}.",
        ),
        "What hangs equally high runs to the same point as the row.",
        "Wires that run level.",
        "ruler on the point",
    ),
    "silhouette.rails": StepPhrases(
        "{lines} to the {goal}: the rails",
        (
            "Put the ruler on the {goal}. Draw two rails from the first post to the last one, each with an upper and "
            "a lower line. Count: {count}.",
            "Two rails run from the first post to the last one, each with two lines to the {goal}: {lines}.",
            "The rails, an upper and a lower line each, run to the {goal}: {lines}.",
        ),
        "Rails run to the same point as the row of posts: they come closer together with distance.",
        "Rails that stay equally far apart.",
        "ruler on the point",
    ),
}
