"""What a finding says to the teacher, and what the note says to the student."""

from orthopsis.core.wording.vocabulary import USUAL, Wording

FINDINGS: dict[str, str] = {
    "sheet_not_found": "The sheet was not found in the picture. Place its corners by hand.",
    "eye_level_missing": "The [eye level] was not found.",
    "eye_level_tilted": "The [eye level] tilts by {angle}°; hand error explains {allowed}°.",
    "eye_level_height": "The [eye level] is {miss} {side}; {limit} is fine.",
    "upright_leans": "The {line} leans by {angle}°; a line this long may lean {allowed}°.",
    "level_tilts": "The {line} tilts by {angle}°; a line this long may tilt {allowed}°.",
    "back_not_parallel": "The {line} at the back is not parallel to the front: {angle}° off, {allowed}° is fine.",
    "edge_runs_off": "The {line} runs {angle}° off its way; a line this long may be {allowed}° off.",
    "misses_point": "The {line} passes {miss} {side} the [vanishing point]; a line this long may miss by {limit}.",
    "wrong_point": "The {line} goes the wrong way: to {point}, not to the [vanishing point].",
    "no_point": "The {line} runs to no point: it passes {miss} {side} the [vanishing point].",
    "copied_flat": "{thing} is drawn flat: its {count} lines on the {face} run level, not to the {point}.",
    "off_row": "The {line} lies {miss} {side} the line on which the others lie.",
    "even_spaces": "{thing} stay about {value} apart all along; going away the spaces shrink, from {first} to {last}.",
    "reveal_uneven": "The wall seen in {thing} is {thick} at one end and {thin} at the other; in truth it is even.",
    "tip_off_middle": "The tip of {thing} stands {miss} to the {side} of the middle of its wall; {limit} is fine.",
    "missing_line": "The {line} is missing.",
    "missing_lines": "{count} are missing: {line}.",
    "cannot_tell": "{count} too short to tell.",
    "curve_missing": "The {line} is missing.",
    "curve_place": "The {line} lies {miss} too far {side}; {limit} is fine.",
    "curve_widest": "The {line} is widest at the middle of its square. In truth that is {miss} {side}: what is nearer "
    "to you looks larger.",
    "curve_round": "The {line} is too round: {short} across its short way; {right} is right.",
    "curve_flat": "The {line} is too flat: {short} across its short way; {right} is right.",
    "curve_large": "The {line} is too large: {long} across its long way; {right} is right.",
    "curve_small": "The {line} is too small: {long} across its long way; {right} is right.",
    "curve_turned": "The {line} is tilted: it must touch its square at the middles of all four sides.",
    "curve_pointed": "The {line} has pointed ends. A circle seen from the side is round at its ends too.",
    "curve_uneven": "The {line} leaves its way by {miss}; {limit} is fine.",
    "tones_differ": "{faces} have different tones: {light} is {light_grey} dark, {dark} "
    "{dark_grey}; up to {limit} apart is fine.",
    "inside_too_light": "The inside of {thing} is {inner} dark, lighter than the outside that faces the same way, "
    "{outer}; less light falls in there.",
}

TITLES: dict[str, str] = {
    "sheet_not_found": "Sheet not found",
    "eye_level_missing": "No [eye level]",
    "eye_level_tilted": "[Eye level] tilts",
    "eye_level_height": "[Eye level] at another height",
    "upright_leans": "An upright leans",
    "level_tilts": "A level edge tilts",
    "back_not_parallel": "Back edge not parallel",
    "edge_runs_off": "A slanted edge is off",
    "misses_point": "A line misses the point",
    "wrong_point": "A line goes the wrong way",
    "no_point": "A line goes to no point",
    "copied_flat": "Drawn flat on a wall that goes away",
    "off_row": "One of a row is off its line",
    "even_spaces": "A row that does not come closer together",
    "reveal_uneven": "A wall of uneven thickness",
    "tip_off_middle": "A tip not over the middle",
    "missing_line": "A line is missing",
    "missing_lines": "Lines are missing",
    "cannot_tell": "Too short to tell",
    "curve_missing": "A curve is missing",
    "curve_place": "A curve beside its place",
    "curve_widest": "A circle widest at its square's middle",
    "curve_round": "A circle too round",
    "curve_flat": "A circle too flat",
    "curve_large": "A circle too large",
    "curve_small": "A circle too small",
    "curve_turned": "A circle tilted",
    "curve_pointed": "A circle with pointed ends",
    "curve_uneven": "A curve that leaves its way",
    "tones_differ": "One direction, two tones",
    "inside_too_light": "An inside lighter than the outside",
}


def finding_title(code: str, wording: Wording = USUAL) -> str:
    """Return what a finding is called."""
    return wording.words(TITLES[code])


PRAISE: dict[str, tuple[str, str, str]] = {
    "all": (
        "All your lines run home. Well done.",
        "All your lines are right: every edge runs where it should.",
        "Every line is within what a careful hand can do.",
    ),
    "all_others": (
        "All your other lines run home.",
        "All your other lines are right.",
        "Every other line is within what a careful hand can do.",
    ),
    "meant": (
        "You drew {count} another way on purpose: that is fine.",
        "{count} you drew otherwise on purpose, and that is your choice.",
        "{count} deviate on purpose and are not counted.",
    ),
    "receding": (
        "{count} of your lines run to the [vanishing point].",
        "{count} of your {total} lines to the [vanishing point] run home.",
        "{count} of {total} receding edges meet the [vanishing point] within hand error.",
    ),
    "uprights": (
        "Your [uprights] stand straight.",
        "Your [uprights] are true.",
        "Your [uprights] are square with the sheet.",
    ),
    "eye_level": (
        "Your [eye level] is straight.",
        "Your [eye level] is straight and level.",
        "The [eye level] is level and at its height.",
    ),
    "start": (
        "You have made a start.",
        "You have made a start: the sheet is set up.",
        "The drawing is begun.",
    ),
}

ADVICE_TO_STUDENT: dict[str, tuple[str, str, str]] = {
    "slanted": (
        "Look at the {line}: it should go from corner to corner.",
        "Look at the {line}: it should run from corner to corner.",
        "The {line} is off: it should join two corners.",
    ),
    "eye_level": (
        "Look at the [eye level]: it is as high on the left as on the right.",
        "Look at the [eye level]: it runs straight across, as high on the left as on the right.",
        "Check the [eye level]: it must be level, and at the height that was set.",
    ),
    "uprights": (
        "Look at the {line}: it should stand straight up.",
        "Look at the {line}: put the ruler's end square on the paper's edge.",
        "The {line} is off: square it against the paper's edge.",
    ),
    "levels": (
        "Look at the {line}: it should run straight across.",
        "Look at the {line}: it should run like the paper's bottom edge.",
        "The {line} is off: keep it parallel to the bottom edge.",
    ),
    "back": (
        "Look at the {line} at the back: it should run like the front one.",
        "Look at the {line} at the back: compare it with the front edge through a see-through ruler.",
        "The {line} at the back should be parallel to its front edge.",
    ),
    "receding": (
        "Look at the {line}: put the ruler on the [vanishing point] and turn it to the corner.",
        "Look at the {line}: rest the ruler on the [vanishing point] again and turn it to the corner.",
        "The {line} misses: rest the ruler on the [vanishing point] first, then turn it to the corner.",
    ),
    "flat": (
        "Look at {line}: the wall goes away, so its lines run to the point too.",
        "Look at {line}: what lies on a wall that goes away runs to the wall's point.",
        "{line} is drawn flat: on a receding wall level edges run to that wall's [vanishing point].",
    ),
    "row": (
        "Look at the {line}: lay the ruler along all of its row.",
        "Look at the {line}: all of a row lie on one line to the [vanishing point].",
        "The {line} is off the common line of its row.",
    ),
    "spaces": (
        "Look at {line}: they stand equally far apart. Farther away they come closer together.",
        "Look at {line}: what goes away comes closer together. Find each next one by the line through the middle.",
        "{line} stay equally far apart: equal spaces shrink going away. A line through the middle finds the next.",
    ),
    "reveal": (
        "Look at the wall in {line}: it is as thick at the top as at the bottom.",
        "Look at the thickness in {line}: the inner edge runs as the outer one does.",
        "The reveal of {line} is uneven: its inner edges run as the outer ones.",
    ),
    "middle": (
        "Look at the tip of {line}: cross the wall from corner to corner to find its middle.",
        "Look at the tip of {line}: the middle of the wall is where its diagonals cross.",
        "The tip of {line} is off: find the middle by the diagonals of its wall.",
    ),
    "inside": (
        "Look inside {line}: it is darker in there than outside.",
        "Look at the inside of {line}: less light falls in there, so it is darker than the outside.",
        "The inside of {line} is too light: one step darker than the outer face turned the same way.",
    ),
    "curve": (
        "Look at the {line}: it should touch its square at four dots.",
        "Look at the {line}: it passes through the marks on its square, and touches the sides at their middles.",
        "The {line} is off: it must touch its square at the middles of the sides and pass the marks on the diagonals.",
    ),
    "widest": (
        "Look at the {line}: its half that is nearer to you is the bigger one.",
        "Look at the {line}: the half that is nearer to you is larger, so it is widest before the middle.",
        "The {line} is widest at the square's middle; the widest place lies nearer to the viewer than that.",
    ),
    "ends": (
        "Look at the {line}: its ends are round, with no corners.",
        "Look at the {line}: go round at its ends in one sweep, without a corner.",
        "The {line} is pointed: an ellipse has no corners, its ends are small bows.",
    ),
    "tones": (
        "Look at your greys: sides that face the same way get the same grey.",
        "Look at the tones: faces that are turned the same way have one tone.",
        "Compare the tones: one for each direction of face, in every thing.",
    ),
    "missing": (
        "One line is missing: the {line}.",
        "Count your lines: the {line} is missing.",
        "The {line} is missing; count the corners that can have a line.",
    ),
}

NEXT_TIME: dict[str, tuple[str, str, str]] = {
    "slanted": (
        "Next time: make two dots, then the line.",
        "Next time: mark both corners first, then join them.",
        "Next time: corners first, edges last.",
    ),
    "eye_level": (
        "Next time: make a dot on each edge first.",
        "Next time: mark its height on both edges first, then join the marks.",
        "Next time: two marks, then the line.",
    ),
    "uprights": (
        "Next time: turn the paper so that the line comes toward you.",
        "Next time: use the set square for every [upright].",
        "Next time: set square for [uprights], always.",
    ),
    "levels": (
        "Next time: use the set square.",
        "Next time: lay the set square along the paper's edge.",
        "Next time: set square along the edge.",
    ),
    "back": (
        "Next time: look through the ruler at the front line.",
        "Next time: slide the ruler from the front edge to the back.",
        "Next time: slide the set square from front to back.",
    ),
    "receding": (
        "Next time: say “point first” before each line.",
        "Next time: pencil on the [vanishing point] first, then the corner.",
        "Next time: pencil on the [vanishing point], ruler against it, then turn.",
    ),
    "flat": (
        "Next time: first the light lines to the point, then the windows.",
        "Next time: run the light lines to the point first, and draw between them.",
        "Next time: divide the near edge, run the ticks to the point, and draw between these lines.",
    ),
    "row": (
        "Next time: draw one long light line first.",
        "Next time: one light line for the whole row first.",
        "Next time: the row's common line first, lightly.",
    ),
    "spaces": (
        "Next time: make each space smaller than the one before.",
        "Next time: from the top of one, through the middle of the next, down to the foot of the one after.",
        "Next time: construct the second space from the first; do not measure it again.",
    ),
    "reveal": (
        "Next time: draw light lines from all corners of the opening before the inner edge.",
        "Next time: run all corners of the opening back before the inner edges.",
        "Next time: all four depth lines first, then the inner edges between them.",
    ),
    "middle": (
        "Next time: draw the big cross on the wall first.",
        "Next time: cross the wall's diagonals before the roof.",
        "Next time: diagonals first, then the upright through their crossing.",
    ),
    "inside": (
        "Next time: shade the insides first, and dark.",
        "Next time: begin with the insides, the darkest of all.",
        "Next time: set the darkest step aside for insides before you tone the rest.",
    ),
    "curve": (
        "Next time: four dots first, then the curve.",
        "Next time: mark eight places first, then go round with a loose hand.",
        "Next time: eight points first, then one loose sweep through them.",
    ),
    "widest": (
        "Next time: draw the square and its cross first.",
        "Next time: find the four touching places first; the curve makes its own widest place.",
        "Next time: points of contact first; let the widest place follow from them.",
    ),
    "ends": (
        "Next time: turn your whole arm, not your fingers.",
        "Next time: go round twice in the air before you draw.",
        "Next time: sweep it lightly twice, then darken.",
    ),
    "tones": (
        "Next time: shade all the sides that face the same way one after the other.",
        "Next time: tone one direction in all things before you begin the next.",
        "Next time: a small scale of four greys at the sheet's edge, one for each direction.",
    ),
    "missing": (
        "Next time: count the lines out loud.",
        "Next time: count the corners before you go on.",
        "Next time: count before you cut the depth.",
    ),
}

TRY_NEXT: dict[str, tuple[str, str, str]] = {
    "across": (
        "Next time: one more box, right across the [eye level].",
        "Next time: try a box across the [eye level].",
        "Next time: a box across the [eye level], where neither top nor bottom shows.",
    ),
    "other_side": (
        "Next time: one more box, on the other side of the [vanishing point].",
        "Next time: try a box on the other side of the [vanishing point].",
        "Next time: a box on the other side of the [vanishing point].",
    ),
    "see_through": (
        "Next time: draw a box that you can look through.",
        "Next time: try a see-through box, with its hidden edges.",
        "Next time: a see-through box, as a check of your own.",
    ),
    "again": (
        "Next time: draw this sheet again without looking at the steps.",
        "Next time: the same sheet without the steps, and with a thing of your own.",
        "Next time: the same construction from memory, with a thing of your own.",
    ),
}


_ALIKE = {
    "shadow": "Cast shadows",
    "shadow_on_wall": "Cast shadows on a wall",
    **{f"inner {side}": f"Insides of the {side}" for side in ("left", "right", "top", "bottom", "front", "back")},
}


def alike_words(turned: str) -> str:
    """Return how faces are called that face the same way; ``turned`` is empty where it was not kept."""
    return _ALIKE.get(turned, f"Faces turned to the {turned or 'same side'}")


POINTS_CLOSE = (
    "The two [vanishing points] are close together: that makes things look stretched at the corner that is nearest to "
    "you. Put the points farther apart next time."
)
"""What the note to a student says of a drawing whose points are too close, where the teacher finds it so."""
