"""Advice on what hangs on another thing: is its face to be seen, is it divided as in truth, is it on the paper?"""

from collections.abc import Iterator

from orthopsis.core.advice.piece import piece
from orthopsis.core.advice.shadows import on_shadow
from orthopsis.core.advice.things import on_body
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.scene.joining import face_key, faces_for
from orthopsis.core.scene.placed import Placed
from orthopsis.core.wording.exercise import FACES

SKEWED_MM = 1.0
"""A middle this far from the true one is seen (common practice, no source)."""


def on_hanging(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Yield advice on a thing that lies on a face of another one, or repeats it."""
    about, anchor = f"things.{placed.index}", placed.setting.anchor
    if anchor is None:
        return
    if placed.standing.is_body:
        yield from on_body(solved, placed, solved.prepared.root(placed))
    if placed.kind.lies_on_face and anchor.panel is None:
        document = solved.prepared.exercise.things[placed.index]
        host = solved.prepared.by_name[anchor.thing]
        drawn = next(iter(faces_for(placed.kind, host)), "")
        face = FACES.get(document.joined_by, "this part")
        shown = {"thing": placed.values.name, "face": face, "other": anchor.thing}
        edits = [CureEdit(path=f"{about}.joined_by", value=drawn)] if drawn else []
        is_round = any(
            panel.is_round for key, panel in host.standing.faces.items() if document.joined_by == face_key(key)
        )
        yield piece(solved, "face_is_round" if is_round else "face_unseen", about, 0, 1, "faces", shown, edits)
        return
    yield from on_shadow(solved, placed)
    for skew in placed.standing.skewed:
        off = distance(skew.drawn, skew.true)
        if off > SKEWED_MM:
            shown = {
                "thing": placed.values.name,
                "value": solved.prepared.nearly(off),
                "face": anchor.panel.says if anchor.panel is not None else "",
            }
            edits = [CureEdit(path=f"{about}.{name}", value=word) for name, word in skew.cure.items()]
            yield piece(solved, "measured_middle", about, off, SKEWED_MM, "mm", shown, edits)
