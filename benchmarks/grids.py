"""Sheets with many things, for the benchmarks: boxes about the point that hide each other in part, words, a street."""

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.things.outline import scaled
from orthopsis.core.things.profile.shapes import READY


def grid_of_boxes(count: int) -> Exercise:
    """Return an A3 sheet with this many boxes."""
    across = max(1, round((count * 1.4) ** 0.5))
    down = -(-count // across)
    step_x, step_y = 380 / across, 260 / down
    things = []
    for i in range(count):
        x, y = round(15 + (i % across) * step_x), round(15 + (i // across) * step_y)
        things.append(
            {
                "kind": "box", "name": f"Box {i + 1}", "left": x, "bottom": y, "width": round(0.8 * step_x) + 2,
                "height": round(0.8 * step_y) + 2, "depth_by": "measured", "depth": 3.0,
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


def boxes_with_windows(boxes: int, columns: int = 6, rows: int = 3) -> Exercise:
    """Return an A3 sheet with this many boxes, each with windows on its front."""
    document = grid_of_boxes(boxes).document()
    windows = [
        {
            "kind": "rectangles", "name": f"Windows {i + 1}", "joined_to": thing["id"], "joined_by": "face_front",
            "columns": str(columns), "rows": str(rows),
        }
        for i, thing in enumerate(document["things"])
    ]  # fmt: skip
    return read_exercise({**document, "things": [*document["things"], *windows]})


def rows_of_letters(count: int) -> Exercise:
    """Return an A3 sheet with this many block letters in rows about the point, up to twelve corners each."""
    things = []
    for i in range(count):
        outline = scaled(READY[f"letter {'KNOT'[i % 4]}"], 50, 64)
        x, y = 10 + (i % 6) * 68, 20 + (i // 6) * 132
        things.append(
            {
                "kind": "profile", "name": f"Letter {i + 1}", "left": x, "bottom": y, "outline": outline,
                "depth_by": "measured", "depth": 12.0,
            }
        )  # fmt: skip
    return read_exercise(
        {
            "schema": "orthopsis/exercise/1",
            "eye_level": {"height_mm": 120.3},
            "views": [{"x_mm": 211.7}],
            "things": things,
        }
    )


def word(text: str, form: str = "block") -> Exercise:
    """Return an A3 sheet with one word over its whole width."""
    width = round(380 / (1.2 * len(text)))
    thing = {
        "kind": "letters", "name": "Word", "text": text, "form": form, "left": 15, "bottom": 30, "width": width,
        "height": round(1.3 * width), "gap": round(0.18 * width), "depth_by": "measured", "depth": 30.0,
    }  # fmt: skip
    return read_exercise(
        {
            "schema": "orthopsis/exercise/1",
            "eye_level": {"height_mm": 180.3},
            "views": [{"x_mm": 211.7}],
            "things": [thing],
        }
    )


def street() -> Exercise:
    """Return a street of twelve houses, six on each side beyond each other's alleys, ten of them with 20 windows."""
    point, level, houses, windows = 210.0, 110.0, list[dict[str, object]](), list[dict[str, object]]()
    for side, face in (("Left", "right"), ("Right", "left")):
        for i in range(6):
            size, name = 0.74**i, f"{side} {i + 1}"
            width = round(46 * size)
            edge = round(point - 150 * size) - width if side == "Left" else round(point + 150 * size)
            house: dict[str, object] = {
                "kind": "box", "name": name, "left": edge, "bottom": round(level - 84 * size), "width": width,
                "height": round((150 - 12 * (i % 3)) * size), "depth_by": "measured", "depth": round(36 * size),
            }  # fmt: skip
            if i:
                house |= {"joined_to": f"{side} {i}", "joined_by": "alley", "gap_mm": max(2, round(7 * size))}
            houses.append(house)
            if i < 5:
                windows.append(
                    {
                        "kind": "rectangles", "name": f"{name} windows", "joined_to": name, "joined_by": f"face_{face}",
                        "columns": "4", "rows": "5", "wide": "half", "tall": "half",
                    }
                )  # fmt: skip
    view = {"kind": "one_point", "x_mm": point}
    return read_exercise(
        {
            "schema": "orthopsis/exercise/1",
            "eye_level": {"height_mm": level},
            "views": [view],
            "things": [*houses, *windows],
        }
    )
