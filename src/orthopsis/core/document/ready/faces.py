"""Ready exercises: what lies on faces: divisions, patterns, signs."""

from typing import Any

from orthopsis.core.document.ready.written import HEAD, block, carved, division, figure, sign, word

FACES: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "R deep and R thin, two points",
        "eye_level": {"height_mm": 158, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 540}],
        "things": [
            {**block("Deep R", 150, 56, 118, 74, 92), **word("R", "block", 150, 56, 118, width=60), "name": "Deep R"},
            {**block("Thin R", 338, 72, 104, 84, 16), **word("R", "round", 338, 72, 104, width=60), "name": "Thin R"},
        ],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "The wall of a net loft: bays and a middle, two points",
        "eye_level": {"height_mm": 118, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 556}],
        "things": [
            block("Net loft", 158, 64, 152, 98, 196),
            division("Boards", "Net loft", "right", way="repeat_near", along="5", bay=46),
            division("Gable's middle", "Net loft", "left", way="halving", along="2", stays="light"),
            division("Floors", "Net loft", "left", way="diagonal", along="1", up="3"),
        ],
        "minutes": 60,
    },
    {
        **HEAD,
        "title": "Patterns on COVE, two points",
        "eye_level": {"height_mm": 176, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -130, "right_mm": 520}],
        "things": [
            {
                **block("Cove", 330, 52, 178, 226, 24),
                **word("COVE", "block", 330, 52, 178, width=64, gap=14, thickness="third"),
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
        **HEAD,
        "title": "A crate marked on three faces, two points",
        "eye_level": {"height_mm": 214, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 540}],
        "things": [
            block("Crate", 188, 38, 112, 118, 138),
            sign("Number", "R7", "left", rim="fifth"),
            sign("Harbour", "COVE", "right", rim="tenth"),
            sign("Top", "T", "top", rim="fifth"),
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "The harbour board: a star cut through and an arrow, two points",
        "eye_level": {"height_mm": 134, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 560}],
        "things": [
            {**block("Board", 344, 40, 196, 242, 20)},
            figure("Star", "star", "Board", "left", along="8:7:2", up="5:8:5", relief="through"),
            figure("Arrow", "arrow", "Board", "left", along="2:5:10", up="5:7:6", relief="out", deep=8),
        ],
        "minutes": 150,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "A fish van carved from its box, two points",
        "eye_level": {"height_mm": 196, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 540}],
        "things": [block("Box", 262, 42, 104, 164, 66), carved("Van", "van", "Box", "left")],
        "minutes": 60,
    },
)
