"""What is written down of an exercise: its models, what is wrong with a value, and the ready ones."""
