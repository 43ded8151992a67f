"""Ready exercises to start from: made-up sheets of a harbour town, for each kind of view."""

from orthopsis.core.document.ready.blocks import BLOCKS
from orthopsis.core.document.ready.buildings import BUILDINGS
from orthopsis.core.document.ready.faces import FACES
from orthopsis.core.document.ready.letters import LETTERS
from orthopsis.core.document.ready.port import PORT
from orthopsis.core.document.ready.streets import STREETS

READY = (*BLOCKS, *LETTERS, *FACES, *BUILDINGS, *STREETS, *PORT)
