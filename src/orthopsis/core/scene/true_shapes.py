"""How large are things in truth, where the eye's height over the ground is stated?

What stands on the ground has its scale from its foot: the eye's height in truth, by how far the foot lies under the eye
in the thing's own world (textbook; from memory).
"""

from collections.abc import Mapping

from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.scene.whole import members_of, whole_of

BLOCK = ("across", "away", "up")


def true_shapes(prepared: Prepared) -> dict[int, Mapping[str, float]]:
    """Return the true lengths (mm) of things that stand on the ground, by number and role; none where none is stated.

    Where nobody knows how far the eye is from the page, no depth is known, and with two or three points no width.
    """
    height = prepared.exercise.eye_level.over_ground_mm
    found: dict[int, Mapping[str, float]] = {}
    for members in members_of(prepared.things).values() if height is not None else ():
        whole = whole_of(prepared.things, members)
        plan = whole.plan
        for placed in (prepared.things[i] for i in whole.members) if plan is not None else ():
            frame, shape = placed.setting.frame, placed.standing.shape
            if plan is None or height is None or not set(BLOCK) <= set(shape):
                continue
            known = BLOCK if frame.is_metric else ("across", "up") if frame.kind == "one_point" else ("up",)
            scale = placed.factor * height / plan.drop_mm
            found[placed.index] = {role: shape[role] * scale for role in known}
    return found
