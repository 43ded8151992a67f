"""Has each direction of face one tone? From greys measured on a sheet to findings.

Darkness runs from 0, as light as the paper beside it, to 1, black.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from statistics import fmean

import shapely

from orthopsis.core.check.answer import FaceGrey, Finding
from orthopsis.core.drawing.answer import Place, TonedFace
from orthopsis.core.wording.findings import FINDINGS, alike_words, finding_title
from orthopsis.core.wording.vocabulary import Wording

INSIDE_MM = 2.5
"""A grey is measured this far from the outline of what is seen of a face: lines are drawn there."""
LEAST_AREA_MM2 = 80.0
"""A smaller area is not measured (no source)."""
TONED = 0.1
"""Darkness from which on a sheet counts as toned at all (no source)."""
LIGHTER = 0.1
"""Darkness by which an inside may be lighter than a face outside; less is not told apart (no source)."""
SEEN_AS = {
    "inner left": "right", "inner right": "left", "inner bottom": "top", "inner front": "back", "inner back": "front",
}  # fmt: skip
"""Which outer faces face the same way as what is seen of an inner side."""
APART = 0.2
"""Darkness by which two tones differ clearly: about a step of four (common practice, no source)."""


@dataclass(frozen=True, slots=True)
class ToneArea:
    """What is seen of a face, clear of its outline: outlines with their holes, page mm."""

    thing: str
    name: str
    direction: str
    turned: str
    loops: tuple[tuple[tuple[Place, ...], ...], ...]


def tone_areas(faces: Sequence[TonedFace]) -> list[ToneArea]:
    """Return what is seen of each face that has a direction; later faces of the drawing cover earlier ones."""
    covered: shapely.Geometry = shapely.Polygon()
    result = []
    for face in reversed(faces):
        shape = shapely.make_valid(shapely.Polygon(face.loops[0], face.loops[1:]))
        clear = shapely.difference(shape, covered).buffer(-INSIDE_MM)
        covered = shapely.union(covered, shape)
        if face.direction and clear.area >= LEAST_AREA_MM2:
            parts = (part for part in getattr(clear, "geoms", [clear]) if isinstance(part, shapely.Polygon))
            loops = tuple(tuple(tuple(ring.coords) for ring in (part.exterior, *part.interiors)) for part in parts)
            result.append(ToneArea(face.thing, face.name, face.direction, face.turned, loops))
    return result


def tone_findings(greys: Sequence[FaceGrey], wording: Wording) -> list[Finding]:
    """Return for each direction whose faces have clearly different greys a finding; none if nothing is toned."""
    if max((grey.darkness for grey in greys), default=0.0) < TONED:
        return []
    directions: dict[str, list[FaceGrey]] = {}
    for grey in greys:
        directions.setdefault(grey.direction, []).append(grey)
    differ = [_finding(direction, mine, wording) for direction, mine in directions.items() if _apart(mine) > APART]
    return [*differ, *_insides(greys, wording)]


def _insides(greys: Sequence[FaceGrey], wording: Wording) -> Iterator[Finding]:
    """Yield for each thing whose inside is clearly lighter than what faces the same way outside a finding."""
    outside: dict[str, list[float]] = {}
    for grey in greys:
        outside.setdefault(grey.turned, []).append(grey.darkness)
    told = set[str]()
    for grey in greys:
        beside = outside.get(SEEN_AS.get(grey.turned, ""), [])
        if grey.thing in told or not beside or grey.darkness >= fmean(beside) - LIGHTER:
            continue
        told.add(grey.thing)
        values = {"thing": grey.thing, "inner": f"{grey.darkness:.0%}", "outer": f"{fmean(beside):.0%}"}
        text, title = wording.say(FINDINGS["inside_too_light"], values), finding_title("inside_too_light", wording)
        about = f"tone.{grey.direction}"
        yield Finding(
            code="inside_too_light", severity=1, title=title, text=text, lines=[], about=about, line=grey.thing
        )


def _apart(greys: Sequence[FaceGrey]) -> float:
    darkness = [grey.darkness for grey in greys]
    return max(darkness) - min(darkness)


def _finding(direction: str, greys: Sequence[FaceGrey], wording: Wording) -> Finding:
    light, dark = (choose(greys, key=lambda grey: grey.darkness) for choose in (min, max))
    values: Mapping[str, object] = {
        "faces": alike_words(light.turned),
        "light": f"a face of {light.thing}",
        "light_grey": f"{light.darkness:.0%}",
        "dark": f"one of {dark.thing}",
        "dark_grey": f"{dark.darkness:.0%}",
        "limit": f"{APART:.0%}",
    }
    text = wording.say(FINDINGS["tones_differ"], values)
    about = f"tone.{direction}"
    return Finding(
        code="tones_differ", severity=1, title=finding_title("tones_differ", wording), text=text, lines=[], about=about
    )
