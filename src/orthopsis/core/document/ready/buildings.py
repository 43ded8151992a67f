"""Ready exercises: roofs, rows, windows, furniture, walls."""

from typing import Any

from orthopsis.core.document.ready.written import ALONE, HEAD, block, box, gable, legs, measured, row, windows, word

BUILDINGS: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "H lying on the quay, two points",
        "eye_level": {"height_mm": 236, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 560}],
        "things": [
            {
                **block("Quay", 196, 34, 58, 132, 158),
                **word("H", "block", 196, 34, 58, width=60, gap=12, thickness="quarter"),
                "name": "Quay",
                "side": "level",
            }
        ],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "A boathouse with a gable roof, two points",
        "eye_level": {"height_mm": 118, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -70, "right_mm": 530, "centre_mm": 214}],
        "things": [
            block("Boathouse", 196, 62, 88, 84, 130),
            gable("Roof", "Boathouse", "left", 40),
        ],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "A net loft with a gable roof, one point",
        "eye_level": {"height_mm": 176, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 318}],
        "things": [
            box("Net loft", 72, 46, 124, 86, **measured(96)),
            gable("Roof", "Net loft", "front", 38),
        ],
        "minutes": 45,
    },
    {
        **HEAD,
        "title": "Bollards along the quay, one point",
        "eye_level": {"height_mm": 186, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 286}],
        "things": [
            box("Bollard", 44, 34, 26, 58, **measured(24)),
            row("Row", "Bollard", "in_line", 74, "6", "diagonal"),
        ],
        "minutes": 60,
    },
    {
        **HEAD,
        "title": "Mooring posts by eye, two points",
        "eye_level": {"height_mm": 196, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": 18, "right_mm": 402}],
        "things": [
            block("Post", 112, 48, 92, 9, 14),
            row("Row", "Post", "in_line_right", 70, "4", "eye"),
        ],
        "minutes": 75,
        "wording": {"level": "youngest"},
    },
    {
        **HEAD,
        "title": "A net loft with windows, door and roof, two points",
        "eye_level": {"height_mm": 112, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -110, "right_mm": 560}],
        "things": [
            block("Net loft", 176, 58, 118, 96, 150),
            windows("Windows", "right", "1:10:1", "5:4:1", columns="4", wide="half", tall="whole"),
            windows("Door", "left", "3:3:4", "0:5:7", columns="1", wide="whole", tall="whole"),
            windows("Step", "right", "1:2:9", "0:1:12", columns="1", wide="whole", tall="whole", relief="out", deep=10),
            gable("Roof", "Net loft", "left", 36),
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "A work table of the net loft, one point",
        "eye_level": {"height_mm": 206, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 336}],
        "things": [box("Top", 72, 112, 150, 12, **measured(84)), legs("Top", 66)],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "A boathouse with lights in its roof, two points",
        "eye_level": {"height_mm": 96, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -90, "right_mm": 540}],
        "things": [
            block("Boathouse", 172, 58, 84, 92, 168),
            gable("Roof", "Boathouse", "left", 52),
            windows("Lights", "slope_first", "1:8:1", "1:2:1", "Roof", columns="3", wide="half", tall="whole"),
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "A sea wall with a gate and a lamp, one point",
        "eye_level": {"height_mm": 104, "school": "composition", "over_ground_mm": 1500},
        "views": [{"kind": "one_point", "x_mm": 330}],
        "things": [
            box("Sea wall", 36, 36, 210, 140, **measured(16)),
            windows("Gate", "front", "5:8:8", "0:5:2", "Sea wall", **ALONE, form="arch", relief="through"),
            windows("Lamp", "front", "16:3:2", "8:3:3", "Sea wall", **ALONE, form="round", relief="out", deep=7),
            box("Crate", 132, 58, 30, 26, **measured(9)),
        ],
        "minutes": 100,
    },
    {
        **HEAD,
        "title": "A bench and a bollard on the quay, two points",
        "eye_level": {"height_mm": 192, "school": "composition", "over_ground_mm": 1450},
        "views": [{"kind": "two_point", "left_mm": -60, "right_mm": 500}],
        "things": [
            {**block("Bench", 268, 46, 56, 172, 42, side="left"), "kind": "bench", "legs": "tenth"},
            block("Bollard", 108, 84, 64, 18, 22),
        ],
        "minutes": 75,
    },
    {
        **HEAD,
        "title": "The ropemaker's cottage with shutters, two points",
        "eye_level": {"height_mm": 108, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -100, "right_mm": 550}],
        "things": [
            block("Cottage", 158, 54, 96, 82, 158),
            windows(
                "Windows",
                "right",
                "1:12:1",
                "6:8:5",
                "Cottage",
                columns="2",
                wide="third",
                tall="whole",
                relief="in",
                deep=4,
                beside="shutters",
            ),
            windows("Door", "left", "3:4:3", "0:7:3", "Cottage", **ALONE),
            gable("Roof", "Cottage", "left", 46),
        ],
        "minutes": 120,
    },
)
