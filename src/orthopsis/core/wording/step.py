"""The words of one kind of step. The rules and slips of all of them are common practice, no source."""

from dataclasses import dataclass

from orthopsis.core.wording.vocabulary import LEVELS, Wording, listed

_FEW = dict(enumerate(("Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine", "Ten"), start=2))


@dataclass(frozen=True, slots=True)
class StepPhrases:
    """Title, one instruction for each reading level, the rule, the slip to watch for, and the tool.

    The title does not name the thing.
    """

    title: str
    says: tuple[str, str, str]
    rule: str
    slip: str
    tool: str
    is_freehand: bool = False
    """Whether it is sketched, so that nobody counts its lines."""
    follows: bool = False
    """Whether it speaks of what the step before it has found: "that point"."""

    def instruction(self, wording: Wording) -> str:
        """Return the template for the class's reading level."""
        return self.says[LEVELS.index(wording.level)]


def there_words(there: int, count: int) -> str:
    """Return what is said of lines of a step that are there already.

    Args:
        there: how many of them are; ``count``: how many lines the step speaks of.
    """
    if there >= count:
        return "This line is there already." if count == 1 else "All of these lines are there already."
    if there == 1:
        return "One of these lines is there already."
    # In letters: the figures of a step are what is measured.
    return f"{_FEW.get(there, str(there))} of these lines are there already."


_BEHIND = (
    "What lies behind {others} is not seen: draw it very lightly.",
    "What lies behind {others} is drawn very lightly: it goes away again.",
    "Behind {others} keep it light.",
)


def behind_words(nearer: list[str], wording: Wording) -> str:
    """Return what is said of the lines of a step that lie behind other things, by the names of these."""
    return _BEHIND[LEVELS.index(wording.level)].format(others=listed(nearer))


def beyond_words(point: str, past: str) -> tuple[str, str]:
    """Return what stands at an arrow to a point beyond a picture, in two rows.

    Args:
        past: how far past the edge of the sheet it lies, as the class writes it; empty for one on the sheet.
    """
    return f"to the {point}", f"{past} past the edge" if past else ""
