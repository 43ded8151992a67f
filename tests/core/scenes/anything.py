"""Any exercise at all: each kind of thing, on each kind of face, in each kind of view."""

from hypothesis import strategies as st

from scenes.alone import benches, exercises, laid_out, profiles, rounded, words
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
from scenes.light import beside_walls, falling, lamplit, roof_shadowed, round_shadowed, shadowed, tables_in_light
from scenes.on_faces import divided, figured, patterned, tiled, windowed
from scenes.roofs import eaved, hipped, leaning, roofed, topped
from scenes.streets import lands, roads, rows, shaded_tracks, silhouettes, tracks

ANY = st.one_of(
    exercises(),
    profiles(),
    words(),
    benches(),
    laid_out(),
    rounded(),
    divided(),
    patterned(),
    tiled(),
    figured(),
    carved(),
    roofed(),
    rows(),
    roads(),
    silhouettes(),
    tracks(),
    shaded_tracks(),
    lands(),
    hipped(),
    leaning(),
    eaved(),
    raised(),
    rooms(),
    corner_rooms(),
    tables(),
    tables_in_light(),
    flights(),
    ramps(),
    railed(),
    falling(),
    round_bodies(),
    round_windowed(),
    shadowed(),
    round_shadowed(),
    roof_shadowed(),
    lamplit(),
    beside_walls(),
    topped(),
    windowed(("flat", "out", "in"), ("rectangle", "round", "arch", "pointed", "lozenge", "triangle")),
)
