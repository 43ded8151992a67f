"""How long does a class's worth of sheets take?"""

import statistics

from grids import grid_of_boxes
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.sheets import Copy, sheet_pdf, steps_pdf
from report import report, times_ms


def main() -> None:
    """Print the seconds for 32 starter sheets and for all step sheets."""
    exercise = grid_of_boxes(6)
    copies = [Copy(SheetCode("BENCHMRK", f"S{i}", 1), f"Tern {i}") for i in range(32)]

    def all_sheets() -> None:
        drawing = draw(exercise)
        sheet_pdf(drawing, "starter", "Boxes", copies)
        steps_pdf(drawing, "Boxes", 4)
        sheet_pdf(drawing, "answer", "Boxes", copies)

    seconds = statistics.median(times_ms(all_sheets, 5)) / 1000
    on = "32 starter and 32 answer sheets on A3 and all step sheets, six boxes, median of 5 runs"
    report("print.class", seconds, "s", "<=6", seconds <= 6, on)


if __name__ == "__main__":
    main()
