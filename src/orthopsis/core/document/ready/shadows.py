"""Ready exercises: what stands on the ground and the shadow that it casts there, by the sun wherever it stands."""

from typing import Any

from orthopsis.core.document.ready.rooms import flight, on_floor, room
from orthopsis.core.document.ready.round_things import round_body
from orthopsis.core.document.ready.written import ALONE, HEAD, block, box, division, measured, raised, windows


def shadow(host: str) -> dict[str, Any]:
    """Return the shadow of a block on the ground."""
    return {"kind": "shadow", "name": f"Shadow of {host}", "joined_to": host, "joined_by": "face_ground"}


def falls_on(host: str, face: str = "ground") -> dict[str, Any]:
    """Return what falls of the shadows of a sheet on a block, or on steps."""
    return {"kind": "fallen_shadow", "name": f"Shadow upon {host}", "joined_to": host, "joined_by": f"face_{face}"}


SHELVES = {"columns": "1", "rows": "2", "wide": "whole", "tall": "fifth", "relief": "out", "deep": 14}

SHADOWS: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "Three crates and their shadows, one point",
        "eye_level": {"height_mm": 192, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 236}],
        "things": [
            box("Low crate", 38, 34, 58, 46, **measured(58)),
            box("Tall crate", 162, 62, 48, 74, **measured(46)),
            box("Chest", 304, 40, 62, 40, **measured(64)),
            shadow("Low crate"),
            shadow("Tall crate"),
            shadow("Chest"),
        ],
        "rays": "60",
        "minutes": 60,
    },
    {
        **HEAD,
        "title": "Two stores in the evening sun, two points",
        "eye_level": {"height_mm": 118, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 580}],
        "things": [
            block("Long store", 142, 62, 86, 66, 54),
            block("Fish store", 322, 34, 56, 62, 50),
            shadow("Long store"),
            shadow("Fish store"),
        ],
        "light": "right",
        "rays": "45",
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "The net room with shadows, one point",
        "eye_level": {"height_mm": 172, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 214}],
        "things": [
            room("Net room", 30, 20, 360, 252, 112),
            {**on_floor("Chest", "2:3:7", "2:3:7", 52), "joined_to": "Net room"},
            {**on_floor("Bench", "6:3:3", "6:3:3", 34), "joined_to": "Net room"},
            windows("Window", "left_wall", "2:4:2", "4:4:2", "Net room", **ALONE),
            shadow("Chest"),
            shadow("Bench"),
        ],
        "rays": "60",
        "minutes": 120,
    },
    {
        **HEAD,
        "title": "A pier block and its shadow on the quay, two points",
        "eye_level": {"height_mm": 206, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 560}],
        "things": [
            block("Quay", 204, 26, 12, 156, 184),
            raised("Block", "Quay", "2:3:4", "3:3:3", 52),
            shadow("Block"),
        ],
        "rays": "60",
        "minutes": 60,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "Tub and funnel in the sun, two points",
        "eye_level": {"height_mm": 210, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 560}],
        "things": [
            block("Quay", 206, 26, 12, 158, 182),
            round_body("Tub", "Quay", "2:4:10", "5:4:7", 52),
            round_body("Funnel", "Quay", "9:4:3", "5:4:7", 66, "cone"),
            shadow("Tub"),
            shadow("Funnel"),
        ],
        "rays": "45",
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "Fish boxes against the sun, one point",
        "eye_level": {"height_mm": 204, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 198}],
        "things": [
            box("Wide box", 62, 112, 74, 26, **measured(46)),
            box("Tall box", 182, 100, 46, 34, **measured(40)),
            box("Long box", 286, 126, 54, 20, **measured(48)),
            shadow("Wide box"),
            shadow("Tall box"),
            shadow("Long box"),
        ],
        "sun": {"stands": "ahead", "aside_mm": 46, "height_mm": 78},
        "minutes": 75,
    },
    {
        **HEAD,
        "title": "Two stores with the sun behind you, two points",
        "eye_level": {"height_mm": 158, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 540}],
        "things": [
            block("Ice store", 118, 52, 60, 62, 58),
            block("Salt store", 280, 70, 44, 56, 62),
            shadow("Ice store"),
            shadow("Salt store"),
        ],
        "sun": {"stands": "behind", "aside_mm": 170, "height_mm": 78},
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "Mooring posts against the sun, two points",
        "eye_level": {"height_mm": 214, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -130, "right_mm": 560}],
        "things": [
            block("Quay", 206, 18, 12, 168, 176),
            round_body("Post", "Quay", "3:3:6", "6:3:3", 22),
            round_body("Marker", "Quay", "8:2:2", "7:2:3", 24, "cone"),
            shadow("Post"),
            shadow("Marker"),
        ],
        "sun": {"stands": "ahead", "aside_mm": 52, "height_mm": 76},
        "minutes": 120,
    },
    {
        **HEAD,
        "title": "The watch room by lamplight, one point",
        "eye_level": {"height_mm": 176, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 206}],
        "things": [
            {**room("Watch room", 28, 18, 364, 258, 96), "ceiling": "drawn"},
            {**on_floor("Chest", "4:4:8", "2:4:10", 42), "joined_to": "Watch room"},
            {**on_floor("Bench", "3:3:10", "10:4:2", 22), "joined_to": "Watch room"},
            {**on_floor("Crate", "10:3:3", "11:2:3", 40), "joined_to": "Watch room"},
            windows("Window", "left_wall", "2:4:2", "4:4:2", "Watch room", **ALONE),
            shadow("Chest"),
            shadow("Bench"),
            shadow("Crate"),
        ],
        "light": "right",
        "sun": {"stands": "lamp", "aside_mm": 6, "height_mm": 68, "foot_mm": 108},
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "A corner of the salt store by lamplight, two points",
        "eye_level": {"height_mm": 176, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -90, "right_mm": 510}],
        "things": [
            {
                "kind": "room",
                "name": "Salt store",
                "left": 214,
                "bottom": 116,
                "height": 118,
                "left_length": 96,
                "right_length": 104,
                "ceiling": "drawn",
            },
            {**on_floor("Sack box", "4:4:8", "11:3:2", 30), "joined_to": "Salt store"},
            {**on_floor("Low box", "10:3:3", "6:4:6", 22), "joined_to": "Salt store"},
            shadow("Sack box"),
            shadow("Low box"),
        ],
        "light": "right",
        "sun": {"stands": "lamp", "aside_mm": 4, "height_mm": 34, "foot_mm": 76},
        "minutes": 105,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "Rope chests whose shadows climb the wall, one point",
        "eye_level": {"height_mm": 168, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 184}],
        "things": [
            {**room("Rope store", 30, 20, 360, 250, 104), "ceiling": "drawn"},
            {**on_floor("Tall chest", "2:3:11", "9:5:2", 62), "joined_to": "Rope store"},
            {**on_floor("Cupboard", "11:3:2", "12:3:1", 92), "joined_to": "Rope store"},
            shadow("Tall chest"),
            shadow("Cupboard"),
        ],
        "rays": "45",
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "A tall crate's shadow over a low chest, two points",
        "eye_level": {"height_mm": 176, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 590}],
        "things": [
            block("Tall crate", 138, 66, 62, 42, 40),
            block("Low chest", 272, 50, 36, 78, 66),
            shadow("Tall crate"),
            shadow("Low chest"),
            falls_on("Low chest"),
        ],
        "rays": "30",
        "minutes": 105,
    },
    {
        **HEAD,
        "title": "A mooring post's shadow over the harbour steps, two points",
        "eye_level": {"height_mm": 212, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -130, "right_mm": 570}],
        "things": [
            block("Quay", 206, 14, 10, 160, 172),
            flight("Steps", "Quay", "top", "6:8:2", "3:7:3", 54, "4"),
            raised("Post", "Quay", "2:1:13", "6:1:6", 84),
            shadow("Post"),
            falls_on("Steps", "steps"),
        ],
        "sun": {"stands": "behind", "aside_mm": 196, "height_mm": 96},
        "minutes": 150,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "The harbour master's room by lamplight, one point",
        "eye_level": {"height_mm": 150, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 176, "distance_mm": 330}],
        "things": [
            {**room("Room", 30, 20, 360, 252, 112), "ceiling": "drawn"},
            on_floor("Worktop", "9:3:0", "0:9:3", 64),
            on_floor("Side top", "3:6:3", "0:2:10", 64),
            {**on_floor("Table", "12:7:9", "15:9:6", 56), "kind": "table", "thick": 5},
            round_body("First stool", "Room", "3:2:19", "10:2:12", 36, face="floor"),
            round_body("Second stool", "Room", "3:2:19", "14:2:8", 36, face="floor"),
            round_body("Third stool", "Room", "3:2:19", "18:2:4", 36, face="floor"),
            windows("Window", "back_wall", "2:3:4", "4:3:2", "Room", **ALONE, relief="in", deep=8),
            windows("Shelves", "left_wall", "3:5:2", "6:3:1", "Room", **SHELVES),
            division("Tiles", "Room", "floor", way="tiles", bay=30),
            shadow("Table"),
            shadow("First stool"),
            shadow("Second stool"),
            shadow("Third stool"),
        ],
        "light": "right",
        "sun": {"stands": "lamp", "aside_mm": 84, "height_mm": 66, "foot_mm": 83},
        "minutes": 270,
        "wording": {"level": "oldest"},
    },
)
