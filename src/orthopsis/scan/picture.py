"""What is in an uploaded file, and is it safe to open?

Files are told by their content, not by their name. Pictures are measured before they are opened, turned
upright, made smaller if need be, and stripped of everything but their pixels. Of a PDF the first page is
used. Lines of an SVG are read as lines.
"""

import io
import warnings
from dataclasses import dataclass

import cv2
import numpy as np
import pypdfium2
from PIL import Image, ImageOps, UnidentifiedImageError

from orthopsis.core.errors import GeometryError
from orthopsis.scan.sheet import Picture

MOST_BYTES = 30_000_000
MOST_PIXELS = 64_000_000
LARGEST_SIDE_PX = 4200
MOST_PDF_PAGES = 60
_FORMATS = ("JPEG", "PNG")


class UnusablePicture(GeometryError):
    """The file cannot be used as a sheet."""


@dataclass(frozen=True, slots=True)
class OpenedPicture:
    """A picture as grey pixels, and as a JPEG without metadata."""

    grey: Picture
    jpeg: bytes


def kind_of(data: bytes) -> str:
    """Return jpeg, png, pdf or svg by content.

    Raises:
        UnusablePicture: something else, or too large.
    """
    if len(data) > MOST_BYTES:
        raise UnusablePicture(
            "file_too_large",
            "The file is larger than 30 MB.",
            "Make the picture smaller, or scan at 200 dpi.",
        )
    if data[:3] == b"\xff\xd8\xff":
        return "jpeg"
    if data[:8] == b"\x89PNG\r\n\x1a\n":
        return "png"
    if b"%PDF-" in data[:1024]:
        return "pdf"
    head = data[:2048].lstrip(b"\xef\xbb\xbf \t\r\n").lower()
    if head.startswith((b"<svg", b"<?xml")) and b"<svg" in head:
        return "svg"
    raise UnusablePicture(
        "not_a_picture",
        "This file is not a picture that can be read.",
        "Use a JPEG, PNG, PDF or SVG of the sheet.",
    )


def open_picture(data: bytes) -> OpenedPicture:
    """Return the picture of a JPEG, PNG or PDF.

    Raises:
        UnusablePicture: broken, too large, or no picture; the sentence says what to do.
    """
    colour = _pdf_page(data) if kind_of(data) == "pdf" else _photo(data)
    done, encoded = cv2.imencode(".jpg", cv2.cvtColor(colour, cv2.COLOR_RGB2BGR), [cv2.IMWRITE_JPEG_QUALITY, 85])
    if not done:
        raise UnusablePicture("not_a_picture", "The picture could not be read.", "Save it again as JPEG.")
    return OpenedPicture(np.asarray(cv2.cvtColor(colour, cv2.COLOR_RGB2GRAY), dtype=np.uint8), encoded.tobytes())


def _photo(data: bytes) -> Picture:
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore", Image.DecompressionBombWarning)
            image = Image.open(io.BytesIO(data), formats=_FORMATS)
            if image.width * image.height > MOST_PIXELS:
                raise _too_many_pixels(f"{image.width * image.height // 1_000_000} megapixels")
            image.draft("RGB", (LARGEST_SIDE_PX, LARGEST_SIDE_PX))
            image.thumbnail((LARGEST_SIDE_PX, LARGEST_SIDE_PX))
            upright = ImageOps.exif_transpose(image).convert("RGB")
    except Image.DecompressionBombError:
        raise _too_many_pixels("far too many pixels") from None
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError, EOFError):
        raise UnusablePicture(
            "broken_picture",
            "The picture is broken or was cut off on the way.",
            "Upload it again, or take it again.",
        ) from None
    return np.asarray(upright, dtype=np.uint8)


def _too_many_pixels(has: str) -> UnusablePicture:
    return UnusablePicture(
        "too_many_pixels",
        f"The picture has {has}; {MOST_PIXELS // 1_000_000} megapixels is the most.",
        "Make it smaller, or photograph with a lower resolution.",
    )


def _pdf_page(data: bytes) -> Picture:
    try:
        document = pypdfium2.PdfDocument(data)
        pages = len(document)
        if 0 < pages <= MOST_PDF_PAGES:
            page = document[0]
            scale = min(200 / 72, LARGEST_SIDE_PX / max(page.get_width(), page.get_height(), 1.0))
            picture = np.asarray(page.render(scale=scale).to_pil().convert("RGB"), dtype=np.uint8)
            document.close()
            return picture
    except (pypdfium2.PdfiumError, ValueError, OSError):
        raise UnusablePicture(
            "broken_pdf", "The PDF cannot be opened.", "Scan the sheet again, without a password."
        ) from None
    document.close()
    raise UnusablePicture(
        "too_many_pages",
        f"The PDF has {pages} pages; {MOST_PDF_PAGES} is the most, and a sheet is one page.",
        "Save the sheet's page as a PDF of its own.",
    )
