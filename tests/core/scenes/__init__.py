"""Random exercises in every kind of view, for property tests."""

from scenes.alone import benches, exercises, laid_out, profiles, rounded, words
from scenes.anything import ANY
from scenes.base import CORNER, ROW, VIEWS, assert_same_point, deck_in, drawn_faces_of, faces_of, solved
from scenes.furniture import (
    carved,
    corner_rooms,
    flights,
    railed,
    raised,
    ramps,
    rooms,
    round_bodies,
    round_windowed,
    tables,
)
from scenes.light import beside_walls, falling, lamplit, roof_shadowed, round_shadowed, shadowed, suns, tables_in_light
from scenes.on_faces import METRIC, divided, figured, patterned, tiled, windowed
from scenes.roofs import eaved, hipped, leaning, roofed, topped
from scenes.streets import lands, roads, rows, shaded_tracks, silhouettes, tracks

__all__ = [
    "ANY",
    "CORNER",
    "METRIC",
    "ROW",
    "VIEWS",
    "assert_same_point",
    "benches",
    "beside_walls",
    "carved",
    "corner_rooms",
    "deck_in",
    "divided",
    "drawn_faces_of",
    "eaved",
    "exercises",
    "faces_of",
    "falling",
    "figured",
    "flights",
    "hipped",
    "laid_out",
    "lamplit",
    "lands",
    "leaning",
    "patterned",
    "profiles",
    "railed",
    "raised",
    "ramps",
    "roads",
    "roof_shadowed",
    "roofed",
    "rooms",
    "round_bodies",
    "round_shadowed",
    "round_windowed",
    "rounded",
    "rows",
    "shaded_tracks",
    "shadowed",
    "silhouettes",
    "solved",
    "suns",
    "tables",
    "tables_in_light",
    "tiled",
    "topped",
    "tracks",
    "windowed",
    "words",
]
