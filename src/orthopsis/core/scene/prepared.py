"""The exercise made ready for drawing: its sheet, its frames, and each thing with its kind and values."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from propcache.api import cached_property

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.thing_models import values_of
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.scene.aims import aims_of
from orthopsis.core.scene.joining import join_things
from orthopsis.core.scene.placed import Placed, placed_errors
from orthopsis.core.scene.views import VIEWS, frame_of
from orthopsis.core.sheet.chalkboard import Chalkboard
from orthopsis.core.sheet.length import Units, format_laid, format_length, format_mark, format_nearly, format_tick
from orthopsis.core.sheet.paper import Half, Sheet, paper_size
from orthopsis.core.sheet.ruler import DIVISIONS_MM, round_to
from orthopsis.core.things.registry import KINDS
from orthopsis.core.things.setting import Setting
from orthopsis.core.view.aim import Aim
from orthopsis.core.view.frame import Frame
from orthopsis.core.wording.names import point_words, view_words
from orthopsis.core.wording.vocabulary import Wording


@dataclass(frozen=True)
class Prepared:
    """An exercise whose sheet, eye level and frames have been checked."""

    exercise: Exercise
    sheet: Sheet
    frames: tuple[Frame, ...]
    things: tuple[Placed, ...]
    wording: Wording
    by_name: Mapping[str, Placed]
    by_id: Mapping[int, Placed]
    aims: Mapping[str, Aim]
    """The book of all points that lines of this exercise can run to, by name."""
    board: Chalkboard | None = None
    """The board for which lengths are written; none: for the sheet."""

    @property
    def eye_level_mm(self) -> float:
        """Height of the eye level over the bottom edge."""
        return self.exercise.eye_level.height_mm

    def point_words(self, name: str) -> str:
        """Return how the class calls a point of the sheet that lines run to."""
        aim = self.aims[name]
        owner = aim.owner if aim.owner in self.by_name else view_words(aim.owner) if len(self.frames) > 1 else ""
        return point_words(aim.role, owner, self.wording)

    @cached_property
    def corner_words(self) -> Mapping[str, str]:
        """What corners are called within their front or upright, by their full names."""
        return {
            placed.values.full(name): words
            for placed in self.things
            for name, words in placed.standing.corner_words.items()
        }

    @cached_property
    def gone(self) -> frozenset[str]:
        """The names of the things of which nothing stays but what is carved from them."""
        return frozenset(placed.values.name for placed in self.things if placed.is_carved_away)

    def frame(self, name: str) -> Frame:
        """Return the frame of a view."""
        return next(frame for frame in self.frames if frame.name == name)

    def root(self, placed: Placed) -> Placed:
        """Return the thing that stands for itself and bears another one, however many lie between."""
        while placed.kind.hangs and placed.setting.anchor is not None:
            placed = self.by_name[placed.setting.anchor.thing]
        return placed

    def thing(self, name: str) -> "Placed | None":
        """Return the thing of that name, or None."""
        return self.by_name.get(name)

    def length(self, mm: float) -> str:
        """Return a length as this class writes it."""
        return format_length(*self._written(mm))

    def nearly(self, mm: float) -> str:
        """Return a length that nobody measures, such as how far a line is off, as this class writes it."""
        return format_nearly(*self._written(mm))

    def laid(self, mm: float) -> str:
        """Return a length that a hand lays off, by a mark that its ruler has."""
        return format_laid(*self._written(mm))

    @property
    def tick_unit(self) -> str:
        """The unit of the measures on a picture, as it is read."""
        units = self._written(0.0)[1]
        return "inches" if units == "in" else units

    def tick(self, mm: float) -> str:
        """Return such a length as it stands on a picture, without its unit."""
        return "0" if abs(mm) <= SAME_POINT_MM else format_tick(*self._written(mm))

    def tick_with_unit(self, mm: float) -> str:
        """Return such a length as it stands on a picture where it stands alone."""
        return f"{self.tick(mm)} {self._written(mm)[1]}"

    def _written(self, mm: float) -> tuple[float, Units, float]:
        """Return a length as it is written, its units, and the divisions of the ruler that measures it."""
        if self.board is None:
            return mm, self.sheet.units, self.sheet.division_mm
        return round_to(mm * self.board.times, self.board.division_mm), self.board.units, self.board.division_mm


def adornments(prepared: Prepared) -> set[str]:
    """Return the names of the things that are added at the end and that nobody has to draw, such as patterns."""
    return {placed.values.name for placed in prepared.things if placed.kind.is_late}


def sheet_of(exercise: Exercise) -> Sheet:
    """Return the sheet of an exercise."""
    spec = exercise.sheet
    if spec.paper == "own":
        width, height = spec.own_width_mm, spec.own_height_mm
    else:
        width, height = paper_size(spec.paper, spec.orientation)
    return Sheet(width, height, spec.units, DIVISIONS_MM[spec.division])


def prepare(exercise: Exercise) -> Prepared:
    """Return the exercise ready for drawing.

    Raises:
        GeometryError: eye level or point off the sheet, or a value outside its limits.
    """
    sheet = sheet_of(exercise)
    _check_margin(exercise, sheet)
    _check_eye_level(exercise, sheet)
    frames = tuple(_frame(exercise, i, sheet) for i in range(len(exercise.views)))
    settings = {
        frame.name: _setting(exercise, frame, sheet, half_of(exercise, number)) for number, frame in enumerate(frames)
    }
    lit = {name: replace(setting, light=exercise.lighting) for name, setting in settings.items()}
    alone = []
    for index, thing in enumerate(exercise.things):
        kind, values = KINDS[thing.kind], values_of(thing)
        if thing.view not in settings and not kind.hangs:
            raise GeometryError(
                "unknown_view", f"“{thing.name}” uses a point that is not on the sheet.", "Choose another point.",
                about=f"things.{index}.view", nearest=frames[0].name,
            )  # fmt: skip
        view = thing.view if thing.view in settings else frames[0].name
        setting = (lit if kind.is_after_all else settings)[view]
        placed = Placed(index, kind, kind.stand(values, setting), layer=index)
        with placed_errors(placed):
            _check_stands(placed)
            kind.check(placed.standing)
        alone.append(placed)
    things = join_things(exercise.things, alone)
    wording = Wording(exercise.wording.vocabulary, exercise.wording.level)
    return Prepared(
        exercise,
        sheet,
        frames,
        things,
        wording,
        {p.values.name: p for p in things},
        {document.id: placed for document, placed in zip(exercise.things, things, strict=True)},
        aims_of(frames, things, exercise.lighting),
    )


def setting_of(exercise: Exercise, view: str = "") -> Setting:
    """Return what a thing of the named view stands in; of the first one if there is none of that name."""
    sheet = sheet_of(exercise)
    number = next((i for i, v in enumerate(exercise.views) if v.name == view), 0)
    return _setting(exercise, _frame(exercise, number, sheet), sheet, half_of(exercise, number))


def _setting(exercise: Exercise, frame: Frame, sheet: Sheet, half: Half) -> Setting:
    over_ground = exercise.eye_level.over_ground_mm
    return Setting(frame, sheet, None, half, over_ground)


def half_of(exercise: Exercise, number: int) -> Half:
    """Return which part of the sheet a view is drawn on; a sheet that is not folded has no halves."""
    return exercise.views[number].half if exercise.sheet.fold == "folded" else "whole"


def _check_stands(placed: Placed) -> None:
    if placed.setting.frame.kind not in placed.kind.in_view:
        views = " or ".join(VIEWS[kind].title.lower() for kind in placed.kind.in_view)
        raise GeometryError(
            "cannot_stand_here", f"“{placed.values.name}” cannot be drawn in this kind of view.",
            f"It can be drawn with {views}.", about="view",
        )  # fmt: skip


def _check_margin(exercise: Exercise, sheet: Sheet) -> None:
    most = min(sheet.width_mm, sheet.height_mm) / 4
    if exercise.sheet.margin_mm > most:
        nearest = format_mark(most // sheet.division_mm * sheet.division_mm, sheet.units, sheet.division_mm)
        raise GeometryError(
            "margin_too_wide", "The margin leaves too little of the sheet.", f"The widest that works is {nearest}.",
            about="sheet.margin_mm", nearest=nearest,
        )  # fmt: skip


def _check_eye_level(exercise: Exercise, sheet: Sheet) -> None:
    height = exercise.eye_level.height_mm
    if not 0 < height < sheet.height_mm:
        half = format_length(
            round(sheet.height_mm / 2 / sheet.division_mm) * sheet.division_mm, sheet.units, sheet.division_mm
        )
        raise GeometryError(
            "eye_level_off_sheet", "The eye level is not on the sheet.",
            f"Put it between the bottom and the top edge, for example {half} up.",
            about="eye_level.height_mm", nearest=half,
        )  # fmt: skip


def _frame(exercise: Exercise, index: int, sheet: Sheet) -> Frame:
    try:
        return frame_of(exercise.views[index], exercise.eye_level.height_mm, sheet)
    except GeometryError as error:
        about = f"views.{index}.{error.about or 'kind'}"
        raise type(error)(error.code, error.why, error.fix, about=about, nearest=error.nearest) from None
