"""The steps: from the moves to what a teacher tells, with the values and the changes of each."""
