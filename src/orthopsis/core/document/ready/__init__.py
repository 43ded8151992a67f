"""Ready exercises to start from: made-up sheets of a harbour town, for each kind of view."""

from collections.abc import Mapping
from typing import Any

from orthopsis.core.document.ready.blocks import BLOCKS
from orthopsis.core.document.ready.buildings import BUILDINGS
from orthopsis.core.document.ready.faces import FACES
from orthopsis.core.document.ready.letters import LETTERS
from orthopsis.core.document.ready.port import PORT
from orthopsis.core.document.ready.rooms import ROOMS
from orthopsis.core.document.ready.round_things import ROUND_THINGS
from orthopsis.core.document.ready.shadows import SHADOWS
from orthopsis.core.document.ready.streets import STREETS

GROUPS: Mapping[str, tuple[dict[str, Any], ...]] = {
    "Boxes": BLOCKS,
    "Letters and shapes": LETTERS,
    "Faces, divided and patterned": FACES,
    "Houses and furniture": BUILDINGS,
    "Roads, streets and roofs": STREETS,
    "Town and port": PORT,
    "Rooms and stairs": ROOMS,
    "Round things": ROUND_THINGS,
    "Light and shadow": SHADOWS,
}
"""The ready exercises by what they are about."""
READY = tuple(document for documents in GROUPS.values() for document in documents)
