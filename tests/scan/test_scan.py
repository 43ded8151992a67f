"""From photo to lines: found by marks, by edges, by hand; in every accepted form; and what is refused."""

import io
import json

import cv2
import numpy as np
import pypdfium2
import pytest
from PIL import Image

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.check.tones import tone_areas
from orthopsis.core.document.document import Exercise
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point, distance, join, offset
from orthopsis.paperwork.art import answer_art
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.sheets import Copy, sheet_pdf
from orthopsis.paperwork.svg import svg_bytes
from orthopsis.scan.flat import FlatSheet, without_shading
from orthopsis.scan.greys import greys_of
from orthopsis.scan.lines import find_lines
from orthopsis.scan.picture import UnusablePicture, kind_of, open_picture
from orthopsis.scan.read import PREVIEW_PX_PER_MM, NotRead, Reading, read_sheet
from orthopsis.scan.simulate import SMALL, Photo, simulate_photo
from orthopsis.scan.vector import lines_of_svg

CODE = SheetCode("7K3QX2AB", "AB3K9Q", 1)


def aside(start: Point, end: Point, strokes: tuple[Stroke, ...]) -> float:
    """Return how far aside of a drawn line the stroke lies that was read for it, mm, at its worse end."""
    ends = (
        (s, min(distance(start, s.start) + distance(end, s.end), distance(start, s.end) + distance(end, s.start)))
        for s in strokes
    )
    best = min(ends, key=lambda pair: pair[1])[0]
    line = join(best.start, best.end)
    return max(abs(offset(start, line)), abs(offset(end, line)))


def photo_of(exercise: Exercise, seed: int, **more: object) -> Photo:
    return simulate_photo(exercise, CODE, seed, camera=SMALL, **more)  # type: ignore[arg-type]


def read(data: bytes, **more: object) -> Reading:
    reading = read_sheet(data, 420, 297, **more)  # type: ignore[arg-type]
    assert isinstance(reading, Reading)
    return reading


def test_lines_are_read_where_they_were_drawn_and_the_code_with_them(crates: Exercise) -> None:
    photo = photo_of(crates, 21, mistakes=())
    reading = read(photo.jpeg)
    assert reading.found_by == "marks"
    assert reading.confidence > 0.9
    assert reading.code == CODE
    gaps = [aside(line.start, line.end, reading.strokes) for line in photo.sheet.lines]
    assert np.median(gaps) < 0.3
    assert max(gaps) < 1.5


@pytest.mark.parametrize("mistake", ["misses_point", "upright_leans", "missing_line", "eye_level_tilted"])
def test_a_known_mistake_is_found_on_the_photo_and_nothing_is_made_up(crates: Exercise, mistake: str) -> None:
    photo = photo_of(crates, 35, mistakes=(mistake,))
    checked = check(crates, read(photo.jpeg).strokes)
    said = {f.code for f in checked.findings if f.severity >= 2}
    same = {"misses_point": {"misses_point", "no_point", "wrong_point"}}.get(mistake, {mistake})
    assert said & same
    assert said <= same, f"made up: {said - same}"


def test_without_marks_the_paper_s_edges_serve_and_hands_may_place_corners(crates: Exercise) -> None:
    photo = photo_of(crates, 8, mistakes=(), with_marks=False)
    by_edges = read(photo.jpeg)
    assert by_edges.found_by == "edges"
    by_hand = read(photo.jpeg, corners=photo.corners_px)
    assert by_hand.found_by == "hand"
    for reading in (by_edges, by_hand):
        gaps = [aside(line.start, line.end, reading.strokes) for line in photo.sheet.lines]
        assert np.median(gaps) < 1.0


def test_the_same_seed_makes_the_same_photo_and_truth(crates: Exercise) -> None:
    one, two = photo_of(crates, 5), photo_of(crates, 5)
    assert one.jpeg == two.jpeg
    assert json.dumps(one.truth()) == json.dumps(two.truth())
    assert one.jpeg != photo_of(crates, 6).jpeg


def test_a_printed_answer_reads_as_a_perfect_sheet_as_png_and_pdf(crates: Exercise) -> None:
    pdf = sheet_pdf(draw(crates), "answer", "Crates", [Copy(CODE)])
    png = io.BytesIO()
    pypdfium2.PdfDocument(pdf)[0].render(scale=150 / 72).to_pil().save(png, format="PNG")
    for data in (pdf, png.getvalue()):
        reading = read(data)
        assert reading.code == CODE
        checked = check(crates, reading.strokes)
        assert [f.code for f in checked.findings if f.severity] == []
        assert checked.vanishing_points["point"].at == pytest.approx((210, 150), abs=1.0)


def test_an_svg_is_read_as_lines_scaled_to_the_sheet(crates: Exercise) -> None:
    svg = svg_bytes(answer_art(draw(crates)), "Crates")
    assert [f.code for f in check(crates, read(svg).strokes).findings if f.severity] == []
    half = b'<svg xmlns="http://www.w3.org/2000/svg" width="210" height="148.5">%s</svg>'
    other_unit = half % b'<line x1="0" y1="0" x2="105" y2="148.5"/>'
    (line,) = lines_of_svg(other_unit, 420, 297)
    assert line.start.xy == pytest.approx((0, 297))
    assert line.end.xy == pytest.approx((210, 0))


def png_of(width: int, height: int, *, mode: str = "1") -> bytes:
    out = io.BytesIO()
    Image.new(mode, (width, height), 1).save(out, format="PNG")
    return out.getvalue()


def pdf_of(pages: int) -> bytes:
    document = pypdfium2.PdfDocument.new()
    for _ in range(pages):
        document.new_page(200, 200)
    out = io.BytesIO()
    document.save(out)
    return out.getvalue()


BILLION = b"""<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]>
<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><text>&b;</text></svg>"""
MANY = b'<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9">' + b'<line x2="5" y2="5"/>' * 6000 + b"</svg>"
SVG = b'<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9">%s</svg>'
TEN = b'<use href="#g%d"/>' * 10
NESTED = SVG % (
    b'<defs><g id="g0"><line x2="5" y2="5"/></g>'
    + b"".join(b'<g id="g%d">%s</g>' % (n, TEN.replace(b"%d", b"%d" % (n - 1))) for n in range(1, 9))
    + b'</defs><use href="#g8"/>'
)
ITSELF = SVG % b'<g id="a"><use href="#a"/></g>'
TURNS = SVG % (b'<g transform="' + b"translate(" * 20_000 + b'"><line x2="5"/></g>')
LONG_PATH = SVG % (b'<path d="M0 0' + b"L5 5L0 1" * 200_000 + b'"/>')
HUGE = SVG % (b'<line x2="5" y2="5"/>' * 200_000)

HOSTILE = [
    (NESTED, "too_many_lines"),
    (ITSELF, "broken_svg"),
    (TURNS, "too_many_lines"),
    (LONG_PATH, "too_many_lines"),
    (HUGE, "too_many_lines"),
    (b"MZ\x90 not a picture at all", "not_a_picture"),
    (b"", "not_a_picture"),
    (b"<html><svg></svg></html>", "not_a_picture"),
    (b"x" * 30_000_001, "file_too_large"),
    (b"\xff\xd8\xff\xe0 cut off", "broken_picture"),
    (b"%PDF-1.7 nothing more", "broken_pdf"),
    (BILLION, "unsafe_svg"),
    (MANY, "too_many_lines"),
    (b'<svg xmlns="http://www.w3.org/2000/svg"', "broken_svg"),
    (b'<svg xmlns="http://www.w3.org/2000/svg" width="0" height="0"><line x2="5"/></svg>', "broken_svg"),
]


@pytest.mark.parametrize(("data", "code"), HOSTILE)
def test_hostile_files_are_refused_in_a_sentence(data: bytes, code: str) -> None:
    with pytest.raises(UnusablePicture) as refusal:
        read_sheet(data, 420, 297)
    assert refusal.value.code == code
    assert refusal.value.fix


def test_two_hundred_megapixels_and_nine_hundred_pages_are_refused_unopened() -> None:
    for data, code in ((png_of(20_000, 10_000), "too_many_pixels"), (pdf_of(900), "too_many_pages")):
        with pytest.raises(UnusablePicture) as refusal:
            open_picture(data)
        assert refusal.value.code == code


def test_an_upload_cut_off_in_the_middle_is_refused(crates: Exercise) -> None:
    photo = photo_of(crates, 3).jpeg
    with pytest.raises(UnusablePicture) as refusal:
        open_picture(photo[: len(photo) // 3])
    assert refusal.value.code == "broken_picture"


def test_what_is_kept_of_a_photo_is_upright_and_tells_nothing_of_the_camera() -> None:
    image = Image.new("RGB", (60, 40), "white")
    exif = Image.Exif()
    exif[0x0112], exif[0x010F] = 6, "A camera of somebody"
    out = io.BytesIO()
    image.save(out, format="JPEG", exif=exif)
    opened = open_picture(out.getvalue())
    assert opened.grey.shape == (60, 40), "turned by its orientation mark"
    assert not Image.open(io.BytesIO(opened.jpeg)).getexif()
    assert b"somebody" not in opened.jpeg


def test_a_blank_or_black_picture_is_no_sheet() -> None:
    for grey in (0, 128):
        done, data = cv2.imencode(".png", np.full((900, 1200), grey, np.uint8))
        assert done
        result = read_sheet(data.tobytes(), 420, 297)
        assert isinstance(result, NotRead) or result.strokes == ()
    assert kind_of(b"%PDF-1.4") == "pdf"
    assert exercise_of(box("A", 10, 10, 20, 20)).things


def findings_on_tones(exercise: Exercise, seed: int, tones: str) -> list[str]:
    """Return what is said of the tones of a made-up student's sheet."""
    reading = read(photo_of(exercise, seed, mistakes=(), tones=tones).jpeg)
    greys = greys_of(reading.flat_jpeg, draw(exercise).faces, PREVIEW_PX_PER_MM)
    assert greys
    return [f.about for f in check(exercise, reading.strokes, greys).findings if f.code == "tones_differ"]


@pytest.mark.parametrize("seed", [31, 32, 33])
def test_one_tone_a_direction_is_found_and_untoned_sheets_are_left_alone(seed: int, crates: Exercise) -> None:
    # One tone for each direction of face: common practice, no source.
    assert findings_on_tones(crates, seed, "none") == []
    assert findings_on_tones(crates, seed, "even") == []
    (about,) = findings_on_tones(crates, seed, "one_differs")
    (guilty,) = (t for t in photo_of(crates, seed, mistakes=(), tones="one_differs").sheet.tones if t.mistake)
    assert about == f"tone.{guilty.area.direction}"


def test_only_what_is_seen_of_a_face_is_measured() -> None:
    near, far = box("Near", 100, 60, 80, 80, depth_by="half"), box("Far", 130, 90, 90, 90, depth_by="half")
    areas = {(a.thing, a.name): a for a in tone_areas(draw(exercise_of(near, far)).faces)}
    for loop in (ring for part in areas["Far", "front"].loops for ring in part):
        assert not any(100 < x < 180 and 60 < y < 140 for x, y in loop)
    assert not tone_areas(draw(exercise_of(box("Box", 60, 40, 70, 50, look="see_through"))).faces)


@pytest.mark.parametrize("seed", [41, 42, 43])
def test_shading_is_not_taken_for_lines(seed: int, crates: Exercise) -> None:
    plain = read(photo_of(crates, seed, mistakes=()).jpeg)
    toned = read(photo_of(crates, seed, mistakes=(), tones="even").jpeg)
    drawn, judged = check(crates, plain.strokes), check(crates, toned.strokes)
    assert judged.missing == drawn.missing
    strays = [sum(not line.matched for line in one.lines) for one in (drawn, judged)]
    assert strays[1] <= strays[0] + 8, "a stray stroke or two at the rims of shading"


def test_a_line_drawn_over_shading_is_read() -> None:
    flat = np.zeros((800, 1000), np.float32)
    flat[200:600, 200:800] = 0.45
    flat[398:402, 300:700] = 0.85
    sheet = FlatSheet(flat, without_shading(flat, 5.0), 200.0, 160.0, 5.0)
    (line,) = find_lines(sheet)
    assert sorted((line.start.x, line.end.x)) == pytest.approx([60, 140], abs=1)
    assert line.start.y == pytest.approx(80, abs=0.5)
