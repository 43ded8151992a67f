"""Sheets with many boxes, for the benchmarks: a grid of boxes about the point, so that they hide each other in part."""

from orthopsis.core.exercise.document import Exercise, read_exercise


def grid_of_boxes(count: int) -> Exercise:
    """Return an A3 sheet with this many boxes."""
    across = max(1, round((count * 1.4) ** 0.5))
    down = -(-count // across)
    step_x, step_y = 380 / across, 260 / down
    things = []
    for i in range(count):
        x, y = 15 + (i % across) * step_x, 15 + (i // across) * step_y
        things.append(
            {
                "kind": "box", "name": f"Box {i + 1}", "left": x, "bottom": y, "width": 0.8 * step_x + 2,
                "height": 0.8 * step_y + 2, "depth_by": "measured", "depth": 3.0,
            }
        )  # fmt: skip
    return read_exercise(
        {
            "schema": "orthopsis/exercise/1",
            "eye_level": {"height_mm": 150.3},
            "views": [{"x_mm": 210.7}],
            "things": things,
        }
    )
