"""How fast are hidden lines, beside the CAD kernel in the same run?"""

import statistics
import sys
from pathlib import Path

from grids import grid_of_boxes, word
from orthopsis.core.drawing.solved import solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.hidden import Sight
from report import report, times_ms

sys.path.insert(0, str(Path(__file__).parents[1] / "tests" / "core" / "outside"))
from cad import set_back, visible_segments

ALPHABET_36 = "ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789"


def main() -> None:
    """Print times and ratios for growing grids of boxes."""
    for count, runs, bar in ((10, 15, 1.0), (100, 3, 10.0), (400, 1, 50.0)):
        solved = solve(prepare(grid_of_boxes(count)))
        solids, eye = set_back(solved.seen), solved.seen[0].eye
        ours = statistics.median(times_ms(lambda s=solved: Sight(s.seen).pieces(), runs * 3))
        kernel = statistics.median(times_ms(lambda s=solids, e=eye: visible_segments(s, e), runs))
        on = f"{count} boxes, median of {runs} runs"
        report(f"hidden_lines.ours_{count}", ours, "ms", "-", True, on)
        report(f"hidden_lines.kernel_{count}", kernel, "ms", "-", True, on)
        ratio = kernel / ours
        report(f"hidden_lines.ratio_{count}", ratio, "times as fast", f">={bar:g}", ratio >= bar, on)
    solved = [solve(prepare(word(character, form))) for character in ALPHABET_36 for form in ("block", "round")]
    scenes = [(s.seen, set_back(s.seen), s.seen[0].eye) for s in solved]
    ours = statistics.median(times_ms(lambda: [Sight(seen).pieces() for seen, _, _ in scenes], 3))
    kernel = statistics.median(times_ms(lambda: [visible_segments(solids, eye) for _, solids, eye in scenes], 1))
    on = "36 letters and digits, each block and rounded, one after the other"
    report("hidden_lines.alphabet_ratio", kernel / ours, "times as fast", "-", True, f"{on}; ours {ours:.0f} ms")


if __name__ == "__main__":
    main()
