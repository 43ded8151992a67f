"""A PNG of a PDF's first page."""

import io

import pypdfium2


def png_of_pdf(pdf: bytes, dots_per_inch: float = 150.0) -> bytes:
    """Return the first page as PNG."""
    document = pypdfium2.PdfDocument(pdf)
    out = io.BytesIO()
    document[0].render(scale=dots_per_inch / 72).to_pil().save(out, format="PNG", dpi=(dots_per_inch, dots_per_inch))
    document.close()
    return out.getvalue()
