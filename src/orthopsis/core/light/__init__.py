"""The one light of a sheet: where it comes from, where its rays and shadows run, and the tone of each face."""
