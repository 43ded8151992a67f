"""Which processes has a program begun?"""

from pathlib import Path


def children_of(parent: int) -> list[int]:
    """Return the Python processes that a program has begun, as Linux lists them."""
    found = []
    for folder in Path("/proc").iterdir():
        if not folder.name.isdigit():
            continue
        try:
            state, mother = (folder / "stat").read_text().rpartition(")")[2].split()[:2]
            command = (folder / "cmdline").read_bytes()
        except OSError:
            continue
        if int(mother) == parent and state != "Z" and b"spawn_main" in command:
            found.append(int(folder.name))
    return found
