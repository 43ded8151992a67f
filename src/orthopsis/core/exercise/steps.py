"""From the moves of an exercise to the steps that a class is told."""

from collections.abc import Mapping

from orthopsis.core.construct.moves import (
    Measure,
    MeasureAlong,
    Move,
    Parallel,
    Rule,
    RuleToPoint,
    ShareAlong,
    Side,
)
from orthopsis.core.construct.steps import Breath, breaths
from orthopsis.core.exercise.drawing import Step
from orthopsis.core.exercise.picture import Solved
from orthopsis.core.lesson.minutes import step_minutes
from orthopsis.core.wording.names import corner_words
from orthopsis.core.wording.steps import STEPS, TOOLS
from orthopsis.core.wording.vocabulary import counted, listed


def steps(solved: Solved) -> list[Step]:
    """Return the steps in the handbook's order: set up, each thing, then take away, darken and tone."""
    result = [_built_step(solved, breath) for breath in breaths(solved.moves)]
    if solved.prepared.things:
        result += _finish(solved)
    return result


def _built_step(solved: Solved, breath: Breath) -> Step:
    key = _key(breath)
    acts = [move.act for move in breath.moves]
    made = [act.makes for act in acts]
    draws = [solved.light_ids[name] for name in made if name in solved.light_ids]
    points = [name for name in made if name in solved.board.points]
    points += [act.makes_point for act in acts if isinstance(act, Side | Parallel)]
    rests = next((act.point for act in acts if isinstance(act, RuleToPoint)), "")
    minutes = step_minutes(breath.phase, len(acts), solved.prepared.wording.level)
    return _step(solved, key, breath, _values(solved, breath), draws, points, rests, minutes)


def _key(breath: Breath) -> str:
    if breath.phase == "setup":
        return f"setup.{breath.name}"
    if breath.phase == "depth":
        kinds = {type(move.act) for move in breath.moves}
        return "depth.measured" if MeasureAlong in kinds else "depth.half" if ShareAlong in kinds else "depth.cube"
    return breath.phase


def _step(
    solved: Solved, key: str, breath: Breath, values: Mapping[str, object], draws: list[int], marks: list[str],
    rests: str, minutes: float,
) -> Step:  # fmt: skip
    thing = next((p for p in solved.prepared.things if p.values.name == breath.thing), None)
    if key == "guides" and thing is not None and thing.kind.is_see_through(thing.values):
        key = "guides.see_through"
    words, phrases = solved.prepared.wording, STEPS[key]
    return Step(
        phase=breath.phase,
        thing=breath.thing,
        title=words.say(phrases.title, values),
        text=words.say(phrases.instruction(words), values),
        tool=TOOLS[key],
        rests_on=rests,
        count=len(draws),
        rule=words.words(phrases.rule),
        slip=words.words(phrases.slip),
        minutes=minutes,
        extra=False,
        draws=draws,
        marks=marks,
        takes_away=[],
        darkens=[],
        tones=False,
    )


def _values(solved: Solved, breath: Breath) -> dict[str, object]:
    """Return the values that a step's sentence may name, read off its moves."""
    prepared = solved.prepared
    values: dict[str, object] = {
        "thing": breath.thing,
        "height": prepared.length(prepared.eye_level_mm),
        "across": prepared.length(prepared.frames[0].away.x),
    }
    if prepared.frames[0].is_metric:
        values["distance"] = prepared.length(prepared.frames[0].distance_mm)
    lines = [m.act for m in breath.moves if isinstance(m.act, RuleToPoint | Rule | Parallel)]
    noun = prepared.wording.term("guide line") if breath.phase == "guides" else "line"
    values |= {"count": len(lines), "lines": counted(len(lines), noun)}
    for move in breath.moves:
        values |= _values_of(solved, move)
    values["corners"] = listed([corner_words(a.start) for a in lines if isinstance(a, RuleToPoint)])
    return values


def _values_of(solved: Solved, move: Move) -> dict[str, object]:
    act, length = move.act, solved.prepared.length
    match act:
        case Measure():
            return {"left": length(act.from_left_mm), "bottom": length(act.from_bottom_mm)}
        case Side():
            return {"width" if act.runs == "level" else "height": length(act.length_mm)}
        case MeasureAlong():
            return {"depth": length(act.length_mm), "corner": corner_words(act.line)}
        case ShareAlong():
            return {"corner": corner_words(act.line)}
        case RuleToPoint() if act.role == "construction":
            side = "left" if " left " in act.point else "right"
            beside = corner_words(act.start)
            opposite = {"left": "right", "right": "left"}
            height, _, across = beside.partition(" ")
            return {"side": side, "beside": beside, "corner": f"{height} {opposite[across]}"}
        case _:
            return {}


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
    opaque = [p for p in solved.prepared.things if not p.kind.is_see_through(p.values)]
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
        tool=TOOLS[key],
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
