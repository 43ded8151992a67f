"""Answers of which mostly one of many is asked for."""

from collections.abc import Callable, Collection, Iterator, Mapping
from typing import Generic, TypeVar

Answer = TypeVar("Answer")


class Lazily(Mapping[str, Answer], Generic[Answer]):
    """A mapping of which each answer is found when it is first asked for.

    Args:
        keys: what can be asked for, in order.
        find: how it is found. Who is asked should not keep this mapping, since it holds who finds.
        found: those that were found before; the others are put there.
    """

    def __init__(self, keys: Collection[str], find: Callable[[str], Answer], found: dict[str, Answer]) -> None:
        self._keys, self._find, self._found = keys, find, found

    def __getitem__(self, key: str) -> Answer:
        if key not in self._found:
            if key not in self._keys:
                raise KeyError(key)
            self._found[key] = self._find(key)
        return self._found[key]

    def __iter__(self) -> Iterator[str]:
        return iter(self._keys)

    def __len__(self) -> int:
        return len(self._keys)
