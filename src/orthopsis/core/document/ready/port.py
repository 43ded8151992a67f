"""Ready exercises: tall stores, two streets on one sheet, a second row, the port from above and from the water."""

from typing import Any

from orthopsis.core.document.ready.written import (
    ALONE,
    HEAD,
    alley,
    block,
    box,
    gable,
    hip,
    measured,
    on_top,
    raised,
    road,
    standing,
    upon,
    windows,
)

_PANES = {"wide": "half", "tall": "half"}
_HOOKED: list[list[list[float]]] = [[[0, 0], [46, 0], [46, 20], [22, 20], [22, 44], [0, 44]]]
_WINGED: list[list[list[float]]] = [[[0, 26], [16, 26], [16, 0], [38, 0], [38, 26], [54, 26], [54, 46], [0, 46]]]
_ROUND: list[list[list[float]]] = [[[0, 0, 22, 22], [44, 0, 22, 22], [44, 44, 22, 22], [0, 44, 22, 22]]]
_SLANTED: list[list[list[float]]] = [[[0, 0], [40, 14], [52, 44], [8, 38]]]


def _tower(name: str, left: float, bottom: float, roof: list[list[list[float]]], falls: float) -> dict[str, Any]:
    """Return a tower whose roof is drawn true and whose walls fall toward the point."""
    return {"kind": "profile", "name": name, "left": left, "bottom": bottom, "outline": roof, **measured(falls)}


PORT: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "One tall store by eye, two points",
        "eye_level": {"height_mm": 70, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": 0, "right_mm": 420}],
        "things": [block("Tall store", 196, 34, 196, 98, 112, left_by="half", right_by="half")],
        "minutes": 40,
        "wording": {"level": "youngest"},
    },
    {
        **HEAD,
        "title": "Three tall stores on the quay, two points",
        "eye_level": {"height_mm": 62, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -90, "right_mm": 520}],
        "things": [
            block("Grain store", 226, 26, 224, 84, 66),
            {**block("Rope store", 226, 26, 172, 60, 50), "joined_to": "Grain store", **alley(10, "left")},
            {**block("Sail store", 226, 26, 138, 52, 60), "joined_to": "Grain store", **alley(12, "right")},
            windows("Grain windows", "left", "1:10:1", "2:9:1", "Grain store", columns="3", rows="6", **_PANES),
            windows("Grain side", "right", "1:6:1", "2:9:1", "Grain store", columns="2", rows="6", **_PANES),
            windows("Rope windows", "left", "1:6:1", "2:9:1", "Rope store", columns="2", rows="4", **_PANES),
            windows("Sail windows", "right", "1:6:1", "2:9:1", "Sail store", columns="3", rows="3", **_PANES),
        ],
        "minutes": 225,
    },
    {
        **HEAD,
        "title": "Two streets of the harbour, one point each",
        "eye_level": {"height_mm": 128, "school": "composition"},
        "views": [
            {"kind": "one_point", "x_mm": 96, "name": "left street"},
            {"kind": "one_point", "x_mm": 330, "name": "right street"},
        ],
        "things": [
            {**box("Ice house", 8, 34, 44, 150, **measured(46)), "view": "left street"},
            {**box("Bait shop", 142, 34, 62, 132, **measured(52)), "view": "left street"},
            {**box("Chandlery", 222, 34, 58, 170, **measured(60)), "view": "right street"},
            {**box("Pilot house", 372, 34, 40, 124, **measured(48)), "view": "right street"},
            {
                "kind": "rails",
                "name": "Rails",
                "view": "left street",
                "left": 72,
                "bottom": 24,
                "gauge": 46,
                "rail": 8,
                "high": 6,
                "out": 12,
                "sleepers": "6",
                "deep": 8,
                "pitch": 22,
                "thick": 5,
            },
            {**road("Street", 290, 76, dashes="3", dash=20), "view": "right street"},
            {**standing("Lamps", "lamp", 286, 24, 110, count="4", gap=40), "view": "right street"},
        ],
        "minutes": 150,
    },
    {
        **HEAD,
        "title": "A quay street with a second row, one point",
        "eye_level": {"height_mm": 104, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 236}],
        "things": [
            road("Quay road", 150, 170, dashes="4", dash=22),
            box("Net store", 16, 24, 92, 128, **measured(48)),
            {**box("Customs", 72, 52, 62, 70, **measured(34)), "joined_to": "Net store", **alley(22)},
            box("Water tower", 36, 60, 44, 178, **measured(22)),
            box("Chandlery", 340, 26, 66, 112, **measured(44)),
            box("Mill", 344, 64, 40, 150, **measured(20)),
        ],
        "minutes": 120,
    },
    {
        **HEAD,
        "title": "The port as a gull sees it, three points",
        "eye_level": {"height_mm": 262, "school": "composition"},
        "views": [
            {"kind": "three_point", "left_mm": -150, "right_mm": 560, "third_x_mm": 214, "third_y_mm": -330},
        ],
        "things": [
            block("Customs", 206, 150, 62, 54, 62),
            {**block("Rope walk", 206, 150, 44, 96, 40), "joined_to": "Customs", **alley(14, "left")},
            {**block("Net store", 206, 150, 40, 40, 58), "joined_to": "Customs", **alley(16, "right")},
            windows("Windows", "left", "1:10:1", "1:8:1", "Customs", columns="2", rows="2", **_PANES),
            hip("Spire", "Customs", 24, ridge="tip"),
            gable("Rope roof", "Rope walk", "right", 14),
            {"kind": "road", "name": "Quay", "left": 96, "bottom": 18, "width": 120, "to": "right"},
        ],
        "minutes": 180,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "The port from a rowing boat, two points",
        "eye_level": {"height_mm": 44, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -130, "right_mm": 560}],
        "things": [
            block("Grain store", 206, 30, 196, 62, 80),
            {**block("Sail loft", 206, 30, 120, 54, 52), "joined_to": "Grain store", **alley(12, "left")},
            {**block("Crane house", 206, 30, 150, 40, 48), "joined_to": "Grain store", **alley(14, "right")},
            windows("Windows", "left", "1:10:1", "2:12:1", "Grain store", columns="2", rows="5", **_PANES),
            windows("Door", "right", "2:2:3", "0:3:14", "Grain store", columns="1", wide="whole", tall="whole"),
            gable("Loft roof", "Sail loft", "left", 34),
        ],
        "minutes": 180,
    },
    {
        **HEAD,
        "title": "The pilot's house with a shed and a fence, two points",
        "eye_level": {"height_mm": 176, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 580}],
        "things": [
            block("Pilot house", 176, 62, 84, 70, 118),
            {**block("Shed", 176, 62, 44, 60, 54), "joined_to": "Pilot house", "joined_by": "against_right"},
            gable("Roof", "Pilot house", "left", 58),
            upon("Chimney", "chimney", "Roof", "3:1:1", "3:1:1", rise=40),
            on_top("Shed roof", "lean_to", "Shed", rise=20, over="left_back"),
            windows("Door", "right", "1:1:4", "0:2:1", "Pilot house", columns="1", wide="whole", tall="whole"),
            windows("Window", "left", "1:1:1", "2:2:1", "Pilot house", columns="1", wide="whole", tall="whole"),
            standing("Fence", "fence", 22, 22, 44, count="5", gap=27, to="right"),
        ],
        "minutes": 180,
    },
    {
        **HEAD,
        "title": "The harbour master's house with eaves, porch and shed, two points",
        "eye_level": {"height_mm": 186, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -130, "right_mm": 570}],
        "things": [
            block("House", 178, 40, 84, 74, 116),
            {**block("Shed", 178, 40, 40, 60, 60), "joined_to": "House", "joined_by": "against_right"},
            {**block("Porch", 178, 40, 42, 48, 60), "joined_to": "House", "joined_by": "against_left"},
            windows("Passage", "left", "1:4:1", "0:4:1", "Porch", **ALONE, relief="through"),
            windows("Door", "right", "1:1:3", "0:3:2", "House", **ALONE),
            windows("Windows", "right", "3:3:1", "3:2:2", "House", columns="2", wide="half", tall="whole"),
            on_top("Eaves", "eaves", "House", over=8, thick=4),
            hip("Roof", "Eaves", 44),
            on_top("Shed roof", "lean_to", "Shed", rise=12, over="left"),
            on_top("Porch roof", "lean_to", "Porch", rise=10, over="right"),
        ],
        "minutes": 180,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "A small world of towers about one point",
        "eye_level": {"height_mm": 148},
        "views": [{"kind": "one_point", "x_mm": 210}],
        "things": [
            box("Grain tower", 40, 206, 58, 52, **measured(96)),
            box("Ice tower", 96, 214, 40, 30, **measured(60)),
            _tower("Net tower", 24, 112, _HOOKED, 104),
            box("Rope tower", 62, 34, 60, 46, **measured(88)),
            _tower("Salt tower", 176, 14, _WINGED, 74),
            box("Sail tower", 286, 28, 52, 56, **measured(92)),
            box("Bait tower", 262, 40, 34, 30, **measured(56)),
            _tower("Light tower", 338, 120, _ROUND, 100),
            _tower("Customs", 304, 210, _SLANTED, 104),
            box("Mill", 196, 238, 46, 40, **measured(64)),
            windows("Grain windows", "right", "2:9:1", "1:8:1", "Grain tower", columns="3", rows="3", **_PANES),
            windows("Rope windows", "top", "2:9:1", "1:8:1", "Rope tower", columns="3", rows="3", **_PANES),
            windows("Sail windows", "left", "2:9:1", "1:8:1", "Sail tower", columns="3", rows="3", **_PANES),
            windows("Mill windows", "bottom", "2:9:1", "1:8:1", "Mill", columns="2", rows="3", **_PANES),
        ],
        "minutes": 180,
    },
    {
        **HEAD,
        "title": "A corner of the quay with a pavement, two points",
        "eye_level": {"height_mm": 108, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 560}],
        "things": [
            block("Pavement", 206, 26, 5, 160, 170),
            raised("Customs", "Pavement", "1:5:6", "1:5:6", 124),
            raised("Chandlery", "Pavement", "6:5:1", "1:5:6", 70),
            raised("Sail loft", "Pavement", "1:5:6", "6:5:1", 84),
            windows("Customs windows", "right", "1:8:1", "4:4:1", "Customs", columns="3", rows="2", **_PANES),
            windows("Customs door", "left", "2:2:3", "0:2:5", "Customs", **ALONE),
            gable("Gable", "Chandlery", "right", 26),
            hip("Roof", "Sail loft", 28),
        ],
        "minutes": 180,
    },
)
