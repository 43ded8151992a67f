"""Ready exercises: letters, words and other shapes."""

from typing import Any

from orthopsis.core.document.ready.written import HEAD, block, box, measured, shape, word

LETTERS: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "KNOT in block letters, one point",
        "eye_level": {"height_mm": 196, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 205}],
        "things": [word("KNOT", "block", 26, 58, 88, width=72, gap=24, **measured(46))],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "KNOT around a corner, two points",
        "eye_level": {"height_mm": 168, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 560}],
        "things": [
            {
                **block("Knot", 208, 46, 196, 162, 158),
                **word("KNOT", "block", 208, 46, 196, width=60, gap=14, layout="corner", slice=24),
            }
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "KNOT around a corner from above, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 380, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -158, "right_mm": 450, "third_x_mm": 150, "third_y_mm": -314}],
        "things": [
            {
                **block("Knot", 152, 304, 196, 124, 126),
                **word("KNOT", "round", 152, 304, 196, width=60, gap=14, layout="corner", slice=26),
            }
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "A stepped quay and a bench, one point",
        "eye_level": {"height_mm": 170, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 236}],
        "things": [
            shape("Quay steps", "steps", 40, 40, 96, 72, **measured(58)),
            shape("Bench", "chair", 316, 52, 60, 84, depth_by="half"),
            shape("Loft window", "window", 96, 208, 78, 54, **measured(30)),
        ],
    },
    {
        **HEAD,
        "title": "Two points on one eye level",
        "eye_level": {"height_mm": 150, "school": "exercise"},
        "views": [
            {"kind": "one_point", "name": "east quay", "x_mm": 120},
            {"kind": "one_point", "name": "west quay", "x_mm": 310},
        ],
        "things": [
            {**box("East crate", 22, 40, 58, 48, **measured(44)), "view": "east quay"},
            {**box("East barrel case", 26, 196, 46, 52, depth_by="half"), "view": "east quay"},
            {**box("West crate", 350, 36, 56, 56, **measured(48)), "view": "west quay"},
        ],
    },
    {
        **HEAD,
        "title": "TIDE in rounded letters, one point",
        "eye_level": {"height_mm": 206, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 262}],
        "things": [word("TIDE", "round", 34, 52, 92, width=70, gap=16, thickness="quarter", **measured(64))],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "LOFT cut from one long block, two points",
        "eye_level": {"height_mm": 196, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -170, "right_mm": 540}],
        "things": [
            {
                **block("Loft", 316, 52, 106, 206, 26),
                **word("LOFT", "block", 316, 52, 106, width=70, gap=16, thickness="quarter"),
                "side": "left",
            }
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "SEA from below, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 58, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -172, "right_mm": 486, "third_x_mm": 148, "third_y_mm": 742}],
        "things": [
            {
                **block("Sea", 206, 148, 118, 128, 46),
                **word("SEA", "round", 206, 148, 118, width=60, gap=12, thickness="quarter"),
                "side": "left",
            }
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "Your name over the harbour, one point",
        "eye_level": {"height_mm": 206, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 238}],
        "things": [
            {
                **word("GULLS", "block", 32, 58, 76, width=58, gap=14, thickness="quarter", depth_by="half"),
                "name": "Name",
                "whose": "student",
                "long": "rows",
                "late": "initials",
            }
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "ROPE stepping back along the quay, one point",
        "eye_level": {"height_mm": 174, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 326}],
        "things": [word("ROPE", "block", 30, 38, 92, width=70, gap=12, layout="steps", step=62, depth_by="half")],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "Four letters about the point",
        "eye_level": {"height_mm": 148.5, "school": "exercise"},
        "sheet": {"division": "1 mm", "centre": "diagonals"},
        "views": [{"kind": "one_point", "x_mm": 210}],
        "things": [word("BUOY", "round", 0, 0, 84, width=72, gap=26, layout="about", spread=24, **measured(34))],
        "minutes": 225,
    },
    {
        **HEAD,
        "title": "An E with measured strokes, one point",
        "eye_level": {"height_mm": 192, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 288}],
        "things": [
            word(
                "E",
                "block",
                62,
                48,
                84,
                width=66,
                thickness="measured",
                stroke=20,
                bar=16,
                middle=12,
                middle_up=36,
                **measured(40),
            )
        ],
    },
)
