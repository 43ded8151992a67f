"""The job itself: geometry, construction, judgement. No I/O, no framework, no clock, no hidden chance."""
