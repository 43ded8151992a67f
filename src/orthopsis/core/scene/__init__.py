"""The world of an exercise: its sheet, its frames, and each thing where it stands."""
