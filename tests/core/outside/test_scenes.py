"""Hidden lines of whole scenes against the CAD kernel: houses with what stands on them, on one ground.

Source: OpenCASCADE's exact hidden line removal (HLRBRep) and its union of solids (BRepAlgoAPI_Fuse). A house, its roof
and what stands on that are made one solid there, so that the kernel finds by itself which seams vanish; houses are set
on one ground by the test's own arithmetic. What lies flat, what is drawn without thickness, and windows are left out.
"""

from collections.abc import Mapping
from typing import Any

import numpy as np
import pytest
from cad import united, visible_pieces
from test_hidden_lines import compared

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready.port import PORT
from orthopsis.core.document.ready.streets import STREETS
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.solid import Solid

LEFT_OUT = {"silhouettes", "road", "rails", "pattern", "division", "rectangles"}


def bodies(document: Mapping[str, Any]) -> dict[str, Any]:
    """Return the exercise with nothing in it but bodies."""
    return {**document, "things": [thing for thing in document["things"] if thing["kind"] not in LEFT_OUT]}


def stands_on_ground(document: Mapping[str, Any]) -> bool:
    """Tell whether there are bodies under one eye, all of them on the ground."""
    level = document["eye_level"]["height_mm"]
    feet = [thing["bottom"] for thing in bodies(document)["things"] if "bottom" in thing]
    return len(document["views"]) == 1 and bool(feet) and all(foot < level for foot in feet)


SCENES = {document["title"]: document for document in (*STREETS, *PORT) if stands_on_ground(document)}


def houses(solved: Solved) -> list[list[Solid]]:
    """Return the solids of each house, what stands on it among them, its foot on one ground with the others'."""
    level, found = solved.prepared.frames[0].level_mm, dict[str, list[Solid]]()
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        # Two houses on one pavement keep the edge between them, also where their walls lie in one plane.
        house = placed
        while house.kind.hangs and house.kind.kind != "raised_block" and house.setting.anchor is not None:
            house = solved.prepared.by_name[house.setting.anchor.thing]
        foot = solved.seen[solved.prepared.root(placed).index].solid.places
        eye = seen.eye
        drop = np.max((level - eye.see(foot)[:, 1]) / eye.nearness(foot))
        found.setdefault(house.values.name, []).append(Solid(seen.solid.topology, seen.solid.places / drop))
    return list(found.values())


@pytest.mark.parametrize("title", SCENES)
def test_what_is_seen_of_a_scene_is_what_the_kernel_sees(title: str) -> None:
    solved = solve(prepare(read_exercise(bodies(SCENES[title]))))
    kernel = visible_pieces([united(parts) for parts in houses(solved)], solved.seen[0].eye)
    ours = [(np.array(line.start), np.array(line.end)) for line in solved.final if line.thing]
    assert compared(solved.seen, kernel, ours) > 300
