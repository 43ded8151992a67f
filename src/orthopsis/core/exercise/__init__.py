"""The exercise: its document, its drawing, its steps, its sentences, the advice on it, and its edits."""
