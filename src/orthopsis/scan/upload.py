"""What is kept of an uploaded file."""

from orthopsis.scan.picture import kind_of, open_picture
from orthopsis.scan.vector import lines_of_svg


def clean_upload(data: bytes) -> tuple[str, bytes]:
    """Return form and bytes to keep: pictures re-encoded, an SVG only if its lines can be read.

    Raises:
        UnusablePicture: broken, too large, or no picture; the sentence says what to do.
    """
    if kind_of(data) == "svg":
        lines_of_svg(data, 100.0, 100.0)
        return "svg", data
    return "jpeg", open_picture(data).jpeg
