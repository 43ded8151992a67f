"""From the moves of an exercise to its steps, as the handbook orders them and before a teacher changes anything."""

from collections import Counter
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from orthopsis.core.construct.moves import (
    Act,
    Move,
    RuleToPoint,
    Run,
    RunToCurve,
    Side,
    Slide,
    Through,
    inputs,
    outputs,
)
from orthopsis.core.construct.steps import Breath, breaths
from orthopsis.core.document.parts import StepRef
from orthopsis.core.drawing.answer import PointLetter, Scale, Step
from orthopsis.core.drawing.beside import letter_ways
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.lesson.minutes import step_minutes
from orthopsis.core.light.light import Stands
from orthopsis.core.scene.prepared import adornments
from orthopsis.core.telling.dimensions import dimensions
from orthopsis.core.telling.letters import (
    is_by_corner,
    is_by_joins,
    is_by_letters,
    is_by_path,
    is_by_way,
    lettered,
    lettered_corner,
    lettered_joins,
    lettered_path,
    lettered_way,
)
from orthopsis.core.telling.scales import scales
from orthopsis.core.telling.step_values import StepValues
from orthopsis.core.telling.strokes import Strokes
from orthopsis.core.things.answers import WHOLE
from orthopsis.core.wording.figures import NO_NUMBER, SIGNS
from orthopsis.core.wording.finish_steps import CARVED, FAR_LIGHTER, ONE_SHADE, OPENINGS
from orthopsis.core.wording.names import view_words
from orthopsis.core.wording.steps import STEPS
from orthopsis.core.wording.vocabulary import LEVELS, counted

STROKES_A_MARK = 4
"""So many strokes by hand take about as long as a measured mark (no source)."""


@dataclass(frozen=True, slots=True)
class Told:
    """A step with what its moves take up and make; ``breath`` is missing for the steps that finish a sheet.

    ``ref`` is what a teacher's changes know it by; the step's ``key`` is only its name for who shows it.
    """

    step: Step
    ref: StepRef
    needs: frozenset[str] = frozenset()
    makes: frozenset[str] = frozenset()
    breath: Breath | None = None

    @property
    def has_lines(self) -> bool:
        """Whether it can be told line by line."""
        return self.breath is not None and self.step.count > 1 and not self.ref.line


def told_steps(solved: Solved, strokes: Strokes) -> list[Told]:
    """Return the steps in the handbook's order: set up, each thing, then take away, darken and tone."""
    ids = {thing.name: thing.id for thing in solved.prepared.exercise.things}
    seen: Counter[tuple[str, str, str]] = Counter()
    result = []
    untold = _untold(solved)
    level = solved.prepared.wording.level
    for breath in breaths(solved.moves, cuts_at_once=RULES[level].cuts_at_once):
        alike = (breath.thing, breath.name, breath.part)
        seen[alike] += 1
        ref = StepRef(thing=ids.get(breath.thing, 0), words=breath.name, part=breath.part, turn=seen[alike])
        step = _built_step(solved, breath, _key(breath.thing, ref), strokes)
        result.append(_told(breath, ref, step, untold))
    if solved.prepared.things:
        result += [Told(step, StepRef(words=step.phase)) for step in _finish(solved)]
    return result


def _key(thing: str, ref: StepRef) -> str:
    """Return the name of a step for who shows it; it is never taken apart."""
    part, turn = f"@{ref.part}" if ref.part else "", f"#{ref.turn}" if ref.turn > 1 else ""
    return f"{thing}/{ref.words}{part}{turn}{f'~{ref.line}' if ref.line else ''}"


def line_by_line(solved: Solved, told: Told, strokes: Strokes) -> list[Told]:
    """Return a step as one step for each of its lines."""
    assert told.breath is not None
    parts = list(_lines(solved, told.breath))
    whole = StepValues(solved, told.breath, strokes)
    result, untold = [], _untold(solved)
    for number, part in enumerate(parts, start=1):
        ref = told.ref.model_copy(update={"line": number})
        step = _built_step(solved, part, _key(part.thing, ref), strokes, whole)
        counted_as = f" ({number} of {len(parts)})"
        titles = {"title": told.step.title + counted_as, "short": told.step.short + counted_as}
        result.append(_told(part, ref, step.model_copy(update=titles), untold))
    return result


def _untold(solved: Solved) -> dict[str, set[str]]:
    """Return what lies under the points and lines that nobody is told of, by their names: there they are all the same.

    A point that lies where another one was marked is one such.
    """
    return {name: inputs(move.act) for move in solved.moves if not move.breath for name in outputs(move.act)}


def _told(breath: Breath, ref: StepRef, step: Step, untold: Mapping[str, set[str]]) -> Told:
    acts = [move.act for move in breath.moves]
    makes = frozenset(name for act in acts for name in outputs(act))
    needs, asked = set[str](), [name for act in acts for name in inputs(act)]
    while asked:
        name = asked.pop()
        if name not in needs and name not in makes:
            needs.add(name)
            asked += untold.get(name, ())
    return Told(step, ref, frozenset(needs), makes, breath)


def _lines(solved: Solved, breath: Breath) -> Iterator[Breath]:
    """Yield parts of a breath that draw one line each; marks go with the line after them, or with the last one."""
    held: list[Move] = []
    parts: list[list[Move]] = []
    for move in breath.moves:
        held.append(move)
        if move.act.makes in solved.light_ids:
            parts.append(held)
            held = []
    if parts:
        parts[-1] += held
    for part in parts:
        yield replace(breath, moves=tuple(part))


def _built_step(
    solved: Solved, breath: Breath, key: str, strokes: Strokes, whole: StepValues | None = None
) -> Step:  # fmt: skip
    """Return a step; where it is a part of one that is told line by line, with the values of the whole."""
    values = StepValues(solved, breath, strokes, whole)
    phrases = STEPS[breath.name]
    acts = [move.act for move in breath.moves]
    made = [act.makes for act in acts]
    draws = [solved.light_ids[name] for name in made if name in solved.light_ids]
    count = strokes.count(name for name in made if name in solved.light_ids)
    marks = len(acts) - len(draws)
    if phrases.is_freehand:
        count, marks = 0, len(draws) // STROKES_A_MARK
    points = [name for name in made if name in solved.board.points]
    points += [act.makes_point for act in acts if isinstance(act, Side | Run | RunToCurve | Slide | Through)]
    rests = next((act.point for act in acts if isinstance(act, RuleToPoint)), "")
    words = solved.prepared.wording
    title = _of_view(solved, breath, words.say(phrases.title, values))
    instruction = phrases.instruction(words)
    text, scaled = words.say(instruction, values), scales(solved, breath, instruction)
    letters = _letters(solved, acts if whole is None or not is_by_way(instruction) else whole.acts, instruction)
    return Step(
        key=key,
        phase=breath.phase,
        thing=breath.thing,
        title=f"{values['thing']}: {title}" if breath.thing else title,
        short=f"{breath.part}: {title}" if breath.part else title,
        text=text + _signs(scaled, letters),
        scales=scaled,
        letters=letters,
        dimensions=[] if scaled or is_by_letters(instruction) else dimensions(solved, acts, text),
        tool=phrases.tool,
        rests_on=rests,
        count=count,
        rule=words.words(phrases.rule),
        slip=words.words(phrases.slip),
        minutes=step_minutes(breath.phase, count, words.level, marks),
        extra=False,
        draws=draws,
        marks=points,
        takes_away=[],
        darkens=[],
        tones=False,
    )


def _letters(solved: Solved, acts: Sequence[Act], instruction: str) -> list[PointLetter]:
    """Return the points of a step that its words call by letters, each letter at the outer side of its point."""
    found = _lettered(solved, acts, instruction)
    ways = letter_ways([letter.at for letter in found])
    return [letter.model_copy(update={"beside": way}) for letter, way in zip(found, ways, strict=True)]


def _lettered(solved: Solved, acts: Sequence[Act], instruction: str) -> list[PointLetter]:
    if is_by_way(instruction):
        return lettered_way(solved, acts)
    if is_by_corner(instruction):
        return lettered_corner(solved, acts)
    if is_by_joins(instruction):
        return lettered_joins(solved, acts)
    if is_by_path(instruction):
        return lettered_path(solved, acts)
    return lettered(solved, acts) if is_by_letters(instruction) else []


def _signs(scales: Sequence[Scale], letters: Sequence[PointLetter]) -> str:
    """Return what the signs mean that stand after figures of a picture, where there are any, and what has none."""
    texts = [mark.text for scale in scales for mark in scale.marks]
    figures = [text for letter in letters for text in (letter.across, letter.up)]
    said = [says for sign, says in SIGNS.items() if any(sign in text for text in (*texts, *figures))]
    return "".join(f" {says}" for says in (*said, *([NO_NUMBER] if "" in figures else [])))


def _of_view(solved: Solved, breath: Breath, title: str) -> str:
    """Return the title of setting up, with the view it belongs to where the sheet has several."""
    if not breath.view or len(solved.prepared.frames) == 1:
        return title
    view = view_words(breath.view)
    return f"{view[0].upper()}{view[1:]}: {title[0].lower()}{title[1:]}"


_TONES: Mapping[Stands, str] = {"ahead": "tone_ahead", "lamp": "tone_by_lamp"}
"""What the words of toning are called that differ with the light."""


def _finish(solved: Solved) -> list[Step]:
    level, light = solved.prepared.wording.level, solved.prepared.exercise.lighting
    lines = list(solved.light_ids.values())
    final = list(solved.final)
    edges = [line.id for line in final if line.thing]
    added = adornments(solved.prepared)
    merged = len({(line.thing, line.name) for line in final if line.thing and line.thing not in added})
    bodies = [p for p in solved.prepared.things if p.standing.is_body and not p.kind.is_late]
    opaque = [p for p in bodies if not p.standing.is_see_through]
    kept = "" if len(opaque) == len(bodies) else "_some" if opaque else "_none"
    more = ""
    if any(spans != WHOLE for p in bodies for spans in p.standing.takes_away.values()):
        more += OPENINGS[LEVELS.index(level)]
    if any(p.standing.replaces_host for p in bodies):
        more += CARVED[LEVELS.index(level)]
    if solved.is_one_shade:
        more += ONE_SHADE[LEVELS.index(level)]
    take_away = _plain(
        solved,
        "take_away",
        {"more": more},
        step_minutes("take_away", len(lines), level),
        takes=lines,
        leaves=[line.id for line in final],
        said=f"take_away{kept}",
    )
    values = {"lines": counted(merged, "line")}
    minutes, said = step_minutes("darken", merged, level), "darken" if merged else "darken_sketch"
    darken = _plain(solved, "darken", values, minutes, darkens=edges, count=merged, said=said)
    tone_values, tone_said = {"light": light.side}, _TONES.get(light.stands, "tone")
    result = [take_away, darken]
    if opaque:
        minutes = step_minutes("tone", 3 * len(opaque), level)
        tone = _plain(solved, "tone", tone_values, minutes, tones=True, said=tone_said)
        if solved.prepared.exercise.far == "lighter":
            tone = tone.model_copy(update={"text": tone.text + FAR_LIGHTER[LEVELS.index(level)]})
        result.append(tone)
    return result


def _plain(
    solved: Solved, key: str, values: Mapping[str, object], minutes: float, *, takes: list[int] | None = None,
    leaves: list[int] | None = None, darkens: list[int] | None = None, count: int = 0, tones: bool = False,
    said: str = "",
) -> Step:  # fmt: skip
    words, phrases = solved.prepared.wording, STEPS[said or key]
    title = words.say(phrases.title, values)
    return Step(
        key=f"/{key}",
        phase=key,
        thing="",
        title=title,
        short=title,
        text=words.say(phrases.instruction(words), values),
        scales=[],
        letters=[],
        tool=phrases.tool,
        rests_on="",
        count=count,
        rule=words.words(phrases.rule),
        slip=words.words(phrases.slip),
        minutes=minutes,
        extra=False,
        draws=[],
        marks=[],
        takes_away=takes or [],
        leaves=leaves or [],
        darkens=darkens or [],
        tones=tones,
    )
