"""How long does a teacher take to make, show and print each exercise at the Desk?

A script does what a teacher does, one act of the hand after another (a click, a drag, a value typed), with a pause for
looking and aiming before each. Figures of its own, in the harbour's words.
"""

import sys
import time
from collections.abc import Callable

import desk_rooms
import desk_sheets
import desk_streets
from desk_teacher import PAUSE_S, TYPED_S, Teacher
from report import report
from serving import signed_in

BAR_S = 120

EXERCISES: dict[str, Callable[[Teacher], None]] = {
    "first_boxes": desk_sheets.first_boxes,
    "cubes": desk_sheets.cubes,
    "letter_h": desk_sheets.letter(desk_sheets.H, "38", "corner 3"),
    "letter_f": desk_sheets.letter(desk_sheets.F, "18", "corner 9"),
    "letter_two_points": desk_sheets.letter_in_two,
    "letters_three_points": desk_sheets.letters_in_three,
    "box_two_points": desk_sheets.box_in_two,
    "word_about_the_point": desk_sheets.word_about_the_point,
    "divided_wall": desk_sheets.divided_wall,
    "road_with_trees": desk_streets.road_with_trees,
    "quay_street": desk_streets.quay_street,
    "house_with_a_hip_roof": desk_streets.house_with_a_hip_roof,
    "roof_in_the_sun": desk_streets.roof_in_the_sun,
    "pilots_house": desk_streets.pilots_house,
    "loft_with_chimney": desk_streets.loft_with_chimney,
    "three_stores": desk_streets.three_stores,
    "town_corner": desk_streets.town_corner,
    "pavement_corner": desk_streets.pavement_corner,
    "house_with_eaves": desk_streets.house_with_eaves,
    "rails": desk_streets.rails,
    "rails_in_the_light": desk_streets.rails_in_the_light,
    "second_row": desk_streets.second_row,
    "two_streets": desk_streets.two_streets,
    "small_world": desk_streets.small_world,
    "gull_view": desk_streets.gull_view,
    "cottage_with_shutters": desk_streets.cottage_with_shutters,
    "boat_shed": desk_streets.boat_shed,
    "signpost": desk_streets.signpost,
    "masters_room": desk_rooms.masters_room,
    "office_corner": desk_rooms.office_corner,
    "light_tower": desk_rooms.light_tower,
    "stores_with_shadows": desk_rooms.stores_with_shadows,
    "checkered_floor": desk_rooms.checkered_floor,
    "against_the_sun": desk_rooms.against_the_sun,
    "lighthouse_steps": desk_rooms.lighthouse_steps,
    "by_lamplight": desk_rooms.by_lamplight,
    "masters_room_by_lamp": desk_rooms.masters_room_by_lamp,
    "shadow_over_steps": desk_rooms.shadow_over_steps,
    "shadow_up_a_slip": desk_rooms.shadow_up_a_slip,
    "steps_by_slope_point": desk_rooms.steps_by_slope_point,
    "star_through": desk_rooms.star_through,
    "carved_van": desk_rooms.carved_van,
    "sofa_and_chair": desk_rooms.sofa_and_chair,
    "galley": desk_rooms.galley,
    "watch_tower": desk_rooms.watch_tower,
    "three_stools": desk_rooms.three_stools,
}
LONGER_S = {"masters_room_by_lamp": 360}
"""Bars of exercises that are as much as several."""


def main() -> None:
    """Print the seconds for each exercise, or for those that are named, from the shelf to the printed page."""
    chosen = sys.argv[1:] or [*EXERCISES]
    with signed_in() as (page, address):
        for name in chosen:
            make = EXERCISES[name]
            hand = Teacher(page, address)
            begin = time.perf_counter()
            hand.begin()
            make(hand)
            hand.show_and_print()
            _report(name, time.perf_counter() - begin, hand, "made, shown and printed")
        if sys.argv[1:]:
            return
        hand = Teacher(page, address)
        begin = time.perf_counter()
        desk_sheets.name_sheets(hand)
        _report("name_sheets", time.perf_counter() - begin, hand, "from a class list of 24 to the PDF of all sheets")


def _report(name: str, seconds: float, hand: Teacher, what: str) -> None:
    on = f"{hand.acts} acts, {PAUSE_S} s before each and {TYPED_S} s a character; {what}"
    bar = LONGER_S.get(name, BAR_S)
    report(f"at_the_desk.{name}", seconds, "s", f"<={bar}", seconds <= bar, on)


if __name__ == "__main__":
    main()
