"""The margin: where a drawing will look wrong or be hard to draw, and what would help."""
