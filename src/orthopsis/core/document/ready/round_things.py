"""Ready exercises: tubs, pails, barrels, a light tower: what is round comes into its box."""

from typing import Any

from orthopsis.core.document.ready.rooms import room
from orthopsis.core.document.ready.written import (
    ALONE,
    HEAD,
    block,
    box,
    measured,
    raised,
    shape,
    windows,
    windows_round,
)


def round_body(
    name: str, host: str, along: str, up: str, rise: float, form: str = "cylinder", face: str = "top", **more: Any
) -> dict[str, Any]:  # fmt: skip
    """Return a round body on a level top or a floor."""
    stands = {**raised(name, host, along, up, rise), "kind": "round_body", "joined_by": f"face_{face}"}
    return {**stands, "form": form, **more}


ROUND_THINGS: tuple[dict[str, Any], ...] = (
    {
        **HEAD,
        "title": "A tub on a crate, one point",
        "eye_level": {"height_mm": 240, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 226}],
        "things": [
            box("Crate", 120, 40, 190, 64, **measured(110)),
            round_body("Tub", "Crate", "1:6:1", "1:6:1", 46, inside="open"),
        ],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "Tub, pail, bollard and funnel on the quay, two points",
        "eye_level": {"height_mm": 214, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -110, "right_mm": 540}],
        "things": [
            block("Quay", 200, 26, 12, 152, 176),
            round_body("Tub", "Quay", "1:4:7", "1:4:7", 44),
            round_body("Pail", "Quay", "1:4:7", "7:4:1", 42, "pail", inside="open"),
            round_body("Bollard", "Quay", "7:4:1", "1:4:7", 62, "stool"),
            round_body("Funnel", "Quay", "7:4:1", "7:4:1", 58, "cone"),
        ],
        "minutes": 180,
    },
    {
        **HEAD,
        "title": "The light tower on the mole, two points",
        "eye_level": {"height_mm": 84, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -130, "right_mm": 570}],
        "things": [
            block("Mole", 204, 22, 12, 124, 146),
            round_body("Tower", "Mole", "1:2:1", "1:2:1", 128, "stool"),
            round_body("Lantern", "Tower", "1:2:1", "1:2:1", 24),
            round_body("Roof", "Lantern", "0:1:0", "0:1:0", 26, "cone"),
        ],
        "minutes": 135,
        "wording": {"level": "oldest"},
    },
    {
        **HEAD,
        "title": "The boathouse with barrels, one point",
        "eye_level": {"height_mm": 176, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 244}],
        "things": [
            room("Boathouse", 30, 20, 360, 252, 124),
            round_body("Barrel", "Boathouse", "1:3:8", "1:3:8", 74, face="floor"),
            round_body("Second barrel", "Boathouse", "1:3:8", "4:3:5", 74, face="floor"),
            round_body("Third barrel", "Boathouse", "5:3:4", "1:3:8", 74, face="floor"),
            round_body("Pail", "Boathouse", "1:2:9", "9:2:1", 46, "pail", face="floor", inside="open"),
            windows("Gate", "back_wall", "1:2:1", "0:4:1", "Boathouse", **ALONE),
            windows("Porthole", "right_wall", "2:2:1", "2:2:1", "Boathouse", **ALONE, form="round"),
        ],
        "minutes": 180,
    },
    {
        **HEAD,
        "title": "Drum and pipe lying by a crate, one point",
        "eye_level": {"height_mm": 176, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 208}],
        "things": [
            shape("Drum", "disc", 46, 52, 84, 84, **measured(64)),
            shape("Pipe", "round O", 286, 48, 88, 88, **measured(72)),
            box("Crate", 172, 36, 72, 46, **measured(58)),
        ],
        "minutes": 90,
    },
    {
        **HEAD,
        "title": "Bait bins with bands on the quay, two points",
        "eye_level": {"height_mm": 226, "school": "composition"},
        "views": [{"kind": "two_point", "left_mm": -132, "right_mm": 558}],
        "things": [
            block("Quay", 210, 18, 8, 168, 164),
            {**round_body("Bait bin", "Quay", "1:4:7", "1:4:7", 92, inside="open"), "bands": "two"},
            {**round_body("Rope bin", "Quay", "7:4:1", "1:4:7", 60), "bands": "one"},
            {**round_body("Ice bin", "Quay", "1:4:7", "7:4:1", 60), "bands": "three"},
        ],
        "minutes": 180,
    },
    {
        **HEAD,
        "title": "A watch tower with lookouts round its wall, two points",
        "eye_level": {"height_mm": 92, "school": "exercise"},
        "views": [{"kind": "two_point", "left_mm": -140, "right_mm": 580}],
        "things": [
            block("Mole", 206, 20, 10, 134, 150),
            round_body("Tower", "Mole", "1:4:1", "1:4:1", 150),
            round_body("Roof", "Tower", "0:1:0", "0:1:0", 44, "cone"),
            windows_round("Lookouts", "Tower", "left", "1:5:3", "5:3:1"),
            windows_round("Door", "Tower", "right", "3:1:2", "0:2:5", columns="1", wide="whole"),
        ],
        "minutes": 180,
    },
)
