"""From the moves of an exercise to the steps that a class is told."""

from collections.abc import Mapping

from orthopsis.core.construct.moves import RuleToPoint, Run, Side, Slide
from orthopsis.core.construct.steps import Breath, breaths
from orthopsis.core.exercise.drawing import Step
from orthopsis.core.exercise.picture import Solved
from orthopsis.core.exercise.step_values import step_values
from orthopsis.core.lesson.minutes import step_minutes
from orthopsis.core.wording.steps import STEPS
from orthopsis.core.wording.vocabulary import counted


def steps(solved: Solved) -> list[Step]:
    """Return the steps in the handbook's order: set up, each thing, then take away, darken and tone."""
    result = [_built_step(solved, breath) for breath in breaths(solved.moves)]
    if solved.prepared.things:
        result += _finish(solved)
    return result


def _built_step(solved: Solved, breath: Breath) -> Step:
    acts = [move.act for move in breath.moves]
    made = [act.makes for act in acts]
    draws = [solved.light_ids[name] for name in made if name in solved.light_ids]
    points = [name for name in made if name in solved.board.points]
    points += [act.makes_point for act in acts if isinstance(act, Side | Run | Slide)]
    rests = next((act.point for act in acts if isinstance(act, RuleToPoint)), "")
    words, phrases = solved.prepared.wording, STEPS[breath.name]
    values = step_values(solved, breath)
    return Step(
        phase=breath.phase,
        thing=breath.thing,
        title=words.say(phrases.title, values),
        text=words.say(phrases.instruction(words), values),
        tool=phrases.tool,
        rests_on=rests,
        count=len(draws),
        rule=words.words(phrases.rule),
        slip=words.words(phrases.slip),
        minutes=step_minutes(breath.phase, len(acts), words.level),
        extra=False,
        draws=draws,
        marks=points,
        takes_away=[],
        darkens=[],
        tones=False,
    )


def _finish(solved: Solved) -> list[Step]:
    level = solved.prepared.wording.level
    light = list(solved.light_ids.values())
    final = list(solved.final_ids)
    edges = [i for i in final if solved.lines[i].role == "edge"]
    merged = len({(solved.lines[i].thing, solved.lines[i].name) for i in edges})
    take_away = _plain(solved, "take_away", {}, step_minutes("take_away", len(light), level), draws=final, takes=light)
    values = {"lines": counted(merged, "line")}
    darken = _plain(solved, "darken", values, step_minutes("darken", merged, level), darkens=edges, count=merged)
    tone_values = {"light": solved.prepared.exercise.light}
    opaque = [p for p in solved.prepared.things if not p.values.is_see_through]
    result = [take_away, darken]
    if opaque:
        result.append(_plain(solved, "tone", tone_values, step_minutes("tone", 3 * len(opaque), level), tones=True))
    return result


def _plain(
    solved: Solved, key: str, values: Mapping[str, object], minutes: float, *, draws: list[int] | None = None,
    takes: list[int] | None = None, darkens: list[int] | None = None, count: int = 0, tones: bool = False,
) -> Step:  # fmt: skip
    words, phrases = solved.prepared.wording, STEPS[key]
    return Step(
        phase=key,
        thing="",
        title=words.say(phrases.title, values),
        text=words.say(phrases.instruction(words), values),
        tool=phrases.tool,
        rests_on="",
        count=count,
        rule=words.words(phrases.rule),
        slip=words.words(phrases.slip),
        minutes=minutes,
        extra=False,
        draws=draws or [],
        marks=[],
        takes_away=takes or [],
        darkens=darkens or [],
        tones=tones,
    )
