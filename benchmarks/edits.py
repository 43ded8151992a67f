"""Of many random edits at the Desk, how many end in a fault of the software rather than in a drawing or a refusal?

What is drawn is also told, shown, printed, taken home, written in an open format, and judged as a perfect sheet.
"""

import argparse
import random
import sys
import traceback
from collections import Counter
from pathlib import Path

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.lesson_sheet import lesson_sheet
from orthopsis.core.exercise.solve import draw, draw_shown
from orthopsis.paperwork.lesson import add_lesson
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.sheets import Copy, add_sheets
from orthopsis.paperwork.step_sheets import StepPages, add_steps
from orthopsis.paperwork.take_home import take_home_html
from orthopsis.paperwork.write import write_drawing
from report import report

sys.path += [str(Path(__file__).parents[1] / "tests" / "core")]
IN_A_ROW = 8
"""So many edits are made of an exercise before the next one is taken."""
PUT_OUT = 4
"""One drawing of so many is put out in every way."""
STUDENTS = 28


def put_out(exercise: Exercise, drawing: Drawing, which: int) -> None:
    """Put an exercise out in the ways there are, of some of them a different one each time."""
    draw_shown(exercise)
    pages = Pages("Any")
    add_steps(pages, drawing, "Any", StepPages(per_page=(1, 2, 4, 6, 8)[which % 5]))
    kind = ("starter", "answer", "overlay")[which % 3]
    add_sheets(pages, drawing, kind, "Any", [Copy(SheetCode("ANY", "", 1))])  # type: ignore[arg-type]
    add_lesson(pages, "Any", "", lesson_sheet(exercise, drawing, STUDENTS), drawing.sheet.units, None)
    pages.bytes()
    take_home_html(drawing, "Any")
    write_drawing(exercise, ("svg", "dxf", "obj", "pdf")[which % 4])  # type: ignore[arg-type]
    assert read_exercise(exercise.document()) == exercise


def main() -> None:
    """Print how many edits were made, how many were refused, and what went wrong."""
    from any_edit import ACTS, faults  # the tests' own

    parser = argparse.ArgumentParser()
    parser.add_argument("--edits", type=int, default=600)
    parser.add_argument("--seed", type=int, default=1)
    options = parser.parse_args()
    chance, drawn, refused, wrong = random.Random(options.seed), 0, 0, Counter[str]()
    while drawn + refused < options.edits:
        document = chance.choice(READY)
        exercise = read_exercise(document)
        drawing, did = draw(exercise), list[str]()
        for _ in range(IN_A_ROW):
            act = chance.choice(ACTS)
            try:
                changed = act(exercise, drawing, chance.randrange)
                drawing = draw(changed)
                exercise, drawn = changed, drawn + 1
                did.append(act.__name__)
                found = list(faults(exercise))
                if drawn % PUT_OUT == 0:
                    put_out(exercise, drawing, drawn)
            except GeometryError:
                refused += 1
                continue
            except Exception:
                found = [traceback.format_exc(limit=-3)]
                refused += 1
            wrong.update(found[:1])
            if found:
                print(f"{document['title']}: {did[-3:]} {act.__name__}: {found[0]}", file=sys.stderr)
                break
    on = f"{drawn} edits drawn, {refused} refused, seed {options.seed}, of {len(READY)} ready exercises"
    report("edits.faults", wrong.total(), "faults", "0", not wrong, on)


if __name__ == "__main__":
    main()
