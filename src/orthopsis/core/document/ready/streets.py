"""Ready exercises: roads and quays, streets with houses on both sides, a corner of the town."""

from typing import Any

from orthopsis.core.document.ready.written import HEAD, alley, block, box, gable, hip, measured, road, standing, windows

STREETS: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "A road to the harbour with three sizes of tree, one point",
        "eye_level": {"height_mm": 148, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 210}],
        "things": [
            road("Harbour road", 154, 112, dashes="3", dash=34, dashes_by="eye"),
            standing("Big tree", "tree", 62, 36, 168),
            standing("Middle tree", "tree", 322, 84, 96),
            standing("Small tree", "tree", 164, 122, 40),
        ],
        "minutes": 45,
        "wording": {"level": "youngest"},
    },
    {
        **HEAD,
        "title": "A quay street with both sides, one point",
        "eye_level": {"height_mm": 112, "school": "composition", "over_ground_mm": 1600},
        "views": [{"kind": "one_point", "x_mm": 224}],
        "things": [
            road("Quay road", 132, 176, dashes="4", dash=24, beside="both", pave=30, kerb=3),
            box("Sail loft", 14, 22, 84, 176, **measured(60)),
            {**box("Net store", 119, 67, 42, 66, **measured(26)), "joined_to": "Sail loft", **alley(17)},
            box("Chandlery", 338, 26, 70, 150, **measured(52)),
            {**box("Smoke house", 287, 64, 38, 80, **measured(24)), "joined_to": "Chandlery", **alley(12)},
            windows("Windows", "right", "1:10:1", "8:3:1", "Sail loft", columns="3", wide="half", tall="whole"),
            standing("Lamps", "lamp", 116, 14, 122, count="5", gap=44),
            standing("Sailor", "figure", 262, 36, 60, tall_by="level", share="same"),
            standing("Porter", "figure", 206, 78, 60, tall_by="level", share="same"),
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "The harbour master's house with a hip roof, two points",
        "eye_level": {"height_mm": 104, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 560}],
        "things": [
            block("House", 182, 56, 92, 82, 150),
            windows("Door", "left", "4:4:5", "0:5:4", "House", columns="1", wide="whole", tall="whole"),
            windows("Windows", "right", "1:10:1", "4:4:2", "House", columns="3", wide="half", tall="whole"),
            hip("Roof", "House", 58),
            road("Quay road", 26, 96, to="right"),
            standing("Fir", "fir", 64, 70, 104),
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "A corner of the harbour town, two points",
        "eye_level": {"height_mm": 118, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -60, "right_mm": 500}],
        "things": [
            block("Corner store", 206, 44, 178, 58, 66),
            {**block("Rope walk", 206, 44, 120, 52, 40), "joined_to": "Corner store", "joined_by": "against_left"},
            {**block("Net store", 206, 44, 136, 38, 36), "joined_to": "Rope walk", "joined_by": "against_left"},
            {**block("Smoke house", 206, 44, 78, 30, 30), "joined_to": "Net store", "joined_by": "against_left"},
            {**block("Customs", 206, 44, 140, 40, 58), "joined_to": "Corner store", "joined_by": "against_right"},
            {**block("Chandlery", 206, 44, 86, 36, 44), "joined_to": "Customs", "joined_by": "against_right"},
            {**block("Boat shed", 206, 44, 104, 26, 30), "joined_to": "Chandlery", **alley(10, "right")},
            windows("Store windows", "right", "1:10:1", "9:8:1", "Corner store", columns="3", rows="3", wide="half"),
            windows("Walk windows", "left", "1:10:1", "5:4:1", "Rope walk", columns="3", wide="half", tall="whole"),
            hip("Spire", "Corner store", 74, ridge="tip"),
            gable("Gable", "Customs", "right", 26),
        ],
        "minutes": 180,
    },
)
