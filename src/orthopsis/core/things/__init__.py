"""One module a thing: its parameters, sentence, handles, solid and recipe side by side."""
