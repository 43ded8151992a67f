"""Photo -> sheet -> lines in page millimetres; and the simulated document camera."""
