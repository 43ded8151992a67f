"""From documents of earlier schemas to today's: each link reads one version and writes the next, without loss.

A link works on plain JSON data that may be broken in any way: what it does not understand it leaves as it is, and the
reading of today's schema then says what is wrong with it.
"""

import re
from collections.abc import Callable, Mapping
from typing import Any

FAMILY = "orthopsis/exercise"
NEWEST = 2

_STEP = re.compile(r"^(?P<words>[^@#~]*)(?:@(?P<part>[^#~]*))?(?:#(?P<turn>\d{1,4}))?(?:~(?P<line>\d{1,4}))?$")
"""How version 1 wrote a step after its thing's name and a slash: which words, part, which time, which line."""


def upgraded(data: dict[str, Any], version: int) -> dict[str, Any]:
    """Return the data of a document of an earlier version as today's schema has it."""
    for number in range(version, NEWEST):
        data = _LINKS[number]({**data, "schema": f"{FAMILY}/{number + 1}"})
    return data


def _from_1(data: dict[str, Any]) -> dict[str, Any]:
    """Things get numbers, and are known by them: to what is joined to them, and to what was changed of their steps."""
    things = data.get("things")
    if not isinstance(things, list) or not all(isinstance(thing, dict) for thing in things):
        return data
    number = {thing["name"]: i for i, thing in enumerate(things, start=1) if isinstance(thing.get("name"), str)}
    numbered = []
    for i, thing in enumerate(things, start=1):
        other = thing.get("joined_to", "")
        joined = {"joined_to": number.get(other, 0)} if isinstance(other, str) else {}
        numbered.append({**thing, "id": i, **joined})
    changed = {**data, "things": numbered}
    steps = data.get("steps")
    if isinstance(steps, list):
        changed["steps"] = [_step_from_1(change, number) for change in steps]
    return changed


def _step_from_1(change: Any, number: Mapping[str, int]) -> Any:
    text = change.get("step") if isinstance(change, dict) else None
    if not isinstance(text, str):
        return change
    # A name may hold a slash: the longest name that fits is the thing's.
    names = [name for name in ("", *number) if text.startswith(f"{name}/")]
    name = max(names, key=len, default="")
    found = _STEP.match(text[len(name) + 1 :]) if names else None
    if found is None:
        return {**change, "step": {"words": text[:80]}}
    parts = {"thing": number.get(name, 0), "words": found["words"], "part": found["part"] or ""}
    counts = {"turn": int(found["turn"] or 1), "line": int(found["line"] or 0)}
    return {**change, "step": parts | counts}


_LINKS: Mapping[int, Callable[[dict[str, Any]], dict[str, Any]]] = {1: _from_1}
