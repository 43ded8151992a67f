"""Advice on sizes that do not go together: can the people in a drawing walk through its doors?

On one ground and under one eye heights are compared in heights of the eye over the ground: whether that height is known
does not matter. Source: on level ground a height is the eye's height times (base to top) by (base to eye level)
(textbooks; Criminisi 2000; from memory).
"""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from orthopsis.core.advice.piece import piece
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.scene.ground import LEAST_DROP_MM, level_axes
from orthopsis.core.scene.placed import Placed

DOOR_TO_PERSON = 1.2
"""A door of 2032 mm (a trade size) and a person of 1.7 m (both from memory)."""
LEAST, MOST = 1.0, 2.5
"""A door is at least so many times as high as a person, and at most: more is a gate (no source)."""
ON_GROUND = 1e-3
"""In heights of the eye."""


@dataclass(frozen=True, slots=True)
class _Tall:
    """A person or a door, and how tall it is, in heights of the eye."""

    placed: Placed
    height: float


def on_scale(solved: Solved) -> Iterator[Advice]:
    """Yield for each door that it is too low or too high for the people under the same eye."""
    people = [one for placed in solved.prepared.things if (one := _person(placed)) is not None]
    for door in _doors(solved) if people else ():
        beside = [one for one in people if one.placed.setting.frame.eye == door.placed.setting.frame.eye]
        if not beside:
            continue
        tallest, smallest = (pick(beside, key=lambda one: one.height) for pick in (max, min))
        if door.height < LEAST * tallest.height:
            yield _advice(solved, "door_too_low", door, tallest, LEAST)
        elif door.height > MOST * smallest.height:
            yield _advice(solved, "door_too_high", door, smallest, MOST)


def _advice(solved: Solved, code: str, door: _Tall, person: _Tall, limit: float) -> Advice:
    """Return that a door and a person do not go together; the person is made as tall as goes with the door."""
    name = person.placed.values.name
    shown = {"door": door.placed.values.name, "person": name, "value": f"{door.height / person.height:.1f}"}
    path = f"things.{person.placed.index}"
    level = person.placed.setting.frame.level_mm - person.placed.values.first.y
    tall = solved.prepared.sheet.division_mm * round(
        door.height / DOOR_TO_PERSON * level / solved.prepared.sheet.division_mm
    )
    edits = [CureEdit(path=f"{path}.tall_by", value="measured"), CureEdit(path=f"{path}.height", value=tall)]
    about = f"things.{door.placed.index}"
    return piece(solved, code, about, door.height / person.height, limit, "times", shown, edits if tall > 0 else [])


def _person(placed: Placed) -> _Tall | None:
    """Return how tall a person is that a thing shows; none where it shows none."""
    height = placed.standing.person_height
    return _Tall(placed, height) if height > 0 else None


def _doors(solved: Solved) -> Iterator[_Tall]:
    """Yield how high the openings are that begin on the ground, on walls that stand on it."""
    for placed in solved.prepared.things:
        panel, opening = placed.setting.panel, placed.standing.doorway
        if panel is None or not opening or panel.is_level or panel.is_sloping:
            continue
        up = level_axes(placed.setting.frame)[1]
        foot, top = panel.places(opening) @ up
        level = placed.setting.frame.level_mm
        seen_foot = placed.setting.frame.eye.see(panel.places(opening[:1]))[0]
        ground = -float(np.min(solved.prepared.root(placed).standing.solid.places @ up))
        if level - seen_foot[1] < LEAST_DROP_MM or ground <= 0 or abs(-foot / ground - 1) > ON_GROUND:
            continue
        yield _Tall(placed, float((top - foot) / ground))
