"""What the margin says: for each code a sentence, why, and the cure.

The limits are common practice, no source, unless the code that measures them names one.
"""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class AdvicePhrases:
    """Templates of one piece of advice; the first cure is the usual one."""

    text: str
    why: str
    cures: tuple[str, ...]


ADVICE: dict[str, AdvicePhrases] = {
    "outside_comfortable_cone": AdvicePhrases(
        "“{thing}” reaches {value}° from the centre of view; {limit}° is comfortable.{more}",
        "Outside a cone of 60 degrees things look stretched, even when every rule is kept.",
        ("View from farther away: {better} or more", "Tilt the gaze less: {tilt}"),
    ),
    "outside_outer_cone": AdvicePhrases(
        "“{thing}” lies outside the outer limit: {value}° from the centre, {limit}° is the most.{more}",
        "The circle through the [distance points] is the outer limit; cubes beyond it look wrong.",
        ("View from farther away: {better} or more", "Tilt the gaze less: {tilt}"),
    ),
    "eye_level_across_middle": AdvicePhrases(
        "The [eye level] runs {value} % up the sheet, nearly across the middle.",
        "The composition school puts it a third from the top or the bottom; the exercise school across the middle, "
        "because it is found by halving.",
        ("Put it a third up: {better}",),
    ),
    "eye_level_by_halving": AdvicePhrases(
        "The [eye level] is {value} % up: not across the middle, so it has to be measured.",
        "The exercise school puts it exactly across the middle for first lessons: it is found by halving.",
        ("Put it across the middle: {better}",),
    ),
    "side_too_thin": AdvicePhrases(
        "The {side} of “{thing}” shows {value} wide; under {limit} it is hard to draw.",
        "The nearer a box stands to straight before the [vanishing point], the thinner its side.",
        ("Move it farther from the [vanishing point]",),
    ),
    "lines_too_close": AdvicePhrases(
        "Two [guide lines] of “{thing}” run {value} apart: a pencil does not part them.",
        "Lines closer than a pencil's width are drawn as one, and one is then missed in the count.",
        ("Move it up or down by {better}",),
    ),
    "off_the_paper": AdvicePhrases(
        "“{thing}” reaches {value} over the paper's edge.",
        "What is off the paper cannot be drawn; the class would see it only on the screen.",
        ("Move it back on to the paper",),
    ),
    "over_the_fold": AdvicePhrases(
        "“{thing}” reaches {value} over the fold.",
        "Each half of the sheet has its own points; what runs over the fold belongs to neither.",
        ("Move it back on to its half",),
    ),
    "straight_before": AdvicePhrases(
        "“{thing}” stands straight before the [vanishing point]: no side shows.",
        "Only the front is seen of a box around the [vanishing point]; see-through shows its inside.",
        ("Make it see-through",),
    ),
    "distance_point_off_sheet": AdvicePhrases(
        "{which} {value} off the sheet: tape on paper, {strips}.",
        "True cubes need both [distance points] within reach of the ruler.",
        ("View from {better}, so that they lie at the sheet's ends",),
    ),
    "more_than_the_minutes": AdvicePhrases(
        "All steps take about {value} minutes; the lesson has {limit}.",
        "A step that is not finished is finished in the next lesson, or made extra.",
        ("Plan two lessons, or fewer things",),
    ),
    "points_too_close": AdvicePhrases(
        "The two [vanishing points] are too close, {apart} apart: the nearest corner of “{thing}” is {value}° on the "
        "page.",
        "A level right angle looks larger than 90° as long as its corner lies in the circle over both "
        "[vanishing points]; outside of it corners look pinched and floors tip up.",
        (
            "Move the points out to {better}, same measures on the page",
            "Move the points out to {better}, same shape in the world",
        ),
    ),
    "third_point_too_near": AdvicePhrases(
        "The [third point] is {value} from the [eye level]; an eye sees it so only from {limit} on.",
        "The three points then make an obtuse triangle: it can be drawn, but no eye stands where it would look right.",
        ("Move the [third point] away",),
    ),
    "points_off_sheet": AdvicePhrases(
        "Tape on paper: {strips}. The farthest line is {reach} long: a ruler of {ruler}.",
        "Without strips: tick the {side} edge every {near_ticks} up and down from the [eye level], the {other} edge "
        "every "
        "{far_ticks}; joining like ticks gives lines to the {side} point. Other teachers put both points at the ends "
        "of "
        "the sheet, because rulers reach.",
        ("Put the points at the sheet's ends",),
    ),
    "third_point_off_sheet": AdvicePhrases(
        "Tape on paper: {strips}. The farthest line is {reach} long: a ruler of {ruler}.",
        "Without strips: tick the {side} edge every {near_ticks} to both sides of the place nearest to the "
        "[third point], the {other} edge every {far_ticks}; joining like ticks gives lines to that point.",
        ("Move the [third point] to the sheet’s edge",),
    ),
    "own_point_off_sheet": AdvicePhrases(
        "The {aim} lies off the sheet. Tape on paper: {strips}. The farthest line is {reach} long: a ruler of {ruler}.",
        "Without strips: tick the {side} edge every {near_ticks} to both sides of the place nearest to the point, the "
        "{other} edge every {far_ticks}; joining like ticks gives lines to that point.",
        ("Tape paper on, or make the slope flatter",),
    ),
    "line_too_flat": AdvicePhrases(
        "A line of “{thing}” leaves the [eye level] at only {value}°; under {limit}° it is hard to rule.",
        "Lines near the [eye level] all but run along it: their crossings cannot be seen.",
        ("Move it up or down, away from the [eye level]",),
    ),
    "outside_triangle": AdvicePhrases(
        "“{thing}” reaches {value} out of the triangle of the three points.",
        "In three-point a thing stays inside the triangle of its points; outside of it edges spread the wrong way.",
        ("Move it toward the middle of the three points",),
    ),
    "absurd_depth": AdvicePhrases(
        "{side} of “{thing}” would be {value} times as long as its longest other edge.",
        "Near a [vanishing point] a few millimetres on the page are many in the world: a measure there is easily "
        "absurd.",
        ("Cut it half way",),
    ),
    "between_marks": AdvicePhrases(
        "Some lengths lie between the ruler's marks of {division}; on the marks the drawing moves by {moves}.",
        "A class measures only what its ruler shows.",
        ("Round all lengths to the ruler",),
    ),
    "face_unseen": AdvicePhrases(
        "“{thing}” lies on {face} of {other}, which is not seen: nothing of it is drawn.",
        "What lies on a face is seen only where the face is.",
        ("Lay it on a face that is seen",),
    ),
    "face_is_round": AdvicePhrases(
        "“{thing}” cannot stand on {face} of {other}, which is round: nothing of it is drawn.",
        "Only what is round itself fits on a round top.",
        ("Lay it on another face",),
    ),
    "shadow_climbs": AdvicePhrases(
        "“{thing}” reaches {other}: there it would climb, and it is drawn on the ground alone. Add a shadow upon "
        "{other}.",
        "A shadow follows what it falls on: up a wall it is upright, where the light comes from the side.",
        ("Let the light fall more steeply",),
    ),
    "shadow_of_block": AdvicePhrases(
        "“{thing}” is the shadow of the whole block {other}, not of {carved}, which is carved from it.",
        "What is cut away casts no shadow.",
        ("Leave the shadow out, or let it be drawn by eye",),
    ),
    "shadow_of_lower": AdvicePhrases(
        "“{thing}” is the shadow of {other} alone: that of {over}, which rises over it, is left out.",
        "What stands on a block makes its shadow longer there.",
        ("Leave the shadow out, or let the rest of it be drawn by eye",),
    ),
    "shadow_without_rest": AdvicePhrases(
        "“{thing}” is that of the top and the legs of {other}: nobody is told of that of its foot rest.",
        "Each bar casts a narrow shadow from leg to leg.",
        ("Draw {other} without a foot rest",),
    ),
    "carved_under_it": AdvicePhrases(
        "“{thing}” hangs in the air, or a part of it does: {carved} cuts {other} away there.",
        "What stands on a block stays only where something of the block stays.",
        ("Let {carved} lie flat on its face, so that the block stays",),
    ),
    "no_shadow_upon": AdvicePhrases(
        "“{thing}” is empty: no cast shadow of a block reaches {other}.",
        "A shadow falls on another thing where that stands in its way.",
        ("Let the light fall flatter",),
    ),
    "shadow_not_found_upon": AdvicePhrases(
        "“{thing}” cannot be found by hand: it begins on a side of {other} that is not seen or not told, or goes over "
        "its top by a lamp.",
        "A shadow goes on from where it comes: from the ground up a side, and over its edge.",
        ("Let the light fall more steeply",),
    ),
    "sun_off_sheet": AdvicePhrases(
        "The {aims} {lies} off the sheet. Tape on paper: {strips}.",
        "Every ray and every shadow runs to these points: the ruler must reach them.",
        ("Bring the sun onto the sheet",),
    ),
    "lamp_outside": AdvicePhrases(
        "The lamp hangs {where}, outside of {room}.",
        "The place under a lamp lies on the floor, and the lamp under the ceiling.",
        ("Hang it over the middle of the floor",),
    ),
    "shadow_within": AdvicePhrases(
        "“{thing}” lies within the foot of {other}: nothing of it is seen.",
        "The higher the light stands, the shorter shadows are.",
        ("Let the light fall less steeply",),
    ),
    "shadow_over_edge": AdvicePhrases(
        "“{thing}” reaches over the edge of {other}: what lies beyond it is not drawn as it would fall.",
        "A shadow ends where its ground ends, and goes on lower down.",
        ("Let the light fall more steeply",),
    ),
    "measured_middle": AdvicePhrases(
        "What is measured on the {face} lies up to {value} from where it would be in truth; it will look skewed.",
        "On a face that goes away the near half is wider than the far half; its diagonals find the true middle.",
        ("Find it by ticks and the diagonal",),
    ),
    "crowded": AdvicePhrases(
        "{count} of “{thing}” in a row come as near as {value} to each other: a pencil does not part them.",
        "What goes away comes closer together; the far ones soon run into each other.",
        ("Take {fits} of them",),
    ),
    "door_too_low": AdvicePhrases(
        "“{person}” is taller than “{door}”: the door is {value} times as high as the person.",
        "Where people and doors stand on one ground, the [eye level] cuts each at one share of its height: sizes show.",
        ("Make {person} as tall as goes with the door",),
    ),
    "door_too_high": AdvicePhrases(
        "“{door}” is {value} times as high as “{person}”: it looks like a gate, or the person like a child.",
        "Where people and doors stand on one ground, the [eye level] cuts each at one share of its height: sizes show.",
        ("Make {person} as tall as goes with the door",),
    ),
    "plans_cross": AdvicePhrases(
        "“{other}” stands in “{thing}”.",
        "Two solid things cannot be in one place; what is hidden there cannot be told.",
        ("Move it to where there is room",),
    ),
    "things_cross": AdvicePhrases(
        "“{thing}” and “{other}” stand in each other; where they cross no line is drawn.",
        "Two solid things cannot be in one place; what is hidden there cannot be told.",
        ("Let it stand on its own",),
    ),
}
