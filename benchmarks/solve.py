"""How long does solving take, with steps, hidden lines and advice, and how does it grow?"""

import math
import statistics
import sys
from collections.abc import Callable
from functools import cache

from grids import boxes_with_windows, grid_of_boxes, rows_of_letters, street, word
from orthopsis.app.launch import rarely_look_for_garbage
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.built import forget
from orthopsis.core.drawing.solved import solve
from orthopsis.core.exercise.solve import draw, draw_picture
from orthopsis.core.scene.prepared import prepare
from report import report, times_ms


@cache
def caches() -> tuple[Callable[[], None], ...]:
    """Return what empties each cache of the core, wherever it stands: in a module or in a class of one."""
    modules = [module for name, module in list(sys.modules.items()) if name.startswith("orthopsis.core")]
    holders = [
        holder for module in modules for holder in (module, *vars(module).values()) if hasattr(holder, "__dict__")
    ]
    values = {id(value): value for holder in holders for value in vars(holder).values()}
    return tuple(value.cache_clear for value in values.values() if hasattr(value, "cache_clear"))


def first_time(exercise: Exercise, act: Callable[[Exercise], object]) -> None:
    """Do something with an exercise as if nothing of any had been built before: no cache knows anything."""
    forget()
    for empty in caches():
        empty()
    act(exercise)


def main() -> None:
    """Print medians for boxes and letters, first time and again, the growth, and how well the two routes agree."""
    rarely_look_for_garbage()  # as a serving process does
    medians = {}
    for count, runs in ((1, 60), (10, 30), (100, 12)):
        exercise = grid_of_boxes(count)
        medians[count] = statistics.median(times_ms(lambda e=exercise: first_time(e, draw), runs))
        again = statistics.median(times_ms(lambda e=exercise: draw(e), runs))
        on = f"{count} boxes ({12 * count} edges), median of {runs} runs"
        report(f"solve.all_{count}", medians[count], "ms", "-", True, f"steps, hidden lines, advice, sentences; {on}")
        report(f"solve.again_{count}", again, "ms", "-", True, f"the same when nothing has moved; {on}")
    growth = math.log(medians[100] / medians[10]) / math.log(10)
    report("solve.growth", growth, "exponent", "<=1.3", growth <= 1.3, "time against edges, from 10 to 100 boxes")
    letters = rows_of_letters(12)
    whole = statistics.median(times_ms(lambda: first_time(letters, draw), 20))
    report("solve.letters_12", whole, "ms", "<=30", whole <= 30, "12 block letters, everything, first time")
    again = statistics.median(times_ms(lambda: draw_picture(letters), 20))
    report("solve.letters_12_again", again, "ms", "-", True, "12 block letters, picture only, nothing moved")
    _windows()
    town = street()
    whole = statistics.median(times_ms(lambda: first_time(town, draw), 12))
    on = "a street of 12 houses with 200 windows, steps, hidden lines, advice, first time"
    report("solve.street_12", whole, "ms", "<=30", whole <= 30, on)
    room = next(d for d in READY if str(d["title"]).startswith("The harbour master's room by lamplight"))
    lit = read_exercise(room)
    whole = statistics.median(times_ms(lambda: first_time(lit, draw), 12))
    on = "the harbour master's room with a lamp and shadows, steps, hidden lines, advice, first time"
    report("solve.room_by_lamp", whole, "ms", "<=40", whole <= 40, on)
    for form, bar in (("block", 30), ("round", 60)):
        long_word = word("BREAKWATERS8", form)
        first = statistics.median(times_ms(lambda e=long_word: first_time(e, draw), 12))
        on = f"a word of 12 letters, {form}, steps, hidden lines, advice, first time"
        report(f"solve.word_12_{form}", first, "ms", f"<={bar}", first <= bar, on)
    report(
        "solve.caches", len(caches()), "caches", "-", True, "emptied before each first time, besides the built things"
    )
    apart = max(routes_apart(document) for document in READY)
    on = f"every named corner of the {len(READY)} ready exercises, all kinds of view"
    report("solve.two_routes", apart, "mm", "<=0.001", apart <= 0.001, on)


def _windows() -> None:
    """Print what windows cost that are repeated on twelve boxes, and how that grows with their number."""
    medians = {}
    for columns in (3, 6, 12):
        sheet = boxes_with_windows(12, columns)
        count = 12 * 3 * columns
        medians[count] = statistics.median(times_ms(lambda e=sheet: first_time(e, draw), 8))
        on = f"12 boxes with {count} windows on their fronts, everything, first time, median of 8 runs"
        report(f"solve.windows_{count}", medians[count], "ms", "-", True, on)
    growth = math.log(medians[432] / medians[108]) / math.log(4)
    report("solve.windows_growth", growth, "exponent", "-", True, "time against windows, from 108 to 432 on 12 boxes")


def routes_apart(document: dict[str, object]) -> float:
    """Return how far apart construction and view put any corner of an exercise, mm."""
    solved = solve(prepare(read_exercise(document)))
    worst = 0.0
    for placed, thing in zip(solved.prepared.things, solved.built, strict=True):
        for name, (x, y) in thing.page.items():
            made = solved.board.points.get(f"{placed.values.name}.{name}")
            if made is not None:
                worst = max(worst, math.hypot(made.x - x, made.y - y))
    return worst


if __name__ == "__main__":
    main()
