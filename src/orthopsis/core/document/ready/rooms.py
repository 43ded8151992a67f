"""Ready exercises: rooms that one looks into, with what stands and hangs in them; stairs."""

from typing import Any

from orthopsis.core.document.ready.written import (
    ALONE,
    HEAD,
    block,
    box,
    carved,
    division,
    figure,
    measured,
    raised,
    windows,
)


def room(name: str, left: float, bottom: float, width: float, height: float, back_mm: float) -> dict[str, Any]:
    """Return a room that one looks into, its back wall measured."""
    frame = {"left": left, "bottom": bottom, "width": width, "height": height}
    return {"kind": "room", "name": name, **frame, **measured(back_mm)}


def corner_room(
    name: str, left: float, bottom: float, height: float, left_mm: float, right_mm: float, **more: Any
) -> dict[str, Any]:  # fmt: skip
    """Return a room about its back corner, its walls measured aside."""
    walls = {"left_length": left_mm, "right_length": right_mm}
    return {"kind": "room", "name": name, "left": left, "bottom": bottom, "height": height, **walls, **more}


def on_floor(name: str, along: str, up: str, rise: float) -> dict[str, Any]:
    """Return a piece of furniture that is raised from its plan on the floor of the room."""
    return {**raised(name, "Room", along, up, rise), "joined_by": "face_floor"}


def flight(
    name: str, host: str, face: str, along: str, up: str, rise: float, steps: str, **more: Any
) -> dict[str, Any]:  # fmt: skip
    """Return stairs from their plan on a level face."""
    stands = {**raised(name, host, along, up, rise), "kind": "stairs", "joined_by": f"face_{face}"}
    return {**stands, "steps": steps, **more}


def tiles(host: str, face: str, wide_mm: float) -> dict[str, Any]:
    """Return square tiles on a level face, every other one dark."""
    return division("Tiles", host, face, way="tiles", bay=wide_mm, fields="checkered")


SHELVES = {"columns": "1", "wide": "whole", "tall": "fifth", "relief": "out"}
"""Boards that stand out of a wall, over each other."""
AT_EDGE = {"reach": "edge"}
"""A height that is measured at the edge of the floor, so that it is as tall in truth as others that are."""


ROOMS: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "An empty room with a window and a door, one point",
        "eye_level": {"height_mm": 132, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 236}],
        "things": [
            room("Room", 30, 20, 360, 252, 110),
            windows("Window", "left_wall", "2:3:2", "4:4:2", "Room", **ALONE),
            windows("Door", "back_wall", "5:2:2", "0:3:2", "Room", **ALONE),
        ],
        "minutes": 60,
    },
    {
        **HEAD,
        "title": "The harbour master's room, one point",
        "eye_level": {"height_mm": 150, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 176}],
        "things": [
            room("Room", 30, 20, 360, 252, 118),
            on_floor("Worktop", "9:3:0", "0:7:5", 64),
            on_floor("Side top", "2:7:3", "0:2:10", 93),
            on_floor("Chest", "3:3:6", "8:3:1", 46),
            {**on_floor("Table", "4:3:5", "4:3:5", 70), "kind": "table", "thick": 5},
            raised("Book", "Table", "1:1:2", "2:1:1", 4),
            windows("Window", "back_wall", "2:3:4", "4:3:2", "Room", **ALONE, relief="in", deep=8),
            windows(
                "Shelves",
                "right_wall",
                "3:4:2",
                "3:4:2",
                "Room",
                columns="1",
                rows="3",
                wide="whole",
                tall="fifth",
                relief="out",
                deep=18,
            ),
        ],
        "minutes": 180,
    },
    {
        **HEAD,
        "title": "A flight of stairs in the net loft, one point",
        "eye_level": {"height_mm": 156, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 150}],
        "things": [
            room("Room", 30, 20, 360, 252, 120),
            flight("Stairs", "Room", "floor", "3:7:2", "7:4:1", 96, "6"),
            windows("Window", "left_wall", "2:3:2", "4:4:2", "Room", **ALONE),
        ],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "Stairs on the quay, two points",
        "eye_level": {"height_mm": 186, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -120, "right_mm": 560}],
        "things": [
            block("Quay", 196, 24, 10, 150, 180),
            flight("Stairs", "Quay", "top", "2:8:2", "3:6:3", 80, "5"),
        ],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "A corner of the harbour office, two points",
        "eye_level": {"height_mm": 198, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -170, "right_mm": 610}],
        "things": [
            corner_room("Room", 224, 112, 124, 132, 126),
            on_floor("Chest", "1:2:3", "5:3:1", 34),
            on_floor("Stool", "5:1:3", "3:1:4", 26),
            windows("Window", "left_wall", "2:3:2", "3:4:2", "Room", **ALONE),
            windows("Door", "right_wall", "4:2:2", "0:3:2", "Room", **ALONE, relief="in", deep=6),
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "The sail loft with its ceiling, two points",
        "eye_level": {"height_mm": 158, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -240, "right_mm": 680}],
        "things": [
            corner_room("Room", 208, 112, 92, 116, 122, ceiling="drawn"),
            {**on_floor("Table", "2:3:5", "2:3:4", 46), "kind": "table", "thick": 5},
            windows("Windows", "left_wall", "1:6:1", "3:3:2", "Room", columns="2", rows="1", wide="half", tall="whole"),
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "The net store behind a partition, one point",
        "eye_level": {"height_mm": 138, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 232}],
        "things": [
            room("Room", 30, 20, 360, 252, 122),
            {**on_floor("Partition", "4:1:5", "0:4:8", 40), "reach": "ceiling"},
            {**on_floor("Post", "6:1:3", "9:1:2", 40), "reach": "ceiling"},
            on_floor("Chest", "2:2:6", "7:3:2", 40),
            windows("Door", "back_wall", "6:2:4", "0:3:2", "Room", **ALONE),
        ],
        "minutes": 120,
    },
    {
        **HEAD,
        "title": "A checkered floor by the distance point, one point",
        "eye_level": {"height_mm": 146, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 214, "distance_mm": 204}],
        "things": [
            room("Room", 98, 40, 232, 188, 84),
            tiles("Room", "floor", 29),
            windows("Window", "back_wall", "2:3:4", "4:3:2", "Room", **ALONE),
        ],
        "minutes": 90,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "A tiled landing stage by two measuring points, two points",
        "eye_level": {"height_mm": 208, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 570, "centre_mm": 214}],
        "things": [block("Stage", 210, 74, 14, 88, 92), tiles("Stage", "top", 22)],
        "minutes": 90,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "The lighthouse steps with two landings, one point",
        "eye_level": {"height_mm": 238, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 290}],
        "things": [
            box("Rock", 74, 20, 240, 14, **measured(150)),
            {**raised("Landing", "Rock", "8:16:0", "0:24:0", 32), **AT_EDGE},
            flight("Flight", "Rock", "top", "2:6:16", "8:6:10", 32, "4", **AT_EDGE),
            {**raised("Upper landing", "Landing", "8:8:0", "0:24:0", 24), **AT_EDGE},
            flight("Upper flight", "Landing", "top", "2:6:8", "13:6:5", 24, "3", **AT_EDGE),
        ],
        "minutes": 150,
    },
    {
        **HEAD,
        "title": "The net loft open to the sea, one point",
        "eye_level": {"height_mm": 150, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 196}],
        "things": [
            room("Loft", 30, 20, 360, 252, 104),
            windows(
                "Beams",
                "ceiling",
                "1:8:1",
                "0:1:0",
                "Loft",
                columns="3",
                rows="1",
                wide="quarter",
                tall="whole",
                relief="out",
                deep=12,
            ),
            windows("Sea door", "back_wall", "2:4:1", "0:5:1", "Loft", **ALONE, relief="open", deep=8),
            windows("Hatch", "left_wall", "2:3:2", "4:3:3", "Loft", **ALONE, relief="open", deep=7),
            {**on_floor("Chest", "2:2:5", "6:3:1", 40), "joined_to": "Loft"},
        ],
        "minutes": 135,
    },
    {
        **HEAD,
        "title": "The harbour stairs that turn at the landing, one point",
        "eye_level": {"height_mm": 244, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 190}],
        "things": [
            box("Quay", 64, 20, 290, 12, **measured(150)),
            {**raised("Landing", "Quay", "12:12:0", "0:24:0", 40), **AT_EDGE},
            flight("Flight", "Quay", "top", "2:10:12", "1:6:17", 40, "5", **AT_EDGE),
            {**raised("Upper landing", "Landing", "0:8:0", "17:7:0", 36), **AT_EDGE},
            {**flight("Upper flight", "Landing", "top", "1:6:1", "8:9:7", 36, "4", **AT_EDGE), "climbs": "up"},
        ],
        "minutes": 165,
    },
    {
        **HEAD,
        "title": "The watch tower's stairs with a handrail, two points",
        "eye_level": {"height_mm": 204, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -150, "right_mm": 560}],
        "things": [
            block("Terrace", 214, 22, 12, 148, 170),
            flight("Stairs", "Terrace", "top", "2:8:2", "3:5:4", 84, "6"),
            {
                "kind": "handrail",
                "name": "Handrail",
                "joined_to": "Stairs",
                "joined_by": "face_steps",
                "high": 36,
                "bars": "two",
                "on": "both",
            },
        ],
        "minutes": 165,
    },
    {
        **HEAD,
        "title": "The rope store with shelves, one point",
        "eye_level": {"height_mm": 156, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 232}],
        "things": [
            room("Room", 30, 20, 360, 252, 116),
            windows("Shelves", "back_wall", "1:6:1", "2:8:1", "Room", **SHELVES, rows="3", deep=16),
            windows("Side shelves", "left_wall", "1:5:1", "3:8:1", "Room", **SHELVES, rows="2", deep=34),
            windows("Door", "right_wall", "1:2:3", "0:3:1", "Room", **ALONE, relief="in", deep=6),
            on_floor("Counter", "3:3:6", "8:3:1", 62),
            on_floor("Crate", "8:3:1", "4:2:6", 38),
            {**on_floor("Keg", "2:2:8", "2:2:8", 48), "kind": "round_body", "form": "cylinder"},
        ],
        "minutes": 165,
    },
    {
        **HEAD,
        "title": "The pilots' room with a sofa and a chair, two points",
        "eye_level": {"height_mm": 200, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -160, "right_mm": 600}],
        "things": [
            corner_room("Room", 216, 112, 126, 138, 132),
            on_floor("Long box", "1:4:1", "5:3:1", 46),
            carved("Sofa", "sofa", "Long box", "left"),
            on_floor("Box", "3:2:3", "1:2:5", 62),
            carved("Chair", "chair", "Box", "left"),
            windows("Window", "left_wall", "2:3:2", "3:4:2", "Room", **ALONE),
        ],
        "minutes": 150,
    },
    {
        **HEAD,
        "title": "Harbour steps carved from a block, three points",
        "sheet": {"paper": "A3", "orientation": "portrait"},
        "eye_level": {"height_mm": 372, "school": "composition"},
        "views": [{"kind": "three_point", "left_mm": -156, "right_mm": 458, "third_x_mm": 156, "third_y_mm": -224}],
        "things": [block("Block", 150, 248, 96, 72, 96), carved("Steps", "steps", "Block", "right")],
        "minutes": 60,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "The galley with drawers, plinth and hood, one point",
        "eye_level": {"height_mm": 160, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 290}],
        "things": [
            room("Room", 30, 20, 360, 252, 112),
            on_floor("Long box", "6:6:0", "0:5:7", 84),
            carved("Worktop", "worktop", "Long box", "right"),
            windows(
                "Drawers",
                "front",
                "0:1:0",
                "2:9:1",
                "Long box",
                columns="2",
                rows="3",
                wide="three_quarters",
                tall="three_quarters",
            ),
            figure("Hood", "hood", "Room", "back_wall", along="1:3:8", up="6:3:1", relief="out", deep=24),
            windows(
                "Cupboards",
                "back_wall",
                "6:5:1",
                "7:3:2",
                "Room",
                columns="2",
                rows="1",
                wide="three_quarters",
                tall="whole",
                relief="out",
                deep=16,
            ),
        ],
        "minutes": 150,
    },
    {
        **HEAD,
        "title": "Steps up to the mole by the point of their slope, one point",
        "eye_level": {"height_mm": 150, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 306, "distance_mm": 470}],
        "things": [
            box("Mole", 68, 24, 280, 20, depth_by="measured", depth=120),
            flight("Steps", "Mole", "top", "2:6:2", "1:4:5", 55, "5", over_by="slope"),
        ],
        "minutes": 75,
    },
    {
        **HEAD,
        "title": "Three stools in a row with foot rests, one point",
        "eye_level": {"height_mm": 196, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 250}],
        "things": [
            room("Room", 30, 20, 360, 252, 120),
            *(
                {**on_floor(name, "2:4:11", across, 72), **AT_EDGE, "kind": "table", "thick": 6, "rest": "third"}
                for name, across in (("First stool", "2:3:13"), ("Second stool", "7:3:8"), ("Third stool", "12:3:3"))
            ),
        ],
        "minutes": 270,
    },
)
