"""What must change of the things so that they keep their shape in the world when the points move?

Teachers who redraw a student's sheet with points farther apart keep the thing, not the measures on the page.
"""

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.place import read_place
from orthopsis.core.drawing.answer import CureEdit
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sheet.ruler import round_to


def same_in_the_world(exercise: Exercise, number: int, moved: list[CureEdit]) -> list[CureEdit]:
    """Return the edits that move a view's points and keep the shape of what stands in it; none if that cannot be.

    Args:
        number: which view.
        moved: the edits of its points.
    """
    fields = {read_place(edit.path).name: edit.value for edit in moved}
    views = list(exercise.views)
    views[number] = views[number].model_copy(update=fields)
    try:
        before, after = prepare(exercise), prepare(exercise.model_copy(update={"views": tuple(views)}))
        edits = list(moved)
        for one, two in zip(before.things, after.things, strict=True):
            if one.values.name and one.setting.frame.name == views[number].name:
                for name, mm in one.standing.keep_shape(two.setting).items():
                    value = round_to(mm, before.sheet.division_mm)
                    edits.append(CureEdit(path=f"things.{one.index}.{name}", value=value))
    except GeometryError:
        return []
    return edits if len(edits) > len(moved) else []
