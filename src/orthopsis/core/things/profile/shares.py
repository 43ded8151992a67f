"""Where do the corners of an outline lie on its face, in shares of it, and on which marks of a ruler do they come?"""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass, field

from orthopsis.core.construct.leaning import Leaning
from orthopsis.core.plane.arc import FacePlace, Rounding
from orthopsis.core.things.face_part import shares_on_marks
from orthopsis.core.things.outline import Outline, roundings

Mapped = Callable[[FacePlace], FacePlace]


@dataclass(frozen=True, slots=True)
class Shares:
    """An outline in shares of its face: its corners by number, the rounded ones, and those on lines that lean."""

    corners: Mapping[int, FacePlace]
    rounded: Mapping[int, Rounding]
    leaning: Leaning = field(default_factory=Leaning)

    def mapped(self, mapping: Mapped) -> "Shares":
        """Return the outline with its places mapped; lines that lean stay straight."""
        return Shares(
            self.leaning.places({n: mapping(place) for n, place in self.corners.items()}),
            {n: r.mapped(mapping) for n, r in self.rounded.items()},
            self.leaning,
        )

    def places_of(self, corner: int) -> list[FacePlace]:
        """Return to what light lines lead for a corner: itself, or where its curve begins and ends, and the centre."""
        if corner in self.leaning.found:
            return self.leaning.light_lines(corner, self.corners)
        r = self.rounded.get(corner)
        return [self.corners[corner], *((r.start, r.end, r.centre) if r is not None else ())]

    @property
    def places(self) -> list[FacePlace]:
        """All to which light lines lead."""
        return [place for corner in self.corners for place in self.places_of(corner)]

    def on_marks(self, marks: float) -> "Shares":
        """Return the outline with all its places on marks of one ruler, across and up."""
        on_mark = _on_marks((share for place in self.places for share in place), marks)
        return self.mapped(lambda place: (on_mark(place[0]), on_mark(place[1])))

    def up_on_marks(self, marks: float) -> "Shares":
        """Return the outline with its heights on marks of a ruler."""
        on_mark = _on_marks((place[1] for place in self.places), marks)
        return self.mapped(lambda place: (place[0], on_mark(place[1])))


def shares_of(outline: Outline, size: tuple[float, float]) -> Shares:
    """Return the places of an outline as they are given, in shares of a face of that size."""
    corners = dict(enumerate((corner[:2] for loop in outline for corner in loop), start=1))
    return Shares(corners, roundings(outline)).mapped(lambda place: (place[0] / size[0], place[1] / size[1]))


def _on_marks(shares: Iterable[float], marks: float) -> Callable[[float], float]:
    """Return what brings shares onto one of so many marks of a ruler."""
    on_mark = shares_on_marks(sorted(set(shares)), 1 / marks)
    return lambda share: on_mark.get(share, share)
