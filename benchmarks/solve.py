"""How long does solving take, with steps, hidden lines and advice, and how does it grow?"""

import math
import statistics

from grids import grid_of_boxes
from orthopsis.core.exercise.solve import draw, draw_picture
from report import report, times_ms


def main() -> None:
    """Print medians for 1, 10 and 100 boxes, and the growth in the number of edges."""
    medians = {}
    for count, runs in ((1, 60), (10, 30), (100, 12)):
        exercise = grid_of_boxes(count)
        medians[count] = statistics.median(times_ms(lambda e=exercise: draw(e), runs))
        picture = statistics.median(times_ms(lambda e=exercise: draw_picture(e), runs))
        on = f"{count} boxes ({12 * count} edges), median of {runs} runs"
        report(f"solve.all_{count}", medians[count], "ms", "-", True, f"steps, hidden lines, advice, sentences; {on}")
        report(f"solve.picture_{count}", picture, "ms", "-", True, f"picture only; {on}")
    growth = math.log(medians[100] / medians[10]) / math.log(10)
    report("solve.growth", growth, "exponent", "<=1.3", growth <= 1.3, "time against edges, from 10 to 100 boxes")


if __name__ == "__main__":
    main()
