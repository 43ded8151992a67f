"""A thing where it stands: one object that knows all that follows from its values and what it stands in.

A kind of thing has one class for each kind of view in which it can be drawn. What an object is asked is computed once,
when it is asked; nobody else keeps any of it.
"""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move, outputs
from orthopsis.core.construct.panel import BareSide, Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sight.solid import NOTHING, Solid
from orthopsis.core.things.answers import (
    Clause,
    Crowded,
    Field,
    Fit,
    Free,
    Handle,
    Personal,
    Receding,
    Skewed,
    Spans,
    Spoken,
    Summit,
)
from orthopsis.core.things.parameters import LOOK, PLACE, Value
from orthopsis.core.things.setting import Anchor, Joint, Setting
from orthopsis.core.things.values import Values
from orthopsis.core.view.aim import Aim, AimRole
from orthopsis.core.view.eye import Array


class Standing:
    """A thing where it stands, of one kind in one kind of view.

    Attributes:
        sentence: its sentence on the screen.
        own: the parameters, beside its look, whose values it has in every kind of view, such as a word's text.
        values: its values.
        setting: what it stands in.
    """

    sentence: tuple[Clause, ...] = ()
    own: tuple[str, ...] = ()

    def __init__(self, values: Values, setting: Setting) -> None:
        self.values = values
        self.setting = setting

    @classmethod
    def suited(cls, setting: Setting) -> "type[Standing]":
        """Return the class that suits what it stands in: another one than this for some things that it hangs on."""
        return cls

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for a new one, so that it lands where it can be seen; ``count`` things are there already."""
        raise NotImplementedError

    @classmethod
    def in_truth(cls, setting: Setting, values: Values) -> Mapping[str, Value]:
        """Return the values with which a new one is as large as in truth; nothing where none is stated or has room."""
        return {}

    @classmethod
    def is_personal(cls, values: Values) -> bool:
        """Tell whether it is another one on each student's sheet."""
        return False

    @cached_property
    def solid(self) -> Solid:
        """Its shape in the world of the frame's eye: the view route."""
        raise NotImplementedError

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the construction route."""
        raise NotImplementedError

    @cached_property
    def moves(self) -> tuple[Move, ...]:
        """The hand's moves, those first that draw the face lightly on which it lies, where that is hidden."""
        anchor = self.setting.anchor
        return (*anchor.light, *self.recipe) if anchor is not None else self.recipe

    @cached_property
    def made(self) -> frozenset[str]:
        """Full names of the points and lines that its moves make: what the hand has drawn of it."""
        return frozenset(name for move in self.moves for name in outputs(move.act))

    @cached_property
    def holes(self) -> Mapping[str, tuple[Array, ...]]:
        """What it cuts out of faces of the thing it hangs on: by the face, the corners of each hole in the world."""
        return {}

    @property
    def goes_on(self) -> bool:
        """Whether the things that its kind goes on with are of use to it."""
        return True

    def takes_up(self, other: "Standing") -> bool:
        """Tell whether one of the things that its kind goes on with is of use to it."""
        return True

    @property
    def replaces_host(self) -> bool:
        """Whether nothing stays of the other thing but this one, such as a chair of the block from which it is cut."""
        return False

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """Edges of the other thing that go because of this one: by the full names of their ends, from where to where.

        A roof goes on in the plane of the wall under it; a gate opens the foot of a wall.
        """
        return {}

    @property
    def corner_choices(self) -> Mapping[str, Mapping[str, tuple[float, float]]]:
        """For a choice among corners of an outline, those that there are: how far across and up they lie, mm."""
        return {}

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The points that can be dragged now, by name; made anew each time, since they hold it themselves."""
        return {}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """For a parameter the two page points between which it is measured."""
        return {}

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Its faces on which other things can lie, by the way they are turned."""
        return {}

    @cached_property
    def outer_faces(self) -> tuple[Panel, ...]:
        """Its whole outer faces that are seen, on which the shadow of another thing may fall."""
        own = {id(panel): panel for panel in self.faces.values() if panel.is_whole and not panel.is_inner}
        return tuple(panel for panel in own.values() if panel.is_seen and panel.outward is not None)

    @property
    def bare_sides(self) -> tuple[BareSide, ...]:
        """Its sides on which nobody is told how the shadow of another thing runs."""
        return ()

    @property
    def cut_from(self) -> Panel | None:
        """The face of a block of its own from which it is cut; None where it is cut from none that is said."""
        return None

    @cached_property
    def corner_words(self) -> Mapping[str, str]:
        """What its corners are called within their front or upright, by their names within it: ``top left``."""
        return {}

    @cached_property
    def joints(self) -> Mapping[str, Joint]:
        """Where other things can stand, by what the document calls it."""
        return {}

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The lines whose place is free, those together that follow from one length."""
        return ()

    @cached_property
    def aims(self) -> tuple[Aim, ...]:
        """The points of its own that its lines run to; its recipe makes them, by these names."""
        return ()

    @cached_property
    def needs(self) -> frozenset[AimRole]:
        """Which aids of its view the recipe uses."""
        return frozenset()

    @cached_property
    def skewed(self) -> tuple[Skewed, ...]:
        """Places that are not where they would be in truth, of a thing that lies on a face."""
        return ()

    @property
    def crowded(self) -> tuple[Crowded, ...]:
        """How near its equal parts come to each other, along the face and up it."""
        return ()

    @cached_property
    def summits(self) -> tuple[Summit, ...]:
        """The tips that stand over the middle of a wall."""
        return ()

    @property
    def receding(self) -> Receding | None:
        """The row in which it goes away at equal spaces, where these are measured; None where it does not."""
        return None

    @property
    def reveals(self) -> tuple[tuple[str, str], ...]:
        """The edges of openings in a wall, each with the one behind it that the wall's thickness leads to."""
        return ()

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """What its steps name beside its measures, by name: directions, lengths (mm), and words as they are read."""
        return {}

    @property
    def plan_shares(self) -> tuple[tuple[float, float], tuple[float, float]] | None:
        """From where to where its plan reaches along the face on which it stands and up it; None for what has none."""
        return None

    @property
    def person_height(self) -> float:
        """How tall the people are that it shows, in heights of the eye over the ground; 0 where it shows none."""
        return 0.0

    @property
    def doorway(self) -> tuple[FacePlace, ...]:
        """The foot and the top of an opening in it through which one walks, on its face; nothing where there is none.

        Whether that foot is on the ground is not known here.
        """
        return ()

    @cached_property
    def fields(self) -> tuple[Field, ...]:
        """The parts of the face that it lies on which it tones, such as every other field of checks."""
        return ()

    @cached_property
    def foot_depth(self) -> float:
        """World depth of its lower nearest corner, mm."""
        return self.setting.frame.eye.distance_mm

    @property
    def measured(self) -> set[str]:
        """The parameters that the sentence says now: those that a ruler lays off."""
        return {name for clause in self.sentence if clause.is_said(self.values) for name in PLACE.findall(clause.text)}

    @property
    def is_see_through(self) -> bool:
        """Whether hidden edges are shown and nothing is hidden by it; what belongs to a body is as that is."""
        return self.values.is_see_through

    @property
    def is_body(self) -> bool:
        """Whether it has faces of its own, and is no mere line on a face of another thing."""
        return bool(self.solid.faces)

    @property
    def draws_edges(self) -> bool:
        """Whether its lines are edges although it is no body: a rail, a shadow on another thing."""
        return False

    @property
    def lies_on_ground(self) -> bool:
        """Whether it is drawn on the ground itself, so that whatever stands there hides it."""
        return False

    @property
    def has_depth(self) -> bool:
        """Whether it has sides that lead away; a road and a tree have none, and may leave the sheet."""
        return True

    @property
    def may_be_thin(self) -> bool:
        """Whether thin sides are meant so, such as the thickness of a wall, or come by themselves farther away."""
        return False

    @property
    def anchor(self) -> Anchor:
        """What it is joined to, of a thing that is joined to another."""
        assert self.setting.anchor is not None
        return self.setting.anchor

    @property
    def stands_on_another(self) -> bool:
        """Whether it is joined to another thing at a corner of that, so that its foot may be off the ground."""
        return self.setting.anchor is not None and self.setting.anchor.in_line is None

    @property
    def host(self) -> "Standing":
        """The thing it hangs on."""
        assert self.anchor.other is not None
        return self.anchor.other

    @property
    def panel(self) -> Panel:
        """The face on which it lies, of a thing that lies on one."""
        assert self.setting.panel is not None
        return self.setting.panel

    def follow(self, name: str, value: Value) -> Mapping[str, Value]:
        """Return what else changes when a value is chosen, so that the drawing stays as it is."""
        return {}

    def keep_shape(self, after: Setting) -> Mapping[str, float]:
        """Return the measures (mm) with which it has the same shape in the world in another setting."""
        return {}

    @property
    def shape(self) -> Mapping[str, float]:
        """Its lengths in the world, mm at the scale of its first corner, by which another one can be as large as it.

        ``across``, ``away``, ``up`` of a block, ``out`` of what stands out of a face; nothing for one whose lengths
        stay as they are in every kind of view.
        """
        return {}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return the values with which it has a shape where it stands."""
        return {}

    @property
    def kept(self) -> Mapping[str, Value]:
        """The values that are its own in every kind of view."""
        return {name: self.values.held[name] for name in (*self.own, LOOK.name) if name in self.values.held}

    @property
    def front(self) -> str:
        """By which name its face is offered that lies across, as a front does; see ``shape``."""
        return "front" if self.setting.frame.kind == "one_point" else "right"

    def turned(self) -> Mapping[str, Value]:
        """Return the values with which it lies the same way where along and up have changed places on its face."""
        return {}

    def true_length(self, role: str) -> float:
        """Return how long its edges in a direction are in the world, mm at the scale of the first corner."""
        return 0.0

    def personal(self, name: str, fit: Fit) -> Personal | None:
        """Return what becomes of it on the sheet of a student of that name; nothing where it is the same for all."""
        return None

    def refused(self, code: str, why: str, limit_mm: float, about: str = "rise", *, is_least: bool) -> GeometryError:
        """Return the error for a measure that cannot be drawn, with the nearest one that works.

        Args:
            why: what would be wrong with the thing, after its name.
            about: which of its values it is.
        """
        sheet = self.setting.sheet
        nearest = format_limit(limit_mm, sheet.units, sheet.division_mm, is_least=is_least)
        text = f"“{self.values.name}” {why}."
        return GeometryError(code, text, f"The nearest that works is {nearest}.", about=about, nearest=nearest)

    def at_joint(self, joint: Joint) -> Mapping[str, Value]:
        """Return its own values when it stands at a joint of another thing: its lower left corner comes there.

        Raises:
            GeometryError: it cannot stand like that.
        """
        if joint.is_alley:
            raise GeometryError(
                "cannot_join",
                "Only a box can stand beyond an alley.",
                "Let it stand on its own, or take a box.",
                about="joined_by",
            )
        if joint.top is not None:
            raise GeometryError(
                "cannot_join",
                "This keeps its own height; it cannot take that of another thing.",
                "Let it stand on its own, or take a box.",
                about="joined_by",
            )
        if joint.point:
            return {"left": joint.corner.x, "bottom": joint.corner.y}
        return {"bottom": joint.corner.y}


class Unheld(Standing):
    """A thing whose face is not drawn, or that repeats nothing: nothing of it is there but its sentence."""

    def __init__(self, values: Values, setting: Setting, usual: type[Standing]) -> None:
        super().__init__(values, setting)
        self.sentence = usual.sentence

    @cached_property
    def solid(self) -> Solid:
        """Nothing."""
        return NOTHING

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """No moves."""
        return ()
