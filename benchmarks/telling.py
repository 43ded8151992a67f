"""Is what steps tell complete, and how much do their sentences ask of a reader?

Random exercises of every kind of thing are told, and each step must follow from earlier ones. The figures in words are
counted for words of four letters, whose outlines have the most.
"""

import re
import sys
import warnings
from pathlib import Path

from hypothesis import HealthCheck, Phase, given, settings
from hypothesis.errors import HypothesisWarning

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.solved import solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell
from orthopsis.core.wording.vocabulary import LEVELS
from report import percentile, report

MANY = 3000
MOST_IN_WORDS = 4
_FIGURE = re.compile(r"\d+(?:[.,]\d+)?(?: \d+/\d+)?")
sys.path += [str(Path(__file__).parents[1] / "tests"), str(Path(__file__).parents[1] / "tests" / "core")]


def missing(exercise: Exercise) -> int:
    """Return how many things a step takes up that nobody has told."""
    solved = solve(prepare(exercise))
    return sum(1 for _ in gaps(tell(solved).breaths, solved.board))


def random_gaps() -> tuple[int, int]:
    """Return how many random exercises were told, and how many gaps there are in all of them."""
    from test_completeness import ANY  # the tests' own strategies

    counted = [0, 0]

    @settings(
        max_examples=MANY,
        phases=[Phase.generate],
        database=None,
        deadline=None,
        suppress_health_check=list(HealthCheck),
    )
    @given(ANY)
    def run(exercise: Exercise) -> None:
        try:
            found = missing(exercise)
        except GeometryError:
            return  # what is refused is not told
        counted[0] += 1
        counted[1] += found

    run()
    return counted[0], counted[1]


def readability() -> None:
    """Print which school grade the words of the ready exercises ask for, each read as one text, level by level."""
    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        import textstat
    for level in LEVELS:
        grades, single = list[float](), list[float]()
        for ready in READY:
            exercise = read_exercise({**ready, "wording": {**ready.get("wording", {}), "level": level}})
            texts = [step.text for step in draw(exercise).steps]
            grades.append(textstat.flesch_kincaid_grade(" ".join(texts)))
            single += [textstat.flesch_kincaid_grade(text) for text in texts]
        most, bar = max(grades), RULES[level].grade
        on = f"Flesch-Kincaid, the hardest of {len(READY)} ready exercises, each as one text"
        report(f"telling.grade_{level}", most, "grade", f"<={bar}", most <= bar, on)
        ninth = percentile(single, 90)
        report(f"telling.grade_step_{level}", ninth, "grade", "-", True, "single steps, nine of ten ask for no more")


def main() -> None:
    """Print gaps, how hard the words are to read, and the figures in the sentences of words."""
    readability()
    told, found = random_gaps()
    report("telling.gaps_random", found, "gaps", "<=0", found == 0, f"{told} random exercises of all kinds of things")
    ready = sum(missing(read_exercise(one)) for one in READY)
    report("telling.gaps_ready", ready, "gaps", "<=0", ready == 0, f"the {len(READY)} ready exercises")
    for title, before in (("KNOT in block letters, one point", 100), ("LOFT cut from one long block, two points", 121)):
        steps = draw(read_exercise(next(one for one in READY if one["title"] == title))).steps
        figures = [len(_FIGURE.findall(step.text)) for step in steps]
        bar, on = 0.6 * before, f"{title}; {before} on 26 November"
        report(
            f"telling.figures_{title.split()[0].lower()}",
            sum(figures),
            "figures",
            f"<={bar:g}",
            sum(figures) <= bar,
            on,
        )
        most = max(figures)
        holds = most <= MOST_IN_WORDS
        report(f"telling.most_{title.split()[0].lower()}", most, "figures", f"<={MOST_IN_WORDS}", holds, "in one step")


if __name__ == "__main__":
    warnings.simplefilter("ignore", HypothesisWarning)
    main()
