"""What the margin says: for each code a sentence, why, and the cure.

The limits are common practice, no source, unless the code that measures them names one.
"""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class AdvicePhrases:
    """Templates of one piece of advice."""

    text: str
    why: str
    cure: str


ADVICE: dict[str, AdvicePhrases] = {
    "outside_comfortable_cone": AdvicePhrases(
        "“{thing}” reaches {value}° from the centre of view; {limit}° is comfortable.{more}",
        "Outside a cone of 60 degrees things look stretched, even when every rule is kept.",
        "View from farther away: {better} or more",
    ),
    "outside_outer_cone": AdvicePhrases(
        "“{thing}” lies outside the outer limit: {value}° from the centre, {limit}° is the most.{more}",
        "The circle through the [distance points] is the outer limit; cubes beyond it look wrong.",
        "View from farther away: {better} or more",
    ),
    "eye_level_across_middle": AdvicePhrases(
        "The [eye level] runs {value} % up the sheet, nearly across the middle.",
        "The composition school puts it a third from the top or the bottom; the exercise school across the middle, "
        "because it is found by halving.",
        "Put it a third up: {better}",
    ),
    "eye_level_by_halving": AdvicePhrases(
        "The [eye level] is {value} % up: not across the middle, so it has to be measured.",
        "The exercise school puts it exactly across the middle for first lessons: it is found by halving.",
        "Put it across the middle: {better}",
    ),
    "side_too_thin": AdvicePhrases(
        "The {side} of “{thing}” shows only {value} wide; under {limit} it is hard to draw.",
        "The nearer a box stands to straight before the [vanishing point], the thinner its side.",
        "Move it away from the [vanishing point], or make it deeper",
    ),
    "lines_too_close": AdvicePhrases(
        "Two [guide lines] of “{thing}” run {value} apart; a pencil parts {limit}.",
        "Lines closer than a pencil's width are drawn as one, and one is then missed in the count.",
        "Move it up or down by {better}",
    ),
    "off_the_paper": AdvicePhrases(
        "“{thing}” reaches {value} over the paper's edge.",
        "What is off the paper cannot be drawn; the class would see it only on the screen.",
        "Move it back on to the paper",
    ),
    "straight_before": AdvicePhrases(
        "“{thing}” stands straight before the [vanishing point]: no side shows.",
        "Only the front is seen of a box around the [vanishing point]; see-through shows its inside.",
        "Make it see-through",
    ),
    "distance_point_off_sheet": AdvicePhrases(
        "The [distance points] lie {value} off the sheet; tape strips to both sides.",
        "True cubes need both [distance points] within reach of the ruler.",
        "View from {better}, so that they lie at the sheet's ends",
    ),
    "more_than_the_minutes": AdvicePhrases(
        "All steps take about {value} minutes; the lesson has {limit}.",
        "A step that is not finished is finished in the next lesson, or made extra.",
        "Plan two lessons, or fewer boxes",
    ),
}
