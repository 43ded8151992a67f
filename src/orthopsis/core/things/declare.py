"""What does a kind of thing have to say of itself, so that everything else follows from it?

The exercise schema, the API, the sentences and handles on the screen, the steps and the marking are all
made from a ``ThingKind``. Nothing outside a thing's own module knows it by name.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from typing import Literal
from weakref import WeakSet, WeakValueDictionary

from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.sheet.length import format_length, format_limit, format_nearly
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.things.outline import check_outline
from orthopsis.core.things.parameters import FIRST_CORNER, Choice, Length, Parameter, Shape
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing, Unheld
from orthopsis.core.things.values import Values
from orthopsis.core.view.frame import ViewKind

Hanging = Literal["", "on_face", "in_line"]


def _any_face(panel: Panel) -> bool:
    return not panel.is_for_some


@dataclass(frozen=True, slots=True, eq=False)
class ThingKind:
    """A kind of thing, whole.

    Attributes:
        kind: its word in the exercise document.
        title: its word on the screen.
        parameters: what can be said of it; those of a thing that stands for itself begin with ``FIRST_CORNER`` and
            end with ``LOOK``.
        in_view: how it stands, by kind of view; where one is missing the thing cannot stand in such a view.
        hangs: whether it stands for itself, on a face of another thing, which is the ``panel`` of its anchor, or in
            line with another thing, which it repeats.
        is_late: whether it is added at the end, and nobody has to draw it.
        is_after_all: whether it is drawn when all other things are there, and then counts as they do.
        goes_on_with: the kinds of things that go on in it over what it lies on, all of them on the sheet.
        can_lie_on: whether it can lie on a face like this.
        bears: whether other things can lie on it although it hangs itself.
        may_be_hidden: whether it can lie on a face that is not drawn because it is hidden.
        is_building: whether it shows a part of something that codes and licensed people decide on in truth.
        lies_says: what its sentence says before the face.
        adding: what is said of adding one, where that is not ``a`` and its title.
        lies_on: what it can lie on, for the one who has nothing of the kind yet.
    """

    kind: str
    title: str
    parameters: tuple[Parameter, ...]
    in_view: Mapping[ViewKind, type[Standing]]
    hangs: Hanging = ""
    is_late: bool = False
    is_after_all: bool = False
    goes_on_with: tuple[str, ...] = ()
    can_lie_on: Callable[[Panel], bool] = _any_face
    bears: bool = False
    may_be_hidden: bool = False
    is_building: bool = False
    lies_says: str = " It lies on "
    adding: str = ""
    lies_on: str = "a box or a word"

    @property
    def lies_on_face(self) -> bool:
        """Whether it stands on a face of another thing."""
        return self.hangs == "on_face"

    @property
    def has_first_corner(self) -> bool:
        """Whether it stands where its first corner is put; what has none lies about the point of its view."""
        return all(place in self.parameters for place in FIRST_CORNER)

    @property
    def group(self) -> str:
        """With which others it is offered: what stands for itself, what goes on that, roofs and what stands on them."""
        if not self.hangs:
            return "On the sheet"
        return "Roofs" if self.is_building else "On what is there"

    @property
    def adds(self) -> str:
        """What a new one is called by the one who adds it: ``a box``."""
        return self.adding or f"a {self.title.lower()}"

    def parameter(self, name: str) -> Parameter:
        """Return the declared parameter of that name."""
        return next(p for p in self.parameters if p.name == name)

    def stand(self, values: Values, setting: Setting) -> Standing:
        """Return one of this kind where it stands; while its values and setting stay, it is the same object."""
        key = (self, values, setting)
        standing = _STANDING.get(key)
        if standing is None:
            standing = _STANDING[key] = _standing(self, values, setting)
        return standing

    def check(self, standing: Standing) -> None:
        """Refuse values outside the declared limits; what has been looked at once is not looked at again.

        Raises:
            GeometryError: placed at the parameter's name, with the nearest value that works.
        """
        if standing not in _CHECKED:
            check_values(self.parameters, standing.values, standing.setting.sheet)
            _CHECKED.add(standing)


_CHECKED: WeakSet[Standing] = WeakSet()
"""Of what stands somewhere now, what has been found to be within its limits."""
_STANDING: WeakValueDictionary[tuple[ThingKind, Values, Setting], Standing] = WeakValueDictionary()
"""What stands somewhere now; it goes when nobody holds it any more, so that who keeps what is drawn keeps this too."""


def is_held(kind: ThingKind, setting: Setting) -> bool:
    """Tell whether what a thing hangs on is there."""
    if kind.lies_on_face:
        return setting.panel is not None
    return setting.anchor is not None and setting.anchor.in_line is not None


def _standing(kind: ThingKind, values: Values, setting: Setting) -> Standing:
    how = kind.in_view.get(setting.frame.kind, Standing)
    if kind.hangs and not is_held(kind, setting):
        return Unheld(values, setting, how)
    return how.suited(setting)(values, setting)


def check_values(parameters: Sequence[Parameter], values: Values, sheet: Sheet) -> None:
    """Refuse values outside the declared limits.

    Raises:
        GeometryError: placed at the parameter's name, with the nearest value that works.
    """
    for parameter in parameters:
        if isinstance(parameter, Length):
            _check_length(parameter, values, sheet)
        elif isinstance(parameter, Shape):
            check_outline(values.outline(parameter.name), parameter.name, sheet.units)
        elif isinstance(parameter, Choice) and values.word(parameter.name) not in parameter.options:
            raise GeometryError(
                "unknown_choice",
                f"“{values.word(parameter.name)[:40]}” is not a choice for {parameter.says} of “{values.name}”.",
                f"Choose {', '.join(parameter.options.values())}.",
                about=parameter.name,
                nearest=parameter.default,
            )


def _check_length(parameter: Length, values: Values, sheet: Sheet) -> None:
    mm = values.mm(parameter.name)
    if parameter.least_mm <= mm <= parameter.most_mm:
        return
    limit = parameter.least_mm if mm < parameter.least_mm else parameter.most_mm
    is_tiny = 0 < mm < sheet.division_mm / 2
    shown = (format_nearly if is_tiny else format_length)(mm, sheet.units, sheet.division_mm)
    is_small = mm < parameter.least_mm
    nearest = format_limit(limit, sheet.units, sheet.division_mm, is_least=is_small)
    word = "small" if is_small else "large"
    raise GeometryError(
        "length_out_of_limits",
        f"{shown[0].upper()}{shown[1:]} is too {word} for {parameter.says} of “{values.name}”.",
        f"The nearest that works is {nearest}.",
        about=parameter.name,
        nearest=nearest,
    )
