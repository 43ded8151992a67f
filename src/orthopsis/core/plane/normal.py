"""Which way is a plane loop in space turned, and how large is it?

Source: Newell's normal (from memory).
"""

from collections.abc import Sequence

Vector = tuple[float, float, float]


def area_vector(loop: Sequence[Sequence[float]]) -> Vector:
    """Return the doubled area vector of a plane loop: square to it, as long as twice its area.

    Args:
        loop: its corners in space, in order.

    Seen from where it points to the corners run anticlockwise. For the few corners of a face plain numbers are quicker
    than arrays.
    """
    # From the first corner, so that nothing is lost where the loop lies far out.
    x0, y0, z0 = loop[0]
    across = up = out = 0.0
    bx, by, bz = loop[1][0] - x0, loop[1][1] - y0, loop[1][2] - z0
    for x, y, z in loop[2:]:
        cx, cy, cz = x - x0, y - y0, z - z0
        across += by * cz - bz * cy
        up += bz * cx - bx * cz
        out += bx * cy - by * cx
        bx, by, bz = cx, cy, cz
    return across, up, out
