"""The hand's moves, the engine that executes them, and the steps that a teacher would say."""
