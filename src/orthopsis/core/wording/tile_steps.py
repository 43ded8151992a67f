"""What a teacher says while a level face is divided in square tiles."""

from orthopsis.core.wording.step import StepPhrases

TILES: dict[str, StepPhrases] = {
    "face.tiles": StepPhrases(
        "tick the {edge}, every {tile}",
        (
            "On the {edge} of {other} measure from its {tick_start} and make a small tick every {tile}.",
            "Tick the {edge} of {other} every {tile}, from its {tick_start}.",
            "Tick the {edge} of {other} every {tile}, from its {tick_start}.",
        ),
        "Only an edge that does not go away is measured.",
        "Measuring each tile from the one before: slips add up.",
        "ruler",
    ),
    "face.distance": StepPhrases(
        "depth of the tiles, by the {tile_point}",
        (
            "Lay the ruler on the {first_end} of the {edge} and on the {tile_point}. Draw a light line over the "
            "{face}. Where it crosses the light lines, draw light lines {upward}.{again} Count: {count}.",
            "Draw a light line from the {first_end} of the {edge} toward the {tile_point}. Where it crosses the light "
            "lines are the ends of the tiles: draw light lines {upward}.{again} {lines}.",
            "The line from the {first_end} of the {edge} to the {tile_point} crosses the light lines at the depths of "
            "square tiles; rule them {upward}.{again} {lines}.",
        ),
        "The diagonal of a square tile runs to a [distance point]: as far from the [vanishing point] as the eye is.",
        "Letting the rows shrink by the same amount each time.",
        "ruler and set square, pencil light",
    ),
    "face.tiles_laid": StepPhrases(
        "lay tiles of {tile} off on a level line",
        (
            "From the {first_end} of the {edge} of {other} draw a light level line to both sides. Mark {tile} on it "
            "again and again from there: {tile_sides}.",
            "Draw a level line through the {first_end} of the {edge} of {other}. From there mark {tile} on it again "
            "and again: {tile_sides}.",
            "On a measuring line through the {first_end} of the {edge} of {other} lay off {tile}, {tile_sides}.",
        ),
        "True lengths are measured on a line that does not go away.",
        "Measuring on the edges that go away.",
        "ruler, pencil light",
    ),
    "face.tiles_over_foot": StepPhrases(
        "carry them over to the edge {along}",
        (
            "Lay the ruler on each of the marks on one side and on the {tile_point}. Where it crosses the edge of the "
            "{face} that runs {along} make a mark. Count: {count}.",
            "Rule from the marks on one side to the {tile_point}. Where these lines cross the edge of the {face} that "
            "runs {along} are the ends of the tiles: {lines}.",
            "To the edge of the {face} that runs {along}, by the {tile_point}: {lines}.",
        ),
        "A [measuring point] carries true lengths over to the lines of one direction.",
        "Taking the other [measuring point].",
        "ruler, pencil light",
    ),
    "face.tiles_over_start": StepPhrases(
        "carry them over to the {edge}",
        (
            "Lay the ruler on each of the marks on the other side and on the {second_point}. Where it crosses the "
            "{edge} make a mark. Count: {count}.",
            "Rule from the marks on the other side to the {second_point}. Where these lines cross the {edge} are the "
            "ends of the tiles: {lines}.",
            "To the {edge}, by the {second_point}: {lines}.",
        ),
        "A [measuring point] carries true lengths over to the lines of one direction.",
        "Taking the same [measuring point] again.",
        "ruler, pencil light",
    ),
    "face.checkered": StepPhrases(
        "draw {lines} on the {face}, checkered",
        (
            "Draw the lines on the {face} of {other}. Count: {count}. In the end fill every other tile: dark in front, "
            "lighter farther away.",
            "Draw the lines through the marks over the {face} of {other}: {lines}. In the end every other tile is "
            "darkened, strongest in front.",
            "Rule the tiles over the {face} of {other}: {lines}. Darken every other one, fading with distance.",
        ),
        "Contrast is strongest in front and fades with distance.",
        "Filling two tiles side by side: dark ones touch only at corners.",
        "ruler and set square",
    ),
}
