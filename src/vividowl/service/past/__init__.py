"""Past jobs from a list: looked at row by row, taken in with their own days, and taken back as a whole."""
