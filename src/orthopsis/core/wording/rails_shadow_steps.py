"""What a teacher says while the shadow of rails is found."""

from orthopsis.core.wording.shadow_steps import RAY_RULE
from orthopsis.core.wording.step import StepPhrases

RAILS_SHADOW: dict[str, StepPhrases] = {
    "rails_shadow.rays": StepPhrases(
        "one ray at each rail, {ray}",
        (
            "At the end of each rail draw a light line from its upper {shadow_side} corner, down to the {shadow_side}, "
            "with the {ray} corner of the set square. It goes over the upper edge of the first sleeper and ends at the "
            "lower edge of its front. Count: {count}.",
            "At the end of each rail draw a ray at {ray} from its upper {shadow_side} corner, lightly: over the near "
            "edge of the first sleeper, down to the foot of its front: {lines}.",
            "From the upper {shadow_side} corner of each rail's end a ray at {ray}, over the near edge of the first "
            "sleeper, down to the foot of its front: {lines}.",
        ),
        RAY_RULE,
        "Ending the ray at the upper edge: the ground lies lower.",
        "set square, pencil light",
    ),
    "rails_shadow.lines": StepPhrases(
        "how far the shadows reach",
        (
            "Each ray crosses the first sleeper at two places: at its upper edge and at its lower one. From all four "
            "places draw light lines to the {goal}. Count: {count}.",
            "From where each ray crosses the sleeper's upper edge, and from where it comes to the lower one, run light "
            "lines to the {goal}: {lines}.",
            "From the crossings with the sleeper's near edge and its lower one, light lines to the {goal}: {lines}.",
        ),
        "The lower a shadow falls, the farther out it ends: on the ground farther than on the sleepers.",
        "One line for each rail: it needs two.",
        "ruler on the point, pencil light",
    ),
    "rails_shadow.first": StepPhrases(
        "the shadows on the first sleeper",
        (
            "On the first sleeper draw the edge of each shadow: down its front along the ray, and over its top along "
            "the line that is nearer to the rail. Count: {count}.",
            "On the first sleeper the edge goes down the front along the ray, and over the top along the inner of the "
            "two lines: {lines}.",
            "On the first sleeper: along the ray down its front, along the inner line over its top: {lines}.",
        ),
        "On the sleeper the shadow ends nearer to the rail.",
        "Taking the outer line over the sleeper.",
        "ruler",
    ),
    "rails_shadow.more": StepPhrases(
        "on the ground and over the other sleepers",
        (
            "On the ground follow the line that is farther out, up to the foot of the next sleeper. Go up its front to "
            "the other line, and over its top. Go on so, sleeper by sleeper, and at last to the point. In the end fill "
            "the shadows with one even grey. Count: {count}.",
            "On the ground the edge follows the outer line to the foot of the next sleeper, then goes up its front to "
            "the inner line and over its top. Go on so, at last to the {goal}: {lines}. One even grey.",
            "The outer line on the ground, up each front to the inner line, over the top, and so on to the {goal}: "
            "{lines}. One flat grey.",
        ),
        "The shadow climbs onto each sleeper: it steps in, and out again.",
        "One straight edge all along.",
        "ruler",
    ),
}
