"""What goes out on paper and in files: PDF, SVG, PNG, DXF, OBJ, CSV, and the marks that the check finds again."""
