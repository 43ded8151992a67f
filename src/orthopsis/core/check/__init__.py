"""Drawn lines -> findings: matching, the hand-error model, the estimate of the point, feedback."""
