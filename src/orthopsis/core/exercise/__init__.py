"""The whole exercise: what is asked of it from outside, and what needs all that lies below to be answered."""
