"""The eye, its vanishing points, and the judgement of where they are placed."""
