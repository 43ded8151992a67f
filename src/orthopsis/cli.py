"""The command line: the same core without a browser.

Exit status 0 for an answer, 2 for input that cannot be used, with the reason on standard error.
"""

import argparse
import json
import sys
from collections.abc import Sequence
from pathlib import Path

from orthopsis import __version__
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.schema import exercise_schema
from orthopsis.core.errors import GeometryError, UnreadableExercise
from orthopsis.core.scene.prepared import sheet_of

FORMS = ("json", "svg", "pdf", "png", "dxf", "obj", "html", "steps.svg")


class Unusable(Exception):
    """Input that cannot be used; the message says why and what to do."""


def main(arguments: Sequence[str] | None = None) -> int:
    """Run one command and return its exit status."""
    parser = _parser()
    options = parser.parse_args(arguments)
    try:
        return int(options.run(options))
    except GeometryError as error:
        where = f" (at {error.about})" if error.about else ""
        print(f"orthopsis: {error.why} {error.fix}{where}", file=sys.stderr)
    except Unusable as error:
        print(f"orthopsis: {error}", file=sys.stderr)
    return 2


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="orthopsis", description="The perspective desk of a school art teacher.")
    parser.add_argument("--version", action="version", version=__version__)
    commands = parser.add_subparsers(required=True, metavar="COMMAND")

    solve = commands.add_parser("solve", help="draw an exercise: points, lines, steps, advice")
    solve.add_argument("exercise", type=Path, metavar="EXERCISE.json")
    solve.add_argument(
        "-o",
        "--output",
        type=Path,
        metavar="OUT.{" + ",".join(FORMS) + "}",
        help="left out: JSON to standard output",
    )
    solve.set_defaults(run=_solve)

    checking = commands.add_parser("check", help="judge a student's sheet")
    checking.add_argument("exercise", type=Path, metavar="EXERCISE.json")
    checking.add_argument("sheet", type=Path, metavar="SHEET.{svg,png,jpg,pdf}")
    checking.add_argument("--json", action="store_true", help="the whole judgement as JSON, not only the findings")
    checking.add_argument(
        "--corners",
        type=float,
        nargs=8,
        metavar="PX",
        help="the sheet's corners in the photo, from lower left, anticlockwise",
    )
    checking.set_defaults(run=_check)

    simulate = commands.add_parser("simulate", help="photograph made-up students' sheets, the truth beside them")
    simulate.add_argument("exercise", type=Path, metavar="EXERCISE.json")
    simulate.add_argument("--students", type=int, default=24, metavar="N")
    simulate.add_argument("--seed", type=int, default=1, metavar="S")
    simulate.add_argument(
        "--tones", choices=("none", "even", "one_differs"), default="none", help="whether faces are toned"
    )
    simulate.add_argument("-o", "--output", type=Path, required=True, metavar="DIR")
    simulate.set_defaults(run=_simulate)

    ready = commands.add_parser("ready", help="write the ready exercises as files")
    ready.add_argument("-o", "--output", type=Path, required=True, metavar="DIR")
    ready.set_defaults(run=_ready)

    schema = commands.add_parser("schema", help="print the JSON Schema of the exercise document")
    schema.set_defaults(run=_schema)

    start = commands.add_parser("start", help="start database and application")
    start.add_argument("--port", type=int, default=None, help="port on 127.0.0.1 (8000, or the next free one)")
    start.add_argument("--fresh", action="store_true", help="begin anew; asks first, keeps a backup")
    start.add_argument("--yes", action="store_true", help="do not ask")
    start.add_argument("--no-demo", action="store_true", help="begin without the demonstration")
    start.set_defaults(run=_start)
    return parser


def _solve(options: argparse.Namespace) -> int:
    from orthopsis.paperwork.write import write_drawing

    exercise = _exercise(options.exercise)
    form = _form(options.output) if options.output else "json"
    if form not in FORMS:
        raise Unusable(f"“.{form}” is not a format that is written. Use one of {', '.join(FORMS)}.")
    data = write_drawing(exercise, form)
    if options.output is None:
        sys.stdout.buffer.write(data + b"\n")
    else:
        _write(options.output, data)
    return 0


def _form(path: Path) -> str:
    """Return the format that a file is named after; ``.steps.svg`` is one of its own."""
    both = "".join(path.suffixes[-2:]).lstrip(".").lower()
    return both if both in FORMS else path.suffix.lstrip(".").lower()


def _check(options: argparse.Namespace) -> int:
    from orthopsis.scan.judge import judge_reading
    from orthopsis.scan.read import NotRead, read_sheet

    exercise = _exercise(options.exercise)
    sheet = sheet_of(exercise)
    corners = None
    if options.corners:
        corners = list(zip(options.corners[::2], options.corners[1::2], strict=True))
    reading = read_sheet(_bytes(options.sheet), sheet.width_mm, sheet.height_mm, corners)
    if isinstance(reading, NotRead):
        raise Unusable(f"The sheet was not found: {reading.reason}. Give its corners with --corners.")
    checked = judge_reading(exercise, reading)
    if options.json:
        answer = {
            "sheet": {"found_by": reading.found_by, "confidence": reading.confidence},
            **checked.model_dump(mode="json"),
        }
        print(json.dumps(answer, indent=1, ensure_ascii=False))
    else:
        print("\n".join(f.text for f in checked.findings) or "All lines home.")
    return 0


def _simulate(options: argparse.Namespace) -> int:
    from orthopsis.paperwork.marks import SheetCode
    from orthopsis.scan.simulate import simulate_photo

    if not 1 <= options.students <= 500:
        raise Unusable("--students is 1 to 500.")
    exercise = _exercise(options.exercise)
    _folder(options.output)
    for number in range(1, options.students + 1):
        code = SheetCode("SIMULATED", f"S{number}", 1)
        photo = simulate_photo(exercise, code, options.seed * 1000 + number, tones=options.tones)
        _write(options.output / f"sheet-{number:02}.jpg", photo.jpeg)
        truth = json.dumps(photo.truth(), indent=1, ensure_ascii=False)
        _write(options.output / f"sheet-{number:02}.truth.json", truth.encode())
    return 0


def _ready(options: argparse.Namespace) -> int:
    from orthopsis.core.document.ready import READY

    _folder(options.output)
    for number, document in enumerate(READY, start=1):
        name = "-".join("".join(ch if ch.isalnum() else " " for ch in str(document["title"])).lower().split())
        written = json.dumps(read_exercise(document).document(), indent=1, ensure_ascii=False)
        _write(options.output / f"{number:02}-{name}.json", written.encode())
    return 0


def _schema(_: argparse.Namespace) -> int:
    print(json.dumps(exercise_schema(), indent=2, ensure_ascii=False))
    return 0


def _start(options: argparse.Namespace) -> int:
    from orthopsis.app.serve import serve

    return serve(port=options.port, fresh=options.fresh, yes=options.yes, demo=not options.no_demo)


def _exercise(path: Path) -> Exercise:
    try:
        return read_exercise(_bytes(path))
    except UnreadableExercise as error:
        raise Unusable(f"{path}: {error.why} {error.fix}") from None


def _bytes(path: Path) -> bytes:
    try:
        return path.read_bytes()
    except OSError as error:
        raise Unusable(f"{path} cannot be read: {error.strerror}. Check its name.") from None


def _folder(path: Path) -> None:
    try:
        path.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise Unusable(f"{path} cannot be made: {error.strerror}. Choose another place.") from None


def _write(path: Path, data: bytes) -> None:
    try:
        path.write_bytes(data)
    except OSError as error:
        raise Unusable(f"{path} cannot be written: {error.strerror}. Choose another place.") from None


if __name__ == "__main__":
    sys.exit(main())
