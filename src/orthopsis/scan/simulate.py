"""The simulated document camera: it photographs made-up students' sheets.

Paper with grain, corner marks, pencil lines that tremble and skip, a desk, tilt, uneven light, blur,
noise and JPEG. The truth is kept beside each photo. All chance comes from one seed.
"""

from dataclasses import asdict, dataclass, replace
from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.core.document.document import Exercise
from orthopsis.core.scene.prepared import sheet_of
from orthopsis.core.sheet.paper import Sheet
from orthopsis.paperwork.mark_bits import mark_rows
from orthopsis.paperwork.marks import (
    CORNER_NUMBERS,
    MARK_MM,
    QR_MM,
    SheetCode,
    mark_squares,
    qr_rows,
    qr_square,
)
from orthopsis.scan.student import (
    MISTAKES,
    DrawnByHand,
    StudentSheet,
    TonedByHand,
    draw_as_student,
    tone_as_student,
)

Picture = NDArray[np.uint8]
Real = NDArray[np.float32]

Tones = Literal["none", "even", "one_differs"]
PENCIL_WIDTH_MM = (0.4, 0.75)


@dataclass(frozen=True, slots=True)
class Camera:
    """How finely the paper is drawn, and how large the photo is (a lying sheet's width and height)."""

    px_per_mm: float = 8.0
    photo_px: tuple[int, int] = (4000, 3000)


TWELVE_MEGAPIXELS = Camera()
SMALL = Camera(5.0, (2400, 1800))
"""A document camera of four megapixels."""


@dataclass(frozen=True, slots=True)
class Photo:
    """A photo as JPEG, with the truth: what was drawn, what was left out, and the sheet's corners in px."""

    jpeg: bytes
    code: SheetCode
    sheet: StudentSheet
    corners_px: list[tuple[float, float]]

    def truth(self) -> dict[str, object]:
        """Return the truth as JSON data."""
        return {
            "code": asdict(self.code),
            "lines": [
                {
                    "name": line.name, "family": line.family, "from": line.start.xy, "to": line.end.xy,
                    "mistake": line.mistake,
                }
                for line in self.sheet.lines
            ],
            "curves": [
                {"name": c.name, "pieces": [piece.tolist() for piece in c.pieces], "mistake": c.mistake}
                for c in self.sheet.curves
            ],
            "left_out": list(self.sheet.left_out),
            "tones": [
                {"thing": t.area.thing, "face": t.area.name, "darkness": t.darkness, "mistake": t.mistake}
                for t in self.sheet.tones
            ],
            "corners_px": self.corners_px,
        }  # fmt: skip


def simulate_photo(
    exercise: Exercise, code: SheetCode, seed: int, *, mistakes: tuple[str, ...] | None = None,
    with_marks: bool = True, camera: Camera = TWELVE_MEGAPIXELS, tones: Tones = "none",
) -> Photo:  # fmt: skip
    """Return the photo of one made-up student's sheet.

    Args:
        mistakes: names of ``student.MISTAKES``; left out, chance decides (a third make none).
        tones: whether the faces are toned, and whether one of them as no other of its direction.
    """
    rng = np.random.default_rng(seed)
    chosen = _chance_mistakes(rng) if mistakes is None else mistakes
    drawn = draw_as_student(exercise, rng, chosen)
    if tones != "none":
        drawn = replace(drawn, tones=tone_as_student(exercise, rng, one_differs=tones == "one_differs"))
    sheet = sheet_of(exercise)
    k = camera.px_per_mm
    paper = _paper(sheet, k, rng)
    if with_marks:
        _print_marks(paper, sheet, code, k)
    for tone in drawn.tones:
        _tone(paper, tone, k, rng)
    for line in drawn.lines:
        _pencil(paper, _trembling(line, rng), line.darkness, k, rng)
    for curve in drawn.curves:
        for piece in curve.pieces:
            _pencil(paper, piece, curve.darkness, k, rng)
    photo, corners = _photograph(paper, camera.photo_px, rng)
    done, encoded = cv2.imencode(".jpg", photo, [cv2.IMWRITE_JPEG_QUALITY, 88])
    if not done:
        raise RuntimeError("the photo could not be written as JPEG")
    return Photo(encoded.tobytes(), code, drawn, corners)


def _chance_mistakes(rng: np.random.Generator) -> tuple[str, ...]:
    count = int(rng.choice([0, 1, 2, 3], p=[0.3, 0.35, 0.25, 0.1]))
    return tuple(str(m) for m in rng.choice(MISTAKES, size=count, replace=False))


def _paper(sheet: Sheet, k: float, rng: np.random.Generator) -> Real:
    height, width = round(sheet.height_mm * k), round(sheet.width_mm * k)
    grain = rng.normal(0.0, 1.0, (height // 2 + 1, width // 2 + 1)).astype(np.float32)
    fine = cv2.resize(cv2.GaussianBlur(grain, (0, 0), 1.0), (width, height))
    return (np.float32(0.95) + np.float32(0.012) * fine).astype(np.float32)


def _print_marks(paper: Real, sheet: Sheet, code: SheetCode, k: float) -> None:
    for number, (x, y) in zip(CORNER_NUMBERS, mark_squares(sheet.width_mm, sheet.height_mm), strict=True):
        _print_cells(paper, mark_rows(number), x, y, MARK_MM, k)
    x, y = qr_square(sheet.width_mm)
    _print_cells(paper, qr_rows(code), x, y, QR_MM, k)


def _print_cells(paper: Real, rows: list[list[bool]], x_mm: float, y_mm: float, size_mm: float, k: float) -> None:
    size = round(size_mm * k)
    cells = np.where(np.array(rows), 0.08, 0.95).astype(np.float32)
    left, top = round(x_mm * k), paper.shape[0] - round((y_mm + size_mm) * k)
    paper[top : top + size, left : left + size] = cv2.resize(cells, (size, size), interpolation=cv2.INTER_NEAREST)


def _trembling(line: DrawnByHand, rng: np.random.Generator) -> NDArray[np.float64]:
    """Return the places of a ruled line that trembles, page mm."""
    start, end = np.array(line.start.xy), np.array(line.end.xy)
    length = float(np.hypot(*(end - start)))
    count = max(2, int(length / 1.5))
    share = np.linspace(0.0, 1.0, count)[:, None]
    across = np.array([-(end - start)[1], (end - start)[0]]) / max(length, 1e-9)
    return np.asarray(start + share * (end - start) + _tremble(count, length, rng)[:, None] * across)


def _pencil(paper: Real, points: NDArray[np.float64], darkness: float, k: float, rng: np.random.Generator) -> None:
    """Draw a line through places (page mm), with graphite that skips on the grain."""
    pixels = points * k
    pixels[:, 1] = paper.shape[0] - pixels[:, 1]
    low = np.maximum(np.floor(pixels.min(axis=0)).astype(int) - 12, 0)
    high = np.ceil(pixels.max(axis=0)).astype(int) + 12
    region = paper[low[1] : high[1], low[0] : high[0]]
    if region.size == 0:
        return
    ink = np.zeros(region.shape, dtype=np.uint8)
    width = max(1, round(float(rng.uniform(*PENCIL_WIDTH_MM)) * k))
    local = np.round((pixels - low) * 16).astype(np.int32)
    cv2.polylines(ink, [local.reshape(-1, 1, 2)], False, 255, width, cv2.LINE_AA, 4)
    soft = cv2.GaussianBlur(ink, (0, 0), 1.2).astype(np.float32) / 255
    texture = np.clip(rng.normal(0.8, 0.25, region.shape), 0.15, 1.0).astype(np.float32)
    region *= 1 - soft * cv2.GaussianBlur(texture, (0, 0), 0.8) * np.float32(darkness)


def _tone(paper: Real, tone: TonedByHand, k: float, rng: np.random.Generator) -> None:
    """Shade what is seen of a face, unevenly, as the side of a pencil does."""
    mask = np.zeros(paper.shape, np.uint8)
    for part in tone.area.loops:
        rings = [np.round(np.array(ring) * k).astype(np.int32) for ring in part]
        for ring in rings:
            ring[:, 1] = paper.shape[0] - ring[:, 1]
        cv2.fillPoly(mask, rings, 255)
    small = rng.normal(1.0, 0.12, (paper.shape[0] // 12 + 1, paper.shape[1] // 12 + 1)).astype(np.float32)
    uneven = cv2.resize(small, (paper.shape[1], paper.shape[0]))
    paper *= 1 - np.float32(tone.darkness) * uneven * cv2.GaussianBlur(mask, (0, 0), 2.0).astype(np.float32) / 255


def _tremble(count: int, length_mm: float, rng: np.random.Generator) -> NDArray[np.float64]:
    """Return the sideways tremble of a ruled line in mm: slow waves, nothing at its ends."""
    share = np.linspace(0.0, 1.0, count)
    waves = sum(
        rng.normal(0.0, 0.12 / k) * np.sin(np.pi * k * share) for k in range(1, max(2, min(8, int(length_mm / 12))))
    )
    return np.asarray(waves, dtype=np.float64)


def _photograph(
    paper: Real, photo_px: tuple[int, int], rng: np.random.Generator
) -> tuple[Picture, list[tuple[float, float]]]:
    """Look at the sheet on a desk through a tilted camera; return the photo and the corners from lower left."""
    width, height = photo_px
    ph, pw = paper.shape
    if ph > pw:
        width, height = height, width
    scale = 0.86 * min(width / pw, height / ph)
    turn = np.radians(rng.normal(0.0, 2.0))
    centre = np.array([width, height]) / 2 + rng.normal(0.0, 25.0, 2)
    square = np.array([[0, ph], [pw, ph], [pw, 0], [0, 0]], dtype=np.float64)
    turned = (square - (pw / 2, ph / 2)) @ np.array([[np.cos(turn), np.sin(turn)], [-np.sin(turn), np.cos(turn)]])
    corners = centre + scale * turned + rng.normal(0.0, 0.012, (4, 2)) * np.array([width, height])
    corners = np.clip(corners, 12.0, np.array([width, height]) - 12.0)
    lens = cv2.getPerspectiveTransform(square.astype(np.float32), corners.astype(np.float32))
    desk = np.float32(0.36) + np.float32(0.03) * _waves(height, width, rng)
    seen = cv2.warpPerspective(paper, lens, (width, height), flags=cv2.INTER_AREA, borderValue=-1.0)
    inside = cv2.warpPerspective(np.ones_like(paper), lens, (width, height), flags=cv2.INTER_LINEAR)
    scene = np.where(inside > 0.99, seen, desk) * _light(height, width, rng)
    soft = cv2.GaussianBlur(scene.astype(np.float32), (0, 0), float(rng.uniform(0.6, 1.1)))
    tint = np.array([0.93, 0.98, 1.0], dtype=np.float32) ** np.float32(rng.uniform(0.2, 1.2))
    colour = soft[:, :, None] * tint * 255 + rng.normal(0.0, 2.2, (height, width, 1)).astype(np.float32)
    return np.clip(colour, 0, 255).astype(np.uint8), [(float(x), float(y)) for x, y in corners]


def _waves(height: int, width: int, rng: np.random.Generator) -> Real:
    small = rng.normal(0.0, 1.0, (height // 40, width // 8)).astype(np.float32)
    return np.asarray(cv2.resize(small, (width, height), interpolation=cv2.INTER_CUBIC), dtype=np.float32)


def _light(height: int, width: int, rng: np.random.Generator) -> Real:
    """Return uneven light: brighter on one side, darker toward the rim, a soft shadow of the hand or the arm."""
    y, x = np.mgrid[-1 : 1 : height * 1j, -1 : 1 : width * 1j].astype(np.float32)
    angle = rng.uniform(0, 2 * np.pi)
    slope = np.float32(rng.uniform(0.05, 0.2)) * (np.cos(angle) * x + np.sin(angle) * y).astype(np.float32)
    rim = np.float32(0.1) * (x * x + y * y)
    cx, cy = rng.uniform(-0.9, 0.9, 2).astype(np.float32)
    shadow = np.float32(rng.uniform(0.0, 0.22)) * np.exp(-((x - cx) ** 2 + (y - cy) ** 2) / np.float32(0.18))
    return np.asarray(np.clip(0.95 + slope - rim - shadow, 0.25, 1.1), dtype=np.float32)
