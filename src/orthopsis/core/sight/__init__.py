"""What is seen and what is hidden."""
