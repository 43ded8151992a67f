"""What becomes of an exercise when something is typed, chosen, dragged, copied or removed."""
