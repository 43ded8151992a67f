"""How long does a class's worth of sheets take?"""

import statistics

from grids import grid_of_boxes, street
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.sheets import Copy, add_sheets, sheet_pdf
from orthopsis.paperwork.step_sheets import StepPages, add_steps
from report import report, times_ms

NAME_SHEET = {
    "eye_level": {"height_mm": 206},
    "views": [{"kind": "one_point", "x_mm": 262}],
    "things": [
        {
            "kind": "letters", "name": "Name", "text": "GULLS", "left": 30, "bottom": 50, "width": 60, "height": 80,
            "whose": "student", "long": "rows",
        }
    ],
}  # fmt: skip


def main() -> None:
    """Print the seconds for 32 starter sheets and for all step sheets."""
    copies = [Copy(SheetCode("BENCHMRK", f"S{i}", 1), f"Tern {i}") for i in range(32)]

    def all_sheets(exercise: Exercise) -> None:
        drawing = draw(exercise)
        sheet_pdf(drawing, "starter", "Boxes", copies)
        steps = Pages("Boxes")
        add_steps(steps, drawing, "Boxes", StepPages(4))
        steps.bytes()
        sheet_pdf(drawing, "answer", "Boxes", copies)

    sheets = (("class", grid_of_boxes(6), "six boxes"), ("street", street(), "12 houses of a street with 200 windows"))
    for name, exercise, what in sheets:
        seconds = statistics.median(times_ms(lambda e=exercise: all_sheets(e), 5)) / 1000
        on = f"32 starter and 32 answer sheets on A3 and all step sheets, {what}, median of 5 runs"
        report(f"print.{name}", seconds, "s", "<=6", seconds <= 6, on)
    names = read_exercise({**NAME_SHEET, "schema": "orthopsis/exercise/1"})

    def name_sheets() -> None:
        pages = Pages("Names")
        for number, copy in enumerate(copies, start=1):
            own = own_sheet(names, f"Puffin {number}").drawing
            add_sheets(pages, own, "starter", "Names", [copy])
            add_steps(pages, own, "Names", StepPages(4))
            add_sheets(pages, own, "answer", "Names", [copy])
        pages.bytes()

    seconds = statistics.median(times_ms(name_sheets, 3)) / 1000
    on = "32 names on A3, starter, all steps and answer for each, one PDF, median of 3 runs"
    report("print.name_sheets", seconds, "s", "<=6", seconds <= 6, on)


if __name__ == "__main__":
    main()
