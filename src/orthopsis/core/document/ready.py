"""Ready exercises to start from: made-up sheets of a harbour town, for each kind of view."""

from typing import Any

from orthopsis.core.things.outline import on_marks, scaled
from orthopsis.core.things.profile.shapes import READY as OUTLINES

_HEAD = {"schema": "orthopsis/exercise/1", "light": "left"}
"""Written in the first version of the schema, in which things are joined to others by name: easier to read."""


def _box(name: str, left: float, bottom: float, width: float, height: float, **more: Any) -> dict[str, Any]:
    return {
        "kind": "box",
        "name": name,
        "left": left,
        "bottom": bottom,
        "width": width,
        "height": height,
        **more,
    }


def _cube(name: str, left: float, bottom: float, side: float) -> dict[str, Any]:
    return _box(name, left, bottom, side, side, depth_by="cube", look="see_through")


def _gable(name: str, host: str, face: str, rise: float) -> dict[str, Any]:
    return {"kind": "gable_roof", "name": name, "joined_to": host, "joined_by": f"face_{face}", "rise": rise}


def _row(name: str, first: str, way: str, gap: float, count: str, by: str) -> dict[str, Any]:
    goes = {"joined_to": first, "joined_by": way, "gap_mm": gap}
    return {"kind": "row", "name": name, **goes, "count": count, "way": by}


def _windows(name: str, face: str, along: str, up: str, host: str = "Net loft", **more: Any) -> dict[str, Any]:
    on = {"joined_to": host, "joined_by": f"face_{face}"}
    return {"kind": "rectangles", "name": name, **on, "along": along, "up": up, **more}


_ALONE = {"columns": "1", "rows": "1", "wide": "whole", "tall": "whole"}


def _legs(host: str, long: float) -> dict[str, Any]:
    """Return four legs at the corners of the underside of a table's top."""
    four = {"columns": "2", "rows": "2", "wide": "fifth", "tall": "fifth", "spread": "ends"}
    return _windows("Legs", "bottom", "0:1:0", "0:1:0", host, **four, relief="out", deep=long)


def _measured(mm: float) -> dict[str, Any]:
    return {"depth_by": "measured", "depth": mm}


def _block(
    name: str, left: float, bottom: float, height: float, left_mm: float, right_mm: float, **more: Any
) -> dict[str, Any]:
    """Return a box about its nearest edge, its sides measured on the page."""
    sides = {"left_by": "measured", "left_length": left_mm, "right_by": "measured", "right_length": right_mm}
    return {"kind": "box", "name": name, "left": left, "bottom": bottom, "height": height, **sides, **more}


def _shape(
    name: str, ready: str, left: float, bottom: float, width: float, height: float, **more: Any
) -> dict[str, Any]:
    """Return a ready shape on a front."""
    outline = on_marks(scaled(OUTLINES[ready], width, height), 1.0)
    return {"kind": "profile", "name": name, "left": left, "bottom": bottom, "outline": outline, **more}


def _word(text: str, form: str, left: float, bottom: float, height: float, **more: Any) -> dict[str, Any]:
    return {
        "kind": "letters", "name": text.capitalize(), "text": text, "form": form, "left": left, "bottom": bottom,
        "height": height, **more,
    }  # fmt: skip


def _division(name: str, host: str, face: str, **more: Any) -> dict[str, Any]:
    """Return a division of a face of another thing."""
    return {"kind": "division", "name": name, "joined_to": host, "joined_by": f"face_{face}", **more}


def _sign(name: str, text: str, face: str, **more: Any) -> dict[str, Any]:
    """Return a sign on a face of the crate."""
    return {"kind": "lettering", "name": name, "text": text, "joined_to": "Crate", "joined_by": f"face_{face}", **more}


_INCH = 25.4
READY: tuple[dict[str, Any], ...] = (
    {
        **_HEAD,
        "title": "Three crates: below, on and above",
        "eye_level": {"height_mm": 160, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 225}],
        "things": [
            _box("Quay crate", 46, 34, 84, 62, **_measured(72)),
            _box("Tall crate", 330, 96, 58, 112, **_measured(52)),
            _box("Hanging crate", 138, 222, 66, 46, depth_by="half"),
        ],
    },
    {
        **_HEAD,
        "title": "See-through cubes",
        "eye_level": {"height_mm": 148, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 210, "distance_mm": 210}],
        "things": [
            _cube("Left cube", 108, 62, 52),
            _cube("Right cube", 276, 58, 44),
            _cube("Upper cube", 246, 196, 40),
        ],
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "A row on the quay",
        "eye_level": {"height_mm": 190, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 320}],
        "things": [
            _box("First crate", 30, 30, 80, 70, **_measured(55)),
            _box("Second crate", 117, 78, 56, 49, **_measured(38)),
            _box("Third crate", 178, 112, 39, 34, **_measured(27)),
        ],
    },
    {
        **_HEAD,
        "title": "Boxes in the net loft",
        "sheet": {"paper": "12 x 18 in", "orientation": "landscape", "units": "in", "division": "1/8 in"},
        "eye_level": {"height_mm": 4 * _INCH, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 8.5 * _INCH}],
        "things": [
            _box("Float box", 2 * _INCH, 7.25 * _INCH, 3 * _INCH, 2.25 * _INCH, **_measured(2.5 * _INCH)),
            _box("Rope chest", 12.5 * _INCH, 1 * _INCH, 3.5 * _INCH, 2 * _INCH, depth_by="half"),
            _box(
                "Open frame",
                7.5 * _INCH,
                3 * _INCH,
                2.5 * _INCH,
                2.25 * _INCH,
                depth_by="half",
                look="see_through",
            ),
        ],
        "wording": {"vocabulary": "horizon", "level": "youngest"},
    },
    {
        **_HEAD,
        "title": "Chests by the boathouse, two points",
        "eye_level": {"height_mm": 182, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -110, "right_mm": 530}],
        "things": [
            _block("Sail chest", 196, 44, 78, 88, 64),
            _block("Oar box", 322, 108, 96, 34, 62),
            _block("Lamp case", 104, 214, 40, 46, 66, look="see_through"),
        ],
    },
    {
        **_HEAD,
        "title": "Two true cubes, two points",
        "eye_level": {"height_mm": 190, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 560, "centre_mm": 190}],
        "things": [
            {**_block("Ice block", 236, 66, 56, 40, 40), "left_by": "cube", "right_by": "cube"},
            {**_block("Salt block", 118, 104, 44, 40, 40), "left_by": "cube", "right_by": "cube"},
        ],
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "Net lofts from above, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 372, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -156, "right_mm": 458, "third_x_mm": 156, "third_y_mm": -224}],
        "things": [_block("Tall loft", 156, 286, 120, 70, 58), _block("Low loft", 62, 264, 62, 44, 46)],
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "The light tower from below, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 52, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -172, "right_mm": 472, "third_x_mm": 148, "third_y_mm": 662}],
        "things": [_block("Light tower", 148, 84, 178, 62, 54)],
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "KNOT in block letters, one point",
        "eye_level": {"height_mm": 196, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 205}],
        "things": [_word("KNOT", "block", 26, 58, 88, width=72, gap=24, **_measured(46))],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "KNOT around a corner, two points",
        "eye_level": {"height_mm": 168, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 560}],
        "things": [
            {
                **_block("Knot", 208, 46, 196, 162, 158),
                **_word("KNOT", "block", 208, 46, 196, width=60, gap=14, layout="corner", slice=24),
            }
        ],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "KNOT around a corner from above, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 380, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -158, "right_mm": 450, "third_x_mm": 150, "third_y_mm": -314}],
        "things": [
            {
                **_block("Knot", 152, 304, 196, 124, 126),
                **_word("KNOT", "round", 152, 304, 196, width=60, gap=14, layout="corner", slice=26),
            }
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "A stepped quay and a bench, one point",
        "eye_level": {"height_mm": 170, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 236}],
        "things": [
            _shape("Quay steps", "steps", 40, 40, 96, 72, **_measured(58)),
            _shape("Bench", "chair", 316, 52, 60, 84, depth_by="half"),
            _shape("Loft window", "window", 96, 208, 78, 54, **_measured(30)),
        ],
    },
    {
        **_HEAD,
        "title": "Two points on one eye level",
        "eye_level": {"height_mm": 150, "school": "exercise"},
        "views": [
            {"kind": "one_point", "name": "east quay", "x_mm": 120},
            {"kind": "one_point", "name": "west quay", "x_mm": 310},
        ],
        "things": [
            {**_box("East crate", 22, 40, 58, 48, **_measured(44)), "view": "east quay"},
            {**_box("East barrel case", 26, 196, 46, 52, depth_by="half"), "view": "east quay"},
            {**_box("West crate", 350, 36, 56, 56, **_measured(48)), "view": "west quay"},
        ],
    },
    {
        **_HEAD,
        "title": "TIDE in rounded letters, one point",
        "eye_level": {"height_mm": 206, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 262}],
        "things": [_word("TIDE", "round", 34, 52, 92, width=70, gap=16, thickness="quarter", **_measured(64))],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "LOFT cut from one long block, two points",
        "eye_level": {"height_mm": 196, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -170, "right_mm": 540}],
        "things": [
            {
                **_block("Loft", 316, 52, 106, 206, 26),
                **_word("LOFT", "block", 316, 52, 106, width=70, gap=16, thickness="quarter"),
                "side": "left",
            }
        ],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "SEA from below, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 58, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -172, "right_mm": 486, "third_x_mm": 148, "third_y_mm": 742}],
        "things": [
            {
                **_block("Sea", 206, 148, 118, 128, 46),
                **_word("SEA", "round", 206, 148, 118, width=60, gap=12, thickness="quarter"),
                "side": "left",
            }
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "Your name over the harbour, one point",
        "eye_level": {"height_mm": 206, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 238}],
        "things": [
            {
                **_word("GULLS", "block", 32, 58, 76, width=58, gap=14, thickness="quarter", depth_by="half"),
                "name": "Name",
                "whose": "student",
                "long": "rows",
                "late": "initials",
            }
        ],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "ROPE stepping back along the quay, one point",
        "eye_level": {"height_mm": 174, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 326}],
        "things": [_word("ROPE", "block", 30, 38, 92, width=70, gap=12, layout="steps", step=62, depth_by="half")],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "Four letters about the point",
        "eye_level": {"height_mm": 148.5, "school": "exercise"},
        "sheet": {"division": "1 mm", "centre": "diagonals"},
        "views": [{"kind": "one_point", "x_mm": 210}],
        "things": [_word("BUOY", "round", 0, 0, 84, width=72, gap=26, layout="about", spread=24, **_measured(34))],
        "minutes": 180,
    },
    {
        **_HEAD,
        "title": "An E with measured strokes, one point",
        "eye_level": {"height_mm": 192, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 288}],
        "things": [
            _word(
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
                **_measured(40),
            )
        ],
    },
    {
        **_HEAD,
        "title": "R deep and R thin, two points",
        "eye_level": {"height_mm": 158, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 540}],
        "things": [
            {**_block("Deep R", 150, 56, 118, 74, 92), **_word("R", "block", 150, 56, 118, width=60), "name": "Deep R"},
            {**_block("Thin R", 338, 72, 104, 84, 16), **_word("R", "round", 338, 72, 104, width=60), "name": "Thin R"},
        ],
        "minutes": 90,
    },
    {
        **_HEAD,
        "title": "The wall of a net loft: bays and a middle, two points",
        "eye_level": {"height_mm": 118, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 556}],
        "things": [
            _block("Net loft", 158, 64, 152, 98, 196),
            _division("Boards", "Net loft", "right", way="repeat_near", along="5", bay=46),
            _division("Gable's middle", "Net loft", "left", way="halving", along="2", stays="light"),
            _division("Floors", "Net loft", "left", way="diagonal", along="1", up="3"),
        ],
        "minutes": 60,
    },
    {
        **_HEAD,
        "title": "Patterns on COVE, two points",
        "eye_level": {"height_mm": 176, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -130, "right_mm": 520}],
        "things": [
            {
                **_block("Cove", 330, 52, 178, 226, 24),
                **_word("COVE", "block", 330, 52, 178, width=64, gap=14, thickness="third"),
                "side": "left",
            },
            {
                "kind": "pattern",
                "name": "Pattern",
                "joined_to": "Cove",
                "joined_by": "face_left",
                "design": "each",
                "along": "20",
                "up": "9",
            },
        ],
        "minutes": 180,
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "A crate marked on three faces, two points",
        "eye_level": {"height_mm": 214, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 540}],
        "things": [
            _block("Crate", 188, 38, 112, 118, 138),
            _sign("Number", "R7", "left", rim="fifth"),
            _sign("Harbour", "COVE", "right", rim="tenth"),
            _sign("Top", "T", "top", rim="fifth"),
        ],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "H lying on the quay, two points",
        "eye_level": {"height_mm": 236, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 560}],
        "things": [
            {
                **_block("Quay", 196, 34, 58, 132, 158),
                **_word("H", "block", 196, 34, 58, width=60, gap=12, thickness="quarter"),
                "name": "Quay",
                "side": "level",
            }
        ],
        "minutes": 90,
    },
    {
        **_HEAD,
        "title": "A boathouse with a gable roof, two points",
        "eye_level": {"height_mm": 118, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -70, "right_mm": 530, "centre_mm": 214}],
        "things": [
            _block("Boathouse", 196, 62, 88, 84, 130),
            _gable("Roof", "Boathouse", "left", 40),
        ],
        "minutes": 90,
    },
    {
        **_HEAD,
        "title": "A net loft with a gable roof, one point",
        "eye_level": {"height_mm": 176, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 318}],
        "things": [
            _box("Net loft", 72, 46, 124, 86, **_measured(96)),
            _gable("Roof", "Net loft", "front", 38),
        ],
        "minutes": 45,
    },
    {
        **_HEAD,
        "title": "Bollards along the quay, one point",
        "eye_level": {"height_mm": 186, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 286}],
        "things": [
            _box("Bollard", 44, 34, 26, 58, **_measured(24)),
            _row("Row", "Bollard", "in_line", 74, "6", "diagonal"),
        ],
        "minutes": 60,
    },
    {
        **_HEAD,
        "title": "Mooring posts by eye, two points",
        "eye_level": {"height_mm": 196, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": 18, "right_mm": 402}],
        "things": [
            _block("Post", 112, 48, 92, 9, 14),
            _row("Row", "Post", "in_line_right", 70, "4", "eye"),
        ],
        "minutes": 75,
        "wording": {"level": "youngest"},
    },
    {
        **_HEAD,
        "title": "A net loft with windows, door and roof, two points",
        "eye_level": {"height_mm": 112, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -110, "right_mm": 560}],
        "things": [
            _block("Net loft", 176, 58, 118, 96, 150),
            _windows("Windows", "right", "1:10:1", "5:4:1", columns="4", wide="half", tall="whole"),
            _windows("Door", "left", "3:3:4", "0:5:7", columns="1", wide="whole", tall="whole"),
            _windows(
                "Step", "right", "1:2:9", "0:1:12", columns="1", wide="whole", tall="whole", relief="out", deep=10
            ),
            _gable("Roof", "Net loft", "left", 36),
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "A work table of the net loft, one point",
        "eye_level": {"height_mm": 206, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 336}],
        "things": [_box("Top", 72, 112, 150, 12, **_measured(84)), _legs("Top", 66)],
        "minutes": 90,
    },
    {
        **_HEAD,
        "title": "A boathouse with lights in its roof, two points",
        "eye_level": {"height_mm": 96, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -90, "right_mm": 540}],
        "things": [
            _block("Boathouse", 172, 58, 84, 92, 168),
            _gable("Roof", "Boathouse", "left", 52),
            _windows("Lights", "slope_first", "1:8:1", "1:2:1", "Roof", columns="3", wide="half", tall="whole"),
        ],
        "minutes": 135,
    },
    {
        **_HEAD,
        "title": "A sea wall with a gate and a lamp, one point",
        "eye_level": {"height_mm": 104, "school": "composition", "over_ground_mm": 1500},
        "views": [{"kind": "one_point", "x_mm": 330}],
        "things": [
            _box("Sea wall", 36, 36, 210, 140, **_measured(16)),
            _windows("Gate", "front", "5:8:8", "0:5:2", "Sea wall", **_ALONE, form="arch", relief="through"),
            _windows("Lamp", "front", "16:3:2", "8:3:3", "Sea wall", **_ALONE, form="round", relief="out", deep=7),
            _box("Crate", 132, 58, 30, 26, **_measured(9)),
        ],
        "minutes": 100,
    },
    {
        **_HEAD,
        "title": "A bench and a bollard on the quay, two points",
        "eye_level": {"height_mm": 192, "school": "composition", "over_ground_mm": 1450},
        "views": [{"kind": "two_point", "left_mm": -60, "right_mm": 500}],
        "things": [
            {**_block("Bench", 268, 46, 56, 172, 42, side="left"), "kind": "bench", "legs": "tenth"},
            _block("Bollard", 108, 84, 64, 18, 22),
        ],
        "minutes": 75,
    },
)
"""The harbour's exercises, each a sheet to start from; the demonstration puts them on its shelf."""
