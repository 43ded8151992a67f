"""Tone per face under one light. Cast shadows are not known yet."""
