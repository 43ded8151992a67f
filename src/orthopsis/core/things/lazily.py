"""Answers of which mostly one of many is asked for."""

from collections.abc import Callable, Iterator, Mapping
from typing import Generic, TypeVar

Answer = TypeVar("Answer")


class Lazily(Mapping[str, Answer], Generic[Answer]):
    """A mapping of which each answer is found when it is first asked for.

    Args:
        find: how each is found, by its key. Who is asked should not keep this, since it holds who finds.
        found: those that were found before; the others are put there.
    """

    def __init__(self, find: Mapping[str, Callable[[], Answer]], found: dict[str, Answer]) -> None:
        self._find, self._found = find, found

    def __getitem__(self, key: str) -> Answer:
        if key not in self._found:
            self._found[key] = self._find[key]()
        return self._found[key]

    def __iter__(self) -> Iterator[str]:
        return iter(self._find)

    def __len__(self) -> int:
        return len(self._find)
