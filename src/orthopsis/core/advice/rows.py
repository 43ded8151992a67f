"""Advice on what stands in a row, or in rows and columns: does a pencil still part the last ones?"""

from collections.abc import Iterator

from orthopsis.core.advice.piece import piece
from orthopsis.core.construct.count import PENCIL_MM
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.scene.placed import Placed


def on_row(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Yield that some of a row come closer to each other than a pencil parts them, with the number that fits."""
    if placed.kind.hangs and placed.setting.anchor is None:
        return
    about = f"things.{placed.index}"
    for crowded in placed.standing.crowded:
        if crowded.gap_mm < PENCIL_MM:
            fits, name = crowded.fewer(PENCIL_MM), placed.values.name
            now = placed.values.word(crowded.name)
            shown = {"thing": name, "count": now, "value": solved.prepared.nearly(crowded.gap_mm), "fits": str(fits)}
            edits = [CureEdit(path=f"{about}.{crowded.name}", value=str(fits))] if fits else []
            yield piece(solved, "crowded", about, crowded.gap_mm, PENCIL_MM, "mm", shown, edits)
