"""Orthopsis: the perspective desk of a school art teacher."""

__version__ = "0.1.0"
