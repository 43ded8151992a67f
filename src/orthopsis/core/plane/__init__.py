"""Points and lines of the page, finite and at infinity: meets, joins, cross-ratio, clipping."""
