"""A word in two- and three-point perspective: cut from one face of a block, or half of it on each side of it."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

from propcache.api import cached_property

from orthopsis.core.construct.panel import Panel
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Fit, Handle, Personal
from orthopsis.core.things.assembly import Assembled, Member, panel_of
from orthopsis.core.things.box.block import Role
from orthopsis.core.things.letters.clauses import (
    ACROSS,
    FIRST_TEXT,
    KEPT,
    STROKE_CLAUSES,
    UP,
    WHOSE_CLAUSES,
    check_layout,
)
from orthopsis.core.things.letters.halves import halves
from orthopsis.core.things.letters.layouts import STRAIGHT
from orthopsis.core.things.letters.measures import on_block
from orthopsis.core.things.letters.names import is_own, own_name_on_side
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.profile.side import SideProfile
from orthopsis.core.things.setting import Joint, Setting
from orthopsis.core.things.values import Values

WIDEST_SHARE = 0.6
"""Up to this share of the way to the point a block grows with its word (no source)."""


class SideWord(Assembled, SideProfile):
    """A word that is cut from a block."""

    sentence: tuple[Clause, ...] = (
        Clause("{text} in {form} letters {layout} on the {side} of a block. ", {"layout": (STRAIGHT,)}),
        Clause("{text} in {form} letters {layout} of a block, in slices {slice} thick. ", {"layout": ("corner",)}),
        Clause("Letters as if {width} wide and {gap} apart. "),
        *WHOSE_CLAUSES,
        *STROKE_CLAUSES,
        *SideProfile.sentence[1:],
    )
    own: tuple[str, ...] = KEPT

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more word, on a block between the points."""
        fresh = dict(super().place(setting, count))
        height = float(fresh["height"])  # type: ignore[arg-type]
        return {**fresh, "text": FIRST_TEXT, "width": height * 0.8, "gap": height * 0.15, "layout": STRAIGHT}

    @classmethod
    def is_personal(cls, values: Values) -> bool:
        """Tell whether it is another one on each student's sheet."""
        return is_own(values)

    def personal(self, name: str, fit: Fit) -> Personal | None:
        """Return what becomes of it on a student's sheet."""
        return own_name_on_side(self.values, self.cut.panel.bottom_mm, name, fit)

    @cached_property
    def shaped(self) -> Values:
        """Its values with the outline that is found by dividing a side."""
        return on_block(self.values)

    @cached_property
    def members(self) -> Sequence[Member]:
        """Its halves as things of their own; none where it stands in one row."""
        check_layout(self.values, ("corner",))
        return () if self.values.word("layout") == STRAIGHT else halves(self)

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The face from which it is cut, or each half's side."""
        if not self.members:
            return super().faces
        sides = [(member, member.standing.values.word("side")) for member in self.members]
        return {side: panel_of(member, side) for member, side in sides}

    @cached_property
    def joints(self) -> Mapping[str, Joint]:
        """Where others can stand, by a word in one row."""
        return super().joints if self.values.word("layout") == STRAIGHT else {}

    @property
    def shape(self) -> Mapping[str, float]:
        """Width, depth and height of a word in one row."""
        return super().shape if self.values.word("layout") == STRAIGHT else {}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return the block of that size, and letters of the same proportions."""
        block, values = dict(super().of_shape(shape)), self.values
        up = float(block["height"]) / values.mm("height")  # type: ignore[arg-type]
        across = shape["across"] / shape["up"] * float(block["height"]) / self.shaped.face("outline")[0]  # type: ignore[arg-type]
        block |= {name: values.mm(name) * across for name in ACROSS}
        return block | {name: values.mm(name) * up for name in UP}

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Those of the block: the corners follow from the text."""
        return {name: handle for name, handle in super().handles.items() if handle.shape != "corner"}

    def follow(self, name: str, value: Value) -> Mapping[str, Value]:
        """Return what else changes; with another text a measured block becomes as much longer as the word.

        A share of the way to a vanishing point is s = l / (l + d) for a length l, so l grows as s / (1 - s) (textbook;
        from memory): this needs no eye.
        """
        if name != "text":
            return super().follow(name, value)
        values, side = self.values, self.values.word("side")
        role: Role = "right" if side == "right" else "left"
        if side == "level" or values.word(f"{role}_by") != "measured" or values.word("layout") != STRAIGHT:
            return {}
        longer_word = replace(values, held={**values.held, name: value})
        before, after = (on_block(v).face("outline")[0] for v in (values, longer_word))
        share = self.side_shares[role]
        longer = share / (1 - share) * after / before
        way = min(longer / (1 + longer), max(share, WIDEST_SHARE))
        return {f"{role}_length": round_to(way * self.side_reach(role), self.setting.sheet.division_mm)}
