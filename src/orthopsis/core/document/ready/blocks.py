"""Ready exercises: boxes and cubes, in every kind of view."""

from typing import Any

from orthopsis.core.document.ready.written import HEAD, INCH, block, box, cube, measured

BLOCKS: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "Three crates: below, on and above",
        "eye_level": {"height_mm": 160, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 225}],
        "things": [
            box("Quay crate", 46, 34, 84, 62, **measured(72)),
            box("Tall crate", 330, 96, 58, 112, **measured(52)),
            box("Hanging crate", 138, 222, 66, 46, depth_by="half"),
        ],
    },
    {
        **HEAD,
        "title": "See-through cubes",
        "eye_level": {"height_mm": 148, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 210, "distance_mm": 210}],
        "things": [
            cube("Left cube", 108, 62, 52),
            cube("Right cube", 276, 58, 44),
            cube("Upper cube", 246, 196, 40),
        ],
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "A row on the quay",
        "eye_level": {"height_mm": 190, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 320}],
        "things": [
            box("First crate", 30, 30, 80, 70, **measured(55)),
            box("Second crate", 117, 78, 56, 49, **measured(38)),
            box("Third crate", 178, 112, 39, 34, **measured(27)),
        ],
    },
    {
        **HEAD,
        "title": "Boxes in the net loft",
        "sheet": {"paper": "12 x 18 in", "orientation": "landscape", "units": "in", "division": "1/8 in"},
        "eye_level": {"height_mm": 4 * INCH, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 8.5 * INCH}],
        "things": [
            box("Float box", 2 * INCH, 7.25 * INCH, 3 * INCH, 2.25 * INCH, **measured(2.5 * INCH)),
            box("Rope chest", 12.5 * INCH, 1 * INCH, 3.5 * INCH, 2 * INCH, depth_by="half"),
            box(
                "Open frame",
                7.5 * INCH,
                3 * INCH,
                2.5 * INCH,
                2.25 * INCH,
                depth_by="half",
                look="see_through",
            ),
        ],
        "wording": {"vocabulary": "horizon", "level": "youngest"},
    },
    {
        **HEAD,
        "title": "Chests by the boathouse, two points",
        "eye_level": {"height_mm": 182, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -110, "right_mm": 530}],
        "things": [
            block("Sail chest", 196, 44, 78, 88, 64),
            block("Oar box", 322, 108, 96, 34, 62),
            block("Lamp case", 104, 214, 40, 46, 66, look="see_through"),
        ],
    },
    {
        **HEAD,
        "title": "Two true cubes, two points",
        "eye_level": {"height_mm": 190, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 560, "centre_mm": 190}],
        "things": [
            {**block("Ice block", 236, 66, 56, 40, 40), "left_by": "cube", "right_by": "cube"},
            {**block("Salt block", 118, 104, 44, 40, 40), "left_by": "cube", "right_by": "cube"},
        ],
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "Net lofts from above, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 372, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -156, "right_mm": 458, "third_x_mm": 156, "third_y_mm": -224}],
        "things": [block("Tall loft", 156, 286, 120, 70, 58), block("Low loft", 62, 264, 62, 44, 46)],
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "The light tower from below, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 52, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -172, "right_mm": 472, "third_x_mm": 148, "third_y_mm": 662}],
        "things": [block("Light tower", 148, 84, 178, 62, 54)],
        "wording": {"level": "oldest"},
    },
)
