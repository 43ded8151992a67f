"""What a teacher says while a cast shadow goes on over another thing."""

from orthopsis.core.wording.step import StepPhrases

_FOLLOWS = "A shadow follows what it falls on: on a side the shadow of an [upright] is [upright]."
_RUNS_ON = "On a level face a shadow runs as it does on the ground, to the same points."
_ONE_TONE = "A shadow bends at every edge, and is one even tone on all faces."
_SQUARE = "ruler and set square, pencil light"
_POINT = "ruler on the point, pencil light"
_ONE_PLANE = "An edge is straight on one plane: two of its places tell where it runs, be they on the face or beside it."
_STEEP = "Guessing how steep the edge is."
_STRAIGHT_ON = "Drawing an edge straight on over a corner of the thing: it bends there."

FALLEN_SHADOW: dict[str, StepPhrases] = {
    "fallen.path_side": StepPhrases(
        "up {where}",
        (
            "The light lines on the ground meet the foot of {where}. From there draw a light line straight up, to the "
            "ray from the same corner. Stop at the edge if the ray passes over it. Count: {count}.",
            "The lines on the ground meet the foot of {where}. From there draw light [uprights]: {lines}. Each ends at "
            "the ray from the same corner, or at the edge if the ray goes over it.",
            "Up {where}: [uprights] from where the lines on the ground meet its foot to the rays, or to the edge over "
            "which they pass: {lines}.",
        ),
        _FOLLOWS,
        "Letting the shadow run on under the thing.",
        _SQUARE,
    ),
    "fallen.foot_side": StepPhrases(
        "where the slanted edge begins",
        (
            "Lay the ruler along the foot of {where}, and past its end. Carry the edge of the shadow on the ground on, "
            "with another ruler. Where they meet make a light mark: the slanted edge runs there.",
            "Where the foot of {where}, carried on, meets the edge of the shadow on the ground, carried on too, make a "
            "light mark: the slanted edge runs there.",
            "The foot of {where} and the shadow's edge on the ground, both carried on, meet where the slanted edge "
            "comes from: a light mark.",
        ),
        _ONE_PLANE,
        _STEEP,
        "two rulers, pencil light",
    ),
    "fallen.beyond_side": StepPhrases(
        "a help beside {where}",
        (
            "One more corner helps: its ray passes beside {where}. Lay the ruler along the foot of this side, and past "
            "its end. Where it meets the light line on the ground from that corner go straight up, lightly, to its "
            "ray. Count: {count}.",
            "Carry the foot of {where} on to the next light line on the ground. From there go up to the ray of that "
            "corner, lightly: {lines}. The slanted edge of the shadow runs there.",
            "The foot of {where}, carried on to the next corner's line on the ground, and up to its ray: {lines}; the "
            "slanted edge runs there.",
        ),
        _ONE_PLANE,
        _STEEP,
        _SQUARE,
    ),
    "fallen.edge_side": StepPhrases(
        "its outline on {where}",
        (
            "Draw the edges of the shadow on {where}: from corner to corner, and to where the shadow on the ground "
            "meets the foot. Stop at the edges of this side. Count: {count}.",
            "Draw its edges on {where}: {lines}. They go from corner to corner, and to where the shadow on the ground "
            "meets the foot. They stop at the edges of this side.",
            "Its edges on {where}, from corner to corner, cut off at the borders: {lines}.",
        ),
        _ONE_TONE,
        _STRAIGHT_ON,
        "ruler",
    ),
    "fallen.section_slope": StepPhrases(
        "marks at the upper edge of {where}",
        (
            "Lay the ruler on each light line on the ground. Where it meets the side of the plan under the upper edge "
            "of {where} go straight up, lightly, to that edge. Make a mark there. Past the end of an edge lay another "
            "ruler along it. Count: {count}.",
            "Where the lines on the ground, carried on, meet the side of the plan under the upper edge of {where}, "
            "draw light [uprights] to that edge: {lines}. Past the end of an edge carry the edge on.",
            "The lines on the ground, carried on to the side of the plan under the upper edge of {where}; from there "
            "[uprights] to that edge: {lines}. Past its end an edge is carried on.",
        ),
        "An [upright] and its shadow lie in one upright plane: where that comes to the upper edge the shadow goes.",
        "Letting the shadow go up the slope as the slope's own edges do.",
        _SQUARE,
    ),
    "fallen.path_slope": StepPhrases(
        "up {where}",
        (
            "From where each line on the ground meets the foot of {where} draw a light line up to its mark at the "
            "upper edge. Where the ray from the same corner meets it is that corner of the shadow. Count: {count}.",
            "Join where the lines on the ground meet the foot of {where} with their marks at the upper edge, lightly: "
            "{lines}. The rays from the same corners cut them off.",
            "From the foot of {where} to the marks at its upper edge: {lines}; the rays of the same corners cut them "
            "off.",
        ),
        "On a slope the shadow of an [upright] leans: it is straight, from the foot to the upper edge.",
        "Drawing it straight up, as on a wall.",
        "ruler, pencil light",
    ),
    "fallen.beyond_slope": StepPhrases(
        "a help beside {where}",
        (
            "One more corner helps: its ray passes beside {where}. Find its line up the slope in the same way, and "
            "where its ray meets it. Count: {count}.",
            "Draw the line of the next corner up {where} in the same way, to its ray: {lines}. The slanted edge of the "
            "shadow runs there.",
            "The next corner's line up {where}, found likewise, to its ray: {lines}; the slanted edge runs there.",
        ),
        _ONE_PLANE,
        _STEEP,
        "ruler, pencil light",
    ),
    "fallen.edge_slope": StepPhrases(
        "its outline on {where}",
        (
            "Draw the edges of the shadow on {where}: from corner to corner, and to where the shadow on the ground "
            "meets the foot. Stop at the edges of the slope. Count: {count}.",
            "Draw its edges on {where}: {lines}. They go from corner to corner, and to where the shadow on the ground "
            "meets the foot. They stop at the edges of the slope.",
            "Its edges on {where}, from corner to corner, cut off at the borders: {lines}.",
        ),
        _ONE_TONE,
        _STRAIGHT_ON,
        "ruler",
    ),
    "fallen.path_top": StepPhrases(
        "over {where}",
        (
            "Now the shadow lies on {where}. From where each line comes over the edge draw it on as on the ground, "
            "lightly, to the ray from the same corner. Stop at the next edge if the ray passes over it. Count: "
            "{count}.",
            "On {where} draw each line on, lightly, from where it comes over the edge: {lines}. It runs as on the "
            "ground. It ends at the ray from the same corner, or at the next edge.",
            "Over {where}: the lines run on as on the ground, to the rays or to the next edge: {lines}.",
        ),
        _RUNS_ON,
        "Going straight on from the side: on the top it runs as on the ground.",
        _POINT,
    ),
    "fallen.beyond_top": StepPhrases(
        "a help beside {where}",
        (
            "One line comes up beside {where}. Lay the ruler along the edge over which the shadow comes, and past its "
            "end. From where the line meets the ruler draw it on as on the ground, lightly, to the ray from the same "
            "corner. Count: {count}.",
            "One line comes up beside {where}. Carry the edge on over which the shadow comes. From where the line "
            "meets it draw on as on the ground, to the ray from the same corner: {lines}.",
            "The line that comes up beside {where}, from the edge carried on to its ray: {lines}.",
        ),
        _RUNS_ON,
        "Leaving it out: the edge that begins there then has no corner.",
        _POINT,
    ),
    "fallen.edge_top": StepPhrases(
        "its outline on {where}",
        (
            "Draw the edges of the shadow on {where}. Each runs as the edge that casts it. Stop at the edges of this "
            "face. Count: {count}.",
            "Draw its edges on {where}: {lines}. Each runs as the edge that casts it. They stop at the edges of this "
            "face.",
            "Its edges on {where}, parallel to those that cast them, cut off at the borders: {lines}.",
        ),
        _ONE_TONE,
        _STRAIGHT_ON,
        "ruler",
    ),
    "fallen.section_top_lamp": StepPhrases(
        "where its lines lead",
        (
            "Lay the ruler on each light line on the ground. Where it crosses the [eye level] make a mark.",
            "Where the lines on the ground, carried on, cross the [eye level], make marks.",
            "The lines on the ground, carried on to the [eye level], give the points of its lines on {where}.",
        ),
        "A line of the shadow on a top is parallel to its line on the ground: both run to one point.",
        "Taking the foot of the lamp: on the top the lines come from over it.",
        "ruler",
    ),
    "fallen.path_top_lamp": StepPhrases(
        "over {where}",
        (
            "Now the shadow lies on {where}. Lay the ruler on where each line comes over the edge, and on its mark at "
            "the [eye level]. Draw it on, lightly, to the ray from the same corner. Stop at the next edge if the ray "
            "passes over it. Count: {count}.",
            "On {where} draw each line on, lightly, from where it comes over the edge: {lines}. It runs to its mark at "
            "the [eye level]. It ends at the ray from the same corner, or at the next edge.",
            "Over {where}: the lines run on to their points of the [eye level], up to the rays or to the next edge: "
            "{lines}.",
        ),
        "A line of the shadow on a top is parallel to its line on the ground: both run to one point.",
        "Going straight on from the side, or away from the foot of the lamp.",
        _POINT,
    ),
    "fallen.beyond_top_lamp": StepPhrases(
        "a help beside {where}",
        (
            "One line comes up beside {where}. Lay the ruler along the edge over which the shadow comes, and past its "
            "end. From where the line meets the ruler draw it on toward its mark at the [eye level], lightly, to the "
            "ray from the same corner. Count: {count}.",
            "One line comes up beside {where}. Carry the edge on over which the shadow comes. From where the line "
            "meets it draw on toward its mark at the [eye level], to the ray from the same corner: {lines}.",
            "The line that comes up beside {where}, from the edge carried on toward its point, to its ray: {lines}.",
        ),
        _RUNS_ON,
        "Leaving it out: the edge that begins there then has no corner.",
        _POINT,
    ),
    "fallen.path_riser": StepPhrases(
        "up {where}",
        (
            "From where each line meets {where} draw it straight up, lightly, to the ray from the same corner. Stop at "
            "the edge if the ray passes over it. Count: {count}.",
            "Where a line meets {where} draw a light [upright]: {lines}. It ends at the ray from the same corner, or "
            "at the edge.",
            "Up {where}: [uprights] to the rays, or to the edge: {lines}.",
        ),
        _FOLLOWS,
        "Letting the shadow run on under the step.",
        _SQUARE,
    ),
    "fallen.beyond_riser": StepPhrases(
        "a help beside {where}",
        (
            "One more corner helps: its ray passes beside {where}. Lay the ruler along the foot of this riser, and "
            "past its end. Where the line of that corner meets it go straight up, lightly, to its ray. Count: {count}.",
            "Carry the foot of {where} on to the line of the next corner. From there go up to the ray of that corner, "
            "lightly: {lines}. The slanted edge of the shadow runs there.",
            "The foot of {where}, carried on to the next corner's line, and up to its ray: {lines}; the slanted edge "
            "runs there.",
        ),
        _ONE_PLANE,
        _STEEP,
        _SQUARE,
    ),
    "fallen.edge_riser": StepPhrases(
        "its outline on {where}",
        (
            "Draw the edges of the shadow on {where}, from corner to corner. Stop at the edges of this riser. Count: "
            "{count}.",
            "Draw its edges on {where}, from corner to corner: {lines}. They stop at its edges.",
            "Its edges on {where}, cut off at the borders: {lines}.",
        ),
        _ONE_TONE,
        _STRAIGHT_ON,
        "ruler",
    ),
}
# What is told alike on another kind of face.
FALLEN_SHADOW["fallen.foot_slope"] = FALLEN_SHADOW["fallen.foot_side"]
FALLEN_SHADOW["fallen.edge_top_lamp"] = FALLEN_SHADOW["fallen.edge_top"]
