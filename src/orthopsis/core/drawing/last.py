"""An answer that is kept until another question is asked."""

from collections.abc import Callable
from typing import Generic, TypeVar

Question = TypeVar("Question")
Answer = TypeVar("Answer")


class Last(Generic[Question, Answer]):
    """Remembers the last answer; what holds it decides how long."""

    def __init__(self) -> None:
        self._held: tuple[Question, Answer] | None = None

    def answer(self, question: Question, find: Callable[[], Answer]) -> Answer:
        """Return the answer to a question: the last one if the question is the same, else a new one."""
        held = self._held
        if held is None or held[0] != question:
            held = self._held = (question, find())
        return held[1]
