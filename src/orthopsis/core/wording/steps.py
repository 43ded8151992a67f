"""What a teacher says at each step: title, instruction at three reading levels, rule and slip.

The rules and slips are common practice, no source.
"""

from dataclasses import dataclass

from orthopsis.core.wording.vocabulary import LEVELS, Wording


@dataclass(frozen=True, slots=True)
class StepPhrases:
    """The words of one kind of step; ``says`` holds one instruction for each reading level."""

    title: str
    says: tuple[str, str, str]
    rule: str
    slip: str

    def instruction(self, wording: Wording) -> str:
        """Return the template for the class's reading level."""
        return self.says[LEVELS.index(wording.level)]


STEPS: dict[str, StepPhrases] = {
    "setup.eye_level": StepPhrases(
        "[Eye level] {height} up",
        (
            "Measure {height} up on the left edge. Do the same on the right edge. Join the two marks, very lightly.",
            "Mark {height} up on the left and on the right edge. Join the marks with a light line: the [eye level].",
            "Mark {height} up from the bottom on both edges and rule the [eye level] through the marks, lightly.",
        ),
        "The [eye level] is [level]: measure it on both edges.",
        "Measuring on one edge only, so that the line tilts.",
    ),
    "setup.point": StepPhrases(
        "[Vanishing point] {across} in",
        (
            "Measure {across} from the left along the [eye level]. Make a small cross. That is the [vanishing point].",
            "Mark the [vanishing point] on the [eye level], {across} from the left edge.",
            "Mark the central [vanishing point] on the [eye level], {across} from the left edge.",
        ),
        "The [vanishing point] always lies on the [eye level].",
        "A fat dot: the ruler then rests somewhere else each time.",
    ),
    "setup.distance": StepPhrases(
        "[Distance points] {distance} each side",
        (
            "Measure {distance} to the left of the [vanishing point] and {distance} to the right. Mark both.",
            "Mark the two [distance points] on the [eye level], {distance} to each side of the [vanishing point].",
            "Lay off the viewing distance, {distance}, to both sides of the [vanishing point]: the [distance points].",
        ),
        "The [distance points] lie equally far from the [vanishing point]; diagonals of level squares run to them.",
        "Measuring both from the paper's edge in place of the [vanishing point].",
    ),
    "front": StepPhrases(
        "{thing}: front face",
        (
            "Start {left} from the left and {bottom} up. Draw the front of {thing}: {width} wide, {height} tall.",
            "Mark the lower left corner of {thing} {left} from the left, {bottom} up. Draw its front, {width} wide "
            "and {height} tall, square with the paper.",
            "Draw the front face of {thing} true: lower left corner {left} in and {bottom} up, {width} by {height}, "
            "sides parallel to the paper's edges.",
        ),
        "The front face is drawn as it is: level and [upright], square with the paper.",
        "Sides that lean: put the ruler's end square on the paper's edge.",
    ),
    "guides": StepPhrases(
        "{thing}: {lines} to the point",
        (
            "Put the ruler on the [vanishing point]. Turn it until it touches a corner of {thing}. "
            "Draw very lightly. Count: {count}.",
            "Rest the ruler on the [vanishing point], turn it to each corner in turn: {corners}. Draw "
            "{lines}, lightly.",
            "Rule light [guide lines] to the [vanishing point] from {corners} of {thing}: {count} in all.",
        ),
        "A corner gets a line only when the line does not run across the front.",
        "A missing line: count them. Stopping short of the point is fine, missing it is not.",
    ),
    "guides.see_through": StepPhrases(
        "{thing}: {lines} to the point",
        (
            "Put the ruler on the [vanishing point]. Turn it to every corner of {thing}, also through the box. "
            "Draw very lightly. Count: {count}.",
            "Rest the ruler on the [vanishing point] and turn it to all corners of {thing}: {lines}, lightly. "
            "The box is see-through, so lines may cross its front.",
            "Rule light [guide lines] to the [vanishing point] from all corners of {thing}, those behind the front "
            "included: {count} in all.",
        ),
        "In a see-through box every corner has its line.",
        "A missing line: count them.",
    ),
    "depth.measured": StepPhrases(
        "{thing}: depth {depth}",
        (
            "On the line from the {corner} corner measure {depth} toward the [vanishing point]. Make a mark.",
            "From the {corner} corner measure {depth} along its [guide line] and mark it.",
            "Cut the depth: {depth} along the [guide line] of the {corner} corner.",
        ),
        "The depth is cut on one [guide line] only; the others follow from it.",
        "Measuring on two lines: the back then leans.",
    ),
    "depth.half": StepPhrases(
        "{thing}: depth about half way",
        (
            "On the line from the {corner} corner make a mark about half way to the [vanishing point].",
            "Mark the depth by eye on the [guide line] of the {corner} corner, about half way to the "
            "[vanishing point].",
            "Cut the depth by eye, about half way along the [guide line] of the {corner} corner.",
        ),
        "A free length is decided by eye, once; the rest follows from it.",
        "Marking two lines by eye: the back then leans.",
    ),
    "depth.cube": StepPhrases(
        "{thing}: true cube",
        (
            "Put the ruler on the {side} [distance point]. Turn it to the {beside} corner. Where it crosses the line "
            "from the {corner} corner, make a mark.",
            "Rule lightly from the {beside} corner to the {side} [distance point]. Where it crosses the "
            "[guide line] of "
            "the {corner} corner is the back corner.",
            "The diagonal from the {beside} corner to the {side} [distance point] cuts the [guide line] of "
            "the {corner} "
            "corner at the true depth of a cube.",
        ),
        "The line from a front corner to the opposite [distance point] cuts off the depth of a cube.",
        "Taking the near [distance point] in place of the opposite one: the cube becomes far too short.",
    ),
    "back": StepPhrases(
        "{thing}: {lines} at the back",
        (
            "From the mark draw the back of {thing}, with lines that run like the front ones. Count: {count}.",
            "From the mark draw {lines} of the back, parallel to the front edges, from [guide line] to [guide line].",
            "Carry the depth round: {lines}, [level] and [upright], each until it meets the next [guide line].",
        ),
        "Back edges are parallel to front edges; it closes by itself.",
        "Following the paper by eye: use the see-through ruler against the front edge.",
    ),
    "take_away": StepPhrases(
        "Take away what is not seen",
        (
            "Rub out the light lines behind the boxes and the lines that go on to the [vanishing point].",
            "Erase what cannot be seen: the [guide lines] beyond the back, hidden edges, the [eye level] "
            "behind things.",
            "Erase the rest of the [guide lines], hidden edges, and the [eye level] where a thing stands before it.",
        ),
        "Nothing shows through a solid thing.",
        "Rubbing out edges that stay: cover them with a slip of paper.",
    ),
    "darken": StepPhrases(
        "Darken {lines}",
        (
            "Go over the lines that stay with a dark pencil. Use the ruler.",
            "Darken the lines that stay, with the ruler: {lines}.",
            "Darken all {lines} that stay, the near ones strongest.",
        ),
        "Light lines are for finding, dark lines are for keeping.",
        "Overshooting corners.",
    ),
    "tone": StepPhrases(
        "Tone: one for each direction",
        (
            "Shade the sides. Sides that face the same way get the same [grey].",
            "Give each direction of face one tone, the same for every box; the light comes from the {light}.",
            "Tone by direction of face, steps 0 to 3, light from the {light}: fronts 1, tops 0, the far side 3.",
        ),
        "One tone for each direction of face.",
        "Two boxes with the shadow on different sides.",
    ),
}

TOOLS: dict[str, str] = {
    "setup.eye_level": "ruler",
    "setup.point": "ruler",
    "setup.distance": "ruler",
    "front": "ruler and set square",
    "guides": "ruler on the point, pencil light",
    "guides.see_through": "ruler on the point, pencil light",
    "depth.measured": "ruler",
    "depth.half": "eye and pencil",
    "depth.cube": "ruler on the distance point",
    "back": "see-through ruler or set square",
    "take_away": "eraser",
    "darken": "ruler and dark pencil",
    "tone": "pencil or coloured pencil",
}
