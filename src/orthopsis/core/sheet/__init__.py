"""Lengths as teachers write them, the papers, and what a ruler can measure."""
