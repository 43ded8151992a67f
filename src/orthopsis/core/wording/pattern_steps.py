"""What a teacher says while a face gets its pattern."""

from dataclasses import replace

from orthopsis.core.wording.step import StepPhrases

_TOOL = "ruler, light pencil"


def _pattern(title: str, youngest: str, middle: str, oldest: str, slip: str, tool: str = _TOOL) -> StepPhrases:
    rule = "A pattern runs to the point of its face: steep far from the [eye level], level at it."
    return StepPhrases(title, (youngest, middle, oldest), rule, slip, tool)


_IN_LINES: dict[str, StepPhrases] = {
    "pattern.along": _pattern(
        "stripes",
        "Draw stripes on {where} along the light lines. Stop at the edges. Count: {count}.",
        "Rule stripes on {where} along the light lines, {along}, as far as its edges: {lines}.",
        "Stripes on {where}, {along}: {lines}.",
        "Stripes that stay level on a face that goes away.",
    ),
    "pattern.up": _pattern(
        "stripes up",
        "Draw stripes on {where}, {upward}, along the light lines. Count: {count}.",
        "Rule stripes on {where}, {upward}, {spaced}: {lines}.",
        "Stripes on {where}, {upward}: {lines}.",
        "Equal spaces on the page: they close up with distance.",
    ),
    "pattern.checks": _pattern(
        "checks",
        "Draw the light lines on {where} both ways. Count: {count} lines.",
        "Rule the light lines over {where} both ways: {lines}.",
        "Checks on {where}: {lines}.",
        "Lines that stop short of the edges.",
    ),
    "pattern.bricks": _pattern(
        "bricks",
        "Draw the rows of bricks on {where}. Put the joints of each row over the middles of the row below. Count: "
        "{count} lines.",
        "Rule the courses on {where}, {along}; the joints of each course over the middles of the one below: {lines}.",
        "Courses and joints on {where}, half a brick apart from course to course: {lines}.",
        "Joints over each other.",
    ),
    "pattern.zigzag": _pattern(
        "zigzags",
        "Draw zigzags on {where} from crossing to crossing, up and down. Count: {count} lines.",
        "Zigzags on {where}: rule from crossing to crossing, one up, one down: {lines}.",
        "Zigzags on {where} from crossing to crossing: {lines}.",
        "Losing the place: mark the turns first.",
    ),
    "pattern.waves": _pattern(
        "waves",
        "Draw waves on {where} by hand, from crossing to crossing: up from one, down to the next.",
        "Draw waves on {where} by hand through the crossings: their feet on one line, their crests on the next.",
        "Waves on {where} through the crossings, feet and crests on neighbouring lines.",
        "Waves of one width: they close up with distance.",
        "pencil, free hand",
    ),
}


_DARK = ("Then fill every other field.", "Then darken every other field.", "Darken every other field.")


def _with_dark_fields(phrases: StepPhrases) -> StepPhrases:
    youngest, middle, oldest = (f"{text} {more}" for text, more in zip(phrases.says, _DARK, strict=True))
    title = f"{phrases.title}, every other field dark"
    return replace(phrases, title=title, says=(youngest, middle, oldest), slip="Two dark fields side by side.")


PATTERN: dict[str, StepPhrases] = {
    **_IN_LINES,
    **{f"{name}.dark": _with_dark_fields(phrases) for name, phrases in _IN_LINES.items()},
}
