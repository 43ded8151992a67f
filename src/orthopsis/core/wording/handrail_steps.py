"""What a teacher says while a handrail is drawn along stairs."""

from dataclasses import replace

from orthopsis.core.wording.step import StepPhrases

_TALL_RULE = "All posts are equally tall: the height is measured at the foot and carried."
_RAIL_RULE = "The handrail runs as the slope line of the stairs does, only higher."
_CARRIED = "What is equal on one side is equal on the other: it is carried, not measured."
_SET = "ruler and set square"

HANDRAIL: dict[str, StepPhrases] = {
    "handrail.first": StepPhrases(
        "the first post, {high} tall",
        (
            "Put the pencil on the front edge of the first step, where the marks are. Go straight up {high}. That is "
            "the first post.",
            "On the front of the first step, where the marks are, draw an [upright], {high} tall: the first post.",
            "The first post: an [upright] on the front of the first step, over the first riser, {high} tall.",
        ),
        "A post stands on a step, not on the floor.",
        "Measuring from the floor: the post stands on the first step.",
        _SET,
    ),
    "handrail.first_half": StepPhrases(
        "the first post, {high} tall",
        (
            "Put the pencil on the front edge of the first step, where the marks are. Go straight up {high}. That is "
            "the first post. Mark {half} on it too, for the lower rail.",
            "On the front of the first step, where the marks are, draw an [upright], {high} tall: the first post. Mark "
            "{half} on it, for the lower rail.",
            "The first post: an [upright] on the front of the first step, over the first riser, {high} tall; a mark at "
            "{half}.",
        ),
        "A post stands on a step, not on the floor.",
        "Measuring from the floor: the post stands on the first step.",
        _SET,
    ),
    "handrail.last": StepPhrases(
        "the last post",
        (
            "Go to the top mark over the foot. Go up {high} from there, lightly. Draw a light line {ahead}, until it "
            "is over the front of the last step. Draw the last post up to it. Count: {count}.",
            "From the top mark over the foot go up {high}, lightly, and run that {ahead}, until it is over the front "
            "of the last step; draw the last post up to it: {lines}.",
            "{high} over the top mark at the foot, run {ahead} until it is over the front of the last step: there the "
            "last post ends, {lines}.",
        ),
        _TALL_RULE,
        "Measuring the last post with the ruler: farther back it is smaller.",
        _SET,
    ),
    "handrail.last_half": StepPhrases(
        "the last post",
        (
            "Go to the top mark over the foot. Go up {high} from there, lightly; mark {half} too. Draw a light line "
            "{ahead}, until it is over the front of the last step. Draw the last post up to it. Draw the other mark "
            "{ahead} too, to the post. Count: {count}.",
            "From the top mark over the foot go up {high}, lightly, with a mark at {half}. Run the upper end {ahead}, "
            "until it is over the front of the last step, and draw the last post up to it. Run the other mark to the "
            "post: {lines}.",
            "{high} over the top mark at the foot, and {half}, run {ahead} to the [upright] over the front of the last "
            "step: there the last post and its mark are, {lines}.",
        ),
        _TALL_RULE,
        "Measuring the last post with the ruler: farther back it is smaller.",
        _SET,
    ),
    "handrail.rail": StepPhrases(
        "the handrail",
        (
            "Lay the ruler on the tops of the first and the last post. Draw the handrail.",
            "Join the tops of the first and the last post: the handrail.",
            "The handrail, over the tops of the first and the last post.",
        ),
        _RAIL_RULE,
        "Drawing it by eye: it leans another way than the stairs.",
        "ruler",
    ),
    "handrail.rail_half": StepPhrases(
        "handrail and lower rail",
        (
            "Lay the ruler on the tops of the first and the last post. Draw the handrail. Join the two marks on the "
            "posts too. Count: {count}.",
            "Join the tops of the first and the last post, and the marks on them: {lines}.",
            "The handrail over the tops of the first and the last post, the rail between the marks: {lines}.",
        ),
        _RAIL_RULE,
        "Drawing them by eye: they lean another way than the stairs.",
        "ruler",
    ),
    "handrail.posts": StepPhrases(
        "the posts between: {between}",
        (
            "Stand a post on the front of {every} between. Go straight up to the handrail. Count: {count}.",
            "From the front of {every} between draw an [upright] up to the handrail: {lines}.",
            "[Uprights] on the front of {every} between, up to the handrail: {lines}.",
        ),
        "Posts that are equally tall end on one line.",
        "Measuring each post: the handrail says where it ends.",
        _SET,
    ),
    "handrail.across": StepPhrases(
        "the first and the last post of the other side",
        (
            "From the top of the first post draw a light line {over_way}, until it is over the front of the first step "
            "on the other side. Draw the post there. Do the same with the last post. Count: {count}.",
            "Run the tops of the first and the last post {over_way}, lightly, until they are over the fronts of these "
            "steps on the other side; draw both posts there: {lines}.",
            "The tops of the first and the last post {over_way}, to the [uprights] on the other side: {lines}.",
        ),
        _CARRIED,
        "Measuring the posts on the other side.",
        _SET,
    ),
    "handrail.across_half": StepPhrases(
        "the first and the last post of the other side",
        (
            "From the top of the first post draw a light line {over_way}, until it is over the front of the first step "
            "on the other side. Draw the post there. Draw the mark over to it too. Do the same with the last post. "
            "Count: {count}.",
            "Run the tops of the first and the last post {over_way}, lightly, until they are over the fronts of these "
            "steps on the other side; draw both posts there, and carry the marks over to them: {lines}.",
            "Tops and marks of the first and the last post {over_way}, to the [uprights] on the other side: {lines}.",
        ),
        _CARRIED,
        "Measuring the posts on the other side.",
        _SET,
    ),
}


def _over(name: str, title: str, old: str, new: str) -> StepPhrases:
    """Return the phrases of a step that is done again on the other side of the stairs."""
    here = HANDRAIL[name]
    youngest, middle, oldest = (says.replace(old, new, 1) for says in here.says)
    return replace(here, title=title, says=(youngest, middle, oldest))


HANDRAIL |= {
    "handrail.posts_over": _over(
        "handrail.posts", "the posts between on the other side: {between}", "{every} between", "{every} on that side"
    ),
    "handrail.rail_over": _over(
        "handrail.rail", "the handrail of the other side", "the first and the last post", "these two posts"
    ),
    "handrail.rail_over_half": _over(
        "handrail.rail_half", "handrail and lower rail of the other side", "the first and the last post",
        "these two posts",
    ),
}  # fmt: skip
