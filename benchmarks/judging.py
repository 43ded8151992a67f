"""How good and how fast is checking, on simulated piles that the code was not tuned on?

The photos are 12-megapixel ones of the simulated camera. The truth of each line is judged by the same
rule from its true ends: a line is truly off when it misses by more than twice its tolerance, truly fine
when it misses by less than half of it. Lines too short to tell by the rule are not counted.
"""

import argparse
import resource
import time
from collections.abc import Sequence
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass, field
from multiprocessing import get_context

import cv2
import numpy as np

from orthopsis.core.check.answer import Checked
from orthopsis.core.check.estimate import Estimate, estimate_point
from orthopsis.core.check.finished import Finished
from orthopsis.core.check.hand import TOO_SHORT_DEG
from orthopsis.core.check.judge import judge
from orthopsis.core.check.stroke import Stroke, expected_lines
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.prepared import prepare, sheet_of
from orthopsis.paperwork.marks import SheetCode
from orthopsis.scan.free_hand import CURVE_MISTAKES
from orthopsis.scan.judge import judge_reading
from orthopsis.scan.read import NotRead, read_sheet
from orthopsis.scan.simulate import Photo, Tones, simulate_photo
from orthopsis.scan.student import DrawnByHand
from report import report


@dataclass
class Tally:
    """Counts of one sheet."""

    off: int = 0
    found: int = 0
    missed: int = 0
    on_others: int = 0
    fine: int = 0
    blamed: int = 0
    point_share: list[float] = field(default_factory=list)
    reading_share: list[float] = field(default_factory=list)
    seconds: float = 0.0
    megabytes: float = 0.0
    code_read: int = 0
    tones_wrong: int = 0
    tones_found: int = 0
    tones_right: int = 0
    tones_blamed: int = 0
    curves_wrong: int = 0
    curves_found: int = 0
    curves_named: int = 0
    curves_right: int = 0
    curves_blamed: int = 0
    slips: list[str] = field(default_factory=list)


LETTERS = (
    "KNOT in block letters, one point", "ROPE stepping back along the quay, one point",
    "An E with measured strokes, one point", "LOFT cut from one long block, two points",
    "KNOT around a corner, two points", "R deep and R thin, two points",
)  # fmt: skip
STREETS = (
    "A road to the harbour with three sizes of tree, one point", "A quay street with both sides, one point",
    "The harbour master's house with a hip roof, two points", "A corner of the harbour town, two points",
)  # fmt: skip
ROOMS = (
    "The harbour master's room, one point", "A corner of the harbour office, two points",
    "The sail loft with its ceiling, two points", "The net store behind a partition, one point",
)  # fmt: skip
STAIRS = (
    "A flight of stairs in the net loft, one point", "Stairs on the quay, two points",
    "The lighthouse steps with two landings, one point",
)  # fmt: skip
ROUND = (
    "A tub on a crate, one point", "Tub, pail, bollard and funnel on the quay, two points",
    "The light tower on the mole, two points", "The boathouse with barrels, one point",
    "Drum and pipe lying by a crate, one point",
)  # fmt: skip
SHADOWS = (
    "Two stores in the evening sun, two points", "Rope chests whose shadows climb the wall, one point",
    "A tall crate's shadow over a low chest, two points",
    "A mooring post's shadow over the harbour steps, two points",
    "The harbour master's room by lamplight, one point", "The watch tower's stairs with a handrail, two points",
)  # fmt: skip
TITLES = {
    "letters": LETTERS,
    "streets": STREETS,
    "rooms": ROOMS,
    "stairs": STAIRS,
    "round": ROUND,
    "shadows": SHADOWS,
}


def exercises(pile: str) -> list[Exercise]:
    """Return the exercises of a pile: the demonstration's boxes and six on one sheet, its letters, or its streets."""
    if pile in TITLES:
        return [read_exercise(document) for document in READY if document["title"] in TITLES[pile]]
    many = Exercise(title="Six boxes")
    for _ in range(6):
        many = add_thing(many, "box")
    return [*(read_exercise(document) for document in READY[:4]), many]


def photograph(pile: str, number: int, seed: int) -> Photo:
    """Simulate one sheet; of the toned pile each second one has a face in a tone of its own."""
    tones: Tones = "none" if pile != "toned" else "one_differs" if number % 2 else "even"
    chosen = exercises(pile)
    # Of round things each sheet has two of the mistakes of curves, and none of lines.
    mistakes = (CURVE_MISTAKES * 2)[number % 6 :][:2] if pile == "round" else None
    code = SheetCode("BENCH", "S1", 1)
    return simulate_photo(chosen[number % len(chosen)], code, seed, tones=tones, mistakes=mistakes)


def tally(pile: str, number: int, seed: int, photo: Photo) -> Tally:
    """Read and judge one sheet, and compare with the truth."""
    cv2.setNumThreads(1)
    chosen = exercises(pile)
    exercise = chosen[number % len(chosen)]
    sheet = sheet_of(exercise)
    start = time.perf_counter()
    reading = read_sheet(photo.jpeg, sheet.width_mm, sheet.height_mm)
    result = Tally()
    if isinstance(reading, NotRead):
        result.slips.append(f"seed {seed}: {reading.reason}")
        return result
    checked = judge_reading(exercise, reading)
    result.seconds = time.perf_counter() - start
    result.megabytes = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024
    result.code_read = int(reading.code is not None)
    _compare(result, exercise, photo.sheet.lines, checked, seed)
    _compare_tones(result, photo, checked, seed)
    _compare_curves(result, photo, checked, seed)
    return result


def _compare_curves(result: Tally, photo: Photo, checked: Checked, seed: int) -> None:
    """Count the curves that were drawn wrongly or left out, and those that are right."""
    wrong = {curve.name: curve.mistake for curve in photo.sheet.curves if curve.mistake}
    wrong |= dict.fromkeys(set(photo.sheet.left_out) & {curve.name for curve in checked.curves}, "curve_missing")
    for curve in checked.curves:
        mistake = wrong.get(curve.name, "")
        told = "curve_missing" if curve.verdict == "missing" else f"curve_{curve.fault}" if curve.fault else ""
        if mistake:
            result.curves_wrong += 1
            result.curves_found += bool(told)
            result.curves_named += told == mistake
        else:
            result.curves_right += 1
            result.curves_blamed += bool(told)
        if told != mistake:
            result.slips.append(f"seed {seed}: {curve.name} {mistake or 'right'}, told {told or curve.verdict}")


def _compare_tones(result: Tally, photo: Photo, checked: Checked, seed: int) -> None:
    """Count the directions of which one face is toned otherwise, and those that are toned alike."""
    told = {f.about.removeprefix("tone.") for f in checked.findings if f.code == "tones_differ"}
    wrong = {tone.area.direction for tone in photo.sheet.tones if tone.mistake}
    for direction in {grey.direction for grey in checked.greys}:
        if direction in wrong:
            result.tones_wrong += 1
            result.tones_found += direction in told
        else:
            result.tones_right += 1
            result.tones_blamed += direction in told
        if (direction in wrong) != (direction in told):
            result.slips.append(f"seed {seed}: tone of {direction}, told {sorted(told)}")


def _compare(result: Tally, exercise: Exercise, lines: Sequence[DrawnByHand], checked: Checked, seed: int) -> None:
    prepared = prepare(exercise)
    sigma = RULES[exercise.wording.level].hand_error_mm
    targets = {name: point for frame in prepared.frames for name, point in frame.vanishing.items()}
    drawing = draw(exercise)
    expected, shown = {e.name: e for e in expected_lines(drawing, ())}, Finished(drawing, sigma)
    verdicts: dict[str, set[str]] = {}
    for line in checked.lines:
        verdicts.setdefault(line.matched, set()).add(line.verdict)
    reach = []
    for line in lines:
        truth = judge(Stroke(line.start, line.end), expected[line.name], targets, sigma)
        if line.family in targets:
            reach.append(distance(line.start, targets[line.family]))
        if truth.allowed_deg > TOO_SHORT_DEG:
            continue
        ratio = abs(truth.miss_mm) / truth.allowed_mm
        told = verdicts.get(line.name, set()) | verdicts.get(line.name.replace(".depth.", ".guide."), set())
        if ratio > 2:
            result.off += 1
            hit = bool(told & {"off", "wrong_point", "slightly_off"})
            # A line drawn all along another one of the sheet cannot be seen: that it is missing is all one can tell.
            missed = not hit and line.name in checked.missing
            on_other = missed and shown.explains(Stroke(line.start, line.end))
            result.found += hit or on_other
            result.missed += missed and not on_other
            result.on_others += on_other
            if not hit and not on_other:
                result.slips.append(f"seed {seed}: {line.name} off by {ratio:.1f} not found, told {sorted(told)}")
        elif ratio < 0.5:
            result.fine += 1
            bad = bool(told & {"off", "wrong_point", "slightly_off"})
            result.blamed += bad
            if bad:
                result.slips.append(f"seed {seed}: {line.name} at {ratio:.2f} blamed, told {sorted(told)}")
    for name, point in checked.vanishing_points.items():
        away = float(np.mean(reach))
        result.point_share.append(100 * distance(Point(*point.at), Point(*point.expected)) / away)
        own = estimate_point([Stroke(t.start, t.end) for t in lines if t.family == name and not t.mistake], sigma)
        if isinstance(own, Estimate):
            result.reading_share.append(100 * distance(Point(*point.at), own.at) / away)


def main() -> None:
    """Run the piles and print the figures."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--sheets", type=int, default=60)
    parser.add_argument("--seed", type=int, default=70_000)
    parser.add_argument("--only", default="", help="one pile: letters, streets, rooms, stairs, round or shadows")
    parser.add_argument("--slips", action="store_true", help="print every wrong judgement")
    options = parser.parse_args()
    if options.only:
        slips = _lines_of(options.only, options.sheets, options.seed)
        print("\n".join(slips) if options.slips else "")
        return
    slips = _boxes(options.sheets, options.seed)
    slips += _lines_of("letters", options.sheets, options.seed + 1_000)
    slips += _lines_of("streets", options.sheets, options.seed + 3_000)
    for shift, pile in enumerate(("rooms", "stairs", "round", "shadows"), start=4):
        slips += _lines_of(pile, options.sheets, options.seed + 1_000 * shift)
    slips += _tones(options.sheets // 3, options.seed + 2_000)
    if options.slips:
        print("\n".join(slips))


def _read(pile: str, sheets: int, seed: int) -> tuple[list[Tally], str]:
    """Return what became of a pile, and on what it was measured."""
    count, spawn = range(sheets), get_context("spawn")
    piles, seeds = [pile] * sheets, [seed + i for i in count]
    with ProcessPoolExecutor(2, mp_context=spawn) as cameras:
        photos = list(cameras.map(photograph, piles, count, seeds))
    with ProcessPoolExecutor(2, mp_context=spawn) as readers:
        tallies = list(readers.map(tally, piles, count, seeds, photos))
    return tallies, f"{sheets} simulated 12-megapixel sheets, seeds from {seed}"


def _lines(name: str, tallies: list[Tally], on: str) -> None:
    off, fine = sum(t.off for t in tallies), sum(t.fine for t in tallies)
    blamed = 100 * sum(t.blamed for t in tallies) / max(fine, 1)
    if off:
        found = 100 * sum(t.found for t in tallies) / off
        told = 100 * sum(t.found + t.missed for t in tallies) / off
        alone = sum(t.on_others for t in tallies)
        what = f"{off} lines off by more than twice, {alone} of them all along another line and told missing; {on}"
        report(f"{name}.off_found", found, "%", ">=95", found >= 95, what)
        report(f"{name}.off_told", told, "%", "-", True, f"the same, found off or said to be missing; {on}")
    report(f"{name}.fine_blamed", blamed, "%", "0", blamed == 0, f"{fine} lines within half; {on}")


def _curves(name: str, tallies: list[Tally], on: str) -> None:
    wrong, right = sum(t.curves_wrong for t in tallies), sum(t.curves_right for t in tallies)
    found = 100 * sum(t.curves_found for t in tallies) / max(wrong, 1)
    named = 100 * sum(t.curves_named for t in tallies) / max(wrong, 1)
    blamed = 100 * sum(t.curves_blamed for t in tallies) / max(right, 1)
    if wrong:
        report(f"{name}.curves_found", found, "%", ">=95", found >= 95, f"{wrong} curves off by more than twice; {on}")
        what = f"of them with what is wrong: place, form, widest place; {on}"
        report(f"{name}.curves_named", named, "%", "-", True, what)
    report(f"{name}.curves_blamed", blamed, "%", "0", blamed == 0, f"{right} curves of a careful hand; {on}")


def _time(name: str, tallies: list[Tally], on: str) -> None:
    seconds = [t.seconds for t in tallies if t.seconds]
    worst, what = max(seconds), f"slowest {max(seconds):.2f} s, one core each; {on}"
    report(f"{name}.seconds_a_sheet", float(np.median(seconds)), "s", "<=2", worst <= 2, what)


def _boxes(sheets: int, seed: int) -> list[str]:
    tallies, on = _read("boxes", sheets, seed)
    _lines("judging", tallies, on)
    shares = sorted(s for t in tallies for s in t.point_share)
    within = 100 * sum(s <= 2 for s in shares) / max(len(shares), 1)
    own = sorted(s for t in tallies for s in t.reading_share)
    same = 100 * sum(s <= 2 for s in own) / max(len(own), 1)
    what = f"where the drawn lines really meet, worst {own[-1]:.1f} %; {on}"
    report("judging.point_as_drawn_within_2", same, "%", "100", same == 100, what)
    what = f"{len(shares)} points, worst {shares[-1]:.1f} %; {on}"
    report("judging.point_within_2", within, "%", "100", within == 100, what)
    _time("judging", tallies, on)
    memory = max(t.megabytes for t in tallies)
    report("judging.memory", memory, "MB", "<=400", memory <= 400, f"largest resident size of a reading process; {on}")
    read = 100 * sum(t.code_read for t in tallies) / len(tallies)
    report("judging.code_read", read, "%", "-", True, f"codes read; {on}")
    return [slip for t in tallies for slip in t.slips]


def _lines_of(pile: str, sheets: int, seed: int) -> list[str]:
    tallies, on = _read(pile, sheets, seed)
    _lines(f"judging.{pile}", tallies, on)
    if any(t.curves_right for t in tallies):
        _curves(f"judging.{pile}", tallies, on)
    _time(f"judging.{pile}", tallies, on)
    return [slip for t in tallies for slip in t.slips]


def _tones(sheets: int, seed: int) -> list[str]:
    tallies, on = _read("toned", sheets, seed)
    wrong, right = sum(t.tones_wrong for t in tallies), sum(t.tones_right for t in tallies)
    found = 100 * sum(t.tones_found for t in tallies) / max(wrong, 1)
    blamed = 100 * sum(t.tones_blamed for t in tallies) / max(right, 1)
    report("judging.tones_found", found, "%", ">=95", found >= 95, f"{wrong} directions with two tones; {on}")
    report("judging.tones_blamed", blamed, "%", "0", blamed == 0, f"{right} directions with one tone; {on}")
    return [slip for t in tallies for slip in t.slips]


if __name__ == "__main__":
    main()
