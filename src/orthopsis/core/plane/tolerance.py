"""Every tolerance of the core, named, with its dimension.

They are set far below what a pencil can draw (0.3 mm) and far above rounding in double precision on a
page of half a metre (about 1e-13 mm).
"""

SAME_POINT_MM = 1e-6
"""Two page points nearer than this are one point."""

SAME_LINE = 1e-9
"""Sine of the angle between two unit coordinate triples at or below which they are one point or line."""

INSIDE_MM = 1e-6
"""A point nearer than this to a face's outline is on the outline, not inside."""

SAME_DEPTH = 1e-8
"""Relative difference of inverse depths at or below which two points are equally far from the eye."""

SAME_SHARE = 1e-9
"""Shares of a face's width or height that differ by no more than this are one place."""

AGREE_MM = 1e-3
"""The construction route and the view route must agree at least this well."""

THIN_FACE_MM2 = 1e-6
"""A face that covers less of the page than this is seen edge-on."""
