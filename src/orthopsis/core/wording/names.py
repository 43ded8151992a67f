"""What are points and lines called in a sentence?"""


def corner_words(name: str) -> str:
    """Return ``bottom left`` for a corner's name such as ``Crate.front.bottom_left``."""
    return name.split(".")[-1].replace("_", " ")


def edge_words(thing: str, name: str) -> str:
    """Return how an edge is called: ``front top edge of Crate``, ``bottom left edge of Crate going away``."""
    if not thing:
        return name
    group, _, part = name.partition(".")
    part = part.replace("_", " ")
    if group == "depth":
        return f"{part} edge of {thing} going away"
    return f"{group} {part} edge of {thing}".replace("  ", " ")
